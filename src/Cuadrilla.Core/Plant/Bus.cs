using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Plant;

/// <summary>A bus: the network connection, a medium-voltage bus, a low-voltage board.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="NominalVoltageV">Line-to-line voltage, V, 100 to 69,000.</param>
/// <param name="WithstandKa">Fault current that the switchgear stands, kA; unknown: not judged.</param>
public sealed record Bus(string Id, string Name, double NominalVoltageV, Given WithstandKa);

/// <summary>Where the plant couples with its neighbours, and what it may draw there.</summary>
/// <param name="BusId">The bus.</param>
/// <param name="MaximumDemandKva">Maximum demand of the installation (15 or 30 min), kVA; unknown: the largest scenario is taken, and said.</param>
public sealed record CommonCoupling(string BusId, Given MaximumDemandKva);
