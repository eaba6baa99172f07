using System.Globalization;
using System.Text;
using System.Text.Unicode;
using System.Text.Json;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Documents.Projects;

/// <summary>Reads JSON and turns every failure into a problem that names field, value and what is allowed.</summary>
public static class JsonReading
{
    /// <summary>Reads a value.</summary>
    /// <param name="utf8">The JSON text.</param>
    /// <param name="options">Rules.</param>
    /// <param name="prefix">Pointer under which the value stands in what the user sent.</param>
    /// <exception cref="InputException">The text is no JSON, or doesn't fit the type.</exception>
    public static T Read<T>(ReadOnlySpan<byte> utf8, JsonSerializerOptions options, string prefix = "")
    {
        RequireText(utf8, options, prefix);
        try
        {
            return JsonSerializer.Deserialize<T>(utf8, options)
                ?? throw new InputException(InputProblem.Of(prefix, "Document", "null", "a JSON object"));
        }
        catch (JsonException problem)
        {
            throw new InputException(Explain<T>(problem, utf8, options, prefix));
        }
        catch (ArgumentException)
        {
            // Thrown for values that are kept as they came and name a field twice.
            throw new InputException(new InputProblem(prefix, "given twice", "each field once", "A field is given twice."));
        }
        catch (NotSupportedException problem)
        {
            // Thrown for a record without its kind.
            throw new InputException(Explain<T>(new JsonException(null, problem), utf8, options, prefix));
        }
    }

    // Halves of characters are found before anything is read: later they would come up wherever a text is first used.
    private static void RequireText(ReadOnlySpan<byte> utf8, JsonSerializerOptions options, string prefix)
    {
        if (!Utf8.IsValid(utf8))
        {
            throw new InputException(new InputProblem(prefix, "no valid UTF-8", "a JSON document in UTF-8", "The text is no valid UTF-8."));
        }

        if (utf8.IndexOf("\\u"u8) < 0)
        {
            return;
        }

        var reader = new Utf8JsonReader(utf8, new JsonReaderOptions { MaxDepth = options.MaxDepth });
        try
        {
            while (reader.Read())
            {
                if (reader is { TokenType: JsonTokenType.String or JsonTokenType.PropertyName, ValueIsEscaped: true })
                {
                    _ = reader.GetString();
                }
            }
        }
        catch (InvalidOperationException)
        {
            var found = Encoding.UTF8.GetString(reader.ValueSpan);
            throw new InputException(new InputProblem(prefix, found, "whole characters",
                $"The text '{found}' holds half a character (\\ud800 to \\udfff by itself); allowed: whole characters."));
        }
        catch (JsonException)
        {
            // No JSON: said by the reading itself.
        }
    }

    private static InputProblem Explain<T>(JsonException problem, ReadOnlySpan<byte> utf8, JsonSerializerOptions options, string prefix)
    {
        try
        {
            using var document = JsonDocument.Parse(utf8.ToArray(),
                new JsonDocumentOptions { MaxDepth = options.MaxDepth, AllowDuplicateProperties = true });
            return JsonMismatch.Find(document.RootElement, typeof(T), options, prefix)
                ?? new InputProblem(prefix, "a document that does not fit", "a document as in the schema",
                    $"The document at {JsonMismatch.Shown(prefix)} does not fit the schema.");
        }
        catch (JsonException)
        {
            return Broken(problem, utf8, prefix);
        }
    }

    // No JSON at all, or deeper than any document of ours.
    private static InputProblem Broken(JsonException problem, ReadOnlySpan<byte> utf8, string prefix)
    {
        if (TokenAt(utf8, problem) is "NaN" or "Infinity" or "undefined")
        {
            var token = TokenAt(utf8, problem);
            return new InputProblem(prefix, token, "a finite number",
                $"The value {token} at {JsonMismatch.Shown(prefix)} is no number; allowed: a finite number.");
        }

        var line = (problem.LineNumber ?? 0) + 1;
        return new InputProblem(
            prefix, "no valid JSON", "a complete JSON document",
            string.Create(CultureInfo.InvariantCulture, $"The text is no valid JSON from line {line} on; it may be cut off."));
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
}
