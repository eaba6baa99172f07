using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Lineups;

/// <summary>A common DC bus in one scenario, as the laboratory draws it.</summary>
/// <param name="Missing">What is missing before anything can be computed.</param>
/// <param name="Members">Members that run, in their order.</param>
/// <param name="TripV">Bus voltage at which the members trip, V.</param>
/// <param name="Events">Process, common stop, loss of the line; those that can be computed.</param>
internal sealed record DcBusDocument(IReadOnlyList<string> Missing, IReadOnlyList<string> Members, double TripV,
    IReadOnlyList<DcBusEventDocument> Events);

/// <summary>An event on the bus; powers in kW, energies in kJ.</summary>
internal sealed record DcBusEventDocument(
    BusEvent Event,
    double SpanS,
    double PeakKw,
    double RmsKw,
    double PeakReturnKw,
    double SumOfPeaksKw,
    double ExchangedKwhPerHour,
    double SupplyKj,
    double ReturnedKj,
    double BurntKj,
    double HighestV,
    bool Trips,
    double? OffAtS,
    IReadOnlyList<DcBusSection> Sections,
    IReadOnlyList<DcBusTrace> Trace);

/// <summary>A member on the busbar, from the supply module on; currents at the lowest bus voltage.</summary>
/// <param name="Tag">The member.</param>
/// <param name="LargestKw">Largest power of the member either way, kW.</param>
/// <param name="CurrentA">Its current: what its fuse carries, A.</param>
/// <param name="SectionA">Largest current of the busbar ahead of it, A.</param>
internal sealed record DcBusSection(string Tag, double LargestKw, double CurrentA, double SectionA);

/// <summary>A moment: members in kW, in their order.</summary>
internal sealed record DcBusTrace(double TimeS, double NetKw, double SupplyKw, double ChopperKw, double BusV,
    IReadOnlyList<double> MembersKw);

/// <summary>Laboratories of lineups.</summary>
internal static class DcBusEndpoints
{
    private const int Points = 240;

    public static void MapLineups(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/dc-buses/{bus}", (string id, string bus, string? scenarioId, ProjectReader reader, Assessor assessor) =>
            reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : assessor.DcBus(plant, bus) is { } model
                    ? Results.Ok(Of(model, plant.Scenarios.FirstOrDefault(s => s.Id == scenarioId) ?? plant.Scenarios[0]))
                    : Problems.NotFound("There is no such DC bus."))
        .WithName("getDcBus").WithTags("Lineups").Produces<DcBusDocument>();

    private static DcBusDocument Of(DcBusModel model, Scenario scenario) => new(
        model.Missing,
        [.. model.Members.Where(m => scenario.StateOf(m.Id).Running).Select(m => m.Input.DrivePoint.Tag)],
        model.Supply(false).TripV,
        [.. Enum.GetValues<BusEvent>().Select(e => (Event: e, Run: model.Run(scenario, e))).Where(e => e.Run is not null)
            .Select(e => Event(e.Event, e.Run!, model, scenario))]);

    private static DcBusEventDocument Event(BusEvent what, CommonBusResult run, DcBusModel model, Scenario scenario)
    {
        var step = Math.Max(1, run.Moments.Count / Points);
        return new DcBusEventDocument(
            what, run.SpanS, run.PeakW / 1e3, run.RmsW / 1e3, run.PeakReturnW / 1e3, run.SumOfPeaksW / 1e3,
            run.ExchangedJ / run.SpanS / 1e3, run.SupplyJ / 1e3, run.ReturnedJ / 1e3,
            run.BurntJ / 1e3, run.HighestV, run.Trips, run.OffAtS, Sections(run, model, scenario),
            [
                .. run.Moments.Where((_, i) => i % step == 0 || i >= run.Moments.Count - 2).Select(m => new DcBusTrace(
                    m.TimeS, m.NetW / 1e3, m.SupplyW / 1e3, m.ChopperW / 1e3, m.BusV, [.. m.MembersW.Select(w => w / 1e3)])),
            ]);
    }

    private static IReadOnlyList<DcBusSection> Sections(CommonBusResult run, DcBusModel model, Scenario scenario)
    {
        string[] tags = [.. model.Members.Where(m => scenario.StateOf(m.Id).Running).Select(m => m.Input.DrivePoint.Tag)];
        var sections = run.SectionsW();
        return
        [
            .. tags.Select((tag, k) =>
            {
                var largest = run.Moments.Max(m => Math.Abs(m.MembersW[k]));
                return new DcBusSection(tag, largest / 1e3, largest / model.LowestV, sections[k] / model.LowestV);
            }),
        ];
    }
}
