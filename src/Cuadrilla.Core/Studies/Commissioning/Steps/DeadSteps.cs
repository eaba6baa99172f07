using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Steps before power.</summary>
internal static class DeadSteps
{
    /// <summary>Key of the step that measures the motor cable.</summary>
    public const string CableId = "cable";

    private const string Dead = "Switch off, lock, prove absence of voltage; wait for the link to discharge. Licensed persons only.";

    // Copper at 90 °C against 20 °C, the warmest that a cable here gets.
    private const double HotOverCold = 1.28;

    public static IEnumerable<SiteStep> Of(StepSource source)
    {
        yield return Seen("visual", "Look it over", "Unit, motor, machine: plates as specified, no damage, right place and way of cooling.",
            "transport, wrong delivery", [SiteAspect.Plate, SiteAspect.Unit]);
        yield return Seen("clean", "Dry and free", "No moisture, dust, chips or tools inside; doors, covers and air ways as delivered.",
            "storage, works above the cabinet", []);
        yield return Seen("tight", "Tightened", "All power terminals to the maker's torque, marked.", "a joint that warms up later",
            [SiteAspect.Cable]);
        yield return Seen("wiring", "Wiring against the schedule", WiringHow(source), "crossed pairs, screens not connected all round",
            [SiteAspect.Signals, SiteAspect.Cable]);
        yield return CableAsLaid(source);
        yield return new SiteStep
        {
            Id = "earth", Phase = SitePhase.BeforePower, Title = "Earth continuity",
            How = "Milliohmmeter of at least 10 A between the earth bar and motor frame, gland and machine.", Caution = Dead,
            Suspect = "paint under the lug, a protective conductor left open",
            Quantities = [Quantity("ohm", "largest resistance", "Ω", 0, SiteWindow.To(source.Rules.Site.EarthOhm), "IEC 60204-1 (verify)")],
            RestsOn = [SiteAspect.Cable],
        };
        yield return Loop(source);
        yield return Insulation(source);
        yield return Voltage(source);
        if (source.Parameters.Signals is not null)
        {
            yield return FarEnd(source);
        }

        yield return Links(source);
        yield return Protection(source);
    }

    private static string WiringHow(StepSource source) => source.Parameters.Signals is { } signals
        ? $"{signals.Signals.Count} signals of the list and the power terminals, one by one, with the wiring picture."
        : "Power and control terminals, one by one; no signals are listed.";

    private static SiteStep Seen(string id, string title, string how, string suspect, IReadOnlyList<SiteAspect> restsOn) => new()
    {
        Id = id, Phase = SitePhase.BeforePower, Title = title, How = how, Caution = Dead, Suspect = suspect, RestsOn = restsOn,
    };

    private static SiteStep CableAsLaid(StepSource source)
    {
        var length = source.Point.Cable.LengthM;
        return new()
        {
            Id = CableId, Phase = SitePhase.BeforePower, Title = "Motor cable as laid",
            How = "Length by its metre marks at both ends, or by the loop resistance of a core; section and screen as printed on it.",
            Caution = Dead,
            Suspect = "another way than drawn: filter, voltage drop and leakage move with the length",
            Quantities =
            [
                Quantity("metres", "length", "m", length, length.IsKnown ? SiteWindow.Around(length.Value, source.Rules.Site.CableLengthPct,
                    2 * source.Rules.Site.CableLengthPct) : null, "motor cable as specified"),
            ],
        };
    }

    private static SiteStep Loop(StepSource source) => new()
    {
        Id = "loop", Phase = SitePhase.BeforePower, Title = "Fault loop and residual-current device",
        How = "Impedance of the fault loop at the unit's line terminals; where there is a residual-current device, its trip with a "
            + "smooth direct current too.",
        Caution = "Live parts: licensed persons only. The test may trip what else hangs on the device.",
        Suspect = "a long way of the protective conductor, a device that does not see direct current",
        Quantities =
        [
            source.Loop is { } loop
                ? Quantity("ohm", "loop impedance, cold", "Ω", Given.Unknown, SiteWindow.To(loop.MeasuredLimitOhm,
                    Math.Max(loop.MeasuredLimitOhm, loop.PermittedOhm / HotOverCold)), "docs/methods/disconnection.md",
                    $"2/3·U_0/I_a = {Text.N(loop.MeasuredLimitOhm)} Ω; hot {Text.N(loop.LoopOhm)} Ω by the study")
                : Quantity("ohm", "loop impedance", "Ω", Given.Unknown, null, "IEC 60364-6; the device's limit decides"),
            Quantity("tripMs", "trip of the residual-current device", "ms", Given.Unknown, SiteWindow.To(source.Rules.Site.ResidualTripMs),
                "IEC 60364-4-41 (verify)") with { IsNeeded = false },
        ],
        RestsOn = [SiteAspect.Supply, SiteAspect.Protection, SiteAspect.Cable],
    };

    private static SiteStep FarEnd(StepSource source) => new()
    {
        Id = "far-end", Phase = SitePhase.BeforePower, Title = "24 V at the far end",
        How = "With all coils of the branch on, at the farthest device of this drive point.", Caution = Dead,
        Suspect = "section of the core, two branches on one supply, a loose terminal",
        Quantities =
        [
            Quantity("volts", "voltage at the farthest device", "V", 24,
                new SiteWindow(source.Rules.Site.ControlLeastV, source.Rules.Site.ControlMostV, source.Rules.Site.ControlLeastV,
                    source.Rules.Site.ControlMostV), "IEC 61131-2, 24 V −15/+20 % (verify)"),
        ],
        RestsOn = [SiteAspect.Signals],
    };

