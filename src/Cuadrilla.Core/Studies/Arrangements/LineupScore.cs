using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Arrangements;

/// <summary>What one way of building a lineup comes to in this plant.</summary>
public sealed record LineupScore
{
    /// <summary>Key of the way set aside; empty for the one in force.</summary>
    public required string VariantId { get; init; }

    /// <summary>What it is called.</summary>
    public required string Name { get; init; }

    /// <summary>Checks of the lineup and of the plant that fail.</summary>
    public required int Fails { get; init; }

    /// <summary>Those that are tight.</summary>
    public required int Tight { get; init; }

    /// <summary>Those that need data; cables and devices are chosen for the way that is taken, and do not count.</summary>
    public required int NeedsData { get; init; }

    /// <summary>Titles of what fails, at most five.</summary>
    public required IReadOnlyList<string> Worst { get; init; }

    /// <summary>Rated power of all front ends, kW.</summary>
    public required double SuppliesKw { get; init; }

    /// <summary>Largest power that they take together in a scenario, kW.</summary>
    public required double SimultaneousKw { get; init; }

    /// <summary>Sum of their line currents there, A.</summary>
    public required double LineA { get; init; }

    /// <summary>Largest distortion at the PCC with the whole plant, %; NaN when not known.</summary>
    public required double TddPct { get; init; }

    /// <summary>Front ends, each with its cable, fuses and switch.</summary>
    public required int IncomingCables { get; init; }

    /// <summary>Energy exchanged on common buses, kWh an hour, largest scenario.</summary>
    public required double ExchangedKwhPerHour { get; init; }

    /// <summary>Energy burnt a year, kWh.</summary>
    public required double BurntKwh { get; init; }

    /// <summary>Brake resistors.</summary>
    public required int Resistors { get; init; }

    /// <summary>Width of all converters and supply modules, mm.</summary>
    public required double WidthMm { get; init; }

    /// <summary>Energy, cost and price, supply modules included.</summary>
    public required YearlyEnergy Year { get; init; }

    /// <summary>Drive points whose year can't be computed.</summary>
    public required int Incomplete { get; init; }

    /// <summary>Most drive points that one fault stops.</summary>
    public required int StopsTogether { get; init; }

    /// <summary>What the drives need between them.</summary>
    public required IReadOnlyList<string> Coordination { get; init; }

    /// <summary>Supply power left for extension, % of the rated.</summary>
    public required double SparePct { get; init; }

    private const int NamedFailures = 5;

    private static bool ComesAfter(Check check) =>
        Array.Exists(["cable.", "protection.", "contactor."], family => check.Id.StartsWith(family, StringComparison.Ordinal));

