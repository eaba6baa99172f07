using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the entries of one drive point.</summary>
internal static class DrivePointValidation
{
    private const double HoursInYear = 8760;

    public static void Check(DrivePoint point, string at, EngineeringData data, HashSet<string> motors, HashSet<string> converters,
        ProblemList p)
    {
        if (point.Motor is MotorChoice.FromCatalogue motor)
        {
            p.Require(motors.Contains(motor.ItemId), at + "/motor/itemId", "Motor", $"'{motor.ItemId}'",
                "an item of the catalogue or a motor of the project");
        }

        if (point.Converter is ConverterChoice.FromCatalogue converter)
        {
            p.Require(converters.Contains(converter.ItemId), at + "/converter/itemId", "Converter", $"'{converter.ItemId}'",
                "an item of the catalogue or a converter of the project");
            if (converter.Braking is Braking.Resistor resistor)
            {
                for (var i = 1; i < resistor.Pulses.Count; i++)
                {
                    p.Within<ResistorPulse>($"{at}/converter/braking/pulses/{i}", nameof(ResistorPulse.TimeS), resistor.Pulses[i].TimeS,
                        resistor.Pulses[i - 1].TimeS, double.MaxValue);
                }
            }
        }

        DeviceRelations(point.Devices.Device, at + "/devices/device", p);
        StarterValidation.Check(point.Converter, at + "/converter", data, p);
        p.Require(point.SkipBands.Count <= 4, at + "/skipBands", "Skip bands", $"{point.SkipBands.Count}", "up to 4");
        for (var i = 0; i < point.SkipBands.Count; i++)
        {
            var band = point.SkipBands[i];
            p.Within<SkipBand>($"{at}/skipBands/{i}", nameof(band.ToRpm), band.ToRpm, band.FromRpm, double.MaxValue, above: true);
        }

        CheckLoad(point.Load, at + "/load", p);
        StepUpValidation.Check(point.StepUp, at + "/stepUp", p);
        SunValidation.Check(point.Sun, at + "/sun", p);
    }

    // A release is set within the rating of its breaker; a maker's curve is whole and carries less than it clears.
    internal static void DeviceRelations(ProtectiveDevice device, string at, ProblemList p)
    {
        if (device is ProtectiveDevice.Fuse fuse)
        {
            OwnDeviceValidation.Curve(at, [fuse.Lasts10SA, fuse.Lasts01SA], [fuse.Clears5SA, fuse.Clears01SA], p);
        }
        else if (device is ProtectiveDevice.SemiconductorFuse aR)
        {
            OwnDeviceValidation.Curve(at, [aR.Lasts10SA, aR.Lasts01SA], null, p);
        }

        if (device is ProtectiveDevice.CircuitBreaker breaker)
        {
            p.Within<ProtectiveDevice.CircuitBreaker>(at, nameof(breaker.OverloadA), breaker.OverloadA, 0, breaker.RatedA,
                because: ", the rated current");
        }
        else if (device is ProtectiveDevice.MotorBreaker motor)
        {
            p.Within<ProtectiveDevice.MotorBreaker>(at, nameof(motor.OverloadA), motor.OverloadA, 0, motor.RatedA,
                because: ", the rated current");
        }
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
        if (load is PumpLoad pump)
        {
            Pump(pump, at, p);
        }

        var common = load.Common;
        at += "/common";
        DutyHours(common.Duty, at, p);
        if (common.Path is ParallelPath.Common path)
        {
            p.Within<ParallelPath.Common>(at + "/path", nameof(path.NeededAtRatedFlow), path.NeededAtRatedFlow, 1,
                Math.Max(1, path.Running));
        }

        p.Require(
            load is FanLoad || common.PresentControl != PresentControl.InletVanes, at + "/presentControl", "Existing flow control",
            "inlet vanes", "inlet vanes only on a fan");
        p.Require(common.VaneCurve.Count is 0 or (>= 2 and <= 30), at + "/vaneCurve", "Curve with inlet vanes",
            $"{common.VaneCurve.Count} points", "none, or 2 to 30");
        for (var i = 1; i < common.VaneCurve.Count; i++)
        {
            p.Within<VanePoint>($"{at}/vaneCurve/{i}", nameof(VanePoint.FlowPu), common.VaneCurve[i].FlowPu, common.VaneCurve[i - 1].FlowPu,
                double.MaxValue, above: true);
        }

        p.Require(
            common.PresentControl != PresentControl.Staged || common.Path is ParallelPath.Common, at + "/presentControl",
            "Existing flow control", "machines staged", "staged machines only on a common path");
    }

    private static void Pump(PumpLoad pump, string at, ProblemList p)
    {
        if (pump.RatedHeadM.IsKnown)
        {
            p.Within<PumpLoad>(at, nameof(PumpLoad.StaticHeadM), pump.StaticHeadM, 0, 0.99 * pump.RatedHeadM.Value,
                because: ", below the rated head");
        }

        p.Require(pump.Curve.Count is 0 or (>= 3 and <= 30), at + "/curve", "Curve of the pump", $"{pump.Curve.Count} points",
            "none, or 3 to 30");
        for (var i = 0; i < pump.Curve.Count; i++)
        {
            var (here, point) = ($"{at}/curve/{i}", pump.Curve[i]);
            if (i > 0)
            {
                // A curve that rises more with the flow than this is two points changed for each other.
                const double droop = 1.15;
                p.Within<PumpCurvePoint>(here, nameof(PumpCurvePoint.FlowM3PerS), point.FlowM3PerS, pump.Curve[i - 1].FlowM3PerS,
                    double.MaxValue, above: true);
                p.Within<PumpCurvePoint>(here, nameof(PumpCurvePoint.HeadM), point.HeadM, 0, droop * pump.Curve[i - 1].HeadM,
                    because: ": the head falls with the flow");
            }

            if (point.FlowM3PerS > 0)
            {
                p.Within<PumpCurvePoint>(here, nameof(PumpCurvePoint.Efficiency), point.Efficiency, 0, 0.95, above: true,
                    because: " where it delivers");
            }
        }
    }

    internal static void DutyHours(IReadOnlyList<DutyPoint> duty, string at, ProblemList p)
    {
        var hours = duty.Sum(d => d.HoursPerYear);

        p.Require(duty.Count <= 50, at + "/duty", "Number of duty points", $"{duty.Count}", "up to 50");
        p.Require(
            hours <= HoursInYear + 1e-9 || double.IsNaN(hours), at + "/duty", "Sum of hours",
            FormattableString.Invariant($"{hours:0.##} h"), "at most 8760 h together");
    }
}
