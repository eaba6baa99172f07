using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>A loaded run against the motor's model at the frequency, voltage and torque that were measured.</summary>
internal static class LoadedRun
{
    public static SiteJudgement Judge(MotorLossModel motor, IReadOnlyDictionary<string, double> values, SiteRules rules)
    {
        if (values["hz"] <= 0 || values["volts"] <= 0 || values["amps"] <= 0)
        {
            return new(Verdict.NeedsData, "frequency, voltage and current above 0");
        }

        var point = motor.OnLine(values["hz"], values["volts"], values["torque"]);
        if (!point.WithinVoltage)
        {
            return new(Verdict.Fails, $"{Text.N(values["torque"])} Nm are more than the motor gives at {Text.N(values["volts"])} V");
        }

        List<(Verdict Verdict, string Text)> found =
        [
            Of("current", values["amps"], point.CurrentA, rules.LoadedCurrentPct, "A"),
            Of("power", values["kw"], point.InputW / 1e3, rules.LoadedPowerPct, "kW"),
        ];
        var factor = values["kw"] * 1e3 / (Math.Sqrt(3) * values["volts"] * values["amps"]);
        found.Add((SiteWindow.Within(point.PowerFactor, rules.PowerFactor).Judge(factor),
            $"power factor {Text.N(factor, 3)}, {Text.N(point.PowerFactor, 3)} expected"));
        if (values.TryGetValue("rpm", out var rpm))
        {
            var synchronous = 120 * values["hz"] / motor.Plate.Poles;
            var (slipHz, wantedHz) = ((synchronous - rpm) / 120 * motor.Plate.Poles,
                (synchronous - (point.SpeedPu * motor.Plate.RatedSpeedRpm)) / 120 * motor.Plate.Poles);
            found.Add(Of("slip frequency", slipHz, wantedHz, rules.SlipPct, "Hz"));
        }

        return new(found.Max(f => f.Verdict), string.Join("; ", found.Select(f => f.Text)));
    }

    private static (Verdict Verdict, string Text) Of(string name, double value, double wanted, double pct, string unit) =>
        (SiteWindow.Around(wanted, pct).Judge(value), $"{name} {Text.N(value)} {unit}, {Text.N(wanted)} {unit} expected ±{Text.N(pct)} %");
}
