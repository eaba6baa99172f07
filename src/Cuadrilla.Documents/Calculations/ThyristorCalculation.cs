using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Thyristors;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>thyristor</c>.</summary>
internal static class ThyristorCalculation
{
    private const double Degree = Math.PI / 180;

    public static object Run(Input input)
    {
        var found = ThyristorBridge.Run(new ThyristorInput(input.LineVoltageV, input.ReactanceMohm * 1e-3, input.DcVoltageV,
            input.DcCurrentA));
        if (found is null)
        {
            return new Output(false);
        }

        var fundamental = found.Orders[0].Magnitude;
        return new Output(
            true,
            found.FiringAngleRad / Degree,
            found.OverlapRad / Degree,
            found.ExtinctionAngleRad / Degree,
            fundamental,
            found.RmsA,
            Math.Cos(found.Orders[0].Phase),
            100 * Math.Sqrt(found.Orders.Skip(1).Sum(o => o.Magnitude * o.Magnitude)) / fundamental,
            Math.Sqrt(3) * input.LineVoltageV * found.Orders[0].Real,
            [.. found.Orders.Select(o => o.Magnitude)],
            [.. found.Orders.Select(o => o.Phase / Degree)]);
    }

    internal sealed record Input([Range(1, 100_000)] double LineVoltageV, [Range(0, 1e6)] double ReactanceMohm,
        [Range(-200_000, 200_000)] double DcVoltageV, [Above(0, 1e5)] double DcCurrentA);

    internal sealed record Output(
        bool Commutates,
        double? FiringAngleDeg = null,
        double? OverlapDeg = null,
        double? ExtinctionAngleDeg = null,
        double? FundamentalA = null,
        double? RmsA = null,
        double? DisplacementPowerFactor = null,
        double? ThdiPct = null,
        double? ActivePowerW = null,
        IReadOnlyList<double>? HarmonicRmsA = null,
        IReadOnlyList<double>? HarmonicAngleDeg = null);
}
