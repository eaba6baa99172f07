using System.Diagnostics;
using System.Text.Json;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments.StandIns;

namespace Cuadrilla.Web.Instruments;

/// <summary>A process of stand-ins that this server started; it ends with it.</summary>
internal sealed class StandInProcess : IDisposable
{
    private const int LongestWord = 400;
    private readonly Process process;
    private volatile string said = string.Empty;
    private volatile int drivePoints;

    private StandInProcess(Process process, StandInJob job, long edit, DateTimeOffset since) =>
        (this.process, Seed, Times, Edit, Since) = (process, job.Seed, job.Times, edit, since);

    /// <summary>Seed of its tolerances.</summary>
    public int Seed { get; }

    /// <summary>So many times faster than the clock.</summary>
    public double Times { get; }

    /// <summary>Edit of the specification that it simulates.</summary>
    public long Edit { get; }

    /// <summary>When it was started.</summary>
    public DateTimeOffset Since { get; }

    /// <summary>Drive points that it simulates; 0 while it is getting ready.</summary>
    public int DrivePoints => drivePoints;

    /// <summary>It runs.</summary>
    public bool IsRunning
    {
        get
        {
            try
            {
                return !process.HasExited;
            }
            catch (InvalidOperationException)
            {
                // Stopped and let go in the very moment.
                return false;
            }
        }
    }

    /// <summary>Why it ended; empty while it runs.</summary>
    public string Ended => IsRunning ? string.Empty
        : process.ExitCode == 0 ? "stopped"
        : said.Length > 0 && process.ExitCode == 2 ? said : $"it ended by itself (code {process.ExitCode})";

    /// <summary>Its number at the operating system.</summary>
    public int ProcessId => process.Id;

    /// <summary>Starts one.</summary>
    public static StandInProcess Start(StandInJob job, long edit, TimeProvider clock)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardInput = true, RedirectStandardError = true,
            RedirectStandardOutput = true };
        start.ArgumentList.Add(typeof(Program).Assembly.Location);
        start.ArgumentList.Add("stand-ins");
        var process = Process.Start(start)!;
        var made = new StandInProcess(process, job, edit, clock.GetUtcNow());
        process.OutputDataReceived += (_, e) => made.Take(e.Data);
        process.ErrorDataReceived += (_, e) =>
            made.said = e.Data is { Length: > 0 } words ? words[..Math.Min(words.Length, LongestWord)] : made.said;
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();

        // On its standard input, not on its command line: what is hidden must not be seen in a list of processes.
        try
        {
            process.StandardInput.WriteLine(JsonSerializer.Serialize(job, ProjectJson.Options));
            process.StandardInput.Flush();
        }
        catch (IOException)
        {
            // It has ended already: what it is asked says so.
        }

        return made;
    }

    private void Take(string? line)
    {
        try
        {
            drivePoints = line is { Length: > 0 } ? JsonSerializer.Deserialize<StandInsOnline>(line, ProjectJson.Options)!.Points
                : drivePoints;
        }
        catch (JsonException)
        {
            // Not of ours: a runtime's own word on standard output.
        }
    }

    /// <summary>Stops it.</summary>
    public async Task StopAsync()
    {
        if (!IsRunning)
        {
            return;
        }

        process.StandardInput.Close();
        using var patience = new CancellationTokenSource(TimeSpan.FromSeconds(3));
        try
        {
            await process.WaitForExitAsync(patience.Token);
        }
        catch (OperationCanceledException)
        {
            process.Kill(entireProcessTree: true);
            await process.WaitForExitAsync();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => process.Dispose();
}
