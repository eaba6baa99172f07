namespace Cuadrilla.Core.Base;

/// <summary>An entry that can't be accepted.</summary>
/// <param name="Pointer">JSON pointer (RFC 6901) to the field.</param>
/// <param name="Value">The value found, as text.</param>
/// <param name="Allowed">What is allowed there.</param>
/// <param name="Message">A sentence naming field, value and what is allowed.</param>
public sealed record InputProblem(string Pointer, string Value, string Allowed, string Message)
{
    /// <summary>A problem with the usual sentence.</summary>
    public static InputProblem Of(string pointer, string name, string value, string allowed) =>
        new(pointer, value, allowed, $"{name} is {value}; allowed: {allowed}.");
}
