using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of the supply: fault level, transformer heat, start dip, neutral, skin effect.</summary>
internal static class SupplyCalculations
{
    public static object FaultLevel(FaultLevelInput input)
    {
        var result = Core.Network.FaultLevel.Run(input.NominalVoltageV, input.SourceMva, input.SourceXr, input.Transformers);
        return new FaultLevelOutput(result.IscKa, result.ROhm, result.XOhm);
    }

    public static object WindingHeat(WindingHeatInput input)
    {
        var result = Core.Network.WindingHeat.Run(input.OrdersA, input.EddyLossPu, input.OtherStrayLossPu ?? 0);
        return new WindingHeatOutput(result.HarmonicLossFactor, result.MaxCurrentPu);
    }

    public static object StartDip(StartDipInput input, InputRanges ranges)
    {
        ranges
            .Number("transformer/ratedKva", input.Transformer.RatedKva, 1, 1e5)
            .Number("transformer/ukPct", input.Transformer.UkPct, 0.5, 25)
            .Number("transformer/loadLossKw", input.Transformer.LoadLossKw, 0,
                0.0099 * input.Transformer.UkPct * input.Transformer.RatedKva)
            .Done();
        var result = StartDipCase.Run(input);
        ranges.Require(result is not null, "startKva", $"{input.StartKva}", "less: no voltage settles beside this load").Done();
        return new StartDipOutput(
            result!.Value.AtMotor.BeforePu, result.Value.AtMotor.DuringPu, result.Value.AtMotor.DipPct, result.Value.AtCoupling.DipPct,
            result.Value.ShortcutPct);
    }

    public static object NeutralCurrent(NeutralInput input)
    {
        return new NeutralOutput(Core.Network.NeutralCurrent.Of(input.PhaseFundamentalA, input.UnevenPct / 100,
            input.ThirdHarmonicPct / 100));
    }

    public static object SkinEffect(SkinInput input)
    {
        return new SkinOutput(Core.Cables.SkinEffect.OfConductor(input.ResistanceMohmPerM / 1e3, input.FrequencyHz, input.Order));
    }

    internal sealed record StartDipInput(
        [Range(100, 69_000)] double NominalVoltageV,
        [Range(0.01, 1e5)] double SourceMva,
        [Range(0.1, 100)] double SourceXr,
        FaultLevel.TransformerInput Transformer,
        [Range(0, 1e5)] double LinearKw,
        [Range(0.1, 1)] double LinearPowerFactor,
        [Range(0, 1e5)] double DriveKw,
        [Range(0.1, 1)] double DrivePowerFactor,
        [Above(0, 1e6)] double StartKva,
        [Range(0.05, 1)] double StartPowerFactor);

    internal sealed record StartDipOutput(double BeforePu, double DuringPu, double DipPct, double PrimaryDipPct, double ShortcutPct);

    internal sealed record NeutralInput([Range(0, 1e6)] double PhaseFundamentalA, [Range(0, 200)] double UnevenPct,
        [Range(0, 100)] double ThirdHarmonicPct);

    internal sealed record NeutralOutput(double NeutralA);

    internal sealed record SkinInput([Range(0.005, 100)] double ResistanceMohmPerM, [Range(45, 65)] double FrequencyHz,
        [Range(1, 100)] double Order);

    internal sealed record SkinOutput(double ResistancePu);

    internal sealed record FaultLevelInput(
        [Range(1, 1e6)] double NominalVoltageV, [Above(0, 1e6)] double SourceMva, [Range(0.01, 1000)] double SourceXr,
        IReadOnlyList<FaultLevel.TransformerInput> Transformers);

    internal sealed record FaultLevelOutput(double IscKa, double ROhm, double XOhm);

    internal sealed record WindingHeatInput([MinLength(1)] IReadOnlyList<WindingHeat.OrderCurrent> OrdersA, [Range(0, 1)] double EddyLossPu,
        [Range(0, 1)] double? OtherStrayLossPu = null);

    internal sealed record WindingHeatOutput(double Fhl, double MaxCurrentPu);
}
