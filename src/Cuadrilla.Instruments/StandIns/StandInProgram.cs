using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Text.Json;
using System.Threading.Channels;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Instruments.StandIns;

/// <summary>
/// The process of the stand-ins: a plant simulated in time, its instruments publishing on a broker of this machine, its drives taking
/// orders there. All it says is marked simulated.
/// </summary>
public sealed class StandInProgram
{
    private const double StepS = 0.25, LongestStepS = 2, PublishS = 1, MostTimes = 60;
    private static readonly TimeSpan LostFor = TimeSpan.FromSeconds(20);

    private readonly StandInJob job;
    private readonly IReadOnlyList<StandInDrive> drives;
    private readonly Dictionary<string, (string Key, string Refused)> answers = new(StringComparer.Ordinal);
    private readonly Channel<(string Topic, byte[] Payload)> orders =
        Channel.CreateBounded<(string, byte[])>(new BoundedChannelOptions(1000) { FullMode = BoundedChannelFullMode.DropOldest });

    /// <summary>Prepares it.</summary>
    /// <param name="job">What it is told.</param>
    /// <exception cref="InputException">Something of it does not fit.</exception>
    public StandInProgram(StandInJob job)
    {
        ArgumentNullException.ThrowIfNull(job);
        this.job = job;
        Address = BrokerAddress.Read(job.Broker);
        if (!(Address.Host == "localhost" || IPAddress.TryParse(Address.Host, out var ip) && IPAddress.IsLoopback(ip)))
        {
            throw new InputException(InputProblem.Of("/broker", "Broker", Address.ToString(),
                "one on this machine: what is simulated stays off a plant's network"));
        }

        if (!(job.Times is >= 1 and <= MostTimes))
        {
            throw new InputException(InputProblem.Of("/times", "Times", job.Times.ToString(CultureInfo.InvariantCulture),
                $"1 to {MostTimes}"));
        }

        if (job.Plant.Length is 0 or > 60 || job.Plant.IndexOfAny(['/', '+', '#', '\0']) >= 0)
        {
            throw new InputException(InputProblem.Of("/plant", "Plant", $"'{job.Plant}'", "1 to 60 characters without / + #"));
        }

        var data = ReferenceCatalogue.Data;
        var plant = ProjectFile.ReadWhole(JsonSerializer.SerializeToUtf8Bytes(job.Project), data).Specification;
        var assessor = new Assessor(data);
        try
        {
            drives = [.. plant.AllDrivePoints().Where(p => job.Points.Count == 0 || job.Points.Contains(p.Id)).ToList()
                .AsParallel().AsOrdered()
                .Select(p => Made(assessor, plant, p))
                .OfType<StandInDrive>()];
        }
        catch (AggregateException several) when (several.InnerExceptions.OfType<InputException>().FirstOrDefault() is { } first)
        {
            throw first;
        }

        if (job.Faults.Keys.FirstOrDefault(f => drives.All(d => d.PointId != f)) is { } strange)
        {
            throw new InputException(InputProblem.Of($"/faults/{strange}", "Drive point", $"'{strange}'", "one with a motor"));
        }
    }

    /// <summary>Broker.</summary>
    public BrokerAddress Address { get; }

    /// <summary>Drive points simulated.</summary>
    public int Count => drives.Count;

    /// <summary>What it says of itself once it is ready.</summary>
    public StandInsOnline Ready => Online(true);

