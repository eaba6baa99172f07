using System.Reflection;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Catalogue;

/// <summary>Every default of the catalogue fills one property, and every override of it reaches that property alone.</summary>
public sealed class DefaultTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Type[] Holders = [typeof(DefaultsInForce), typeof(LoadDefaults), typeof(LineupDefaults),
        typeof(HarmonicDefaults), typeof(LinkDefaults), typeof(ProtectionDefaults)];

    [Fact]
    public void Every_default_fills_exactly_one_property()
    {
        var keys = Holders.SelectMany(h => DefaultAttribute.Tied(h)).Select(t => t.Tied.Key).ToList();
        Assert.Equal(Data.Defaults.Select(d => d.Key).Order(StringComparer.Ordinal), keys.Order(StringComparer.Ordinal));
    }

    [Fact]
    public void Every_property_of_a_holder_is_filled_or_made_of_those_that_are()
    {
        foreach (var property in Holders.SelectMany(h => h.GetProperties()).Where(p => p.CanWrite && !Holders.Contains(p.PropertyType)))
        {
            Assert.NotNull(property.GetCustomAttribute<DefaultAttribute>());
        }
    }

    [Fact]
    public void An_override_changes_its_own_property_and_no_other()
    {
        var usual = Flat(DefaultsInForce.Resolve(Data.Defaults, []));
        foreach (var d in Data.Defaults)
        {
            var other = d.Value == d.Max ? d.Min : d.Max;
            var changed = Flat(DefaultsInForce.Resolve(Data.Defaults, [new DefaultOverride(d.Key, other, "wanted")]));
            var key = Assert.Single(usual.Keys, k => !usual[k].Equals(changed[k]));
            Assert.Equal(d.Key, key);
        }
    }

    private static Dictionary<string, object> Flat(DefaultsInForce d) =>
        new object[] { d, d.Loads, d.Lineups, d.Harmonics, d.Links, d.Protection }
        .SelectMany(h => DefaultAttribute.Tied(h.GetType()).Select(t => (t.Tied.Key, Value: t.Property.GetValue(h)!)))
        .ToDictionary(t => t.Key, t => t.Value, StringComparer.Ordinal);
}
