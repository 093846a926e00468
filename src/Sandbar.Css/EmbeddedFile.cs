using System.Reflection;

namespace Sandbar.Css;

/// <summary>Files that are kept inside the program.</summary>
public static class EmbeddedFile
{
    /// <summary>The bytes of a file.</summary>
    /// <exception cref="FileNotFoundException">There is none of that name: the program was built without it.</exception>
    public static byte[] Read(Assembly assembly, string name)
    {
        using var stream = assembly.GetManifestResourceStream(name) ?? throw new FileNotFoundException(name);
        using var bytes = new MemoryStream();
        stream.CopyTo(bytes);
        return bytes.ToArray();
    }
}
