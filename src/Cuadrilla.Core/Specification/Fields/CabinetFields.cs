using Cuadrilla.Core.Cabinets;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of cabinets.</summary>
internal static class CabinetFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<CabinetBuild>(
            Choice(nameof(CabinetBuild.Cooling), "Cooling", "How sections get rid of their heat.",
                (CabinetCooling.Closed, "closed, by the walls"), (CabinetCooling.Vented, "vented, openings"),
                (CabinetCooling.Forced, "a fan each"), (CabinetCooling.Cooled, "a cooler each")),
            Number(nameof(CabinetBuild.HeightMm), "Height", 1000, 2400, "mm", "Without plinth.", open: "2000"),
            Number(nameof(CabinetBuild.DepthMm), "Depth", 300, 1200, "mm", "Of all sections.", open: "600"),
            Number(nameof(CabinetBuild.SectionMm), "Section", 400, 1200, "mm", "Usual width of a section; a larger unit widens its own.",
                open: "800"),
            Number(nameof(CabinetBuild.PlinthMm), "Plinth", 0, 300, "mm", "Below the sections.", open: "100"),
            Number(nameof(CabinetBuild.RoomMm), "Width free", 400, 100_000, "mm", "Where the lineup is to stand.", open: "not stated"),
            Number(nameof(CabinetBuild.BusbarA), "Busbar", 20, 10_000, "A", "Of its series at 35 °C air and 30 K rise."),
            Number(nameof(CabinetBuild.DcBusbarA), "DC busbar", 20, 10_000, "A", "Of a common DC bus, at 35 °C air and 30 K rise."),
            Number(nameof(CabinetBuild.WithstandKa), "Withstand I_cw", 1, 200, "kA", "For 1 s, of the assembly; its peak follows (IEC "
                + "61439-1)."),
            Number(nameof(CabinetBuild.PermittedC), "Air permitted", 30, 70, "°C", "At the units and under the roof.", open: "50"),
            Number(nameof(CabinetBuild.FanM3PerH), "Fan, blowing freely", 10, 20_000, "m³/h", "Of each section; mats take their part."),
            Choice(nameof(CabinetBuild.Mats), "Filter mats", "In inlet and outlet: clean ones leave 70 %, fouled ones half of the air.",
                (FilterMats.None, "none"),
                (FilterMats.Clean, "clean"), (FilterMats.Fouled, "fouled")),
            Number(nameof(CabinetBuild.CoolerW), "Cooler", 50, 50_000, "W", "Heat that each section's cooler carries at the room's air."),
            Number(nameof(CabinetBuild.CooledC), "Air inside", 20, 60, "°C", "That the cooler holds; above the dew point."),
            Number(nameof(CabinetBuild.HumidityPct), "Relative humidity", 5, 100, "%", "Of the room's air where it is warmest; gives its "
                + "dew point."),
            Number(nameof(CabinetBuild.FactorK), "Factor k", 0.01, 10, string.Empty,
                "Enclosure constant of IEC TS 60890 for its surface and openings; of the maker or the standard."),
            Number(nameof(CabinetBuild.FactorD), "Factor d", 0.5, 2, string.Empty, "For partitions across the section.", open: "1"),
            Number(nameof(CabinetBuild.FactorC), "Factor c", 1, 3, string.Empty, "Air at the top over that at half height."),
            Switch(nameof(CabinetBuild.SinksOutside), "Heat sinks outside",
                "Whether the heat sinks of converters reach outside: about a third of their loss stays inside."),
            Number(nameof(CabinetBuild.AisleMm), "Way in front", 500, 5000, "mm", "Free in front of the doors.", open: "1000"),
            Switch(nameof(CabinetBuild.EntersAtTop), "Cables from above", "Whether cables enter at the top.")),
        For<UnitPin>(
            Words(nameof(UnitPin.UnitId), "Unit", 1, 80, "Key of the unit."),
            Number(nameof(UnitPin.Section), "In section", 1, 60, string.Empty, "Number of the section, from the supply on.")),
        For<TransportSplit>(
            Number(nameof(TransportSplit.Behind), "Parted behind", 1, 60, string.Empty, "Number of the section, from the supply on.")),
    ];
}
