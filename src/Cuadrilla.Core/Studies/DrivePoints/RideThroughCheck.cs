using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>supply.ride-through</c>: what becomes of a drive in the project's dip of the supply, by the way its converter is
/// set.</summary>
internal static class RideThroughCheck
{
    private const string Id = "supply.ride-through";
    private const string Title = "Dip of the supply";
    private const string Source = "docs/methods/ride-through.md; IEC 61000-4-34 for dips";
    private const string Caution = "Nothing may start by itself where that can hurt somebody (IEC 60204-1, 7.5).";

    // Speed down to which the link is still fed, and efficiency from shaft to link.
    private const double LeastSpeedPu = 0.2;
    private const double Efficiency = 0.9;

    public static IEnumerable<Check> Of(DrivePointModel point)
    {
        if (point.Choice is not { } choice || point.Input.HasNoLine || point.WholeItem is { DcCapacitanceUf: <= 0 })
        {
            yield break;
        }

        if (point is not DriveOnConverter model)
        {
            if (choice.InDip != DipBehaviour.Trips)
            {
                yield return Check.Lacking(Id, point.Id, BoardRow.Converter, Title, point.Missing());
            }

            yield break;
        }

        yield return choice.InDip switch
        {
            DipBehaviour.Trips => Link(model),
            DipBehaviour.KineticBuffering => Kinetic(model),
            DipBehaviour.FlyingStart => Flying(model),
            _ => throw new InvalidOperationException("Unknown behaviour in a dip."),
        };
    }

    /// <summary>Time that the link lasts at full load, s; infinite where it needs nothing.</summary>
    public static double LinkS(DriveOnConverter model)
    {
        var restV = model.Converter.Item.FrontEnd.NoLoadLinkPu * (model.TwoConductorV ?? model.Input.BusVoltageV);
        var energy = RideThrough.LinkEnergyJ(model.Converter.Item.DcCapacitanceUf * 1e-6, restV,
            model.Input.Defaults.Links.LinkLowPu * restV);
        var power = model.At(1).LinkW;
        return power > 0 ? energy / power : double.PositiveInfinity;
    }

    // Nobody has asked it to ride: it says how long it lasts.
    private static Check Link(DriveOnConverter model)
    {
        var (lasts, dip) = (LinkS(model), model.Input.Defaults.Protection.DipToRideS);
        var words = double.IsInfinity(lasts)
            ? "its link lasts, nothing is drawn"
            : $"its link lasts {Text.N(1e3 * lasts, 3)} ms at full load";
        return lasts >= dip
            ? CheckWriter.Rule(Id, model.Id, BoardRow.Converter, Title, Verdict.Holds, string.Empty,
                new Reason("t = ½·C·(U_1² − U_min²)/P", $"{words}, a dip {Text.N(1e3 * dip)} ms", Source, []))
            : Check.NotConcerned(Id, model.Id, BoardRow.Converter, Title,
                $"trips in a dip of {Text.N(1e3 * dip)} ms: {words}. {Restart(model)}");
    }

    private static Check Kinetic(DriveOnConverter model)
    {
        if (model.Load.Cycle is not null || !model.Load.InertiaKgM2.IsKnown)
        {
            return Check.Lacking(Id, model.Id, BoardRow.Converter, Title,
                [model.Load.Cycle is null ? "inertia of the machine" : "a load that runs steadily: a cycle has no flywheel to count on"]);
        }

        var shaft = model.Load.At(1);
        var inertia = model.Load.InertiaKgM2.Value + model.Motor.Plate.InertiaKgM2;
        var wheel = new RideThrough.Flywheel(
            inertia, shaft.SpeedRpm, LeastSpeedPu * shaft.SpeedRpm, Efficiency, Math.Max(1, model.At(1).StandbyW),
            Math.Max(0, shaft.TorqueNm),
            model.Input.DrivePoint.Load is FanLoad ? RideThrough.TorqueShape.Square : RideThrough.TorqueShape.Constant);
        var (lasts, dip) = (LinkS(model) + RideThrough.KineticS(wheel), model.Input.Defaults.Protection.DipToRideS);
        return CheckWriter.Judged(
            Id, model.Id, BoardRow.Converter, $"{Title}, kinetic buffering", 1e3 * lasts, 1e3 * dip, "ms", LimitSense.AtLeast,
            model.Input.Defaults.TightMarginPct,
            "Relief: a shorter dip to ride, more inertia, flying start. " + Caution,
            new Reason(
                "t = ∫ J·ω/(T(ω)·ω + P/η) dω down to a fifth of the speed, after the link",
                $"J = {Text.N(inertia)} kg·m² at {Text.N(shaft.SpeedRpm)} rpm against {Text.N(shaft.TorqueNm)} Nm: {Text.N(lasts, 3)} s; "
                    + $"{Restart(model)}",
                Source,
                [ReasonInput.Of("dip to ride", 1e3 * dip, "ms", "project value")]));
    }

    private static Check Flying(DriveOnConverter model)
    {
        if (model.Input.DrivePoint.Load is HoistLoad)
        {
            return CheckWriter.Rule(
                Id, model.Id, BoardRow.Converter, Title, Verdict.Fails, "Relief: brake and trip. " + Caution,
                new Reason("a hanging load falls while the pulses are blocked", "flying start with a hoist", Source, []));
        }

        var scalar = model.Choice.Control == MotorControl.Scalar && model.Motor.Plate.Technology != MotorTechnology.CageInduction;
        return CheckWriter.Rule(
            Id, model.Id, BoardRow.Converter, $"{Title}, flying start", scalar ? Verdict.Fails : Verdict.Holds,
            "Relief: vector control, which finds the rotor's angle. " + Caution,
            new Reason("pulses blocked in the dip, the turning motor is caught after it",
                $"{(scalar ? "scalar control does not find the angle of a synchronous rotor" : "speed is found while it coasts")}; "
                    + $"{Restart(model)}. {Caution}", Source, []));
    }

    private static string Restart(DriveOnConverter model) => model.Choice.RestartOrder.IsKnown
        ? $"restarts by itself as number {Text.N(model.Choice.RestartOrder.Value)}"
        : "does not restart by itself";
}
