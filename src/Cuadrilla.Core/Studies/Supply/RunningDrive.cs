using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>A front end that is at work in a scenario: of a drive, or of the supply module of a common DC bus.</summary>
/// <param name="Id">Key of the drive point or of the DC bus.</param>
/// <param name="Item">Its converter.</param>
/// <param name="Feed">How it is connected.</param>
/// <param name="FeederOhm">Its feeder, ohm per phase.</param>
/// <param name="Armature">Plate of a DC motor behind thyristors; null otherwise.</param>
/// <param name="Point">Its operating point.</param>
/// <param name="BusId">Its bus, live.</param>
internal sealed record RunningDrive(string Id, ConverterItem Item, SupplyFeed Feed, Complex FeederOhm, MotorPlate? Armature,
    OperatingPoint Point, string BusId)
{
    /// <summary>Voltage of its two conductors over that between phases, where its lineup says between what it stands; null: by what the
    /// unit is made for.</summary>
    public double? LoopPu { get; init; }

    /// <summary>Of a drive's lineup.</summary>
    public static double? LoopOf(DrivePointInput input) => input.OnePhase is not { } one ? null : one.ToNeutral ? 1 / Math.Sqrt(3) : 1;

    /// <summary>A drive with a front end of its own.</summary>
    public static RunningDrive Of(DriveOnConverter model, OperatingPoint point, string busId) => new(
        model.Id, model.StepUp is null ? model.Converter.Item : model.WholeItem, model.Converter.Feed, model.WholeFeederOhm,
        model.Motor.Plate.Technology == MotorTechnology.DcSeparatelyExcited ? model.Motor.Plate : null, point, busId)
    {
        LoopPu = LoopOf(model.Input),
    };

    /// <summary>True for a six-pulse bridge on three phases: those of one clock hour conduct together.</summary>
    public bool ConductsTogether => Feed == SupplyFeed.ThreePhase && Item.FrontEnd is FrontEnd.Diode { Bridges: 1 };
}
