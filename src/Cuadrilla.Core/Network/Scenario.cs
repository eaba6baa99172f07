using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>A named state of the plant. What a list does not name is as usual: running, fully loaded, in its normal position.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="States">Drive points that differ from running at their rated point; at most one entry each.</param>
/// <param name="LoadStates">Other loads that do not run fully; at most one entry each.</param>
/// <param name="Switches">Transformers and links that are not in their normal position; at most one entry each.</param>
/// <param name="BankStates">Capacitor banks of which not all steps are on; at most one entry each.</param>
public sealed record Scenario(
    string Id,
    string Name,
    ValueList<DrivePointState> States,
    ValueList<LoadState> LoadStates,
    ValueList<SwitchState> Switches,
    ValueList<BankState> BankStates)
{
    /// <summary>True where the standby generator feeds instead of the mains.</summary>
    public bool OnStandby { get; init; }

    /// <summary>A scenario in which everything is as usual.</summary>
    public static Scenario AsUsual(string id, string name) => new(id, name, [], [], [], []);

    /// <summary>State of a drive point.</summary>
    public DrivePointState StateOf(string drivePointId) =>
        States.FirstOrDefault(s => s.DrivePointId == drivePointId) ?? new DrivePointState(drivePointId, true, 1, 1);

    /// <summary>Level of another load, parts of its full power.</summary>
    public double LoadLevelPuOf(string loadId) => LoadStates.FirstOrDefault(s => s.LoadId == loadId)?.LevelPu ?? 1;

    /// <summary>Whether a transformer or link is closed.</summary>
    public bool IsClosed(string elementId, bool normally) => Switches.FirstOrDefault(s => s.ElementId == elementId)?.Closed ?? normally;

    /// <summary>Steps of a capacitor bank that are on.</summary>
    public int StepsOnOf(CapacitorBank bank)
    {
        ArgumentNullException.ThrowIfNull(bank);
        return BankStates.FirstOrDefault(s => s.BankId == bank.Id)?.StepsOn ?? bank.Steps;
    }
}

/// <summary>What one drive point does in a scenario.</summary>
/// <param name="DrivePointId">Which one.</param>
/// <param name="Running">False when it is off.</param>
/// <param name="LevelPu">Flow, speed or rate of cycles in parts of the rated, above 0 to 1.2.</param>
/// <param name="LoadPu">Torque in parts of what the load asks for at that level, 0 to 1.5.</param>
public sealed record DrivePointState(string DrivePointId, bool Running, double LevelPu, double LoadPu);

/// <summary>How much of another load runs.</summary>
/// <param name="LoadId">Which one.</param>
/// <param name="LevelPu">Parts of its full power, 0 to 2.</param>
public sealed record LoadState(string LoadId, double LevelPu);

/// <summary>Position of a transformer's or link's switch.</summary>
/// <param name="ElementId">Which one.</param>
/// <param name="Closed">Its position.</param>
public sealed record SwitchState(string ElementId, bool Closed);

/// <summary>How much of a capacitor bank is on.</summary>
/// <param name="BankId">Which one.</param>
/// <param name="StepsOn">Steps that are on.</param>
public sealed record BankState(string BankId, int StepsOn);
