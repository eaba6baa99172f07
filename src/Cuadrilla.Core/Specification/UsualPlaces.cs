using System.Linq.Expressions;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification.Fields;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Specification;

/// <summary>Where a usual value goes.</summary>
/// <param name="Key">Key of the usual value.</param>
/// <param name="Record">Record of the entry.</param>
/// <param name="Name">Property of the entry.</param>
/// <param name="Get">Reads it; null where the drive point has no such entry, or the usual value says nothing of it.</param>
/// <param name="Set">Writes it.</param>
internal sealed record UsualPlace(string Key, Type Record, string Name, Func<DrivePoint, Given?> Get,
    Func<DrivePoint, double, DrivePoint> Set)
{
    /// <summary>True where the entry is there and open.</summary>
    public bool IsOpen(DrivePoint point) => Get(point) is { IsKnown: false };

    /// <summary>The entry in the table of entries: record, one of several kinds after what they are kinds of, and property.</summary>
    public string Entry
    {
        get
        {
            var root = Record;
            while (root.BaseType is { } above && above != typeof(object))
            {
                root = above;
            }

            return $"{(root == Record ? string.Empty : root.Name)}{Record.Name}.{FieldSet.JsonName(Name)}";
        }
    }
}

/// <summary>All entries of a drive point that have a usual value.</summary>
internal static class UsualPlaces
{
    /// <summary>Entries with a usual value of the catalogue, in the order of the forms.</summary>
    public static IReadOnlyList<UsualPlace> All { get; } =
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
        new("cable.length", typeof(MotorCable), nameof(MotorCable.LengthM), p => p.Cable.LengthM, (p, v) => p
            with { Cable = p.Cable with { LengthM = v } }),
        new("feeder.length", typeof(Feeder.ByCable), nameof(Feeder.ByCable.LengthM), p => p.Feeder is Feeder.ByCable f ? f.LengthM : null,
            (p, v) => p.Feeder is Feeder.ByCable f ? p with { Feeder = f with { LengthM = v } } : p),
    ];

    /// <summary>Entries whose usual value follows from the others.</summary>
    public static IReadOnlyList<UsualPlace> Computed { get; } =
    [
        Fluid<FluidLoad>("fluid.speed", c => c.RatedSpeedRpm, (c, v) => c with { RatedSpeedRpm = v }),
        Sunny("sun.least-speed", s => s.Pumping.LeastRpm, (s, v) => s with { Pumping = s.Pumping with { LeastRpm = v } }),
        Load<MechanicalLoad>("train.gear-ratio", m => m.Train.GearRatio, (m, v) => m with { Train = m.Train with { GearRatio = v } }),
    ];

    private static UsualPlace Sunny(string key, Expression<Func<SunSupply, Given>> get, Func<SunSupply, double, SunSupply> set)
    {
        var read = get.Compile();
        return new(key, Of(get), NameOf(get), p => p.Sun is { } sun ? read(sun) : null,
            (p, v) => p.Sun is { } sun ? p with { Sun = set(sun, v) } : p);
    }

    private static UsualPlace Stepped(string key, Expression<Func<StepUpSupply, Given>> get, Func<StepUpSupply, double, StepUpSupply> set)
    {
        var read = get.Compile();
        return new(key, Of(get), NameOf(get), p => p.StepUp is { } stepUp ? read(stepUp) : null,
            (p, v) => p.StepUp is { } stepUp ? p with { StepUp = set(stepUp, v) } : p);
    }

    private static bool HasNoCurve(FluidLoad load) => load is not PumpLoad { Curve.Count: > 0 };

    private static UsualPlace Load<T>(string key, Expression<Func<T, Given>> get, Func<T, double, Load> set, Func<T, bool>? when = null)
        where T : Load
    {
        var read = get.Compile();
        return new(key, Of(get), NameOf(get), p => p.Load is T load && (when is null || when(load)) ? read(load) : null,
            (p, v) => p.Load is T load ? p with { Load = set(load, v) } : p);
    }

    private static UsualPlace Fluid<T>(string key, Expression<Func<FluidMachine, Given>> get, Func<FluidMachine, double, FluidMachine> set,
        Func<T, bool>? when = null)
        where T : FluidLoad
    {
        var read = get.Compile();
        return new(key, Of(get), NameOf(get), p => p.Load is T load && (when is null || when(load)) ? read(load.Common) : null,
            (p, v) => p.Load is T load ? p with { Load = load with { Common = set(load.Common, v) } } : p);
    }

    private static Type Of(LambdaExpression get) => ((MemberExpression)get.Body).Member.DeclaringType!;

    private static string NameOf(LambdaExpression get) => ((MemberExpression)get.Body).Member.Name;
}
