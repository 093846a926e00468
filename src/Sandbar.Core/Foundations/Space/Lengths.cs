using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Foundations.Space;

/// <summary>What lengths come to at a width of the window.</summary>
public static class Lengths
{
    /// <summary>A length in px; null where it depends on where it is used.</summary>
    /// <param name="width">Of the window, px.</param>
    /// <param name="letters">Size of the letters it is used among, px; null where that is not known.</param>
    public static double? At(Site site, Value value, double width, double? letters = null) => value switch
    {
        NumberValue { Number: 0 } => 0,
        NumberValue { Unit: "vw" } share => (double)share.Number / 100 * width,
        NumberValue { Unit: "em" } em => letters * (double)em.Number,
        NumberValue number => TextFigures.Pixels(number),
        ReferenceValue { To: SpaceKind.Kind } space => SpaceScales.At(site, site.Space.Steps.Get(space.Id), width),
        ReferenceValue { To: SizeKind.Kind } size => Scale.At(site.Type.Scale, size.Step, width),
        ReferenceValue { To: RadiusKind.Kind } radius => At(site, site.Edges.Radii.Get(radius.Id).Size, width, letters),
        ReferenceValue { To: PageMeasureKind.Kind } measure => At(site, PageMeasureKind.Of(site, measure.Id, width), width, letters),
        OperationValue { Operator: "+" } sum => At(site, sum.Left, width, letters) + At(site, sum.Right, width, letters),
        OperationValue { Operator: "-" } difference => At(site, difference.Left, width, letters) - At(site, difference.Right, width, letters),
        OperationValue { Operator: "*", Left: NumberValue { Unit: "" } times } product => (double)times.Number * At(site, product.Right, width, letters),
        OperationValue { Operator: "*", Right: NumberValue { Unit: "" } times } product => At(site, product.Left, width, letters) * (double)times.Number,
        OperationValue { Operator: "/", Right: NumberValue { Unit: "" } parts } share => At(site, share.Left, width, letters) / (double)parts.Number,
        _ => null,
    };
}
