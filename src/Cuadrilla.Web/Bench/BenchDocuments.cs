using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.DrivePoints.Pictures;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Web.Bench;

/// <summary>All pictures and numbers of one drive point.</summary>
internal sealed record BenchDocument(
    string DrivePointId,
    IReadOnlyList<string> Missing,
    TorqueCurves? Torque,
    SystemCurves? System,
    IReadOnlyList<AtDiameter> Winder,
    IReadOnlyList<AtTime> Cycle,
    LineCurrentDocument? LineCurrent,
    IReadOnlyList<ChainLinkDocument> Chain,
    IReadOnlyList<AlternativeDocument> Alternatives,
    string ReferenceId,
    IReadOnlyList<SensitivityDocument> Sensitivity,
    IReadOnlyList<LadderRung> Ladder,
    OverloadDocument? Overload,
    VoltageDocument? Voltage,
    LossYear? LossYear,
    IReadOnlyList<AtSwitching> Switching,
    IReadOnlyList<Figure> Figures);

/// <summary>Line current of the solved front end in one scenario.</summary>
internal sealed record LineCurrentDocument(
    string Scenario,
    string? Unsettled,
    string Provenance,
    double FundamentalA,
    double RmsA,
    double ThdiPct,
    double DisplacementPowerFactor,
    double TruePowerFactor,
    double? LinkVoltageV,
    PowerParts Power,
    IReadOnlyList<PhaseCurrent> Phases,
    IReadOnlyList<WavePoint> Waveform,
    IReadOnlyList<WaveOrder> Orders)
{
    private const int Points = 181;

    public static LineCurrentDocument? Of(DriveInScenario? drive, ScenarioResult? scenario)
    {
        if (drive is null || scenario is null)
        {
            return null;
        }

        if (drive.Front is not RectifierResult.LineDraw draw)
        {
            var reason = ((RectifierResult.NoSteadyState)drive.Front).Reason;
            return new LineCurrentDocument(scenario.ScenarioName, reason, string.Empty, 0, 0, 0, 0, 0, null, new PowerParts(0, 0, 0, 0), [], [], []);
        }

        var phase = draw.PhaseA;
        var waveform = Enumerable.Range(0, Points).Select(i =>
        {
            var angle = 2 * Math.PI * i / (Points - 1);
            return new WavePoint(360.0 * i / (Points - 1), draw.Waveform.LineCurrentA(angle), Math.Sqrt(2) * phase.FundamentalA * Math.Sin(angle + phase.Orders[0].Phase));
        });
        var orders = Enumerable.Range(1, LineCurrent.HighestOrder)
            .Where(h => phase.Orders[h - 1].Magnitude > 1e-4 * phase.FundamentalA)
            .Select(h => new WaveOrder(h, phase.Orders[h - 1].Magnitude, 100 * phase.Orders[h - 1].Magnitude / phase.FundamentalA));
        return new LineCurrentDocument(
            scenario.ScenarioName, null, draw.Provenance, phase.FundamentalA, phase.RmsA, phase.ThdiPct, phase.DisplacementPowerFactor, phase.TruePowerFactor,
            (draw as RectifierResult.SteadyState)?.DcVoltageMeanV, PowerParts.Of(draw, drive.Circuit?.LineVoltageV ?? drive.EmfV),
            [.. draw.Phases.Select((p, i) => new PhaseCurrent("ABC"[i..(i + 1)], p.FundamentalA, p.RmsA, p.ThdiPct))], [.. waveform], [.. orders]);
    }
}

/// <summary>Line current and its fundamental at an angle.</summary>
internal sealed record WavePoint(double AngleDeg, double CurrentA, double FundamentalA);

/// <summary>One order of the line current.</summary>
internal sealed record WaveOrder(int Order, double RmsA, double Pct);

/// <summary>A link of the loss chain.</summary>
internal sealed record ChainLinkDocument(string Id, string Name, double InputW, double LossW, double OutputW, Reason Reason);

/// <summary>A rung of the ladder from plate rating to site rating.</summary>
/// <param name="Name">What is taken off.</param>
/// <param name="Factor">Factor of this rung.</param>
/// <param name="CurrentA">Current after it, A.</param>
/// <param name="Source">Where the factor comes from.</param>
internal sealed record LadderRung(string Name, double Factor, double CurrentA, string Source);

