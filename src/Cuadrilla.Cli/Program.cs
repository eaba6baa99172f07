using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Bench;
using Cuadrilla.Documents.Calculations;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments;
using Cuadrilla.Instruments.StandIns;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Cli;

/// <summary>Command line without a server: <c>assess FILE</c>, <c>point FILE TAG</c>, <c>do FILE [OUT]</c>, <c>calc NAME</c>,
/// <c>schema</c>, <c>backup</c>, <c>restore</c>, <c>check</c>, <c>user</c>.</summary>
internal static class Program
{
    private const string Usage = "Usage: assess FILE | point FILE TAG | do FILE [OUT] < commands.json | calc NAME < input.json | calc "
        + "NAME --schema | schema | backup DATA FILE | restore DATA FILE | check DATA"
        + " | stand-ins FILE [--broker ADDRESS] [--plant KEY] [--seed N] [--times N] [--fault POINT=FAULT]"
        + " | user DATA list | user DATA add NAME ROLE < password | user DATA password NAME < password | user DATA role NAME ROLE | user "
        + "DATA remove NAME";

    private static int Main(string[] args)
    {
        try
        {
            return args switch
            {
                ["assess", var file] => Assess(file),
                ["point", var file, var tag] => Point(file, tag),
                ["do", var file] => Do(file, null),
                ["do", var file, var target] => Do(file, target),
                ["calc", var name] => Calc(name),
                ["calc", var name, "--schema"] => Print(Calculation.Named(name).Schema()),
                ["stand-ins", var file, .. var words] => StandIns(file, words),
                ["schema"] => Print(ProjectSchema.Text()),
                ["backup", var data, var file] =>
                    Kept(DatabaseBackup.Copy(DatabaseIn(data), file, Opened), $"Backed up and checked: {file}"),
                ["restore", var data, var file] =>
                    Kept(DatabaseBackup.Restore(file, DatabaseIn(data), Stamp(), Opened),
                        $"Restored from {file}; what was there before is kept beside it."),
                ["check", var data] => Kept(DatabaseCheck.Problems(DatabaseIn(data), Opened),
                    "Whole: the file, its references, each chain of edits and every document."),
                ["user", var data, "list"] => Print(UserCommands.List(DatabaseIn(data))),
                ["user", var data, "add", var name, var role] => Print(UserCommands.Add(DatabaseIn(data), name, role, Password())),
                ["user", var data, "password", var name] => Print(UserCommands.SetPassword(DatabaseIn(data), name, Password())),
                ["user", var data, "role", var name, var role] => Print(UserCommands.SetRole(DatabaseIn(data), name, role)),
                ["user", var data, "remove", var name] => Print(UserCommands.Remove(DatabaseIn(data), name)),
                _ => Refuse("Usage", Usage, []),
            };
        }
        catch (InputException problem)
        {
            return Refuse("The input can't be accepted.", problem.Message, problem.Problems);
        }
        catch (SqliteException problem)
        {
            return Refuse("The database can't be used.",
                problem.SqliteErrorCode == 26 ? "The file is no database." : StorageTrouble.Of(problem)?.Says ?? problem.Message, []);
        }
        catch (DatabaseLayoutException problem)
        {
            return Refuse("The database can't be used.", problem.Message, []);
        }
        catch (Exception problem) when (problem is IOException or UnauthorizedAccessException or ArgumentException
            or System.Security.SecurityException)
        {
            return Refuse("The file can't be used.", problem.Message, []);
        }
        catch (Exception problem) when (problem is not OutOfMemoryException)
        {
            return Refuse("The program failed.", $"{problem.GetType().Name}: {problem.Message}", []);
        }
    }

    private static string DatabaseIn(string data) =>
        Directory.Exists(data) || !File.Exists(data) ? Path.Combine(data, "cuadrilla.db") : data;

    private static string Stamp() => DateTime.UtcNow.ToString("yyyyMMdd-HHmmss", System.Globalization.CultureInfo.InvariantCulture);

    private static void Opened(string document, int? version) => StoredProject.Read(document, version);

    private static int Kept(IReadOnlyList<string> problems, string done) => problems.Count == 0
        ? Print(done + "\n")
        : Refuse("The database is not whole.", string.Join(' ', problems),
            [.. problems.Select(p => new InputProblem(string.Empty, string.Empty, string.Empty, p))]);

    private static int Assess(string file)
    {
        var data = ReferenceCatalogue.Data;
        var plant = Plant(file, data);
        var assessment = new Assessor(data).Run(plant);
        return Print(JsonSerializer.Serialize(AssessmentDocument.Of(plant, assessment, data.PccLimits, withReasons: true),
            ProjectJson.FileOptions) + "\n");
    }

