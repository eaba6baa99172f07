using System.Runtime.CompilerServices;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>Every pair of cables that run beside each other too close for too long, with what it does and what would end it. See
/// <c>docs/methods/separation.md</c>.</summary>
public sealed class SeparationStudy
{
    // Ringing of an edge on a motor cable of tens of metres.
    private const double RingMhz = 1;

    // Centres of two cables that touch, and of a cable over the metal that it lies on.
    private const double TouchingM = 0.02;

    private readonly SeparationRules rules;
    private readonly TrayDistances distances;
    private readonly RoutePlan routes;
    private readonly Func<RoutedCable, CommonMode.Result?> edgeOf;

    // Cables of one kind over the same way clash alike, and in a plant there are many of them.
    private readonly Dictionary<PairKey, Clash?> judged = [];
    private readonly Dictionary<IReadOnlyList<TraySegment>, HashSet<string>> traysOf = new(ReferenceEqualityComparer.Instance);

    private SeparationStudy(PlantSpecification plant, RoutePlan routes, Func<RoutedCable, CommonMode.Result?> edgeOf)
    {
        (rules, this.routes, this.edgeOf) = (plant.Conventions.Separation, routes, edgeOf);
        distances = new TrayDistances(plant.Routes.Segments);
        Clashes = [.. Pairs(plant).Select(p => Of(p.Disturbing, p.Disturbed)).OfType<Clash>().Select(WithVoltage)
            .OrderByDescending(c => c.ApartMm is null ? double.MaxValue : c.NeededMm - c.ApartMm)
            .ThenBy(c => c.Disturbing.Id, StringComparer.Ordinal).ThenBy(c => c.Disturbed.Id, StringComparer.Ordinal)];
    }

    /// <summary>The clashes, worst first; those whose distance is not stated before all.</summary>
    public IReadOnlyList<Clash> Clashes { get; }

