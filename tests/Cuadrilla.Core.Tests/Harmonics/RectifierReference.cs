using System.Text.Json;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>Cases solved by a general circuit simulator; the origin stands in the file.</summary>
internal sealed record RectifierReference(string Id, RectifierInput Input, JsonElement Result, JsonElement? Resistor)
{
    public static IReadOnlyList<RectifierReference> All { get; } = Load();

    public double Value(string name) => Result.GetProperty(name).GetDouble();

    private static List<RectifierReference> Load()
    {
        var text = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Harmonics", "rectifier-reference.json"));
        var list = new List<RectifierReference>();
        foreach (var entry in JsonDocument.Parse(text).RootElement.GetProperty("cases").EnumerateArray())
        {
            list.Add(new RectifierReference(
                entry.GetProperty("id").GetString()!,
                Read(entry.GetProperty("input")),
                entry.GetProperty("result"),
                entry.TryGetProperty("resistor", out var resistor) ? resistor : null));
        }

        return list;
    }

    public static RectifierInput Read(JsonElement input)
    {
        double Get(string name) => input.TryGetProperty(name, out var value) ? value.GetDouble() : 0;
        var omega = 2 * Math.PI * Get("frequencyHz");
        var voltage = Get("lineVoltageV");
        var xr = Get("sourceXr");
        double inductance, resistance;
        if (input.TryGetProperty("sourceInductanceUh", out var given))
        {
            inductance = given.GetDouble() * 1e-6;
            resistance = omega * inductance / xr;
        }
        else
        {
            var impedance = voltage * voltage / (Get("shortCircuitMva") * 1e6);
            var reactance = impedance * xr / Math.Sqrt(1 + (xr * xr));
            inductance = reactance / omega;
            resistance = reactance / xr;
        }

        return new RectifierInput
        {
            Kind = input.GetProperty("kind").GetString() == "single-phase" ? RectifierKind.SinglePhase : RectifierKind.SixPulse,
            LineVoltageV = voltage,
            FrequencyHz = Get("frequencyHz"),
            SourceResistanceOhm = resistance,
            SourceInductanceH = inductance + (Get("acReactorUh") * 1e-6),
            DcChokeH = Get("dcChokeUh") * 1e-6,
            DcChokeResistanceOhm = 0,
            DcCapacitanceF = Get("dcCapacitanceUf") * 1e-6,
            DcLoadW = Get("dcLoadKw") * 1e3,
            LoadModel = DcLoadModel.ConstantPower,
            UnbalancePu = Get("unbalancePct") / 100,
            Background = new HarmonicEmf(Get("backgroundV5Pct") / 100, Get("backgroundV7Pct") / 100),
            LeakageMismatchPu = Get("leakageMismatchPct") / 100,
        };
    }
}
