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

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>
/// A drive point resolved against the catalogue, as far as it is known. What is complete is a <see cref="DriveOnConverter"/> or a
/// <see cref="DriveOnLine"/>, both a <see cref="CompleteDrive"/>; on the way there a <see cref="CabledMotor"/> has what a start
/// across the line asks for, a <see cref="LoadedMotor"/> what a motor is judged by. Anything else only says what it lacks.
/// </summary>
public class DrivePointModel
{
    // Part of a linked voltage that a tap has to give for a motor to be linked for it.
    private const double ReachedPu = 0.97;

    /// <summary>A drive point of which no more is known than of another.</summary>
    private protected DrivePointModel(DrivePointModel known)
    {
        (Input, Data, Fault, Load, LoadMissing, Fitted) = (known.Input, known.Data, known.Fault, known.Load, known.LoadMissing,
            known.Fitted);
        (Choice, WholeItem, Converter, Filter, Starter) = (known.Choice, known.WholeItem, known.Converter, known.Filter, known.Starter);
        (Cable, Feeder, WholeFeeder) = (known.Cable, known.Feeder, known.WholeFeeder);
        (StepUp, StepUpMissing) = (known.StepUp, known.StepUpMissing);
    }

    // What its models are made of threw: nothing of it can be judged.
    private DrivePointModel(DrivePointInput input, EngineeringData data, Fault fault) =>
        (Input, Data, Fault, LoadMissing, StepUpMissing) = (input, data, fault, ["not judged: " + fault.What], []);

