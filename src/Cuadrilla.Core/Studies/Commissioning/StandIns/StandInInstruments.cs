using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What the instruments around a stand-in read.</summary>
internal static class StandInInstruments
{
    /// <summary>End of the range of a brake timer, ms.</summary>
    public const double TimerEndMs = 9999;

    // From so much above the motor's own an identified no-load current is of another motor.
    private const double OtherFrom = 1.3;
    private const double CountedS = 10;
    private const double MovedOpenMm = 35;

    // Damping of a frame or foundation that resounds, parts of the critical.
    private const double DampingPu = 0.02;
    internal static readonly int[] Orders = [5, 7, 11, 13];
    private static readonly string[] Pairs = ["winding.uv", "winding.vw", "winding.wu"];

    /// <summary>All of them, now.</summary>
    public static IReadOnlyList<StandInReading> Read(StandInDrive drive)
    {
        List<StandInReading> readings = [];
        void Add(string name, double? value, bool isExact = false) => readings.Add(new(name,
            value is { } v && double.IsFinite(v) ? isExact ? v : v * drive.Noise.Noise(drive.Settings.NoisePct) : null));
        AtRest(drive, Add);
        Temperatures(drive, Add);
        Electrical(drive, Add);
        Mechanical(drive, Add);
        OfUnit(drive, Add);
        Watched(drive, Add);
        return readings;
    }

    /// <summary>Vibration velocity, mm/s.</summary>
    public static double Vibration(StandInDrive drive)
    {
        var pu = drive.SpeedRpm / drive.Source.Model.Fitted!.Connected.Plate.RatedSpeedRpm;
        var r = drive.SpeedRpm / drive.Truth.ResonanceRpm;
        var resounds = 1 / Math.Sqrt(Math.Pow(1 - (r * r), 2) + Math.Pow(2 * DampingPu * r, 2));
        return drive.Truth.VibrationMmPerS * pu * pu * (drive.Settings.Fault == HiddenFault.Resonance ? Math.Max(1, resounds) : 1);
    }

    private static void AtRest(StandInDrive drive, Action<string, double?, bool> add)
    {
        // Through a winding that is fed, turning or charged nobody measures.
        var isDead = drive.State == StandInState.Ready;
        var windingC = drive.Heat.WindingC;
        for (var pair = 0; pair < 3; pair++)
        {
            add(Pairs[pair], isDead && drive.Source.Point.StepUp is null ? drive.Truth.BetweenOhm(pair, windingC) : null, false);
        }

        var insulation = drive.Truth.Insulation40Megohm * Math.Pow(0.5, (windingC - 40) / 10);
        add("insulation.after1min", isDead ? insulation : null, false);
        add("insulation.after10min", isDead ? insulation * drive.Truth.PolarisationIndex : null, false);
        add("earth.ohm", isDead ? drive.Truth.EarthOhm : null, false);
        add("cable.metres", isDead ? drive.Truth.CableM : null, true);
    }

    private static void Temperatures(StandInDrive drive, Action<string, double?, bool> add)
    {
        // A thermometer in the winding, where there is one, reads at rest and running.
        add("temperature.winding", drive.Heat.WindingC, true);
        add("temperature.frame", drive.Heat.FrameC, true);
        add("temperature.bearing", drive.Heat.BearingC, true);
        add("temperature.coolant", drive.Truth.AmbientC, true);
    }

    private static void Electrical(StandInDrive drive, Action<string, double?, bool> add)
    {
        var nominal = drive.Source.Bus.NominalVoltageV;
        add("supply.v12", drive.Truth.SupplyPu[0] * nominal, false);
        add("supply.v23", drive.Truth.SupplyPu[1] * nominal, false);
        add("supply.v31", drive.Truth.SupplyPu[2] * nominal, false);
        var plate = drive.Source.Model.Fitted!.Connected.Plate;
        var magnets = drive.State is StandInState.Coasting or StandInState.Tripped && plate.BackEmfVPerKrpm > 0
            ? plate.BackEmfVPerKrpm * drive.SpeedRpm / 1000 * drive.Truth.EmfFactor * Magnet(drive)
            : (double?)null;
        add("motor.volts", drive.IsFed ? drive.Point.VoltageV : magnets ?? 0, false);
        add("motor.amps", drive.IsFed ? drive.Point.CurrentA : 0, false);
        add("motor.kw", drive.IsFed ? drive.Point.InputW / 1e3 : 0, false);
        add("motor.hz", drive.IsFed ? Math.Abs(drive.FrequencyHz) : 0, true);
        if (drive.Source.LineOrdersA is null)
        {
            return;
        }

        var orders = StandInWave.OrdersA(drive);
        add("line.h1", orders?[0].Magnitude, false);
        foreach (var order in Orders)
        {
            add(FormattableString.Invariant($"line.h{order}"), orders?[order - 1].Magnitude, false);
        }

        add("line.thd", orders is null ? null : 100 * Math.Sqrt(orders.Skip(1).Sum(o => o.Magnitude * o.Magnitude)) / orders[0].Magnitude,
            false);
    }

