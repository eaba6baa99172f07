using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.OnePhase;

namespace Cuadrilla.Core.Studies.Candidates;

/// <summary>
/// Judges every motor or converter of the catalogue for a drive point by the same checks that judge the chosen one, best
/// first: those that fit by life-cycle cost (by price while the duty is unknown), then the others by how far they miss.
/// </summary>
public static class CandidateRanking
{
    /// <summary>Motors for a drive point.</summary>
    public static IReadOnlyList<Candidate> Motors(DrivePointInput input, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(data);
        var usual = Usual(input, data);
        return Rank(MotorsFor(input, data).Select(item => MotorOf(input, data, item, usual)),
            id => IsSpecial(data.Motors[id], data, input.DrivePoint.Motor as MotorChoice.FromCatalogue));
    }

    /// <summary>Converters for a drive point.</summary>
    public static IReadOnlyList<Candidate> Converters(DrivePointInput input, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentNullException.ThrowIfNull(data);
        return Rank(ConvertersFor(input, data).Select(item => ConverterOf(input, data, item)),
            id => IsSpecial(data.Converters[id], data, Standing(input), input.OnePhase));
    }

    /// <summary>Motors that are looked at: those made for the supply, and the one that stands.</summary>
    internal static IEnumerable<MotorItem> MotorsFor(DrivePointInput input, EngineeringData data) => WithChosen(
        MadeFor.Motors(data, input.BusVoltageV, input.FrequencyHz), input.DrivePoint.Motor is MotorChoice.FromCatalogue current
            ? data.Motors.GetValueOrDefault(current.ItemId)
            : null);

    /// <summary>Converters likewise.</summary>
    internal static IEnumerable<ConverterItem> ConvertersFor(DrivePointInput input, EngineeringData data) =>
        WithChosen([.. MadeFor.Converters(data, input.BusVoltageV).Where(c => OnePhaseFeed.CanFeed(input.OnePhase, c))],
            Standing(input) is { } current ? data.Converters.GetValueOrDefault(current.ItemId) : null);

    /// <summary>One motor, judged.</summary>
    internal static Candidate MotorOf(DrivePointInput input, EngineeringData data, MotorItem item, IReadOnlyList<ConverterAtSite> usual)
    {
        var model = Build(input, data, WithMotor(input.DrivePoint, item));
        return Judge(
            model,
            MotorChecks.Of(model),
            MotorRuleChecks.Of(model),
            item.Id,
            NameOf(item),
            item.Plate.RatedPowerW / 1e3,
            item.Plate.RatedCurrentA,
            item.PriceIndex,
            (input.DrivePoint.Motor as MotorChoice.FromCatalogue)?.ItemId == item.Id,
            forMotor: true,
            usual);
    }

    /// <summary>One converter, judged.</summary>
    internal static Candidate ConverterOf(DrivePointInput input, EngineeringData data, ConverterItem item)
    {
        var current = Standing(input);
        var choice = OnePhaseFeed.Fed(WithItem(input.Group?.Choice ?? input.DrivePoint.Converter, item), item, input.OnePhase);
        var model = Build(input with { Group = input.Group is { } group ? group with { Choice = choice } : null }, data,
            input.DrivePoint with { Converter = choice });
        var match = MotorChecks.Of(model).Where(c => c.Id == "motor.match");
        return Judge(
            model,
            ConverterChecks.Of(model).Concat(match),
            OnePhasePointChecks.Choice(model),
            item.Id,
            NameOf(item),
            item.RatedKw,
            item.RatedCurrentA(current?.Duty ?? OverloadDuty.Light),
            item.PriceIndex,
            current?.ItemId == item.Id,
            forMotor: false,
            []);
    }

    /// <summary>The converter that stands: the group's, or its own.</summary>
    internal static ConverterChoice.FromCatalogue? Standing(DrivePointInput input) =>
        input.Group?.Choice ?? input.DrivePoint.Converter as ConverterChoice.FromCatalogue;

    /// <summary>
    /// The choice with which a motor is judged, and which choosing it puts in place: settings of the present choice, but a servo motor
    /// has no fan and a new one gets its insulated bearing, which belongs to the purchase.
    /// </summary>
    public static MotorChoice.FromCatalogue WithItem(MotorChoice now, MotorItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        var current = now as MotorChoice.FromCatalogue
            ?? new MotorChoice.FromCatalogue(string.Empty, MotorCooling.OwnFan, ThermalClass.B, MotorConnection.Fitting, false,
                string.Empty);
        if (current.ItemId == item.Id)
        {
            return current;
        }

        var cooling = item.Technology == MotorTechnology.Servo
            ? MotorCooling.Surface
            : current.Cooling == MotorCooling.Surface ? MotorCooling.OwnFan : current.Cooling;
        return current with { ItemId = item.Id, Cooling = cooling, InsulatedBearing = true };
    }

