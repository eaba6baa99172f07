using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Documents.Assessments;
using Microsoft.Net.Http.Headers;

namespace Cuadrilla.Web.Catalogue;

/// <summary>The catalogue in force.</summary>
internal sealed record CatalogueDocument(
    string Version, IReadOnlyList<MotorItem> Motors, IReadOnlyList<ConverterDocument> Converters, IReadOnlyList<DefaultValue> Defaults,
    IReadOnlyList<SoftStarterItem> SoftStarters,
    IReadOnlyList<StartPreset> StartPresets,
    IReadOnlyList<OutputFilterItem> OutputFilters,
    IReadOnlyList<SupplyModuleDocument> SupplyModules,
    IReadOnlyList<Region> Regions,
    IReadOnlyList<UsualSupply> UsualSupplies,
    IReadOnlyList<BrakePresetDocument> BrakePresets,
    IReadOnlyList<TransformerSeries> Transformers,
    IReadOnlyList<BrakeResistorDocument> BrakeResistors);

/// <summary>A preset of holding brakes as far as a screen names it.</summary>
/// <param name="Application">The machine in words.</param>
/// <param name="Why">What it is made for.</param>
internal sealed record BrakePresetDocument(string Application, string Why);

/// <summary>A brake resistor as far as a screen names it.</summary>
internal sealed record BrakeResistorDocument(string Id, string Name, double ResistanceOhm, double ContinuousKw, double MassKg,
    double PriceIndex);

/// <summary>A supply module as far as a screen names it.</summary>
internal sealed record SupplyModuleDocument(string Id, SupplyModuleKind Kind, double RatedKw, double RatedVoltageV, double PeakPu,
    double ReturnPu, double PrechargeUf, double PriceIndex);

/// <summary>Catalogue endpoints.</summary>
internal static class CatalogueEndpoints
{
    public static void MapCatalogue(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/catalogue", (HttpContext context, EngineeringData data) =>
        {
            // It does not change while the program runs: asked again, it is not sent again.
            var tag = new EntityTagHeaderValue($"\"{data.Version}\"");
            context.Response.GetTypedHeaders().ETag = tag;
            context.Response.Headers.CacheControl = "private, no-cache";
            return context.Request.GetTypedHeaders().IfNoneMatch.Any(known => known.Compare(tag, useStrongComparison: false))
                ? Results.StatusCode(StatusCodes.Status304NotModified)
                : Results.Ok(Document(data));
        })
        .Produces<CatalogueDocument>().Produces(StatusCodes.Status304NotModified)
        .WithName("getCatalogue").WithTags("Catalogue");

    private static CatalogueDocument Document(EngineeringData data) => new(
        data.Version, [.. data.Motors.Values], [.. data.Converters.Values.Select(ConverterDocument.Of)], data.Defaults,
        [.. data.SoftStarters.Values], data.StartPresets,
        data.OutputFilters,
        [.. data.SupplyModules.Values.Select(m =>
            new SupplyModuleDocument(m.Id, m.Kind, m.RatedKw, m.RatedVoltageV, m.PeakPu, m.ReturnPu, m.PrechargeUf, m.PriceIndex))],
        data.Regions,
        data.UsualSupplies,
        [.. data.BrakePresets.Select(p => new BrakePresetDocument(p.Application, p.Why))],
        data.Transformers,
        [.. data.BrakeResistors.Select(r =>
            new BrakeResistorDocument(r.Id, r.Name, r.ResistanceOhm, r.ContinuousKw, r.MassKg, r.PriceIndex))]);
}
