using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>A cycle of the line current as the power analyser of a stand-in records it.</summary>
/// <param name="PeriodMs">Duration of the cycle, ms.</param>
/// <param name="SamplesA">Samples at equal distance, A.</param>
public sealed record StandInWave(double PeriodMs, IReadOnlyList<double> SamplesA)
{
    private const int Samples = 256;

    // An instrument's resolution, parts of the crest.
    private const double ResolutionPu = 0.001;

    /// <summary>Records one; null while nothing flows, or where the line current is not known.</summary>
    /// <param name="drive">The drive.</param>
    public static StandInWave? Of(StandInDrive drive)
    {
        ArgumentNullException.ThrowIfNull(drive);
        if (OrdersA(drive) is not { } orders)
        {
            return null;
        }

        var wave = new OrderWaveform(orders);
        var peak = wave.PeakA();
        return new(1e3 / drive.Source.SupplyHz, [.. Enumerable.Range(0, Samples)
            .Select(n => Digits.Kept(wave.LineCurrentA(2 * Math.PI * n / Samples)
                + (ResolutionPu * peak * (drive.Noise.Noise(100) - 1))))]);
    }

    /// <summary>Rms phasors of the line current now, A: those of the study at the load of the moment, with what is hidden at single
    /// orders; null while nothing flows.</summary>
    internal static IReadOnlyList<Complex>? OrdersA(StandInDrive drive)
    {
        if (!drive.IsFed || drive.Source.LineOrdersA is not { } line)
        {
            return null;
        }

        var share = Share(drive);
        return [.. line.Select((o, i) => share * o
            * (Array.IndexOf(StandInInstruments.Orders, i + 1) is >= 0 and var known ? drive.Truth.OrderFactor[known] : 1))];
    }

    private static double Share(StandInDrive drive)
    {
        var load = drive.Source.Model.Load;
        var rated = load is null ? 0 : load.RatedTorqueNm * load.RatedSpeedRpm;
        return rated > 0 ? Math.Clamp(drive.TorqueNm * drive.SpeedRpm / rated, 0.05, 1.5) : 1;
    }
}
