using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>
/// A step-up transformer between converter and motor cable, resolved: everything ahead of it is seen from the motor's side, with the
/// voltage times its ratio and the current over it. See <c>docs/methods/long-cable.md</c>.
/// </summary>
public sealed class StepUpAtSite
{
    private static readonly double Root3 = Math.Sqrt(3);

    private StepUpAtSite(StepUpSupply entered, MotorPlate plate, MotorCable cable)
    {
        var (transformer, well) = (entered.Transformer, entered.Well);
        Entered = entered;
        Plate = plate;
        Ratio = transformer.TapV.Value / transformer.PrimaryV.Value;
        Profile = new DepthProfile(well.SurfaceC.Value, well.GradientKPerKm.Value, cable.LengthM.Value,
            well.HeatingK is { IsKnown: true } heating ? heating.Value : 0, well.CapacityA is { IsKnown: true } a ? a.Value : null);
        ConductorC = Profile.MeanC(plate.RatedCurrentA);
        var at20 = ConductorResistance.At20OhmPerM(cable.CrossSectionMm2.Value, cable.Material,
            well.ResistanceOhmPerKm is { IsKnown: true } stated ? stated.Value : null);
        var km = cable.LengthM.Value / 1e3;
        CableOhm = new Complex(
            cable.LengthM.Value * ConductorResistance.OhmPerM(at20, cable.Material, ConductorC), km * well.ReactanceOhmPerKm.Value)
            / cable.ParallelRuns;
        Chain = new StepUpChain(plate.RatedVoltageV, plate.RatedCurrentA, plate.PowerFactor, plate.RatedFrequencyHz, CableOhm.Real,
            CableOhm.Imaginary);
        (MagnetisingPu, FilterPu) = (transformer.MagnetisingPct.Value / 100, entered.Filter.CurrentPct.Value / 100);
        var (phasor, sum) = Chain.ConverterA(Ratio, MagnetisingPu, FilterPu);
        (ConverterA, ConverterSumA) = (phasor, sum);
        RatedSecondaryA = 1e3 * transformer.RatedKva.Value / (Root3 * transformer.TapV.Value);
        var (r, x) = ImpedancePu(transformer);
        var share = plate.RatedCurrentA / RatedSecondaryA;
        var (inPhase, ahead) = Chain.SurfaceParts(plate.RatedFrequencyHz, plate.RatedCurrentA);
        var whole = Math.Sqrt((inPhase * inPhase) + (ahead * ahead));
        DropV = transformer.TapV.Value * share * ((r * inPhase / whole) + (x * ahead / whole));
        LossW = (1e3 * transformer.LoadLossKw.Value * share * share) + (1e3 * transformer.NoLoadLossKw.Value);
    }

    /// <summary>What is entered.</summary>
    public StepUpSupply Entered { get; }

    /// <summary>Plate of the motor as linked.</summary>
    public MotorPlate Plate { get; }

    /// <summary>Voltage of the tap over that of the low side.</summary>
    public double Ratio { get; }

    /// <summary>Temperature along the cable.</summary>
    public DepthProfile Profile { get; }

    /// <summary>Mean temperature of its conductors at the motor's rated current, °C.</summary>
    public double ConductorC { get; }

    /// <summary>The cable at that temperature, Ω per phase.</summary>
    public Complex CableOhm { get; }

    /// <summary>The ideal chain.</summary>
    public StepUpChain Chain { get; }

    /// <summary>Magnetising current over the load's.</summary>
    public double MagnetisingPu { get; }

    /// <summary>Current of the filter's capacitors over the load's.</summary>
    public double FilterPu { get; }

    /// <summary>Current of the converter at the motor's rated current, A, by phasors.</summary>
    public double ConverterA { get; }

    /// <summary>The same as a plain sum, a bound, A.</summary>
    public double ConverterSumA { get; }

    /// <summary>Rated current of the transformer on its high side, A.</summary>
    public double RatedSecondaryA { get; }

