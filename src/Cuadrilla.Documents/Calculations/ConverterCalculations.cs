using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>converter-losses</c> and <c>brake-resistor</c>.</summary>
internal static class ConverterCalculations
{
    public static object BrakeResistor(BrakeInput input)
    {
        return Core.Converters.Stopping.BrakeResistor.Of(input.Cycle, input.ChopperV);
    }

    internal sealed record BrakeInput([Range(50, 2000)] double ChopperV, [MinLength(1)] IReadOnlyList<ReturnedPower> Cycle);

    public static object Losses(LossesInput input)
    {
        return new LossesOutput(input.PointsW.ToPoints().At(input.FrequencyPu, input.CurrentPu, input.StandbyW));
    }

    internal sealed record LossesInput(EightPoints PointsW, [Range(0, 3)] double FrequencyPu, [Range(0, 3)] double CurrentPu,
        [Range(0, 1e6)] double StandbyW);

    internal sealed record EightPoints(
        [Range(0, 1e7)] double F0I25, [Range(0, 1e7)] double F0I50, [Range(0, 1e7)] double F0I100, [Range(0, 1e7)] double F50I25,
        [Range(0, 1e7)] double F50I50, [Range(0, 1e7)] double F50I100, [Range(0, 1e7)] double F90I50, [Range(0, 1e7)] double F90I100)
    {
        public ConverterLossPoints ToPoints() => new(F0I25, F0I50, F0I100, F50I25, F50I50, F50I100, F90I50, F90I100);
    }

    internal sealed record LossesOutput(double LossW);
}
