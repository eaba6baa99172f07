using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification.Validation;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;

namespace Cuadrilla.Core.Tests.Specification;

/// <summary>Entries of central active filters.</summary>
public sealed class ActiveFilterEntryTests
{
    private static IReadOnlyList<string> Pointers(ActiveFilter filter) =>
    [
        .. SpecificationValidation.Problems(Demo with { Distribution = Demo.Distribution with { ActiveFilters = [filter] } }, Data)
        .Select(p => p.Pointer),
    ];

    [Fact]
    public void A_filter_on_a_low_voltage_bus_is_accepted() => Assert.Empty(Pointers(new ActiveFilter("af", "Filter", "bus-a", 120)));

    [Theory]
    [InlineData("af", "Filter", "bus-a", 0.5, "/distribution/activeFilters/0/ratedCurrentA")]
    [InlineData("af", "Filter", "bus-a", 20_000, "/distribution/activeFilters/0/ratedCurrentA")]
    [InlineData("af", "Filter", "bus-mv", 100, "/distribution/activeFilters/0/busId")]
    [InlineData("af", "Filter", "none", 100, "/distribution/activeFilters/0/busId")]
    [InlineData("af", "", "bus-a", 100, "/distribution/activeFilters/0/name")]
    [InlineData("bus-a", "Filter", "bus-a", 100, "/distribution/activeFilters/0/id")]
    public void What_cannot_be_is_refused_at_its_place(string id, string name, string busId, double ampere, string pointer) =>
        Assert.Contains(pointer, Pointers(new ActiveFilter(id, name, busId, ampere)));
}
