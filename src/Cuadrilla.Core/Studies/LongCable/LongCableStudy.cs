using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.LongCable;

/// <summary>A motor at the end of a long cable behind a step-up transformer: the ideal chain with the drops of transformer and filter, over
/// the whole range of frequency; see <c>docs/methods/long-cable.md</c>.</summary>
public sealed class LongCableStudy
{
    private static readonly double Root3 = Math.Sqrt(3);

    private LongCableStudy(LoadedMotor model, StepUpAtSite stepUp) => (Model, StepUp) = (model, stepUp);

    /// <summary>The drive point.</summary>
    public LoadedMotor Model { get; }

    /// <summary>The transformer with its cable.</summary>
    public StepUpAtSite StepUp { get; }

    /// <summary>Voltage that the motor asks for at the surface at rated frequency and current, V.</summary>
    public double SurfaceV => StepUp.Chain.SurfaceV(RatedHz, RatedA);

    /// <summary>Rated frequency of the motor, Hz.</summary>
    public double RatedHz => StepUp.Plate.RatedFrequencyHz;

    /// <summary>Rated current of the motor, A.</summary>
    public double RatedA => StepUp.Plate.RatedCurrentA;

    /// <summary>Voltage between the conductors that feed the converter, V: a single-phase input may stand between phase and neutral.
    /// </summary>
    public double SupplyV => OutputVoltage.SupplyOf(Model.WholeItem, Model.Input.BusVoltageV);

    /// <summary>Voltage that a tap has to have without load, V: surface, what the transformer takes, and what the converter and its filter
    /// can't give.</summary>
    /// <param name="lowestPu">Lowest voltage of the bus, parts of nominal.</param>
    public double TapNeededV(double lowestPu = 1) =>
        (SurfaceV + StepUp.DropV) * StepUp.Entered.Transformer.PrimaryV.Value / GreatestLowSideV(lowestPu);

    /// <summary>Greatest voltage at the transformer's low side, V: bus less front end and filter, never above the bus.</summary>
    /// <param name="lowestPu">Lowest voltage of the bus, parts of nominal.</param>
    public double GreatestLowSideV(double lowestPu = 1)
    {
        var output = Model.WholeItem?.FrontEnd.LargestOutputPu ?? 1;
        var filterPct = Model.Data.OutputFilters.FirstOrDefault(f => f.Kind == Model.Choice?.Filter)?.DropPct ?? 0;
        return SupplyV * ((lowestPu * output) - (filterPct / 100));
    }

    /// <summary>Lowest of the taps that reaches, V; null: none does, or none is entered.</summary>
    public double? ProposedTapV(double lowestPu = 1) => StepUpChain.TapV(StepUp.Entered.Transformer.TapsV, TapNeededV(lowestPu));

    /// <summary>Apparent power through the transformer at rated current, kVA.</summary>
    public double TransformerKva => Root3 * StepUp.Entered.Transformer.TapV.Value * RatedA / 1e3;

    /// <summary>Charging current of the cable, A; null while its capacitance is open.</summary>
    public double? ChargingA => StepUp.Entered.Well.CapacitanceUfPerKm is { IsKnown: true } perKm
        ? StepUpChain.ChargingA(RatedHz, perKm.Value * StepUp.Profile.DepthM / 1e3, SurfaceV)
        : null;

    /// <summary>Flux of the transformer over what it is designed for, at a frequency and current.</summary>
    public double FluxPu(double hz, double currentA) => StepUp.Chain.FluxPu(hz, currentA, StepUp.Entered.Transformer.TapV.Value) * DesignPu;

    /// <summary>Frequency from which the flux stays within its limit at a current, Hz; null: at none.</summary>
    public double? LeastHz(double currentA, double limitPu) =>
        StepUp.Chain.LeastHz(currentA, StepUp.Entered.Transformer.TapV.Value, limitPu / DesignPu);

    /// <summary>Current of the start, A; null while it is open.</summary>
    public double? StartA => StepUp.Entered.Start.StartCurrentPct is { IsKnown: true } pct ? pct.Value / 100 * RatedA : null;

    /// <summary>Frequency of the start, Hz; null while it is open.</summary>
    public double? StartHz => StepUp.Entered.Start.StartHz is { IsKnown: true } hz ? hz.Value : null;

    /// <summary>Torque at the start, Nm, that the start current makes of whole flux; null while it is open.</summary>
    public double? StartNm => StartA is { } a && StartHz is { } hz ? Model.Motor.TorqueAtCurrentNm(RpmAt(hz), a) : null;

    /// <summary>Resonance of the filter with the transformer's leakage beside its inductance, Hz; null while it is open.</summary>
    public double? ResonanceHz
    {
        get
        {
            if (StepUp.Entered.Filter is not { InductanceMh: { IsKnown: true } mh, CapacitanceUf: { IsKnown: true } uf })
            {
                return null;
            }

            // The cable's capacitance comes over the ratio's square beside the filter's, the leakage beside its inductance: both move it.
            var ratio = StepUp.Ratio;
            var cable = StepUp.Entered.Well.CapacitanceUfPerKm is { IsKnown: true } perKm
                ? perKm.Value * StepUp.Profile.DepthM / 1e3 * ratio * ratio
                : 0;
            return 1 / (2 * Math.PI * Math.Sqrt(1e-3 * mh.Value * 1e-6 * (uf.Value + cable)));
        }
    }

