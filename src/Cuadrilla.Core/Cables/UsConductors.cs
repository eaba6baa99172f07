namespace Cuadrilla.Core.Cables;

/// <summary>A conductor of the US code.</summary>
/// <param name="Name">Its size, for example 4 AWG.</param>
/// <param name="SectionMm2">Its section, mm².</param>
/// <param name="CapacityA">Capacity of three copper conductors at 75 °C, A.</param>
/// <param name="LargestDeviceA">Largest overcurrent device, A; null: by its capacity.</param>
public sealed record UsConductor(string Name, double SectionMm2, double CapacityA, double? LargestDeviceA);

/// <summary>Full-load current of a motor by the US code's table.</summary>
/// <param name="RatedHp">Rated power, hp.</param>
/// <param name="At230A">At 220 to 240 V, A; null where the table has none.</param>
/// <param name="At460A">At 440 to 480 V, A.</param>
/// <param name="At575A">At 550 to 600 V, A.</param>
public sealed record UsMotor(double RatedHp, double? At230A, double At460A, double At575A);

/// <summary>Conductors, ratings and factors of the US installation code (NFPA 70).</summary>
/// <param name="Sizes">Copper conductors, smallest first.</param>
/// <param name="StandardA">Standard ratings of fuses and breakers, A, ascending.</param>
/// <param name="ConductorsPu">Up to so many current-carrying conductors together, factor.</param>
/// <param name="Earth">Up to so large a device, A: section of the equipment earth, mm².</param>
/// <param name="MotorBreakerPu">Largest inverse-time breaker ahead of a motor on the line, parts of its full-load current.</param>
/// <param name="MotorFusePu">Largest time-delay fuse ahead of it.</param>
/// <param name="Motors">Full-load currents of three-phase motors, smallest first.</param>
public sealed record UsConductors(
    IReadOnlyList<UsConductor> Sizes, IReadOnlyList<double> StandardA, IReadOnlyList<(double Conductors, double Pu)> ConductorsPu,
    IReadOnlyList<(double DeviceA, double Mm2)> Earth,
    double MotorBreakerPu, double MotorFusePu, IReadOnlyList<UsMotor> Motors)
{
    private const double LimitC = 75;
    private const double TableC = 30;

    // Powers of motors in kW stand this near to one in hp of the table.
    private const double PowerPu = 0.05;

    // Sizes are known to three digits.
    private const double Digit = 0.99;

    /// <summary>Factor for the temperature of the air, 310.15(B): 0 where nothing is left.</summary>
    public static double TemperatureFactor(double ambientC) => Math.Sqrt(Math.Max(0, (LimitC - ambientC) / (LimitC - TableC)));

    /// <summary>Factor for so many circuits of three conductors together.</summary>
    public double GroupFactor(int circuits) => ConductorsPu.First(c => 3 * circuits <= c.Conductors).Pu;

    /// <summary>The largest size that a section is at least; null below the smallest.</summary>
    public UsConductor? Of(double sectionMm2) => Sizes.LastOrDefault(s => s.SectionMm2 * Digit <= sectionMm2);

    /// <summary>Least equipment earth for a device, mm²; null above the table.</summary>
    public double? EarthMm2(double deviceA) => Earth.Where(e => deviceA <= e.DeviceA).Select(e => (double?)e.Mm2).FirstOrDefault();

    /// <summary>Largest device ahead of a motor on the line, A (430.52, the next standard rating up); null above the table.</summary>
    /// <param name="isFuse">True for fuses.</param>
    /// <param name="motorA">Full-load current of the motor, A.</param>
    public double? LargestForMotorA(bool isFuse, double motorA) => LeastA((isFuse ? MotorFusePu : MotorBreakerPu) * motorA);

    /// <summary>Full-load current that the code goes by for a motor, A (430.6, 430.250); null where its table has no such power or
    /// voltage.</summary>
    public double? MotorA(double ratedHp, double nominalVoltageV)
    {
        var row = Motors.Where(m => Math.Abs((m.RatedHp / ratedHp) - 1) <= PowerPu).MinBy(m => Math.Abs((m.RatedHp / ratedHp) - 1));
        return nominalVoltageV switch
        {
            >= 220 and <= 240 => row?.At230A,
            >= 440 and <= 480 => row?.At460A,
            >= 550 and <= 600 => row?.At575A,
            _ => null,
        };
    }

    /// <summary>Least standard rating for a current, A; null above the largest.</summary>
    public double? LeastA(double currentA) => StandardA.Where(r => r >= currentA).Select(r => (double?)r).FirstOrDefault();

    /// <summary>Largest standard rating within a current, A; null below the smallest.</summary>
    public double? MostA(double currentA) => StandardA.Where(r => r <= currentA).Select(r => (double?)r).LastOrDefault();
}
