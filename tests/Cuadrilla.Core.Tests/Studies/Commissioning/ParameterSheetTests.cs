using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning;
using Cuadrilla.Core.Studies.Commissioning.Parameters;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Commissioning;

/// <summary>Parameter sheets: what is decided, what is proposed, what is missing.</summary>
public sealed class ParameterSheetTests
{
    private static readonly PlantSpecification Demo = DemoChanges.Demo;
    private static readonly Assessor Assessor = DemoChanges.Assessor;

    [Fact]
    public void Every_sheet_of_the_demo_has_distinct_rows_with_a_value_or_a_reason_why_not()
    {
        foreach (var point in Demo.AllDrivePoints())
        {
            var sheet = Assessor.Parameters(Demo, point);
            Assert.Equal(sheet.Rows.Count, sheet.Rows.Select(r => r.Id).Distinct().Count());
            Assert.Equal(point.Converter is ConverterChoice.OfGroup, sheet.Rows.Count == 0);
            Assert.All(sheet.Rows, r => Assert.Equal(
                r.Basis is ParameterBasis.NeedsData or ParameterBasis.OnSite, r.Text.Length == 0));
            Assert.All(sheet.Rows, r => Assert.True(r.Reason is { Formula.Length: > 0, WithNumbers.Length: > 0,
                Source.Length: > 0 }, r.Id));
        }
    }

    [Fact]
    public void What_nobody_decided_is_proposed_and_what_is_entered_is_not()
    {
        var without = Change("dp-03", p => p);
        var fan = Demo.AllDrivePoints().Single(p => p.Id == "dp-01");
        Assert.Equal(ParameterBasis.Proposed, Row(Demo, "dp-01", "start.mode").Basis);
        Assert.Equal("flying start", Row(Demo, "dp-01", "start.mode").Text);
        Assert.Equal(ParameterBasis.Specified, Row(Demo, "dp-01", "control.switching").Basis);
        Assert.Equal(((ConverterChoice.FromCatalogue)fan.Converter).SwitchingKhz, Row(Demo, "dp-01", "control.switching").Number.Value);
        Assert.Empty(Assessor.Parameters(without, without.AllDrivePoints().Single(p => p.Id == "dp-03"))
            .Since(Assessor.Parameters(Demo, Demo.AllDrivePoints().Single(p => p.Id == "dp-03"))));
    }

    [Fact]
    public void A_hanging_load_keeps_its_flux_and_never_restarts_by_itself()
    {
        var lowered = Change("dp-05", p => p with
        {
            Converter = (ConverterChoice.FromCatalogue)p.Converter with { LightLoadFlux = LightLoadFlux.Lowered, RestartOrder = 1 },
        });
        Assert.Equal("constant", Row(lowered, "dp-05", "control.light-load-flux").Text);
        Assert.Equal("none", Row(lowered, "dp-05", "restart.count").Text);
        Assert.Equal("on: the last load is the first torque", Row(lowered, "dp-05", "hold.memory").Text);
    }

    [Theory]
    [InlineData(MotorConnection.Star, 1.0)]
    [InlineData(MotorConnection.Delta, 1.7320508)]
    public void The_plate_is_that_of_the_link(MotorConnection link, double ofStar)
    {
        // A motor of 230/400 V: the current of the delta is √3 times that of the star.
        var plant = Change("dp-12", p => p with { Motor = (MotorChoice.FromCatalogue)p.Motor with { Connection = link } });
        var star = Change("dp-12", p => p with { Motor = (MotorChoice.FromCatalogue)p.Motor with { Connection = MotorConnection.Star } });
        Assert.Equal(ofStar, Row(plant, "dp-12", "motor.current").Number.Value / Row(star, "dp-12", "motor.current").Number.Value, 0.002);
        Assert.Equal(1 / ofStar, Row(plant, "dp-12", "motor.voltage").Number.Value / Row(star, "dp-12",
            "motor.voltage").Number.Value, 0.002);
        Assert.Equal(link.ToString(), Row(plant, "dp-12", "motor.link").Text, ignoreCase: true);
    }

    [Fact]
    public void Pole_pairs_come_from_the_plate()
    {
        foreach (var point in Demo.AllDrivePoints().Where(p => p.Converter is not ConverterChoice.OfGroup))
        {
            var model = Assessor.Study(Demo, point).Model;
            Assert.Equal(model.Fitted!.Item.Plate.Poles / 2, Row(Demo, point.Id, "motor.pole-pairs").Number.Value);
        }
    }

    [Fact]
    public void Limits_of_a_soft_starter_are_per_cent_of_the_motor()
    {
        var model = Assessor.Study(Demo, Demo.AllDrivePoints().Single(p => p.Id == "dp-04")).Model;
        var rated = model.Fitted!.Connected.Plate.RatedCurrentA;
        Assert.Equal(rated, Row(Demo, "dp-04", "set.current").Number.Value, 9);
        Assert.Contains(Text.N(rated), Row(Demo, "dp-04", "start.limit").Scaling, StringComparison.Ordinal);

        // Inside the delta it carries, and its relay is set to, the current over √3.
        var inside = Change("dp-04", p => p with
        {
            Converter = (ConverterChoice.SoftStarter)p.Converter is var soft
                ? soft with { Settings = soft.Settings with { InsideDelta = true } }
                : p.Converter,
        });
        Assert.Equal(rated / Math.Sqrt(3), Row(inside, "dp-04", "thermal.current").Number.Value, 9);
    }

    [Fact]
    public void An_edit_shows_on_the_rows_it_moves_and_on_no_other()
    {
        var faster = Change("dp-01", p => p with { Converter = (ConverterChoice.FromCatalogue)p.Converter with { SwitchingKhz = 8 } });
        var changes = Of(faster, "dp-01").Since(Of(Demo, "dp-01"));
        Assert.Contains(changes, c => c is { Id: "control.switching", Was: "4", Is: "8" });
        Assert.All(changes, c => Assert.True(c.Id is "control.switching" or "limit.current" or "limit.torque", c.Id));
        Assert.Empty(Of(faster, "dp-02").Since(Of(Demo, "dp-02")));
    }

    [Fact]
    public void The_expected_resistance_loses_what_the_plate_loses_in_its_stator()
    {
        var fitted = Assessor.Study(Demo, Demo.AllDrivePoints().Single(p => p.Id == "dp-01")).Model.Fitted!;
        var expected = ExpectedMotor.Of(fitted.Connected, fitted.Losses)!;
        var point = fitted.Losses.At(fitted.Connected.Plate.RatedSpeedRpm, fitted.Connected.Plate.RatedTorqueNm, MotorFeed.Line);
        Assert.Equal(point.StatorW, 3 * expected.StatorOhm(95) * point.CurrentA * point.CurrentA, 0.02 * point.StatorW);
        Assert.InRange(expected.LeakagePu!.Value, 0.1, 0.35);
        Assert.InRange(expected.RotorTimeConstantS!.Value, 0.3, 3);
    }

    private static ParameterSheet Of(PlantSpecification plant, string id) =>
        Assessor.Parameters(plant, plant.AllDrivePoints().Single(p => p.Id == id));

    private static ParameterRow Row(PlantSpecification plant, string id, string row) => Of(plant, id).Rows.Single(r => r.Id == row);

    private static PlantSpecification Change(string id, Func<DrivePoint, DrivePoint> change) => DemoChanges.Changed(id, change);
}
