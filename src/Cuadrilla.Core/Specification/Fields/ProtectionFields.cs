using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Protection;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of how cables are laid, and of protective and switching devices.</summary>
internal static class ProtectionFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<CableInstallation>(
            Choice(nameof(CableInstallation.Insulation), "Insulation",
                "What insulates the conductors, with the temperature that it stands in operation.",
                (CableInsulation.Pvc, "PVC, 70 °C"), (CableInsulation.Xlpe, "XLPE or EPR, 90 °C")),
            Choice(nameof(CableInstallation.Method), "Method of installation", "Reference method of IEC 60364-5-52.",
                (InstallationMethod.B2, "B2, in conduit or trunking"), (InstallationMethod.C, "C, on a wall or closed tray"),
                (InstallationMethod.E, "E, free air, tray or ladder"),
                (InstallationMethod.D, "D, in a duct in the ground")),
            Number(nameof(CableInstallation.AmbientC), "Ambient of the cable", -20, 65, "°C", "Air around the cable.", open: "as the site"),
            Number(nameof(CableInstallation.SoilC), "Soil temperature", -5, 45, "°C", "Soil at the depth of the cable, at its warmest.",
                open: "as the air of the site"),
            Number(nameof(CableInstallation.SoilKmPerW), "Soil resistivity", 0.5, 3, "K·m/W",
                "Thermal resistivity of the soil around the duct.", open: "2.5, as the tables"),
            Choice(nameof(CableInstallation.Grouping), "Grouping", "How circuits lie beside each other.",
                (CableGrouping.Bunched, "bunched, enclosed"), (CableGrouping.PerforatedTray, "one layer on a perforated tray"),
                (CableGrouping.Ladder, "one layer on a ladder")),
            Number(nameof(CableInstallation.Circuits), "Loaded circuits together", 1, CableInstallation.MostCircuits, string.Empty,
                "Circuits that lie together, this one among them; those below 30 % of their own capacity are left out.", hint: true),
            Choice(nameof(CableInstallation.Cores), "Cores", "Loaded conductors of the cable.", (CableCores.ThreePhase, "3 + PE"),
                (CableCores.WithNeutral, "3 + N + PE"))),
        For<SwitchingDevices>(
            Number(nameof(SwitchingDevices.ContactorA), "Contactor", 1, 3000, "A",
                "Rated operational current of the contactor in the category of its duty: AC-3 across the line, AC-1 ahead of a converter.",
                open: "none stated"),
            Choice(nameof(SwitchingDevices.Coordination), "Coordination", "What a fault may do to the starter (IEC 60947-4-1).",
                (CoordinationType.One, "type 1, replaced after it"), (CoordinationType.Two, "type 2, stays fit")),
            Number(nameof(SwitchingDevices.BypassA), "Bypass contactor", 1, 3000, "A",
                "Rated operational current in AC-1 of the contactor that bridges a soft starter after the start.",
                open: "none stated"),
            Number(nameof(SwitchingDevices.IsolatorA), "Isolator", 1, 6300, "A",
                "Rated operational current of the isolator: AC-23A where it may part a running motor, AC-21A ahead of a converter.",
                open: "none stated"),
            Number(nameof(SwitchingDevices.DcFuseA), "DC fuses", 1, 6300, "A",
                "Rated current of the fuses between the DC bus and this inverter, one in each pole.", open: "none stated"),
            Number(nameof(SwitchingDevices.DcFuseV), "DC voltage of the fuses", 50, 2000, "V",
                "Rated direct voltage of these fuses; not that for alternating current.", open: "not stated")),
        For<ProtectiveDevice>(Words(nameof(ProtectiveDevice.Item), "Item", 0, 200,
            "Name and list of the device where it is one of your own.")),
        For<ProtectiveDevice.Fuse>(
            Rated(nameof(ProtectiveDevice.Fuse.RatedA)), Breaking(nameof(ProtectiveDevice.Fuse.BreakingKa)),
            Lasts10S(nameof(ProtectiveDevice.Fuse.Lasts10SA), "by the standard’s gates"), Clears5S(nameof(ProtectiveDevice.Fuse.Clears5SA)),
            Lasts01S(nameof(ProtectiveDevice.Fuse.Lasts01SA), "by the standard’s gates"),
            Clears01S(nameof(ProtectiveDevice.Fuse.Clears01SA)),
            Why(nameof(ProtectiveDevice.Fuse.Reason))),
        For<ProtectiveDevice.SemiconductorFuse>(
            Rated(nameof(ProtectiveDevice.SemiconductorFuse.RatedA)),
            Number(nameof(ProtectiveDevice.SemiconductorFuse.TotalA2s), "Total I²t", 1, 1e9, "A²s",
                "Energy that it lets through while it clears, at the voltage of the supply."),
            Breaking(nameof(ProtectiveDevice.SemiconductorFuse.BreakingKa)),
            Lasts10S(nameof(ProtectiveDevice.SemiconductorFuse.Lasts10SA), "a start is not judged"),
            Lasts01S(nameof(ProtectiveDevice.SemiconductorFuse.Lasts01SA), "a start is not judged"),
            Why(nameof(ProtectiveDevice.SemiconductorFuse.Reason))),
        For<ProtectiveDevice.CircuitBreaker>(
            Rated(nameof(ProtectiveDevice.CircuitBreaker.RatedA)), Overload(nameof(ProtectiveDevice.CircuitBreaker.OverloadA)),
            Magnetic(nameof(ProtectiveDevice.CircuitBreaker.MagneticPu)),
            Breaking(nameof(ProtectiveDevice.CircuitBreaker.BreakingKa)), LetThrough(nameof(ProtectiveDevice.CircuitBreaker.LetThroughA2s)),
            Why(nameof(ProtectiveDevice.CircuitBreaker.Reason))),
        For<ProtectiveDevice.MotorBreaker>(
            Rated(nameof(ProtectiveDevice.MotorBreaker.RatedA)), Overload(nameof(ProtectiveDevice.MotorBreaker.OverloadA)),
            Trips(nameof(ProtectiveDevice.MotorBreaker.Trip)),
            Magnetic(nameof(ProtectiveDevice.MotorBreaker.MagneticPu)), Breaking(nameof(ProtectiveDevice.MotorBreaker.BreakingKa)),
            LetThrough(nameof(ProtectiveDevice.MotorBreaker.LetThroughA2s)),
            Why(nameof(ProtectiveDevice.MotorBreaker.Reason))),
        For<OwnDevice>(
            Words(nameof(OwnDevice.Id), "Device key", 1, 60, "Stable key of the device."),
            Words(nameof(OwnDevice.Name), "Name", 1, 80, "Name in its list."),
            Words(nameof(OwnDevice.Catalogue), "List", 1, 80, "List that it comes from."),
            Words(nameof(OwnDevice.Version), "Version of the list", 1, 40, "Version or date of that list."),
            Choice(nameof(OwnDevice.Kind), "Kind", "What the device is.",
                (OwnDeviceKind.Fuse, "fuse gG"), (OwnDeviceKind.SemiconductorFuse, "fuse aR, for semiconductors"),
                (OwnDeviceKind.CircuitBreaker, "circuit breaker"),
                (OwnDeviceKind.MotorBreaker, "motor-protective breaker"), (OwnDeviceKind.Contactor, "contactor")),
            Number(nameof(OwnDevice.RatedA), "Rated current", 0.1, 6300, "A", "Rated current; of a contactor in AC-3."),
            Number(nameof(OwnDevice.VoltageV), "Voltage", 100, 1000, "V", "Voltage up to which all that is stated holds."),
            Number(nameof(OwnDevice.BreakingKa), "Breaking capacity", 0.5, 300, "kA",
                "Largest fault current that it breaks at that voltage.", open: "a contactor has none"),
            Number(nameof(OwnDevice.SettingFromA), "Setting from", 0.1, 6300, "A", "Least setting of the overload release.",
                open: "fixed at the rated current"),
            Trips(nameof(OwnDevice.Trip)),
            Number(nameof(OwnDevice.MagneticPu), "Short-circuit release", 2, 25, "× rated current",
                "Current at which the short-circuit release trips at once, of the rated current.",
                open: "breakers need it"),
            Number(nameof(OwnDevice.EnergyA2s), "I²t", 1, 1e10, "A²s",
                "Total I²t of a fuse aR; what a breaker lets through at a full short circuit.", open: "not stated"),
            Lasts10S(nameof(OwnDevice.Lasts10SA), "not stated"), Clears5S(nameof(OwnDevice.Clears5SA)),
            Lasts01S(nameof(OwnDevice.Lasts01SA), "not stated"), Clears01S(nameof(OwnDevice.Clears01SA)),
            Number(nameof(OwnDevice.Ac1A), "Current in AC-1", 0.1, 6300, "A", "Rated current of a contactor in AC-1.", open: "as in AC-3")),
    ];

    private static NumberField Lasts10S(string key, string open) =>
        Number(key, "Carries for 10 s", 0.1, 2e5, "A", "Current that it surely carries for 10 s, start after start, by its maker’s curve.",
            open: open);

    private static NumberField Lasts01S(string key, string open) =>
        Number(key, "Carries for 0.1 s", 0.1, 2e5, "A", "Current that it surely carries for 0.1 s by its maker’s curve.", open: open);

    private static NumberField Clears5S(string key) =>
        Number(key, "Clears within 5 s", 0.1, 2e5, "A", "Current that it surely clears within 5 s by its maker’s curve.",
            open: "by the standard’s gates");

    private static NumberField Clears01S(string key) =>
        Number(key, "Clears within 0.1 s", 0.1, 2e5, "A", "Current that it surely clears within 0.1 s by its maker’s curve.",
            open: "by the standard’s gates");

    private static NumberField Rated(string key) => Number(key, "Rated current", 0.1, 6300, "A", "Rated current of the device.");

    private static NumberField Overload(string key) =>
        Number(key, "Overload setting", 0.1, 6300, "A", "Setting of the overload release; not above the rated current.");

    private static NumberField Magnetic(string key) =>
        Number(key, "Short-circuit release", 2, 25, "× rated current",
            "Current at which the short-circuit release trips at once, of the rated current.");

    private static NumberField Breaking(string key) =>
        Number(key, "Breaking capacity", 0.5, 300, "kA", "Largest fault current that it breaks at the voltage of the supply.");

    private static NumberField LetThrough(string key) => Number(
        key, "Let-through energy", 1, 1e10, "A²s", "Energy that it lets through at a full short circuit, from its maker’s curve.",
        open: "limits nothing");

    private static TextField Why(string key) =>
        Words(key, "Reason for this device", 0, 300, "Why this device where it is not the proposed one.");
}
