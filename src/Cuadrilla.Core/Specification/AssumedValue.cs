namespace Cuadrilla.Core.Specification;

/// <summary>A usual value that was taken for an open entry and that nobody has confirmed. It counts while the entry holds this
/// value.</summary>
/// <param name="Key">Key of the usual value, for example fan.efficiency.</param>
/// <param name="Value">The value taken, in the unit of the entry.</param>
public sealed record AssumedValue(string Key, double Value);

/// <summary>An assumed value with the entry that it stands in.</summary>
/// <param name="Key">Key of the usual value.</param>
/// <param name="Name">The entry in words.</param>
/// <param name="Value">The value, in <paramref name="Unit"/>.</param>
/// <param name="Unit">Unit; empty for a ratio.</param>
/// <param name="Entry">The entry in the table of entries, record and property: FluidMachine.ratedEfficiency.</param>
public sealed record AssumedEntry(string Key, string Name, double Value, string Unit, string Entry);
