using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.OnePhase;

/// <summary>A workshop with three machines on one phase, alone on a bus of its own plant.</summary>
internal static class Workshop
{
    public const string LineupId = "shop";

    /// <summary>The demo plant without its lineups and loads, and the workshop on its bus A.</summary>
    public static PlantSpecification Of(Func<OnePhaseSupply, OnePhaseSupply>? change = null, bool toNeutral = true)
    {
        var plant = DemoChanges.Demo;
        var one = Costed with { ToNeutral = toNeutral, Machines = Machines };
        return plant with
        {
            Source = plant.Source with { UnbalancePct = 0, BackgroundV5Pct = 0, BackgroundV7Pct = 0 },
            Distribution = plant.Distribution with { Loads = [], CapacitorBanks = [] },
            Scenarios = [plant.Scenarios[0] with { States = [], LoadStates = [], BankStates = [] }],
            Lineups = [new Lineup(LineupId, "W", "Workshop", "bus-a", [], [], [], "", "", []) { OnePhase = change?.Invoke(one) ?? one }],
        };
    }

    public static OnePhaseSupply Costed { get; } = OnePhaseSupply.Open with
    {
        SupplyA = 63,
        Rotary = new RotaryConverter { OnHoursPerYear = 1800 },
        Costs = new OnePhaseCosts { RotaryPerKva = 220, StaticPerKw = 95, ConverterPerKw = 260 },
    };

    public static ValueList<OnePhaseMachine> Machines { get; } =
    [
        Machine("saw", 2.2, 75), Machine("planer", 1.5, 60), Machine("drill", 0.75, 50),
    ];

    public static OnePhaseMachine Machine(string id, double kw, double loadPct, bool heavy = false, bool speed = false) => new(id, id)
    {
        RatedKw = kw, RatedRpm = 1400, LoadPct = loadPct, HoursPerYear = 400, HeavyStart = heavy, SpeedControl = speed,
    };

    /// <summary>Built by the command, with cables and inertia entered.</summary>
    public static PlantSpecification Built(OnePhaseMeans means, Func<OnePhaseSupply, OnePhaseSupply>? change = null, bool toNeutral = true)
    {
        var done = Assert.IsType<CommandOutcome.Done>(new ChooseOnePhaseMeans(LineupId, means)
            .On(Of(change, toNeutral), DemoChanges.Assessor));
        return Wired(done.After);
    }

    public static PlantSpecification Wired(PlantSpecification plant) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with
        {
            DrivePoints = [.. l.DrivePoints.Select(p => p with
            {
                Cable = p.Cable with { LengthM = 5, CrossSectionMm2 = 2.5 },
                Load = p.Load is ConstantTorqueLoad c ? c with { Train = c.Train with { InertiaKgM2 = 0.02, StartTimeS = 5 } } : p.Load,
            })],
        })],
    };

    public static PlantAssessment Assessed(PlantSpecification plant) => DemoChanges.Assessor.Run(plant);

    public static Check CheckOf(PlantSpecification plant, string id, string tag = "") =>
        Assessed(plant).Checks.First(c => c.Id == id && (tag.Length == 0 || c.DrivePointId == tag));

    public static Feeder Feeder(double metres, double mm2) => new Feeder.ByCable(metres, mm2, 1, ConductorMaterial.Copper);
}
