using Cuadrilla.Core.Cables;

namespace Cuadrilla.Core.Interference;

/// <summary>Earth conductor of what leaks.</summary>
/// <param name="SectionMm2">Section, mm²; null: not stated.</param>
/// <param name="Material">Metal.</param>
/// <param name="IsDouble">True with a second conductor of the same section.</param>
/// <param name="IsMonitored">True where its loss disconnects the supply.</param>
public sealed record EarthConnection(double? SectionMm2, ConductorMaterial Material, bool IsDouble, bool IsMonitored);

/// <summary>
/// Current of line frequency and its triple through capacitors of a filter to earth, against what a protective conductor and a
/// residual-current device stand. See <c>docs/methods/leakage.md</c>.
/// </summary>
public static class FilterLeakage
{
    /// <summary>From here on an earth connection is reinforced (IEC 61800-5-1), mA.</summary>
    public const double ReinforcedFromMa = 3.5;

    // Of the link voltage: what stands between the star point and earth at three times the line frequency, as a bound.
    private const double TripleOfLinkPu = 0.2;

    // What may stand for ever of the rated residual current.
    private const double StandingPu = 0.3;
    private const double CopperMm2 = 10;
    private const double AluminiumMm2 = 16;

    /// <summary>A filter on a supply.</summary>
    /// <param name="CapacitanceUf">Capacitance to earth of a phase, µF.</param>
    /// <param name="PhaseVoltageV">Voltage to earth, V.</param>
    /// <param name="FrequencyHz">Line frequency, Hz.</param>
    /// <param name="UnbalancePct">Unbalance of the voltages, %.</param>
    /// <param name="TolerancePct">Tolerance of the capacitors, %.</param>
    /// <param name="LinkV">Link voltage, V.</param>
    public sealed record Filter(double CapacitanceUf, double PhaseVoltageV, double FrequencyHz, double UnbalancePct, double TolerancePct,
        double LinkV);

    /// <summary>What leaks.</summary>
    /// <param name="LineMa">At line frequency, mA.</param>
    /// <param name="TripleMa">At three times that, mA.</param>
    /// <param name="PhaseLostMa">At line frequency with one phase lost, mA.</param>
    public sealed record Currents(double LineMa, double TripleMa, double PhaseLostMa)
    {
        /// <summary>Their sum, mA: a bound, since the frequencies differ.</summary>
        public double TotalMa => LineMa + TripleMa;

        /// <summary>True where the earth connection is to be reinforced.</summary>
        public bool AsksReinforced => TotalMa > ReinforcedFromMa;
    }

    /// <summary>Computes it.</summary>
    public static Currents Of(Filter filter)
    {
        ArgumentNullException.ThrowIfNull(filter);
        var siemens = 2 * Math.PI * filter.FrequencyHz * filter.CapacitanceUf * 1e-6;
        var wholeMa = 1e3 * siemens * filter.PhaseVoltageV;
        return new Currents(wholeMa * (filter.UnbalancePct + filter.TolerancePct) / 100, 1e3 * 3 * siemens * TripleOfLinkPu * filter.LinkV,
            wholeMa);
    }

    /// <summary>True where an earth connection does for what leaks; null while its section is what decides and is not stated.</summary>
    public static bool? EarthHolds(Currents currents, EarthConnection earth)
    {
        ArgumentNullException.ThrowIfNull(currents);
        ArgumentNullException.ThrowIfNull(earth);
        return !currents.AsksReinforced || earth.IsDouble || earth.IsMonitored
            ? true
            : earth.SectionMm2 is { } mm2 ? mm2 >= (earth.Material == ConductorMaterial.Copper ? CopperMm2 : AluminiumMm2) : null;
    }

    /// <summary>What may stand for ever ahead of a residual-current device, mA.</summary>
    public static double PermittedMa(double residualMa) => StandingPu * residualMa;
}
