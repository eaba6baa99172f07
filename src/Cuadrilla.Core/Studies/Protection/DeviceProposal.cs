using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>Kinds of device that can be asked for.</summary>
public enum DeviceKind
{
    /// <summary>What is usual for such a drive point.</summary>
    Usual,

    /// <summary>Fuses gG.</summary>
    Fuse,

    /// <summary>Fuses aR.</summary>
    SemiconductorFuse,

    /// <summary>A moulded-case circuit breaker.</summary>
    CircuitBreaker,

    /// <summary>A motor-protective circuit breaker.</summary>
    MotorBreaker,
}

/// <summary>Proposes the smallest device of the generic series that carries load and start and that the converter lists.</summary>
internal static class DeviceProposal
{
    // A fault may leave a soft starter's thyristors this part of what they stand.
    private const double ThyristorPu = 0.75;

    /// <summary>The usual device; null where none of the series fits, or something is missing.</summary>
    public static ProtectiveDevice? Of(FeedStudy feeder, DeviceKind kind = DeviceKind.Usual)
    {
        if (!feeder.HasFeeder || feeder.FeederCurrent is not { } current)
        {
            return null;
        }

        var usual = feeder.Code == InstallationCode.Nfpa70 ? DeviceKind.CircuitBreaker
            : feeder.Starter?.Item is not null && feeder.Coordination == CoordinationType.Two ? DeviceKind.SemiconductorFuse
                : DeviceKind.Fuse;
        var asked = kind == DeviceKind.Usual ? usual : kind;
        if (Own(feeder, asked).ToList() is { Count: > 0 } own)
        {
            return own.Select(o => o.For(NeedA(feeder, current.CurrentA))).OfType<ProtectiveDevice>().FirstOrDefault(d => Fits(feeder, d));
        }

        return asked switch
        {
            DeviceKind.Fuse => Fuse(feeder, current.CurrentA),
            DeviceKind.SemiconductorFuse => Semiconductor(feeder, current.CurrentA),
            DeviceKind.CircuitBreaker => Breaker(feeder, current.CurrentA),
            _ => MotorBreaker(feeder, current.CurrentA),
        };
    }

    private static IEnumerable<OwnDevice> Own(FeedStudy feeder, DeviceKind kind) =>
        feeder.Supply.Data.OwnDevices.Where(d => d.VoltageV >= feeder.Bus.NominalVoltageV && kind == d.Kind switch
        {
            OwnDeviceKind.Fuse => DeviceKind.Fuse,
            OwnDeviceKind.SemiconductorFuse => DeviceKind.SemiconductorFuse,
            OwnDeviceKind.CircuitBreaker => DeviceKind.CircuitBreaker,
            _ => DeviceKind.MotorBreaker,
        });

    // By the US code a breaker carries more than the design current.
    private static double NeedA(FeedStudy feeder, double currentA) =>
        feeder.Code == InstallationCode.Nfpa70 ? feeder.CodePu * Math.Max(currentA, feeder.CodeMotorA ?? 0) : currentA;

    private static bool Fits(FeedStudy feeder, ProtectiveDevice device) => device is ProtectiveDevice.SemiconductorFuse aR
        ? SparesThyristors(feeder, aR) && StartPasses(feeder, aR)
        : IsListed(feeder, feeder.GatesOf(device)!.RatedA) && Passes(feeder, device);

    private static bool SparesThyristors(FeedStudy feeder, ProtectiveDevice.SemiconductorFuse fuse) =>
        feeder.Starter?.Item?.ThyristorA2s is not > 0 || fuse.TotalA2s <= ThyristorPu * feeder.Starter.Item.ThyristorA2s;

    private static ProtectiveDevice.Fuse? Fuse(FeedStudy feeder, double currentA)
    {
        var breaking = feeder.Supply.Data.Switchgear.FuseBreakingKa(feeder.Bus.NominalVoltageV);
        return breaking is null ? null : feeder.Supply.Data.GgFuses.Gates
            .Where(g => g.RatedA >= currentA && IsListed(feeder, g.RatedA))
            .Select(g => new ProtectiveDevice.Fuse(g.RatedA, breaking.Value, string.Empty))
            .FirstOrDefault(f => Passes(feeder, f));
    }

