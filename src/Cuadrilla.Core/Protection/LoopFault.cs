using System.Numerics;

namespace Cuadrilla.Core.Protection;

/// <summary>
/// Fault to earth against what its device needs: Z_s ≤ c·U_0/I_a (IEC 60364-4-41, 60364-6 annex D). See
/// <c>docs/methods/disconnection.md</c>.
/// </summary>
public static class LoopFault
{
    // A loop measured cold counts as so much of the permitted (IEC 60364-6, annex D).
    private const double MeasuredPart = 2.0 / 3;

    /// <summary>The loop and what its device needs.</summary>
    /// <param name="PhaseVoltageV">Voltage to earth U_0, V.</param>
    /// <param name="Source">Loop up to the cable, Ω.</param>
    /// <param name="LinePerM">Line conductor, hot, Ω/m.</param>
    /// <param name="EarthPerM">Protective conductor, hot, Ω/m.</param>
    /// <param name="LengthM">Length, m.</param>
    /// <param name="TripA">Current that surely disconnects in time, A.</param>
    /// <param name="VoltageFactor">c of the least fault current.</param>
    public sealed record Loop(double PhaseVoltageV, Complex Source, Complex LinePerM, Complex EarthPerM, double LengthM, double TripA,
        double VoltageFactor);

    /// <summary>What comes of it.</summary>
    /// <param name="LoopOhm">Impedance of the loop, Ω.</param>
    /// <param name="FaultA">Fault current, A.</param>
    /// <param name="PermittedOhm">Largest impedance that disconnects in time, Ω.</param>
    /// <param name="MeasuredLimitOhm">Largest reading of a cold loop, Ω.</param>
    /// <param name="LargestLengthM">Length at which it just disconnects, m; null where the source alone is too much.</param>
    /// <param name="TouchV">Voltage on the protective conductor while it lasts, V.</param>
    public sealed record Result(double LoopOhm, double FaultA, double PermittedOhm, double MeasuredLimitOhm, double? LargestLengthM,
        double TouchV)
    {
        /// <summary>The device disconnects in time.</summary>
        public bool Disconnects => LoopOhm <= PermittedOhm;
    }

    /// <summary>Judges a loop.</summary>
    public static Result Of(Loop loop)
    {
        ArgumentNullException.ThrowIfNull(loop);
        var perM = loop.LinePerM + loop.EarthPerM;
        var impedance = (loop.Source + (loop.LengthM * perM)).Magnitude;
        var driving = loop.VoltageFactor * loop.PhaseVoltageV;
        var (fault, permitted) = (driving / impedance, driving / loop.TripA);
        return new Result(
            impedance, fault, permitted, MeasuredPart * loop.PhaseVoltageV / loop.TripA, LengthAt(loop.Source, perM, permitted),
            fault * loop.LengthM * loop.EarthPerM.Magnitude);
    }

    // |Z_source + l·z| = Z: the positive root.
    private static double? LengthAt(Complex source, Complex perM, double permitted)
    {
        var square = (perM.Real * perM.Real) + (perM.Imaginary * perM.Imaginary);
        var half = (source.Real * perM.Real) + (source.Imaginary * perM.Imaginary);
        var rest = (source.Real * source.Real) + (source.Imaginary * source.Imaginary) - (permitted * permitted);
        return rest > 0 ? null : -rest / (half + Math.Sqrt((half * half) - (square * rest)));
    }
}
