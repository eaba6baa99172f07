using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>A link of the chain from busbar to shaft.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What it is.</param>
/// <param name="InputW">Power it takes, W.</param>
/// <param name="LossW">What it loses, W.</param>
/// <param name="Reason">Why.</param>
public sealed record ChainLink(string Id, string Name, double InputW, double LossW, Reason Reason)
{
    /// <summary>Power it gives on, W.</summary>
    public double OutputW => InputW - LossW;
}

/// <summary>Where the power goes between transformer and shaft at the operating point of a scenario.</summary>
public static class LossChain
{
    /// <summary>Links from the supply to the shaft; the output of each is the input of the next.</summary>
    /// <param name="model">Complete drive point.</param>
    /// <param name="drive">Its state in the scenario.</param>
    /// <param name="scenario">The scenario.</param>
    public static IReadOnlyList<ChainLink> Of(DriveOnConverter model, DriveInScenario drive, ScenarioResult scenario)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(drive);
        ArgumentNullException.ThrowIfNull(scenario);
        var point = drive.Point;
        var losses = new List<(string Id, string Name, double LossW, Reason Reason)>
        {
            Transformers(point.DcLoadW, drive.BusId, scenario),
            Feeder(model, drive),
            Front(model, drive),
            ("converter", "Converter", point.ConverterLossW, ConverterReason(model, point)),
            Filter(model, point),
            Cable(model, point),
            Motor(point),
        };
        return Linked(point, [.. losses.Where(l => l.Id != "filter" || l.LossW > 0)]);
    }

    /// <summary>From the common DC bus, or the link of a group's converter, to the shaft of a member; what lies ahead belongs to
    /// all.</summary>
    /// <param name="model">Complete drive point on a common DC bus or in a group.</param>
    /// <param name="point">Its operating point.</param>
    public static IReadOnlyList<ChainLink> OfMember(DriveOnConverter model, OperatingPoint point)
    {
        ArgumentNullException.ThrowIfNull(model);
        return Linked(
            point,
            [
                ("converter", model.Input.Group is null ? "Inverter module" : "Its part of the converter", point.ConverterLossW,
                    ConverterReason(model, point)),
                .. new[] { Filter(model, point) }.Where(l => l.Item3 > 0),
                Cable(model, point),
                Motor(point),
            ]);
    }

    /// <summary>The same of a motor on the line.</summary>
    /// <param name="model">Complete drive point.</param>
    /// <param name="drive">Its state in the scenario.</param>
    /// <param name="scenario">The scenario.</param>
    public static IReadOnlyList<ChainLink> Of(DriveOnLine model, LineDrive drive, ScenarioResult scenario)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(drive);
        ArgumentNullException.ThrowIfNull(scenario);
        var point = drive.Point;
        var feeder = model.FeederOhm.Real;
        return Linked(
            point,
            [
                Transformers(point.LineW, drive.BusId, scenario),
                ("feeder", "Feeder", point.FeederLossW, new Reason(
                    "P = 3·R·I²",
                    $"3·{Text.N(1e3 * feeder)} mΩ·{Text.N(point.Motor.CurrentA)}² = {Text.N(point.FeederLossW)} W",
                    "R = ρ·l/A at operating temperature",
                    [ReasonInput.Of("motor current", point.Motor.CurrentA, "A", "motor model")])),
                ("starter", "Starter, bypass closed", point.ConverterLossW, new Reason(
                    "auxiliary loss of the catalogue item", $"{Text.N(point.ConverterLossW)} W", "docs/methods/catalogue.md", [])),
                Cable(model, point),
                Motor(point),
            ]);
    }

    private static (string, string, double, Reason) Cable(CompleteDrive model, OperatingPoint point) =>
        ("cable", "Motor cable", point.CableLossW, new Reason(
            "P = 3·R·I²",
            $"3·{Text.N(1e3 * model.CableOhm.Real)} mΩ·{Text.N(point.Motor.CurrentA)}² = {Text.N(point.CableLossW)} W",
            "R = ρ·l/A at operating temperature",
            [ReasonInput.Of("motor current", point.Motor.CurrentA, "A", "motor model"),
                ReasonInput.Of("cable resistance", 1e3 * model.CableOhm.Real, "mΩ", "motor cable")]));

    private static (string, string, double, Reason) Motor(OperatingPoint point)
    {
        var motor = point.Motor;
        return ("motor", "Motor", motor.LossW, new Reason(
            "P = stator + rotor + iron + friction + stray + converter addition",
            $"{Text.N(motor.StatorW)} + {Text.N(motor.RotorW)} + {Text.N(motor.IronW)} + {Text.N(motor.FrictionW)} + "
                + $"{Text.N(motor.StrayW)} + {Text.N(motor.HarmonicW)} = {Text.N(motor.LossW)} W",
            "docs/methods/motor-losses.md",
            [ReasonInput.Of("speed", point.Shaft.SpeedRpm, "rpm", "load"), ReasonInput.Of("torque", point.Shaft.TorqueNm, "Nm", "load")]));
    }

    private static List<ChainLink> Linked(OperatingPoint point, List<(string Id, string Name, double LossW, Reason Reason)> losses)
    {
        var power = point.Shaft.PowerW + losses.Sum(l => l.LossW);
        var links = new List<ChainLink>(losses.Count);
        foreach (var (id, name, lossW, reason) in losses)
        {
            links.Add(new ChainLink(id, name, power, lossW, reason));
            power -= lossW;
        }

        return links;
    }

    // Each transformer's winding loss is shared by power among what it carries; of this drive's power a transformer carries
    // the part that the network sends through it.
    private static (string, string, double, Reason) Transformers(double powerW, string busId, ScenarioResult scenario)
    {
        double share = 0;
        var parts = new List<string>();
        foreach (var transformer in scenario.Transformers.Where(t => t.FundamentalA > 0))
        {
            var carried = powerW * scenario.Network.PartThrough(transformer.TransformerId, busId);
            var apparent = transformer.FundamentalA / transformer.RatedA * transformer.RatedVa;
            var part = transformer.WindingLossW * carried / apparent;
            if (carried > 0)
            {
                share += part;
                parts.Add($"{Text.N(transformer.WindingLossW)} W·{Text.N(carried / 1e3)} kW/"
                    + $"{Text.N(apparent / 1e3)} kVA = {Text.N(part)} W");
            }
        }

        return ("transformer", "Transformers, this drive's share", share, new Reason(
            "P = Σ P_k·(I_rms/I_rated)²·P_drive/S_transformer over the transformers in its path",
            parts.Count > 0 ? string.Join("; ", parts) : "no transformer in its path",
            "Winding loss shared by power; no-load loss and stray addition not shared out",
            [ReasonInput.Of("power of the drive", powerW / 1e3, "kW", scenario.ScenarioName)]));
    }

    private static (string, string, double, Reason) Feeder(DriveOnConverter model, DriveInScenario drive)
    {
        var resistance = model.FeederOhm.Real;
        if (drive.Front is RectifierResult.LineDraw { Phases.Count: 3 } steady)
        {
            var loss = resistance * steady.Phases.Sum(p => p.RmsA * p.RmsA);
            var rms = Math.Sqrt(steady.Phases.Average(p => p.RmsA * p.RmsA));
            return ("feeder", "Feeder", loss, new Reason(
                "P = 3·R·I_rms², harmonics included",
                $"3·{Text.N(1e3 * resistance)} mΩ·{Text.N(rms)}² = {Text.N(loss)} W",
                "Line current of the solved front end; no skin effect",
                [ReasonInput.Of("line current, rms", rms, "A", "front end"),
                    ReasonInput.Of("feeder resistance", 1e3 * resistance, "mΩ", "feeder")]));
        }

        return ("feeder", "Feeder", drive.Point.FeederLossW, Estimated());
    }

    private static (string, string, double, Reason) Front(DriveOnConverter model, DriveInScenario drive)
    {
        var item = model.Converter.Item;
        var resistance = item.DcChokeResistanceOhm;
        var rest = item.FrontEnd.LossW(drive.Point.DcLoadW, item.RatedKw * 1e3);
        var name = item.FrontEnd.PartsName;
        var fixedAndLoad = $"{Text.N(100 * item.FrontEnd.FixedLossPu, 3)} % + {Text.N(100 * item.FrontEnd.LoadLossPu, 3)} %·(P/P_N)² of "
            + $"{Text.N(item.RatedKw)} kW = {Text.N(rest)} W";
        if (drive.Front is RectifierResult.SteadyState steady)
        {
            // Chokes of several bridges carry their own currents; the sum of squares is what the study gives.
            var rms = steady.DcCurrentRmsA;
            var loss = (resistance * rms * rms) + rest;
            return ("choke", name, loss, new Reason(
                "P = R·I_dc,rms² + P_fixed + P_load·(P/P_N)²",
                $"{Text.N(1e3 * resistance)} mΩ·{Text.N(rms)}² + {fixedAndLoad}; together {Text.N(loss)} W",
                "Bridge current of the solved front end; fixed and load loss of the catalogue item",
                [ReasonInput.Of("bridge current, rms", rms, "A", "front end"),
                    ReasonInput.Of("choke resistance", 1e3 * resistance, "mΩ", "catalogue converter")]));
        }

        return ("choke", name, drive.Point.FrontLossW, new Reason(
            "P = P_fixed + P_load·(P/P_N)²; a choke by block current",
            fixedAndLoad + $"; with choke {Text.N(drive.Point.FrontLossW)} W",
            "docs/methods/front-ends.md",
            [ReasonInput.Of("power through it", drive.Point.DcLoadW / 1e3, "kW", "loss chain")]));
    }

    private static (string, string, double, Reason) Filter(DriveOnConverter model, OperatingPoint point) =>
        ("filter", model.Filter is { } f ? char.ToUpperInvariant(f.Name[0]) + f.Name[1..] : "Output filter", point.FilterLossW, new Reason(
            "P = p·P_N,motor·(I/I_N)²",
            $"{Text.N(model.Filter?.LossPct ?? 0)} %·{Text.N(model.Motor.Plate.RatedPowerW / 1e3)} "
                + $"kW·({Text.N(point.Motor.CurrentA)}/{Text.N(model.Motor.Plate.RatedCurrentA)})² = {Text.N(point.FilterLossW)} W",
            "docs/methods/output-voltage.md",
            [ReasonInput.Of("motor current", point.Motor.CurrentA, "A", "motor model")]));

    private static Reason Estimated() => new(
        "block current of the DC-link power", "the front end has no one-cycle steady state; block current taken instead",
        "docs/methods/pcc.md", []);

    private static Reason ConverterReason(DriveOnConverter model, OperatingPoint point)
    {
        var item = model.Converter.Item;
        var frequency = model.Motor.FrequencyShare(point.Motor);
        return new Reason(
            "interpolated between the eight points (frequency, current)",
            $"at ({Text.N(100 * frequency, 3)} %, {Text.N(100 * point.Motor.CurrentA / item.LightCurrentA, 3)} %): "
                + $"{Text.N(point.ConverterLossW)} W",
            "IEC 61800-9-2 points, docs/methods/converter-losses.md",
            [
                ReasonInput.Of("output frequency", point.Motor.FrequencyHz, "Hz", "motor model"),
                ReasonInput.Of("output current", point.Motor.CurrentA, "A", "motor model"),
                ReasonInput.Of("loss at (90 %, 100 %)", item.Losses.F90I100W, "W", "catalogue converter"),
            ]);
    }
}
