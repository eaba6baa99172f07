using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of sun instead of mains: strings of modules, twelve typical days.</summary>
internal static class PvCalculations
{
    private const double LargestA = 100_000;
    private const double LargestV = 100_000;
    private const double ColdestC = -60;
    private const double HottestC = 400;
    private const double Large = 1e9;

    public static object String(StringInput input, InputRanges ranges)
    {
        var module = new PvModule(input.UocV, input.UmpV, input.IscA, input.UocPctPerK, input.UmpPctPerK, input.ModulePeakW,
            input.ModuleFuseA, input.NoctC, input.Bifacial);
        var cold = module.UocAtV(input.ColdC);
        var limit = Math.Min(input.DcMaxV, Math.Min(input.ModuleMaxV, input.SwitchgearMaxV));
        var lowest = limit == input.DcMaxV ? "dcMaxV" : limit == input.ModuleMaxV ? "moduleMaxV" : "switchgearMaxV";
        ranges
            .Require(input.UocV > input.UmpV, "uocV", $"{input.UocV}", $"above {input.UmpV}, umpV")
            .Require(input.ColdC < input.HotC, "coldC", $"{input.ColdC}", $"below {input.HotC}, hotC")
            .Require(limit >= cold, lowest, $"{limit}", $"at least {cold}, one module when cold")
            .Done();
        var most = PvString.MostModules(limit, cold);
        var modules = input.Modules ?? most;
        var cellC = PvArray.CellC(input.NoctC, input.HotC, input.IrradianceWPerM2);
        var hot = module.UmpAtV(cellC);
        var line = PvString.LineV(modules * hot);
        var motor = line * (1 - (input.FilterDropPct / 100));
        var needed = PvString.NeedsFuses(module, input.Strings);
        var arrayKw = modules * input.Strings * input.ModulePeakW / 1e3;
        return new StringOutput(
            limit, cold, most, modules, modules * cold, modules * cold <= limit, cellC, hot, modules * hot, line, motor,
            input.MotorFrequencyHz * Math.Min(1, motor / input.MotorVoltageV), PvString.StringA(module), needed,
            needed ? PvString.FuseA(module) : null, PvString.SurgePu * modules * input.UocV, arrayKw, PvString.InsulationKohm(arrayKw));
    }

    public static object Year(YearInput input)
    {
        var months = PvYear.Of(
            new PvYear.Site(input.LatitudeDeg, input.TiltDeg, input.AmbientC, input.SwingK, input.Clearness, input.Albedo),
            new PvArray(input.PeakKw, input.NoctC, input.PowerPctPerK), input.LimitKw);
        return new YearOutput(months, months.Sum(m => m.EnergyKwh), months.Zip(PvYear.DaysOf, (m, d) => m.TiltedKwhPerM2 * d).Sum());
    }

    internal sealed record StringInput(
        [Above(0, LargestV)] double UocV,
        [Above(0, LargestV)] double UmpV,
        [Above(0, LargestA)] double IscA,
        [Below(-1, 0)] double UocPctPerK,
        [Below(-1, 0)] double UmpPctPerK,
        [Above(0, Large)] double ModulePeakW,
        [Above(0, LargestA)] double ModuleFuseA,
        [Range(ColdestC, HottestC)] double ColdC,
        [Range(ColdestC, HottestC)] double HotC,
        [Above(0, LargestV)] double DcMaxV,
        [Above(0, LargestV)] double MotorVoltageV,
        [Above(0, Large)] double MotorFrequencyHz,
        [Range(30, 70)] double NoctC = 45,
        bool Bifacial = false,
        [Range(100, 1400)] double IrradianceWPerM2 = 1000,
        [Above(0, LargestV)] double ModuleMaxV = 1500,
        [Above(0, LargestV)] double SwitchgearMaxV = 1500,
        [Range(1, 1000)] int? Modules = null,
        [Range(1, 1000)] int Strings = 1,
        [Range(0, 100)] double FilterDropPct = 3);

    internal sealed record StringOutput(double DcLimitV, double UocColdV, int ModulesMax, int Modules, double StringColdV,
        bool StringHolds, double CellHotC, double UmpHotV, double StringHotV, double LineV, double MotorV, double FullFluxHz,
        double StringCurrentA, bool FuseNeeded, double? FuseA, double SurgeV, double ArrayKw, double? InsulationKohm);

    internal sealed record YearInput(
        [Range(-90, 90)] double LatitudeDeg,
        [Range(0, 90)] double TiltDeg,
        [Above(0, Large)] double PeakKw,
        [Length(12, 12), Range(ColdestC, HottestC)] IReadOnlyList<double> AmbientC,
        [Length(12, 12), Range(0, 1.2)] IReadOnlyList<double> Clearness,
        [Range(0, 40)] double SwingK = 0,
        [Range(0, 1)] double Albedo = 0.2,
        [Range(30, 70)] double NoctC = 45,
        [Range(-1, 0)] double PowerPctPerK = -0.35,
        [Above(0, Large)] double? LimitKw = null);

    internal sealed record YearOutput(IReadOnlyList<PvYear.Month> Months, double YearKwh, double TiltedKwhPerM2);
}
