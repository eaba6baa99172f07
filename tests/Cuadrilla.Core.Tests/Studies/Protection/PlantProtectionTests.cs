using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Protection;

/// <summary>Cables and protection of whole plants: the faults of the examples are found, proposals hold, what is not known is not
/// guessed.</summary>
public sealed class PlantProtectionTests
{
    private static readonly Cuadrilla.Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly PlantSpecification Works = DemoPlant.Read(Data, "tarn-hollow");

    [Fact]
    public void The_deliberate_faults_of_the_examples_are_found()
    {
        var tiles = Assessor.Run(Demo).Checks;
        Assert.Equal(Verdict.Fails, Only(tiles, "cable.capacity", "dp-01", string.Empty).Verdict);
        Assert.Contains("grouping governs", Only(tiles, "cable.capacity", "dp-01", string.Empty).Relief, StringComparison.Ordinal);
        Assert.Equal(Verdict.Fails, Only(tiles, "cable.disconnection", "dp-17", "feeder").Verdict);
        Assert.Equal(Verdict.Fails, Only(tiles, "protection.stall", "dp-04", string.Empty).Verdict);
        Assert.Equal(Verdict.Fails, Only(tiles, "protection.start-passes", "dp-04", string.Empty).Verdict);
        var water = Assessor.Run(Works).Checks;
        Assert.Equal(Verdict.Fails, Only(water, "protection.start-passes", "hs-3", string.Empty).Verdict);

        // On the mains all cables hold; the emergency generator drives too little fault current through the largest feeder and dips.
        Assert.DoesNotContain(Assessor.Run(StandbyPlant.OnMains(Works)).Checks,
            c => c.Id.StartsWith("cable.", StringComparison.Ordinal) && c.Verdict == Verdict.Fails);
        Assert.Equal("cable.short-circuit hs-1, cable.voltage-drop bw-1", string.Join(", ",
            water.Where(c => c.Id.StartsWith("cable.", StringComparison.Ordinal) && c.Verdict == Verdict.Fails)
                .Select(c => $"{c.Id} {c.DrivePointId}")));
    }

    // The same chain by the engine that knows one source, one transformer and nothing else.
    [Fact]
    public void Fault_currents_of_a_bus_are_those_of_the_engine_for_a_single_chain()
    {
        var found = Assessor.Run(Works).ShortCircuits["bus-a"];
        var transformer = Works.Distribution.Transformers.First(t => t.ToBusId == "bus-a");
        var ohm = FaultLevel.TransformerImpedance(480,
            new FaultLevel.TransformerInput(transformer.RatedKva, transformer.UkPct, transformer.LoadLossKw));
        var factors = FaultCurrent.VoltageFactors.Of(0);
        var chain = FaultCurrent.Of(new FaultCurrent.Place(
            480, factors, new FaultCurrent.VoltageFactors(1, 1), 180, 120, 12,
            new FaultCurrent.TransformerPart(ohm, transformer.RatedKva * 1e3, 1, 1), null, 0, 6));
        Assert.Equal(chain.PlainA, found.PlainA, 0.0005 * chain.PlainA);
        Assert.Equal(chain.Max.CurrentA, found.LargestA - found.MotorsA, 0.001 * chain.Max.CurrentA);
        Assert.Equal(chain.Min.CurrentA, found.LeastA, 0.0005 * chain.Min.CurrentA);
        Assert.Equal(chain.Min.PhaseToEarthA!.Value, found.ToEarthA!.Value, 0.001 * found.ToEarthA!.Value);
    }

    [Fact]
    public void What_a_plant_does_not_say_of_its_cables_is_bounded_and_not_guessed()
    {
        var silent = Demo with { Cables = null };
        Verdict Of(double mm2) => Only(
            Assessor.Run(Changed(silent, "dp-02", p => p with { Cable = p.Cable with { CrossSectionMm2 = mm2 } })).Checks, "cable.capacity",
            "dp-02", string.Empty).Verdict;
        Assert.Equal(Verdict.Fails, Of(6));
        Assert.Equal(Verdict.NeedsData, Of(35));

        // In a pipe among nine it would do, in nine ducts in dry soil it would not.
        Assert.Equal(Verdict.NeedsData, Of(120));
        Assert.Equal(Verdict.Holds, Of(150));
    }

