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

            var part = build.SinksOutside && unit.Kind is CabinetUnitKind.Converter or CabinetUnitKind.SupplyModule ? sinkInsidePu : 1;
            inside[unit.Id] = build.SinksOutside ? part * loss : loss;
            outside += loss - inside[unit.Id];
        }

        var sum = inside.Values.Sum() + furtherW;
        var none = new SectionAir(scenario, sum, outside, null, new Dictionary<string, double>());
        return build.Cooling switch
        {
            CabinetCooling.Closed or CabinetCooling.Vented => place is null ? none : Still(place),
            CabinetCooling.Forced => build.FanM3PerH.IsKnown ? Blown(build.FanM3PerH.Value * AirFlow.LeftPu(build.Mats)) : none,
            _ => build.CooledC.IsKnown
                ? none with { TopC = build.CooledC.Value, InletC = inside.Keys.ToDictionary(k => k, _ => build.CooledC.Value) }
                : none,
        };

        SectionAir Still(EnclosureHeat heat)
        {
            var height = build.HeightMm.Or(CabinetUsual.HeightMm);
            return none with
            {
                TopC = site.AmbientMaxC + heat.TopRiseK(sum),
                InletC = section.Units.ToDictionary(p => p.Unit.Id, p => site.AmbientMaxC + heat.RiseK(sum, p.BottomMm / height)),
            };
        }

        // The stream is warmer by what lies below. Where the units side by side blow more than passes, the rest comes round again from
        // above them: T_in = T_below + (1 − V/ΣV_u)·3.1·P_row/V. Right above a unit it may also be that unit's own air, unmixed.
        SectionAir Blown(double m3PerH)
        {
            Dictionary<string, double> rise = new(StringComparer.Ordinal);
            foreach (var place in section.Units.OrderBy(p => p.BottomMm))
            {
                var below = section.Units.Where(p => p.TopMm <= place.BottomMm).ToList();
                var row = section.Beside(place);
                var blown = row.Sum(p => p.Unit.AirM3PerH);
                var mixed = AirFlow.RiseK(below.Sum(p => inside[p.Unit.Id]), m3PerH, site.AltitudeM)
                    + (Math.Max(0, 1 - (m3PerH / Math.Max(blown, 1e-9)))
                        * AirFlow.RiseK(row.Sum(p => inside[p.Unit.Id]), m3PerH, site.AltitudeM));
                var plume = below.Where(p => p.LeftMm < place.RightMm && place.LeftMm < p.RightMm && p.Unit.AirM3PerH > 0)
                    .Select(p => rise[p.Unit.Id] + AirFlow.UnitRiseK(inside[p.Unit.Id], p.Unit.AirM3PerH, site.AltitudeM))
                    .DefaultIfEmpty(0).Max();
                rise[place.Unit.Id] = Math.Max(mixed, plume);
            }

            return none with
            {
                TopC = site.AmbientMaxC + Math.Max(AirFlow.RiseK(sum, m3PerH, site.AltitudeM), rise.Values.DefaultIfEmpty(0).Max()),
                InletC = rise.ToDictionary(r => r.Key, r => site.AmbientMaxC + r.Value),
            };
        }
    }
}
