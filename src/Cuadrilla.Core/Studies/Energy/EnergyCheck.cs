using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary><c>energy.best-alternative</c>.</summary>
internal static class EnergyCheck
{
    public const string Id = "energy.best-alternative";
    public const string Title = "Life-cycle cost against the best";

    public static Check Of(DrivePointModel model, IReadOnlyList<EnergyAlternative> alternatives)
    {
        var missing = EnergyAlternatives.Missing(model).ToList();
        if (missing.Count > 0)
        {
            return Check.Lacking(Id, model.Id, BoardRow.Load, Title, missing);
        }

        var chosen = alternatives.First(a => a.IsChosen);
        var best = alternatives.FirstOrDefault(a => a.IsChosen || !a.RunsOnLine) ?? chosen;
        var limit = model.Input.Defaults.BestAlternativePct;

        // Where the best earns money its own cost is no measure.
        var measure = best.Year.LifetimeCost > 0 ? best.Year.LifetimeCost : Math.Max(Math.Abs(chosen.Year.LifetimeCost), 1e-9);
        var above = 100 * (chosen.Year.LifetimeCost - best.Year.LifetimeCost) / measure;
        var recorded = Recorded(model);
        var tariff = model.Input.Tariff;
        var reason = new Reason(
            "C = equipment + (E·price + P_max·demand price)·(1 − (1+i)^−n)/i; 100·(C_chosen − C_best)/C_best, over |C_chosen| where the "
                + "best earns money",
            $"chosen: {Money(chosen, tariff.Currency)}; best, {best.Name}: {Money(best, tariff.Currency)}; {Text.N(above, 3)} % above "
                + $"(permitted {Text.N(limit, 3)} %)"
                + (recorded.Length > 0 ? $"; reason recorded: {recorded}" : string.Empty),
            "docs/methods/yearly-energy.md",
            [
                ReasonInput.Of("energy price", tariff.EnergyPerKwh, tariff.Currency + "/kWh", "tariff"),
                ReasonInput.Of("demand price", tariff.DemandPerKwYear, tariff.Currency + "/kW and year", "tariff"),
                ReasonInput.Of("years", tariff.Years, "a", "tariff"),
                ReasonInput.Of("discount rate", tariff.DiscountRatePct, "%", "tariff"),
                ReasonInput.Of("hours per year", chosen.Points.Sum(p => p.HoursPerYear), "h", "load duty"),
            ]);

        // Advice: a dearer choice is tight until a reason is recorded, and stands with one.
        var check = CheckWriter.Judged(
            Id, model.Id, BoardRow.Load, Title, above, limit, "%", LimitSense.AtMost, 0,
            $"Relief: {best.Name}, or record why this one is wanted.", reason);
        return check.Verdict != Verdict.Fails ? check
            : recorded.Length > 0 ? check with { Verdict = Verdict.Holds, MarginPct = Given.Of(0),
                Relief = "Stands with the reason recorded: " + recorded }
            : check with { Verdict = Verdict.Tight, MarginPct = Given.Of(0) };
    }

    private static string Recorded(DrivePointModel model)
    {
        var motor = model.Fitted?.Choice.Reason ?? string.Empty;
        var converter = model.Input.DrivePoint.Converter.ReasonGiven();
        return string.Join("; ", new[] { motor, converter }.Where(r => r.Length > 0));
    }

    private static string Money(EnergyAlternative alternative, string currency) =>
        $"{Text.N(alternative.Year.EquipmentCost, 5)} + {Text.N(alternative.Year.LifetimeCost - alternative.Year.EquipmentCost, 6)} = "
            + $"{Text.N(alternative.Year.LifetimeCost, 6)} {currency}";
}
