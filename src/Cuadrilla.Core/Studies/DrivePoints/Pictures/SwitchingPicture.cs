using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>What one switching frequency means: current, noise, losses, interference.</summary>
/// <param name="SwitchingKhz">Switching frequency, kHz.</param>
/// <param name="SiteCurrentA">Continuous current of the converter at this site, A.</param>
/// <param name="NoiseRiseDb">Rise of the motor's sound level over sinusoidal supply, dB(A).</param>
/// <param name="EarthCurrentMa">Mean charging current of the motor cable, all conductors, mA; absent without length and section, and where
/// no edges reach the cable.</param>
public sealed record AtSwitching(double SwitchingKhz, double SiteCurrentA, double NoiseRiseDb, double? EarthCurrentMa)
{
    /// <summary>Loss of the converter at its continuous current and 90 % of rated frequency, with what charging the cable costs,
    /// W.</summary>
    public double LossW { get; init; }

    /// <summary>Longest motor cable for which charging leaves the converter nine tenths of its current, m; absent where no edges reach
    /// it.</summary>
    public double? MostCableM { get; init; }

    /// <summary>True where the maker's declaration of the EMC filter still holds; absent where there is none.</summary>
    public bool? FilterHolds { get; init; }
}

/// <summary>
/// Switching frequency against audible noise, derating, losses and interference. What charges the cable is the engine's C·U·f of each
/// conductor: what filters and screens have to return, not what a network conducts. See <c>docs/methods/common-mode.md</c>.
/// </summary>
public static class SwitchingPicture
{
    private const double LossFrequencyPu = 0.9;

    // A peak current is not asked for here: any usual slope and impedance do.
    private const double SlopeKvPerUs = 5;
    private const double ImpedanceOhm = 20;

    /// <summary>Points of the converter's range, ascending; empty without converter.</summary>
    public static IReadOnlyList<AtSwitching> Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model.Converter is not { } converter
            ? []
            : [.. converter.Item.Derating.Switching.Select(s => s.Khz).Append(converter.SwitchingKhz).Distinct().Order()
                .Select(khz => At(model, converter, khz))];
    }

    private static AtSwitching At(DrivePointModel model, ConverterAtSite chosen, double khz)
    {
        var at = new ConverterAtSite(chosen.Item, chosen.Duty, khz, model.Input.Site, chosen.Feed);
        var charging = Charging(model, chosen, khz);
        var declared = chosen.Item.Emc.With(model.Input.DrivePoint.Interference.Filter);
        return new AtSwitching(khz, at.SiteCurrentA, Curve.At(model.Data.SwitchingNoise, khz), charging is { } c ? 3e3 * c.ChargingA : null)
        {
            LossW = at.LossW(LossFrequencyPu, at.SiteCurrentA) + (3 * (charging?.LossW ?? 0)),
            MostCableM = charging is { ChargingA: > 0 } of
                ? model.Input.DrivePoint.Cable.LengthM.Value * of.PermittedA / of.ChargingA
                : null,
            FilterHolds = declared is null ? null : khz <= declared.MostSwitchingKhz,
        };
    }

    private static CommonMode.Result? Charging(DrivePointModel model, ConverterAtSite chosen, double khz)
    {
        var (item, cable) = (chosen.Item, model.Input.DrivePoint.Cable);
        if (item.FrontEnd is FrontEnd.Thyristor || model.Filter is { Sinusoidal: true }
            || cable is not { LengthM: { IsKnown: true, Value: > 0 }, CrossSectionMm2.IsKnown: true })
        {
            return null;
        }

        var linkV = (item.FrontEnd is FrontEnd.DcLink ? Math.Sqrt(2) : item.FrontEnd.NoLoadLinkPu)
            * (model.TwoConductorV ?? model.Input.BusVoltageV);
        return CommonMode.Of(new CommonMode.Case(
            cable.LengthM.Value * cable.ParallelRuns, cable.CrossSectionMm2.Value, null, SlopeKvPerUs, linkV, khz, item.LightCurrentA,
            ImpedanceOhm));
    }
}
