using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>What hangs on a bus beside the lineups.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="BusId">Its bus.</param>
public abstract record BusLoad(string Id, string Name, string BusId)
{
    /// <summary>Apparent power at nominal voltage when it runs fully, VA: P + jQ.</summary>
    public abstract System.Numerics.Complex PowerVa();

    /// <summary>P + jQ of an active power and a lagging power factor.</summary>
    protected static System.Numerics.Complex Lagging(double powerKw, double powerFactor) =>
        new(powerKw * 1e3, powerKw * 1e3 * Math.Tan(Math.Acos(powerFactor)));

    /// <summary>Heating, lighting, mixed load: draws no harmonic current.</summary>
    /// <param name="Id">Stable key.</param>
    /// <param name="Name">What people call it.</param>
    /// <param name="BusId">Its bus.</param>
    /// <param name="PowerKw">Active power, kW.</param>
    /// <param name="PowerFactor">Power factor, lagging, 0.1 to 1.</param>
    public sealed record Linear(string Id, string Name, string BusId, double PowerKw, double PowerFactor) : BusLoad(Id, Name, BusId)
    {
        /// <inheritdoc/>
        public override System.Numerics.Complex PowerVa() => Lagging(PowerKw, PowerFactor);
    }

    /// <summary>A cage motor started across the line, not among the drive points.</summary>
    /// <param name="Id">Stable key.</param>
    /// <param name="Name">What people call it.</param>
    /// <param name="BusId">Its bus.</param>
    /// <param name="RatedKw">Rated shaft power, kW.</param>
    /// <param name="EfficiencyPct">Rated efficiency, %.</param>
    /// <param name="PowerFactor">Rated power factor.</param>
    /// <param name="LoadingPct">Load in service, % of the rated power.</param>
    /// <param name="LockedRotorCurrentPu">Locked-rotor current, parts of the rated.</param>
    /// <param name="LockedRotorPowerFactor">Power factor with locked rotor; unknown: the project's usual value, and said.</param>
    /// <param name="StartsPerHour">Starts per hour; decides which limit at the PCC holds.</param>
    public sealed record LineMotor(
        string Id,
        string Name,
        string BusId,
        double RatedKw,
        double EfficiencyPct,
        double PowerFactor,
        double LoadingPct,
        double LockedRotorCurrentPu,
        Given LockedRotorPowerFactor,
        double StartsPerHour) : BusLoad(Id, Name, BusId)
    {
        /// <inheritdoc/>
        public override System.Numerics.Complex PowerVa() => Lagging(RatedKw / (EfficiencyPct / 100) * LoadingPct / 100, PowerFactor);

        /// <summary>Apparent power with locked rotor at nominal voltage, VA.</summary>
        public double LockedRotorVa() => RatedKw * 1e3 / (EfficiencyPct / 100) / PowerFactor * LockedRotorCurrentPu;
    }

    /// <summary>Single-phase loads between line and neutral.</summary>
    /// <param name="Id">Stable key.</param>
    /// <param name="Name">What people call it.</param>
    /// <param name="BusId">Its bus.</param>
    /// <param name="PowerKw">Active power of all phases, kW.</param>
    /// <param name="PowerFactor">Displacement power factor, lagging, 0.1 to 1.</param>
    /// <param name="UnevenPct">By how much the fullest phase exceeds the mean, %.</param>
    /// <param name="ThirdHarmonicPct">Third harmonic of the phase current, % of the fundamental.</param>
    /// <param name="NeutralA">Current that the neutral conductor carries for ever, A.</param>
    public sealed record SinglePhaseGroup(
        string Id, string Name, string BusId, double PowerKw, double PowerFactor, Given UnevenPct, Given ThirdHarmonicPct, Given NeutralA)
        : BusLoad(Id, Name, BusId)
    {
        /// <inheritdoc/>
        public override System.Numerics.Complex PowerVa() => Lagging(PowerKw, PowerFactor);
    }
}
