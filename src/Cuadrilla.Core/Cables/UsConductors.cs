namespace Cuadrilla.Core.Cables;

/// <summary>A conductor of the US code.</summary>
/// <param name="Name">Its size, for example 4 AWG.</param>
/// <param name="SectionMm2">Its section, mm².</param>
/// <param name="CapacityA">Capacity of three copper conductors at 75 °C, A.</param>
/// <param name="LargestDeviceA">Largest overcurrent device, A; null: by its capacity.</param>
public sealed record UsConductor(string Name, double SectionMm2, double CapacityA, double? LargestDeviceA);

/// <summary>Conductors, ratings and factors of the US installation code (NFPA 70).</summary>
/// <param name="Sizes">Copper conductors, smallest first.</param>
/// <param name="StandardA">Standard ratings of fuses and breakers, A, ascending.</param>
/// <param name="ConductorsPu">Up to so many current-carrying conductors together, factor.</param>
/// <param name="Earth">Up to so large a device, A: section of the equipment earth, mm².</param>
/// <param name="MotorBreakerPu">Largest inverse-time breaker ahead of a motor on the line, parts of its full-load current.</param>
/// <param name="MotorFusePu">Largest time-delay fuse ahead of it.</param>
public sealed record UsConductors(
    IReadOnlyList<UsConductor> Sizes, IReadOnlyList<double> StandardA, IReadOnlyList<(double Conductors, double Pu)> ConductorsPu, IReadOnlyList<(double DeviceA, double Mm2)> Earth,
    double MotorBreakerPu, double MotorFusePu)
{
    private const double LimitC = 75;
    private const double TableC = 30;

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

    /// <summary>Least standard rating for a current, A; null above the largest.</summary>
    public double? LeastA(double currentA) => StandardA.Where(r => r >= currentA).Select(r => (double?)r).FirstOrDefault();

    /// <summary>Largest standard rating within a current, A; null below the smallest.</summary>
    public double? MostA(double currentA) => StandardA.Where(r => r <= currentA).Select(r => (double?)r).LastOrDefault();
}
