using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>What a section is for.</summary>
public enum SectionKind
{
    /// <summary>Isolator, breaker, metering.</summary>
    Incoming,

    /// <summary>Units.</summary>
    Units,

    /// <summary>One unit that is a section by itself.</summary>
    FreeStanding,

    /// <summary>Control unit and its diagnosis connection, apart from the power.</summary>
    Control,
}

/// <summary>A unit in its section.</summary>
/// <param name="Unit">The unit.</param>
/// <param name="LeftMm">Its left edge from the section's, mm.</param>
/// <param name="BottomMm">Its lower edge above the section's floor, mm.</param>
/// <param name="IsByHand">Put there by hand.</param>
public sealed record PlacedUnit(CabinetUnit Unit, double LeftMm, double BottomMm, bool IsByHand)
{
    /// <summary>Its right edge, mm.</summary>
    public double RightMm => LeftMm + Unit.Size.WidthMm;

    /// <summary>Its upper edge, mm.</summary>
    public double TopMm => BottomMm + Unit.Size.HeightMm;
}

/// <summary>One section with what stands in it.</summary>
/// <param name="Number">From the supply on, 1 first.</param>
/// <param name="Kind">What it is for.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="Units">Units, from below.</param>
/// <param name="FurtherKg">Mass of what is in it beside its units, kg.</param>
public sealed record CabinetSection(int Number, SectionKind Kind, double WidthMm, IReadOnlyList<PlacedUnit> Units, double FurtherKg)
{
    /// <summary>Units at a unit's height, itself among them.</summary>
    public IReadOnlyList<PlacedUnit> Beside(PlacedUnit unit)
    {
        ArgumentNullException.ThrowIfNull(unit);
        return [.. Units.Where(p => p.BottomMm < unit.TopMm && unit.BottomMm < p.TopMm)];
    }
}

/// <summary>Sections of a lineup: incoming, units in the order of the power, control; what was put somewhere by hand stands there.
/// </summary>
public sealed class CabinetLayout
{
    private readonly CabinetSeries series;
    private readonly double heightMm;
    private readonly double usualMm;
    private readonly List<Open> open = [];
    private readonly List<(string Unit, int Section)> misfits = [];

    /// <summary>Places all units.</summary>
    /// <param name="build">Entries.</param>
    /// <param name="units">Units in the order of the power.</param>
    /// <param name="series">Generic sections.</param>
    /// <param name="incomingA">Current of the lineup, A.</param>
    public CabinetLayout(CabinetBuild build, IReadOnlyList<CabinetUnit> units, CabinetSeries series, double incomingA)
    {
        ArgumentNullException.ThrowIfNull(build);
        ArgumentNullException.ThrowIfNull(units);
        ArgumentNullException.ThrowIfNull(series);
        this.series = series;
        heightMm = build.HeightMm.Or(CabinetUsual.HeightMm);
        usualMm = series.WidthsMm.FirstOrDefault(w => w >= build.SectionMm.Or(CabinetUsual.SectionMm), series.WidthsMm[^1]);
        var incoming = series.Incoming.Last(r => r.FromA <= incomingA);
        open.Add(new Open(SectionKind.Incoming, incoming.WidthMm, incoming.MassKg));
        var byHand = build.Pins.ToDictionary(p => p.UnitId, p => p.Section, StringComparer.Ordinal);
        foreach (var unit in units.Where(u => byHand.ContainsKey(u.Id)).OrderBy(u => byHand[u.Id]))
        {
            if (!PutInto(unit, byHand[unit.Id]))
            {
                misfits.Add((unit.Name, byHand[unit.Id]));
            }
        }

        var at = 1;
        foreach (var unit in units.Where(u => !byHand.ContainsKey(u.Id) || misfits.Exists(m => m.Unit == u.Name)))
        {
            at = PutFrom(at, unit);
        }

        // A number that somebody gave stays, and with it what is left empty before it.
        while (open[^1].Kind == SectionKind.Units && open[^1].Placed.Count == 0)
        {
            open.RemoveAt(open.Count - 1);
        }

        open.Add(new Open(SectionKind.Control, series.ControlMm, series.ControlKg));
        Sections = [.. open.Select((o, i) => new CabinetSection(i + 1, o.Kind, o.WidthMm, o.Placed, o.FurtherKg))];
    }

    /// <summary>Sections from the supply on.</summary>
    public IReadOnlyList<CabinetSection> Sections { get; }

