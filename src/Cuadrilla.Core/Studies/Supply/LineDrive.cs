using System.Numerics;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>A drive point that runs on the line in a scenario.</summary>
/// <param name="DrivePointId">Which one.</param>
/// <param name="Point">Its operating point.</param>
/// <param name="BusId">Bus that it hangs from.</param>
/// <param name="PowerVa">P + jQ at nominal voltage.</param>
/// <param name="LockedRotorVa">Apparent power with locked rotor, VA.</param>
public sealed record LineDrive(string DrivePointId, OperatingPoint Point, string BusId, Complex PowerVa, double LockedRotorVa)
{
    /// <summary>True where its power comes through two conductors: a rotary or static converter makes its three phases.</summary>
    public bool FromOnePhase { get; init; }

    /// <summary>True where one of the two is the neutral.</summary>
    public bool ToNeutral { get; init; }

    /// <summary>Of an operating point.</summary>
    internal static LineDrive Of(DriveOnLine model, OperatingPoint point, string busId)
    {
        var plate = model.Motor.Plate;
        var reactive = point.Motor.InputW * Math.Tan(Math.Acos(Math.Min(1, point.Motor.PowerFactor)));
        return new LineDrive(
            model.Id, point, busId, new Complex(point.LineW, reactive),
            Math.Sqrt(3) * plate.RatedVoltageV * plate.RatedCurrentA * plate.LockedRotorCurrentPu)
        {
            FromOnePhase = model.Input.OnePhase?.MakesThreePhases == true,
            ToNeutral = model.Input.OnePhase?.ToNeutral == true,
        };
    }
}
