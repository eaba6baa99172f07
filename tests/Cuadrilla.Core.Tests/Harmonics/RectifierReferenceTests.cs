using System.Numerics;
using System.Text.Json;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>The study against a general circuit simulator, within half of what the work demands.</summary>
public sealed class RectifierReferenceTests
{
    public static TheoryData<string> Ids => [.. RectifierReference.All.Select(c => c.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void Agrees_with_the_circuit_simulator(string id)
    {
        var reference = RectifierReference.All.Single(c => c.Id == id);
        var result = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(reference.Input));
        var phase = result.PhaseA;

        Within(reference.Value("fundamentalA"), phase.FundamentalA, 0.001, "I1");
        Within(reference.Value("rmsA"), phase.RmsA, 0.001, "Irms");
        Within(reference.Value("peakA"), phase.PeakA, 0.002, "Ipeak");
        Within(reference.Value("activePowerW"), result.ActivePowerW, 0.001, "P");
        Within(reference.Value("dcVoltageMeanV"), result.DcVoltageMeanV, 0.001, "Vdc");
        Within(reference.Value("dcVoltageRipplePkPkV"), result.DcVoltageRipplePkPkV, 0.002, "ripple");
        Within(reference.Value("dcCurrentMeanA"), result.DcCurrentMeanA, 0.001, "Idc");
        Assert.Equal(reference.Value("thdiPct"), phase.ThdiPct, 0.05);
        if (result.Phases.Count == 3)
        {
            Assert.Equal(reference.Value("thdiMaxPct"), result.WorstPhase.ThdiPct, 0.1);
        }

        Assert.Equal(reference.Value("displacementPowerFactor"), phase.DisplacementPowerFactor, 0.0005);
        Assert.Equal(reference.Value("truePowerFactor"), phase.TruePowerFactor, 0.0005);
        OrdersAgree(reference.Result, phase);
        if (reference.Result.TryGetProperty("phaseB", out var phaseB))
        {
            OrdersAgree(phaseB, result.Phases[1]);
            OrdersAgree(reference.Result.GetProperty("phaseC"), result.Phases[2]);
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void A_resistor_of_the_same_power_agrees_with_the_circuit_simulator(string id)
    {
        var reference = RectifierReference.All.Single(c => c.Id == id);
        Assert.True(reference.Resistor.HasValue);
        var resistor = reference.Resistor.Value;
        var input = reference.Input with { LoadModel = DcLoadModel.Resistor, DcLoadW = resistor.GetProperty("dcPowerW").GetDouble() };
        var result = Assert.IsType<RectifierResult.SteadyState>(RectifierStudy.Run(input));
        Within(resistor.GetProperty("fundamentalA").GetDouble(), result.PhaseA.FundamentalA, 0.001, "I1");
        Within(resistor.GetProperty("dcVoltageMeanV").GetDouble(), result.DcVoltageMeanV, 0.001, "Vdc");
        Assert.Equal(resistor.GetProperty("thdiPct").GetDouble(), result.PhaseA.ThdiPct, 0.05);
    }

    private static void OrdersAgree(JsonElement expected, LineCurrent phase)
    {
        var rms = expected.GetProperty("harmonicRmsA");
        var angle = expected.GetProperty("harmonicAngleDeg");
        for (var order = 1; order <= LineCurrent.HighestOrder; order++)
        {
            var wanted = Complex.FromPolarCoordinates(rms[order - 1].GetDouble(), angle[order - 1].GetDouble() * Math.PI / 180);
            var distance = (wanted - phase.Orders[order - 1]).Magnitude / phase.FundamentalA;
            Assert.True(distance < 0.001, $"order {order}: phasor off by {100 * distance:0.0000} % of I1");
        }
    }

    private static void Within(double expected, double actual, double relative, string what) =>
        Assert.True(Math.Abs(actual - expected) <= relative * Math.Abs(expected), $"{what}: {actual} against {expected}");
}