    /// <summary>
    /// The drive point with that motor as it is bought for a converter: an insulated bearing, and from where common-mode currents are
    /// large as well an earthing ring at its shaft, unless cores or a ring are there.
    /// </summary>
    /// <param name="point">The drive point as it is.</param>
    /// <param name="item">The motor.</param>
    /// <param name="reason">Why this one; null keeps what was said.</param>
    public static DrivePoint WithMotor(DrivePoint point, MotorItem item, string? reason = null)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(item);
        var (choice, now) = (WithItem(point.Motor, item), point.Interference);
        return point with
        {
            Motor = reason is null ? choice : choice with { Reason = reason },
            Interference = WantsRing(point, item) ? now with { ShaftRing = true } : now,
        };
    }

    // True where a motor that is put on a drive point comes with an earthing ring at its shaft: behind thyristors nothing asks for one.
    private static bool WantsRing(DrivePoint point, MotorItem item) =>
        item is { Technology: not MotorTechnology.DcSeparatelyExcited, Plate.RatedPowerW: > 1e3 * BearingCheck.BothFromKw }
            && point is { Interference: { ShaftRing: false, CommonModeCores: false } }
            && point.Converter is ConverterChoice.NotChosen or ConverterChoice.FromCatalogue or ConverterChoice.OfGroup
            && (point.Motor as MotorChoice.FromCatalogue)?.ItemId != item.Id;

    /// <summary>The choice with which a converter is judged, and which choosing it puts in place: settings of the present choice.</summary>
    public static ConverterChoice.FromCatalogue WithItem(ConverterChoice now, ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return now is ConverterChoice.FromCatalogue current
            ? current with { ItemId = item.Id }
            : new ConverterChoice.FromCatalogue(item.Id, OverloadDuty.Light, 4, string.Empty, new Braking.Nothing(), OutputFilter.None,
                SupplyFeed.ThreePhase);
    }

    /// <summary>What a motor is, in short.</summary>
    public static string NameOf(MotorItem item)
    {
        ArgumentNullException.ThrowIfNull(item);

        // Cage motors go by their poles, others by the speed they are made for, DC motors by their armature voltage too.
        var made = item.Technology switch
        {
            MotorTechnology.CageInduction => FormattableString.Invariant($"{item.Poles}-pole"),
            MotorTechnology.DcSeparatelyExcited =>
                FormattableString.Invariant($"{item.Plate.RatedSpeedRpm:0} rpm, {item.Plate.RatedVoltageV:0} V"),
            _ => FormattableString.Invariant($"{item.Poles}-pole, {item.Plate.RatedSpeedRpm:0} rpm"),
        };
        return $"{ItemText.Motor(item)} {ItemText.Power(item)}, {made}, {item.Frame}";
    }

    /// <summary>What a converter is, in short.</summary>
    public static string NameOf(ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return FormattableString.Invariant($"{ItemText.Converter(item)}, {ItemText.Power(item)}");
    }

    internal static DrivePointModel Build(DrivePointInput input, EngineeringData data, DrivePoint point) =>
        DrivePointModel.Build(input with { DrivePoint = point }, data);

    // Single-phase inputs and servo drives are bought for other reasons than price: they never lead unless one is chosen, or there is but
    // one phase.
    internal static bool IsSpecial(ConverterItem item, EngineeringData data, ConverterChoice.FromCatalogue? current, OnePhaseFeed? feed) =>
        !item.IsGeneralPurpose && !(feed is { MakesThreePhases: false } && item.FrontEnd is FrontEnd.SinglePhase)
        && (current is null || !data.Converters.TryGetValue(current.ItemId, out var chosen) || chosen.Kind != item.Kind);

    // What is chosen is judged beside the others, whatever it is made for.
    private static IEnumerable<T> WithChosen<T>(IReadOnlyList<T> items, T? chosen)
        where T : class => chosen is null || items.Contains(chosen) ? items : items.Append(chosen);

    // Motors for direct current and servo motors likewise.
    internal static bool IsSpecial(MotorItem item, EngineeringData data, MotorChoice.FromCatalogue? current) =>
        item.Technology is MotorTechnology.DcSeparatelyExcited or MotorTechnology.Servo
        && (current is null || !data.Motors.TryGetValue(current.ItemId, out var chosen) || chosen.Technology != item.Technology);

    private static IReadOnlyList<Candidate> Rank(IEnumerable<Candidate> candidates, Func<string, bool> special) =>
    [
        .. candidates
            .OrderByDescending(c => c.Fits)
            .ThenBy(c => c.Fits && special(c.ItemId))
            .ThenBy(c => c.Fits && c.LifetimeCost is null)
            .ThenByDescending(c => c.NeedsData)
            .ThenBy(c => c.IsRefused)
            .ThenBy(c => c.Fits || c.NeedsData ? c.LifetimeCost ?? c.PriceIndex : Math.Abs(Math.Log(Math.Max(c.UsagePct, 1e-3) / 100)))
            .ThenBy(c => c.ItemId, StringComparer.Ordinal),
    ];

    private static Candidate Judge(
        DrivePointModel model, IEnumerable<Check> sizing, IEnumerable<Check> rules, string id, string name, double kw, double currentA,
        double priceIndex, bool isChosen, bool forMotor,
        IReadOnlyList<ConverterAtSite> usual)
    {
        var all = sizing.ToList();
        var judged = all.Where(c => c.Verdict is Verdict.Holds or Verdict.Tight or Verdict.Fails).OrderBy(c => c.MarginPct.Value).ToList();

        // Before the load is known a voltage may fit, but no size does.
        var sizes = forMotor ? MotorChecks.ContinuousId : ConverterChecks.ContinuousId;
        var isSized = judged.Exists(c => c.Id == sizes);
        var fails = judged.Concat(rules).Where(c => c.Verdict == Verdict.Fails).ToList();
        var worst = judged.FirstOrDefault();
        var mismatch = model is { Fitted.Item: { } motor, Converter: { } converter }
            ? DrivePointModel.Mismatch(motor.Plate, converter.Item, model.Input.OnDcBus)
            : string.Empty;

        // The motor that stands there may stay; a new one has to be lawful.
        var against = forMotor && !isChosen && model.Fitted is { Item: var item }
            ? model.Input.Defaults.LeastMotorClass.Against(item)
            : string.Empty;
        var fits = isSized && fails.Count == 0 && (forMotor || mismatch.Length == 0) && against.Length == 0;
        var refusal = against.Length > 0
            ? "Not permitted: " + against
            : !forMotor && mismatch.Length > 0 ? "Asks for " + mismatch : string.Empty;
        var needsData = !isSized && fails.Count == 0 && refusal.Length == 0;
        var (kwh, cost) = fits ? Cost(model, priceIndex, usual) : (null, null);
        var reason = refusal.Length > 0 ? refusal : needsData
            ? "Needs data: " + all.First(c => c.Id == sizes).Relief
            : string.Join("; ", (fails.Count > 0 ? fails : [worst!]).Select(Say));
        return new Candidate
        {
            ItemId = id,
            Name = name,
            RatedKw = kw,
            RatedCurrentA = currentA,
            Fits = fits,
            NeedsData = needsData,
            IsRefused = refusal.Length > 0,
            Reason = reason,
            UsagePct = worst is null || (!forMotor && mismatch.Length > 0) ? 0 : Usage(worst),
            YearKwh = kwh,
            LifetimeCost = cost,
            PriceIndex = priceIndex,
            IsChosen = isChosen,
            Motor = forMotor && model.Fitted is { Choice: { } m } ? m with { Reason = string.Empty } : null,
            Converter = forMotor ? null : model.Input.DrivePoint.Converter,
        };
    }

    private static (double? Kwh, double? Cost) Cost(DrivePointModel model, double priceIndex, IReadOnlyList<ConverterAtSite> usual)
    {
        // The duty counts as soon as it is entered: motors are compared on the converter that would be taken, the same kind for all.
        Func<double, MeanPower>? power = EnergyAlternatives.Ready(model) is { } drive ? level => MeanPower.Of(drive, level)
            : EnergyAlternatives.Missing(model).ToList() is ["converter"] && model is CabledMotor motor
                && Assumed(motor, usual) is { } assumed ? level => MeanPower.OnConverter(motor, motor.Motor, assumed, level)
            : null;
        if (power is null || model.Load is not { } load)
        {
            return (null, null);
        }

        var points = load.Duty.Where(d => d.HoursPerYear > 0)
            .Select(d => new EnergyPoint(d.LevelPu, d.HoursPerYear, power(d.LevelPu).LineW));
        var year = YearlyEnergy.Of(points, priceIndex, model.Input.Tariff);
        return (year.EnergyKwh, year.LifetimeCost);
    }

    // Generic six-pulse units with choke at this place, smallest first: the first that carries a motor's rated current is what it would be
    // compared on.
    internal static IReadOnlyList<ConverterAtSite> Usual(DrivePointInput input, EngineeringData data) =>
    [
        .. MadeFor.Converters(data, input.BusVoltageV)
            .Where(c => c.OwnName.Length == 0 && c.IsUsual && c.FrontEnd is FrontEnd.Diode)
            .OrderBy(c => c.RatedKw)
            .Select(c => new ConverterAtSite(c, OverloadDuty.Light, 4, input.Site)),
    ];

    private static ConverterAtSite? Assumed(CabledMotor model, IReadOnlyList<ConverterAtSite> usual) =>
        model.Motor.Plate.Technology == MotorTechnology.DcSeparatelyExcited
            ? null
            : usual.FirstOrDefault(c => c.SiteCurrentA >= model.Motor.Plate.RatedCurrentA);

    private static double Usage(Check check) => check.Sense == LimitSense.AtMost
        ? 100 * check.Figure.Value / Math.Max(check.Limit.Value, 1e-9)
        : 100 * check.Limit.Value / Math.Max(check.Figure.Value, 1e-9);

    private static string Say(Check check)
    {
        if (!check.Figure.IsKnown)
        {
            return $"{check.Title}: {check.Reason.WithNumbers}";
        }

        var sign = check.Sense == LimitSense.AtMost ? (check.Verdict == Verdict.Fails ? ">" : "≤") : check.Verdict == Verdict.Fails
            ? "<" : "≥";
        return $"{check.Title}: {Text.N(check.Figure.Value, 3)} {sign} {Text.N(check.Limit.Value, 3)} {check.Unit}";
    }
}
