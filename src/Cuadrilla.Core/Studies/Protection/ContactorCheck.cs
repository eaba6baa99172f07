using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary><c>contactor.duty</c>: line contactor, bypass contactor and isolator of a drive point against the current of their utilisation
/// categories.</summary>
internal static class ContactorCheck
{
    private const string Id = "contactor.duty";
    private const string Title = "Contactor";

    public static IEnumerable<Check> Of(FeederStudy feeder) => [.. Line(feeder), .. Bypass(feeder), .. Isolator(feeder)];

    private static IEnumerable<Check> Line(FeederStudy feeder)
    {
        var stated = feeder.Point.Devices.ContactorA;
        if (!feeder.HasFeeder || (!stated.IsKnown && !feeder.IsOnLine))
        {
            yield break;
        }

        if (Asked(feeder) is not { } asked)
        {
            yield return Check.Lacking(Id, feeder.Model.Id, BoardRow.Converter, Title, feeder.FeederMissing);
            yield break;
        }

        if (!stated.IsKnown)
        {
            yield return Check.Lacking(Id, feeder.Model.Id, BoardRow.Converter, Title,
                [$"rated current of its contactor in {asked.Category}; proposed: {asked.Words}"]);
            yield break;
        }

        yield return CheckWriter.Judged(
            Id, feeder.Model.Id, BoardRow.Converter, $"{Title}, {asked.Category}", asked.CurrentA, stated.Value, "A", LimitSense.AtMost, 0,
            $"Relief: {asked.Words}. A contactor isolates nothing: lock a switch in the open position before work.",
            new Reason(asked.Formula, $"{Text.N(asked.CurrentA)} A against {Text.N(stated.Value)} A in {asked.Category}",
                "IEC 60947-4-1, utilisation categories", [ReasonInput.Of("rated operational current", stated.Value, "A", "drive point")]));
    }

    // Closed and opened while the thyristors carry: it switches nothing, but carries the motor for ever.
    private static IEnumerable<Check> Bypass(FeederStudy feeder)
    {
        const string title = "Bypass contactor";
        var stated = feeder.Point.Devices.BypassA;
        if (!feeder.HasFeeder || !stated.IsKnown || feeder.Starter?.Item is null)
        {
            yield break;
        }

        if (feeder.FeederCurrent is not { } current)
        {
            yield return Check.Lacking(Id, feeder.Model.Id, BoardRow.Converter, title, feeder.FeederMissing).At("bypass");
            yield break;
        }

        var amperes = DesignCurrents.SixConductors(feeder.Model) ? current.CurrentA / Math.Sqrt(3) : current.CurrentA;
        yield return CheckWriter.Judged(
            Id, feeder.Model.Id, BoardRow.Converter, $"{title}, AC-1", amperes, stated.Value, "A", LimitSense.AtMost, 0,
            $"Relief: {Ac1(feeder, amperes)}. Where it may have to break the motor, AC-3.",
            new Reason(
                "current of the motor, inside its delta divided by √3; the thyristors make and break",
                $"{Text.N(amperes)} A against {Text.N(stated.Value)} A in AC-1",
                "IEC 60947-4-1 and 60947-4-2", [ReasonInput.Of("rated operational current", stated.Value, "A", "drive point")]))
                    .At("bypass");
    }