    // −0.11 % a kelvin from 20 °C, as the step reckons it.
    private static double Magnet(StandInDrive drive) =>
        1 + (drive.Source.Rules.Site.MagnetPctPerK / 100 * (drive.Heat.WindingC - 20));

    private static void Mechanical(StandInDrive drive, Action<string, double?, bool> add)
    {
        var isBackwards = drive.IsReverse ^ drive.Settings.Fault == HiddenFault.SwappedRotation;
        var pu = drive.SpeedRpm / drive.Source.Model.Fitted!.Connected.Plate.RatedSpeedRpm;
        add("counter.rpm", isBackwards ? -drive.SpeedRpm : drive.SpeedRpm, true);
        add("vibration.velocity", Vibration(drive), false);
        var electrical = drive.IsFed ? drive.Settings.Fault == HiddenFault.OtherIdentification && drive.Found.NoLoadA is { } noLoad
            && noLoad > OtherFrom * drive.Motor.At(drive.Typed.FrequencyHz, 0).CurrentA ? 10 : 2 : 0;
        add("sound.level", pu > 0.02 ? 72 + (40 * Math.Log10(Math.Max(pu, 0.1))) + electrical : 40, false);
        add("gauge.value", drive.Source.Point.Load is PumpLoad && drive.IsCoupled ? 100 * pu * pu * (isBackwards ? 0.6 : 1) : null, false);
        if (drive.Source.Parameters.Follower?.Input is { } follower)
        {
            // What both move in the same time, the leader at half of its range.
            var leader = follower.Leader.LargestRpm / 2 / 60 * CountedS * follower.Leader.UnitsPerTurn;
            add("counter.leader", drive.IsFed ? leader : null, true);
            add("counter.follower", !drive.IsFed ? null : drive.Settings.Fault == HiddenFault.RatioZero ? 0
                : leader * follower.WantedRatio * (1 + ((drive.Truth.EmfFactor - 1) / 20)), true);
        }
    }

    private static void OfUnit(StandInDrive drive, Action<string, double?, bool> add)
    {
        add("unit.plateV", drive.Typed.VoltageV, true);
        add("unit.plateA", drive.Typed.CurrentA, true);
        add("unit.plateHz", drive.Typed.FrequencyHz, true);
        add("unit.plateRpm", drive.Typed.SpeedRpm, true);
        add("unit.plateKw", drive.Typed.PowerKw, true);
        add("unit.amps", drive.IsFed ? drive.Point.CurrentA * drive.Truth.LoadFactor : 0, false);
        add("identified.ohm", drive.Found.Ohm, true);
        add("identified.leakage", drive.Found.LeakagePu, true);
        add("identified.noLoad", drive.Found.NoLoadA, true);
        add("identified.torqueUp", drive.Found.TorqueUpNm, true);
        add("identified.torqueDown", drive.Found.TorqueDownNm, true);
        add("identified.rpmPerS", drive.Found.RpmPerS, true);
        add("unit.torque", drive.TorqueNm, false);
        if (drive.IsOnLine)
        {
            return;
        }

        add("unit.hz", drive.FrequencyHz, true);
        var backwards = drive.IsReverse ^ drive.Settings.Fault is HiddenFault.SwappedRotation or HiddenFault.EncoderSign;
        add("unit.rpm", backwards ? -drive.SpeedRpm : drive.SpeedRpm, false);
        add("unit.linkV", Math.Sqrt(2) * drive.Truth.SupplyPu[0] * drive.Source.Bus.NominalVoltageV, false);
        var loading = drive.Source.Model.Converter is { RatedCurrentA: > 0 } c ? drive.Point.CurrentA / c.RatedCurrentA : 0;
        add("unit.heatsinkC", drive.Truth.AmbientC + 8 + (32 * loading * loading), false);
    }

    private static void Watched(StandInDrive drive, Action<string, double?, bool> add)
    {
        add("vibration.largest", drive.Found.LargestMmPerS, true);
        add("vibration.largestRpm", drive.Found.LargestRpm, true);
        add("recorder.startS", drive.Found.StartS, true);
        add("recorder.startA", drive.Found.StartS is null ? null : drive.Found.StartA, true);
        add("recorder.dipPct", drive.Found.StartS is null || drive.Source.Start is not { } start ? null
            : start.DipPct * drive.Truth.CurrentFactor, true);
        add("recorder.stopS", drive.Found.StopS, true);
        add("recorder.sinceOffS", drive.SinceOffS, true);
        if (drive.Source.Point.Brake is HoldingBrake.SpringApplied)
        {
            add("brake.releaseMs", drive.Found.ReleaseMs, true);
            add("brake.closeMs", drive.Found.CloseMs, true);
            add("brake.feedbacks", drive.Found.Feedbacks, true);
            add("brake.movedMm", drive.Found.CloseMs is null ? null : drive.Settings.Fault == HiddenFault.BrakeStaysOpen ? MovedOpenMm : 0,
                true);
        }
    }
}
