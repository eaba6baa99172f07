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
/// <param name="PartSpeed">Efficiency from busbar to shaft at part speeds; empty where the speed can't be adjusted.</param>
public sealed record EnergyAlternative(
    string Id, string Name, bool IsChosen, YearlyEnergy Year, IReadOnlyList<EnergyPoint> Points, IReadOnlyList<PartSpeedPoint> PartSpeed)
{
    /// <summary>
    /// True when it runs on the line some of the time: shown for comparison, but another way of working, so that the chosen
    /// one is not held against it.
    /// </summary>
    public bool RunsOnLine { get; init; }
}

/// <summary>Efficiency at a part of the rated speed, on this load.</summary>
/// <param name="SpeedPu">Speed in parts of the rated.</param>
/// <param name="EfficiencyPct">Shaft power over line power, %.</param>
/// <param name="LineW">Line power, W.</param>
public readonly record struct PartSpeedPoint(double SpeedPu, double EfficiencyPct, double LineW);

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
            list.Add(OnLine(model, starter, true));
        }
        else if (chosenMotor.Plate.StartsOnTheLine && WorksOnLine(model))
        {
            list.Add(OnLine(model, new StarterAtSite(new Converters.ConverterChoice.AcrossTheLine(Converters.Starting.TripClass.Class10, 0, string.Empty), null), false));
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
                    points,
                    PartSpeed(model, lossModel, converter)));
                if (motor.Id == chosenMotor.Id && item.ChokePct > 0 && Bypassed(model, points) is { } bypassed)
                {
                    var price = motor.PriceIndex + (item.PriceIndex * (1 + (model.Input.Defaults.BypassPricePct / 100)));
                    list.Add(new EnergyAlternative(
                        motor.Id + "+" + item.Id + "+bypass", $"{Text.Motor(motor)} motor, converter with choke, bypassed at full {model.Load!.LevelName}", false,
                        YearlyEnergy.Of(bypassed, price, model.Input.Tariff), bypassed, PartSpeed(model, lossModel, converter)) { RunsOnLine = true });
                }
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

    private static EnergyAlternative OnLine(DrivePointModel model, StarterAtSite starter, bool isChosen)
    {
        var points = Points(model.Load!, level => OperatingPoint.OnLine(
            model.Load!.Cycle is null ? LineShaft.Of(model, level) : model.Load.At(level), model.Motor!, starter, model.Cable!.Value, model.Feeder!.Value).LineW);
        return new EnergyAlternative(
            model.MotorItem!.Id + "+starter", $"{Text.Motor(model.MotorItem)} motor, {starter.Name}", isChosen,
            YearlyEnergy.Of(points, model.MotorItem.PriceIndex + starter.PriceIndex, model.Input.Tariff), points, []) { RunsOnLine = true };
    }

    // Equal work is delivered on the line by fans and pumps, throttled, and by what runs at its rated level only.
    private static bool WorksOnLine(DrivePointModel model) =>
        model.Load!.Cycle is null && (model.Load is FluidMachineModel || model.Load.Duty.All(d => d.LevelPu == 1 || d.HoursPerYear == 0))
        && model.Load.PointsAt(1).Count == 1 && SpeedOfTheLine(model);

    // At full level the line takes over when the process stands the line's speed.
    private static IReadOnlyList<EnergyPoint>? Bypassed(DrivePointModel model, IReadOnlyList<EnergyPoint> points)
    {
        if (!model.MotorItem!.Plate.StartsOnTheLine || model.Load!.Cycle is not null || !SpeedOfTheLine(model) || points.All(p => p.LevelPu < 0.995 || p.HoursPerYear == 0))
        {
            return null;
        }

        var direct = new StarterAtSite(new Converters.ConverterChoice.AcrossTheLine(Converters.Starting.TripClass.Class10, 0, string.Empty), null);
        return
        [
            .. points.Select(p => p.LevelPu < 0.995
                ? p
                : p with { LineW = OperatingPoint.OnLine(LineShaft.Of(model, p.LevelPu), model.Motor!, direct, model.Cable!.Value, model.Feeder!.Value).LineW }),
        ];
    }

    private static bool SpeedOfTheLine(DrivePointModel model) =>
        Math.Abs((model.Load!.RatedSpeedRpm / model.Motor!.Plate.RatedSpeedRpm) - 1) < 0.03 && model.Motor.Plate.RatedFrequencyHz == model.Input.FrequencyHz;

    private static List<PartSpeedPoint> PartSpeed(DrivePointModel model, MotorLossModel motor, ConverterAtSite converter)
    {
        var load = model.Load!;
        var points = new List<PartSpeedPoint>();
        foreach (var part in new[] { 1, 0.75, 0.5, 0.4, 0.25 })
        {
            var rpm = part * load.RatedSpeedRpm;
            var torque = load.TorqueAtSpeedNm(rpm);
            if (torque > 0)
            {
                var point = OperatingPoint.Of(new ShaftPoint(part, rpm, torque), motor, converter, model.Cable!.Value, model.Feeder!.Value);
                points.Add(new PartSpeedPoint(part, 100 * point.Efficiency, point.LineW));
            }
        }

        return points;
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
            "present", $"As today: {name}, {plate.EfficiencyClass} motor across the line", false, YearlyEnergy.Of(points, 0, model.Input.Tariff), points, []);
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
