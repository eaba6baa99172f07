using Cuadrilla.Core.Network;

namespace Cuadrilla.Catalogue;

/// <summary>Standard sizes of transformers as the data file has them: with losses, or with an efficiency at half load.</summary>
internal sealed record TransformerFile(string Source, string Edition, IReadOnlyList<TransformerFile.Row> Series)
{
    public IReadOnlyList<TransformerSeries> Build() =>
        [.. Series.Select(s => new TransformerSeries(s.Key, s.Name, s.FrequencyHz, s.Cooling, [.. s.Sizes.Select(SizeOf)]))];

    private static TransformerSize SizeOf(Size size) => size.HalfLoadEfficiencyPct is { } efficiency
        ? TransformerSize.OfHalfLoadEfficiency(size.Kva, size.UkPct, efficiency)
        : new TransformerSize(size.Kva, size.UkPct, size.LoadLossW!.Value / 1e3, size.NoLoadLossW!.Value / 1e3);

    internal sealed record Row(string Key, string Name, double FrequencyHz, TransformerCooling Cooling, IReadOnlyList<Size> Sizes);

    internal sealed record Size(double Kva, double UkPct, double? LoadLossW = null, double? NoLoadLossW = null,
        double? HalfLoadEfficiencyPct = null);
}
