namespace Cuadrilla.Core.Interference;

/// <summary>
/// Current that each edge of an inverter drives through the capacitance of a screened motor cable, one conductor against its screen, and
/// what charging it costs. See <c>docs/methods/common-mode.md</c>.
/// </summary>
public static class CommonMode
{
    // Above a tenth of its rated current a small converter has less left for its motor than its plate says.
    private const double PermittedPu = 0.1;

    // Conductor to screen of three-core screened cables, nF/m, straight over the section between.
    private static readonly (double SectionMm2, double NfPerM)[] Usual = [(4, 0.25), (16, 0.45), (50, 0.6), (120, 0.75)];

    /// <summary>A cable and what feeds it.</summary>
    /// <param name="LengthM">Length, m.</param>
    /// <param name="SectionMm2">Section of a conductor, mm².</param>
    /// <param name="NfPerM">Capacitance conductor to screen, nF/m; null: by the section.</param>
    /// <param name="SlopeKvPerUs">Slope of an edge, kV/µs.</param>
    /// <param name="LinkV">Link voltage, V.</param>
    /// <param name="SwitchingKhz">Switching frequency, kHz.</param>
    /// <param name="RatedA">Rated current of the converter, A.</param>
    /// <param name="ImpedanceOhm">Impedance of the common-mode circuit Z_cm, ohm.</param>
    public sealed record Case(
        double LengthM, double SectionMm2, double? NfPerM, double SlopeKvPerUs, double LinkV, double SwitchingKhz, double RatedA,
        double ImpedanceOhm);

    /// <summary>What comes of it.</summary>
    /// <param name="CapacitanceNf">Capacitance of a conductor, nF.</param>
    /// <param name="EdgeA">C·du/dt, A.</param>
    /// <param name="LimitA">What the impedance lets through, U/Z_cm, A.</param>
    /// <param name="PeakA">The smaller of the two, A.</param>
    /// <param name="ChargingA">Mean current that charges it, C·U·f, A.</param>
    /// <param name="PermittedA">A tenth of the converter's rated current, A.</param>
    /// <param name="LossW">C·U²·f of one conductor, both edges, W; a cable of three conductors three times.</param>
    public sealed record Result(double CapacitanceNf, double EdgeA, double LimitA, double PeakA, double ChargingA, double PermittedA,
        double LossW)
    {
        /// <summary>True where charging leaves the converter its current.</summary>
        public bool Holds => ChargingA <= PermittedA;
    }

    /// <summary>Capacitance of a conductor to the screen, nF/m: straight over the section between those known, constant outside.</summary>
    public static double NfPerM(double sectionMm2)
    {
        if (sectionMm2 <= Usual[0].SectionMm2)
        {
            return Usual[0].NfPerM;
        }

        for (var i = 1; i < Usual.Length; i++)
        {
            if (sectionMm2 <= Usual[i].SectionMm2)
            {
                var (from, to) = (Usual[i - 1], Usual[i]);
                return from.NfPerM + ((to.NfPerM - from.NfPerM) * (sectionMm2 - from.SectionMm2) / (to.SectionMm2 - from.SectionMm2));
            }
        }

        return Usual[^1].NfPerM;
    }

    /// <summary>Computes a case.</summary>
    public static Result Of(Case of)
    {
        ArgumentNullException.ThrowIfNull(of);
        var capacitanceNf = (of.NfPerM ?? NfPerM(of.SectionMm2)) * of.LengthM;

        // Nanofarads at kilovolts a microsecond are amperes.
        var (edgeA, limitA) = (capacitanceNf * of.SlopeKvPerUs, of.LinkV / of.ImpedanceOhm);
        var chargePerS = capacitanceNf * 1e-9 * of.LinkV * of.SwitchingKhz * 1e3;
        return new Result(capacitanceNf, edgeA, limitA, Math.Min(edgeA, limitA), chargePerS, PermittedPu * of.RatedA,
            chargePerS * of.LinkV);
    }
}
