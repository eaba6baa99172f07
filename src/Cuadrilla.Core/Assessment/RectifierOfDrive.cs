using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment;

/// <summary>
/// The front end of one drive on a shared bus. Attenuation rule: drives that conduct together share the network's voltage
/// drop, so each sees the common impedance scaled by (DC load of all)/(its own DC load), plus its own feeder. That ratio is
/// taken in steps of 0.4 %, which moves THDi by less than 0.06 points, so that an edit of one drive of a large plant leaves
/// the others as they were solved.
/// </summary>
internal static class RectifierOfDrive
{
    private const double LogarithmicStep = 0.004;

    public static RectifierInput Input(
        ConverterItem item, Source source, BusNetwork network, double emfV, Complex feederOhm, double dcLoadW, double allDcLoadW)
    {
        var omega = 2 * Math.PI * network.FrequencyHz;
        var ratio = Math.Exp(LogarithmicStep * Math.Round(Math.Log(allDcLoadW / dcLoadW) / LogarithmicStep));
        var seen = (network.BusOhm * ratio) + feederOhm;
        return new RectifierInput(
            RectifierKind.SixPulse,
            emfV,
            network.FrequencyHz,
            seen.Real,
            seen.Imaginary / omega,
            item.DcChokeH(network.FrequencyHz),
            item.ChokePct > 0 ? item.DcChokeResistanceOhm : 0,
            item.DcCapacitanceUf * 1e-6,
            dcLoadW,
            DcLoadModel.ConstantPower,
            Or0(source.UnbalancePct) / 100,
            Or0(source.BackgroundV5Pct) / 100,
            Or0(source.BackgroundV7Pct) / 100);
    }

    private static double Or0(Given value) => value.IsKnown ? value.Value : 0;
}
