using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Core.Specification;

/// <summary>Control supply of a lineup, 24 V direct, and its auxiliary transformer.</summary>
public sealed record ControlSupplyBuild
{
    /// <summary>Nothing entered.</summary>
    public static ControlSupplyBuild Open { get; } = new();

    /// <summary>Rated current of the 24 V supply, A.</summary>
    public Given RatedA { get; init; }

    /// <summary>What it gives for moments, A; not known: 1.5 times the rated.</summary>
    public Given PeakA { get; init; }

    /// <summary>Lowest voltage at its terminals, V; not known: 23.3 (24 V −3 %).</summary>
    public Given LowestV { get; init; }

    /// <summary>Auxiliary transformer, VA; not known: none is judged.</summary>
    public Given TransformerVa { get; init; }

    /// <summary>Heaters and lamps on the auxiliary transformer, W; not known: 0.</summary>
    public Given FurtherW { get; init; }

    /// <summary>Branches.</summary>
    public ValueList<ControlBranchBuild> Branches { get; init; } = [];
}

/// <summary>What a branch feeds.</summary>
public enum ControlBranchUse
{
    /// <summary>Control cards of the units.</summary>
    Units,

    /// <summary>Coils of contactors and relays.</summary>
    Coils,

    /// <summary>Brakes.</summary>
    Brakes,

    /// <summary>Cards of the controller that stand with the lineup.</summary>
    Controller,

    /// <summary>What is entered with it.</summary>
    Further,
}

/// <summary>A branch of the control supply.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Use">What it feeds.</param>
/// <param name="Protection">Kind of its device.</param>
public sealed record ControlBranchBuild(string Id, string Name, ControlBranchUse Use, BranchProtection Protection)
{
    /// <summary>Rating of its device, A.</summary>
    public Given ProtectionA { get; init; }

    /// <summary>Length to its farthest load, m.</summary>
    public Given LengthM { get; init; }

    /// <summary>Section of its conductors, mm².</summary>
    public Given SectionMm2 { get; init; }

    /// <summary>Further load that is entered, A; not known: 0.</summary>
    public Given FurtherA { get; init; }
}
