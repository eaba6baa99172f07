namespace Cuadrilla.Core.Cabinets;

/// <summary>Size of a thing in a cabinet.</summary>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="HeightMm">Height, mm.</param>
/// <param name="DepthMm">Depth, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
public readonly record struct UnitSize(double WidthMm, double HeightMm, double DepthMm, double MassKg);

/// <summary>Space to be left around a thing.</summary>
/// <param name="AboveMm">Above, mm.</param>
/// <param name="BelowMm">Below, mm.</param>
/// <param name="BesideMm">On each side, mm.</param>
public readonly record struct UnitClearance(double AboveMm, double BelowMm, double BesideMm);

/// <summary>Generic sections and sizes of what stands in them.</summary>
public sealed record CabinetSeries
{
    /// <summary>Widths of sections, ascending, mm.</summary>
    public required IReadOnlyList<double> WidthsMm { get; init; }

    /// <summary>Height kept free below the roof, mm.</summary>
    public required double TopMm { get; init; }

    /// <summary>Height kept free above the floor, for cables, mm.</summary>
    public required double BottomMm { get; init; }

    /// <summary>Width that each side wall takes, mm.</summary>
    public required double SideMm { get; init; }

    /// <summary>Depth that plate and door take, mm.</summary>
    public required double BehindMm { get; init; }

    /// <summary>Mass of an empty section for each metre of width, kg.</summary>
    public required double EmptyKgPerM { get; init; }

    /// <summary>Part of a converter's loss that stays inside where its heat sink reaches outside.</summary>
    public required double SinkInsidePu { get; init; }

    /// <summary>Incoming section from a current in A on: width in mm, mass in kg.</summary>
    public required IReadOnlyList<(double FromA, double WidthMm, double MassKg)> Incoming { get; init; }

    /// <summary>Loss of the incoming devices, W/A.</summary>
    public required double IncomingLossWPerA { get; init; }

    /// <summary>Power factor at which the incoming current is taken before a scenario is solved.</summary>
    public required double IncomingPowerFactor { get; init; }

    /// <summary>Width of the control section, mm.</summary>
    public required double ControlMm { get; init; }

    /// <summary>Mass of what is in it, kg.</summary>
    public required double ControlKg { get; init; }

    /// <summary>Its loss, W.</summary>
    public required double ControlW { get; init; }

    /// <summary>Clearances of converters from a rating in kW on.</summary>
    public required IReadOnlyList<(double FromKw, UnitClearance Clearance)> ConverterClear { get; init; }

    /// <summary>Clearance above and below starters and contactors, mm.</summary>
    public required double StarterClearMm { get; init; }

    /// <summary>Height of a soft starter over its width.</summary>
    public required double StarterHeightPerWidth { get; init; }

    /// <summary>Depth of a soft starter over its width.</summary>
    public required double StarterDepthPerWidth { get; init; }

    /// <summary>Contactors from a current in A on.</summary>
    public required IReadOnlyList<(double FromA, UnitSize Size)> Contactors { get; init; }

    /// <summary>Loss of a contactor with its relay, W/A.</summary>
    public required double ContactorLossWPerA { get; init; }

    /// <summary>Sine filters from a converter rating in kW on.</summary>
    public required IReadOnlyList<(double FromKw, UnitSize Size)> SineFilters { get; init; }

    /// <summary>Size of other output filters over that of a sine filter, in each direction.</summary>
    public required double SlopeFilterPu { get; init; }

    /// <summary>Clearance above and below filters, mm.</summary>
    public required double FilterClearMm { get; init; }

    /// <summary>Largest width moved as one, mm.</summary>
    public required double TransportMm { get; init; }

    /// <summary>Largest mass moved as one, kg.</summary>
    public required double TransportKg { get; init; }

    /// <summary>The last row that begins at or below a value.</summary>
    public static T From<T>(IReadOnlyList<(double From, T What)> rows, double value)
    {
        ArgumentNullException.ThrowIfNull(rows);
        return rows.Last(r => r.From <= value).What;
    }
}
