using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Core.Studies.Stopping;

/// <summary>One way of stopping.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What it is.</param>
/// <param name="IsChosen">True for what is specified.</param>
/// <param name="Impossible">Why it can't be done; empty when it can.</param>
/// <param name="Run">The stop; null when impossible.</param>
/// <param name="RotorHeatPu">Heat of the rotor in parts of what it stands from warm; 0 where little goes there, unknown while the stall
/// time is not stated.</param>
public sealed record StopCase(string Id, string Name, bool IsChosen, string Impossible, StopResult? Run, Given RotorHeatPu);
