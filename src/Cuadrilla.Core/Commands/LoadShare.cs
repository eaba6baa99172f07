using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Commands;

/// <summary>The part of a load that one of several motors on one shaft drives: forces, masses, torques and inertias, not speeds.</summary>
public static class LoadShare
{
    /// <summary>That part.</summary>
    /// <param name="load">The whole load.</param>
    /// <param name="partPu">Part of it, above 0 to 1.</param>
    public static Load Of(Load load, double partPu)
    {
        ArgumentNullException.ThrowIfNull(load);

        // Six decimals: what was entered as 0.3 is not halved into 0.15000000000000002.
        Given Part(Given value) => value.IsKnown ? Given.Of(Math.Round(value.Value * partPu, 6)) : value;
        FluidMachine Machine(FluidMachine common) => common with { RatedFlowM3PerS = Part(common.RatedFlowM3PerS), InertiaKgM2 = Part(common.InertiaKgM2) };
        Load shared = load switch
        {
            FanLoad l => l with { Common = Machine(l.Common) },
            PumpLoad l => l with { Common = Machine(l.Common) },
            ConstantTorqueLoad l => l with { TorqueNm = Part(l.TorqueNm) },
            HighInertiaLoad l => l with { RunningTorqueNm = Part(l.RunningTorqueNm) },
            ConveyorLoad l => l with { MassFlowKgPerS = Part(l.MassFlowKgPerS), RollerKgPerM = Part(l.RollerKgPerM), BeltKgPerM = Part(l.BeltKgPerM) },
            RollerGroupLoad l => l with { TorqueEachNm = Part(l.TorqueEachNm) },
            DosingPumpLoad l => l with { DisplacementCm3PerRev = Part(l.DisplacementCm3PerRev) },
            WinderLoad l => l with { TensionN = Part(l.TensionN), WebWidthM = Part(l.WebWidthM), FrictionNm = Part(l.FrictionNm) },
            HoistLoad l => l with { MassKg = Part(l.MassKg), ReturnMassKg = Part(l.ReturnMassKg), CounterweightKg = Part(l.CounterweightKg) },
            ServoAxisLoad l => l with { MassKg = Part(l.MassKg), FrictionN = Part(l.FrictionN) },
            ProfileLoad l => l with { Points = [.. l.Points.Select(p => p with { TorqueNm = p.TorqueNm * partPu })] },
            UnspecifiedLoad => load,
            _ => throw new InvalidOperationException($"No share is known of {load.GetType().Name}."),
        };
        return shared is MechanicalLoad mechanical ? mechanical with { Train = mechanical.Train with { InertiaKgM2 = Part(mechanical.Train.InertiaKgM2) } } : shared;
    }
}
