using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Studies.Starting;

/// <summary>One way of starting a drive point, simulated on the plant's bus.</summary>
/// <param name="Id">Stable key: <c>across-the-line</c>, <c>star-delta</c>, <c>soft-starter</c>, <c>converter</c>.</param>
/// <param name="Name">What it is.</param>
/// <param name="IsChosen">True for what is specified.</param>
/// <param name="Impossible">Why it can't be, and empty when it can.</param>
/// <param name="Run">The start; null when it can't be.</param>
/// <param name="TargetRpm">Speed to be reached, rpm.</param>
/// <param name="PeakLineA">Largest line current, A.</param>
/// <param name="PeakStarterA">Largest current through the starter, A.</param>
/// <param name="DipPct">Largest dip at the bus, % of the voltage before.</param>
/// <param name="DipAtPccPct">The same at the PCC.</param>
/// <param name="LeastSurplusPu">Smallest torque over the load's on the way, once nothing is raised any more.</param>
/// <param name="TripHeatPu">Heat of the protection, 1 trips; by class.</param>
/// <param name="HotTripHeatPu">The same when restarted warm from running: heat before = (I_run/I_set)².</param>
/// <param name="StallTripPu">Time in which the slowest relay trips with the rotor locked, warm, parts of the time the rotor stands; by class.</param>
/// <param name="RotorHeatPu">Rotor's heat in parts of what it stands locked for the stall time.</param>
/// <param name="StartsPerHour">Starts an hour that the motor's heat budget leaves.</param>
public sealed record StartCase(
    string Id,
    string Name,
    bool IsChosen,
    string Impossible,
    StartSimulation.Result? Run,
    double TargetRpm,
    double PeakLineA,
    double PeakStarterA,
    double DipPct,
    double DipAtPccPct,
    double LeastSurplusPu,
    IReadOnlyDictionary<TripClass, double> TripHeatPu,
    IReadOnlyDictionary<TripClass, double> HotTripHeatPu,
    IReadOnlyDictionary<TripClass, double> StallTripPu,
    double RotorHeatPu,
    double StartsPerHour);

/// <summary>The bus of a start with what runs beside it, and how much of its dip the PCC sees.</summary>
/// <param name="Scenario">Name of the scenario: the weakest in which the drive point runs.</param>
/// <param name="VoltageV">Voltage before, V.</param>
/// <param name="Ohm">Impedance behind the bus, ohm.</param>
/// <param name="PccSharePu">Part of the dip that appears at the PCC.</param>
public sealed record StartPlace(string Scenario, double VoltageV, System.Numerics.Complex Ohm, double PccSharePu);
