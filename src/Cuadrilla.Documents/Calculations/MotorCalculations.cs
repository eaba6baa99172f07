using Cuadrilla.Catalogue;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>motor-losses</c> and <c>thermal-budget</c>.</summary>
internal static class MotorCalculations
{
    public static object Losses(LossesInput input, InputRanges ranges)
    {
        var plate = PlateOf(input.MotorId, input.Plate, ranges);
        ranges.Number("speedRpm", input.SpeedRpm, 0, 30_000).Number("torqueNm", input.TorqueNm, -1e6, 1e6).Done();
        var point = new MotorLossModel(plate!).At(input.SpeedRpm, input.TorqueNm, input.Feed);
        return new LossesOutput(
            point.ShaftW, point.InputW, point.LossW, point.StatorW, point.RotorW, point.IronW, point.FrictionW, point.StrayW, point.HarmonicW,
            point.CurrentA, point.VoltageV, point.PowerFactor, 100 * point.Efficiency, point.FrequencyHz, point.FluxPu);
    }

    public static object Budget(BudgetInput input, InputRanges ranges)
    {
        var plate = PlateOf(input.MotorId, input.Plate, ranges);
        ranges
            .Number("speedRpm", input.SpeedRpm, 0, 30_000)
            .Number("ambientC", input.AmbientC, -40, 80)
            .Number("altitudeM", input.AltitudeM, -400, 5000)
            .Number("riseUsedK", input.RiseUsedK, 20, 200)
            .Number("ratedRiseK", input.RatedRiseK, 20, 200)
            .Number("standstillCoolingPu", input.StandstillCoolingPu, 0, 1)
            .Done();
        var budget = new ThermalBudget(
            input.AmbientC, input.AltitudeM, input.Cooling, input.RiseUsedK, input.RatedRiseK, input.StandstillCoolingPu);
        var model = new MotorLossModel(plate!);
        return new BudgetOutput(
            budget.ContinuousTorqueNm(model, input.SpeedRpm, input.Feed),
            budget.AllowedLossW(plate!, input.SpeedRpm),
            budget.CoolingPu(input.SpeedRpm / plate!.RatedSpeedRpm),
            budget.TemperaturePu,
            budget.AltitudePu,
            model.BreakdownTorqueNm(input.SpeedRpm));
    }

    private static MotorPlate? PlateOf(string? motorId, MotorPlate? plate, InputRanges ranges)
    {
        ranges.Require(motorId is null != plate is null, "motorId", motorId is null ? "absent" : "given together with plate", "either motorId or plate");
        if (motorId is not null)
        {
            var known = ReferenceCatalogue.Data.Motors.TryGetValue(motorId, out var item);
            ranges.Require(known, "motorId", $"'{motorId}'", "an item of the catalogue").Done();
            return item!.Plate;
        }

        if (plate is not null)
        {
            ranges
                .Number("plate/ratedPowerW", plate.RatedPowerW, 0, 1e8, minExcluded: true)
                .Number("plate/ratedVoltageV", plate.RatedVoltageV, 1, 20_000)
                .Number("plate/ratedFrequencyHz", plate.RatedFrequencyHz, 1, 1000)
                .Number("plate/ratedSpeedRpm", plate.RatedSpeedRpm, 1, 60_000)
                .Number("plate/ratedCurrentA", plate.RatedCurrentA, 0, 1e5, minExcluded: true)
                .Number("plate/efficiency", plate.Efficiency, 0.1, 0.999)
                .Number("plate/powerFactor", plate.PowerFactor, 0.1, 1)
                .Number("plate/poles", plate.Poles, 2, 60)
                .Number("plate/breakdownTorquePu", plate.BreakdownTorquePu, 1.3, 10);
        }

        ranges.Done();
        return plate;
    }

    internal sealed record LossesInput(double SpeedRpm, double TorqueNm, MotorFeed Feed, string? MotorId = null, MotorPlate? Plate = null);

    internal sealed record LossesOutput(
        double ShaftW,
        double InputW,
        double LossW,
        double StatorW,
        double RotorW,
        double IronW,
        double FrictionW,
        double StrayW,
        double HarmonicW,
        double CurrentA,
        double VoltageV,
        double PowerFactor,
        double EfficiencyPct,
        double FrequencyHz,
        double FluxPu);

    internal sealed record BudgetInput(
        double SpeedRpm,
        MotorFeed Feed,
        double AmbientC,
        double AltitudeM,
        MotorCooling Cooling,
        double RiseUsedK,
        double RatedRiseK,
        double StandstillCoolingPu,
        string? MotorId = null,
        MotorPlate? Plate = null);

    internal sealed record BudgetOutput(
        double ContinuousTorqueNm, double AllowedLossW, double CoolingPu, double TemperaturePu, double AltitudePu, double BreakdownTorqueNm);
}
