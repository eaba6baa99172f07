namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Which reading of an instrument answers which quantity of a step.</summary>
public static class StepReadings
{
    private static readonly Dictionary<(string Step, string Quantity), string> Names = new()
    {
        [("cable", "metres")] = "cable.metres",
        [("earth", "ohm")] = "earth.ohm",
        [("insulation", "megohm")] = "insulation.after1min",
        [("insulation", "winding")] = "temperature.winding",
        [("insulation", "tenMinutes")] = "insulation.after10min",
        [("supply", "v12")] = "supply.v12",
        [("supply", "v23")] = "supply.v23",
        [("supply", "v31")] = "supply.v31",
        [("plate", "voltage")] = "unit.plateV",
        [("plate", "current")] = "unit.plateA",
        [("plate", "frequency")] = "unit.plateHz",
        [("plate", "speed")] = "unit.plateRpm",
        [("plate", "power")] = "unit.plateKw",
        [("resistances", "uv")] = "winding.uv",
        [("resistances", "vw")] = "winding.vw",
        [("resistances", "wu")] = "winding.wu",
        [("direction", "rpm")] = "counter.rpm",
        [("direction", "encoder")] = "unit.rpm",
        [("standstill", "ohm")] = "identified.ohm",
        [("standstill", "winding")] = "temperature.winding",
        [("standstill", "leakage")] = "identified.leakage",
        [("rotating", "noLoad")] = "identified.noLoad",
        [("magnets", "rpm")] = "counter.rpm",
        [("magnets", "volts")] = "motor.volts",
        [("magnets", "magnetC")] = "temperature.winding",
        [("inertia", "up")] = "identified.torqueUp",
        [("inertia", "down")] = "identified.torqueDown",
        [("inertia", "rpmPerS")] = "identified.rpmPerS",
        [("skip-bands", "velocity")] = "vibration.largest",
        [("skip-bands", "rpm")] = "vibration.largestRpm",
        [("no-load", "volts")] = "motor.volts",
        [("no-load", "amps")] = "motor.amps",
        [("no-load", "identified")] = "identified.noLoad",
        [("noise", "ramp")] = "sound.level",
        [("noise", "coast")] = "sound.level",
        [("noise", "rpm")] = "counter.rpm",
        [("loaded", "hz")] = "motor.hz",
        [("loaded", "volts")] = "motor.volts",
        [("loaded", "torque")] = "unit.torque",
        [("loaded", "amps")] = "motor.amps",
        [("loaded", "kw")] = "motor.kw",
        [("loaded", "rpm")] = "counter.rpm",
        [("rise", "coldOhm")] = "winding.uv",
        [("rise", "coldC")] = "temperature.winding",
        [("rise", "hotOhm")] = "winding.uv",
        [("rise", "delayS")] = "recorder.sinceOffS",
        [("rise", "ambientC")] = "temperature.coolant",
        [("temperature-run", RunId)] = "temperature.frame",
        [("temperature-run", "ambientC")] = "temperature.coolant",
        [("bearings", "bearingC")] = "temperature.bearing",
        [("bearings", "ambientC")] = "temperature.coolant",
        [("bearings", "rpm")] = "counter.rpm",
        [("vibration", "velocity")] = "vibration.velocity",
        [("vibration", "rpm")] = "counter.rpm",
        [("start", "seconds")] = "recorder.startS",
        [("start", "amps")] = "recorder.startA",
        [("start", "dip")] = "recorder.dipPct",
        [("stop", "seconds")] = "recorder.stopS",
        [("brake", "release")] = "brake.releaseMs",
        [("brake", "close")] = "brake.closeMs",
        [("brake", "feedbacks")] = "brake.feedbacks",
        [("brake-test", "moved")] = "brake.movedMm",
        [("ratio", "leader")] = "counter.leader",
        [("ratio", "follower")] = "counter.follower",
        [("rotations", "forward")] = "gauge.value",
        [("rotations", "reverse")] = "gauge.value",
        [("harmonics", "h1")] = "line.h1",
        [("harmonics", "h5")] = "line.h5",
        [("harmonics", "h7")] = "line.h7",
        [("harmonics", "h11")] = "line.h11",
        [("harmonics", "h13")] = "line.h13",
        [("harmonics", "thd")] = "line.thd",
    };

    /// <summary>Stands for the run of a step among its quantities.</summary>
    public const string RunId = "run";

    /// <summary>All pairs that have one.</summary>
    public static IReadOnlyCollection<(string Step, string Quantity)> All => Names.Keys;

    /// <summary>Name of the reading that answers a quantity; null where a person enters it.</summary>
    /// <param name="stepId">Step.</param>
    /// <param name="quantityId">Quantity, or <see cref="RunId"/>.</param>
    public static string? Of(string stepId, string quantityId) => Names.GetValueOrDefault((stepId, quantityId));
}
