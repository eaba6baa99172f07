using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.OnePhase;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Web.Supplies;

/// <summary>A lineup to which only one phase is available.</summary>
/// <param name="Comparison">The ways side by side.</param>
/// <param name="Machines">Machines as they are compared.</param>
/// <param name="Points">Drive points of the lineup.</param>
internal sealed record OnePhaseDocument(OnePhaseStudy Comparison, IReadOnlyList<ComparedMachine> Machines,
    IReadOnlyList<OnePhasePoint> Points)
{
    public static OnePhaseDocument Of(PlantSpecification plant, Lineup lineup, IPlantStudies studies)
    {
        var data = studies.Data.With(plant);
        var study = OnePhaseStudy.Of(plant, lineup, data);
        var found = studies.Run(plant);
        return new OnePhaseDocument(study, ComparedMachine.Of(plant, lineup, data),
            [.. lineup.DrivePoints.Select(p => OnePhasePoint.Of(p, studies.Study(plant, p).Model, found, lineup.OnePhase!))]);
    }
}

/// <summary>A drive point on one phase.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Tag">Its tag.</param>
/// <param name="Name">Its name.</param>
/// <param name="Input">Which terminals the two conductors take; null where it has no converter on them.</param>
/// <param name="Box">Link of its motor; null without a motor.</param>
/// <param name="FullTorqueHz">Frequency to which it keeps its full torque, Hz; null without motor or converter.</param>
/// <param name="Current">What was solved; null where nothing was.</param>
/// <param name="PulsesPerTurn">Of its speed sensor; null without one.</param>
/// <param name="PulseHz">Pulses a second at its rated speed, Hz; null likewise.</param>
/// <param name="ResidualKind">Which residual-current device sees its faults.</param>
internal sealed record OnePhasePoint(string Id, string Tag, string Name, string? Input, TerminalBox? Box, double? FullTorqueHz,
    TwoConductorCurrent? Current, double? PulsesPerTurn, double? PulseHz, string ResidualKind)
{
    public static OnePhasePoint Of(DrivePoint point, DrivePointModel model, PlantAssessment found, OnePhaseSupply one)
    {
        var machine = one.Machines.FirstOrDefault(m => m.DrivePointId == point.Id);
        var pulses = machine?.PulsesPerTurn is { IsKnown: true } p ? p.Value : (double?)null;
        var rpm = machine?.RatedRpm is { IsKnown: true } r ? r.Value : model.Load?.RatedSpeedRpm;
        var supplyV = model.TwoConductorV;
        return new OnePhasePoint(
            point.Id, point.Tag, point.Name, supplyV is null
                ? null
                : InputOf(model, one), model.Fitted is { } fitted ? TerminalBox.Of(fitted, supplyV ?? model.Input.BusVoltageV) : null,
            model.Fitted is { } m && supplyV is { } v ? m.Item.Plate.RatedFrequencyHz * v / m.Connected.LinkedVoltageV : null,
            TwoConductorCurrent.Of(point.Id, found), pulses, pulses is { } z && rpm is > 0 and var turns
                ? PulseSensor.Hertz(turns, z)
                : null,
            Residual(model, one));
    }

    private static string InputOf(DrivePointModel model, OnePhaseSupply one) =>
        (model.WholeItem!.FrontEnd is FrontEnd.SinglePhase, one.ToNeutral) switch
    {
        (true, true) => "phase on L, neutral on N, earth on PE; nothing else is there",
        (true, false) => "two phases on its two input terminals, earth on PE",
        (false, true) => "phase on L1, neutral on L2 unless its maker names others; L3 stays free and covered; earth on PE",
        (false, false) => "two phases on L1 and L2 unless its maker names others; L3 stays free and covered; earth on PE",
    };

    private static string Residual(DrivePointModel model, OnePhaseSupply one) => model.TwoConductorV is null
        ? "a motor on the line leaks a sine: any type"
        : one.ToNeutral && model.WholeItem!.FrontEnd is FrontEnd.SinglePhase
            ? "type F or B: it leaks with its output's frequency too"
            : "type B: it can drive a smooth direct current into a fault";
}

