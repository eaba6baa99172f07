namespace Cuadrilla.Core.Studies.Energy;

/// <summary>One way of delivering the same work over the same hours.</summary>
/// <param name="Id">Stable key: <c>present</c>, or motor and converter item.</param>
/// <param name="Way">How it is controlled, the same word for every drive point: <c>present</c>, <c>line</c>, or a family of
/// converters.</param>
/// <param name="Name">What it is.</param>
/// <param name="IsChosen">True for what the engineer has specified.</param>
/// <param name="Year">Energy and cost.</param>
/// <param name="Points">Line power at each point of the duty.</param>
public sealed record EnergyAlternative(
    string Id, string Way, string Name, bool IsChosen, YearlyEnergy Year, IReadOnlyList<EnergyPoint> Points)
{
    private readonly Lazy<IReadOnlyList<PartSpeedPoint>> partSpeed = new([]);

    /// <summary>
    /// True when it runs on the line some of the time: shown for comparison, but another way of working, so that the chosen
    /// one is not held against it.
    /// </summary>
    public bool RunsOnLine { get; init; }

    /// <summary>True when it has the chosen motor, or the motor of today.</summary>
    public bool HasChosenMotor { get; init; } = true;

    /// <summary>Class and kind of its motor in a few words; empty for the machine of today.</summary>
    public string Motor { get; init; } = string.Empty;

    /// <summary>Efficiency from busbar to shaft at part speeds, worked out when asked for; empty where the speed can't be
    /// adjusted.</summary>
    public IReadOnlyList<PartSpeedPoint> PartSpeed => partSpeed.Value;

    /// <summary>How the part speeds are worked out.</summary>
    internal Func<IReadOnlyList<PartSpeedPoint>> PartSpeedBy
    {
        init => partSpeed = new(value);
    }

    /// <summary>Energy that comes back from the load in a year and is burnt or returned, by way.</summary>
    public ReturnedEnergy Returned { get; init; } = new(0, 0);
}

/// <summary>What becomes of the energy of a year that the motor gives back.</summary>
/// <param name="BurntKwh">In a resistor, or in losses where there is none.</param>
/// <param name="ToLineKwh">Returned to the line, after the front end's own loss.</param>
public sealed record ReturnedEnergy(double BurntKwh, double ToLineKwh);

/// <summary>Efficiency at a part of the rated speed, on this load.</summary>
/// <param name="SpeedPu">Speed in parts of the rated.</param>
/// <param name="EfficiencyPct">Shaft power over line power, %.</param>
/// <param name="LineW">Line power, W.</param>
public readonly record struct PartSpeedPoint(double SpeedPu, double EfficiencyPct, double LineW);
