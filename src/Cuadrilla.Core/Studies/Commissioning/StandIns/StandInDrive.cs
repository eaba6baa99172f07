using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>
/// A drive point that answers like the real one: simulated in time by the models that it was specified with, with a seed of tolerances
/// and noise, and what is wrong with it. Method <c>docs/methods/stand-ins.md</c>.
/// </summary>
public sealed class StandInDrive
{
    private const double LongestStepS = 0.05, ShortestStepS = 1e-4, ShortestRampS = 0.01;
    private const double ReleasedPu = 0.01, EncoderTripHz = 10, TripAfterS = 0.5, AtSpeedPu = 0.98;

    // A winding is read in its first minutes after switching off: then it cools as in truth.
    private const double CoolsSlowlyS = 180;

    // A unit trips above its current of an instant; what can't be carried stalls.
    private const double TripCurrentPu = 2;

    private readonly StepSource source;
    private readonly SiteStepsHere allowed;
    private readonly double rampHzPerS, stopHzPerS, rampStepS;
    private double fedS, startedAtS, stoppedAtS;
    private double offAtS = double.NegativeInfinity;

    /// <summary>Makes one.</summary>
    /// <param name="source">The plant as it is in truth, resolved; its motor must be chosen.</param>
    /// <param name="settings">Seed and fault.</param>
    /// <exception cref="ArgumentException">The motor is not chosen.</exception>
    public StandInDrive(StepSource source, StandInSettings settings)
    {
        ArgumentNullException.ThrowIfNull(source);
        ArgumentNullException.ThrowIfNull(settings);
        if (source.Model.Fitted is not { } fitted)
        {
            throw new ArgumentException("A drive point without a motor can't be simulated.", nameof(source));
        }

        (this.source, Settings) = (source, settings);
        Truth = HiddenTruth.Of(source, settings);
        Typed = TypedPlate.Of(fitted.Connected.Plate, settings, source.Point.Id);
        Motor = new StandInMotor(source, Truth, Typed);
        Heat = new StandInHeat(source, Truth);
        Noise = new SeededNumbers(settings.Seed, source.Point.Id + "/noise");
        Found = StandInFound.Before(source, Truth, settings);
        allowed = new SiteStepsHere(source);
        var rated = fitted.Connected.Plate.RatedFrequencyHz;
        var up = source.Sheet.Rows.FirstOrDefault(r => r.Id == "ramp.up") is { Number.IsKnown: true } row ? row.Number.Value : 10;
        var down = source.StopS ?? (source.Sheet.Rows.FirstOrDefault(r => r.Id == "ramp.down") is { Number.IsKnown: true } r
            ? r.Number.Value
            : 10);
        (rampHzPerS, stopHzPerS) = (rated / Math.Max(up, ShortestRampS), LoadHz() / Math.Max(down * Truth.LoadFactor, ShortestRampS));
        rampStepS = Math.Clamp(Math.Min(up, down) / 100, ShortestStepS, LongestStepS);
    }

    /// <summary>What it does.</summary>
    public StandInState State { get; private set; }

    /// <summary>Why it tripped; empty while it has not.</summary>
    public string Trip { get; private set; } = string.Empty;

    /// <summary>The machine is on the shaft.</summary>
    public bool IsCoupled { get; private set; } = true;

    /// <summary>Time since it was made, s.</summary>
    public double TimeS { get; private set; }

    /// <summary>Time of its heating, s.</summary>
    public double HeatTimeS { get; private set; }

    /// <summary>Frequency, Hz; negative: reverse command.</summary>
    public double FrequencyHz { get; private set; }

    /// <summary>Speed without its sign, rpm.</summary>
    public double SpeedRpm { get; private set; }

    /// <summary>Torque at the shaft, Nm.</summary>
    public double TorqueNm { get; private set; }

    /// <summary>Drive point.</summary>
    public string PointId => source.Point.Id;

    /// <summary>Its last command was reverse.</summary>
    internal bool IsReverse { get; private set; }

    internal StandInSettings Settings { get; }

    internal StepSource Source => source;

