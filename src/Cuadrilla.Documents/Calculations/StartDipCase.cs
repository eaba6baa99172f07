using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>start-dip</c>: one source, one transformer, one bus, put through the network of the assessment.</summary>
internal static class StartDipCase
{
    private const double PrimaryV = 20_000;

    public static StartDip.Result? Run(SupplyCalculations.StartDipInput input)
    {
        var plant = new PlantSpecification(
            "start dip",
            new Site(0, 40, 5),
            new Tariff("EUR", 0, 0, 0, 0, 1, 0),
            new Source("primary", 50, new SourceStrength.FaultLevel(input.SourceMva, Given.Unknown, input.SourceXr), Given.Unknown,
                Given.Unknown, Given.Unknown),
            new Distribution(
                [new Bus("primary", "primary", PrimaryV, Given.Unknown), new Bus("bus", "bus", input.NominalVoltageV, Given.Unknown)],
                [
                    new Transformer(
                        "t", "transformer", "primary", "bus", input.Transformer.RatedKva, input.Transformer.UkPct,
                        input.Transformer.LoadLossKw, 0,
                        VectorGroup.Dyn11, TransformerCooling.Dry, Given.Unknown, Given.Unknown),
                ],
                [],
                [],
                []),
            new CommonCoupling("primary", Given.Unknown),
            [Scenario.AsUsual("s", "s")],
            [],
            [],
            [],
            [],
            []);
        var network = PlantNetwork.Of(plant, plant.Scenarios[0], SourceView.Weakest, new CableConstants(0.0225, 0.036, 8e-5))!;
        var bus = network.NodeOf("bus");
        var shunts = new Complex[network.NodeCount];
        var powers = new Complex[network.NodeCount];
        shunts[bus] = Complex.Conjugate(PerUnit(input.LinearKw, input.LinearPowerFactor));
        powers[bus] = PerUnit(input.DriveKw, input.DrivePowerFactor);
        return StartDip.Run(network, new StandingLoad(shunts, powers), "bus", input.StartKva * 1e3, input.StartPowerFactor, "primary");
    }

    private static Complex PerUnit(double powerKw, double powerFactor) =>
        new Complex(powerKw, powerKw * Math.Tan(Math.Acos(powerFactor))) * 1e3 / SupplyNetwork.BaseVa;
}
