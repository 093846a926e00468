using System.Buffers;
using System.IO.Pipelines;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using Sandbar.Css;

namespace Sandbar.Cli;

/// <summary>Answers a request by writing the members of its answer.</summary>
/// <exception cref="FormatException">The request cannot be answered; the message is the answer.</exception>
internal delegate void Answer(JsonElement request, Utf8JsonWriter writer);

/// <summary>One JSON object a line in, one a line out, in the same order. Memory stays flat however many there are.</summary>
internal static class JsonLines
{
    private static readonly JsonWriterOptions Written = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    /// <summary>Answers line by line; what has been read is answered before more is waited for.</summary>
    public static async Task<int> RunAsync(Stream input, Stream output, Answer answer, CancellationToken cancel)
    {
        var reader = PipeReader.Create(input, new StreamPipeReaderOptions(bufferSize: 1 << 16));
        var answers = new ArrayBufferWriter<byte>(1 << 16);
        while (true)
        {
            var read = await reader.ReadAsync(cancel);
            var rest = read.Buffer;
            while (rest.PositionOf((byte)'\n') is { } end)
            {
                Write(rest.Slice(0, end), answer, answers);
                rest = rest.Slice(rest.GetPosition(1, end));
            }
            if (read.IsCompleted)
            {
                Write(rest, answer, answers);
                rest = rest.Slice(rest.End);
            }
            reader.AdvanceTo(rest.Start, read.Buffer.End);
            await output.WriteAsync(answers.WrittenMemory, cancel);
            await output.FlushAsync(cancel);
            answers.ResetWrittenCount();
            if (read.IsCompleted) return 0;
        }
    }

    /// <summary>One answer as text, for people.</summary>
    /// <exception cref="FormatException">The request cannot be answered.</exception>
    public static string Once(JsonElement request, Answer answer)
    {
        var buffer = new ArrayBufferWriter<byte>();
        Write(buffer, Written with { Indented = true }, writer => answer(request, writer));
        return Encoding.UTF8.GetString(buffer.WrittenSpan);
    }

    /// <exception cref="FormatException">There is no such text in the request.</exception>
    public static string Text(this JsonElement request, string name) => request.TryGetProperty(name, out var value) && value.ValueKind == JsonValueKind.String
        ? Whole(value, name)
        : throw new FormatException($"{Quoted.Text(name)} is missing, or is not a text.");

    public static string Text(this JsonElement request, string name, string otherwise) => request.TryGetProperty(name, out _) ? request.Text(name) : otherwise;

    /// <summary>A list of texts; on the command line one text with semicolons between them.</summary>
    /// <exception cref="FormatException">There is no such list in the request.</exception>
    public static IEnumerable<string> Texts(this JsonElement request, string name)
    {
        if (!request.TryGetProperty(name, out var value)) throw new FormatException($"{Quoted.Text(name)} is missing.");
        return value.ValueKind switch
        {
            JsonValueKind.String => Whole(value, name).Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries),
            JsonValueKind.Array when value.EnumerateArray().All(v => v.ValueKind == JsonValueKind.String) => value.EnumerateArray().Select(v => Whole(v, name)),
            _ => throw new FormatException($"{Quoted.Text(name)} is not a list of texts."),
        };
    }

    private static string Whole(JsonElement value, string name)
    {
        try
        {
            return value.GetString()!;
        }
        catch (InvalidOperationException)
        {
            // Half of a pair that stands for one character (RFC 8259, 8.2).
            throw new FormatException($"{Quoted.Text(name)} holds half a character.");
        }
    }

    /// <exception cref="FormatException">It is there and is not a number.</exception>
    public static double Number(this JsonElement request, string name, double otherwise)
    {
        if (!request.TryGetProperty(name, out var value)) return otherwise;
        return value.ValueKind == JsonValueKind.Number && value.TryGetDouble(out var number) && double.IsFinite(number)
            ? number
            : throw new FormatException($"{Quoted.Text(name)} is not a number.");
    }

    /// <exception cref="FormatException">It is not there, or is not a number.</exception>
    public static double Number(this JsonElement request, string name) =>
        request.TryGetProperty(name, out _) ? request.Number(name, 0) : throw new FormatException($"{Quoted.Text(name)} is missing.");

    /// <exception cref="FormatException">It is not there, or has no members.</exception>
    public static JsonElement Object(this JsonElement request, string name) => request.TryGetProperty(name, out var value) && value.ValueKind == JsonValueKind.Object
        ? value
        : throw new FormatException($"{Quoted.Text(name)} is missing, or is not an object.");

    /// <summary>The bytes of a file that is named.</summary>
    /// <exception cref="FormatException">It is not named, or cannot be read.</exception>
    public static byte[] FileBytes(this JsonElement request, string name) => FileBytes(request.Text(name));

    /// <summary>The bytes of a file.</summary>
    /// <exception cref="FormatException">It cannot be read.</exception>
    public static byte[] FileBytes(string file)
    {
        try
        {
            return File.ReadAllBytes(file);
        }
        catch (Exception failed) when (failed is IOException or UnauthorizedAccessException or NotSupportedException or ArgumentException)
        {
            throw new FormatException($"The file {Quoted.Text(file)} cannot be read.");
        }
    }

    /// <summary>When a file was written last; of one that cannot be read, no time there is.</summary>
    public static DateTime WrittenAt(string file)
    {
        try
        {
            return File.GetLastWriteTimeUtc(file);
        }
        catch (Exception failed) when (failed is IOException or UnauthorizedAccessException or NotSupportedException or ArgumentException)
        {
            return default;
        }
    }

    private static void Write(ReadOnlySequence<byte> line, Answer answer, ArrayBufferWriter<byte> answers)
    {
        if (IsBlank(line)) return;
        // Written aside first: an answer that fails half-way leaves nothing behind.
        var aside = new ArrayBufferWriter<byte>(256);
        try
        {
            using var request = JsonDocument.Parse(line);
            if (request.RootElement.ValueKind != JsonValueKind.Object) throw new FormatException("A request is a JSON object.");
            var root = request.RootElement;
            Write(aside, Written, writer => answer(root, writer));
        }
        catch (Exception failed) when (failed is FormatException or JsonException)
        {
            aside.ResetWrittenCount();
            Write(aside, Written, writer => writer.WriteString("error", failed is FormatException ? failed.Message : "This line is not valid JSON."));
        }
        answers.Write(aside.WrittenSpan);
        answers.Write("\n"u8);
    }

    private static void Write(ArrayBufferWriter<byte> buffer, JsonWriterOptions options, Action<Utf8JsonWriter> members)
    {
        using var writer = new Utf8JsonWriter(buffer, options);
        writer.WriteStartObject();
        members(writer);
        writer.WriteEndObject();
    }

    private static bool IsBlank(ReadOnlySequence<byte> line)
    {
        foreach (var segment in line)
        {
            foreach (var b in segment.Span)
            {
                if (b is not ((byte)' ' or (byte)'\t' or (byte)'\r')) return false;
            }
        }
        return true;
    }
}