    /// <summary>Voltage that the transformer takes at the motor's rated current, V on its high side.</summary>
    public double DropV { get; }

    /// <summary>Its losses there, W.</summary>
    public double LossW { get; }

    /// <summary>
    /// Current of the converter over the motor's: never less than the ratio, so that a filter that leads relieves nothing that is
    /// sized by it.
    /// </summary>
    public double CurrentPu => Math.Max(Ratio, ConverterA / Plate.RatedCurrentA);

    /// <summary>
    /// Resolves it, or names what is missing of the transformer and its well; null with nothing missing where there is no transformer, or
    /// motor or cable are open.
    /// </summary>
    public static StepUpAtSite? Of(DrivePoint point, MotorPlate? asLinked, out IReadOnlyList<string> missing)
    {
        ArgumentNullException.ThrowIfNull(point);
        missing = [];
        if (point.StepUp is not { } entered)
        {
            return null;
        }

        missing = [.. Missing(entered)];
        return missing.Count == 0 && asLinked is not null && point.Cable is { LengthM.IsKnown: true, CrossSectionMm2.IsKnown: true }
            ? new StepUpAtSite(entered, asLinked, point.Cable)
            : null;
    }

    /// <summary>A converter as the motor's side of the transformer sees it.</summary>
    public ConverterItem Referred(ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return item with
        {
            ReferredPu = Ratio,
            RatedVoltageV = item.RatedVoltageV * Ratio,
            LightCurrentA = item.LightCurrentA / CurrentPu,
            HeavyCurrentA = item.HeavyCurrentA / CurrentPu,
        };
    }

    /// <summary>The filter with what the transformer takes and loses added to it.</summary>
    /// <param name="filter">The converter's filter; null without.</param>
    /// <param name="supplyV">Voltage that feeds the converter, on the motor's side, V.</param>
    public OutputFilterItem With(OutputFilterItem? filter, double supplyV)
    {
        var (drop, loss) = (100 * DropV / supplyV, 100 * LossW / Plate.RatedPowerW);
        return filter is null
            ? new OutputFilterItem(OutputFilter.None, "step-up transformer", drop, loss, 0, double.MaxValue, 0, 0, false)
            : filter with { DropPct = filter.DropPct + drop, LossPct = filter.LossPct + loss,
                Name = filter.Name + ", step-up transformer" };
    }

    /// <summary>Resistance and reactance of a transformer on its rating.</summary>
    private static (double R, double X) ImpedancePu(StepUpTransformer transformer)
    {
        var r = transformer.LoadLossKw.Value / transformer.RatedKva.Value;
        var z = transformer.UkPct.Value / 100;
        return (Math.Min(r, z), Math.Sqrt(Math.Max(0, (z * z) - (r * r))));
    }

    private static IEnumerable<string> Missing(StepUpSupply entered)
    {
        var (transformer, well) = (entered.Transformer, entered.Well);
        (Given Value, string Name)[] asked =
        [
            (transformer.PrimaryV, "low side of the step-up transformer"), (transformer.TapV, "its tap in use"),
            (transformer.RatedKva, "its rated power"), (transformer.UkPct, "its short-circuit impedance"),
            (transformer.LoadLossKw, "its load loss"), (transformer.NoLoadLossKw, "its no-load loss"),
            (transformer.MagnetisingPct, "its magnetising current"), (entered.Filter.CurrentPct, "current of the sine filter"),
            (well.SurfaceC, "temperature at the surface"), (well.GradientKPerKm, "rise of temperature with depth"),
            (well.ReactanceOhmPerKm, "reactance of the cable"),
        ];
        foreach (var (_, name) in asked.Where(a => !a.Value.IsKnown))
        {
            yield return name;
        }

        if (well is { CapacityA.IsKnown: true, HeatingK.IsKnown: false })
        {
            yield return "rise of the cable at its capacity";
        }
    }
}
