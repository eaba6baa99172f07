using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary>
/// Alternatives at equal delivered work: the existing flow control, across the line, every motor that can stand in the chosen one's
/// place on every family of converters that carries it, and the line at full level. See <c>docs/methods/alternatives.md</c>.
/// </summary>
public static class EnergyAlternatives
{
    private const double LeastResistorKw = 0.5;

    // The line takes over at full level only.
    private const double FullLevelPu = 0.995;

    /// <summary>Names of what is missing before alternatives can be compared.</summary>
    public static IEnumerable<string> Missing(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        foreach (var name in model.Missing())
        {
            yield return name;
        }

        if (model.Load is not null && !model.Load.Duty.Any(d => d.HoursPerYear > 0))
        {
            yield return "hours at each " + model.Load.LevelName;
        }
    }

    /// <summary>The drive whose alternatives can be compared; null while something is missing.</summary>
    public static CompleteDrive? Ready(DrivePointModel model) =>
        model is CompleteDrive drive && drive.Load.Duty.Any(d => d.HoursPerYear > 0) ? drive : null;

    /// <summary>Alternatives of a complete drive point, lowest life-cycle cost first.</summary>
    public static IReadOnlyList<EnergyAlternative> Of(CompleteDrive model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var list = new List<EnergyAlternative>();
        if (PresentWay.Of(model) is { } present)
        {
            list.Add(present);
        }

        var chosenMotor = model.MotorItem;
        var line = new LinePowers(model);
        if (model is DriveOnLine { Starter: var starter })
        {
            list.Add(OnLine(model, line, starter, true));
        }
        else if (chosenMotor.Plate.StartsOnTheLine && WorksOnLine(model))
        {
            list.Add(OnLine(model, line, AcrossTheLine, false));
        }

        var duty = new DutyPowers(model);
        if (model is DriveOnConverter { Input.Group: not null, Converter: { } part })
        {
            // A motor of a group has no converter of its own to choose.
            list.Add(On(model, duty, line, chosenMotor, model.Motor, part).First());
            return [.. list.OrderBy(a => a.Year.LifetimeCost)];
        }

        var fitting = new FittingConverters(model);
        foreach (var motor in MadeFor.Power(model.Data, chosenMotor.Plate.RatedPowerW)
            .Where(m => m.Id != chosenMotor.Id && IsAlternative(m, chosenMotor)
            && model.Input.Defaults.LeastMotorClass.Against(m).Length == 0).Prepend(chosenMotor))
        {
            foreach (var (lossModel, converter) in fitting.For(motor))
            {
                list.AddRange(On(model, duty, line, motor, lossModel, converter));
            }
        }

        return [.. list.OrderBy(a => a.Year.LifetimeCost).ThenBy(a => a.Id, StringComparer.Ordinal)];
    }

    /// <summary>What is specified, as it is in the table of alternatives, without the others; null where nothing drives it.</summary>
    public static EnergyAlternative? Chosen(CompleteDrive model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model switch
        {
            DriveOnLine { Starter: var starter } => OnLine(model, new LinePowers(model), starter, true),
            { Converter: { } converter } =>
                On(model, new DutyPowers(model), new LinePowers(model), model.MotorItem, model.Motor, converter).First(),
            _ => null,
        };
    }

    /// <summary>
    /// Motors that can stand in each other's place: the same power at nearly the same speed. DC and servo motors are bought for
    /// other reasons than energy.
    /// </summary>
    internal static bool IsAlternative(MotorItem motor, MotorItem chosen) =>
        motor.Plate.RatedPowerW == chosen.Plate.RatedPowerW
        && Math.Abs((motor.Plate.SynchronousSpeedRpm / chosen.Plate.SynchronousSpeedRpm) - 1) < 0.05
        && (motor.Technology == MotorTechnology.CageInduction ? Math.Abs(motor.Plate.RatedFrequencyHz - chosen.Plate.RatedFrequencyHz) < 1
            || chosen.Technology != MotorTechnology.CageInduction : true)
        && MadeFor.SameVoltage(motor.Plate.RatedVoltageV, chosen.Plate.RatedVoltageV)
        && motor.Technology is MotorTechnology.CageInduction or MotorTechnology.SynchronousReluctance or MotorTechnology.PermanentMagnet;

    /// <summary>Power at each point of the duty.</summary>
    internal static List<(DutyPoint Duty, MeanPower Power)> Points(LoadModel load, Func<double, MeanPower> power) =>
        [.. load.Duty.Where(d => d.HoursPerYear > 0).Select(d => (d, power(d.LevelPu)))];

    internal static EnergyAlternative Alternative(
        CompleteDrive model, string id, string way, string name, bool isChosen, double priceIndex,
        List<(DutyPoint Duty, MeanPower Power)> powers)
    {
        var count = model.Input.Group?.Count ?? 1;
        List<EnergyPoint> points = [.. powers.Select(p =>
            new EnergyPoint(p.Duty.LevelPu, p.Duty.HoursPerYear, count * p.Power.LineW, count * p.Power.LineVar))];
        return new EnergyAlternative(id, way, count > 1 ? $"{count} × {name}" : name, isChosen,
            YearlyEnergy.Of(points, count * priceIndex, model.Input.Tariff), points)
        {
            Returned = new ReturnedEnergy(count * powers.Sum(p => p.Power.BurntW * p.Duty.HoursPerYear) / 1e3,
                count * powers.Sum(p => p.Power.ToLineW * p.Duty.HoursPerYear) / 1e3),
        };
    }

