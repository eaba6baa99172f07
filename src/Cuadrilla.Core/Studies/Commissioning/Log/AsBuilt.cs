using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.Log;

/// <summary>What of a specification may be put right by what was measured.</summary>
public enum AsBuiltEntry
{
    /// <summary>Length of the motor cable, m.</summary>
    CableLengthM,

    /// <summary>No-load current of an own motor at the voltage and link of its plate, A.</summary>
    NoLoadCurrentA,
}

/// <summary>A value as built that is otherwise than specified: a proposal, taken one by one.</summary>
/// <param name="Entry">Which entry.</param>
/// <param name="ItemId">Own motor that it belongs to; empty for the drive point's own entries.</param>
/// <param name="Specified">As specified; null where it is open.</param>
/// <param name="Measured">As measured.</param>
/// <param name="Number">Entry of the log that it is from.</param>
public sealed record AsBuiltProposal(AsBuiltEntry Entry, string ItemId, double? Specified, double Measured, long Number)
{
    // Nearer than this it is the same.
    private const double SamePu = 0.01;

    /// <summary>Proposals from the entries that count; a stale or wrong one proposes nothing but its own quantity's value.</summary>
    /// <param name="source">The drive point.</param>
    /// <param name="entries">Its entries.</param>
    public static IReadOnlyList<AsBuiltProposal> Of(StepSource source, IReadOnlyList<SiteEntry> entries)
    {
        ArgumentNullException.ThrowIfNull(source);
        var counted = StepState.Counted(entries);
        return [.. new[] { Cable(source, counted), NoLoad(source, counted) }.OfType<AsBuiltProposal>()
            .Where(p => p.Specified is not { } was || Math.Abs(p.Measured - was) > SamePu * Math.Abs(was))];
    }

    private static AsBuiltProposal? Cable(StepSource source, IReadOnlyDictionary<string, SiteEntry> counted)
    {
        var length = source.Point.Cable.LengthM;
        return counted.GetValueOrDefault(DeadSteps.CableId) is { } entry && entry.Reading.Values.TryGetValue("metres", out var metres)
            && metres > 0
            ? new(AsBuiltEntry.CableLengthM, string.Empty, length.IsKnown ? length.Value : null, metres, entry.Number)
            : null;
    }

    // Only of a motor of the project: a series of the catalogue is not changed by one of its motors.
    private static AsBuiltProposal? NoLoad(StepSource source, IReadOnlyDictionary<string, SiteEntry> counted)
    {
        if (source.Model.Input.Own is not { Technology: MotorTechnology.CageInduction } own || source.Model.Fitted is not { } fitted
            || counted.GetValueOrDefault("no-load") is not { } entry
            || !entry.Reading.Values.TryGetValue("amps", out var amps) || !entry.Reading.Values.TryGetValue("volts", out var volts)
            || amps <= 0 || volts <= 0)
        {
            return null;
        }

        // At the voltage of the link in proportion to the voltage, then to the link of the plate.
        var linked = amps * fitted.Connected.LinkedVoltageV / volts;
        var ofPlate = linked * fitted.Connected.LinkedVoltageV / own.RatedVoltageV;
        return new(AsBuiltEntry.NoLoadCurrentA, own.Id, own.NoLoadCurrentA.IsKnown ? own.NoLoadCurrentA.Value : null, ofPlate,
            entry.Number);
    }
}