    [Fact]
    public void Without_a_device_nothing_that_rests_on_one_holds()
    {
        var bare = Changed(Demo, "dp-02", p => p with { Devices = SwitchingDevices.None });
        var checks = Assessor.Run(bare).Checks.Where(c => c.DrivePointId == "dp-02").ToList();
        Assert.All(["protection.device", "cable.short-circuit", "cable.disconnection"],
            id => Assert.Equal(Verdict.NeedsData, checks.Single(c => c.Id == id && c.Verdict != Verdict.NotApplicable).Verdict));
        Assert.Contains("fuses gG 125 A", checks.Single(c => c.Id == "protection.device").Relief, StringComparison.Ordinal);
    }

    [Fact]
    public void A_plain_bridge_is_laid_for_its_rms_and_not_for_its_fundamental()
    {
        var row = Assessor.Protection(Demo).Cables.Single(c => c is { DrivePointId: "dp-02", Role: CableRole.Feeder });
        var draw = Assessor.Run(Demo).Scenarios.SelectMany(s => s.Drives).Where(d => d.DrivePointId == "dp-02")
            .Select(d => ((RectifierResult.LineDraw)d.Front).LoadedPhase).ToList();
        Assert.Equal(draw.Max(d => d.RmsA), row.DesignA!.Value, 9);
        Assert.True(row.DesignA > 1.4 * draw.Max(d => d.FundamentalA));
    }

    [Fact]
    public void What_is_proposed_holds_and_the_ledger_moves_with_the_length()
    {
        var ids = Demo.AllDrivePoints().Select(p => p.Id).ToList();
        var done = Assert.IsType<CommandOutcome.Done>(new SizeProtection(ids, ProtectedPart.Both, DeviceKind.Usual).On(Demo, Assessor));
        var checks = Assessor.Run(done.After).Checks;
        string[] settled = ["cable.capacity", "cable.disconnection", "cable.short-circuit", "protection.device"];
        Assert.Empty(checks.Where(c => settled.Contains(c.Id) && c.Verdict == Verdict.Fails)
            .Select(c => $"{c.Id} {c.DrivePointId}: {c.Reason.WithNumbers}"));
        var after = Changed(done.After, "dp-11", p => p with { Feeder = ((Feeder.ByCable)p.Feeder) with { LengthM = 900 } });
        var moved = Only(Assessor.Run(after).Checks, "cable.disconnection", "dp-11", "feeder");
        Assert.Equal(Verdict.Fails, moved.Verdict);
        var row = Assessor.Protection(after).Cables.Single(c => c is { DrivePointId: "dp-11", Role: CableRole.Feeder });
        Assert.True(row.ProposedMm2 > row.SectionMm2);
        Assert.Equal("disconnection", row.Governs);
    }

    [Fact]
    public void An_open_section_is_proposed_and_stays_open_where_nobody_says_how_it_is_laid()
    {
        var open = Changed(Demo, "dp-02", p => p with
        {
            Feeder = ((Feeder.ByCable)p.Feeder) with { CrossSectionMm2 = Given.Unknown },
            Cable = p.Cable with { CrossSectionMm2 = Given.Unknown },
        });
        var done = Assert.IsType<CommandOutcome.Done>(new SizeProtection(["dp-02"], ProtectedPart.Both, DeviceKind.Usual)
            .On(open, Assessor));
        var point = done.After.AllDrivePoints().First(p => p.Id == "dp-02");
        Assert.Equal(25, point.Cable.CrossSectionMm2.Value);
        Assert.Equal(50, ((Feeder.ByCable)point.Feeder).CrossSectionMm2.Value);
        var silent = new SizeProtection(["dp-02"], ProtectedPart.Cables, DeviceKind.Usual).On(open with { Cables = null }, Assessor);
        Assert.Contains("how the cable is laid", Assert.IsType<CommandOutcome.Refused>(silent).Why.Message, StringComparison.Ordinal);
    }

