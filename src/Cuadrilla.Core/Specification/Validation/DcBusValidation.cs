using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the common DC buses of the lineups.</summary>
internal static class DcBusValidation
{
    public static void Check(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        var ids = plant.AllDrivePoints().Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        var members = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < plant.Lineups.Count; i++)
        {
            var lineup = plant.Lineups[i];
            var own = lineup.DrivePoints.Select(d => d.Id).ToHashSet(StringComparer.Ordinal);
            for (var k = 0; k < lineup.DcBuses.Count; k++)
            {
                var bus = lineup.DcBuses[k];
                var at = $"/lineups/{i}/dcBuses/{k}";
                p.Unique(at + "/id", "DC bus key", bus.Id, ids);
                p.Require(bus.MemberIds.Count is >= 1 and <= 60, at + "/memberIds", "Members of the DC bus", $"{bus.MemberIds.Count}",
                    "1 to 60");
                for (var m = 0; m < bus.MemberIds.Count; m++)
                {
                    p.Require(own.Contains(bus.MemberIds[m]), $"{at}/memberIds/{m}", "Member of the DC bus", $"'{bus.MemberIds[m]}'",
                        "a drive point of the same lineup");
                    p.Unique($"{at}/memberIds/{m}", "Member of a DC bus", bus.MemberIds[m], members);
                }

                p.Require(
                    bus.SupplyModuleId.Length == 0 || data.SupplyModules.ContainsKey(bus.SupplyModuleId), at + "/supplyModuleId",
                    "Supply module", $"'{bus.SupplyModuleId}'", "an item of the catalogue, or nothing");
                DrivePointValidation.DeviceRelations(bus.Device, at + "/device", p);
                Control(bus, at + "/control", p);
            }
        }
    }

    private static void Control(CommonDcBus bus, string at, ProblemList p)
    {
        if (bus.Control is not ServoControl.Modular c)
        {
            return;
        }

        p.Require(c.SafeGroups.Count == bus.MemberIds.Count, at + "/safeGroups", "Groups of safe torque off",
            $"{c.SafeGroups.Count} entries", $"one for each of the {bus.MemberIds.Count} members");
        for (var i = 0; i < c.SafeGroups.Count; i++)
        {
            p.Number($"{at}/safeGroups/{i}", "Group of safe torque off", c.SafeGroups[i], 0, 32, string.Empty);
        }
    }
}
