using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>An entry of the specification: what it is called, what may stand there, what it means.</summary>
/// <param name="Key">Name of its property.</param>
/// <param name="Name">Standard term.</param>
/// <param name="Help">One sentence of help.</param>
public abstract record Field(string Key, string Name, string Help)
{
    /// <summary>True when it may stay open.</summary>
    public bool IsOptional { get; init; }

    /// <summary>What it means when it stays open; empty: not known.</summary>
    public string WhenOpen { get; init; } = string.Empty;

    /// <summary>True when its help is always shown beside it.</summary>
    public bool IsHelpShown { get; init; }
}

/// <summary>A number.</summary>
/// <param name="Key">Name of its property, with the unit in it.</param>
/// <param name="Name">Standard term.</param>
/// <param name="Help">One sentence of help.</param>
/// <param name="Min">Least value.</param>
/// <param name="Max">Largest value.</param>
/// <param name="Unit">Unit in which it is kept; empty for a plain number.</param>
public sealed record NumberField(string Key, string Name, string Help, double Min, double Max, string Unit) : Field(Key, Name, Help)
{
    /// <summary>True when the least value itself is not permitted.</summary>
    public bool IsAboveMin { get; init; }

    /// <summary>True for whole numbers.</summary>
    public bool IsWhole { get; init; }

    /// <summary>Unit in which it is typed and shown where that is another one.</summary>
    public string Shown { get; init; } = string.Empty;

    /// <summary>Unit in which people of US customary units write it where that is not the usual one for its unit: hp at shafts.</summary>
    public string Us { get; init; } = string.Empty;
}

/// <summary>A line of text.</summary>
/// <param name="Key">Name of its property.</param>
/// <param name="Name">Standard term.</param>
/// <param name="Help">One sentence of help.</param>
/// <param name="Least">Fewest characters.</param>
/// <param name="Most">Most characters.</param>
public sealed record TextField(string Key, string Name, string Help, int Least, int Most) : Field(Key, Name, Help);

/// <summary>A switch.</summary>
/// <param name="Key">Name of its property.</param>
/// <param name="Name">Standard term of what is so when it is on.</param>
/// <param name="Help">One sentence of help.</param>
public sealed record SwitchField(string Key, string Name, string Help) : Field(Key, Name, Help);

/// <summary>One of a few.</summary>
/// <param name="Key">Name of its property.</param>
/// <param name="Name">Standard term.</param>
/// <param name="Help">One sentence of help.</param>
/// <param name="Options">What may be chosen, in the order to show it.</param>
public sealed record ChoiceField(string Key, string Name, string Help, ValueList<Option> Options) : Field(Key, Name, Help);

/// <summary>One that may be chosen.</summary>
/// <param name="Value">Its name in Core.</param>
/// <param name="Words">What people call it.</param>
public sealed record Option(string Value, string Words);
