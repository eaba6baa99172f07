using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Commissioning;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Instruments;

namespace Cuadrilla.Web.Instruments;

/// <summary>The newest recorded cycle of a line current.</summary>
/// <param name="Wave">The cycle; null where none was recorded.</param>
internal sealed record LineWaveDocument(RecordedCycleDocument? Wave);

/// <summary>An order of a recorded cycle.</summary>
/// <param name="Order">The order.</param>
/// <param name="MeasuredPct">Recorded, % of the recorded fundamental.</param>
/// <param name="ComputedPct">The study's, % of its fundamental.</param>
internal sealed record RecordedOrder(int Order, double MeasuredPct, double ComputedPct);

/// <summary>A recorded cycle beside the study's.</summary>
/// <param name="What">What it is.</param>
/// <param name="Unit">Unit of its samples.</param>
/// <param name="PeriodMs">Duration of the cycle, ms.</param>
/// <param name="AgeS">Age, s.</param>
/// <param name="Good">The instrument calls it good.</param>
/// <param name="Simulated">It is simulated.</param>
/// <param name="Instrument">Instrument.</param>
/// <param name="Problem">Why it can't be compared; empty where it can.</param>
/// <param name="RmsA">True rms, A.</param>
/// <param name="PeakA">Crest, A.</param>
/// <param name="FundamentalA">Fundamental, A.</param>
/// <param name="ThdiPct">Distortion, %.</param>
/// <param name="ComputedThdiPct">The study's over the same orders, %; null without a study.</param>
/// <param name="Instants">The cycle by rising angle.</param>
/// <param name="Orders">Orders from 2, beside the study's.</param>
internal sealed record RecordedCycleDocument(string What, string Unit, double PeriodMs, double AgeS, bool Good, bool Simulated,
    string Instrument,
    string Problem, double RmsA, double PeakA, double FundamentalA, double ThdiPct, double? ComputedThdiPct,
    IReadOnlyList<WaveInstant> Instants, IReadOnlyList<RecordedOrder> Orders)
{
    // A cycle more than so far from the period of the supply is of something else.
    private const double PeriodPct = 3;

    public static RecordedCycleDocument Of(InstrumentWave wave, StepSource source, DateTimeOffset now)
    {
        var empty = new RecordedCycleDocument(wave.Kind.What, wave.Kind.Unit, wave.PeriodMs,
            Math.Round(Math.Max(0, (now - wave.At).TotalSeconds), 1),
            wave.IsGood, wave.IsSimulated, wave.Instrument, string.Empty, 0, 0, 0, 0, null, [], []);
        var period = 1e3 / source.SupplyHz;
        if (Math.Abs(wave.PeriodMs - period) > PeriodPct / 100 * period)
        {
            return empty with { Problem = $"a cycle of {Text.N(wave.PeriodMs, 4)} ms; the supply's takes {Text.N(period, 4)} ms" };
        }

        try
        {
            var found = WaveComparison.Of(wave.Samples, source.LineOrdersA);
            return empty with
            {
                RmsA = found.RmsA, PeakA = found.PeakA, FundamentalA = found.FundamentalA, ThdiPct = found.ThdiPct,
                ComputedThdiPct = found.Spectrum?.ComputedThdPct, Instants = found.Instants, Orders = [.. (found.Spectrum?.Orders ?? [])
                    .Select(o => new RecordedOrder(o.Order, o.MeasuredPct, o.ComputedPct))],
            };
        }
        catch (UnfitDataException problem)
        {
            return empty with { Problem = problem.Message };
        }
    }
}
