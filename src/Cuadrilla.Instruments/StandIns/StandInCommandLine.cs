using System.Runtime.InteropServices;
using System.Text.Json;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Instruments.StandIns;

/// <summary>The process of the stand-ins as it is started: by the server, or by hand.</summary>
public static class StandInCommandLine
{
    /// <summary>Runs the job that stands on standard input; by the server. It ends when that is closed.</summary>
    /// <returns>Exit code: 0 after a stop, 2 where the job does not fit.</returns>
    public static async Task<int> FromStandardInputAsync()
    {
        // A line holds the job; what comes after it never does, until whoever started this is gone.
        using var input = new StreamReader(Console.OpenStandardInput());
        var line = await input.ReadLineAsync() ?? string.Empty;
        using var stop = new CancellationTokenSource();
        _ = Task.Run(async () =>
        {
            await input.ReadLineAsync();
            await stop.CancelAsync();
        });
        return await RunAsync(() => JsonReading.Read<StandInJob>(System.Text.Encoding.UTF8.GetBytes(line), ProjectJson.Options), stop);
    }

    /// <summary>Runs a job until a signal stops it.</summary>
    /// <param name="job">Makes the job.</param>
    /// <param name="stop">Stops it.</param>
    public static async Task<int> RunAsync(Func<StandInJob> job, CancellationTokenSource stop)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(stop);
        void End(PosixSignalContext signal)
        {
            signal.Cancel = true;
            stop.Cancel();
        }

        using var term = PosixSignalRegistration.Create(PosixSignal.SIGTERM, End);
        using var interrupt = PosixSignalRegistration.Create(PosixSignal.SIGINT, End);
        try
        {
            var program = new StandInProgram(job());
            await Console.Error.WriteLineAsync(
                $"{program.Count} drive points simulated on {program.Address}; all they say is marked simulated.");

            // For whoever started it: the one line of its standard output says that it is ready.
            await Console.Out.WriteLineAsync(JsonSerializer.Serialize(program.Ready, ProjectJson.Options));
            await Console.Error.WriteLineAsync(await program.RunAsync(stop.Token));
            return 0;
        }
        catch (InputException problem)
        {
            await Console.Error.WriteLineAsync(problem.Message);
            return 2;
        }
    }

    /// <summary>A job of a project file and words of the command line.</summary>
    /// <param name="file">The project file.</param>
    /// <param name="broker">Broker.</param>
    /// <param name="words">Further words: <c>--seed N</c>, <c>--plant KEY</c>, <c>--times N</c>, <c>--fault POINT=FAULT</c>.</param>
    /// <exception cref="InputException">A word is not known.</exception>
    public static StandInJob Of(byte[] file, string broker, IReadOnlyList<string> words)
    {
        ArgumentNullException.ThrowIfNull(words);
        var job = new Dictionary<string, object> { ["broker"] = broker, ["plant"] = "plant", ["seed"] = 1 };
        Dictionary<string, string> faults = [];
        for (var i = 0; i < words.Count; i++)
        {
            var value = i + 1 < words.Count ? words[i + 1] : string.Empty;
            switch (words[i++])
            {
                case "--seed" when int.TryParse(value, out var seed):
                    job["seed"] = seed;
                    break;
                case "--times" when double.TryParse(value, System.Globalization.CultureInfo.InvariantCulture, out var times):
                    job["times"] = times;
                    break;
                case "--plant" when value.Length > 0:
                    job["plant"] = value;
                    break;
                case "--fault" when value.Split('=') is [var point, var fault]:
                    faults[point] = fault;
                    break;
                default:
                    throw new InputException(Core.Base.InputProblem.Of(string.Empty, "Word", $"'{words[i - 1]} {value}'",
                        "--broker ADDRESS, --seed N, --times N, --plant KEY, --fault POINT=FAULT"));
            }
        }

        job["faults"] = faults;
        job["project"] = JsonReading.Read<JsonElement>(file, ProjectJson.Options);
        return JsonReading.Read<StandInJob>(JsonSerializer.SerializeToUtf8Bytes(job), ProjectJson.Options);
    }
}
