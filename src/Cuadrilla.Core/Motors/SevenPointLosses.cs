using Cuadrilla.Core.Base;
using Cuadrilla.Core.Numerics;
namespace Cuadrilla.Core.Motors;

/// <summary>
/// Losses of a converter-fed motor measured at the seven points of IEC 60034-2-3, interpolated as that standard does:
/// P = c1 + c2·n + c3·n² + c4·n·T² + c5·n²·T² + c6·T + c7·T², speed and torque in parts of the rated. Seven points give the seven
/// coefficients exactly. Valid from about a quarter of rated speed and torque to the rated point and a little beyond.
/// </summary>
public sealed record SevenPointLosses
{
    /// <summary>Speed and torque of the points, in parts of the rated, in the order of the losses.</summary>
    public static readonly IReadOnlyList<(double SpeedPu, double TorquePu)> Points =
        [(0.9, 1), (0.5, 1), (0.25, 1), (0.9, 0.5), (0.5, 0.5), (0.5, 0.25), (0.25, 0.25)];

    private readonly double[] coefficients;

    /// <summary>Takes the losses, W, in the order of <see cref="Points"/>.</summary>
    /// <exception cref="UnfitDataException">They are not seven.</exception>
    public SevenPointLosses(IReadOnlyList<double> lossesW)
    {
        ArgumentNullException.ThrowIfNull(lossesW);
        if (lossesW.Count != Points.Count)
        {
            throw new UnfitDataException("Seven losses are needed.");
        }

        LossesW = [.. lossesW];

        // The seven points of the standard make it regular.
        coefficients = DenseLu<double>.Of([.. Points.SelectMany(p => Terms(p.SpeedPu, p.TorquePu))], Points.Count).Solve([.. lossesW]);
    }

    /// <summary>The losses as measured, W.</summary>
    public IReadOnlyList<double> LossesW { get; }

    /// <summary>Loss at a speed and torque, W.</summary>
    public double At(double speedPu, double torquePu)
    {
        var terms = Terms(speedPu, Math.Abs(torquePu));
        var sum = 0.0;
        for (var i = 0; i < terms.Length; i++)
        {
            sum += terms[i] * coefficients[i];
        }

        return sum;
    }

    /// <summary>Equal when every loss is.</summary>
    public bool Equals(SevenPointLosses? other) => other is not null && LossesW.SequenceEqual(other.LossesW);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(LossesW[0], LossesW[^1]);

    private static double[] Terms(double n, double t) => [1, n, n * n, n * t * t, n * n * t * t, t, t * t];
}
