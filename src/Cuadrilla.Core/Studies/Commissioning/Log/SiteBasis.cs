using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Studies.Commissioning.Parameters;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.Log;

/// <summary>What results on site rest on, in lines that people read; kept with every entry and compared with the specification of
/// today.</summary>
/// <param name="Lines">Lines by aspect.</param>
public sealed record SiteBasis(IReadOnlyDictionary<SiteAspect, IReadOnlyList<string>> Lines)
{
    private static readonly ParameterGroup[] OfSettings =
        [ParameterGroup.Control, ParameterGroup.Limits, ParameterGroup.Running, ParameterGroup.Reactions];

    /// <summary>The basis of a drive point's results.</summary>
    public static SiteBasis Of(StepSource source)
    {
        ArgumentNullException.ThrowIfNull(source);
        return new(new Dictionary<SiteAspect, IReadOnlyList<string>>
        {
            [SiteAspect.Plate] = Plate(source),
            [SiteAspect.Link] = [.. Rows(source, r => r.Id is "motor.link" or "motor.base-frequency")],
            [SiteAspect.Filter] = Filter(source),
            [SiteAspect.Cable] = Cable(source),
            [SiteAspect.Unit] = [source.Sheet.Product,
                $"{Text.N(source.Model.Converter?.RatedCurrentA ?? source.Model.Starter?.Item?.RatedCurrentA ?? 0)} A"],
            [SiteAspect.Settings] = [.. Rows(source, r => OfSettings.Contains(r.Group))],
            [SiteAspect.Load] = Load(source),
            [SiteAspect.Brake] = Brake(source),
            [SiteAspect.Protection] = Protection(source),
            [SiteAspect.Signals] = [.. Rows(source, r => r.Group == ParameterGroup.Signals)],
            [SiteAspect.Supply] = [$"{Text.N(source.Bus.NominalVoltageV)} V", $"{Text.N(source.Model.Input.FrequencyHz)} Hz",
                $"earthing {source.Bus.Earthing}"],
            [SiteAspect.Together] = [.. Rows(source, r => r.Group == ParameterGroup.Together),
                source.Parameters.Shaft is { } shaft ? $"{shaft.Name}: {shaft.Units.Count} units" : "no shared shaft"],
        });
    }

    /// <summary>What is otherwise today, of the aspects that a step rests on: a sentence each.</summary>
    /// <param name="today">Basis of today.</param>
    /// <param name="restsOn">Aspects that count.</param>
    public IReadOnlyList<string> ChangedTo(SiteBasis today, IReadOnlyList<SiteAspect> restsOn)
    {
        ArgumentNullException.ThrowIfNull(today);
        ArgumentNullException.ThrowIfNull(restsOn);
        return [.. restsOn.Distinct().Select(aspect => (Aspect: aspect, Was: Of(this, aspect), Is: Of(today, aspect)))
            .Where(a => !a.Was.SequenceEqual(a.Is, StringComparer.Ordinal))
            .Select(a => $"{Word(a.Aspect)}: {Said(a.Was.Except(a.Is, StringComparer.Ordinal))} → "
                + $"{Said(a.Is.Except(a.Was, StringComparer.Ordinal))}")];
    }

    /// <summary>What an aspect is called.</summary>
    public static string Word(SiteAspect aspect) => aspect switch
    {
        SiteAspect.Plate => "plate",
        SiteAspect.Link => "link",
        SiteAspect.Filter => "filter",
        SiteAspect.Cable => "motor cable",
        SiteAspect.Unit => "unit",
        SiteAspect.Settings => "parameters",
        SiteAspect.Load => "machine",
        SiteAspect.Brake => "brake",
        SiteAspect.Protection => "protection",
        SiteAspect.Signals => "signals",
        SiteAspect.Supply => "supply",
        _ => "what it works together with",
    };

