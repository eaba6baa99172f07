using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Commands;

/// <summary>Units with the codes they bring, and the law on motors by region.</summary>
public sealed class ConventionTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Studies = new(Data);
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    [Fact]
    public void Us_units_propose_their_codes_and_si_takes_the_proposals_back()
    {
        var done = Run(new UseUnits(UnitSystem.UsCustomary), Demo);
        Assert.Equal(Demo.Conventions with { Units = UnitSystem.UsCustomary, Installation = InstallationCode.Nfpa70 },
            done.After.Conventions);
        Assert.Equal(HarmonicsCode.DemandDistortion, InForce(done.After).Code);
        Assert.Contains("NFPA 70", Assert.Single(done.Notes), StringComparison.Ordinal);
        var back = Run(new UseUnits(UnitSystem.Si), done.After).After;
        Assert.Equal(Demo, back);
    }

    [Fact]
    public void A_code_that_the_project_chose_stays()
    {
        var chosen = Demo with { Overrides = [new DefaultOverride("harmonics-code", 2, "the operator asks")] };
        var us = Run(new UseUnits(UnitSystem.UsCustomary), chosen).After;
        Assert.Equal(HarmonicsCode.Compatibility, InForce(us).Code);
        Assert.Equal(chosen, Run(new UseUnits(UnitSystem.Si), us).After);
    }

    [Theory]
    [InlineData("eu", 3, 4)]
    [InlineData("us", 3, 3)]
    [InlineData("au", 2, 2)]
    [InlineData("none", 0, 0)]
    public void A_region_sets_the_least_class_with_its_law_as_reason(string key, int least, int large)
    {
        var after = Run(new UseRegion(key), Run(new UseRegion("cn"), Demo).After).After;
        Assert.Equal(new LawfulMotor(least, large), InForce(after).LeastMotorClass);
        Assert.All(after.Overrides.Where(o => o.Key.StartsWith("least-motor", StringComparison.Ordinal)),
            o => Assert.Contains(Data.Regions.Single(r => r.Key == key).Source, o.Reason, StringComparison.Ordinal));
        Assert.Equal(2, after.Overrides.Count(o => o.Key.StartsWith("least-motor", StringComparison.Ordinal)));
    }

    [Fact]
    public void An_unknown_region_is_refused() =>
        Assert.Contains("'mars'", Assert.IsType<CommandOutcome.Refused>(new UseRegion("mars").On(Demo, Studies)).Why.Message,
            StringComparison.Ordinal);

    // Premium efficiency is IE3 at 60 Hz: enough in the US, not for 75 to 200 kW under the European law.
    [Fact]
    public void Premium_counts_as_the_third_class()
    {
        var large = Data.Motors.Values.First(m => m is { EfficiencyClass: "Premium", RatedHp: 125, Poles: 4 });
        var small = Data.Motors.Values.First(m => m is { EfficiencyClass: "Premium", RatedHp: 20, Poles: 4 });
        Assert.Empty(new LawfulMotor(3, 3).Against(large));
        Assert.Contains("Premium, and the project asks for IE4", new LawfulMotor(3, 4).Against(large), StringComparison.Ordinal);
        Assert.Empty(new LawfulMotor(3, 4).Against(small));
        Assert.NotEmpty(new LawfulMotor(4, 4).Against(small));
    }

    private static DefaultsInForce InForce(PlantSpecification plant) => DefaultsInForce.Resolve(Data.Defaults, plant.Overrides);

    private static CommandOutcome.Done Run(PlantCommand command, PlantSpecification plant) =>
        Assert.IsType<CommandOutcome.Done>(command.On(plant, Studies));
}
