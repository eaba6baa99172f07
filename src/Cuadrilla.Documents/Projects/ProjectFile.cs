using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Documents.Projects.Migrations;

namespace Cuadrilla.Documents.Projects;

/// <summary>The project as a file, <c>*.cuadrilla.json</c>.</summary>
/// <param name="Format">Always <see cref="FormatName"/>.</param>
/// <param name="FormatVersion">Version of the layout; <see cref="CurrentVersion"/> is written.</param>
/// <param name="Catalogue">Version of the catalogue the project was assessed with.</param>
/// <param name="Specification">The specification.</param>
public sealed record ProjectFile(string Format, int FormatVersion, string Catalogue, PlantSpecification Specification)
{
    /// <summary>Log of the site, oldest entry first.</summary>
    public IReadOnlyList<LoggedEntry> Log { get; init; } = [];

    /// <summary>Name of the format.</summary>
    public const string FormatName = "cuadrilla-project";

    /// <summary>Newest layout this program reads and the one it writes.</summary>
    public static int CurrentVersion => Migration.CurrentVersion;

    /// <summary>Largest file accepted, bytes.</summary>
    public const int MaxBytes = 16 * 1024 * 1024;

    // More of them say nothing new.
    private const int MostProblems = 50;

    /// <summary>Ending of a project's file name.</summary>
    public const string Extension = ".cuadrilla.json";

    /// <summary>Writes a specification, with the log of its site where there is one.</summary>
    public static byte[] Write(PlantSpecification specification, EngineeringData data, IReadOnlyList<LoggedEntry>? log = null)
    {
        ArgumentNullException.ThrowIfNull(data);
        return JsonSerializer.SerializeToUtf8Bytes(
            new ProjectFile(FormatName, CurrentVersion, data.Version, specification) { Log = log ?? [] }, ProjectJson.FileOptions);
    }

    /// <summary>Reads and validates a file of this or an earlier layout.</summary>
    /// <exception cref="InputException">It is no project file, newer than this program, or holds values out of range.</exception>
    public static PlantSpecification Read(ReadOnlySpan<byte> utf8, EngineeringData data) => ReadWhole(utf8, data).Specification;

    /// <summary>The same with the log.</summary>
    /// <exception cref="InputException">Likewise; or the log does not hold together.</exception>
    public static ProjectFile ReadWhole(ReadOnlySpan<byte> utf8, EngineeringData data)
    {
        if (utf8.Length > MaxBytes)
        {
            throw new InputException(InputProblem.Of(string.Empty, "File size", $"{utf8.Length} bytes", $"at most {MaxBytes} bytes"));
        }

        if (utf8.StartsWith("\uFEFF"u8))
        {
            utf8 = utf8[3..];
        }

        var version = CheckHeader(utf8);
        var file = JsonReading.Read<ProjectFile>(version < CurrentVersion ? Migrated(utf8, version) : utf8, ProjectJson.Options);
        Require(file.Specification, data, "/specification");
        return LoggedEntry.Problems(file.Log).Take(MostProblems).ToList() is { Count: > 0 } problems
            ? throw new InputException(problems)
            : file;
    }

    /// <summary>Refuses a specification that holds values out of range.</summary>
    /// <exception cref="InputException">There are problems.</exception>
    public static void Require(PlantSpecification specification, EngineeringData data, string prefix = "")
    {
        var problems = SpecificationValidation.Problems(specification, data);
        if (problems.Count > 0)
        {
            throw new InputException([.. problems.Select(p => p with { Pointer = prefix + p.Pointer })]);
        }
    }

    // Format and version are looked at first: a newer file must be named as such, not by the first field that is unknown.
    private static int CheckHeader(ReadOnlySpan<byte> utf8)
    {
        var header = JsonReading.Read<Header>(utf8, HeaderOptions);
        if (header.Format != FormatName)
        {
            throw new InputException(InputProblem.Of("/format", "Format", header.Format is null ? "absent" : $"'{header.Format}'",
                $"'{FormatName}'"));
        }

        if (header.FormatVersion < 1 || header.FormatVersion > CurrentVersion)
        {
            throw NewerVersion(header.FormatVersion);
        }

        return header.FormatVersion;
    }

    internal static InputException NewerVersion(int version) =>
        new(InputProblem.Of("/formatVersion", "Format version", $"{version}",
            $"1 to {CurrentVersion}; a newer file needs a newer program"));

    private static byte[] Migrated(ReadOnlySpan<byte> utf8, int version)
    {
        var file = JsonNode.Parse(utf8)!.AsObject();
        file["formatVersion"] = CurrentVersion;
        try
        {
            if (file["specification"] is JsonObject specification)
            {
                Migration.Run(specification, version);
            }

            return JsonSerializer.SerializeToUtf8Bytes(file);
        }
        catch (Exception problem) when (problem is not OutOfMemoryException)
        {
            // An older layout has no types to read it by: whatever its conversion stumbles over is the file's.
            throw new InputException(new InputProblem(
                "/specification", "not of that layout", $"a specification of format version {version}",
                $"The file says that it is of format version {version}, but what it holds is not of that layout."));
        }
    }

    private static readonly JsonSerializerOptions HeaderOptions = new(JsonSerializerDefaults.Web) { MaxDepth = 64,
        NumberHandling = default };

    private sealed record Header(string? Format, int FormatVersion);
}