    // Ahead of a converter its device may let more through for ever than the converter draws.
    private static IEnumerable<Check> Isolator(FeederStudy feeder)
    {
        const string title = "Isolator";
        var stated = feeder.Point.Devices.IsolatorA;
        if (!feeder.HasFeeder || !stated.IsKnown)
        {
            yield break;
        }

        if (feeder.FeederCurrent is not { } current)
        {
            yield return Check.Lacking(Id, feeder.Model.Id, BoardRow.Supply, title, feeder.FeederMissing).At("isolator");
            yield break;
        }

        if (!feeder.IsOnLine && feeder.GatesOf(feeder.Chosen) is null)
        {
            yield return Check.Lacking(Id, feeder.Model.Id, BoardRow.Supply, title,
                ["protective device of the feeder: what it lets through, the isolator carries"]).At("isolator");
            yield break;
        }

        var letsA = feeder.IsOnLine ? 0 : feeder.GatesOf(feeder.Chosen)!.OverloadA;
        var (amperes, category) = (Math.Max(current.CurrentA, letsA), feeder.IsOnLine ? "AC-23A" : "AC-21A");
        var fits = feeder.Supply.Data.Switchgear.IsolatorA.FirstOrDefault(a => a >= amperes) is > 0 and var ratedA
            ? $"{Text.N(ratedA)} A"
            : "none of the series";
        yield return CheckWriter.Judged(
            Id, feeder.Model.Id, BoardRow.Supply, $"{title}, {category}", amperes, stated.Value, "A", LimitSense.AtMost, 0,
            $"Relief: {fits}, or a smaller device ahead. Lock it open and prove the absence of voltage before work; a link stays charged.",
            new Reason(
                letsA > current.CurrentA ? "what the device ahead lets through for ever" : "design current",
                $"{Text.N(amperes)} A against {Text.N(stated.Value)} A in {category}",
                "IEC 60947-3, utilisation categories; its short-circuit rating holds with the fuses or breaker its maker names",
                [ReasonInput.Of("rated operational current", stated.Value, "A", "drive point")]),
            current.Scenario).At("isolator");
    }

    /// <summary>The smallest isolator of the series that carries a drive point behind a device, A; null where none does, or something of
    /// it is not known.</summary>
    public static double? IsolatorA(FeederStudy feeder, ProtectiveDevice? device) =>
        feeder.FeederCurrent is { } current
            && (feeder.IsOnLine ? 0 : device is null ? null : feeder.GatesOf(device)?.OverloadA) is { } letsA
            ? feeder.Supply.Data.Switchgear.IsolatorA.Where(a => a >= Math.Max(current.CurrentA, letsA)).Select(a => (double?)a)
                .FirstOrDefault()
            : null;

    private static string Ac1(FeederStudy feeder, double amperes) =>
        feeder.Supply.Data.Switchgear.ForAc1(amperes, feeder.Bus.NominalVoltageV) is { } c
            ? $"AC-1 {Text.N(c.Ac1A)} A"
            : "none of the series";

    /// <summary>What is asked of the contactors of a drive point; null while its current is not known.</summary>
    public static ContactorTask? Asked(FeederStudy feeder)
    {
        if (feeder.FeederCurrent is not { } current)
        {
            return null;
        }

        var gear = feeder.Supply.Data.Switchgear;
        var (amperes, voltage) = (current.CurrentA, feeder.Bus.NominalVoltageV);
        string Ac3(double a) => gear.ForAc3(a, voltage) is { } c ? $"AC-3 {Text.N(c.Ac3A)} A" : "none of the series";
        return feeder.Model.Starter?.Choice switch
        {
            ConverterChoice.StarDelta => new ContactorTask(
                "AC-3", amperes / Math.Sqrt(3), "line and delta contactor I/√3, star contactor I/3",
                $"line and delta {Ac3(amperes / Math.Sqrt(3))}, star {Ac3(amperes / 3)}, overload relay in the phases at "
                    + $"{Text.N(amperes / Math.Sqrt(3))} A"),
            ConverterChoice.AcrossTheLine => new ContactorTask("AC-3e", amperes,
                "rated current of the motor, closed on its locked-rotor current", Ac3(amperes)),
            ConverterChoice.SoftStarter => new ContactorTask("AC-1", amperes,
                "closed and opened without current, the bypass too: the soft starter switches", Ac1(feeder, amperes)),
            _ => new ContactorTask("AC-1", amperes, "rms at the converter's input; switched seldom, the link is charged at every closing",
                Ac1(feeder, amperes)),
        };
    }
}

/// <summary>What is asked of a contactor.</summary>
/// <param name="Category">Utilisation category.</param>
/// <param name="CurrentA">Current in it, A.</param>
/// <param name="Formula">How that follows.</param>
/// <param name="Words">What is proposed.</param>
internal sealed record ContactorTask(string Category, double CurrentA, string Formula, string Words);
