using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of lineups, drive points, common DC buses and arrangements.</summary>
internal static class LineupFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<Lineup>(
            Words(nameof(Lineup.Id), "Lineup key", 1, 60, "Stable key of the lineup."),
            Words(nameof(Lineup.Tag), "Tag", 1, 20, "Short name on drawings, for example L1."),
            Words(nameof(Lineup.Name), "Name", 1, 80, "What people call the lineup."),
            Words(nameof(Lineup.VariantName), "Name of the way in force", 0, 60, "What the way on the board is called."),
            Words(nameof(Lineup.Reason), "Reason", 0, 300, "Why this way was adopted.")),
        For<LineupVariant>(
            Words(nameof(LineupVariant.Id), "Key of the way set aside", 1, 60, "Stable key of the way."),
            Words(nameof(LineupVariant.Name), "Name of the way set aside", 1, 60, "What people call this way.")),
        For<DrivePoint>(
            Words(nameof(DrivePoint.Id), "Drive point key", 1, 60, "Stable key of the drive point."),
            Words(nameof(DrivePoint.Tag), "Tag", 1, 20, "Short name on drawings, for example DP-01."),
            Words(nameof(DrivePoint.Name), "Name", 1, 80, "What people call the machine.")),
        For<Feeder.ByCable>(
            Number(nameof(Feeder.ByCable.LengthM), "Length", 0, 2000, "m", "From the busbar to the converter."),
            Number(nameof(Feeder.ByCable.CrossSectionMm2), "Cross-section", 0.5, 630, "mm²", "Cross-section of a conductor of the feeder."),
            Number(nameof(Feeder.ByCable.ParallelRuns), "Cables in parallel", 1, 12, string.Empty, "Equal feeder cables side by side.")),
        For<MotorCable>(
            Number(nameof(MotorCable.LengthM), "Length", 0, 2000, "m", "From the converter to the motor."),
            Number(nameof(MotorCable.CrossSectionMm2), "Cross-section", 0.5, 630, "mm²", "Cross-section of a conductor of the motor cable."),
            Number(nameof(MotorCable.ParallelRuns), "Cables in parallel", 1, 12, string.Empty, "Equal motor cables side by side.")),
        For<SkipBand>(
            Number(nameof(SkipBand.FromRpm), "Lower edge", 0, 30_000, "rpm", "Lower edge of speeds that are not held, at the motor's shaft."),
            Number(nameof(SkipBand.ToRpm), "Upper edge", 0, 30_000, "rpm", "Upper edge, above the lower one.")),
        For<CommonDcBus>(
            Words(nameof(CommonDcBus.Id), "DC bus key", 1, 60, "Stable key of the DC bus."),
            Words(nameof(CommonDcBus.Name), "Name", 1, 80, "What people call the DC bus."),
            Number(nameof(CommonDcBus.ResistorOhm), "Brake resistor", 0.1, 2000, "Ω", "Resistor at the bus's chopper; open: none.", open: "none"),
            Number(nameof(CommonDcBus.ResistorContinuousKw), "Its continuous power", 0.01, 1000, "kW", "Power that the resistor burns for ever."),
            Number(nameof(CommonDcBus.BusbarA), "Busbar", 1, 10_000, "A", "Rated current of the DC busbar."),
            Number(nameof(CommonDcBus.StopTimeS), "Common stop in", 0.05, 600, "s", "Time in which all members are to stop together; open: not asked.", open: "not asked"),
            Words(nameof(CommonDcBus.Reason), "Reason", 0, 300, "Why this arrangement.")),
        For<ServoControl.Modular>(
            Number(nameof(ServoControl.Modular.LargestAxes), "Axes it computes", 1, 64, string.Empty, "Axes that the control unit computes."),
            Number(nameof(ServoControl.Modular.Supply24A), "24 V supply", 0.1, 200, "A", "Rated current of the 24 V supply."),
            Number(nameof(ServoControl.Modular.ControlUnit24A), "Control unit takes", 0, 50, "A", "Current of the control unit at 24 V."),
            Number(nameof(ServoControl.Modular.SupplyModule24A), "Supply module takes", 0, 50, "A", "Current of the supply module's electronics at 24 V."),
            Number(nameof(ServoControl.Modular.AxisModule24A), "Each axis takes", 0, 50, "A", "Current of each axis module with its encoder at 24 V."),
            Number(nameof(ServoControl.Modular.LargestCapacitanceUf), "Link up to", 1, 1e7, "µF", "Largest capacitance on the link; open: the supply module's own limit.", open: "supply decides"),
            Number(nameof(ServoControl.Modular.LargestCableM), "Cables up to", 1, 100_000, "m", "Largest sum of all motor cables behind the supply module."),
            Words(nameof(ServoControl.Modular.FirmwareNote), "Memory card", 0, 300, "Parameters and firmware of the memory card.")),
        For<Arrangement>(
            Words(nameof(Arrangement.Id), "Arrangement key", 1, 60, "Stable key of the arrangement."),
            Words(nameof(Arrangement.Name), "Name", 1, 80, "What people call the arrangement."),
            Words(nameof(Arrangement.Reason), "Reason", 0, 300, "Why this arrangement.")),
        For<MotorGroup>(Number(nameof(MotorGroup.SimultaneityPct), "Simultaneity", 1, 100, "%", "Share of the rated currents that flows at once; open: all.", open: "all at once")),
        For<GroupMember>(Number(nameof(GroupMember.Count), "Motors alike", 1, 200, string.Empty, "How many motors of this kind hang on the converter.")),
        For<SharedShaft>(Number(nameof(SharedShaft.RunOnS), "Runs on, one lost", 0.1, 86_400, "s", "How long the rest is to carry the load when one unit is lost; open: for ever.", open: "for ever")),
        For<ShaftUnit>(
            Number(nameof(ShaftUnit.DroopPct), "Droop", 0, 30, "%", "Fall of its speed from no load to rated torque.", above: true),
            Number(nameof(ShaftUnit.SpeedErrorPct), "Error of speed reference", -10, 10, "%", "By how much its speed reference or measurement is off.")),
        For<SharingMethod.TorqueFollower>(
            Number(nameof(SharingMethod.TorqueFollower.AccuracyPct), "Torque accuracy", 0, 50, "%", "By how much a follower's torque may be off, of rated."),
            Number(nameof(SharingMethod.TorqueFollower.SpeedWindowPct), "Speed window", 0.1, 50, "%", "Speed off the reference at which a follower keeps its own speed.")),
        For<SharingMethod.SpeedTrim>(
            Number(nameof(SharingMethod.SpeedTrim.TrimPct), "Largest trim", 0.1, 20, "%", "Largest trim of a follower's speed."),
            Number(nameof(SharingMethod.SpeedTrim.TorqueLimitPct), "Torque limit", 10, 300, "%", "Limit of a follower's torque, of rated.")),
        For<ShaftCoupling.Elastic>(
            Number(nameof(ShaftCoupling.Elastic.StiffnessNmPerRad), "Stiffness, each", 0.1, 1e7, "Nm/rad", "Stiffness between each unit and the load, at the motor's shaft."),
            Number(nameof(ShaftCoupling.Elastic.DampingNmSPerRad), "Damping, each", 0, 1e5, "Nm·s/rad", "Damping between each unit and the load, at the motor's shaft.")),
        For<RatioFollower>(
            Number(nameof(RatioFollower.WantedRatio), "Wanted ratio", 0, 1e6, string.Empty, "Units of the follower for each unit of the leader.", above: true),
            Number(nameof(RatioFollower.ImpliedDecimals), "Decimals not shown", 0, 6, string.Empty, "Decimals of the setting that the follower's display does not show."),
            Number(nameof(RatioFollower.LargestSetting), "Largest setting", 1, 1e9, string.Empty, "Largest number that the display takes."),
            Number(nameof(RatioFollower.InputLimitHz), "Pulse input up to", 1, 1e7, "Hz", "Largest pulse frequency that the input counts."),
            Number(nameof(RatioFollower.SampleTimeS), "Sampling time", 0, 60, "s", "Time over which pulses are counted.", above: true),
            Number(nameof(RatioFollower.LeaderRampS), "Leader’s ramp", 0.01, 3600, "s", "Time of the leader from rest to its largest speed."),
            Number(nameof(RatioFollower.FollowerRampS), "Follower’s ramp", 0.01, 3600, "s", "Shortest time of the follower from rest to its largest speed.")),
        For<RatioAxis>(
            Number(nameof(RatioAxis.PulsesPerTurn), "Pulses a turn", 0, 1e6, string.Empty, "Pulses of a turn of the motor.", above: true),
            Number(nameof(RatioAxis.GearRatio), "Gear ratio", 0.001, 10_000, string.Empty, "Turns of the motor for a turn of the machine."),
            Number(nameof(RatioAxis.UnitsPerMachineTurn), "Way or volume of a turn", 0, 1e6, string.Empty, "What a turn of the machine moves, in the stated unit.", above: true),
            Words(nameof(RatioAxis.Unit), "Unit", 0, 12, "Unit of what it moves: m, L, pieces."),
            Number(nameof(RatioAxis.LeastRpm), "Least speed", 0, 30_000, "rpm", "Least speed of the motor in use."),
            Number(nameof(RatioAxis.LargestRpm), "Largest speed", 0, 30_000, "rpm", "Largest speed of the motor in use, above the least.", above: true)),
    ];
}
