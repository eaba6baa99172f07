using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Standby;

/// <summary>One thing that is given up for a generator to hold.</summary>
/// <param name="ScenarioId">In which scenario.</param>
/// <param name="Scenario">What that is called.</param>
/// <param name="What">What is switched off, in words.</param>
/// <param name="Why">The check that asks for it, and its figure before.</param>
public sealed record ShedStep(string ScenarioId, string Scenario, string What, string Why);

/// <summary>What has to be shed, and what a filter would have to give instead, for everything that a generator is judged by to
/// hold.</summary>
/// <param name="Steps">In their order; empty where nothing fails.</param>
/// <param name="Scenarios">The scenarios after all steps.</param>
/// <param name="Left">What still fails, in words.</param>
/// <param name="FilterBusId">Bus at which an active filter would hold the distortion; empty where that is not what fails, or does not
/// help.</param>
/// <param name="FilterA">Its current, A.</param>
/// <param name="FilteredPct">Largest distortion with it, %.</param>
public sealed record Shedding(IReadOnlyList<ShedStep> Steps, IReadOnlyList<Scenario> Scenarios, IReadOnlyList<string> Left,
    string FilterBusId,
    double? FilterA, double? FilteredPct)
{
    private const int MostSteps = 40;
    private const double WideFilterA = 10_000;

    // So much of what is too much goes at once, before the plant is computed anew; nothing goes that need not.
    private const double AtOncePu = 0.8;

    private static readonly string[] ByDistortion = ["harmonics.plant-voltage", "supply.generator-distortion"];

    // What sheds against a check; the rest is not the load's fault.
    private static readonly string[] ByPower = ["supply.generator-loading", "supply.voltage", "supply.transformer-loading",
        "supply.start-dip"];
    private static readonly string[] ByCapacitors = ["supply.generator-reactive", "harmonics.capacitor"];

    /// <summary>Finds it: at each step the failing check with the least margin is asked, and of what answers to it the largest
    /// goes.</summary>
    public static Shedding Of(GeneratorFeed feed, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(feed);
        ArgumentNullException.ThrowIfNull(studies);
        var plant = feed.Plant;
        List<ShedStep> steps = [];
        var found = studies.Drafted(plant);
        while (steps.Count < MostSteps && Next(plant, found) is var (changed, taken))
        {
            plant = changed;
            steps.AddRange(taken);
            found = studies.Drafted(plant);
        }

        var (busId, filterA, pct) = Filtered(feed, studies);
        return new Shedding(steps, plant.Scenarios,
            feed.Said(Failing(found)),
            busId, filterA, pct);
    }

    private static IEnumerable<Check> Failing(PlantAssessment found) =>
        GeneratorFeed.Concerned(found).Where(c => c.Verdict == Verdict.Fails);

    private static (PlantSpecification Plant, IReadOnlyList<ShedStep> Steps)? Next(PlantSpecification plant, PlantAssessment found)
    {
        foreach (var check in Failing(found).OrderBy(c => c.MarginPct.IsKnown ? c.MarginPct.Value : double.NegativeInfinity))
        {
            var result = found.Scenarios.FirstOrDefault(s => s.ScenarioName == check.Scenario)
                ?? (found.Scenarios.Count == 1 ? found.Scenarios[0] : null);
            if (result is null)
            {
                continue;
            }

            var scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
            var why = check.Figure.IsKnown
                ? $"{check.Title}: {Text.N(check.Figure.Value, 3)} {check.Unit} against "
                    + Text.N(check.Limit.IsKnown ? check.Limit.Value : 0, 3)
                : check.Title;
            List<ShedStep> steps = [];
            List<(string Id, double Part)> asked = [.. AskedOf(plant, scenario, result, check)];
            double gone = 0;
            var wanted = check is { Sense: LimitSense.AtMost, Figure: { IsKnown: true, Value: > 0 }, Limit.IsKnown: true }
                ? AtOncePu * asked.Sum(a => a.Part) * Math.Max(0, 1 - (check.Limit.Value / check.Figure.Value))
                : 0;
            foreach (var (id, part) in asked)
            {
                if (Off(plant, scenario, id) is not var (without, what))
                {
                    continue;
                }

                scenario = without;
                steps.Add(new ShedStep(scenario.Id, scenario.Name, what, why));
                gone += part;
                if (gone >= wanted)
                {
                    break;
                }
            }

            if (steps.Count > 0)
            {
                return (plant with { Scenarios = [.. plant.Scenarios.Select(s => s.Id == scenario.Id ? scenario : s)] }, steps);
            }
        }

        return null;
    }

    // What answers to a check, the largest part first; empty where less load does not mend it.
    private static IEnumerable<(string Id, double Part)> AskedOf(PlantSpecification plant, Scenario scenario, ScenarioResult result,
        Check check)
    {
        var asked = ByCapacitors.Contains(check.Id)
                ? plant.Distribution.CapacitorBanks.Select(b => (b.Id, b.StepKvar * scenario.StepsOnOf(b)))
            : ByDistortion.Contains(check.Id)
                ? Contributions.Of(plant, result).Select(c => (c.DrivePointId, c.SharePct))
            : check.Id == "supply.generator-regeneration"
                ? result.Drives.Select(d => (d.DrivePointId, -d.Point.LineW))
            : ByPower.Contains(check.Id) ? Drawing(plant, scenario, result, check)
            : [];
        return asked.Where(a => a.Item2 > 0).OrderByDescending(a => a.Item2);
    }

    // The one whose start is judged goes where a start fails; else whatever takes most: a drive, or another load.
    private static IEnumerable<(string Id, double Part)> Drawing(PlantSpecification plant, Scenario scenario, ScenarioResult result,
        Check check)
    {
        var own = check.DrivePointId.Length > 0 ? check.DrivePointId : check.ElementId;
        return check.Id == "supply.start-dip" && own.Length > 0 && Off(plant, scenario, own) is not null ? [(own, 1)]
            : result.Drives.Select(d => (d.DrivePointId, d.Point.LineW))
                .Concat(result.OnLine.Select(d => (d.DrivePointId, d.PowerVa.Real)))
                .Concat(plant.Distribution.Loads.Where(l => result.Network.IsLive(l.BusId))
                    .Select(l => (l.Id, l.PowerVa().Real * scenario.LoadLevelPuOf(l.Id))));
    }

    // A drive point, all members of a group or a common DC bus, a capacitor bank, or another load.
    private static (Scenario Without, string What)? Off(PlantSpecification plant, Scenario scenario, string id)
    {
        if (plant.Distribution.CapacitorBanks.FirstOrDefault(b => b.Id == id) is { } bank)
        {
            return scenario.StepsOnOf(bank) == 0 ? null
                : (scenario with { BankStates = [.. scenario.BankStates.Where(s => s.BankId != id), new BankState(id, 0)] }, bank.Name);
        }

        if (plant.Distribution.Loads.FirstOrDefault(l => l.Id == id) is { } load)
        {
            return (scenario with { LoadStates = [.. scenario.LoadStates.Where(s => s.LoadId != id), new LoadState(id, 0)] }, load.Name);
        }

        var points = plant.AllDrivePoints().Where(p => p.Id == id || plant.DcBusOf(p.Id)?.Id == id || plant.GroupOf(p.Id)?.Id == id)
            .Where(p => scenario.StateOf(p.Id).Running).ToList();
        return points.Count == 0 ? null
            : (scenario with
            {
                States = [.. scenario.States.Where(s => !points.Exists(p => p.Id == s.DrivePointId)),
                    .. points.Select(p => scenario.StateOf(p.Id) with { Running = false })],
            }, string.Join(", ", points.Select(p => $"{p.Tag} {p.Name}")));
    }

    // Instead of shedding what distorts: a filter at the generator's bus, wide enough to give whatever is asked.
    private static (string BusId, double? FilterA, double? Pct) Filtered(GeneratorFeed feed, IPlantStudies studies)
    {
        var now = studies.Drafted(feed.Plant);
        if (!Failing(now).Any(c => ByDistortion.Contains(c.Id)))
        {
            return (string.Empty, null, null);
        }

        var filter = new ActiveFilter("standby-filter", "filter", feed.Plant.Source.BusId, WideFilterA);
        var with = studies.Drafted(feed.Plant with
        {
            Distribution = feed.Plant.Distribution with { ActiveFilters = [.. feed.Plant.Distribution.ActiveFilters, filter] },
        });
        if (with.Scenarios.Count == 0 || with.Scenarios.Any(s => !s.FilterCurrents.ContainsKey(filter.Id)))
        {
            return (string.Empty, null, null);
        }

        return (filter.BusId, with.Scenarios.Max(s => s.FilterCurrents[filter.Id].AskedA),
            with.Scenarios.SelectMany(s => s.Buses).Max(b => b.TotalThdvPct));
    }
}
