using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// The line current of a drive at the rated power of its converter, alone on its bus with the least fault level and a sinusoidal, balanced
/// source: the rated input current that limits of single equipment refer to.
/// </summary>
/// <param name="Draw">Its currents.</param>
/// <param name="FifthDeg">Angle of the 5th against the fundamental phase voltage at the bus (sines), degrees; NaN where the catalogue
/// states no angles.</param>
internal sealed record RatedFront(RectifierResult.LineDraw Draw, double FifthDeg)
{
    private static readonly StudyMemory<RectifierInput, RectifierResult> Solved = new(RectifierStudy.Run, 1000);

    /// <summary>Solves it; null where no current repeats itself.</summary>
    /// <param name="model">A drive on a converter of its own.</param>
    /// <param name="network">Network of a scenario in which its bus is live.</param>
    /// <param name="busId">Its bus.</param>
    public static RatedFront? Of(DriveOnConverter model, SupplyNetwork network, string busId)
    {
        var (item, plate) = (model.Converter.Item, model.Motor.Plate);

        // The catalogue's kW are those of a motor's shaft.
        var ratedW = (item.RatedKw * 1e3 / plate.Efficiency) + model.Converter.LossW(1, item.LightCurrentA);
        var drive = RunningDrive.Of(model, OperatingPoint.OfBus(ratedW, item), busId);
        var volts = network.VoltageV(busId);
        var bus = network.ImpedanceOhm(busId);
        var place = new FrontPlace(volts, bus + drive.FeederOhm, network.FrequencyHz, 0, default, 0);
        if (FrontSolver.Solve(drive, place, Solved.Get) is not (RectifierResult.LineDraw draw, var circuit))
        {
            return null;
        }

        var phase = draw.PhaseA;
        var voltage = (volts / Math.Sqrt(3)) - (bus * phase.Orders[0]);
        var turn = phase.Orders[4].Phase - (5 * voltage.Phase);
        return new RatedFront(draw, circuit is null ? double.NaN : turn * 180 / Math.PI);
    }
}
