using System.CommandLine;
using Sandbar.Cli.Verbs;

var root = new RootCommand("Sandbar: a site's colours, type, looks and overrides, kept in one place. On the command line: the core without the web.")
{
    ColorVerbs.Command,
    TypeVerbs.Command,
    FillVerbs.Command,
    EdgeVerbs.Command,
    FontVerbs.Command,
    TraceVerb.Trace,
    CssVerbs.Select,
    CssVerbs.Lint,
    BuildVerb.Command,
    ServeVerb.Command,
};
return await root.Parse(args).InvokeAsync();
