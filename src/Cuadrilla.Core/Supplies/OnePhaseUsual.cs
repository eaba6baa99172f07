using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Supplies;

/// <summary>What is taken where only one phase is available and nothing is entered: practice (verify), shown beside each entry.</summary>
public static class OnePhaseUsual
{
    private const double UsualSimultaneityPct = 100;
    private const double UsualIdlePct = 20;
    private const double UsualIdleCurrentPct = 40;
    private const double UsualDeviationPct = 7.5;
    private const double UsualReactancePct = 25;
    private const double UsualHeavyFactor = 4.5;
    private const double UsualYears = 10;
    private const double UsualInputPowerFactor = 0.6;
    private const double UsualLoadPct = 100;

    /// <summary>Part of the machines that runs together, %: all of them.</summary>
    public static double SimultaneityPct(OnePhaseSupply supply) => Or(supply?.SimultaneityPct, UsualSimultaneityPct);

    /// <summary>Idle loss, W for each 100 VA.</summary>
    public static double IdlePct(RotaryConverter rotary) => Or(rotary?.IdlePct, UsualIdlePct);

    /// <summary>Idle current, % of the rated.</summary>
    public static double IdleCurrentPct(RotaryConverter rotary) => Or(rotary?.IdleCurrentPct, UsualIdleCurrentPct);

    /// <summary>Deviation of the made phase, %: the middle of practice.</summary>
    public static double DeviationPct(RotaryConverter rotary) => Or(rotary?.DeviationPct, UsualDeviationPct);

    /// <summary>Reactance, % of the rated impedance.</summary>
    public static double ReactancePct(RotaryConverter rotary) => Or(rotary?.ReactancePct, UsualReactancePct);

    /// <summary>Apparent power over that of a machine that starts heavily.</summary>
    public static double HeavyFactor(RotaryConverter rotary) => Or(rotary?.HeavyFactor, UsualHeavyFactor);

    /// <summary>Years that are compared.</summary>
    public static double Years(OnePhaseCosts costs) => Or(costs?.Years, UsualYears);

    /// <summary>Total power factor of a two-wire rectifier without choke.</summary>
    public static double InputPowerFactor(OnePhaseCosts costs) => Or(costs?.InputPowerFactor, UsualInputPowerFactor);

    /// <summary>Load of a machine, %: its rated output.</summary>
    public static double LoadPct(OnePhaseMachine machine) => Or(machine?.LoadPct, UsualLoadPct);

    /// <summary>Power that a rotary converter draws while nothing runs, VA; zero while its size is not known.</summary>
    public static System.Numerics.Complex IdleVa(OnePhaseSupply supply)
    {
        ArgumentNullException.ThrowIfNull(supply);
        if (supply.Means != OnePhaseMeans.Rotary || !supply.Rotary.RatedKva.IsKnown)
        {
            return System.Numerics.Complex.Zero;
        }

        var ratedVa = supply.Rotary.RatedKva.Value * 1e3;
        double active = IdlePct(supply.Rotary) / 100 * ratedVa, apparent = IdleCurrentPct(supply.Rotary) / 100 * ratedVa;
        return new System.Numerics.Complex(active, Math.Sqrt(Math.Max(0, (apparent * apparent) - (active * active))));
    }

    private static double Or(Given? entered, double usual) => entered is { IsKnown: true } known ? known.Value : usual;
}
