using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the entries of one drive point.</summary>
internal static class DrivePointValidation
{
    private const double HoursInYear = 8760;

    public static void Check(DrivePoint point, string at, EngineeringData data, HashSet<string> motors, HashSet<string> converters, ProblemList p)
    {
        p.Words(at + "/id", "Drive point key", point.Id, 1, 60);
        p.Words(at + "/tag", "Tag", point.Tag, 1, 20);
        p.Words(at + "/name", "Name", point.Name, 1, 80);
        if (point.Feeder is Feeder.ByCable feeder)
        {
            p.Number(at + "/feeder/lengthM", "Feeder length", feeder.LengthM, 0, 2000, "m");
            p.Number(at + "/feeder/crossSectionMm2", "Feeder cross-section", feeder.CrossSectionMm2, 0.5, 630, "mm²");
            p.Number(at + "/feeder/parallelRuns", "Parallel feeder cables", feeder.ParallelRuns, 1, 12, string.Empty);
        }

        p.Number(at + "/cable/lengthM", "Motor cable length", point.Cable.LengthM, 0, 2000, "m");
        p.Number(at + "/cable/crossSectionMm2", "Motor cable cross-section", point.Cable.CrossSectionMm2, 0.5, 630, "mm²");
        p.Number(at + "/cable/parallelRuns", "Parallel motor cables", point.Cable.ParallelRuns, 1, 12, string.Empty);
        if (point.Motor is MotorChoice.FromCatalogue motor)
        {
            p.Require(motors.Contains(motor.ItemId), at + "/motor/itemId", "Motor", $"'{motor.ItemId}'", "an item of the catalogue or a motor of the project");
            p.Words(at + "/motor/reason", "Reason", motor.Reason, 0, 300);
        }

        if (point.Converter is ConverterChoice.FromCatalogue converter)
        {
            p.Require(converters.Contains(converter.ItemId), at + "/converter/itemId", "Converter", $"'{converter.ItemId}'", "an item of the catalogue or a converter of the project");
            p.Number(at + "/converter/switchingKhz", "Switching frequency", converter.SwitchingKhz, 1, 16, "kHz");
            p.Words(at + "/converter/reason", "Reason", converter.Reason, 0, 300);
            p.Number(at + "/converter/modules", "Parallel modules", converter.Modules, 1, 8, string.Empty);
            if (converter.Braking is Braking.DcInjection direct)
            {
                p.Number(at + "/converter/braking/currentPct", "Direct current", direct.CurrentPct, 20, 200, "%");
            }

            if (converter.Braking is Braking.Flux flux)
            {
                p.Number(at + "/converter/braking/fluxPct", "Flux", flux.FluxPct, 100, 140, "%");
            }

            if (converter.Braking is Braking.Resistor resistor)
            {
                p.Number(at + "/converter/braking/resistanceOhm", "Brake resistor", resistor.ResistanceOhm, 0.1, 2000, "Ω");
                p.Number(at + "/converter/braking/continuousKw", "Continuous power of the resistor", resistor.ContinuousKw, 0.01, 1000, "kW");
                p.Number(at + "/converter/braking/windowS", "Window of the resistor's mean power", resistor.WindowS, 10, 3600, "s");
                for (var i = 0; i < resistor.Pulses.Count; i++)
                {
                    p.Number($"{at}/converter/braking/pulses/{i}/timeS", "Time of a pulse", resistor.Pulses[i].TimeS, i == 0 ? 0.01 : resistor.Pulses[i - 1].TimeS, 3600, "s");
                    p.Number($"{at}/converter/braking/pulses/{i}/powerPu", "Power of a pulse", resistor.Pulses[i].PowerPu, 1, 100, "× continuous");
                }
            }
        }

        BrakeValidation.Check(point.Brake, at + "/brake", p);
        StarterValidation.Check(point.Converter, at + "/converter", data, p);
        p.Require(point.SkipBands.Count <= 4, at + "/skipBands", "Skip bands", $"{point.SkipBands.Count}", "up to 4");
        for (var i = 0; i < point.SkipBands.Count; i++)
        {
            var band = point.SkipBands[i];
            p.Number($"{at}/skipBands/{i}/fromRpm", "Lower edge", band.FromRpm, 0, 30_000, "rpm");
            p.Number($"{at}/skipBands/{i}/toRpm", "Upper edge", band.ToRpm, band.FromRpm, 30_000, "rpm", minExcluded: true);
        }

        CheckLoad(point.Load, at + "/load", p);
    }

