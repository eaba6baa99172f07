using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Stopping;

/// <summary>
/// Stops of one machine from rated speed, each way on one time axis, with the voltage of the link. See
/// <c>docs/methods/braking.md</c>.
/// </summary>
public static class StopStudy
{
    private const double UsualFluxPct = 120;
    private const double UsualDirectCurrentPct = 100;

    /// <summary>Names of what is missing before a stop can be simulated.</summary>
    public static IEnumerable<string> Missing(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        foreach (var name in model.Missing())
        {
            yield return name;
        }

        if (model.Load is { } load && !load.InertiaKgM2.IsKnown)
        {
            yield return "inertia of the machine";
        }

        if (model.Load is { RatedSpeedRpm: 0 })
        {
            yield return "a machine that turns";
        }
    }

    /// <summary>All ways of a complete drive point.</summary>
    public static IReadOnlyList<StopCase> All(CompleteDrive model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model is not DriveOnConverter drive)
        {
            return [Coast(model, true)];
        }

        var wanted = BrakingStudy.WantedStopS(model);
        var chosen = drive.Choice.Braking;
        return
        [
            Coast(drive, chosen is Braking.Coast),
            Simulated("losses", "losses only, link held", chosen is Braking.Nothing, drive, wanted, null, 1),
            Flux(drive, chosen as Braking.Flux, wanted),
            DirectCurrent(drive, chosen as Braking.DcInjection),
            Resistor(drive, chosen as Braking.Resistor, wanted),
            ToLine(drive, chosen is Braking.ToLine, wanted),
        ];
    }

    /// <summary>The way that is specified alone; its run is null where it can't be done.</summary>
    public static StopCase Chosen(DriveOnConverter drive)
    {
        ArgumentNullException.ThrowIfNull(drive);
        var wanted = BrakingStudy.WantedStopS(drive);
        return drive.Choice.Braking switch
        {
            Braking.Coast => Coast(drive, true),
            Braking.Flux flux => Flux(drive, flux, wanted),
            Braking.DcInjection direct => DirectCurrent(drive, direct),
            Braking.Resistor resistor => Resistor(drive, resistor, wanted),
            Braking.ToLine => ToLine(drive, true, wanted),
            _ => Simulated("losses", "losses only, link held", true, drive, wanted, null, 1),
        };
    }

    /// <summary>The shortest stop with nowhere for the energy to go but losses and the link's capacitor, s.</summary>
    /// <param name="model">Complete drive point on a converter.</param>
    /// <param name="fluxPu">Flux, parts of the rated.</param>
    public static double ShortestS(DriveOnConverter model, double fluxPu)
    {
        ArgumentNullException.ThrowIfNull(model);
        return StopSimulation.Run(InputOf(model, null, Link(model, null, false), true, fluxPu)).TimeS;
    }

    /// <summary>The stop of a time as if everything that returns were taken.</summary>
    internal static StopResult Unhindered(DriveOnConverter model, double stopS) =>
        StopSimulation.Run(InputOf(model, stopS, null, false, 1));

    /// <summary>Link voltage at which a drive point's converter trips, V; null for a motor on the line.</summary>
    public static double? TripV(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model is DriveOnConverter drive ? Link(drive, null, false).TripV : null;
    }

    /// <summary>Link of a converter at a bus.</summary>
    /// <param name="model">Drive point with a converter.</param>
    /// <param name="resistorOhm">Resistor at its chopper, or null.</param>
    /// <param name="returnsToLine">Whether power returns.</param>
    internal static LinkCircuit Link(DriveOnConverter model, double? resistorOhm, bool returnsToLine)
    {
        var item = model.Converter.Item;
        var rest = Math.Sqrt(2) * model.Voltage.SupplyV;
        var defaults = model.Input.Defaults;

        var trip = defaults.Links.RatingV(item.RatedVoltageV / item.ReferredPu);
        return new LinkCircuit(
            Math.Max(item.DcCapacitanceUf, 1) * 1e-6, rest, Math.Max(rest, trip * defaults.LinkHoldPct / 100), trip,
            item.Brake?.ChopperV ?? trip, resistorOhm, returnsToLine);
    }

    private static StopCase Coast(CompleteDrive model, bool isChosen)
    {
        var run = StopSimulation.Run(InputOf(model, null, null, false, 1) with { LargestNm = _ => 0 });
        return new StopCase("coast", "coasting, output off", isChosen, string.Empty, run, 0);
    }

    private static StopCase Flux(DriveOnConverter model, Braking.Flux? chosen, double? wanted)
    {
        var pct = chosen?.FluxPct ?? UsualFluxPct;
        var name = FormattableString.Invariant($"flux raised to {pct:0.#} %");
        return model.Motor.Plate.Technology == MotorTechnology.CageInduction
            ? Simulated("flux", name, chosen is not null, model, wanted, null, pct / 100)
            : new StopCase("flux", name, chosen is not null, "only the flux of a cage motor can be raised", null, 0);
    }

    private static StopCase DirectCurrent(DriveOnConverter model, Braking.DcInjection? chosen)
    {
        var pct = chosen?.CurrentPct ?? UsualDirectCurrentPct;
        var name = FormattableString.Invariant($"direct current, {pct:0.#} %");
        if (!model.Motor.Plate.StartsOnTheLine)
        {
            return new StopCase("direct-current", name, chosen is not null, "needs a cage motor with locked-rotor current and torque",
                null, 0);
        }

        var circuit = CageCircuitFit.Run(model.Connected.Plate).Circuit;
        var brake = new DcBrake(circuit, pct / 100 * model.Connected.Plate.RatedCurrentA);
        var run = StopSimulation.Run(InputOf(model, null, null, false, 1) with { LargestNm = brake.TorqueNm, ReturnedW = (_, _) => 0 });
        var lockedW = circuit.At(1, model.Connected.Plate.RatedVoltageV).RotorLossW;
        Given heatPu = model.StallTimeS is { IsKnown: true, Value: var stallS } ? run.MotorJ / (lockedW * stallS) : Given.Unknown;
        return new StopCase("direct-current", name, chosen is not null, string.Empty, run, heatPu);
    }

    private static StopCase Resistor(DriveOnConverter model, Braking.Resistor? chosen, double? wanted)
    {
        if (model.Converter.Item.Brake is not { } brake)
        {
            return new StopCase("resistor", "chopper and resistor", chosen is not null, "this converter has no chopper", null, 0);
        }

        var ohm = chosen is { ResistanceOhm.IsKnown: true } ? chosen.ResistanceOhm.Value : brake.LeastOhm;
        return Simulated("resistor", FormattableString.Invariant($"chopper and {ohm:0.##} Ω"), chosen is not null, model, wanted, ohm, 1);
    }

    private static StopCase ToLine(DriveOnConverter model, bool isChosen, double? wanted)
    {
        if (!model.Converter.Item.FrontEnd.ReturnsToLine)
        {
            return new StopCase("line", "back to the line", isChosen, "this front end lets power pass one way only", null, 0);
        }

        var run = StopSimulation.Run(InputOf(model, wanted, Link(model, null, true), false, 1));
        return new StopCase("line", "back to the line", isChosen, string.Empty, run, 0);
    }

    private static StopCase Simulated(string id, string name, bool isChosen, DriveOnConverter model, double? wanted, double? ohm,
        double fluxPu)
    {
        if (model.Converter.Item.FrontEnd is FrontEnd.Thyristor or FrontEnd.Direct)
        {
            return new StopCase(id, name, isChosen, "this converter has no link", null, 0);
        }

        // A resistor takes the ramp that is asked for, and the link says whether it holds; without one the ramp is stretched.
        var run = StopSimulation.Run(InputOf(model, wanted, Link(model, ohm, false), ohm is null || wanted is null, fluxPu));
        return new StopCase(id, name, isChosen, string.Empty, run, 0);
    }

    private static StopInput InputOf(CompleteDrive model, double? wantedS, LinkCircuit? link, bool holds, double fluxPu)
    {
        var load = model.Load;
        var motor = model.Motor;
        var drive = model as DriveOnConverter;
        double Rpm(double omega) => omega * 60 / (2 * Math.PI);


        // From where the masses hold most: of a winder the roll at which they do, of a duty above rated speed its highest.
        var top = load.Cycle is null ? load.Levels().Select(l => Math.Abs(load.At(l).SpeedRpm / load.RatedSpeedRpm)).Append(1).Max() : 1;
        var start = load.StartPoints().MaxBy(p => (p.InertiaKgM2.Value + motor.Plate.InertiaKgM2) * p.SpeedRpm * p.SpeedRpm);
        return new StopInput(
            start.InertiaKgM2.Value + motor.Plate.InertiaKgM2,
            top * Math.Abs(start.SpeedRpm) * 2 * Math.PI / 60,
            omega => load.StoppingTorqueNm(Rpm(omega)),
            omega => drive is null ? 0 : Math.Min(
                motor.BreakdownTorqueNm(Rpm(omega)) / (1 + (model.Input.Defaults.PeakMarginPct / 100)),
                motor.TorqueAtCurrentNm(Rpm(omega), drive.Converter.SiteCurrentA * drive.Converter.Overload.CurrentPu)),
            (omega, torque) => drive is null ? 0 : Returned(drive, Rpm(omega), torque, fluxPu),
            wantedS,
            link,
            holds);
    }

    private static double Returned(DriveOnConverter model, double rpm, double brakingNm, double fluxPu) =>
        -model.PointOf(new ShaftPoint(1, rpm, -brakingNm)).LinkW - (fluxPu > 1
            ? model.Motor.ExtraFluxLossW(rpm, fluxPu, model.Input.Defaults.SaturationExponent)
            : 0);
}
