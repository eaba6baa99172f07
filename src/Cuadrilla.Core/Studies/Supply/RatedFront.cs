using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
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
        var item = model.Converter.Item;
        var drive = RunningDrive.Of(model, OperatingPoint.OfBus(RatedW(model), item), busId);
        var volts = network.VoltageV(busId);
        var bus = network.ImpedanceOhm(busId);
        var place = new FrontPlace(volts, bus + drive.FeederOhm, network.FrequencyHz, 0, default, 0);
        if (FrontSolver.Solve(drive, place, Solved.Get) is not (RectifierResult.LineDraw draw, var circuit))
        {
            return null;
        }

        return Of(draw, circuit, volts, bus);
    }

    /// <summary>Largest rms current of a line conductor at the rated power of a converter on three phases at its rated voltage, A; null
    /// where no current repeats itself.</summary>
    /// <param name="model">A drive on a converter of its own, however that is fed.</param>
    /// <param name="network">Network of a scenario in which its bus is live.</param>
    /// <param name="busId">Its bus.</param>
    public static double? ThreePhaseA(DriveOnConverter model, SupplyNetwork network, string busId)
    {
        var item = model.Converter.Item;
        if (item.StatedInputA > 0)
        {
            return item.StatedInputA;
        }

        var drive = RunningDrive.Of(model, OperatingPoint.OfBus(RatedW(model), item), busId) with { Feed = SupplyFeed.ThreePhase };
        var place = new FrontPlace(item.RatedVoltageV, network.ImpedanceOhm(busId) + drive.FeederOhm, network.FrequencyHz, 0, default, 0);
        return FrontSolver.Solve(drive, place, Solved.Get).Front is RectifierResult.LineDraw draw ? draw.LoadedPhase.RmsA : null;
    }

    // The catalogue's kW are those of a motor's shaft.
    private static double RatedW(DriveOnConverter model) => (model.Converter.Item.RatedKw * 1e3 / model.Motor.Plate.Efficiency)
        + model.Converter.LossW(1, model.Converter.Item.LightCurrentA);

    private static RatedFront Of(RectifierResult.LineDraw draw, RectifierInput? circuit, double volts, System.Numerics.Complex bus)
    {
        var phase = draw.PhaseA;
        var voltage = (volts / Math.Sqrt(3)) - (bus * phase.Orders[0]);
        var turn = phase.Orders[4].Phase - (5 * voltage.Phase);
        return new RatedFront(draw, circuit is null ? double.NaN : turn * 180 / Math.PI);
    }
}