    private static int Point(string file, string tag)
    {
        var data = ReferenceCatalogue.Data;
        var plant = Plant(file, data);
        var point = plant.AllDrivePoints().FirstOrDefault(p => p.Tag == tag)
            ?? throw new InputException(InputProblem.Of(string.Empty, "Tag", $"'{tag}'",
                string.Join(", ", plant.AllDrivePoints().Select(p => p.Tag))));
        return Print(JsonSerializer.Serialize(BenchDocument.Of(plant, point, new Assessor(data)), ProjectJson.FileOptions) + "\n");
    }

    // A command, or a list of them, from standard input; the changed project goes to OUT, or to standard output.
    private static int Do(string file, string? target)
    {
        var data = ReferenceCatalogue.Data;
        var input = StandardInput();
        var commands = input.AsSpan().TrimStart(" \t\r\n"u8).StartsWith("["u8)
            ? JsonReading.Read<IReadOnlyList<PlantCommand>>(input, ProjectJson.Options)
            : [JsonReading.Read<PlantCommand>(input, ProjectJson.Options)];
        var before = Project(file, data);
        var done = CommandRun.All(before.Specification, commands, new Assessor(data));
        var changed = ProjectFile.Write(done.After, data, before.Log);
        if (target is null)
        {
            return Print(Encoding.UTF8.GetString(changed) + "\n");
        }

        // Beside it first: a file is whole or as it was.
        File.WriteAllBytes(target + ".new", changed);
        File.Move(target + ".new", target, overwrite: true);
        return Print(done.Label + "\n");
    }

    // With a broker of its own where none is named.
    private static int StandIns(string file, string[] words)
    {
        const int UsualPort = 18830;
        var at = Array.IndexOf(words, "--broker");
        var broker = at >= 0 && at + 1 < words.Length ? words[at + 1] : null;
        using var stop = new CancellationTokenSource();
        async Task<int> RunAsync()
        {
            await using var own = broker is null ? await EmbeddedBroker.StartAsync(UsualPort) : null;
            if (own is not null)
            {
                Console.Error.WriteLine("A broker of its own: start the server with --broker "
                    + $"mqtt://127.0.0.1:{own.Port} to listen there.");
            }

            return await StandInCommandLine.RunAsync(() => StandInCommandLine.Of(File.ReadAllBytes(file),
                broker ?? $"mqtt://127.0.0.1:{own!.Port}",
                at < 0 ? words : [.. words[..at], .. words[Math.Min(at + 2, words.Length)..]]), stop);
        }

        return RunAsync().GetAwaiter().GetResult();
    }

    private static PlantSpecification Plant(string file, EngineeringData data) => Project(file, data).Specification;

    private static ProjectFile Project(string file, EngineeringData data)
    {
        if (new FileInfo(file) is { Exists: true, Length: > ProjectFile.MaxBytes } large)
        {
            throw new InputException(InputProblem.Of(
                string.Empty, "File size", $"{large.Length} bytes", $"at most {ProjectFile.MaxBytes} bytes"));
        }

        return ProjectFile.ReadWhole(File.ReadAllBytes(file), data);
    }

    private static int Calc(string name)
    {
        var calculation = Calculation.Named(name);
        return Print(calculation.Run(StandardInput()).ToJsonString(ProjectJson.Options) + "\n");
    }

    private static byte[] StandardInput()
    {
        using var input = new MemoryStream();
        using var standard = Console.OpenStandardInput();
        standard.CopyTo(input);
        return input.ToArray();
    }

    // The first line of standard input: on the command line others could read it.
    private static string Password() => Encoding.UTF8.GetString(StandardInput()).Split('\n')[0].TrimEnd('\r');

    private static int Print(string text)
    {
        using var output = Console.OpenStandardOutput();
        output.Write(Encoding.UTF8.GetBytes(text));
        return 0;
    }

    // The same document whatever stands against it, on standard output; what a person reads goes to the other.
    private static int Refuse(string title, string detail, IReadOnlyList<InputProblem> errors)
    {
        var document = new JsonObject { ["title"] = title, ["detail"] = detail,
            ["errors"] = JsonSerializer.SerializeToNode(errors, ProjectJson.Options) };
        Console.Out.WriteLine(document.ToJsonString(ProjectJson.FileOptions));
        Console.Error.WriteLine(detail);
        return 2;
    }
}
