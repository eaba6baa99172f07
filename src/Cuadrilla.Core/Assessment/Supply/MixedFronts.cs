using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>
/// Finds the line currents of a scenario together with the voltages that they leave. Six-pulse bridges whose buses have the same clock hour
/// conduct together and share the voltage drop: each sees Σ_k Z_bk·P_k/P_own of the buses k, with the buses' transfer impedances, plus its
/// feeder; all others see the impedance once. What the real network does differently (other groups, capacitor banks, filters, skin effect,
/// the line's own distortion) comes back as EMF of each place, and the front ends are solved again until no THDi would move by 0.1 points.
/// See <c>docs/methods/plant-harmonics.md</c>.
/// The ratios P_k/P_own are taken in steps of 0.4 %, voltages in steps of 0.05 % and harmonic EMFs in steps of 0.01 %; a front end whose EMF
/// has moved by less than 0.02 points' worth stays as it was solved, also from one edit to the next.
/// </summary>
internal sealed class MixedFronts
{
    private const double RatioStep = 0.004;
    private const double VoltageStep = 0.0005;
    private const double EmfStep = 0.0001;
    private const int MostRounds = 60;
    private const int MostRoundsFromBefore = 15;
    private const int MixingDepth = 12;

    private const int LeastForSamples = 2;
    private const int MostSampleRounds = 8;
    private const double NearPoints = 0.5;

    // A little closer than what counts as settled, so that figures hardly depend on where a search began.
    private const double StopPoints = 0.08;
    private const double StaysPoints = 0.02;
    private const double FineStaysPoints = 0.001;
    private const double FineStopPoints = 0.02;
    private const int RoughRounds = 4;
    private const int HopelessRounds = 4;

    // Displacement of diode front ends lies between 0.93 and 0.99; it only enters the first guess of the drop that others cause.
    private const double DisplacementOfOthers = 0.96;

    private readonly PlantSpecification plant;
    private readonly Scenario scenario;
    private readonly SupplyNetwork network;
    private readonly IReadOnlyList<RunningDrive> running;
    private readonly Complex[] shunts;
    private readonly HarmonicLoads loads;
    private readonly FrontSettings settings;
    private readonly FrontPlaces places;
    private readonly Complex[] seenPu;
    private readonly double[] sensitivity;
    private readonly int[] samples;
    private bool isFine;
    private readonly IReadOnlyList<int> everyone;
    private readonly DriveInScenario[] drives;

    private MixedFronts(
        PlantSpecification plant, Scenario scenario, SupplyNetwork network, IReadOnlyList<RunningDrive> running, Complex[] shunts, HarmonicLoads loads, FrontSettings settings)
    {
        (this.plant, this.scenario, this.network, this.running, this.shunts, this.loads, this.settings) = (plant, scenario, network, running, shunts, loads, settings);
        places = new FrontPlaces(network, plant.Source, running, order => HarmonicSums.GainOfSource(plant, scenario, network, loads, order));
        seenPu = new Complex[running.Count];
        sensitivity = [.. running.Select(r => settings.Before.TryGetValue(r.Id, out var before) && before.Item == r.Item && before.Guess.Magnitude > 0 ? before.Sensitivity : Sensitivity(r))];
        drives = new DriveInScenario[running.Count];
        samples = Samples();
        everyone = [.. Enumerable.Range(0, running.Count)];
    }

    /// <summary>Solves them; no drives when the network can't carry the load.</summary>
    public static (IReadOnlyList<DriveInScenario>? Drives, FrontIteration Iteration) Solve(
        PlantSpecification plant, Scenario scenario, SupplyNetwork network, IReadOnlyList<RunningDrive> running, Complex[] shunts, HarmonicLoads loads, FrontSettings settings)
    {
        var fronts = new MixedFronts(plant, scenario, network, running, shunts, loads, settings);
        if (fronts.FirstGuess() is not { } guess)
        {
            return (null, FrontIteration.None);
        }

        if (settings.Before.Count > 0 && fronts.Iterate(fronts.AsBefore(guess), MostRoundsFromBefore) is { IsSettled: true } again)
        {
            return (fronts.drives, again);
        }

        // Fresh: also where the last run ended too far away to begin there.
        return (fronts.drives, fronts.Iterate(fronts.Approach(guess), MostRounds));
    }

