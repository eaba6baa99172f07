using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>The key figures of a load, each with its reason.</summary>
internal static class LoadFigures
{
    public static IEnumerable<Figure> Of(DrivePointModel model, LoadModel load)
    {
        var own = load switch
        {
            FluidMachineModel fluid => Fluid(model, fluid),
            WinderModel winder => Winder((WinderLoad)model.Input.DrivePoint.Load, winder),
            { Cycle: { } cycle } => Cycle(model, cycle),
            _ => Steady(model, load),
        };
        return own.Append(Torque(load));
    }

    private static Figure Torque(LoadModel load) =>
        new("shaft-torque", "Shaft torque at the rated point", load.RatedTorqueNm, "Nm", new Reason(
        "T = P/ω",
        $"{Text.N(load.RatedPowerW / 1e3)} kW/(2π·{Text.N(load.RatedSpeedRpm)}/60) = {Text.N(load.RatedTorqueNm)} Nm",
        "At the motor's shaft, gear included",
        [ReasonInput.Of("rated speed", load.RatedSpeedRpm, "rpm", "load")]));

    private static IEnumerable<Figure> Fluid(DrivePointModel model, FluidMachineModel load)
    {
        var common = load.Common;
        var fan = model.Input.DrivePoint.Load as FanLoad;
        yield return new Figure("shaft-power", "Shaft power at the rated point", load.RatedPowerW / 1e3, "kW",
            load is { RatedPressurePa.IsKnown: true, RatedEfficiency.IsKnown: true }
            ? new Reason(
                fan is not null ? "P = Q·Δp/η" : "P = ρ·g·Q·H/η",
                $"{Text.N(common.RatedFlowM3PerS.Value)} m³/s · {Text.N(load.RatedPressurePa.Value)} "
                    + $"Pa/{Text.N(load.RatedEfficiency.Value)} = {Text.N(load.RatedPowerW / 1e3)} kW",
                "docs/methods/fluid-machine.md",
                [
                    ReasonInput.Of("rated flow", common.RatedFlowM3PerS.Value, "m³/s", "load"),
                    ReasonInput.Of(fan is not null ? "rated pressure" : "rated head as pressure", load.RatedPressurePa.Value, "Pa", "load"),
                    ReasonInput.Of("efficiency of the machine", load.RatedEfficiency.Value, string.Empty, "load"),
                ])
            : new Reason("P as stated", $"{Text.N(load.RatedPowerW / 1e3)} kW", "Process sheet; flow and pressure do not enter", []));
        yield return new Figure("flow-begins", "Speed at which flow begins", load.FlowBeginsAtRpm, "rpm", new Reason(
            "n = n_r·√(s/a)",
            $"{Text.N(load.RatedSpeedRpm)}·√({Text.N(load.StaticFraction)}/{Text.N(load.ShutOffPu)}) = {Text.N(load.FlowBeginsAtRpm)} rpm",
            "docs/methods/pump-point.md; below it the cube law is not valid, nothing is delivered",
            [
                ReasonInput.Of("static share", load.StaticFraction, string.Empty, "load"),
                ReasonInput.Of("pressure or head at no flow", load.ShutOffPu, "× rated", "load"),
            ]));
        var half = load.AtFlow(0.5);
        var share = 100 * half.PowerW / load.RatedPowerW;
        var shared = common.Path is ParallelPath.Common path
            ? FormattableString.Invariant($"; {path.Running} on one path, {path.NeededAtRatedFlow} needed at rated flow")
            : string.Empty;
        yield return new Figure("half-flow-power", "Shaft power at half flow (cube law: 12.5 %)", share, "% of rated", new Reason(
            "P/P_r = q·h/(η/η_r) at h = s + (1−s)·q²",
            $"at half flow {Text.N(half.SpeedRpm)} rpm, head {Text.N(half.HeadPu)}: {Text.N(share, 3)} %{shared}",
            "docs/methods/fluid-machine.md; the cube law holds only without static head and with a path of its own",
            [ReasonInput.Of("static share", load.StaticFraction, string.Empty, "load")]));
    }

    private static IEnumerable<Figure> Steady(DrivePointModel model, LoadModel load)
    {
        yield return new Figure("shaft-power", "Shaft power at the rated point", load.RatedPowerW / 1e3, "kW", new Reason(
            "P = T·ω",
            $"{Text.N(load.RatedTorqueNm)} Nm·2π·{Text.N(load.RatedSpeedRpm)}/60 = {Text.N(load.RatedPowerW / 1e3)} kW"
                + (load.RatedTorqueNm < 0 ? "; the load drives the motor" : string.Empty),
            "docs/methods/mechanical-loads.md",
            [ReasonInput.Of("torque at the motor's shaft", load.RatedTorqueNm, "Nm", "load")]));
        yield return new Figure("breakaway", "Breakaway torque", load.BreakawayNm, "Nm", new Reason(
            "T_b = T·breakaway share", $"{Text.N(load.BreakawayNm)} Nm at the motor's shaft before anything turns",
            "docs/methods/mechanical-loads.md", []));
        if (!load.InertiaKgM2.IsKnown)
        {
            yield break;
        }

        var omega = load.RatedSpeedRpm * 2 * Math.PI / 60;
        var energy = 0.5 * load.InertiaKgM2.Value * omega * omega;
        yield return new Figure("kinetic-energy", "Energy in the turning masses", energy / 1e3, "kJ", new Reason(
            "E = ½·J·ω²", $"½·{Text.N(load.InertiaKgM2.Value)}·{Text.N(omega)}² = {Text.N(energy / 1e3)} kJ", "Definition",
            [ReasonInput.Of("inertia at the motor's shaft", load.InertiaKgM2.Value, "kg·m²", "load")]));
        if (load.RatedTorqueNm > 0)
        {
            var coast = load.InertiaKgM2.Value * omega / load.RatedTorqueNm;
            yield return new Figure("coast-time", "Time to coast to rest", coast, "s", new Reason(
                "t = J·ω/T", $"{Text.N(load.InertiaKgM2.Value)}·{Text.N(omega)}/{Text.N(load.RatedTorqueNm)} = {Text.N(coast)} s",
                "Constant running torque; stopping faster drives energy back", []));
            if (load.StopTimeS.IsKnown && load.StopTimeS.Value < coast)
            {
                var braking = ((load.InertiaKgM2.Value * omega / load.StopTimeS.Value) - load.RatedTorqueNm) * omega;
                yield return new Figure("stop-power", "Power that comes back when stopping in time", braking / 1e3, "kW", new Reason(
                    "P = (J·ω/t − T)·ω",
                    $"({Text.N(load.InertiaKgM2.Value)}·{Text.N(omega)}/{Text.N(load.StopTimeS.Value)} − "
                        + $"{Text.N(load.RatedTorqueNm)})·{Text.N(omega)} = {Text.N(braking / 1e3)} kW at the beginning",
                    "docs/methods/mechanical-loads.md; it falls straight to nothing with the speed",
                    [ReasonInput.Of("stop time", load.StopTimeS.Value, "s", "load")]));
            }
        }
    }

