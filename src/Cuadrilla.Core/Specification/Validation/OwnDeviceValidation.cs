using Cuadrilla.Core.Base;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks a project's own devices.</summary>
internal static class OwnDeviceValidation
{
    private const int MaxDevices = 2000;

    public static void Check(PlantSpecification plant, ProblemList p)
    {
        p.Require(plant.Devices.Count <= MaxDevices, "/devices", "Number of own devices", $"{plant.Devices.Count}", $"up to {MaxDevices}");
        var ids = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < plant.Devices.Count; i++)
        {
            var (device, at) = (plant.Devices[i], $"/devices/{i}");
            p.Unique(at + "/id", "Device key", device.Id, ids);
            var lacking = device.Lacking();
            p.Require(lacking.Count == 0, at, device.Name, $"without {string.Join(", ", lacking)}", "all that its kind needs");
            p.Within<OwnDevice>(at, nameof(device.SettingFromA), device.SettingFromA, 0, device.RatedA, because: ", the rated current");
            if (device.Kind is OwnDeviceKind.Fuse)
            {
                Curve(at, [device.Lasts10SA, device.Lasts01SA], [device.Clears5SA, device.Clears01SA], p);
            }
            else if (device.Kind is OwnDeviceKind.SemiconductorFuse)
            {
                Curve(at, [device.Lasts10SA, device.Lasts01SA], null, p);
            }
        }
    }

    /// <summary>A fuse's curve: whole or none, more for a shorter time, and it carries less than it clears.</summary>
    /// <param name="at">Where it stands.</param>
    /// <param name="lasts">Carries for 10 s and 0.1 s, A.</param>
    /// <param name="clears">Clears within 5 s and 0.1 s, A; null for fuses that clear short circuits only.</param>
    /// <param name="p">Takes what is wrong.</param>
    public static void Curve(string at, Given[] lasts, Given[]? clears, ProblemList p)
    {
        Given[] all = [.. lasts, .. clears ?? []];
        var known = all.Count(g => g.IsKnown);
        p.Require(known == 0 || known == all.Length, at + "/lasts10SA", "Curve of the fuse", $"{known} of {all.Length} currents",
            "all of them or none");
        if (known != all.Length)
        {
            return;
        }

        p.Require(lasts[0].Value < lasts[1].Value, at + "/lasts01SA", "Carries for 0.1 s", Text.N(lasts[1].Value) + " A",
            $"above {Text.N(lasts[0].Value)} A, what it carries for 10 s");
        if (clears is not null)
        {
            p.Require(clears[0].Value < clears[1].Value, at + "/clears01SA", "Clears within 0.1 s", Text.N(clears[1].Value) + " A",
                $"above {Text.N(clears[0].Value)} A, what it clears within 5 s");
            p.Require(lasts[0].Value < clears[0].Value, at + "/clears5SA", "Clears within 5 s", Text.N(clears[0].Value) + " A",
                $"above {Text.N(lasts[0].Value)} A, what it carries for 10 s");
            p.Require(lasts[1].Value < clears[1].Value, at + "/clears01SA", "Clears within 0.1 s", Text.N(clears[1].Value) + " A",
                $"above {Text.N(lasts[1].Value)} A, what it carries for 0.1 s");
        }
    }
}
