using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Studies.Starting;

/// <summary>One way of starting a drive point, simulated on the plant's bus.</summary>
public sealed record StartCase
{
    /// <summary>Stable key: <c>across-the-line</c>, <c>star-delta</c>, <c>soft-starter</c>, <c>converter</c>.</summary>
    public required string Id { get; init; }

    /// <summary>What it is.</summary>
    public required string Name { get; init; }

    /// <summary>True for what is specified.</summary>
    public required bool IsChosen { get; init; }

    /// <summary>Why it can't be, and empty when it can.</summary>
    public string Impossible { get; init; } = string.Empty;

    /// <summary>The start; null when it can't be.</summary>
    public StartSimulation.Result? Run { get; init; }

    /// <summary>Speed to be reached, rpm.</summary>
    public double TargetRpm { get; init; }

    /// <summary>Largest line current, A.</summary>
    public double PeakLineA { get; init; }

    /// <summary>Largest current through the starter, A.</summary>
    public double PeakStarterA { get; init; }

    /// <summary>Largest dip at the bus, % of the voltage before.</summary>
    public double DipPct { get; init; }

    /// <summary>The same at the PCC.</summary>
    public double DipAtPccPct { get; init; }

    /// <summary>Smallest torque over the load's on the way, once nothing is raised any more.</summary>
    public double LeastSurplusPu { get; init; }

    /// <summary>Heat of the protection, 1 trips; by class.</summary>
    public IReadOnlyDictionary<TripClass, double> TripHeatPu { get; init; } = new Dictionary<TripClass, double>();

    /// <summary>The same when restarted warm from running: heat before = (I_run/I_set)².</summary>
    public IReadOnlyDictionary<TripClass, double> HotTripHeatPu { get; init; } = new Dictionary<TripClass, double>();

    /// <summary>Time in which the slowest relay trips with the rotor locked, warm, parts of the time the rotor stands; by class; empty
    /// while that is not stated.</summary>
    public IReadOnlyDictionary<TripClass, double> StallTripPu { get; init; } = new Dictionary<TripClass, double>();

    /// <summary>Rotor's heat in parts of what it stands locked for the stall time; unknown while that is not stated.</summary>
    public Given RotorHeatPu { get; init; }

    /// <summary>Starts per hour that the motor's heat budget leaves.</summary>
    public double StartsPerHour { get; init; }
}

/// <summary>The bus of a start with what runs beside it, and how much of its dip the PCC sees.</summary>
/// <param name="Scenario">Name of the scenario: the weakest in which the drive point runs.</param>
/// <param name="VoltageV">Voltage before, V.</param>
/// <param name="Ohm">Impedance behind the bus, ohm.</param>
/// <param name="PccSharePu">Part of the dip that appears at the PCC.</param>
public sealed record StartPlace(string Scenario, double VoltageV, System.Numerics.Complex Ohm, double PccSharePu);
