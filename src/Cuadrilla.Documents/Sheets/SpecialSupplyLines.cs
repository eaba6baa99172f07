using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.LongCable;
using Cuadrilla.Core.Studies.Sun;

namespace Cuadrilla.Documents.Sheets;

/// <summary>What a sheet says of a supply that is no ordinary one.</summary>
internal static class SpecialSupplyLines
{
    public static IEnumerable<SheetLine> Of(DrivePointModel model)
    {
        if (model.Input.DrivePoint.Sun is not null)
        {
            foreach (var line in Sun(model))
            {
                yield return line;
            }
        }

        if (model.Input.DrivePoint.StepUp is not null)
        {
            foreach (var line in StepUp(model))
            {
                yield return line;
            }
        }
    }

    private static IEnumerable<SheetLine> Sun(DrivePointModel model)
    {
        if (SunFeed.Of(model) is not { InSeries: { } series, InParallel: { } strings } feed)
        {
            yield return new SheetLine("Array", "not complete");
            yield break;
        }

        var sun = feed.Sun;
        yield return new SheetLine("Array",
            $"{strings} strings of {series} modules{(sun.Module.Name.Length > 0 ? $" ({sun.Module.Name})" : string.Empty)}, {Text.N(feed.ArrayKw!.Value)} kW"
                + (feed.UocColdV is { } cold ? $", {Text.N(series * cold)} V on the coldest dawn" : string.Empty)
                + (sun.Strings.FuseA.IsKnown ? $", gPV {Text.N(sun.Strings.FuseA.Value)} A" : ", no string fuses"));
        if (SunStudy.Of(model, out _) is { } study && study.Year() is var year)
        {
            yield return new SheetLine("Water from the sun",
                $"{Text.N(year.WaterM3)} m³ a year; {(year.WorstShare is { } worst ? $"worst month {Text.N(100 * worst, 3)} % of what is wanted" : "nothing wanted is stated")}; stopped below {Text.N(study.LeastRpm)} rpm");
        }
    }

    private static IEnumerable<SheetLine> StepUp(DrivePointModel model)
    {
        if (LongCableStudy.Of(model) is not { } study)
        {
            yield return new SheetLine("Step-up transformer", "not complete: " + string.Join(", ", model.MissingForStepUp()));
            yield break;
        }

        var transformer = study.StepUp.Entered.Transformer;
        yield return new SheetLine("Step-up transformer",
            $"{Text.N(transformer.RatedKva.Value)} kVA, {Text.N(transformer.PrimaryV.Value)} V, tap {Text.N(transformer.TapV.Value)} V, uk {Text.N(transformer.UkPct.Value)} %; {Text.N(study.SurfaceV)} V at the surface; converter {Text.N(study.StepUp.ConverterA)} A");
        if (study.StartHz is { } hz && study.StartA is { } amps)
        {
            yield return new SheetLine("Start through it", $"from {Text.N(hz)} Hz with {Text.N(amps)} A, ψ = {Text.N(study.FluxPu(hz, amps), 3)}");
        }
    }
}
