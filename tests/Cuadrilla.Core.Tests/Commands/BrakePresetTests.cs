using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Commands;

/// <summary>Settings of holding brakes to start from.</summary>
public sealed class BrakePresetTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Studies = new(Data);
    private static readonly PlantSpecification Tiles = DemoPlant.Read(Data, DemoPlant.Keys[0]);

    private static HoldingBrake.SpringApplied BrakeOf(CommandOutcome outcome, string id) =>
        (HoldingBrake.SpringApplied)Assert.IsType<CommandOutcome.Done>(outcome).After.AllDrivePoints().First(p => p.Id == id).Brake;

    private static (PlantSpecification Plant, string Id) Bare<T>()
        where T : Load
    {
        var point = Tiles.AllDrivePoints().First(p => p.Load is T);
        return (Tiles with { Lineups = [.. Tiles.Lineups.Select(l =>
            l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == point.Id ? p with { Brake = new HoldingBrake.None() } : p)] })] },
                point.Id);
    }

    [Fact]
    public void A_hoists_brake_opens_on_proven_torque_and_never_closes_by_time()
    {
        var (plant, id) = Bare<HoistLoad>();
        var brake = BrakeOf(new AddHoldingBrake(id).On(plant, Studies), id);
        Assert.Equal(70, brake.Control.ProvenPct);
        Assert.False(brake.Control.CloseDelayS.IsKnown);
        Assert.True(brake.Control.PositionFeedback);
        Assert.False(brake.HoldingNm.IsKnown);
    }

    [Fact]
    public void A_fans_brake_is_that_of_a_level_machine_and_takes_another_preset_with_the_rest_kept()
    {
        var (plant, id) = Bare<FanLoad>();
        var added = Assert.IsType<CommandOutcome.Done>(new AddHoldingBrake(id).On(plant, Studies)).After;
        Assert.Equal(0, BrakeOf(new CommandOutcome.Done(added, "x", []), id).Control.ProvenPct);
        var own = added with
        {
            Lineups = [.. added.Lineups.Select(l => l with
            {
                DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id && p.Brake is HoldingBrake.SpringApplied b
                    ? p with { Brake = b with { HoldingNm = 40, Control = b.Control with { By = BrakeCommand.MachineController } } }
                    : p)],
            })],
        };
        var brake = BrakeOf(new UseBrakePreset(id, "vertical axis").On(own, Studies), id);
        Assert.Equal((40, BrakeCommand.MachineController, 50, CoilSuppression.Zener),
            (brake.HoldingNm.Value, brake.Control.By, brake.Control.ProvenPct, brake.Coil.Suppression));
    }

    [Fact]
    public void What_may_hang_is_braked_as_what_hangs()
    {
        var axis = (ServoAxisLoad)Tiles.AllDrivePoints().First(p => p.Load is ServoAxisLoad).Load;
        Assert.Equal("hoist", new UnspecifiedLoad().BrakeApplication());
        Assert.Equal("hoist", new ProfileLoad(axis.Train, [], []).BrakeApplication());
        Assert.Equal("vertical axis", (axis with { InclineDeg = Given.Unknown }).BrakeApplication());
        Assert.Equal("vertical axis", (axis with { InclineDeg = 90 }).BrakeApplication());
        Assert.Equal("level machine", (axis with { InclineDeg = 0 }).BrakeApplication());
    }

    [Fact]
    public void An_unknown_preset_or_no_brake_is_refused()
    {
        var (plant, id) = Bare<FanLoad>();
        Assert.IsType<CommandOutcome.Refused>(new UseBrakePreset(id, "hoist").On(plant, Studies));
        var added = Assert.IsType<CommandOutcome.Done>(new AddHoldingBrake(id).On(plant, Studies)).After;
        Assert.Equal("/application", Assert.IsType<CommandOutcome.Refused>(new UseBrakePreset(id, "lift").On(added, Studies)).Why.Pointer);
    }

    [Fact]
    public void Every_preset_that_a_load_names_is_there()
    {
        var named = Tiles.AllDrivePoints().Select(p => p.Load.BrakeApplication()).Append("inclined conveyor").Append("vertical axis");
        Assert.All(named, n => Assert.Contains(n, Data.BrakePresets.Select(p => p.Application)));
    }
}
