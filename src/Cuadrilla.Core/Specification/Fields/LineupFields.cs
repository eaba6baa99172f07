using Cuadrilla.Core.Cables;
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
            Words(nameof(Lineup.VariantName), "Name of the variant in force", 0, 60, "What the way on the board is called."),
            Words(nameof(Lineup.Reason), "Reason", 0, 300, "Why this way was adopted."),
            Words(nameof(Lineup.PlaceId), "Place", 0, 60, "Place of the plan where the lineup stands.")),
        For<LineupVariant>(
            Words(nameof(LineupVariant.Id), "Variant key", 1, 60, "Stable key of the way."),
            Words(nameof(LineupVariant.Name), "Variant name", 1, 60, "What people call this way.")),
        For<DrivePoint>(
            Words(nameof(DrivePoint.Id), "Drive point key", 1, 60, "Stable key of the drive point."),
            Words(nameof(DrivePoint.Tag), "Tag", 1, 20, "Short name on drawings, for example DP-01."),
            Words(nameof(DrivePoint.Name), "Name", 1, 80, "What people call the machine.")),
        For<AssumedValue>(
            Words(nameof(AssumedValue.Key), "Assumed entry", 1, 60, "Key of the usual value that was taken."),
            Number(nameof(AssumedValue.Value), "Assumed value", -1e9, 1e9, string.Empty, "The value that "
                + "was taken, in the unit of its entry.")),
        For<Feeder.ByCable>(
            Number(nameof(Feeder.ByCable.LengthM), "Length", 0, 2000, "m", "From the busbar to the converter."),
            Number(nameof(Feeder.ByCable.CrossSectionMm2), "Cross-section", 0.5, 630, "mm²", "Cross-section of a conductor of the feeder."),
            Number(nameof(Feeder.ByCable.ProtectiveMm2), "Protective conductor", 0.5, 630, "mm²",
                "Cross-section of the feeder’s protective conductor.", open: "by rule"),
            Words(nameof(Feeder.ByCable.Reason), "Reason for this section", 0, 300, "Why this section where it is not the proposed one."),
            Number(nameof(Feeder.ByCable.ParallelRuns), "Cables in parallel", 1, 12, string.Empty, "Equal feeder cables side by side."),
            Choice(nameof(Feeder.ByCable.Material), "Conductor", "Metal of the feeder’s conductors.", (ConductorMaterial.Copper, "copper"),
                (ConductorMaterial.Aluminium, "aluminium"))),
        For<MotorCable>(
            Number(nameof(MotorCable.LengthM), "Length", 0, 2000, "m", "From the converter to the motor."),
            Number(nameof(MotorCable.CrossSectionMm2), "Cross-section", 0.5, 630, "mm²",
                "Cross-section of a conductor of the motor cable."),
            Number(nameof(MotorCable.ProtectiveMm2), "Protective conductor", 0.5, 630, "mm²",
                "Cross-section of the motor cable’s protective conductor.", open: "by rule"),
            Words(nameof(MotorCable.Reason), "Reason for this section", 0, 300, "Why this section where it is not the proposed one."),
            Number(nameof(MotorCable.ParallelRuns), "Cables in parallel", 1, 12, string.Empty, "Equal motor cables side by side."),
            Choice(nameof(MotorCable.Material), "Conductor", "Metal of the motor cable’s conductors.", (ConductorMaterial.Copper, "copper"),
                (ConductorMaterial.Aluminium, "aluminium")),
            Switch(nameof(MotorCable.Screened), "Screened", "Whether the motor cable has a screen, bonded at both ends.")),
        For<SkipBand>(
            Number(nameof(SkipBand.FromRpm), "Lower edge", 0, 30_000, "rpm",
                "Lower edge of speeds that are not held, at the motor's shaft."),
            Number(nameof(SkipBand.ToRpm), "Upper edge", 0, 30_000, "rpm", "Upper edge, above the lower one.")),
        For<CommonDcBus>(
            Words(nameof(CommonDcBus.Id), "DC bus key", 1, 60, "Stable key of the DC bus."),
            Words(nameof(CommonDcBus.Name), "Name", 1, 80, "What people call the DC bus."),
            Number(nameof(CommonDcBus.ResistorOhm), "Brake resistor", 0.1, 2000, "Ω", "Resistor at the bus's chopper; open: none.",
                open: "none"),
            Number(nameof(CommonDcBus.ResistorContinuousKw), "Its continuous power", 0.01, 1000, "kW",
                "Power that the resistor burns for ever."),
            Number(nameof(CommonDcBus.BusbarA), "Busbar", 1, 10_000, "A", "Rated current of the DC busbar."),
            Number(nameof(CommonDcBus.StopTimeS), "Common stopping time", 0.05, 600, "s",
                "Time in which all members are to stop together; open: not asked.", open: "not asked"),
            InterferenceFields.FilterOf(nameof(CommonDcBus.EmcFilter)),
            InterferenceFields.LinksOf(nameof(CommonDcBus.LinksOpen)),
            Words(nameof(CommonDcBus.Reason), "Reason", 0, 300, "Why this arrangement.")),
        For<ServoControl.Modular>(
            Number(nameof(ServoControl.Modular.LargestAxes), "Maximum number of axes", 1, 64, string.Empty,
                "Axes that the control unit computes."),
            Number(nameof(ServoControl.Modular.Supply24A), "24 V supply, rated current", 0.1, 200, "A",
                "Rated current of the 24 V supply."),
            Number(nameof(ServoControl.Modular.ControlUnit24A), "24 V current, control unit", 0, 50, "A",
                "Current of the control unit at 24 V."),
            Number(nameof(ServoControl.Modular.SupplyModule24A), "24 V current, supply module", 0, 50, "A",
                "Current of the supply module's electronics at 24 V."),
            Number(nameof(ServoControl.Modular.AxisModule24A), "24 V current, axis module", 0, 50, "A",
                "Current of each axis module with its encoder at 24 V."),
            Number(nameof(ServoControl.Modular.LargestCapacitanceUf), "Maximum DC-link capacitance", 1, 1e7, "µF",
                "Largest capacitance on the link; open: the supply module's own limit.", open: "supply decides"),
            Number(nameof(ServoControl.Modular.LargestCableM), "Maximum cable length", 1, 100_000, "m",
                "Largest sum of all motor cables behind the supply module."),
            Words(nameof(ServoControl.Modular.FirmwareNote), "Memory card", 0, 300, "Parameters and firmware of the memory card."),
            Switch(nameof(ServoControl.Modular.Apart), "In a low-voltage cabinet",
                "Whether control and axis modules stand in a cabinet without power parts."),
            Switch(nameof(ServoControl.Modular.BrakesOn24V), "Brakes on the 24 V supply",
                "Whether the holding brakes take their power from the same 24 V supply.")),
        For<Arrangement>(
            Words(nameof(Arrangement.Id), "Arrangement key", 1, 60, "Stable key of the arrangement."),
            Words(nameof(Arrangement.Name), "Name", 1, 80, "What people call the arrangement."),
            Words(nameof(Arrangement.Reason), "Reason", 0, 300, "Why this arrangement.")),
        For<MotorGroup>(Number(nameof(MotorGroup.SimultaneityPct), "Simultaneity", 1, 100, "%",
            "Share of the rated currents that flows at once; open: all.", open: "all at once")),
        For<GroupMember>(Number(nameof(GroupMember.Count), "Number of motors", 1, 200, string.Empty,
            "How many motors of this kind hang on the converter."),
            Choice(nameof(GroupMember.Protection), "Overload protection", "What protects each motor of this kind.",
                (MotorProtection.OverloadRelay, "overload relay"), (MotorProtection.Thermistor, "thermistors"),
                (MotorProtection.None, "none of its own")),
            Trips(nameof(GroupMember.Trip)),
            Switch(nameof(GroupMember.BranchFuse), "Branch fused or rated",
                "Whether the branch is fused, or its cable stands the converter’s trip."),
            Switch(nameof(GroupMember.SwitchedLate), "Switched on while others run",
                "Whether a motor of this kind is started on the running converter.")),
        For<SharedShaft>(Number(nameof(SharedShaft.RunOnS), "Run-on time, one lost", 0.1, 86_400, "s",
            "How long the rest is to carry the load when one unit is lost; open: for ever.", open: "for ever")),
        For<ShaftUnit>(
            Number(nameof(ShaftUnit.DroopPct), "Droop", 0, 30, "%", "Fall of its speed from no load to rated torque.", above: true),
            Number(nameof(ShaftUnit.SpeedErrorPct), "Speed reference error", -10, 10, "%",
                "By how much its speed reference or measurement is off.")),
        For<SharingMethod.TorqueFollower>(
            Number(nameof(SharingMethod.TorqueFollower.AccuracyPct), "Torque accuracy", 0, 50, "%",
                "By how much a follower's torque may be off, of rated."),
            Number(nameof(SharingMethod.TorqueFollower.SpeedWindowPct), "Speed window", 0.1, 50, "%",
                "Speed off the reference at which a follower keeps its own speed.")),
        For<SharingMethod.SpeedTrim>(
            Number(nameof(SharingMethod.SpeedTrim.TrimPct), "Maximum trim", 0.1, 20, "%", "Largest trim of a follower's speed."),
            Number(nameof(SharingMethod.SpeedTrim.TorqueLimitPct), "Torque limit", 10, 300, "%",
                "Limit of a follower's torque, of rated.")),
        For<ShaftCoupling.Elastic>(
            Number(nameof(ShaftCoupling.Elastic.StiffnessNmPerRad), "Stiffness, each", 0.1, 1e7, "Nm/rad",
                "Stiffness between each unit and the load, at the motor's shaft."),
            Number(nameof(ShaftCoupling.Elastic.DampingNmSPerRad), "Damping, each", 0, 1e5, "Nm·s/rad",
                "Damping between each unit and the load, at the motor's shaft.")),
        For<RatioFollower>(
            Number(nameof(RatioFollower.WantedRatio), "Wanted ratio", 0, 1e6, string.Empty,
                "Units of the follower for each unit of the leader.", above: true),
            Number(nameof(RatioFollower.ImpliedDecimals), "Implied decimals", 0, 6, string.Empty,
                "Decimals of the setting that the follower's display does not show."),
            Number(nameof(RatioFollower.LargestSetting), "Maximum setting", 1, 1e9, string.Empty, "Largest number that the display takes."),
            Number(nameof(RatioFollower.InputLimitHz), "Maximum pulse frequency", 1, 1e7, "Hz",
                "Largest pulse frequency that the input counts."),
            Number(nameof(RatioFollower.SampleTimeS), "Sampling time", 0, 60, "s", "Time over which pulses are counted.", above: true),
            Number(nameof(RatioFollower.LeaderRampS), "Leader’s ramp", 0.01, 3600, "s",
                "Time of the leader from rest to its maximum speed."),
            Number(nameof(RatioFollower.FollowerRampS), "Follower’s ramp", 0.01, 3600, "s",
                "Shortest time of the follower from rest to its maximum speed.")),
        For<RatioAxis>(
            Number(nameof(RatioAxis.PulsesPerTurn), "Pulses per revolution", 0, 1e6, string.Empty, "Pulses of a turn of the motor.",
                above: true),
            Number(nameof(RatioAxis.GearRatio), "Gear ratio", 0.001, 10_000, string.Empty, "Turns of the motor for a turn of the machine."),
            Number(nameof(RatioAxis.UnitsPerMachineTurn), "Travel or displacement per revolution", 0, 1e6, string.Empty,
                "What a turn of the machine moves, in the stated unit.", above: true),
            Words(nameof(RatioAxis.Unit), "Unit", 0, 12, "Unit of what it moves: m, L, pieces."),
            Number(nameof(RatioAxis.LeastRpm), "Minimum speed", 0, 30_000, "rpm", "Minimum speed of the motor in use."),
            Number(nameof(RatioAxis.LargestRpm), "Maximum speed", 0, 30_000, "rpm", "Maximum speed of the motor in use, above the least.",
                above: true)),
    ];
}
