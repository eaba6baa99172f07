using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.FrontEnds;

namespace Cuadrilla.Core.Converters;

/// <summary>
/// A converter from the engineer's own catalogue, kept in the project with the catalogue's name and version, so that the project
/// still says the same when the catalogue has moved on. What is not stated may stay open.
/// </summary>
/// <param name="Id">Stable key, unique in the project and not one of the catalogue's.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Catalogue">Name of the catalogue.</param>
/// <param name="Version">Its version or date.</param>
/// <param name="Kind">What it is.</param>
/// <param name="RatedKw">Nominal size for light overload, kW.</param>
/// <param name="RatedVoltageV">Line voltage, V.</param>
/// <param name="LightCurrentA">Continuous output current for light overload, A.</param>
/// <param name="HeavyCurrentA">Continuous output current for heavy overload, A.</param>
/// <param name="ChokePct">DC choke, %.</param>
/// <param name="LightOverloadPct">Overload for a minute every ten on the light rating, %.</param>
/// <param name="HeavyOverloadPct">Overload for a minute every ten on the heavy rating, %.</param>
/// <param name="LossF0I25W">Loss at 0 % frequency, 25 % torque current, W; all eight or none.</param>
/// <param name="LossF0I50W">At 0 %, 50 %.</param>
/// <param name="LossF0I100W">At 0 %, 100 %.</param>
/// <param name="LossF50I25W">At 50 %, 25 %.</param>
/// <param name="LossF50I50W">At 50 %, 50 %.</param>
/// <param name="LossF50I100W">At 50 %, 100 %.</param>
/// <param name="LossF90I50W">At 90 %, 50 %.</param>
/// <param name="LossF90I100W">At 90 %, 100 %.</param>
/// <param name="StandbyW">Loss when energised but stopped, W.</param>
/// <param name="CapacitanceUf">Link capacitance, µF.</param>
/// <param name="LeastBrakeOhm">Least brake resistance, ohm.</param>
/// <param name="ShortCircuitKa">Rated conditional short-circuit current, kA.</param>
/// <param name="SinglePhaseFeedPu">Factor when fed by two conductors only.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="HeightMm">Height, mm.</param>
/// <param name="DepthMm">Depth, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="AirflowM3PerH">Cooling air, m³/h.</param>
/// <param name="PriceIndex">Price in index points.</param>
public sealed record OwnConverter(
    string Id,
    string Name,
    string Catalogue,
    string Version,
    ConverterKind Kind,
    double RatedKw,
    double RatedVoltageV,
    double LightCurrentA,
    Given HeavyCurrentA,
    Given ChokePct,
    Given LightOverloadPct,
    Given HeavyOverloadPct,
    Given LossF0I25W,
    Given LossF0I50W,
    Given LossF0I100W,
    Given LossF50I25W,
    Given LossF50I50W,
    Given LossF50I100W,
    Given LossF90I50W,
    Given LossF90I100W,
    Given StandbyW,
    Given CapacitanceUf,
    Given LeastBrakeOhm,
    Given ShortCircuitKa,
    Given SinglePhaseFeedPu,
    Given WidthMm,
    Given HeightMm,
    Given DepthMm,
    Given MassKg,
    Given AirflowM3PerH,
    Given PriceIndex)
{
    /// <summary>Largest gG fuse, or breaker of that rating, that its maker lists, A; unknown: none is listed.</summary>
    public Given LargestFuseA { get; init; }

    /// <summary>Rated current at its input, A; not known: from its size and kind.</summary>
    public Given RatedInputA { get; init; }

    /// <summary>EMC filter with which it is delivered.</summary>
    public EmcFilter EmcFilter { get; init; }

    /// <summary>Longest screened motor cable for which that holds, m.</summary>
    public Given FilterToM { get; init; }

    /// <summary>Highest switching frequency for which that holds, kHz.</summary>
    public Given FilterToKhz { get; init; }

    /// <summary>Capacitance to earth of a phase with that filter, µF.</summary>
    public Given FilterUf { get; init; }

    /// <summary>The same without filter, µF.</summary>
    public Given PlainUf { get; init; }

    /// <summary>Longest screened motor cable that it drives at all, m.</summary>
    public Given MostScreenedM { get; init; }

    /// <summary>Longest unscreened motor cable, m.</summary>
    public Given MostUnscreenedM { get; init; }

    /// <summary>The eight losses in the order of <see cref="ConverterLossPoints"/>.</summary>
    public IReadOnlyList<Given> EightLosses() =>
        [LossF0I25W, LossF0I50W, LossF0I100W, LossF50I25W, LossF50I50W, LossF50I100W, LossF90I50W, LossF90I100W];

    /// <summary>The converter as an item; what is open is taken from the generic one of the same kind next in size and named.</summary>
    /// <param name="generic">All generic converters.</param>
    public ConverterItem Item(IEnumerable<ConverterItem> generic)
    {
        // A kind is a kind: a filter or reactor that the item does not state is not taken from the one next in size.
        var like = generic.Where(c => c.Kind == Kind && (Kind != ConverterKind.SixPulse || c.FrontEnd is FrontEnd.Diode { ReactorPct: 0 }))
            .OrderBy(c => Math.Abs(Math.Log(c.RatedKw / RatedKw)) < 0.5 && Math.Abs(Math.Log(c.RatedVoltageV / RatedVoltageV)) < 0.1
                ? 0
                : 1)
            .ThenBy(c => Math.Abs(Math.Log(c.RatedKw / RatedKw)))
            .ThenBy(c => Math.Abs(c.ChokePct - (ChokePct.IsKnown ? ChokePct.Value : 0)))
            .ThenBy(c => c.Id, StringComparer.Ordinal)
            .First();
        var size = RatedKw / like.RatedKw;
        var open = new List<string>();
        double Or(Given value, double other, string name)
        {
            if (value.IsKnown)
            {
                return value.Value;
            }

            open.Add(name);
            return other;
        }

        OverloadRating Overload(Given pct, OverloadRating of, string name) =>
            Or(pct, 100 * of.CurrentPu, name) / 100 is var k ? of with { CurrentPu = k, PeakPu = Math.Max(of.PeakPu, k) } : of;

        var own = EightLosses();
        var losses = own.All(l => l.IsKnown)
            ? new ConverterLossPoints(own[0].Value, own[1].Value, own[2].Value, own[3].Value, own[4].Value, own[5].Value, own[6].Value,
                own[7].Value)
            : Scaled(like.Losses, size);
        if (!own.All(l => l.IsKnown))
        {
            open.Add("losses at the eight points");
        }

        // A chopper's level follows the class of voltage that its converter is made for.
        var chopper = like.Brake is null ? generic.First(c => c.Brake is not null) : like;
        var chopperV = chopper.Brake!.ChopperV * VoltageClass.LinkPu(RatedVoltageV) / VoltageClass.LinkPu(chopper.RatedVoltageV);
        var brake = LeastBrakeOhm.IsKnown
            ? new ChopperLimits(LeastBrakeOhm.Value, chopperV)
            : like.Brake is { } b ? new ChopperLimits(b.LeastOhm / size, chopperV) : null;
        if (!LeastBrakeOhm.IsKnown && brake is not null)
        {
            open.Add("brake resistance");
        }

        var item = new ConverterItem
        {
            Id = Id,
            Series = Catalogue,
            Kind = Kind,
            FrontEnd = Front(like.FrontEnd),
            RatedKw = RatedKw,
            RatedVoltageV = RatedVoltageV,
            LightCurrentA = LightCurrentA,
            HeavyCurrentA = Or(HeavyCurrentA, LightCurrentA * like.HeavyCurrentA / like.LightCurrentA, "current for heavy overload"),
            DcCapacitanceUf = like.DcCapacitanceUf > 0 ? Or(CapacitanceUf, like.DcCapacitanceUf * size, "DC-link capacitance") : 0,
            Losses = losses,
            StandbyW = Or(StandbyW, like.StandbyW, "stand-by loss"),
            LightOverload = Overload(LightOverloadPct, like.LightOverload, "light overload"),
            HeavyOverload = Overload(HeavyOverloadPct, like.HeavyOverload, "heavy overload"),
            Derating = like.Derating with { SinglePhaseFeedPu = SinglePhaseFeedPu.IsKnown
                ? SinglePhaseFeedPu.Value
                : like.Derating.SinglePhaseFeedPu },
            ShortCircuitKa = Or(ShortCircuitKa, like.ShortCircuitKa, "rated short-circuit current"),
            LargestFuseA = LargestFuseA.IsKnown ? LargestFuseA.Value : 0,
            StatedInputA = RatedInputA.IsKnown ? RatedInputA.Value : 0,
            Emc = Declared(),
            Brake = brake,
            Size = new ConverterSize(
                Or(WidthMm, like.Size.WidthMm, "width"), Or(HeightMm, like.Size.HeightMm, "height"),
                Or(DepthMm, like.Size.DepthMm, "depth"),
                Or(MassKg, like.Size.MassKg * size, "mass"), Or(AirflowM3PerH, like.Size.AirflowM3PerH * size, "cooling air"),
                like.Size.LargestTerminalMm2),
            PriceIndex = Or(PriceIndex, like.PriceIndex * size, "price"),
        };
        if (!ChokePct.IsKnown && like.FrontEnd is FrontEnd.Diode)
        {
            open.Add(FormattableString.Invariant($"DC choke (taken as {like.ChokePct:0.#} %)"));
        }

        open.Add("derating curves");
        return item with { SwitchingLoss = like.SwitchingLoss, OwnName = Name, OwnCatalogue = $"{Catalogue}, {Version}", Estimated = open };
    }

    // What a maker does not declare of interference is never taken from another's.
    private EmcDeclaration Declared() => new(
        EmcFilter,
        EmcFilter is EmcFilter.AsDelivered or EmcFilter.None || !FilterToM.IsKnown || !FilterToKhz.IsKnown || !FilterUf.IsKnown
            ? []
            : [new FilterDeclaration(EmcFilter, FilterToM.Value, FilterToKhz.Value, FilterUf.Value)],
        Plain(PlainUf), Plain(MostScreenedM), Plain(MostUnscreenedM));

    private static double? Plain(Given given) => given.IsKnown ? given.Value : null;

    private FrontEnd Front(FrontEnd like) => (like, ChokePct) switch
    {
        (FrontEnd.Diode d, { IsKnown: true }) => d with
        {
            ChokePct = ChokePct.Value,
            ChokeLossPu = ChokePct.Value > 0 ? Math.Max(d.ChokeLossPu, UsualChokeLossPu) : 0,
            DcFormFactor = ChokePct.Value > 0 ? Math.Min(d.DcFormFactor, UsualFormFactor) : d.DcFormFactor,
            ReactorPct = 0,
        },
        _ => like,
    };

    private static ConverterLossPoints Scaled(ConverterLossPoints l, double factor) => new(
        l.F0I25W * factor, l.F0I50W * factor, l.F0I100W * factor, l.F50I25W * factor, l.F50I50W * factor, l.F50I100W * factor,
        l.F90I50W * factor, l.F90I100W * factor);

    // A choke that the generic unit next to it does not have.
    private const double UsualChokeLossPu = 0.004;
    private const double UsualFormFactor = 1.06;
}
