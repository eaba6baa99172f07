using Cuadrilla.Core.Base;
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
                schema.Description = "A number, or null while it is not known.";
            }

            // The kind of a case is always written; the generator leaves it optional.
            if (schema.Properties?.ContainsKey("kind") == true)
            {
                schema.Required ??= new HashSet<string>();
                schema.Required.Add("kind");
            }

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
}
