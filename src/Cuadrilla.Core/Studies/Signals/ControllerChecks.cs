using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Channels of the controller: <c>io.spare</c>.</summary>
public static class ControllerChecks
{
    private const string Id = "io.spare";

    /// <summary>Part of the channels of a kind that is to stay free, %.</summary>
    public const double SparePct = 20;

    /// <summary>Judges every kind of channel that the controller has.</summary>
    public static IEnumerable<Check> Of(SignalStudy study)
    {
        ArgumentNullException.ThrowIfNull(study);
        foreach (var kind in study.Controller.Cards.GroupBy(c => c.Kind))
        {
            var all = kind.Sum(c => c.Channels);
            var used = kind.Sum(c => study.On(c).Count);
            var spare = 100.0 * (all - used) / all;
            var words = SignalWords.Of(kind.Key);
            yield return CheckWriter.Rule(Id, string.Empty, BoardRow.Plant, $"Spare of {words}",
                spare >= SparePct - 1e-9 ? Verdict.Holds : Verdict.Tight,
                "Relief: a further card.", new Reason($"free channels ≥ {Text.N(SparePct)} %",
                    $"{used} of {all} channels used, {Text.N(spare, 3)} % free", SignalChecks.Source, [])).At($"controller/{kind.Key}");
        }
    }
}
