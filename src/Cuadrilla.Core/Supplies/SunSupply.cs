using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Supplies;

/// <summary>Sun instead of mains: an array of modules feeds the link of one pump's converter.</summary>
public sealed record SunSupply
{
    /// <summary>Nothing entered yet.</summary>
    public static SunSupply Open { get; } = new();

    /// <summary>Data sheet of the modules.</summary>
    public SunModule Module { get; init; } = new();

    /// <summary>Where the array stands.</summary>
    public SunPlace Place { get; init; } = new();

    /// <summary>How modules are connected, and what lies between them and the converter.</summary>
    public SunStrings Strings { get; init; } = new();

    /// <summary>How the pump is run, and what is asked of it.</summary>
    public SunPumping Pumping { get; init; } = new();
}

/// <summary>Data sheet of a module, under standard test conditions.</summary>
public sealed record SunModule
{
    /// <summary>What people call it.</summary>
    public string Name { get; init; } = string.Empty;

    /// <summary>Greatest power, W.</summary>
    public Given PeakW { get; init; }

    /// <summary>Open-circuit voltage, V.</summary>
    public Given UocV { get; init; }

    /// <summary>Voltage at its greatest power, V.</summary>
    public Given UmpV { get; init; }

    /// <summary>Short-circuit current, A.</summary>
    public Given IscA { get; init; }

    /// <summary>Change of the open-circuit voltage, %/K.</summary>
    public Given UocPctPerK { get; init; }

    /// <summary>Change of the voltage at greatest power, %/K.</summary>
    public Given UmpPctPerK { get; init; }

    /// <summary>Change of the power, %/K.</summary>
    public Given PowerPctPerK { get; init; }

    /// <summary>Largest fuse in series, A.</summary>
    public Given FuseA { get; init; }

    /// <summary>Greatest voltage of a string, V.</summary>
    public Given MaximumV { get; init; }

    /// <summary>Temperature of its cells at 800 W/m² and 20 °C, °C.</summary>
    public Given NoctC { get; init; }

    /// <summary>True where its back takes light too.</summary>
    public bool Bifacial { get; init; }

    /// <summary>What the voltages ask for; null while something is missing.</summary>
    public PvModule? Resolved() =>
        UocV is { IsKnown: true } uoc && UmpV is { IsKnown: true } ump && IscA is { IsKnown: true } isc && UocPctPerK.IsKnown
            && UmpPctPerK.IsKnown && PeakW.IsKnown && FuseA.IsKnown && NoctC.IsKnown
            ? new PvModule(uoc.Value, ump.Value, isc.Value, UocPctPerK.Value, UmpPctPerK.Value, PeakW.Value, FuseA.Value, NoctC.Value,
                Bifacial)
            : null;

    /// <summary>Names of what is missing.</summary>
    public IEnumerable<string> Missing() =>
        new (Given Value, string Name)[]
        {
            (PeakW, "peak power of a module"), (UocV, "open-circuit voltage of a module"), (UmpV, "voltage at greatest power of a module"),
            (IscA, "short-circuit current of a module"), (UocPctPerK, "its change of open-circuit voltage"),
            (UmpPctPerK, "its change of voltage at greatest power"), (FuseA, "largest fuse of a module"), (NoctC, "NOCT of the cells"),
        }.Where(v => !v.Value.IsKnown).Select(v => v.Name);
}

/// <summary>Where an array stands and what the weather is there.</summary>
public sealed record SunPlace
{
    /// <summary>Latitude, degrees, north positive.</summary>
    public Given LatitudeDeg { get; init; }

    /// <summary>Tilt, degrees.</summary>
    public Given TiltDeg { get; init; }

    /// <summary>Where it looks, degrees: 0 north, 90 east, 180 south; unknown: towards the equator.</summary>
    public Given AzimuthDeg { get; init; }

    /// <summary>Lowest temperature of the air at dawn, °C.</summary>
    public Given ColdestC { get; init; }

    /// <summary>Highest temperature of the air, °C.</summary>
    public Given HottestC { get; init; }

    /// <summary>Warmest less coldest hour of a day, K.</summary>
    public Given SwingK { get; init; }

    /// <summary>Part of the light that the ground returns.</summary>
    public Given Albedo { get; init; }

    /// <summary>January to December; empty while nothing is entered.</summary>
    public ValueList<SunMonth> Months { get; init; } = [];

    /// <summary>Light on the ground of each hour of a year by the sun's time, W/m², measured; empty: from the months.</summary>
    public ValueList<double> HourlyWPerM2 { get; init; } = [];

    /// <summary>Air of each hour likewise, °C.</summary>
    public ValueList<double> HourlyC { get; init; } = [];
}

/// <summary>One month.</summary>
/// <param name="Clearness">Light on the ground in parts of that of the clear sky.</param>
/// <param name="MeanC">Mean temperature, °C.</param>
/// <param name="DemandM3PerDay">Water that is wanted, m³ a day.</param>
public sealed record SunMonth(Given Clearness, Given MeanC, Given DemandM3PerDay);

/// <summary>Strings of modules and what lies between them and the converter.</summary>
public sealed record SunStrings
{
    /// <summary>Modules in series.</summary>
    public Given InSeries { get; init; }

    /// <summary>Strings in parallel.</summary>
    public Given InParallel { get; init; }

    /// <summary>Fuses of the strings, A; unknown: none are fitted.</summary>
    public Given FuseA { get; init; }

    /// <summary>Rated voltage of the direct-current switchgear, V.</summary>
    public Given SwitchgearV { get; init; }

    /// <summary>Rated voltage of the switch-disconnector as it is wired, V.</summary>
    public Given IsolatorV { get; init; }

    /// <summary>Its rated current, A.</summary>
    public Given IsolatorA { get; init; }

    /// <summary>True for class DC-PV2 of IEC 60947-3.</summary>
    public bool IsolatorPv2 { get; init; }

    /// <summary>True where it can be reached from the converter.</summary>
    public bool IsolatorNear { get; init; }

    /// <summary>Voltage that the protection against overvoltage stands for ever, V.</summary>
    public Given SurgeV { get; init; }

    /// <summary>Cable from the array to the converter, m one way.</summary>
    public Given CableM { get; init; }

    /// <summary>Its copper section, mm².</summary>
    public Given CableMm2 { get; init; }

    /// <summary>Insulation of the array to earth as measured, kΩ.</summary>
    public Given InsulationKohm { get; init; }
}

/// <summary>How a pump is run from the sun.</summary>
public sealed record SunPumping
{
    /// <summary>Speed below which it is stopped, rpm.</summary>
    public Given LeastRpm { get; init; }

    /// <summary>Starts in a day that its motor permits.</summary>
    public Given StartsPerDay { get; init; }

    /// <summary>Pause before it starts again, min.</summary>
    public Given RestartMin { get; init; }

    /// <summary>Time below the least power after which it stops, s.</summary>
    public Given StopDelayS { get; init; }

    /// <summary>Volume of the tank, m³.</summary>
    public Given TankM3 { get; init; }

    /// <summary>True where it stops when it takes too little power for its speed: the well is empty.</summary>
    public bool DryRunGuard { get; init; }

    /// <summary>True where a level switch stops it when the tank is full.</summary>
    public bool TankLevel { get; init; }
}
