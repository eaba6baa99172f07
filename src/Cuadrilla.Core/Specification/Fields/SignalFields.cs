using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Signals;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of signals, the controller and the control supply.</summary>
internal static class SignalFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<SignalPlan>(
            Sensed(nameof(SignalPlan.Sense), "Inputs active at", "What makes the digital inputs of the unit active: at +24 V they sink "
                + "current, at 0 V they source it."),
            Switch(nameof(SignalPlan.Extension), "Extension card", "Whether a card with further terminals is fitted to the unit."),
            Switch(nameof(SignalPlan.EnableLinked), "Enable linked",
                "Whether enable and safe torque off are linked at the unit, so that it may always run."),
            Choice(nameof(SignalPlan.StopCategory), "Stop category",
                "As whoever designs the safety has stated it (IEC 60204-1); recorded here, never designed.",
                (StopCategory.NotStated, "not stated"), (StopCategory.Category0, "0, power off at once"),
                (StopCategory.Category1, "1, power off after the stop"), (StopCategory.Category2, "2, power stays")),
            Choice(nameof(SignalPlan.StopBy), "Stop depends on", "What takes the power off, or only stops.",
                (StopMeans.NotStated, "not stated"), (StopMeans.TorqueOff, "safe torque off"),
                (StopMeans.SupplyContactor, "contactor in the supply"), (StopMeans.Software, "program or fieldbus alone")),
            Choice(nameof(SignalPlan.ResistorTrip), "Resistor too hot", "What the thermal switch of the brake resistor does.",
                (ResistorTrip.NotStated, "not stated"), (ResistorTrip.OpensInput, "opens the supply"),
                (ResistorTrip.TripsUnit, "trips the converter"), (ResistorTrip.Told, "is told only"))),
        For<PresetSpeed>(Number(nameof(PresetSpeed.FrequencyHz), "Preset speed", 0, 600, "Hz", "Frequency at these inputs.")),
        For<WantedSignal>(
            Words(nameof(WantedSignal.Id), "Signal key", 1, 60, "Stable key of the signal."),
            Choice(nameof(WantedSignal.Function), "Function", "What the signal is for.",
                [.. Enum.GetValues<SignalFunction>().Select(f => (f, SignalFacts.Of(f).Name))]),
            Choice(nameof(WantedSignal.Far), "Other end", "Where its other end is.",
                (FarEnd.Controller, "controller"), (FarEnd.LocalStation, "local station"), (FarEnd.Cabinet, "same cabinet"),
                (FarEnd.Machine, "machine"), (FarEnd.OtherUnit, "other drive")),
            Words(nameof(WantedSignal.Terminal), "Terminal", 0, 40, "By hand; open: the first free one that fits."),
            Words(nameof(WantedSignal.Channel), "Channel", 0, 80, "Card and number by hand; open: the first free one that fits."),
            Choice(nameof(WantedSignal.Range), "Range at the unit", "What the terminal of the unit is set to.",
                (UnitRange.AsFarEnd, "as the other end"), (UnitRange.Volt0To10, "0 to 10 V"), (UnitRange.Volt2To10, "2 to 10 V"),
                (UnitRange.Milliampere0To20, "0 to 20 mA"), (UnitRange.Milliampere4To20, "4 to 20 mA")),
            Number(nameof(WantedSignal.ZeroAt), "Unit, at 0 %", -100_000, 100_000, string.Empty, "Hz, A or % at the bottom of the signal.",
                open: "0"),
            Number(nameof(WantedSignal.FullAt), "Unit, at 100 %", -100_000, 100_000, string.Empty, "Hz, A or % at the top of the signal.",
                open: "as usual"),
            Number(nameof(WantedSignal.FarZeroAt), "Other end, at 0 %", -100_000, 100_000, string.Empty,
                "What the other end takes the bottom of the signal for.", open: "as the unit"),
            Number(nameof(WantedSignal.FarFullAt), "Other end, at 100 %", -100_000, 100_000, string.Empty,
                "What the other end takes the top of the signal for.", open: "as the unit"),
            Number(nameof(WantedSignal.LoadA), "Coil or lamp", 0.001, 20, "A", "Current of what the output switches."),
            Choice(nameof(WantedSignal.LoadSupply), "Supply of the load", "Voltage of what the output switches.",
                (LoadSupply.Dc24, "24 V direct"), (LoadSupply.Ac, "alternating, to 250 V")),
            Choice(nameof(WantedSignal.Suppression), "Suppression", "What takes the coil's energy when it is switched off.",
                (LoadSuppression.NotStated, "not stated"), (LoadSuppression.NoCoil, "no coil"),
                (LoadSuppression.Diode, "diode, cathode at plus"), (LoadSuppression.Rc, "resistor and capacitor"),
                (LoadSuppression.Varistor, "varistor"), (LoadSuppression.Nothing, "nothing"))),
        For<PlantController>(Words(nameof(PlantController.Name), "Controller", 1, 80, "What people call it.")),
        For<ControllerCard>(
            Words(nameof(ControllerCard.Id), "Card key", 1, 60, "Stable key of the card."),
            Words(nameof(ControllerCard.Name), "Card", 1, 60, "What people call it."),
            Choice(nameof(ControllerCard.Kind), "Channels are", "What its channels are.",
                (CardKind.DigitalInput, "digital inputs"), (CardKind.DigitalOutput, "transistor outputs"),
                (CardKind.RelayOutput, "relay outputs"), (CardKind.AnalogueInput, "analogue inputs"),
                (CardKind.AnalogueOutput, "analogue outputs"), (CardKind.Counter, "counter inputs")),
            Number(nameof(ControllerCard.Channels), "Number", 1, 64, string.Empty, "Channels of the card."),
            Sensed(nameof(ControllerCard.Sense), "Active at", "What makes its digital channels active."),
            Choice(nameof(ControllerCard.Range), "Signal range", "Of its analogue channels.",
                (AnalogueRange.Volt0To10, "0 to 10 V"), (AnalogueRange.Volt2To10, "2 to 10 V"),
                (AnalogueRange.Milliampere0To20, "0 to 20 mA"), (AnalogueRange.Milliampere4To20, "4 to 20 mA")),
            Number(nameof(ControllerCard.Bits), "Resolution", 4, 24, string.Empty, "Bits of its analogue channels.", open: "12"),
            Number(nameof(ControllerCard.OutputA), "Output carries", 0.001, 20, "A", "Each output of it, into a coil."),
            Words(nameof(ControllerCard.PlaceId), "Place", 0, 60, "Place where the card stands.")),
        For<ControlSupplyBuild>(
            Number(nameof(ControlSupplyBuild.RatedA), "24 V supply", 0.5, 200, "A", "Rated current of the control supply."),
            Number(nameof(ControlSupplyBuild.PeakA), "For moments", 0.5, 1000, "A", "What it gives for moments and into a fault.",
                open: "1.5 × rated"),
            Number(nameof(ControlSupplyBuild.LowestV), "Lowest voltage", 18, 28, "V", "At its terminals in operation.", open: "23.3"),
            Number(nameof(ControlSupplyBuild.TransformerVa), "Auxiliary transformer", 20, 100_000, "VA",
                "For fans, coils at alternating voltage, heaters and the 24 V supply."),
            Number(nameof(ControlSupplyBuild.FurtherW), "Heaters and lamps", 0, 100_000, "W", "Further load of the auxiliary transformer.",
                open: "0")),
        For<ControlBranchBuild>(
            Words(nameof(ControlBranchBuild.Id), "Branch key", 1, 60, "Stable key of the branch."),
            Words(nameof(ControlBranchBuild.Name), "Branch", 1, 60, "What people call it."),
            Choice(nameof(ControlBranchBuild.Use), "It feeds", "What hangs on the branch.",
                (ControlBranchUse.Units, "cards of units"), (ControlBranchUse.Coils, "coils"), (ControlBranchUse.Brakes, "brakes"),
                (ControlBranchUse.Controller, "controller cards"), (ControlBranchUse.Further, "further load alone")),
            Choice(nameof(ControlBranchBuild.Protection), "Protected by", "Kind of its device.",
                (BranchProtection.BreakerC, "C breaker"), (BranchProtection.Electronic, "electronic")),
            Number(nameof(ControlBranchBuild.ProtectionA), "Its rating", 0.1, 63, "A", "Rated current of its device."),
            Number(nameof(ControlBranchBuild.LengthM), "Length, one way", 0, 1000, "m", "To its farthest load."),
            Number(nameof(ControlBranchBuild.SectionMm2), "Section", 0.1, 50, "mm²", "Copper."),
            Number(nameof(ControlBranchBuild.FurtherA), "Further load", 0, 200, "A", "What hangs on it beside what the lineup has.",
                open: "0")),
    ];

    private static ChoiceField Sensed(string key, string name, string help) => Choice(
        key, name, help, (DigitalSense.ToPlus, "+24 V (sink)"), (DigitalSense.ToZero, "0 V (source)"));
}