    /// <summary>Scores the lineup as it stands in a plant.</summary>
    public static LineupScore Of(PlantSpecification plant, string lineupId, string variantId, string name, IPlantStudies assessor)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessor);
        var lineup = plant.Lineups.First(l => l.Id == lineupId);
        var assessment = assessor.Run(plant);
        var studies = lineup.DrivePoints.Select(p => assessor.Study(plant, p)).ToList();
        var buses = lineup.DcBuses.Select(b => assessor.DcBus(plant, b.Id)!).ToList();
        var fronts = FrontIds(lineup);
        var checks = assessment.Checks.Where(c => Concerns(c, lineup)).ToList();
        var failing = checks.Where(c => c.Verdict == Verdict.Fails).ToList();
        var loaded = assessment.Scenarios.Select(s => s.Drives.Where(d => fronts.Contains(d.DrivePointId)).ToList()).DefaultIfEmpty([])
            .MaxBy(d => d.Sum(x => x.Point.DcLoadW))!;
        var supplies = SuppliesKwOf(studies, buses);
        var simultaneous = loaded.Sum(d => d.Point.DcLoadW) / 1e3;
        var tdd = assessment.Checks.FirstOrDefault(c => c.Id == "harmonics.pcc-tdd");
        return new LineupScore
        {
            VariantId = variantId,
            Name = name,
            Fails = failing.Count,
            Tight = checks.Count(c => c.Verdict == Verdict.Tight),
            NeedsData = checks.Count(c => c.Verdict == Verdict.NeedsData && !ComesAfter(c)),
            Worst = [.. failing.Take(NamedFailures).Select(c => c.DrivePointId.Length > 0
                ? $"{lineup.DrivePoints.First(p => p.Id == c.DrivePointId).Tag}: {c.Title}"
                : c.Title)],
            SuppliesKw = supplies,
            SimultaneousKw = simultaneous,
            LineA = loaded.Sum(d => (d.Front as RectifierResult.LineDraw)?.LoadedPhase.RmsA ?? 0),
            TddPct = tdd is { Figure.IsKnown: true } ? tdd.Figure.Value : double.NaN,
            IncomingCables = fronts.Count,
            ExchangedKwhPerHour = buses.Select(b => Exchanged(b, plant)).DefaultIfEmpty(0).Sum(),
            BurntKwh = studies.Sum(s => s.Chosen?.Returned.BurntKwh ?? 0),
            Resistors = studies.Count(s => s.Model.Choice?.Braking is Braking.Resistor && s.Model.Input.Group is null or { IsHead: true })
                + lineup.DcBuses.Count(b => b.ResistorOhm.IsKnown),
            WidthMm = studies.Sum(s => (s.Model.Input.Group?.Count ?? 1) * (s.Model.Converter?.Item.Size.WidthMm ?? 0))
                + buses.Sum(b => b.Module?.Size.WidthMm ?? 0),
            Year = Sum(studies, buses, plant),
            Incomplete = studies.Count(s => s.Chosen is null),
            StopsTogether = Behind(lineup).DefaultIfEmpty(1).Max(),
            Coordination = CoordinationOf(lineup),
            SparePct = supplies > 0 ? 100 * (1 - (simultaneous / supplies)) : 0,
        };
    }

    private static bool Concerns(Check check, Lineup lineup) =>
        lineup.DrivePoints.Any(p => p.Id == check.DrivePointId) || lineup.DcBuses.Any(b => b.Id == check.ElementId)
            || lineup.Arrangements.Any(a => a.Id == check.ElementId)
        || (check.DrivePointId.Length == 0
            && (check.Id.StartsWith("harmonics.", StringComparison.Ordinal) || check.Id.StartsWith("supply.", StringComparison.Ordinal)));

    // Each drive with a front end of its own, each group and each bus once.
    private static HashSet<string> FrontIds(Lineup lineup)
    {
        var behind = lineup.DcBuses.SelectMany(b => b.MemberIds)
            .Concat(lineup.Arrangements.OfType<MotorGroup>().SelectMany(g => g.PointIds())).ToHashSet(StringComparer.Ordinal);
        return [.. lineup.DrivePoints.Select(p => p.Id).Where(id => !behind.Contains(id)), .. lineup.DcBuses.Select(b => b.Id),
            .. lineup.Arrangements.OfType<MotorGroup>().Select(g => g.Id)];
    }

    private static double SuppliesKwOf(List<DrivePointStudy> studies, List<DcBusModel> buses) =>
        studies.Where(s => !s.Model.Input.OnDcBus && s.Model.Input.Group is null or { IsHead: true })
            .Sum(s => s.Model.WholeItem?.RatedKw ?? 0) + buses.Sum(b => b.Module?.RatedKw ?? 0);

    private static double Exchanged(DcBusModel bus, PlantSpecification plant) => plant.Scenarios
        .Select(s => bus.Run(s, BusEvent.Process) is { } run ? run.ExchangedJ / run.SpanS / 1e3 : 0).DefaultIfEmpty(0).Max();

    private static IEnumerable<int> Behind(Lineup lineup) => lineup.DcBuses.Select(b => b.MemberIds.Count)
        .Concat(lineup.Arrangements.OfType<MotorGroup>().Select(g => g.Members.Sum(m => m.Count)))
        .Concat(lineup.Arrangements.OfType<SharedShaft>().Where(s => s.Method is not SharingMethod.Droop).Select(s => s.Units.Count));

    private static List<string> CoordinationOf(Lineup lineup)
    {
        var words = new List<string>();
        words.AddRange(lineup.DcBuses.Select(b => $"{b.Name}: {b.MemberIds.Count} drives switched on, charged and stopped together"));
        words.AddRange(lineup.Arrangements.Select(a => a switch
        {
            MotorGroup g => $"{g.Name}: one speed for {g.Members.Sum(m => m.Count)} motors",
            SharedShaft { Method: SharingMethod.TorqueFollower } s =>
                $"{s.Name}: the leader's torque reference to {s.Units.Count - 1} followers",
            SharedShaft s => $"{s.Name}: common start and speed reference",
            RatioFollower r => $"{r.Name}: pulses of the leader at the follower",
            _ => a.Name,
        }));
        words.AddRange(lineup.DrivePoints.Where(p => p.Brake is HoldingBrake.SpringApplied)
            .Select(p => $"{p.Tag}: brake commanded with its drive"));
        return words;
    }

    // A supply module's loss over the hours that its members work, at the mean of what they take together; what it can't return is burnt.
    private static YearlyEnergy Sum(List<DrivePointStudy> studies, List<DcBusModel> buses, PlantSpecification plant)
    {
        var tariff = plant.Tariff;
        var sum = new YearlyEnergy(0, 0, 0, 0, 0, 0);
        foreach (var chosen in studies.Select(s => s.Chosen).OfType<EnergyAlternative>())
        {
            sum = Plus(sum, chosen.Year);
        }

        foreach (var bus in buses.Where(b => b.Module is not null))
        {
            var years = studies.Where(s => bus.Bus.MemberIds.Contains(s.Model.Id))
                .Select(s => s.Chosen).OfType<EnergyAlternative>().ToList();
            var hours = years.Select(y => y.Points.Sum(p => p.HoursPerYear)).DefaultIfEmpty(0).Max();
            var item = bus.Module!.AsFront(bus.CapacitanceF);
            var meanW = hours > 0 ? 1e3 * years.Sum(y => y.Year.EnergyKwh) / hours : 0;
            var lost = item.FrontLossW(meanW) + item.StandbyW + (item.FrontEnd.ReturnsToLine ? 0 : Math.Max(0, -meanW));
            sum = Plus(sum, YearlyEnergy.Of(hours > 0 ? [new EnergyPoint(1, hours, lost)] : [], bus.Module.PriceIndex, tariff));
        }

        return sum;
    }

    private static YearlyEnergy Plus(YearlyEnergy a, YearlyEnergy b) => new(
        a.EnergyKwh + b.EnergyKwh, a.DemandKw + b.DemandKw, a.CostPerYear + b.CostPerYear, a.EquipmentCost + b.EquipmentCost,
        a.LifetimeCost + b.LifetimeCost, a.Co2Kg + b.Co2Kg, a.ReactiveKvarh + b.ReactiveKvarh);
}