    /// <summary>Units for which there is no room where they were put by hand.</summary>
    public IReadOnlyList<(string Unit, int Section)> Misfits => misfits;

    /// <summary>Widths together, mm.</summary>
    public double WidthMm => Sections.Sum(s => s.WidthMm);

    // By hand into a section with its number, which is made where there is none yet.
    private bool PutInto(CabinetUnit unit, int number)
    {
        while (open.Count < number)
        {
            open.Add(new Open(SectionKind.Units, usualMm, 0));
        }

        var section = open[number - 1];
        if (section.Kind != SectionKind.Units)
        {
            return false;
        }

        if (section.Placed.Count == 0)
        {
            section.WidthMm = Math.Max(section.WidthMm, WidthFor(unit) ?? 0);
        }

        return section.Take(unit, true, series, heightMm);
    }

    // In order: into the section at hand, else into the next that has room, else into a new one.
    private int PutFrom(int at, CabinetUnit unit)
    {
        if (WidthFor(unit) is not { } width)
        {
            var alone = new Open(SectionKind.FreeStanding, Math.Ceiling(unit.Size.WidthMm / 100) * 100, 0);
            alone.Placed.Add(new PlacedUnit(unit, (alone.WidthMm - unit.Size.WidthMm) / 2, 0, false));
            var next = open.Skip(at).Any(o => o.Placed.Exists(u => u.IsByHand)) ? open.Count : Math.Min(at, open.Count);
            open.Insert(next, alone);
            return next + 1;
        }

        for (var i = at; i < open.Count; i++)
        {
            if (open[i].Kind == SectionKind.Units && open[i].Take(unit, false, series, heightMm))
            {
                return i;
            }
        }

        var further = new Open(SectionKind.Units, Math.Max(usualMm, width), 0);
        open.Add(further);
        return further.Take(unit, false, series, heightMm) ? open.Count - 1
            : throw new InvalidOperationException($"{unit.Name} does not fit into a section made for it.");
    }

    // Section wide enough for a unit; null where it is higher or wider than any, and stands by itself.
    private double? WidthFor(CabinetUnit unit)
    {
        var needs = unit.Size.WidthMm + (2 * (unit.Clearance.BesideMm + series.SideMm));
        var high = unit.Size.HeightMm + unit.Clearance.AboveMm + unit.Clearance.BelowMm;
        return high > heightMm - series.TopMm - series.BottomMm || needs > series.WidthsMm[^1]
            ? null
            : series.WidthsMm.First(w => w >= needs);
    }

    // A section while it is filled, row by row from below.
    private sealed class Open(SectionKind kind, double widthMm, double furtherKg)
    {
        private double rowBottomMm = double.NaN;
        private double rowTopMm;
        private double nextMm;

        public SectionKind Kind => kind;

        public double WidthMm { get; set; } = widthMm;

        public double FurtherKg => furtherKg;

        public List<PlacedUnit> Placed { get; } = [];

        // In the row at hand beside the last unit, else in a row above it.
        public bool Take(CabinetUnit unit, bool byHand, CabinetSeries series, double heightMm)
        {
            var (clear, size) = (unit.Clearance, unit.Size);
            var limit = heightMm - series.TopMm;
            if (double.IsNaN(rowBottomMm))
            {
                (rowBottomMm, rowTopMm, nextMm) = (series.BottomMm, series.BottomMm, series.SideMm);
            }

            if (Fits(rowBottomMm, nextMm))
            {
                return Put(rowBottomMm, nextMm);
            }

            if (Fits(rowTopMm, series.SideMm) && rowTopMm > rowBottomMm)
            {
                (rowBottomMm, nextMm) = (rowTopMm, series.SideMm);
                return Put(rowBottomMm, nextMm);
            }

            return false;

            bool Fits(double bottom, double left) =>
                left + (2 * clear.BesideMm) + size.WidthMm <= WidthMm - series.SideMm + 1e-9
                && bottom + clear.BelowMm + size.HeightMm + clear.AboveMm <= limit + 1e-9;

            bool Put(double bottom, double left)
            {
                Placed.Add(new PlacedUnit(unit, left + clear.BesideMm, bottom + clear.BelowMm, byHand));
                nextMm = left + (2 * clear.BesideMm) + size.WidthMm;
                rowTopMm = Math.Max(rowTopMm, bottom + clear.BelowMm + size.HeightMm + clear.AboveMm);
                return true;
            }
        }
    }
}
