namespace Cuadrilla.Core.Protection;

/// <summary>A step of a figure that falls with the voltage.</summary>
/// <param name="VoltageV">Up to this voltage, V.</param>
/// <param name="Value">Its value.</param>
public sealed record VoltageStep(double VoltageV, double Value);

/// <summary>A contactor.</summary>
/// <param name="Ac3A">Rated operational current, motors (AC-3), A.</param>
/// <param name="Ac1A">Rated operational current, nearly resistive (AC-1), A.</param>
public sealed record ContactorItem(double Ac3A, double Ac1A)
{
    /// <summary>Voltage up to which both are stated, V; null for the series, whose currents fall with the voltage.</summary>
    public double? StatedToV { get; init; }
}

/// <summary>Fuses aR of a generic series.</summary>
/// <param name="RatedA">Ratings, A, ascending.</param>
/// <param name="TotalA2sPerA2">Total I²t in A²s for each square ampere of rating.</param>
/// <param name="BreakingKa">Breaking capacity, kA.</param>
/// <param name="Lasts10SPu">What it carries for 10 s, start after start, parts of its rating.</param>
/// <param name="Lasts01SPu">The same for 0.1 s.</param>
public sealed record SemiconductorSeries(IReadOnlyList<double> RatedA, double TotalA2sPerA2, double BreakingKa, double Lasts10SPu,
    double Lasts01SPu);

/// <summary>Circuit breakers of a generic series.</summary>
/// <param name="RatedA">Rated currents, A, ascending.</param>
/// <param name="OverloadFromPu">Least setting of the overload release, parts of the rated current.</param>
/// <param name="MagneticPu">Short-circuit release, parts of the rated current.</param>
/// <param name="Breaking">Breaking capacity in kA by voltage.</param>
/// <param name="LetThroughA2sPerA">Let-through energy of a full short circuit in A²s for each ampere of rating.</param>
public sealed record BreakerSeries(IReadOnlyList<double> RatedA, double OverloadFromPu, double MagneticPu,
    IReadOnlyList<VoltageStep> Breaking, double LetThroughA2sPerA)
{
    /// <summary>Breaking capacity at a voltage, kA; null above all it is made for.</summary>
    public double? BreakingKa(double voltageV) => Steps.At(Breaking, voltageV);
}

/// <summary>Generic protective and switching devices as the catalogue has them.</summary>
/// <param name="FuseBreaking">Breaking capacity of gG fuses in kA by voltage.</param>
/// <param name="Semiconductor">Fuses aR.</param>
/// <param name="Breakers">Moulded-case circuit breakers.</param>
/// <param name="MotorBreakers">Motor-protective circuit breakers.</param>
/// <param name="Contactors">Contactors, smallest first.</param>
/// <param name="ContactorPu">What a contactor carries in AC-3 at higher voltages, parts of its rating.</param>
/// <param name="MotorMagneticPu">Short-circuit release of a breaker for a motor on the line.</param>
/// <param name="MagneticTolerancePu">By how much a short-circuit release may be off.</param>
/// <param name="ClearsS">Time in which a breaker has cleared once its short-circuit release trips, s.</param>
public sealed record SwitchgearSeries(
    IReadOnlyList<VoltageStep> FuseBreaking, SemiconductorSeries Semiconductor, BreakerSeries Breakers, BreakerSeries MotorBreakers,
    IReadOnlyList<ContactorItem> Contactors,
    IReadOnlyList<VoltageStep> ContactorPu, double MotorMagneticPu, double MagneticTolerancePu, double ClearsS)
{
    /// <summary>Rated operational currents of isolators, AC-21A and AC-23A, A, ascending.</summary>
    public IReadOnlyList<double> IsolatorA { get; init; } = [];

    /// <summary>Rated operational currents of contactors for capacitors, AC-6b, A, ascending.</summary>
    public IReadOnlyList<double> CapacitorContactorA { get; init; } = [];

    /// <summary>Breaking capacity of gG fuses at a voltage, kA; null above all they are made for.</summary>
    public double? FuseBreakingKa(double voltageV) => Steps.At(FuseBreaking, voltageV);

    /// <summary>The smallest contactor for a current of motors on the line; null where none is large enough.</summary>
    public ContactorItem? ForAc3(double currentA, double voltageV) =>
        At(voltageV).FirstOrDefault(c => c.Ac3A * FactorPu(c, voltageV) >= currentA);

    /// <summary>The smallest contactor for a current that it does not break under load of a motor.</summary>
    public ContactorItem? ForAc1(double currentA, double voltageV) => At(voltageV).FirstOrDefault(c => c.Ac1A >= currentA);

    /// <summary>Contactors of the project's own lists, smallest first; where there are some for a voltage, they go before the
    /// series.</summary>
    public IReadOnlyList<ContactorItem> OwnContactors { get; init; } = [];

    private IEnumerable<ContactorItem> At(double voltageV) =>
        OwnContactors.Where(c => voltageV <= c.StatedToV).ToList() is { Count: > 0 } own ? own : Contactors;

    private double FactorPu(ContactorItem contactor, double voltageV) =>
        contactor.StatedToV is null ? Steps.At(ContactorPu, voltageV) ?? 0 : 1;
}

internal static class Steps
{
    public static double? At(IReadOnlyList<VoltageStep> steps, double voltageV) => steps.FirstOrDefault(s => voltageV <= s.VoltageV)?.Value;
}
