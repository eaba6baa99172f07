using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;

namespace Cuadrilla.Catalogue;

/// <summary>Presets of holding brakes as the data file has them.</summary>
internal sealed record BrakePresetFile(string Source, string Edition, IReadOnlyList<BrakePresetFile.Row> Presets)
{
    public IReadOnlyList<BrakePreset> Build() => [.. Presets.Select(p => new BrakePreset(
        p.Application,
        new BrakeControl(BrakeCommand.Converter, p.ProvenPct, Known(p.SpeedAfterReleaseMs), p.CloseBelowPct, Known(p.CloseDelayS),
            Known(p.HoldMs), p.CommandFeedback, p.PositionFeedback),
        p.Suppression,
        p.Why))];

    private static Given Known(double? value) => value is { } known ? known : Given.Unknown;

    internal sealed record Row(
        string Application, double ProvenPct, double? SpeedAfterReleaseMs, double CloseBelowPct, double? CloseDelayS, double? HoldMs,
        CoilSuppression Suppression, bool CommandFeedback,
        bool PositionFeedback, string Why);
}
