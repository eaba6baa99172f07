using System.Numerics;
using Cuadrilla.Core.Plant;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment;

/// <summary>Source and transformer seen from the bus, and with them the point of common coupling.</summary>
/// <param name="SourceOhm">Source impedance referred to the bus, ohm; zero when assumed infinite.</param>
/// <param name="TransformerOhm">Transformer impedance at the bus, ohm.</param>
/// <param name="BusVoltageV">Nominal voltage of the bus, V.</param>
/// <param name="FrequencyHz">Frequency, Hz.</param>
/// <param name="AssumedInfinite">True when the source was assumed infinite.</param>
public sealed record BusNetwork(Complex SourceOhm, Complex TransformerOhm, double BusVoltageV, double FrequencyHz, bool AssumedInfinite)
{
    /// <summary>Impedance behind the bus, ohm.</summary>
    public Complex BusOhm => SourceOhm + TransformerOhm;

    /// <summary>Fault current at the bus, A.</summary>
    public double BusFaultA => BusVoltageV / Math.Sqrt(3) / BusOhm.Magnitude;

    /// <summary>Fault current at the primary expressed at bus voltage, A; infinite when so assumed.</summary>
    public double PrimaryFaultAtBusA => SourceOhm == Complex.Zero ? double.PositiveInfinity : BusVoltageV / Math.Sqrt(3) / SourceOhm.Magnitude;

    /// <summary>Builds it, or null when the source's strength has not been stated.</summary>
    public static BusNetwork? Of(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var voltage = plant.Bus.NominalVoltageV;
        var transformer = FaultLevel.TransformerImpedance(
            voltage, new FaultLevel.TransformerInput(plant.Transformer.RatedKva, plant.Transformer.UkPct, plant.Transformer.LoadLossKw));
        return plant.Source.Strength switch
        {
            SourceStrength.NotStated => null,
            SourceStrength.AssumedInfinite => new BusNetwork(Complex.Zero, transformer, voltage, plant.Source.FrequencyHz, true),
            SourceStrength.FaultLevel f when !MissingOf(f).Any() => new BusNetwork(
                FaultLevel.SourceImpedance(voltage, f.ShortCircuitMva.Value, f.XrRatio.Value), transformer, voltage, plant.Source.FrequencyHz, false),
            SourceStrength.Generator g when !MissingOf(g).Any() => new BusNetwork(
                FaultLevel.SourceImpedance(voltage, g.RatedKva.Value / 1e3 / (g.SubtransientPct.Value / 100), g.XrRatio.Value),
                transformer, voltage, plant.Source.FrequencyHz, false),
            SourceStrength.FaultLevel or SourceStrength.Generator => null,
            _ => throw new InvalidOperationException("Unknown source strength."),
        };
    }

    /// <summary>Names of what is missing before it can be built.</summary>
    public static IEnumerable<string> Missing(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Source.Strength switch
        {
            SourceStrength.NotStated => ["fault level of the source (or assume it infinite)"],
            SourceStrength.FaultLevel f => MissingOf(f),
            SourceStrength.Generator g => MissingOf(g),
            _ => [],
        };
    }

    private static IEnumerable<string> MissingOf(SourceStrength.Generator generator)
    {
        if (!generator.RatedKva.IsKnown)
        {
            yield return "rated power of the generator";
        }

        if (!generator.SubtransientPct.IsKnown)
        {
            yield return "subtransient reactance of the generator";
        }

        if (!generator.XrRatio.IsKnown)
        {
            yield return "X/R of the generator";
        }
    }

    private static IEnumerable<string> MissingOf(SourceStrength.FaultLevel fault)
    {
        if (!fault.ShortCircuitMva.IsKnown)
        {
            yield return "fault level of the source";
        }

        if (!fault.XrRatio.IsKnown)
        {
            yield return "X/R of the source";
        }
    }
}
