using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of converters, starters and their ways of braking.</summary>
internal static class ConverterFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<ConverterChoice.FromCatalogue>(
            Number(nameof(ConverterChoice.FromCatalogue.SwitchingKhz), "Switching frequency", 1, 16, "kHz", "Higher is quieter and costs current and loss."),
            Number(nameof(ConverterChoice.FromCatalogue.Modules), "Modules in parallel", 1, 8, string.Empty, "Equal modules side by side on one motor."),
            Words(nameof(ConverterChoice.FromCatalogue.Reason), "Reason for this converter", 0, 300, "Why this one where it is not the best candidate."),
            Choice(nameof(ConverterChoice.FromCatalogue.Duty), "Overload duty", "Rating by which the size is taken.", (OverloadDuty.Light, "light overload"), (OverloadDuty.Heavy, "heavy overload")),
            Choice(nameof(ConverterChoice.FromCatalogue.Control), "Control", "How the converter controls the motor.",
                (MotorControl.Scalar, "scalar, voltage over frequency"), (MotorControl.Vector, "vector, no encoder"), (MotorControl.VectorWithEncoder, "vector with encoder")),
            Choice(nameof(ConverterChoice.FromCatalogue.LightLoadFlux), "Flux at light load", "Whether the converter lowers the flux at light load.",
                (LightLoadFlux.Constant, "whole: full torque at once"), (LightLoadFlux.Lowered, "lowered with the torque, as fans allow")),
            Choice(nameof(ConverterChoice.FromCatalogue.Wiring), "Wiring of the modules", "How modules side by side meet the motor.",
                (ModuleWiring.SeparateWindings, "a winding for each"), (ModuleWiring.OneWindingWithChokes, "one winding, a choke each"), (ModuleWiring.OneWindingBare, "one winding, no chokes")),
            Choice(nameof(ConverterChoice.FromCatalogue.Filter), "Output filter", "What stands between converter and motor cable.", (OutputFilter.None, "none"), (OutputFilter.DvDt, "dv/dt filter"), (OutputFilter.Sine, "sine filter")),
            Choice(nameof(ConverterChoice.FromCatalogue.InDip), "In a dip of the supply", "What it does when the voltage is gone for a moment.",
                (DipBehaviour.Trips, "runs on its link, then trips"), (DipBehaviour.KineticBuffering, "kinetic buffering"), (DipBehaviour.FlyingStart, "blocks pulses, flying start")),
            Number(nameof(ConverterChoice.FromCatalogue.RestartOrder), "Restart order", 1, 99, string.Empty,
                "Place in the order in which drives start by themselves when the supply is back; prevent unexpected starting (IEC 60204-1, 7.5).", open: "never by itself"),
            Choice(nameof(ConverterChoice.FromCatalogue.Feed), "Supply phases", "Phases that reach the converter.", (SupplyFeed.ThreePhase, "three"), (SupplyFeed.TwoPhases, "two, derated"))),
        For<ConverterChoice.AcrossTheLine>(
            Number(nameof(ConverterChoice.AcrossTheLine.StartsPerHour), "Starts per hour", 0, 60, "1/h", "Starts wanted in an hour."),
            Words(nameof(ConverterChoice.AcrossTheLine.Reason), "Reason", 0, 300, "Why this way of starting."),
            Trips(nameof(ConverterChoice.AcrossTheLine.Trip))),
        For<ConverterChoice.StarDelta>(
            Number(nameof(ConverterChoice.StarDelta.ChangeOverS), "Time in star", 0.5, 120, "s", "From switching on in star to the change to delta."),
            Number(nameof(ConverterChoice.StarDelta.StartsPerHour), "Starts per hour", 0, 60, "1/h", "Starts wanted in an hour."),
            Words(nameof(ConverterChoice.StarDelta.Reason), "Reason", 0, 300, "Why this way of starting."),
            Trips(nameof(ConverterChoice.StarDelta.Trip))),
        For<ConverterChoice.SoftStarter>(
            Number(nameof(ConverterChoice.SoftStarter.StartsPerHour), "Starts per hour", 0, 60, "1/h", "Starts wanted in an hour."),
            Words(nameof(ConverterChoice.SoftStarter.Reason), "Reason", 0, 300, "Why this way of starting."),
            Trips(nameof(ConverterChoice.SoftStarter.Trip))),
        For<SoftStarterSettings>(
            Number(nameof(SoftStarterSettings.InitialPct), "Initial value", 0, 700, "%", "Voltage, or current of the motor's set current, with which the ramp begins; a voltage up to 100 %."),
            Number(nameof(SoftStarterSettings.RampS), "Ramp", 0, 120, "s", "Time over which voltage or current rises."),
            Number(nameof(SoftStarterSettings.CurrentLimitPct), "Current limit", 100, 1000, "% of the motor's set current", "Of the motor’s set current, not of the starter’s rating.", hint: true),
            Number(nameof(SoftStarterSettings.KickPct), "Kick-start voltage", 0, 100, "% voltage", "Voltage of a short pulse that breaks a stuck machine loose; 0: none."),
            Number(nameof(SoftStarterSettings.KickS), "Kick-start time", 0, 2, "s", "Length of that pulse."),
            Number(nameof(SoftStarterSettings.StopRampS), "Stop ramp", 0, 120, "s", "Voltage falls over this time, against water hammer; 0: coasting. See the stop on the page Time.", hint: true),
            Choice(nameof(SoftStarterSettings.Mode), "Start mode", "What the soft starter raises.",
                (SoftStartMode.VoltageRamp, "voltage ramp"), (SoftStartMode.CurrentRamp, "current ramp"), (SoftStartMode.CurrentLimit, "current limit at once")),
            Switch(nameof(SoftStarterSettings.InsideDelta), "Inside-delta connection", "Whether the soft starter stands in the delta, with six conductors to the motor.")),
        For<StartPreset>(Words(nameof(StartPreset.Application), "Name of the preset", 1, 40, "Kind of machine that the settings are kept for."),
            Trips(nameof(StartPreset.Trip))),
        For<Braking.DcInjection>(Number(nameof(Braking.DcInjection.CurrentPct), "Direct current", 20, 200, "%", "Of the motor’s rated current; all energy heats the rotor.", hint: true)),
        For<Braking.Flux>(Number(nameof(Braking.Flux.FluxPct), "Flux", 100, 140, "%", "Of the rated flux; the output voltage bounds it near base speed.", hint: true)),
        For<Braking.Resistor>(
            Number(nameof(Braking.Resistor.ResistanceOhm), "Resistance", 0.1, 2000, "Ω", "Resistance of the brake resistor."),
            Number(nameof(Braking.Resistor.ContinuousKw), "Continuous power", 0.01, 1000, "kW", "It gets hot enough to burn: place and cover it by its maker’s instructions.", hint: true),
            Number(nameof(Braking.Resistor.WindowS), "Averaging time", 10, 3600, "s", "Time over which its mean power counts; open: the project's.", open: "project’s")),
        For<ResistorPulse>(
            Number(nameof(ResistorPulse.TimeS), "Pulse duration", 0.01, 3600, "s", "Length of a pulse that the resistor stands; ascending."),
            Number(nameof(ResistorPulse.PowerPu), "Pulse power", 1, 100, "× continuous", "Power that it stands for so long.")),
        For<OwnConverter>(
            Words(nameof(OwnConverter.Id), "Converter key", 1, 60, "Stable key of the converter."),
            Words(nameof(OwnConverter.Name), "Name", 1, 80, "Name in its catalogue."),
            Words(nameof(OwnConverter.Catalogue), "Catalogue", 1, 80, "Catalogue that it comes from."),
            Words(nameof(OwnConverter.Version), "Version of the catalogue", 1, 40, "Version or date of that catalogue."),
            Number(nameof(OwnConverter.RatedKw), "Size", 0.05, 3000, "kW", "Nominal size for light overload.", us: "hp"),
            Number(nameof(OwnConverter.RatedVoltageV), "Voltage", 100, 1000, "V", "Rated line voltage."),
            Number(nameof(OwnConverter.LightCurrentA), "Current, light overload", 0.1, 6000, "A", "Continuous output current with the light overload."),
            Number(nameof(OwnConverter.HeavyCurrentA), "Current, heavy overload", 0.1, 6000, "A", "Continuous output current with the heavy overload; not above that of the light one."),
            Number(nameof(OwnConverter.ChokePct), "DC choke", 0, 10, "%", "Reactance of the DC choke on the size; 0: none."),
            Number(nameof(OwnConverter.LightOverloadPct), "Light overload", 101, 400, "%", "Overload current of the light duty, of its continuous current."),
            Number(nameof(OwnConverter.HeavyOverloadPct), "Heavy overload", 101, 400, "%", "Overload current of the heavy duty, of its continuous current."),
            Loss(nameof(OwnConverter.LossF0I25W), 0, 25),
            Loss(nameof(OwnConverter.LossF0I50W), 0, 50),
            Loss(nameof(OwnConverter.LossF0I100W), 0, 100),
            Loss(nameof(OwnConverter.LossF50I25W), 50, 25),
            Loss(nameof(OwnConverter.LossF50I50W), 50, 50),
            Loss(nameof(OwnConverter.LossF50I100W), 50, 100),
            Loss(nameof(OwnConverter.LossF90I50W), 90, 50),
            Loss(nameof(OwnConverter.LossF90I100W), 90, 100),
            Number(nameof(OwnConverter.StandbyW), "Standby loss", 0, 5000, "W", "Loss when energised but stopped."),
            Number(nameof(OwnConverter.CapacitanceUf), "DC-link capacitance", 1, 1e6, "µF", "Capacitance of the DC link."),
            Number(nameof(OwnConverter.LeastBrakeOhm), "Minimum brake resistance", 0.1, 2000, "Ω", "Least resistance that its chopper switches."),
            Number(nameof(OwnConverter.ShortCircuitKa), "Rated short-circuit current", 0.5, 200, "kA", "Conditional short-circuit current at its input with the stated fuses."),
            Number(nameof(OwnConverter.LargestFuseA), "Largest fuse listed", 1, 2000, "A", "Largest gG fuse, or breaker of that rating, that its maker lists.", open: "not judged without it"),
            Number(nameof(OwnConverter.RatedInputA), "Rated input current", 0.1, 6000, "A", "Current at its input at rated output, as on its plate.", open: "from size and kind"),
            Choice(nameof(OwnConverter.EmcFilter), "EMC filter", "Filter with which it is delivered, by the category of IEC 61800-3 that its maker declares.",
                (EmcFilter.AsDelivered, "not stated"), (EmcFilter.None, "none"), (EmcFilter.ForC3, "for C3"), (EmcFilter.ForC2, "for C2"), (EmcFilter.ForC1, "for C1")),
            Number(nameof(OwnConverter.FilterToM), "Filter up to a cable of", 0, 2000, "m", "Longest screened motor cable for which the filter reaches its category.", open: "not declared"),
            Number(nameof(OwnConverter.FilterToKhz), "Filter up to switching at", 0.5, 32, "kHz", "Highest switching frequency for which it does.", open: "not declared"),
            Number(nameof(OwnConverter.FilterUf), "Capacitance to earth, with filter", 0, 100, "µF", "Capacitance to earth of a phase with the filter.", open: "not stated"),
            Number(nameof(OwnConverter.PlainUf), "Capacitance to earth, no filter", 0, 100, "µF", "Capacitance to earth of a phase without filter.", open: "not stated"),
            Number(nameof(OwnConverter.MostScreenedM), "Longest screened motor cable", 1, 5000, "m", "Longest screened motor cable that it drives at all.", open: "not stated"),
            Number(nameof(OwnConverter.MostUnscreenedM), "Longest unscreened motor cable", 1, 5000, "m", "Longest unscreened motor cable that it drives.", open: "not stated"),
            Number(nameof(OwnConverter.SinglePhaseFeedPu), "Derating factor on two phases", 0.1, 1, string.Empty, "Part of its current that is left when two conductors feed it."),
            Number(nameof(OwnConverter.WidthMm), "Width", 10, 5000, "mm", "Width in the cabinet."),
            Number(nameof(OwnConverter.HeightMm), "Height", 10, 5000, "mm", "Height in the cabinet."),
            Number(nameof(OwnConverter.DepthMm), "Depth", 10, 5000, "mm", "Depth in the cabinet."),
            Number(nameof(OwnConverter.MassKg), "Mass", 0.1, 10_000, "kg", "Mass of the unit."),
            Number(nameof(OwnConverter.AirflowM3PerH), "Cooling air", 0, 50_000, "m³/h", "Air that its fans move."),
            Number(nameof(OwnConverter.PriceIndex), "Price index", 0, 1e6, "points", "Price in points of the catalogue's index."),
            Choice(nameof(OwnConverter.Kind), "Kind", "Kind of converter.",
                (ConverterKind.SixPulse, "six-pulse"), (ConverterKind.TwelvePulse, "twelve-pulse"), (ConverterKind.EighteenPulse, "eighteen-pulse"), (ConverterKind.ActiveFrontEnd, "active front end"),
                (ConverterKind.Direct, "direct converter"), (ConverterKind.DirectWithBypass, "direct converter with line bypass"), (ConverterKind.ThyristorOneQuadrant, "thyristor, one quadrant"),
                (ConverterKind.ThyristorFourQuadrant, "thyristor, four quadrants"), (ConverterKind.Servo, "servo drive"), (ConverterKind.SinglePhaseInput, "single-phase input"),
                (ConverterKind.InverterModule, "inverter module"))),
    ];

    private static NumberField Loss(string key, int frequencyPct, int currentPct) => Number(
        key, $"Loss at {frequencyPct} % f, {currentPct} % I", 0, 1.5e6, "W",
        $"Loss at {frequencyPct} % of the frequency and {currentPct} % of the torque-producing current, IEC 61800-9-2; all eight or none.");
}
