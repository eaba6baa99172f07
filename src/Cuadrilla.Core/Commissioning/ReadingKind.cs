namespace Cuadrilla.Core.Commissioning;

/// <summary>Instrument, or what answers like one, by what it measures.</summary>
public enum SiteInstrument
{
    /// <summary>Converter or starter: what it shows and what it found.</summary>
    Unit,

    /// <summary>Four-wire resistance between two leads.</summary>
    MicroOhmmeter,

    /// <summary>Insulation tester.</summary>
    InsulationTester,

    /// <summary>Resistance of protective connections.</summary>
    EarthTester,

    /// <summary>Thermometers on motor, bearings, air.</summary>
    Thermometers,

    /// <summary>Power analyser, wideband: supply, motor, line current by order.</summary>
    PowerAnalyser,

    /// <summary>Counter or stroboscope: speed with its sign, pieces, pulses.</summary>
    Counter,

    /// <summary>Vibration velocity.</summary>
    VibrationMeter,

    /// <summary>Sound level.</summary>
    SoundLevelMeter,

    /// <summary>Pressure or flow of a pump.</summary>
    Gauge,

    /// <summary>Recorder of starts and stops.</summary>
    Recorder,

    /// <summary>Times and feedbacks of a brake.</summary>
    BrakeTimer,

    /// <summary>Metre marks of a cable.</summary>
    Tape,
}