    private static IReadOnlyList<string> Of(SiteBasis basis, SiteAspect aspect) => basis.Lines.GetValueOrDefault(aspect) ?? [];

    private static string Said(IEnumerable<string> lines) => string.Join(", ", lines) is { Length: > 0 } said ? said : "nothing";

    private static IEnumerable<string> Rows(StepSource source, Func<ParameterRow, bool> which) => source.Sheet.Rows.Where(which)
        .Select(r => $"{r.Name}: {r.Text}{(r.Unit.Length > 0 && r.Text.Length > 0 ? " " + r.Unit : string.Empty)}");

    private static IReadOnlyList<string> Plate(StepSource source) => source.Model.Fitted is not { Item: { } item } ? ["no motor"]
        :
        [
            item.OwnName.Length > 0 ? item.OwnName : item.Id, $"{Text.N(item.Plate.RatedPowerW / 1e3)} kW",
            $"{Text.N(item.Plate.RatedVoltageV)} V",
            $"{Text.N(item.Plate.RatedCurrentA)} A", $"{Text.N(item.Plate.RatedFrequencyHz)} Hz", $"{Text.N(item.Plate.RatedSpeedRpm)} rpm",
            $"cos φ {Text.N(item.Plate.PowerFactor, 3)}", $"no-load {Text.N(item.Plate.MagnetisingPu, 3)} pu",
        ];

    private static IReadOnlyList<string> Filter(StepSource source) =>
        [source.Model.Filter?.Name ?? "no filter",
            source.Point.StepUp is { } stepUp
                ? $"step-up transformer {Said(stepUp.Transformer.RatedKva)} kVA, tap {Said(stepUp.Transformer.TapV)} V"
                : "no step-up transformer"];

    private static IReadOnlyList<string> Cable(StepSource source)
    {
        var cable = source.Point.Cable;
        return [$"{Said(cable.LengthM)} m", $"{cable.ParallelRuns} × {Said(cable.CrossSectionMm2)} mm²",
            $"{(cable.Material == Cables.ConductorMaterial.Copper ? "copper" : "aluminium")}"
                + $"{(cable.Screened ? ", screened" : string.Empty)}"];
    }

    private static string Said(Given value) => value.IsKnown ? Text.N(value.Value) : "?";

    private static IReadOnlyList<string> Load(StepSource source) => source.Model.Load is not { } load ? [source.Point.Load.InWords()]
        :
        [
            source.Point.Load.InWords(), $"{Text.N(load.RatedTorqueNm)} Nm", $"{Text.N(load.RatedSpeedRpm)} rpm",
            $"{Said(load.InertiaKgM2)} kg·m²",
            $"start {Said(load.StartTimeS)} s", $"stop {Said(load.StopTimeS)} s",
        ];

    private static IReadOnlyList<string> Brake(StepSource source) =>
        source.Point.Brake is not HoldingBrake.SpringApplied brake ? ["no brake"]
        :
        [
            $"{Said(brake.HoldingNm)} Nm", $"release {Said(brake.ReleaseMs)} ms", $"close {Said(brake.CloseMs)} ms",
            $"suppression {brake.Coil.Suppression}", $"feedback {brake.Control.CommandFeedback}/{brake.Control.PositionFeedback}",
        ];

    private static IReadOnlyList<string> Protection(StepSource source) => [source.Point.Devices.Device switch
    {
        ProtectiveDevice.Fuse f => $"fuse {Text.N(f.RatedA)} A",
        ProtectiveDevice.SemiconductorFuse f => $"semiconductor fuse {Text.N(f.RatedA)} A",
        ProtectiveDevice.CircuitBreaker b => $"breaker {Text.N(b.RatedA)} A set to {Text.N(b.OverloadA)} A",
        ProtectiveDevice.MotorBreaker m => $"motor breaker {Text.N(m.RatedA)} A set to {Text.N(m.OverloadA)} A",
        _ => "none chosen",
    }];
}
