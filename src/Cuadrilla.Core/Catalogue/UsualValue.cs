namespace Cuadrilla.Core.Catalogue;

/// <summary>A value to start from where a drive point's entry is open. It is proposed, never taken by itself.</summary>
/// <param name="Key">Stable key, for example fan.static-share.</param>
/// <param name="Name">The entry in words.</param>
/// <param name="Value">The value, in <paramref name="Unit"/>.</param>
/// <param name="Unit">Unit; empty for a ratio.</param>
/// <param name="Why">When it holds.</param>
public sealed record UsualValue(string Key, string Name, double Value, string Unit, string Why);
