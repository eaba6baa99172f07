using System.Collections.Concurrent;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Instruments;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Web.Instruments;

/// <summary>Records runs: every second the points that came are stored. A run that lasted when the server went down goes on with
/// it.</summary>
internal sealed class RunRecorder(InstrumentRoom room, SiteRunStore store, ILogger<RunRecorder> log) : IHostedService, IDisposable
{
    private const int MostPoints = 9_000;
    private readonly ConcurrentDictionary<(string Project, long Number), Recording> recordings = new();
    private readonly CancellationTokenSource stop = new();
    private Task loop = Task.CompletedTask;

    /// <inheritdoc/>
    public Task StartAsync(CancellationToken cancellationToken)
    {
        room.Board.Came += Heard;
        foreach (var run in store.Lasting())
        {
            Begin(run);
        }

        loop = Task.Run(RunAsync, CancellationToken.None);
        return Task.CompletedTask;
    }

    /// <inheritdoc/>
    public async Task StopAsync(CancellationToken cancellationToken)
    {
        room.Board.Came -= Heard;
        await stop.CancelAsync();
        await loop;
        Store();
    }

    /// <inheritdoc/>
    public void Dispose() => stop.Dispose();

    /// <summary>Records a run from now on.</summary>
    /// <param name="run">The run.</param>
    public void Begin(StoredRun run)
    {
        foreach (var other in recordings.Where(r => r.Key.Project == run.ProjectId && r.Value.Run.PointId == run.PointId
            && r.Value.Run.StepId == run.StepId).Select(r => r.Key))
        {
            recordings.TryRemove(other, out _);
        }

        recordings[(run.ProjectId, run.Number)] = new Recording(run, store.Points(run) is [.., var newest] ? newest.TimeS : null);
    }

    /// <summary>Ends one; what has come of it is stored first.</summary>
    public void End(StoredRun run, string why)
    {
        Store();
        recordings.TryRemove((run.ProjectId, run.Number), out _);
        store.End(run, why);
    }

    /// <summary>A run is being recorded by this server.</summary>
    public bool IsHeard(StoredRun run) => recordings.ContainsKey((run.ProjectId, run.Number));

    private void Heard(InstrumentReading reading)
    {
        foreach (var recording in recordings.Values)
        {
            recording.Hear(reading);
        }
    }

    private async Task RunAsync()
    {
        while (!stop.IsCancellationRequested)
        {
            try
            {
                await Task.Delay(TimeSpan.FromSeconds(1), stop.Token);
            }
            catch (OperationCanceledException)
            {
                return;
            }

            Store();
        }
    }

    private void Store()
    {
        foreach (var recording in recordings.Values)
        {
            try
            {
                var (points, instrument, isSimulated, broken) = recording.Come();
                if (points.Count > 0)
                {
                    store.Add(recording.Run, points, instrument, isSimulated);
                    recording.Stored(points.Count);
                }

                if (broken.Length > 0 || recording.Count >= MostPoints)
                {
                    recordings.TryRemove((recording.Run.ProjectId, recording.Run.Number), out _);
                    store.End(recording.Run, broken.Length > 0 ? broken : $"{MostPoints} points");
                }
            }
            catch (SqliteException problem)
            {
                // They wait in memory and are tried again.
                log.LogError("Run {Number}: {Problem}", recording.Run.Number, problem.Message);
            }
        }
    }

    private sealed class Recording(StoredRun run, double? lastS)
    {
        private readonly Lock door = new();
        private readonly List<StoredRunPoint> waiting = [];
        private double? firstS;
        private double last = lastS ?? double.NegativeInfinity;
        private string instrument = string.Empty, broken = string.Empty;
        private bool isSimulated;

        public StoredRun Run => run;

        public int Count { get; private set; }

        public void Hear(InstrumentReading reading)
        {
            if (reading.Kind.Name != run.Reading || reading.Value is not { } value || !reading.IsGood
                || (reading.Plant.Length > 0 && reading.Plant != run.ProjectId)
                || !(reading.Point == run.PointId || reading.Point == run.Tag))
            {
                return;
            }

            lock (door)
            {
                var now = reading.RunS ?? (reading.At.ToUnixTimeMilliseconds() / 1e3);

                // After a pause of the server time goes on behind its last point.
                firstS ??= now - (double.IsFinite(last) ? last + 1 : 0);
                var time = Math.Round(now - firstS.Value, 3);
                if (time <= last)
                {
                    broken = time < last - 1 ? "the instrument's time went back: it was started anew" : broken;
                    return;
                }

                (last, instrument, isSimulated) = (time, reading.Instrument, isSimulated || reading.IsSimulated);
                waiting.Add(new StoredRunPoint(time, value));
            }
        }

        public (IReadOnlyList<StoredRunPoint> Points, string Instrument, bool IsSimulated, string Broken) Come()
        {
            lock (door)
            {
                return ([.. waiting], instrument, isSimulated, broken);
            }
        }

        public void Stored(int count)
        {
            lock (door)
            {
                waiting.RemoveRange(0, count);
                Count += count;
            }
        }
    }
}
