using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>How each order of a line current moves with each order of the EMF: δi_n = ½·Σ_m (P_nm·δs_m + Q_nm·δs_m*).</summary>
/// <param name="Orders">Orders of rows and columns.</param>
/// <param name="Direct">P.</param>
/// <param name="Conjugate">Q.</param>
internal sealed record OrderCoupling(IReadOnlyList<int> Orders, Complex[,] Direct, Complex[,] Conjugate)
{
    /// <summary>How the start of the orbit moves with them; null where there is no orbit.</summary>
    public StartSlopes? Starts { get; init; }
}
