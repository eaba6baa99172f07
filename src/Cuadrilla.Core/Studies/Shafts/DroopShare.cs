using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Studies.Shafts;

/// <summary>A unit that shares a shaft under speed droop.</summary>
/// <param name="RatedTorqueNm">Rated torque at the common shaft, Nm, &gt; 0.</param>
/// <param name="DroopPct">By how much its speed falls from no load to rated torque, %, &gt; 0.</param>
/// <param name="SpeedErrorPct">By how much its speed reference is off, %.</param>
public sealed record DroopUnit([Above(0, 1e9)] double RatedTorqueNm, [Above(0, 100)] double DroopPct,
    [Range(-50, 50)] double SpeedErrorPct);

/// <summary>
/// Units on one shaft, each with its speed controller and a droop: n = 1 + e_i − d_i·T_i/T_N,i for all of them and ΣT_i = T, hence
/// n = (Σ(1 + e_i)·T_N,i/d_i − T)/Σ T_N,i/d_i. No link between the units is needed. See <c>docs/methods/sharing.md</c>.
/// </summary>
/// <param name="SpeedPu">Common speed, parts of the reference.</param>
/// <param name="TorquesNm">Torque of each unit, Nm; negative when the others drive it.</param>
public sealed record DroopShare(double SpeedPu, IReadOnlyList<double> TorquesNm)
{
    /// <summary>Largest deviation of a unit's load from the mean, both in parts of its rated torque, %.</summary>
    public double ImbalancePct { get; private init; }

    /// <summary>Solves it.</summary>
    /// <param name="totalTorqueNm">Torque that the shaft asks for, Nm.</param>
    /// <param name="units">At least one.</param>
    /// <exception cref="UnfitDataException">There is no unit, or one without rated torque or droop.</exception>
    public static DroopShare Of(double totalTorqueNm, IReadOnlyList<DroopUnit> units)
    {
        ArgumentNullException.ThrowIfNull(units);
        if (units.Count == 0 || units.Any(u => !(u.RatedTorqueNm > 0) || !(u.DroopPct > 0)))
        {
            throw new UnfitDataException("Each unit needs a rated torque and a droop above zero: without "
                + "droop the share is not determined.");
        }

        double stiffness = 0, free = 0;
        foreach (var unit in units)
        {
            var k = unit.RatedTorqueNm / (unit.DroopPct / 100);
            stiffness += k;
            free += k * (1 + (unit.SpeedErrorPct / 100));
        }

        var speed = (free - totalTorqueNm) / stiffness;
        double[] torques = [.. units.Select(u => u.RatedTorqueNm / (u.DroopPct / 100) * (1 + (u.SpeedErrorPct / 100) - speed))];
        var mean = totalTorqueNm / units.Sum(u => u.RatedTorqueNm);
        return new DroopShare(speed, torques) { ImbalancePct = 100 * units.Select((u, i) => Math.Abs((torques[i] / u.RatedTorqueNm) - mean))
            .Max() };
    }
}
