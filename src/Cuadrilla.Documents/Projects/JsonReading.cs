using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Documents.Projects;

/// <summary>Reads JSON and turns every failure into a problem that names field, value and what is allowed.</summary>
public static partial class JsonReading
{
    /// <summary>Reads a value.</summary>
    /// <param name="utf8">The JSON text.</param>
    /// <param name="options">Rules.</param>
    /// <param name="prefix">Pointer under which the value stands in what the user sent.</param>
    /// <exception cref="InputException">The text is no JSON, or doesn't fit the type.</exception>
    public static T Read<T>(ReadOnlySpan<byte> utf8, JsonSerializerOptions options, string prefix = "")
    {
        try
        {
            return JsonSerializer.Deserialize<T>(utf8, options)
                ?? throw new InputException(InputProblem.Of(prefix, "Document", "null", "a JSON object"));
        }
        catch (JsonException problem)
        {
            throw new InputException(Explain(problem, utf8, prefix));
        }
        catch (NotSupportedException)
        {
            throw new InputException(InputProblem.Of(prefix, "Document", "without the field 'kind' where one is needed", "an object with 'kind'"));
        }
    }

    private static InputProblem Explain(JsonException problem, ReadOnlySpan<byte> utf8, string prefix)
    {
        var pointer = prefix + PointerOf(problem.Path ?? "$");
        if (problem.Message.Contains("could not be mapped", StringComparison.Ordinal))
        {
            var name = FirstQuoted().Match(problem.Message).Groups[1].Value;
            return new InputProblem(
                pointer.EndsWith("/" + name, StringComparison.Ordinal) ? pointer : $"{pointer}/{name}", name, "only known fields", $"The field '{name}' at {Shown(pointer)} is not known.");
        }

        if (problem.Message.Contains("missing required", StringComparison.Ordinal))
        {
            var from = problem.Message.IndexOf("including", StringComparison.Ordinal);
            var names = Quoted().Matches(problem.Message[Math.Max(from, 0)..]).Select(m => m.Groups[1].Value).ToList();
            var first = names.Count > 0 ? names[0] : string.Empty;
            return new InputProblem(
                $"{pointer}/{first}", "absent", "a value, or null where it is not known yet",
                $"At {Shown(pointer)} the field{(names.Count > 1 ? "s" : string.Empty)} {string.Join(", ", names.Select(n => $"'{n}'"))} {(names.Count > 1 ? "are" : "is")} absent.");
        }

        if (problem.Message.Contains("discriminator", StringComparison.Ordinal) || problem.Message.Contains("polymorphic", StringComparison.OrdinalIgnoreCase))
        {
            return new InputProblem(pointer + "/kind", "absent or not known", "one of the kinds in the schema", $"The field 'kind' at {Shown(pointer)} is absent or not known.");
        }

        if (problem.Message.Contains("Duplicate property", StringComparison.Ordinal))
        {
            return new InputProblem(pointer, "given twice", "each field once", $"A field at {Shown(pointer)} is given twice.");
        }

        var found = ValueAt(utf8, problem.Path);
        if (found is null)
        {
            if (TokenAt(utf8, problem) is "NaN" or "Infinity" or "undefined")
            {
                var token = TokenAt(utf8, problem);
                return new InputProblem(pointer, token, "a finite number", $"The value {token} at {Shown(pointer)} is no number; allowed: a finite number.");
            }

            var line = (problem.LineNumber ?? 0) + 1;
            return new InputProblem(
                pointer, "no valid JSON", "a complete JSON document",
                string.Create(CultureInfo.InvariantCulture, $"The text is no valid JSON from line {line} on; it may be cut off."));
        }

        return new InputProblem(pointer, found, "a value of the type in the schema", $"The value {found} at {Shown(pointer)} is not of the kind wanted there.");
    }

    private static string Shown(string pointer) => pointer.Length == 0 ? "the top" : pointer;

    /// <summary>Turns a path such as <c>$.a[0].b</c> into a JSON pointer.</summary>
    private static string PointerOf(string path)
    {
        var pointer = new StringBuilder();
        foreach (Match part in PathPart().Matches(path))
        {
            var name = part.Groups["name"].Success ? part.Groups["name"].Value : part.Groups["index"].Success ? part.Groups["index"].Value : part.Groups["quoted"].Value;
            pointer.Append('/').Append(name.Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal));
        }

        return pointer.ToString();
    }

    // The word at which the reader stopped.
    private static string TokenAt(ReadOnlySpan<byte> utf8, JsonException problem)
    {
        var lines = Encoding.UTF8.GetString(utf8).Split('\n');
        var line = (int)(problem.LineNumber ?? 0);
        if (line >= lines.Length)
        {
            return string.Empty;
        }

        var bytes = Encoding.UTF8.GetBytes(lines[line]);
        var at = (int)Math.Min(problem.BytePositionInLine ?? 0, bytes.Length);
        var start = at;
        while (start > 0 && char.IsAsciiLetter((char)bytes[start - 1]))
        {
            start--;
        }

        while (at < bytes.Length && char.IsAsciiLetter((char)bytes[at]))
        {
            at++;
        }

        return Encoding.UTF8.GetString(bytes[start..at]);
    }

    private static string? ValueAt(ReadOnlySpan<byte> utf8, string? path)
    {
        try
        {
            using var document = JsonDocument.Parse(utf8.ToArray());
            var element = document.RootElement;
            foreach (var part in PointerOf(path ?? "$").Split('/', StringSplitOptions.RemoveEmptyEntries))
            {
                element = element.ValueKind == JsonValueKind.Array
                    ? element[int.Parse(part, CultureInfo.InvariantCulture)]
                    : element.GetProperty(part.Replace("~1", "/", StringComparison.Ordinal).Replace("~0", "~", StringComparison.Ordinal));
            }

            var text = element.GetRawText();
            return text.Length > 60 ? text[..60] + "…" : text;
        }
        catch (Exception e) when (e is JsonException or KeyNotFoundException or InvalidOperationException or FormatException or IndexOutOfRangeException)
        {
            return null;
        }
    }

    [GeneratedRegex("'([^']*)'")]
    private static partial Regex Quoted();

    [GeneratedRegex("'([^']*)'")]
    private static partial Regex FirstQuoted();

    [GeneratedRegex(@"\.(?<name>[^.\[\]]+)|\[(?<index>\d+)\]|\['(?<quoted>[^']*)'\]")]
    private static partial Regex PathPart();
}
