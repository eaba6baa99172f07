namespace Cuadrilla.Core.Converters;

/// <summary>Category of a drive by what it emits (IEC 61800-3), from the quietest on.</summary>
public enum EmcCategory
{
    /// <summary>First environment, sold to anybody.</summary>
    C1,

    /// <summary>First environment, fixed, installed by professionals.</summary>
    C2,

    /// <summary>Second environment.</summary>
    C3,

    /// <summary>By a plan for the plant: from 400 A or 1000 V on, IT systems.</summary>
    C4,
}

/// <summary>Filter against interference that is fitted to a converter or supply module.</summary>
public enum EmcFilter
{
    /// <summary>As it is delivered, by its maker's declaration.</summary>
    AsDelivered,

    /// <summary>None.</summary>
    None,

    /// <summary>For category C3.</summary>
    ForC3,

    /// <summary>For category C2.</summary>
    ForC2,

    /// <summary>For category C1.</summary>
    ForC1,
}

/// <summary>What a maker declares with a filter.</summary>
/// <param name="Filter">The filter.</param>
/// <param name="MostScreenedM">Longest screened motor cable, m.</param>
/// <param name="MostSwitchingKhz">Highest switching frequency, kHz.</param>
/// <param name="CapacitanceUf">Capacitance to earth of a phase, µF.</param>
public sealed record FilterDeclaration(EmcFilter Filter, double MostScreenedM, double MostSwitchingKhz, double CapacitanceUf)
{
    /// <summary>Category that it reaches.</summary>
    public EmcCategory Category => Filter switch
    {
        EmcFilter.ForC1 => EmcCategory.C1,
        EmcFilter.ForC2 => EmcCategory.C2,
        EmcFilter.ForC3 => EmcCategory.C3,
        _ => EmcCategory.C4,
    };
}

/// <summary>What a maker declares of a converter's interference.</summary>
/// <param name="Delivered">Filter with which it is delivered; <see cref="EmcFilter.AsDelivered"/> where that is not declared.</param>
/// <param name="Filters">Filters that can be fitted, each with what it is good for; none: nothing is declared.</param>
/// <param name="PlainUf">Capacitance to earth of a phase without filter, µF; null: not stated.</param>
/// <param name="MostScreenedM">Longest screened motor cable that it drives at all, m; null: not stated.</param>
/// <param name="MostUnscreenedM">The same of unscreened ones, m; null: not stated.</param>
public sealed record EmcDeclaration(EmcFilter Delivered, IReadOnlyList<FilterDeclaration> Filters, double? PlainUf, double? MostScreenedM,
    double? MostUnscreenedM)
{
    /// <summary>Nothing declared.</summary>
    public static EmcDeclaration Nothing { get; } = new(EmcFilter.AsDelivered, [], null, null, null);

    /// <summary>Several side by side, each with its own filter and cable.</summary>
    public EmcDeclaration Times(double number) => this with
    {
        Filters = [.. Filters.Select(f => f with { CapacitanceUf = f.CapacitanceUf * number })],
        PlainUf = PlainUf * number,
    };

    /// <summary>The filter that a choice means.</summary>
    public EmcFilter Of(EmcFilter chosen) => chosen == EmcFilter.AsDelivered ? Delivered : chosen;

    /// <summary>What is declared with a filter; null where that is nothing.</summary>
    public FilterDeclaration? With(EmcFilter chosen) => Filters.FirstOrDefault(f => f.Filter == Of(chosen));

    /// <summary>Capacitance to earth with a filter or without, µF; null where not stated.</summary>
    public double? CapacitanceUf(EmcFilter chosen) => Of(chosen) == EmcFilter.None ? PlainUf : With(chosen)?.CapacitanceUf;
}
