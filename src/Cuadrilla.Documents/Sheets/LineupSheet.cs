using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Sheets;

/// <summary>The specification sheet of a lineup: one content for the PDF and the printable page.</summary>
/// <param name="Plant">Name of the plant.</param>
/// <param name="Tag">Tag of the lineup.</param>
/// <param name="Name">Name of the lineup.</param>
/// <param name="Date">Day of issue, ISO 8601.</param>
/// <param name="Catalogue">Version of the catalogue.</param>
/// <param name="Supply">Supply and site, name and value.</param>
/// <param name="PlantChecks">Checks of the plant.</param>
/// <param name="DrivePoints">One section each.</param>
/// <param name="Notes">What the sheet does not cover.</param>
public sealed record LineupSheet(
    string Plant,
    string Tag,
    string Name,
    string Date,
    string Catalogue,
    IReadOnlyList<SheetLine> Supply,
    IReadOnlyList<CheckDocument> PlantChecks,
    IReadOnlyList<DrivePointSheet> DrivePoints,
    IReadOnlyList<string> Notes)
{
    /// <summary>Units of the project; its lines are written in them, figures of checks are told in SI.</summary>
    public UnitSystem Units { get; init; }

    /// <summary>Cable and device schedule of the lineup, and what its fitter does against interference.</summary>
    public IReadOnlyList<SheetTable> Schedules { get; init; } = [];

    /// <summary>State of the project that it was made of: number and label of the edit; empty where a file has none.</summary>
    public string Revision { get; init; } = string.Empty;

    /// <summary>Builds the sheet.</summary>
    public static LineupSheet Of(PlantSpecification plant, Lineup lineup, Assessor assessor, DateOnly date)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        ArgumentNullException.ThrowIfNull(assessor);
        var assessment = assessor.Run(plant);
        // Checks of other lineups, of their buses, arrangements and sections stand on their own sheets.
        var others = plant.Lineups.Where(l => l.Id != lineup.Id)
            .SelectMany(l => l.DcBuses.Select(b => b.Id).Concat(l.Arrangements.Select(a => a.Id)).Append(l.Id))
            .ToHashSet(StringComparer.Ordinal);
        var cabinets = assessor.Cabinets(plant, lineup);
        return new LineupSheet(
            plant.Name,
            lineup.Tag,
            lineup.Name,
            date.ToString("yyyy-MM-dd"),
            assessment.CatalogueVersion,
            [.. SupplyLines(plant, lineup, assessment),
                .. CabinetSheet.Lines(cabinets).Concat(SignalSheet.Control(assessor.ControlSupply(plant, lineup)))
                    .Select(l => l.In(plant.Conventions.Units))],
            [.. assessment.Tightest().Where(c => c.DrivePointId.Length == 0 && !others.Contains(c.ElementId.Split('/')[0]))
                .Select(c => CheckDocument.Of(c, withReason: false))],
            [.. lineup.DrivePoints.Select(p => assessor.Study(plant, p))
                .Select(s => DrivePointSheet.Of(s.Model.Input.DrivePoint, lineup, s, assessment, plant.Conventions.Units))],
            [
                "Figures follow from the entries and the generic catalogue named above; replace catalogue items by the makers' data "
                    + "before ordering.",
                "Cuadrilla designs no safety function, sets no performance level and is no protection or arc-flash study. Local codes and "
                    + "makers' instructions go first.",
                "Before work on a converter: switch off and lock out, wait for the link to discharge, prove the absence of voltage. "
                    + "Licensed people only.",
                "Interharmonics and the band from 2 to 150 kHz are not computed.",
            ])
        { Units = plant.Conventions.Units,
            Schedules = [.. ScheduleTables.Of(plant, lineup, assessor.Protection(plant)),
                FitterTable.Of(plant, lineup, assessor).In(plant.Conventions.Units),
                .. CabinetSheet.Tables(cabinets, assessment, plant.Conventions.Units),
                .. SignalSheet.Signals(lineup, assessor.Signals(plant))] };
    }

    private static IReadOnlyList<SheetLine> SupplyLines(PlantSpecification plant, Lineup lineup, PlantAssessment assessment)
    {
        var source = plant.Source.Strength switch
        {
            SourceStrength.FaultLevel { ShortCircuitMva.IsKnown: true, XrRatio.IsKnown: true } f =>
                $"{Text.N(f.ShortCircuitMva.Value)} MVA, X/R {Text.N(f.XrRatio.Value)}",
            SourceStrength.Generator { RatedKva.IsKnown: true, SubtransientPct.IsKnown: true } g =>
                $"generator {Text.N(g.RatedKva.Value)} kVA, X″d {Text.N(g.SubtransientPct.Value)} %",
            SourceStrength.AssumedInfinite => "assumed infinite (optimistic for distortion)",
            _ => "fault level not stated",
        };
        var lines = new List<SheetLine>
        {
            new("Source", $"{Text.N(plant.Distribution.Bus(plant.Source.BusId).NominalVoltageV / 1e3)} kV, "
                + $"{Text.N(plant.Source.FrequencyHz)} Hz, {source}"),
        };
        lines.AddRange(plant.Distribution.Transformers.Select(t => new SheetLine(
            "Transformer",
            $"{t.Name}, {Text.N(t.RatedKva)} kVA, {t.VectorGroup}, uk {Text.N(t.UkPct)} %, load loss {Text.N(t.LoadLossKw)} kW, feeds "
                + $"{plant.Distribution.Bus(t.ToBusId).Name}")));
        var bus = plant.Distribution.Bus(lineup.BusId);
        var faults = assessment.Scenarios.SelectMany(s => s.Buses).Where(b => b.BusId == bus.Id && double.IsFinite(b.LargestFaultA))
            .Select(b => b.LargestFaultA).ToList();
        lines.Add(new SheetLine("Bus", $"{bus.Name}, {Text.N(bus.NominalVoltageV)} V"
            + (faults.Count > 0 ? $", Isc up to {Text.N(faults.Max() / 1e3)} kA" : string.Empty)));
        lines.AddRange(SpecialSupplyLines.Of(plant, lineup));
        lines.Add(
            new("Site", $"{Text.N(plant.Site.AltitudeM)} m, {Text.N(plant.Site.AmbientMaxC)} °C, air at the converters "
                + (lineup.Cabinets is null ? $"{Text.N(plant.Site.CabinetAirC)} °C" : "as in their sections of the cabinets")));
        lines.AddRange(ArrangementLines.Of(lineup));
        lines.AddRange(plant.Overrides.Select(o =>
            new SheetLine("Project value", $"{o.Key} = {Text.N(o.Value)}" + (o.Reason.Length > 0 ? $": {o.Reason}" : string.Empty))));
        lines.Add(new SheetLine("Units and code", plant.Conventions switch
        {
            { Units: UnitSystem.UsCustomary } c => $"US customary, {Code(c.Installation)}",
            var c => $"SI, {Code(c.Installation)}",
        }));
        return [.. lines.Select(l => l.In(plant.Conventions.Units))];
    }

    private static string Code(InstallationCode code) => code == InstallationCode.Nfpa70 ? "NFPA 70" : "IEC 60364";
}

