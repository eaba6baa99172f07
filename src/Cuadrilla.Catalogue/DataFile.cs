using System.Text.Json;

namespace Cuadrilla.Catalogue;

/// <summary>Reads the data files shipped inside this assembly.</summary>
internal static class DataFile
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        UnmappedMemberHandling = System.Text.Json.Serialization.JsonUnmappedMemberHandling.Disallow,
        RespectRequiredConstructorParameters = true,
        Converters = { new System.Text.Json.Serialization.JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
    };

    /// <summary>Reads one file.</summary>
    /// <exception cref="InvalidDataException">The file is absent or does not fit its type.</exception>
    public static T Read<T>(string name)
    {
        using var stream = typeof(DataFile).Assembly.GetManifestResourceStream(name)
            ?? throw new InvalidDataException($"The catalogue lacks {name}.");
        try
        {
            return JsonSerializer.Deserialize<T>(stream, Options) ?? throw new InvalidDataException($"{name} is empty.");
        }
        catch (JsonException problem)
        {
            throw new InvalidDataException($"{name}: {problem.Message}", problem);
        }
    }
}
