using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the entries of loads that are not fans or pumps.</summary>
internal static class MechanicalLoadValidation
{
    private const int MaxProfilePoints = 5000;

    public static void Check(MechanicalLoad load, string at, ProblemList p)
    {
        p.Number(at + "/train/gearRatio", "Gear ratio", load.Train.GearRatio, 0.05, 2000, string.Empty);
        p.Number(at + "/train/gearEfficiency", "Efficiency of the gear", load.Train.GearEfficiency, 0.2, 1, string.Empty);
        p.Number(at + "/train/inertiaKgM2", "Inertia", load.Train.InertiaKgM2, 0, 1e7, "kg·m²");
        p.Number(at + "/train/startTimeS", "Start time", load.Train.StartTimeS, 0.01, 600, "s");
        p.Number(at + "/train/stopTimeS", "Stop time", load.Train.StopTimeS, 0.05, 3600, "s");
        DrivePointValidation.DutyHours(load.Duty, at, p);
        switch (load)
        {
            case ConstantTorqueLoad l:
                p.Number(at + "/torqueNm", "Torque", l.TorqueNm, 0, 1e7, "Nm", minExcluded: true);
                Turning(at, l.RatedSpeedRpm, l.BreakawayPct, p);
                p.Number(at + "/minSpeedPu", "Lowest speed", l.MinSpeedPu, 0, 1, "of rated");
                break;
            case HighInertiaLoad l:
                p.Number(at + "/runningTorqueNm", "Running torque", l.RunningTorqueNm, 0, 1e7, "Nm", minExcluded: true);
                Turning(at, l.RatedSpeedRpm, l.BreakawayPct, p);
                break;
            case ConveyorLoad l:
                Conveyor(l, at, p);
                break;
            case RollerGroupLoad l:
                p.Number(at + "/rollers", "Rollers", l.Rollers, 1, 500, string.Empty);
                p.Number(at + "/torqueEachNm", "Torque of a roller", l.TorqueEachNm, 0, 1e5, "Nm", minExcluded: true);
                p.Number(at + "/simultaneityPct", "Simultaneity", l.SimultaneityPct, 1, 100, "%");
                Turning(at, l.RatedSpeedRpm, l.BreakawayPct, p);
                break;
            case DosingPumpLoad l:
                p.Number(at + "/displacementCm3PerRev", "Displacement", l.DisplacementCm3PerRev, 0, 1e6, "cm³", minExcluded: true);
                p.Number(at + "/pressureBar", "Pressure", l.PressureBar, 0, 1000, "bar", minExcluded: true);
                p.Number(at + "/pumpEfficiency", "Efficiency of the pump", l.PumpEfficiency, 0.1, 1, string.Empty);
                Turning(at, l.RatedSpeedRpm, l.BreakawayPct, p);
                break;
            case WinderLoad l:
                Winder(l, at, p);
                break;
            case HoistLoad l:
                Hoist(l, at, p);
                break;
            case ServoAxisLoad l:
                Servo(l, at, p);
                break;
            case ProfileLoad l:
                Profile(l, at, p);
                break;
        }
    }

    private static void Turning(string at, Given speedRpm, Given breakawayPct, ProblemList p)
    {
        p.Number(at + "/ratedSpeedRpm", "Rated speed", speedRpm, 0.1, 20_000, "rpm");
        p.Number(at + "/breakawayPct", "Breakaway", breakawayPct, 0, 500, "%");
    }

    private static void Conveyor(ConveyorLoad l, string at, ProblemList p)
    {
        p.Number(at + "/massFlowKgPerS", "Mass flow", l.MassFlowKgPerS, 0, 20_000, "kg/s");
        p.Number(at + "/lengthM", "Length", l.LengthM, 0.5, 20_000, "m");
        var most = l.LengthM.IsKnown ? Math.Max(0, l.LengthM.Value) : 20_000;
        p.Number(at + "/liftM", "Lift", l.LiftM, -most, most, "m, not more than the length");
        p.Number(at + "/beltSpeedMPerS", "Belt speed", l.BeltSpeedMPerS, 0.01, 15, "m/s");
        p.Number(at + "/frictionFactor", "Friction factor", l.FrictionFactor, 0.005, 0.5, string.Empty);
        p.Number(at + "/secondaryFactor", "Factor of secondary resistances", l.SecondaryFactor, 1, 10, string.Empty);
        p.Number(at + "/rollerKgPerM", "Mass of the idlers", l.RollerKgPerM, 0, 500, "kg/m");
        p.Number(at + "/beltKgPerM", "Mass of the belt", l.BeltKgPerM, 0, 500, "kg/m");
        p.Number(at + "/regenerationFriction", "Friction factor while driving the motor", l.RegenerationFriction, 0.001, 0.5, string.Empty);
        p.Number(at + "/drumDiameterM", "Drum diameter", l.DrumDiameterM, 0.02, 5, "m");
        p.Number(at + "/breakawayPct", "Breakaway", l.BreakawayPct, 0, 500, "%");
    }

