using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Shooting over the repeat angle by Newton's method, with the slopes carried along by the integrator. The repeat angle is a sixth of a
/// cycle where three phases are alike, else half a cycle.
/// </summary>
internal sealed partial class PeriodicOrbit
{
    /// <summary>As near as rounding lets it.</summary>
    public const double Finest = 1e-12;

    // In parts of the voltage without load: where the search began at a known orbit and a link has got here, it is better begun from
    // rest. One from rest may get here on its way, and come back.
    private const double RunAway = 4;
    private const int StaysDownSixths = 6;
    // A circuit that chatters takes thousands of stretches a cycle, others some twenty.
    private const int MostStretches = 120_000;
    private static readonly int[] PatienceSixths = [12, 60, 300, 900];

    // Followed for 300 sixths, a circuit that still ends each repeat this far from where it began, and has not come nearer, goes round in
    // another way. Counted over random plants: those that found an orbit later were nearer than 0.08 by then, the rest 0.2 and farther.
    private const double Far = 0.15;
    private const double StillFar = 0.7;

    // Sections to try, clear of the usual switching instants; multiples of a cell apart.
    private static readonly double[] Sections = [0.3, 0.3 + (3 * EmfSeries.CellRad), 0.3 + (7 * EmfSeries.CellRad),
        0.3 + (11 * EmfSeries.CellRad)];

    private readonly SwitchedCircuit circuit;
    private readonly SpaceVector emf;
    private readonly double scale;
    private readonly double noLoadVoltage;
    private readonly bool isSixfold;
    private readonly double precision;
    private SeriesIntegrator integrator;
    private double startRad;
    private long stretches;
    private bool isNearKnown;
    private StartSlopes? starts;
    private (SpaceVector Change, double[] State)? predicted;

    private PeriodicOrbit(SwitchedCircuit circuit, SpaceVector emf, double scale, double noLoadVoltage, double precision)
    {
        (this.circuit, this.emf, this.scale, this.noLoadVoltage, this.precision) = (circuit, emf, scale, noLoadVoltage, precision);
        isSixfold = circuit.PhasesOfBridge == 3 && emf.IsSixfold;
        startRad = Sections[0];
        integrator = new SeriesIntegrator(circuit, new EmfSeries(emf, startRad, RepeatRad), scale);
    }

    private double RepeatRad => isSixfold ? Math.PI / 3 : Math.PI;

    /// <summary>Solves a circuit.</summary>
    /// <param name="circuit">The bridges.</param>
    /// <param name="emf">EMF in the time of its own fundamental: its part 1 is −j·|e|.</param>
    /// <param name="scale">A usual current.</param>
    /// <param name="noLoadVoltage">Rectified EMF without load.</param>
    /// <param name="near">Orbit of a circuit that hardly differs, of the same size; null: none known.</param>
    /// <param name="patient">False: given up sooner.</param>
    /// <param name="precision">Distance of start and end of the orbit that is near enough, in parts of the usual.</param>
    public static OrbitResult Solve(
        SwitchedCircuit circuit, SpaceVector emf, double scale, double noLoadVoltage, OrbitResult.Settled? near, bool patient = true,
        double precision = Finest)
    {
        var search = new PeriodicOrbit(circuit, emf, scale, noLoadVoltage, precision);
        try
        {
            if (near is not null && near.Start.Length == circuit.Stride && search.From(near) is { } found)
            {
                return found;
            }

            return search.FromRest(patient);
        }
        catch (RectifierSearchException)
        {
            return new OrbitResult.Unsettled(double.NaN);
        }
    }

    private OrbitResult? From(OrbitResult.Settled near)
    {
        try
        {
            isNearKnown = true;
            Section(near.StartRad);
            var (state, conduction) = ((double[])near.Start.Clone(), near.Conduction);
            Predict(near, state, ref conduction);
            return Newton(state, conduction,
                SlopesFor(near) is { } slopes
                    ? near with { Slopes = slopes, Multiplier = MultiplierBy(near) }
                    : null) as OrbitResult.Settled;
        }
        catch (RectifierSearchException)
        {
            return null;
        }
        finally
        {
            isNearKnown = false;
            Section(Sections[0]);
        }
    }

    // Where the orbit begins as far as the EMF tells, to first order.
    private void Predict(OrbitResult.Settled near, double[] state, ref Conduction conduction)
    {
        starts = near.IsSixfold == isSixfold ? near.Starts : null;
        if (starts is not null && starts.ConductionKey == conduction.Key && emf.Plus(near.Emf, -1) is var change
            && change.Largest().Size is > 0 and < SurelyNearPu && Free(circuit, conduction) is var free
            && free.Count == starts.Rows.GetLength(0))
        {
            Move(state, ref conduction, free, starts.Step(change));
            predicted = (change, (double[])state.Clone());
        }
    }

    // What the prediction was wrong by corrects the next one.
    private StartSlopes? Learnt(double[] state, Conduction conduction) =>
        starts is null || predicted is not var (change, guess) || starts.ConductionKey != conduction.Key
            ? starts
            : starts.Learnt(change, [.. Free(circuit, conduction).Select(f => state[f.Index] - guess[f.Index])]);

    // NaN where an orbit near proves nothing: what grows here may have died out there.
    private double MultiplierBy(OrbitResult.Settled near) =>
        !ReferenceEquals(near.JudgedAt.Circuit, circuit) || emf.Plus(near.JudgedAt.Emf, -1).Largest().Size > SurelyNearPu ? double.NaN
        : near.IsSixfold == isSixfold ? near.Multiplier
        : Math.Pow(near.Multiplier, 3);

