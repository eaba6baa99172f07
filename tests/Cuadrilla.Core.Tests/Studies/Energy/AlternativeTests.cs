using CsCheck;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Energy;

public sealed class AlternativeTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly Tariff Tariff = new("EUR", 0.12, 48, 0.2, 100, 10, 6);

    [Fact]
    public void At_the_break_even_both_cost_the_same() =>
        Gen.Select(Gen.Double[1e4, 1e6], Gen.Double[0.5, 0.99], Gen.Double[100, 1e5], Gen.Double[0, 200]).Sample(x =>
    {
        var (energy, share, price, demand) = x;
        YearlyEnergy Year(double kwh, double kw, double equipment, Tariff t, double hours)
        {
            var cost = (kwh * hours * t.EnergyPerKwh) + (kw * t.DemandPerKwYear);
            return new YearlyEnergy(kwh * hours, kw, cost, equipment, equipment + (cost * t.AnnuityFactor), 0);
        }

        var result = Comparison.Of(Year(energy * share, demand * share, price, Tariff, 1), Year(energy, demand, 0, Tariff, 1), Tariff);
        if (result.BreakEvenHoursPu is { } hours)
        {
            double a = Year(energy * share, demand * share, price, Tariff, hours).LifetimeCost,
            b = Year(energy, demand, 0, Tariff, hours).LifetimeCost;
            Assert.Equal(1, a / b, 1e-3);
        }

        if (result.BreakEvenEnergyPerKwh is { } tariffPrice)
        {
            var moved = Tariff with { EnergyPerKwh = tariffPrice };
            Assert.Equal(1, Year(energy * share, demand * share, price, moved, 1).LifetimeCost / Year(energy, demand, 0, moved,
                1).LifetimeCost, 1e-3);
        }

        Assert.Equal(price, result.ExtraCost, 9);
        Assert.Equal(result.SavedPerYear > 0 && result.NetPresentValue >= 0, result.BreakEvenHoursPu is null or <= 1);
    });

    [Fact]
    public void What_is_specified_is_the_same_by_itself_as_in_the_table_of_all()
    {
        var (alone, table) = (new Assessor(Data), new Assessor(Data));
        var found = Demo.AllDrivePoints().Select(p => (Alone: alone.Study(Demo, p).Chosen,
            InTable: table.Study(Demo, p).Alternatives.FirstOrDefault(a => a.IsChosen))).ToList();
        Assert.All(found, f => Assert.Equal(Said(f.InTable), Said(f.Alone)));
        Assert.True(found.Select(f => f.Alone?.Way).Distinct().Count() > 4);
        static (string?, string?, bool?, YearlyEnergy?, ReturnedEnergy?) Said(EnergyAlternative? a) =>
            (a?.Id, a?.Name, a?.IsChosen, a?.Year, a?.Returned);
    }

    [Fact]
    public void Payback_needs_a_saving_and_a_cheaper_one_pays_at_once()
    {
        var reference = new YearlyEnergy(1000, 0, 120, 500, 0, 0);
        Assert.Null(Comparison.Of(new YearlyEnergy(1100, 0, 132, 100, 0, 0), reference, Tariff).PaybackYears);
        Assert.Equal(0, Comparison.Of(new YearlyEnergy(900, 0, 108, 100, 0, 0), reference, Tariff).PaybackYears);
        Assert.Equal(200 / 12.0, Comparison.Of(new YearlyEnergy(900, 0, 108, 700, 0, 0), reference, Tariff).PaybackYears!.Value, 9);
    }

    [Fact]
    public void Sensitivity_turns_the_ranking_where_it_should()
    {
        // Cheap and hungry against dear and frugal; equal lifetime a little above today's hours.
        var factor = Tariff.AnnuityFactor;
        YearlyEnergy Of(double kwh, double equipment) => new(kwh, 0, kwh * 0.12, equipment, 0, 0);
        var grid = SensitivityCorner.Grid([Of(100_000, 0), Of(80_000, 1.1 * 20_000 * 0.12 * factor)], Tariff);
        Assert.Equal(9, grid.Count);
        Assert.Equal(0, grid.Single(c => c is { HoursPu: 1, PricePu: 1 }).Best);
        Assert.Equal(1, grid.Single(c => c is { HoursPu: 1.2, PricePu: 1.2 }).Best);
        Assert.Equal(0, grid.Single(c => c is { HoursPu: 0.8, PricePu: 1.2 }).Best);
    }

    [Fact]
    public void A_fan_has_the_line_and_a_bypass_among_its_alternatives_and_honest_part_speed()
    {
        var study = DemoChanges.Assessor.Study(Demo, Demo.AllDrivePoints().Single(p => p.Id == "dp-01"));
        var chosen = study.Alternatives.Single(a => a.IsChosen);
        var line = study.Alternatives.Single(a => a.Id.EndsWith("+starter", StringComparison.Ordinal));
        Assert.True(line.Year.EnergyKwh > chosen.Year.EnergyKwh, "throttled at full speed it takes more");
        Assert.Empty(line.PartSpeed);
        Assert.Equal([1, 0.75, 0.5, 0.4, 0.25], chosen.PartSpeed.Select(p => p.SpeedPu));
        foreach (var (fast, slow) in chosen.PartSpeed.Zip(chosen.PartSpeed.Skip(1)))
        {
            Assert.True(slow.EfficiencyPct < fast.EfficiencyPct && slow.LineW < fast.LineW);
        }

        // With hours at full flow the bypass takes the converter's loss away there and nowhere else.
        if (study.Alternatives.SingleOrDefault(a => a.Id == chosen.Id + "+bypass") is { } bypass)
        {
            foreach (var (with, without) in bypass.Points.Zip(chosen.Points))
            {
                Assert.True(with.LevelPu < 0.995 ? with.LineW == without.LineW : with.LineW < without.LineW);
            }
        }

        Assert.Contains(study.Alternatives, a => a.Id == "present");
        Assert.Equal(study.Alternatives.OrderBy(a => a.Year.LifetimeCost).Select(a => a.Id), study.Alternatives.Select(a => a.Id));
    }

    [Fact]
    public void The_ball_mill_on_the_line_beats_its_converter_at_one_speed()
    {
        var point = Demo.AllDrivePoints().Single(p => p.Id == "dp-04");
        var study = DemoChanges.Assessor.Study(Demo, point);
        var chosen = study.Alternatives.Single(a => a.IsChosen);
        Assert.EndsWith("+starter", chosen.Id, StringComparison.Ordinal);
        Assert.IsType<HighInertiaLoad>(point.Load);
        Assert.Contains(study.Alternatives,
            a => a.Id.Contains("six-pulse", StringComparison.Ordinal)
                && a.Points.Single(p => p.LevelPu == 1).LineW > chosen.Points.Single(p => p.LevelPu == 1).LineW);
    }
}
