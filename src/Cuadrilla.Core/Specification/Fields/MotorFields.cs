using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Motors;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of motors and holding brakes.</summary>
internal static class MotorFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<MotorChoice.FromCatalogue>(Words(nameof(MotorChoice.FromCatalogue.Reason), "Reason for this motor", 0, 300, "Why this one where it is not the best candidate."),
            Choice(nameof(MotorChoice.FromCatalogue.Cooling), "Cooling", "What cools the motor.",
                (MotorCooling.OwnFan, "fan on its own shaft"), (MotorCooling.SeparateFan, "separately driven fan"), (MotorCooling.Surface, "surface alone, no fan")),
            Choice(nameof(MotorChoice.FromCatalogue.RiseUsed), "Temperature rise used", "Class to which the winding’s temperature rise is used.", (ThermalClass.B, "class B (80 K), long life"), (ThermalClass.F, "class F (105 K)")),
            Choice(nameof(MotorChoice.FromCatalogue.Connection), "Winding connection", "How the winding is connected.",
                (MotorConnection.Fitting, "whichever fits the supply"), (MotorConnection.Star, "star (Y)"), (MotorConnection.Delta, "delta (Δ)")),
            Switch(nameof(MotorChoice.FromCatalogue.InsulatedBearing), "Insulated bearing, non-drive end", "Whether the bearing at the non-drive end is insulated."),
            Switch(nameof(MotorChoice.FromCatalogue.ThermistorTrips), "Thermistors in the winding trip", "Whether thermistors in the winding switch the motor off.")),
        For<OwnMotor>(
            Words(nameof(OwnMotor.Id), "Motor key", 1, 60, "Stable key of the motor."),
            Words(nameof(OwnMotor.Name), "Name", 1, 80, "What people call the motor."),
            Words(nameof(OwnMotor.EfficiencyClass), "Class", 1, 10, "Efficiency class on the plate, IE1 to IE5; – for none."),
            Number(nameof(OwnMotor.RatedPowerKw), "Power", 0, 20_000, "kW", "Rated shaft power.", above: true, us: "hp"),
            Number(nameof(OwnMotor.RatedVoltageV), "Voltage", 20, 15_000, "V", "Rated voltage between phases."),
            Number(nameof(OwnMotor.DeltaVoltageV), "Voltage in delta", 20, 15_000, "V", "Rated voltage in delta where the plate states two."),
            Number(nameof(OwnMotor.RatedCurrentA), "Rated current", 0, 20_000, "A", "Rated current at the rated voltage.", above: true),
            Number(nameof(OwnMotor.RatedFrequencyHz), "Frequency", 5, 1000, "Hz", "Rated frequency."),
            Number(nameof(OwnMotor.RatedSpeedRpm), "Speed", 10, 30_000, "rpm", "Rated speed."),
            Number(nameof(OwnMotor.EfficiencyPct), "Efficiency", 30, 99.5, "%", "Efficiency at the rated point."),
            Number(nameof(OwnMotor.PowerFactor), "Power factor", 0.2, 1, string.Empty, "Power factor at the rated point."),
            Number(nameof(OwnMotor.Poles), "Poles", 2, 60, string.Empty, "Number of poles, an even number."),
            Number(nameof(OwnMotor.BreakdownTorquePu), "Breakdown torque, × rated", 1.3, 8, "× rated", "Largest torque at rated voltage over rated torque."),
            Number(nameof(OwnMotor.NoLoadCurrentA), "No-load current, measured", 0, 19_000, "A", "Current without load at rated voltage; below 95 % of the rated current.", above: true),
            Number(nameof(OwnMotor.LockedRotorCurrentPu), "Locked-rotor current, × rated", 2, 12, "× rated", "Starting current over rated current."),
            Number(nameof(OwnMotor.LockedRotorTorquePu), "Locked-rotor torque, × rated", 0.3, 5, "× rated", "Starting torque over rated torque."),
            Number(nameof(OwnMotor.HalfLoadPowerFactor), "Power factor at half load, measured", 0.1, 1, string.Empty, "Power factor at half load and rated voltage."),
            Number(nameof(OwnMotor.BackEmfVPerKrpm), "Back-EMF at 1000 rpm", 0, 5000, "V per 1000 rpm", "Voltage between phases that the magnets induce at 1000 rpm.", above: true),
            Number(nameof(OwnMotor.InertiaKgM2), "Inertia", 0, 1e5, "kg·m²", "Moment of inertia of the rotor.", above: true),
            Number(nameof(OwnMotor.MaxSpeedRpm), "Maximum mechanical speed", 10, 60_000, "rpm", "Highest speed that bearings and rotor stand."),
            Number(nameof(OwnMotor.RatedRiseK), "Temperature rise at rated load, K", 20, 180, "K", "Rise of the winding at the rated point on a sinusoidal supply."),
            Number(nameof(OwnMotor.StallTimeS), "Safe stall time, warm", 1, 120, "s", "Time that the warm rotor stands locked at full voltage."),
            Number(nameof(OwnMotor.StartsPerHour), "Starts per hour", 0, 1000, "1/h", "Starts per hour that it stands.", above: true),
            Number(nameof(OwnMotor.WithstandV), "Winding withstand, peak", 300, 20_000, "V", "Peak voltage between phases that the winding stands repeatedly."),
            Number(nameof(OwnMotor.ShaftHeightMm), "Shaft height", 20, 1500, "mm", "Height of the shaft above the feet."),
            Number(nameof(OwnMotor.LengthMm), "Length", 20, 10_000, "mm", "Length over all."),
            Number(nameof(OwnMotor.MassKg), "Mass", 0.1, 100_000, "kg", "Mass of the motor."),
            Number(nameof(OwnMotor.PriceIndex), "Price index", 0, 1e6, "points", "Price in points of the catalogue's index."),
            Loss(nameof(OwnMotor.LossN90T100W), 90, 100),
            Loss(nameof(OwnMotor.LossN50T100W), 50, 100),
            Loss(nameof(OwnMotor.LossN25T100W), 25, 100),
            Loss(nameof(OwnMotor.LossN90T50W), 90, 50),
            Loss(nameof(OwnMotor.LossN50T50W), 50, 50),
            Loss(nameof(OwnMotor.LossN50T25W), 50, 25),
            Loss(nameof(OwnMotor.LossN25T25W), 25, 25),
            Choice(nameof(OwnMotor.Technology), "Kind", "Kind of motor.",
                (MotorTechnology.CageInduction, "cage induction"), (MotorTechnology.SynchronousReluctance, "synchronous reluctance"), (MotorTechnology.PermanentMagnet, "permanent magnet"),
                (MotorTechnology.Servo, "servo"), (MotorTechnology.DcSeparatelyExcited, "DC, separately excited")),
            Switch(nameof(OwnMotor.ForConverter), "Suitable for converter supply", "Whether its maker states that it is made for converter supply."),
            Choice(nameof(OwnMotor.Explosion), "Explosion protection", "Type of protection on its plate (IEC 60079-0).",
                (ExplosionProtection.None, "none: safe areas"), (ExplosionProtection.Flameproof, "flameproof enclosure, Ex db"), (ExplosionProtection.IncreasedSafety, "increased safety, Ex eb"),
                (ExplosionProtection.Pressurised, "pressurised, Ex pxb"), (ExplosionProtection.DustByEnclosure, "dust, by enclosure, Ex tb")),
            Switch(nameof(OwnMotor.CertifiedForConverter), "Certified for converter supply", "Whether its certificate states operation on a converter.")),
        For<HoldingBrake.SpringApplied>(
            Number(nameof(HoldingBrake.SpringApplied.HoldingNm), "Holding torque", 0.01, 1e6, "Nm", "Torque that the closed brake holds at the motor's shaft."),
            Number(nameof(HoldingBrake.SpringApplied.ReleaseMs), "Release time", 1, 5000, "ms", "From current on to free."),
            Number(nameof(HoldingBrake.SpringApplied.CloseMs), "Engagement time", 1, 5000, "ms", "Switched on the DC side, without suppression.", hint: true),
            Number(nameof(HoldingBrake.SpringApplied.PermittedJ), "Permissible braking energy", 0.1, 1e9, "J", "Work that it stands in one emergency clamping."),
            Number(nameof(HoldingBrake.SpringApplied.PermittedClampings), "Emergency engagements", 1, 1e7, string.Empty, "Emergency engagements with that work until the lining is worn.")),
        For<BrakeCoil>(
            Number(nameof(BrakeCoil.VoltageV), "Voltage", 5, 600, "V", "Rated direct voltage of the coil."),
            Number(nameof(BrakeCoil.PowerW), "Power", 0.5, 5000, "W", "Power of the coil."),
            Number(nameof(BrakeCoil.TimeConstantMs), "Time constant L/R", 0.1, 2000, "ms", "Inductance over resistance of the coil."),
            Number(nameof(BrakeCoil.OutputA), "Switching capacity, DC", 0.01, 100, "A", "Rating for direct current of what switches the coil."),
            Choice(nameof(BrakeCoil.Suppression), "Suppression", "What limits the voltage of the coil when it is switched off.",
                (CoilSuppression.None, "none"), (CoilSuppression.Diode, "diode, cathode at plus"), (CoilSuppression.Zener, "diode and zener diode"), (CoilSuppression.Varistor, "varistor"))),
        For<BrakeControl>(
            Number(nameof(BrakeControl.ProvenPct), "Torque proved before release", 0, 200, "% of rated", "Motor torque that must be there before the release."),
            Number(nameof(BrakeControl.SpeedAfterReleaseMs), "Speed delay after release", 0, 10_000, "ms", "From the release command to the speed reference when no position feedback says it is open."),
            Number(nameof(BrakeControl.CloseBelowPct), "Closing speed", 0.05, 50, "% of rated speed", "Speed below which it closes."),
            Number(nameof(BrakeControl.CloseDelayS), "Closing delay, at most", 0.01, 600, "s", "After the stop command, whichever comes first.", open: "none", hint: true),
            Number(nameof(BrakeControl.HoldMs), "Torque hold after closing", 0, 10_000, "ms", "Torque held after the close command when no position feedback says it is closed."),
            Choice(nameof(BrakeControl.By), "Commanded by", "What commands the brake.", (BrakeCommand.Converter, "converter"), (BrakeCommand.MachineController, "machine controller")),
            Switch(nameof(BrakeControl.CommandFeedback), "Command feedback", "Whether the command is read back from the contactor."),
            Switch(nameof(BrakeControl.PositionFeedback), "Position feedback", "Whether a switch tells that the brake is open.")),
    ];

    private static NumberField Loss(string key, int speedPct, int torquePct) => Number(
        key, $"Loss at {speedPct} % n, {torquePct} % T", 0, 2e7, "W",
        $"Measured loss at {speedPct} % of rated speed and {torquePct} % of rated torque, IEC 60034-2-3; all seven or none.", above: true);
}
