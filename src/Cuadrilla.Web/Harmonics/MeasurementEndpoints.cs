using System.Numerics;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Measured;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Documents.Measurements;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Harmonics;

/// <summary>What was measured, and what it is to be held against.</summary>
/// <param name="ScenarioId">Scenario that ran.</param>
/// <param name="Target"><c>coupling</c>, <c>bus:KEY</c> for its voltage, <c>drive:KEY</c> for the line current of a front end.</param>
/// <param name="Text">Text of a CSV or of a COMTRADE configuration.</param>
/// <param name="DataBase64">Data part of a COMTRADE recording; empty for CSV.</param>
/// <param name="Channel">Channel of a recording, from 0.</param>
internal sealed record MeasurementRequest(string ScenarioId, string Target, string Text, string DataBase64 = "", int Channel = 0);

/// <summary>Measured beside computed.</summary>
/// <param name="Channels">Channels of the recording; empty for a spectrum.</param>
/// <param name="Unit">Unit of the measured values.</param>
/// <param name="MeasuredFundamental">Measured fundamental.</param>
/// <param name="ComputedFundamental">Computed fundamental, A, or % of nominal for voltages.</param>
/// <param name="MeasuredThdPct">Distortion as measured, %.</param>
/// <param name="ComputedThdPct">Distortion as computed over the same orders, %.</param>
/// <param name="WorstOrder">Order that differs most.</param>
/// <param name="Orders">Order by order.</param>
internal sealed record MeasurementDocument(
    IReadOnlyList<string> Channels,
    string Unit,
    double MeasuredFundamental,
    double ComputedFundamental,
    double MeasuredThdPct,
    double ComputedThdPct,
    int WorstOrder,
    IReadOnlyList<MeasuredOrderDocument> Orders);

/// <summary>An order, % of each one's own fundamental.</summary>
internal sealed record MeasuredOrderDocument(int Order, double MeasuredPct, double ComputedPct, double DifferencePct);

/// <summary>Measured spectra and recorded waveforms against the study, and computed waveforms as a recording.</summary>
internal static class MeasurementEndpoints
{
    private const int SamplesPerCycle = 256;
    private const int WrittenCycles = 10;

