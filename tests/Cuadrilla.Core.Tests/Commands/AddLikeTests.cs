using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Commands;

/// <summary>Drive points like one of another plant.</summary>
public sealed class AddLikeTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Studies = new(Data);
    private static readonly PlantSpecification Tiles = DemoPlant.Read(Data, DemoPlant.Keys[0]);
    private static readonly PlantSpecification Water = DemoPlant.Read(Data, DemoPlant.Keys[1]);

    private static CommandOutcome.Done Done(PlantSpecification plant, PlantCommand command) =>
        Assert.IsType<CommandOutcome.Done>(command.On(plant, Studies));

    [Fact]
    public void They_stand_after_the_named_one_with_tags_and_names_that_count_and_all_else_alike()
    {
        var pump = Tiles.AllDrivePoints().First(p => p.Name == "Deep-well pump");
        var lineup = Water.Lineups[0];
        var done = Done(Water, new AddLike(pump, [], [], lineup.Id, lineup.DrivePoints[0].Id, 3));
        var after = done.After.Lineups[0].DrivePoints;
        Assert.Equal(done.CreatedIds, after.Skip(1).Take(3).Select(p => p.Id));
        Assert.Equal(["Deep-well pump", "Deep-well pump 2", "Deep-well pump 3"], after.Skip(1).Take(3).Select(p => p.Name));
        Assert.Equal(after.Count, after.Select(p => p.Tag).Distinct().Count());
        Assert.All(after.Skip(1).Take(3),
            p => Assert.Equal((pump.Load, pump.Motor, pump.Cable, pump.Converter), (p.Load, p.Motor, p.Cable, p.Converter)));
        Assert.Equal(lineup.DrivePoints, [after[0], .. after.Skip(4)]);
    }

    [Fact]
    public void An_own_motor_comes_along_once_and_another_of_its_key_keeps_it()
    {
        var own = Enumerable.Range(40_000, 60).SelectMany(seed => RandomPlant.Of(seed, Data).Motors).First();
        var choice = new MotorChoice.FromCatalogue(own.Id, MotorCooling.OwnFan, ThermalClass.B, MotorConnection.Delta, false, string.Empty);
        var point = Tiles.AllDrivePoints().First() with { Motor = choice };
        string Taken(PlantSpecification into, OwnMotor motor, out PlantSpecification after)
        {
            after = Done(into, new AddLike(point, [motor], [], into.Lineups[0].Id, string.Empty, 1)).After;
            return ((MotorChoice.FromCatalogue)after.Lineups[0].DrivePoints[^1].Motor).ItemId;
        }

        Assert.Equal(own.Id, Taken(Water, own, out var first));
        Assert.Equal(own, Assert.Single(first.Motors));
        Assert.Equal(own.Id, Taken(first, own, out var second));
        Assert.Single(second.Motors);
        Assert.Equal($"{own.Id}-2", Taken(second, own with { Name = "rewound" }, out var third));
        Assert.Equal([own.Name, "rewound"], third.Motors.Select(m => m.Name));
        Assert.Equal(own, third.Motors[0]);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(51)]
    public void A_count_out_of_range_is_refused_by_name(int count)
    {
        var refused = Assert.IsType<CommandOutcome.Refused>(new AddLike(Tiles.AllDrivePoints().First(), [], [], Water.Lineups[0].Id,
            string.Empty, count).On(Water, Studies));
        Assert.Equal(("/count", "1 to 50"), (refused.Why.Pointer, refused.Why.Allowed));
    }
}
