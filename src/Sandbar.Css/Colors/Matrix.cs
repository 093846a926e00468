namespace Sandbar.Css.Colors;

/// <summary>Three numbers.</summary>
internal readonly record struct Vector(double X, double Y, double Z)
{
    public Vector Map(Func<double, double> f) => new(f(X), f(Y), f(Z));
}

/// <summary>A 3 × 3 matrix, and those of CSS Color Module Level 4 (sample code, 64-bit values).</summary>
internal readonly record struct Matrix(
    double M11, double M12, double M13,
    double M21, double M22, double M23,
    double M31, double M32, double M33)
{
    public static readonly Matrix SrgbToXyz = new(
        0.41239079926595934, 0.357584339383878, 0.1804807884018343,
        0.21263900587151027, 0.715168678767756, 0.07219231536073371,
        0.01933081871559182, 0.11919477979462598, 0.9505321522496607);

    public static readonly Matrix XyzToSrgb = new(
        3.2409699419045226, -1.537383177570094, -0.4986107602930034,
        -0.9692436362808796, 1.8759675015077202, 0.04155505740717559,
        0.05563007969699366, -0.20397695888897652, 1.0569715142428786);

    public static readonly Matrix P3ToXyz = new(
        0.4865709486482162, 0.26566769316909306, 0.1982172852343625,
        0.2289745640697488, 0.6917385218365064, 0.079286914093745,
        0, 0.04511338185890264, 1.043944368900976);

    public static readonly Matrix XyzToP3 = new(
        2.493496911941425, -0.9313836179191239, -0.40271078445071684,
        -0.8294889695615747, 1.7626640603183463, 0.023624685841943577,
        0.03584583024378447, -0.07617238926804182, 0.9568845240076872);

    public static readonly Matrix A98ToXyz = new(
        0.5766690429101305, 0.1855582379065463, 0.1882286462349947,
        0.29734497525053605, 0.6273635662554661, 0.07529145849399788,
        0.02703136138641234, 0.07068885253582723, 0.9913375368376388);

    public static readonly Matrix XyzToA98 = new(
        2.0415879038107465, -0.5650069742788596, -0.34473135077832956,
        -0.9692436362808795, 1.8759675015077202, 0.04155505740717557,
        0.013444280632031142, -0.11836239223101838, 1.0151749943912054);

    /// <summary>ProPhoto RGB is relative to D50.</summary>
    public static readonly Matrix ProphotoToXyz = new(
        0.79776664490064230, 0.13518129740053308, 0.03134773412839220,
        0.28807482881940130, 0.71183523424187300, 0.00008993693872564,
        0, 0, 0.82510460251046020);

    public static readonly Matrix XyzToProphoto = new(
        1.34578688164715830, -0.25557208737979464, -0.05110186497554526,
        -0.54463070512490190, 1.50824774284514680, 0.02052744743642139,
        0, 0, 1.21196754563894520);

    public static readonly Matrix Rec2020ToXyz = new(
        0.6369580483012914, 0.14461690358620832, 0.1688809751641721,
        0.2627002120112671, 0.6779980715188708, 0.05930171646986196,
        0, 0.028072693049087428, 1.060985057710791);

    public static readonly Matrix XyzToRec2020 = new(
        1.716651187971268, -0.355670783776392, -0.253366281373660,
        -0.666684351832489, 1.616481236634939, 0.0157685458139111,
        0.017639857445311, -0.042770613257809, 0.942103121235474);

    /// <summary>Bradford chromatic adaptation.</summary>
    public static readonly Matrix D65ToD50 = new(
        1.0479297925449969, 0.022946870601609652, -0.05019226628920524,
        0.02962780877005599, 0.9904344267538799, -0.017073799063418826,
        -0.009243040646204504, 0.015055191490298152, 0.7518742814281371);

    public static readonly Matrix D50ToD65 = new(
        0.955473421488075, -0.02309845494876471, 0.06325924320057072,
        -0.0283697093338637, 1.0099953980813041, 0.021041441191917323,
        0.012314014864481998, -0.020507649298898964, 1.330365926242124);

    public static readonly Matrix XyzToLms = new(
        0.8190224379967030, 0.3619062600528904, -0.1288737815209879,
        0.0329836539323885, 0.9292868615863434, 0.0361446663506424,
        0.0481771893596242, 0.2642395317527308, 0.6335478284694309);

    public static readonly Matrix LmsToXyz = new(
        1.2268798758459243, -0.5578149944602171, 0.2813910456659647,
        -0.0405757452148008, 1.1122868032803170, -0.0717110580655164,
        -0.0763729366746601, -0.4214933324022432, 1.5869240198367816);

    public static readonly Matrix LmsToOklab = new(
        0.2104542683093140, 0.7936177747023054, -0.0040720430116193,
        1.9779985324311684, -2.4285922420485799, 0.4505937096174110,
        0.0259040424655478, 0.7827717124575296, -0.8086757549230774);

    public static readonly Matrix OklabToLms = new(
        1, 0.3963377773761749, 0.2158037573099136,
        1, -0.1055613458156586, -0.0638541728258133,
        1, -0.0894841775298119, -1.2914855480194092);

    /// <summary>The two steps in one: linear sRGB to the cone space of OKLab.</summary>
    public static readonly Matrix SrgbToLms = XyzToLms * SrgbToXyz;

    public static readonly Matrix LmsToSrgb = XyzToSrgb * LmsToXyz;

    public static Vector operator *(Matrix m, Vector v) => new(
        m.M11 * v.X + m.M12 * v.Y + m.M13 * v.Z,
        m.M21 * v.X + m.M22 * v.Y + m.M23 * v.Z,
        m.M31 * v.X + m.M32 * v.Y + m.M33 * v.Z);

    public static Matrix operator *(Matrix m, Matrix n)
    {
        var a = m * new Vector(n.M11, n.M21, n.M31);
        var b = m * new Vector(n.M12, n.M22, n.M32);
        var c = m * new Vector(n.M13, n.M23, n.M33);
        return new(a.X, b.X, c.X, a.Y, b.Y, c.Y, a.Z, b.Z, c.Z);
    }

    /// <summary>The matrix that leads back.</summary>
    public Matrix Inverse()
    {
        double a = M22 * M33 - M23 * M32, b = M23 * M31 - M21 * M33, c = M21 * M32 - M22 * M31, d = M11 * a + M12 * b + M13 * c;
        return new(
            a / d, (M13 * M32 - M12 * M33) / d, (M12 * M23 - M13 * M22) / d,
            b / d, (M11 * M33 - M13 * M31) / d, (M13 * M21 - M11 * M23) / d,
            c / d, (M12 * M31 - M11 * M32) / d, (M11 * M22 - M12 * M21) / d);
    }
}
