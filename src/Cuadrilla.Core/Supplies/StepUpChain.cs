namespace Cuadrilla.Core.Supplies;

/// <summary>Ideal chain from a step-up transformer over a long cable to a motor of constant flux: voltages by phasors over frequency;
/// method <c>docs/methods/step-up-chain.md</c>.</summary>
/// <param name="MotorV">Voltage of the motor at rated frequency, V.</param>
/// <param name="MotorA">Its current, A.</param>
/// <param name="PowerFactor">Its power factor, lagging.</param>
/// <param name="RatedHz">Its rated frequency, Hz.</param>
/// <param name="CableOhm">Resistance of one conductor of the cable, hot, Ω.</param>
/// <param name="CableReactanceOhm">Its reactance at rated frequency, Ω.</param>
public sealed record StepUpChain(double MotorV, double MotorA, double PowerFactor, double RatedHz, double CableOhm,
    double CableReactanceOhm)
{
    private static readonly double Root3 = Math.Sqrt(3);

    private double Sine => Math.Sqrt(Math.Max(0, 1 - (PowerFactor * PowerFactor)));

    /// <summary>Voltage at the surface that the motor needs, V between phases: in phase with the current, and ahead of it.</summary>
    /// <param name="frequencyHz">Frequency, Hz.</param>
    /// <param name="currentA">Current of the motor, A.</param>
    public (double InPhaseV, double AheadV) SurfaceParts(double frequencyHz, double currentA)
    {
        var part = frequencyHz / RatedHz;
        return ((MotorV * part * PowerFactor) + (Root3 * currentA * CableOhm),
            part * ((MotorV * Sine) + (Root3 * currentA * CableReactanceOhm)));
    }

    /// <summary>Its amount, V between phases.</summary>
    public double SurfaceV(double frequencyHz, double currentA)
    {
        var (inPhase, ahead) = SurfaceParts(frequencyHz, currentA);
        return Math.Sqrt((inPhase * inPhase) + (ahead * ahead));
    }

    /// <summary>Flux of the transformer over that at its tap's voltage and rated frequency.</summary>
    /// <param name="frequencyHz">Frequency, Hz.</param>
    /// <param name="currentA">Current of the motor, A.</param>
    /// <param name="tapV">Voltage of the tap, V.</param>
    public double FluxPu(double frequencyHz, double currentA, double tapV) =>
        SurfaceV(frequencyHz, currentA) / frequencyHz / (tapV / RatedHz);

    /// <summary>Frequency above which the transformer's flux stays within a limit, Hz; null: at none.</summary>
    /// <param name="currentA">Current of the motor, A.</param>
    /// <param name="tapV">Voltage of the tap, V.</param>
    /// <param name="limitPu">Largest flux.</param>
    public double? LeastHz(double currentA, double tapV, double limitPu)
    {
        var a = MotorV * PowerFactor / RatedHz;
        var b = ((MotorV * Sine) + (Root3 * currentA * CableReactanceOhm)) / RatedHz;
        var limit = limitPu * tapV / RatedHz;
        var r = Root3 * currentA * CableOhm;
        var spare = (limit * limit) - (a * a) - (b * b);
        return spare <= 0 ? null : ((a * r) + Math.Sqrt((a * a * r * r) + (spare * r * r))) / spare;
    }

    /// <summary>Current of the converter on the low side, A: phasors, and their plain sum as a bound.</summary>
    /// <param name="ratio">Voltage of the tap over that of the low side.</param>
    /// <param name="magnetisingPu">Magnetising current over the load's on the low side, lagging by a quarter.</param>
    /// <param name="filterPu">Current of the filter's capacitors likewise, leading by a quarter.</param>
    public (double PhasorA, double SumA) ConverterA(double ratio, double magnetisingPu, double filterPu)
    {
        var (inPhase, ahead) = SurfaceParts(RatedHz, MotorA);
        var whole = SurfaceV(RatedHz, MotorA);
        var low = ratio * MotorA;
        var active = low * inPhase / whole;
        var reactive = low * ((ahead / whole) + magnetisingPu - filterPu);
        return (Math.Sqrt((active * active) + (reactive * reactive)), low * (1 + magnetisingPu + filterPu));
    }

    /// <summary>Lowest tap that reaches a voltage, V; null: none does.</summary>
    public static double? TapV(IEnumerable<double> tapsV, double neededV) =>
        tapsV.Where(t => t >= neededV).Select(t => (double?)t).Min();

    /// <summary>Charging current of the cable, A.</summary>
    /// <param name="frequencyHz">Frequency, Hz.</param>
    /// <param name="capacitanceUf">Capacitance of one conductor to the star point, µF.</param>
    /// <param name="voltageV">Voltage between phases, V.</param>
    public static double ChargingA(double frequencyHz, double capacitanceUf, double voltageV) =>
        2 * Math.PI * frequencyHz * 1e-6 * capacitanceUf * voltageV / Root3;
}
