using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engine of one channel's scaling.</summary>
internal static class ScalingCalculation
{
    private const double MostCounts = 1 << 24;
    private const double HighestHz = 1000;
    private const double Large = 1e9;

    public static object Run(Input input, InputRanges ranges)
    {
        var full = input.CountsFull ?? (Math.Pow(2, input.Bits) - 1);
        ranges
            .Require(input.Poles % 2 == 0, "poles", $"{input.Poles}", "an even number, 2 to 48")
            .Require(input.CountsZero != full, input.CountsFull is null ? "countsZero" : "countsFull", $"{full}",
                $"other than {input.CountsZero}, countsZero")
            .Require(input.FrequencyZeroHz != input.FrequencyFullHz, "frequencyFullHz", $"{input.FrequencyFullHz}",
                $"other than {input.FrequencyZeroHz}, frequencyZeroHz")
            .Require(input.Given != ScaledQuantity.LineSpeed || input.DrumM is not null, "drumM", "absent",
                "the diameter of the drum, m, for a line speed")
            .Done();
        var scaling = new SignalScaling(input.Signal switch
        {
            Span.Volt0To10 => AnalogueRange.Volt0To10,
            Span.Volt2To10 => AnalogueRange.Volt2To10,
            Span.Milliampere0To20 => AnalogueRange.Milliampere0To20,
            _ => AnalogueRange.Milliampere4To20,
        }, input.Bits, input.CountsZero, full, input.FrequencyZeroHz, input.FrequencyFullHz, input.Poles, input.GearRatio, input.DrumM);
        var at = scaling.At(scaling.Percent(input.Given, input.Value));
        return new Output(at.Percent, at.Counts, at.Signal, at.FrequencyHz, at.SpeedRpm, at.OutputRpm, at.LineMPerMin, scaling.StepHz,
            scaling.SpeedRpm(scaling.StepHz), scaling.ErrorHz(input.OffsetPct), at.WireBreak);
    }

    [JsonConverter(typeof(JsonStringEnumConverter<Span>))]
    internal enum Span
    {
        [JsonStringEnumMemberName("0-10v")]
        Volt0To10,
        [JsonStringEnumMemberName("2-10v")]
        Volt2To10,
        [JsonStringEnumMemberName("0-20ma")]
        Milliampere0To20,
        [JsonStringEnumMemberName("4-20ma")]
        Milliampere4To20,
    }

    internal sealed record Input(
        Span Signal,
        [Range(4, 24)] int Bits,
        [Range(-HighestHz, HighestHz)] double FrequencyZeroHz,
        [Range(-HighestHz, HighestHz)] double FrequencyFullHz,
        [Range(2, 48)] int Poles,
        ScaledQuantity Given,
        [Range(-Large, Large)] double Value,
        [Range(-MostCounts, MostCounts)] double CountsZero = 0,
        [Range(-MostCounts, MostCounts)] double? CountsFull = null,
        [Above(0, Large)] double GearRatio = 1,
        [Above(0, Large)] double? DrumM = null,
        [Range(0, 100)] double OffsetPct = 0);

    internal sealed record Output(double Percent, double Counts, double Signal, double FrequencyHz, double SpeedRpm, double OutputRpm,
        double? LineMPerMin, double StepHz, double StepRpm, double ErrorHz, bool WireBreak);
}
