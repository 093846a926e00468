using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Sandbar.Cli;

/// <summary>A field of a request, as it is asked for on the command line.</summary>
/// <param name="Name">Of a field within another with the other's name and a point before it.</param>
/// <param name="IsNumber">Whether it is written as a JSON number.</param>
internal sealed record Field(string Name, string Help, bool IsNumber = false, bool Required = true);

/// <summary>A verb: with <c>-</c> it answers JSON lines, with arguments one request for people.</summary>
internal static class Verb
{
    public static Command Create(string name, string help, IReadOnlyList<Field> fields, Answer answer)
    {
        var command = new Command(name, help + " Use - to read one JSON object a line from standard input.");
        var first = new Argument<string>(fields[0].Name) { Description = fields[0].Help + "; or -" };
        command.Arguments.Add(first);
        var others = fields.Skip(1).Select(f => (Field: f, Argument: new Argument<string?>(f.Name)
        {
            Description = f.Help, Arity = ArgumentArity.ZeroOrOne,
        })).ToList();
        foreach (var other in others) command.Arguments.Add(other.Argument);
        command.SetAction(async (result, cancel) =>
        {
            var value = result.GetValue(first)!;
            if (value == "-")
            {
                await using var input = Console.OpenStandardInput();
                await using var output = Console.OpenStandardOutput();
                return await JsonLines.RunAsync(input, output, answer, cancel);
            }
            var request = new JsonObject();
            Put(request, fields[0], value);
            foreach (var (field, argument) in others)
            {
                if (result.GetValue(argument) is { } text) Put(request, field, text);
            }
            try
            {
                Console.Out.WriteLine(JsonLines.Once(JsonSerializer.SerializeToElement(request), answer));
                return 0;
            }
            catch (FormatException problem)
            {
                await Console.Error.WriteLineAsync(problem.Message);
                return 1;
            }
        });
        return command;
    }

    private static void Put(JsonObject request, Field field, string text)
    {
        var path = field.Name.Split('.');
        foreach (var name in path[..^1]) request = (JsonObject)(request[name] ??= new JsonObject());
        request[path[^1]] = field.IsNumber && double.TryParse(text, CultureInfo.InvariantCulture, out var number) ? JsonValue.Create(number) : text;
    }
}
