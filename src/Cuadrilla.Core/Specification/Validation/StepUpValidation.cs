using Cuadrilla.Core.Base;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the entries of a step-up transformer against each other.</summary>
internal static class StepUpValidation
{
    private const int MostTaps = 40;

    public static void Check(StepUpSupply? stepUp, string at, ProblemList p)
    {
        if (stepUp is null)
        {
            return;
        }

        var taps = stepUp.Transformer.TapsV;
        var field = FieldTable.Number<StepUpTransformer>(nameof(StepUpTransformer.TapV));
        p.Require(taps.Count <= MostTaps, at + "/transformer/tapsV", "Taps", $"{taps.Count}", $"up to {MostTaps}");
        for (var i = 0; i < taps.Count; i++)
        {
            p.Number($"{at}/transformer/tapsV/{i}", field, taps[i]);
        }

        if (stepUp.Readings is { TightPct.IsKnown: true, FailsPct.IsKnown: true } spread)
        {
            p.Within<SurfaceReadings>(at + "/readings", nameof(spread.FailsPct), spread.FailsPct, spread.TightPct.Value, double.MaxValue);
        }
    }
}
