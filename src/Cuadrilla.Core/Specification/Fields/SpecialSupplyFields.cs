using Cuadrilla.Core.Supplies;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of special supplies: sun instead of mains, step-up transformers.</summary>
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
        For<StepUpTransformer>(
            Number(nameof(StepUpTransformer.RatedKva), "Transformer", 0.1, 10_000, "kVA", "Rated apparent power."),
            Number(nameof(StepUpTransformer.PrimaryV), "Low side", 50, 1000, "V", "Rated voltage between phases of its low side."),
            Number(nameof(StepUpTransformer.TapV), "Tap in use", 100, 10_000, "V", "One of its taps, without load.", hint: true),
            Number(nameof(StepUpTransformer.UkPct), "Short-circuit impedance", 0.5, 20, "%", "uk at rated current."),
            Number(nameof(StepUpTransformer.LoadLossKw), "Load loss", 0, 200, "kW", "At rated current."),
            Number(nameof(StepUpTransformer.NoLoadLossKw), "No-load loss", 0, 50, "kW", "At rated voltage and frequency."),
            Number(nameof(StepUpTransformer.MagnetisingPct), "Magnetising current", 0, 50, "%", "Of the load’s current on the low side."),
            Number(nameof(StepUpTransformer.DesignHz), "Designed down to", 1, 400, "Hz",
                "Frequency down to which it carries its rated voltage without saturating.", open: "as motor"),
            Switch(nameof(StepUpTransformer.ForConverters), "For converters", "Whether it is made for converters, K-factor 4."),
            Switch(nameof(StepUpTransformer.InsulationMonitored), "Insulation monitor",
                "Whether a monitor watches the insulation of its floating secondary.")),
        For<WellCable>(
            Number(nameof(WellCable.ResistanceOhmPerKm), "Resistance at 20 °C", 0.001, 100, "Ω/km", "Of one conductor, by its maker.",
                open: "from section"),
            Number(nameof(WellCable.ReactanceOhmPerKm), "Reactance", 0.001, 2, "Ω/km", "At the motor’s rated frequency; usually 0.1."),
            Number(nameof(WellCable.CapacitanceUfPerKm), "Capacitance", 0.01, 5, "µF/km", "Of one conductor; usually 0.2 to 0.4."),
            Number(nameof(WellCable.SurfaceC), "At the surface", -40, 60, "°C", "Temperature at the surface."),
            Number(nameof(WellCable.GradientKPerKm), "Rise with depth", 0, 100, "K/km", "25 to 30 unless measured."),
            Number(nameof(WellCable.CapacityA), "Capacity where it hangs", 1, 5000, "A", "Current-carrying capacity by its maker.",
                open: "not heating"),
            Number(nameof(WellCable.HeatingK), "Rise at that capacity", 1, 150, "K", "30 to 50."),
            Number(nameof(WellCable.RatedV), "Rated voltage of the cable", 100, 20_000, "V", "Between conductors.")),
        For<StepUpStart>(
            Number(nameof(StepUpStart.StartHz), "Start frequency", 0.5, 400, "Hz", "Least frequency at which current flows."),
            Number(nameof(StepUpStart.StartCurrentPct), "Start current", 10, 200, "%", "Of the motor’s rated current."),
            Number(nameof(StepUpStart.FluxLimitPu), "Flux permitted", 0.5, 2, string.Empty, "Of the transformer; usually 1.1."),
            Number(nameof(StepUpStart.RampS), "Ramp", 0.1, 600, "s", "To the rated frequency; at least 1 s."),
            Number(nameof(StepUpStart.BackSpinMin), "Draining", 0, 240, "min", "Until the column has drained: 10, deep wells 30."),
            Choice(nameof(StepUpStart.BackSpin), "Against back-spin", "How a restart against a pump that turns back is prevented.",
                (BackSpinGuard.NotStated, "not stated"), (BackSpinGuard.WaitingTime, "waiting time"),
                (BackSpinGuard.SpeedProven, "speed below 5 % proven"), (BackSpinGuard.FlyingStart, "flying start"),
                (BackSpinGuard.NonReturn, "check valve or brake")),
            Choice(nameof(StepUpStart.Identification), "Identification", "How the converter comes to know motor and cable.",
                (MotorIdentification.NotStated, "not stated"), (MotorIdentification.Calculated, "calculated, referred"),
                (MotorIdentification.AlternatingInjection, "injected alternating current"), (MotorIdentification.AtSpeed, "while it turns"),
                (MotorIdentification.DirectAtRest, "direct current at rest"))),
        For<StepUpFilter>(
            Number(nameof(StepUpFilter.InductanceMh), "Filter inductance", 0.001, 1000, "mH", "Of a phase."),
            Number(nameof(StepUpFilter.CapacitanceUf), "Filter capacitance", 0.01, 10_000, "µF", "Of a phase, in star."),
            Number(nameof(StepUpFilter.CurrentPct), "Filter current", 0, 60, "%", "Of its capacitors, of the load’s current; 10 to 20."),
            Switch(nameof(StepUpFilter.PermitsTransformer), "Permits a transformer", "Whether its maker permits a transformer behind it.")),
        For<SurfaceReadings>(
            Number(nameof(SurfaceReadings.UvOhm), "Reading U–V", 0.0001, 10_000, "Ω", "Between conductors at the surface, at rest."),
            Number(nameof(SurfaceReadings.VwOhm), "Reading V–W", 0.0001, 10_000, "Ω", "Between conductors at the surface, at rest."),
            Number(nameof(SurfaceReadings.WuOhm), "Reading W–U", 0.0001, 10_000, "Ω", "Between conductors at the surface, at rest."),
            Number(nameof(SurfaceReadings.WindingC), "Winding", -40, 200, "°C", "Temperature of the winding when it was read.",
                open: "as ground"),
            Number(nameof(SurfaceReadings.TightPct), "Spread, tight from", 0.1, 50, "%", "Usually 5 through a long cable.", open: "5"),
            Number(nameof(SurfaceReadings.FailsPct), "Spread, fails from", 0.1, 50, "%",
                "Usually 10 through a long cable; some accept 15.", open: "10")),
    ];
}
