using Cuadrilla.Core.Converters.FrontEnds;

namespace Cuadrilla.Core.Network;

/// <summary>
/// A central active filter: it measures what its bus and all behind it draw and gives the harmonics of it with the other sign, as far as
/// its current reaches. See <c>docs/methods/mitigation.md</c>.
/// </summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="BusId">Its bus.</param>
/// <param name="RatedCurrentA">Harmonic current that it gives, rms, A.</param>
public sealed record ActiveFilter(string Id, string Name, string BusId, double RatedCurrentA)
{
    /// <summary>Highest order that it removes.</summary>
    public const int HighestOrder = 25;

    /// <summary>Part of an order that it removes while its current suffices; what is left is delay and measuring error.</summary>
    public const double RemovedPu = 0.95;

    /// <summary>The line filter of its own bridge, on √3·U·I, as the network sees it.</summary>
    public static LineFilter OwnFilter { get; } = new(4, 5, 6);
}