    private FrontIteration Iterate(double[] guess, int mostRounds)
    {
        var mixing = new AndersonMixing(MixingDepth);
        var hopeless = 0;
        for (var round = 1; ; round++)
        {
            // Where the network resonates what is left out by steps is multiplied: then every step counts.
            isFine = round > RoughRounds;
            Solve(guess, everyone);
            var sums = new HarmonicSums(plant, scenario, network, shunts, drives, loads, only: HarmonicEmf.Orders);
            var asked = places.Asked(sums, drives, guess);
            var (residual, worst) = (0.0, string.Empty);
            for (var i = 0; i < drives.Length; i++)
            {
                var points = sensitivity[i] * places.Distance(asked, guess, i);
                (residual, worst) = points > residual ? (points, drives[i].DrivePointId) : (residual, worst);
            }

            // A front end without any steady state is said and nothing is judged: the others need not settle with it.
            hopeless = drives.Any(d => d.Front is RectifierResult.NoSteadyState) ? hopeless + 1 : 0;
            if (residual < (isFine ? FineStopPoints : StopPoints) || round == mostRounds || hopeless == HopelessRounds)
            {
                for (var i = 0; i < drives.Length; i++)
                {
                    drives[i] = drives[i] with { Sensitivity = sensitivity[i] };
                }

                return FrontIteration.OfMixing(round, residual, worst);
            }

            guess = FrontPlaces.Limited(mixing.Next(guess, [.. asked.Select((a, k) => a - guess[k])]), guess);
        }
    }

    // In a large plant one front end of each kind and place stands for its like until the EMFs are nearly found.
    private double[] Approach(double[] guess)
    {
        if (running.Count < LeastForSamples * Math.Max(1, samples.Distinct().Count()))
        {
            return guess;
        }

        var mixing = new AndersonMixing(MixingDepth);
        List<int> chosen = [.. samples.Distinct()];
        for (var round = 0; round < MostSampleRounds; round++)
        {
            Solve(guess, chosen);
            DriveInScenario[] like = [.. samples.Select((sample, i) => Like(running[i], drives[sample]))];
            var asked = places.Asked(new HarmonicSums(plant, scenario, network, shunts, like, loads, only: HarmonicEmf.Orders), like, guess);
            var residual = chosen.Max(i => sensitivity[i] * places.Distance(asked, guess, i));
            guess = FrontPlaces.Limited(mixing.Next(guess, [.. asked.Select((a, k) => a - guess[k])]), guess);
            if (residual < NearPoints)
            {
                break;
            }
        }

        return guess;
    }

    // The current of another front end in proportion to the load.
    private static DriveInScenario Like(RunningDrive drive, DriveInScenario sample)
    {
        if (sample.Front is not RectifierResult.LineDraw draw || drive.Id == sample.DrivePointId)
        {
            return sample;
        }

        var part = drive.Point.DcLoadW / sample.Point.DcLoadW;
        LineCurrent[] phases = [.. draw.Phases.Select(p => new LineCurrent([.. p.Orders.Select(o => part * o)], part * p.RmsA, part * p.PeakA, p.DisplacementPowerFactor, p.TruePowerFactor))];
        return sample with { DrivePointId = drive.Id, Front = new RectifierResult.Stated(phases, draw.Waveform, draw.Provenance) };
    }

    // The most loaded front end of each kind in a place.
    private int[] Samples()
    {
        var sample = new int[running.Count];
        foreach (var alike in Enumerable.Range(0, running.Count).GroupBy(i => (places.PlaceOf[i], running[i].Item.Family, running[i].Feed)))
        {
            var first = alike.MaxBy(i => running[i].Point.DcLoadW);
            foreach (var i in alike)
            {
                sample[i] = first;
            }
        }

        return sample;
    }

    // Impedances that the front ends see, and the voltages behind them if all others drew what is usual; null: no voltage settles.
    private double[]? FirstGuess()
    {
        var fundamental = new Complex[running.Count];
        foreach (var members in places.Groups)
        {
            if (VoltagesWithout(members) is not { } voltages)
            {
                return null;
            }

            var loadOfBus = members.GroupBy(i => running[i].BusId).Select(g => (First: g.First(), LoadW: g.Sum(i => running[i].Point.DcLoadW))).ToList();
            foreach (var i in members)
            {
                seenPu[i] = members.Count == 1
                    ? places.Transfer(i, i)
                    : loadOfBus.Aggregate(Complex.Zero, (sum, k) => sum + (places.Transfer(i, k.First) * InSteps(k.LoadW / running[i].Point.DcLoadW, RatioStep)));
                var node = network.NodeOf(running[i].BusId);
                fundamental[i] = node == SupplyNetwork.Reference ? Complex.One : voltages[node];
            }
        }

        return places.FirstGuess(fundamental);
    }

