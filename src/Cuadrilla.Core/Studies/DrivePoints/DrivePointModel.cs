using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Starting;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary>What one drive point's studies rest on. Equal by value: the key under which they are kept.</summary>
public sealed record DrivePointInput(
    DrivePoint DrivePoint, Site Site, Tariff Tariff, double BusVoltageV, double FrequencyHz, DefaultsInForce Defaults, OwnMotor? Own = null, OwnConverter? OwnConverter = null, bool OnDcBus = false, GroupFeed? Group = null);

/// <summary>What a motor of a group is fed by.</summary>
/// <param name="GroupId">Key of the group.</param>
/// <param name="Choice">The group's converter; null while none is chosen.</param>
/// <param name="Feeder">Its feeder.</param>
/// <param name="PartPu">Part of the converter that one motor of this kind uses: its rated current over the sum of all; 0 while a motor is missing.</param>
/// <param name="Count">Motors of this kind.</param>
/// <param name="IsHead">True for the member whose converter it is.</param>
public sealed record GroupFeed(string GroupId, ConverterChoice.FromCatalogue? Choice, Feeder Feeder, double PartPu, int Count, bool IsHead);

/// <summary>
/// A drive point resolved against the catalogue: the models of its load, motor, cables and converter, as far as they are
/// known, and the operating point at any flow.
/// </summary>
public sealed class DrivePointModel
{
    // What its models are made of threw: nothing of it can be judged.
    private DrivePointModel(DrivePointInput input, EngineeringData data, Fault fault)
    {
        (Input, Data, Fault, LoadMissing) = (input, data, fault, ["not judged: " + fault.What]);
    }

    private DrivePointModel(DrivePointInput input, EngineeringData data)
    {
        Input = input;
        Data = data;
        var point = input.DrivePoint;
        Load = LoadModels.Build(point.Load, input.Defaults.Loads, out var missing);
        LoadMissing = missing;

        Cable = CableOf(point.Cable.LengthM, point.Cable.CrossSectionMm2, point.Cable.ParallelRuns, point.Cable.Material, input.Defaults);
        Choice = input.Group?.Choice ?? point.Converter as ConverterChoice.FromCatalogue;
        if (Choice is { } converter && ItemOf(converter.ItemId, input, data) is { } catalogueItem)
        {
            WholeItem = converter.Modules > 1 ? catalogueItem.Times(converter.Modules, input.Defaults.Lineups.ModuleSharePu) : catalogueItem;
            Converter = new ConverterAtSite(
                input.Group is { } group ? WholeItem.Times(group.PartPu) : WholeItem, converter.Duty, converter.SwitchingKhz, input.Site, converter.Feed);
            Filter = data.OutputFilters.FirstOrDefault(f => f.Kind == converter.Filter);
        }

        Starter = StarterAtSite.Of(point.Converter, data);
        if (point.Motor is MotorChoice.FromCatalogue motor)
        {
            MotorChoice = motor;
            var item = input.Own?.Id == motor.ItemId ? input.Own.Item(data.Motors.Values.Where(m => m.OwnName.Length == 0)) : data.Motors.GetValueOrDefault(motor.ItemId);
            if (item is not null)
            {
                (Connected, Voltage) = Linked(item.Plate, motor.Connection, Converter?.Item, Filter);
                Motor = LossModel(Connected);
                MotorItem = item;
                Budget = BudgetFor(input, motor, item.Plate);
            }
        }

        // Of a feeder that carries a whole group each motor sees so much more as it has less of its current.
        WholeFeeder = (input.Group?.Feeder ?? point.Feeder) switch
        {
            Specification.Feeder.OnBusbar => Complex.Zero,
            Specification.Feeder.ByCable c => CableOf(c.LengthM, c.CrossSectionMm2, c.ParallelRuns, c.Material, input.Defaults),
            _ => throw new InvalidOperationException("Unknown feeder."),
        };
        Feeder = input.Group is { PartPu: > 0 } part ? WholeFeeder / part.PartPu : WholeFeeder;
    }

    /// <summary>What it was made from.</summary>
    public DrivePointInput Input { get; }

    /// <summary>The catalogue.</summary>
    public EngineeringData Data { get; }

    /// <summary>What threw while it was resolved; null when nothing did.</summary>
    public Fault? Fault { get; }

    /// <summary>The drive point's key.</summary>
    public string Id => Input.DrivePoint.Id;

    /// <summary>Load model, or null while entries are missing.</summary>
    public LoadModel? Load { get; }

    /// <summary>Names of the load's missing entries.</summary>
    public IReadOnlyList<string> LoadMissing { get; }

    /// <summary>Choice of the motor, or null.</summary>
    public MotorChoice.FromCatalogue? MotorChoice { get; }

    /// <summary>Catalogue item of the motor, or null.</summary>
    public MotorItem? MotorItem { get; }

