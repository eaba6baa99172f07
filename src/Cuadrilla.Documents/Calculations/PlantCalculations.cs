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

    public static object Pcc(PccInput input, InputRanges ranges)
    {
        ranges
            .Number("linearA", input.LinearA, 0, Largest)
            .Number("linearAngleDeg", input.LinearAngleDeg, -360, 360)
            .Number("impedanceROhm", input.ImpedanceROhm, 0, Largest)
            .Number("impedanceXOhm", input.ImpedanceXOhm, 0, Largest)
            .Number("voltageV", input.VoltageV, 1, 1e6)
            .Number("demandA", input.DemandA, 0, Largest, minExcluded: true);
        var currents = new List<Complex[]>();
        for (var i = 0; i < input.Rectifiers.Count; i++)
        {
            currents.Add(Orders(input.Rectifiers[i], $"rectifiers/{i}", ranges));
        }

        ranges.Done();
        var result = PccStudy.Run(new PccStudy.Input(
            currents, Phasor(input.LinearA, input.LinearAngleDeg), 1, new Complex(input.ImpedanceROhm, input.ImpedanceXOhm), input.VoltageV));
        return new PccOutput(
            result.FundamentalA,
            result.HarmonicA,
            result.TddPct(input.DemandA),
            result.ThdiPct,
            result.ThdvPct,
            [.. result.CurrentA.Select(c => c.Magnitude)],
            result.VoltagePct);
    }

    public static object Compare(CompareInput input, InputRanges ranges)
    {
        var tariff = input.Tariff;
        ranges
            .Number("tariff/energyPerKwh", tariff.EnergyPerKwh, 0, 100, minExcluded: true)
            .Number("tariff/demandPerKwYear", tariff.DemandPerKwYear, 0, 1e5)
            .Number("tariff/co2KgPerKwh", tariff.Co2KgPerKwh, 0, 5)
            .Number("tariff/currencyPerIndexPoint", tariff.CurrencyPerIndexPoint, 0, 1e6)
            .Number("tariff/years", tariff.Years, 1, 40)
            .Number("tariff/discountRatePct", tariff.DiscountRatePct, 0, 30);
        foreach (var (name, side) in new[] { ("alternative", input.Alternative), ("reference", input.Reference) })
        {
            ranges
                .Number(name + "/energyKwh", side.EnergyKwh, 0, Largest)
                .Number(name + "/demandKw", side.DemandKw, 0, Largest)
                .Number(name + "/equipmentCost", side.EquipmentCost, 0, Largest);
        }

        ranges.Done();
        return Comparison.Of(Side(input.Alternative, tariff), Side(input.Reference, tariff), tariff);
    }

    private static YearlyEnergy Side(CompareSide side, Tariff tariff)
    {
        var cost = (side.EnergyKwh * tariff.EnergyPerKwh) + (side.DemandKw * tariff.DemandPerKwYear);
        return new YearlyEnergy(
            side.EnergyKwh, side.DemandKw, cost, side.EquipmentCost, side.EquipmentCost + (cost * tariff.AnnuityFactor), side.EnergyKwh * tariff.Co2KgPerKwh);
    }

    public static object YearlyEnergy(YearInput input, InputRanges ranges)
    {
        var tariff = input.Tariff;
        ranges
            .Number("priceIndex", input.PriceIndex, 0, Largest)
            .Number("tariff/energyPerKwh", tariff.EnergyPerKwh, 0, 100)
            .Number("tariff/demandPerKwYear", tariff.DemandPerKwYear, 0, 1e5)
            .Number("tariff/co2KgPerKwh", tariff.Co2KgPerKwh, 0, 5)
            .Number("tariff/currencyPerIndexPoint", tariff.CurrencyPerIndexPoint, 0, 1e6)
            .Number("tariff/years", tariff.Years, 1, 40)
            .Number("tariff/discountRatePct", tariff.DiscountRatePct, 0, 30)
            .Require(input.Points.Sum(p => p.HoursPerYear) <= 8760, "points", "more than 8760 h together", "at most 8760 h together");
        for (var i = 0; i < input.Points.Count; i++)
        {
            ranges
                .Number($"points/{i}/levelPu", input.Points[i].LevelPu, 0, 2)
                .Number($"points/{i}/hoursPerYear", input.Points[i].HoursPerYear, 0, 8760)
                .Number($"points/{i}/lineW", input.Points[i].LineW, 0, Largest);
        }

        ranges.Done();
        return Core.Studies.Energy.YearlyEnergy.Of(input.Points, input.PriceIndex, tariff);
    }

    private static Complex[] Orders(IReadOnlyList<OrderInput> orders, string at, InputRanges ranges)
    {
        var phasors = new Complex[LineCurrent.HighestOrder];
        for (var i = 0; i < orders.Count; i++)
        {
            var (order, rmsA, angleDeg) = orders[i];
            ranges
                .Number($"{at}/{i}/order", order, 1, LineCurrent.HighestOrder)
                .Number($"{at}/{i}/rmsA", rmsA, 0, Largest)
                .Number($"{at}/{i}/angleDeg", angleDeg, -360, 360);
            if (order is >= 1 and <= LineCurrent.HighestOrder)
            {
                phasors[order - 1] += Phasor(rmsA, angleDeg);
            }
        }

        return phasors;
    }

    private static Complex Phasor(double size, double angleDeg) => Complex.FromPolarCoordinates(size, angleDeg * Math.PI / 180);

    internal sealed record OrderInput(int Order, double RmsA, double AngleDeg);

    internal sealed record PccInput(
        IReadOnlyList<IReadOnlyList<OrderInput>> Rectifiers,
        double LinearA,
        double LinearAngleDeg,
        double ImpedanceROhm,
        double ImpedanceXOhm,
        double VoltageV,
        double DemandA);

    internal sealed record PccOutput(
        double FundamentalA,
        double HarmonicA,
        double TddPct,
        double ThdiPct,
        double ThdvPct,
        IReadOnlyList<double> CurrentRmsA,
        IReadOnlyList<double> VoltagePct);

    internal sealed record CompareInput(CompareSide Alternative, CompareSide Reference, Tariff Tariff);

    internal sealed record CompareSide(double EnergyKwh, double DemandKw, double EquipmentCost);

    internal sealed record YearInput(IReadOnlyList<EnergyPoint> Points, double PriceIndex, Tariff Tariff);
}