    private static ProtectiveDevice.SemiconductorFuse? Semiconductor(FeedStudy feeder, double currentA)
    {
        var series = feeder.Supply.Data.Switchgear.Semiconductor;
        return series.RatedA.Where(r => r >= currentA)
            .Select(r => new ProtectiveDevice.SemiconductorFuse(r, series.TotalA2sPerA2 * r * r, series.BreakingKa, string.Empty)
            {
                Lasts10SA = series.Lasts10SPu * r, Lasts01SA = series.Lasts01SPu * r,
            })
            .FirstOrDefault(f => Fits(feeder, f));
    }

    private static ProtectiveDevice.CircuitBreaker? Breaker(FeedStudy feeder, double currentA)
    {
        var (gear, us) = (feeder.Supply.Data.Switchgear, feeder.Code == InstallationCode.Nfpa70);
        var series = gear.Breakers;
        if (series.BreakingKa(feeder.Bus.NominalVoltageV) is not { } breaking)
        {
            return null;
        }

        var magnetic = feeder.IsOnLine ? gear.MotorMagneticPu : series.MagneticPu;
        var ratings = us ? feeder.Supply.Data.UsConductors.StandardA : series.RatedA;
        var needA = NeedA(feeder, currentA);
        return ratings.Where(r => r >= needA && IsListed(feeder, r))
            .Select(r => new ProtectiveDevice.CircuitBreaker(
                r, us ? r : Math.Max(series.OverloadFromPu * r, Math.Ceiling(currentA)) is var set && set <= r ? set : r, magnetic,
                breaking, Given.Of(series.LetThroughA2sPerA * r), string.Empty))
            .FirstOrDefault(b => Passes(feeder, b));
    }

    private static ProtectiveDevice.MotorBreaker? MotorBreaker(FeedStudy feeder, double currentA)
    {
        var series = feeder.Supply.Data.Switchgear.MotorBreakers;
        var trip = feeder.Starter?.Trip ?? TripClass.Class10;
        return series.BreakingKa(feeder.Bus.NominalVoltageV) is not { } breaking ? null : series.RatedA
            .Where(r => r >= currentA && IsListed(feeder, r))
            .Select(r => new ProtectiveDevice.MotorBreaker(
                r, Math.Max(series.OverloadFromPu * r, currentA), trip, series.MagneticPu, breaking, Given.Of(series.LetThroughA2sPerA * r),
                string.Empty))
            .FirstOrDefault(m => Passes(feeder, m));
    }

    /// <summary>Largest device that the US code permits ahead of a motor on the line, A; null where it says nothing.</summary>
    public static double? LargestForMotorA(FeedStudy feeder, ProtectiveDevice device) =>
        feeder is { Code: InstallationCode.Nfpa70, IsOnLine: true, FeederCurrent: { } current }
            && device is not ProtectiveDevice.SemiconductorFuse
            ? feeder.Supply.Data.UsConductors.LargestForMotorA(device is ProtectiveDevice.Fuse, feeder.CodeMotorA ?? current.CurrentA)
            : null;

    // A converter is protected by what its maker lists and nothing else.
    private static bool IsListed(FeedStudy feeder, double ratedA) => feeder.ListedA is not { } listedA || ratedA <= listedA;

    private static bool Passes(FeedStudy feeder, ProtectiveDevice device) =>
        (LargestForMotorA(feeder, device) is not { } most || feeder.GatesOf(device)!.RatedA <= most) && StartPasses(feeder, device);

    private static bool StartPasses(FeedStudy feeder, ProtectiveDevice device) =>
        feeder.Start?.Run is not { } run
            || feeder.GatesOf(device)!.StartMarginPu(run.Moments, feeder.InrushKappa, feeder.BeforeStartA) >= 1;
}
