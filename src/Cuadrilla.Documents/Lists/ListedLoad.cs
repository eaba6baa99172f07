using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Documents.Lists;

/// <summary>What a row of a list says of a load.</summary>
/// <param name="Kind">Kind of load.</param>
/// <param name="ShaftKw">Shaft power.</param>
/// <param name="Rpm">Speed of the machine.</param>
/// <param name="MotorRpm">Speed of the motor, as far as its poles say it.</param>
/// <param name="Gear">Gear ratio.</param>
/// <param name="FlowM3PerS">Flow.</param>
/// <param name="HeadM">Head.</param>
/// <param name="PressurePa">Pressure.</param>
/// <param name="StaticHeadM">Static head.</param>
/// <param name="Efficiency">Efficiency of the machine.</param>
/// <param name="TorqueNm">Torque at the machine.</param>
/// <param name="Hours">Hours of a year at the rated point.</param>
internal sealed record ListedLoad(
    string Kind, Given ShaftKw, Given Rpm, double MotorRpm, Given Gear, Given FlowM3PerS, Given HeadM, Given PressurePa, Given StaticHeadM,
    Given Efficiency, Given TorqueNm, Given Hours)
{
    // Values to start from where a list has none: each is named with its row and stands in the entries.
    private const double FanStatic = 0.1;
    private const double PumpStatic = 0.3;
    private const double ShutOff = 1.25;
    private const double StartS = 10;
    private const double Breakaway = 150;
    private const double GearEfficiency = 0.95;
    private const double LeastSpeed = 0.5;

    /// <summary>The load; one of the same kind keeps what the list does not say.</summary>
    /// <param name="before">The load that stands.</param>
    /// <param name="assumed">What had to be assumed, in words.</param>
    public Load On(Load before, List<string> assumed)
    {
        ArgumentNullException.ThrowIfNull(assumed);
        return Kind switch
        {
            "fan" => before is FanLoad fan
                ? fan with { Common = Fluid(fan.Common), RatedPressurePa = Or(PressurePa, fan.RatedPressurePa) }
                : new FanLoad(NewFluid(FanStatic, "10 %", assumed), PressurePa),
            "pump" => before is PumpLoad pump
                ? pump with { Common = Fluid(pump.Common), RatedHeadM = Or(HeadM, pump.RatedHeadM),
                    StaticHeadM = Or(StaticHeadM, pump.StaticHeadM) }
                : new PumpLoad(NewFluid(StaticHeadM.IsKnown ? 0 : PumpStatic, StaticHeadM.IsKnown ? string.Empty : "30 %", assumed), HeadM,
                    1000) { StaticHeadM = HeadM.IsKnown ? StaticHeadM : Given.Unknown },
            "constant-torque" => before is ConstantTorqueLoad torque
                ? torque with { TorqueNm = Or(Torque(), torque.TorqueNm), RatedSpeedRpm = Or(Rpm, torque.RatedSpeedRpm),
                    Train = Train(torque.Train), Duty = Hours.IsKnown ? Year() : torque.Duty }
                : new ConstantTorqueLoad(NewTrain(assumed), Year(), Torque(), MachineRpm(assumed), Breakaway, LeastSpeed),
            "high-inertia" => before is HighInertiaLoad heavy
                ? heavy with { RunningTorqueNm = Or(Torque(), heavy.RunningTorqueNm), RatedSpeedRpm = Or(Rpm, heavy.RatedSpeedRpm),
                    Train = Train(heavy.Train), Duty = Hours.IsKnown ? Year() : heavy.Duty }
                : new HighInertiaLoad(NewTrain(assumed), Year(), Torque(), MachineRpm(assumed), Breakaway),
            _ => before.InWords() == Empty().InWords() ? before : Empty(),
        };
    }

    // Kinds whose numbers a list does not have: the kind is taken, its entries stay open.
    private Load Empty()
    {
        var train = new DriveTrain(Gear, GearEfficiency, Given.Unknown, Given.Unknown);
        return Kind switch
        {
            "hoist" => new HoistLoad(train, Year(), Given.Unknown, Given.Unknown, 0, 90, Given.Unknown, Given.Unknown, Given.Unknown, 1,
                Given.Unknown, Given.Unknown),
            "winder" => new WinderLoad(train, Year(), false, Given.Unknown, Given.Unknown, 0, Given.Unknown, Given.Unknown, Given.Unknown,
                Given.Unknown, 0),
            "roller-group" => new RollerGroupLoad(train, Year(), Given.Unknown, Given.Unknown, 100, Rpm, Breakaway),
            "servo-axis" => new ServoAxisLoad(train, Year(), MoveShape.Trapezoid, Given.Unknown, Given.Unknown, Given.Unknown,
                Given.Unknown, Given.Unknown, 0, 0),
            "dosing-pump" => new DosingPumpLoad(train, Year(), Given.Unknown, Given.Unknown, Given.Unknown, Rpm, Breakaway),
            "conveyor" => new ConveyorLoad(train, Year(), Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
                Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Breakaway),
            "profile" => new ProfileLoad(train, Year(), []),
            _ => new UnspecifiedLoad(),
        };
    }

    private FluidMachine Fluid(FluidMachine common) => common with
    {
        RatedFlowM3PerS = Or(FlowM3PerS, common.RatedFlowM3PerS),
        RatedEfficiency = Or(Efficiency, common.RatedEfficiency),
        RatedSpeedRpm = Or(Rpm, common.RatedSpeedRpm),
        RatedShaftKw = Or(ShaftKw, common.RatedShaftKw),
        Duty = Hours.IsKnown ? Year() : common.Duty,
    };

    private FluidMachine NewFluid(double staticFraction, string said, List<string> assumed)
    {
        if (said.Length > 0)
        {
            assumed.Add($"static share {said}");
        }

        assumed.Add("125 % pressure or head at no flow");
        assumed.Add($"{Text.N(StartS)} s to start");
        if (Kind == "pump")
        {
            assumed.Add("water, 1000 kg/m³");
        }

        return new FluidMachine(
            FlowM3PerS, Efficiency, MachineRpm(assumed), staticFraction, ShutOff, Given.Unknown, StartS, Year(), PresentControl.NotStated,
            new ParallelPath.Own(), []) { RatedShaftKw = ShaftKw };
    }

    private Given MachineRpm(List<string> assumed)
    {
        if (Rpm.IsKnown)
        {
            return Rpm;
        }

        assumed.Add($"the motor's speed, {Text.N(MotorRpm)} rpm");
        return Given.Of(Math.Round(MotorRpm / (Gear.IsKnown ? Gear.Value : 1), 2));
    }

    private Given Torque()
    {
        var rpm = Rpm.IsKnown ? Rpm.Value : MotorRpm / (Gear.IsKnown ? Gear.Value : 1);
        return TorqueNm.IsKnown
            ? TorqueNm
            : ShaftKw.IsKnown ? Given.Of(Math.Round(ShaftKw.Value * 1e3 / (2 * Math.PI * rpm / 60), 3)) : Given.Unknown;
    }

    private DriveTrain Train(DriveTrain train) => train with { GearRatio = Or(Gear, train.GearRatio) };

    private DriveTrain NewTrain(List<string> assumed)
    {
        assumed.Add($"breakaway {Text.N(Breakaway)} %, {Text.N(StartS)} s to start");
        if (Kind == "constant-torque")
        {
            assumed.Add($"never slower than {Text.N(100 * LeastSpeed)} % for long");
        }

        // A machine far slower than its motor has a gear between.
        var between = Rpm.IsKnown && Rpm.Value > 0 ? MotorRpm / Rpm.Value : 1;
        if (!Gear.IsKnown && between > 1.3)
        {
            assumed.Add($"gear {Text.N(between, 3)} : 1, {Text.N(100 * GearEfficiency)} %");
        }

        var ratio = Gear.IsKnown ? Gear.Value : between > 1.3 ? Math.Round(between, 2) : 1;
        return new DriveTrain(ratio, Math.Abs(ratio - 1) < 1e-9 ? 1 : GearEfficiency, Given.Unknown, StartS);
    }

    private ValueList<DutyPoint> Year() => Hours.IsKnown ? [new DutyPoint(1, Hours.Value)] : [];

    private static Given Or(Given said, Given before) => said.IsKnown ? said : before;
}
