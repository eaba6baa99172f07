using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Core.Studies.Candidates;

/// <summary>One technology's best motor for a load, beside the incumbent. Powers in kW at the busbar.</summary>
/// <param name="Candidate">The motor as it was judged.</param>
/// <param name="Technology">Its kind.</param>
/// <param name="IsIncumbent">True for the motor that stands now.</param>
/// <param name="LineKw">Power at the busbar at the rated point; null while it can't be computed.</param>
/// <param name="YearKwh">Energy of a year; null while it can't be computed.</param>
/// <param name="CurrentA">Motor current at the rated point: for sizing, not for energy.</param>
/// <param name="PowerFactor">Displacement factor at the motor.</param>
/// <param name="EfficiencyPct">Motor efficiency at the rated point on the converter.</param>
/// <param name="ConverterKw">Smallest converter of the catalogue that carries it at this site; null when none does.</param>
/// <param name="ConverterA">Its current at this site.</param>
/// <param name="Frame">Frame.</param>
/// <param name="ShaftHeightMm">Shaft height.</param>
/// <param name="LengthMm">Length.</param>
/// <param name="MassKg">Mass.</param>
/// <param name="RotorLossW">Loss in the rotor, which heats bearings and shaft.</param>
/// <param name="WindingLossW">Copper loss in the stator.</param>
/// <param name="BaseSpeedRpm">Speed up to which the torque is constant.</param>
/// <param name="MaxSpeedRpm">Mechanical limit.</param>
/// <param name="OnTheLine">Whether it can run across the line.</param>
/// <param name="DrivenWhileOff">What happens when the shaft is driven with the converter off.</param>
/// <param name="PaybackYears">Extra price over the incumbent's, by the cost saved a year; null when nothing is saved.</param>
public sealed record TechnologyRow(
    Candidate Candidate,
    MotorTechnology Technology,
    bool IsIncumbent,
    double? LineKw,
    double? YearKwh,
    double CurrentA,
    double PowerFactor,
    double EfficiencyPct,
    double? ConverterKw,
    double? ConverterA,
    string Frame,
    double ShaftHeightMm,
    double LengthMm,
    double MassKg,
    double RotorLossW,
    double WindingLossW,
    double BaseSpeedRpm,
    double MaxSpeedRpm,
    string OnTheLine,
    string DrivenWhileOff,
    double? PaybackYears);

/// <summary>The best motor of each technology for one load, and the incumbent first. See <c>docs/methods/motor-losses.md</c>.</summary>
public static class TechnologyComparison
{
    /// <summary>Rows of a drive point whose load is complete; empty otherwise.</summary>
    public static IReadOnlyList<TechnologyRow> Of(DrivePointInput input, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(data);
        var model = DrivePointModel.Build(input, data);
        if (model.Load is null)
        {
            return [];
        }

        var ranked = CandidateRanking.Motors(input, data);
        var chosen = ranked.Where(c => c.IsChosen);
        var best = ranked.GroupBy(c => data.Motors[c.ItemId].Technology).OrderBy(g => g.Key).Select(g => g.First());
        var rows = chosen.Concat(best.Where(c => !c.IsChosen)).Select(c => Row(c, input, data)).OfType<TechnologyRow>().ToList();
        var incumbent = rows.FirstOrDefault(r => r.IsIncumbent);
        return [.. rows.Select(r => r with { PaybackYears = Payback(r, incumbent, input) })];
    }

    private static TechnologyRow? Row(Candidate candidate, DrivePointInput input, EngineeringData data)
    {
        var item = data.Motors[candidate.ItemId];
        if (candidate.Motor is not { } motor || DrivePointModel.Build(input with { DrivePoint = input.DrivePoint with { Motor = motor } }, data) is not LoadedMotor model)
        {
            return null;
        }

        var shaft = model.Load.At(1);
        var point = model.Motor.At(shaft.SpeedRpm, shaft.TorqueNm, MotorFeed.Converter);
        var needed = CurrentDemand.Continuous(model).CurrentA;
        var converter = item.Technology == MotorTechnology.DcSeparatelyExcited ? null : Smallest(model, needed, data);
        var drive = EnergyAlternatives.Ready(model);
        var year = drive is not null
            ? YearlyEnergy.Of(
                model.Load.Duty.Where(d => d.HoursPerYear > 0).Select(d => new EnergyPoint(
                    d.LevelPu, d.HoursPerYear, MeanPower.Of(drive, d.LevelPu).LineW)),
                item.PriceIndex,
                input.Tariff)
            : null;
        return new TechnologyRow(
            candidate,
            item.Technology,
            candidate.IsChosen,
            drive?.At(1).LineW / 1e3,
            year?.EnergyKwh,
            point.CurrentA,
            point.PowerFactor,
            100 * point.Efficiency,
            converter?.Item.RatedKw,
            converter?.SiteCurrentA,
            item.Frame,
            item.ShaftHeightMm,
            item.LengthMm,
            item.MassKg,
            point.RotorW,
            point.StatorW,
            model.Motor.BaseSpeedRpm,
            item.Plate.MaxSpeedRpm,
            item.Plate.StartsOnTheLine
                ? FormattableString.Invariant($"yes: {item.Plate.LockedRotorCurrentPu:0.#} × current, {item.Plate.LockedRotorTorquePu:0.#} × torque with locked rotor")
                : "no, converter only",
            item.Plate.HasMagnets
                ? FormattableString.Invariant($"voltage at the terminals, {item.Plate.BackEmfVPerKrpm * shaft.SpeedRpm / 1000:0} V at rated speed")
                : "dead",
            null);
    }

    private static ConverterAtSite? Smallest(DrivePointModel model, double neededA, EngineeringData data)
    {
        var (duty, khz) = model.Converter is { } c ? (c.Duty, c.SwitchingKhz) : (OverloadDuty.Light, 4.0);
        return data.Converters.Values
            .OrderBy(i => i.RatedKw)
            .Select(i => new ConverterAtSite(i, duty, khz, model.Input.Site))
            .FirstOrDefault(i => i.SiteCurrentA >= neededA);
    }

    private static double? Payback(TechnologyRow row, TechnologyRow? incumbent, DrivePointInput input)
    {
        if (incumbent is null || row.IsIncumbent || row.YearKwh is not { } energy || incumbent.YearKwh is not { } before)
        {
            return null;
        }

        var saved = (before - energy) * input.Tariff.EnergyPerKwh;
        var extra = (row.Candidate.PriceIndex - incumbent.Candidate.PriceIndex) * input.Tariff.CurrencyPerIndexPoint;
        return Comparison.Payback(extra, saved);
    }
}
