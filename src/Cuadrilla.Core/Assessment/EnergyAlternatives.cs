using Cuadrilla.Core.Energy;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Assessment;

/// <summary>One way of delivering the same flow over the same hours.</summary>
/// <param name="Id">Stable key: <c>present</c>, or motor and converter item.</param>
/// <param name="Name">What it is.</param>
/// <param name="IsChosen">True for what the engineer has specified.</param>
/// <param name="Year">Energy and cost.</param>
/// <param name="Points">Line power at each point of the duty.</param>
public sealed record EnergyAlternative(string Id, string Name, bool IsChosen, YearlyEnergy Year, IReadOnlyList<EnergyPoint> Points);

/// <summary>
/// Alternatives at equal delivered flow: the present control across the line, and each efficiency class with and without
/// choke in the chosen sizes. See <c>docs/methods/yearly-energy.md</c>.
/// </summary>
public static class EnergyAlternatives
{
    /// <summary>Names of what is missing before alternatives can be compared.</summary>
    public static IEnumerable<string> Missing(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        foreach (var name in model.Missing(withConverter: true))
        {
            yield return name;
        }

        if (model.Load is not null && !model.Load.Duty.Any(d => d.HoursPerYear > 0))
        {
            yield return "hours at each " + model.Load.LevelName;
        }
    }

    /// <summary>Alternatives of a complete drive point, cheapest lifetime first.</summary>
    public static IReadOnlyList<EnergyAlternative> Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var list = new List<EnergyAlternative>();
        var present = Present(model);
        if (present is not null)
        {
            list.Add(present);
        }

        var chosenMotor = model.MotorItem!;
        var chosenConverter = model.Converter;
        var motors = model.Data.Motors.Values
            .Where(m => m.Id != chosenMotor.Id && IsAlternative(m, chosenMotor))
            .Prepend(chosenMotor)
            .ToList();
        if (model.Starter is { } starter)
        {
            var points = Points(model.Load!, level => MeanLineW(model, model.Motor!, null, level));
            list.Add(new EnergyAlternative(
                chosenMotor.Id + "+starter", $"{Text.Motor(chosenMotor)} motor, {starter.Name}", true,
                YearlyEnergy.Of(points, chosenMotor.PriceIndex + starter.PriceIndex, model.Input.Tariff), points));
        }

        var (duty, khz) = chosenConverter is { } c ? (c.Duty, c.SwitchingKhz) : (Converters.OverloadDuty.Light, 4.0);
        var sizeKw = chosenConverter?.Item.RatedKw ?? SizeFor(model);
        var converters = model.Data.Converters.Values.Where(c => c.RatedKw == sizeKw).ToList();
        foreach (var motor in motors)
        {
            var connected = ConnectedMotor.Of(motor.Plate, MotorConnection.Fitting, model.Input.BusVoltageV);
            var lossModel = motor.Id == chosenMotor.Id ? model.Motor! : new MotorLossModel(connected.Plate, connected.BaseFrequencyPu);
            foreach (var item in converters)
            {
                var converter = new ConverterAtSite(item, duty, khz, model.Input.Site);
                var points = Points(model.Load!, level => MeanLineW(model, lossModel, converter, level));
                list.Add(new EnergyAlternative(
                    motor.Id + "+" + item.Id,
                    $"{Text.Motor(motor)} motor, converter {(item.ChokePct > 0 ? "with choke" : "without choke")}",
                    motor.Id == chosenMotor.Id && item.Id == chosenConverter?.Item.Id,
                    YearlyEnergy.Of(points, motor.PriceIndex + item.PriceIndex, model.Input.Tariff),
                    points));
            }
        }

