using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Lists;

/// <summary>The drive list: a row for each drive point, units in the headings.</summary>
public static class DriveList
{
    /// <summary>The list as CSV: UTF-8 with byte-order mark, comma, decimal point.</summary>
    public static byte[] Csv(PlantSpecification plant, PlantAssessment assessment, EngineeringData data) =>
        TableFiles.Csv(Rows(plant, assessment, data));

    /// <summary>The list as a workbook with one sheet.</summary>
    public static byte[] Xlsx(PlantSpecification plant, PlantAssessment assessment, EngineeringData data) =>
        TableFiles.Xlsx(new Dictionary<string, IReadOnlyList<IReadOnlyDictionary<string, object?>>> { ["Drives"] = Rows(plant, assessment,
            data) });

    private static string StarterName(DrivePoint point, EngineeringData data) =>
        StarterAtSite.Of(point.Converter, data) is { } starter ? starter.Name : "not chosen";

    /// <summary>
    /// Text that a spreadsheet would take for a formula, also behind blanks, gets an apostrophe in front; numbers stay numbers, and so
    /// does text that is one.
    /// </summary>
    public static string Guarded(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var start = text.AsSpan().TrimStart();
        var isFormula = text.Length > 0
            && (text[0] is '\t' or '\r' or '\n' || (start.Length > 0 && start[0] is '=' or '+' or '-' or '@' or '＝' or '＋' or '－' or '＠'));
        return isFormula && !double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out _) ? "'" + text : text;
    }

    private static List<Dictionary<string, object?>> Rows(PlantSpecification plant, PlantAssessment assessment, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessment);
        ArgumentNullException.ThrowIfNull(data);
        var own = data.With(plant);
        var motors = own.Motors;
        var summaries = assessment.DrivePoints.ToDictionary(d => d.DrivePointId, StringComparer.Ordinal);
        var tightest = assessment.Tightest().DistinctBy(c => c.DrivePointId).ToDictionary(c => c.DrivePointId, StringComparer.Ordinal);
        var rows = new List<Dictionary<string, object?>>();
        var units = plant.Conventions.Units;
        var us = units == UnitSystem.UsCustomary;
        var power = us ? "hp" : "kW";
        double? InPower(double? kw) => us ? kw / UnitTable.Of("kW").Accepts["hp"].Factor : kw;
        foreach (var lineup in plant.Lineups)
        {
            foreach (var point in lineup.DrivePoints)
            {
                var summary = summaries[point.Id];
                var motor = point.Motor is MotorChoice.FromCatalogue m ? motors[m.ItemId] : null;
                var choice = point.Converter as ConverterChoice.FromCatalogue;
                var converter = choice is null ? null : own.Converters[choice.ItemId];
                var worst = tightest.GetValueOrDefault(point.Id);
                rows.Add(new Dictionary<string, object?>
                {
                    ["Lineup"] = lineup.Tag,
                    ["Tag"] = point.Tag,
                    ["Name"] = point.Name,
                    ["Load"] = point.Load.InWords(),
                    [$"Shaft power {power}"] = InPower(summary.ShaftPowerW / 1e3),
                    ["Speed rpm"] = summary.ShaftSpeedRpm,
                    ["Motor"] = motor is null ? "not chosen" : $"{ItemText.Motor(motor)} {motor.Frame}",
                    [$"Motor {power}"] = motor is { RatedHp: > 0 } && us ? motor.RatedHp : InPower(motor?.Plate.RatedPowerW / 1e3),
                    ["Motor rated current A"] = motor?.Plate.RatedCurrentA,
                    ["Motor current at rated point A"] = summary.Rated?.Motor.CurrentA,
                    ["Converter"] = converter is null ? StarterName(point, data) : ItemText.Converter(converter),
                    [$"Converter {power}"] = converter is { RatedHp: > 0 } && us ? converter.RatedHp : InPower(converter?.RatedKw),
                    ["Overload duty"] = choice?.Duty.ToString().ToLowerInvariant(),
                    ["Switching kHz"] = choice?.SwitchingKhz,
                    ["Converter current at site A"] = summary.SiteCurrentA,
                    [us ? "Motor cable ft" : "Motor cable m"] = Plain(point.Cable.LengthM) is { } length
                        ? UnitTable.Of("m").In(units, length)
                        : null,
                    [us ? "By trays ft" : "By trays m"] = point.Cable.LengthM.IsKnown || summary.CableM is not { } way
                        ? null
                        : UnitTable.Of("m").In(units, way),
                    [us ? "Motor cable" : "Motor cable mm2"] = Plain(point.Cable.CrossSectionMm2) is { } area ? us
                        ? UnitTable.Of("mm²").Say(units, area) : area : null,
                    ["Line power kW"] = summary.Rated?.LineW / 1e3,
                    ["Line current A"] = summary.LineRmsA,
                    ["THDi %"] = summary.ThdiPct,
                    ["Energy MWh/a"] = summary.YearKwh / 1e3,
                    ["Tightest check"] = worst?.Id,
                    ["Verdict"] = worst is null ? null : VerdictWords.Of(worst.Verdict),
                });
            }
        }

        if (rows.Count == 0)
        {
            rows.Add(new Dictionary<string, object?> { ["Lineup"] = null, ["Tag"] = null, ["Name"] = "no drive points" });
        }

        // Every text, whoever wrote it: tags, names, motors and converters of the engineer's own.
        return [.. rows.Select(TableFiles.Guarded)];
    }

    private static double? Plain(Given value) => value.IsKnown ? value.Value : null;
}

/// <summary>The words the program uses for verdicts.</summary>
public static class VerdictWords
{
    /// <summary>The word for a verdict.</summary>
    public static string Of(Verdict verdict) => verdict switch
    {
        Verdict.Holds => "Holds",
        Verdict.Tight => "Tight",
        Verdict.Fails => "Fails",
        Verdict.NeedsData => "Needs data",
        _ => "Not applicable",
    };
}
