using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Protection;

/// <summary>What a device of one's own list is.</summary>
public enum OwnDeviceKind
{
    /// <summary>Fuse gG.</summary>
    Fuse,

    /// <summary>Fuse aR.</summary>
    SemiconductorFuse,

    /// <summary>Circuit breaker.</summary>
    CircuitBreaker,

    /// <summary>Motor-protective circuit breaker.</summary>
    MotorBreaker,

    /// <summary>Contactor.</summary>
    Contactor,
}

/// <summary>A protective or switching device from the engineer's own list, kept in the project with the list's name and version.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Catalogue">Name of the list.</param>
/// <param name="Version">Its version or date.</param>
/// <param name="Kind">What it is.</param>
/// <param name="RatedA">Rated current, A; of a contactor in AC-3.</param>
/// <param name="VoltageV">Voltage up to which all that is stated holds, V.</param>
/// <param name="BreakingKa">Breaking capacity at that voltage, kA; a contactor has none.</param>
/// <param name="SettingFromA">Least setting of an overload release, A; not known: it is fixed at the rated current.</param>
/// <param name="Trip">Trip class of a motor breaker.</param>
/// <param name="MagneticPu">Short-circuit release of a breaker in parts of the rated current.</param>
/// <param name="EnergyA2s">Total I²t of a fuse aR; what a breaker lets through at a full short circuit, A²s.</param>
/// <param name="Lasts10SA">Current that a fuse surely carries for 10 s, A.</param>
/// <param name="Clears5SA">Current that a fuse gG surely clears within 5 s, A.</param>
/// <param name="Lasts01SA">Current that a fuse surely carries for 0.1 s, A.</param>
/// <param name="Clears01SA">Current that a fuse gG surely clears within 0.1 s, A.</param>
/// <param name="Ac1A">Rated current of a contactor in AC-1, A; not known: that of AC-3.</param>
public sealed record OwnDevice(
    string Id, string Name, string Catalogue, string Version, OwnDeviceKind Kind, double RatedA, double VoltageV, Given BreakingKa,
    Given SettingFromA, TripClass Trip,
    Given MagneticPu, Given EnergyA2s, Given Lasts10SA, Given Clears5SA, Given Lasts01SA, Given Clears01SA, Given Ac1A)
{
    /// <summary>Name with its list.</summary>
    public string Item => $"{Name}, {Catalogue} {Version}";

    /// <summary>Figures that its kind can't do without and that are not stated, in words.</summary>
    public IReadOnlyList<string> Lacking()
    {
        List<string> lacking = [];
        if (Kind != OwnDeviceKind.Contactor && !BreakingKa.IsKnown)
        {
            lacking.Add("breaking capacity");
        }

        if (Kind is OwnDeviceKind.CircuitBreaker or OwnDeviceKind.MotorBreaker && !MagneticPu.IsKnown)
        {
            lacking.Add("short-circuit release");
        }

        if (Kind == OwnDeviceKind.SemiconductorFuse && !EnergyA2s.IsKnown)
        {
            lacking.Add("total I²t");
        }

        return lacking;
    }

    /// <summary>The device set for a current; null for a contactor, and where its setting does not reach the current.</summary>
    /// <param name="designA">Current that it is to carry for ever, A.</param>
    public ProtectiveDevice? For(double designA) => designA > RatedA ? null : Kind switch
    {
        OwnDeviceKind.Fuse => new ProtectiveDevice.Fuse(RatedA, BreakingKa.Value, string.Empty)
        {
            Item = Item, Lasts10SA = Lasts10SA, Clears5SA = Clears5SA, Lasts01SA = Lasts01SA, Clears01SA = Clears01SA,
        },
        OwnDeviceKind.SemiconductorFuse => new ProtectiveDevice.SemiconductorFuse(RatedA, EnergyA2s.Value, BreakingKa.Value, string.Empty)
        {
            Item = Item, Lasts10SA = Lasts10SA, Lasts01SA = Lasts01SA,
        },
        OwnDeviceKind.CircuitBreaker =>
            new ProtectiveDevice.CircuitBreaker(RatedA, Set(Math.Ceiling(designA)), MagneticPu.Value, BreakingKa.Value, EnergyA2s,
                string.Empty) { Item = Item },
        OwnDeviceKind.MotorBreaker =>
            new ProtectiveDevice.MotorBreaker(RatedA, Set(designA), Trip, MagneticPu.Value, BreakingKa.Value, EnergyA2s,
                string.Empty) { Item = Item },
        _ => null,
    };

    /// <summary>The contactor; null for any other device.</summary>
    public ContactorItem? Contactor() =>
        Kind == OwnDeviceKind.Contactor ? new ContactorItem(RatedA, Ac1A.IsKnown ? Ac1A.Value : RatedA) { StatedToV = VoltageV } : null;

    private double Set(double currentA) => SettingFromA.IsKnown ? Math.Min(RatedA, Math.Max(SettingFromA.Value, currentA)) : RatedA;
}
