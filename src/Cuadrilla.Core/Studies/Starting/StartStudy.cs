using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Starting;

/// <summary>
/// Starts of one motor with one load, each way on the same bus: across the line, star-delta, soft starter, converter. See
/// <c>docs/methods/starting.md</c>.
/// </summary>
public static class StartStudy
{
    private const int LoadPoints = 120;
    private const double FrontEndPowerFactor = 0.95;
    private static readonly TripClass[] Classes = Enum.GetValues<TripClass>();

    /// <summary>Names of what is missing before a start can be simulated.</summary>
    public static IEnumerable<string> Missing(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        foreach (var name in model.MissingForMotor())
        {
            yield return name;
        }

        if (model.Load is { } load)
        {
            if (!load.InertiaKgM2.IsKnown)
            {
                yield return "inertia of the machine";
            }

            if (load.Cycle is not null)
            {
                yield return "a load that runs steadily: a cycle has its own starts";
            }
        }

        if (model.Fitted is { Item.Plate.StartsOnTheLine: false })
        {
            yield return "a cage motor with locked-rotor current and torque";
        }

        foreach (var name in model.MissingCables())
        {
            yield return name;
        }
    }

    /// <summary>All ways of starting a complete drive point.</summary>
    public static IReadOnlyList<StartCase> All(CabledMotor model, StartPlace place)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(place);
        var choice = model.Input.DrivePoint.Converter;
        ConverterChoice[] ways =
        [
            choice as ConverterChoice.AcrossTheLine ?? new ConverterChoice.AcrossTheLine(TripClass.Class10, 2, string.Empty),
            choice as ConverterChoice.StarDelta
                ?? new ConverterChoice.StarDelta(StarTime(model, place), TripClass.Class10, 2, string.Empty),
            choice as ConverterChoice.SoftStarter ?? SoftStarterFor(model),
        ];
        var cases = ways.Select(w => Of(model, place, w)).ToList();
        if (model.Converter is not null || model.Starter is not null)
        {
            cases.Add(OnConverter(model, place));
        }

