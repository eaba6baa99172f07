using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification;

/// <summary>Another way to build a lineup, set aside beside the one in force.</summary>
/// <param name="Id">Stable key, unique in its lineup.</param>
/// <param name="Name">What people call it.</param>
/// <param name="DrivePoints">Its drive points; those with a key of the lineup's are the same machines.</param>
/// <param name="DcBuses">Its common DC buses.</param>
/// <param name="Arrangements">Its arrangements.</param>
public sealed record LineupVariant(
    string Id, string Name, ValueList<DrivePoint> DrivePoints, ValueList<CommonDcBus> DcBuses, ValueList<Arrangement> Arrangements);
