namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>A brake resistor of the catalogue.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="ResistanceOhm">Resistance, ohm.</param>
/// <param name="ContinuousKw">Power that it burns for ever, kW.</param>
/// <param name="WindowS">Time over which its mean power counts, s.</param>
/// <param name="Pulses">What it stands for shorter times, ascending.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="PriceIndex">Price, index points.</param>
public sealed record BrakeResistorItem(
    string Id, string Name, double ResistanceOhm, double ContinuousKw, double WindowS, IReadOnlyList<ResistorPulse> Pulses, double MassKg,
    double PriceIndex);