    private DrivePointModel(DrivePointInput input, EngineeringData data)
    {
        Input = input;
        Data = data;
        var point = input.DrivePoint;
        Load = LoadModels.Build(point.Load, input.Defaults.Loads, out var missing);
        LoadMissing = missing;

        var motorItem = MotorOf(point.Motor, input, data);
        StepUp = StepUpAtSite.Of(point, motorItem is null ? null : PlateBehind(point, motorItem, input.BusVoltageV), out var open);
        StepUpMissing = open;
        Cable = StepUp?.CableOhm
            ?? CableOf(point.Cable.LengthM, point.Cable.CrossSectionMm2, point.Cable.ParallelRuns, point.Cable.Material, input.Defaults);
        Choice = input.Group?.Choice ?? point.Converter as ConverterChoice.FromCatalogue;
        if (Choice is { } converter && ItemOf(converter.ItemId, input, data) is { } catalogueItem)
        {
            WholeItem = converter.Modules > 1
                ? catalogueItem.Times(converter.Modules, input.Defaults.Lineups.ModuleSharePu)
                : catalogueItem;
            Converter = IsStepUpOpen ? null : new ConverterAtSite(
                input.Group is { } group ? WholeItem.Times(group.PartPu) : Referred(WholeItem), converter.Duty, converter.SwitchingKhz,
                input.Site, converter.Feed);
            Filter = data.OutputFilters.FirstOrDefault(f => f.Kind == converter.Filter);
            Filter = StepUp?.With(Filter, StepUp.Ratio * input.BusVoltageV) ?? Filter;
        }

        Starter = StarterAtSite.Of(point.Converter, data);
        if (point.Motor is MotorChoice.FromCatalogue motor && motorItem is { } item)
        {
            var (connected, voltage) = Linked(item.Plate, motor.Connection, Converter?.Item, Filter);
            Fitted = new FittedMotor(motor, item, connected, LossModel(connected), FittedMotor.BudgetFor(input, motor, item.Plate),
                voltage);
        }

        // Of a feeder that carries a whole group each motor sees so much more as it has less of its current.
        WholeFeeder = ImpedanceOf(input.Group?.Feeder ?? point.Feeder, input.Defaults);
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
    public virtual LoadModel? Load { get; }

    /// <summary>Names of the load's missing entries.</summary>
    public IReadOnlyList<string> LoadMissing { get; }

    /// <summary>The motor in its place, or null.</summary>
    public virtual FittedMotor? Fitted { get; }

    /// <summary>Choice of the converter, of its group where it has one; null without.</summary>
    public virtual ConverterChoice.FromCatalogue? Choice { get; }

    /// <summary>All modules of the converter, that of the whole group where it feeds one; null without.</summary>
    public virtual ConverterItem? WholeItem { get; }

    /// <summary>Converter at this site, or the part of it that one motor of a group uses; null without.</summary>
    public virtual ConverterAtSite? Converter { get; }

    /// <summary>Filter at the converter's output, or null.</summary>
    public OutputFilterItem? Filter { get; }

    /// <summary>Starter of a motor that runs on the line, or null.</summary>
    public virtual StarterAtSite? Starter { get; }

    /// <summary>Step-up transformer ahead of the motor cable; null without, or while it is not all entered.</summary>
    public StepUpAtSite? StepUp { get; }

    /// <summary>What of it is missing.</summary>
    public IReadOnlyList<string> StepUpMissing { get; }

    /// <summary>Names of what is missing before a step-up transformer can be computed: motor, cable, its own.</summary>
    public IEnumerable<string> MissingForStepUp() =>
        [.. MissingForMotor(), .. MissingCables().Where(_ => Cable is null).Take(1), .. StepUpMissing];

    // Without all of it nothing behind it is judged.
    private bool IsStepUpOpen => Input.DrivePoint.StepUp is not null && StepUp is null;

    /// <summary>Voltage of the bus as the motor's side of a step-up transformer sees it, V.</summary>
    public double MotorSideV => Input.BusVoltageV * (StepUp?.Ratio ?? 1);

    /// <summary>A converter as that side sees it.</summary>
    public ConverterItem Referred(ConverterItem item) => StepUp?.Referred(item) ?? item;

    /// <summary>Voltage between the two conductors that feed its converter, V; null where it is fed by three, or has none.</summary>
    public double? TwoConductorV => WholeItem is { } item && Choice is { } choice
        && (item.FrontEnd is FrontEnd.SinglePhase || choice.Feed == SupplyFeed.TwoPhases)
            ? Input.SupplyV(item, choice.Feed)
            : null;

    /// <summary>How the motor is fed when it runs.</summary>
    public MotorFeed Feed => Starter is null && Filter is not { Sinusoidal: true } ? MotorFeed.Converter : MotorFeed.Line;

    /// <summary>How a motor behind the converter is fed.</summary>
    public MotorFeed ConverterFeed => OperatingPoint.FeedOf(Filter);

    /// <summary>Motor cable, ohm per phase, or null while entries are missing.</summary>
    public Complex? Cable { get; }

    /// <summary>Feeder, ohm per phase, as one motor sees it; null while entries are missing.</summary>
    public Complex? Feeder { get; }

    /// <summary>Feeder of the converter, ohm per phase; null while entries are missing.</summary>
    public Complex? WholeFeeder { get; }

    /// <summary>Resolves a drive point as far as it is known.</summary>
    public static DrivePointModel Build(DrivePointInput input, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(data);
        try
        {
            return Resolved(new DrivePointModel(input, data));
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return new DrivePointModel(input, data, Fault.Of($"models of {input.DrivePoint.Tag}", problem));
        }
    }

    /// <summary>Names of what is missing for a motor to be judged, in the order of the board.</summary>
    public IEnumerable<string> MissingForMotor() => Fitted is null ? LoadMissing.Append("motor") : LoadMissing;

    /// <summary>Names of what is missing for operating points from shaft to busbar, in the order of the board.</summary>
    public IEnumerable<string> Missing()
    {
        foreach (var name in MissingForMotor())
        {
            yield return name;
        }

        foreach (var name in StepUpMissing)
        {
            yield return name;
        }

        if (Converter is null && Starter is null && (!IsStepUpOpen || WholeItem is null))
        {
            yield return "converter";
        }

        if (Input.Group is { PartPu: <= 0 })
        {
            yield return "motors of all members of its group";
        }

        if (Starter is not null && Fitted is { Item.Plate.StartsOnTheLine: false })
        {
            yield return "a motor that starts on the line";
        }

        if (Fitted is not null && Converter is not null
            && Mismatch(Fitted.Item.Plate, Converter.Item, Input.OnDcBus) is { Length: > 0 } mismatch)
        {
            yield return mismatch;
        }

        foreach (var name in MissingCables())
        {
            yield return name;
        }
    }

    /// <summary>Names of what is missing of the cables.</summary>
    public IEnumerable<string> MissingCables()
    {
        if (Cable is null)
        {
            yield return "length and cross-section of the motor cable";
        }

        if (Feeder is null)
        {
            yield return "length and cross-section of the feeder";
        }
    }

    /// <summary>Points at which the drive works for ever: every level of the duty, every diameter of a winder; none in a cycle.</summary>
    public virtual IEnumerable<ShaftPoint> SteadyPoints() =>
        Load is null or { Cycle: not null }
            ? []
            : [.. Load.Levels().SelectMany(Load.SizingPointsAt), .. Load.Alone(1) is { } alone ? [alone] : Array.Empty<ShaftPoint>()];

    /// <summary>Loss model of a motor in this place, its flux lowered at light load where the converter does so.</summary>
    public MotorLossModel LossModel(ConnectedMotor connected)
    {
        ArgumentNullException.ThrowIfNull(connected);
        return new MotorLossModel(connected.Plate, connected.BaseFrequencyPu,
            Choice is { LightLoadFlux: LightLoadFlux.Lowered } ? Input.Defaults.LightLoadFluxPu : 1);
    }

    /// <summary>A plate linked and fed at this place by a converter and filter, and the way of the voltage to it.</summary>
    internal (ConnectedMotor Connected, OutputVoltage Voltage) Linked(MotorPlate plate, MotorConnection connection,
        ConverterItem? converter, OutputFilterItem? filter)
    {
        var supply = StepUp is null ? Input.SupplyV(converter) : OutputVoltage.SupplyOf(converter, MotorSideV);
        connection = StepUp is null ? connection : LinkBehind(plate, connection, supply);
        var asLinked = ConnectedMotor.Of(plate, connection, supply, supply);
        var voltage = OutputVoltage.Of(asLinked.Plate, converter, filter, Cable, supply);
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

    private static DrivePointModel Resolved(DrivePointModel known)
    {
        if (known is not { Load: { } load, Fitted: { } fitted })
        {
            return known;
        }

        var loaded = new LoadedMotor(known, load, fitted);
        if (known is not { Cable: { } cable, Feeder: { } feeder, WholeFeeder: { } wholeFeeder })
        {
            return loaded;
        }

        var cabled = new CabledMotor(loaded, cable, feeder, wholeFeeder);
        return known.Missing().Any() ? cabled : known switch
        {
            { Starter: { } starter } => new DriveOnLine(cabled, starter),
            { Choice: { } choice, WholeItem: { } item, Converter: { } converter } => new DriveOnConverter(cabled, choice, item, converter),
            _ => cabled,
        };
    }

    private static MotorItem? MotorOf(MotorChoice choice, DrivePointInput input, EngineeringData data) =>
        choice is not MotorChoice.FromCatalogue motor ? null
        : input.Own?.Id == motor.ItemId ? input.Own.Item(data.Motors.Values.Where(m => m.OwnName.Length == 0))
        : data.Motors.GetValueOrDefault(motor.ItemId);

    // Linked for what the tap gives, as far as that is known.
    private static MotorPlate PlateBehind(DrivePoint point, MotorItem item, double busV)
    {
        var ratio = point.StepUp?.Transformer is { TapV: { IsKnown: true } tap, PrimaryV: { IsKnown: true } low }
            ? tap.Value / low.Value
            : 1;
        return ConnectedMotor.Of(item.Plate, LinkBehind(item.Plate, ((MotorChoice.FromCatalogue)point.Motor).Connection, ratio * busV),
            ratio * busV, ratio * busV).Plate;
    }

    // Behind a transformer a motor is linked for the higher voltage only where the tap gives that: the converter holds the lower one.
    private static MotorConnection LinkBehind(MotorPlate plate, MotorConnection connection, double motorSideV) =>
        connection != MotorConnection.Fitting || plate.DeltaVoltageV <= 0 ? connection
        : motorSideV >= ReachedPu * Math.Sqrt(3) * plate.DeltaVoltageV ? MotorConnection.Star
        : MotorConnection.Delta;

    private static ConverterItem? ItemOf(string id, DrivePointInput input, EngineeringData data) => input.OwnConverter?.Id == id
        ? input.OwnConverter.Item(data.Converters.Values.Where(c => c.OwnName.Length == 0))
        : data.Converters.GetValueOrDefault(id);

    /// <summary>Impedance of a feeder, ohm per phase; null while its length or section is open.</summary>
    internal static Complex? ImpedanceOf(Specification.Feeder feeder, DefaultsInForce defaults) => feeder switch
    {
        Specification.Feeder.OnBusbar => Complex.Zero,
        Specification.Feeder.ByCable c => CableOf(c.LengthM, c.CrossSectionMm2, c.ParallelRuns, c.Material, defaults),
        _ => throw new InvalidOperationException("Unknown feeder."),
    };

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
