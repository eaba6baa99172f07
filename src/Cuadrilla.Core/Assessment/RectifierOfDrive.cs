using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Assessment;

/// <summary>
/// The front end of one drive on a shared bus. Attenuation rule: drives that conduct together share the network's voltage
/// drop, so each sees the common impedance scaled by (DC load of all)/(its own DC load), plus its own feeder.
/// </summary>
internal static class RectifierOfDrive
{
    public static RectifierInput Input(
        ConverterItem item, BusNetwork network, double emfV, Complex feederOhm, double dcLoadW, double allDcLoadW)
    {
        var omega = 2 * Math.PI * network.FrequencyHz;
        var seen = (network.BusOhm * (allDcLoadW / dcLoadW)) + feederOhm;
        return new RectifierInput(
            RectifierKind.SixPulse,
            emfV,
            network.FrequencyHz,
            seen.Real,
            seen.Imaginary / omega,
            item.DcChokeH(network.FrequencyHz),
            item.ChokePct > 0 ? item.DcChokeResistanceOhm : 0,
            item.DcCapacitanceUf * 1e-6,
            dcLoadW);
    }
}
