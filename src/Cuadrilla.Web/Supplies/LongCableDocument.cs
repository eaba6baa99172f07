using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.LongCable;

namespace Cuadrilla.Web.Supplies;

/// <summary>A motor at the end of a long cable behind a step-up transformer.</summary>
/// <param name="Missing">What is missing before it can be computed.</param>
/// <param name="Figures">What follows at rated frequency; null while something is missing.</param>
/// <param name="Along">Voltages along the chain.</param>
/// <param name="OverFrequency">Over the range of frequency.</param>
/// <param name="Depth">Temperature along the cable.</param>
/// <param name="Runs">Identification runs in their order.</param>
/// <param name="Data">What has to be known, and how each is got.</param>
internal sealed record LongCableDocument(IReadOnlyList<string> Missing, LongCableFigures? Figures, IReadOnlyList<ChainVoltage> Along,
    IReadOnlyList<AtFrequency> OverFrequency, IReadOnlyList<AtDepth> Depth, IReadOnlyList<IdentificationRun> Runs,
    IReadOnlyList<NeededDatum> Data)
{
    private const int Frequencies = 40;
    private const int Depths = 10;

    public static LongCableDocument Of(DrivePointModel model)
    {
        var runs = IdentificationRuns.Of(model);
        if (LongCableStudy.Of(model) is not { } study)
        {
            return new LongCableDocument([.. model.MissingForStepUp()], null, [], [], [], runs, NeededData.Of(model));
        }

        var from = Math.Min(study.StartHz ?? study.RatedHz / 10, study.RatedHz / 10);
        return new LongCableDocument([], FiguresOf(study), [.. study.Along().Select(a => new ChainVoltage(a.Where, a.V))],
            [.. Enumerable.Range(0, Frequencies + 1).Select(k => study.At(from + ((study.RatedHz - from) * k / Frequencies)))],
            [
                .. Enumerable.Range(0, Depths + 1).Select(k => study.StepUp.Profile.DepthM * k / Depths).Select(d =>
                    new AtDepth(d, study.StepUp.Profile.AtC(d, 0), study.StepUp.Profile.AtC(d, study.RatedA))),
            ], runs, NeededData.Of(model));
    }

    private static LongCableFigures FiguresOf(LongCableStudy study)
    {
        var limit = study.StepUp.Entered.Start.FluxLimitPu is { IsKnown: true } entered ? entered.Value : (double?)null;
        var range = study.ResonanceRange;
        var readings = study.Readings;
        var referred = study.Referred;
        return new LongCableFigures(
            study.StepUp.ConductorC, study.StepUp.CableOhm.Real, study.StepUp.CableOhm.Imaginary, study.SurfaceV, study.StepUp.DropV,
            study.TapNeededV(), study.ProposedTapV(), study.StepUp.Ratio, study.TransformerKva, study.ChargingA, study.StepUp.ConverterA,
            study.StepUp.ConverterSumA, study.RatedHz, limit,
            limit is { } l && study.StartA is { } amps ? study.LeastHz(amps, l) : null, study.ResonanceHz, range?.FromHz, range?.ToHz,
            readings is null ? null : new ReadingsDocument(study.ColdCableOhm, readings.StatorOhm, readings.Stator20Ohm, readings.PhasesOhm,
                readings.SpreadPct, readings.IsPlausible),
            referred is var (stator, transformer, leakage) ? new ReferredDocument(stator, transformer, leakage) : null);
    }
}

/// <summary>What follows at rated frequency and current.</summary>
internal sealed record LongCableFigures(double ConductorC, double CableOhm, double CableReactanceOhm, double SurfaceV,
    double TransformerDropV,
    double TapNeededV, double? TapProposedV, double Ratio, double TransformerKva, double? ChargingA, double ConverterA,
    double ConverterSumA,
    double RatedHz, double? FluxLimitPu, double? LeastHz, double? ResonanceHz, double? ResonanceFromHz, double? ResonanceToHz,
    ReadingsDocument? Readings, ReferredDocument? Referred);

/// <summary>Readings apart into motor and cable.</summary>
internal sealed record ReadingsDocument(double CableOhm, double StatorOhm, double Stator20Ohm, IReadOnlyList<double> PhasesOhm,
    double SpreadPct, bool Plausible);

/// <summary>Parameters referred to the low side.</summary>
internal sealed record ReferredDocument(double StatorAndCableOhm, double TransformerOhm, double TransformerReactanceOhm);

/// <summary>A voltage of the chain.</summary>
internal sealed record ChainVoltage(string Where, double VoltageV);

/// <summary>Temperature at a depth, without current and at rated current.</summary>
internal sealed record AtDepth(double DepthM, double GroundC, double ConductorC);
