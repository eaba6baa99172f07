using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What a simulated drive point is in truth: its specification with tolerances, and what is wrong with it.</summary>
internal sealed record HiddenTruth
{
    private const double CopperK = 235;

    /// <summary>Resistance of each lead's winding, equivalent star as linked, 20 °C, Ω; 0 where it is not known.</summary>
    public required IReadOnlyList<double> WindingOhm { get; init; }

    /// <summary>Resistance of a joint in each lead, Ω.</summary>
    public required IReadOnlyList<double> JointOhm { get; init; }

    /// <summary>Cable, a phase, Ω.</summary>
    public required double CableOhm { get; init; }

    /// <summary>Leakage of stator and rotor, per unit; null where it is not known.</summary>
    public required double? LeakagePu { get; init; }

    /// <summary>Current over that of the model, no load.</summary>
    public required double NoLoadFactor { get; init; }

    /// <summary>Current over that of the model, loaded.</summary>
    public required double CurrentFactor { get; init; }

    /// <summary>Losses over those of the model.</summary>
    public required double LossFactor { get; init; }

    /// <summary>Slip over that of the model.</summary>
    public required double SlipFactor { get; init; }

    /// <summary>Inertia of motor and machine, kg·m²; null where it is not known.</summary>
    public required double? InertiaKgM2 { get; init; }

    /// <summary>Friction of the motor alone, Nm.</summary>
    public required double FrictionNm { get; init; }

    /// <summary>Torque of the machine over that of the model.</summary>
    public required double LoadFactor { get; init; }

    /// <summary>Voltage of magnets over that of the plate.</summary>
    public required double EmfFactor { get; init; }

    /// <summary>Times of the brake over those entered.</summary>
    public required double BrakeFactor { get; init; }

    /// <summary>Air, °C.</summary>
    public required double AmbientC { get; init; }

    /// <summary>Insulation at 40 °C, MΩ.</summary>
    public required double Insulation40Megohm { get; init; }

    /// <summary>Polarisation index.</summary>
    public required double PolarisationIndex { get; init; }

    /// <summary>Voltages between the lines of the supply, parts of the nominal.</summary>
    public required IReadOnlyList<double> SupplyPu { get; init; }

    /// <summary>Protective connection, Ω.</summary>
    public required double EarthOhm { get; init; }

    /// <summary>Cable as laid, m; null where no length is specified.</summary>
    public required double? CableM { get; init; }

    /// <summary>Speed of a resonance, rpm.</summary>
    public required double ResonanceRpm { get; init; }

    /// <summary>Vibration at rated speed away from it, mm/s.</summary>
    public required double VibrationMmPerS { get; init; }

    /// <summary>Time constant of winding and frame, s.</summary>
    public required double HeatTimeS { get; init; }

    /// <summary>Line current over that of the study, by order of the list 5, 7, 11, 13.</summary>
    public required IReadOnlyList<double> OrderFactor { get; init; }

    /// <summary>Voltage at the winding over that with the link of the specification.</summary>
    public required double LinkVoltagePu { get; init; }