    /// <summary>The motor's plate as linked and fed, or null.</summary>
    public ConnectedMotor? Connected { get; }

    /// <summary>Loss model of the motor, or null.</summary>
    public MotorLossModel? Motor { get; }

    /// <summary>Thermal budget of the motor, or null.</summary>
    public ThermalBudget? Budget { get; }

    /// <summary>Choice of the converter, of its group where it has one; null without.</summary>
    public ConverterChoice.FromCatalogue? Choice { get; }

    /// <summary>All modules of the converter, that of the whole group where it feeds one; null without.</summary>
    public ConverterItem? WholeItem { get; }

    /// <summary>Converter at this site, or the part of it that one motor of a group uses; null without.</summary>
    public ConverterAtSite? Converter { get; }

    /// <summary>Filter at the converter's output, or null.</summary>
    public OutputFilterItem? Filter { get; }

    /// <summary>The way of the voltage to the motor, or null without motor.</summary>
    public OutputVoltage? Voltage { get; }

    /// <summary>Time the warm rotor stands locked at full voltage, s, as its maker states it; NaN when it is not stated.</summary>
    public double StallTimeS => Connected?.Plate.Limits.StallTimeS is { IsKnown: true } stated ? stated.Value : double.NaN;

    /// <summary>Starter of a motor that runs on the line, or null.</summary>
    public StarterAtSite? Starter { get; }

    /// <summary>How the motor is fed when it runs.</summary>
    public MotorFeed Feed => Starter is null && Filter is not { Sinusoidal: true } ? MotorFeed.Converter : MotorFeed.Line;

    /// <summary>Motor cable, ohm per phase, or null while entries are missing.</summary>
    public Complex? Cable { get; }

    /// <summary>Feeder, ohm per phase, as one motor sees it; null while entries are missing.</summary>
    public Complex? Feeder { get; }

    /// <summary>Feeder of the converter, ohm per phase; null while entries are missing.</summary>
    public Complex? WholeFeeder { get; }

    /// <summary>Builds the model.</summary>
    public static DrivePointModel Build(DrivePointInput input, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(data);
        try
        {
            return new DrivePointModel(input, data);
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return new DrivePointModel(input, data, Fault.Of($"models of {input.DrivePoint.Tag}", problem));
        }
    }

    /// <summary>Loss model of a motor in this place, its flux lowered at light load where the converter does so.</summary>
    public MotorLossModel LossModel(ConnectedMotor connected)
    {
        ArgumentNullException.ThrowIfNull(connected);
        return new MotorLossModel(connected.Plate, connected.BaseFrequencyPu, Choice is { LightLoadFlux: LightLoadFlux.Lowered } ? Input.Defaults.LightLoadFluxPu : 1);
    }

