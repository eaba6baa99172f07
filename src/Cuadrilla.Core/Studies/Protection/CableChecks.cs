using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>
/// <c>cable.capacity</c>, <c>cable.voltage-drop</c>, <c>cable.short-circuit</c>, <c>cable.disconnection</c> and
/// <c>cable.protective-conductor</c> of a feeder and a motor cable. While nobody says how a cable is laid, what holds as hard as it can
/// be laid holds, what fails as easily fails, and anything between needs data.
/// </summary>
internal static class CableChecks
{
    // Tables and standard ratings hold their margin themselves; lengths and voltages are what the site makes of them.
    private static readonly string[] KeepsMargin = ["cable.voltage-drop", "cable.disconnection"];

    /// <summary>Tells the checks of a feeder from those of the motor cable behind it.</summary>
    public const string FeederElement = "feeder";

    public const string NotLaid = "how the cable is laid: insulation, method and grouping, at the cable or once in Project settings";
    private const string Capacity = "IEC 60364-5-52, tables B.52; IEC 60364-4-43";
    private const string Us = "NFPA 70, 310.16 at 75 °C, 430.6, 430.22, 430.122 (verify)";

    public static IEnumerable<Check> Of(FeederStudy feeder)
    {
        foreach (var check in OfFeeder(feeder))
        {
            yield return check.At(FeederElement);
        }

        var motor = feeder.Point.Cable;
        foreach (var check in Of(new Subject(
            feeder, BoardRow.Cable, "motor cable", motor.CrossSectionMm2, motor.LengthM, feeder.MotorCurrent, feeder.MotorMissing,
            feeder.Laid(motor.Installation), feeder.MotorTask, feeder.IsOnLine, feeder.IsOnLine)))
        {
            yield return check;
        }
    }

    /// <summary>Those of a feeder; none without a cable of its own.</summary>
    public static IEnumerable<Check> OfFeeder(FeedStudy feeder) => feeder is { HasFeeder: true, Feeder: Feeder.ByCable cable }
        ? Of(new Subject(
            feeder, feeder.Row, feeder.FeederName, cable.CrossSectionMm2, cable.LengthM, feeder.FeederCurrent, feeder.FeederMissing,
            feeder.Laid(cable.Installation), feeder.FeederTask, true, !feeder.IsOnLine))
        : [];

    /// <summary>Fault loop at the end of a feeder as <c>cable.disconnection</c> judges it; null where that does not.</summary>
    public static LoopFault.Result? LoopAtEnd(FeedStudy feeder) =>
        feeder is { HasFeeder: true, Feeder: Feeder.ByCable { CrossSectionMm2.IsKnown: true } cable } && feeder.LoopNotJudged() is null
        && feeder.Laid(cable.Installation) is { } laid && feeder.FeederTask(feeder.Gates, laid) is { Loop: { } loop } task
            ? CableRules.LoopOf(task, loop, cable.CrossSectionMm2.Value) : null;

    private static IEnumerable<Check> Of(Subject subject)
    {
        yield return subject.Judged("cable.capacity", "Current-carrying capacity", (task, mm2) => CapacityOf(subject, task, mm2));
        if (subject.AsksDrop)
        {
            yield return subject.Judged("cable.voltage-drop", "Voltage drop", (task, mm2) => DropOf(subject, task, mm2));
        }

        if (!subject.IsProtected)
        {
            yield return Check.NotConcerned(
                "cable.disconnection", subject.Feeder.CheckId, subject.Row, subject.Titled("Disconnection"),
                "behind a converter no device on the line side sees the fault: its own earth-fault trip clears it (IEC 61800-5-1), or the "
                    + "voltage stays below 50 V AC within the time"
                    + " (IEC 60364-4-41, 411.3.2.5), else supplementary bonding of at most 50 V/I_a");
            yield break;
        }

        yield return subject.Judged("cable.short-circuit", "Short-circuit heat", (task, mm2) => ShortOf(subject, task, mm2),
            needsDevice: true);
        if (subject.Feeder.LoopNotJudged() is var (isMissing, why))
        {
            var title = subject.Titled("Disconnection");
            yield return isMissing
                ? Check.Lacking("cable.disconnection", subject.Feeder.CheckId, subject.Row, title, [why])
                : Check.NotConcerned("cable.disconnection", subject.Feeder.CheckId, subject.Row, title, why);
        }
        else
        {
            yield return subject.Judged("cable.disconnection", "Disconnection", (task, mm2) => LoopOf(subject, task, mm2),
                needsDevice: true);
        }

        yield return subject.Judged("cable.protective-conductor", "Protective conductor", (task, mm2) => EarthOf(subject, task, mm2),
            needsDevice: true);
    }