    // NFPA 70, 430.52 with the current of its table 430.250: 2.5 × 302 A for 250 hp at 460 V, the next standard rating up is 800 A.
    [Fact]
    public void The_US_code_bounds_the_device_ahead_of_a_motor_from_above()
    {
        Verdict Of(double ratedA) => Only(
            Assessor.Run(Changed(Works, "hs-3",
                p => p with { Devices = p.Devices with { Device = new ProtectiveDevice.CircuitBreaker(ratedA, ratedA, 10, 65, Given.Unknown,
                    string.Empty) } })).Checks,
            "protection.device", "hs-3", string.Empty).Verdict;
        Assert.Equal(Verdict.Holds, Of(800));
        Assert.Equal(Verdict.Fails, Of(1000));
    }

    // A mill of 160 kW, each way of starting: the class must let the start pass and trip before the rotor burns.
    [Theory]
    [InlineData("across-the-line")]
    [InlineData("star-delta")]
    [InlineData("soft-starter")]
    public void A_mill_passes_its_device_or_not_by_the_way_it_starts(string way)
    {
        ConverterChoice choice = way switch
        {
            "across-the-line" => new ConverterChoice.AcrossTheLine(TripClass.Class20, 1, string.Empty),
            "star-delta" => new ConverterChoice.StarDelta(12, TripClass.Class20, 1, string.Empty),
            _ => new ConverterChoice.SoftStarter("soft-300", new SoftStarterSettings(SoftStartMode.CurrentLimit, 0, 0, 450, 0, 0, false, 0),
                TripClass.Class20, 1, string.Empty),
        };
        var mill = Changed(Demo, "dp-04", p => p with
        {
            Converter = choice,
            Motor = ((MotorChoice.FromCatalogue)p.Motor) with { ItemId = "cage-4p-ie3-160" },
            Load = ((HighInertiaLoad)p.Load) with
            {
                RunningTorqueNm = 0.55 * ((HighInertiaLoad)p.Load).RunningTorqueNm.Value,
                Train = ((HighInertiaLoad)p.Load).Train with { InertiaKgM2 = 0.3 * ((HighInertiaLoad)p.Load).Train.InertiaKgM2.Value },
            },
        });
        var sized = Assert.IsType<CommandOutcome.Done>(new SizeProtection(["dp-04"], ProtectedPart.Devices, DeviceKind.Usual)
            .On(mill, Assessor)).After;
        var checks = Assessor.Run(sized).Checks.Where(c => c.DrivePointId == "dp-04").ToList();
        Assert.Equal(Verdict.Holds, checks.Single(c => c.Id == "contactor.duty" && c.ElementId.Length == 0).Verdict);
        Assert.NotEqual(Verdict.Fails, checks.Single(c => c.Id == "protection.start-passes").Verdict);
        var small = Changed(sized, "dp-04",
            p => p with { Devices = p.Devices with { Device = new ProtectiveDevice.Fuse(100, 100, string.Empty) } });
        Assert.Equal(Verdict.Fails, Assessor.Run(small).Checks.Single(c => c.DrivePointId == "dp-04"
            && c.Id == "protection.start-passes").Verdict);

        // A slower class lets the rotor stand longer under its locked current.
        double Trips(TripClass trip) => Assessor.Run(Changed(sized, "dp-04", p => p with
        {
            Converter = p.Converter switch
            {
                ConverterChoice.AcrossTheLine a => a with { Trip = trip },
                ConverterChoice.StarDelta s => s with { Trip = trip },
                ConverterChoice.SoftStarter s => s with { Trip = trip },
                _ => p.Converter,
            },
        })).Checks.Single(c => c.DrivePointId == "dp-04" && c.Id == "protection.stall").Figure.Value;
        Assert.True(Trips(TripClass.Class5) < Trips(TripClass.Class20));
        Assert.True(Trips(TripClass.Class20) < Trips(TripClass.Class30));
        Assert.Contains(Assessor.TimeCurrent(sized, sized.AllDrivePoints().First(p => p.Id == "dp-04"))!.Curves, c => c.Id == "start");
    }

