using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Tests.Network;

/// <summary>Small supplies to compute by hand.</summary>
internal static class TestNetworks
{
    public static readonly CableConstants Cables = new(0.0225, 0.036, 0.08e-3);

    public static readonly Scenario AsUsual = Scenario.AsUsual("s", "as usual");

    /// <summary>Two transformers on a 20 kV bus, each with a low-voltage bus, a coupler between these.</summary>
    public static PlantSpecification TwoTransformers(VectorGroup first, VectorGroup second, bool coupled = false,
        IReadOnlyList<BusLoad>? loads = null, SourceStrength? strength = null) => new(
        "two transformers",
        new Site(0, 40, 5),
        new Tariff("EUR", 0.1, 0, 0.3, 100, 10, 6),
        new Source("mv", 50, strength ?? new SourceStrength.FaultLevel(250, Given.Unknown, 10), Given.Unknown, Given.Unknown,
            Given.Unknown),
        new Distribution(
            [new Bus("mv", "20 kV", 20_000, Given.Unknown), new Bus("a", "A", 400, Given.Unknown), new Bus("b", "B", 400, Given.Unknown)],
            [Transformer("t1", "a", first), Transformer("t2", "b", second)],
            [new BusLink.Coupler("k", "coupler", "a", "b", coupled)],
            [],
            [.. loads ?? []]),
        new CommonCoupling("mv", Given.Unknown),
        [AsUsual],
        [],
        [],
        [],
        [],
        []);

    public static SupplyNetwork Network(PlantSpecification plant, Scenario? scenario = null, SourceView view = SourceView.Weakest) =>
        PlantNetwork.Of(plant, scenario ?? AsUsual, view, Cables)!;

    private static Transformer Transformer(string id, string to, VectorGroup group) =>
        new(id, id, "mv", to, 1600, 6, 14, 2, group, TransformerCooling.Dry, 0.08, Given.Unknown);
}
