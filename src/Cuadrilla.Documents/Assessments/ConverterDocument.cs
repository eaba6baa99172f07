using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Documents.Assessments;

/// <summary>A converter of the catalogue or of the project, as far as a screen names it.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">Kind in words.</param>
/// <param name="Kind">Kind.</param>
/// <param name="Family">Units of one family differ in size only.</param>
/// <param name="RatedKw">Size, kW.</param>
/// <param name="RatedHp">Size in hp where it is rated so; 0 where in kW.</param>
/// <param name="RatedVoltageV">Line voltage, V.</param>
/// <param name="LightCurrentA">Current for light overload, A.</param>
/// <param name="HeavyCurrentA">Current for heavy overload, A.</param>
/// <param name="ChokePct">DC choke, %.</param>
/// <param name="ReturnsToLine">Whether power passes both ways.</param>
/// <param name="HasChopper">Whether a brake resistor can be fitted.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="HeightMm">Height, mm.</param>
/// <param name="DepthMm">Depth, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="PriceIndex">Price in points.</param>
/// <param name="OwnName">Name of an imported item; empty otherwise.</param>
/// <param name="OwnCatalogue">Catalogue and version of an imported item; empty otherwise.</param>
/// <param name="Estimated">What an imported item took from the generic series.</param>
public sealed record ConverterDocument(
    string Id,
    string Name,
    ConverterKind Kind,
    string Family,
    double RatedKw,
    double RatedHp,
    double RatedVoltageV,
    double LightCurrentA,
    double HeavyCurrentA,
    double ChokePct,
    bool ReturnsToLine,
    bool HasChopper,
    double WidthMm,
    double HeightMm,
    double DepthMm,
    double MassKg,
    double PriceIndex,
    string OwnName,
    string OwnCatalogue,
    IReadOnlyList<string> Estimated)
{
    /// <summary>Of an item.</summary>
    public static ConverterDocument Of(ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return new ConverterDocument(
            item.Id, ItemText.Converter(item), item.Kind, item.Family, item.RatedKw, item.RatedHp, item.RatedVoltageV, item.LightCurrentA,
            item.HeavyCurrentA, item.ChokePct,
            item.FrontEnd.ReturnsToLine, item.Brake is not null, item.Size.WidthMm, item.Size.HeightMm, item.Size.DepthMm, item.Size.MassKg,
            item.PriceIndex,
            item.OwnName, item.OwnCatalogue, item.Estimated);
    }
}
