using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Sandbar.Core.Design;

/// <summary>The JSON form of sites, edits and patches: one set of options for all of them.</summary>
public static class SiteJson
{
    /// <summary>For documents: what is null is left out, so that taking something away and never having had it are the same.</summary>
    public static readonly JsonSerializerOptions Options = Configure(new JsonSerializerOptions { DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull });

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
        options.TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { ListCases } };
        return options;
    }

    /// <summary>The cases of a union are the records that derive from it, each under its own name: a new one needs no entry anywhere.</summary>
    private static void ListCases(JsonTypeInfo info)
    {
        if (info.Type is not { IsAbstract: true } union || info.Kind != JsonTypeInfoKind.Object || union.Assembly != typeof(SiteJson).Assembly) return;
        var cases = union.Assembly.GetTypes().Where(t => t is { IsAbstract: false } && t.BaseType == union).OrderBy(t => t.Name, StringComparer.Ordinal).ToList();
        info.PolymorphismOptions = new() { TypeDiscriminatorPropertyName = "kind" };
        foreach (var type in cases) info.PolymorphismOptions.DerivedTypes.Add(new(type, CaseName(union, type)));
    }

    private static string CaseName(Type union, Type type) =>
        JsonNamingPolicy.CamelCase.ConvertName(type.Name.EndsWith(union.Name, StringComparison.Ordinal) ? type.Name[..^union.Name.Length] : type.Name);
}
