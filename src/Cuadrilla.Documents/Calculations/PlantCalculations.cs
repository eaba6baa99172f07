using System.ComponentModel.DataAnnotations;
using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>pcc</c> and <c>yearly-energy</c>.</summary>
internal static class PlantCalculations
{
    private const double Largest = 1e9;

    public static object Pcc(PccInput input)
    {
        var result = PccStudy.Run(new PccStudy.Input(
            [.. input.Rectifiers.Select(Orders)], Phasor(input.LinearA, input.LinearAngleDeg), 1,
            new Complex(input.ImpedanceROhm, input.ImpedanceXOhm), input.VoltageV));
        return new PccOutput(
            result.FundamentalA,
            result.HarmonicA,
            result.TddPct(input.DemandA),
            result.ThdiPct,
            result.ThdvPct,
            [.. result.CurrentA.Select(c => c.Magnitude)],
            result.VoltagePct);
    }

    public static object Compare(CompareInput input)
    {
        var tariff = input.Tariff;
        return Comparison.Of(Side(input.Alternative, tariff), Side(input.Reference, tariff), tariff);
    }

    private static YearlyEnergy Side(CompareSide side, Tariff tariff)
    {
        var cost = (side.EnergyKwh * tariff.EnergyPerKwh) + (side.DemandKw * tariff.DemandPerKwYear);
        return new YearlyEnergy(
            side.EnergyKwh, side.DemandKw, cost, side.EquipmentCost, side.EquipmentCost + (cost * tariff.AnnuityFactor),
            side.EnergyKwh * tariff.Co2KgPerKwh);
    }

    public static object YearlyEnergy(YearInput input, InputRanges ranges)
    {
        var tariff = input.Tariff;
        ranges
            .Require(input.Points.Sum(p => p.HoursPerYear) <= 8760, "points", "more than 8760 h together", "at most 8760 h together");

        ranges.Done();
        return Core.Studies.Energy.YearlyEnergy.Of(input.Points, input.PriceIndex, tariff);
    }

    private static Complex[] Orders(IReadOnlyList<OrderInput> orders)
    {
        var phasors = new Complex[LineCurrent.HighestOrder];
        foreach (var (order, rmsA, angleDeg) in orders)
        {
            phasors[order - 1] += Phasor(rmsA, angleDeg);
        }

        return phasors;
    }

    private static Complex Phasor(double size, double angleDeg) => Complex.FromPolarCoordinates(size, angleDeg * Math.PI / 180);

    internal sealed record OrderInput([Range(1, LineCurrent.HighestOrder)] int Order, [Range(0, Largest)] double RmsA,
        [Range(-360, 360)] double AngleDeg);

    internal sealed record PccInput(
        IReadOnlyList<IReadOnlyList<OrderInput>> Rectifiers,
        [Range(0, Largest)] double LinearA,
        [Range(-360, 360)] double LinearAngleDeg,
        [Range(0, Largest)] double ImpedanceROhm,
        [Range(0, Largest)] double ImpedanceXOhm,
        [Range(1, 1e6)] double VoltageV,
        [Above(0, Largest)] double DemandA);

    internal sealed record PccOutput(
        double FundamentalA,
        double HarmonicA,
        double TddPct,
        double ThdiPct,
        double ThdvPct,
        IReadOnlyList<double> CurrentRmsA,
        IReadOnlyList<double> VoltagePct);

    internal sealed record CompareInput(CompareSide Alternative, CompareSide Reference, Tariff Tariff);

    internal sealed record CompareSide([Range(0, Largest)] double EnergyKwh, [Range(0, Largest)] double DemandKw,
        [Range(0, Largest)] double EquipmentCost);

    internal sealed record YearInput(IReadOnlyList<EnergyPoint> Points, [Range(0, Largest)] double PriceIndex, Tariff Tariff);
}
