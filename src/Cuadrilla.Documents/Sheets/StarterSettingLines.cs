using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Documents.Sheets;

/// <summary>
/// Settings of a starter as they are entered at the machine: currents in per cent of the motor's set current and, beside them, on
/// the starter's own scale; inside the delta the starter carries the line current over √3.
/// </summary>
internal static class StarterSettingLines
{
    public static IEnumerable<SheetLine> Of(DrivePointModel model)
    {
        if (model.Starter is not { } starter)
        {
            yield break;
        }

        yield return new SheetLine("Protection",
            "trip class "
                + $"{TripName(starter.Trip)}{(model.Fitted?.Connected is { } c ? $", set current {Text.N(c.Plate.RatedCurrentA)} A" : string.Empty)}");
        switch (starter.Choice)
        {
            case ConverterChoice.StarDelta s:
                yield return new SheetLine("Time in star", $"{Text.N(s.ChangeOverS)} s");
                break;
            case ConverterChoice.SoftStarter soft when starter.Item is { } item && model.Fitted?.Connected is { } connected:
                foreach (var line in Soft(soft.Settings, item, connected.Plate.RatedCurrentA))
                {
                    yield return line;
                }

                yield return new SheetLine("Terminals",
                    "hardware enable, bypass closed, run, thermistor, control supply: see the list of inputs and outputs of the starter");
                break;
        }
    }

    private static IEnumerable<SheetLine> Soft(SoftStarterSettings s, SoftStarterItem item, double motorA)
    {
        var share = motorA / item.RatedCurrentA * (s.InsideDelta ? 1 / Math.Sqrt(3) : 1);
        string Current(double pct) => $"{Text.N(pct, 3)} % of the motor's current, {Text.N(pct * share, 3)} % of the starter's "
            + $"{Text.N(item.RatedCurrentA)} A, {Text.N(pct / 100 * motorA, 3)} A in the line";
        yield return new SheetLine("Start mode", s.Mode switch
        {
            SoftStartMode.VoltageRamp => $"voltage ramp, from {Text.N(s.InitialPct, 3)} % of the voltage in {Text.N(s.RampS)} s",
            SoftStartMode.CurrentRamp => $"current ramp in {Text.N(s.RampS)} s, from {Current(s.InitialPct)}",
            SoftStartMode.CurrentLimit => "current limit at once",
            _ => throw new InvalidOperationException("Unknown mode of a soft starter."),
        });
        yield return new SheetLine("Current limit", Current(s.CurrentLimitPct));
        yield return new SheetLine("Kick", s.KickPct > 0 ? $"{Text.N(s.KickPct, 3)} % of the voltage for {Text.N(s.KickS)} s" : "none");
        yield return new SheetLine("Connected", s.InsideDelta
            ? "inside the delta: six leads, starter current = line/√3, an isolating contactor, since a winding stays live"
            : "in the line");
        yield return new SheetLine("Stop", s.StopRampS > 0 ? $"voltage ramp of {Text.N(s.StopRampS)} s" : "coasting");
    }

    private static string TripName(TripClass trip) => trip switch
    {
        TripClass.Class5 => "5",
        TripClass.Class10A => "10 A",
        TripClass.Class10 => "10",
        TripClass.Class20 => "20",
        TripClass.Class30 => "30",
        _ => throw new InvalidOperationException("Unknown trip class."),
    };
}