    private static Check CapacityOf(Subject subject, CableTask task, double mm2)
    {
        var feeder = subject.Feeder;
        if (feeder.Rules.CapacityA(task, mm2, task.Laid) is not { } capacityA)
        {
            return Check.Lacking("cable.capacity", feeder.CheckId, subject.Row, subject.Titled("Current-carrying capacity"),
                [$"a capacity of {Text.N(mm2)} mm² {Metal(task)} so laid: the tables have none"]);
        }

        var ambientC = task.Laid.SurroundC(task.AmbientC);
        var us = task.Code == InstallationCode.Nfpa70;
        return subject.Check(
            "cable.capacity", "Current-carrying capacity", CurrentCapacity.SizingA(task.SizingA, task.ThirdPct), capacityA, "A",
            LimitSense.AtMost,
            () => $"{subject.Proposal(task)}, fewer circuits together, another way of laying",
            us ? "1.25·max(I, motor by the code's table) ≤ I_310.16·k_θ·k_conductors" : "max(I_B, I_n, I_2/1.45) ≤ I_z = n·I_0·k_θ·k_group",
            $"I_B = {Text.N(subject.Current!.CurrentA)} A: {subject.Current.Why}; "
                + $"{(task.Parallel > 1 ? $"{task.Parallel} × " : string.Empty)}{Text.N(mm2)} mm² {Metal(task)}, {Words(task.Laid, us)}, "
                + $"{Text.N(ambientC)} °C: I_z = {Text.N(capacityA)} A"
                + (feeder.CodeMotorA is { } tableA && !(subject.IsFeeder && !feeder.IsOnLine)
                    ? $"; the code's table has {Text.N(tableA)} A for this motor"
                    : string.Empty),
            us ? Us : Capacity,
            [
                ReasonInput.Of("design current I_B", subject.Current.CurrentA, "A",
                    subject.Current.Scenario.Length > 0 ? subject.Current.Scenario : "motor"),
                ReasonInput.Of("to be carried", task.SizingA, "A",
                    feeder.Gates is { } g && subject.IsFeeder ? $"with its device, {Text.N(g.RatedA)} A" : "design current"),
                ReasonInput.Of("circuits together", task.Laid.Circuits - 1 + (task.Beside * task.Parallel), string.Empty, "laying"),
            ],
            subject.Current.Scenario);
    }

    private static Check DropOf(Subject subject, CableTask task, double mm2)
    {
        var steady = task.Drop is { } drop ? (Task: drop, Pct: CableRules.DropPct(task, drop, mm2), What: "in service") : default;
        var start = task.Start is { } begin ? (Task: begin, Pct: CableRules.DropPct(task, begin, mm2), What: "in the start") : default;
        var (worst, pct, what) = start.Task is not null
            && (steady.Task is null || start.Pct / start.Task.LimitPct > steady.Pct / steady.Task.LimitPct) ? start : steady;
        return subject.Check(
            "cable.voltage-drop", $"Voltage drop {what}", pct, worst.LimitPct, "%", LimitSense.AtMost, () =>
                $"{subject.Proposal(task)}, a shorter way",
            "ΔU = √3·I·l·(R·cos φ + X·sin φ), with what is lost ahead",
            $"{Text.N(worst.BeforePct, 3)} % ahead; {Text.N(worst.CurrentA)} A, cos φ = {Text.N(worst.PowerFactor, 3)}, "
                + $"{Text.N(task.LengthM)} m of {Text.N(mm2)} mm²: {Text.N(pct, 3)} % in all",
            "IEC 60364-5-52, annex G",
            [ReasonInput.Of("length", task.LengthM, "m", "cable"), ReasonInput.Of("lost ahead", worst.BeforePct, "%", "plant")],
            subject.Current!.Scenario);
    }

