namespace Cuadrilla.Core.Studies.Energy;

/// <summary>
/// Efficiency class of a power drive system and of its complete drive module (IEC 61800-9-2): losses at the rated point against
/// those of the reference. IES0 above 120 %, IES1 to 80 %, IES2 below; for the module IE0 above 125 %, IE1 to 75 %, IE2 below.
/// See <c>docs/methods/system-class.md</c>.
/// </summary>
/// <param name="SystemPct">Losses of motor and converter, % of the reference system's.</param>
/// <param name="ModulePct">Losses of the converter, % of the reference module's.</param>
/// <param name="ReferenceSystemW">Losses of the reference system, W.</param>
/// <param name="ReferenceModuleW">Losses of the reference module, W.</param>
public readonly record struct SystemClass(double SystemPct, double ModulePct, double ReferenceSystemW, double ReferenceModuleW)
{
    /// <summary>Largest losses of each class, % of the reference, from class 0 on.</summary>
    public static IReadOnlyList<double> SystemLimitsPct { get; } = [double.PositiveInfinity, 120, 80];

    /// <summary>The same for the drive module.</summary>
    public static IReadOnlyList<double> ModuleLimitsPct { get; } = [double.PositiveInfinity, 125, 75];

    /// <summary>IES class, 0 to 2.</summary>
    public int Ies => ClassOf(SystemPct, SystemLimitsPct);

    /// <summary>IE class of the module, 0 to 2.</summary>
    public int Ie => ClassOf(ModulePct, ModuleLimitsPct);

    // Class 1 reaches from its limit down to that of class 2, both included.
    private static int ClassOf(double lossPct, IReadOnlyList<double> limitsPct) =>
        lossPct > limitsPct[1] ? 0 : lossPct >= limitsPct[2] ? 1 : 2;

    /// <summary>Compares.</summary>
    /// <param name="motorW">Losses of the motor on the converter at its rated point, W.</param>
    /// <param name="systemModuleW">Losses of the converter there, W.</param>
    /// <param name="moduleW">Losses of the converter at 90 % frequency and 100 % torque current, W.</param>
    /// <param name="referenceMotorW">Losses of the reference motor on a converter, W.</param>
    /// <param name="referenceModuleW">Losses of the reference module, W.</param>
    public static SystemClass Of(double motorW, double systemModuleW, double moduleW, double referenceMotorW, double referenceModuleW)
    {
        var reference = referenceMotorW + referenceModuleW;
        return new SystemClass(100 * (motorW + systemModuleW) / reference, 100 * moduleW / referenceModuleW, reference, referenceModuleW);
    }
}
