using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant;

namespace Cuadrilla.Core.Assessment;

/// <summary>What a scenario draws through the transformer and does at the point of common coupling.</summary>
/// <param name="ScenarioId">Which scenario.</param>
/// <param name="ScenarioName">Its name.</param>
/// <param name="Pcc">Currents and voltages at the PCC, of the phase with the most harmonic current.</param>
/// <param name="PccPhases">The same of every phase; one stands for all when they are alike.</param>
/// <param name="BusRmsA">Rms current at the bus of the most loaded phase, A.</param>
/// <param name="BusFundamentalA">Fundamental current at the bus, A.</param>
/// <param name="RectifierDcW">DC load of all rectifiers, W.</param>
/// <param name="Heat">Harmonic loss factor and permitted current of the transformer; null without current.</param>
/// <param name="Drives">Each running drive.</param>
/// <param name="Unsettled">Tags of drives whose front end has no steady state, with the reason.</param>
public sealed record ScenarioResult(
    string ScenarioId,
    string ScenarioName,
    PccStudy.Result Pcc,
    IReadOnlyList<PccStudy.Result> PccPhases,
    double BusRmsA,
    double BusFundamentalA,
    double RectifierDcW,
    WindingHeat.Result? Heat,
    IReadOnlyList<DriveInScenario> Drives,
    IReadOnlyList<string> Unsettled);

/// <summary>A drive in a scenario.</summary>
/// <param name="DrivePointId">Which one.</param>
/// <param name="Point">Its operating point.</param>
/// <param name="Front">Its front end.</param>
/// <param name="FrontInput">The circuit that was solved.</param>
public sealed record DriveInScenario(string DrivePointId, OperatingPoint Point, RectifierResult Front, RectifierInput FrontInput);
