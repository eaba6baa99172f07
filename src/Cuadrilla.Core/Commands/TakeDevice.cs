using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Takes a device of the project's own lists for drive points; its overload release is set to what each draws.</summary>
/// <param name="PointIds">Which.</param>
/// <param name="DeviceId">Key of the device.</param>
public sealed record TakeDevice(IReadOnlyList<string> PointIds, string DeviceId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        if (plant.Devices.FirstOrDefault(d => d.Id == DeviceId) is not { } item)
        {
            return CommandOutcome.Unknown("deviceId", "Device", DeviceId);
        }

        var drawn = studies.Protection(plant).Devices.Where(r => r.DrivePointId.Length > 0)
            .ToLookup(r => r.DrivePointId, r => r.DesignA, StringComparer.Ordinal);
        var after = plant.Changed(PointIds, p => p with { Devices = With(p.Devices, item, drawn[p.Id].FirstOrDefault() ?? item.RatedA) });
        return new CommandOutcome.Done(after, CommandOutcome.Shortened($"{plant.Tags(PointIds)}: {item.Name}"), []);
    }

    // What draws more than it carries keeps it at its rating, and the check says so.
    private static SwitchingDevices With(SwitchingDevices now, OwnDevice item, double drawnA) => item.Contactor() is { } contactor
        ? now with { ContactorA = contactor.Ac3A }
        : now with { Device = item.For(Math.Min(drawnA, item.RatedA)) ?? now.Device };
}
