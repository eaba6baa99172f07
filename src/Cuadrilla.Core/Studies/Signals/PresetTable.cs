using Cuadrilla.Core.Base;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Preset speeds by their inputs: which bits make which speed.</summary>
/// <param name="Bits">Inputs on the list, bit 0 first.</param>
/// <param name="Rows">One for every state of the inputs, all off first.</param>
public sealed record PresetTable(IReadOnlyList<SignalFunction> Bits, IReadOnlyList<PresetRow> Rows)
{
    private static readonly SignalFunction[] AllBits = [SignalFunction.PresetBit0, SignalFunction.PresetBit1, SignalFunction.PresetBit2];

    /// <summary>The table of a plan; null without preset speeds and inputs for them.</summary>
    public static PresetTable? Of(SignalPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var bits = AllBits.Where(b => plan.Wanted.Any(w => w.Function == b)).ToList();
        return bits.Count == 0 && plan.Presets.Count == 0
            ? null
            : new PresetTable(bits, [.. Enumerable.Range(0, 1 << bits.Count).Select(state => new PresetRow(
                [.. bits.Select((_, bit) => (state >> bit & 1) == 1)],
                state == 0 || state > plan.Presets.Count ? Given.Unknown : plan.Presets[state - 1].FrequencyHz))]);
    }

    /// <summary>Preset speeds that the inputs can't choose.</summary>
    public static int OutOfReach(SignalPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return Math.Max(0, plan.Presets.Count - ((1 << AllBits.Count(b => plan.Wanted.Any(w => w.Function == b))) - 1));
    }
}

/// <summary>A state of the inputs.</summary>
/// <param name="On">Which are on, bit 0 first.</param>
/// <param name="FrequencyHz">Frequency, Hz; not known: the reference, or none is entered.</param>
public sealed record PresetRow(IReadOnlyList<bool> On, Given FrequencyHz);
