using CsCheck;

namespace Sandbar.Tests;

/// <summary>Override sheets as nobody should write them: pieces of CSS in any order, and characters that begin or end something.</summary>
public static class OverrideSheets
{
    private static readonly string[] Pieces =
    [
        "a{", "}", "b:c{", "color:red", ";", ":", "&:hover{", "@media print{", "@layer x;", "@layer y{", "@x ", "@supports (a:b){", "@font-face{", "--x:", "/*", "*/", "'", "\"", "\\", "\\\n",
        "url(", "url('", "URL(", ")", "(", "[", "]", "]]>", "</style>", "</", "<!--", "-->", "!important", "!", "#a", "#1", ".b", "1px", "1e3", "\\65 3", "×", "é", "\0", "\ud83d\ude00", "1", "+1", "-", "--",
        ",", " ", "\n", "\r\n", "\f", "\t", "calc(1px + 2px)", "var(--y)", ":is(a,b)", "*", "/", "%", "@", "U+26", "e", "\\", "\u0001", "\u007f", "content:\"x\"", "a{b:c}", "margin:0",
    ];

    /// <summary>Up to thirty pieces, some of them single characters.</summary>
    public static readonly Gen<string> Any = Gen.Frequency(
        (3, Gen.Int[0, Pieces.Length - 1].Select(i => Pieces[i])), (1, Gen.Char["ab{}()[];:'\"\\/*@#.- \n!1%,&<>=~|^$+"].Select(c => c.ToString())))
        .Array[0, 30].Select(string.Concat);
}
