using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Protection;

namespace Cuadrilla.Core.Tests.Studies.Protection;

/// <summary>Sections against every rule, and laws that no cable breaks.</summary>
public sealed class CableRulesTests
{
    private static readonly Cuadrilla.Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly CableRules Rules = new(Data);

    private static readonly CableInstallation Alone = new(CableInsulation.Xlpe, InstallationMethod.C, 30, CableGrouping.Bunched, 1,
        CableCores.ThreePhase);

    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 60)];

    // Handbook, chapter 11: 148 A behind 160 A gG, XLPE, C, 40 °C, three circuits: 95 mm² with 177.6 A.
    [Fact]
    public void The_worked_example_of_the_engine_comes_out_of_the_rules()
    {
        var task = Task(Alone with { AmbientC = 40, Circuits = 3 }, 176.552);
        Assert.Equal(95, Rules.Smallest(task)!.Value.SectionMm2);
        Assert.Equal(177.645, Rules.CapacityA(task, 95, task.Laid)!.Value, 3);
        Assert.Equal(CableRule.Grouping, Rules.Smallest(task)!.Value.Governs);
    }

    [Theory]
    [InlineData(10, 1, 1)]
    [InlineData(20, 0.86, 1)]
    [InlineData(40, 0.86, 1.2)]
    [InlineData(60, 1, 1.8)]
    public void The_neutral_counts_by_annex_E(double thirdPct, double factor, double sizing)
    {
        var task = Task(Alone with { Cores = CableCores.WithNeutral }, 100) with { ThirdPct = thirdPct };
        Assert.Equal(factor * 179, Rules.CapacityA(task, 50, task.Laid)!.Value, 6);
        Assert.Equal(100 * sizing, CurrentCapacity.SizingA(100, thirdPct), 9);
    }

    [Fact]
    public void Nothing_is_interpolated_and_nothing_beyond_the_tables_is_known()
    {
        var task = Task(Alone, 100);
        Assert.Equal(Rules.CapacityA(task, 50, Alone), Rules.CapacityA(task, 69.9, Alone));
        Assert.Null(Rules.CapacityA(task, 1, Alone));
        Assert.Null(Rules.CapacityA(task with { Parallel = 8 }, 50, Alone with { Circuits = 3 }));
        Assert.Null(Rules.CapacityA(task, 50, Alone with { Insulation = CableInsulation.Pvc, AmbientC = 75 }));
        Assert.Null(Rules.CapacityA(task with { Material = ConductorMaterial.Aluminium }, 10, Alone));
    }

    [Theory]
    [InlineData("4/0 AWG", 107.2, 1, 230)]
    [InlineData("12 AWG", 3.31, 3, 17.5)]
    [InlineData("500 kcmil", 253.4, 2, 304)]
    public void The_US_code_has_its_own_table_and_factors(string name, double mm2, int circuits, double expectedA)
    {
        Assert.Equal(name, Data.UsConductors.Of(mm2)!.Name);
        var task = Task(Alone with { Circuits = circuits }, 10) with { Code = InstallationCode.Nfpa70 };
        Assert.Equal(expectedA, Rules.CapacityA(task, mm2, task.Laid)!.Value, 6);
        Assert.Equal(Math.Sqrt(35.0 / 45) * expectedA, Rules.CapacityA(task, mm2, task.Laid with { AmbientC = 40 })!.Value, 6);
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void A_larger_section_never_hurts_and_the_smallest_that_holds_is_found(int seed)
    {
        var task = Drawn(seed);
        var sections = Rules.Sections(task.Code, task.Material).ToList();
        foreach (var (small, large) in sections.Zip(sections.Skip(1)))
        {
            var before = Rules.Figures(task, small).ToDictionary(f => f.Rule);
            foreach (var after in Rules.Figures(task, large))
            {
                // The heat of a fault grows with the current, what the section bears with its square.
                var ease = (RuleFigure f) => f.AtLeast ? f.Figure / f.Limit : f.Limit / f.Figure;
                Assert.True(!before[after.Rule].Holds || after.Holds, $"{after.Rule} {small} → {large}");
                Assert.True(after.Rule == CableRule.ShortCircuit || ease(after) >= ease(before[after.Rule]) * 0.999999,
                    $"{after.Rule} {small} → {large}");
            }
        }

        var found = Rules.Smallest(task);
        var first = sections.FirstOrDefault(s => Rules.Figures(task, s).All(f => f.Holds));
        Assert.Equal(first, found?.SectionMm2 ?? 0);
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Hotter_never_helps_more_circuits_never_help_and_longer_never_raises_a_fault_current(int seed)
    {
        var task = Drawn(seed);
        foreach (var section in new[] { 2.5, 25.0, 150 })
        {
            Assert.True(Rules.CapacityA(task, section, task.Laid with { AmbientC = 50 }) <= Rules.CapacityA(task, section,
                task.Laid with { AmbientC = 35 }));
            for (var circuits = 1; circuits < 9 - task.Parallel; circuits++)
            {
                Assert.True(Rules.CapacityA(task, section, task.Laid with { Circuits = circuits + 1 }) <= Rules.CapacityA(task, section,
                    task.Laid with { Circuits = circuits }));
            }

            var longer = task with { LengthM = 1.4 * task.LengthM };
            Assert.True(CableRules.LeastAtEndA(longer, task.ShortCircuit!, section) < CableRules.LeastAtEndA(task, task.ShortCircuit!,
                section));
            Assert.True(CableRules.LoopOf(longer, task.Loop!, section).FaultA < CableRules.LoopOf(task, task.Loop!, section).FaultA);
            Assert.True(CableRules.DropPct(longer, task.Drop!, section) >= CableRules.DropPct(task, task.Drop!, section));
        }
    }

    private static CableTask Task(CableInstallation laid, double sizingA) => new()
    {
        LengthM = 30,
        Parallel = 1,
        Material = ConductorMaterial.Copper,
        Laid = laid,
        AmbientC = 30,
        ProtectiveMm2 = Given.Unknown,
        ReactanceOhmPerM = 8e-5,
        Code = InstallationCode.Iec60364,
        NominalVoltageV = 400,
        SizingA = sizingA,
    };

    private static CableTask Drawn(int seed)
    {
        var random = new Random(seed);
        double Size(double from, double to) => from * Math.Pow(to / from, random.NextDouble());
        var laid = new CableInstallation(
            (CableInsulation)random.Next(2), (InstallationMethod)random.Next(3), Given.Unknown, (CableGrouping)random.Next(3),
            1 + random.Next(4), CableCores.ThreePhase);
        var fuse = new ProtectiveDevice.Fuse(Data.GgFuses.Gates[random.Next(Data.GgFuses.Gates.Count)].RatedA, 100, string.Empty);
        var gates = DeviceGates.Of(fuse, Data.GgFuses, Data.Switchgear)!;
        var ohm = new Complex(Size(1e-3, 0.1), Size(3e-3, 0.2));
        return Task(laid, Size(5, 500)) with
        {
            LengthM = Size(2, 400),
            Parallel = 1 + random.Next(2),
            Drop = new DropTask(Size(5, 500), 0.7 + (0.3 * random.NextDouble()), random.NextDouble(), 8),
            Loop = new LoopTask(230, 0.95, ohm, gates.TripA(5)!.Value, 5),
            ShortCircuit = new ShortCircuitTask(gates, 400, 0.95, 230 / ohm.Magnitude, ohm, ohm),
        };
    }
}
