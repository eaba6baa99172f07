using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Assessment.Bench;
using Cuadrilla.Core.Energy;
using Cuadrilla.Core.Harmonics.Rectifiers;

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
    IReadOnlyList<AtSwitching> Switching,
    IReadOnlyList<Figure> Figures);

/// <summary>Line current of the solved front end in one scenario.</summary>
internal sealed record LineCurrentDocument(
    string Scenario,
    string? Unsettled,
    double FundamentalA,
    double RmsA,
    double ThdiPct,
    double DisplacementPowerFactor,
    double TruePowerFactor,
    double LinkVoltageV,
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

        if (drive.Front is not RectifierResult.SteadyState steady)
        {
            var reason = ((RectifierResult.NoSteadyState)drive.Front).Reason;
            return new LineCurrentDocument(scenario.ScenarioName, reason, 0, 0, 0, 0, 0, 0, new PowerParts(0, 0, 0, 0), [], [], []);
        }

        var phase = steady.PhaseA;
        var waveform = Enumerable.Range(0, Points).Select(i =>
        {
            var angle = 2 * Math.PI * i / (Points - 1);
            return new WavePoint(360.0 * i / (Points - 1), steady.Waveform.LineCurrentA(angle), Math.Sqrt(2) * phase.FundamentalA * Math.Sin(angle + phase.Orders[0].Phase));
        });
        var orders = Enumerable.Range(1, LineCurrent.HighestOrder)
            .Where(h => phase.Orders[h - 1].Magnitude > 1e-4 * phase.FundamentalA)
            .Select(h => new WaveOrder(h, phase.Orders[h - 1].Magnitude, 100 * phase.Orders[h - 1].Magnitude / phase.FundamentalA));
        return new LineCurrentDocument(
            scenario.ScenarioName, null, phase.FundamentalA, phase.RmsA, phase.ThdiPct, phase.DisplacementPowerFactor, phase.TruePowerFactor,
            steady.DcVoltageMeanV, PowerParts.Of(steady, drive.FrontInput.LineVoltageV), [.. steady.Phases.Select((p, i) => new PhaseCurrent("ABC"[i..(i + 1)], p.FundamentalA, p.RmsA, p.ThdiPct))], [.. waveform], [.. orders]);
    }
}

/// <summary>Line current and its fundamental at an angle.</summary>
internal sealed record WavePoint(double AngleDeg, double CurrentA, double FundamentalA);

/// <summary>One order of the line current.</summary>
internal sealed record WaveOrder(int Order, double RmsA, double Pct);

/// <summary>A link of the loss chain.</summary>
internal sealed record ChainLinkDocument(string Id, string Name, double InputW, double LossW, double OutputW, Reason Reason);

/// <summary>A rung of the ladder from plate rating to site rating.</summary>
internal sealed record LadderRung(string Name, double Factor, double CurrentA);

/// <summary>An alternative at equal delivered flow.</summary>
internal sealed record AlternativeDocument(
    string Id,
    string Name,
    bool IsChosen,
    double EnergyKwh,
    double DemandKw,
    double CostPerYear,
    double EquipmentCost,
    double LifetimeCost,
    double Co2Kg,
    IReadOnlyList<AlternativePoint> Points,
    IReadOnlyList<PartSpeedPoint> PartSpeed,
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
    public static PowerParts Of(RectifierResult.SteadyState steady, double lineVoltageV)
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