    private static Check ShortOf(Subject subject, CableTask task, double mm2)
    {
        var feeder = subject.Feeder;
        if (task.ShortCircuit is not { } fault)
        {
            return Check.Lacking("cable.short-circuit", feeder.CheckId, subject.Row, subject.Titled("Short-circuit heat"),
                ["fault level of the source"]);
        }

        var (heat, bears) = (CableRules.HeatA2s(task, fault, mm2), CableRules.BearsA2s(task, mm2));
        var leastA = CableRules.LeastAtEndA(task, fault, mm2);
        if (double.IsInfinity(heat) && !fault.Device.ClearsOverload)
        {
            return Check.Lacking("cable.short-circuit", feeder.CheckId, subject.Row, subject.Titled("Short-circuit heat"),
                [$"melting curve of the aR fuse at {Text.N(leastA)} A"]);
        }

        return subject.Check(
            "cable.short-circuit", "Short-circuit heat",
            Math.Sqrt(heat) / (task.Parallel * InsulationLimits.AdiabaticK(task.Laid.Insulation, task.Material)), mm2, "mm²",
            LimitSense.AtMost,
            () => $"{subject.Proposal(task)}, a device that clears faster",
            "S ≥ √(I²t)/k at the largest fault where it begins and at the least where it ends",
            double.IsInfinity(heat)
                ? $"at the least fault of {Text.N(leastA)} A the device needs more than 5 s"
                : $"I²t = {Text.N(heat)} A²s, the cable bears {Text.N(bears)} A²s; faults of {Text.N(fault.LargestA / 1e3)} kA and "
                    + $"{Text.N(leastA)} A",
            "IEC 60364-4-43, 434.5.2; IEC 60909-0",
            [ReasonInput.Of("largest fault", fault.LargestA / 1e3, "kA", feeder.Bus.Name),
                ReasonInput.Of("least fault at its end", leastA, "A", "two phases or to earth, conductors hot")],
            feeder.Short!.LeastScenario);
    }

    private static Check LoopOf(Subject subject, CableTask task, double mm2)
    {
        var feeder = subject.Feeder;
        if (task.Loop is not { } loop)
        {
            return Check.Lacking("cable.disconnection", feeder.CheckId, subject.Row, subject.Titled("Disconnection"),
                ["current at which the device surely clears: its maker's curve"]);
        }

        var result = CableRules.LoopOf(task, loop, mm2);
        return subject.Check(
            "cable.disconnection", "Disconnection", result.LoopOhm, result.PermittedOhm, "Ω", LimitSense.AtMost, () =>
                $"{subject.Proposal(task)}, a smaller device, a residual-current device",
            "Z_s = |Z_bus + l·(z_L + z_PE)| ≤ c_min·U_0/I_a",
            $"{Text.N(result.FaultA)} A to earth, {Text.N(loop.TripA)} A clears within {Text.N(loop.TimeS)} s; measured cold at most "
                + $"{Text.N(result.MeasuredLimitOhm)} Ω; touch voltage {Text.N(result.TouchV, 3)} V"
                + (result.LargestLengthM is { } most ? $"; holds to {Text.N(most)} m" : "; the bus alone is too weak"),
            "IEC 60364-4-41, 411.3.2 and 411.4.4; IEC 60364-6 for the measurement",
            [ReasonInput.Of("loop at the bus", feeder.Short!.LoopOhm!.Value.Magnitude, "Ω", feeder.Bus.Name),
                ReasonInput.Of("tripping current", loop.TripA, "A", "device, upper gate")],
            feeder.Short.LeastScenario);
    }

    private static Check EarthOf(Subject subject, CableTask task, double mm2)
    {
        var feeder = subject.Feeder;
        const string title = "Protective conductor";
        var has = ProtectiveConductor.Mm2(task.ProtectiveMm2, mm2);
        if (task.Code == InstallationCode.Nfpa70)
        {
            return feeder.Supply.Data.UsConductors.EarthMm2(feeder.Gates!.RatedA) is { } least
                ? subject.Check("cable.protective-conductor", title, has * task.Parallel, least, "mm²", LimitSense.AtLeast,
                    () => "a larger equipment earth", "by the rating of the device",
                    $"{Text.N(feeder.Gates.RatedA)} A: {Text.N(least)} mm²", "NFPA 70, 250.122 (verify)", [], string.Empty)
                : Check.Lacking("cable.protective-conductor", feeder.CheckId, subject.Row, subject.Titled(title),
                    ["an equipment earth for such a device: the table ends at 1200 A"]);
        }

        var byTable = ProtectiveConductor.ByTableMm2(mm2);
        if (has >= byTable)
        {
            return CheckWriter.Rule(
                "cable.protective-conductor", feeder.CheckId, subject.Row, subject.Titled(title), Verdict.Holds, string.Empty,
                new Reason("S_PE by the section of the phases", $"{Text.N(has)} mm², the table asks for {Text.N(byTable)} mm²",
                    "IEC 60364-5-54, table 54.2", []));
        }

        if (task.ShortCircuit is not { LoopOhm: { } loopOhm } fault)
        {
            return Check.Lacking("cable.protective-conductor", feeder.CheckId, subject.Row, subject.Titled(title),
                ["fault loop of the bus, since it is smaller than the table asks"]);
        }

        var (line, earth) = CableRules.LoopPerM(task, mm2);
        var phase = fault.VoltageFactor * fault.NominalVoltageV / Math.Sqrt(3);
        var heats = new[] { phase / (loopOhm + (task.LengthM * (line + earth))).Magnitude, phase / loopOhm.Magnitude }
            .Select(a => fault.Device.LetThroughA2s(a) ?? double.PositiveInfinity).Max();
        return subject.Check(
            "cable.protective-conductor", title, has * task.Parallel,
            Math.Sqrt(heats) / InsulationLimits.AdiabaticK(task.Laid.Insulation, task.Material), "mm²", LimitSense.AtLeast,
            () => $"a protective conductor of {Text.N(byTable)} mm²", "S_PE ≥ √(I²t)/k", double.IsInfinity(heats)
                ? "the fault to earth is not cleared within 5 s"
                : $"I²t = {Text.N(heats)} A²s",
            "IEC 60364-5-54, 543.1.2", [], feeder.Short!.LeastScenario);
    }