    public static void MapMeasurements(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/projects/{id}/measurements/compare",
            (string id, MeasurementRequest request, ProjectReader reader, Assessor assessor) =>
                reader.Specification(id) is not { } plant ? ProjectEndpoints.Unknown() : Compare(plant, request, assessor))
            .WithName("compareMeasurement").For(AccountRole.Reader).WithTags("Harmonics").Produces<MeasurementDocument>();
        app.MapGet("/api/projects/{id}/waveforms/{part}",
            (string id, string part, string? scenarioId, string? busId, string? kind, ProjectReader reader, Assessor assessor) =>
                reader.Specification(id) is not { } plant
                    ? ProjectEndpoints.Unknown()
                    : Waveforms(plant, part, scenarioId, busId, kind, assessor))
            .WithName("getWaveforms").WithTags("Harmonics").Produces<Stream>(StatusCodes.Status200OK, "application/octet-stream");
    }

    private static IResult Compare(PlantSpecification plant, MeasurementRequest request, Assessor assessor)
    {
        var result = assessor.Run(plant).Scenarios.FirstOrDefault(s => s.ScenarioId == request.ScenarioId);
        if (result is null || Computed(plant, result, request.Target, assessor) is not { } computed)
        {
            return Problems.NotFound("There is no such scenario, bus or drive with a current in it.");
        }

        var (measured, unit, channels) = Measured(request, plant.Source.FrequencyHz);
        SpectrumComparison found;
        try
        {
            found = SpectrumComparison.Of(measured, computed);
        }
        catch (UnfitDataException problem)
        {
            throw new InputException(InputProblem.Of("/text", "Measurement", problem.Message, "a spectrum with a fundamental"));
        }

        return Results.Ok(new MeasurementDocument(
            channels, unit, found.MeasuredFundamental, found.ComputedFundamental, found.MeasuredThdPct, found.ComputedThdPct,
            found.WorstOrder,
            [.. found.Orders.Select(o => new MeasuredOrderDocument(o.Order, o.MeasuredPct, o.ComputedPct, o.DifferencePct))]));
    }

    private static (IReadOnlyList<double> Orders, string Unit, IReadOnlyList<string> Channels) Measured(MeasurementRequest request,
        double frequencyHz)
    {
        if (request.DataBase64.Length == 0 && MeasuredCsv.IsSpectrum(request.Text))
        {
            var (orders, unit) = MeasuredCsv.Spectrum(request.Text);
            return (orders, unit, []);
        }

        var recording = request.DataBase64.Length == 0
            ? MeasuredCsv.Waveform(request.Text, frequencyHz)
            : Comtrade.Read(request.Text, Bytes(request.DataBase64));
        if (request.Channel < 0 || request.Channel >= recording.Channels.Count)
        {
            throw new InputException(InputProblem.Of("/channel", "Channel", $"{request.Channel}", $"0 to {recording.Channels.Count - 1}"));
        }

        var channel = recording.Channels[request.Channel];
        try
        {
            var spectrum = WaveformSpectrum.Of(channel.Samples, recording.SamplesPerS, recording.FrequencyHz);
            return ([.. spectrum.Orders.Select(o => o.Magnitude)], channel.Unit, [.. recording.Channels.Select(c => c.Name)]);
        }
        catch (UnfitDataException problem)
        {
            throw new InputException(InputProblem.Of("/text", "Waveform", problem.Message, "a whole cycle"));
        }
    }

    private static byte[] Bytes(string base64)
    {
        try
        {
            return Convert.FromBase64String(base64);
        }
        catch (FormatException)
        {
            throw new InputException(InputProblem.Of("/dataBase64", "Data part", "not base 64", "the bytes of the data part in base 64"));
        }
    }

    private static IReadOnlyList<double>? Computed(PlantSpecification plant, ScenarioResult result, string target, Assessor assessor)
    {
        var key = target.Contains(':', StringComparison.Ordinal)
            ? target[(target.IndexOf(':', StringComparison.Ordinal) + 1)..]
            : string.Empty;
        if (target == "coupling")
        {
            return [.. result.Pcc.CurrentA.Select(c => c.Magnitude)];
        }

        if (target.StartsWith("bus:", StringComparison.Ordinal))
        {
            return result.Buses.FirstOrDefault(b => b.BusId == key)?.VoltagePct;
        }

        return result.Drives.FirstOrDefault(d => d.DrivePointId == key)?.Front is RectifierResult.LineDraw draw
            ? [.. draw.WorstPhase.Orders.Select(o => o.Magnitude)]
            : null;
    }

    private static IResult Waveforms(PlantSpecification plant, string part, string? scenarioId, string? busId, string? kind,
        Assessor assessor)
    {
        var result = assessor.Run(plant).Scenarios.FirstOrDefault(s => scenarioId is null || s.ScenarioId == scenarioId);
        var bus = result?.Buses.FirstOrDefault(b => busId is null || b.BusId == busId);
        if (result is null || bus is null || part is not ("cfg" or "dat"))
        {
            return Problems.NotFound("There is no such scenario, bus or part.");
        }

        var (current, voltage) = HarmonicStudy.Phasors(plant, result, bus.BusId);
        var crest = Math.Sqrt(2.0 / 3) * plant.Distribution.Bus(bus.BusId).NominalVoltageV / 100;
        double[] Wave(IReadOnlyList<Complex> orders, double factor) =>
        [
            .. Enumerable.Range(0, WrittenCycles * SamplesPerCycle).Select(i => factor * Enumerable.Range(0, orders.Count)
                .Sum(h => (orders[h] * Complex.FromPolarCoordinates(1, (h + 1) * 2 * Math.PI * i / SamplesPerCycle)).Real)),
        ];
        var channels = new List<RecordedChannel> { new("voltage of the bus, phase A", "V", Wave(voltage, crest)) };
        if (current.Count > 0)
        {
            channels.Add(new RecordedChannel("current into the bus, phase A", "A", Wave(current, Math.Sqrt(2))));
        }

        var (configuration, data) = Comtrade.Write(
            new Recording($"{plant.Name}, computed", plant.Source.FrequencyHz, SamplesPerCycle * plant.Source.FrequencyHz, channels),
            kind == "ascii" ? ComtradeData.Ascii : ComtradeData.Binary);
        return part == "cfg"
            ? Results.File(System.Text.Encoding.ASCII.GetBytes(configuration), "application/octet-stream", "computed.cfg")
            : Results.File(data, "application/octet-stream", "computed.dat");
    }
}
