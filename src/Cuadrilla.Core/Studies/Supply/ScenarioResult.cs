using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Supply.Balance;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What a scenario draws and does, from the source to each drive.</summary>
/// <param name="ScenarioId">Which scenario.</param>
/// <param name="ScenarioName">Its name.</param>
/// <param name="Network">Network in its switching state, source at its weakest.</param>
/// <param name="Strongest">The same with the source at its strongest.</param>
/// <param name="Pcc">Currents and voltages at the PCC, of the phase with the most harmonic current; all zero when the PCC is dead.</param>
/// <param name="PccPhases">The same of every phase; one stands for all when they are alike.</param>
/// <param name="Transformers">Each transformer in service.</param>
/// <param name="Buses">Each live bus.</param>
/// <param name="RectifierDcW">DC load of all rectifiers, W.</param>
/// <param name="Drives">Each running drive.</param>
/// <param name="Loads">What hangs on the network at harmonics beside the drives' currents.</param>
/// <param name="Unsettled">Tags of drives whose front end has no steady state, with the reason; a network that can't carry its load.</param>
/// <param name="Unfed">Tags of drive points that are to run and whose bus is dead.</param>
/// <param name="Banks">Each capacitor bank that is on.</param>
/// <param name="Iteration">How waveforms and network settled with each other.</param>
public sealed record ScenarioResult(
    string ScenarioId,
    string ScenarioName,
    SupplyNetwork Network,
    SupplyNetwork Strongest,
    PccStudy.Result Pcc,
    IReadOnlyList<PccStudy.Result> PccPhases,
    IReadOnlyList<TransformerInScenario> Transformers,
    IReadOnlyList<BusInScenario> Buses,
    double RectifierDcW,
    IReadOnlyList<DriveInScenario> Drives,
    HarmonicLoads Loads,
    IReadOnlyList<string> Unsettled,
    IReadOnlyList<string> Unfed,
    IReadOnlyList<BankInScenario> Banks,
    FrontIteration Iteration)
{
    /// <summary>What each central active filter in service gives, and what it would have to give, A, by key.</summary>
    public required IReadOnlyDictionary<string, (double GivenA, double AskedA)> FilterCurrents { get; init; }

    /// <summary>Power of everything that runs, by its bus, whether its front end could be solved or not.</summary>
    public required IReadOnlyList<(string BusId, double LineW)> Running { get; init; }

    /// <summary>The network as a dip of a tenth of a second and more sees it: a generator by its transient reactance.</summary>
    public required SupplyNetwork ForDips { get; init; }

    /// <summary>The network that withstand is judged by: source at its strongest, transformers corrected by K_T (IEC 60909-0).</summary>
    public required SupplyNetwork ForWithstand { get; init; }

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
    string DrivePointId, OperatingPoint Point, RectifierResult Front, RectifierInput? Circuit, double EmfV, string BusId, double EmfAngleRad)
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
