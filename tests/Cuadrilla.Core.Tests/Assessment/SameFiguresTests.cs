using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>The same specification gives the same figures, whatever was assessed before.</summary>
[Trait("speed", "slow")]
public sealed class SameFiguresTests
{
    private const int BitEqual = 40;

    private static readonly int Plants = PlantCount.Of(60);

    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    [Fact]
    public void After_an_edit_and_its_undo_figures_are_those_of_a_fresh_start()
    {
        var differences = Enumerable.Range(20_000, Plants).AsParallel().SelectMany(AfterUndo).ToList();
        Assert.True(differences.Count == 0,
            $"{differences.Count}: {string.Join('\n', differences.Order(StringComparer.Ordinal).Take(30))}");
    }

    // In each a front end whose current dies out at nine tenths of the load rings at the whole of it.
    [Theory]
    [InlineData(20_452)]
    public void What_rings_is_not_told_to_repeat_because_it_did_with_less_load(int seed)
    {
        Assert.NotEmpty(new Assessor(Data).Run(RandomPlant.Of(seed, Data)).Scenarios.SelectMany(s => s.Unsettled));
        Assert.Empty(AfterUndo(seed));
    }

    [Fact]
    public void The_same_specification_is_assessed_once()
    {
        var assessor = new Assessor(Data);
        var plant = RandomPlant.Of(20_001, Data);
        var found = Enumerable.Range(0, 8).AsParallel().WithDegreeOfParallelism(8).Select(_ => assessor.Run(plant)).ToList();
        Assert.All(found, f => Assert.Same(found[0], f));
        Assert.NotSame(found[0], assessor.Run(plant with { Name = plant.Name }));
    }

    [Fact]
    public void Without_warm_starts_they_are_equal_to_the_last_bit_in_any_order()
    {
        var plants = Enumerable.Range(30_000, BitEqual).Select(seed => RandomPlant.Of(seed, Data)).ToList();
        var one = new Assessor(Data, warmStarts: false);
        var first = plants.Select(one.Run).ToList();
        var other = new Assessor(Data, warmStarts: false);
        var second = plants.AsEnumerable().Reverse().AsParallel().AsOrdered().Select(p => other.Run(p)).Reverse().ToList();
        foreach (var (a, b) in first.Zip(second))
        {
            Assert.Equal(a.Checks.Select(Told), b.Checks.Select(Told));
            Assert.Equal(a.DrivePoints, b.DrivePoints);
            Assert.Equal(
                a.Scenarios.SelectMany(s => s.Buses).SelectMany(v => v.VoltagePct.Append(v.VoltagePu)),
                b.Scenarios.SelectMany(s => s.Buses).SelectMany(v => v.VoltagePct.Append(v.VoltagePu)));
        }
    }

    [Theory]
    [InlineData(123456.5, 123456)]
    [InlineData(1234567, 1234570)]
    [InlineData(-0.0012345649, -0.00123456)]
    [InlineData(9.999999, 10)]
    [InlineData(0, 0)]
    [InlineData(1.5e-300, 1.5e-300)]
    [InlineData(2.5e20, 2.5e20)]
    public void Six_digits_are_kept(double value, double kept) => Assert.Equal(kept, Digits.Kept(value));

    private static (string Id, string DrivePointId, string ElementId, object Verdict, Given Figure, Given Limit, Given Margin,
        string Words) Told(Core.Checks.Check c) =>
        (c.Id, c.DrivePointId, c.ElementId, c.Verdict, c.Figure, c.Limit, c.MarginPct, c.Reason.WithNumbers);

    private static IEnumerable<string> AfterUndo(int seed)
    {
        var plant = RandomPlant.Of(seed, Data) with { Name = $"undone {seed}" };
        var fresh = new Assessor(Data, warmStarts: false).Run(plant);
        var assessor = new Assessor(Data);
        assessor.Run(Edited(plant));
        return Differences(fresh, assessor.Run(plant)).Select(d => $"seed {seed}: {d}");
    }

    private static PlantSpecification Edited(PlantSpecification plant) => plant with
    {
        Scenarios = [.. plant.Scenarios.Select(s =>
            s with { States = [.. plant.AllDrivePoints().Select(p => s.StateOf(p.Id) with { LevelPu = 0.9 })] })],
    };

    private static IEnumerable<string> Differences(PlantAssessment fresh, PlantAssessment warm)
    {
        foreach (var (a, b) in fresh.Checks.Zip(warm.Checks))
        {
            var where = $"{a.Id} {a.DrivePointId}{a.ElementId}";
            if ((a.Id, a.DrivePointId, a.ElementId, a.Verdict) != (b.Id, b.DrivePointId, b.ElementId, b.Verdict))
            {
                yield return $"{where}: {a.Verdict} {a.Figure} of {a.Limit}, {b.Verdict} {b.Figure} of {b.Limit}";
            }
            else if (Apart(a.Figure, b.Figure) || Apart(a.Limit, b.Limit))
            {
                yield return $"{where}: {a.Figure} of {a.Limit} against {b.Figure} of {b.Limit}";
            }
        }

        if (fresh.Checks.Count != warm.Checks.Count)
        {
            yield return $"{fresh.Checks.Count} against {warm.Checks.Count} checks";
        }
    }

    // More than one unit of the sixth digit.
    private static bool Apart(Given a, Given b) => a.IsKnown != b.IsKnown || (a.IsKnown && a.Value != b.Value
        && Math.Abs(a.Value - b.Value) > 1.01 * Math.Pow(10, Math.Floor(Math.Log10(Math.Max(Math.Abs(a.Value), Math.Abs(b.Value)))) - 5));
}
