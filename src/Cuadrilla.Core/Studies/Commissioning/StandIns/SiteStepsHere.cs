using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What is done at a drive point and what is not: a stand-in refuses what the steps forbid.</summary>
internal sealed class SiteStepsHere(StepSource source)
{
    private readonly IReadOnlyDictionary<string, string> forbidden =
        SiteSteps.Of(source).ToDictionary(s => s.Id, s => s.Forbidden, StringComparer.Ordinal);

    /// <summary>Its speed is read back.</summary>
    public bool HasEncoder { get; } = IdentificationSteps.HasEncoder(source);

    /// <summary>Why a step is not done; null where it is.</summary>
    public string? WhyNot(string stepId) => !forbidden.TryGetValue(stepId, out var why) ? "not a step of this drive point"
        : why.Length > 0 ? why : null;
}
