using Sandbar.Css.Syntax;

namespace Sandbar.Css.Computing;

/// <summary>Transforms as one matrix. Source: CSS Transforms 1, §13, and 2, §15.</summary>
internal static class TransformMatrix
{
    /// <summary>A computed list of functions as <c>matrix()</c> or <c>matrix3d()</c>; null where a part of it is of the element's own size.</summary>
    public static string? Of(string transform)
    {
        var product = Identity();
        foreach (var value in Parser.ParseValues(transform))
        {
            if (value is Token { Kind: TokenKind.Whitespace }) continue;
            if (value is not FunctionValue function || Of(function) is not { } matrix) return null;
            product = Times(product, matrix);
        }
        var all = Enumerable.Range(0, 16).Select(i => product[i / 4, i % 4]).ToList();
        var is2D = all[2] == 0 && all[3] == 0 && all[6] == 0 && all[7] == 0 && all[8] == 0 && all[9] == 0 && all[10] == 1 && all[11] == 0 && all[14] == 0 && all[15] == 1;
        return is2D ? $"matrix({string.Join(", ", new[] { all[0], all[1], all[4], all[5], all[12], all[13] }.Select(Text))})" : $"matrix3d({string.Join(", ", all.Select(Text))})";
    }

    private static string Text(double number) => NumberText.Of(Math.Abs(number) < 1e-15 ? 0 : number);

    private static double[,] Identity() => new double[,] { { 1, 0, 0, 0 }, { 0, 1, 0, 0 }, { 0, 0, 1, 0 }, { 0, 0, 0, 1 } };

    // Rows here are the columns of the standard: what is written column by column reads in order.
    private static double[,] Times(double[,] a, double[,] b)
    {
        var product = new double[4, 4];
        for (var column = 0; column < 4; column++)
        {
            for (var row = 0; row < 4; row++)
            {
                for (var k = 0; k < 4; k++) product[column, row] += a[k, row] * b[column, k];
            }
        }
        return product;
    }

    private static double[,]? Of(FunctionValue function)
    {
        var n = new List<double>();
        foreach (var argument in function.Values.BetweenCommas())
        {
            if (argument is [Token none] && none.IsIdent("none")) n.Add(double.PositiveInfinity);
            else if (argument is [var value] && Calculation.Of(value, Lengths.Initial) is Calculation.Amount { Unit: not "%" } amount) n.Add(amount.Unit == "deg" ? amount.Value * Math.PI / 180 : amount.Value);
            else return null;
        }
        var matrix = Identity();
        switch (function.Name.ToLowerInvariant())
        {
            case "translate":
                (matrix[3, 0], matrix[3, 1]) = (n[0], n[1]);
                return matrix;
            case "translate3d":
                (matrix[3, 0], matrix[3, 1], matrix[3, 2]) = (n[0], n[1], n[2]);
                return matrix;
            case "scale":
                (matrix[0, 0], matrix[1, 1]) = (n[0], n[1]);
                return matrix;
            case "scale3d":
                (matrix[0, 0], matrix[1, 1], matrix[2, 2]) = (n[0], n[1], n[2]);
                return matrix;
            case "rotate":
                return Turned(0, 0, 1, n[0]);
            case "rotate3d":
                return Turned(n[0], n[1], n[2], n[3]);
            case "skew":
                matrix[1, 0] = Math.Tan(n[0]);
                if (n.Count > 1) matrix[0, 1] = Math.Tan(n[1]);
                return matrix;
            case "skewx":
                matrix[1, 0] = Math.Tan(n[0]);
                return matrix;
            case "skewy":
                matrix[0, 1] = Math.Tan(n[0]);
                return matrix;
            case "matrix":
                (matrix[0, 0], matrix[0, 1], matrix[1, 0], matrix[1, 1], matrix[3, 0], matrix[3, 1]) = (n[0], n[1], n[2], n[3], n[4], n[5]);
                return matrix;
            case "matrix3d":
                for (var i = 0; i < 16; i++) matrix[i / 4, i % 4] = n[i];
                return matrix;
            case "perspective":
                if (!double.IsInfinity(n[0])) matrix[2, 3] = -1 / Math.Max(n[0], 1);
                return matrix;
            default:
                return null;
        }
    }

    private static double[,] Turned(double x, double y, double z, double angle)
    {
        var length = Math.Sqrt(x * x + y * y + z * z);
        if (length == 0) return Identity();
        (x, y, z) = (x / length, y / length, z / length);
        double s = Math.Sin(angle), c = Math.Cos(angle), t = 1 - c;
        return new[,]
        {
            { t * x * x + c, t * x * y + s * z, t * x * z - s * y, 0 },
            { t * x * y - s * z, t * y * y + c, t * y * z + s * x, 0 },
            { t * x * z + s * y, t * y * z - s * x, t * z * z + c, 0 },
            { 0, 0, 0, 1 },
        };
    }
}
