namespace Cuadrilla.Core.Commissioning;

/// <summary>What measurements on site are held to.</summary>
/// <param name="Insulation">Insulation of windings and cables.</param>
/// <param name="Rise">Rises of windings.</param>
/// <param name="Identification">Identified values.</param>
/// <param name="Statistics">Harmonic records.</param>
/// <param name="Parameters">Settings that are usual where nobody decided.</param>
/// <param name="Site">Windows of further steps on site.</param>
public sealed record CommissioningRules(InsulationRules Insulation, RiseLimits Rise, IdentificationWindows Identification,
    StatisticFactors Statistics, UsualParameters Parameters, SiteRules Site);
