using Cuadrilla.Core.Assessment.Alternatives;
using Cuadrilla.Core.Assessment.Checks;

namespace Cuadrilla.Core.Assessment;

/// <summary>All that follows from one drive point by itself.</summary>
/// <param name="Model">Its models.</param>
/// <param name="Checks">Its checks.</param>
/// <param name="Alternatives">Alternatives by lifetime cost; empty while something is missing.</param>
public sealed record DrivePointStudy(DrivePointModel Model, IReadOnlyList<Check> Checks, IReadOnlyList<EnergyAlternative> Alternatives)
{
    /// <summary>True when operating points from shaft to busbar can be computed.</summary>
    public bool IsComplete { get; } = !Model.Missing(withConverter: true).Any();

    /// <summary>Runs the study.</summary>
    public static DrivePointStudy Run(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        IReadOnlyList<EnergyAlternative> alternatives = EnergyAlternatives.Missing(model).Any() ? [] : EnergyAlternatives.Of(model);
        return new DrivePointStudy(
            model, [.. MotorChecks.Of(model), .. MotorRuleChecks.Of(model), .. ConverterChecks.Of(model), .. BrakingChecks.Of(model), EnergyCheck.Of(model, alternatives), SystemClassCheck.Of(model), .. ParallelCheck.Of(model), .. InertiaRatioCheck.Of(model), .. BrakeChecks.Of(model)], alternatives);
    }
}