    /// <summary>A check of a cable of which nobody says how it is laid: what holds as hard as it can be, or fails as easily; null for
    /// anything between.</summary>
    public static Check? Between(Func<CableInstallation, Check> judge)
    {
        var hard = CableInstallation.Hardest.Select(judge).MaxBy(c => Gravity(c.Verdict))!;
        var easy = CableInstallation.Easiest.Select(judge).MinBy(c => Gravity(c.Verdict))!;
        return (hard.Verdict, easy.Verdict) switch
        {
            (Verdict.Holds or Verdict.Tight, Verdict.Holds or Verdict.Tight) => hard,
            (Verdict.Fails, Verdict.Fails) => easy,
            _ => null,
        };
    }

    private static int Gravity(Verdict verdict) =>
        verdict switch { Verdict.Fails => 3, Verdict.NeedsData => 2, Verdict.Tight => 1, _ => 0 };

    private static string Metal(CableTask task) => task.Material == ConductorMaterial.Copper ? "copper" : "aluminium";

    private static string Words(CableInstallation laid, bool us) => us
        ? $"{laid.Circuits} circuits together"
        : $"{(laid.Insulation == CableInsulation.Pvc ? "PVC" : "XLPE")}, {laid.Method}, {laid.Circuits} together";

    /// <summary>A cable that is judged.</summary>
    private sealed record Subject(
        FeedStudy Feeder, BoardRow Row, string Name, Given SectionMm2, Given LengthM, DesignCurrent? Current, IReadOnlyList<string> Missing,
        CableInstallation? Laid,
        Func<DeviceGates?, CableInstallation, CableTask?> Task, bool IsProtected, bool AsksDrop)
    {
        private CableTask? task;

        public bool IsFeeder => Row != BoardRow.Cable;

        public string Titled(string title) => $"{title}, {Name}";

        public Check Judged(string id, string title, Func<CableTask, double, Check> judge, bool needsDevice = false)
        {
            List<string> missing = [.. Missing];
            var open = $"length and cross-section of the {Name}";
            if ((!LengthM.IsKnown || !SectionMm2.IsKnown) && !missing.Contains(open))
            {
                missing.Add(open);
            }

            // Nothing protects while nobody has chosen what does: a proposal is not a device.
            var gates = Feeder.GatesOf(Feeder.Chosen);
            if (needsDevice && gates is null)
            {
                missing.Add("protective device of the feeder");
            }

            if (missing.Count > 0)
            {
                return Core.Checks.Check.Lacking(id, Feeder.CheckId, Row, Titled(title), missing);
            }

            if (Laid is not null)
            {
                return judge(task ??= Task(gates, Laid)!, SectionMm2.Value);
            }

            return Between(laid => judge(Task(gates, laid)!, SectionMm2.Value))
                ?? Core.Checks.Check.Lacking(id, Feeder.CheckId, Row, Titled(title), [NotLaid]);
        }

        // What would relieve it takes looking for: only where something is to be relieved.
        public Check Check(
            string id, string title, double figure, double limit, string unit, LimitSense sense, Func<string> relief, string formula,
            string withNumbers, string source, IReadOnlyList<ReasonInput> inputs,
            string scenario)
        {
            var check = CheckWriter.Judged(
                id, Feeder.CheckId, Row, Titled(title), figure, limit, unit, sense, KeepsMargin.Contains(id)
                    ? Feeder.Supply.Defaults.TightMarginPct
                    : 0, string.Empty,
                new Reason(formula, withNumbers, source, inputs), scenario);
            return check.Verdict is Verdict.Fails or Verdict.Tight
                ? check with { Relief = $"Relief: {relief()}. {ProtectionChecks.Caution}" }
                : check;
        }

        /// <summary>The section that would hold, in words.</summary>
        public string Proposal(CableTask task) => Feeder.Rules.Smallest(task) is var (mm2, governs) && mm2 > SectionMm2.Value
            ? $"{Text.N(mm2)} mm² ({GoverningWords.Of(governs)} governs)"
            : "cables in parallel";
    }
}
