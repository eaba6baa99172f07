namespace Cuadrilla.Core.Studies.Shafts;

/// <summary>
/// Where the units of a shared shaft settle, in closed form. Droop: as <see cref="DroopShare"/>. Torque followers: the leader's torque in
/// parts of rated, plus their error. Trim: equal parts while the trim can cancel the error of the speed reference. Without droop: integral
/// controllers with different references wind up against each other until one of them is alone off its limit. See
/// <c>docs/methods/sharing.md</c>.
/// </summary>
/// <param name="SpeedPu">Speed, parts of the reference.</param>
/// <param name="TorquesNm">Torque of each unit, Nm.</param>
/// <param name="ImbalancePct">Largest deviation of a unit's load from the mean, % of rated torque.</param>
/// <param name="CirculatingNm">Torque that units give each other beyond equal shares, Nm.</param>
public sealed record SteadyShare(double SpeedPu, IReadOnlyList<double> TorquesNm, double ImbalancePct, double CirculatingNm)
{
    private const double AlikePct = 1e-9;

    /// <summary>Finds it.</summary>
    /// <param name="kind">How they share.</param>
    /// <param name="totalNm">Torque that the shaft asks for, Nm.</param>
    /// <param name="units">At least one, the leader first.</param>
    /// <param name="trimPct">Largest trim, %; with trim only.</param>
    /// <param name="trimLimitPct">Torque limit of trimmed followers, % of rated; with trim only.</param>
    public static SteadyShare Of(SharingKind kind, double totalNm, IReadOnlyList<SharingUnit> units, double trimPct = 0,
        double trimLimitPct = 100)
    {
        ArgumentNullException.ThrowIfNull(units);
        switch (kind)
        {
            case SharingKind.Droop:
                var droop = DroopShare.Of(totalNm, [.. units.Select(u => new DroopUnit(u.RatedNm, u.DroopPct, u.SpeedErrorPct))]);
                return Judged(droop.SpeedPu, droop.TorquesNm, totalNm, units);
            case SharingKind.TorqueFollower:
                return Followed(totalNm, units);
            case SharingKind.SpeedTrim when units.All(u => Math.Abs(u.SpeedErrorPct - units[0].SpeedErrorPct) <= trimPct):
                var rated = units.Sum(u => u.RatedNm);
                return Judged(1 + (units[0].SpeedErrorPct / 100), [.. units.Select(u => totalNm * u.RatedNm / rated)], totalNm, units);
            case SharingKind.SpeedTrim:
                return Wound(totalNm, units, i => Trimmed(units, i, trimPct),
                    i => i == 0 ? units[0].LargestNm : Math.Min(units[i].LargestNm, trimLimitPct / 100 * units[i].RatedNm));
            default:
                return Wound(totalNm, units, i => units[i].SpeedErrorPct, i => units[i].LargestNm);
        }
    }

    private static double Trimmed(IReadOnlyList<SharingUnit> units, int i, double trimPct) =>
        i == 0 ? units[0].SpeedErrorPct
            : units[i].SpeedErrorPct + Math.Clamp(units[0].SpeedErrorPct - units[i].SpeedErrorPct, -trimPct, trimPct);

    // t_0·T_N,0 + Σ(t_0 + e_i)·T_N,i = T, all in parts of rated.
    private static SteadyShare Followed(double totalNm, IReadOnlyList<SharingUnit> units)
    {
        var errors = units.Skip(1).Sum(u => u.TorqueErrorPct / 100 * u.RatedNm);
        var leader = (totalNm - errors) / units.Sum(u => u.RatedNm);
        return Judged(1 + (units[0].SpeedErrorPct / 100),
            [.. units.Select((u, i) => (leader + (i == 0 ? 0 : u.TorqueErrorPct / 100)) * u.RatedNm)], totalNm, units);
    }

    // Those with a higher reference push at their limit, those with a lower one hold back at theirs, the one between carries the rest.
    private static SteadyShare Wound(double totalNm, IReadOnlyList<SharingUnit> units, Func<int, double> referencePct,
        Func<int, double> limitNm)
    {
        var torques = new double[units.Count];
        foreach (var pivot in Enumerable.Range(0, units.Count).Select(referencePct).Distinct().OrderDescending())
        {
            List<int> alike = [.. Enumerable.Range(0, units.Count).Where(i => Math.Abs(referencePct(i) - pivot) <= AlikePct)];
            double others = 0;
            for (var i = 0; i < units.Count; i++)
            {
                if (!alike.Contains(i))
                {
                    torques[i] = referencePct(i) > pivot ? limitNm(i) : -limitNm(i);
                    others += torques[i];
                }
            }

            var rest = totalNm - others;
            var able = alike.Sum(limitNm);
            foreach (var i in alike)
            {
                torques[i] = Math.Clamp(rest, -able, able) * units[i].RatedNm / alike.Sum(k => units[k].RatedNm);
            }

            if (Math.Abs(rest) <= able)
            {
                return Judged(1 + (pivot / 100), torques, totalNm, units);
            }
        }

        // More is asked than all can give: the shaft does not keep its speed.
        return Judged(0, [.. units.Select((_, i) => Math.Sign(totalNm) * limitNm(i))], totalNm, units);
    }

    private static SteadyShare Judged(double speedPu, IReadOnlyList<double> torques, double totalNm, IReadOnlyList<SharingUnit> units)
    {
        var mean = totalNm / units.Sum(u => u.RatedNm);
        return new SteadyShare(
            speedPu, torques, 100 * units.Select((u, i) => Math.Abs((torques[i] / u.RatedNm) - mean)).Max(),
            0.5 * units.Select((u, i) => Math.Abs(torques[i] - (mean * u.RatedNm))).Sum());
    }
}
