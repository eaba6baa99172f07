using Cuadrilla.Core.Harmonics.Limits;

namespace Cuadrilla.Catalogue;

/// <summary>Layout of the file of equipment limits.</summary>
internal sealed record EquipmentLimitsFile(
    string Source,
    string Edition,
    double FromA,
    double ToA,
    IReadOnlyList<EquipmentLimitsFile.Row> Balanced,
    IReadOnlyList<EquipmentLimitsFile.Row> ByFifthAngle,
    IReadOnlyList<EquipmentLimitsFile.Row> Other)
{
    public static EquipmentLimits Build(EquipmentLimitsFile file) => new(
        file.Source, file.Edition, file.FromA, file.ToA, [.. file.Balanced.Select(Of)], [.. file.ByFifthAngle.Select(Of)],
        [.. file.Other.Select(Of)]);

    private static EquipmentRow Of(Row row) => new(row.Ratio, row.Orders, row.Thc, row.Pwhc);

    internal sealed record Row(double Ratio, IReadOnlyDictionary<int, double> Orders, double Thc, double Pwhc);
}

/// <summary>Layout of the file of compatibility levels.</summary>
internal sealed record CompatibilityFile(string Source, string Edition, IReadOnlyList<CompatibilityFile.Row> Classes)
{
    public static CompatibilityLevels Build(CompatibilityFile file) => new(
        file.Source, file.Edition,
        file.Classes.ToDictionary(
            c => c.Number,
            c => new EnvironmentClass(c.Number, c.Thd, c.Odd, c.OddSlope, c.OddOffset, c.Triplen, c.TriplenAbove, c.Even, c.EvenSlope,
                c.EvenOffset)));

    internal sealed record Row(
        int Number,
        double Thd,
        IReadOnlyDictionary<int, double> Odd,
        double OddSlope,
        double OddOffset,
        IReadOnlyDictionary<int, double> Triplen,
        double TriplenAbove,
        IReadOnlyDictionary<int, double> Even,
        double EvenSlope,
        double EvenOffset);
}
