using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>supply.data</c>: what is missing and what was assumed on the way from the source to one converter.</summary>
internal static class SupplyDataCheck
{
    private const string Id = "supply.data";
    private const string Title = "Supply data";

    public static Check Of(DrivePointModel model, PlantSpecification plant)
    {
        if (model.Input.DrivePoint.Sun is not null)
        {
            return Check.NotConcerned(Id, model.Id, BoardRow.Supply, Title, "fed from the sun");
        }

        var missing = PlantNetwork.Missing(plant).ToList();
        if (model.Feeder is null)
        {
            missing.Add("length and cross-section of the feeder");
        }

        if (missing.Count > 0)
        {
            return Check.Lacking(Id, model.Id, BoardRow.Supply, Title, missing);
        }

        var assumed = plant.Source.Strength is SourceStrength.AssumedInfinite;
        return new Check(
            Id, model.Id, BoardRow.Supply, Title, assumed ? Verdict.Tight : Verdict.Holds, Given.Unknown, Given.Unknown, string.Empty,
            LimitSense.AtMost, Given.Unknown, string.Empty, assumed
                ? "Relief: ask the network operator for the fault level."
                : string.Empty,
            new Reason(
                "every impedance from source to converter is known",
                (assumed ? "the source was assumed infinite: optimistic for distortion" : "nothing missing")
                    + (plant.Source.Strength is SourceStrength.FaultLevel { LeastMva.IsKnown: false }
                        ? "; least fault level not stated, the largest is taken for dips and distortion too"
                        : string.Empty)
                    + (plant.Source is { LowestPct.IsKnown: true, HighestPct.IsKnown: true } s
                        ? FormattableString.Invariant($"; operating range {s.LowestPct.Value:0.#} to {s.HighestPct.Value:0.#} % (proposed ")
                            + "for a new plant: put in the utility's)"
                        : "; the source's operating range is not stated and taken as exactly nominal")
                    + (plant.Source.NotStated().Any()
                        ? "; not stated and taken as none: " + string.Join(", ", plant.Source.NotStated())
                        : string.Empty),
                "docs/methods/supply-network.md",
                []))
        { IsRule = true };
    }
}