    private static IEnumerable<Figure> Winder(WinderLoad load, WinderModel winder)
    {
        var full = winder.At(1, load.FullDiameterM.Value);
        var core = winder.At(1, load.CoreDiameterM.Value);
        yield return new Figure("shaft-power", "Shaft power, full roll", full.PowerW / 1e3, "kW", new Reason(
            load.Unwinds ? "P = −F·v + friction" : "P = F·v + friction",
            $"{Text.N(load.TensionN.Value * (1 - (load.TaperPct.Value / 100)))} N·{Text.N(load.LineSpeedMPerS.Value)} m/s, friction "
                + $"{Text.N(load.FrictionNm.Value)} Nm: {Text.N(full.PowerW / 1e3)} kW"
                    + (load.Unwinds ? "; regenerates all the time" : string.Empty),
            "docs/methods/winder.md; tension comes from torque, not from a speed difference",
            [ReasonInput.Of("tension", load.TensionN.Value, "N", "load"),
                ReasonInput.Of("line speed", load.LineSpeedMPerS.Value, "m/s", "load")]));
        yield return new Figure("torque-range", "Torque, full roll over core", full.TorqueNm / core.TorqueNm, "× core", new Reason(
            "T = F(D)·D/2", $"{Text.N(full.TorqueNm)} Nm at {Text.N(full.SpeedRpm)} rpm over {Text.N(core.TorqueNm)} Nm at "
                + $"{Text.N(core.SpeedRpm)} rpm", "docs/methods/winder.md", []));
        if (load.Unwinds)
        {
            yield return new Figure("regenerated", "Power that comes back", Math.Max(0, -full.PowerW) / 1e3, "kW", new Reason(
                "P = F·v − friction", $"{Text.N(-full.PowerW / 1e3)} kW at the motor's shaft, as long as the line runs",
                "docs/methods/winder.md", []));
        }
    }

    private static IEnumerable<Figure> Cycle(DrivePointModel model, LoadCycle cycle)
    {
        var inertia = model.Fitted?.Item.Plate.InertiaKgM2 ?? 0;
        var energy = cycle.Energy(inertia);
        var peak = cycle.Peak(inertia);
        yield return new Figure("shaft-power", "Largest shaft power", energy.PeakMotoringW / 1e3, "kW", new Reason(
            "P = T·ω", $"largest of the cycle, {Text.N(cycle.DurationS)} s long: {Text.N(energy.PeakMotoringW / 1e3)} kW",
            "docs/methods/load-cycles.md", []));
        yield return new Figure("peak-torque", "Largest torque", peak.TorqueNm, "Nm", new Reason(
            "T = T_load + J·α", $"{Text.N(peak.TorqueNm)} Nm for {Text.N(peak.TimeS)} s at {Text.N(peak.SpeedRpm)} rpm",
            "docs/methods/load-cycles.md", [ReasonInput.Of("motor inertia", inertia, "kg·m²", "motor choice")]));
        yield return new Figure("rms-torque", "Rms torque over the cycle", cycle.RmsTorqueNm(inertia, _ => 1), "Nm", new Reason(
            "√(ΣT²·t/Σt)", $"{Text.N(cycle.RmsTorqueNm(inertia, _ => 1))} Nm with full cooling", "docs/methods/load-cycles.md", []));
        yield return new Figure("regenerated-energy", "Energy that comes back in a cycle", energy.RegeneratedJ / 1e3, "kJ", new Reason(
            "E = ∫ max(−T·ω, 0) dt",
            $"{Text.N(energy.RegeneratedJ / 1e3)} kJ back, {Text.N(energy.MotoringJ / 1e3)} kJ given; largest "
                + $"{Text.N(energy.PeakRegeneratedW / 1e3)} kW, mean {Text.N(energy.MeanRegeneratedW / 1e3)} kW",
            "docs/methods/load-cycles.md",
            []));
        if (inertia > 0 && model.Load is { InertiaKgM2: { IsKnown: true, Value: > 0 and var machine } })
        {
            yield return new Figure("inertia-ratio", "Load inertia over motor inertia", machine / inertia, "× motor", new Reason(
                "J_load/J_motor", $"{Text.N(machine)}/{Text.N(inertia)}", "At the motor's shaft", []));
        }
    }
}
