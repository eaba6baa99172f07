namespace Cuadrilla.Core.Converters;

/// <summary>Which converter an engineer has chosen.</summary>
public abstract record ConverterChoice
{
    private ConverterChoice()
    {
    }

    /// <summary>None yet.</summary>
    public sealed record NotChosen : ConverterChoice;

    /// <summary>From the catalogue.</summary>
    /// <param name="ItemId">Key of the catalogue item.</param>
    /// <param name="Duty">Overload duty it is rated for.</param>
    /// <param name="SwitchingKhz">Switching frequency, kHz, 1 to 16.</param>
    /// <param name="Reason">Why this one when it is not the best candidate; empty when none was given.</param>
    public sealed record FromCatalogue(string ItemId, OverloadDuty Duty, double SwitchingKhz, string Reason) : ConverterChoice;
}

/// <summary>Overload duty of a converter's rating.</summary>
public enum OverloadDuty
{
    /// <summary>Small overload, larger continuous current: fans and pumps.</summary>
    Light,

    /// <summary>Large overload, smaller continuous current.</summary>
    Heavy,
}
