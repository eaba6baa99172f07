using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>The key figures of a drive point, each with its reason.</summary>
public static class DrivePointFigures
{
    /// <summary>Figures as far as the drive point is complete.</summary>
    public static IReadOnlyList<Figure> Of(DrivePointStudy study, DriveInScenario? drive, ScenarioResult? scenario)
    {
        ArgumentNullException.ThrowIfNull(study);
        var figures = new List<Figure>();
        var model = study.Model;
        if (model.Load is { } load)
        {
            figures.AddRange(LoadFigures.Of(model, load));
        }

        if (model is LoadedMotor loaded)
        {
            figures.AddRange(Motor(loaded));
        }

        if (drive is not null && scenario is not null && drive.Front is RectifierResult.LineDraw draw)
        {
            figures.AddRange(Front(drive, draw, scenario));
        }

        figures.AddRange(Energy(study));
        return figures;
    }

    private static IEnumerable<Figure> Motor(LoadedMotor model)
    {
        var shaft = model.Load.At(1);
        var point = model.Motor.At(shaft.SpeedRpm, shaft.TorqueNm, model.Feed);
        yield return new Figure("motor-current", "Motor current at the rated point", point.CurrentA, "A", new Reason(
            "I = √(I_m² + I_q²)",
            $"√({Text.N(model.Motor.MagnetisingCurrentA * point.FluxPu)}² + {Text.N(point.TorqueCurrentA)}²) = {Text.N(point.CurrentA)} A",
            "docs/methods/motor-losses.md; amperes size the converter, they are not energy",
            [
                ReasonInput.Of("torque", shaft.TorqueNm, "Nm", "load"),
                ReasonInput.Of("magnetising current", model.Motor.MagnetisingCurrentA, "A", "estimated from the plate"),
                ReasonInput.Of("rated current", model.Motor.Plate.RatedCurrentA, "A", "motor plate"),
            ]));
        if (point.ShaftW <= 0)
        {
            yield break;
        }

        yield return new Figure("motor-efficiency", "Motor efficiency at the rated point", 100 * point.Efficiency, "%", new Reason(
            "η = P_shaft/(P_shaft + ΣP_loss)",
            $"{Text.N(point.ShaftW)}/({Text.N(point.ShaftW)} + {Text.N(point.LossW)}) = {Text.N(100 * point.Efficiency)} %",
            "docs/methods/motor-losses.md, converter addition included",
            [ReasonInput.Of("motor losses", point.LossW, "W", "motor model")]));
    }

    private static IEnumerable<Figure> Front(DriveInScenario drive, RectifierResult.LineDraw draw, ScenarioResult scenario)
    {
        // The worst phase of an unbalanced supply is judged.
        var phase = draw.IsBalanced ? draw.PhaseA : draw.WorstPhase;
        var source = draw is RectifierResult.SteadyState
            ? "docs/methods/rectifier.md: periodic steady state of the circuit, exact switching instants"
            : $"docs/methods/front-ends.md: {draw.Provenance}";
        var inputs = Inputs(drive, scenario);
        yield return new Figure("line-current", draw.IsBalanced ? "Line current, rms" : "Line current of the most loaded phase, rms",
            draw.LoadedPhase.RmsA, "A", new Reason(
            "I_rms = √(I_1² + ΣI_h²)", $"{Text.N(draw.LoadedPhase.FundamentalA)}·√(1 + {Text.N(draw.LoadedPhase.ThdiPct / 100)}²) ≈ "
                + $"{Text.N(draw.LoadedPhase.RmsA)} A", source, inputs));
        yield return new Figure("thdi", "Distortion of the line current (THDi)", phase.ThdiPct, "%", new Reason(
            "THDi = 100·√(ΣI_h²)/I_1, h = 2…50",
            $"I_1 = {Text.N(phase.FundamentalA)} A, THDi = {Text.N(phase.ThdiPct)} %; not the TDD of the PCC", source, inputs));
        yield return new Figure("power-factor", "True power factor", phase.TruePowerFactor, string.Empty, new Reason(
            "λ = cos φ_1/√(1 + THDi²)",
            $"{Text.N(phase.DisplacementPowerFactor)} (displacement) × {Text.N(phase.TruePowerFactor / phase.DisplacementPowerFactor)} "
                + $"(distortion) = {Text.N(phase.TruePowerFactor)}",
            source,
            inputs));
        if (draw is RectifierResult.SteadyState steady)
        {
            yield return new Figure("dc-voltage", "Mean DC-link voltage", steady.DcVoltageMeanV, "V", new Reason(
                "mean of the solved DC-link voltage",
                $"{Text.N(steady.DcVoltageMeanV)} V, ripple {Text.N(steady.DcVoltageRipplePkPkV)} V peak to peak", source, inputs));
        }
    }

