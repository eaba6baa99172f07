using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>What carries bridges over an angle: the EMF's series against the sum itself, switching however short, slopes that are
/// learnt.</summary>
public sealed class SeriesIntegratorTests
{
    private const double StartRad = 0.3;

    [Fact]
    public void Series_of_the_EMF_about_any_place_are_the_sum_of_its_orders()
    {
        var random = new Random(5);
        var emf = new SpaceVector();
        foreach (var m in SpaceVector.All)
        {
            emf[m] = new Complex(random.NextDouble() - 0.5, random.NextDouble() - 0.5);
        }

        var series = new EmfSeries(emf, StartRad, Math.PI);
        double[] re = new double[EmfSeries.Length], im = new double[EmfSeries.Length];
        for (var i = 0; i < 200; i++)
        {
            var (cell, offset) = (random.Next(series.Cells), i % 5 == 0 ? 0 : random.NextDouble() * EmfSeries.CellRad);
            var ahead = random.NextDouble() * (EmfSeries.CellRad - offset);
            series.About(cell, offset, re, im);
            Complex sum = 0, expected = 0;
            for (var k = EmfSeries.Degree; k >= 0; k--)
            {
                sum = (sum * ahead) + new Complex(re[k], im[k]);
            }

            foreach (var (m, part) in emf.Parts())
            {
                expected += part * Complex.FromPolarCoordinates(1, m * (series.StartOf(cell) + offset + ahead));
            }

            Assert.InRange((sum - expected).Magnitude, 0, 1e-11);
        }
    }

    /// <summary>A bridge that blocks at a link a hair below the crest conducts for a moment: shorter than looks are apart.</summary>
    [Theory]
    [InlineData(0.02)]
    [InlineData(0.1)]
    [InlineData(0.4)]
    [InlineData(3)]
    public void Conduction_is_found_however_short(double halfWidthDeg)
    {
        var circuit = Bridge();
        var emf = new SpaceVector { [1] = -Complex.ImaginaryOne };
        var state = new double[circuit.Stride];
        state[circuit.Link(0)] = Math.Cos(halfWidthDeg * Math.PI / 180);
        var conduction = Conduction.None;
        using var track = new SeriesTrack(circuit.Stride);
        new SeriesIntegrator(circuit, new EmfSeries(emf, StartRad, Math.PI), 1).Advance(state, ref conduction, null, track);

        var begins = Enumerable.Range(0, track.Count).First(i => track[i].Mode.Conduction.Side(0) != 0);
        Assert.Equal(90 - halfWidthDeg, track[begins].StartRad * 180 / Math.PI, 6);
        Assert.True(state[circuit.Link(0)] > Math.Cos(halfWidthDeg * Math.PI / 180));
    }

    [Fact]
    public void A_link_above_the_crest_never_conducts()
    {
        var circuit = Bridge();
        var state = new double[circuit.Stride];
        state[circuit.Link(0)] = 1 + 1e-9;
        var conduction = Conduction.None;
        using var track = new SeriesTrack(circuit.Stride);
        var emf = new EmfSeries(new SpaceVector { [1] = -Complex.ImaginaryOne }, StartRad, Math.PI);
        new SeriesIntegrator(circuit, emf, 1).Advance(state, ref conduction, null, track);
        Assert.All(Enumerable.Range(0, track.Count), i => Assert.Equal(0, track[i].Mode.Conduction.Side(0)));
    }

    /// <summary>Of a linear map as many steps in different directions as there are tell all of it.</summary>
    [Fact]
    public void Slopes_of_a_linear_map_are_learnt_from_its_steps()
    {
        var truth = new[,] { { 0.4, 0.2, 0 }, { -0.1, 0.3, 0.1 }, { 0.05, 0, 0.3 } };
        var guess = new double[3, 3];
        var learnt = new LearntSlopes(guess);
        double[] Left(double[] x) => [.. Enumerable.Range(0, 3).Select(r => Enumerable.Range(0, 3).Sum(c => truth[r, c] * x[c]) - x[r])];
        double[] at = [0.3, -0.2, 0.1];
        learnt.Note(Left(at), true);
        for (var i = 0; i < 3; i++)
        {
            var step = new double[3];
            step[i] = 0.1;
            learnt.Stepped(step);
            at[i] += 0.1;
            learnt.Note(Left(at), true);
        }

        Assert.Equal(truth.Cast<double>(), learnt.Slopes.Cast<double>(), (a, b) => Math.Abs(a - b) < 1e-12);
        Assert.All(guess.Cast<double>(), g => Assert.Equal(0, g));

        // A kink is no slope, and rounding is none.
        learnt.Stepped([1e-12, 0, 0]);
        learnt.Note([1, 1, 1], true);
        learnt.Stepped([0.1, 0, 0]);
        learnt.Note([9, 9, 9], true);
        Assert.Equal(truth.Cast<double>(), learnt.Slopes.Cast<double>(), (a, b) => Math.Abs(a - b) < 1e-12);
    }

    private static SwitchedCircuit Bridge() => new()
    {
        PhasesOfBridge = 2,
        Axes = [0.5, -0.5],
        CommonR = 0,
        CommonX = 0,
        OwnR = [0.01, 0.01],
        OwnX = [0.02, 0.02],
        ChokeR = [0],
        ChokeX = [0],
        Links = [new SwitchedLink(10, 0, 0)],
        LinkOf = [0],
        ClampVoltage = 0.5,
    };
}
