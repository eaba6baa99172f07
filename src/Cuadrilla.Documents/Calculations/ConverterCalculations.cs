using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>converter-losses</c> and <c>brake-resistor</c>.</summary>
internal static class ConverterCalculations
{
    public static object BrakeResistor(BrakeInput input, InputRanges ranges)
    {
        ranges
            .Number("chopperV", input.ChopperV, 50, 2000)
            .Require(input.Cycle.Count > 0, "cycle", "empty", "at least one stretch");
        for (var i = 0; i < input.Cycle.Count; i++)
        {
            ranges
                .Number($"cycle/{i}/durationS", input.Cycle[i].DurationS, 0, 1e6, minExcluded: true)
                .Number($"cycle/{i}/powerW", input.Cycle[i].PowerW, 0, 1e8);
        }

        ranges.Done();
        return Core.Converters.Stopping.BrakeResistor.Of(input.Cycle, input.ChopperV);
    }

    internal sealed record BrakeInput(double ChopperV, IReadOnlyList<ReturnedPower> Cycle);

    public static object Losses(LossesInput input, InputRanges ranges)
    {
        ranges
            .Number("frequencyPu", input.FrequencyPu, 0, 3)
            .Number("currentPu", input.CurrentPu, 0, 3)
            .Number("standbyW", input.StandbyW, 0, 1e6);
        foreach (var (name, value) in input.PointsW.Named())
        {
            ranges.Number("pointsW/" + name, value, 0, 1e7);
        }

        ranges.Done();
        return new LossesOutput(input.PointsW.ToPoints().At(input.FrequencyPu, input.CurrentPu, input.StandbyW));
    }

    internal sealed record LossesInput(EightPoints PointsW, double FrequencyPu, double CurrentPu, double StandbyW);

    internal sealed record EightPoints(
        double F0I25, double F0I50, double F0I100, double F50I25, double F50I50, double F50I100, double F90I50, double F90I100)
    {
        public ConverterLossPoints ToPoints() => new(F0I25, F0I50, F0I100, F50I25, F50I50, F50I100, F90I50, F90I100);

        public IEnumerable<(string Name, double Value)> Named() =>
        [
            ("f0I25", F0I25), ("f0I50", F0I50), ("f0I100", F0I100), ("f50I25", F50I25),
            ("f50I50", F50I50), ("f50I100", F50I100), ("f90I50", F90I50), ("f90I100", F90I100),
        ];
    }

    internal sealed record LossesOutput(double LossW);
}
