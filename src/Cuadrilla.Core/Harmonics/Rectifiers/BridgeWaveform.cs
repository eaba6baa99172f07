namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>Reads a settled orbit at any angle, unfolding its symmetry.</summary>
internal sealed class BridgeWaveform(BridgeCircuit circuit, BridgeStep[] steps, double currentBaseA, double voltageBaseV) : IRectifierWaveform
{
    /// <summary>State at the start of the orbit, per unit: where the search for a nearby one begins.</summary>
    public BridgeState Start => steps[0].Start;

    public double LineCurrentA(double angleRad)
    {
        var state = At(angleRad, out var turns);
        if (!circuit.IsSixfold)
        {
            return currentBaseA * (turns % 2 == 0 ? state.A : -state.A);
        }

        return currentBaseA * (turns % 6) switch
        {
            0 => state.A,
            1 => -state.B,
            2 => state.C,
            3 => -state.A,
            4 => state.B,
            _ => -state.C,
        };
    }

    public double LinkVoltageV(double angleRad) => voltageBaseV * At(angleRad, out _).Voltage;

    private BridgeState At(double angleRad, out int turns)
    {
        var start = steps[0].StartAngleRad;
        var offset = angleRad - start;
        offset -= 2 * Math.PI * Math.Floor(offset / (2 * Math.PI));
        turns = (int)Math.Floor(offset / circuit.RepeatAngleRad);
        var local = start + offset - (turns * circuit.RepeatAngleRad);
        var low = 0;
        var high = steps.Length - 1;
        while (low < high)
        {
            var middle = (low + high + 1) / 2;
            if (steps[middle].StartAngleRad <= local)
            {
                low = middle;
            }
            else
            {
                high = middle - 1;
            }
        }

        ref readonly var step = ref steps[low];
        var u = step.WidthRad > 0 ? Math.Clamp((local - step.StartAngleRad) / step.WidthRad, 0, 1) : 0;
        return BridgeState.Between(step, u);
    }
}
