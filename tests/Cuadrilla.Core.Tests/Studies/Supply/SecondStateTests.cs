using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Studies.Supply.Balance;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>A second state is looked for where the network lifts an order, and told where there is one.</summary>
public sealed class SecondStateTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    [Fact]
    [Trait("speed", "slow")]
    public void It_is_looked_for_where_currents_leave_much_voltage_at_a_lifted_order()
    {
        // The demo's buses are lifted too, but what it draws leaves at most 6 % there.
        var demo = DemoPlant.Read(Data);
        Assert.All(Found(demo with { Name = "lifted" }).Scenarios, s => Assert.False(s.Iteration.IsLookedForTwice));

        Assert.Contains(Found(Weak("looked for twice")).Scenarios,
            s => s.Iteration is { IsSettled: true, IsLookedForTwice: true, Second: null });
    }

    // A tenth of the source and a bare bank.
    private static PlantSpecification Weak(string name)
    {
        var demo = DemoPlant.Read(Data);
        return demo with
        {
            Name = name,
            Source = demo.Source with { Strength = new SourceStrength.FaultLevel(15, Given.Unknown, 8) },
            Distribution = demo.Distribution with { CapacitorBanks = [.. demo.Distribution.CapacitorBanks.Select(b =>
                b with { DetuningPct = Given.Unknown })] },
        };
    }

    private static PlantAssessment Found(PlantSpecification plant) => new Assessor(Data).Run(plant);

    [Fact]
    public void Ends_that_differ_are_two_states_and_said_with_both_currents()
    {
        var found = Result(30, 0.02);
        var other = Result(45, -0.01);
        var second = SecondStates.Of(found, other, _ => "dp-01")!;
        Assert.Equal(("dp-01", -5), (second.WorstId, second.Order));
        Assert.Equal(0.03, second.ApartPu, 1e-12);
        Assert.Equal(30, second.ThdiPct, 1e-9);
        Assert.Equal(45, second.OtherThdiPct, 1e-9);
        Assert.Contains("30 % distortion in one and of 45 % in the other", ScenarioStudy.TwoStates("night", "DP-01", second),
            StringComparison.Ordinal);
    }

    [Fact]
    public void The_same_end_and_one_that_is_none_are_no_second_state()
    {
        var found = Result(30, 0.02);
        Assert.Null(SecondStates.Of(found, Result(30, 0.02 + 1e-8), _ => "dp-01"));
        Assert.Null(SecondStates.Of(found, Result(45, -0.01) with { ResidualPu = 1e-6 }, _ => "dp-01"));
        var silent = Result(45, -0.01);
        silent.Answers[0] = silent.Answers[0] with { Front = new RectifierResult.NoSteadyState("rings") };
        Assert.Null(SecondStates.Of(found, silent, _ => "dp-01"));
    }

    [Fact]
    public void The_other_start_has_the_fundamental_and_its_harmonics_reversed()
    {
        var emf = Result(30, 0.02).Emfs[0];
        var mirrored = SecondStates.Mirrored([emf])[0];
        Assert.Equal(emf[1], mirrored[1]);
        Assert.Equal(-emf[-5], mirrored[-5]);
    }

    [Fact]
    [Trait("speed", "slow")]
    public void A_search_that_found_none_holds_on_the_same_network_as_long_as_voltages_hardly_move()
    {
        var weak = Weak("looked for once") with { Scenarios = [.. DemoPlant.Read(Data).Scenarios.Take(1)] };
        var assessor = new Assessor(Data);
        var first = Look(assessor, weak);

        // A motor cable reaches no network, and moves no voltage by a thousandth.
        Assert.Same(first, Look(assessor, WithCable(weak, 71)));
        Assert.Same(first, Look(assessor, WithCable(weak, 72)));

        // Another network is searched anew; so is the old one then, for what was found on the other does not tell of it.
        var stronger = weak with { Source = weak.Source with { Strength = new SourceStrength.FaultLevel(15.01, Given.Unknown, 8) } };
        var onStronger = Look(assessor, stronger);
        Assert.NotSame(first, onStronger);
        Assert.NotSame(onStronger, Look(assessor, weak));

        // Small steps add up.
        var begun = Look(assessor, weak);
        var searches = Enumerable.Range(1, 12).Select(step => Look(assessor, AtLevel(weak, 1 - (0.01 * step)))).ToList();
        Assert.InRange(searches.Prepend(begun).Distinct().Count(), 2, 12);
    }

    private static PlantSpecification AtLevel(PlantSpecification plant, double level) => plant with
    {
        Scenarios = [.. plant.Scenarios.Select(s => s with
        {
            States = [.. plant.AllDrivePoints().Select(p => s.StateOf(p.Id)).Select(state => state with { LevelPu = level })],
        })],
    };

    private static PlantSpecification WithCable(PlantSpecification plant, double lengthM)
    {
        var lineup = plant.Lineups[0];
        var point = lineup.DrivePoints[1];
        return plant with
        {
            Lineups =
            [
                lineup with
                {
                    DrivePoints = [.. lineup.DrivePoints.Select(p => p == point
                        ? point with { Cable = point.Cable with { LengthM = lengthM } }
                        : p)],
                },
                .. plant.Lineups.Skip(1),
            ],
        };
    }

    private static SecondLook Look(Assessor assessor, PlantSpecification plant)
    {
        var scenario = Assert.Single(assessor.Run(plant).Scenarios);
        Assert.True(scenario.Iteration is { IsSettled: true, IsLookedForTwice: true, Second: null });
        return Assert.Single(scenario.Drives.Select(d => d.Search!.Look!).Distinct());
    }

    // One front end with so much distortion, at an EMF with so much of the fifth.
    private static BalanceResult Result(double thdiPct, double fifthPu)
    {
        var emf = new SpaceVector();
        (emf[1], emf[-5]) = (-Complex.ImaginaryOne, fifthPu);
        var orders = new Complex[LineCurrent.HighestOrder];
        (orders[0], orders[4]) = (100, thdiPct);
        var answer = new FrontAnswer(new SpaceVector(), [], StatedCurrents.Balanced(orders, 0, "test"), null, [], emf);
        return new BalanceResult([emf], [answer], null, [], 3, 0, 1, 0);
    }
}
