using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Followers;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>What a parameter sheet is made from.</summary>
public sealed record ParameterSource
{
    /// <summary>The drive point resolved.</summary>
    public required DrivePointModel Model { get; init; }

    /// <summary>Its lineup.</summary>
    public required Lineup Lineup { get; init; }

    /// <summary>Earthing of its bus.</summary>
    public required EarthingSystem Earthing { get; init; }

    /// <summary>What is usual where nobody decided.</summary>
    public required UsualParameters Usual { get; init; }

    /// <summary>Its signals; null where none are entered.</summary>
    public PointSignals? Signals { get; init; }

    /// <summary>Its shared shaft; null without.</summary>
    public SharedShaft? Shaft { get; init; }

    /// <summary>Its ratio follower, where it is the follower; null otherwise.</summary>
    public FollowerModel? Follower { get; init; }

    /// <summary>The drive point.</summary>
    public DrivePoint Point => Model.Input.DrivePoint;

    /// <summary>Its position on the shared shaft, 0 for the leader; −1 without.</summary>
    public int UnitIndex => Shaft is null ? -1 : Shaft.Units.ToList().FindIndex(u => u.PointId == Point.Id);

    /// <summary>Something hangs on its shaft.</summary>
    public bool Hangs => Model.Load?.Hanging is not null;
}
