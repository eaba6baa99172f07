using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Studies.Groups;

/// <summary>Like motors behind one converter.</summary>
/// <param name="Count">How many, ≥ 1.</param>
/// <param name="RatedCurrentA">Rated current of one, A.</param>
/// <param name="LateStartA">Current of one that is switched onto the running converter, A; 0 when none ever is.</param>
public sealed record GroupMotors(int Count, double RatedCurrentA, double LateStartA);

/// <summary>
/// Currents that one converter needs for many motors. Steady: k·ΣI_N; a late start: s·Σ(all others) + the current of the largest that is
/// switched onto it. See <c>docs/methods/motor-group.md</c>.
/// </summary>
/// <param name="SumA">Sum of the rated currents, A.</param>
/// <param name="WantedA">Continuous current wanted of the converter, A.</param>
/// <param name="LateStartA">Current while the worst late start lasts, A; 0 when there is none.</param>
/// <param name="LateIndex">Which kind of motor starts late; -1 when none does.</param>
public sealed record GroupCurrent(double SumA, double WantedA, double LateStartA, int LateIndex)
{
    /// <summary>Adds them up.</summary>
    /// <param name="motors">At least one kind.</param>
    /// <param name="reserve">Factor on the sum, usually 1.25.</param>
    /// <param name="simultaneityPu">Share of the rated currents that flows at once.</param>
    /// <exception cref="UnfitDataException">There is no motor.</exception>
    public static GroupCurrent Of(IReadOnlyList<GroupMotors> motors, double reserve, double simultaneityPu)
    {
        ArgumentNullException.ThrowIfNull(motors);
        if (motors.Count == 0 || motors.Any(m => m.Count < 1))
        {
            throw new UnfitDataException("A group needs at least one motor of each kind.");
        }

        var sum = motors.Sum(m => m.Count * m.RatedCurrentA);
        double late = 0;
        var index = -1;
        for (var i = 0; i < motors.Count; i++)
        {
            var during = (simultaneityPu * (sum - motors[i].RatedCurrentA)) + motors[i].LateStartA;
            if (motors[i].LateStartA > 0 && during > late)
            {
                (late, index) = (during, i);
            }
        }

        return new GroupCurrent(sum, reserve * sum, late, index);
    }
}
