using Cuadrilla.Core.Network;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of the supply: fault level, transformer heat, start dip, neutral, skin effect.</summary>
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
        var result = Core.Network.FaultLevel.Run(input.NominalVoltageV, input.SourceMva, input.SourceXr, input.Transformers);
        return new FaultLevelOutput(result.IscKa, result.ROhm, result.XOhm);
    }

    public static object WindingHeat(WindingHeatInput input, InputRanges ranges)
    {
        ranges
            .Number("eddyLossPu", input.EddyLossPu, 0, 1)
            .Number("otherStrayLossPu", input.OtherStrayLossPu ?? 0, 0, 1)
            .Require(input.OrdersA.Count > 0, "ordersA", "empty", "at least one order");
        for (var i = 0; i < input.OrdersA.Count; i++)
        {
            ranges
                .Number($"ordersA/{i}/order", input.OrdersA[i].Order, 1, 200)
                .Number($"ordersA/{i}/rmsA", input.OrdersA[i].RmsA, 0, 1e9);
        }

        ranges.Done();
        var result = Core.Network.WindingHeat.Run(input.OrdersA, input.EddyLossPu, input.OtherStrayLossPu ?? 0);
        return new WindingHeatOutput(result.HarmonicLossFactor, result.MaxCurrentPu);
    }

    public static object StartDip(StartDipInput input, InputRanges ranges)
    {
        ranges
            .Number("nominalVoltageV", input.NominalVoltageV, 100, 69_000)
            .Number("sourceMva", input.SourceMva, 0.01, 1e5)
            .Number("sourceXr", input.SourceXr, 0.1, 100)
            .Number("transformer/ratedKva", input.Transformer.RatedKva, 1, 1e5)
            .Number("transformer/ukPct", input.Transformer.UkPct, 0.5, 25)
            .Number("transformer/loadLossKw", input.Transformer.LoadLossKw, 0, 0.0099 * input.Transformer.UkPct * input.Transformer.RatedKva)
            .Number("linearKw", input.LinearKw, 0, 1e5)
            .Number("linearPowerFactor", input.LinearPowerFactor, 0.1, 1)
            .Number("driveKw", input.DriveKw, 0, 1e5)
            .Number("drivePowerFactor", input.DrivePowerFactor, 0.1, 1)
            .Number("startKva", input.StartKva, 0, 1e6, minExcluded: true)
            .Number("startPowerFactor", input.StartPowerFactor, 0.05, 1)
            .Done();
        var result = StartDipCase.Run(input);
        ranges.Require(result is not null, "startKva", $"{input.StartKva}", "less: no voltage settles beside this load").Done();
        return new StartDipOutput(
            result!.Value.AtMotor.BeforePu, result.Value.AtMotor.DuringPu, result.Value.AtMotor.DipPct, result.Value.AtCoupling.DipPct, result.Value.ShortcutPct);
    }

    public static object NeutralCurrent(NeutralInput input, InputRanges ranges)
    {
        ranges
            .Number("phaseFundamentalA", input.PhaseFundamentalA, 0, 1e6)
            .Number("unevenPct", input.UnevenPct, 0, 200)
            .Number("thirdHarmonicPct", input.ThirdHarmonicPct, 0, 100)
            .Done();
        return new NeutralOutput(Core.Network.NeutralCurrent.Of(input.PhaseFundamentalA, input.UnevenPct / 100, input.ThirdHarmonicPct / 100));
    }

    public static object SkinEffect(SkinInput input, InputRanges ranges)
    {
        ranges
            .Number("resistanceMohmPerM", input.ResistanceMohmPerM, 0.005, 100)
            .Number("frequencyHz", input.FrequencyHz, 45, 65)
            .Number("order", input.Order, 1, 100)
            .Done();
        return new SkinOutput(Core.Cables.SkinEffect.OfConductor(input.ResistanceMohmPerM / 1e3, input.FrequencyHz, input.Order));
    }

    internal sealed record StartDipInput(
        double NominalVoltageV,
        double SourceMva,
        double SourceXr,
        FaultLevel.TransformerInput Transformer,
        double LinearKw,
        double LinearPowerFactor,
        double DriveKw,
        double DrivePowerFactor,
        double StartKva,
        double StartPowerFactor);

    internal sealed record StartDipOutput(double BeforePu, double DuringPu, double DipPct, double PrimaryDipPct, double ShortcutPct);

    internal sealed record NeutralInput(double PhaseFundamentalA, double UnevenPct, double ThirdHarmonicPct);

    internal sealed record NeutralOutput(double NeutralA);

    internal sealed record SkinInput(double ResistanceMohmPerM, double FrequencyHz, double Order);

    internal sealed record SkinOutput(double ResistancePu);

    internal sealed record FaultLevelInput(
        double NominalVoltageV, double SourceMva, double SourceXr, IReadOnlyList<FaultLevel.TransformerInput> Transformers);

    internal sealed record FaultLevelOutput(double IscKa, double ROhm, double XOhm);

    internal sealed record WindingHeatInput(IReadOnlyList<WindingHeat.OrderCurrent> OrdersA, double EddyLossPu, double? OtherStrayLossPu = null);

    internal sealed record WindingHeatOutput(double Fhl, double MaxCurrentPu);
}
