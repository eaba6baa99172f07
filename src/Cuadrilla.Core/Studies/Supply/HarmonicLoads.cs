namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What hangs on the network at harmonics beside the currents that drives draw.</summary>
/// <param name="OnLine">Drive points on the line, by their locked-rotor impedance.</param>
/// <param name="Filters">Line filters of running front ends.</param>
/// <param name="LockedRotorPowerFactor">Power factor of locked rotors where none is stated.</param>
/// <param name="DampingPu">Part of the active power of other linear load that counts as a resistance, 0 to 1; 0: its damping is not relied
/// on.</param>
/// <param name="ReactorLossPu">Resistance of reactors ahead of capacitor banks, parts of their reactance.</param>
public sealed record HarmonicLoads(IReadOnlyList<LineDrive> OnLine, IReadOnlyList<FrontFilter> Filters, double LockedRotorPowerFactor,
    double DampingPu, double ReactorLossPu)
{
    /// <summary>True where others hang on it alike.</summary>
    internal bool AreAlike(HarmonicLoads other) => LockedRotorPowerFactor == other.LockedRotorPowerFactor && DampingPu == other.DampingPu
        && ReactorLossPu == other.ReactorLossPu && Filters.SequenceEqual(other.Filters) && OnLine.SequenceEqual(other.OnLine);
}
