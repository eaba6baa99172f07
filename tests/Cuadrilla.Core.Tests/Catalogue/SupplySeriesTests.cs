using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Catalogue;

/// <summary>Series for the voltages and frequencies of the world: tables as typed, ratings that go together, and what a plant is
/// offered.</summary>
public sealed class SupplySeriesTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    [Theory]
    [InlineData("cage-4p-premium-460v-1hp", 85.5, "NEMA 143T", 88.9)]
    [InlineData("cage-4p-premium-460v-75hp", 95.4, "NEMA 365T", 228.6)]
    [InlineData("cage-2p-premium-575v-40hp", 92.4, "NEMA 324TS", 203.2)]
    [InlineData("cage-6p-premium-230v-10hp", 91.0, "NEMA 256T", 158.75)]
    [InlineData("cage-8p-premium-460v-200hp", 94.5, "NEMA 449T", 279.4)]
    [InlineData("cage-4p-premium-460v-500hp", 96.2, "NEMA 449T", 279.4)]
    [InlineData("cage-2p-ie3-0.12", 60.8, "56 M", 56)]
    [InlineData("cage-6p-ie2-0.55", 73.1, "80 M", 80)]
    [InlineData("cage-4p-ie4-0.37", 81.1, "71 M", 71)]
    [InlineData("cage-4p-ie3-1000", 96.0, "500 L", 500)]
    [InlineData("cage-4p-ie3-440v-18.5", 93.6, "180 M", 180)]
    [InlineData("cage-2p-ie3-380v-3.7", 88.5, "112 M", 112)]
    public void Efficiencies_and_frames_of_the_tables(string id, double efficiencyPct, string frame, double shaftHeightMm)
    {
        var item = Data.Motors[id];
        Assert.Equal(efficiencyPct, 100 * item.Plate.Efficiency, 9);
        Assert.Equal(frame, item.Frame);
        Assert.Equal(shaftHeightMm, item.ShaftHeightMm, 9);
    }

    [Fact]
    public void Outside_the_tables_no_class_is_claimed_and_no_lawful_rule_applies()
    {
        var cage = Data.Motors.Values.Where(m => m.Technology == MotorTechnology.CageInduction).ToList();
        foreach (var m in cage.Where(m => m.RatedHp == 0))
        {
            Assert.Equal(m.Plate.RatedPowerW is >= 120 and <= 1e6, m.EfficiencyClass.StartsWith("IE", StringComparison.Ordinal));
        }

        Assert.All(cage.Where(m => m.RatedHp > 0), m => Assert.Equal(m.RatedHp is >= 1 and <= 500, m.EfficiencyClass == "Premium"));
        Assert.All(cage.Where(m => m.EfficiencyClass == "–"), m => Assert.Empty(new LawfulMotor(4, 5).Against(m)));
        Assert.Equal([0.09, 1500], new[] { cage.Where(m => m.RatedHp == 0).Min(m => m.Plate.RatedPowerW),
            cage.Where(m => m.RatedHp == 0).Max(m => m.Plate.RatedPowerW) }.Select(w => w / 1e3));
        Assert.Equal([0.125, 1500], new[] { cage.Where(m => m.RatedHp > 0).Min(m => m.RatedHp), cage.Max(m => m.RatedHp) });
    }

    [Fact]
    public void A_rating_in_horsepower_is_the_mechanical_one()
    {
        Assert.All(Data.Motors.Values.Where(m => m.RatedHp >= 1),
            m => Assert.Equal(m.RatedHp * 550 * 0.3048 * 4.4482216152605, m.Plate.RatedPowerW, 6e-5 * m.Plate.RatedPowerW));
        Assert.All(Data.Converters.Values.Where(c => c.RatedHp > 0),
            c => Assert.Equal(c.RatedHp * 550 * 0.3048 * 4.4482216152605, 1e3 * c.RatedKw, 1e-6 * c.RatedKw * 1e3));
    }

    [Theory]
    [InlineData("460v", "480v")]
    [InlineData("575v", "600v")]
    [InlineData("690v", "690v")]
    [InlineData("230v", "230v")]
    public void Converters_carry_the_four_pole_motors_of_their_size(string motors, string converters)
    {
        var tried = 0;
        foreach (var c in Data.Converters.Values.Where(c => c.Id.StartsWith($"six-pulse-choke-{converters}-", StringComparison.Ordinal)))
        {
            var size = c.Id.Split('-')[^1];
            foreach (var name in new[] { "premium", "ie3" })
            {
                // At 230 V units are rated in kW and motors in hp: the next size below stands for it.
                var motor = Data.Motors.GetValueOrDefault($"cage-4p-{name}-{motors}-{size}")
                    ?? (converters == "230v" ? Data.Motors.Values.Where(m =>
                        m.Id.StartsWith($"cage-4p-{name}-{motors}-", StringComparison.Ordinal) && m.Plate.RatedPowerW <= 1e3 * c.RatedKw)
                            .MaxBy(m => m.Plate.RatedPowerW) : null);
                if (motor is not null)
                {
                    Assert.True(motor.Plate.RatedCurrentA <= c.LightCurrentA,
                        $"{motor.Id} {motor.Plate.RatedCurrentA:0.0} A, {c.Id} {c.LightCurrentA} A");
                    tried++;
                }
            }
        }

        Assert.True(tried > 15, $"{tried}");
    }

    [Fact]
    public void Links_keep_their_energy_per_kilowatt_and_their_levels_go_by_class()
    {
        foreach (var c in Data.Converters.Values.Where(c => c.Family == "six-pulse-choke" && c.RatedKw > 10))
        {
            Assert.Equal(70.0 * 400 * 400, c.DcCapacitanceUf * c.RatedVoltageV * c.RatedVoltageV / c.RatedKw, 70 * 400 * 400 * 5e-3);
            Assert.Equal(760 * VoltageClass.LinkPu(c.RatedVoltageV), c.Brake!.ChopperV, 9);
            Assert.True(c.Brake.ChopperV > 1.1 * Math.Sqrt(2) * c.RatedVoltageV,
                "a chopper does not work at the highest line voltage: " + c.Id);
        }
    }

    [Theory]
    [InlineData(400, 50, "reference motors", 400)]
    [InlineData(380, 50, "reference motors", 400)]
    [InlineData(380, 60, "reference motors 380 V, 60 Hz", 400)]
    [InlineData(480, 60, "reference motors 460 V, 60 Hz", 480)]
    [InlineData(440, 60, "reference motors 440 V, 60 Hz", 480)]
    [InlineData(208, 60, "reference motors 230 V, 60 Hz", 230)]
    [InlineData(600, 60, "reference motors 575 V, 60 Hz", 600)]
    public void A_supply_is_offered_what_is_made_for_it(double lineV, double frequencyHz, string series, double converterV)
    {
        var cage = MadeFor.Motors(Data, lineV, frequencyHz).Where(m => m.Technology == MotorTechnology.CageInduction);
        Assert.Equal([series], cage.Select(m => m.Series).Distinct());
        var converters = MadeFor.Converters(Data, lineV).Where(c => c.Kind != ConverterKind.SinglePhaseInput);
        Assert.Equal([converterV], converters.Select(c => c.RatedVoltageV).Distinct());
    }

    [Fact]
    public void At_690_V_delta_motors_for_400_V_stand_in_star_beside_those_for_690_V()
    {
        var cage = MadeFor.Motors(Data, 690, 50).Where(m => m.Technology == MotorTechnology.CageInduction).ToList();
        Assert.Equal(2, cage.Select(m => m.Series).Distinct().Count());
        Assert.All(cage, m => Assert.Contains(new[] { m.Plate.RatedVoltageV, Math.Sqrt(3) * m.Plate.DeltaVoltageV },
            v => v is > 620 and < 720));
    }

    [Fact]
    public void At_60_Hz_motors_in_metric_frames_have_the_efficiencies_of_the_same_rating_in_horsepower()
    {
        var metric = Data.Motors.Values.Where(m => m.Series.Contains("440 V", StringComparison.Ordinal)
            && m.Technology == MotorTechnology.CageInduction && m.Plate.RatedPowerW is >= 1100 and <= 186e3).ToList();
        Assert.Equal(4 * 19, metric.Count);
        foreach (var m in metric)
        {
            var us = Data.Motors.Values.Where(o => o.Series.Contains("460 V", StringComparison.Ordinal) && o.EfficiencyClass == "Premium"
                && o.Poles == m.Poles)
                .MinBy(o => Math.Abs(Math.Log(o.Plate.RatedPowerW / m.Plate.RatedPowerW)))!;
            Assert.Equal(us.Plate.RatedPowerW, m.Plate.RatedPowerW, 0.05 * m.Plate.RatedPowerW);
            Assert.Equal(us.Plate.Efficiency, m.Plate.Efficiency, 9);
        }
    }

    [Theory]
    [InlineData(480, 460)]
    [InlineData(460, 460)]
    [InlineData(440, 440)]
    [InlineData(380, 380)]
    public void Of_series_whose_voltages_overlap_the_nearest_is_offered(double lineV, double ratedV) =>
        Assert.All(MadeFor.Motors(Data, lineV, 60).Where(m => m.Technology != MotorTechnology.DcSeparatelyExcited),
            m => Assert.Equal(ratedV, m.Plate.RatedVoltageV));

    [Theory]
    [InlineData(480, 60)]
    [InlineData(440, 60)]
    [InlineData(380, 60)]
    [InlineData(600, 60)]
    [InlineData(690, 50)]
    public void A_plant_of_another_voltage_is_sized_by_one_command_and_its_drives_hold(double lineV, double frequencyHz)
    {
        string[] ids = ["dp-01", "dp-02", "dp-03", "dp-06"];
        var distribution = Demo.Distribution;
        var plant = Demo with
        {
            Name = $"{lineV} V",
            Source = Demo.Source with { FrequencyHz = frequencyHz },
            Distribution = distribution with { Buses = [.. distribution.Buses.Select(b => b.NominalVoltageV == 400
                ? b with { NominalVoltageV = lineV }
                : b)] },
            Lineups = [Demo.Lineups[0] with { Arrangements = [], SetAside = [],
                DrivePoints = [.. Demo.Lineups[0].DrivePoints.Where(p => ids.Contains(p.Id)).Select(Open)] }],
            Scenarios = [],
        };
        var studies = new Assessor(Data);
        var sized = Assert.IsType<CommandOutcome.Done>(new SizeBest(ids, SizedPart.Both).On(plant, studies)).After;
        var motors = MadeFor.Motors(Data, lineV, frequencyHz).Select(m => m.Id).ToHashSet(StringComparer.Ordinal);
        var converters = MadeFor.Converters(Data, lineV).Select(c => c.Id).ToHashSet(StringComparer.Ordinal);
        Assert.All(sized.AllDrivePoints(), p => Assert.Contains(((MotorChoice.FromCatalogue)p.Motor).ItemId, motors));
        Assert.All(sized.AllDrivePoints(), p => Assert.Contains(((ConverterChoice.FromCatalogue)p.Converter).ItemId, converters));
        var checks = studies.Run(sized).Checks.Where(c => ids.Contains(c.DrivePointId)
            && (c.Id.StartsWith("motor.", StringComparison.Ordinal) || c.Id.StartsWith("converter.", StringComparison.Ordinal)));
        string[] sizing = [MotorChecks(), "converter.continuous", "converter.output-voltage", "motor.connection", "motor.peak"];
        foreach (var fault in studies.Run(sized).Checks.Where(c => c.Id == "converter.short-circuit-rating"
            && ids.Contains(c.DrivePointId)))
        {
            // Nobody has specified fuses: at 480 and 600 V a unit does not simply hold above its plain rating.
            var item = Data.Converters[((ConverterChoice.FromCatalogue)sized.AllDrivePoints()
                .Single(p => p.Id == fault.DrivePointId).Converter).ItemId];
            Assert.Equal(item.RatedHp > 0, item.ShortCircuitPlainKa > 0);
            Assert.False(fault.Verdict == Verdict.Holds && item.ShortCircuitPlainKa > 0 && fault.Figure.Value > item.ShortCircuitPlainKa);
        }

        Assert.All(checks.Where(c => sizing.Contains(c.Id)),
            c => Assert.Contains(c.Verdict, new[] { Verdict.Holds, Verdict.Tight, Verdict.NotApplicable }));
    }

    [Theory]
    [InlineData(1, 2.1)]
    [InlineData(5, 7.6)]
    [InlineData(10, 14)]
    [InlineData(20, 27)]
    [InlineData(50, 65)]
    [InlineData(75, 96)]
    [InlineData(100, 124)]
    [InlineData(150, 180)]
    [InlineData(200, 240)]
    [InlineData(300, 361)]
    [InlineData(500, 590)]
    public void Currents_stay_within_the_full_load_currents_of_the_US_installation_code(double hp, double codeA)
    {
        // NFPA 70 table 430.250, 460 V: written for motors of any make, so a good motor takes less, small ones much less.
        var ratedA = Data.Motors[FormattableString.Invariant($"cage-4p-premium-460v-{hp}hp")].Plate.RatedCurrentA;
        Assert.InRange(ratedA, (hp < 5 ? 0.6 : 0.8) * codeA, codeA);
    }

    private static string MotorChecks() => Cuadrilla.Core.Studies.DrivePoints.MotorChecks.ContinuousId;

    private static DrivePoint Open(DrivePoint p) =>
        p with { Motor = new MotorChoice.NotChosen(), Converter = new ConverterChoice.NotChosen() };
}
