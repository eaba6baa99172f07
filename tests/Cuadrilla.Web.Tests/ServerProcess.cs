using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace Cuadrilla.Web.Tests;

/// <summary>The program in a process of its own, on a port of its own.</summary>
internal sealed class ServerProcess : IDisposable
{
    private readonly Process process;

    private ServerProcess(Process process) => this.process = process;

    /// <summary>What is started: the server as it is delivered where it has been published, or else as it was built.</summary>
    public static string Program { get; } = Environment.GetEnvironmentVariable("CUADRILLA_SERVER") ?? typeof(global::Program)
        .Assembly.Location;

    /// <summary>A port that nobody listens on now.</summary>
    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    /// <summary>Starts it and waits until it answers.</summary>
    public static async Task<ServerProcess> StartAsync(string folder, HttpClient client, params string[] options)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        string[] listen = options.Length > 0 ? options : ["--urls", client.BaseAddress!.GetLeftPart(UriPartial.Authority)];
        foreach (var argument in (string[])[Program, "--data", folder, .. listen])
        {
            start.ArgumentList.Add(argument);
        }

        // It lives for seconds here: what it runs need not be compiled well, but soon.
        start.Environment["DOTNET_TieredPGO"] = "0";
        start.Environment["DOTNET_TC_QuickJitForLoops"] = "1";
        var process = Process.Start(start)!;

        // Read away: a full pipe would hold it up.
        process.OutputDataReceived += (_, _) => { };
        process.ErrorDataReceived += (_, _) => { };
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        for (var i = 0; i < 400 && !process.HasExited; i++)
        {
            try
            {
                if ((await client.GetAsync("/api/health", TestContext.Current.CancellationToken)).IsSuccessStatusCode)
                {
                    return new ServerProcess(process);
                }
            }
            catch (HttpRequestException)
            {
                await Task.Delay(50, TestContext.Current.CancellationToken);
            }
        }

        process.Kill(entireProcessTree: true);
        throw new InvalidOperationException("The server did not start.");
    }

    /// <summary>SIGKILL: no handler runs, nothing is flushed.</summary>
    public async Task KillAsync()
    {
        process.Kill(entireProcessTree: true);
        await process.WaitForExitAsync(TestContext.Current.CancellationToken);
    }

    /// <summary>SIGTERM: it ends by itself.</summary>
    public async Task StopAsync()
    {
        using var kill = Process.Start("kill", ["-TERM", process.Id.ToString(System.Globalization.CultureInfo.InvariantCulture)]);
        await process.WaitForExitAsync(TestContext.Current.CancellationToken);
    }

    public void Dispose()
    {
        if (!process.HasExited)
        {
            process.Kill(entireProcessTree: true);
            process.WaitForExit();
        }

        process.Dispose();
    }
}
