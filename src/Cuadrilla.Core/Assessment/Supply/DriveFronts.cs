using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Plant;
using Cuadrilla.Core.Plant.Network;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>A front end that is at work in a scenario: of a drive, or of the supply module of a common DC bus.</summary>
/// <param name="Id">Key of the drive point or of the DC bus.</param>
/// <param name="Item">Its converter.</param>
/// <param name="Feed">How it is connected.</param>
/// <param name="FeederOhm">Its feeder, ohm per phase.</param>
/// <param name="Armature">Plate of a DC motor behind thyristors; null otherwise.</param>
/// <param name="Point">Its operating point.</param>
/// <param name="BusId">Its bus, live.</param>
internal sealed record RunningDrive(string Id, ConverterItem Item, SupplyFeed Feed, Complex FeederOhm, MotorPlate? Armature, OperatingPoint Point, string BusId)
{
    /// <summary>A drive with a front end of its own.</summary>
    public static RunningDrive Of(DrivePointModel model, OperatingPoint point, string busId) => new(
        model.Id, model.Converter!.Item, model.Converter.Feed, model.WholeFeeder!.Value,
        model.Motor!.Plate.Technology == MotorTechnology.DcSeparatelyExcited ? model.Motor.Plate : null, point, busId);

    /// <summary>True for a six-pulse bridge on three phases: those of one clock hour conduct together.</summary>
    public bool ConductsTogether => Feed == SupplyFeed.ThreePhase && Item.FrontEnd is FrontEnd.Diode { Bridges: 1 };
}

/// <summary>
/// Finds the line currents of a scenario. Six-pulse bridges whose buses have the same clock hour conduct together and share the
/// voltage drop: each sees Σ_k Z_bk·P_k/P_own of the buses k, with the buses' transfer impedances, plus its feeder. All others
/// conduct at other times and lower the voltage at the fundamental only; they see the impedance once. The ratios P_k/P_own are
/// taken in steps of 0.4 %, which moves THDi by less than 0.06 points, and voltages that rest on others in steps of 0.05 %, so
/// that an edit of one drive of a large plant leaves the others as they were solved.
/// </summary>
internal static class DriveFronts
{
    private const double RatioStep = 0.004;
    private const double VoltageStep = 0.0005;

    // Displacement of diode front ends lies between 0.93 and 0.99; it only enters the drop that others cause.
    private const double DisplacementOfOthers = 0.96;

    /// <summary>Solves them; null when the network can't carry the load.</summary>
    public static IReadOnlyList<DriveInScenario>? Solve(
        Source source, SupplyNetwork network, IReadOnlyList<RunningDrive> running, IReadOnlyList<Complex> shuntsPu, Func<RectifierInput, RectifierResult> rectifier)
    {
        var drives = new DriveInScenario[running.Count];
        List<List<int>> groups =
        [
            .. Enumerable.Range(0, running.Count).Where(i => running[i].ConductsTogether).GroupBy(i => network.ClockHour(running[i].BusId)).Select(g => g.ToList()),
            .. Enumerable.Range(0, running.Count).Where(i => !running[i].ConductsTogether).Select(i => new List<int> { i }),
        ];
        foreach (var members in groups)
        {
            if (VoltagesWithout(members, network, running, shuntsPu) is not { } voltages)
            {
                return null;
            }

            var loadOfBus = members.GroupBy(i => running[i].BusId).ToDictionary(g => g.Key, g => g.Sum(i => running[i].Point.DcLoadW), StringComparer.Ordinal);
            var transfer = loadOfBus.Keys.SelectMany(a => loadOfBus.Keys.Select(b => (a, b))).ToDictionary(x => x, x => network.TransferPu(x.a, x.b));
            Parallel.ForEach(members, i =>
            {
                var drive = running[i];
                var seen = members.Count == 1
                    ? transfer[(drive.BusId, drive.BusId)]
                    : loadOfBus.Aggregate(Complex.Zero, (sum, k) => sum + (transfer[(drive.BusId, k.Key)] * InSteps(k.Value / drive.Point.DcLoadW, RatioStep)));
                var node = network.NodeOf(drive.BusId);
                var voltage = node == SupplyNetwork.Reference ? Complex.One : voltages[node];
                var place = new FrontPlace(
                    network.VoltageV(drive.BusId) * (groups.Count > 1 ? InSteps(voltage.Magnitude, VoltageStep) : voltage.Magnitude),
                    (seen * network.BaseOhm(drive.BusId)) + drive.FeederOhm,
                    network.FrequencyHz,
                    source,
                    network.ClockHour(drive.BusId) % 2 == 0 ? 1 : -1);
                var (front, circuit) = FrontSolver.Solve(drive, place, rectifier);
                drives[i] = new DriveInScenario(drive.Id, drive.Point, front, circuit, place.EmfV, drive.BusId, voltage.Phase);
            });
        }

        return drives;
    }

    // Fundamental voltages with every drive but the members.
    private static Complex[]? VoltagesWithout(List<int> members, SupplyNetwork network, IReadOnlyList<RunningDrive> running, IReadOnlyList<Complex> shuntsPu)
    {
        var others = new Complex[network.NodeCount];
        var own = members.ToHashSet();
        for (var i = 0; i < running.Count; i++)
        {
            if (own.Contains(i) || network.NodeOf(running[i].BusId) == SupplyNetwork.Reference)
            {
                continue;
            }

            others[network.NodeOf(running[i].BusId)] += PowerOf(running[i]) / SupplyNetwork.BaseVa;
        }

        return LoadFlow.Run(network, shuntsPu, others);
    }

    private static Complex PowerOf(RunningDrive drive) => drive.Item.FrontEnd is FrontEnd.Diode or FrontEnd.SinglePhase
        ? new Complex(1, Math.Tan(Math.Acos(DisplacementOfOthers))) * drive.Point.DcLoadW
        : new Complex(drive.Point.LineW, Alternatives.MeanPower.At(drive.Point, drive.Item).LineVar);

    private static double InSteps(double value, double step) => Math.Exp(step * Math.Round(Math.Log(value) / step));
}
