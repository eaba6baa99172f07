namespace Cuadrilla.Core.Loads;

/// <summary>Makes the model of a load, or names what is missing.</summary>
public static class LoadModels
{
    // No motor described here turns faster.
    private const double HighestRpm = 100_000;

    /// <summary>Builds a model.</summary>
    /// <param name="load">The load as entered.</param>
    /// <param name="defaults">Usual values where none is entered.</param>
    /// <param name="missing">Names of missing entries; empty when the model was built.</param>
    public static LoadModel? Build(Load load, LoadDefaults defaults, out IReadOnlyList<string> missing)
    {
        ArgumentNullException.ThrowIfNull(defaults);
        if (load is FluidLoad fluid)
        {
            return FluidMachineModel.Build(fluid, out missing);
        }

        var names = new MissingNames();
        missing = names.Names;
        if (load is not MechanicalLoad mechanical)
        {
            names.Names.Add("load");
            return null;
        }

        names.Need(mechanical.Train.GearRatio, "gear ratio").Need(mechanical.Train.GearEfficiency, "efficiency of the gear");
        Need(mechanical, names);
        if (names.Names.Count > 0 || Make(mechanical, names, defaults) is not { } model)
        {
            return null;
        }

        if (model.RatedSpeedRpm <= HighestRpm)
        {
            return model;
        }

        names.Names.Add(FormattableString.Invariant($"gear and speeds with which the motor turns at most {HighestRpm} rpm, not {model.RatedSpeedRpm:0}"));
        return null;
    }

    private static void Need(MechanicalLoad load, MissingNames names)
    {
        switch (load)
        {
            case ConstantTorqueLoad l:
                names.Need(l.TorqueNm, "torque").Need(l.RatedSpeedRpm, "rated speed").Need(l.BreakawayPct, "breakaway torque");
                break;
            case HighInertiaLoad l:
                names.Need(l.RunningTorqueNm, "running torque").Need(l.RatedSpeedRpm, "rated speed").Need(l.BreakawayPct, "breakaway torque");
                break;
            case ConveyorLoad l:
                names.Need(l.MassFlowKgPerS, "mass flow").Need(l.LengthM, "length").Need(l.LiftM, "lift").Need(l.BeltSpeedMPerS, "belt speed")
                    .Need(l.FrictionFactor, "friction factor").Need(l.SecondaryFactor, "factor of secondary resistances").Need(l.RollerKgPerM, "mass of the idlers")
                    .Need(l.BeltKgPerM, "mass of the belt").Need(l.DrumDiameterM, "drum diameter").Need(l.BreakawayPct, "breakaway force");
                break;
            case RollerGroupLoad l:
                names.Need(l.Rollers, "number of rollers").Need(l.TorqueEachNm, "torque of a roller").Need(l.SimultaneityPct, "simultaneity")
                    .Need(l.RatedSpeedRpm, "rated speed").Need(l.BreakawayPct, "breakaway torque");
                break;
            case DosingPumpLoad l:
                names.Need(l.DisplacementCm3PerRev, "displacement").Need(l.PressureBar, "pressure").Need(l.PumpEfficiency, "efficiency of the pump")
                    .Need(l.RatedSpeedRpm, "rated speed").Need(l.BreakawayPct, "breakaway torque");
                break;
            case WinderLoad l:
                names.Need(l.LineSpeedMPerS, "line speed").Need(l.TensionN, "tension").Need(l.TaperPct, "taper").Need(l.CoreDiameterM, "core diameter")
                    .Need(l.FullDiameterM, "full diameter").Need(l.WebWidthM, "width of the web").Need(l.DensityKgPerM3, "density").Need(l.FrictionNm, "friction");
                break;
            case HoistLoad l:
                names.Need(l.MassKg, "mass").Need(l.ReturnMassKg, "mass on the way down").Need(l.CounterweightKg, "counterweight").Need(l.InclineDeg, "angle of the track")
                    .Need(l.SpeedMPerS, "speed").Need(l.LiftM, "way").Need(l.CyclesPerHour, "cycles an hour").Need(l.Falls, "falls of rope")
                    .Need(l.DrumDiameterM, "drum diameter").Need(l.Efficiency, "efficiency of the ropes")
                    .Need(l.Train.StartTimeS, "start time").Need(l.Train.InertiaKgM2, "inertia of the machine");
                break;
            case ServoAxisLoad l:
                names.Need(l.MassKg, "mass").Need(l.FeedMPerRev, "feed of a turn").Need(l.DistanceM, "distance").Need(l.MoveTimeS, "time of a move")
                    .Need(l.DwellS, "dwell").Need(l.FrictionN, "friction").Need(l.InclineDeg, "angle of the axis").Need(l.Train.InertiaKgM2, "inertia of the machine");
                break;
            case ProfileLoad l:
                names.Need(l.Train.InertiaKgM2, "inertia of the machine");
                if (l.Points.Count < 2)
                {
                    names.Names.Add("points of the profile");
                }

                break;
            default:
                throw new InvalidOperationException("Unknown load.");
        }
    }

    private static LoadModel? Make(MechanicalLoad load, MissingNames names, LoadDefaults defaults) => load switch
    {
        ConstantTorqueLoad l => new SteadyMechanicalModel(l, "speed", l.RatedSpeedRpm.Value, l.TorqueNm.Value, l.BreakawayPct.Value, 0),
        HighInertiaLoad l => new SteadyMechanicalModel(l, "speed", l.RatedSpeedRpm.Value, l.RunningTorqueNm.Value, l.BreakawayPct.Value, 0),
        RollerGroupLoad l => new SteadyMechanicalModel(
            l, "speed", l.RatedSpeedRpm.Value, l.Rollers.Value * l.TorqueEachNm.Value * l.SimultaneityPct.Value / 100, l.BreakawayPct.Value, 0),
        DosingPumpLoad l => new SteadyMechanicalModel(
            l, "speed", l.RatedSpeedRpm.Value,
            l.PressureBar.Value * 1e5 * l.DisplacementCm3PerRev.Value * 1e-6 / (2 * Math.PI * l.PumpEfficiency.Value), l.BreakawayPct.Value, 0),
        ConveyorLoad l => new ConveyorModel(l, defaults),
        WinderLoad l => new WinderModel(l),
        HoistLoad l => CycleBuilders.Hoist(l, names, defaults),
        ServoAxisLoad l => CycleBuilders.Servo(l),
        ProfileLoad l => CycleBuilders.Profile(l),
        _ => throw new InvalidOperationException("Unknown load."),
    };
}
