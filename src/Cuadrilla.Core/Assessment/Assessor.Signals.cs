using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Signals;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

/// <summary>Signals of a plant.</summary>
public sealed partial class Assessor
{
    /// <summary>Signals on their terminals and channels.</summary>
    public SignalStudy Signals(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return signals.GetValue(plant, _ => new Once<SignalStudy>()).Get(() => SignalStudy.Of(plant, data.With(plant)));
    }

    private IEnumerable<Check> SignalChecksOf(SupplyContext supply)
    {
        // Where nothing of signals is entered nothing is asked of them.
        if (supply.Plant.Controller is null && supply.Plant.AllDrivePoints().All(p => p.Signals is null))
        {
            return [];
        }

        var study = Signals(supply.Plant);
        var tightPct = supply.Defaults.TightMarginPct;
        return Judging.All("io.spare", string.Empty, BoardRow.Plant, "Spare of channels", () => ControllerChecks.Of(study))
            .Concat(study.Points.SelectMany(unit => Judging.All(SignalChecks.TooFewId, unit.Point.Id, BoardRow.Converter,
                "Terminals and channels", () => SignalChecks.Of(study, unit, unit.Motor?.RatedCurrentA ?? double.NaN, tightPct))));
    }
}