        return [.. list.OrderBy(a => a.Year.LifetimeCost).ThenBy(a => a.Id, StringComparer.Ordinal)];
    }

    /// <summary>Shaft point of the present control at a flow; null when none is stated.</summary>
    public static FluidPoint? PresentShaft(FluidMachineModel load, IReadOnlyList<CurvePoint> inletVanes, double flowPu)
    {
        ArgumentNullException.ThrowIfNull(load);
        return load.Common.PresentControl switch
        {
            PresentControl.OutletThrottle => load.Throttled(flowPu),
            PresentControl.Bypass => load.Bypassed(flowPu),
            PresentControl.InletVanes => new FluidPoint(flowPu, load.RatedSpeedRpm, 1, 1, load.RatedPowerW * Curve.At(VanesOf(load, inletVanes), flowPu)),
            PresentControl.OnOff => load.OnOff(flowPu),
            PresentControl.TwoSpeedHalf => load.TwoSpeed(flowPu, 1.0 / 2),
            PresentControl.TwoSpeedTwoThirds => load.TwoSpeed(flowPu, 2.0 / 3),
            PresentControl.Staged => load.Staged(flowPu) is var (running, share) ? running with { PowerW = running.PowerW * share } : null,
            PresentControl.NotStated => null,
            _ => throw new InvalidOperationException("Unknown present control."),
        };
    }

    // The smallest converter of the catalogue for the chosen motor.
    private static double SizeFor(DrivePointModel model) => model.Data.Converters.Values
        .Select(c => c.RatedKw)
        .Where(kw => kw >= model.MotorItem!.Plate.RatedPowerW / 1e3)
        .DefaultIfEmpty(model.Data.Converters.Values.Max(c => c.RatedKw))
        .Min();

    private static IReadOnlyList<CurvePoint> VanesOf(FluidMachineModel load, IReadOnlyList<CurvePoint> catalogue) =>
        load.Common.VaneCurve.Count == 0 ? catalogue : [.. load.Common.VaneCurve.Select(p => new CurvePoint(p.FlowPu, p.PowerPu))];

    // Motors that can stand in each other's place: the same power at nearly the same speed. DC and servo motors are bought for
    // other reasons than energy.
    private static bool IsAlternative(MotorItem motor, MotorItem chosen) =>
        motor.Plate.RatedPowerW == chosen.Plate.RatedPowerW
        && Math.Abs((motor.Plate.SynchronousSpeedRpm / chosen.Plate.SynchronousSpeedRpm) - 1) < 0.05
        && motor.Technology is MotorTechnology.CageInduction or MotorTechnology.SynchronousReluctance or MotorTechnology.PermanentMagnet;

    // The present machine is already paid for: its price is zero. It is taken to run across the line with a motor of the
    // chosen size in the lowest class of the catalogue.
    private static EnergyAlternative? Present(DrivePointModel model)
    {
        if (model.Load is not FluidMachineModel load || load.Common.PresentControl == PresentControl.NotStated)
        {
            return null;
        }

        var plate = model.Data.Motors.Values
            .Where(m => m.Technology == MotorTechnology.CageInduction && IsAlternative(m, model.MotorItem!))
            .MinBy(m => m.Plate.Efficiency);
        if (plate is null)
        {
            return null;
        }

        var motor = new MotorLossModel(plate.Plate);
        var points = Points(load, flow =>
        {
            // Staged machines that stand still lose nothing: the mean is of those that run.
            var (shaft, share) = load.Common.PresentControl == PresentControl.Staged ? load.Staged(flow) : (PresentShaft(load, model.Data.InletVanes, flow)!.Value, 1);
            var point = motor.At(shaft.SpeedRpm, shaft.TorqueNm, MotorFeed.Line);
            return share * (point.InputW + (3 * model.Cable!.Value.Real * point.CurrentA * point.CurrentA));
        });
        var name = load.Common.PresentControl switch
        {
            PresentControl.OutletThrottle => model.Input.DrivePoint.Load is FanLoad ? "outlet damper" : "throttling valve",
            PresentControl.InletVanes => "inlet vanes",
            PresentControl.OnOff => "on and off",
            PresentControl.TwoSpeedHalf => "two speeds 1 : 2",
            PresentControl.TwoSpeedTwoThirds => "two speeds 2 : 3",
            PresentControl.Staged => "machines staged",
            _ => "bypass",
        };
        return new EnergyAlternative(
            "present", $"As today: {name}, {plate.EfficiencyClass} motor across the line", false, YearlyEnergy.Of(points, 0, model.Input.Tariff), points);
    }

    /// <summary>
    /// Mean power at the busbar at a level, W: over all diameters of a winder, over the cycle where there is one. What comes
    /// back is burnt, since a diode front end lets nothing through.
    /// </summary>
    internal static double MeanLineW(DrivePointModel model, MotorLossModel motor, ConverterAtSite? converter, double levelPu)
    {
        if (converter is null)
        {
            var onLine = model.Load!.Cycle is null ? LineShaft.Of(model, levelPu) : model.Load.At(levelPu);
            return OperatingPoint.OnLine(onLine, motor, model.Starter!, model.Cable!.Value, model.Feeder!.Value).LineW;
        }

        double LineW(ShaftPoint shaft) => OperatingPoint.Of(shaft, motor, converter, model.Cable!.Value, model.Feeder!.Value).LineW;
        var load = model.Load!;
        if (load.Cycle is not { } cycle)
        {
            return load.PointsAt(levelPu).Average(LineW);
        }

        var energyJ = 0.0;
        foreach (var s in cycle.Stretches)
        {
            var torque = LoadCycle.TorqueNm(s, motor.Plate.InertiaKgM2);
            var rests = torque == 0 && s.MeanRpm == 0;
            energyJ += s.DurationS * (rests ? converter.Item.StandbyW : LineW(new ShaftPoint(levelPu, Math.Abs(s.MeanRpm), torque * (s.MeanRpm < 0 ? -1 : 1))));
        }

        // Fewer cycles an hour leave the drive standing in between.
        return (levelPu * energyJ / cycle.DurationS) + (Math.Max(0, 1 - levelPu) * converter.Item.StandbyW);
    }

    private static List<EnergyPoint> Points(LoadModel load, Func<double, double> lineW) =>
        [.. load.Duty.Where(d => d.HoursPerYear > 0).Select(d => new EnergyPoint(d.LevelPu, d.HoursPerYear, lineW(d.LevelPu)))];
}
