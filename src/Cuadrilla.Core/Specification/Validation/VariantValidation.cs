using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the ways of building a lineup that are set aside as if each were in force.</summary>
internal static class VariantValidation
{
    public static void Check(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        for (var i = 0; i < plant.Lineups.Count; i++)
        {
            var lineup = plant.Lineups[i];
            var ids = new HashSet<string>(StringComparer.Ordinal);
            p.Require(lineup.SetAside.Count <= 3, $"/lineups/{i}/setAside", "Ways set aside", $"{lineup.SetAside.Count}", "up to 3");
            for (var k = 0; k < lineup.SetAside.Count; k++)
            {
                var at = $"/lineups/{i}/setAside/{k}";
                p.Unique(at + "/id", "Variant key", lineup.SetAside[k].Id, ids);
                var there = new ProblemList();
                var built = plant with { Lineups = [.. plant.Lineups.Select(l => ReferenceEquals(l, lineup)
                    ? l.As(lineup.SetAside[k])
                    : l with { SetAside = [] })] };
                SpecificationValidation.Lineups(built, data, there);
                DcBusValidation.Check(built, data, there);
                RouteValidation.Lineups(built, there);
                ArrangementValidation.Check(built, there);
                var here = $"/lineups/{i}";
                p.Items.AddRange(there.Items
                    .Where(x => x.Pointer.StartsWith(here + "/drivePoints", StringComparison.Ordinal)
                        || x.Pointer.StartsWith(here + "/dcBuses", StringComparison.Ordinal)
                            || x.Pointer.StartsWith(here + "/arrangements", StringComparison.Ordinal))
                    .Select(x => x with { Pointer = at + x.Pointer[here.Length..] }));
            }
        }
    }
}
