using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Specification;

/// <summary>
/// Everything an engineer has specified for one plant. Immutable; nothing in it is computed. This is what is saved, undone,
/// exported and assessed.
/// </summary>
/// <param name="Name">Name of the plant, 1 to 120 characters.</param>
/// <param name="Site">Where it stands.</param>
/// <param name="Tariff">What energy and equipment cost.</param>
/// <param name="Source">The supply.</param>
/// <param name="Distribution">Buses, transformers, links, capacitors and other loads.</param>
/// <param name="Pcc">The point of common coupling.</param>
/// <param name="Scenarios">Operating scenarios, at least one; ids are unique.</param>
/// <param name="Lineups">Lineups in the order of the board; ids are unique, and so are those of their drive points.</param>
/// <param name="Motors">Real motors of the project, beside the catalogue's.</param>
/// <param name="Converters">Converters of the engineer's own catalogues, each with the catalogue's version.</param>
/// <param name="StartPresets">The project's own presets of soft starters, beside the catalogue's; names are unique.</param>
/// <param name="Overrides">Project values that replace defaults of the catalogue, with their reasons.</param>
public sealed record PlantSpecification(
    string Name,
    Site Site,
    Tariff Tariff,
    Source Source,
    Distribution Distribution,
    CommonCoupling Pcc,
    ValueList<Scenario> Scenarios,
    ValueList<Lineup> Lineups,
    ValueList<OwnMotor> Motors,
    ValueList<OwnConverter> Converters,
    ValueList<StartPreset> StartPresets,
    ValueList<DefaultOverride> Overrides)
{
    /// <summary>Units shown and installation code.</summary>
    public Conventions Conventions { get; init; } = new(UnitSystem.Si, InstallationCode.Iec60364);

    /// <summary>Protective and switching devices of the engineer's own lists, each with the list's version.</summary>
    public ValueList<OwnDevice> Devices { get; init; } = [];

    /// <summary>Trays of the plant and what runs on them.</summary>
    public PlantRoutes Routes { get; init; } = PlantRoutes.None;

    /// <summary>How cables are made and laid where they state nothing of their own; null: not stated.</summary>
    public CableInstallation? Cables { get; init; }

    /// <summary>Generator that feeds in the scenarios that say so; null: there is none.</summary>
    public StandbySupply? Standby { get; init; }

    /// <summary>The controller of the plant; null: none is entered.</summary>
    public PlantController? Controller { get; init; }

    /// <summary>All drive points in the order of the board.</summary>
    public IEnumerable<DrivePoint> AllDrivePoints() => Lineups.SelectMany(l => l.DrivePoints);

    /// <summary>The common DC bus that a drive point hangs on; null when it has a front end of its own.</summary>
    public CommonDcBus? DcBusOf(string drivePointId) => PlantIndex.Of(this).DcBuses.GetValueOrDefault(drivePointId);

    /// <summary>The group that a drive point's motors belong to; null when there is none.</summary>
    public MotorGroup? GroupOf(string drivePointId) => PlantIndex.Of(this).Groups.GetValueOrDefault(drivePointId);

    /// <summary>The lineup that a drive point is in.</summary>
    /// <exception cref="KeyNotFoundException">It is in none.</exception>
    public Lineup LineupOf(string drivePointId) => PlantIndex.Of(this).Lineups[drivePointId];

    /// <summary>Bus of each drive point: that of its lineup.</summary>
    public IReadOnlyDictionary<string, Bus> BusOfDrivePoints() => Lineups
        .SelectMany(l => l.DrivePoints.Select(p => (p.Id, Bus: Distribution.Bus(l.BusId))))
        .ToDictionary(x => x.Id, x => x.Bus, StringComparer.Ordinal);
}
