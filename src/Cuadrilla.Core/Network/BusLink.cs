using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Network;

/// <summary>How three single cores lie; multicore cables count as trefoil.</summary>
public enum CableLaying
{
    /// <summary>In a triangle.</summary>
    Trefoil,

    /// <summary>Side by side, touching: the mean distance is ∛2 times as large.</summary>
    Flat,
}

/// <summary>A connection between two buses of one voltage.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="FromBusId">One end, usually that of the source.</param>
/// <param name="ToBusId">Other end.</param>
/// <param name="NormallyClosed">Its state unless a scenario says otherwise.</param>
public abstract record BusLink(string Id, string Name, string FromBusId, string ToBusId, bool NormallyClosed)
{
    /// <summary>A switch without impedance worth the name.</summary>
    public sealed record Coupler(string Id, string Name, string FromBusId, string ToBusId, bool NormallyClosed)
        : BusLink(Id, Name, FromBusId, ToBusId, NormallyClosed);

    /// <summary>A cable.</summary>
    /// <param name="Id">Stable key.</param>
    /// <param name="Name">What people call it.</param>
    /// <param name="FromBusId">One end.</param>
    /// <param name="ToBusId">Other end.</param>
    /// <param name="NormallyClosed">Its state unless a scenario says otherwise.</param>
    /// <param name="LengthM">Length, m.</param>
    /// <param name="CrossSectionMm2">Cross-section, mm².</param>
    /// <param name="ParallelRuns">Cables side by side, 1 to 12.</param>
    /// <param name="Material">Conductor metal.</param>
    /// <param name="Laying">How the cores lie.</param>
    public sealed record Cable(
        string Id,
        string Name,
        string FromBusId,
        string ToBusId,
        bool NormallyClosed,
        Given LengthM,
        Given CrossSectionMm2,
        int ParallelRuns,
        ConductorMaterial Material,
        CableLaying Laying) : BusLink(Id, Name, FromBusId, ToBusId, NormallyClosed)
    {
        /// <summary>How it is made and laid; null: as the plant's cables.</summary>
        public CableInstallation? Installation { get; init; }

        /// <summary>What protects it where it begins.</summary>
        public ProtectiveDevice Device { get; init; } = new ProtectiveDevice.NotChosen();
    }
}
