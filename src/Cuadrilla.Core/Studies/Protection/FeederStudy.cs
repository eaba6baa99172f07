using System.Numerics;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>A drive point from the busbar to the motor as cables and protection see it: its feeder, its start, its motor cable.</summary>
internal sealed class FeederStudy : FeedStudy
{
    private const double WPerHp = 745.699872;

    public FeederStudy(DrivePointModel model, Bus bus, SupplyContext supply, StartCase? start)
        : base(bus, supply)
    {
        (Model, Start) = (model, start);
        (FeederCurrent, FeederMissing) = HasFeeder ? DesignCurrents.OfFeeder(model, supply) : (null, []);
        (MotorCurrent, MotorMissing) = DesignCurrents.OfMotorCable(model, supply);
        Chosen = HasFeeder ? Point.Devices.Device : new ProtectiveDevice.NotChosen();
    }

    public DrivePointModel Model { get; }

    public override string CheckId => Model.Id;

    public override BoardRow Row => BoardRow.Supply;

    public override Feeder Feeder => Point.Feeder;

    public override string FeederName => "feeder";

    public override StartCase? Start { get; }

    public DesignCurrent? MotorCurrent { get; }

    public IReadOnlyList<string> MotorMissing { get; }

    public DrivePoint Point => Model.Input.DrivePoint;

    public override bool HasFeeder => !Model.Input.HasNoLine && Model.Input.Group is null or { IsHead: true };

    public override (CableSystem System, double VoltageV) Conductors => Model.TwoConductorV is { } voltageV
        ? (CableSystem.TwoWire, voltageV)
        : (CableSystem.ThreePhase, Model.Input.BusVoltageV);

    // A rotary converter of unknown size feeds no fault that could be relied on.
    protected override Complex BeforeOhm => Model.Input.OnePhase is { MakesThreePhases: true } feed
        ? (feed.RotaryOhm(Model.Input.BusVoltageV) ?? Complex.Zero) + (Short?.LeastOhm ?? Complex.Zero)
        : Complex.Zero;

    public override bool IsOnLine => Model.Starter is not null;

    public override StarterAtSite? Starter => Model.Starter;

    public override CoordinationType Coordination => Point.Devices.Coordination;

    public override double? ListedA => IsOnLine ? null : Model.WholeItem?.LargestFuseA;

    // As stated; else by size and kind, or the solved rms at its rated power, if that is less: hardly loaded it is more distorted than it
    // would be then.
    public override double RatedInputA => Model.WholeItem is not { } item ? 0
        : item.StatedInputA <= 0 && FeederCurrent is { } current
            && DesignCurrents.SolvedW(Model.Input.Group?.GroupId ?? Model.Id, Supply) is > 0 and var solvedW
            ? Math.Min(item.RatedInputA, current.CurrentA * item.RatedLinkW / solvedW)
            : item.RatedInputA;

    public override double? CodeMotorA => Code == InstallationCode.Nfpa70 && Model.Fitted is { } fitted
        ? Supply.Data.UsConductors.MotorA(fitted.Connected.Plate.RatedPowerW / WPerHp, fitted.Connected.Plate.RatedVoltageV)
        : null;

    public override double InrushKappa =>
        Model.Starter?.Item is not null
            ? 1
            : LockedPowerFactor is var cos && cos < 1 ? 1.02 + (0.98 * Math.Exp(-3 * cos / Math.Sqrt(1 - (cos * cos)))) : 1.02;

    public override double BeforeStartA => Point.Converter.StartsWanted() > 1 ? StartProtectionChecks.MostRunningA(this) : 0;

    private double LockedPowerFactor => Model.Input.Defaults.LockedRotorPowerFactor;

    /// <summary>What is asked of the motor cable; behind a converter its current alone.</summary>
    /// <param name="gates">The device ahead of a starter.</param>
    /// <param name="laid">How it is laid.</param>
    public CableTask? MotorTask(DeviceGates? gates, CableInstallation laid)
    {
        var cable = Point.Cable;
        if (!cable.LengthM.IsKnown || MotorCurrent is not { } current)
        {
            return null;
        }

        var (line, earth) = AheadOfMotor(gates, laid);
        double AheadPct(double currentA, double powerFactor) =>
            100 * Math.Sqrt(3) / Model.Input.BusVoltageV * currentA * ((line.Real * powerFactor)
                + (line.Imaginary * Math.Sqrt(1 - (powerFactor * powerFactor))));
        return new CableTask
        {
            LengthM = cable.LengthM.Value,
            Parallel = cable.ParallelRuns,
            Beside = DesignCurrents.SixConductors(Model) ? 2 : 1,
            Material = cable.Material,
            Laid = laid,
            AmbientC = Supply.Plant.Site.AmbientMaxC,
            ProtectiveMm2 = cable.ProtectiveMm2,
            ReactanceOhmPerM = Model.Input.Defaults.CableReactanceOhmPerM,
            Code = Code,
            NominalVoltageV = Model.Input.BusVoltageV,
            SizingA = CodePu * Math.Max(current.CurrentA, (CodeMotorA ?? 0) / (DesignCurrents.SixConductors(Model) ? Math.Sqrt(3) : 1)),
            Drop = IsOnLine ? new DropTask(current.CurrentA, current.PowerFactor,
                BusDropPct + AheadPct(current.CurrentA, current.PowerFactor), DropLimitPct) : null,
            Start = Start is { } start && IsOnLine
                ? new DropTask(
                    start.PeakLineA / (DesignCurrents.SixConductors(Model) ? Math.Sqrt(3) : 1), LockedPowerFactor,
                    start.DipPct + AheadPct(start.PeakLineA, LockedPowerFactor),
                    Model.Input.Defaults.Protection.DropStartPct)
                : null,
            Loop = IsOnLine && gates is not null ? LoopTask(gates, line + earth) : null,
            ShortCircuit = IsOnLine ? ShortTask(gates, line, line + earth) : null,
        };
    }

    // Feeder of a starter as it stands, of the proposed section while none is entered: line and protective conductor, hot.
    private (Complex Line, Complex Earth) AheadOfMotor(DeviceGates? gates, CableInstallation laid)
    {
        if (!IsOnLine || Point.Feeder is not Feeder.ByCable { LengthM.IsKnown: true } cable
            || FeederTask(gates, Laid(cable.Installation) ?? laid) is not { } task)
        {
            return (Complex.Zero, Complex.Zero);
        }

        double? section = cable.CrossSectionMm2.IsKnown ? cable.CrossSectionMm2.Value : Rules.Smallest(task)?.SectionMm2;
        if (section is not { } mm2)
        {
            return (Complex.Zero, Complex.Zero);
        }

        var (line, earth) = CableRules.LoopPerM(task, mm2);
        return (task.LengthM * line, task.LengthM * earth);
    }
}
