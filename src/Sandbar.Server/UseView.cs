using Sandbar.Core.Design;
using Sandbar.Core.Foundations;

namespace Sandbar.Server;

/// <summary>What kind of place something is used in.</summary>
public enum UseKind
{
    Thing,
    Cell,
    Block,
    Page,
    Overrides,
}

/// <summary>A use of a thing, and what leads there.</summary>
/// <param name="Of">Of a thing, the code of its kind.</param>
/// <param name="Id">Id of the thing, look or block; of a page its own.</param>
/// <param name="Part">Of a cell.</param>
/// <param name="Page">Id of a page it is seen on.</param>
public sealed record UseView(string Words, UseKind Kind, string? Of, string? Id, string? Part, string? Property, State? State, string? Page)
{
    public static UseView From(Use use) => use.Place switch
    {
        InThing thing => new(use.Words, UseKind.Thing, thing.Of, thing.Id, null, null, null, null),
        InCell cell => new(use.Words, UseKind.Cell, null, cell.Look, cell.Part, cell.Property, cell.State, null),
        InBlock block => new(use.Words, UseKind.Block, null, block.Block, null, null, null, block.Page),
        InPage page => new(use.Words, UseKind.Page, null, page.Page, null, null, null, page.Page),
        _ => new(use.Words, UseKind.Overrides, null, null, null, null, null, null),
    };
}
