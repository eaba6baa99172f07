using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>rectifier</c>.</summary>
internal static class RectifierCalculation
{
    private const int WaveformPoints = 720;

    public static object Run(Input input, InputRanges ranges)
    {
        Check(input, ranges);
        var kind = input.Kind == "single-phase" ? RectifierKind.SinglePhase : RectifierKind.SixPulse;
        var bridges = input.Kind switch { "twelve-pulse" => 2, "eighteen-pulse" => 3, _ => 1 };
        var omega = 2 * Math.PI * input.FrequencyHz;
        double resistance, inductance;
        if (input.SourceInductanceUh is { } given)
        {
            inductance = given * 1e-6;
            resistance = input.SourceXr is > 0 ? omega * inductance / input.SourceXr.Value : 0;
        }
        else if (input.SourceXr is > 0)
        {
            var impedance = FaultLevel.SourceImpedance(input.LineVoltageV, input.ShortCircuitMva!.Value, input.SourceXr.Value);
            (resistance, inductance) = (impedance.Real, impedance.Imaginary / omega);
        }
        else
        {
            (resistance, inductance) = (0, input.LineVoltageV * input.LineVoltageV / (input.ShortCircuitMva!.Value * 1e6) / omega);
        }

        var result = RectifierStudy.Run(new RectifierInput
        {
            Kind = kind,
            LineVoltageV = input.LineVoltageV,
            FrequencyHz = input.FrequencyHz,
            SourceResistanceOhm = resistance,
            SourceInductanceH = inductance + (bridges == 1 ? input.AcReactorUh * 1e-6 : 0),
            DcChokeH = input.DcChokeUh * 1e-6,
            DcChokeResistanceOhm = input.DcChokeResistanceMohm * 1e-3,
            DcCapacitanceF = input.DcCapacitanceUf * 1e-6,
            DcLoadW = input.DcLoadKw * 1e3,
            LoadModel = input.LoadModel == "resistor" ? DcLoadModel.Resistor : DcLoadModel.ConstantPower,
            UnbalancePu = input.UnbalancePct / 100,
            Background = new HarmonicEmf(input.BackgroundV5Pct / 100, input.BackgroundV7Pct / 100),
            Bridges = bridges,
            LeakageH = bridges == 1 ? 0 : ((input.TransformerLeakageUh ?? 0) + input.AcReactorUh) * 1e-6,
            LeakageMismatchPu = input.LeakageMismatchPct / 100,
        });
        return result switch
        {
            RectifierResult.SteadyState steady => Found(steady),
            RectifierResult.NoSteadyState none => new Unsettled(false, none.Reason, none.SettlingCapacitanceF * 1e6),
            _ => throw new InvalidOperationException("Unknown rectifier result."),
        };
    }

    private static void Check(Input input, InputRanges ranges)
    {
        ranges
            .Require(
                input.Kind is "six-pulse" or "single-phase" or "twelve-pulse" or "eighteen-pulse", "kind", $"'{input.Kind}'",
                "six-pulse, single-phase, twelve-pulse or eighteen-pulse")
            .Require(
                input.Kind is "six-pulse" or "single-phase" || input.TransformerLeakageUh is > 0, "transformerLeakageUh",
                input.TransformerLeakageUh is null ? "absent" : $"{input.TransformerLeakageUh}",
                "above 0 with several bridges")
            .Require(input.LoadModel is "constant-power" or "resistor", "loadModel", $"'{input.LoadModel}'", "constant-power or resistor")
            .Require(
                input.ShortCircuitMva is null != input.SourceInductanceUh is null, "shortCircuitMva",
                input.ShortCircuitMva is null ? "absent" : "given together with sourceInductanceUh",
                "either shortCircuitMva or sourceInductanceUh")

            .Done();
    }

    private static Steady Found(RectifierResult.SteadyState steady)
    {
        var a = steady.PhaseA;
        var angles = Enumerable.Range(0, WaveformPoints).Select(i => i * 360.0 / WaveformPoints).ToList();
        var phases = steady.Phases.Count == 3 ? steady.Phases.Select(Phase.Of).ToList() : null;
        return new Steady(
            true,
            a.FundamentalA,
            a.RmsA,
            a.PeakA,
            a.ThdiPct,
            a.DisplacementPowerFactor,
            a.TruePowerFactor,
            steady.ActivePowerW,
            steady.DcVoltageMeanV,
            steady.DcVoltageRipplePkPkV,
            steady.DcCurrentMeanA,
            steady.IsContinuous ? "continuous" : "discontinuous",
            [.. a.Orders.Select(o => o.Magnitude)],
            [.. a.Orders.Select(Phase.AngleDeg)],
            new Waveform(angles, [.. angles.Select(d => steady.Waveform.LineCurrentA(d * Math.PI / 180))]),
            phases?.Max(p => p.ThdiPct),
            phases?[1],
            phases?[2]);
    }

    internal sealed record Input(
        string Kind,
        [Range(1, 100_000)] double LineVoltageV,
        [Range(1, 1000)] double FrequencyHz,
        [Above(0, 1e9)] double DcCapacitanceUf,
        [Above(0, 1e6)] double DcLoadKw,
        [Above(0, 1e9)] double? ShortCircuitMva = null,
        [Above(0, 1e9)] double? SourceInductanceUh = null,
        [Range(0, 10_000)] double? SourceXr = null,
        [Range(0, 1e9)] double AcReactorUh = 0,
        [Range(0, 1e9)] double DcChokeUh = 0,
        [Range(0, 1e9)] double DcChokeResistanceMohm = 0,
        [Range(0, 1e9)] double? TransformerLeakageUh = null,
        [Range(-50, 50)] double LeakageMismatchPct = 0,
        string LoadModel = "constant-power",
        [Range(0, 20)] double UnbalancePct = 0,
        [Range(-30, 30)] double BackgroundV5Pct = 0,
        [Range(-30, 30)] double BackgroundV7Pct = 0,
        [Range(0, 1e6)] double? RatedKw = null);

    internal sealed record Steady(
        bool SteadyState,
        double FundamentalA,
        double RmsA,
        double PeakA,
        double ThdiPct,
        double DisplacementPowerFactor,
        double TruePowerFactor,
        double ActivePowerW,
        double DcVoltageMeanV,
        double DcVoltageRipplePkPkV,
        double DcCurrentMeanA,
        string DcConduction,
        IReadOnlyList<double> HarmonicRmsA,
        IReadOnlyList<double> HarmonicAngleDeg,
        Waveform Waveform,
        [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] double? ThdiMaxPct,
        [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] Phase? PhaseB,
        [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] Phase? PhaseC);

    internal sealed record Unsettled(bool SteadyState, string Reason, double? SettlingCapacitanceUf);

    internal sealed record Waveform(IReadOnlyList<double> AngleDeg, IReadOnlyList<double> CurrentA);

    internal sealed record Phase(
        double FundamentalA, double RmsA, double PeakA, double ThdiPct, double DisplacementPowerFactor, double TruePowerFactor,
        IReadOnlyList<double> HarmonicRmsA, IReadOnlyList<double> HarmonicAngleDeg)
    {
        public static Phase Of(LineCurrent current) => new(
            current.FundamentalA, current.RmsA, current.PeakA, current.ThdiPct, current.DisplacementPowerFactor, current.TruePowerFactor,
            [.. current.Orders.Select(o => o.Magnitude)], [.. current.Orders.Select(AngleDeg)]);

        public static double AngleDeg(System.Numerics.Complex order) => order.Magnitude == 0 ? 0 : order.Phase * 180 / Math.PI;
    }
}
