using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of filters, earth, residual currents and cable routes.</summary>
internal static class InterferenceFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<ResidualDevice>(
            Choice(nameof(ResidualDevice.Kind), "Residual-current device", "Which residual currents it sees (IEC 62423).",
                (ResidualKind.NotStated, "not stated"), (ResidualKind.None, "none"), (ResidualKind.TypeAc, "type AC"),
                (ResidualKind.TypeA, "type A"), (ResidualKind.TypeF, "type F"),
                (ResidualKind.TypeB, "type B"), (ResidualKind.MonitorB, "type B, monitor")),
            Number(nameof(ResidualDevice.RatedMa), "Rated residual current", 6, 30_000, "mA", "I_Δn of the device.", open: "not stated")),
        For<PointInterference>(
            FilterOf(nameof(PointInterference.Filter)),
            LinksOf(nameof(PointInterference.LinksOpen)),
            Switch(nameof(PointInterference.EarthDouble), "Second protective conductor",
                "Whether a second, equal protective conductor runs to the converter."),
            Switch(nameof(PointInterference.EarthMonitored), "Loss of earth disconnects",
                "Whether the loss of the protective conductor disconnects the supply."),
            Switch(nameof(PointInterference.FrameBonded), "Frame bonded to the machine",
                "Whether a short, wide strap bonds the motor’s frame to the machine that it drives."),
            Switch(nameof(PointInterference.ShaftRing), "Shaft earthing ring", "Whether a ring earths the motor’s shaft."),
            Switch(nameof(PointInterference.CommonModeCores), "Common-mode cores",
                "Whether cores surround the phases at the converter’s output."),
            Words(nameof(PointInterference.PlaceId), "Place of the converter", 0, 60, "Place of the plan; open: where its lineup stands."),
            Words(nameof(PointInterference.MotorPlaceId), "Place of the motor", 0, 60, "Place of the plan where the motor stands.")),
        For<Place>(
            Words(nameof(Place.Id), "Place key", 1, 60, "Stable key of the place."),
            Words(nameof(Place.Name), "Place", 1, 80, "Room, panel or machine."),
            Number(nameof(Place.RightM), "To the right", -10_000, 10_000, "m", "Position on the plan."),
            Number(nameof(Place.DownM), "Down", -10_000, 10_000, "m", "Position on the plan.")),
        For<TraySegment>(
            Words(nameof(TraySegment.Id), "Tray key", 1, 60, "Stable key of the piece of tray."),
            Words(nameof(TraySegment.Name), "Tray", 1, 80, "What people call the piece of tray."),
            Words(nameof(TraySegment.FromPlaceId), "From place", 1, 60, "Place at one end."),
            Words(nameof(TraySegment.ToPlaceId), "To place", 1, 60, "Place at the other end."),
            Number(nameof(TraySegment.LengthM), "Length", 0.1, 5000, "m", "Length of the piece, with its rises.",
                open: "straight by the plan"),
            Number(nameof(TraySegment.WidthMm), "Width", 20, 2000, "mm", "Inner width of the tray.", open: "not stated"),
            Choice(nameof(TraySegment.Kind), "Made of", "What the tray is made of.",
                (TrayKind.OpenMetal, "wire basket or ladder"), (TrayKind.Perforated, "perforated metal"),
                (TrayKind.SolidMetal, "solid metal"), (TrayKind.NoMetal, "plastic or none")),
            Choice(nameof(TraySegment.Use), "For", "Which cables it takes.", (TrayUse.All, "all cables"), (TrayUse.Power, "power"),
                (TrayUse.Signals, "signals")),
            Switch(nameof(TraySegment.Divider), "Divider", "Whether a metal divider, bonded at both ends, parts signals from the rest."),
            Number(nameof(TraySegment.HeightMm), "Height over the bonding plane", 1, 5000, "mm",
                "Of its cables over the nearest bonded metal: the tray itself where it is metal.",
                open: "20 on metal"),
            Words(nameof(TraySegment.BesideId), "Beside", 0, 60, "Next tray beside or below."),
            Number(nameof(TraySegment.GapMm), "Gap to it", 0, 10_000, "mm", "Free distance between the two trays.", open: "not stated")),
        For<SignalCable>(
            Words(nameof(SignalCable.Id), "Cable key", 1, 60, "Stable key of the cable."),
            Words(nameof(SignalCable.Tag), "Cable", 1, 60, "What the cable is called."),
            Choice(nameof(SignalCable.Kind), "Carries", "What it carries, from which its class follows.",
                (SignalKind.Encoder, "encoder"), (SignalKind.Voltage, "0 to 10 V"), (SignalKind.Current, "4 to 20 mA"),
                (SignalKind.Temperature, "thermocouple, thermometer"),
                (SignalKind.Fieldbus, "fieldbus"), (SignalKind.Control24V, "control, 24 V"), (SignalKind.Thermistor, "thermistors"),
                (SignalKind.Brake, "brake coil"),
                (SignalKind.BrakeResistor, "brake resistor"), (SignalKind.Supply, "supply")),
            Choice(nameof(SignalCable.Screen), "Screen", "Its screen, connected at both ends.",
                (ReceiverScreen.None, "none"), (ReceiverScreen.Braid, "braid"), (ReceiverScreen.Foil, "foil with drain wire")),
            Words(nameof(SignalCable.FromPlaceId), "From place", 0, 60, "Place where it begins."),
            Words(nameof(SignalCable.ToPlaceId), "To place", 0, 60, "Place where it ends.")),
        For<NearbyReceiver>(
            Words(nameof(NearbyReceiver.Id), "Receiver key", 1, 60, "Stable key of the receiver."),
            Words(nameof(NearbyReceiver.Name), "Receiver", 1, 80, "What people call it."),
            Choice(nameof(NearbyReceiver.Kind), "What it is", "What listens there.",
                (ReceiverKind.Radio, "radio reception"), (ReceiverKind.Weighing, "weighing cells"),
                (ReceiverKind.Medical, "medical equipment"),
                (ReceiverKind.Instruments, "measuring instruments"), (ReceiverKind.Sound, "sound system")),
            Number(nameof(NearbyReceiver.DistanceM), "Distance", 0.1, 10_000, "m", "To the nearest converter or motor cable.",
                open: "not stated")),
        For<CableWay>(Words(nameof(CableWay.CableId), "Cable", 1, 160, "Key of the cable.")),
    ];

    internal static ChoiceField FilterOf(string key) => Choice(
        key, "EMC filter", "Filter against interference at the input, by the category that it is made for (IEC 61800-3).",
        (EmcFilter.AsDelivered, "as delivered"), (EmcFilter.None, "none"), (EmcFilter.ForC3, "for C3"), (EmcFilter.ForC2, "for C2"),
        (EmcFilter.ForC1, "for C1"));

    internal static SwitchField LinksOf(string key) =>
        Switch(key, "Earth links open",
            "Whether the links of filter and varistors to earth are open, as IT and corner-earthed systems ask.");
}
