namespace Cuadrilla.Core.Converters.Starting;

/// <summary>A soft starter of the catalogue, with built-in bypass.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Series">Series it belongs to.</param>
/// <param name="RatedCurrentA">Continuous current in line, A.</param>
/// <param name="StartCurrentPu">Start current that its rating holds, parts of the rated.</param>
/// <param name="StartTimeS">For how long, s.</param>
/// <param name="StartsPerHour">How often an hour at that current and time.</param>
/// <param name="ThyristorWPerA">Loss of the thyristors while they conduct, W per ampere of line current.</param>
/// <param name="AuxiliaryW">Loss with the bypass closed, W.</param>
/// <param name="ShortCircuitKa">Rated conditional short-circuit current, kA.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="PriceIndex">Price in index points.</param>
/// <param name="Derating">What is left of its currents in warm or thin air.</param>
public sealed record SoftStarterItem(
    string Id,
    string Series,
    double RatedCurrentA,
    double StartCurrentPu,
    double StartTimeS,
    double StartsPerHour,
    double ThyristorWPerA,
    double AuxiliaryW,
    double ShortCircuitKa,
    double WidthMm,
    double MassKg,
    double PriceIndex,
    SiteDerating Derating);

/// <summary>Settings with which a kind of machine usually starts: a starting point, not a recommendation.</summary>
/// <param name="Application">Kind of machine.</param>
/// <param name="Settings">The settings.</param>
/// <param name="Trip">Trip class.</param>
public sealed record StartPreset(string Application, SoftStarterSettings Settings, TripClass Trip);