    private static StarterAtSite AcrossTheLine { get; } = new(new ConverterChoice.AcrossTheLine(TripClass.Class10, 0, string.Empty), null);

    private static IEnumerable<EnergyAlternative> On(CompleteDrive model, DutyPowers duty, LinePowers line, MotorItem motor,
        MotorLossModel lossModel, ConverterAtSite converter)
    {
        var item = converter.Item;
        var isChosenMotor = motor.Id == model.MotorItem.Id;
        var filterPrice = 1 + ((model.Filter?.PricePct ?? 0) / 100);
        var powers = duty.On(lossModel, converter);
        var parts = PartSpeedOf(model, lossModel, converter);
        var builtIn = item.FrontEnd is FrontEnd.Direct { HasBypass: true };
        var bypassed = isChosenMotor && (builtIn || item.IsUsual) ? Bypassed(model, line, item, powers) : null;
        var name = $"{ItemText.Motor(motor)} motor, {ItemText.Converter(item)}";
        var isChosen = isChosenMotor && ReferenceEquals(converter, model.Converter);
        yield return Alternative(
            model, motor.Id + "+" + item.Id, item.Family, name, isChosen,
            motor.PriceIndex + (item.PriceIndex * filterPrice) + ResistorPrice(model, powers), builtIn && bypassed is not null
                ? bypassed
                : powers)
            with
        { PartSpeedBy = parts, Motor = ItemText.Motor(motor), HasChosenMotor = isChosenMotor, RunsOnLine = builtIn
            && bypassed is not null };

        if (!builtIn && bypassed is not null)
        {
            var price = motor.PriceIndex + (item.PriceIndex * (filterPrice + (model.Input.Defaults.BypassPricePct / 100)));
            yield return Alternative(
                model, motor.Id + "+" + item.Id + "+bypass", item.Family + "+bypass", name + $", bypassed at full {model.Load.LevelName}",
                false, price, bypassed)
                with
            { PartSpeedBy = parts, RunsOnLine = true };
        }
    }

    // What comes back in every cycle needs a resistor where it can't return; its size is the mean at the busiest level.
    private static double ResistorPrice(CompleteDrive model, List<(DutyPoint Duty, MeanPower Power)> powers)
    {
        var burntKw = powers.Select(p => p.Power.BurntW).DefaultIfEmpty(0).Max() / 1e3;
        return burntKw > 0 ? Math.Max(LeastResistorKw, burntKw) * model.Input.Defaults.ResistorPricePointsPerKw : 0;
    }

    private static EnergyAlternative OnLine(CompleteDrive model, LinePowers line, StarterAtSite starter, bool isChosen)
    {
        var powers = Points(model.Load, level => line.At(level, starter.RunningLossW));
        return Alternative(
            model, model.MotorItem.Id + "+starter", "line", $"{ItemText.Motor(model.MotorItem)} motor, {starter.Name}", isChosen,
            model.MotorItem.PriceIndex + starter.PriceIndex, powers) with
        { RunsOnLine = true };
    }

    // Equal work is delivered on the line by fans and pumps, throttled, and by what runs at its rated level only.
    private static bool WorksOnLine(CompleteDrive model) =>
        model.Load.Cycle is null && (model.Load is FluidMachineModel || model.Load.Duty.All(d => d.LevelPu == 1 || d.HoursPerYear == 0))
        && model.Load.PointsAt(1).Count == 1 && SpeedOfTheLine(model);

    // At full level the line takes over when the process stands the line's speed; auxiliaries of the converter stay on.
    private static List<(DutyPoint Duty, MeanPower Power)>? Bypassed(CompleteDrive model, LinePowers line,
        ConverterItem item, List<(DutyPoint Duty, MeanPower Power)> powers)
    {
        if (!model.MotorItem.Plate.StartsOnTheLine || model.Load.Cycle is not null || !SpeedOfTheLine(model)
            || powers.All(p => p.Duty.LevelPu < FullLevelPu))
        {
            return null;
        }

        return [.. powers.Select(p => p.Duty.LevelPu < FullLevelPu ? p : (p.Duty, line.At(p.Duty.LevelPu, item.StandbyW)))];
    }

    private static bool SpeedOfTheLine(CompleteDrive model) =>
        Math.Abs((model.Load.RatedSpeedRpm / model.Motor.Plate.RatedSpeedRpm) - 1) < 0.03
            && model.Motor.Plate.RatedFrequencyHz == model.Input.FrequencyHz;

    // A method of its own, so that what is kept for later is these three and not all that a table is made of.
    private static Func<IReadOnlyList<PartSpeedPoint>> PartSpeedOf(CompleteDrive model, MotorLossModel motor, ConverterAtSite converter) =>
        () => PartSpeed(model, motor, converter);

    private static List<PartSpeedPoint> PartSpeed(CompleteDrive model, MotorLossModel motor, ConverterAtSite converter)
    {
        var load = model.Load;
        var points = new List<PartSpeedPoint>();
        foreach (var part in new[] { 1, 0.75, 0.5, 0.4, 0.25 })
        {
            var rpm = part * load.RatedSpeedRpm;
            var torque = load.TorqueAtSpeedNm(rpm);
            if (torque > 0)
            {
                var point = model.PointOf(new ShaftPoint(part, rpm, torque), motor, converter);
                points.Add(new PartSpeedPoint(part, 100 * point.Efficiency, point.LineW));
            }
        }

        return points;
    }
}
