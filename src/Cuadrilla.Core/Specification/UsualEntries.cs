using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Supplies;

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

    private static readonly IReadOnlyList<Place> Places =
    [
        Fluid<FanLoad>("fan.static-share", c => c.StaticFraction, (c, v) => c with { StaticFraction = v }),
        Fluid<PumpLoad>("pump.static-share", c => c.StaticFraction, (c, v) => c with { StaticFraction = v }, p => !p.StaticHeadM.IsKnown),
        Fluid<FluidLoad>("fluid.shut-off", c => c.ShutOffPu, (c, v) => c with { ShutOffPu = v }, HasNoCurve),
        Fluid<FanLoad>("fan.efficiency", c => c.RatedEfficiency, (c, v) => c with { RatedEfficiency = v },
            f => !f.Common.RatedShaftKw.IsKnown),
        Fluid<PumpLoad>("pump.efficiency", c => c.RatedEfficiency, (c, v) => c with { RatedEfficiency = v },
            p => !p.Common.RatedShaftKw.IsKnown && HasNoCurve(p)),
        Load<PumpLoad>("pump.density", p => p.DensityKgPerM3, (p, v) => p with { DensityKgPerM3 = v }),
        Fluid<FluidLoad>("fluid.start", c => c.StartTimeS, (c, v) => c with { StartTimeS = v }),
        Load<MechanicalLoad>("train.start", m => m.Train.StartTimeS, (m, v) => m with { Train = m.Train with { StartTimeS = v } },
            m => m is not (ServoAxisLoad or ProfileLoad or HoistLoad)),
        Load<HoistLoad>("hoist.start", m => m.Train.StartTimeS, (m, v) => m with { Train = m.Train with { StartTimeS = v } }),
        Load<MechanicalLoad>("train.gear-efficiency", m => m.Train.GearEfficiency,
            (m, v) => m with { Train = m.Train with { GearEfficiency = v } }),
        Load<ConstantTorqueLoad>("load.breakaway", m => m.BreakawayPct, (m, v) => m with { BreakawayPct = v }),
        Load<HighInertiaLoad>("load.breakaway", m => m.BreakawayPct, (m, v) => m with { BreakawayPct = v }),
        Load<RollerGroupLoad>("load.breakaway", m => m.BreakawayPct, (m, v) => m with { BreakawayPct = v }),
        Load<DosingPumpLoad>("load.breakaway", m => m.BreakawayPct, (m, v) => m with { BreakawayPct = v }),
        Load<ConveyorLoad>("load.breakaway", m => m.BreakawayPct, (m, v) => m with { BreakawayPct = v }),
        Load<ConstantTorqueLoad>("constant-torque.least-speed", m => m.MinSpeedPu, (m, v) => m with { MinSpeedPu = v }),
        Load<ConveyorLoad>("conveyor.friction", m => m.FrictionFactor, (m, v) => m with { FrictionFactor = v }),
        Load<DosingPumpLoad>("dosing-pump.efficiency", m => m.PumpEfficiency, (m, v) => m with { PumpEfficiency = v }),
        Load<HoistLoad>("hoist.efficiency", m => m.Efficiency, (m, v) => m with { Efficiency = v }),
        Load<HoistLoad>("hoist.falls", m => m.Falls, (m, v) => m with { Falls = v }),
        Load<HoistLoad>("hoist.counterweight", m => m.CounterweightKg, (m, v) => m with { CounterweightKg = v }),
        Load<HoistLoad>("hoist.incline", m => m.InclineDeg, (m, v) => m with { InclineDeg = v }),
        Load<RollerGroupLoad>("roller-group.simultaneity", m => m.SimultaneityPct, (m, v) => m with { SimultaneityPct = v }),
        Load<WinderLoad>("winder.taper", m => m.TaperPct, (m, v) => m with { TaperPct = v }),
        Load<ServoAxisLoad>("servo-axis.incline", m => m.InclineDeg, (m, v) => m with { InclineDeg = v }),
        Sunny("sun.noct", s => s.Module.NoctC, (s, v) => s with { Module = s.Module with { NoctC = v } }),
        Sunny("sun.uoc", s => s.Module.UocPctPerK, (s, v) => s with { Module = s.Module with { UocPctPerK = v } }),
        Sunny("sun.ump", s => s.Module.UmpPctPerK, (s, v) => s with { Module = s.Module with { UmpPctPerK = v } }),
        Sunny("sun.power", s => s.Module.PowerPctPerK, (s, v) => s with { Module = s.Module with { PowerPctPerK = v } }),
        Sunny("sun.maximum", s => s.Module.MaximumV, (s, v) => s with { Module = s.Module with { MaximumV = v } }),
        Sunny("sun.switchgear", s => s.Strings.SwitchgearV, (s, v) => s with { Strings = s.Strings with { SwitchgearV = v } }),
        Sunny("sun.swing", s => s.Place.SwingK, (s, v) => s with { Place = s.Place with { SwingK = v } }),
        Sunny("sun.albedo", s => s.Place.Albedo, (s, v) => s with { Place = s.Place with { Albedo = v } }),
        Sunny("sun.restart", s => s.Pumping.RestartMin, (s, v) => s with { Pumping = s.Pumping with { RestartMin = v } }),
        Sunny("sun.stop-delay", s => s.Pumping.StopDelayS, (s, v) => s with { Pumping = s.Pumping with { StopDelayS = v } }),
        Stepped("step-up.magnetising", s => s.Transformer.MagnetisingPct,
            (s, v) => s with { Transformer = s.Transformer with { MagnetisingPct = v } }),
        Stepped("step-up.reactance", s => s.Well.ReactanceOhmPerKm, (s, v) => s with { Well = s.Well with { ReactanceOhmPerKm = v } }),
        Stepped("step-up.capacitance", s => s.Well.CapacitanceUfPerKm, (s, v) => s with { Well = s.Well with { CapacitanceUfPerKm = v } }),
        Stepped("step-up.surface", s => s.Well.SurfaceC, (s, v) => s with { Well = s.Well with { SurfaceC = v } }),
        Stepped("step-up.gradient", s => s.Well.GradientKPerKm, (s, v) => s with { Well = s.Well with { GradientKPerKm = v } }),
        Stepped("step-up.heating", s => s.Well.HeatingK, (s, v) => s with { Well = s.Well with { HeatingK = v } }),
        Stepped("step-up.filter-current", s => s.Filter.CurrentPct, (s, v) => s with { Filter = s.Filter with { CurrentPct = v } }),
        Stepped("step-up.start-frequency", s => s.Start.StartHz, (s, v) => s with { Start = s.Start with { StartHz = v } }),
        Stepped("step-up.start-current", s => s.Start.StartCurrentPct, (s, v) => s with { Start = s.Start with { StartCurrentPct = v } }),
        Stepped("step-up.flux", s => s.Start.FluxLimitPu, (s, v) => s with { Start = s.Start with { FluxLimitPu = v } }),
        Stepped("step-up.ramp", s => s.Start.RampS, (s, v) => s with { Start = s.Start with { RampS = v } }),
        new("cable.length", p => p.Cable.LengthM, (p, v) => p with { Cable = p.Cable with { LengthM = v } }),
        new("feeder.length", p => p.Feeder is Feeder.ByCable f ? f.LengthM : null,
            (p, v) => p.Feeder is Feeder.ByCable f ? p with { Feeder = f with { LengthM = v } } : p),
    ];

    /// <summary>What is proposed for the open entries of a drive point, in the order of its entries.</summary>
    /// <param name="point">The drive point.</param>
    /// <param name="data">Usual values.</param>
    /// <param name="frequencyHz">Frequency of the supply, Hz.</param>
    public static IReadOnlyList<UsualValue> For(DrivePoint point, EngineeringData data, double frequencyHz)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(data);
        List<UsualValue> proposed = [.. Places.Where(p => p.IsOpen(point)).Select(p => data.UsualEntries.First(u => u.Key == p.Key))];
        proposed.AddRange(Computed(point, frequencyHz).Select(c => c.Value));
        return proposed;
    }

    /// <summary>The drive point with the proposed values of these keys; other entries stay as they are.</summary>
    public static DrivePoint Accepted(DrivePoint point, IReadOnlyCollection<string> keys, EngineeringData data, double frequencyHz)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(keys);
        ArgumentNullException.ThrowIfNull(data);
        var after = point;
        foreach (var place in Places.Where(p => keys.Contains(p.Key) && p.IsOpen(point)))
        {
            after = place.Set(after, data.UsualEntries.First(u => u.Key == place.Key).Value);
        }

        return Computed(point, frequencyHz).Where(c => keys.Contains(c.Value.Key)).Aggregate(after, (p, c) => c.Set(p));
    }

    // What follows from the speed of the motor that is likely.
    private static IEnumerable<(UsualValue Value, Func<DrivePoint, DrivePoint> Set)> Computed(DrivePoint point, double frequencyHz)
    {
        var motorRpm = Math.Round(RatedOfSynchronous * 60 * frequencyHz / 2);
        if (point.Load is FluidLoad { Common.RatedSpeedRpm.IsKnown: false })
        {
            yield return (
                new UsualValue("fluid.speed", "speed at the rated point", motorRpm, "rpm", "Coupled to a 4-pole motor"),
                p => p.Load is FluidLoad f ? p with { Load = f with { Common = f.Common with { RatedSpeedRpm = motorRpm } } } : p);
        }

        if (point is { Sun.Pumping.LeastRpm.IsKnown: false, Load: PumpLoad load } && FluidMachineModel.Build(load, out _) is { } pump
            && Math.Ceiling(LeastOfFlowBegins * pump.FlowBeginsAtRpm) is var least and >= 10)
        {
            yield return (
                new UsualValue("sun.least-speed", "least speed of the pump", least, "rpm",
                    FormattableString.Invariant($"Water comes from {pump.FlowBeginsAtRpm:0} rpm on, by the pump's curve; on site raise it until it appears")),
                p => p.Sun is { } sun ? p with { Sun = sun with { Pumping = sun.Pumping with { LeastRpm = least } } } : p);
        }

        if (point.Load is MechanicalLoad { Train.GearRatio.IsKnown: false } mechanical && MachineRpm(mechanical) is { } rpm and > 0)
        {
            var ratio = motorRpm / rpm;
            var proposed = ratio is < DirectUpTo and > 1 / DirectUpTo ? 1 : Math.Round(ratio, 2);
            if (proposed is >= 0.05 and <= 2000)
            {
                yield return (
                    new UsualValue("train.gear-ratio", "gear ratio", proposed, ": 1",
                        FormattableString.Invariant($"From a 4-pole motor's {motorRpm:0} rpm to {rpm:0.#} rpm")),
                    p => p.Load is MechanicalLoad m ? p with { Load = m with { Train = m.Train with { GearRatio = proposed } } } : p);
            }
        }
    }

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

    private static Place Sunny(string key, Func<SunSupply, Given> get, Func<SunSupply, double, SunSupply> set) =>
        new(key, p => p.Sun is { } sun ? get(sun) : null, (p, v) => p.Sun is { } sun ? p with { Sun = set(sun, v) } : p);

    private static Place Stepped(string key, Func<StepUpSupply, Given> get, Func<StepUpSupply, double, StepUpSupply> set) =>
        new(key, p => p.StepUp is { } stepUp ? get(stepUp) : null,
            (p, v) => p.StepUp is { } stepUp ? p with { StepUp = set(stepUp, v) } : p);

    private static bool HasNoCurve(FluidLoad load) => load is not PumpLoad { Curve.Count: > 0 };

    private static Place Load<T>(string key, Func<T, Given> get, Func<T, double, Load> set, Func<T, bool>? when = null)
        where T : Load => new(key, p => p.Load is T load && (when is null || when(load)) ? get(load) : null,
            (p, v) => p.Load is T load ? p with { Load = set(load, v) } : p);

    private static Place Fluid<T>(string key, Func<FluidMachine, Given> get, Func<FluidMachine, double, FluidMachine> set,
        Func<T, bool>? when = null)
        where T : FluidLoad => Load<T>(key, f => get(f.Common), (f, v) => f with { Common = set(f.Common, v) }, when);

    private sealed record Place(string Key, Func<DrivePoint, Given?> Get, Func<DrivePoint, double, DrivePoint> Set)
    {
        public bool IsOpen(DrivePoint point) => Get(point) is { IsKnown: false };
    }
}
