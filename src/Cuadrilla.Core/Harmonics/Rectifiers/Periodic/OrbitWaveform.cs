namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>A cycle of an orbit, for pictures.</summary>
/// <param name="circuit">The bridges.</param>
/// <param name="orbit">The orbit.</param>
/// <param name="amperes">Size of a unit of current, A.</param>
/// <param name="volts">Size of a unit of voltage, V.</param>
/// <param name="link">Link that it tells of, with the bridges that feed it.</param>
internal sealed class OrbitWaveform(SwitchedCircuit circuit, OrbitResult.Settled orbit, double amperes, double volts,
    int link = 0) : IRectifierWaveform
{
    private readonly Lazy<SeriesTrack> cycle = new(() => PeriodicOrbit.Again(circuit, orbit));

    /// <summary>The orbit, where the next search may begin.</summary>
    public OrbitResult.Settled Orbit => orbit;

    /// <inheritdoc/>
    public double LineCurrentA(double angleRad) => amperes * circuit.LineCurrent(At(angleRad), First, Count).Real;

    /// <inheritdoc/>
    public double LinkVoltageV(double angleRad) => volts * At(angleRad)[circuit.Link(link)];

    private int First => Array.IndexOf(circuit.LinkOf, link) * circuit.PhasesOfBridge;

    private int Count => circuit.LinkOf.Count(l => l == link) * circuit.PhasesOfBridge;

    private double[] At(double angleRad)
    {
        var repeat = orbit.IsSixfold ? Math.PI / 3 : Math.PI;
        var later = angleRad - orbit.StartRad;
        var times = (int)Math.Floor(later / repeat);
        var angle = orbit.StartRad + (later - (times * repeat));
        var (track, i) = (cycle.Value, 0);
        while (i + 1 < track.Count && track[i + 1].StartRad <= angle + 1e-12)
        {
            i++;
        }

        var state = new double[circuit.Stride];
        track.At(i, angle - track[i].StartRad, state);
        for (var sixth = 0; sixth < ((times % 6) + 6) % 6; sixth++)
        {
            Later(state);
        }

        return state;
    }

    // One repeat angle on: the inverse of the renaming that brings a state back.
    private void Later(double[] state)
    {
        var before = state.AsSpan(0, circuit.Phases).ToArray();
        for (var x = 0; x < circuit.Phases; x++)
        {
            state[PeriodicOrbit.Source(circuit, x, orbit.IsSixfold)] = -before[x];
        }
    }
}