/// <summary>Terminal box of a motor before and after.</summary>
/// <param name="IsDelta">True where it is linked in delta now.</param>
/// <param name="CanLink">True where both links are brought out.</param>
/// <param name="LinkedV">Voltage of the link in use, V.</param>
/// <param name="StarV">Voltage in star, V.</param>
/// <param name="DeltaV">Voltage in delta, V; 0 where it has none.</param>
/// <param name="Fits">True where the link in use is made for the supply.</param>
internal sealed record TerminalBox(bool IsDelta, bool CanLink, double LinkedV, double StarV, double DeltaV, bool Fits)
{
    private const double TolerancePu = 0.1;

    public static TerminalBox Of(FittedMotor fitted, double supplyV)
    {
        var plate = fitted.Item.Plate;
        return new TerminalBox(fitted.Connected.IsDelta, plate.DeltaVoltageV > 0, fitted.Connected.LinkedVoltageV,
            plate.DeltaVoltageV > 0 ? Digits.Kept(Math.Sqrt(3) * plate.DeltaVoltageV) : plate.RatedVoltageV, plate.DeltaVoltageV,
            Math.Abs((fitted.Connected.LinkedVoltageV / supplyV) - 1) <= TolerancePu);
    }
}

/// <summary>What was solved in the worst scenario.</summary>
/// <param name="Scenario">Which.</param>
/// <param name="RmsA">Rms of the conductor, A.</param>
/// <param name="Crest">Crest over rms.</param>
/// <param name="ThirdPct">Third order, % of the fundamental.</param>
/// <param name="PowerFactor">Total power factor.</param>
/// <param name="RipplePct">Ripple of the link, peak to peak over its mean, %; null where it was not solved as a circuit.</param>
/// <param name="DiodeA">Rms of a diode, A.</param>
/// <param name="NeutralOfThreeA">Neutral of three such units, one on each phase, A.</param>
/// <param name="WaveA">Current over one cycle, A.</param>
/// <param name="LinkV">Voltage of the link over that cycle, V; empty likewise.</param>
internal sealed record TwoConductorCurrent(string Scenario, double RmsA, double Crest, double ThirdPct, double PowerFactor,
    double? RipplePct,
    double DiodeA, double NeutralOfThreeA, IReadOnlyList<double> WaveA, IReadOnlyList<double> LinkV)
{
    private const int Points = 120;

    public static TwoConductorCurrent? Of(string id, PlantAssessment found)
    {
        var draws = found.Scenarios.SelectMany(s => s.Drives.Where(d => d.DrivePointId == id)
            .Select(d => (s.ScenarioName, Draw: d.Front as RectifierResult.LineDraw))).Where(d => d.Draw is { Phases.Count: 1 }).ToList();
        if (draws.Count == 0)
        {
            return null;
        }

        var (scenario, draw) = draws.MaxBy(d => d.Draw!.PhaseA.RmsA);
        var phase = draw!.PhaseA;
        var steady = draw as RectifierResult.SteadyState;
        var angles = Enumerable.Range(0, Points + 1).Select(k => 2 * Math.PI * k / Points).ToList();
        return new TwoConductorCurrent(
            scenario, phase.RmsA, phase.PeakA / phase.RmsA, 100 * phase.Orders[2].Magnitude / phase.FundamentalA, phase.TruePowerFactor,
            steady is null ? null : 100 * steady.DcVoltageRipplePkPkV / steady.DcVoltageMeanV, phase.RmsA / Math.Sqrt(2),
            3 * Math.Sqrt(phase.Orders.Where((_, i) => (i + 1) % 3 == 0).Sum(o => o.Magnitude * o.Magnitude)),
            [.. angles.Select(draw.Waveform.LineCurrentA)], steady is null ? [] : [.. angles.Select(draw.Waveform.LinkVoltageV)]);
    }
}