    private static IReadOnlyList<ReasonInput> Inputs(DriveInScenario drive, ScenarioResult scenario)
    {
        if (drive.Circuit is not { } circuit)
        {
            return [ReasonInput.Of("power at the busbar", drive.Point.LineW / 1e3, "kW", "loss chain"),
                ReasonInput.Of("voltage", drive.EmfV, "V", scenario.ScenarioName)];
        }

        return
        [
            ReasonInput.Of("link load", circuit.DcLoadW / 1e3, "kW", "loss chain"),
            ReasonInput.Of("impedance seen per phase", 1e3 * 2 * Math.PI * circuit.FrequencyHz * circuit.SourceInductanceH,
                "mΩ (reactance)", "bus as far as its circuit holds it, feeder, reactor"),
            ReasonInput.Of("DC choke", 1e6 * circuit.DcChokeH, "µH", "catalogue converter"),
            ReasonInput.Of("DC-link capacitance", 1e6 * circuit.DcCapacitanceF, "µF", "catalogue converter"),
            ReasonInput.Of("DC load of all drives on the bus", scenario.RectifierDcW / 1e3, "kW", scenario.ScenarioName),
        ];
    }

    private static IEnumerable<Figure> Energy(DrivePointStudy study)
    {
        var chosen = study.Alternatives.FirstOrDefault(a => a.IsChosen);
        if (chosen is null)
        {
            yield break;
        }

        var tariff = study.Model.Input.Tariff;
        var sum = string.Join(" + ", chosen.Points.Select(p => $"{Text.N(p.LineW / 1e3)}·{Text.N(p.HoursPerYear)}"));
        yield return new Figure("year-energy", "Energy of a year", chosen.Year.EnergyKwh / 1e3, "MWh", new Reason(
            "E = ΣP·t", $"{sum} = {Text.N(chosen.Year.EnergyKwh, 6)} kWh", "docs/methods/yearly-energy.md",
            [ReasonInput.Of("duty points", chosen.Points.Count, string.Empty, "load")]));
        var present = study.Alternatives.FirstOrDefault(a => a.Id == "present");
        if (present is not null)
        {
            var saved = present.Year.CostPerYear - chosen.Year.CostPerYear;
            yield return new Figure("saving", "Saved each year against the existing flow control", saved, tariff.Currency, new Reason(
                "ΔC = C_present − C_chosen at equal delivered flow",
                $"{Text.N(present.Year.CostPerYear, 6)} − {Text.N(chosen.Year.CostPerYear, 6)} = {Text.N(saved, 6)} {tariff.Currency}",
                "docs/methods/yearly-energy.md",
                [
                    ReasonInput.Of("energy today", present.Year.EnergyKwh / 1e3, "MWh", present.Name),
                    ReasonInput.Of("energy then", chosen.Year.EnergyKwh / 1e3, "MWh", chosen.Name),
                ]));
            if (Comparison.Payback(chosen.Year.EquipmentCost, saved) is { } years)
            {
                yield return new Figure("payback", "Simple payback", years, "a", new Reason(
                    "equipment/ΔC", $"{Text.N(chosen.Year.EquipmentCost, 6)}/{Text.N(saved, 6)} = {Text.N(years, 3)} a", "Definition", []));
            }
        }
    }
}
