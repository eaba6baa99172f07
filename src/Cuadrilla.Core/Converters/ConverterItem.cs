namespace Cuadrilla.Core.Converters;

/// <summary>A two-level converter with a six-pulse diode front end.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Series">Series it belongs to.</param>
/// <param name="RatedKw">Nominal size for light overload, kW.</param>
/// <param name="RatedVoltageV">Line voltage, V.</param>
/// <param name="LightCurrentA">Continuous output current for light overload, A.</param>
/// <param name="HeavyCurrentA">Continuous output current for heavy overload, A.</param>
/// <param name="ChokePct">DC choke in per cent of U²/P of the nominal size at the rated frequency; 0 for none.</param>
/// <param name="ChokeLossPu">Loss of that choke at rated power, in parts of the rated power.</param>
/// <param name="DcFormFactor">Rms over mean of the bridge current at rated load, used only where the front end is not solved.</param>
/// <param name="DcCapacitanceUf">Link capacitance, µF.</param>
/// <param name="Losses">Losses at the eight points.</param>
/// <param name="StandbyW">Loss when energised but stopped, W.</param>
/// <param name="LightOverload">Overload on the light rating.</param>
/// <param name="HeavyOverload">Overload on the heavy rating.</param>
/// <param name="Derating">Derating rules.</param>
/// <param name="ShortCircuitKa">Rated conditional short-circuit current at its input, with the fuses the maker states, kA.</param>
/// <param name="LeastBrakeOhm">Least resistance at its chopper, ohm.</param>
/// <param name="ChopperV">Link voltage at which the chopper works, V.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="AirflowM3PerH">Cooling air, m³/h.</param>
/// <param name="PriceIndex">Price in points of the catalogue's index.</param>
public sealed record ConverterItem(
    string Id,
    string Series,
    double RatedKw,
    double RatedVoltageV,
    double LightCurrentA,
    double HeavyCurrentA,
    double ChokePct,
    double ChokeLossPu,
    double DcFormFactor,
    double DcCapacitanceUf,
    ConverterLossPoints Losses,
    double StandbyW,
    OverloadRating LightOverload,
    OverloadRating HeavyOverload,
    ConverterDerating Derating,
    double ShortCircuitKa,
    double LeastBrakeOhm,
    double ChopperV,
    double WidthMm,
    double MassKg,
    double AirflowM3PerH,
    double PriceIndex)
{
    /// <summary>Continuous output current of a duty before derating, A.</summary>
    public double RatedCurrentA(OverloadDuty duty) => duty == OverloadDuty.Light ? LightCurrentA : HeavyCurrentA;

    /// <summary>Overload rating of a duty.</summary>
    public OverloadRating Overload(OverloadDuty duty) => duty == OverloadDuty.Light ? LightOverload : HeavyOverload;

    /// <summary>Inductance of the DC choke, H.</summary>
    public double DcChokeH(double frequencyHz) =>
        ChokePct / 100 * RatedVoltageV * RatedVoltageV / (RatedKw * 1e3) / (2 * Math.PI * frequencyHz);

    /// <summary>Resistance of the DC choke, ohm: its rated loss over the square of the mean link current at rated power.</summary>
    public double DcChokeResistanceOhm
    {
        get
        {
            var currentA = RatedKw * 1e3 / NoLoadLinkVoltageV;
            return ChokeLossPu * RatedKw * 1e3 / (currentA * currentA);
        }
    }

    /// <summary>Mean link voltage without drops, 3·√2/π·U, V.</summary>
    public double NoLoadLinkVoltageV => 3 * Math.Sqrt(2) / Math.PI * RatedVoltageV;
}

/// <summary>An overload: a current for a time, once in a cycle, the rest of the cycle at no more than rated current.</summary>
/// <param name="CurrentPu">Current in parts of the continuous current.</param>
/// <param name="TimeS">For how long, s.</param>
/// <param name="CycleS">How often, s.</param>
/// <param name="PeakPu">Current never exceeded, in parts of the continuous current.</param>
public sealed record OverloadRating(double CurrentPu, double TimeS, double CycleS, double PeakPu)
{
    /// <summary>
    /// Current in parts of the continuous one that may flow for a time: equal heat above the continuous current,
    /// (k²−1)·t constant, never above the peak.
    /// </summary>
    public double AllowedPu(double timeS) =>
        timeS <= 0 ? PeakPu : Math.Min(PeakPu, Math.Sqrt(1 + (((CurrentPu * CurrentPu) - 1) * TimeS / timeS)));
}