    /// <summary>Thermal budget for a motor choice at a site.</summary>
    public static ThermalBudget BudgetFor(DrivePointInput input, MotorChoice.FromCatalogue choice, MotorPlate plate)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(choice);
        ArgumentNullException.ThrowIfNull(plate);
        return new ThermalBudget(
            input.Site.AmbientMaxC,
            input.Site.AltitudeM,
            choice.Cooling,
            choice.RiseUsed == ThermalClass.B ? input.Defaults.RiseClassBK : input.Defaults.RiseClassFK,
            plate.Limits.RatedRiseK is { IsKnown: true } rise ? rise.Value : input.Defaults.RiseClassFK,
            input.Defaults.OwnFanStandstillPu);
    }

    /// <summary>Names of what is missing for operating points, in the order of the board.</summary>
    public IEnumerable<string> Missing(bool withConverter)
    {
        foreach (var name in LoadMissing)
        {
            yield return name;
        }

        if (Motor is null)
        {
            yield return "motor";
        }

        if (withConverter && Converter is null && Starter is null)
        {
            yield return "converter";
        }

        if (withConverter && Input.Group is { PartPu: <= 0 })
        {
            yield return "motors of all members of its group";
        }

        if (withConverter && Starter is not null && Motor is { Plate.StartsOnTheLine: false })
        {
            yield return "a motor that starts on the line";
        }

        if (withConverter && Motor is not null && Converter is not null)
        {
            if (Mismatch(Motor.Plate, Converter.Item, Input.OnDcBus) is { Length: > 0 } mismatch)
            {
                yield return mismatch;
            }
        }

        if (withConverter && Cable is null)
        {
            yield return "length and cross-section of the motor cable";
        }

        if (withConverter && Feeder is null)
        {
            yield return "length and cross-section of the feeder";
        }
    }

    /// <summary>Points at which the drive works for ever: every level of the duty, every diameter of a winder; none in a cycle.</summary>
    public IEnumerable<ShaftPoint> SteadyPoints() => Load is null || Load.Cycle is not null
        ? []
        : Starter is null || Motor is null ? Load.Levels().SelectMany(Load.SizingPointsAt).Concat(Alone(1))
        : Load.Levels().Select(l => LineShaft.Of(this, l).Shaft).Concat(Alone(LineShaft.Of(this, 1).Shaft.SpeedRpm / Load.RatedSpeedRpm));

    private IEnumerable<ShaftPoint> Alone(double speedPu) => Load!.Alone(speedPu) is { } alone ? [alone] : [];

    /// <summary>Operating point from shaft to busbar at a level; requires everything that <see cref="Missing"/> names.</summary>
    /// <param name="levelPu">Flow, speed or rate of cycles, parts of the rated.</param>
    /// <param name="loadPu">Torque in parts of what the load asks for there.</param>
    /// <exception cref="InvalidOperationException">Something is missing.</exception>
    public OperatingPoint At(double levelPu, double loadPu = 1)
    {
        if (Starter is not null && Load is not null && Motor is not null && Cable is not null && Feeder is not null)
        {
            var (shaftOnLine, motorOnLine) = LineShaft.Of(this, levelPu, loadPu);
            return OnLine(shaftOnLine, motorOnLine, Starter.RunningLossW);
        }

        if (Load is null || Motor is null || Converter is null || Cable is null || Feeder is null)
        {
            throw new InvalidOperationException("The drive point is not complete.");
        }

        var shaft = Load.At(levelPu);
        return PointOf(shaft with { TorqueNm = shaft.TorqueNm * loadPu });
    }

    /// <summary>The chain behind the chosen converter and filter, or another motor or converter in their place.</summary>
    internal OperatingPoint PointOf(ShaftPoint shaft, MotorLossModel? motor = null, ConverterAtSite? converter = null) =>
        OperatingPoint.Of(shaft, motor ?? Motor!, converter ?? Converter!, Filter, Cable!.Value, Feeder!.Value);

    /// <summary>The same with the motor's point already known.</summary>
    internal OperatingPoint PointOf(ShaftPoint shaft, MotorPoint motorPoint, MotorLossModel motor, ConverterAtSite converter) =>
        OperatingPoint.Of(shaft, motorPoint, motor, converter, Filter, Cable!.Value, Feeder!.Value);

    /// <summary>How a motor behind the converter is fed.</summary>
    internal MotorFeed ConverterFeed => OperatingPoint.FeedOf(Filter);

    /// <summary>The chain of the motor on the line.</summary>
    internal OperatingPoint OnLine(ShaftPoint shaft, in MotorPoint motor, double bypassW) => OperatingPoint.OnLine(shaft, motor, bypassW, Cable!.Value, Feeder!.Value);

    /// <summary>A plate linked and fed at this place by a converter and filter, and the way of the voltage to it.</summary>
    internal (ConnectedMotor Connected, OutputVoltage Voltage) Linked(MotorPlate plate, MotorConnection connection, ConverterItem? converter, OutputFilterItem? filter)
    {
        var supply = OutputVoltage.SupplyOf(converter, Input.BusVoltageV);
        var asLinked = ConnectedMotor.Of(plate, connection, supply, supply);
        var voltage = OutputVoltage.Of(asLinked.Plate, converter, filter, Cable, Input.BusVoltageV);
        return (ConnectedMotor.Of(plate, connection, supply, Math.Max(voltage.AtMotorV, 0.05 * supply)), voltage);
    }

    /// <summary>Why a converter can't feed a motor; empty when it can.</summary>
    internal static string Mismatch(MotorPlate plate, ConverterItem item, bool onDcBus)
    {
        var isDcMotor = plate.Technology == MotorTechnology.DcSeparatelyExcited;
        return (isDcMotor, item.FrontEnd) switch
        {
            (true, not FrontEnd.Thyristor) => "a thyristor converter for the DC motor",
            (false, FrontEnd.Thyristor) => "a motor that a thyristor converter can feed (DC)",
            (_, FrontEnd.DcLink) when !onDcBus => "a common DC bus for the inverter module",
            (_, not FrontEnd.DcLink) when onDcBus => "an inverter module, since it hangs on a common DC bus",
            _ => string.Empty,
        };
    }

    private static ConverterItem? ItemOf(string id, DrivePointInput input, EngineeringData data) => input.OwnConverter?.Id == id
        ? input.OwnConverter.Item(data.Converters.Values.Where(c => c.OwnName.Length == 0))
        : data.Converters.GetValueOrDefault(id);

    private static Complex? CableOf(Given lengthM, Given crossSectionMm2, int runs, ConductorMaterial material, DefaultsInForce defaults) =>
        lengthM.IsKnown && crossSectionMm2.IsKnown
            ? CableImpedance.Of(
                lengthM.Value,
                crossSectionMm2.Value,
                runs,
                material == ConductorMaterial.Copper ? defaults.CopperOhmMm2PerM : defaults.AluminiumOhmMm2PerM,
                defaults.CableReactanceOhmPerM)
            : null;
}
