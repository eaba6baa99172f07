using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Cabinets;

/// <summary>The control supply of a lineup from what the lineup has.</summary>
public sealed class ControlSupplyTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);

    private static readonly ControlSupplyBuild Roomy = ControlSupplyBuild.Open with
    {
        RatedA = 40,
        TransformerVa = 5000,
        Branches =
        [
            .. Enum.GetValues<ControlBranchUse>().Select(u =>
                new ControlBranchBuild(u.ToString(), u.ToString(), u, BranchProtection.Electronic)
            {
                ProtectionA = 25, LengthM = 5, SectionMm2 = 4,
            }),
        ],
    };

    // By hand: seven units of the first lineup of the demo, the soft starter among them.
    [Fact]
    public void Loads_are_those_of_the_lineup()
    {
        var (plant, lineup) = With(Roomy);
        var study = Assessor.ControlSupply(plant, lineup)!;
        var units = lineup.DrivePoints.Sum(p => p.Converter switch
        {
            Core.Converters.ConverterChoice.FromCatalogue c =>
                Step(Data.Converters[c.ItemId].RatedKw, (0, 0.4), (22, 0.8), (110, 1.5), (400, 2.5)),
            _ => Step(Data.Motors[((Core.Motors.MotorChoice.FromCatalogue)p.Motor).ItemId].Plate.RatedPowerW / 1e3, (0, 0.4), (22, 0.8),
                (110, 1.5), (400, 2.5)),
        });
        Assert.Equal(units, study.Loads.ByUse[ControlBranchUse.Units].SteadyA, 9);
        Assert.Equal(4 * units, study.Loads.ByUse[ControlBranchUse.Units].InrushA, 9);
        Assert.Empty(study.Loads.Missing);
        Assert.Equal(study.Branches.Sum(b => b.SteadyA), study.Budget!.SteadyA, 9);
        Assert.All(Of(plant, lineup), c => Assert.Equal(Verdict.Holds, c.Verdict));
    }

    // 80 m of 1.5 mm² behind a C breaker: 48 V through 2.2 Ω never reach ten times its rating.
    [Fact]
    public void A_branch_that_never_trips_fails()
    {
        var (plant, lineup) = With(Roomy with
        {
            Branches = [.. Roomy.Branches.Select(b => b.Use == ControlBranchUse.Coils
                ? b with { Protection = BranchProtection.BreakerC, ProtectionA = 6, LengthM = 80, SectionMm2 = 1.5 } : b)],
        });
        var check = Of(plant, lineup).Single(c => c.ElementId.EndsWith("/Coils", StringComparison.Ordinal));
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Equal(60, check.Limit.Value, 6);
        Assert.True(check.Figure.Value < 11, $"{check.Figure.Value} A");
    }

    // 28 A for a moment through an electronic device of 10 A: it may take that for a fault.
    [Fact]
    public void An_inrush_that_may_trip_its_device_is_tight()
    {
        var (plant, lineup) = With(Roomy with { Branches = [.. Roomy.Branches.Select(b => b with { ProtectionA = 10 })] });
        var check = Of(plant, lineup).Single(c => c.ElementId.EndsWith("/Units", StringComparison.Ordinal));
        Assert.Equal(Verdict.Tight, check.Verdict);
        Assert.Contains("from 12.5 A on", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void A_supply_too_small_fails_and_what_is_missing_is_named()
    {
        var (small, lineup) = With(Roomy with { RatedA = 1 });
        Assert.Contains(Of(small, lineup), c => c.ElementId == lineup.Id && c.Verdict == Verdict.Fails);
        var (open, second) = With(ControlSupplyBuild.Open);
        var check = Of(open, second).Single();
        Assert.Equal(Verdict.NeedsData, check.Verdict);
        Assert.Contains("a branch for cards of units", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    private static double Step(double value, params (double From, double A)[] rows) => rows.Last(r => r.From <= value).A;

    private static (PlantSpecification Plant, Lineup Lineup) With(ControlSupplyBuild build)
    {
        var plant = DemoChanges.WithoutCabinets;
        var lineup = plant.Lineups[0] with { Control = build };
        return (plant with { Lineups = [lineup, .. plant.Lineups.Skip(1).Select(l => l with { Control = null })] }, lineup);
    }

    private static List<Check> Of(PlantSpecification plant, Lineup lineup) =>
        Assessor.Run(plant).Checks.Where(c => c.Id == "cabinet.control-supply" && c.ElementId.Split('/')[0] == lineup.Id).ToList();
}
