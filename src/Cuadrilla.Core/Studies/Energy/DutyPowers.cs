using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary>
/// Mean powers over the duty of one drive point, for any motor and converter in its place. What the machine asks for is worked out
/// once, what a motor does with it once for each motor: a table of alternatives asks for the same points again and again.
/// </summary>
internal sealed class DutyPowers
{
    private readonly CompleteDrive model;
    private readonly List<(DutyPoint Duty, IReadOnlyList<ShaftPoint> Points)> levels;
    private readonly Dictionary<MotorLossModel, MotorPoint[][]> motors = [];

    public DutyPowers(CompleteDrive model)
    {
        this.model = model;
        levels = [.. model.Load.Duty.Where(d => d.HoursPerYear > 0)
            .Select(d => (d, model.Load.Cycle is null ? model.Load.PointsAt(d.LevelPu) : []))];
    }

    /// <summary>Power at each level of the duty.</summary>
    public List<(DutyPoint Duty, MeanPower Power)> On(MotorLossModel motor, ConverterAtSite converter)
    {
        if (model.Load.Cycle is { } cycle)
        {
            // A level of a cycle is how often it comes: its mean power is the same each time.
            var (moving, standing) = MeanPower.OfCycle(model, cycle, CycleOf(cycle, motor), motor, converter);
            return [.. levels.Select(l => (l.Duty,
                default(MeanPower).Plus(moving, l.Duty.LevelPu).Plus(standing, Math.Max(0, 1 - l.Duty.LevelPu))))];
        }

        var points = PointsOf(motor);
        var powers = new List<(DutyPoint, MeanPower)>(levels.Count);
        for (var i = 0; i < levels.Count; i++)
        {
            var sum = default(MeanPower);
            for (var k = 0; k < levels[i].Points.Count; k++)
            {
                sum = sum.Plus(MeanPower.At(model.PointOf(levels[i].Points[k], points[i][k], motor, converter), converter.Item),
                    1.0 / levels[i].Points.Count);
            }

            powers.Add((levels[i].Duty, sum));
        }

        return powers;
    }

    private MotorPoint[] CycleOf(LoadCycle cycle, MotorLossModel motor)
    {
        if (!motors.TryGetValue(motor, out var points))
        {
            points = [[.. cycle.Slices(motor.Plate.InertiaKgM2)
                .Select(s => s.Rests ? default : motor.At(s.Shaft(1).SpeedRpm, s.Shaft(1).TorqueNm, model.ConverterFeed))]];
            motors.Add(motor, points);
        }

        return points[0];
    }

    private MotorPoint[][] PointsOf(MotorLossModel motor)
    {
        if (!motors.TryGetValue(motor, out var points))
        {
            points = [.. levels.Select(l => l.Points.Select(p => motor.At(p.SpeedRpm, p.TorqueNm, model.ConverterFeed)).ToArray())];
            motors.Add(motor, points);
        }

        return points;
    }
}