    internal HiddenTruth Truth { get; }

    internal TypedPlate Typed { get; }

    internal StandInMotor Motor { get; }

    internal StandInHeat Heat { get; }

    internal SeededNumbers Noise { get; }

    internal StandInFound Found { get; private set; }

    internal StandInPoint Point { get; private set; }

    internal double WantedHz { get; private set; }

    internal bool IsOnLine => source.Point.Converter.IsOnLine();

    /// <summary>Time since the output was switched off, s; null while it is on, or never was.</summary>
    internal double? SinceOffS => IsFed || double.IsInfinity(offAtS) ? null : TimeS - offAtS;

    internal bool IsFed => State is StandInState.Running or StandInState.Stopping;

    /// <summary>Rated current as it stands in the unit, A.</summary>
    internal static double TypedCurrentA(StepSource source, StandInSettings settings) =>
        TypedPlate.Of(source.Model.Fitted!.Connected.Plate, settings, source.Point.Id).CurrentA;

    /// <summary>All readings of now.</summary>
    public IReadOnlyList<StandInReading> Read() => StandInInstruments.Read(this);

    /// <summary>Gives an order.</summary>
    /// <returns>Why it is refused; null where it is done.</returns>
    public string? Do(StandInCommand command)
    {
        ArgumentNullException.ThrowIfNull(command);
        if (State == StandInState.Tripped && command.Order != StandInOrder.Reset)
        {
            return "tripped: acknowledge first";
        }

        switch (command.Order)
        {
            case StandInOrder.Start:
                return Start(command.FrequencyHz);
            case StandInOrder.Stop or StandInOrder.Coast:
                if (IsFed)
                {
                    stoppedAtS = TimeS;
                    State = command.Order == StandInOrder.Coast || IsOnLine ? StandInState.Coasting : StandInState.Stopping;
                    offAtS = State == StandInState.Coasting ? TimeS : offAtS;
                }

                return null;
            case StandInOrder.Reset:
                (State, Trip) = (State == StandInState.Tripped ? StandInState.Ready : State, string.Empty);
                return null;
            default:
                return State == StandInState.Ready ? AtRest(command.Order) : "only at rest";
        }
    }

    /// <summary>Goes on.</summary>
    /// <param name="seconds">Time, s, from 0.</param>
    public void Go(double seconds)
    {
        for (var left = seconds; left > 1e-9;)
        {
            // Short ramps in short steps; at a steady speed long ones.
            var isRamping = State == StandInState.Stopping || State == StandInState.Running && FrequencyHz != WantedHz;
            var step = Math.Min(left, isRamping ? rampStepS : LongestStepS);
            Move(step);
            left -= step;
        }
    }

    private static double Towards(double value, double wanted, double most) => value + Math.Clamp(wanted - value, -most, most);

    private string? Start(double? hz)
    {
        if (State != StandInState.Ready && (IsOnLine || State != StandInState.Running))
        {
            return "only from rest";
        }

        var plate = source.Model.Fitted!.Connected.Plate;
        var wanted = IsOnLine ? Math.Abs(source.Model.Input.FrequencyHz) : hz ?? LoadHz();
        var most = 1.2 * Math.Max(plate.RatedFrequencyHz, LoadHz());
        if (!(Math.Abs(wanted) >= 0.5 && Math.Abs(wanted) <= most))
        {
            return FormattableString.Invariant($"frequency 0.5 to {most:0.#} Hz, either way");
        }

        if (State == StandInState.Running && Math.Sign(wanted) != Math.Sign(FrequencyHz))
        {
            return "stop it first: the other direction only from rest";
        }

        (WantedHz, IsReverse) = (wanted, wanted < 0);
        if (State == StandInState.Ready)
        {
            (State, fedS, startedAtS, FrequencyHz) = (StandInState.Running, 0, TimeS, IsOnLine ? wanted : Math.CopySign(0.01, wanted));
            Found = Found with { StartS = null, StartA = 0, LargestMmPerS = 0, LargestRpm = 0 };
        }

        return null;
    }