/// <summary>A quantity that an instrument can tell, by the name that topic maps use.</summary>
/// <param name="Name">Stable name.</param>
/// <param name="Instrument">Who tells it.</param>
/// <param name="What">What it is.</param>
/// <param name="Unit">Unit it is kept in.</param>
public sealed record ReadingKind(string Name, SiteInstrument Instrument, string What, string Unit)
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<ReadingKind> All { get; } =
    [
        new("winding.uv", SiteInstrument.MicroOhmmeter, "resistance U–V", "Ω"),
        new("winding.vw", SiteInstrument.MicroOhmmeter, "resistance V–W", "Ω"),
        new("winding.wu", SiteInstrument.MicroOhmmeter, "resistance W–U", "Ω"),
        new("insulation.after1min", SiteInstrument.InsulationTester, "insulation after 1 min", "MΩ"),
        new("insulation.after10min", SiteInstrument.InsulationTester, "insulation after 10 min", "MΩ"),
        new("earth.ohm", SiteInstrument.EarthTester, "earth continuity", "Ω"),
        new("cable.metres", SiteInstrument.Tape, "cable as laid", "m"),
        new("temperature.winding", SiteInstrument.Thermometers, "winding", "°C"),
        new("temperature.frame", SiteInstrument.Thermometers, "frame", "°C"),
        new("temperature.bearing", SiteInstrument.Thermometers, "warmer bearing", "°C"),
        new("temperature.coolant", SiteInstrument.Thermometers, "coolant", "°C"),
        new("supply.v12", SiteInstrument.PowerAnalyser, "supply L1–L2", "V"),
        new("supply.v23", SiteInstrument.PowerAnalyser, "supply L2–L3", "V"),
        new("supply.v31", SiteInstrument.PowerAnalyser, "supply L3–L1", "V"),
        new("motor.volts", SiteInstrument.PowerAnalyser, "voltage at the motor", "V"),
        new("motor.amps", SiteInstrument.PowerAnalyser, "current of the motor", "A"),
        new("motor.kw", SiteInstrument.PowerAnalyser, "power into the motor", "kW"),
        new("motor.hz", SiteInstrument.PowerAnalyser, "frequency at the motor", "Hz"),
        new("line.h1", SiteInstrument.PowerAnalyser, "fundamental of the line current", "A"),
        new("line.h5", SiteInstrument.PowerAnalyser, "order 5 of the line current", "A"),
        new("line.h7", SiteInstrument.PowerAnalyser, "order 7 of the line current", "A"),
        new("line.h11", SiteInstrument.PowerAnalyser, "order 11 of the line current", "A"),
        new("line.h13", SiteInstrument.PowerAnalyser, "order 13 of the line current", "A"),
        new("line.thd", SiteInstrument.PowerAnalyser, "THDi of the line current", "%"),
        new("counter.rpm", SiteInstrument.Counter, "speed, forward positive", "rpm"),
        new("counter.leader", SiteInstrument.Counter, "units of the leader", string.Empty),
        new("counter.follower", SiteInstrument.Counter, "units of the follower in the same time", string.Empty),
        new("vibration.velocity", SiteInstrument.VibrationMeter, "velocity, rms", "mm/s"),
        new("vibration.largest", SiteInstrument.VibrationMeter, "largest velocity since the start", "mm/s"),
        new("vibration.largestRpm", SiteInstrument.VibrationMeter, "speed of the largest", "rpm"),
        new("sound.level", SiteInstrument.SoundLevelMeter, "sound level, 1 m", "dB(A)"),
        new("gauge.value", SiteInstrument.Gauge, "pressure or flow, % of rated", "%"),
        new("recorder.startS", SiteInstrument.Recorder, "time of the last start", "s"),
        new("recorder.startA", SiteInstrument.Recorder, "largest line current of the last start", "A"),
        new("recorder.dipPct", SiteInstrument.Recorder, "dip at the bus in the last start", "%"),
        new("recorder.stopS", SiteInstrument.Recorder, "time of the last stop", "s"),
        new("recorder.sinceOffS", SiteInstrument.Recorder, "time since switching off", "s"),
        new("brake.releaseMs", SiteInstrument.BrakeTimer, "brake, release", "ms"),
        new("brake.closeMs", SiteInstrument.BrakeTimer, "brake, close", "ms"),
        new("brake.feedbacks", SiteInstrument.BrakeTimer, "feedbacks that trip when taken off", string.Empty),
        new("brake.movedMm", SiteInstrument.BrakeTimer, "movement under the test load", "mm"),
        new("unit.hz", SiteInstrument.Unit, "output frequency", "Hz"),
        new("unit.rpm", SiteInstrument.Unit, "speed read back, forward positive", "rpm"),
        new("unit.amps", SiteInstrument.Unit, "output current shown", "A"),
        new("unit.torque", SiteInstrument.Unit, "torque shown", "Nm"),
        new("unit.linkV", SiteInstrument.Unit, "voltage of the DC link", "V"),
        new("unit.heatsinkC", SiteInstrument.Unit, "heat sink", "°C"),
        new("unit.plateV", SiteInstrument.Unit, "rated voltage as entered", "V"),
        new("unit.plateA", SiteInstrument.Unit, "rated current as entered", "A"),
        new("unit.plateHz", SiteInstrument.Unit, "rated frequency as entered", "Hz"),
        new("unit.plateRpm", SiteInstrument.Unit, "rated speed as entered", "rpm"),
        new("unit.plateKw", SiteInstrument.Unit, "rated power as entered", "kW"),
        new("identified.ohm", SiteInstrument.Unit, "stator resistance identified", "Ω"),
        new("identified.leakage", SiteInstrument.Unit, "leakage identified", "pu"),
        new("identified.noLoad", SiteInstrument.Unit, "no-load current identified", "A"),
        new("identified.torqueUp", SiteInstrument.Unit, "torque on the ramp up", "Nm"),
        new("identified.torqueDown", SiteInstrument.Unit, "torque on the ramp down", "Nm"),
        new("identified.rpmPerS", SiteInstrument.Unit, "change of speed on both ramps", "rpm/s"),
    ];

    /// <summary>Quantities read over a whole cycle.</summary>
    public static IReadOnlyList<ReadingKind> Waves { get; } =
        [new("wave.line", SiteInstrument.PowerAnalyser, "line current over a cycle", "A")];

    private static readonly Dictionary<string, ReadingKind> ByName = All.ToDictionary(k => k.Name, StringComparer.Ordinal);

    /// <summary>The one of a name; null where there is none.</summary>
    public static ReadingKind? Named(string name) => ByName.GetValueOrDefault(name);

    /// <summary>The one of a whole cycle; null where there is none.</summary>
    public static ReadingKind? WaveNamed(string name) => Waves.FirstOrDefault(w => w.Name == name);
}
