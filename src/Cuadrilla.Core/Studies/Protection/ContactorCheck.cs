using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary><c>contactor.duty</c>: the line contactor of a drive point against the current of its utilisation category.</summary>
internal static class ContactorCheck
{
    private const string Id = "contactor.duty";
    private const string Title = "Contactor";

    public static IEnumerable<Check> Of(FeederStudy feeder)
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
            yield return Check.Lacking(Id, feeder.Model.Id, BoardRow.Converter, Title, [$"rated current of its contactor in {asked.Category}; proposed: {asked.Words}"]);
            yield break;
        }

        yield return CheckWriter.Judged(
            Id, feeder.Model.Id, BoardRow.Converter, $"{Title}, {asked.Category}", asked.CurrentA, stated.Value, "A", LimitSense.AtMost, 0,
            $"Relief: {asked.Words}. A contactor isolates nothing: lock a switch in the open position before work.",
            new Reason(asked.Formula, $"{Text.N(asked.CurrentA)} A against {Text.N(stated.Value)} A in {asked.Category}", "IEC 60947-4-1, utilisation categories", [ReasonInput.Of("rated operational current", stated.Value, "A", "drive point")]));
    }

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
        string Ac1(double a) => gear.ForAc1(a) is { } c ? $"AC-1 {Text.N(c.Ac1A)} A" : "none of the series";
        return feeder.Model.Starter?.Choice switch
        {
            ConverterChoice.StarDelta => new ContactorTask(
                "AC-3", amperes / Math.Sqrt(3), "line and delta contactor I/√3, star contactor I/3",
                $"line and delta {Ac3(amperes / Math.Sqrt(3))}, star {Ac3(amperes / 3)}, overload relay in the phases at {Text.N(amperes / Math.Sqrt(3))} A"),
            ConverterChoice.AcrossTheLine => new ContactorTask("AC-3e", amperes, "rated current of the motor, closed on its locked-rotor current", Ac3(amperes)),
            ConverterChoice.SoftStarter => new ContactorTask("AC-1", amperes, "closed and opened without current, the bypass too: the soft starter switches", Ac1(amperes)),
            _ => new ContactorTask("AC-1", amperes, "rms at the converter's input; switched seldom, the link is charged at every closing", Ac1(amperes)),
        };
    }
}

/// <summary>What is asked of a contactor.</summary>
/// <param name="Category">Utilisation category.</param>
/// <param name="CurrentA">Current in it, A.</param>
/// <param name="Formula">How that follows.</param>
/// <param name="Words">What is proposed.</param>
internal sealed record ContactorTask(string Category, double CurrentA, string Formula, string Words);
