using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>Heat and air of one section in one scenario.</summary>
/// <param name="Scenario">Which.</param>
/// <param name="LossW">Loss that stays inside, W.</param>
/// <param name="OutsideW">Loss that heat sinks give outside, W.</param>
/// <param name="TopC">Air under the roof, °C; null while data are missing.</param>
/// <param name="InletC">Air that each unit takes in, °C, by its key; empty while data are missing.</param>
public sealed record SectionAir(Scenario Scenario, double LossW, double OutsideW, double? TopC, IReadOnlyDictionary<string, double> InletC)
{
    /// <summary>Computes it.</summary>
    /// <param name="build">Entries.</param>
    /// <param name="section">The section.</param>
    /// <param name="place">Its walls and factors; null while they are missing.</param>
    /// <param name="site">Where the plant stands.</param>
    /// <param name="scenario">The scenario.</param>
    /// <param name="furtherW">Loss of what is in it beside its units, W.</param>
    /// <param name="sinkInsidePu">Part of a converter's loss that stays inside where its heat sink reaches outside.</param>
    /// <returns>Null where the loss of a unit can't be computed.</returns>
    internal static SectionAir? Of(CabinetBuild build, CabinetSection section, EnclosureHeat? place, Site site, Scenario scenario,
        double furtherW, double sinkInsidePu)
    {
        Dictionary<string, double> inside = new(StringComparer.Ordinal);
        var outside = 0.0;
        foreach (var unit in section.Units.Select(p => p.Unit))
        {
            if (unit.LossW(scenario) is not { } loss)
            {
                return null;
            }

            inside[unit.Id] = InsidePu(unit) * loss;
            outside += loss - inside[unit.Id];
        }

        var sum = inside.Values.Sum() + furtherW;
        var none = new SectionAir(scenario, sum, outside, null, new Dictionary<string, double>());
        var thinned = section.Units.ToDictionary(p => p.Unit.Id, p => InsidePu(p.Unit) * p.Unit.AirM3PerH, StringComparer.Ordinal);
        return build.Cooling switch
        {
            CabinetCooling.Closed or CabinetCooling.Vented => place is null ? none
                : Told(p => place.RiseK(sum, p.BottomMm / build.HeightMm.Or(CabinetUsual.HeightMm)), site.AmbientMaxC, place.TopRiseK(sum)),
            CabinetCooling.Forced => build.FanM3PerH.IsKnown ? Blown(build.FanM3PerH.Value * AirFlow.LeftPu(build.Mats)) : none,

            // Beyond its watts it does not hold its air: what the air is then is not known.
            _ => build is { CooledC.IsKnown: true, CoolerW.IsKnown: true } && sum <= build.CoolerW.Value
                ? Told(_ => 0, build.CooledC.Value, 0)
                : none,
        };

        // Behind heat sinks that reach outside only that part of its loss, and of its own air, stays inside.
        double InsidePu(CabinetUnit unit) =>
            build.SinksOutside && unit.Kind is CabinetUnitKind.Converter or CabinetUnitKind.SupplyModule ? sinkInsidePu : 1;

        // The stream is warmer by what lies below. Where the units side by side blow more than passes, the rest comes round again from
        // above them: T_in = T_below + (1 − V/ΣV_u)·3.1·P_row/V.
        SectionAir Blown(double m3PerH) => Told(
            unit =>
            {
                var row = section.Beside(unit);
                var again = Math.Max(0, 1 - (m3PerH / Math.Max(row.Sum(p => thinned[p.Unit.Id]), 1e-9)));
                return AirFlow.RiseK(Below(unit).Sum(p => inside[p.Unit.Id]), m3PerH, site.AltitudeM)
                    + (again * AirFlow.RiseK(row.Sum(p => inside[p.Unit.Id]), m3PerH, site.AltitudeM));
            },
            site.AmbientMaxC, AirFlow.RiseK(sum, m3PerH, site.AltitudeM));

        List<PlacedUnit> Below(PlacedUnit unit) => [.. section.Units.Where(p => p.TopMm <= unit.BottomMm)];

        // Right above a unit with a fan it may also be that unit's own air, unmixed: the warmer counts, however the section is cooled.
        SectionAir Told(Func<PlacedUnit, double> mixedK, double fromC, double topK)
        {
            Dictionary<string, double> rise = new(StringComparer.Ordinal);
            foreach (var unit in section.Units.OrderBy(p => p.BottomMm))
            {
                var plume = Below(unit).Where(p => p.LeftMm < unit.RightMm && unit.LeftMm < p.RightMm && p.Unit.AirM3PerH > 0)
                    .Select(p => rise[p.Unit.Id] + AirFlow.UnitRiseK(inside[p.Unit.Id], thinned[p.Unit.Id], site.AltitudeM))
                    .DefaultIfEmpty(0).Max();
                rise[unit.Unit.Id] = Math.Max(mixedK(unit), plume);
            }

            return none with
            {
                TopC = fromC + Math.Max(topK, rise.Values.DefaultIfEmpty(0).Max()),
                InletC = rise.ToDictionary(r => r.Key, r => fromC + r.Value, StringComparer.Ordinal),
            };
        }
    }
}
