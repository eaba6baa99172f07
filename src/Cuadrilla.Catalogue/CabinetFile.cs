using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Catalogue;

/// <summary>Generic sections and sizes as the data file has them.</summary>
internal sealed record CabinetFile(
    string Source, string Edition, IReadOnlyList<double> WidthsMm, double TopMm, double BottomMm, double SideMm, double BehindMm,
    double EmptyKgPerM, double SinkInsidePct, string IncomingColumns, IReadOnlyList<double[]> Incoming, double IncomingLossWPerA,
    double IncomingPowerFactor, double ControlMm, double ControlKg, double ControlW, string ConverterColumns,
    IReadOnlyList<double[]> ConverterClear, double StarterClearMm, double StarterHeightPerWidth, double StarterDepthPerWidth,
    string ContactorColumns, IReadOnlyList<double[]> Contactors, double ContactorLossWPerA, string FilterColumns,
    IReadOnlyList<double[]> SineFilters, double SlopeFilterPu, double FilterClearMm, double TransportMm, double TransportKg)
{
    public CabinetSeries Build() => new()
    {
        WidthsMm = WidthsMm,
        TopMm = TopMm,
        BottomMm = BottomMm,
        SideMm = SideMm,
        BehindMm = BehindMm,
        EmptyKgPerM = EmptyKgPerM,
        SinkInsidePu = SinkInsidePct / 100,
        Incoming = [.. Incoming.Select(r => (r[0], r[1], r[2]))],
        IncomingLossWPerA = IncomingLossWPerA,
        IncomingPowerFactor = IncomingPowerFactor,
        ControlMm = ControlMm,
        ControlKg = ControlKg,
        ControlW = ControlW,
        ConverterClear = [.. ConverterClear.Select(r => (r[0], new UnitClearance(r[1], r[2], r[3])))],
        StarterClearMm = StarterClearMm,
        StarterHeightPerWidth = StarterHeightPerWidth,
        StarterDepthPerWidth = StarterDepthPerWidth,
        Contactors = [.. Contactors.Select(r => (r[0], new UnitSize(r[1], r[2], r[3], r[4])))],
        ContactorLossWPerA = ContactorLossWPerA,
        SineFilters = [.. SineFilters.Select(r => (r[0], new UnitSize(r[1], r[2], r[3], r[4])))],
        SlopeFilterPu = SlopeFilterPu,
        FilterClearMm = FilterClearMm,
        TransportMm = TransportMm,
        TransportKg = TransportKg,
    };
}
