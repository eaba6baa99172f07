using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Levels of link voltages. Equal by value.</summary>
public sealed record LinkDefaults
{
    private const double StatedAtV = 400;

    /// <summary>Highest link voltage that a 400 V converter stands, V; others in proportion.</summary>
    [Default("link-rating-v")]
    public double RatingOf400V { get; init; }

    /// <summary>Link voltage at which a chopper works where its maker states none, parts of the line voltage.</summary>
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
    public double RatingV(double lineV) => RatingOf400V * lineV / StatedAtV;
}
