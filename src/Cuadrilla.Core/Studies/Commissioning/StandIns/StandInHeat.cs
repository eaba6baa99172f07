using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>Rises of a stand-in's winding, frame and bearing: one time constant, ends in proportion to the losses.</summary>
internal sealed class StandInHeat(StepSource source, HiddenTruth truth)
{
    // Parts of the permitted rise that a motor of the catalogue reaches at its rated point, of the winding's that its frame and bearing
    // show.
    private const double OfPermitted = 0.8, FrameOfWinding = 0.55, BearingOfWinding = 0.38;

    /// <summary>Rise of the winding, K.</summary>
    public double WindingK { get; private set; }

    /// <summary>Winding, °C.</summary>
    public double WindingC => truth.AmbientC + WindingK;

    /// <summary>Frame, °C.</summary>
    public double FrameC => truth.AmbientC + (FrameOfWinding * WindingK);

    /// <summary>Warmer bearing, °C.</summary>
    public double BearingC => truth.AmbientC + (BearingOfWinding * WindingK);

    /// <summary>Goes on.</summary>
    /// <param name="seconds">Time, s.</param>
    /// <param name="lossW">Losses, W; 0 at rest.</param>
    /// <param name="speedPu">Speed, parts of the rated.</param>
    public void Go(double seconds, double lossW, double speedPu)
    {
        var fitted = source.Model.Fitted!;
        var end = lossW <= 0 ? 0
            : OfPermitted * RatedRiseK(fitted.Choice.RiseUsed) * lossW / fitted.Item.Plate.RatedLossW / fitted.Budget.CoolingPu(speedPu);
        WindingK = end + ((WindingK - end) * Math.Exp(-seconds / truth.HeatTimeS));
    }

    private double RatedRiseK(ThermalClass rise) => source.Rules.Rise.LimitK[rise == ThermalClass.B
        ? Core.Commissioning.RiseClass.B
        : Core.Commissioning.RiseClass.F];
}
