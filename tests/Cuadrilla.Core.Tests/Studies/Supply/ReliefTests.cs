using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Relief names what the plant has, and nothing that it has not.</summary>
public sealed class ReliefTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Studies = new(Data);
    private static readonly PlantSpecification Tiles = DemoPlant.Read(Data, DemoPlant.Keys[0]);

    private static Check Of(PlantSpecification plant, string id, string element) =>
        Studies.Run(plant).Checks.First(c => c.Id == id && c.ElementId == element);

    private static PlantSpecification With(PlantSpecification plant, Func<Distribution, Distribution> change) =>
        plant with { Distribution = change(plant.Distribution) };

    // So strict that the check fails and tells its relief.
    private static readonly PlantSpecification Strict = Tiles with { Overrides = [.. Tiles.Overrides,
        new DefaultOverride("plant-class", 1, "tried")] };

    [Fact]
    public void A_reactor_is_named_with_the_banks_that_have_none()
    {
        var bus = Strict.Lineups[0].BusId;
        var bank = Strict.Distribution.CapacitorBanks[0];
        string Relief(params CapacitorBank[] banks) =>
            Of(With(Strict, d => d with { CapacitorBanks = [.. banks],
                Buses = [.. d.Buses.Select(b => b with { EnvironmentClass = Given.Unknown })] }), "harmonics.plant-voltage", bus).Relief;
        Assert.Contains($"a reactor ahead of {bank.Name}", Relief(bank with { DetuningPct = 0 }), StringComparison.Ordinal);
        Assert.DoesNotContain("reactor", Relief(bank with { DetuningPct = 7 }), StringComparison.Ordinal);
        Assert.DoesNotContain("reactor", Relief(), StringComparison.Ordinal);
    }

    [Fact]
    public void Chokes_are_named_with_the_drive_points_that_have_none()
    {
        var lineup = Strict.Lineups[0];
        var relief = Of(With(Strict, d => d with { Buses = [.. d.Buses.Select(b => b with { EnvironmentClass = Given.Unknown })] }),
            "harmonics.plant-voltage", lineup.BusId).Relief;
        var plain = lineup.DrivePoints
            .Where(p => p.Converter is Core.Converters.ConverterChoice.FromCatalogue c
                && Data.Converters.TryGetValue(c.ItemId, out var item)
                    && item is { Kind: Core.Converters.ConverterKind.SixPulse, ChokePct: 0 })
            .Select(p => p.Tag).ToList();
        Assert.NotEmpty(plain);
        Assert.All(plain.Take(3), tag => Assert.Contains(tag, relief, StringComparison.Ordinal));
        Assert.Contains($"a choke or more pulses at {string.Join(", ", plain.Take(3))}", relief, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(true, true)]
    [InlineData(false, false)]
    public void A_coupler_is_opened_only_where_one_is_closed(bool normallyClosed, bool isNamed)
    {
        var bus = Tiles.Distribution.Buses.First(b => b.Id == Tiles.Lineups[0].BusId);
        var other = Tiles.Distribution.Buses.First(b => b.NominalVoltageV == bus.NominalVoltageV && b.Id != bus.Id);
        var plant = With(Tiles, d => d with
        {
            Links = [.. d.Links.Where(l => l is not BusLink.Coupler),
                new BusLink.Coupler("tie-1", "tie A-B", bus.Id, other.Id, normallyClosed)],
            Buses = [.. d.Buses.Select(b => b.Id == bus.Id ? b with { WithstandKa = 5 } : b)],
        }) with { Scenarios = [Scenario.AsUsual("all", "all")] };
        var check = Of(plant, "supply.fault-level", bus.Id);
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Equal(isNamed, check.Relief.Contains("open tie A-B", StringComparison.Ordinal));
        Assert.Contains("stronger switchgear", check.Relief, StringComparison.Ordinal);
    }
}
