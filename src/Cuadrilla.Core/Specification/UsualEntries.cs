using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Specification;

/// <summary>Usual values for entries of a drive point that are open: what is known is never touched.</summary>
public static class UsualEntries
{
    // Of a 4-pole cage motor at rated load.
    private const double RatedOfSynchronous = 0.98;

    // So much above where the water begins a pump on the sun is stopped.
    private const double LeastOfFlowBegins = 1.03;

    // A machine that turns nearly as fast as its motor is coupled to it directly.
    private const double DirectUpTo = 1.3;

    private static readonly Dictionary<string, (string Name, string Unit)> ComputedNames = new(StringComparer.Ordinal)
    {
        ["fluid.speed"] = ("speed at the rated point", "rpm"),
        ["sun.least-speed"] = ("least speed of the pump", "rpm"),
        ["train.gear-ratio"] = ("gear ratio", ": 1"),
    };

    /// <summary>What is proposed for the open entries of a drive point, in the order of its entries.</summary>
    /// <param name="point">The drive point.</param>
    /// <param name="data">Usual values.</param>
    /// <param name="frequencyHz">Frequency of the supply, Hz.</param>
    public static IReadOnlyList<UsualValue> For(DrivePoint point, EngineeringData data, double frequencyHz)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(data);
        return
        [
            .. UsualPlaces.All.Where(p => p.IsOpen(point)).Select(p => data.UsualEntries.First(u => u.Key == p.Key)),
            .. Computed(point, frequencyHz),
        ];
    }

    /// <summary>The drive point with the proposed values of these keys; other entries stay as they are.</summary>
    public static DrivePoint Accepted(DrivePoint point, IReadOnlyCollection<string> keys, EngineeringData data, double frequencyHz)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(keys);
        ArgumentNullException.ThrowIfNull(data);
        var proposed = For(point, data, frequencyHz).Where(u => keys.Contains(u.Key)).ToList();
        var after = proposed.Aggregate(point, (p, u) => UsualPlaces.All.Concat(UsualPlaces.Computed)
            .First(place => place.Key == u.Key && place.IsOpen(point)).Set(p, u.Value));
        return after with { Assumed = [.. Standing(after).Where(a => !keys.Contains(a.Key)),
            .. proposed.Select(u => new AssumedValue(u.Key, u.Value))] };
    }

    /// <summary>What is assumed and still stands as it was taken, with the entry that it stands in.</summary>
    public static IReadOnlyList<AssumedEntry> Assumed(DrivePoint point, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(data);
        return [.. Standing(point).Select(a =>
        {
            var (name, unit) = ComputedNames.TryGetValue(a.Key, out var known) ? known
                : data.UsualEntries.First(u => u.Key == a.Key) is var u ? (u.Name, u.Unit) : default;
            return new AssumedEntry(a.Key, name, a.Value, unit, PlaceOf(point, a)!.Entry);
        })];
    }

    /// <summary>How many entries that is.</summary>
    public static int CountAssumed(DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(point);
        return point.Assumed.Count == 0 ? 0 : Standing(point).Count();
    }

    /// <summary>The drive point with what was assumed under these keys known; none: all of it.</summary>
    public static DrivePoint Confirmed(DrivePoint point, IReadOnlyCollection<string> keys)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(keys);
        return point with { Assumed = [.. Standing(point).Where(a => keys.Count > 0 && !keys.Contains(a.Key))] };
    }

    // Another value in the entry is the engineer's own.
    private static IEnumerable<AssumedValue> Standing(DrivePoint point) => point.Assumed.Where(a => PlaceOf(point, a) is not null);

    private static UsualPlace? PlaceOf(DrivePoint point, AssumedValue assumed) => UsualPlaces.All.Concat(UsualPlaces.Computed)
        .FirstOrDefault(p => p.Key == assumed.Key && p.Get(point) is { IsKnown: true } there && there.Value == assumed.Value);

    // What follows from the speed of the motor that is likely.
    private static IEnumerable<UsualValue> Computed(DrivePoint point, double frequencyHz)
    {
        var motorRpm = Math.Round(RatedOfSynchronous * 60 * frequencyHz / 2);
        if (point.Load is FluidLoad { Common.RatedSpeedRpm.IsKnown: false })
        {
            yield return Worked("fluid.speed", motorRpm, "Coupled to a 4-pole motor");
        }

        if (point is { Sun.Pumping.LeastRpm.IsKnown: false, Load: PumpLoad load } && FluidMachineModel.Build(load, out _) is { } pump
            && Math.Ceiling(LeastOfFlowBegins * pump.FlowBeginsAtRpm) is var least and >= 10)
        {
            yield return Worked("sun.least-speed", least, FormattableString.Invariant(
                $"Water comes from {pump.FlowBeginsAtRpm:0} rpm on, by the pump's curve; on site raise it until it appears"));
        }

        if (point.Load is MechanicalLoad { Train.GearRatio.IsKnown: false } mechanical && MachineRpm(mechanical) is { } rpm and > 0)
        {
            var ratio = motorRpm / rpm;
            var proposed = ratio is < DirectUpTo and > 1 / DirectUpTo ? 1 : Math.Round(ratio, 2);
            if (proposed is >= 0.05 and <= 2000)
            {
                yield return Worked("train.gear-ratio", proposed,
                    FormattableString.Invariant($"From a 4-pole motor's {motorRpm:0} rpm to {rpm:0.#} rpm"));
            }
        }
    }

    private static UsualValue Worked(string key, double value, string why) =>
        new(key, ComputedNames[key].Name, value, ComputedNames[key].Unit, why);

    private static double? MachineRpm(MechanicalLoad load) => load switch
    {
        ConstantTorqueLoad { RatedSpeedRpm: { IsKnown: true } rpm } => rpm.Value,
        HighInertiaLoad { RatedSpeedRpm: { IsKnown: true } rpm } => rpm.Value,
        RollerGroupLoad { RatedSpeedRpm: { IsKnown: true } rpm } => rpm.Value,
        DosingPumpLoad { RatedSpeedRpm: { IsKnown: true } rpm } => rpm.Value,
        ConveyorLoad { BeltSpeedMPerS: { IsKnown: true } v, DrumDiameterM: { IsKnown: true } d } => 60 * v.Value / (Math.PI * d.Value),
        HoistLoad { SpeedMPerS: { IsKnown: true } v, DrumDiameterM: { IsKnown: true } d } hoist =>
            60 * v.Value * (hoist.Falls.IsKnown ? hoist.Falls.Value : 1) / (Math.PI * d.Value),
        WinderLoad { LineSpeedMPerS: { IsKnown: true } v, CoreDiameterM: { IsKnown: true } d } => 60 * v.Value / (Math.PI * d.Value),
        _ => null,
    };
}
