using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>
/// Fifty unlike front ends, with and without choke, on twenty buses behind two transformers of different hour: so stiff against each
/// other that orders alone don't settle them.
/// </summary>
public sealed class ManyFrontsTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Plant = MadePlant.OfManyBuses(DemoPlant.Read(Data), 50, 20, 1);

    [Fact]
    [Trait("speed", "slow")]
    public void They_settle_and_the_same_state_is_found_after_another_plant()
    {
        var found = new Assessor(Data).Run(Plant).Scenarios[0];
        Assert.True(found.Iteration.IsSettled, found.Iteration.ToString());
        Assert.Equal(50, found.Drives.Count(d => d.Front is RectifierResult.SteadyState));

        // From the state of a plant with other loads.
        var assessor = new Assessor(Data);
        var named = Plant with { Name = "searched from elsewhere" };
        assessor.Run(Less(named));
        var again = assessor.Run(named).Scenarios[0];
        foreach (var (one, other) in found.Drives.Zip(again.Drives))
        {
            Assert.All(SpaceVector.All, m => Assert.InRange((one.Search!.Emf[m] - other.Search!.Emf[m]).Magnitude, 0, 1e-6));
        }
    }

    [Fact]
    public void Currents_of_the_drives_meet_those_of_the_transformers_at_every_order()
    {
        // Balanced, so that one phase tells all; the bank stands on the first transformer's bus.
        var plant = Plant with { Name = "balanced", Source = Plant.Source with { UnbalancePct = 0 } };
        var found = new Assessor(Data).Run(plant).Scenarios[0];
        var sums = new HarmonicSums(plant, found.Loaded, found.Drives);
        var without = plant.Distribution.Transformers[1];
        var fed = sums.Through(without.Id, without.ToBusId)[0].OrdersA;
        var below = plant.Distribution.Links.Where(l => l.FromBusId == without.ToBusId).Select(l => l.ToBusId).Append(without.ToBusId)
            .ToHashSet(StringComparer.Ordinal);
        var scale = fed[0].Magnitude;
        for (var h = 1; h <= 49; h += 2)
        {
            var sum = Complex.Zero;
            foreach (var drive in found.Drives.Where(d => below.Contains(d.BusId)))
            {
                // Against the source's time: an order h turns by h times the angle of its own voltage, its sequence by the vector group.
                var shift = -found.Network.ClockHour(drive.BusId) * Math.PI / 6;
                var part = HarmonicSums.SequencesOf((RectifierResult.LineDraw)drive.Front, h, false)
                    .ToSource(h, drive.EmfAngleRad + shift, shift);
                sum += part.Positive + Complex.Conjugate(part.Negative);
            }

            Assert.Equal(fed[h - 1].Magnitude, sum.Magnitude, 1e-6 * scale);
        }
    }

    [Fact]
    public void An_edit_that_puts_a_drive_among_others_of_its_kind_ends_where_a_search_from_nothing_does()
    {
        // A tenth more or less load is another kind of circuit: those that draw alike are solved as one.
        var lineup = Plant.Lineups[0];
        var points = lineup.DrivePoints.Select((p, i) => i == 1 && p.Load is FanLoad fan
            ? p with { Load = fan with { RatedPressurePa = fan.RatedPressurePa.Value * 0.85 } }
            : p).ToList();
        Assert.False(ReferenceEquals(points[1], lineup.DrivePoints[1]));
        var edited = Plant with { Name = "edited", Lineups = [lineup with { DrivePoints = [.. points] }, .. Plant.Lineups.Skip(1)] };
        var assessor = new Assessor(Data);
        assessor.Run(Plant with { Name = "edited" });
        var found = assessor.Run(edited).Scenarios[0];
        var fresh = new Assessor(Data).Run(edited with { Name = "edited, from nothing" }).Scenarios[0];
        Assert.True(found.Iteration.IsSettled);
        Assert.InRange(found.Iteration.Rounds, 2, fresh.Iteration.Rounds - 1);
        foreach (var (one, other) in fresh.Drives.Zip(found.Drives))
        {
            Assert.All(SpaceVector.All, m => Assert.InRange((one.Search!.Emf[m] - other.Search!.Emf[m]).Magnitude, 0, 1e-7));
        }
    }

    private static PlantSpecification Less(PlantSpecification plant) =>
        plant with { Scenarios = [.. plant.Scenarios.Select(s =>
            s with { States = [.. plant.AllDrivePoints().Where((_, i) => i % 3 == 0)
                .Select(p => new DrivePointState(p.Id, true, 0.8, 1))] })] };
}
