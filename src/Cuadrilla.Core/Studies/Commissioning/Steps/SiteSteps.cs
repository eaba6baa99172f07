namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>All steps of a drive point in the order of the work; method <c>docs/methods/commissioning.md</c>.</summary>
public static class SiteSteps
{
    /// <summary>Key of the sign-off.</summary>
    public const string SignOffId = "sign-off";

    /// <summary>Writes them.</summary>
    public static IReadOnlyList<SiteStep> Of(StepSource source)
    {
        ArgumentNullException.ThrowIfNull(source);
        List<SiteStep> steps = [.. DeadSteps.Of(source), .. IdentificationSteps.Of(source), .. LoadedSteps.Of(source),
            .. FunctionSteps.Of(source)];
        var known = steps.Where(s => s.Forbidden.Length == 0).Select(s => s.Id).ToHashSet(StringComparer.Ordinal);

        // What is not done here can't be waited for.
        return [.. steps.Select(s => s with { After = [.. s.After.Where(known.Contains)] }).OrderBy(s => s.Phase)];
    }
}