    /// <summary>Finds the clashes of a plant.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="routes">Ways of its cables.</param>
    /// <param name="edgeOf">Common-mode current of a cable that disturbs; null where that is not known.</param>
    public static SeparationStudy Of(PlantSpecification plant, RoutePlan routes, Func<RoutedCable, CommonMode.Result?> edgeOf)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(routes);
        return new SeparationStudy(plant, routes, edgeOf);
    }

    /// <summary>What would end a clash, cheapest first.</summary>
    public IReadOnlyList<Cure> Cures(Clash clash) => [.. ClashCures.Of(clash, routes, EndsWith).OrderBy(c => c.Cost).ThenBy(c => c.Kind)];

    // True where two cables changed so do not clash any more.
    private bool EndsWith(ChangedPair pair) =>
        Judged(pair.Disturbing, pair.Disturbed,
            [.. Stretches(pair.Disturbing, pair.Disturbed, pair.Dividers)
                .Select(s => Apart(s, pair.GapsMm))]) is null or { IsDispensable: true };

    private static Stretch Apart(Stretch stretch, IReadOnlyDictionary<string, double> gapsMm) =>
        stretch.Disturbing.BesideId == stretch.Disturbed.Id && gapsMm.TryGetValue(stretch.Disturbing.Id, out var mm)
            ? stretch with { ApartMm = mm }
        : stretch.Disturbed.BesideId == stretch.Disturbing.Id && gapsMm.TryGetValue(stretch.Disturbed.Id, out mm)
            ? stretch with { ApartMm = mm }
        : stretch;

    private IEnumerable<(RoutedCable Disturbing, RoutedCable Disturbed)> Pairs(PlantSpecification plant)
    {
        HashSet<(string, string)> seen = [];
        foreach (var segment in plant.Routes.Segments)
        {
            var here = routes.On[segment.Id].Where(c => c.Class is CableClass.Noisy or CableClass.Supply).ToList();
            if (here.Count == 0)
            {
                continue;
            }

            foreach (var other in distances.All[segment.Id].Select(t => t.Tray).Prepend(segment).SelectMany(t => routes.On[t.Id]))
            {
                foreach (var one in here)
                {
                    if (Separation.Concerns(rules, one.Class, other.Class) && !OfOneDrive(one, other) && seen.Add((one.Id, other.Id)))
                    {
                        yield return (one, other);
                    }
                }
            }
        }
    }

    // Its own brake and thermistors go with the motor cable by design, as its encoder never does.
    private static bool OfOneDrive(RoutedCable one, RoutedCable other) =>
        one.PointId.Length > 0 && one.PointId == other.PointId && other.Role is RouteRole.Feeder;

    private Clash? Of(RoutedCable disturbing, RoutedCable disturbed)
    {
        var key = new PairKey(disturbing.Way, disturbed.Way, disturbing.Class, disturbed.Class, IsScreened(disturbing),
            IsScreened(disturbed));
        if (!judged.TryGetValue(key, out var alike))
        {
            judged[key] = alike = Judged(disturbing, disturbed, Stretches(disturbing, disturbed, []));
        }

        return alike is null ? null : alike with { Disturbing = disturbing, Disturbed = disturbed };
    }

    private HashSet<string> TraysOf(RoutedCable cable)
    {
        if (!traysOf.TryGetValue(cable.Way, out var ids))
        {
            traysOf[cable.Way] = ids = cable.Way.Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        }

        return ids;
    }

    private static bool IsScreened(RoutedCable cable) => cable.Screen != ReceiverScreen.None;

    private List<Stretch> Stretches(RoutedCable disturbing, RoutedCable disturbed, IReadOnlyList<string> dividers)
    {
        List<Stretch> found = [];
        var its = TraysOf(disturbed);
        foreach (var one in disturbing.Way)
        {
            if (its.Contains(one.Id))
            {
                var between = dividers.Contains(one.Id) ? MetalBetween.Solid : TrayDistances.Between(one, one, disturbed.Class);
                found.Add(new Stretch(one, one, routes.LengthM(one), 0, between));
            }

            foreach (var (tray, apartMm) in distances.All[one.Id])
            {
                if (its.Contains(tray.Id))
                {
                    found.Add(new Stretch(one, tray, Math.Min(routes.LengthM(one), routes.LengthM(tray)), apartMm,
                        TrayDistances.Between(one, tray, disturbed.Class)));
                }
            }
        }

        return found;
    }

    private Clash? Judged(RoutedCable disturbing, RoutedCable disturbed, IReadOnlyList<Stretch> stretches)
    {
        Separation.Pair Pair(double m) => new(disturbing.Class, disturbed.Class, IsScreened(disturbing), IsScreened(disturbed), m);

        // What is certain goes before what is not stated: with a gap open the rest may clash by itself.
        return stretches.Any(s => s.ApartMm is null)
            && JudgedAs(disturbing, disturbed, [.. stretches.Where(s => s.ApartMm is not null)], Pair) is { } certain
            ? certain
            : JudgedAs(disturbing, disturbed, stretches, Pair);
    }

    private Clash? JudgedAs(RoutedCable disturbing, RoutedCable disturbed, IReadOnlyList<Stretch> stretches,
        Func<double, Separation.Pair> pairOver)
    {
        // Together as long as they would be too close for a long way.
        var near = stretches.Where(s => Separation.NeededMm(rules, pairOver(double.MaxValue), s.Between) is var mm && mm > 0
            && !(s.ApartMm >= mm)).ToList();
        var parallelM = near.Sum(s => s.LengthM);
        var pair = pairOver(parallelM);
        var close = near.Where(s => !(s.ApartMm >= Separation.NeededMm(rules, pair, s.Between))).OrderBy(s => s.ApartMm ?? -1).ToList();
        if (close.Count == 0)
        {
            return null;
        }

        var worst = close.MaxBy(s => s.ApartMm is { } mm ? Separation.NeededMm(rules, pair, s.Between) - mm : double.MaxValue)!;
        return new Clash(disturbing, disturbed, close, parallelM, worst.ApartMm,
            Digits.Kept(Separation.NeededMm(rules, pair, worst.Between))) { IsDispensable = pair.IsDispensable };
    }

    private Clash WithVoltage(Clash clash)
    {
        if (clash.Disturbed.Signal is not { } signal || SignalKinds.InputOf(signal) is not { } input || clash.ApartMm is null
            || edgeOf(clash.Disturbing) is not { } edge)
        {
            return clash;
        }

        double sum = 0;
        foreach (var stretch in clash.Stretches)
        {
            if (HeightM(stretch.Disturbing) is not { } source || HeightM(stretch.Disturbed) is not { } receiver
                || stretch.ApartMm is not { } apart)
            {
                return clash;
            }

            var distance = Math.Max((apart / 1e3) + TouchingM, Math.Abs(source - receiver));
            var pair = new CoupledVoltage.Pair(RingMhz, stretch.LengthM, source, receiver, distance,
                edge.PeakA * ScreenLeavesPu(clash.Disturbing), clash.Disturbed.Screen, null);
            sum += CoupledVoltage.Of(pair, input).VoltageV;
        }

        var unit = CoupledVoltage.Of(new CoupledVoltage.Pair(RingMhz, 1, TouchingM, TouchingM, TouchingM, 1, ReceiverScreen.None,
            null), input);
        var read = sum * unit.InputV / unit.VoltageV;
        return clash with { VoltageV = sum, Steps = read / input.StepV };
    }

    // Nearly all of the current returns in a screen that is connected all round at both ends (verify).
    private static double ScreenLeavesPu(RoutedCable disturbing) => disturbing.Screen == ReceiverScreen.None ? 1 : 0.1;

    private static double? HeightM(TraySegment tray) =>
        tray.HeightMm.IsKnown ? tray.HeightMm.Value / 1e3 : tray.Kind == TrayKind.NoMetal ? null : TouchingM;

    // Ways are told apart by their list: cables laid by the same rule share it.
    private readonly record struct PairKey(IReadOnlyList<TraySegment> One, IReadOnlyList<TraySegment> Other, CableClass OneIs,
        CableClass OtherIs, bool OneScreened, bool OtherScreened)
    {
        public bool Equals(PairKey other) => ReferenceEquals(One, other.One) && ReferenceEquals(Other, other.Other)
            && (OneIs, OtherIs, OneScreened, OtherScreened) == (other.OneIs, other.OtherIs, other.OneScreened, other.OtherScreened);

        public override int GetHashCode() =>
            HashCode.Combine(RuntimeHelpers.GetHashCode(One), RuntimeHelpers.GetHashCode(Other), OneIs, OtherIs, OneScreened,
                OtherScreened);
    }
}
