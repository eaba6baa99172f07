using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Sun;

/// <summary>Checks of a pump on the sun over a year: water, starts, least speed.</summary>
internal static class SunWaterChecks
{
    private const string Method = "docs/methods/pv-pumping.md";

    // Above where flow begins, so that what is measured on site and not computed is within it.
    private const double LeastSpeedPu = 1.02;

    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        if (model.Input.DrivePoint.Sun is null)
        {
            yield break;
        }

        var study = SunStudy.Of(model, out var missing);
        yield return LeastSpeed(model);
        if (study is null)
        {
            yield return Check.Lacking("pv.daily-water", model.Id, BoardRow.Load, "Water a day", missing);
            yield return Check.Lacking("pv.starts-per-day", model.Id, BoardRow.Motor, "Starts a day", missing);
            yield break;
        }

        var year = study.Year();
        yield return Water(model, study, year);
        yield return Starts(model, study, year);
    }

    private static Check Water(DrivePointModel model, SunStudy study, SunYear.Result year)
    {
        const string id = "pv.daily-water", title = "Water a day";
        if (study.Demand is null || year.WorstShare is not { } worst)
        {
            return Check.Lacking(id, model.Id, BoardRow.Load, title, ["water wanted a day in each month"]);
        }

        var month = year.Months[year.WorstMonth];
        var hourly = study.Feed.Sun.Place.HourlyWPerM2.Count > 0;
        var name = System.Globalization.CultureInfo.InvariantCulture.DateTimeFormat.GetMonthName(year.WorstMonth + 1);
        var check = CheckWriter.Judged(id, model.Id, BoardRow.Load, title, month.WaterM3PerDay, month.DemandM3PerDay!.Value, "m³",
            LimitSense.AtLeast, model.Input.Defaults.TightMarginPct,
            "Relief: more modules, another tilt for the worst month, a pump that fits the head better; the page Supplies sweeps arrays "
                + "and pumps.",
            new Reason("every hour: light → cells → power → speed → water; the month in which water over demand is least",
                $"{name}: {Text.N(month.WaterM3PerDay)} m³ a day in {Text.N(month.PumpingHours, 3)} h, "
                    + $"{Text.N(month.DemandM3PerDay!.Value)} m³ wanted ({Text.N(100 * worst, 3)} %); year {Text.N(year.WaterM3)} m³ from "
                    + $"{Text.N(year.UsedKwh)} of {Text.N(year.EnergyKwh)} kWh",
                Method + (hourly ? "; light and air as measured" : "; clearness is a mean of the month: single days give less"),
                [ReasonInput.Of("array", study.Feed.ArrayKw!.Value, "kW", "strings"),
                    ReasonInput.Of("pump at rated speed", study.Pump.RatedKw, "kW", "load, motor, converter")]));
        var wanted = study.Demand.Max();
        var tank = study.Feed.Sun.Pumping.TankM3;
        if (wanted > 0 && (!tank.IsKnown || tank.Value < wanted))
        {
            check = check.AtBestTight(
                tank.IsKnown ? $"the tank holds {Text.N(tank.Value / wanted, 2)} days of what is wanted" : "no tank is stated",
                "Relief: a tank for the dark days: monthly means do not show them.");
        }

        return hourly && year.ShortDays > 0
            ? check.AtBestTight($"{year.ShortDays} days on which tank and pump together are short", "Relief: a larger tank or array.")
            : check;
    }

    // Between two starts of a broken sky lie at least the pause and the delay of the stop, whatever the clouds do.
    private static Check Starts(DrivePointModel model, SunStudy study, SunYear.Result year)
    {
        const string id = "pv.starts-per-day", title = "Starts a day";
        var pumping = study.Feed.Sun.Pumping;
        List<string> missing = [];
        if (!pumping.StartsPerDay.IsKnown)
        {
            missing.Add("starts a day that the motor permits");
        }

        if (!pumping.RestartMin.IsKnown || !pumping.StopDelayS.IsKnown)
        {
            missing.Add("pause before a restart and delay of the stop");
        }

        if (missing.Count > 0)
        {
            return Check.Lacking(id, model.Id, BoardRow.Motor, title, missing);
        }

        var cycleMin = pumping.RestartMin.Value + (pumping.StopDelayS.Value / 60);
        var starts = 1 + Math.Floor(60 * year.LongestPumpingH / cycleMin);
        return CheckWriter.Judged(id, model.Id, BoardRow.Motor, title, starts, pumping.StartsPerDay.Value, string.Empty, LimitSense.AtMost,
            0, "Relief: a longer pause before a restart, a tank level with some distance between start and stop.",
            new Reason("at most 1 + pumping hours of the longest day over (pause + delay of the stop): clouds can do no more",
                $"1 + {Text.N(60 * year.LongestPumpingH)} min / {Text.N(cycleMin, 3)} min = {Text.N(starts)}; the hours by themselves "
                    + $"show {year.MostStartsPerDay}",
                Method + "; starts permitted by the motor's maker", []));
    }

    private static Check LeastSpeed(DrivePointModel model)
    {
        const string id = "pv.minimum-speed", title = "Least speed of the pump";
        var pumping = model.Input.DrivePoint.Sun!.Pumping;
        List<string> missing = [.. model.LoadMissing];
        if (!pumping.LeastRpm.IsKnown)
        {
            missing.Add(model.Load is Loads.FluidMachineModel open
                ? $"least speed of the pump (water comes from {Text.N(open.FlowBeginsAtRpm)} rpm on)"
                : "least speed of the pump");
        }

        if (missing.Count > 0 || model.Load is not Loads.FluidMachineModel pump)
        {
            return Check.Lacking(id, model.Id, BoardRow.Load, title, missing.Count > 0 ? missing : ["a pump"]);
        }

        var begins = pump.FlowBeginsAtRpm;
        var check = CheckWriter.Judged(id, model.Id, BoardRow.Load, title, pumping.LeastRpm.Value, begins, "rpm", LimitSense.AtLeast, 0,
            "Relief: raise it until water appears: below it the pump only heats its water, and a submerged motor is not cooled.",
            new Reason("n_least ≥ n_rated·√(static share/head at no flow)",
                $"{Text.N(pumping.LeastRpm.Value)} rpm, water from {Text.N(begins)} rpm on; on site: raise until water appears",
                Method + ", docs/methods/pump-point.md", []));
        check = pumping.LeastRpm.Value < LeastSpeedPu * begins
            ? check.AtBestTight("less than 2 % above it", "Relief: somewhat faster; the level of the well moves it.")
            : check;
        return pumping.DryRunGuard
            ? check
            : check.AtBestTight("no dry-run guard", "Relief: a guard that stops it below 80 % of the power of its speed.");
    }
}
