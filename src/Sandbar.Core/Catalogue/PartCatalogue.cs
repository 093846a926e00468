using System.Collections.Immutable;
using Sandbar.Core.Catalogue.Parts;

namespace Sandbar.Core.Catalogue;

/// <summary>The catalogue: every part, in the order it is listed and written.</summary>
public static class PartCatalogue
{
    public static readonly ImmutableArray<Part> All =
    [
        HeaderPart.Part,
        MenuPart.Part,
        FooterPart.Part,
        SectionPart.Part,
        GroupPart.Part,
        ColumnsPart.Part,
        HeadingPart.Level(1),
        HeadingPart.Level(2),
        HeadingPart.Level(3),
        HeadingPart.Level(4),
        ParagraphPart.Part,
        LinkPart.Part,
        ListPart.Part,
        TablePart.Part,
        QuotePart.Part,
        ButtonPart.Part,
        CardRowPart.Part,
        CardPart.Part,
        PicturePart.Part,
        FigurePart.Part,
        FormPart.Part,
        FormFieldPart.Part,
    ];

    private static readonly Dictionary<string, Part> ById = All.ToDictionary(p => p.Id, StringComparer.Ordinal);

    public static Part? Find(string id) => ById.GetValueOrDefault(id);

    /// <exception cref="KeyNotFoundException">There is no such part.</exception>
    public static Part Get(string id) => Find(id) ?? throw new KeyNotFoundException($"No part {id}.");
}
