using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>Reads the settled half cycle of coupled bridges at any angle.</summary>
internal sealed class CoupledWaveform(CoupledCircuit circuit, IReadOnlyList<CoupledStep> steps) : IRectifierWaveform
{
    public double LineCurrentA(double angleRad)
    {
        var state = At(angleRad, out var isSecondHalf);
        double sum = 0;
        for (var x = 0; x < circuit.Phases; x++)
        {
            sum += 2.0 / 3 * state[x] * circuit.AxisCos[x];
        }

        return circuit.CurrentBaseA * (isSecondHalf ? -sum : sum);
    }

    public double LinkVoltageV(double angleRad) => circuit.VoltageBaseV * At(angleRad, out _)[circuit.Phases];

    private CoupledState At(double angleRad, out bool isSecondHalf)
    {
        var offset = angleRad - steps[0].StartRad;
        offset -= 2 * Math.PI * Math.Floor(offset / (2 * Math.PI));
        isSecondHalf = offset >= Math.PI;
        var local = steps[0].StartRad + offset - (isSecondHalf ? Math.PI : 0);
        int low = 0, high = steps.Count - 1;
        while (low < high)
        {
            var middle = (low + high + 1) / 2;
            (low, high) = steps[middle].StartRad <= local ? (middle, high) : (low, middle - 1);
        }

        var step = steps[low];
        var u = step.WidthRad > 0 ? Math.Clamp((local - step.StartRad) / step.WidthRad, 0, 1) : 0;
        return CoupledState.Between(step.Start, step.StartSlope, step.End, step.EndSlope, step.WidthRad, u);
    }
}