    /// <summary>Runs until it is stopped, or the broker has been gone for some time.</summary>
    /// <param name="stop">Stops it.</param>
    /// <returns>Why it ended.</returns>
    public async Task<string> RunAsync(CancellationToken stop)
    {
        await using var link = new InstrumentLink(Address, [StandInTopics.Order(job.Plant, "+")],
            (topic, payload, isRetained) =>
            {
                if (!isRetained)
                {
                    orders.Writer.TryWrite((topic, payload));
                }
            })
        {
            LastWill = (StandInTopics.Process(job.Plant), Json(Online(false))),
        };
        link.Start();
        var clock = Stopwatch.StartNew();
        var (before, published, seen) = (TimeSpan.Zero, TimeSpan.MinValue, TimeSpan.Zero);
        var times = 0;
        while (!stop.IsCancellationRequested)
        {
            var now = clock.Elapsed;
            Obey();
            foreach (var drive in drives)
            {
                drive.Go(job.Times * Math.Min(LongestStepS, (now - before).TotalSeconds));
            }

            before = now;
            if (link.State == LinkState.Connected)
            {
                seen = now;
                if (link.Times != times)
                {
                    times = link.Times;
                    await link.PublishAsync(StandInTopics.Process(job.Plant),
                        Json(Online(true)), isRetained: true);
                }

                var isDue = published == TimeSpan.MinValue || (now - published).TotalSeconds >= PublishS;
                published = isDue ? now : published;
                foreach (var drive in drives)
                {
                    await PublishAsync(link, drive, isDue);
                }
            }
            else if (now - seen > LostFor)
            {
                return $"the broker has been gone for {LostFor.TotalSeconds} s: {link.Trouble}";
            }

            try
            {
                await Task.Delay(TimeSpan.FromSeconds(StepS), stop);
            }
            catch (OperationCanceledException)
            {
                break;
            }
        }

        await link.PublishAsync(StandInTopics.Process(job.Plant), Json(Online(false)), isRetained: true);
        return "stopped";
    }

    private static byte[] Json<T>(T value) => JsonSerializer.SerializeToUtf8Bytes(value, ProjectJson.Options);

    private static string Kebab(SiteInstrument instrument) =>
        JsonNamingPolicy.KebabCaseLower.ConvertName(instrument.ToString());

    private StandInsOnline Online(bool isOnline) => new(isOnline, job.Seed, drives.Count, job.Times);

    private StandInDrive? Made(Assessor assessor, PlantSpecification plant, DrivePoint point)
    {
        if (assessor.SiteOf(plant, point).Model.Fitted is null)
        {
            return null;
        }

        try
        {
            return assessor.StandIn(plant, point, new StandInSettings(job.Seed, job.Faults.GetValueOrDefault(point.Id)));
        }
        catch (ArgumentException problem)
        {
            throw new InputException(InputProblem.Of($"/faults/{point.Id}", "Fault", job.Faults[point.Id].ToString(), problem.Message));
        }
    }

    private void Obey()
    {
        while (orders.Reader.TryRead(out var order))
        {
            var point = order.Topic.Split('/') is [_, _, _, var named, _] ? named : string.Empty;
            if (drives.FirstOrDefault(d => d.PointId == point) is not { } drive)
            {
                continue;
            }

            try
            {
                var request = JsonReading.Read<StandInRequest>(order.Payload, ProjectJson.Options);
                answers[point] = (request.Key, drive.Do(new(request.Order, request.FrequencyHz)) ?? string.Empty);
            }
            catch (InputException problem)
            {
                answers[point] = (string.Empty, problem.Message);
            }
        }
    }

    private async Task PublishAsync(InstrumentLink link, StandInDrive drive, bool withInstruments)
    {
        var at = DateTimeOffset.UtcNow;
        var (key, refused) = answers.GetValueOrDefault(drive.PointId, (string.Empty, string.Empty));
        await link.PublishAsync(StandInTopics.State(job.Plant, drive.PointId), Json(new StandInStatus(at, drive.State, drive.Trip,
            drive.IsCoupled,
            Math.Round(drive.FrequencyHz, 3), Math.Round(drive.SpeedRpm, 1), key, refused)));
        if (!withInstruments)
        {
            return;
        }

        foreach (var instrument in drive.Read().GroupBy(r => ReadingKind.Named(r.Name)!.Instrument))
        {
            var values = instrument.ToDictionary(r => r.Name, r => r.Value is { } v ? Digits.Kept(v) : (double?)null);
            await link.PublishAsync(StandInTopics.Instrument(job.Plant, drive.PointId, Kebab(instrument.Key)), Json(new StandInMessage(at,
                Math.Round(drive.HeatTimeS, 2), "good", true, values)));
        }

        if (StandInWave.Of(drive) is { } wave)
        {
            await link.PublishAsync(StandInTopics.Cycle(job.Plant, drive.PointId),
                Json(new StandInCycle(at, "good", true, wave.PeriodMs, wave.SamplesA)));
        }
    }
}
