using System.ComponentModel.DataAnnotations;
using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>start</c>.</summary>
internal static class StartCalculation
{
    private const double Gap = 0.05;
    private const double StepS = 0.01;

    public enum StartWay
    {
        AcrossTheLine,
        StarDelta,
        SoftStarter,
    }

    public static object Run(Input input, InputRanges ranges)
    {
        var known = ReferenceCatalogue.Data.Motors.TryGetValue(input.MotorId, out var item) && item.Plate.StartsOnTheLine;
        var settings = input.Settings;
        ranges
            .Require(known, "motorId", $"'{input.MotorId}'", "a cage motor of the catalogue")
            .Done();
        var plate = item!.Plate;
        var circuit = CageCircuitFit.Run(plate).Circuit;
        var source = new Complex(input.SourceROhm, input.SourceXOhm);
        var bus = new StartBus(input.LineVoltageV, source, source);
        var load = Curve(input, circuit.SynchronousRadPerS);
        var drive = input.Way switch
        {
            StartWay.StarDelta => CageStart.StarDelta(circuit, bus, input.ChangeOverS, Gap, load),
            StartWay.SoftStarter => CageStart.SoftStarter(circuit, bus, settings, plate.RatedCurrentA, load),
            _ => CageStart.AcrossTheLine(circuit, bus, load),
        };
        var run = StartSimulation.Run(drive, load, input.InertiaKgM2, StepS);
        return new Output(
            run.End,
            run.TimeS,
            run.EndRadPerS * 60 / (2 * Math.PI),
            run.Moments.Max(m => m.State.LineCurrentA),
            run.Moments.Max(m => m.State.StarterCurrentA),
            run.Moments.Max(m => 100 * (1 - (m.State.BusVoltageV / input.LineVoltageV))),
            run.Energy.InputJ / 1e3,
            run.Energy.KineticJ / 1e3,
            run.Energy.LoadJ / 1e3,
            run.Energy.StatorJ / 1e3,
            run.Energy.RotorJ / 1e3,
            100 * TripHeat.Of(run.Moments, plate.RatedCurrentA, input.Trip));
    }

    private static List<LoadPoint> Curve(Input input, double top) =>
    [
        .. Enumerable.Range(0, 201).Select(i =>
        {
            var part = i / 200.0;
            var running = input.ConstantNm + (input.SquareNm * part * part);
            return new LoadPoint(top * part, Math.Max(running, input.BreakawayNm * Math.Max(0, 1 - (20 * part))));
        }),
    ];

    public sealed record Input(
        string MotorId,
        [Range(100, 1000)] double LineVoltageV,
        [Range(0, 10)] double SourceROhm,
        [Range(0, 10)] double SourceXOhm,
        [Range(1e-4, 1e5)] double InertiaKgM2,
        [Range(0, 1e6)] double ConstantNm,
        [Range(0, 1e6)] double SquareNm,
        [Range(0, 1e6)] double BreakawayNm,
        StartWay Way,
        [Range(0.1, 120)] double ChangeOverS,
        SoftStarterSettings Settings,
        TripClass Trip);

    public sealed record Output(
        StartEnd End,
        double TimeS,
        double EndRpm,
        double PeakLineA,
        double PeakStarterA,
        double DipPct,
        double InputKj,
        double KineticKj,
        double LoadKj,
        double StatorKj,
        double RotorKj,
        double TripHeatPct);
}
