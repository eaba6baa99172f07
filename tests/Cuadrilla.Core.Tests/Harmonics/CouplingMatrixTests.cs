using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>How the current of a front end moves with its EMF, against orbits with a slightly moved EMF.</summary>
public sealed class CouplingMatrixTests
{
    private const double Volts = 400;
    private const double RatedW = 75e3;
    private const double Omega = 2 * Math.PI * 50;

    // Choke and reactor in %, short-circuit ratio, unbalance, bridges.
    public static TheoryData<double, double, double, double, int> Circuits => new()
    {
        { 4, 0, 40, 0, 1 },
        { 0, 0, 40, 0, 1 },
        { 0, 4, 60, 0, 1 },
        { 4, 0, 40, 0.02, 1 },
        { 0, 0, 30, 0.01, 1 },
        { 3, 0, 40, 0, 2 },
        { 3, 0, 40, 0.01, 3 },
    };

    [Theory]
    [MemberData(nameof(Circuits))]
    public void It_tells_what_a_small_change_of_the_voltage_does(double chokePct, double reactorPct, double ratio, double unbalance,
        int bridges)
    {
        var ohm = Volts * Volts / RatedW;
        var input = new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = Volts,
            FrequencyHz = 50,
            SourceResistanceOhm = ohm / ratio / 8,
            SourceInductanceH = ohm / Omega * ((1 / ratio) + (reactorPct / 100)),
            DcChokeH = chokePct / 100 * ohm / Omega * bridges,
            DcChokeResistanceOhm = 0.01 * ohm,
            DcCapacitanceF = 75 * 400e-6,
            DcLoadW = RatedW,
            UnbalancePu = unbalance,
            Background = new HarmonicEmf(0.01, new Complex(0, 0.01)),
            Bridges = bridges,
            LeakageH = bridges > 1 ? 0.05 * ohm / Omega * bridges : 0,
        };
        Compare(FrontCircuit.Of(input));
    }

    [Fact]
    public void So_it_does_for_a_single_phase_bridge() =>
        Compare(FrontCircuit.Of(new RectifierInput
        {
            Kind = RectifierKind.SinglePhase,
            LineVoltageV = 230,
            FrequencyHz = 50,
            SourceResistanceOhm = 0.1,
            SourceInductanceH = 1e-3,
            DcChokeH = 0,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = 3e-3,
            DcLoadW = 2000,
        }));

    private static void Compare(FrontCircuit front)
    {
        var emf = front.StatedEmf();
        var orbit = Assert.IsType<OrbitResult.Settled>(front.Orbit(emf, null));
        var spectrum = orbit.Spectra[0];
        var matrix = CouplingMatrix.Of(front.Circuit, orbit, [spectrum.LinkMean], emf);
        var largest = 0.0;
        const double by = 1e-6;
        foreach (var m in matrix.Orders.Where(m => Math.Abs(m) < 26))
        {
            foreach (var direction in new[] { Complex.One, Complex.ImaginaryOne })
            {
                var moved = emf.Copy();
                moved[m] += by * direction;
                var found = Assert.IsType<OrbitResult.Settled>(front.Orbit(moved, orbit));
                var line = found.Spectra[0].Line;
                double error = 0, size = 0;
                for (var k = 0; k < matrix.Orders.Count; k++)
                {
                    var n = matrix.Orders[k];
                    var index = Enumerable.Range(0, matrix.Orders.Count).First(i => matrix.Orders[i] == m);
                    var told = 0.5 * ((matrix.Direct[k, index] * direction) + (matrix.Conjugate[k, index] * Complex.Conjugate(direction)));
                    var seen = (line[n] - spectrum.Line[n]) / by;
                    error = Math.Max(error, (told - seen).Magnitude);
                    size = Math.Max(size, seen.Magnitude);
                }

                largest = Math.Max(largest, error / size);
            }
        }

        Assert.InRange(largest, 0, 0.02);
    }
}
