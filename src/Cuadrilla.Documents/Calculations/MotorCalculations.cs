using System.ComponentModel.DataAnnotations;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>motor-losses</c> and <c>thermal-budget</c>.</summary>
internal static class MotorCalculations
{
    public static object Losses(LossesInput input, InputRanges ranges)
    {
        var plate = PlateOf(input.MotorId, input.Plate, ranges);
        ranges.Done();
        var point = new MotorLossModel(plate!).At(input.SpeedRpm, input.TorqueNm, input.Feed);
        return new LossesOutput(
            point.ShaftW, point.InputW, point.LossW, point.StatorW, point.RotorW, point.IronW, point.FrictionW, point.StrayW,
            point.HarmonicW,
            point.CurrentA, point.VoltageV, point.PowerFactor, 100 * point.Efficiency, point.FrequencyHz, point.FluxPu);
    }

    public static object Budget(BudgetInput input, InputRanges ranges)
    {
        var plate = PlateOf(input.MotorId, input.Plate, ranges);
        ranges.Done();
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
        ranges.Require(motorId is null != plate is null, "motorId", motorId is null ? "absent" : "given together with plate",
            "either motorId or plate");
        if (motorId is not null)
        {
            var known = ReferenceCatalogue.Data.Motors.TryGetValue(motorId, out var item);
            ranges.Require(known, "motorId", $"'{motorId}'", "an item of the catalogue").Done();
            return item!.Plate;
        }

        ranges.Done();
        return plate;
    }

    internal sealed record LossesInput([Range(0, 30_000)] double SpeedRpm, [Range(-1e6, 1e6)] double TorqueNm, MotorFeed Feed,
        string? MotorId = null, MotorPlate? Plate = null);

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
        [Range(0, 30_000)] double SpeedRpm,
        MotorFeed Feed,
        [Range(-40, 80)] double AmbientC,
        [Range(-400, 5000)] double AltitudeM,
        MotorCooling Cooling,
        [Range(20, 200)] double RiseUsedK,
        [Range(20, 200)] double RatedRiseK,
        [Range(0, 1)] double StandstillCoolingPu,
        string? MotorId = null,
        MotorPlate? Plate = null);

    internal sealed record BudgetOutput(
        double ContinuousTorqueNm, double AllowedLossW, double CoolingPu, double TemperaturePu, double AltitudePu,
        double BreakdownTorqueNm);
}
