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

/// <summary>
/// A feeder from a busbar and what protects it: design current, faults, device, and what is asked of its cable. Drive points and supply
/// modules have one. See <c>docs/methods/cable-capacity.md</c>.
/// </summary>
internal abstract class FeedStudy
{
    private const double FinalCircuitA = 32;

    // Of a phase voltage of 230 V that is 400/√3.
    private static readonly (double UpToV, double TimeS)[] FinalTimesTn = [(121, 0.8), (231, 0.4), (401, 0.2),
        (double.PositiveInfinity, 0.1)];
    private readonly Lazy<ProtectiveDevice?> proposed;

    // All its checks ask for the gates of the same device.
    private (ProtectiveDevice? Device, DeviceGates? Of) gates;

    protected FeedStudy(Bus bus, SupplyContext supply)
    {
        (Bus, Supply, Rules) = (bus, supply, new CableRules(supply.Data));
        Short = supply.ShortCircuits.GetValueOrDefault(bus.Id);
        proposed = new Lazy<ProtectiveDevice?>(() => DeviceProposal.Of(this));
    }

    public Bus Bus { get; }

    public SupplyContext Supply { get; }

    public CableRules Rules { get; }

    /// <summary>Fault currents of its bus; null while the supply is not known.</summary>
    public BusShortCircuit? Short { get; }

    /// <summary>Drive point of its checks; empty for a supply module.</summary>
    public abstract string CheckId { get; }

    /// <summary>Where its checks stand on the board.</summary>
    public abstract BoardRow Row { get; }

    /// <summary>How it is fed.</summary>
    public abstract Feeder Feeder { get; }

    /// <summary>What its cable is called.</summary>
    public abstract string FeederName { get; }

    /// <summary>False on a common DC bus and for all but the first of a group: others feed it.</summary>
    public abstract bool HasFeeder { get; }

    public DesignCurrent? FeederCurrent { get; protected init; }

    public IReadOnlyList<string> FeederMissing { get; protected init; } = [];

    /// <summary>What its engineer chose.</summary>
    public ProtectiveDevice Chosen { get; protected init; } = new ProtectiveDevice.NotChosen();

    /// <summary>True where a motor is on the line, with or without a soft starter.</summary>
    public virtual bool IsOnLine => false;

    /// <summary>Its starter; null for converters and modules.</summary>
    public virtual StarterAtSite? Starter => null;

    /// <summary>Its start on the line, one that reaches its speed; null otherwise.</summary>
    public virtual StartCase? Start => null;

    /// <summary>What a fault may do to its starter.</summary>
    public virtual CoordinationType Coordination => CoordinationType.One;

    /// <summary>Largest device that the maker of what it feeds lists, A; 0 where nothing is listed, null where no list applies.</summary>
    public abstract double? ListedA { get; }

    /// <summary>Rated input current of what it feeds, A; 0 where not stated.</summary>
    public abstract double RatedInputA { get; }

    /// <summary>Current of its motor by the US code's table, A; null elsewhere, and where the table has none.</summary>
    public virtual double? CodeMotorA => null;

    /// <summary>First crest of a start over its steady crest; thyristors switch on without one.</summary>
    public virtual double InrushKappa => 1;

    /// <summary>Current that ran before a start, A: more than one start an hour comes from a warm motor and a warm release.</summary>
    public virtual double BeforeStartA => 0;

    /// <summary>What is proposed; null where nothing of the series fits, or something is missing.</summary>
    public ProtectiveDevice? Proposed => proposed.Value;

    /// <summary>Gates of what was chosen, of what is proposed while nothing is; null without either.</summary>
    public DeviceGates? Gates => GatesOf(Chosen is ProtectiveDevice.NotChosen ? Proposed ?? Chosen : Chosen);

    public InstallationCode Code => Supply.Plant.Conventions.Installation;

    /// <summary>Conductors of the US code carry a quarter more than the load (NFPA 70, 430.22 and 430.122).</summary>
    public double CodePu => Code == InstallationCode.Nfpa70 ? 1.25 : 1;

    /// <summary>Voltage already lost at its bus, % of nominal: from the transformer or source that feeds it, worst scenario.</summary>
    public double BusDropPct => Supply.BusDropsPct.GetValueOrDefault(Bus.Id);

    /// <summary>What may be lost on the way, %.</summary>
    public double DropLimitPct => BusDrops.IsBehindTransformer(Supply.Plant, Bus.Id)
        ? Supply.Defaults.Protection.DropOwnPct
        : Supply.Defaults.Protection.DropPublicPct;