    private static SiteStep Insulation(StepSource source)
    {
        var cable = source.Point.Cable.LengthM;
        var kind = cable.IsKnown && cable.Value >= source.Rules.Site.LongCableM ? InsulationKind.LongCable : InsulationKind.RandomWound;
        var least = source.Rules.Insulation.LeastMegohm[kind];
        var ofNew = kind == InsulationKind.RandomWound ? source.Rules.Insulation.LeastMegohm[InsulationKind.NewRandomWound] : least;
        return new()
        {
            Id = "insulation", Phase = SitePhase.BeforePower, Title = "Insulation of motor and cable",
            How = "Converter and filter disconnected. Insulation tester at the voltage of IEEE 43, reading after 1 min, winding "
                + "temperature.",
            Caution = Dead + " The winding keeps the test voltage: discharge it before touching.",
            Suspect = "moisture: dry and repeat; a damaged cable: motor and cable apart",
            Quantities =
            [
                Quantity("megohm", "reading after 1 min", "MΩ", Given.Unknown, null, "IEEE 43",
                    $"{Text.N(least)} MΩ asked for at 40 °C ({(kind == InsulationKind.LongCable ? "with a long cable"
                        : $"random-wound; {Text.N(ofNew)} MΩ where new and dry")})"),
                Quantity("winding", "winding temperature", "°C", source.Model.Input.Site.AmbientMaxC, null, "thermometer"),
                Quantity("tenMinutes", "reading after 10 min", "MΩ", Given.Unknown, null, "IEEE 43") with { IsNeeded = false },
            ],
            RestsOn = [SiteAspect.Plate, SiteAspect.Cable],
            Together = reading =>
            {
                var found = source.Rules.Insulation.Judge(kind, reading.Values["megohm"], reading.Values["winding"], 0,
                    reading.Values.TryGetValue("tenMinutes", out var ten) ? ten : null);
                var isDamp = found.Holds && found.At40Megohm < ofNew * (1 - 1e-9);
                return new(!found.Holds ? Verdict.Fails : isDamp || found.IndexHolds == false ? Verdict.Tight : Verdict.Holds,
                    $"{Text.N(found.At40Megohm)} MΩ at 40 °C, at least {Text.N(found.RequiredMegohm)} MΩ"
                        + (isDamp ? $"; a new dry motor has {Text.N(ofNew)} MΩ" : string.Empty)
                        + (found.PolarisationIndex is { } index ? $"; polarisation index {Text.N(index, 3)}" : string.Empty));
            },
        };
    }

    private static SiteStep Voltage(StepSource source)
    {
        var nominal = source.Bus.NominalVoltageV;
        var (low, high) = source.Voltage is { } range
            ? (Math.Clamp(range.LowestPct, 90, 95) / 100 * nominal, Math.Clamp(range.HighestPct, 105, 110) / 100 * nominal)
            : (0.9 * nominal, 1.1 * nominal);
        SiteQuantity Of(string id, string name) => Quantity(id, name, "V", nominal, new SiteWindow(low, high, 0.9 * nominal, 1.1 * nominal),
            source.Voltage is null ? "±10 % (IEC 60038)" : "voltage of the bus over all scenarios, ±5 % at least; ±10 % (IEC 60038)");
        return new()
        {
            Id = "supply", Phase = SitePhase.BeforePower, Title = "Supply at the unit's terminals",
            How = "Voltmeter and phase-sequence indicator ahead of the open isolator.", Caution = "Live parts: licensed persons only.",
            Suspect = "a blown fuse, a wrong tap, a phase crossed",
            Quantities = source.Model.Input.OnePhase is not null ? [Of("v12", "voltage")]
                : [Of("v12", "L1–L2"), Of("v23", "L2–L3"), Of("v31", "L3–L1")],
            RestsOn = [SiteAspect.Supply],
        };
    }

    private static SiteStep Links(StepSource source)
    {
        var link = source.Sheet.Rows.FirstOrDefault(r => r.Id == "motor.link")?.Word ?? "as delivered";
        return new()
        {
            Id = "links", Phase = SitePhase.BeforePower, Title = $"Links in the terminal box: {link}",
            How = $"Open the box and see the links: {link}. Leads in the order U, V, W.", Caution = Dead,
            Suspect = "links as delivered instead of as specified: current off by √3", RestsOn = [SiteAspect.Plate, SiteAspect.Link],
        };
    }

    private static SiteStep Protection(StepSource source)
    {
        var wanted = source.Point.Devices.Device switch
        {
            ProtectiveDevice.CircuitBreaker b => b.OverloadA,
            ProtectiveDevice.MotorBreaker m => m.OverloadA,
            _ => source.Sheet.Rows.FirstOrDefault(r => r.Id == "thermal.current")?.Number ?? Given.Unknown,
        };
        return new()
        {
            Id = "protection", Phase = SitePhase.BeforePower, Title = "Settings of the protection",
            How = "Read fuses and settings at the devices, not in the documents.", Caution = Dead,
            Suspect = "settings as delivered; set for the other link",
            Quantities = wanted.IsKnown
                ? [Quantity("setting", "setting of the overload protection", "A", wanted, SiteWindow.Around(wanted.Value, 2, 5),
                    "as specified")]
                : [],
            RestsOn = [SiteAspect.Protection, SiteAspect.Plate, SiteAspect.Link],
        };
    }

    internal static SiteQuantity Quantity(string id, string name, string unit, Given expected, SiteWindow? window, string source,
        string numbers = "") => new(id, name, unit, expected, window, new Reason("expected", numbers, source, []));
}
