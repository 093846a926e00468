using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Sandbar.Core.Design;

/// <summary>The JSON form of sites, edits and patches: one set of options for all of them.</summary>
public static class SiteJson
{
    public static readonly JsonSerializerOptions Options = Configure(new JsonSerializerOptions());

    /// <summary>Applies the settings of the document form to other options, such as the server's.</summary>
    public static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.AllowOutOfOrderMetadataProperties = true;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
        options.MaxDepth = 64;
        // Written into files and bodies, never into a page: letters of the world's scripts may stay as they are.
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        return options;
    }
}
