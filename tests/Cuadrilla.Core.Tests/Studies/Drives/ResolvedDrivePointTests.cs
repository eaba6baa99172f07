using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.Drives;

/// <summary>A drive point is as far resolved as it says what it lacks.</summary>
public sealed class ResolvedDrivePointTests
{
    public static TheoryData<string> Ids => [.. DemoChanges.Demo.AllDrivePoints().Select(p => p.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void What_lacks_nothing_is_complete_on_a_converter_or_on_the_line(string id)
    {
        var model = Model(id, p => p);
        var onLine = model.Input.DrivePoint.Converter is ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta
            or ConverterChoice.SoftStarter;

        Assert.Equal(!model.Missing().Any(), model is CompleteDrive);
        Assert.Equal(model is CompleteDrive && onLine, model is DriveOnLine);
        Assert.Equal(model is CompleteDrive && !onLine, model is DriveOnConverter);
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Each_part_that_is_taken_away_is_named_and_leaves_what_rests_on_it_unknown(string id)
    {
        if (Model(id, p => p) is not CompleteDrive)
        {
            return;
        }

        var noMotor = Model(id, p => p with { Motor = new MotorChoice.NotChosen() });
        Assert.Contains("motor", noMotor.Missing());
        Assert.IsNotType<LoadedMotor>(noMotor, exactMatch: false);

        var noCable = Model(id, p => p with { Cable = p.Cable with { LengthM = Given.Unknown } });
        Assert.Equal(["length and cross-section of the motor cable"], noCable.Missing());
        Assert.True(noCable is LoadedMotor and not CabledMotor);

        if (noCable.Input.Group is null)
        {
            var noConverter = Model(id, p => p with { Converter = new ConverterChoice.NotChosen() });
            Assert.Equal(["converter"], noConverter.Missing());
            Assert.True(noConverter is CabledMotor and not CompleteDrive);
        }
    }

    private static DrivePointModel Model(string id, Func<DrivePoint, DrivePoint> change)
    {
        // Without trays: those would give the length that is taken away.
        var plant = DemoChanges.Changed(id, change) with { Routes = PlantRoutes.None };
        return DemoChanges.Assessor.Study(plant, plant.AllDrivePoints().Single(p => p.Id == id)).Model;
    }
}
