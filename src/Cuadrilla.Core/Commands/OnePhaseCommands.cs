using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.OnePhase;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Commands;

/// <summary>Says that only one phase is available to a lineup, or takes that back.</summary>
/// <param name="LineupId">Key of the lineup.</param>
/// <param name="Back">True: all three phases are available.</param>
public sealed record FeedFromOnePhase(string LineupId, bool Back = false) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Lineups.FirstOrDefault(l => l.Id == LineupId) is not { } lineup)
        {
            return CommandOutcome.Unknown("lineupId", "Lineup", LineupId);
        }

        if (Back)
        {
            return new CommandOutcome.Done(plant.With(lineup with { OnePhase = null }), $"{lineup.Tag}: three phases", []);
        }

        if (lineup.DcBuses.Count > 0 || lineup.DrivePoints.Any(p => p.StepUp is not null))
        {
            return CommandOutcome.Not("lineupId", $"{lineup.Tag} has a common DC bus or a step-up transformer, which need three phases.");
        }

        // Where three phases are by nature low, as 230 V and below, the two conductors are two of them.
        var toNeutral = plant.Distribution.Bus(lineup.BusId).NominalVoltageV > HighestBetweenPhasesV;
        return new CommandOutcome.Done(plant.With(lineup with { OnePhase = lineup.OnePhase
            ?? OnePhaseSupply.Open with { ToNeutral = toNeutral } }),
            $"{lineup.Tag}: one phase", []);
    }

    private const double HighestBetweenPhasesV = 250;
}

/// <summary>
/// Chooses by what the machines of a lineup are run from one phase and builds it: a drive point for each machine of the list that has none,
/// its motor by size, then a converter with two input conductors each, or starters behind a rotary or static converter.
/// </summary>
/// <param name="LineupId">Key of the lineup.</param>
/// <param name="Means">Which way.</param>
public sealed record ChooseOnePhaseMeans(string LineupId, OnePhaseMeans Means) : PlantCommand
{
    // Sizes in which rotary converters are made (made up after the series R10).
    private static readonly double[] RotarySizesKva = [2, 3, 4, 5, 7.5, 10, 12.5, 16, 20, 25, 31.5, 40, 50, 63, 80, 100, 125, 160, 200, 250,
        315, 400];

    private const double StartsPerHour = 2;
    private const double LightBreakawayPct = 50;
    private const double HeavyBreakawayPct = 150;
    private const double HoursInYear = 8760;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Lineups.FirstOrDefault(l => l.Id == LineupId) is not { OnePhase: { } one } lineup)
        {
            return CommandOutcome.Not("lineupId", "There is no such lineup on one phase.");
        }

        if (!Enum.IsDefined(Means) || Means == OnePhaseMeans.NotChosen)
        {
            return CommandOutcome.Not("means", "Allowed: converters, rotary, static.");
        }

        var data = studies.Data.With(plant);
        var study = OnePhaseStudy.Of(plant, lineup, data);
        if (study.Missing.Count > 0)
        {
            return CommandOutcome.Not("lineupId", $"{lineup.Tag} lacks for it: {string.Join(", ", study.Missing)}.");
        }

        if (Means == OnePhaseMeans.Rotary && !one.Rotary.RatedKva.IsKnown)
        {
            if (RotarySizesKva.FirstOrDefault(k => k >= study.RotaryKva) is not > 0 and var largest)
            {
                return CommandOutcome.Not("means",
                    $"{Text.N(study.RotaryKva, 3)} kVA are asked; the largest here is {Text.N(Math.Max(largest, RotarySizesKva[^1]))} "
                        + "kVA: enter one, or split the lineup.");
            }

            one = one with { Rotary = one.Rotary with { RatedKva = RotarySizesKva.First(k => k >= study.RotaryKva) } };
        }

        return Built(plant, lineup, one with { Means = Means }, study.SupplyV, studies);
    }

    private CommandOutcome Built(PlantSpecification plant, Lineup lineup, OnePhaseSupply one, double supplyV, IPlantStudies studies)
    {
        var data = studies.Data.With(plant);
        List<OnePhaseMachine> machines = [];
        List<string> made = [];
        var after = plant.With(lineup with { OnePhase = one });
        foreach (var machine in one.Machines)
        {
            if (lineup.DrivePoints.Any(p => p.Id == machine.DrivePointId))
            {
                machines.Add(machine);
                continue;
            }

            var (id, tag) = DrivePointNames.Next(after);
            var motor = ResolvedMachine.Of(machine, supplyV, plant.Source.FrequencyHz, data).Motor;
            var now = after.Lineups.First(l => l.Id == LineupId);
            after = after.With(AddDrivePoint.Insert(now, PointOf(machine, id, tag, motor), string.Empty));
            machines.Add(machine with { DrivePointId = id });
            made.Add(id);
        }

        after = after.With(after.Lineups.First(l => l.Id == LineupId) with { OnePhase = one with { Machines = [.. machines] } });
        List<string> ids = [.. machines.Select(m => m.DrivePointId)];
        if (Means != OnePhaseMeans.Converters)
        {
            return Done(after.Changed(ids, p => p.Converter.IsOnLine() ? p : p with
            {
                Converter = new ConverterChoice.AcrossTheLine(TripClass.Class10, StartsPerHour, "behind a made third phase"),
            }), lineup, made, []);
        }

        after = after.Changed(ids, p => p.Converter.IsOnLine() ? p with { Converter = new ConverterChoice.NotChosen() } : p);
        return new SizeBest(ids, SizedPart.Converter).On(after, studies) switch
        {
            CommandOutcome.Done sized => Done(sized.After, lineup, made, sized.Notes),
            CommandOutcome.Refused not => Done(after, lineup, made, [not.Why.Message]),
            _ => Done(after, lineup, made, []),
        };
    }

    private CommandOutcome Done(PlantSpecification after, Lineup lineup, List<string> made, IReadOnlyList<string> notes) =>
        new CommandOutcome.Done(after, CommandOutcome.Shortened($"{lineup.Tag}: {OnePhaseStudy.Word(Means).ToLowerInvariant()}"),
            made) { Notes = notes };

    private static DrivePoint PointOf(OnePhaseMachine machine, string id, string tag, MotorItem? motor)
    {
        var rpm = machine.RatedRpm.IsKnown ? machine.RatedRpm.Value : motor?.Plate.RatedSpeedRpm ?? 0;
        Given torque = rpm > 0
            ? Math.Round(OnePhaseUsual.LoadPct(machine) / 100 * machine.RatedKw.Value * 1e3 / (2 * Math.PI * rpm / 60), 2)
            : Given.Unknown;
        var hours = Math.Min(machine.HoursPerYear.Value, HoursInYear);
        return new DrivePoint(
            id, tag, machine.Name, new Feeder.OnBusbar(), new ConverterChoice.NotChosen(),
            new MotorCable(Given.Unknown, Given.Unknown, 1, ConductorMaterial.Copper, true),
            motor is null ? new MotorChoice.NotChosen() : CandidateRanking.WithItem(new MotorChoice.NotChosen(), motor),
            new ConstantTorqueLoad(
                new DriveTrain(1, 1, Given.Unknown, Given.Unknown), hours > 0 ? [new DutyPoint(1, hours)] : [], torque,
                rpm > 0 ? rpm : Given.Unknown, machine.HeavyStart ? HeavyBreakawayPct : LightBreakawayPct,
                machine.SpeedControl ? Given.Unknown : 1),
            [], new HoldingBrake.None());
    }
}