    // Three sixths on end are half a cycle.
    private double[,]? SlopesFor(OrbitResult.Settled near) =>
        near.Slopes.Length == 0 ? null
        : near.IsSixfold == isSixfold ? near.Slopes
        : near.IsSixfold ? SquareMatrix.Product(near.Slopes, SquareMatrix.Product(near.Slopes, near.Slopes))
        : null;

    private void Section(double at)
    {
        if (at != startRad)
        {
            startRad = at;
            integrator = new SeriesIntegrator(circuit, new EmfSeries(emf, startRad, RepeatRad), scale);
        }
    }

    private OrbitResult FromRest(bool patient)
    {
        var (state, conduction) = (new double[circuit.Stride], Conduction.None);
        for (var l = 0; l < circuit.Links.Length; l++)
        {
            state[circuit.Link(l)] = 0.95 * noLoadVoltage;
        }

        StartBank(state);
        OrbitResult last = new OrbitResult.Unsettled(double.NaN);
        foreach (var (sixths, section) in PatienceSixths.Zip(Sections))
        {
            // The circuit itself is followed towards its orbit, further each time that Newton did not find it.
            integrator.SetRough(true);
            var wanders = Follow(state, ref conduction, isSixfold ? sixths : sixths / 3);
            integrator.SetRough(false);
            if (sixths > PatienceSixths[0] && StaysDown(state, conduction))
            {
                return new OrbitResult.Collapsed();
            }

            if (Newton((double[])state.Clone(), conduction) is { } found)
            {
                if (found is not OrbitResult.Unsettled)
                {
                    return found;
                }

                last = found;
            }

            if ((!patient && sixths > 12) || stretches > MostStretches || (wanders && sixths == PatienceSixths[^2]))
            {
                break;
            }

            // Another section of the orbit: where a diode switches just at the old one, the map is not smooth there.
            var next = Sections[(Array.IndexOf(Sections, section) + 1) % Sections.Length];
            if (next > startRad)
            {
                new SeriesIntegrator(circuit, new EmfSeries(emf, startRad, next - startRad), scale).Advance(state, ref conduction);
                Section(next);
            }
        }

        // A link that falls below the clamp where the search ended is one that the supply can't hold.
        using var track = new SeriesTrack(circuit.Stride);
        for (var i = 0; i < PatienceSixths[0]; i++)
        {
            Map(state, ref conduction, null, track);
        }

        return HasCollapsed(track) ? new OrbitResult.Collapsed() : last;
    }

    // True where the last third of the repeats ends as far from its start as the first third did, and far.
    private bool Follow(double[] state, ref Conduction conduction, int repeats)
    {
        double early = 0;
        double late = 0;
        for (var i = 0; i < repeats && stretches < MostStretches; i++)
        {
            var before = (double[])state.Clone();
            Map(state, ref conduction, null);
            var distance = Distance(before, state);
            early = i < repeats / 3 ? Math.Max(early, distance) : early;
            late = i >= repeats - (repeats / 3) ? Math.Max(late, distance) : late;
        }

        return late > Far && late > StillFar * early;
    }

    // A link that has come to rest below the clamp draws no more than what it gets there.
    private bool StaysDown(double[] state, Conduction conduction)
    {
        var copy = (double[])state.Clone();
        using var track = new SeriesTrack(circuit.Stride);
        for (var i = 0; i < StaysDownSixths; i++)
        {
            Map(copy, ref conduction, null, track);
        }

        return Enumerable.Range(0, circuit.Links.Length).Any(l => circuit.Links[l].LoadPower > 0
            && Enumerable.Range(0, track.Count).All(i => track.Start(i)[circuit.Link(l)] < circuit.ClampVoltage));
    }

    // Voltage and current of the bank as the fundamental without bridges would have them.
    private void StartBank(double[] state)
    {
        if (circuit.Bank is not { } bank)
        {
            return;
        }

        var shunt = new Complex(0, bank.Susceptance);
        var at = emf[1] * Complex.FromPolarCoordinates(1, startRad);
        var volts = at / (1 + (new Complex(bank.R, bank.X) * shunt));
        var current = volts * shunt;
        (state[circuit.FirstOfBank], state[circuit.FirstOfBank + 1]) = (current.Real, current.Imaginary);
        (state[circuit.FirstOfBank + 2], state[circuit.FirstOfBank + 3]) = (volts.Real, volts.Imaginary);
    }

    private bool HasRunAway(double[] state) =>
        Enumerable.Range(0, circuit.Links.Length).Any(l => state[circuit.Link(l)] > RunAway * noLoadVoltage);

    private bool HasCollapsed(SeriesTrack track) => Enumerable.Range(0, circuit.Links.Length).Any(l => circuit.Links[l].LoadPower > 0
        && Enumerable.Range(0, track.Count).Any(i => track.Start(i)[circuit.Link(l)] < circuit.ClampVoltage));

    /// <summary>One repeat angle of an orbit again.</summary>
    public static SeriesTrack Again(SwitchedCircuit circuit, OrbitResult.Settled orbit)
    {
        var emf = new EmfSeries(orbit.Emf, orbit.StartRad, orbit.IsSixfold ? Math.PI / 3 : Math.PI);
        var (state, conduction, track) = ((double[])orbit.Start.Clone(), orbit.Conduction, new SeriesTrack(circuit.Stride));
        new SeriesIntegrator(circuit, emf, orbit.Scale).Advance(state, ref conduction, null, track);
        return track;
    }
}
