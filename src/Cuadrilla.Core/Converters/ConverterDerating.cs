namespace Cuadrilla.Core.Converters;

/// <summary>How a converter's continuous current falls with site and setting.</summary>
/// <param name="AmbientFreeC">Air up to which nothing is taken off, °C.</param>
/// <param name="AmbientPctPerK">Per cent for each kelvin above.</param>
/// <param name="AmbientMaxC">Highest permitted air, °C.</param>
/// <param name="AltitudeFreeM">Altitude up to which nothing is taken off, m.</param>
/// <param name="AltitudePctPer100M">Per cent for each 100 m above.</param>
/// <param name="AltitudeMaxM">Highest permitted altitude, m.</param>
/// <param name="Switching">Factor over switching frequency, rising in kHz.</param>
/// <param name="SinglePhaseFeedPu">Factor of a three-phase unit fed by two conductors only.</param>
public sealed record ConverterDerating(
    double AmbientFreeC,
    double AmbientPctPerK,
    double AmbientMaxC,
    double AltitudeFreeM,
    double AltitudePctPer100M,
    double AltitudeMaxM,
    IReadOnlyList<SwitchingFactor> Switching,
    double SinglePhaseFeedPu)
{
    /// <summary>Output frequency below which less is carried for long, Hz: the same transistors conduct for long at its peak.</summary>
    public double LowFrequencyHz { get; init; }

    /// <summary>Factor below it.</summary>
    public double LowFrequencyPu { get; init; } = 1;

    /// <summary>Factor for an output frequency that lasts.</summary>
    public double OutputPu(double frequencyHz) => frequencyHz < LowFrequencyHz ? LowFrequencyPu : 1;

    /// <summary>Factor for the air at the converter; 0 above the highest permitted.</summary>
    public double AmbientPu(double airC) =>
        airC > AmbientMaxC ? 0 : 1 - (AmbientPctPerK / 100 * Math.Max(0, airC - AmbientFreeC));

    /// <summary>Factor for the altitude; 0 above the highest permitted.</summary>
    public double AltitudePu(double altitudeM) =>
        altitudeM > AltitudeMaxM ? 0 : 1 - (AltitudePctPer100M / 100 * Math.Max(0, altitudeM - AltitudeFreeM) / 100);

    /// <summary>Factor for the switching frequency, linear between the points, 0 above the last.</summary>
    public double SwitchingPu(double switchingKhz)
    {
        if (switchingKhz <= Switching[0].Khz)
        {
            return Switching[0].FactorPu;
        }

        for (var i = 1; i < Switching.Count; i++)
        {
            if (switchingKhz <= Switching[i].Khz)
            {
                var part = (switchingKhz - Switching[i - 1].Khz) / (Switching[i].Khz - Switching[i - 1].Khz);
                return Switching[i - 1].FactorPu + (part * (Switching[i].FactorPu - Switching[i - 1].FactorPu));
            }
        }

        return 0;
    }
}

/// <summary>One point of a switching-frequency curve.</summary>
public sealed record SwitchingFactor(double Khz, double FactorPu);