        return cases;
    }

    /// <summary>One way of starting on the line.</summary>
    public static StartCase Of(CabledMotor model, StartPlace place, ConverterChoice way)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(place);
        var plate = model.Connected.Plate;
        var isChosen = way == model.Input.DrivePoint.Converter;
        var needsDelta = way is ConverterChoice.StarDelta or ConverterChoice.SoftStarter { Settings.InsideDelta: true };
        var (id, name) = way switch
        {
            ConverterChoice.AcrossTheLine => ("across-the-line", "across the line"),
            ConverterChoice.StarDelta s => ("star-delta", FormattableString.Invariant($"star-delta, {s.ChangeOverS:0.#} s in star")),
            ConverterChoice.SoftStarter s => ("soft-starter", s.Settings.InsideDelta ? "soft starter inside the delta" : "soft starter"),
            _ => throw new ArgumentException("Not a way of starting on the line.", nameof(way)),
        };
        if (needsDelta && !model.Connected.IsDelta)
        {
            return Impossible(id, name, isChosen, "the motor must be linked in delta to run on this supply");
        }

        var circuit = CircuitOf(model);
        var bus = BusOf(model, place);
        var load = LoadCurve(model.Load, circuit.SynchronousRadPerS);
        var drive = way switch
        {
            ConverterChoice.StarDelta s => CageStart.StarDelta(circuit, bus, s.ChangeOverS, model.Input.Defaults.StarDeltaGapS, load),
            ConverterChoice.SoftStarter s => CageStart.SoftStarter(circuit, bus, s.Settings, plate.RatedCurrentA, load),
            _ => CageStart.AcrossTheLine(circuit, bus, load),
        };
        return Simulated(id, name, isChosen, model, place, drive, load, circuit,
            way is ConverterChoice.SoftStarter { Settings.CurrentLimitPct: > 0 } soft
                ? soft.Settings.CurrentLimitPct / 100 * plate.RatedCurrentA
                : double.PositiveInfinity);
    }

    /// <summary>The soft starter that would be taken: the smallest for the motor, with the usual settings of such a machine.</summary>
    public static ConverterChoice.SoftStarter SoftStarterFor(CabledMotor model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var application = model.Input.DrivePoint.Load.StartApplication() is { Length: > 0 } own ? own : "compressor";
        var preset = model.Data.StartPresets.First(p => p.Application == application);
        var item = model.Data.SoftStarters.Values
            .OrderBy(s => s.RatedCurrentA)
            .FirstOrDefault(s => s.RatedCurrentA >= model.Connected.Plate.RatedCurrentA
                && s.RatedCurrentA * s.StartCurrentPu >= preset.Settings.CurrentLimitPct / 100 * model.Connected.Plate.RatedCurrentA)
            ?? model.Data.SoftStarters.Values.MaxBy(s => s.RatedCurrentA)!;
        return new ConverterChoice.SoftStarter(item.Id, preset.Settings, preset.Trip, 2, string.Empty);
    }

    /// <summary>The stop by the voltage ramp of the chosen soft starter; null without one, or without a ramp.</summary>
    public static IReadOnlyList<StartMoment>? Stop(CabledMotor model, StartPlace place)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(place);
        if (model.Input.DrivePoint.Converter is not ConverterChoice.SoftStarter { Settings.StopRampS: > 0 } soft)
        {
            return null;
        }

        var circuit = CircuitOf(model);
        var load = LoadCurve(model.Load, circuit.SynchronousRadPerS);
        return SoftStop.Run(
            circuit, BusOf(model, place), soft.Settings.StopRampS, load, model.Load.InertiaKgM2.Value + model.Motor.Plate.InertiaKgM2,
            LineShaft.Of(model, 1).Shaft.SpeedRpm * 2 * Math.PI / 60);
    }

    /// <summary>The motor's circuit at the plant's frequency: it starts towards the line's synchronous speed, whatever its plate
    /// says.</summary>
    internal static CageCircuit CircuitOf(CabledMotor model)
    {
        var plate = model.Connected.Plate;
        return CageCircuitFit.Run(plate).Circuit.AtFrequency(model.Input.FrequencyHz / plate.RatedFrequencyHz);
    }

    private static StartCase OnConverter(CabledMotor model, StartPlace place)
    {
        var converter = model.Converter ?? new ConverterAtSite(
            MadeFor.Converters(model.Data, model.Input.BusVoltageV).Where(c => c.IsUsual).OrderBy(c => c.RatedKw)
                .FirstOrDefault(c => c.LightCurrentA >= model.Motor.Plate.RatedCurrentA)
                ?? model.Data.Converters.Values.MaxBy(c => c.RatedKw)!,
            OverloadDuty.Heavy, 4, model.Input.Site);
        var rated = model.Load.At(1).SpeedRpm * 2 * Math.PI / 60;
        var ramp = !model.Load.StartTimeS.IsKnown ? 10 : model.Load.StartTimeS.Value;
        var load = LoadCurve(model.Load, rated);
        var inertia = model.Load.InertiaKgM2.Value + model.Motor.Plate.InertiaKgM2;
        var drive = new ConverterStartDrive(
            model.Motor, BusOf(model, place), converter.SiteCurrentA * converter.Overload.CurrentPu, inertia, rated, ramp, converter.LossW,
            FrontEndPowerFactor);
        return Simulated("converter", "converter", model.Starter is null, model, place, drive, load, null);
    }

    private static StartCase Simulated(
        string id, string name, bool isChosen, CabledMotor model, StartPlace place, IStartDrive drive, IReadOnlyList<LoadPoint> load,
        CageCircuit? circuit, double limitA = double.PositiveInfinity)
    {
        var inertia = model.Load.InertiaKgM2.Value + model.Motor.Plate.InertiaKgM2;
        var plate = model.Connected.Plate;
        var expected = Math.Max(drive.SettledAtS, inertia * drive.TargetRadPerS / Math.Max(plate.RatedTorqueNm, 1e-9));
        var run = StartSimulation.Run(drive, load, inertia, StartSimulation.StepFor(expected));
        var dip = run.Moments.Max(m => 100 * (1 - (m.State.BusVoltageV / place.VoltageV)));
        var surplus = run.Moments
            .Where(m => (m.TimeS >= drive.SettledAtS || m.State.LineCurrentA >= 0.99 * limitA) && m.LoadTorqueNm > 0
                && m.SpeedRadPerS < 0.97 * drive.TargetRadPerS)
            .Select(m => m.State.TorqueNm / m.LoadTorqueNm)
            .DefaultIfEmpty(double.PositiveInfinity)
            .Min();
        var running = Math.Min(1, model.Motor.At(model.Load.At(1).SpeedRpm, model.Load.At(1).TorqueNm,
            model.Feed).CurrentA / plate.RatedCurrentA);
        var stallS = model.StallTimeS;
        Given rotor = circuit is null ? 0
            : stallS.IsKnown ? run.Energy.RotorJ / (CageCircuitFit.Run(plate).Circuit.At(1, plate.RatedVoltageV).RotorLossW * stallS.Value)
            : Given.Unknown;
        return new StartCase
        {
            Id = id,
            Name = name,
            IsChosen = isChosen,
            Run = run,
            TargetRpm = drive.TargetRadPerS * 60 / (2 * Math.PI),
            PeakLineA = run.Moments.Max(m => m.State.LineCurrentA),
            PeakStarterA = run.Moments.Max(m => m.State.StarterCurrentA),
            DipPct = dip,
            DipAtPccPct = dip * place.PccSharePu,
            LeastSurplusPu = surplus,
            TripHeatPu = Classes.ToDictionary(c => c, c => TripHeat.Of(run.Moments, plate.RatedCurrentA, c)),
            HotTripHeatPu = Classes.ToDictionary(c => c, c => TripHeat.Of(run.Moments, plate.RatedCurrentA, c, running)),
            StallTripPu = circuit is null || !stallS.IsKnown
                ? new Dictionary<TripClass, double>()
                : Classes.ToDictionary(c => c, c => TripHeat.LongestTripS(plate.LockedRotorCurrentPu, running, c) / stallS.Value),
            RotorHeatPu = rotor,
            StartsPerHour = StartsPerHour(model, run),
        };
    }

    // An hour of the motor's heat budget less what it loses running, over the heat of a start beyond that.
    private static double StartsPerHour(CabledMotor model, StartSimulation.Result run)
    {
        var shaft = model.Starter is null ? model.Load.At(1) : LineShaft.Of(model, 1).Shaft;
        var running = model.Motor.At(shaft.SpeedRpm, shaft.TorqueNm, model.Feed).LossW;
        var allowed = model.Budget.AllowedLossW(model.Motor.Plate, shaft.SpeedRpm);
        var heat = run.Energy.StatorJ + run.Energy.RotorJ - (running * run.TimeS);
        return heat <= 0 ? double.PositiveInfinity : Math.Max(0, 3600 * (allowed - running) / heat);
    }

    private static StartBus BusOf(CabledMotor model, StartPlace place) =>
        new(place.VoltageV, place.Ohm + model.FeederOhm + model.CableOhm, place.Ohm);

    // Torque over speed as the machine asks for it, with its breakaway fading within the first twentieth of the speed.
    private static List<LoadPoint> LoadCurve(LoadModel load, double topRadPerS)
    {
        var points = new List<LoadPoint>(LoadPoints + 1);
        for (var i = 0; i <= LoadPoints; i++)
        {
            var speed = topRadPerS * i / LoadPoints;
            var running = Math.Abs(load.TorqueAtSpeedNm(speed * 60 / (2 * Math.PI)));
            var fading = load.BreakawayNm * Math.Max(0, 1 - (20 * speed / topRadPerS));
            points.Add(new LoadPoint(speed, Math.Max(running, fading)));
        }

        return points;
    }

    // Star until the speed stops rising: the time a start in star alone takes to 0.8 of the speed, or where it stands.
    private static double StarTime(CabledMotor model, StartPlace place)
    {
        if (!model.Connected.IsDelta)
        {
            return 5;
        }

        var circuit = CircuitOf(model);
        var load = LoadCurve(model.Load, circuit.SynchronousRadPerS);
        var inertia = model.Load.InertiaKgM2.Value + model.Motor.Plate.InertiaKgM2;
        var star = new CageStartDrive(circuit, BusOf(model, place), new StarDeltaLaw(1e6, 0), 0.8 * circuit.SynchronousRadPerS);
        var run = StartSimulation.Run(new Settled(star), load, inertia,
            StartSimulation.StepFor(3 * inertia * circuit.SynchronousRadPerS / model.Motor.Plate.RatedTorqueNm));
        return Math.Clamp(Math.Round(run.TimeS, 1), 0.5, 60);
    }

    private static StartCase Impossible(string id, string name, bool isChosen, string why) =>
        new() { Id = id, Name = name, IsChosen = isChosen, Impossible = why };

    // Star for ever: nothing will be raised, so that a stand is seen as one.
    private sealed class Settled(IStartDrive inner) : IStartDrive
    {
        public double TargetRadPerS => inner.TargetRadPerS;

        public double SettledAtS => 0;

        public IReadOnlyList<double> JumpsS => [];

        public StartState At(double timeS, double speedRadPerS, double loadTorqueNm) => inner.At(timeS, speedRadPerS, loadTorqueNm);
    }
}
