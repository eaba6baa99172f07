using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>
/// The front ends of a scenario by place: those of one bus that conduct together share a place and the EMF behind it. Six-pulse bridges whose
/// buses have the same clock hour conduct together; every other front end is a place of its own.
/// </summary>
internal sealed class FrontPlaces
{
    // So many numbers describe the EMF of a place: fundamental, then each harmonic order, real and imaginary part.
    private const int Width = 10;

    private const double Hour = Math.PI / 6;

    // Beyond it the circuit of a front end is no longer a picture of anything.
    private const double LargestEmfPu = 0.25;

    private const double LargestStepPu = 0.2;
    private readonly SupplyNetwork network;
    private readonly Source source;
    private readonly List<Place> places = [];
    private readonly Dictionary<int, Complex[]> arriving;

    public FrontPlaces(SupplyNetwork network, Source source, IReadOnlyList<RunningDrive> running, Func<int, Complex[]> gainOfSource)
    {
        (this.network, this.source) = (network, source);
        arriving = HarmonicEmf.Orders.ToDictionary(h => h, h => Background(h) > 0 ? gainOfSource(h) : new Complex[network.NodeCount]);
        PlaceOf = new int[running.Count];
        var together = Enumerable.Range(0, running.Count).Where(i => running[i].ConductsTogether).GroupBy(i => network.ClockHour(running[i].BusId)).Select(g => g.ToList());
        var alone = Enumerable.Range(0, running.Count).Where(i => !running[i].ConductsTogether).Select(i => new List<int> { i });
        foreach (var (members, group) in together.Concat(alone).Select((m, g) => (m, g)))
        {
            Groups.Add(members);
            foreach (var bus in members.GroupBy(i => running[i].BusId))
            {
                foreach (var i in bus)
                {
                    PlaceOf[i] = places.Count;
                }

                places.Add(new Place(group, bus.Key));
            }
        }

        // Impedance between the places of a group, as the circuits of the front ends have it.
        transfer = new Complex[places.Count][];
        for (var p = 0; p < places.Count; p++)
        {
            transfer[p] = [.. places.Select(q => q.Group == places[p].Group ? network.TransferPu(places[p].BusId, q.BusId) : Complex.Zero)];
        }
    }

    private readonly Complex[][] transfer;

    /// <summary>Front ends that conduct together.</summary>
    public List<List<int>> Groups { get; } = [];

    /// <summary>Place of each front end.</summary>
    public int[] PlaceOf { get; }

    /// <summary>Impedance between the places of two front ends of one group, per unit.</summary>
    public Complex Transfer(int drive, int other) => transfer[PlaceOf[drive]][PlaceOf[other]];

    /// <summary>EMFs to begin with: a fundamental for each front end, the line's distortion as it is.</summary>
    public double[] FirstGuess(Complex[] fundamental)
    {
        var guess = new double[Width * places.Count];
        for (var i = 0; i < PlaceOf.Length; i++)
        {
            var p = PlaceOf[i];

            // Vector groups turn 5th and 7th against the fundamental by six times their angle: half a turn at odd hours.
            var turn = network.ClockHour(places[p].BusId) % 2 == 0 ? 1 : -1;
            Write(guess, p, fundamental[i], HarmonicEmf.Of(h => turn * Background(h)));
        }

        return guess;
    }

    /// <summary>EMFs of the place of a front end.</summary>
    public (Complex Fundamental, HarmonicEmf Harmonic) Read(double[] guess, int drive)
    {
        var at = Width * PlaceOf[drive];
        Complex Part(int k) => new(guess[at + (2 * k)], guess[at + (2 * k) + 1]);
        return (Part(0), new HarmonicEmf(Part(1), Part(2), Part(3), Part(4)));
    }

    /// <summary>Writes the EMFs of the place of a front end.</summary>
    public void WriteOf(double[] guess, int drive, Complex fundamental, HarmonicEmf harmonic) => Write(guess, PlaceOf[drive], fundamental, harmonic);

    /// <summary>Distance of two EMFs of the place of a front end.</summary>
    public double Distance(double[] a, double[] b, int drive)
    {
        double sum = 0;
        for (var k = Width * PlaceOf[drive]; k < Width * (PlaceOf[drive] + 1); k++)
        {
            sum += (a[k] - b[k]) * (a[k] - b[k]);
        }

        return Math.Sqrt(sum);
    }

