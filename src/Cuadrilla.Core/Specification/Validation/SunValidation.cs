using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification.Fields;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the entries of an array against each other.</summary>
internal static class SunValidation
{
    private const int MonthsInYear = 12;
    private const int HoursInYear = 8760;

    public static void Check(SunSupply? sun, string at, ProblemList p)
    {
        if (sun is null)
        {
            return;
        }

        var (module, place) = (sun.Module, sun.Place);
        if (module.UocV.IsKnown)
        {
            p.Within<SunModule>(at + "/module", nameof(module.UmpV), module.UmpV, 0, module.UocV.Value);
        }

        if (place.HottestC.IsKnown)
        {
            p.Within<SunPlace>(at + "/place", nameof(place.ColdestC), place.ColdestC, double.MinValue, place.HottestC.Value);
        }

        Whole(sun.Strings.InSeries, at + "/strings/inSeries", "Modules in series", p);
        Whole(sun.Strings.InParallel, at + "/strings/inParallel", "Strings", p);
        p.Require(place.Months.Count is 0 or MonthsInYear, at + "/place/months", "Months", $"{place.Months.Count}", "none or 12");
        p.Require(place.HourlyWPerM2.Count is 0 or HoursInYear, at + "/place/hourlyWPerM2", "Hours of light", $"{place.HourlyWPerM2.Count}",
            "none or 8760");
        p.Require(place.HourlyC.Count == place.HourlyWPerM2.Count, at + "/place/hourlyC", "Hours of temperature", $"{place.HourlyC.Count}",
            "as many as hours of light");
        Hours(place.HourlyWPerM2, 0, 1500, at + "/place/hourlyWPerM2", "Light of an hour, W/m²", p);
        Hours(place.HourlyC, -60, 60, at + "/place/hourlyC", "Temperature of an hour, °C", p);
    }

    private static void Hours(ValueList<double> hours, double least, double most, string at, string name, ProblemList p)
    {
        for (var i = 0; i < hours.Count; i++)
        {
            p.Require(hours[i] >= least && hours[i] <= most, $"{at}/{i}", name, Text.N(hours[i]), $"{least} to {most}");
        }
    }

    private static void Whole(Given number, string at, string name, ProblemList p) =>
        p.Require(!number.IsKnown || double.IsInteger(number.Value), at, name, number.IsKnown ? Text.N(number.Value) : "open",
            "a whole number");
}
