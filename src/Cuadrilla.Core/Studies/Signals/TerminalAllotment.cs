using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Gives the signals of one unit its terminals: those by hand first, then each the first free one that fits best.</summary>
internal static class TerminalAllotment
{
    /// <summary>Terminals by the key of the signal; a signal without one is not in it.</summary>
    public static IReadOnlyDictionary<string, UnitTerminal> Of(SignalPlan plan, IReadOnlyList<UnitTerminal> terminals)
    {
        Dictionary<string, UnitTerminal> given = new(StringComparer.Ordinal);
        HashSet<string> taken = new(StringComparer.Ordinal);
        foreach (var wanted in plan.Wanted.Where(w => w.Terminal.Length > 0 && Needs(plan, w)))
        {
            if (terminals.FirstOrDefault(t => t.Name == wanted.Terminal) is { } byHand)
            {
                given[wanted.Id] = byHand;
                taken.Add(byHand.Name);
            }
        }

        // What switches a coil needs a contact more than what is told.
        foreach (var wanted in plan.Wanted.Where(w => w.Terminal.Length == 0 && Needs(plan, w))
            .OrderBy(w => w.Function is SignalFunction.BrakeRelease or SignalFunction.SupplyContactor ? 0 : 1))
        {
            var natures = SignalFacts.Of(wanted.Function).Natures;
            var free = terminals.Where(t => !taken.Contains(t.Name) && t.Takes(wanted.Function))
                .OrderBy(t => natures.ToList().IndexOf(t.Nature)).FirstOrDefault();
            if (free is not null)
            {
                given[wanted.Id] = free;
                taken.Add(free.Name);
            }
        }

        return given;
    }

    /// <summary>A signal needs a terminal of the unit.</summary>
    public static bool Needs(SignalPlan plan, WantedSignal wanted) =>
        wanted.Function != SignalFunction.ResistorSwitch || plan.ResistorTrip == ResistorTrip.TripsUnit;
}
