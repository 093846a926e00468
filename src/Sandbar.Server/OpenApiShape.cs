using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Sandbar.Server;

/// <summary>Gives the OpenAPI document the shape that typed clients need.</summary>
internal static class OpenApiShape
{
    private const string Discriminator = "kind";

    public static void Configure(OpenApiOptions options)
    {
        options.AddDocumentTransformer((document, _, _) =>
        {
            document.Info = new() { Title = "Sandbar", Version = "1" };
            document.Servers = [];
            foreach (var schema in document.Components?.Schemas?.Values.OfType<OpenApiSchema>() ?? [])
            {
                // Cases of a union are told apart by kind: it must be there, and exactly one case holds.
                if (schema.Properties?.ContainsKey(Discriminator) == true)
                {
                    (schema.Required ??= new HashSet<string>()).Add(Discriminator);
                    schema.Type = JsonSchemaType.Object;
                }
                if (schema is not { Discriminator: not null, AnyOf.Count: > 0 }) continue;
                schema.OneOf = schema.AnyOf;
                schema.AnyOf = null;
                schema.Required = null;
            }
            return Task.CompletedTask;
        });
    }
}
