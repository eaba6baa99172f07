using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>Several front ends with links of their own as one circuit.</summary>
public sealed class SeveralFrontsTests
{
    private static readonly Complex Shared = new(0.004, 0.02);

    [Fact]
    public void Two_alike_draw_what_one_of_twice_the_size_draws()
    {
        var both = FrontCircuit.OfSeveral([Front(40e3, 0.04), Front(40e3, 0.04)], Shared, null);
        var one = FrontCircuit.OfSeveral([Twice(Front(40e3, 0.04))], Shared, null);
        var (parts, whole) = (Spectra(both), Spectra(one));
        foreach (var m in SpaceVector.Sixfold)
        {
            Assert.Equal(whole[0].Line[m].Real, parts[0].Line[m].Real + parts[1].Line[m].Real, 1e-9);
            Assert.Equal(parts[0].Line[m].Imaginary, parts[1].Line[m].Imaginary, 1e-9);
        }
    }

    [Fact]
    public void With_next_to_nothing_shared_each_draws_what_it_draws_alone()
    {
        RectifierInput[] inputs = [Front(40e3, 0), Front(60e3, 0.04), Front(15e3, 0.03)];
        var circuit = FrontCircuit.OfSeveral(inputs, new Complex(1e-9, 1e-8), null);
        var spectra = Spectra(circuit);
        for (var k = 0; k < inputs.Length; k++)
        {
            var alone = FrontCircuit.Of(inputs[k]);
            var own = Spectra(alone)[0];
            var size = alone.CurrentBaseA / circuit.CurrentBaseA;
            Assert.All(SpaceVector.Sixfold, m => Assert.InRange(((size * own.Line[m]) - spectra[k].Line[m]).Magnitude, 0, 1e-5));
            Assert.Equal(own.LinkMean, spectra[k].LinkMean, 1e-5);
        }
    }

    [Fact]
    public void Power_is_kept_and_no_bridge_gives_back()
    {
        RectifierInput[] inputs = [Front(40e3, 0), Front(60e3, 0.04)];
        var circuit = FrontCircuit.OfSeveral(inputs, Shared, null);
        var emf = circuit.StatedEmf();
        var orbit = Assert.IsType<OrbitResult.Settled>(circuit.Orbit(emf, null));
        var spectra = orbit.Spectra;

        // What the EMF gives less the loss in the shared resistance and the own ones is what the loads take.
        var line = spectra[0].Line.Plus(spectra[1].Line, 1);
        var given = spectra.Sum(s => s.Powers.Sum());
        var ohm = circuit.VoltageBaseV / circuit.CurrentBaseA;
        var lost = 1.5 * Shared.Real / ohm * line.Square() + spectra.Zip(inputs).Sum(x =>
            (x.Second.SourceResistanceOhm / ohm * x.First.Squares.Sum()) + (x.Second.DcChokeResistanceOhm / ohm * x.First.ChokeSquare));
        Assert.Equal(1, given - lost, 2e-3);
        Assert.All(spectra, s => Assert.True(s.ChokeLow >= -1e-9));
    }

    private static OrbitSpectrum[] Spectra(FrontCircuit circuit)
    {
        var emf = circuit.StatedEmf();
        var orbit = Assert.IsType<OrbitResult.Settled>(circuit.Orbit(emf, null));
        return orbit.Spectra;
    }

    private static RectifierInput Twice(RectifierInput one) => one with
    {
        SourceResistanceOhm = one.SourceResistanceOhm / 2,
        SourceInductanceH = one.SourceInductanceH / 2,
        DcChokeH = one.DcChokeH / 2,
        DcChokeResistanceOhm = one.DcChokeResistanceOhm / 2,
        DcCapacitanceF = one.DcCapacitanceF * 2,
        DcLoadW = one.DcLoadW * 2,
    };

    private static RectifierInput Front(double loadW, double chokePu)
    {
        var ohm = 400.0 * 400 / loadW;
        return new RectifierInput
        {
            Kind = RectifierKind.SixPulse,
            LineVoltageV = 400,
            FrequencyHz = 50,
            SourceResistanceOhm = 0.003 * ohm,
            SourceInductanceH = 0.004 * ohm / (100 * Math.PI),
            DcChokeH = chokePu * ohm / (100 * Math.PI),
            DcChokeResistanceOhm = chokePu > 0 ? 0.004 * ohm : 0,
            DcCapacitanceF = 4 / (100 * Math.PI * ohm),
            DcLoadW = loadW,
        };
    }
}
