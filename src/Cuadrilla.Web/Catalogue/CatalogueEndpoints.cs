using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Web.Catalogue;

/// <summary>The catalogue in force.</summary>
internal sealed record CatalogueDocument(
    string Version, IReadOnlyList<MotorItem> Motors, IReadOnlyList<ConverterItem> Converters, IReadOnlyList<DefaultValue> Defaults);

/// <summary>Catalogue endpoints.</summary>
internal static class CatalogueEndpoints
{
    public static void MapCatalogue(this WebApplication app) => app.MapGet("/api/catalogue", (EngineeringData data) =>
            new CatalogueDocument(data.Version, [.. data.Motors.Values], [.. data.Converters.Values], data.Defaults))
        .WithName("getCatalogue").WithTags("Catalogue");
}
