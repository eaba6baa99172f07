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
public sealed record SupplyModuleItem
{
    /// <summary>Stable key.</summary>
    public required string Id { get; init; }

    /// <summary>Series it belongs to.</summary>
    public required string Series { get; init; }

    /// <summary>What it is.</summary>
    public required SupplyModuleKind Kind { get; init; }

    /// <summary>What it shows to the line.</summary>
    public required FrontEnd FrontEnd { get; init; }

    /// <summary>Power for ever, kW.</summary>
    public required double RatedKw { get; init; }

    /// <summary>Line voltage, V.</summary>
    public required double RatedVoltageV { get; init; }

    /// <summary>Peak power, parts of the rated.</summary>
    public required double PeakPu { get; init; }

    /// <summary>For how long, s.</summary>
    public required double PeakTimeS { get; init; }

    /// <summary>Power it returns for ever, parts of the rated; 0 when none.</summary>
    public required double ReturnPu { get; init; }

    /// <summary>Largest link capacitance it charges, µF.</summary>
    public required double PrechargeUf { get; init; }

    /// <summary>Loss when energised without load, W.</summary>
    public required double StandbyW { get; init; }

    /// <summary>Rated conditional short-circuit current, kA.</summary>
    public required double ShortCircuitKa { get; init; }

    /// <summary>Largest gG fuse, or breaker of that rating, that its maker lists, A; 0 where none is.</summary>
    public double LargestFuseA { get; init; }

    /// <summary>What its maker declares of interference, for the motor cables of all its inverters together.</summary>
    public EmcDeclaration Emc { get; init; } = EmcDeclaration.Nothing;

    /// <summary>Dimensions, mass, air, terminals.</summary>
    public required ConverterSize Size { get; init; }

    /// <summary>Price in points.</summary>
    public required double PriceIndex { get; init; }

    /// <summary>What is left of its powers in warm or thin air.</summary>
    public required SiteDerating Derating { get; init; }

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
        return new ConverterItem
        {
            Id = Id,
            Series = Series,
            Kind = kind,
            FrontEnd = FrontEnd,
            RatedKw = RatedKw,
            RatedVoltageV = RatedVoltageV,
            LightCurrentA = 0,
            HeavyCurrentA = 0,
            DcCapacitanceUf = capacitanceF * 1e6,
            Losses = none,
            StandbyW = StandbyW,
            LightOverload = Overload,
            HeavyOverload = Overload,
            Derating = new ConverterDerating(40, 0, 60, 1000, 0, 5000, [new SwitchingFactor(0, 1)], 1),
            ShortCircuitKa = ShortCircuitKa,
            Brake = null,
            Size = Size,
            PriceIndex = PriceIndex,
        };
    }
}
