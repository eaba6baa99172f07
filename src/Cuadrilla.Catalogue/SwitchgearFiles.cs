using System.Text.Json;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Catalogue;

/// <summary>Conductors of the US code as the data file has them.</summary>
internal sealed record UsConductorFile(
    string Source, string Edition, string Columns, IReadOnlyList<IReadOnlyList<JsonElement>> Sizes, IReadOnlyList<double> StandardA,
    UsConductorFile.MotorDevices MotorDevicePu, IReadOnlyList<double[]> ConductorsPu, string EarthColumns,
    IReadOnlyList<double[]> Earth, string MotorColumns, IReadOnlyList<double?[]> Motors)
{
    public UsConductors Build() => new(
        [.. Sizes.Select(s => new UsConductor(s[0].GetString()!, s[1].GetDouble(), s[2].GetDouble(),
            s[3].ValueKind == JsonValueKind.Null ? null : s[3].GetDouble()))],
        StandardA,
        [.. ConductorsPu.Select(c => (c[0], c[1]))],
        [.. Earth.Select(e => (e[0], e[1]))],
        MotorDevicePu.Breaker,
        MotorDevicePu.Fuse,
        [.. Motors.Select(m => new UsMotor(m[0]!.Value, m[1], m[2]!.Value, m[3]!.Value))]);

    internal sealed record MotorDevices(double Breaker, double Fuse);
}

/// <summary>Generic protective and switching devices as the data file has them.</summary>
internal sealed record SwitchgearFile(
    string Source, string Edition, IReadOnlyList<double[]> FuseBreaking, SwitchgearFile.ListRule Listed, SemiconductorSeries Semiconductor,
    SwitchgearFile.BreakerRule Breaker, SwitchgearFile.BreakerRule MotorBreaker,
    string ContactorColumns, IReadOnlyList<double[]> Contactors, IReadOnlyList<double[]> HighVoltagePu, IReadOnlyList<double> IsolatorA,
    IReadOnlyList<double> CapacitorContactorA)
{
    public SwitchgearSeries Build() => new(
        Stepped(FuseBreaking), Semiconductor, Breaker.Build(), MotorBreaker.Build(),
        [.. Contactors.Select(c => new ContactorItem(c[0], c[1]))], Stepped(HighVoltagePu),
        Breaker.MotorMagneticPu, Breaker.MagneticTolerancePu, Breaker.ClearsS)
    {
        IsolatorA = IsolatorA,
        CapacitorContactorA = CapacitorContactorA,
    };

    private static IReadOnlyList<VoltageStep> Stepped(IReadOnlyList<double[]> steps) => [.. steps.Select(s => new VoltageStep(s[0], s[1]))];

    /// <summary>Largest fuse that a converter of the generic series lists, A: the first rating from its multiple of the light current on;
    /// 0 above all ratings.</summary>
    public double LargestFuseA(ConverterItem item, GgFuses fuses)
    {
        var needA = (item.Kind == ConverterKind.SinglePhaseInput ? Listed.SinglePhaseFusePu : Listed.FusePu) * item.LightCurrentA;
        return fuses.Gates.FirstOrDefault(f => f.RatedA >= needA)?.RatedA
            ?? (fuses.Gates[^1].RatedA >= item.LightCurrentA ? fuses.Gates[^1].RatedA : 0);
    }

    /// <summary>The same of a supply module, from its rated power at unity power factor, A.</summary>
    public double LargestFuseA(SupplyModuleItem module, GgFuses fuses)
    {
        var ratedA = module.RatedKw * 1e3 / (Math.Sqrt(3) * module.RatedVoltageV);
        return fuses.Gates.FirstOrDefault(f => f.RatedA >= Listed.FusePu * ratedA)?.RatedA
            ?? (fuses.Gates[^1].RatedA >= ratedA ? fuses.Gates[^1].RatedA : 0);
    }

    internal sealed record ListRule(double FusePu, double SinglePhaseFusePu, double ThyristorA2sPerA2);

    internal sealed record BreakerRule(
        IReadOnlyList<double> RatedA, double OverloadFromPu, double MagneticPu, IReadOnlyList<double[]> Breaking, double LetThroughA2sPerA,
        double MotorMagneticPu = 0, double MagneticTolerancePu = 0, double ClearsS = 0)
    {
        public BreakerSeries Build() => new(RatedA, OverloadFromPu, MagneticPu, Stepped(Breaking), LetThroughA2sPerA);
    }
}
