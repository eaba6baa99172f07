using System.Numerics;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>
/// A drive point from the busbar to the motor as cables and protection see it: design currents, faults, start, device, and what is asked of each cable. See
/// <c>docs/methods/cable-capacity.md</c>.
/// </summary>
internal sealed class FeederStudy
{
    private const double FinalCircuitA = 32;

    // Of a phase voltage of 230 V that is 400/√3.
    private static readonly (double UpToV, double TimeS)[] FinalTimesTn = [(121, 0.8), (231, 0.4), (401, 0.2), (double.PositiveInfinity, 0.1)];
    private readonly Lazy<ProtectiveDevice?> proposed;

    public FeederStudy(DrivePointModel model, Bus bus, SupplyContext supply, StartCase? start)
    {
        (Model, Bus, Supply, Start) = (model, bus, supply, start);
        Rules = new CableRules(supply.Data);
        Short = supply.ShortCircuits.GetValueOrDefault(bus.Id);
        (FeederCurrent, FeederMissing) = HasFeeder ? DesignCurrents.OfFeeder(model, supply) : (null, []);
        (MotorCurrent, MotorMissing) = DesignCurrents.OfMotorCable(model, supply);
        Chosen = HasFeeder ? Point.Devices.Device : new ProtectiveDevice.NotChosen();
        proposed = new Lazy<ProtectiveDevice?>(() => DeviceProposal.Of(this));
    }

    public DrivePointModel Model { get; }

    public Bus Bus { get; }

    public SupplyContext Supply { get; }

    /// <summary>Its start on the line, one that reaches its speed; null otherwise.</summary>
    public StartCase? Start { get; }

    public CableRules Rules { get; }

    /// <summary>Fault currents of its bus; null while the supply is not known.</summary>
    public BusShortCircuit? Short { get; }

    public DesignCurrent? FeederCurrent { get; }

    public IReadOnlyList<string> FeederMissing { get; }

    public DesignCurrent? MotorCurrent { get; }

    public IReadOnlyList<string> MotorMissing { get; }

    /// <summary>What its engineer chose.</summary>
    public ProtectiveDevice Chosen { get; }

    /// <summary>What is proposed; null where nothing of the series fits, or something is missing.</summary>
    public ProtectiveDevice? Proposed => proposed.Value;

    /// <summary>Gates of what was chosen, of what is proposed while nothing is; null without either.</summary>
    public DeviceGates? Gates => GatesOf(Chosen is ProtectiveDevice.NotChosen ? Proposed ?? Chosen : Chosen);

    public DrivePoint Point => Model.Input.DrivePoint;

    /// <summary>False on a common DC bus and for all but the first of a group: others feed it.</summary>
    public bool HasFeeder => !Model.Input.OnDcBus && Model.Input.Group is null or { IsHead: true };

    public bool IsOnLine => Model.Starter is not null;

    public InstallationCode Code => Supply.Plant.Conventions.Installation;

    /// <summary>How a cable is laid; null where neither it nor the plant says.</summary>
    public CableInstallation? Laid(CableInstallation? own) => own ?? Supply.Plant.Cables;

    public DeviceGates? GatesOf(ProtectiveDevice device) => DeviceGates.Of(device, Supply.Data.GgFuses, Supply.Data.Switchgear);

    /// <summary>Conductors of the US code carry a quarter more than the load (NFPA 70, 430.22 and 430.122).</summary>
    public double CodePu => Code == InstallationCode.Nfpa70 ? 1.25 : 1;

    /// <summary>Rated input current that the US code takes for a converter: that of its output, since items state no other, or what it draws if more, A.</summary>
    public double FeederSizingA(DeviceGates? gates)
    {
        var drawnA = FeederCurrent!.CurrentA;
        if (Code == InstallationCode.Nfpa70)
        {
            return CodePu * (IsOnLine ? drawnA : Math.Max(drawnA, Model.WholeItem?.LightCurrentA ?? 0));
        }

        // Behind a starter the overload protection of the motor guards the cable too.
        return IsOnLine || gates is not { ClearsOverload: true } ? drawnA : Math.Max(drawnA, Math.Max(gates.OverloadA, gates.ConventionalPu * gates.OverloadA / 1.45));
    }

