using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Fault currents of a bus of a plant against the engine that shares nothing with its network but the formulas of IEC
/// 60909-0.</summary>
public sealed class BusShortCircuitTests
{
    [Theory]
    [InlineData(60, 4)]
    [InlineData(250, 10)]
    [InlineData(800, 25)]
    public void Behind_one_transformer_the_largest_current_and_its_peak_are_those_of_the_engine(double sourceMva, double xr)
    {
        var demo = DemoChanges.Demo;
        var transformer = demo.Distribution.Transformers[0];
        var plant = demo with
        {
            Lineups = [],
            Source = demo.Source with { Strength = new SourceStrength.FaultLevel(sourceMva, 0.7 * sourceMva, xr) },
            Distribution = demo.Distribution with
            {
                Buses = [demo.Distribution.Bus(demo.Source.BusId), demo.Distribution.Bus(transformer.ToBusId)],
                Transformers = [transformer], Links = [], Loads = [], CapacitorBanks = [], ActiveFilters = [],
            },
            Scenarios = [demo.Scenarios[0]],
            Routes = PlantRoutes.None,
        };
        var found = new Assessor(ReferenceCatalogue.Data).Run(plant).ShortCircuits[transformer.ToBusId];

        var volts = demo.Distribution.Bus(transformer.ToBusId).NominalVoltageV;
        var va = transformer.RatedKva * 1e3;
        var ohm = transformer.UkPct / 100 * volts * volts / va;
        var resistance = transformer.LoadLossKw * 1e3 * volts * volts / (va * va);
        FaultCurrent.Result By(FaultCurrent.VoltageFactors source) => FaultCurrent.Of(new FaultCurrent.Place(
            volts, found.Factors, source, sourceMva, 0.7 * sourceMva, xr,
            new FaultCurrent.TransformerPart(new Complex(resistance, Math.Sqrt((ohm * ohm) - (resistance * resistance))), va, 1, 1),
            null, 0, 0));
        var expected = By(new FaultCurrent.VoltageFactors(1, 1));
        Assert.Equal(0, found.MotorsA);
        Assert.Equal(expected.Max.CurrentA, found.LargestA, expected.Max.CurrentA * 1e-6);
        Assert.Equal(expected.Max.PeakA, found.PeakA, expected.Max.PeakA * 1e-6);
        Assert.Equal(expected.Min.CurrentA, found.LeastA, expected.Min.CurrentA * 1e-6);

        // A plant takes the stated power of the source as it is, the engine by the voltage factor of its system: a plant's current is
        // never the smaller one.
        var byStandard = By(FaultCurrent.VoltageFactors.Medium).Max;
        Assert.InRange(found.LargestA / byStandard.CurrentA, 1, FaultCurrent.VoltageFactors.Medium.Max);
        Assert.InRange(found.PeakA / byStandard.PeakA, 1, FaultCurrent.VoltageFactors.Medium.Max);
        Assert.InRange(found.PeakA / (Math.Sqrt(2) * found.LargestA), 1.02, 2);
    }
}
