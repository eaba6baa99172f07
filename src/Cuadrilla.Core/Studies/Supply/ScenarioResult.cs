using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply.Balance;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What a scenario draws and does, from the source to each drive.</summary>
public sealed record ScenarioResult
{
    /// <summary>Which scenario.</summary>
    public required string ScenarioId { get; init; }

    /// <summary>Its name.</summary>
    public required string ScenarioName { get; init; }

    /// <summary>Network in its switching state, source at its weakest, with what hangs on it beside the front ends.</summary>
    public required LoadedNetwork Loaded { get; init; }

    /// <summary>The network as other studies ask for it.</summary>
    internal ScenarioNetworks Networks { get; init; } = null!;

    /// <summary>Network in its switching state, source at its weakest.</summary>
    public SupplyNetwork Network => Loaded.Network;

    /// <summary>The same with the source at its strongest.</summary>
    public SupplyNetwork Strongest => Networks.Strongest;

    /// <summary>Currents and voltages at the PCC, of the phase with the most harmonic current; all zero when the PCC is dead.</summary>
    public required PccStudy.Result Pcc { get; init; }

    /// <summary>The same of every phase; one stands for all when they are alike.</summary>
    public required IReadOnlyList<PccStudy.Result> PccPhases { get; init; }

    /// <summary>Each transformer in service.</summary>
    public required IReadOnlyList<TransformerInScenario> Transformers { get; init; }

    /// <summary>Each plant cable in service.</summary>
    public required IReadOnlyList<CableInScenario> Cables { get; init; }

    /// <summary>Each live bus.</summary>
    public required IReadOnlyList<BusInScenario> Buses { get; init; }

    /// <summary>DC load of all rectifiers, W.</summary>
    public required double RectifierDcW { get; init; }

    /// <summary>Each running drive.</summary>
    public required IReadOnlyList<DriveInScenario> Drives { get; init; }

    /// <summary>What hangs on the network at harmonics beside the drives' currents.</summary>
    public HarmonicLoads Loads => Loaded.Loads;

    /// <summary>Tags of drives whose front end has no steady state, with the reason; a network that can't carry its load.</summary>
    public required IReadOnlyList<string> Unsettled { get; init; }

    /// <summary>Tags of drive points that are to run and whose bus is dead.</summary>
    public required IReadOnlyList<string> Unfed { get; init; }

    /// <summary>Each capacitor bank that is on.</summary>
    public required IReadOnlyList<BankInScenario> Banks { get; init; }

    /// <summary>How waveforms and network settled with each other.</summary>
    public required FrontIteration Iteration { get; init; }

    /// <summary>What each central active filter in service gives, and what it would have to give, A, by key.</summary>
    public required IReadOnlyDictionary<string, (double GivenA, double AskedA)> FilterCurrents { get; init; }

    /// <summary>Power of everything that runs, by its bus, whether its front end could be solved or not.</summary>
    public required IReadOnlyList<(string BusId, double LineW)> Running { get; init; }

    /// <summary>The network as a dip of a tenth of a second and more sees it: a generator by its transient reactance.</summary>
    public SupplyNetwork ForDips => Networks.ForDips;

    /// <summary>The network that withstand is judged by: source at its strongest, transformers corrected by K_T (IEC 60909-0).</summary>
    public SupplyNetwork ForWithstand => Networks.ForWithstand;

    /// <summary>What threw while it was computed; usually nothing.</summary>
    public IReadOnlyList<Fault> Faults { get; init; } = [];

    /// <summary>Each running motor on the line.</summary>
    public IReadOnlyList<LineDrive> OnLine => Loads.OnLine;
}

/// <summary>A drive in a scenario.</summary>
/// <param name="DrivePointId">Which one.</param>
/// <param name="Point">Its operating point.</param>
/// <param name="Front">Its front end.</param>
/// <param name="Circuit">The circuit that was solved; null for closed forms and catalogue data.</param>
/// <param name="EmfV">Line-to-line voltage it was solved at, V.</param>
/// <param name="BusId">Bus that it hangs from.</param>
/// <param name="EmfAngleRad">Angle of the voltage it was solved at, against the source, vector groups taken back.</param>
public sealed record DriveInScenario(
    string DrivePointId, OperatingPoint Point, RectifierResult Front, RectifierInput? Circuit, double EmfV, string BusId,
    double EmfAngleRad)
{
    /// <summary>True for a single-phase front end between phase and neutral.</summary>
    internal bool IsToNeutral => Circuit is { Kind: RectifierKind.SinglePhase } loop && loop.LineVoltageV < 0.75 * EmfV;

    /// <summary>Where the search for its circuit ended.</summary>
    internal FrontSearch? Search { get; init; }

    /// <summary>EMF of its circuit in the time of its own voltage; empty without circuit.</summary>
    internal SpaceVector OwnEmf { get; init; }

    /// <summary>Its feeder from the busbar, ohm per phase.</summary>
    internal System.Numerics.Complex FeederOhm { get; init; }

    /// <summary>Its converter.</summary>
    internal ConverterItem? Item { get; init; }
}

/// <summary>A transformer in a scenario, at the voltage of its fed side.</summary>
/// <param name="TransformerId">Which one.</param>
/// <param name="RmsA">Rms current of the most loaded phase, A.</param>
/// <param name="FundamentalA">Its fundamental, A.</param>
/// <param name="RatedA">Rated current, A.</param>
/// <param name="Heat">Loss factors and permitted current, of the phase with the largest; null without current or eddy-loss share.</param>
/// <param name="KFactor">Σ(h·I_h/I_rated)².</param>
/// <param name="WindingLossW">Load loss with the current of all phases, without stray addition, W.</param>
public sealed record TransformerInScenario(
    string TransformerId, double RmsA, double FundamentalA, double RatedA, WindingHeat.Result? Heat, double KFactor, double WindingLossW)
{
    /// <summary>Rated power, VA.</summary>
    public required double RatedVa { get; init; }

    /// <summary>Loading with harmonics, % of what it may carry.</summary>
    public double LoadingPct => 100 * RmsA / (RatedA * (Heat?.MaxCurrentPu ?? 1));
}

/// <summary>A live bus in a scenario.</summary>
/// <param name="BusId">Which one.</param>
/// <param name="VoltagePu">Fundamental voltage, parts of nominal.</param>
/// <param name="ThdvPct">Distortion of the voltage from the plant's own currents, worst phase, %.</param>
/// <param name="LargestFaultA">Fault current with the source at its strongest, A; infinite at an infinite source.</param>
/// <param name="LeastFaultA">Fault current with the source at its weakest, A.</param>
public sealed record BusInScenario(string BusId, double VoltagePu, double ThdvPct, double LargestFaultA, double LeastFaultA)
{
    /// <summary>Voltage of orders 1…50, worst phase, the line's own distortion added, % of nominal.</summary>
    public required IReadOnlyList<double> VoltagePct { get; init; }

    /// <summary>Distortion of that voltage, %.</summary>
    public double TotalThdvPct => Math.Sqrt(VoltagePct.Skip(1).Sum(v => v * v));
}