    /// <summary>Range that a filter's resonance has to be within, Hz: ten times the output frequency, switching frequency over
    /// 2.5.</summary>
    public (double FromHz, double ToHz)? ResonanceRange => Model.Converter is { } converter
        ? (10 * RatedHz, 1e3 * converter.SwitchingKhz / 2.5)
        : null;

    /// <summary>Readings apart into motor and cable; null while they are open.</summary>
    public ResistanceSeparation.Separated? Readings => StepUp.Entered.Readings is
        { UvOhm: { IsKnown: true } uv, VwOhm: { IsKnown: true } vw, WuOhm: { IsKnown: true } wu } read
        ? ResistanceSeparation.Of(uv.Value, vw.Value, wu.Value, ColdCableOhm,
            read.WindingC is { IsKnown: true } winding ? winding.Value : StepUp.Profile.BottomC)
        : null;

    /// <summary>Resistance of a conductor without current, Ω.</summary>
    public double ColdCableOhm
    {
        get
        {
            var cable = Model.Input.DrivePoint.Cable;
            var at20 = Cables.ConductorResistance.At20OhmPerM(cable.CrossSectionMm2.Value, cable.Material,
                StepUp.Entered.Well.ResistanceOhmPerKm is { IsKnown: true } stated ? stated.Value : null);
            return StepUp.Profile.DepthM * Cables.ConductorResistance.OhmPerM(at20, cable.Material,
                StepUp.Profile.MeanC(0)) / cable.ParallelRuns;
        }
    }

    /// <summary>Parameters that the converter is told, referred to the low side, Ω: motor with cable, and the transformer's own.</summary>
    public (double StatorOhm, double TransformerOhm, double LeakageOhm)? Referred
    {
        get
        {
            if (Readings is not { IsPlausible: true } read)
            {
                return null;
            }

            var transformer = StepUp.Entered.Transformer;
            var z = transformer.PrimaryV.Value * transformer.PrimaryV.Value / (1e3 * transformer.RatedKva.Value);
            var r = transformer.LoadLossKw.Value / transformer.RatedKva.Value;
            var x = Math.Sqrt(Math.Max(0, Math.Pow(transformer.UkPct.Value / 100, 2) - (r * r)));
            return ((read.StatorOhm + ColdCableOhm) / (StepUp.Ratio * StepUp.Ratio), r * z, x * z);
        }
    }

    /// <summary>Voltages at rated frequency from the converter to the motor, V, each on its own side.</summary>
    public IReadOnlyList<(string Where, double V)> Along()
    {
        var low = (SurfaceV + StepUp.DropV) / StepUp.Ratio;
        var filterPct = Model.Data.OutputFilters.FirstOrDefault(f => f.Kind == Model.Choice?.Filter)?.DropPct ?? 0;
        return
        [
            ("bus", Model.Input.BusVoltageV),
            ("converter", low + (filterPct / 100 * SupplyV)),
            ("low side", low),
            ("high side, no load", SurfaceV + StepUp.DropV),
            ("surface", SurfaceV),
            ("motor", StepUp.Plate.RatedVoltageV),
        ];
    }

    /// <summary>What follows at a frequency.</summary>
    public AtFrequency At(double hz)
    {
        var rpm = RpmAt(hz);
        var load = Math.Abs(Model.Load.TorqueAtSpeedNm(rpm));
        var point = Model.Motor.At(rpm, load, Model.Feed);
        var surface = StepUp.Chain.SurfaceV(hz, point.CurrentA);
        var available = Model.Converter is { } converter ? Model.Motor.TorqueAtCurrentNm(rpm, converter.SiteCurrentA) : (double?)null;
        return new AtFrequency(hz, surface, surface / StepUp.Ratio, FluxPu(hz, point.CurrentA),
            StartA is { } start ? FluxPu(hz, start) : null,
            point.CurrentA, point.CurrentA * StepUp.CurrentPu, load, available);
    }

    /// <summary>Resolves it; null where there is no such transformer, or something is missing.</summary>
    public static LongCableStudy? Of(DrivePointModel model) => model is LoadedMotor { StepUp: { } stepUp } loaded
        ? new LongCableStudy(loaded, stepUp)
        : null;

    private double DesignPu => StepUp.Entered.Transformer.DesignHz is { IsKnown: true } design ? design.Value / RatedHz : 1;

    private double RpmAt(double hz) => StepUp.Plate.RatedSpeedRpm * hz / RatedHz;
}

/// <summary>What follows at a frequency.</summary>
/// <param name="FrequencyHz">Frequency.</param>
/// <param name="SurfaceV">Voltage at the surface.</param>
/// <param name="LowSideV">The same on the low side.</param>
/// <param name="FluxPu">Flux of the transformer with the current of the load.</param>
/// <param name="StartFluxPu">With the current of the start; null while it is open.</param>
/// <param name="MotorA">Current of the motor.</param>
/// <param name="ConverterA">Current of the converter.</param>
/// <param name="LoadNm">Torque of the load.</param>
/// <param name="AvailableNm">Torque that the converter's continuous current makes; null while none is chosen.</param>
public sealed record AtFrequency(double FrequencyHz, double SurfaceV, double LowSideV, double FluxPu, double? StartFluxPu, double MotorA,
    double ConverterA, double LoadNm, double? AvailableNm);