    /// <summary>Draws it.</summary>
    public static HiddenTruth Of(StepSource source, StandInSettings settings)
    {
        ArgumentNullException.ThrowIfNull(source);
        ArgumentNullException.ThrowIfNull(settings);
        var draw = new SeededNumbers(settings.Seed, source.Point.Id);
        var fitted = source.Model.Fitted;
        var plate = fitted?.Connected.Plate;
        var expected = fitted is null ? null : ExpectedMotor.Of(fitted.Connected, fitted.Losses);
        var isDelta = fitted?.Connected.IsDelta ?? false;
        var link = settings.Fault != HiddenFault.WrongLink ? 1 : isDelta ? 1 / Math.Sqrt(3) : Math.Sqrt(3);
        var ohm = (expected?.Stator20Ohm ?? PlainOhm(source)) * draw.Around(4) / (link * link);
        double[] windings = [ohm * draw.Around(0.3), ohm * draw.Around(0.3), ohm * draw.Around(0.3)];
        var cable = (source.Model.Cable?.Real ?? 0) * draw.Around(3);
        double[] joints = [0, 0, 0];
        var lead = draw.OneOf(3);
        if (settings.Fault == HiddenFault.Joint)
        {
            // Seen from the unit: twice lead and cable between two terminals, 12 % more by the joint.
            joints[lead] = 0.24 * (ohm + cable);
        }

        var load = source.Model.Load;
        Base.Given loadJ = load?.InertiaKgM2 ?? Base.Given.Unknown;
        var kw = (plate?.RatedPowerW ?? 1e3) / 1e3;
        var rpm = plate?.RatedSpeedRpm ?? 1500;
        var zones = source.Rules.Site.VibrationMmPerS.First(z => kw <= z.ToKw);
        var supply = source.Voltage is { } range ? draw.Between(range.LowestPct, range.HighestPct) / 100 : 1;
        return new()
        {
            WindingOhm = windings,
            JointOhm = joints,
            CableOhm = cable,
            LeakagePu = expected?.LeakagePu * draw.Around(12),
            NoLoadFactor = draw.Around(expected?.IsNoLoadMeasured == true ? 4 : 6),
            CurrentFactor = draw.Around(2.5),
            LossFactor = draw.Around(8),
            SlipFactor = draw.Around(8),
            InertiaKgM2 = loadJ.IsKnown && plate is not null ? (loadJ.Value * draw.Around(8)) + (plate.InertiaKgM2 * draw.Around(5)) : null,
            FrictionNm = (plate?.RatedTorqueNm ?? 1) * draw.Between(0.004, 0.012),
            LoadFactor = draw.Around(3),
            EmfFactor = draw.Around(2.5),
            BrakeFactor = draw.Around(10),
            AmbientC = Math.Min(source.Model.Input.Site.AmbientMaxC, draw.Between(16, 28)),
            Insulation40Megohm = Math.Pow(10, draw.Between(2, 3.3)),
            PolarisationIndex = draw.Between(2.2, 4),
            SupplyPu = Supply(draw, supply, settings.Fault == HiddenFault.PhaseMissing),
            EarthOhm = draw.Between(0.01, 0.06),
            CableM = source.Point.Cable.LengthM.IsKnown ? source.Point.Cable.LengthM.Value * draw.Around(1.5) : null,
            ResonanceRpm = rpm * (settings.Fault == HiddenFault.Resonance ? draw.Between(0.55, 0.85) : 1.9),
            VibrationMmPerS = zones.GoodMmPerS * draw.Between(0.5, 0.9),
            HeatTimeS = 60 * (15 + (8 * Math.Log(1 + kw))) * draw.Around(10),
            OrderFactor = [.. StandInInstruments.Orders.Select(h => draw.Around(4)
                * (settings.Fault == HiddenFault.BankNearOrder ? Resonant(h) : 1))],
            LinkVoltagePu = link,
        };
    }

    /// <summary>Resistance between two leads, seen from the unit's end of the cable, Ω.</summary>
    /// <param name="pair">0: U–V, 1: V–W, 2: W–U.</param>
    /// <param name="windingC">Temperature of the winding, °C.</param>
    public double BetweenOhm(int pair, double windingC)
    {
        var (a, b) = (pair, (pair + 1) % 3);
        return ((WindingOhm[a] + WindingOhm[b]) * (CopperK + windingC) / (CopperK + 20)) + JointOhm[a] + JointOhm[b] + (2 * CableOhm);
    }

    // Only a resistance of a plausible size, where no loss model of a cage tells it: a third of the losses at rated current.
    private static double PlainOhm(StepSource source) => source.Model.Fitted?.Connected.Plate is { } plate
        ? plate.RatedLossW / 3 / (3 * plate.RatedCurrentA * plate.RatedCurrentA)
        : 0;

    // L3's fuse is open: between L1 and L2 all is well, the rest is fed back through what is connected.
    private static IReadOnlyList<double> Supply(SeededNumbers draw, double pu, bool isMissing)
    {
        double[] all = [pu * draw.Around(0.4), pu * draw.Around(0.4), pu * draw.Around(0.4)];
        return isMissing ? [all[0], 0.52 * all[1], 0.5 * all[2]] : all;
    }

    // Amplification of a parallel resonance at order 5.5 with a quality of 8: 1/|1 − r² + j·r/Q|.
    private static double Resonant(int order)
    {
        const double At = 5.5, Quality = 8;
        var r = order / At;
        return 1 / Math.Sqrt(Math.Pow(1 - (r * r), 2) + Math.Pow(r / Quality, 2));
    }
}
