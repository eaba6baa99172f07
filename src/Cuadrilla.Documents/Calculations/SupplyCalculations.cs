using Cuadrilla.Core.Plant;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>fault-level</c> and <c>winding-heat</c>.</summary>
internal static class SupplyCalculations
{
    public static object FaultLevel(FaultLevelInput input, InputRanges ranges)
    {
        ranges
            .Number("nominalVoltageV", input.NominalVoltageV, 1, 1e6)
            .Number("sourceMva", input.SourceMva, 0, 1e6, minExcluded: true)
            .Number("sourceXr", input.SourceXr, 0.01, 1000);
        for (var i = 0; i < input.Transformers.Count; i++)
        {
            ranges
                .Number($"transformers/{i}/ratedKva", input.Transformers[i].RatedKva, 0, 1e7, minExcluded: true)
                .Number($"transformers/{i}/ukPct", input.Transformers[i].UkPct, 0.1, 50)
                .Number($"transformers/{i}/loadLossKw", input.Transformers[i].LoadLossKw, 0, 1e5);
        }

        ranges.Done();
        var result = Core.Plant.FaultLevel.Run(input.NominalVoltageV, input.SourceMva, input.SourceXr, input.Transformers);
        return new FaultLevelOutput(result.IscKa, result.ROhm, result.XOhm);
    }

    public static object WindingHeat(WindingHeatInput input, InputRanges ranges)
    {
        ranges
            .Number("eddyLossPu", input.EddyLossPu, 0, 1)
            .Require(input.OrdersA.Count > 0, "ordersA", "empty", "at least one order");
        for (var i = 0; i < input.OrdersA.Count; i++)
        {
            ranges
                .Number($"ordersA/{i}/order", input.OrdersA[i].Order, 1, 200)
                .Number($"ordersA/{i}/rmsA", input.OrdersA[i].RmsA, 0, 1e9);
        }

        ranges.Done();
        var result = Core.Plant.WindingHeat.Run(input.OrdersA, input.EddyLossPu);
        return new WindingHeatOutput(result.HarmonicLossFactor, result.MaxCurrentPu);
    }

    internal sealed record FaultLevelInput(
        double NominalVoltageV, double SourceMva, double SourceXr, IReadOnlyList<FaultLevel.TransformerInput> Transformers);

    internal sealed record FaultLevelOutput(double IscKa, double ROhm, double XOhm);

    internal sealed record WindingHeatInput(IReadOnlyList<WindingHeat.OrderCurrent> OrdersA, double EddyLossPu);

    internal sealed record WindingHeatOutput(double Fhl, double MaxCurrentPu);
}