    // An earlier run has found where it settles.
    private double[] AsBefore(double[] first)
    {
        var guess = (double[])first.Clone();
        for (var i = 0; i < running.Count; i++)
        {
            if (settings.Before.TryGetValue(running[i].Id, out var before) && before.BusId == running[i].BusId && before.Guess.Magnitude > 0)
            {
                places.WriteOf(guess, i, Complex.FromPolarCoordinates(before.Guess.Magnitude, before.EmfAngleRad), before.Guess.Harmonic);
            }
        }

        return guess;
    }

    private void Solve(double[] guess, IReadOnlyList<int> which) => Parallel.ForEach(which, i =>
    {
        var drive = running[i];
        var (fundamental, harmonic) = places.Read(guess, i);
        var emf = new FrontEmf(isFine ? fundamental.Magnitude : InSteps(fundamental.Magnitude, VoltageStep), drive.Feed == SupplyFeed.TwoPhases ? default : isFine ? harmonic : InSteps(harmonic));
        var place = new FrontPlace(
            network.VoltageV(drive.BusId) * emf.Magnitude,
            (seenPu[i] * network.BaseOhm(drive.BusId)) + drive.FeederOhm,
            network.FrequencyHz,
            plant.Source.UnbalancePct.IsKnown ? plant.Source.UnbalancePct.Value / 100 : 0,
            emf.Harmonic,
            settings.LeakageMismatchPu);
        var known = drives[i] ?? settings.Before.GetValueOrDefault(drive.Id);
        var exact = new FrontEmf(fundamental.Magnitude, harmonic);
        if (known is { Guess.Magnitude: > 0 } && known.BusId == drive.BusId && known.Point == drive.Point && known.Item == drive.Item && known.Place.IsAlike(place) && sensitivity[i] * known.MixedEmf.Distance(emf) < (isFine ? FineStaysPoints : StaysPoints))
        {
            drives[i] = known with { EmfAngleRad = fundamental.Phase, Guess = exact };
            return;
        }

        var (front, circuit) = FrontSolver.Solve(drive, place, input => settings.Rectifier(input, (known ?? drives[samples[i]])?.Front));
        var now = new DriveInScenario(drive.Id, drive.Point, front, circuit, place.EmfV, drive.BusId, fundamental.Phase) 
        {
            Place = place, MixedEmf = emf, Guess = exact, Item = drive.Item, OwnEmf = circuit is null ? default : FrontCircuit.Of(circuit).StatedEmf(),
        };
        if (drives[i] is { } last && last.MixedEmf.Distance(emf) is > EmfStep and var moved)
        {
            // What the last two solutions say of this front end.
            sensitivity[i] = Math.Clamp(Math.Abs(Distortion(now) - Distortion(last)) / moved, LeastSensitivity, MostSensitivity);
        }

        drives[i] = now;
    });

    private const double LeastSensitivity = 150;
    private const double MostSensitivity = 2000;

    // Points of THDi for an EMF of 1, until two solutions tell: without choke the line current answers strongly.
    private static double Sensitivity(RunningDrive drive) => drive.Item.FrontEnd switch
    {
        FrontEnd.Diode { Bridges: > 1 } => 400,
        FrontEnd.Diode { ChokePct: > 0 } or FrontEnd.Diode { ReactorPct: > 0 } => 400,
        FrontEnd.Diode or FrontEnd.SinglePhase => 1000,
        _ => 0,
    };

    private static double Distortion(DriveInScenario drive) => drive.Front is RectifierResult.LineDraw draw ? draw.WorstPhase.ThdiPct : 0;

    // Fundamental voltages with every drive but the members.
    private Complex[]? VoltagesWithout(List<int> members)
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

        return LoadFlow.Run(network, shunts, others);
    }

    private static Complex PowerOf(RunningDrive drive) => drive.Item.FrontEnd is FrontEnd.Diode or FrontEnd.SinglePhase
        ? new Complex(1, Math.Tan(Math.Acos(DisplacementOfOthers))) * drive.Point.DcLoadW
        : new Complex(drive.Point.LineW, Alternatives.MeanPower.At(drive.Point, drive.Item).LineVar);

    private static HarmonicEmf InSteps(HarmonicEmf emf) =>
        HarmonicEmf.Of(h => new Complex(EmfStep * Math.Round(emf[h].Real / EmfStep), EmfStep * Math.Round(emf[h].Imaginary / EmfStep)));

    private static double InSteps(double value, double step) => Math.Exp(step * Math.Round(Math.Log(value) / step));
}
