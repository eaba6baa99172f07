using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Plants;

/// <summary>What a plant's harmonics come to, without all else that is judged of it.</summary>
/// <param name="Scenarios">Scenarios with currents and voltages by order.</param>
/// <param name="Checks">All checks of harmonics, of the plant and of its drive points.</param>
public sealed record HarmonicDraft(IReadOnlyList<ScenarioResult> Scenarios, IReadOnlyList<Check> Checks);
