using Cuadrilla.Core.Supplies;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of special supplies: sun instead of mains.</summary>
internal static class SpecialSupplyFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<SunModule>(
            Words(nameof(SunModule.Name), "Module", 0, 80, "What the module is called."),
            Number(nameof(SunModule.PeakW), "Peak power", 1, 2000, "W", "Greatest power under standard test conditions."),
            Number(nameof(SunModule.UocV), "Open-circuit voltage U_oc", 1, 300, "V", "Under standard test conditions."),
            Number(nameof(SunModule.UmpV), "Voltage at greatest power U_mp", 1, 300, "V",
                "Under standard test conditions; below the open-circuit voltage."),
            Number(nameof(SunModule.IscA), "Short-circuit current I_sc", 0.1, 100, "A", "Under standard test conditions."),
            Number(nameof(SunModule.UocPctPerK), "Change of U_oc", -1, -0.01, "%/K", "Usually −0.25 to −0.33."),
            Number(nameof(SunModule.UmpPctPerK), "Change of U_mp", -1, -0.01, "%/K", "Usually −0.35 to −0.45.", hint: true),
            Number(nameof(SunModule.PowerPctPerK), "Change of power", -1, -0.01, "%/K", "Usually −0.30 to −0.40."),
            Number(nameof(SunModule.FuseA), "Largest series fuse", 1, 100, "A", "As the module's maker states it."),
            Number(nameof(SunModule.MaximumV), "Greatest string voltage", 100, 3000, "V", "As the module's maker states it."),
            Number(nameof(SunModule.NoctC), "NOCT", 30, 70, "°C", "Temperature of the cells at 800 W/m² and 20 °C; usually 43 to 47."),
            Switch(nameof(SunModule.Bifacial), "Bifacial", "Whether its back takes light too.")),
        For<SunPlace>(
            Number(nameof(SunPlace.LatitudeDeg), "Latitude", -66, 66, "°", "North positive; beyond the polar circles it is not computed."),
            Number(nameof(SunPlace.TiltDeg), "Tilt", 0, 90, "°", "0 lies flat."),
            Number(nameof(SunPlace.AzimuthDeg), "Azimuth", 0, 360, "°", "Where it looks: 90 east, 180 south, 270 west.",
                open: "to equator"),
            Number(nameof(SunPlace.ColdestC), "Coldest dawn", -60, 40, "°C", "Lowest temperature at which light falls on it."),
            Number(nameof(SunPlace.HottestC), "Hottest noon", 0, 60, "°C", "Highest temperature of the air."),
            Number(nameof(SunPlace.SwingK), "Swing over a day", 0, 40, "K", "Warmest less coldest hour."),
            Number(nameof(SunPlace.Albedo), "Light from the ground", 0, 1, string.Empty, "Albedo: grass 0.2, snow 0.8.")),
        For<SunMonth>(
            Number(nameof(SunMonth.Clearness), "Clearness", 0, 1.2, string.Empty, "Light on the ground in parts of the clear sky's."),
            Number(nameof(SunMonth.MeanC), "Mean temperature", -60, 60, "°C", "Mean of the month."),
            Number(nameof(SunMonth.DemandM3PerDay), "Water wanted a day", 0, 100_000, "m³", "Mean of the month.")),
        For<SunStrings>(
            Number(nameof(SunStrings.InSeries), "Modules in series", 1, 60, string.Empty, "In one string."),
            Number(nameof(SunStrings.InParallel), "Strings", 1, 200, string.Empty, "Side by side."),
            Number(nameof(SunStrings.FuseA), "String fuses", 1, 63, "A", "gPV fuse of each string, both poles.", open: "none"),
            Number(nameof(SunStrings.SwitchgearV), "Switchgear, direct voltage", 100, 3000, "V",
                "Greatest direct voltage of boxes, fuse holders and switches."),
            Number(nameof(SunStrings.IsolatorV), "Switch-disconnector, voltage", 100, 3000, "V", "Rated voltage as it is wired."),
            Number(nameof(SunStrings.IsolatorA), "Switch-disconnector, current", 1, 5000, "A", "Rated current at that voltage."),
            Switch(nameof(SunStrings.IsolatorPv2), "Class DC-PV2", "Utilisation category of IEC 60947-3 for arrays."),
            Switch(nameof(SunStrings.IsolatorNear), "Within reach", "Whether it can be reached from the converter."),
            Number(nameof(SunStrings.SurgeV), "Surge protection U_c", 100, 3000, "V", "Greatest continuous direct voltage."),
            Number(nameof(SunStrings.CableM), "Cable from the array", 0, 2000, "m", "One way."),
            Number(nameof(SunStrings.CableMm2), "Section of that cable", 1.5, 300, "mm²", "Copper, for 90 °C, in the sun."),
            Number(nameof(SunStrings.InsulationKohm), "Insulation to earth", 0.1, 1_000_000, "kΩ", "As measured before the start.",
                open: "not measured")),
        For<SunPumping>(
            Number(nameof(SunPumping.LeastRpm), "Least speed", 10, 6000, "rpm", "Below it the pump is stopped: raise it until water appears."),
            Number(nameof(SunPumping.StartsPerDay), "Starts a day permitted", 1, 2000, string.Empty, "By the motor's maker."),
            Number(nameof(SunPumping.RestartMin), "Pause before a restart", 0, 240, "min", "So long it rests after a stop."),
            Number(nameof(SunPumping.StopDelayS), "Delay of the stop", 1, 600, "s", "So long it tries on below its least power."),
            Number(nameof(SunPumping.TankM3), "Tank", 0, 1_000_000, "m³", "Volume that can be used."),
            Switch(nameof(SunPumping.DryRunGuard), "Dry-run guard", "Stops it when it takes less than 80 % of the power of its speed."),
            Switch(nameof(SunPumping.TankLevel), "Level of the tank", "Stops it when the tank is full.")),
    ];
}
