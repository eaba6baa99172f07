
namespace Cuadrilla.Core.Specification;

/// <summary>How some drive points of a lineup work together, beside a common DC bus; none of these is a single drive.</summary>
/// <param name="Id">Stable key, unique in the plant.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Reason">Why this arrangement; empty when none was given.</param>
public abstract record Arrangement(string Id, string Name, string Reason)
{
    /// <summary>Drive points that it joins; the first leads.</summary>
    public abstract IReadOnlyList<string> PointIds();
}
