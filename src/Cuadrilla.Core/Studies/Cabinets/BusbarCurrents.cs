using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>What the busbar of a lineup carries in each section: rms currents of the solved front ends and of the motors on the line, added
/// up as numbers, which is on the safe side.</summary>
public sealed class BusbarCurrents
{
    private readonly CabinetStudy study;
    private readonly IReadOnlyList<ScenarioResult> scenarios;

    private BusbarCurrents(CabinetStudy study, IReadOnlyList<ScenarioResult> scenarios)
    {
        (this.study, this.scenarios) = (study, scenarios);
        Missing = [.. study.Missing, .. scenarios.Count < study.Scenarios ? ["a scenario that can be computed"] : Array.Empty<string>(),
            .. scenarios.SelectMany(s => s.Unsettled).Distinct(StringComparer.Ordinal), .. Unknown().Distinct(StringComparer.Ordinal),
            .. study.Runs(study.Units) ? Array.Empty<string>() : ["a scenario in which a part of it runs"]];
    }

    /// <summary>Of solved scenarios.</summary>
    public static BusbarCurrents Of(CabinetStudy study, IReadOnlyList<ScenarioResult> scenarios)
    {
        ArgumentNullException.ThrowIfNull(study);
        ArgumentNullException.ThrowIfNull(scenarios);
        return new BusbarCurrents(study, scenarios);
    }

    /// <summary>What is missing before they are known.</summary>
    public IReadOnlyList<string> Missing { get; }

    /// <summary>Largest current in a section, of all scenarios: what its units and those beyond it draw, A; null while something is
    /// missing.</summary>
    public double? In(CabinetSection section)
    {
        ArgumentNullException.ThrowIfNull(section);
        var beyond = study.Layout.Sections.Where(s => s.Number >= section.Number).SelectMany(s => s.Units).Select(u => u.Unit).ToList();
        return Missing.Count > 0 ? null : scenarios.Max(s => beyond.Sum(u => Ampere(u, s)!.Value));
    }

    private IEnumerable<string> Unknown() => scenarios.SelectMany(s => study.Units.Where(u => Ampere(u, s) is null).Select(u => u.Name));

    // A front end that does not conduct draws nothing; one that has no current was said above to be unsettled.
    private double? Ampere(CabinetUnit unit, ScenarioResult solved)
    {
        if (unit.FrontId.Length == 0)
        {
            return study.Scenario(solved.ScenarioId) is { } scenario ? unit.LineA(scenario) : null;
        }

        return solved.Drives.FirstOrDefault(d => d.DrivePointId == unit.FrontId) is not { } drive ? 0
            : drive.Front is RectifierResult.LineDraw draw ? draw.WorstPhase.RmsA
            : null;
    }
}
