using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Core.Studies.Candidates;

/// <summary>One technology's best motor for a load, beside the incumbent. Powers in kW at the busbar.</summary>
public sealed record TechnologyRow
{
    /// <summary>The motor as it was judged.</summary>
    public required Candidate Candidate { get; init; }

    /// <summary>Its kind.</summary>
    public required MotorTechnology Technology { get; init; }

    /// <summary>True for the motor that stands now.</summary>
    public required bool IsIncumbent { get; init; }

    /// <summary>Power at the busbar at the rated point; null while it can't be computed.</summary>
    public required double? LineKw { get; init; }

    /// <summary>Energy of a year; null while it can't be computed.</summary>
    public required double? YearKwh { get; init; }

    /// <summary>Motor current at the rated point: for sizing, not for energy.</summary>
    public required double CurrentA { get; init; }

    /// <summary>Displacement factor at the motor.</summary>
    public required double PowerFactor { get; init; }

    /// <summary>Motor efficiency at the rated point on the converter.</summary>
    public required double EfficiencyPct { get; init; }

    /// <summary>Smallest converter of the catalogue that carries it at this site; null when none does.</summary>
    public required double? ConverterKw { get; init; }

    /// <summary>Its current at this site.</summary>
    public required double? ConverterA { get; init; }

    /// <summary>Frame.</summary>
    public required string Frame { get; init; }

    /// <summary>Shaft height.</summary>
    public required double ShaftHeightMm { get; init; }

    /// <summary>Length.</summary>
    public required double LengthMm { get; init; }

    /// <summary>Mass.</summary>
    public required double MassKg { get; init; }

    /// <summary>Loss in the rotor, which heats bearings and shaft.</summary>
    public required double RotorLossW { get; init; }

    /// <summary>Copper loss in the stator.</summary>
    public required double WindingLossW { get; init; }

    /// <summary>Speed up to which the torque is constant.</summary>
    public required double BaseSpeedRpm { get; init; }

    /// <summary>Mechanical limit.</summary>
    public required double MaxSpeedRpm { get; init; }

    /// <summary>Whether it can run across the line.</summary>
    public required string OnTheLine { get; init; }

    /// <summary>What happens when the shaft is driven with the converter off.</summary>
    public required string DrivenWhileOff { get; init; }

    /// <summary>Extra price over the incumbent's, by the cost saved a year; null when nothing is saved.</summary>
    public required double? PaybackYears { get; init; }
}

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
        if (candidate.Motor is not { } motor
            || DrivePointModel.Build(input with { DrivePoint = input.DrivePoint with { Motor = motor } }, data) is not LoadedMotor model)
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
        return new TechnologyRow
        {
            Candidate = candidate,
            Technology = item.Technology,
            IsIncumbent = candidate.IsChosen,
            LineKw = drive?.At(1).LineW / 1e3,
            YearKwh = year?.EnergyKwh,
            CurrentA = point.CurrentA,
            PowerFactor = point.PowerFactor,
            EfficiencyPct = 100 * point.Efficiency,
            ConverterKw = converter?.Item.RatedKw,
            ConverterA = converter?.SiteCurrentA,
            Frame = item.Frame,
            ShaftHeightMm = item.ShaftHeightMm,
            LengthMm = item.LengthMm,
            MassKg = item.MassKg,
            RotorLossW = point.RotorW,
            WindingLossW = point.StatorW,
            BaseSpeedRpm = model.Motor.BaseSpeedRpm,
            MaxSpeedRpm = item.Plate.MaxSpeedRpm,
            OnTheLine = item.Plate.StartsOnTheLine
                ? FormattableString.Invariant($"yes: {item.Plate.LockedRotorCurrentPu:0.#} × current, ")
                    + FormattableString.Invariant($"{item.Plate.LockedRotorTorquePu:0.#} × torque with locked rotor")
                : "no, converter only",
            DrivenWhileOff = item.Plate.HasMagnets
                ? "voltage at the terminals, "
                    + FormattableString.Invariant($"{item.Plate.BackEmfVPerKrpm * shaft.SpeedRpm / 1000:0} V at rated speed")
                : "dead",
            PaybackYears = null,
        };
    }

    private static ConverterAtSite? Smallest(DrivePointModel model, double neededA, EngineeringData data)
    {
        var (duty, khz) = model.Converter is { } c ? (c.Duty, c.SwitchingKhz) : (OverloadDuty.Light, 4.0);
        return MadeFor.Converters(data, model.Input.BusVoltageV)
            .OrderBy(i => i.RatedKw)
            .Select(i => new ConverterAtSite(model.Referred(i), duty, khz, model.Input.Site))
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