    private string? AtRest(StandInOrder order)
    {
        switch (order)
        {
            case StandInOrder.Couple or StandInOrder.Uncouple:
                IsCoupled = order == StandInOrder.Couple;
                return null;
            case StandInOrder.TimeBrake:
                return source.Point.Brake is HoldingBrake.SpringApplied ? Brake() : "there is no brake";
            default:
                var step = order switch
                {
                    StandInOrder.IdentifyStanding => "standstill",
                    StandInOrder.IdentifyTurning => "rotating",
                    _ => "inertia",
                };
                if (allowed.WhyNot(step) is { } why)
                {
                    return why;
                }

                Found = order switch
                {
                    StandInOrder.IdentifyStanding => Found.Standing(this),
                    StandInOrder.IdentifyTurning => Found.Turning(this, LoadTorque),
                    _ => Found.Ramps(this, LoadTorque, rampHzPerS),
                };
                return order == StandInOrder.TwoRamps && Truth.InertiaKgM2 is null ? "the inertia of the machine is "
                    + "not specified: enter it at its load" : null;
        }
    }

    private string? Brake()
    {
        Found = Found.Brake(this);
        return null;
    }

    private void Move(double step)
    {
        TimeS += step;
        var isFast = IsFed ? Found.StartS is not null : TimeS - offAtS > CoolsSlowlyS;
        var warming = step * (isFast ? Settings.HeatingTimes : 1);
        HeatTimeS += warming;
        switch (State)
        {
            case StandInState.Running or StandInState.Stopping:
                Feed(step);
                break;
            case StandInState.Coasting or StandInState.Tripped:
                RunOut(step);
                break;
            default:
                (SpeedRpm, TorqueNm, FrequencyHz, Point) = (0, 0, 0, default);
                break;
        }

        var rated = source.Model.Fitted!.Connected.Plate.RatedSpeedRpm;
        Heat.Go(warming, IsFed ? Point.LossW : 0, SpeedRpm / rated);
        Found = Found.Watched(this);
    }

    private void Feed(double step)
    {
        fedS += step;
        if (fedS > TripAfterS && Settings.Fault == HiddenFault.PhaseMissing)
        {
            TripWith("a phase of the supply is missing");
            return;
        }

        if (IsOnLine)
        {
            OnLine();
        }
        else
        {
            OnConverter(step);
        }
    }

    private void OnConverter(double step)
    {
        var before = SpeedRpm;
        FrequencyHz = State == StandInState.Stopping
            ? Towards(FrequencyHz, 0, stopHzPerS * step)
            : Towards(FrequencyHz, WantedHz, rampHzPerS * step);
        var hz = Math.Abs(FrequencyHz);
        if (State == StandInState.Stopping && hz < ReleasedPu * LoadHz())
        {
            Rest();
            return;
        }

        if (hz > EncoderTripHz && Settings.Fault == HiddenFault.EncoderSign && allowed.HasEncoder)
        {
            TripWith("speed read back against the command");
            return;
        }

        Point = Motor.At(Math.Max(hz, 0.05), LoadTorque);
        SpeedRpm = Point.SpeedRpm;
        var speeding = (Truth.InertiaKgM2 ?? 0) * (SpeedRpm - before) / step * Math.PI / 30;
        TorqueNm = LoadTorque(SpeedRpm) + (before > 0 ? speeding : 0);
        var limit = source.Model.Converter?.RatedCurrentA ?? double.PositiveInfinity;
        if (!Point.Carries && hz > 1 || Point.CurrentA > TripCurrentPu * limit)
        {
            TripWith(Point.Carries ? "overcurrent"
                : FormattableString.Invariant($"stalled at {SpeedRpm:0} rpm: the motor does not give ")
                    + FormattableString.Invariant($"{LoadTorque(SpeedRpm):0.#} Nm at {Point.VoltageV:0} V"));
        }
        else if (Found.StartS is null && hz >= AtSpeedPu * Math.Abs(WantedHz))
        {
            Found = Found with { StartS = TimeS - startedAtS };
        }
    }

