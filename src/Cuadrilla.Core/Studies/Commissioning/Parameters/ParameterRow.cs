using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>Part of a parameter sheet.</summary>
public enum ParameterGroup
{
    /// <summary>Plate of the motor as linked.</summary>
    Motor,

    /// <summary>How the motor is controlled.</summary>
    Control,

    /// <summary>Currents, torques, speeds.</summary>
    Limits,

    /// <summary>Starts, stops, ramps.</summary>
    Running,

    /// <summary>What becomes of faults and of the supply.</summary>
    Reactions,

    /// <summary>Shared shafts, followers, brakes.</summary>
    Together,

    /// <summary>Terminals and bus.</summary>
    Signals,

    /// <summary>What only the site can say.</summary>
    Site,
}

/// <summary>Where a parameter's value is from.</summary>
public enum ParameterBasis
{
    /// <summary>Entered or chosen in the specification.</summary>
    Specified,

    /// <summary>Follows from it.</summary>
    Computed,

    /// <summary>Nobody decided it: usual, to be confirmed.</summary>
    Proposed,

    /// <summary>Something is missing in the specification.</summary>
    NeedsData,

    /// <summary>Only found on site.</summary>
    OnSite,
}

/// <summary>A row of a parameter sheet.</summary>
/// <param name="Id">Neutral key, the same for every product.</param>
/// <param name="Group">Part of the sheet.</param>
/// <param name="Name">Neutral name.</param>
/// <param name="Number">Its value where it is a number; unknown otherwise.</param>
/// <param name="Word">Its value where it is a word; empty otherwise.</param>
/// <param name="Unit">Unit of the number.</param>
/// <param name="Basis">Where it is from.</param>
/// <param name="Row">Band of the board that it leads to.</param>
/// <param name="Reason">Formula, numbers, source.</param>
public sealed record ParameterRow(string Id, ParameterGroup Group, string Name, Given Number, string Word, string Unit,
    ParameterBasis Basis,
    BoardRow Row, Reason Reason)
{
    /// <summary>What 100 % of it is, where it is a percentage; empty otherwise.</summary>
    public string Scaling { get; init; } = string.Empty;

    /// <summary>The value as it is compared and printed, without its unit; empty where there is none.</summary>
    public string Text => Number.IsKnown ? Base.Text.N(Number.Value) : Word;
}
