using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Interference;

/// <summary>What listens near the example, and the earth of a TT system.</summary>
public sealed class ReceiverChecksTests
{
    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);
    private static readonly PlantSpecification Demo = DemoChanges.Demo;

    // In the example two drives have longer cables than is declared; shortened all declare C3.
    private static readonly PlantSpecification Declared = Demo with
    {
        Lineups = [.. Demo.Lineups.Select(l =>
            l with { DrivePoints = [.. l.DrivePoints.Select(p => p with { Cable = p.Cable with { LengthM = 1 } })] })],
    };

    private static Check Of(PlantSpecification plant, Given distanceM) =>
        Assessor.Run(plant with { Routes = plant.Routes with { Receivers = [new NearbyReceiver("r", "Mast", ReceiverKind.Radio,
            distanceM)] } })
            .Checks.Single(c => c is { Id: "emc.category", ElementId: "r" });

    [Fact]
    public void A_receiver_stands_as_far_away_as_the_declared_categories_ask()
    {
        Assert.Equal(Verdict.NeedsData, Of(Declared, Given.Unknown).Verdict);
        Assert.Equal(Verdict.Tight, Of(Declared, 29.9).Verdict);
        Assert.Equal(Verdict.Holds, Of(Declared, 30).Verdict);
        Assert.Contains("all drives declare C3", Of(Declared, 30).Reason.WithNumbers, StringComparison.Ordinal);

        // One drive alone whose declaration does not reach is enough.
        Assert.Equal(Verdict.Tight, Of(Demo, 299).Verdict);
        Assert.Contains("DP-06", Of(Demo, 299).Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Equal(Verdict.Holds, Of(Demo, 300).Verdict);
        var open = DemoChanges.Changed(Declared, "dp-02", p => p with { Interference = p.Interference with { LinksOpen = true } });
        Assert.Equal(Verdict.Tight, Of(open, 30).Verdict);

        // What is not chosen is asked for, not passed over.
        var bare = DemoChanges.Changed(Declared, "dp-02", p => p with { Converter = new ConverterChoice.NotChosen() });
        Assert.Equal(Verdict.NeedsData, Of(bare, 30).Verdict);
        Assert.Contains("DP-02", Of(bare, 30).Reason.WithNumbers, StringComparison.Ordinal);
        var unsupplied = Declared with
        {
            Lineups = [.. Declared.Lineups.Select(l =>
                l with { DcBuses = [.. l.DcBuses.Select(b => b with { SupplyModuleId = string.Empty })] })],
        };
        Assert.Equal(Verdict.NeedsData, Of(unsupplied, 30).Verdict);
        Assert.DoesNotContain(Assessor.Run(Demo with { Routes = Demo.Routes with { Receivers = [] } }).Checks,
            c => c.Title.EndsWith("nearby", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(30, 300, Verdict.Holds)]
    [InlineData(150, 300, Verdict.Tight)]
    [InlineData(170, 300, Verdict.Fails)]
    public void In_a_tt_system_the_electrode_and_the_device_hold_together(double ohm, double ratedMa, Verdict verdict)
    {
        var plant = Demo with
        {
            Distribution = Demo.Distribution with { Buses = [.. Demo.Distribution.Buses.Select(b => b.Id == "bus-a"
                ? b with { Earthing = EarthingSystem.Tt, ElectrodeOhm = ohm }
                : b)] },
        };
        plant = DemoChanges.Changed(plant, "dp-02",
            p => p with { Interference = p.Interference with { Residual = new ResidualDevice(ResidualKind.TypeB, ratedMa) } });
        var checks = Assessor.Run(plant).Checks.Where(c => c is { Id: "emc.rcd", DrivePointId: "dp-02" }).ToList();
        var earth = checks.Single(c => c.ElementId == "electrode, its feeder");
        Assert.Equal(verdict, earth.Verdict);
        Assert.Equal(ohm * ratedMa / 1e3, earth.Figure.Value, 9);

        // Measured, the kind of the device is no longer held back.
        Assert.Equal(Verdict.Holds, checks.Single(c => c.ElementId.Length == 0).Verdict);
    }
}