    [Fact]
    public void Two_fuses_are_selective_from_their_ratio_on_and_a_breaker_below_its_release()
    {
        double ToA(ProtectiveDevice below, ProtectiveDevice above) => DeviceChecks.SelectiveToA(
            below, DeviceGates.Of(below, Data.GgFuses, Data.Switchgear)!, above, DeviceGates.Of(above, Data.GgFuses, Data.Switchgear)!);
        Assert.Equal(double.PositiveInfinity,
            ToA(new ProtectiveDevice.Fuse(100, 100, string.Empty), new ProtectiveDevice.Fuse(160, 100, string.Empty)));
        Assert.Equal(0, ToA(new ProtectiveDevice.Fuse(100, 100, string.Empty), new ProtectiveDevice.Fuse(125, 100, string.Empty)));
        var main = new ProtectiveDevice.CircuitBreaker(400, 400, 10, 50, Given.Unknown, string.Empty);
        Assert.Equal(3200, ToA(new ProtectiveDevice.Fuse(100, 100, string.Empty), main), 6);
    }

    // ½·C·(U_1² − U_min²)/P by hand, with what the model draws.
    [Fact]
    public void A_link_lasts_as_long_as_its_energy_and_kinetic_buffering_much_longer()
    {
        var point = Demo.AllDrivePoints().First(p => p.Id == "dp-01");
        var model = (DriveOnConverter)Assessor.Study(Demo, point).Model;
        var rest = 3 * Math.Sqrt(2) / Math.PI * 400;
        var byHand = 0.5 * model.Converter.Item.DcCapacitanceUf * 1e-6 * rest * rest * (1 - (0.74 * 0.74)) / model.At(1).LinkW;
        Assert.Equal(byHand, RideThroughCheck.LinkS(model), 6);
        var kinetic = Changed(Demo, "dp-01",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { InDip = DipBehaviour.KineticBuffering } });
        Assert.Equal(Verdict.Holds, Only(Assessor.Run(kinetic).Checks, "supply.ride-through", "dp-01", string.Empty).Verdict);
        var hoist = Changed(Demo, "dp-05",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { InDip = DipBehaviour.FlyingStart } });
        Assert.Equal(Verdict.Fails, Only(Assessor.Run(hoist).Checks, "supply.ride-through", "dp-05", string.Empty).Verdict);
    }

    [Fact]
    public void A_gearbox_is_judged_by_torque_with_its_service_factor_and_by_heat()
    {
        Check Of(double ratedNm, double factor, Given thermalKw) => Assessor.Run(Changed(Demo, "dp-04", p => p with
        {
            Load = ((HighInertiaLoad)p.Load) with { Train = ((HighInertiaLoad)p.Load).Train with { GearTorqueNm = ratedNm,
                ServiceFactor = factor, GearThermalKw = thermalKw } },
        })).Checks.Single(c => c.DrivePointId == "dp-04" && c.Id == "gear.service-factor");
        var plenty = Of(1e6, 1.5, Given.Unknown);
        Assert.Equal(Verdict.Holds, plenty.Verdict);
        Assert.Equal(plenty.Figure.Value * 10, Of(1e5, 1.5, Given.Unknown).Figure.Value, 0.001);
        Assert.Contains("thermal", Of(1e6, 1.5, 1).Title, StringComparison.Ordinal);
        Assert.Equal(Verdict.Fails, Of(1e6, 1.5, 1).Verdict);
    }

    private static Check Only(IReadOnlyList<Check> checks, string id, string pointId, string elementId) =>
        checks.Single(c => c.Id == id && c.DrivePointId == pointId && c.ElementId == elementId);

    private static PlantSpecification Changed(PlantSpecification plant, string id, Func<DrivePoint, DrivePoint> change) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? change(p) : p)] })],
    };
}