/// <summary>The converter's current in time and the heat of its overloads.</summary>
/// <param name="ContinuousA">Continuous current at the site, A.</param>
/// <param name="PeakA">Largest current it ever gives, A.</param>
/// <param name="LargestPct">Fullest heat, % of what it stands.</param>
/// <param name="Recovers">Whether it recovers from cycle to cycle.</param>
/// <param name="Trace">Current and heat over time.</param>
internal sealed record OverloadDocument(double ContinuousA, double PeakA, double LargestPct, bool Recovers, IReadOnlyList<StoreMoment> Trace)
{
    private const double SteadyShown = 0.25;

    public static OverloadDocument? Of(DrivePointModel model)
    {
        if (model.Converter is not { SiteCurrentA: > 0 } converter || model.Missing(withConverter: true).Any() || StartDemand.Missing(model).Any())
        {
            return null;
        }

        var repeats = model.Load!.Cycle is not null;
        var store = OverloadStore.Of(converter.Overload, converter.SiteCurrentA, CurrentDemand.InTime(model), repeats);

        // Of the steady time after a start a quarter of the ramp is enough to see.
        var trace = store.Trace;
        if (!repeats && trace.Count > 1)
        {
            var ramp = trace[^2].TimeS;
            trace = [.. trace.Take(trace.Count - 1), trace[^1] with { TimeS = ramp * (1 + SteadyShown), CurrentA = trace[^2].CurrentA }];
        }

        return new OverloadDocument(converter.SiteCurrentA, converter.Overload.PeakPu * converter.SiteCurrentA, store.LargestPct, store.Recovers, trace);
    }
}

/// <summary>The way of the voltage to the motor, V.</summary>
internal sealed record VoltageDocument(double SupplyV, double FrontV, double FilterV, double CableV, double AtMotorV, double LinkedV);

/// <summary>An alternative at equal delivered flow.</summary>
internal sealed record AlternativeDocument(
    string Id,
    string Way,
    string Name,
    bool IsChosen,
    bool HasChosenMotor,
    double EnergyKwh,
    double DemandKw,
    double CostPerYear,
    double EquipmentCost,
    double LifetimeCost,
    double Co2Kg,
    IReadOnlyList<AlternativePoint> Points,
    IReadOnlyList<PartSpeedPoint> PartSpeed,
    ReturnedEnergy Returned,
    Comparison? Against);

/// <summary>Line power of an alternative at a point of the duty.</summary>
internal sealed record AlternativePoint(double LevelPu, double HoursPerYear, double LineKw);

/// <summary>Line current of one phase.</summary>
internal sealed record PhaseCurrent(string Phase, double FundamentalA, double RmsA, double ThdiPct);

/// <summary>Parts of the apparent power at the front end's EMF, sums of the phases: S² = P² + Q1² + D².</summary>
/// <param name="ActiveKw">P.</param>
/// <param name="ReactiveKvar">Q1, of the fundamental.</param>
/// <param name="DistortionKva">D, what is left: voltage times the harmonic currents.</param>
/// <param name="ApparentKva">S, voltage times rms current.</param>
internal sealed record PowerParts(double ActiveKw, double ReactiveKvar, double DistortionKva, double ApparentKva)
{
    public static PowerParts Of(RectifierResult.LineDraw steady, double lineVoltageV)
    {
        var volts = lineVoltageV / Math.Sqrt(steady.Phases.Count == 1 ? 1 : 3);
        double active = 0, reactive = 0, apparent = 0;
        foreach (var phase in steady.Phases)
        {
            var fundamental = volts * phase.FundamentalA;
            active += fundamental * phase.DisplacementPowerFactor;
            reactive += fundamental * Math.Sqrt(Math.Max(0, 1 - (phase.DisplacementPowerFactor * phase.DisplacementPowerFactor)));
            apparent += volts * phase.RmsA;
        }

        var rest = (apparent * apparent) - (active * active) - (reactive * reactive);
        return new PowerParts(active / 1e3, reactive / 1e3, Math.Sqrt(Math.Max(0, rest)) / 1e3, apparent / 1e3);
    }
}

/// <summary>The cheapest alternative at other hours and another energy price.</summary>
internal sealed record SensitivityDocument(double HoursPu, double PricePu, string BestId, string BestName, double LifetimeCost);
