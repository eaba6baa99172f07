using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Signals;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Signals;

/// <summary>Every check of signals holds where all is right, and fails where one thing is wrong.</summary>
public sealed class SignalCheckTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);
    private static readonly PlantSpecification Right = Whole();

    [Theory]
    [InlineData("io.too-few")]
    [InlineData("io.conflict")]
    [InlineData("io.kind")]
    [InlineData("io.sink-source")]
    [InlineData("io.enable")]
    [InlineData("io.scaling")]
    [InlineData("io.stop")]
    [InlineData("io.output-load")]
    [InlineData("io.brake-resistor")]
    public void All_is_right(string id) => Assert.Equal(Verdict.Holds, Judged(Right, id).Verdict);

    [Fact]
    public void A_voltage_into_a_current_input_fails()
    {
        var check = Judged(With(SignalFunction.SpeedReference, w => w with { Range = UnitRange.Volt0To10, Channel = "ao/1" }), "io.kind");
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains("0 to 10 V at the unit, 4 to 20 mA", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void A_digital_signal_on_an_analogue_terminal_fails() =>
        Assert.Equal(Verdict.Fails, Judged(With(SignalFunction.Run, w => w with { Terminal = "AI1" }), "io.kind").Verdict);

    [Fact]
    public void Two_on_one_terminal_or_channel_fail()
    {
        Assert.Equal(Verdict.Fails, Judged(With(SignalFunction.Run, w => w with { Terminal = "DI3" }, SignalFunction.Reverse),
            "io.conflict").Verdict);
        Assert.Equal(Verdict.Fails, Judged(With(SignalFunction.Run, w => w with { Channel = "do/1" }, SignalFunction.Reverse),
            "io.conflict").Verdict);
        Assert.Equal(Verdict.Fails, Judged(Plan(p => p with
        {
            Wanted = [.. p.Wanted, new WantedSignal("three", SignalFunction.StartPulse, FarEnd.LocalStation)],
        }), "io.conflict").Verdict);
    }

    [Fact]
    public void More_than_there_is_fails()
    {
        var few = Right with { Controller = Right.Controller! with { Cards = [.. Right.Controller.Cards.Select(c =>
            c with { Channels = 1 })] } };
        Assert.Equal(Verdict.Fails, Judged(few, "io.too-few").Verdict);
        Assert.Equal(Verdict.NeedsData, Judged(Right with { Controller = null }, "io.too-few").Verdict);
        Assert.Equal(Verdict.Fails, Judged(Plan(p => p with
        {
            Wanted = [.. p.Wanted, .. Enumerable.Range(0,
                6).Select(i => new WantedSignal($"j{i}", SignalFunction.Jog, FarEnd.LocalStation))],
        }), "io.too-few").Verdict);
    }

    [Fact]
    public void A_channel_of_the_other_sense_fails()
    {
        var check = Judged(Plan(p => p with { Sense = DigitalSense.ToZero,
            Wanted = [.. p.Wanted.Select(w => w.Function == SignalFunction.Run ? w with { Channel = "do/1" } : w)] }), "io.sink-source");
        Assert.Equal(Verdict.Fails, check.Verdict);
    }

    [Fact]
    public void Without_its_enable_it_is_ready_and_will_not_run()
    {
        var open = Plan(p => p with { Wanted = [.. p.Wanted.Where(w => w.Function != SignalFunction.TorqueOff)] });
        Assert.Equal(Verdict.Fails, Judged(open, "io.enable").Verdict);
        Assert.Equal(Verdict.Holds, Judged(Plan(p => p with { EnableLinked = true, StopBy = StopMeans.Software,
            Wanted = [.. p.Wanted.Where(w => w.Function != SignalFunction.TorqueOff)] }), "io.enable").Verdict);
    }

    [Fact]
    public void Ends_that_differ_fail()
    {
        var check = Judged(With(SignalFunction.SpeedReference, w => w with { FullAt = 60, FarFullAt = 50 }), "io.scaling");
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains("the one has 30 Hz, the other 25 Hz", check.Reason.WithNumbers, StringComparison.Ordinal);
        var live = Judged(With(SignalFunction.SpeedReference, w => w with { Range = UnitRange.Milliampere0To20, Channel = "ao/1" }),
            "io.scaling");
        Assert.Equal(Verdict.Fails, live.Verdict);
    }

    [Fact]
    public void A_stop_is_as_recorded()
    {
        Assert.Equal(Verdict.Tight, Judged(Plan(p => p with { StopBy = StopMeans.Software }), "io.stop").Verdict);
        Assert.Equal(Verdict.NeedsData, Judged(Plan(p => p with { StopBy = StopMeans.NotStated }), "io.stop").Verdict);
        Assert.Equal(Verdict.NeedsData, Judged(Plan(p => p with { StopCategory = StopCategory.NotStated }), "io.stop").Verdict);
        Assert.Equal(Verdict.Fails, Judged(Plan(p =>
            p with { StopBy = StopMeans.SupplyContactor, Wanted = [.. p.Wanted.Where(w => w.Function != SignalFunction.SupplyContactor)] }),
                "io.stop").Verdict);
        Assert.Equal(Verdict.Fails, Judged(Plan(p => p with { Wanted = [.. p.Wanted.Where(w => w.Function != SignalFunction.TorqueOff)] }),
            "io.stop").Verdict);
    }

    // What the controller switches is switched by a program; a link beside a wired enable defeats it.
    [Fact]
    public void A_stop_through_the_controller_is_no_better_than_its_program()
    {
        Assert.Equal(Verdict.Tight, Judged(With(SignalFunction.TorqueOff, w => w with { Far = FarEnd.Controller }), "io.stop").Verdict);
        Assert.Equal(Verdict.Tight, Judged(Plan(p => p with { StopBy = StopMeans.SupplyContactor,
            Wanted = [.. p.Wanted.Select(w => w.Function == SignalFunction.SupplyContactor ? w with { Far = FarEnd.Controller } : w)] }),
                "io.stop").Verdict);
        Assert.Equal(Verdict.Holds, Judged(Plan(p => p with { StopBy = StopMeans.SupplyContactor }), "io.stop").Verdict);
        Assert.Equal(Verdict.Fails, Judged(Plan(p => p with { EnableLinked = true }), "io.enable").Verdict);
    }

    [Theory]
    [InlineData(0.2, LoadSupply.Ac, LoadSuppression.Rc, Verdict.Holds)]
    [InlineData(0.2, LoadSupply.Ac, LoadSuppression.Diode, Verdict.Fails)]
    [InlineData(0.2, LoadSupply.Dc24, LoadSuppression.Nothing, Verdict.Fails)]
    [InlineData(0.2, LoadSupply.Dc24, LoadSuppression.NotStated, Verdict.NeedsData)]
    [InlineData(1.2, LoadSupply.Dc24, LoadSuppression.Diode, Verdict.Fails)]
    [InlineData(1.2, LoadSupply.Ac, LoadSuppression.Rc, Verdict.Holds)]
    [InlineData(2.2, LoadSupply.Ac, LoadSuppression.NotStated, Verdict.Fails)]
    public void Outputs_carry_what_they_switch(double a, LoadSupply supply, LoadSuppression suppression, Verdict verdict) =>
        Assert.Equal(verdict, Judged(With(SignalFunction.SupplyContactor,
            w => w with { LoadA = a, LoadSupply = supply, Suppression = suppression }), "io.output-load").Verdict);

    [Theory]
    [InlineData(ResistorTrip.OpensInput, Verdict.Holds)]
    [InlineData(ResistorTrip.TripsUnit, Verdict.Fails)]
    [InlineData(ResistorTrip.Told, Verdict.Fails)]
    [InlineData(ResistorTrip.NotStated, Verdict.NeedsData)]
    public void A_hot_resistor_opens_the_supply(ResistorTrip trip, Verdict verdict) =>
        Assert.Equal(verdict, Judged(Plan(p => p with { ResistorTrip = trip }), "io.brake-resistor").Verdict);

    // The coil of a contactor by its size against the output of the controller.
    [Theory]
    [InlineData(0.1, Verdict.Fails)]
    [InlineData(20, Verdict.Holds)]
    public void The_controller_switches_the_coil_of_a_starter(double outputA, Verdict verdict)
    {
        var plant = Right.Changed(["dp-05"], p => p with
        {
            Converter = new ConverterChoice.AcrossTheLine(Core.Converters.Starting.TripClass.Class10, 4, string.Empty),
            Brake = new HoldingBrake.None(),
            Signals = SignalPlan.Open with { Wanted = [new WantedSignal("run", SignalFunction.Run,
                FarEnd.Controller) { Channel = "do/2" }] },
        });
        plant = plant with { Controller = plant.Controller! with
        {
            Cards = [.. plant.Controller.Cards.Select(c => c.Kind == CardKind.DigitalOutput ? c with { OutputA = outputA } : c)],
        } };
        Assert.Equal(verdict, Judged(plant, "io.output-load").Verdict);
    }

    [Fact]
    public void A_fifth_of_the_channels_stays_free()
    {
        var checks = Assessor.Run(Right).Checks.Where(c => c.Id == "io.spare").ToList();
        Assert.Equal(Right.Controller!.Cards.Select(c => c.Kind).Distinct().Count(), checks.Count);
        Assert.All(checks, c => Assert.Equal(Verdict.Holds, c.Verdict));
        var full = Right with { Controller = Right.Controller with { Cards = [.. Right.Controller.Cards.Select(c =>
            c with { Channels = c.Kind == CardKind.AnalogueOutput ? 1 : c.Channels })] } };
        Assert.Equal(Verdict.Tight, Assessor.Run(full).Checks.Single(c => c.Id == "io.spare"
            && c.ElementId.EndsWith("AnalogueOutput", StringComparison.Ordinal)).Verdict);
    }

    [Fact]
    public void Where_nothing_is_entered_nothing_is_asked() =>
        Assert.DoesNotContain(Assessor.Run(Bare()).Checks, c => c.Id.StartsWith("io.", StringComparison.Ordinal));

    private static PlantSpecification Bare()
    {
        var plant = DemoPlant.Read(Data);
        return plant.Changed([.. plant.AllDrivePoints().Select(p => p.Id)], p => p with { Signals = null }) with { Controller = null };
    }

    // The first motor of the demo's hoist: converter, brake, resistor.
    private static PlantSpecification Whole() => Bare().Changed(["dp-05"], p => p with
    {
        Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Braking = new Braking.Resistor(20, 5) },
        Signals = SignalPlan.Open with
        {
            StopCategory = StopCategory.Category0,
            StopBy = StopMeans.TorqueOff,
            ResistorTrip = ResistorTrip.OpensInput,
            Wanted =
            [
                new WantedSignal("run", SignalFunction.Run, FarEnd.Controller),
                new WantedSignal("reverse", SignalFunction.Reverse, FarEnd.Controller),
                new WantedSignal("off", SignalFunction.TorqueOff, FarEnd.LocalStation),
                new WantedSignal("reference", SignalFunction.SpeedReference, FarEnd.Controller) { FullAt = 60, FarFullAt = 60 },
                new WantedSignal("fault", SignalFunction.Fault, FarEnd.Controller),
                new WantedSignal("contactor", SignalFunction.SupplyContactor, FarEnd.Cabinet)
                {
                    LoadA = 0.3, Suppression = LoadSuppression.Diode,
                },
                new WantedSignal("hot", SignalFunction.ResistorSwitch, FarEnd.Cabinet),
            ],
        },
    }) with
    {
        Controller = new PlantController("controller",
        [
            new ControllerCard("di", "DI", CardKind.DigitalInput, 16),
            new ControllerCard("do", "DO", CardKind.DigitalOutput, 16) { OutputA = 0.5 },
            new ControllerCard("ao", "AO", CardKind.AnalogueOutput, 4),
        ]),
    };

    private static PlantSpecification Plan(Func<SignalPlan, SignalPlan> change) =>
        Right.Changed(["dp-05"], p => p with { Signals = change(p.Signals!) });

    private static PlantSpecification With(SignalFunction function, Func<WantedSignal, WantedSignal> change, SignalFunction? also = null) =>
        Plan(p => p with { Wanted = [.. p.Wanted.Select(w => w.Function == function || w.Function == also ? change(w) : w)] });

    private static Check Judged(PlantSpecification plant, string id) =>
        Assessor.Run(plant).Checks.Single(c => c.Id == id && c.DrivePointId == "dp-05");
}
