using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Brakes;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.LongCable;
using Cuadrilla.Core.Studies.OnePhase;
using Cuadrilla.Core.Studies.Stopping;
using Cuadrilla.Core.Studies.Sun;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary>All that follows from one drive point by itself. It is judged when its checks or alternatives are first asked for.</summary>
public sealed class DrivePointStudy
{
    private readonly Once<Judgement> judgement = new();
    private readonly Lazy<EnergyAlternative?> chosen;

    private DrivePointStudy(DrivePointModel model) => (Model, chosen) = (model, new Lazy<EnergyAlternative?>(() => ChosenOf(model)));

    /// <summary>Its models.</summary>
    public DrivePointModel Model { get; }

    /// <summary>Its checks.</summary>
    public IReadOnlyList<Check> Checks => Judged.Checks;

    /// <summary>Alternatives by life-cycle cost; empty while something is missing.</summary>
    public IReadOnlyList<EnergyAlternative> Alternatives => Judged.Alternatives;

    /// <summary>The alternative that is specified; null while something is missing. Asked by itself it needs no table of the others.</summary>
    public EnergyAlternative? Chosen => judgement.IsMade ? Alternatives.FirstOrDefault(a => a.IsChosen) : chosen.Value;

    /// <summary>True when operating points from shaft to busbar can be computed.</summary>
    public bool IsComplete => Model is CompleteDrive;

    /// <summary>The complete drive; null while something is missing.</summary>
    public CompleteDrive? Complete => Model as CompleteDrive;

    /// <summary>True once it is judged.</summary>
    internal bool IsJudged => judgement.IsMade;

    private Judgement Judged => judgement.Get(() => Judge(Model));

    /// <summary>Runs the study.</summary>
    public static DrivePointStudy Run(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return new DrivePointStudy(model);
    }

    /// <summary>Judges it now, where it is not judged yet.</summary>
    internal void BeJudged() => _ = Judged;

    // What can't be worked out is missing in the table too, with the reason beside the check.
    private static EnergyAlternative? ChosenOf(DrivePointModel model)
    {
        try
        {
            return IsBought(model) && EnergyAlternatives.Ready(model) is { } drive ? EnergyAlternatives.Chosen(drive) : null;
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return null;
        }
    }

    private static bool IsBought(DrivePointModel model) => model.Input.DrivePoint.Sun is null;

    private static Judgement Judge(DrivePointModel model)
    {
        IReadOnlyList<EnergyAlternative> alternatives = [];
        var best = !IsBought(model)
            ? Check.NotConcerned(EnergyCheck.Id, model.Id, BoardRow.Load, EnergyCheck.Title, "fed from the sun: its energy is not bought")
            : Judging.One(EnergyCheck.Id, model.Id, BoardRow.Load, EnergyCheck.Title, () =>
        {
            alternatives = EnergyAlternatives.Ready(model) is { } drive ? EnergyAlternatives.Of(drive) : [];
            return EnergyCheck.Of(model, alternatives);
        });
        IReadOnlyList<Check> checks =
        [
            .. MotorChecks.Of(model),
            .. MotorRuleChecks.Of(model),
            .. ConverterChecks.Of(model),
            .. Judging.All("converter.braking", model.Id, BoardRow.Converter, "Braking energy", () => BrakingChecks.Of(model)),
            best,
            Judging.One(SystemClassCheck.Id, model.Id, BoardRow.Converter, SystemClassCheck.Title, () => SystemClassCheck.Of(model)),
            .. Judging.All("parallel.rating", model.Id, BoardRow.Converter, "Parallel modules", () => ParallelCheck.Of(model)),
            .. Judging.All("motor.inertia-ratio", model.Id, BoardRow.Motor, "Inertia of load over motor",
                () => InertiaRatioCheck.Of(model)),
            .. Judging.All("gear.service-factor", model.Id, BoardRow.Load, "Gearbox", () => GearCheck.Of(model)),
            .. Judging.All("supply.ride-through", model.Id, BoardRow.Converter, "Dip of the supply", () => RideThroughCheck.Of(model)),
            .. Judging.All(LongCableChecks.OutputId, model.Id, BoardRow.Cable, "Long cable", () => LongCableChecks.Of(model)),
            .. Judging.All(OnePhasePointChecks.ChoiceId, model.Id, BoardRow.Converter, "One phase", () => OnePhasePointChecks.Of(model)),
            .. Judging.All("pv.string-voltage", model.Id, BoardRow.Supply, "Array", () => SunChecks.Of(model)),
            .. Judging.All("pv.daily-water", model.Id, BoardRow.Load, "Water a day", () => SunWaterChecks.Of(model)),
            .. Judging.All("brake.sequence", model.Id, BoardRow.Motor, "Brake sequence", () => BrakeChecks.Of(model)),
        ];
        return new Judgement(checks, alternatives);
    }

    private sealed record Judgement(IReadOnlyList<Check> Checks, IReadOnlyList<EnergyAlternative> Alternatives);
}