    /// <summary>What is asked of the feeder; null without a cable of its own, or while something is missing.</summary>
    /// <param name="gates">The device ahead.</param>
    /// <param name="laid">How it is laid.</param>
    public CableTask? FeederTask(DeviceGates? gates, CableInstallation laid)
    {
        if (Point.Feeder is not Feeder.ByCable { LengthM: { IsKnown: true } length } cable || FeederCurrent is not { } current)
        {
            return null;
        }

        return new CableTask
        {
            LengthM = length.Value,
            Parallel = cable.ParallelRuns,
            Material = cable.Material,
            Laid = laid,
            AmbientC = Supply.Plant.Site.AmbientMaxC,
            ProtectiveMm2 = cable.ProtectiveMm2,
            ReactanceOhmPerM = Model.Input.Defaults.CableReactanceOhmPerM,
            Code = Code,
            NominalVoltageV = Bus.NominalVoltageV,
            SizingA = FeederSizingA(gates),
            Drop = IsOnLine ? null : new DropTask(current.CurrentA, current.PowerFactor, BusDropPct, DropLimitPct),
            Loop = gates is null ? null : LoopTask(gates, Complex.Zero),
            ShortCircuit = ShortTask(gates, Complex.Zero, Complex.Zero),
        };
    }

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
        double AheadPct(double currentA, double powerFactor) => 100 * Math.Sqrt(3) / Bus.NominalVoltageV * currentA * ((line.Real * powerFactor) + (line.Imaginary * Math.Sqrt(1 - (powerFactor * powerFactor))));
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
            NominalVoltageV = Bus.NominalVoltageV,
            SizingA = CodePu * current.CurrentA,
            Drop = IsOnLine ? new DropTask(current.CurrentA, current.PowerFactor, BusDropPct + AheadPct(current.CurrentA, current.PowerFactor), DropLimitPct) : null,
            Start = Start is { } start && IsOnLine
                ? new DropTask(
                    start.PeakLineA / (DesignCurrents.SixConductors(Model) ? Math.Sqrt(3) : 1), LockedPowerFactor, start.DipPct + AheadPct(start.PeakLineA, LockedPowerFactor),
                    Model.Input.Defaults.Protection.DropStartPct)
                : null,
            Loop = IsOnLine && gates is not null ? LoopTask(gates, line + earth) : null,
            ShortCircuit = IsOnLine ? ShortTask(gates, line, line + earth) : null,
        };
    }

    /// <summary>Why a fault to earth is not judged by a device's gates; null where it is.</summary>
    public (bool IsMissing, string Why)? LoopNotJudged()
    {
        if (Code == InstallationCode.Nfpa70)
        {
            return (false, "the US code has no rule of the fault loop: equipment earth by the device's rating (250.122)");
        }

        return Bus.Earthing switch
        {
            EarthingSystem.NotStated => (true, $"earthing system of {Bus.Name}"),
            EarthingSystem.It => (false, "IT: a first fault is monitored, not disconnected; the second one is the insulation study's"),
            EarthingSystem.Tt => (false, "TT: a residual-current device disconnects, not the overcurrent device"),
            EarthingSystem.CornerEarthed => (true, "fault loop of a corner-earthed system: not computed"),
            _ when Short is null => (true, string.Join(", ", PlantNetwork.Missing(Supply.Plant).DefaultIfEmpty($"a closed path to {Bus.Name}"))),
            _ when Short.LoopOhm is null => (true, "earth fault loop at the source's bus, or zero-sequence impedance of the transformer"),
            _ => null,
        };
    }

    /// <summary>Time within which a fault to earth has to be disconnected, s (IEC 60364-4-41).</summary>
    public double DisconnectS(DeviceGates gates) => gates.RatedA <= FinalCircuitA ? FinalTimesTn.First(t => Short!.PhaseVoltageV <= t.UpToV).TimeS : DeviceGates.LongestS;

    /// <summary>Voltage already lost at its bus, % of nominal: from the transformer or source that feeds it, worst scenario.</summary>
    public double BusDropPct => Supply.BusDropsPct.GetValueOrDefault(Bus.Id);

    /// <summary>What may be lost on the way, %.</summary>
    public double DropLimitPct => BusDrops.IsBehindTransformer(Supply.Plant, Bus.Id) ? Supply.Defaults.Protection.DropOwnPct : Supply.Defaults.Protection.DropPublicPct;

    /// <summary>First crest of a start over its steady crest; thyristors switch on without one.</summary>
    public double InrushKappa => Model.Starter?.Item is not null ? 1 : LockedPowerFactor is var cos && cos < 1 ? 1.02 + (0.98 * Math.Exp(-3 * cos / Math.Sqrt(1 - (cos * cos)))) : 1.02;

    /// <summary>Current that ran before a start, A: more than one start an hour comes from a warm motor and a warm release.</summary>
    public double BeforeStartA => Point.Converter.StartsWanted() > 1 ? StartProtectionChecks.MostRunningA(this) : 0;

    private double LockedPowerFactor => Model.Input.Defaults.LockedRotorPowerFactor;

    private LoopTask? LoopTask(DeviceGates gates, Complex aheadOhm) =>
        LoopNotJudged() is null && gates.TripA(DisconnectS(gates)) is { } tripA
            ? new LoopTask(Short!.PhaseVoltageV, Short.Factors.Min, Short.LoopOhm!.Value + aheadOhm, tripA, DisconnectS(gates))
            : null;

    private ShortCircuitTask? ShortTask(DeviceGates? gates, Complex aheadOhm, Complex aheadLoopOhm) => gates is not null && Short is not null && double.IsFinite(Short.LargestA)
        ? new ShortCircuitTask(
            gates, Bus.NominalVoltageV, Short.Factors.Min, Short.LargestA, Short.LeastOhm + aheadOhm,
            LoopNotJudged() is null ? Short.LoopOhm!.Value + aheadLoopOhm : null)
        : null;

    // Feeder of a starter as it stands, of the proposed section while none is entered: line and protective conductor, hot.
    private (Complex Line, Complex Earth) AheadOfMotor(DeviceGates? gates, CableInstallation laid)
    {
        if (!IsOnLine || Point.Feeder is not Feeder.ByCable { LengthM.IsKnown: true } cable || FeederTask(gates, Laid(cable.Installation) ?? laid) is not { } task)
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
