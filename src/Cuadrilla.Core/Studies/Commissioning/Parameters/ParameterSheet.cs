using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>What is to be set at the unit of a drive point, each with its origin; method <c>docs/methods/parameters.md</c>.</summary>
/// <param name="PointId">The drive point.</param>
/// <param name="Product">What the unit is: products of one name share a mapping of parameter numbers.</param>
/// <param name="Rows">In the order of the sheet.</param>
public sealed record ParameterSheet(string PointId, string Product, IReadOnlyList<ParameterRow> Rows)
{
    /// <summary>Writes the sheet; without rows for a motor whose unit stands at another drive point.</summary>
    public static ParameterSheet Of(ParameterSource source)
    {
        ArgumentNullException.ThrowIfNull(source);
        var list = new ParameterList();
        var choice = source.Model.Choice;
        var product = source.Point.Converter switch
        {
            ConverterChoice.OfGroup => string.Empty,
            ConverterChoice.SoftStarter s => $"{source.Model.Data.SoftStarters.GetValueOrDefault(s.ItemId)?.Series ?? s.ItemId}",
            ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta => "overload relay",
            ConverterChoice.FromCatalogue => source.Model.WholeItem?.Series ?? string.Empty,
            _ => string.Empty,
        };
        if (source.Point.Converter is ConverterChoice.OfGroup)
        {
            return new(source.Point.Id, product, []);
        }

        MotorParameters.Plate(list, source);
        if (choice is not null)
        {
            MotorParameters.Control(list, source, choice);
            LimitParameters.Of(list, source);
            RunningParameters.Of(list, source, choice);
            ReactionParameters.Of(list, source, choice);
            TogetherParameters.Of(list, source);
        }
        else if (source.Point.Converter.IsOnLine())
        {
            StarterParameters.Of(list, source);
        }
        else
        {
            list.In(ParameterGroup.Control, BoardRow.Converter);
            list.Missing("control.mode", "control mode", string.Empty, "converter");
        }

        SignalParameters.Of(list, source);
        list.In(ParameterGroup.Site, BoardRow.Converter);
        list.OnSite("site.firmware", "firmware", "read at the unit");
        list.OnSite("site.access", "access level", "who may change parameters, as left");
        list.OnSite("site.checksum", "checksum of the parameter set", "read at the unit after the last change");
        return new(source.Point.Id, product, list.Rows);
    }

    /// <summary>What is otherwise than in an earlier sheet: key, what it was and what it is; empty where a row is new or gone.</summary>
    public IReadOnlyList<ParameterChange> Since(ParameterSheet earlier)
    {
        ArgumentNullException.ThrowIfNull(earlier);
        var was = earlier.Rows.ToDictionary(r => r.Id, StringComparer.Ordinal);
        var now = Rows.Select(r => r.Id).ToHashSet(StringComparer.Ordinal);
        return
        [
            .. Rows.Where(r => was.GetValueOrDefault(r.Id) is not { } o || o.Text != r.Text || o.Unit != r.Unit || o.Scaling != r.Scaling)
                .Select(r => new ParameterChange(r.Id, r.Name, was.GetValueOrDefault(r.Id)?.Text ?? string.Empty, r.Text, r.Unit)),
            .. earlier.Rows.Where(r => !now.Contains(r.Id)).Select(r => new ParameterChange(r.Id, r.Name, r.Text, string.Empty, r.Unit)),
        ];
    }
}

/// <summary>A row that changed since a sheet was issued.</summary>
/// <param name="Id">Neutral key.</param>
/// <param name="Name">Neutral name.</param>
/// <param name="Was">Value then; empty: it was not there.</param>
/// <param name="Is">Value now; empty: it is gone.</param>
/// <param name="Unit">Its unit.</param>
public sealed record ParameterChange(string Id, string Name, string Was, string Is, string Unit);
