using Cuadrilla.Core.Loads;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of loads.</summary>
internal static class LoadFields
{
    private const double HoursInYear = 8760;

    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<FanLoad>(Number(nameof(FanLoad.RatedPressurePa), "Rated pressure rise", 1, 100_000, "Pa",
            "Total pressure rise at the rated flow.")),
        For<PumpLoad>(
            Number(nameof(PumpLoad.RatedHeadM), "Rated head", 0.1, 3000, "m", "Head at the rated flow."),
            Number(nameof(PumpLoad.StaticHeadM), "Static head", 0, 3000, "m",
                "Height and pressure that stay at no flow; it goes before the static share.", open: "by its share"),
            Number(nameof(PumpLoad.DensityKgPerM3), "Density", 300, 5000, "kg/m³", "Density of the liquid; 1000 kg/m³ for water.")),
        For<PumpCurvePoint>(
            Number(nameof(PumpCurvePoint.FlowM3PerS), "Flow", 0, 2000, "m³/s", "Flow of a point of the pump's curve; ascending."),
            Number(nameof(PumpCurvePoint.HeadM), "Head", 0, 6000, "m", "Head at that flow and rated speed."),
            Number(nameof(PumpCurvePoint.Efficiency), "Efficiency", 0, 0.95, string.Empty, "Efficiency of the pump at that flow.",
                shown: "%")),
        For<FluidMachine>(
            Number(nameof(FluidMachine.RatedFlowM3PerS), "Rated flow", 0, 2000, "m³/s", "Flow at the rated point.", above: true),
            Number(nameof(FluidMachine.RatedShaftKw), "Shaft power", 0, 20_000, "kW",
                "At the rated point, where the process sheet states it; it goes before flow, pressure and efficiency.", above: true,
                open: "from flow", us: "hp"),
            Number(nameof(FluidMachine.RatedEfficiency), "Machine efficiency", 0.05, 0.95, string.Empty,
                "Efficiency of fan or pump at the rated point.", shown: "%"),
            Number(nameof(FluidMachine.RatedSpeedRpm), "Rated speed", 10, 6000, "rpm", "Speed of the machine at the rated point."),
            Number(nameof(FluidMachine.StaticFraction), "Static share", 0, 0.99, string.Empty,
                "With a static share the cube law does not hold.", shown: "%", hint: true),
            Number(nameof(FluidMachine.ShutOffPu), "Shut-off pressure or head", 1.01, 2, "of rated",
                "Per cent of the rated; 125 % is common.", shown: "%", hint: true),
            Number(nameof(FluidMachine.InertiaKgM2), "Inertia", 0, 1e6, "kg·m²", "Moment of inertia of the machine at its shaft."),
            Number(nameof(FluidMachine.StartTimeS), "Start time", 0.1, 600, "s", "From rest to rated speed."),
            Number(nameof(FluidMachine.StopTimeS), "Stop time", 0.05, 3600, "s", "From rated speed to rest.", open: "coasts"),
            Choice(nameof(FluidMachine.PresentControl), "Existing flow control", "How the flow is controlled as the machine runs today.",
                (PresentControl.NotStated, "not stated"), (PresentControl.OutletThrottle, "outlet damper or valve"),
                (PresentControl.InletVanes, "inlet vanes"), (PresentControl.Bypass, "bypass"),
                (PresentControl.OnOff, "on and off"), (PresentControl.TwoSpeedHalf, "two speeds 1 : 2"),
                (PresentControl.TwoSpeedTwoThirds, "two speeds 2 : 3"), (PresentControl.Staged, "machines staged"))),
        For<ParallelPath.Common>(
            Number(nameof(ParallelPath.Common.Running), "Machines running together", 2, 20, string.Empty, "Equal machines on one path."),
            Number(nameof(ParallelPath.Common.NeededAtRatedFlow), "Needed for rated flow", 1, 20, string.Empty,
                "How many of them give the rated flow; not more than run.")),
        For<VanePoint>(
            Number(nameof(VanePoint.FlowPu), "Flow", 0, 1.2, "of rated", "Flow with inlet vanes; ascending.", shown: "%"),
            Number(nameof(VanePoint.PowerPu), "Power", 0, 1.5, "of rated", "Shaft power at that flow.", shown: "%")),
        For<DutyPoint>(
            Number(nameof(DutyPoint.LevelPu), "Level", 0, 1.2, "of rated", "Flow, speed or rate of cycles over so many hours.", above: true,
                shown: "%"),
            Number(nameof(DutyPoint.HoursPerYear), "Operating hours per year", 0, HoursInYear, "h", "Hours of a year at that level.")),
        For<DriveTrain>(
            Number(nameof(DriveTrain.GearRatio), "Gear ratio", 0.05, 2000, string.Empty, "Motor turns for one of the machine.", hint: true),
            Number(nameof(DriveTrain.GearEfficiency), "Gear efficiency", 0.2, 1, string.Empty, "Efficiency of gear, belt or chain.",
                shown: "%"),
            Number(nameof(DriveTrain.GearTorqueNm), "Gearbox, rated torque", 0.1, 1e7, "Nm",
                "At the machine’s shaft, for a service factor of 1.", open: "not judged"),
            Number(nameof(DriveTrain.ServiceFactor), "Service factor", 0.5, 5, string.Empty,
                "By the machine’s shocks, hours and starts, from the gearbox maker’s table.", open: "not judged"),
            Number(nameof(DriveTrain.GearThermalKw), "Gearbox, thermal power", 0.01, 20_000, "kW",
                "Power that it carries for ever without overheating, at this ambient.", open: "not judged"),
            Number(nameof(DriveTrain.InertiaKgM2), "Inertia at the machine", 0, 1e7, "kg·m²",
                "Drum, coupling, rotor; carried masses follow from the other entries.", hint: true),
            Number(nameof(DriveTrain.StartTimeS), "Start time", 0.01, 600, "s", "From rest to rated speed."),
            Number(nameof(DriveTrain.StopTimeS), "Stop time", 0.05, 3600, "s",
                "From its fastest; quicker than it stops by itself drives energy back.", hint: true)),
        For<ConstantTorqueLoad>(
            Number(nameof(ConstantTorqueLoad.TorqueNm), "Torque at the machine", 0, 1e7, "Nm", "Running torque at the machine's shaft.",
                above: true),
            Speed(nameof(ConstantTorqueLoad.RatedSpeedRpm)),
            Breakaway(nameof(ConstantTorqueLoad.BreakawayPct)),
            Number(nameof(ConstantTorqueLoad.MinSpeedPu), "Minimum speed", 0, 1, "of rated", "Lowest speed at which it runs for long.",
                shown: "%")),
        For<HighInertiaLoad>(
            Number(nameof(HighInertiaLoad.RunningTorqueNm), "Torque at rated speed", 0, 1e7, "Nm", "Running torque at the machine's shaft.",
                above: true),
            Speed(nameof(HighInertiaLoad.RatedSpeedRpm)),
            Breakaway(nameof(HighInertiaLoad.BreakawayPct))),
        For<ConveyorLoad>(
            Number(nameof(ConveyorLoad.MassFlowKgPerS), "Material carried", 0, 20_000, "kg/s", "Mass flow on the belt."),
            Number(nameof(ConveyorLoad.LengthM), "Length", 0.5, 20_000, "m", "Length between the pulleys."),
            Number(nameof(ConveyorLoad.LiftM), "Lift", -20_000, 20_000, "m", "Negative downhill; not more than the length.", hint: true),
            Number(nameof(ConveyorLoad.BeltSpeedMPerS), "Belt speed", 0.01, 15, "m/s", "Speed of the belt at the rated point."),
            Number(nameof(ConveyorLoad.FrictionFactor), "Friction factor f", 0.005, 0.5, string.Empty, "0.02 to 0.03 is common.",
                hint: true),
            Number(nameof(ConveyorLoad.RegenerationFriction), "Friction factor while it drives", 0.001, 0.5, string.Empty,
                "Empty: the project’s, 0.012.", hint: true),
            Number(nameof(ConveyorLoad.SecondaryFactor), "Coefficient C (ISO 5048)", 1, 10, string.Empty,
                "Secondary resistances, by the length of the belt (DIN 22101)."),
            Number(nameof(ConveyorLoad.RollerKgPerM), "Idler mass per metre", 0, 500, "kg/m", "Turning mass of the idlers, both strands."),
            Number(nameof(ConveyorLoad.BeltKgPerM), "Belt mass per metre", 0, 500, "kg/m", "Mass of the belt, one strand."),
            Number(nameof(ConveyorLoad.DrumDiameterM), "Drum diameter", 0.02, 5, "m", "Diameter of the driven pulley.", shown: "mm"),
            Breakaway(nameof(ConveyorLoad.BreakawayPct))),
        For<RollerGroupLoad>(
            Number(nameof(RollerGroupLoad.Rollers), "Rollers", 1, 500, string.Empty, "Rollers that one motor drives."),
            Number(nameof(RollerGroupLoad.TorqueEachNm), "Torque per roller", 0, 1e5, "Nm", "Torque of a loaded roller.", above: true),
            Number(nameof(RollerGroupLoad.SimultaneityPct), "Simultaneity factor", 1, 100, "%",
                "Share of the rollers that carries at once."),
            Speed(nameof(RollerGroupLoad.RatedSpeedRpm)),
            Breakaway(nameof(RollerGroupLoad.BreakawayPct))),
        For<DosingPumpLoad>(
            Number(nameof(DosingPumpLoad.DisplacementCm3PerRev), "Displacement per revolution", 0, 1e6, "cm³",
                "Displacement of a turn of the pump.", above: true),
            Number(nameof(DosingPumpLoad.PressureBar), "Pressure difference", 0, 1000, "bar", "Pressure that the pump builds up.",
                above: true),
            Number(nameof(DosingPumpLoad.PumpEfficiency), "Pump efficiency", 0.1, 1, string.Empty,
                "Mechanical and volumetric efficiency together.", shown: "%"),
            Number(nameof(DosingPumpLoad.RatedSpeedRpm), "Speed at maximum dose", 0.1, 20_000, "rpm",
                "Speed of the pump at the largest dose."),
            Breakaway(nameof(DosingPumpLoad.BreakawayPct))),
        For<WinderLoad>(
            Number(nameof(WinderLoad.LineSpeedMPerS), "Line speed", 0.001, 60, "m/s", "Speed of the web."),
            Number(nameof(WinderLoad.TensionN), "Tension at the core", 0, 1e6, "N", "Tension of the whole web at the core.", above: true),
            Number(nameof(WinderLoad.TaperPct), "Taper to the full roll", 0, 90, "%", "By how much the tension falls to the full roll."),
            Number(nameof(WinderLoad.CoreDiameterM), "Core diameter", 0.01, 5, "m", "Diameter of the empty core.", shown: "mm"),
            Number(nameof(WinderLoad.FullDiameterM), "Full diameter", 0.01, 6, "m", "Diameter of the full roll; not less than the core.",
                shown: "mm"),
            Number(nameof(WinderLoad.WebWidthM), "Web width", 0.001, 15, "m", "Width of the web.", shown: "mm"),
            Number(nameof(WinderLoad.DensityKgPerM3), "Density of the roll", 1, 20_000, "kg/m³", "Mean density of the wound roll."),
            Number(nameof(WinderLoad.FrictionNm), "Friction at the roll", 0, 1e5, "Nm", "Friction torque at the roll's shaft."),
            Switch(nameof(WinderLoad.Unwinds), "Unwinds", "Whether the web leaves the roll: the drive then brakes all the time.")),
        For<HoistLoad>(
            Number(nameof(HoistLoad.MassKg), "Mass, upwards", 0, 1e6, "kg", "Mass moved on the way up.", above: true),
            Number(nameof(HoistLoad.ReturnMassKg), "Mass, downwards", 0, 1e6, "kg", "Mass moved on the way down."),
            Number(nameof(HoistLoad.CounterweightKg), "Counterweight", 0, 1e6, "kg", "Mass that balances it."),
            Number(nameof(HoistLoad.InclineDeg), "Angle of the track", 0, 90, "°", "90° for a hoist.", above: true, hint: true),
            Number(nameof(HoistLoad.SpeedMPerS), "Speed", 0.001, 20, "m/s", "Speed of the load."),
            Number(nameof(HoistLoad.LiftM), "Way", 0.01, 3000, "m", "Way of a cycle, one direction."),
            Number(nameof(HoistLoad.CyclesPerHour), "Cycles per hour", 0.01, 3600, string.Empty, "Cycles up and down in an hour."),
            Number(nameof(HoistLoad.RollingFriction), "Track rolling friction", 0, 0.5, string.Empty,
                "Empty: the project’s, 0.01; nothing on a vertical track.", hint: true),
            Number(nameof(HoistLoad.Falls), "Rope falls", 1, 16, string.Empty, "Ropes that carry the load side by side."),
            Number(nameof(HoistLoad.DrumDiameterM), "Drum diameter", 0.02, 10, "m", "Diameter of the rope drum or wheel.", shown: "mm"),
            Number(nameof(HoistLoad.Efficiency), "Rope and guide efficiency", 0.2, 1, string.Empty,
                "Efficiency of ropes, wheels and guides together.", shown: "%")),
        For<ServoAxisLoad>(
            Number(nameof(ServoAxisLoad.MassKg), "Moved mass", 0, 1e5, "kg", "Mass that the axis moves.", above: true),
            Number(nameof(ServoAxisLoad.FeedMPerRev), "Travel per revolution", 1e-4, 10, "m", "Way for a turn of screw, pinion or pulley.",
                shown: "mm"),
            Number(nameof(ServoAxisLoad.DistanceM), "Distance", 1e-5, 100, "m", "Way of a move.", shown: "mm"),
            Number(nameof(ServoAxisLoad.MoveTimeS), "Move time", 0.001, 600, "s", "Time from rest to rest."),
            Number(nameof(ServoAxisLoad.DwellS), "Dwell time", 0, 3600, "s", "Rest after each move."),
            Number(nameof(ServoAxisLoad.FrictionN), "Friction", 0, 1e5, "N", "Friction and process force along the axis."),
            Number(nameof(ServoAxisLoad.InclineDeg), "Angle of the axis", 0, 90, "°", "90° vertical, 0° level.", hint: true),
            Choice(nameof(ServoAxisLoad.Shape), "Motion profile", "Profile of speed over time.",
                (MoveShape.Trapezoid, "a third each: speed up, travel, brake"), (MoveShape.SmoothS, "smooth, without jerk"))),
        For<ProfilePoint>(
            Number(nameof(ProfilePoint.TimeS), "Time", 0, 1e7, "s", "Time of the point; it never goes back."),
            Number(nameof(ProfilePoint.SpeedRpm), "Speed", -20_000, 20_000, "rpm", "Speed of the machine at that time."),
            Number(nameof(ProfilePoint.TorqueNm), "Torque", -1e7, 1e7, "Nm", "Torque at the machine's shaft, without acceleration.")),
    ];

    private static NumberField Speed(string key) =>
        Number(key, "Rated speed of the machine", 0.1, 20_000, "rpm", "Speed of the machine's shaft at the rated point.");

    private static NumberField Breakaway(string key) =>
        Number(key, "Breakaway torque", 0, 500, "%", "Of the running torque; 150 % is common.", hint: true);
}
