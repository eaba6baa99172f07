using Cuadrilla.Core.Converters.FrontEnds;

namespace Cuadrilla.Core.Converters;

/// <summary>Kinds of supply module of a common DC bus.</summary>
public enum SupplyModuleKind
{
    /// <summary>Diodes; pre-charge by resistor.</summary>
    Diode,

    /// <summary>Thyristors above, diodes below; pre-charge by firing angle.</summary>
    HalfControlled,

    /// <summary>Two thyristor bridges; power returns.</summary>
    RegenerativeThyristor,

    /// <summary>Transistors behind a line filter; power returns, sinusoidal current.</summary>
    Active,
}

/// <summary>A supply module of a common DC bus.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Series">Series it belongs to.</param>
/// <param name="Kind">What it is.</param>
/// <param name="FrontEnd">What it shows to the line.</param>
/// <param name="RatedKw">Power for ever, kW.</param>
/// <param name="RatedVoltageV">Line voltage, V.</param>
/// <param name="PeakPu">Peak power, parts of the rated.</param>
/// <param name="PeakTimeS">For how long, s.</param>
/// <param name="ReturnPu">Power it returns for ever, parts of the rated; 0 when none.</param>
/// <param name="PrechargeUf">Largest link capacitance it charges, µF.</param>
/// <param name="StandbyW">Loss when energised without load, W.</param>
/// <param name="ShortCircuitKa">Rated conditional short-circuit current, kA.</param>
/// <param name="Size">Dimensions, mass, air, terminals.</param>
/// <param name="PriceIndex">Price in points.</param>
/// <param name="Derating">What is left of its powers in warm or thin air.</param>
public sealed record SupplyModuleItem(
    string Id,
    string Series,
    SupplyModuleKind Kind,
    FrontEnd FrontEnd,
    double RatedKw,
    double RatedVoltageV,
    double PeakPu,
    double PeakTimeS,
    double ReturnPu,
    double PrechargeUf,
    double StandbyW,
    double ShortCircuitKa,
    ConverterSize Size,
    double PriceIndex,
    SiteDerating Derating)
{
    /// <summary>Peak power and its time as a rating; the store empties within nine times that time.</summary>
    public OverloadRating Overload => new(Math.Max(PeakPu, 1.01), PeakTimeS, 10 * PeakTimeS, Math.Max(PeakPu, 1.01));

    /// <summary>The module as what the line sees: a converter of its size that gives no more than stand-by by itself.</summary>
    /// <param name="capacitanceF">Capacitance of all members, F.</param>
    public ConverterItem AsFront(double capacitanceF)
    {
        var none = new ConverterLossPoints(0, 0, 0, 0, 0, 0, 0, 0);
        var kind = Kind switch
        {
            SupplyModuleKind.Active => ConverterKind.ActiveFrontEnd,
            SupplyModuleKind.RegenerativeThyristor => ConverterKind.ThyristorFourQuadrant,
            _ => ConverterKind.SixPulse,
        };
        return new ConverterItem(
            Id, Series, kind, FrontEnd, RatedKw, RatedVoltageV, 0, 0, capacitanceF * 1e6, none, StandbyW, Overload, Overload,
            new ConverterDerating(40, 0, 60, 1000, 0, 5000, [new SwitchingFactor(0, 1)], 1), ShortCircuitKa, null, Size, PriceIndex);
    }
}