    internal static void CheckLoad(Load load, string at, ProblemList p)
    {
        switch (load)
        {
            case FluidLoad fluid:
                Fluid(fluid, at, p);
                break;
            case MechanicalLoad mechanical:
                MechanicalLoadValidation.Check(mechanical, at, p);
                break;
        }
    }

    private static void Fluid(FluidLoad load, string at, ProblemList p)
    {
        switch (load)
        {
            case FanLoad fan:
                p.Number(at + "/ratedPressurePa", "Rated pressure", fan.RatedPressurePa, 1, 100_000, "Pa");
                break;
            case PumpLoad pump:
                p.Number(at + "/ratedHeadM", "Rated head", pump.RatedHeadM, 0.1, 3000, "m");
                p.Number(at + "/densityKgPerM3", "Density", pump.DensityKgPerM3, 300, 5000, "kg/m³");
                break;
        }

        var common = load.Common;
        at += "/common";
        p.Number(at + "/ratedFlowM3PerS", "Rated flow", common.RatedFlowM3PerS, 0, 2000, "m³/s", minExcluded: true);
        p.Number(at + "/ratedEfficiency", "Machine efficiency", common.RatedEfficiency, 0.05, 0.95, string.Empty);
        p.Number(at + "/ratedSpeedRpm", "Rated speed", common.RatedSpeedRpm, 10, 6000, "rpm");
        p.Number(at + "/staticFraction", "Static share", common.StaticFraction, 0, 0.99, string.Empty);
        p.Number(at + "/shutOffPu", "Shut-off pressure or head", common.ShutOffPu, 1.01, 2, "of rated");
        p.Number(at + "/inertiaKgM2", "Inertia", common.InertiaKgM2, 0, 1e6, "kg·m²");
        p.Number(at + "/startTimeS", "Start time", common.StartTimeS, 0.1, 600, "s");
        p.Number(at + "/stopTimeS", "Stop time", common.StopTimeS, 0.05, 3600, "s");
        DutyHours(common.Duty, at, p);
        if (common.Path is ParallelPath.Common path)
        {
            p.Number(at + "/path/running", "Machines on one path", path.Running, 2, 20, string.Empty);
            p.Number(at + "/path/neededAtRatedFlow", "Machines needed at rated flow", path.NeededAtRatedFlow, 1, Math.Max(1, path.Running), string.Empty);
        }

        p.Require(
            load is FanLoad || common.PresentControl != PresentControl.InletVanes, at + "/presentControl", "Present control", "inlet vanes", "inlet vanes only on a fan");
        p.Require(common.VaneCurve.Count is 0 or (>= 2 and <= 30), at + "/vaneCurve", "Curve with inlet vanes", $"{common.VaneCurve.Count} points", "none, or 2 to 30");
        for (var i = 0; i < common.VaneCurve.Count; i++)
        {
            var vane = common.VaneCurve[i];
            p.Number($"{at}/vaneCurve/{i}/flowPu", "Flow", vane.FlowPu, i == 0 ? 0 : common.VaneCurve[i - 1].FlowPu, 1.2, "of rated", minExcluded: i > 0);
            p.Number($"{at}/vaneCurve/{i}/powerPu", "Power", vane.PowerPu, 0, 1.5, "of rated");
        }

        p.Require(
            common.PresentControl != PresentControl.Staged || common.Path is ParallelPath.Common, at + "/presentControl", "Present control", "machines staged", "staged machines only on a common path");
    }

    internal static void DutyHours(IReadOnlyList<DutyPoint> duty, string at, ProblemList p)
    {
        double hours = 0;
        for (var i = 0; i < duty.Count; i++)
        {
            p.Number($"{at}/duty/{i}/levelPu", "Level", duty[i].LevelPu, 0, 1.2, "of rated", minExcluded: true);
            p.Number($"{at}/duty/{i}/hoursPerYear", "Hours a year", duty[i].HoursPerYear, 0, HoursInYear, "h");
            hours += duty[i].HoursPerYear;
        }

        p.Require(duty.Count <= 50, at + "/duty", "Number of duty points", $"{duty.Count}", "up to 50");
        p.Require(
            hours <= HoursInYear + 1e-9 || double.IsNaN(hours), at + "/duty", "Sum of hours", FormattableString.Invariant($"{hours:0.##} h"), "at most 8760 h together");
    }
}
