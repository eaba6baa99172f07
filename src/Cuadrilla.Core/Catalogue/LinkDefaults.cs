using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Levels of link voltages. Equal by value.</summary>
public sealed record LinkDefaults
{
    /// <summary>Highest link voltage that a converter of the class of 380 to 500 V stands, V; of another class in proportion.</summary>
    [Default("link-rating-v")]
    public double RatingOf400V { get; init; }

    /// <summary>Link voltage at which a chopper works where its maker states none, parts of 400 V in the class of 380 to 500 V; of another
    /// in proportion.</summary>
    [Default("chopper-level-pu")]
    public double ChopperPu { get; init; }

    /// <summary>Link voltage that an active front end keeps, parts of the line's peak.</summary>
    [Default("link-boost-pu")]
    public double BoostPu { get; init; }

    /// <summary>The same at its highest.</summary>
    [Default("link-boost-highest-pu")]
    public double HighestBoostPu { get; init; }

    /// <summary>Highest line voltage in service, parts of the nominal.</summary>
    [Default("line-high-pu")]
    public double LineHighPu { get; init; }

    /// <summary>Highest link voltage that a converter stands, V.</summary>
    /// <param name="lineV">Its rated voltage, V.</param>
    public double RatingV(double lineV) => RatingOf400V * VoltageClass.LinkPu(lineV);

    /// <summary>Link voltage at which a chopper works where its maker states none, V.</summary>
    /// <param name="lineV">Voltage it is made for, V.</param>
    public double ChopperV(double lineV) => ChopperPu * 400 * VoltageClass.LinkPu(lineV);

    /// <summary>Link voltage at which a converter trips for want of voltage, of its rest.</summary>
    [Default("link-low-pu")]
    public double LinkLowPu { get; init; }
}
