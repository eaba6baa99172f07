using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Motors;

/// <summary>A real motor of the project, from its data plate or a list. What a plate does not say may stay open.</summary>
/// <param name="Id">Stable key, unique in the project and not one of the catalogue's.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Technology">Kind of motor.</param>
/// <param name="EfficiencyClass">IE class as printed, or a dash.</param>
/// <param name="RatedPowerKw">Shaft power, kW.</param>
/// <param name="RatedVoltageV">Voltage to which the current belongs, V; of a DC motor the armature's.</param>
/// <param name="DeltaVoltageV">Voltage in delta when the plate has two, V.</param>
/// <param name="RatedFrequencyHz">Frequency, Hz; not used for DC.</param>
/// <param name="RatedSpeedRpm">Speed, rpm.</param>
/// <param name="RatedCurrentA">Current at the rated voltage, A.</param>
/// <param name="EfficiencyPct">Efficiency, %.</param>
/// <param name="PowerFactor">Power factor; checked against the rest of the plate, which decides.</param>
/// <param name="Poles">Number of poles.</param>
/// <param name="BreakdownTorquePu">Breakdown over rated torque.</param>
/// <param name="NoLoadCurrentA">Measured no-load current at rated voltage, A; replaces the estimate.</param>
/// <param name="LockedRotorCurrentPu">Locked-rotor current over rated current.</param>
/// <param name="LockedRotorTorquePu">Locked-rotor torque over rated torque.</param>
/// <param name="HalfLoadPowerFactor">Measured power factor at half of the rated torque across the line; replaces the estimate where no
/// no-load current is given.</param>
/// <param name="BackEmfVPerKrpm">Voltage of the magnets, V line to line at 1000 rpm.</param>
/// <param name="InertiaKgM2">Rotor inertia, kg·m².</param>
/// <param name="MaxSpeedRpm">Mechanical limit, rpm.</param>
/// <param name="ShaftHeightMm">Shaft height, mm.</param>
/// <param name="LengthMm">Length, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="PriceIndex">Price in index points; 0 for one that is there already.</param>
/// <param name="LossN90T100W">Loss on a converter at 90 % speed and 100 % torque (IEC 60034-2-3), W; all seven or none.</param>
/// <param name="LossN50T100W">At 50 % speed, 100 % torque.</param>
/// <param name="LossN25T100W">At 25 % speed, 100 % torque.</param>
/// <param name="LossN90T50W">At 90 % speed, 50 % torque.</param>
/// <param name="LossN50T50W">At 50 % speed, 50 % torque.</param>
/// <param name="LossN50T25W">At 50 % speed, 25 % torque.</param>
/// <param name="LossN25T25W">At 25 % speed, 25 % torque.</param>
public sealed record OwnMotor(
    string Id,
    string Name,
    MotorTechnology Technology,
    string EfficiencyClass,
    double RatedPowerKw,
    double RatedVoltageV,
    Given DeltaVoltageV,
    double RatedFrequencyHz,
    double RatedSpeedRpm,
    double RatedCurrentA,
    double EfficiencyPct,
    double PowerFactor,
    int Poles,
    Given BreakdownTorquePu,
    Given NoLoadCurrentA,
    Given LockedRotorCurrentPu,
    Given LockedRotorTorquePu,
    Given HalfLoadPowerFactor,
    Given BackEmfVPerKrpm,
    Given InertiaKgM2,
    Given MaxSpeedRpm,
    Given ShaftHeightMm,
    Given LengthMm,
    Given MassKg,
    Given PriceIndex,
    Given LossN90T100W,
    Given LossN50T100W,
    Given LossN25T100W,
    Given LossN90T50W,
    Given LossN50T50W,
    Given LossN50T25W,
    Given LossN25T25W)
{
    /// <summary>Temperature rise at the rated point on a sinusoidal supply, K.</summary>
    public Given RatedRiseK { get; init; }

    /// <summary>Time the warm rotor stands locked at full voltage, s.</summary>
    public Given StallTimeS { get; init; }

    /// <summary>Starts per hour it stands.</summary>
    public Given StartsPerHour { get; init; }

    /// <summary>Peak voltage between phases the winding stands, V.</summary>
    public Given WithstandV { get; init; }

    /// <summary>True when its maker states it for a converter supply.</summary>
    public bool ForConverter { get; init; }

    /// <summary>Explosion protection.</summary>
    public ExplosionProtection Explosion { get; init; }

    /// <summary>True when its certificate states converter operation.</summary>
    public bool CertifiedForConverter { get; init; }

    /// <summary>Largest contradiction between power, voltage, current, efficiency and power factor that a rounded plate may show.</summary>
    public const double PlateTolerancePu = 0.05;

    /// <summary>
    /// Power factor that the rest of the plate implies, P/(√3·U·I·η); for DC 1. It decides, since plates round the printed one
    /// the most.
    /// </summary>
    public double ImpliedPowerFactor => Technology == MotorTechnology.DcSeparatelyExcited
        ? 1
        : RatedPowerKw * 1e3 / (Math.Sqrt(3) * RatedVoltageV * RatedCurrentA * EfficiencyPct / 100);

    /// <summary>The seven losses in the order of <see cref="SevenPointLosses.Points"/>.</summary>
    public IReadOnlyList<Given> SevenLosses() =>
        [LossN90T100W, LossN50T100W, LossN25T100W, LossN90T50W, LossN50T50W, LossN50T25W, LossN25T25W];

    /// <summary>Names of what was left open and is taken from the generic motor of the same kind next in size.</summary>
    public IReadOnlyList<string> Assumed()
    {
        var names = new List<string> { "division of the losses" };
        if (!NoLoadCurrentA.IsKnown && !HalfLoadPowerFactor.IsKnown && Technology == MotorTechnology.CageInduction)
        {
            names.Add("no-load current (estimated from the plate)");
        }

        void Open(Given value, string name)
        {
            if (!value.IsKnown)
            {
                names.Add(name);
            }
        }

        Open(BreakdownTorquePu, "breakdown torque");
        if (Technology == MotorTechnology.CageInduction)
        {
            Open(LockedRotorCurrentPu, "locked-rotor current");
            Open(LockedRotorTorquePu, "locked-rotor torque");
        }

        Open(InertiaKgM2, "inertia");
        Open(MaxSpeedRpm, "mechanical speed limit");
        Open(ShaftHeightMm, "shaft height");
        Open(LengthMm, "length");
        Open(MassKg, "mass");
        Open(PriceIndex, "price");
        if (Technology is MotorTechnology.PermanentMagnet or MotorTechnology.Servo)
        {
            Open(BackEmfVPerKrpm, "voltage of the magnets");
        }

        return names;
    }

    /// <summary>The motor as an item, with <see cref="Assumed"/> filled in from a generic motor of the same kind.</summary>
    /// <param name="generic">All generic motors.</param>
    public MotorItem Item(IEnumerable<MotorItem> generic)
    {
        var like = generic.Where(m => m.Technology == Technology)
            .OrderBy(m => IsNear(m) ? 0 : 1)
            .ThenBy(m => Math.Abs(Math.Log(m.Plate.RatedPowerW / (RatedPowerKw * 1e3))))
            .ThenBy(m => Math.Abs(m.Poles - Poles))
            .ThenBy(m => Math.Abs(m.Plate.Efficiency - (EfficiencyPct / 100)))
            .First();
        var magnetising = Technology == MotorTechnology.CageInduction
            ? 0
            : NoLoadCurrentA.IsKnown ? NoLoadCurrentA.Value / RatedCurrentA : like.Plate.MagnetisingPu;
        var plate = new MotorPlate
        {
            RatedPowerW = RatedPowerKw * 1e3,
            RatedVoltageV = RatedVoltageV,
            RatedFrequencyHz = RatedFrequencyHz,
            RatedSpeedRpm = RatedSpeedRpm,
            RatedCurrentA = RatedCurrentA,
            Efficiency = EfficiencyPct / 100,
            PowerFactor = Math.Min(1, ImpliedPowerFactor),
            Poles = Poles,
            BreakdownTorquePu = Or(BreakdownTorquePu, like.Plate.BreakdownTorquePu),
            InertiaKgM2 = Or(InertiaKgM2, like.Plate.InertiaKgM2),
            MaxSpeedRpm = Or(MaxSpeedRpm, Math.Max(like.Plate.MaxSpeedRpm, RatedSpeedRpm)),
            Split = like.Plate.Split,
            Technology = Technology,
            DeltaVoltageV = Or(DeltaVoltageV, 0),
            MagnetisingPu = magnetising,
            BackEmfVPerKrpm = Or(BackEmfVPerKrpm, like.Plate.BackEmfVPerKrpm),
            Measured = SevenLosses().All(l => l.IsKnown) ? new SevenPointLosses([.. SevenLosses().Select(l => l.Value)]) : null,
            LockedRotorCurrentPu = Or(LockedRotorCurrentPu, like.Plate.LockedRotorCurrentPu),
            LockedRotorTorquePu = Or(LockedRotorTorquePu, like.Plate.LockedRotorTorquePu),
            SaliencyPu = like.Plate.SaliencyPu,
            Limits = new MotorLimits
            {
                RatedRiseK = RatedRiseK,
                StallTimeS = StallTimeS,
                StartsPerHour = StartsPerHour,
                WithstandV = WithstandV,
                ForConverter = ForConverter,
                Explosion = Explosion,
                CertifiedForConverter = CertifiedForConverter,
            },
        };
        if (NoLoadCurrentA.IsKnown && Technology == MotorTechnology.CageInduction)
        {
            plate = plate with { MagnetisingPu = MagnetisingFit.OfNoLoad(plate, NoLoadCurrentA.Value) };
        }
        else if (HalfLoadPowerFactor.IsKnown)
        {
            plate = plate with { MagnetisingPu = MagnetisingFit.OfHalfLoad(plate, HalfLoadPowerFactor.Value) };
        }

        var height = ShaftHeightMm.IsKnown ? FormattableString.Invariant($"{ShaftHeightMm.Value:0}") : like.Frame;
        return new MotorItem(
            Id, "own", EfficiencyClass, Poles, height, Or(LengthMm, like.LengthMm), Or(MassKg, like.MassKg),
            Or(PriceIndex, like.PriceIndex), plate, Name);
    }

    // A generic motor for the same supply is nearer than one of the same power for another; a cage goes by its frequency too.
    private bool IsNear(MotorItem m) =>
        Math.Abs(Math.Log(m.Plate.RatedPowerW / (RatedPowerKw * 1e3))) < 0.5
            && Math.Abs(Math.Log(m.Plate.RatedVoltageV / RatedVoltageV)) < 0.13
        && (Technology != MotorTechnology.CageInduction || Math.Abs(m.Plate.RatedFrequencyHz - RatedFrequencyHz) < 1);

    private static double Or(Given value, double generic) => value.IsKnown ? value.Value : generic;
}
