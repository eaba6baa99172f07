using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification.Fields;
using Cuadrilla.Web.Accounts;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Cuadrilla.Web.Http;

/// <summary>What the OpenAPI generator can't see for itself.</summary>
internal static class OpenApiRules
{
    public static void Apply(OpenApiOptions options)
    {
        options.AddSchemaTransformer((schema, context, _) =>
        {
            if (context.JsonTypeInfo.Type == typeof(Given))
            {
                schema.Type = JsonSchemaType.Number | JsonSchemaType.Null;
                schema.Description ??= "A number, or null while it is not known.";
            }

            // The kind of a case is always written; the generator leaves it optional.
            if (schema.Properties?.ContainsKey("kind") == true)
            {
                schema.Required ??= new HashSet<string>();
                schema.Required.Add("kind");
            }

            // What is only computed is neither read nor written.
            foreach (var computed in context.JsonTypeInfo.Properties.Where(p => p.Set is null && p.AssociatedParameter is null))
            {
                schema.Properties?.Remove(computed.Name);
            }

            Describe(schema, context.JsonTypeInfo.Type);
            return Task.CompletedTask;
        });
        options.AddOperationTransformer((operation, context, _) =>
        {
            // What an endpoint asks of who calls it; the walk over the document tries every one.
            var metadata = context.Description.ActionDescriptor.EndpointMetadata;
            var least = metadata.OfType<IAllowAnonymous>().Any()
                ? "anyone"
                : metadata.OfType<LeastRole>().Select(r => r.Role).Max().ToString().ToLowerInvariant();
            operation.Extensions ??= new Dictionary<string, IOpenApiExtension>();
            operation.Extensions["x-role"] = new JsonNodeExtension(JsonValue.Create(least));
            return Task.CompletedTask;
        });
        options.AddDocumentTransformer((document, _, _) =>
        {
            // The address differs from machine to machine and would show up as drift.
            document.Servers?.Clear();
            document.Info.Title = "Cuadrilla";
            document.Info.Version = "1";
            return Task.CompletedTask;
        });
    }

    // Name, help and range of each entry, from the one table.
    private static void Describe(OpenApiSchema schema, Type record)
    {
        foreach (var field in FieldTable.Of(record))
        {
            var name = JsonNamingPolicy.CamelCase.ConvertName(field.Key);
            if (schema.Properties?.ContainsKey(name) != true)
            {
                continue;
            }

            var plain = schema.Properties[name] as OpenApiSchema;
            var described = new OpenApiSchema { Title = field.Name, Description = field.Help, Default = plain?.Default,
                Extensions = new Dictionary<string, IOpenApiExtension>() };
            switch (field)
            {
                case NumberField number:
                    described.Type = (number.IsWhole
                        ? JsonSchemaType.Integer
                        : JsonSchemaType.Number) | (number.IsOptional ? JsonSchemaType.Null : 0);
                    described.Minimum = number.IsAboveMin ? null : Say(number.Min);
                    described.ExclusiveMinimum = number.IsAboveMin ? Say(number.Min) : null;
                    described.Maximum = Say(number.Max);
                    Extend(described, "x-unit", number.Unit);
                    Extend(described, "x-shown", number.Shown);
                    Extend(described, "x-us", number.Us);
                    break;
                case TextField text:
                    described.Type = JsonSchemaType.String;
                    described.MinLength = text.Least;
                    described.MaxLength = text.Most;
                    break;
            }

            if (field is SwitchField)
            {
                described.Type = JsonSchemaType.Boolean;
            }
            else if (field is ChoiceField choice)
            {
                // A list of its own: the schema of the enumeration is shared with other fields.
                described.Type = JsonSchemaType.String;
                described.Enum = [.. choice.Options.Select(o =>
                    (JsonNode)JsonValue.Create(JsonNamingPolicy.KebabCaseLower.ConvertName(o.Value)))];
                described.Extensions["x-words"] = new JsonNodeExtension(new JsonArray([.. choice.Options.Select(o =>
                    (JsonNode)JsonValue.Create(o.Words))]));
            }

            Extend(described, "x-when-open", field.WhenOpen);
            Extend(described, "x-help-shown", field.IsHelpShown ? "yes" : string.Empty);
            schema.Properties[name] = described;
        }
    }

    private static void Extend(OpenApiSchema schema, string name, string value)
    {
        if (value.Length > 0)
        {
            schema.Extensions![name] = new JsonNodeExtension(JsonValue.Create(value));
        }
    }

    private static string Say(double value) => value.ToString(CultureInfo.InvariantCulture);
}
