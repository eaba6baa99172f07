using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>A drive that runs in a scenario.</summary>
/// <param name="Model">Its model.</param>
/// <param name="Point">Its operating point.</param>
/// <param name="BusId">Its bus, live.</param>
internal sealed record RunningDrive(DrivePointModel Model, OperatingPoint Point, string BusId);

/// <summary>
/// Solves the front ends of a scenario. Drives whose buses have the same clock hour conduct together and share the voltage
/// drop: each sees Σ_k Z_bk·P_k/P_own of the buses k, with the buses' transfer impedances, plus its feeder. Drives of another
/// hour conduct at other times and lower the voltage at the fundamental only. The ratios P_k/P_own are taken in steps of
/// 0.4 %, which moves THDi by less than 0.06 points, and voltages that rest on drives of other hours in steps of 0.05 %, so
/// that an edit of one drive of a large plant leaves the others as they were solved.
/// </summary>
internal static class DriveFronts
{
    private const double RatioStep = 0.004;
    private const double VoltageStep = 0.0005;

    // Displacement of diode front ends lies between 0.93 and 0.99; it only enters the drop that other hours cause.
    private const double DisplacementOfOthers = 0.96;

    /// <summary>Solves them; null when the network can't carry the load.</summary>
    public static IReadOnlyList<DriveInScenario>? Solve(
        Source source, SupplyNetwork network, IReadOnlyList<RunningDrive> running, IReadOnlyList<Complex> shuntsPu, Func<RectifierInput, RectifierResult> rectifier)
    {
        var drives = new DriveInScenario[running.Count];
        var hours = running.Select(r => network.ClockHour(r.BusId)).Distinct().ToList();
        foreach (var hour in hours)
        {
            var members = Enumerable.Range(0, running.Count).Where(i => network.ClockHour(running[i].BusId) == hour).ToList();
            var others = new Complex[network.NodeCount];
            foreach (var other in running.Where(r => network.ClockHour(r.BusId) != hour && network.NodeOf(r.BusId) != SupplyNetwork.Reference))
            {
                others[network.NodeOf(other.BusId)] += new Complex(1, Math.Tan(Math.Acos(DisplacementOfOthers))) * other.Point.DcLoadW / SupplyNetwork.BaseVa;
            }

            if (LoadFlow.Run(network, shuntsPu, others) is not { } voltages)
            {
                return null;
            }

            var loadOfBus = members.GroupBy(i => running[i].BusId).ToDictionary(g => g.Key, g => g.Sum(i => running[i].Point.DcLoadW), StringComparer.Ordinal);
            var transfer = loadOfBus.Keys.SelectMany(a => loadOfBus.Keys.Select(b => (a, b))).ToDictionary(x => x, x => network.TransferPu(x.a, x.b));
            Parallel.ForEach(members, i =>
            {
                var drive = running[i];
                var seen = loadOfBus.Aggregate(Complex.Zero, (sum, k) => sum + (transfer[(drive.BusId, k.Key)] * InSteps(k.Value / drive.Point.DcLoadW, RatioStep)));
                var node = network.NodeOf(drive.BusId);
                var voltage = node == SupplyNetwork.Reference ? Complex.One : voltages[node];
                var emfV = network.VoltageV(drive.BusId) * (hours.Count > 1 ? InSteps(voltage.Magnitude, VoltageStep) : voltage.Magnitude);
                var input = Input(drive, source, network, emfV, (seen * network.BaseOhm(drive.BusId)) + drive.Model.Feeder!.Value);
                drives[i] = new DriveInScenario(drive.Model.Id, drive.Point, rectifier(input), input, drive.BusId, voltage.Phase);
            });
        }

        return drives;
    }

    private static RectifierInput Input(RunningDrive drive, Source source, SupplyNetwork network, double emfV, Complex seenOhm)
    {
        var item = drive.Model.Converter!.Item;
        var omega = 2 * Math.PI * network.FrequencyHz;

        // Each hour of the vector groups turns the 5th and the 7th by 180° against the fundamental.
        var turn = network.ClockHour(drive.BusId) % 2 == 0 ? 1 : -1;
        return new RectifierInput(
            RectifierKind.SixPulse,
            emfV,
            network.FrequencyHz,
            seenOhm.Real,
            seenOhm.Imaginary / omega,
            item.DcChokeH(network.FrequencyHz),
            item.ChokePct > 0 ? item.DcChokeResistanceOhm : 0,
            item.DcCapacitanceUf * 1e-6,
            drive.Point.DcLoadW,
            DcLoadModel.ConstantPower,
            Or0(source.UnbalancePct) / 100,
            turn * Or0(source.BackgroundV5Pct) / 100,
            turn * Or0(source.BackgroundV7Pct) / 100);
    }

    private static double InSteps(double value, double step) => Math.Exp(step * Math.Round(Math.Log(value) / step));

    private static double Or0(Given value) => value.IsKnown ? value.Value : 0;
}
