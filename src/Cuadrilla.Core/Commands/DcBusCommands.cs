using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>
/// Puts drive points of one lineup on a common DC bus: each gets the inverter module of its converter's size, the bus the smallest diode
/// module that carries half of their sizes together.
/// </summary>
/// <param name="PointIds">Members in the order of the lineup.</param>
public sealed record JoinDcBus(IReadOnlyList<string> PointIds) : PlantCommand
{
    // Members of a bus seldom take their rated power at once: half to begin with, judged by the checks of the bus.
    private const double SupplyOfSizes = 0.5;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        var (lineup, refusal) = plant.OneLineup(PointIds, least: 2);
        if (lineup is null)
        {
            return refusal!;
        }

        var data = studies.Data.With(plant);
        List<DrivePoint> members = [.. lineup.DrivePoints.Where(p => PointIds.Contains(p.Id))];
        if (members.Find(m => plant.DcBusOf(m.Id) is not null) is { } taken)
        {
            return CommandOutcome.Not("pointIds", $"{taken.Tag} hangs on a common DC bus.");
        }

        if (members.Find(m => m.Converter is not ConverterChoice.FromCatalogue) is { } without)
        {
            return CommandOutcome.Not("pointIds", $"{without.Tag} has no converter of its own.");
        }

        var modules = new Dictionary<string, ConverterChoice>(StringComparer.Ordinal);
        foreach (var member in members)
        {
            if (FamilySizes.InFamily((ConverterChoice.FromCatalogue)member.Converter, "inverter-module", new Braking.ToLine(),
                data) is not { } module)
            {
                return CommandOutcome.Not("pointIds", $"The catalogue has no inverter module at the voltage of {member.Tag}.");
            }

            modules[member.Id] = module;
        }

        var items = members.Select(m => data.Converters[((ConverterChoice.FromCatalogue)m.Converter).ItemId]).ToList();
        if (FamilySizes.DiodeModule(SupplyOfSizes * items.Sum(i => i.RatedKw), items[0].RatedVoltageV, data) is not { } supply)
        {
            return CommandOutcome.Not("pointIds", "The catalogue has no supply module at their voltage.");
        }

        var number = plant.FreeNumber("dc");
        var bus = new CommonDcBus(
            $"dc-{number}", $"DC bus {number}", [.. members.Select(m => m.Id)], supply.Id,
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, string.Empty, new ServoControl.None());
        var after = lineup.Changed(PointIds, p => p with { Converter = modules[p.Id] });
        return CommandOutcome.Of(plant.With(after with { DcBuses = [.. after.DcBuses, bus] }),
            $"Common DC bus of {plant.Tags(bus.MemberIds)}", bus.Id);
    }
}

/// <summary>Takes a DC bus away; its members become single drives with a choke, braking by their losses.</summary>
/// <param name="DcBusId">Which.</param>
public sealed record DissolveDcBus(string DcBusId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        return Singles(plant, DcBusId, studies.Data.With(plant)) is var (single, bus)
            ? CommandOutcome.Of(plant.With(single), $"Single drives instead of {bus.Name}")
            : CommandOutcome.Unknown("dcBusId", "DC bus", DcBusId);
    }

    internal static (Lineup Single, CommonDcBus Bus)? Singles(PlantSpecification plant, string busId, EngineeringData data)
    {
        if (plant.Lineups.FirstOrDefault(l => l.DcBuses.Any(b => b.Id == busId)) is not { } lineup)
        {
            return null;
        }

        var bus = lineup.DcBuses.First(b => b.Id == busId);
        var single = lineup.Changed(bus.MemberIds, p => p.Converter is ConverterChoice.FromCatalogue choice
            ? p with { Converter = FamilySizes.InFamily(choice, "six-pulse-choke", new Braking.Nothing(), data)
                ?? (ConverterChoice)new ConverterChoice.NotChosen() }
            : p);
        return (single with { DcBuses = [.. lineup.DcBuses.Where(b => b.Id != busId)] }, bus);
    }
}

/// <summary>Sets the same lineup with single drives aside, to be compared with a DC bus.</summary>
/// <param name="DcBusId">The bus on the board.</param>
public sealed record CompareSingleDrives(string DcBusId) : PlantCommand
{
    private const int LongestName = 60;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (DissolveDcBus.Singles(plant, DcBusId, studies.Data.With(plant)) is not var (single, bus))
        {
            return CommandOutcome.Unknown("dcBusId", "DC bus", DcBusId);
        }

        var name = $"single drives for {bus.Name}";
        var lineup = plant.Lineups.First(l => l.Id == single.Id);
        return Ways.IsFull(lineup)
            ? Ways.Full
            : CommandOutcome.Of(plant.With(Ways.Beside(lineup, name.Length > LongestName ? name[..LongestName] : name, single)),
                $"{lineup.Tag}: single drives beside {bus.Name}");
    }
}
