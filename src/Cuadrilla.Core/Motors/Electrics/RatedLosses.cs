using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Motors.Electrics;

/// <summary>Losses of a plate at its rated point, and how each part grows. See <c>docs/methods/motor-losses.md</c>.</summary>
internal sealed class RatedLosses
{
    private readonly LossSplit split;
    private readonly double otherW;

    /// <summary>Divides the rated loss.</summary>
    /// <exception cref="UnfitDataException">The plate contradicts itself.</exception>
    public RatedLosses(MotorPlate plate)
    {
        if (plate.Technology == MotorTechnology.CageInduction && plate.RatedSlip is <= 0 or >= 0.3)
        {
            throw new UnfitDataException($"Rated speed {plate.RatedSpeedRpm} rpm must lie between 70 % and 100 % of the synchronous "
                + $"{plate.SynchronousSpeedRpm} rpm.");
        }

        split = plate.Split;
        var slipRatio = plate.RatedSlip / (1 - plate.RatedSlip);

        // Rotor copper = s/(1−s)·(shaft + friction), friction being a share of what the rotor leaves.
        RotorW = slipRatio * (plate.RatedPowerW + (split.FrictionPu * plate.RatedLossW)) / (1 + (slipRatio * split.FrictionPu));
        otherW = plate.RatedLossW - RotorW;
        if (otherW <= 0)
        {
            throw new UnfitDataException($"The slip at {plate.RatedSpeedRpm} rpm alone exceeds the losses that the efficiency allows.");
        }
    }

    /// <summary>Rotor copper at the rated point, W.</summary>
    public double RotorW { get; }

    /// <summary>Stator or armature copper at the rated point, W.</summary>
    public double StatorW => split.StatorPu * otherW;

    /// <summary>Excitation of a DC motor, W.</summary>
    public double FieldW => split.FieldPu * otherW;

    /// <summary>Iron loss, W: φ²·(k_h·f + (1 − k_h)·f²).</summary>
    public double IronW(double fluxPu, double frequencyPu) =>
        split.IronPu * otherW * fluxPu * fluxPu * ((split.HysteresisPu * frequencyPu)
            + ((1 - split.HysteresisPu) * frequencyPu * frequencyPu));

    /// <summary>Friction and windage, W.</summary>
    public double FrictionW(double speedPu) =>
        split.FrictionPu * otherW * (split.FrictionExponent == 2 ? speedPu * speedPu : Math.Pow(Math.Abs(speedPu), split.FrictionExponent));

    /// <summary>Load-dependent stray loss, W.</summary>
    /// <param name="currentPu">Torque current of a cage motor, line current of others, parts of the rated.</param>
    /// <param name="frequencyPu">Frequency, parts of the rated.</param>
    public double StrayW(double currentPu, double frequencyPu) =>
        split.StrayPu * otherW * currentPu * currentPu * frequencyPu * Math.Sqrt(frequencyPu);
}