    // A start on the line follows the simulated one; a machine of more or less inertia takes its time longer or shorter.
    private void OnLine()
    {
        var hz = source.Model.Input.FrequencyHz;
        if (source.Start?.Run is { } run && Found.StartS is null)
        {
            var whole = source.Model.Load is { InertiaKgM2.IsKnown: true } load
                ? load.InertiaKgM2.Value + source.Model.Fitted!.Connected.Plate.InertiaKgM2
                : (double?)null;
            var motorAlone = source.Model.Fitted!.Connected.Plate.InertiaKgM2;
            var stretch = whole is not { } j ? 1 : IsCoupled ? (Truth.InertiaKgM2 ?? j) / j : Math.Max(motorAlone, 0.02 * j) / j;
            var at = (TimeS - startedAtS) / stretch;
            if (at < run.TimeS)
            {
                var moment = run.Moments[^1];
                for (var i = 0; i < run.Moments.Count; i++)
                {
                    if (run.Moments[i].TimeS >= at)
                    {
                        moment = run.Moments[i];
                        break;
                    }
                }

                SpeedRpm = moment.SpeedRadPerS * 30 / Math.PI;
                TorqueNm = moment.State.TorqueNm;
                var losses = moment.State.StatorLossW + moment.State.RotorLossW + moment.State.OtherLossW;
                Point = new(moment.State.BusVoltageV, moment.State.LineCurrentA * Truth.CurrentFactor, moment.State.InputW, losses,
                    SpeedRpm, true);
                Found = Found with { StartA = Math.Max(Found.StartA, Point.CurrentA) };
                return;
            }

            if (run.End != Converters.Starting.StartEnd.Reached)
            {
                TripWith(FormattableString.Invariant($"no speed after {run.TimeS:0.#} s, stands at ")
                    + FormattableString.Invariant($"{run.EndRadPerS * 30 / Math.PI:0} rpm: overload relay"));
                return;
            }

            Found = Found with { StartS = TimeS - startedAtS };
        }

        Point = Motor.At(hz, LoadTorque);
        (SpeedRpm, TorqueNm) = (Point.SpeedRpm, LoadTorque(Point.SpeedRpm));
        Found = Found with { StartS = Found.StartS ?? TimeS - startedAtS };
        if (!Point.Carries)
        {
            TripWith("stalled: overload relay");
        }
    }

    private void RunOut(double step)
    {
        (Point, TorqueNm, FrequencyHz) = (default, 0, 0);
        var inertia = IsCoupled ? Truth.InertiaKgM2 ?? 1 : Math.Max(source.Model.Fitted!.Connected.Plate.InertiaKgM2, 1e-4);
        SpeedRpm = Math.Max(0, SpeedRpm - (LoadTorque(SpeedRpm) / inertia * 30 / Math.PI * step));
        if (SpeedRpm < ReleasedPu * source.Model.Fitted!.Connected.Plate.RatedSpeedRpm && State == StandInState.Coasting)
        {
            Rest();
        }
    }

    private void Rest()
    {
        Found = Found with { StopS = TimeS - stoppedAtS };
        offAtS = double.IsInfinity(offAtS) || offAtS < stoppedAtS ? TimeS : offAtS;
        (State, SpeedRpm, TorqueNm, FrequencyHz, Point) = (StandInState.Ready, 0, 0, 0, default);
    }

    private void TripWith(string why)
    {
        (State, Trip, Point, TorqueNm, FrequencyHz, offAtS) = (StandInState.Tripped, why, default, 0, 0, TimeS);
    }

    private double LoadTorque(double rpm) =>
        Truth.FrictionNm + (IsCoupled && source.Model.Load is { } load ? Truth.LoadFactor * Math.Abs(load.TorqueAtSpeedNm(rpm)) : 0);

    private double LoadHz()
    {
        var plate = source.Model.Fitted!.Connected.Plate;
        return source.Model.Load is { RatedSpeedRpm: > 0 } load && plate.RatedFrequencyHz > 0
            ? plate.RatedFrequencyHz * load.RatedSpeedRpm / plate.RatedSpeedRpm
            : plate.RatedFrequencyHz;
    }
}
