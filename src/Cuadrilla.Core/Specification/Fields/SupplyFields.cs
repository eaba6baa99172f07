using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Network;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of source, buses, transformers, links, capacitors, filters and other loads.</summary>
internal static class SupplyFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<Source>(
            Number(nameof(Source.FrequencyHz), "Frequency", 45, 65, "Hz", "Rated frequency of the supply."),
            Number(nameof(Source.LowestPct), "Lowest voltage", 70, 130, "%", "Lowest voltage of the source in service, of nominal.", open: "nominal"),
            Number(nameof(Source.HighestPct), "Highest voltage", 70, 130, "%", "Highest voltage of the source in service, of nominal.", open: "nominal"),
            Number(nameof(Source.EarthLoopOhm), "Earth fault loop", 0.0001, 100, "Ω", "Loop from line to earth at the source’s bus, as the network operator states it or as measured.", open: "behind a Dyn transformer it follows"),
            Number(nameof(Source.UnbalancePct), "Unbalance", 0, 10, "%", "Negative-sequence voltage over positive-sequence voltage.", open: "none stated"),
            Number(nameof(Source.BackgroundV5Pct), "Background voltage, 5th", -15, 15, "%", "5th harmonic voltage that is there without this plant; negative turns it by half a turn.", open: "none stated"),
            Number(nameof(Source.BackgroundV5Deg), "Angle of the 5th", -360, 360, "°", "Angle of the 5th harmonic voltage to its fundamental.", open: "may be any"),
            Number(nameof(Source.BackgroundV7Pct), "Background voltage, 7th", -15, 15, "%", "7th harmonic voltage that is there without this plant.", open: "none stated"),
            Number(nameof(Source.BackgroundV7Deg), "Angle of the 7th", -360, 360, "°", "Angle of the 7th harmonic voltage to its fundamental.", open: "may be any")),
        For<BackgroundOrder>(
            Number(nameof(BackgroundOrder.Pct), "Background voltage of a further order", -15, 15, "%", "Harmonic voltage of this order that is there without this plant.", open: "none stated"),
            Number(nameof(BackgroundOrder.Deg), "Angle of a further order", -360, 360, "°", "Angle of this order to its fundamental.", open: "may be any")),
        For<SourceStrength.FaultLevel>(
            Number(nameof(SourceStrength.FaultLevel.ShortCircuitMva), "Short-circuit power, maximum", 0.01, 100_000, "MVA", "Largest initial symmetrical short-circuit power at the source's bus."),
            Number(nameof(SourceStrength.FaultLevel.LeastMva), "Short-circuit power, minimum", 0.01, 100_000, "MVA", "For dips and distortion; not above the largest.", open: "as largest", hint: true),
            Number(nameof(SourceStrength.FaultLevel.XrRatio), "X/R of the source", 0.1, 100, string.Empty, "Reactance over resistance of the source.")),
        For<SourceStrength.Generator>(
            Number(nameof(SourceStrength.Generator.RatedKva), "Generator", 1, 500_000, "kVA", "Rated apparent power of the generator."),
            Number(nameof(SourceStrength.Generator.RatedKw), "Active power", 0.5, 500_000, "kW", "Power of its engine; not above its rated apparent power."),
            Number(nameof(SourceStrength.Generator.SubtransientPct), "Subtransient reactance X″d", 3, 60, "%", "Subtransient reactance on its rating."),
            Number(nameof(SourceStrength.Generator.TransientPct), "Transient reactance X′d", 3, 100, "%", "Governs dips of 0.1 s and more.", hint: true),
            Number(nameof(SourceStrength.Generator.NegativeSequencePct), "Negative-sequence reactance X2", 3, 60, "%", "Negative-sequence reactance on its rating.", open: "as X″d"),
            Number(nameof(SourceStrength.Generator.GoverningClass), "Governing class G", 1, 3, string.Empty, "1 to 3, ISO 8528-5.", hint: true),
            Number(nameof(SourceStrength.Generator.XrRatio), "X/R of the generator", 0.1, 100, string.Empty, "Reactance over resistance of the generator.")),
        For<CommonCoupling>(
            Number(nameof(CommonCoupling.MaximumDemandKva), "Maximum demand", 0, 1_000_000, "kVA", "15 or 30 min; empty: the largest scenario.", above: true, open: "computed", hint: true)),
        For<Bus>(
            Words(nameof(Bus.Id), "Key", 1, 60, "Stable key of the bus."),
            Words(nameof(Bus.Name), "Name", 1, 60, "What people call the bus."),
            Number(nameof(Bus.NominalVoltageV), "Voltage", 100, 69_000, "V", "Nominal voltage between phases."),
            Number(nameof(Bus.EnvironmentClass), "Electromagnetic environment class", 1, 3, string.Empty, "Compatibility class of IEC 61000-2-4 that its voltage is to keep."),
            Number(nameof(Bus.WithstandKa), "Short-time withstand current", 0.1, 300, "kA", "Rated short-time withstand current of the switchgear."),
            Choice(nameof(Bus.Earthing), "Earthing system", "How neutral and exposed parts are connected to earth (IEC 60364-1).",
                (EarthingSystem.NotStated, "not stated"), (EarthingSystem.TnS, "TN-S"), (EarthingSystem.TnCS, "TN-C-S"), (EarthingSystem.TnC, "TN-C"), (EarthingSystem.Tt, "TT"),
                (EarthingSystem.It, "IT"), (EarthingSystem.CornerEarthed, "corner earthed")),
            Number(nameof(Bus.ElectrodeOhm), "Earth electrode R_A", 0.01, 10_000, "Ω", "Measured resistance of the electrode that earths what hangs on it; asked in TT systems.", open: "not measured"),
            Switch(nameof(Bus.InsulationMonitored), "Insulation monitor", "Whether a monitor made for systems with converters watches the insulation; IT systems need one.")),
        For<Transformer>(
            Words(nameof(Transformer.Id), "Key", 1, 60, "Stable key of the transformer."),
            Words(nameof(Transformer.Name), "Name", 1, 60, "What people call the transformer."),
            Number(nameof(Transformer.RatedKva), "Rating", 1, 100_000, "kVA", "Rated apparent power."),
            Number(nameof(Transformer.UkPct), "Short-circuit impedance", 0.5, 25, "%", "Impedance voltage at rated current, uk."),
            Number(nameof(Transformer.LoadLossKw), "Load loss", 0, 25_000, "kW", "Loss in the windings at rated current; not above what uk allows."),
            Number(nameof(Transformer.NoLoadLossKw), "No-load loss", 0, 5000, "kW", "Loss in the core; not above 5 % of the rating."),
            Number(nameof(Transformer.NoLoadSecondaryPct), "No-load voltage", 80, 120, "%", "Secondary voltage at no load with its tap, of the fed bus's nominal."),
            Number(nameof(Transformer.ZeroSequencePu), "Zero-sequence impedance", 0.02, 20, "× uk", "Of its star, in parts of the short-circuit impedance.", open: "1 for Dyn, else not known"),
            Number(nameof(Transformer.EddyLossPu), "Eddy-loss share", 0, 0.5, "pu", "Winding eddy loss over the resistive loss at rated current, P_EC-R.", shown: "%", open: "assumed"),
            Number(nameof(Transformer.OtherStrayLossPu), "Other stray loss", 0, 0.5, "pu", "Other stray loss over the resistive loss at rated current, P_OSL-R.", shown: "%", open: "assumed"),
            Choice(nameof(Transformer.VectorGroup), "Vector group", "Connection of the windings and clock number (IEC 60076-1).",
                Enum.GetValues<VectorGroup>().Select(g => (g, g.ToString())).ToArray()),
            Choice(nameof(Transformer.Cooling), "Cooling", "What carries the heat away.", (TransformerCooling.Dry, "dry"), (TransformerCooling.Oil, "oil"))),
        For<BusLink>(
            Words(nameof(BusLink.Id), "Key", 1, 60, "Stable key of the link."),
            Words(nameof(BusLink.Name), "Name", 1, 60, "What people call the link."),
            Switch(nameof(BusLink.NormallyClosed), "Normally closed", "Whether it is closed where a scenario says nothing.")),
        For<BusLink.Cable>(
            Number(nameof(BusLink.Cable.LengthM), "Length", 0, 20_000, "m", "Length of the cable between the buses.", above: true),
            Number(nameof(BusLink.Cable.CrossSectionMm2), "Cross-section", 0.5, 1000, "mm²", "Cross-section of a conductor."),
            Number(nameof(BusLink.Cable.ParallelRuns), "Parallel runs", 1, 12, string.Empty, "Equal cables side by side."),
            Choice(nameof(BusLink.Cable.Material), "Conductor", "Metal of the conductors.", (ConductorMaterial.Copper, "copper"), (ConductorMaterial.Aluminium, "aluminium")),
            Choice(nameof(BusLink.Cable.Laying), "Laying", "How single-core cables lie to each other.", (CableLaying.Trefoil, "trefoil"), (CableLaying.Flat, "flat"))),
        For<CapacitorBank>(
            Words(nameof(CapacitorBank.Id), "Key", 1, 60, "Stable key of the bank."),
            Words(nameof(CapacitorBank.Name), "Name", 1, 60, "What people call the bank."),
            Number(nameof(CapacitorBank.StepKvar), "Step rating", 0, 10_000, "kvar", "Reactive power of a step at the bus's nominal voltage, reactor included.", above: true),
            Number(nameof(CapacitorBank.Steps), "Steps", 1, 24, string.Empty, "Equal steps of the bank."),
            Number(nameof(CapacitorBank.DetuningPct), "Detuning", 1, 20, "%", "Reactance of the reactor over that of the capacitors; open: no reactor.", open: "none"),
            Number(nameof(CapacitorBank.CapacitorRatedV), "Rated voltage of the capacitors", 100, 69_000, "V", "Rated voltage on the capacitors' own plate."),
            Number(nameof(CapacitorBank.ContactorA), "Contactor of a step", 1, 3000, "A", "Rated operational current in AC-6b of the contactor of one step.", open: "none stated")),
        For<ActiveFilter>(
            Words(nameof(ActiveFilter.Id), "Key", 1, 60, "Stable key of the filter."),
            Words(nameof(ActiveFilter.Name), "Name", 1, 60, "What people call the filter."),
            Number(nameof(ActiveFilter.RatedCurrentA), "Rated current", 1, 10_000, "A", "Compensating current for ever.")),
        For<BusLoad>(
            Words(nameof(BusLoad.Id), "Key", 1, 60, "Stable key of the load."),
            Words(nameof(BusLoad.Name), "Name", 1, 60, "What people call the load.")),
        For<BusLoad.Linear>(
            Number(nameof(BusLoad.Linear.PowerKw), "Linear load", 0, 100_000, "kW", "Active power without harmonics."),
            Number(nameof(BusLoad.Linear.PowerFactor), "Power factor of the linear load", 0.1, 1, string.Empty, "Displacement power factor, lagging.")),
        For<BusLoad.LineMotor>(
            Number(nameof(BusLoad.LineMotor.RatedKw), "Rated power", 0, 10_000, "kW", "Shaft power on its plate.", above: true, us: "hp"),
            Number(nameof(BusLoad.LineMotor.EfficiencyPct), "Efficiency", 30, 99.5, "%", "Efficiency on its plate."),
            Number(nameof(BusLoad.LineMotor.PowerFactor), "Power factor", 0.3, 1, string.Empty, "Power factor on its plate."),
            Number(nameof(BusLoad.LineMotor.LoadingPct), "Loading", 0, 120, "%", "Mean load of its rating."),
            Number(nameof(BusLoad.LineMotor.LockedRotorCurrentPu), "Locked-rotor current", 2, 12, "of rated", "Starting current over rated current."),
            Number(nameof(BusLoad.LineMotor.LockedRotorPowerFactor), "Locked-rotor power factor", 0.05, 0.9, string.Empty, "Power factor as it starts."),
            Number(nameof(BusLoad.LineMotor.StartsPerHour), "Starts per hour", 0, 60, "1/h", "How often it starts, for the permitted dip.")),
        For<BusLoad.SinglePhaseGroup>(
            Number(nameof(BusLoad.SinglePhaseGroup.PowerKw), "Single-phase load", 0, 10_000, "kW", "Active power of all three phases together."),
            Number(nameof(BusLoad.SinglePhaseGroup.PowerFactor), "Power factor", 0.1, 1, string.Empty, "Displacement power factor, lagging."),
            Number(nameof(BusLoad.SinglePhaseGroup.UnevenPct), "Largest phase above the mean", 0, 200, "%", "By how much the fullest phase carries more than the mean."),
            Number(nameof(BusLoad.SinglePhaseGroup.ThirdHarmonicPct), "Third harmonic", 0, 100, "%", "Third harmonic of its current; it adds up in the neutral."),
            Number(nameof(BusLoad.SinglePhaseGroup.NeutralA), "Neutral current rating", 0, 10_000, "A", "Current that the neutral conductor carries for ever.", above: true)),
    ];
}
