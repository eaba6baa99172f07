using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.LongCable;
using Cuadrilla.Core.Studies.Sun;
using Cuadrilla.Core.Supplies;

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

        if (model.TwoConductorV is { } two && !model.Input.HasNoLine)
        {
            yield return new SheetLine("Input",
                $"two conductors, {Text.N(two)} V; the motor linked in {(model.Fitted?.Connected.IsDelta == true ? "delta" : "star")}");
        }

        if (model.Input.DrivePoint.StepUp is not null)
        {
            foreach (var line in StepUp(model))
            {
                yield return line;
            }
        }
    }

    /// <summary>Of a whole lineup: one phase only, a standby generator of the plant.</summary>
    public static IEnumerable<SheetLine> Of(PlantSpecification plant, Lineup lineup)
    {
        if (lineup.OnePhase is { } one)
        {
            var volts = one.VoltageOn(plant.Distribution.Bus(lineup.BusId).NominalVoltageV);
            yield return new SheetLine("Only one phase",
                $"{Text.N(volts)} V, "
                    + $"{(one.ToNeutral ? "phase and neutral" : "two phases")}"
                    + $"{(one.SupplyA.IsKnown ? $", {Text.N(one.SupplyA.Value)} A" : string.Empty)}; run by {Means(one)}");
            if (one.Machines.Count > 0)
            {
                yield return new SheetLine("Machines on it", string.Join("; ", one.Machines.Select(m =>
                    $"{m.Name}{(m.RatedKw.IsKnown ? $" {Text.N(m.RatedKw.Value)} kW" : string.Empty)}"
                        + $"{(m.HeavyStart ? ", heavy start" : string.Empty)}"
                        + $"{(m.PulsesPerTurn.IsKnown ? $", {Text.N(m.PulsesPerTurn.Value)} pulses a turn" : string.Empty)}")));
            }
        }

        if (plant.Standby is { Generator: var set } standby)
        {
            yield return new SheetLine("Standby generator",
                $"{(set.RatedKva.IsKnown ? $"{Text.N(set.TotalKva())} kVA" : "rating open")}"
                    + $"{(set is { RatedKva.IsKnown: true, RatedKw.IsKnown: true } ? $", {Text.N(set.TotalKw())} kW" : string.Empty)} at "
                    + $"{plant.Distribution.Bus(standby.BusId).Name}; in "
                    + $"{string.Join(", ", plant.Scenarios.Where(s => s.OnStandby).Select(s => s.Name).DefaultIfEmpty("no scenario"))}");
        }
    }

    private static string Means(OnePhaseSupply one) => one.Means switch
    {
        OnePhaseMeans.Converters => "a converter each",
        OnePhaseMeans.Rotary => one.Rotary.RatedKva.IsKnown
            ? $"a rotary converter of {Text.N(one.Rotary.RatedKva.Value)} kVA"
            : "a rotary converter",
        OnePhaseMeans.Static => "a static converter, one machine at a time",
        _ => "what is not chosen yet",
    };

    private static IEnumerable<SheetLine> Sun(DrivePointModel model)
    {
        if (SunFeed.Of(model) is not { InSeries: { } series, InParallel: { } strings } feed)
        {
            yield return new SheetLine("Array", "not complete");
            yield break;
        }

        var sun = feed.Sun;
        yield return new SheetLine("Array",
            $"{strings} string{(strings == 1 ? string.Empty : "s")} of {series} "
                + $"modules{(sun.Module.Name.Length > 0 ? $" ({sun.Module.Name})" : string.Empty)}, {Text.N(feed.ArrayKw!.Value)} kW"
                + (feed.UocColdV is { } cold ? $", {Text.N(series * cold)} V on the coldest dawn" : string.Empty)
                + (sun.Strings.FuseA.IsKnown ? $", gPV {Text.N(sun.Strings.FuseA.Value)} A" : ", no string fuses"));
        if (SunStudy.Of(model, out _) is { } study && study.Year() is var year)
        {
            yield return new SheetLine("Water from the sun",
                $"{Text.N(year.WaterM3)} m³ a year; "
                    + $"{(year.WorstShare is { } worst ? $"worst month {Text.N(100 * worst, 3)} % of what is wanted" : "nothing wanted is stated")}; stopped below {Text.N(study.LeastRpm)} rpm");
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
            $"{Text.N(transformer.RatedKva.Value)} kVA, {Text.N(transformer.PrimaryV.Value)} V, tap {Text.N(transformer.TapV.Value)} V, "
                + $"uk {Text.N(transformer.UkPct.Value)} %; {Text.N(study.SurfaceV)} V at the surface; converter "
                + $"{Text.N(study.StepUp.ConverterA)} A");
        if (study.StartHz is { } hz && study.StartA is { } amps)
        {
            yield return new SheetLine("Start through it",
                $"from {Text.N(hz)} Hz with {Text.N(amps)} A, ψ = {Text.N(study.FluxPu(hz, amps), 3)}");
        }
    }
}