/// <summary>A name with its value.</summary>
public sealed record SheetLine(string Name, string Value)
{
    /// <summary>The same in other units.</summary>
    public SheetLine In(UnitSystem units) => this with { Value = UnitTable.Sentence(units, Value) };
}

/// <summary>A table on the sheet.</summary>
/// <param name="Title">What it is.</param>
/// <param name="Heads">Heads of its columns.</param>
/// <param name="Rows">Cells in words.</param>
public sealed record SheetTable(string Title, IReadOnlyList<string> Heads, IReadOnlyList<IReadOnlyList<string>> Rows)
{
    /// <summary>The same in other units.</summary>
    public SheetTable In(UnitSystem units) => this with
    {
        Title = UnitTable.Sentence(units, Title),
        Rows = [.. Rows.Select(row => (IReadOnlyList<string>)[.. row.Select(cell => UnitTable.Sentence(units, cell))])],
    };
}

/// <summary>A drive point on the sheet.</summary>
/// <param name="Tag">Its tag.</param>
/// <param name="Name">Its name.</param>
/// <param name="Lines">Choices and figures.</param>
/// <param name="Checks">Its checks.</param>
/// <param name="Torque">Torque over speed; null while load or motor is missing.</param>
public sealed record DrivePointSheet(
    string Tag, string Name, IReadOnlyList<SheetLine> Lines, IReadOnlyList<CheckDocument> Checks, TorqueCurves? Torque)
{
    /// <summary>Builds the section.</summary>
    public static DrivePointSheet Of(DrivePoint point, Lineup lineup, DrivePointStudy study, PlantAssessment assessment, UnitSystem units)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(study);
        ArgumentNullException.ThrowIfNull(assessment);
        return new DrivePointSheet(
            point.Tag,
            point.Name,
            [.. new[] { Choices(point, study, units), ArrangementLines.Of(point, lineup, study.Model), Figures(study, assessment) }
                .SelectMany(l => l).Select(l => l.In(units))],
            [.. assessment.Tightest().Where(c => c.DrivePointId == point.Id).Select(c => CheckDocument.Of(c, withReason: false))],
            TorqueCurves.Of(study.Model));
    }

    private static IEnumerable<SheetLine> Choices(DrivePoint point, DrivePointStudy study, UnitSystem units)
    {
        var model = study.Model;
        yield return new SheetLine("Load", model.Load is { } load
            ? $"{Shaft(units, load.RatedPowerW / 1e3)}, {Text.N(load.RatedTorqueNm)} Nm at {Text.N(load.RatedSpeedRpm)} rpm"
            : "not complete: " + string.Join(", ", model.LoadMissing));
        foreach (var line in ProcessLines.Of(point.Load, units))
        {
            yield return line;
        }

        if (UsualEntries.Assumed(point, model.Data) is { Count: > 0 } assumed)
        {
            yield return new SheetLine("Assumed, not confirmed", string.Join(", ",
                assumed.Select(a => $"{a.Name} {Text.N(a.Value)}{(a.Unit.Length > 0 ? " " + a.Unit : string.Empty)}")));
        }

        yield return new SheetLine("Motor", model.Fitted?.Item is { } motor
            ? $"{ItemText.Motor(motor)} {ItemText.Power(motor)}, {motor.Poles}-pole, {motor.Frame}, {Text.N(motor.Plate.RatedCurrentA)} "
                + $"A, {Text.N(motor.Plate.RatedSpeedRpm)} rpm"
            : "not chosen");
        foreach (var line in MotorOptionLines.Of(point))
        {
            yield return line;
        }

        if (point.Motor is MotorChoice.FromCatalogue { Reason.Length: > 0 } chosen)
        {
            yield return new SheetLine("Reason for the motor", chosen.Reason);
        }

        yield return new SheetLine("Motor cable", point.Cable.LengthM.IsKnown && point.Cable.CrossSectionMm2.IsKnown
            ? $"{point.Cable.ParallelRuns} × {Text.N(point.Cable.CrossSectionMm2.Value)} mm² "
                + $"{point.Cable.Material.ToString().ToLowerInvariant()}, {Text.N(point.Cable.LengthM.Value)} m"
                + $"{(point.Cable.Screened ? ", screened" : string.Empty)}"
            : "not complete");
        yield return new SheetLine("Converter", model.Converter is { } converter
            ? $"{ItemText.Converter(converter.Item)}, {(converter.Item.RatedHp > 0 ? $"{Text.N(converter.Item.RatedHp)} hp" : $"{Text.N(converter.Item.RatedKw)} kW")}, {Text.N(converter.RatedCurrentA * (model.StepUp?.CurrentPu ?? 1))} A {converter.Duty.ToString().ToLowerInvariant()} overload, {Text.N(converter.SiteCurrentA * (model.StepUp?.CurrentPu ?? 1))} A at this site, {Text.N(converter.SwitchingKhz)} kHz"
            : model.Starter is { } starter ? starter.Name + (starter.Item is { } item ? $", {Text.N(item.RatedCurrentA)} A" : string.Empty)
                : "not chosen");
        if (model.Choice is { } choice)
        {
            yield return new SheetLine("Brakes", choice.Braking switch
            {
                Braking.Nothing => "by losses, the ramp is stretched",
                Braking.Coast => "coasts",
                Braking.DcInjection d => $"by direct current, {Text.N(d.CurrentPct, 3)} % of the motor's current",
                Braking.Flux f => $"by raised flux, {Text.N(f.FluxPct, 3)} %",
                Braking.Resistor r => r is { ResistanceOhm.IsKnown: true, ContinuousKw.IsKnown: true }
                    ? $"chopper and resistor, {Text.N(r.ResistanceOhm.Value)} Ω, {Text.N(r.ContinuousKw.Value)} kW"
                    : "chopper and resistor, not complete",
                Braking.ToLine => "back to the line",
                _ => throw new InvalidOperationException("Unknown way of braking."),
            });
            if (model.Filter is { } filter)
            {
                yield return new SheetLine("Output filter", filter.Name);
            }

            if (point.Interference.CommonModeCores)
            {
                yield return new SheetLine("Common-mode cores", "around the three phases at the output");
            }

            if (model.Converter is { Item.OwnCatalogue.Length: > 0 } own)
            {
                yield return new SheetLine("Catalogue of the converter", own.Item.OwnCatalogue);
            }
        }

        foreach (var line in StarterSettingLines.Of(model))
        {
            yield return line;
        }

        if (point.Converter.ReasonGiven().Length > 0)
        {
            yield return new SheetLine("Reason for the converter", point.Converter.ReasonGiven());
        }

        foreach (var line in SpecialSupplyLines.Of(model))
        {
            yield return line;
        }

        yield return new SheetLine("Feeder", point.Feeder switch
        {
            _ when point.Sun is not null => "none: fed from the sun",
            Feeder.OnBusbar => "on the busbar",
            Feeder.ByCable { LengthM.IsKnown: true, CrossSectionMm2.IsKnown: true } f =>
                $"{f.ParallelRuns} × {Text.N(f.CrossSectionMm2.Value)} mm² "
                    + $"{f.Material.ToString().ToLowerInvariant()}, {Text.N(f.LengthM.Value)} m",
            _ => "not complete",
        });
    }

    // The power of a shaft is told in hp where people do so.
    private static string Shaft(UnitSystem units, double kw) =>
        units == UnitSystem.UsCustomary ? $"{Text.N(kw / UnitTable.Of("kW").Accepts["hp"].Factor)} hp" : $"{Text.N(kw)} kW";

    private static IEnumerable<SheetLine> Figures(DrivePointStudy study, PlantAssessment assessment)
    {
        var summary = assessment.DrivePoints.First(d => d.DrivePointId == study.Model.Id);
        if (summary.Rated is { } rated)
        {
            yield return new SheetLine("Motor current, rated point", $"{Text.N(rated.Motor.CurrentA)} A");
            yield return new SheetLine("Line power, rated point", rated.DrawsFromLine
                ? $"{Text.N(rated.LineW / 1e3)} kW, efficiency {Text.N(100 * rated.Efficiency)} %"
                : $"none: the load drives the motor, {Text.N(rated.RegeneratedW / 1e3)} kW come back to the link");
        }

        if (summary.LineRmsA is { } line && summary.ThdiPct is { } thdi)
        {
            yield return new SheetLine("Line current",
                $"{Text.N(line)} A "
                    + $"rms{(summary.LinePhase.Length > 0 ? $" in phase {summary.LinePhase}, the most loaded" : string.Empty)}, THDi "
                    + $"{Text.N(thdi)} %");
        }

        if (summary.YearKwh is { } energy)
        {
            yield return new SheetLine("Energy of a year", $"{Text.N(energy / 1e3)} MWh"
                + (summary.SavingPerYear is { } saving
                    ? $", {Text.N(saving, 5)} {study.Model.Input.Tariff.Currency} less than today"
                    : string.Empty));
        }
    }
}
