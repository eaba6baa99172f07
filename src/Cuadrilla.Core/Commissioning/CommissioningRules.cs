namespace Cuadrilla.Core.Commissioning;

/// <summary>What measurements on site are held to.</summary>
/// <param name="Insulation">Insulation of windings and cables.</param>
/// <param name="Rise">Rises of windings.</param>
/// <param name="Identification">Identified values.</param>
/// <param name="Statistics">Harmonic records.</param>
public sealed record CommissioningRules(InsulationRules Insulation, RiseLimits Rise, IdentificationWindows Identification,
    StatisticFactors Statistics);
