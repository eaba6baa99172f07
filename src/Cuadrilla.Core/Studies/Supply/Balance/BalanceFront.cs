using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// A front end of a scenario as the balance of currents and voltages sees it: it hangs from a place of the network, sees an impedance
/// that its own circuit holds, and answers the EMF behind that with a current. How much of the network its circuit holds is free: the EMF
/// takes back what is not so, order by order.
/// </summary>
/// <param name="Drive">What runs.</param>
/// <param name="Place">Place among the network's; −1 on an infinite bus.</param>
/// <param name="Held">What its circuit holds of the network.</param>
/// <param name="ShiftRad">Angle of the vector groups ahead of it.</param>
/// <param name="BaseA">Base current of its bus, A.</param>
/// <param name="BusV">Nominal voltage of its bus, V.</param>
/// <param name="Circuit">Its circuit; null where closed form or catalogue data tell its current.</param>
/// <param name="FrontPlace">What closed form and catalogue data need.</param>
internal sealed record BalanceFront(
    RunningDrive Drive, int Place, HeldNetwork Held, double ShiftRad, double BaseA, double BusV, FrontCircuit? Circuit,
    FrontPlace FrontPlace)
{
    private const double Loop = Math.PI / 6;

    /// <summary>Its thyristor bridge; null for all others.</summary>
    public ThyristorFront? Thyristor { get; init; }

    /// <summary>True when it conducts between two conductors only.</summary>
    public bool IsLoop => Circuit?.Input.Kind == RectifierKind.SinglePhase;

    // Between two phases the loop's voltage is √3 times that of a phase and 30° ahead; between phase and neutral it is the phase's.
    private bool IsAcross => IsLoop && Circuit!.Input.LineVoltageV > 0.9 * BusV;

    private double LoopRad => IsAcross ? Loop : 0;

    /// <summary>Size of a circuit's unit of line current in the network.</summary>
    public double CurrentPu => Circuit is null
        ? (Thyristor?.Input.DcCurrentA ?? 0) / (Math.Sqrt(2) * BaseA)
        : (IsAcross ? Math.Sqrt(3) : 1) * Circuit.CurrentBaseA / (Math.Sqrt(2) * BaseA);

    /// <summary>Angles by which its own frame is turned and ahead in time, for an EMF in the frame of the source.</summary>
    public (double Turn, double Ahead) FrameOf(SpaceVector emf)
    {
        var ahead = (Complex.ImaginaryOne * emf[1]).Phase + ShiftRad;
        return (ShiftRad + LoopRad, ahead + LoopRad);
    }

    /// <summary>Solves it.</summary>
    /// <param name="emf">EMF in the frame of the source, per unit of nominal.</param>
    /// <param name="near">Orbit of nearly the same; null: none known.</param>
    /// <param name="precision">How near its start the orbit has to end.</param>
    public FrontAnswer Answer(SpaceVector emf, OrbitResult.Settled? near, double precision)
    {
        var (turn, ahead) = FrameOf(emf);
        var own = emf.Turned(turn, ahead);
        if (Circuit is null)
        {
            return Thyristor is null ? Stated(emf) : Fired(Thyristor, own, turn, ahead);
        }

        var orbit = Circuit.Orbit(own, near, precision: precision);
        if (orbit is not OrbitResult.Settled settled)
        {
            var none = RectifierStudy.None(Circuit.Input, orbit, Circuit.Circuit.Links.Length);
            return new FrontAnswer(new SpaceVector(), [], none, null, [], own);
        }

        var spectra = settled.Spectra;
        var parts = Array.ConvertAll(spectra, s => s.Line.Turned(-turn, -ahead, CurrentPu));
        var sum = parts.Skip(1).Aggregate(parts[0], (s, p) => s.Plus(p, 1));
        return new FrontAnswer(sum, parts, Circuit.Result(settled, own, spectra[0]), settled, spectra, own);
    }

    private FrontAnswer Fired(ThyristorFront thyristor, SpaceVector own, double turn, double ahead)
    {
        if (thyristor.At(own) is not var (line, squares))
        {
            return new FrontAnswer(new SpaceVector(), [], ThyristorFront.None, null, [], own);
        }

        var current = line.Turned(-turn, -ahead, CurrentPu);
        return new FrontAnswer(current, [current], thyristor.Result(own, line, squares), null, [], own);
    }

    private FrontAnswer Stated(SpaceVector emf)
    {
        var place = FrontPlace with { EmfV = BusV * emf[1].Magnitude };
        var (front, _) = FrontSolver.Solve(Drive, place, RectifierStudy.Run);
        var current = new SpaceVector();
        if (front is RectifierResult.LineDraw draw)
        {
            var wave = (Complex.ImaginaryOne * emf[1]).Phase;
            for (var h = 1; h <= SpaceVector.HighestOrder; h += 2)
            {
                var part = HarmonicSums.SequencesOf(draw, h, false).ToSource(h, wave + ShiftRad, ShiftRad) * (1 / BaseA);
                current.Set(h, part.Positive, part.Negative);
            }
        }

        return new FrontAnswer(current, [current], front, null, [], new SpaceVector());
    }
}
