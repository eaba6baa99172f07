namespace Cuadrilla.Core.Brakes;

/// <summary>
/// Current of a brake coil, I = P/U, and how much longer it takes to fall with a suppression: i(t) = (1 + u)·e^(−t/τ) − u with the
/// clamping voltage u in parts of the coil's, down to the current at which the brake drops. See <c>docs/methods/holding-brake.md</c>.
/// </summary>
public static class CoilCircuit
{
    /// <summary>Rated current, A.</summary>
    public static double CurrentA(double powerW, double voltageV) => powerW / voltageV;

    /// <summary>Delay of the closing by the suppression, s.</summary>
    /// <param name="timeConstantS">L/R, s.</param>
    /// <param name="dropPu">Current at which the brake drops, parts of the rated, above 0 to 1.</param>
    /// <param name="clampPu">Clamping voltage, parts of the coil's rated voltage; 0 for a diode.</param>
    public static double DelayS(double timeConstantS, double dropPu, double clampPu) =>
        timeConstantS * Math.Log((1 + clampPu) / (dropPu + clampPu));
}
