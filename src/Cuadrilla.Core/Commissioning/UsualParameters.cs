namespace Cuadrilla.Core.Commissioning;

/// <summary>Settings of units that are usual where nobody decided them; proposals, marked as such.</summary>
/// <param name="RampS">Ramp from rest to rated frequency, s.</param>
/// <param name="SCurvePct">Rounding of ramps of what hangs or carries, % of the ramp.</param>
/// <param name="MagnetisingPerTimeConstant">Magnetising time over the rotor time constant.</param>
/// <param name="FlyingSearchS">Longest search for a turning motor, s.</param>
/// <param name="BufferBelowPct">Link voltage below which the kinetic energy is used, % of that without load.</param>
/// <param name="Restarts">Restarts after a trip by the supply.</param>
/// <param name="RestartDelayS">Time before each, s.</param>
/// <param name="LowSpeedHz">Frequency below which the thermal model counts the own fan as standing, Hz.</param>
/// <param name="BypassTimeConstants">Wait between converter and bypass over the rotor time constant.</param>
/// <param name="BypassLeastS">Least such wait, s.</param>
/// <param name="SleepPct">Speed at which a controlled pump or fan is put to sleep, % above its least.</param>
/// <param name="WakePct">Deviation of the process value that wakes it, %.</param>
/// <param name="SlipCheckPct">Movement under a closed brake that is a fault, % of rated speed.</param>
/// <param name="LowSpeedTripS">Time below the least speed after which a pump stops, s.</param>
public sealed record UsualParameters(double RampS, double SCurvePct, double MagnetisingPerTimeConstant, double FlyingSearchS,
    double BufferBelowPct, int Restarts, double RestartDelayS, double LowSpeedHz, double BypassTimeConstants, double BypassLeastS,
    double SleepPct, double WakePct, double SlipCheckPct, double LowSpeedTripS);
