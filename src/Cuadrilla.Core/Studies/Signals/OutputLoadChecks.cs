using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>What outputs switch against what they carry, and what takes the energy of coils: <c>io.output-load</c>.</summary>
internal static class OutputLoadChecks
{
    private const string Id = "io.output-load";
    private const string Title = "Loads of outputs";
    private const double ControlV = 24;

    /// <summary>Judges the outputs of a unit, and outputs of the controller that switch its coil.</summary>
    public static IEnumerable<Check> Of(SignalStudy study, PointSignals unit, double ratedA, double tightPct)
    {
        List<string> missing = [], faults = [];
        List<Load> loads = [];
        foreach (var signal in unit.Signals.Where(s => s.Terminal is not null && !s.Facts.IsAnalogue))
        {
            if (signal is { Facts.Way: SignalWay.Out, Terminal.Nature: not TerminalNature.PulseOutput })
            {
                OfUnit(study, unit, signal, loads, faults, missing);
            }
            else if (signal is { Terminal.Nature: TerminalNature.Coil, Card: { } card })
            {
                OfController(study, signal, card, ratedA, loads, missing);
            }
        }

        if (faults.Count > 0 || loads.Exists(l => l.LimitA <= 0))
        {
            faults.AddRange(loads.Where(l => l.LimitA <= 0).Select(l => $"{l.Name} does not switch this supply"));
            yield return SignalChecks.Rule(Id, unit, Title, faults, string.Empty, "load, its supply and its suppression fit the output",
                "Relief: a diode (cathode at plus) or varistor at direct current, resistor and capacitor or varistor at alternating "
                    + "current; an intermediate relay.");
        }
        else if (missing.Count > 0 && !loads.Exists(l => l.A > l.LimitA))
        {
            yield return SignalChecks.Lacking(Id, unit, Title, missing);
        }
        else if (loads.Count > 0)
        {
            var worst = loads.MaxBy(l => l.A / l.LimitA)!;
            yield return CheckWriter.Judged(Id, unit.Point.Id, BoardRow.Converter, Title, worst.A, worst.LimitA, "A", LimitSense.AtMost,
                tightPct, "Relief: an intermediate relay or contactor with a smaller coil, another output.",
                new Reason("current of the load ≤ rating of the output into a coil",
                    string.Join("; ", loads.Select(l => $"{l.Name} {Text.N(l.A, 3)} A of {Text.N(l.LimitA)} A")), SignalChecks.Source, []));
        }
    }

    private static void OfUnit(SignalStudy study, PointSignals unit, PlacedSignal signal, List<Load> loads, List<string> faults,
        List<string> missing)
    {
        var (wanted, terminal) = (signal.Wanted, signal.Terminal!);
        var name = $"{signal.Facts.Name} at {terminal.Name}";
        if (wanted.Far == FarEnd.Controller)
        {
            loads.Add(new Load(name, study.Series.InputMa / 1e3, terminal.RatedA));
            return;
        }

        // Without an intermediate relay the brake's own coil hangs on the output.
        if (wanted is { Function: SignalFunction.BrakeRelease, LoadA.IsKnown: false })
        {
            if (unit.Brake?.Coil is { VoltageV.IsKnown: true, PowerW.IsKnown: true } coil)
            {
                loads.Add(new Load(name, coil.PowerW.Value / coil.VoltageV.Value, terminal.RatedA));
                if (coil.Suppression == CoilSuppression.None)
                {
                    faults.Add($"{name}: nothing takes the energy of the brake's coil");
                }
            }
            else
            {
                missing.Add("coil of the brake, or the relay between");
            }

            return;
        }

        if (!wanted.LoadA.IsKnown)
        {
            missing.Add($"coil or lamp at {signal.Facts.Name}");
            return;
        }

        var isAlternating = wanted.LoadSupply == LoadSupply.Ac;
        loads.Add(new Load(name, wanted.LoadA.Value, isAlternating ? terminal.RatedAcA : terminal.RatedA));
        switch (wanted.Suppression)
        {
            case LoadSuppression.NotStated:
                missing.Add($"suppression at {signal.Facts.Name}");
                break;
            case LoadSuppression.Nothing:
                faults.Add($"{name}: nothing takes the energy of its coil");
                break;
            case LoadSuppression.Diode when isAlternating:
                faults.Add($"{name}: a diode across a coil at alternating voltage is a short circuit");
                break;
            case LoadSuppression.Rc when terminal.Nature == TerminalNature.DigitalOutput:
                faults.Add($"{name}: a capacitor across a transistor output; a diode, cathode at plus, belongs there");
                break;
        }
    }

    // The coil pulls in with more than it holds with.
    private static void OfController(SignalStudy study, PlacedSignal signal, ControllerCard card, double ratedA, List<Load> loads,
        List<string> missing)
    {
        if (!card.OutputA.IsKnown)
        {
            missing.Add($"what an output of {card.Name} carries");
        }
        else if (double.IsNaN(ratedA))
        {
            missing.Add("motor, for the size of its contactor");
        }
        else
        {
            var coil = study.Series.Draws.CoilOf(ratedA);
            loads.Add(new Load($"coil at {signal.Channel}", coil.PullW / ControlV, card.OutputA.Value));
        }
    }

    private sealed record Load(string Name, double A, double LimitA);
}
