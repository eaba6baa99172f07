using Cuadrilla.Core.Converters;

namespace Cuadrilla.Catalogue;

/// <summary>What the generic series declares of interference, as the data file has it.</summary>
internal sealed record EmcFile(
    string Source, string Edition, EmcFilter Delivered, string FilterColumns, IReadOnlyList<EmcFile.FilterRule> Filters,
    string LengthColumns, IReadOnlyList<double[]> Lengths, string PlainColumns,
    IReadOnlyList<double[]> Plain)
{
    /// <summary>What is declared of a converter.</summary>
    public EmcDeclaration Of(ConverterItem item) => Of(item.RatedKw, item.Kind == ConverterKind.Servo);

    /// <summary>What is declared of a supply module: its filter, for the cables of all its inverters together.</summary>
    public EmcDeclaration Of(SupplyModuleItem module) => Of(module.RatedKw, isServo: true);

    private EmcDeclaration Of(double kw, bool isServo)
    {
        var lengths = At(Lengths, kw);
        return new EmcDeclaration(
            Delivered,
            [
                .. from rule in Filters
                   let size = At(rule.Sizes, kw)
                   where size is not null
                   select new FilterDeclaration(rule.Filter, size[1], isServo ? Math.Max(rule.ServoKhz, size[3]) : size[3], size[2]),
            ],
            At(Plain, kw)?[1], lengths?[1], lengths?[2]);
    }

    // Sizes in hp lie a little beside those in kW.
    private static double[]? At(IReadOnlyList<double[]> rows, double kw) => rows.FirstOrDefault(r => kw <= r[0] * 1.001);

    internal sealed record FilterRule(EmcFilter Filter, double ServoKhz, IReadOnlyList<double[]> Sizes);
}
