using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Sheets;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>What is ordered with a motor stands on its sheet: checks that hold count on it.</summary>
public sealed class MotorOptionTests
{
    [Fact]
    public void All_that_a_motor_comes_with_is_named_and_nothing_else()
    {
        var demo = DemoPlant.Read(ReferenceCatalogue.Data);
        var (studies, first) = (new Assessor(ReferenceCatalogue.Data), demo.Lineups[0]);
        string? Line(string name, Func<DrivePoint, DrivePoint> change)
        {
            var lineup = first with { DrivePoints = [.. first.DrivePoints.Select(p => p.Id == "dp-01" ? change(p) : p)] };
            var plant = demo with { Lineups = [lineup, .. demo.Lineups.Skip(1)] };
            return LineupSheet.Of(plant, lineup, studies, new DateOnly(2026, 12, 1)).DrivePoints.Single(p => p.Tag == "DP-01").Lines
                .SingleOrDefault(l => l.Name == name)?.Value;
        }

        DrivePoint With(DrivePoint point, MotorCooling cooling, bool isFull) => point with
        {
            Motor = ((MotorChoice.FromCatalogue)point.Motor) with { Cooling = cooling, RiseUsed = ThermalClass.F,
                InsulatedBearing = isFull, ThermistorTrips = isFull },
            Interference = point.Interference with { ShaftRing = isFull, CommonModeCores = isFull },
        };

        Assert.Equal("own fan (IC 411), temperature rise used to class F",
            Line("Motor comes with", p => With(p, MotorCooling.OwnFan, false)));
        Assert.Equal("separately driven fan (IC 416), temperature rise used to class F, thermistors that switch it off, "
            + "insulated bearing at the non-drive end, earthing ring at the shaft",
            Line("Motor comes with", p => With(p, MotorCooling.SeparateFan, true)));
        Assert.Null(Line("Common-mode cores", p => With(p, MotorCooling.OwnFan, false)));
        Assert.Equal("around the three phases at the output", Line("Common-mode cores", p => With(p, MotorCooling.OwnFan, true)));
        Assert.Null(Line("Motor comes with", p => p with { Motor = new MotorChoice.NotChosen() }));
    }
}
