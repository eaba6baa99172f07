using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks what is entered of a lineup's cabinets.</summary>
internal static class CabinetValidation
{
    private const int MostPins = 400;
    private const int MostSplits = 60;

    public static void Check(Lineup lineup, string at, ProblemList p)
    {
        if (lineup.Cabinets is not { } cabinets)
        {
            return;
        }

        p.Require(cabinets.Pins.Count <= MostPins, at + "/cabinets/pins", "Units placed by hand", $"{cabinets.Pins.Count}",
            $"up to {MostPins}");
        p.Require(cabinets.Splits.Count <= MostSplits, at + "/cabinets/splits", "Splits by hand", $"{cabinets.Splits.Count}",
            $"up to {MostSplits}");
        var ids = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < cabinets.Pins.Count; i++)
        {
            p.Unique($"{at}/cabinets/pins/{i}/unitId", "Unit", cabinets.Pins[i].UnitId, ids);
        }
    }
}