    /// <summary>
    /// The EMFs that the network with the currents found asks for: E_h = V_h + Σ_k Z_k,h·I_k,h over the front ends k of the group, with the
    /// impedances that their circuits have, so that the circuit's terminals stand at the voltage of the network.
    /// </summary>
    public double[] Asked(HarmonicSums sums, IReadOnlyList<DriveInScenario> drives, double[] guess)
    {
        var currents = new Complex[places.Count, 1 + HarmonicEmf.Orders.Count];
        for (var i = 0; i < drives.Count; i++)
        {
            if (drives[i].Front is not RectifierResult.LineDraw draw)
            {
                continue;
            }

            currents[PlaceOf[i], 0] += HarmonicSums.InFrameOfSource(drives[i], draw, 1, network).Positive;
            for (var k = 0; k < HarmonicEmf.Orders.Count; k++)
            {
                var own = HarmonicSums.InFrameOfSource(drives[i], draw, HarmonicEmf.Orders[k], network);
                currents[PlaceOf[i], k + 1] += HarmonicEmf.TurnOf(HarmonicEmf.Orders[k]) > 0 ? own.Positive : own.Negative;
            }
        }

        var asked = (double[])guess.Clone();
        for (var p = 0; p < places.Count; p++)
        {
            var node = network.NodeOf(places[p].BusId);
            Complex Drop(int order, int k)
            {
                var sum = Complex.Zero;
                for (var q = 0; q < places.Count; q++)
                {
                    sum += new Complex(transfer[p][q].Real, order * transfer[p][q].Imaginary) * currents[q, k];
                }

                return sum;
            }

            var fundamental = sums.FundamentalOf(node) + Drop(1, 0);
            var shiftRad = -network.ClockHour(places[p].BusId) * Hour;
            var waveRad = fundamental.Phase + shiftRad;
            Write(asked, p, fundamental, HarmonicEmf.Of(h =>
            {
                var voltage = node == SupplyNetwork.Reference ? default : sums.VoltageOf(node, h);
                var sense = HarmonicEmf.TurnOf(h);
                var line = Background(h) * (node == SupplyNetwork.Reference ? 1 : arriving[h][node]);
                var there = (sense > 0 ? voltage.Positive : voltage.Negative) + Drop(h, 1 + Array.IndexOf(HarmonicEmf.All, h)) + line;
                var turned = there * Complex.FromPolarCoordinates(1 / fundamental.Magnitude, -((h * waveRad) - (sense * shiftRad)));
                return turned.Magnitude > LargestEmfPu ? turned * (LargestEmfPu / turned.Magnitude) : turned;
            }));
        }

        return asked;
    }

    /// <summary>The next guess, no further from the last than a step that the circuits bear, and no harmonic EMF beyond what they describe.</summary>
    public static double[] Limited(double[] next, double[] last)
    {
        for (var k = 0; k < next.Length; k++)
        {
            next[k] = Math.Clamp(next[k], last[k] - LargestStepPu, last[k] + LargestStepPu);
        }

        for (var k = 0; k < next.Length; k += 2)
        {
            var size = Math.Sqrt((next[k] * next[k]) + (next[k + 1] * next[k + 1]));
            if (k % Width != 0 && size > LargestEmfPu)
            {
                next[k] *= LargestEmfPu / size;
                next[k + 1] *= LargestEmfPu / size;
            }
        }

        return next;
    }

    private double Background(int order)
    {
        var given = order switch { 5 => source.BackgroundV5Pct, 7 => source.BackgroundV7Pct, _ => Given.Unknown };
        return given.IsKnown ? given.Value / 100 : 0;
    }

    private static void Write(double[] guess, int place, Complex fundamental, HarmonicEmf harmonic)
    {
        void Part(int k, Complex value) => (guess[(Width * place) + (2 * k)], guess[(Width * place) + (2 * k) + 1]) = (value.Real, value.Imaginary);
        Part(0, fundamental);
        Part(1, harmonic.V5);
        Part(2, harmonic.V7);
        Part(3, harmonic.V11);
        Part(4, harmonic.V13);
    }

    private readonly record struct Place(int Group, string BusId);
}
