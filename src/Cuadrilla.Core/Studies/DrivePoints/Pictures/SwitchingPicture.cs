using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>What one switching frequency means: current, noise, interference.</summary>
/// <param name="SwitchingKhz">Switching frequency, kHz.</param>
/// <param name="SiteCurrentA">Continuous current of the converter at this site, A.</param>
/// <param name="NoiseRiseDb">Rise of the motor's sound level over sinusoidal supply, dB(A).</param>
/// <param name="EarthCurrentMa">Mean charging current of the cable's capacitance to earth, mA; absent without cable length.</param>
public sealed record AtSwitching(double SwitchingKhz, double SiteCurrentA, double NoiseRiseDb, double? EarthCurrentMa);

/// <summary>
/// Switching frequency against audible noise, derating and interference. The cable's capacitance C to earth is charged and
/// discharged once in each period by the link voltage: I = 2·f·C·U_d, U_d = √2·U. It measures what filters and screens have to
/// return, not what a network conducts.
/// </summary>
public static class SwitchingPicture
{
    /// <summary>Points of the converter's range, ascending; empty without converter.</summary>
    public static IReadOnlyList<AtSwitching> Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Converter is not { } converter)
        {
            return [];
        }

        var cable = model.Input.DrivePoint.Cable;
        var defaults = model.Input.Defaults;
        return
        [
            .. converter.Item.Derating.Switching
                .Select(s => s.Khz)
                .Append(converter.SwitchingKhz)
                .Distinct()
                .Order()
                .Select(khz => new AtSwitching(
                    khz,
                    new ConverterAtSite(converter.Item, converter.Duty, khz, model.Input.Site, converter.Feed).SiteCurrentA,
                    Curve.At(model.Data.SwitchingNoise, khz),
                    cable.LengthM.IsKnown
                        ? 1e3 * 2 * khz * 1e3 * defaults.CableCapacitanceFPerM * cable.LengthM.Value * cable.ParallelRuns * Math.Sqrt(2) * model.Input.BusVoltageV
                        : null)),
        ];
    }
}