    private static void Winder(WinderLoad l, string at, ProblemList p)
    {
        p.Number(at + "/lineSpeedMPerS", "Line speed", l.LineSpeedMPerS, 0.001, 60, "m/s");
        p.Number(at + "/tensionN", "Tension", l.TensionN, 0, 1e6, "N", minExcluded: true);
        p.Number(at + "/taperPct", "Taper", l.TaperPct, 0, 90, "%");
        p.Number(at + "/coreDiameterM", "Core diameter", l.CoreDiameterM, 0.01, 5, "m");
        p.Number(at + "/fullDiameterM", "Full diameter", l.FullDiameterM, l.CoreDiameterM.IsKnown ? l.CoreDiameterM.Value : 0.01, 6, "m, not less than the core");
        p.Number(at + "/webWidthM", "Width of the web", l.WebWidthM, 0.001, 15, "m");
        p.Number(at + "/densityKgPerM3", "Density", l.DensityKgPerM3, 1, 20_000, "kg/m³");
        p.Number(at + "/frictionNm", "Friction", l.FrictionNm, 0, 1e5, "Nm");
    }

    private static void Hoist(HoistLoad l, string at, ProblemList p)
    {
        p.Number(at + "/massKg", "Mass", l.MassKg, 0, 1e6, "kg", minExcluded: true);
        p.Number(at + "/returnMassKg", "Mass on the way down", l.ReturnMassKg, 0, 1e6, "kg");
        p.Number(at + "/counterweightKg", "Counterweight", l.CounterweightKg, 0, 1e6, "kg");
        p.Number(at + "/inclineDeg", "Angle of the track", l.InclineDeg, 0, 90, "°", minExcluded: true);
        p.Number(at + "/rollingFriction", "Rolling friction of the track", l.RollingFriction, 0, 0.5, string.Empty);
        p.Number(at + "/speedMPerS", "Speed", l.SpeedMPerS, 0.001, 20, "m/s");
        p.Number(at + "/liftM", "Way", l.LiftM, 0.01, 3000, "m");
        p.Number(at + "/cyclesPerHour", "Cycles an hour", l.CyclesPerHour, 0.01, 3600, string.Empty);
        p.Number(at + "/falls", "Falls of rope", l.Falls, 1, 16, string.Empty);
        p.Number(at + "/drumDiameterM", "Drum diameter", l.DrumDiameterM, 0.02, 10, "m");
        p.Number(at + "/efficiency", "Efficiency of the ropes", l.Efficiency, 0.2, 1, string.Empty);
    }

    private static void Servo(ServoAxisLoad l, string at, ProblemList p)
    {
        p.Number(at + "/massKg", "Mass", l.MassKg, 0, 1e5, "kg", minExcluded: true);
        p.Number(at + "/feedMPerRev", "Feed of a turn", l.FeedMPerRev, 1e-4, 10, "m");
        p.Number(at + "/distanceM", "Distance", l.DistanceM, 1e-5, 100, "m");
        p.Number(at + "/moveTimeS", "Time of a move", l.MoveTimeS, 0.001, 600, "s");
        p.Number(at + "/dwellS", "Dwell", l.DwellS, 0, 3600, "s");
        p.Number(at + "/frictionN", "Friction", l.FrictionN, 0, 1e5, "N");
        p.Number(at + "/inclineDeg", "Angle of the axis", l.InclineDeg, 0, 90, "°");
    }

    private static void Profile(ProfileLoad l, string at, ProblemList p)
    {
        p.Require(l.Points.Count <= MaxProfilePoints, at + "/points", "Number of points", $"{l.Points.Count}", $"up to {MaxProfilePoints}");
        p.Require(l.Points.Count < 2 || l.Points[^1].TimeS > l.Points[0].TimeS || double.IsNaN(l.Points[^1].TimeS), at + "/points", "Duration of the profile", "0 s", "above 0 s");
        var last = double.NegativeInfinity;
        for (var i = 0; i < l.Points.Count; i++)
        {
            var point = l.Points[i];
            p.Number($"{at}/points/{i}/timeS", "Time", point.TimeS, 0, 1e7, "s");
            p.Require(point.TimeS >= last || double.IsNaN(point.TimeS), $"{at}/points/{i}/timeS", "Time", FormattableString.Invariant($"{point.TimeS} s"), FormattableString.Invariant($"not below {last} s: time must not go back"));
            p.Require(
                i < 2 || l.Points[i - 2].TimeS != point.TimeS || double.IsNaN(point.TimeS), $"{at}/points/{i}/timeS", "Time", FormattableString.Invariant($"{point.TimeS} s a third time"),
                "two points at one time at most: a step of the torque");
            p.Require(
                i == 0 || l.Points[i - 1].TimeS != point.TimeS || l.Points[i - 1].SpeedRpm == point.SpeedRpm || double.IsNaN(point.SpeedRpm), $"{at}/points/{i}/speedRpm", "Speed",
                FormattableString.Invariant($"{point.SpeedRpm} rpm"), "the same at a step: torque can jump, speed can't");
            last = point.TimeS;
            p.Number($"{at}/points/{i}/speedRpm", "Speed", point.SpeedRpm, -20_000, 20_000, "rpm");
            p.Number($"{at}/points/{i}/torqueNm", "Torque", point.TorqueNm, -1e7, 1e7, "Nm");
        }
    }
}