    /// <summary>Conductors of the feeder, and the voltage between them, V.</summary>
    public virtual (CableSystem System, double VoltageV) Conductors => (CableSystem.ThreePhase, Bus.NominalVoltageV);

    /// <summary>Impedance between the bus and its feeder, ohm per phase: a rotary converter, and the second conductor ahead of
    /// it.</summary>
    protected virtual Complex BeforeOhm => Complex.Zero;

    /// <summary>How a cable is laid; null where neither it nor the plant says.</summary>
    public CableInstallation? Laid(CableInstallation? own) => own ?? Supply.Plant.Cables;

    public DeviceGates? GatesOf(ProtectiveDevice device)
    {
        if (gates.Device is null || !ReferenceEquals(gates.Device, device))
        {
            gates = (device, DeviceGates.Of(device, Supply.Data.GgFuses, Supply.Data.Switchgear));
        }

        return gates.Of;
    }

    /// <summary>What the feeder must carry for ever, A. For the US code a converter's input is rated as its output, since items state no
    /// other, or at what it draws if more.</summary>
    public double FeederSizingA(DeviceGates? gates)
    {
        var drawnA = FeederCurrent!.CurrentA;
        if (Code == InstallationCode.Nfpa70)
        {
            return CodePu * Math.Max(drawnA, IsOnLine ? CodeMotorA ?? 0 : RatedInputA);
        }

        // Behind a starter the overload protection of the motor guards the cable too.
        return IsOnLine || gates is not { ClearsOverload: true }
            ? drawnA
            : Math.Max(drawnA, Math.Max(gates.OverloadA, gates.ConventionalPu * gates.OverloadA / 1.45));
    }

    /// <summary>What is asked of the feeder; null without a cable of its own, or while something is missing.</summary>
    /// <param name="gates">The device ahead.</param>
    /// <param name="laid">How it is laid.</param>
    public CableTask? FeederTask(DeviceGates? gates, CableInstallation laid)
    {
        if (Feeder is not Feeder.ByCable { LengthM: { IsKnown: true } length } cable || FeederCurrent is not { } current)
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
            ReactanceOhmPerM = Supply.Defaults.CableReactanceOhmPerM,
            Code = Code,
            NominalVoltageV = Conductors.VoltageV,
            System = Conductors.System,
            SizingA = FeederSizingA(gates),
            Drop = IsOnLine ? null : new DropTask(current.CurrentA, current.PowerFactor, BusDropPct, DropLimitPct),
            Loop = gates is null ? null : LoopTask(gates, Complex.Zero),
            ShortCircuit = ShortTask(gates, Complex.Zero, Complex.Zero),
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
            _ when Short is null => (true, string.Join(", ",
                PlantNetwork.Missing(Supply.Plant).DefaultIfEmpty($"a closed path to {Bus.Name}"))),
            _ when Short.LoopOhm is null => (true, "earth fault loop at the source's bus, or zero-sequence impedance of the transformer"),
            _ => null,
        };
    }

    /// <summary>Time within which a fault to earth has to be disconnected, s (IEC 60364-4-41).</summary>
    public double DisconnectS(DeviceGates gates) =>
        gates.RatedA <= FinalCircuitA ? FinalTimesTn.First(t => Short!.PhaseVoltageV <= t.UpToV).TimeS : DeviceGates.LongestS;

    protected LoopTask? LoopTask(DeviceGates gates, Complex aheadOhm) =>
        LoopNotJudged() is null && gates.TripA(DisconnectS(gates)) is { } tripA
            ? new LoopTask(Short!.PhaseVoltageV, Short.Factors.Min, Short.LoopOhm!.Value + BeforeOhm + aheadOhm, tripA, DisconnectS(gates))
            : null;

    protected ShortCircuitTask? ShortTask(DeviceGates? gates, Complex aheadOhm, Complex aheadLoopOhm) =>
        gates is not null && Short is not null && double.IsFinite(Short.LargestA)
        ? new ShortCircuitTask(
            gates, Bus.NominalVoltageV, Short.Factors.Min, Short.LargestA, Short.LeastOhm + BeforeOhm + aheadOhm,
            LoopNotJudged() is null ? Short.LoopOhm!.Value + BeforeOhm + aheadLoopOhm : null)
        : null;
}
