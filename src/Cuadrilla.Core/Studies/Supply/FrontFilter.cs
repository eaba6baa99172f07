using System.Numerics;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// The line filter of a running front end as the network sees it: reactor, capacitor and damping resistor in series to earth. What lies
/// behind (a bridge under current control) draws the catalogue's currents and is open otherwise.
/// </summary>
/// <param name="FrontId">Drive point, DC bus or group.</param>
/// <param name="BusId">Its bus.</param>
/// <param name="RatedVa">Rated apparent power, VA.</param>
/// <param name="Filter">The filter.</param>
public sealed record FrontFilter(string FrontId, string BusId, double RatedVa, LineFilter Filter)
{
    /// <summary>Admittance at an order, per unit of a power base and the bus's nominal voltage.</summary>
    /// <param name="order">Frequency over the fundamental.</param>
    /// <param name="baseVa">Power base, VA.</param>
    internal Complex AdmittancePu(double order, double baseVa) => Filter.AdmittancePu(order) * RatedVa / baseVa;

    /// <summary>Those of running drives and of central active filters.</summary>
    internal static IReadOnlyList<FrontFilter> Of(IEnumerable<RunningDrive> running, IEnumerable<ActiveFilter> central,
        SupplyNetwork network) =>
    [
        .. central.Where(f => network.IsLive(f.BusId))
            .Select(f => new FrontFilter(f.Id, f.BusId, Math.Sqrt(3) * network.VoltageV(f.BusId) * f.RatedCurrentA,
                ActiveFilter.OwnFilter)),
        .. running.Where(r => r.Item.FrontEnd.LineFilter is not null)
            .Select(r => new FrontFilter(r.Id, r.BusId, r.Item.RatedKw * 1e3, r.Item.FrontEnd.LineFilter!)),
    ];
}
