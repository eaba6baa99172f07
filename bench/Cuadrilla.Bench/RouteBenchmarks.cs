using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Bench;

/// <summary>300 cables over 60 pieces of tray: their ways, every pair that runs too close, and what ends the first (bound: 50
/// ms).</summary>
public class RouteBenchmarks
{
    private const int Columns = 10;
    private const int Rows = 3;
    private const int Cables = 300;

    private readonly PlantSpecification plant = Plant();

    [Benchmark(Description = "300 cables over 60 trays: ways")]
    public int Ways() => RoutePlan.Of(plant).Cables.Count;

    [Benchmark(Description = "300 cables over 60 trays: ways, clashes, cures of 20")]
    public int Clashes()
    {
        var study = SeparationStudy.Of(plant, RoutePlan.Of(plant), _ => new CommonMode.Result(45, 240, 27, 27, 0.1, 30, 54));
        return study.Clashes.Take(20).Sum(c => study.Cures(c).Count) + study.Clashes.Count;
    }

    // A grid of places with a tray along each edge, those along the rows with one for signals beside them.
    private static PlantSpecification Plant()
    {
        var bare = DemoPlant.Read(ReferenceCatalogue.Data) with { Lineups = [] };
        static string At(int column, int row) => $"p{column}-{row}";
        var places = (from c in Enumerable.Range(0, Columns) from r in Enumerable.Range(0, Rows) select new Place(At(c, r), At(c, r),
            12 * c, 9 * r)).ToList();
        List<TraySegment> trays = [];
        void Add(string from, string to, TrayUse use, string beside) => trays.Add(
            new TraySegment($"t{trays.Count}", $"T{trays.Count}", from, to, Given.Unknown, 300, TrayKind.Perforated, use, false,
                Given.Unknown, beside, beside.Length > 0 ? 100 : Given.Unknown));
        for (var row = 0; row < Rows; row++)
        {
            for (var column = 0; column + 1 < Columns; column++)
            {
                Add(At(column, row), At(column + 1, row), TrayUse.Signals, string.Empty);
                Add(At(column, row), At(column + 1, row), TrayUse.Power, trays[^1].Id);
            }
        }

        for (var column = 0; trays.Count < 60; column++)
        {
            Add(At(column, column % 2), At(column, (column % 2) + 1), TrayUse.All, string.Empty);
        }

        var kinds = Enum.GetValues<SignalKind>();
        var cables = Enumerable.Range(0, Cables).Select(i => new SignalCable(
            $"c{i}", $"W{i}", kinds[i % kinds.Length], (ReceiverScreen)(i % 3), At(0, i % Rows),
            At(1 + (i * 7 % (Columns - 1)), i / Rows % Rows)));
        return bare with { Routes = new PlantRoutes([.. places], [.. trays], [.. cables], []) };
    }
}
