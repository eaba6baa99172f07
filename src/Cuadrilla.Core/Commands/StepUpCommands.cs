using Cuadrilla.Core.Base;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.LongCable;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Commands;

/// <summary>Puts a step-up transformer between converter and motor cable, or takes it out.</summary>
/// <param name="PointId">Key of the drive point.</param>
/// <param name="Back">True: without.</param>
public sealed record UseStepUp(string PointId, bool Back = false) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.AllDrivePoints().FirstOrDefault(p => p.Id == PointId) is not { } point)
        {
            return CommandOutcome.Not("pointId", "There is no such drive point.");
        }

        if (Back)
        {
            return new CommandOutcome.Done(plant.Changed([PointId], p => p with { StepUp = null }),
                $"{point.Tag}: no step-up transformer", []);
        }

        if (point.Sun is not null || point.Converter.IsOnLine())
        {
            return CommandOutcome.Not("pointId",
                $"{point.Tag} runs on a starter or on the sun: a step-up transformer stands behind a converter on its lineup.");
        }

        return plant.GroupOf(PointId) is not null
            ? CommandOutcome.Not("pointId", $"{point.Tag} shares a converter with others; take it out of its group first.")
            : new CommandOutcome.Done(plant.Changed([PointId], p => p with { StepUp = p.StepUp ?? StepUpSupply.Open }),
                $"{point.Tag}: step-up transformer", []);
    }
}

/// <summary>Takes a transformer with taps for what a motor asks for at the surface, and the lowest tap that reaches at the lowest voltage
/// of its bus; where a transformer is entered, its tap only.</summary>
/// <param name="PointId">Key of the drive point.</param>
public sealed record SizeStepUp(string PointId) : PlantCommand
{
    // Usual distribution transformers of this size; shown as what they are: assumed.
    private const double UkPct = 5;
    private const double LoadLossPct = 2;
    private const double NoLoadLossPct = 0.5;
    private const double Root3 = 1.7320508075688772;

    private static readonly double[] SizesKva =
        [4, 6.3, 10, 16, 25, 31.5, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630, 800, 1000];

    // Taps over the voltage that is needed, as wide as practice has them.
    private static readonly double[] TapsPu = [0.7, 0.8, 0.9, 0.95, 1, 1.05, 1.1, 1.2];

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.AllDrivePoints().FirstOrDefault(p => p.Id == PointId) is not { StepUp: { } entered } point)
        {
            return CommandOutcome.Not("pointId", "There is no such drive point with a step-up transformer.");
        }

        var bus = plant.BusOfDrivePoints()[PointId];
        var lowestPu = studies.Run(plant).Voltages.GetValueOrDefault(bus.Id) is { LowestPct: > 0 and < 100 } range
            ? range.LowestPct / 100
            : 1;
        if (entered.Transformer is { TapsV.Count: > 0, PrimaryV.IsKnown: true } listed)
        {
            return Tapped(plant, point, studies, listed, lowestPu, string.Empty);
        }

        if (studies.Study(plant, point).Model.Fitted is not { } fitted)
        {
            return CommandOutcome.Not("pointId", $"{point.Tag}: a motor is to be chosen before its transformer.");
        }

        // A first transformer for the motor's voltage shows what the surface asks for; the taps are laid around that.
        var plate = fitted.Item.Plate;
        var first = With(entered.Transformer, bus.NominalVoltageV, [plate.RatedVoltageV * 1.1], plate.RatedVoltageV * 1.1, Kva(plate, 1.1));
        var trial = plant.Changed([PointId], p => p with { StepUp = p.StepUp! with { Transformer = first } });
        if (LongCableStudy.Of(studies.Study(trial, trial.AllDrivePoints().First(p => p.Id == PointId)).Model) is not { } study)
        {
            return CommandOutcome.Not("pointId",
                $"{point.Tag} lacks for it: "
                    + $"{string.Join(", ", studies.Study(trial, trial.AllDrivePoints().First(p => p.Id == PointId)).Model.MissingForStepUp())}.");
        }

        var needed = study.TapNeededV(lowestPu);
        double[] taps = [.. TapsPu.Select(t => Math.Ceiling(t * needed / 5) * 5)];
        var kva = Root3 * taps[^3] * study.RatedA / 1e3;
        if (SizesKva.Where(s => s >= kva).Select(s => (double?)s).FirstOrDefault() is not { } size)
        {
            return CommandOutcome.Not("pointId", $"{point.Tag}: {Text.N(kva)} kVA are more than the list of sizes has.");
        }

        return Tapped(plant, point, studies, With(entered.Transformer, bus.NominalVoltageV, taps, taps[4], size), lowestPu,
            $"{point.Tag}, assumed: {Text.N(size)} kVA, uk {Text.N(UkPct)} %, losses {Text.N(LoadLossPct)} and {Text.N(NoLoadLossPct)} %.");
    }

    private static double Kva(MotorPlate plate, double tapPu) => Root3 * tapPu * plate.RatedVoltageV * plate.RatedCurrentA / 1e3;

    private static StepUpTransformer With(StepUpTransformer known, double lowV, IReadOnlyList<double> taps, double tapV, double kva) =>
        known with
    {
        PrimaryV = known.PrimaryV.IsKnown ? known.PrimaryV : lowV,
        TapsV = [.. taps],
        TapV = tapV,
        RatedKva = known.RatedKva.IsKnown ? known.RatedKva : kva,
        UkPct = known.UkPct.IsKnown ? known.UkPct : UkPct,
        LoadLossKw = known.LoadLossKw.IsKnown ? known.LoadLossKw : Math.Round(kva * LoadLossPct / 100, 3),
        NoLoadLossKw = known.NoLoadLossKw.IsKnown ? known.NoLoadLossKw : Math.Round(kva * NoLoadLossPct / 100, 3),
        MagnetisingPct = known.MagnetisingPct.IsKnown ? known.MagnetisingPct : 5,
    };

    // The lowest tap that reaches with its own drop: what a tap takes depends on it, so each is tried.
    private CommandOutcome Tapped(PlantSpecification plant, DrivePoint point, IPlantStudies studies, StepUpTransformer transformer,
        double lowestPu, string note)
    {
        foreach (var tap in transformer.TapsV.Order())
        {
            var after = plant.Changed([PointId], p => p with { StepUp = p.StepUp! with { Transformer = transformer with { TapV = tap } } });
            var model = studies.Study(after, after.AllDrivePoints().First(p => p.Id == PointId)).Model;
            if (LongCableStudy.Of(model) is not { } study)
            {
                return CommandOutcome.Not("pointId", $"{point.Tag} lacks for it: {string.Join(", ", model.MissingForStepUp())}.");
            }

            if (tap >= study.TapNeededV(lowestPu))
            {
                return new CommandOutcome.Done(after, CommandOutcome.Shortened($"{point.Tag}: tap {Text.N(tap)} V"),
                    note.Length > 0 ? [note] : []);
            }
        }

        return CommandOutcome.Not("pointId", $"{point.Tag}: none of the taps reaches what the surface asks for.");
    }
}
