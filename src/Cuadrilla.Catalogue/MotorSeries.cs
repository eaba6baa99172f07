using System.Globalization;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Catalogue;

/// <summary>
/// Builds the generic series. A cage motor's rated speed follows from the rotor's share of the losses (slip = rotor loss over
/// air-gap power), current from power, efficiency and power factor. See <c>docs/methods/catalogue.md</c>.
/// </summary>
internal static class MotorSeries
{
    private const string NoClass = "–";

    // Classes of motors for converters alone go by the 50 Hz table at any voltage.
    private const string SynchronousClasses = "IEC";

    public static IEnumerable<MotorItem> Build(MotorSeriesFile file) =>
        from supply in file.Supplies
        from size in file.Sizes[supply.Sizes]
        where size.Kw >= supply.FromKw - 1e-9 && size.Kw <= supply.ToKw
        from item in Cage(file, supply, size).Concat(Synchronous(file, supply, size)).Concat(Dc(file, supply, size))
        select item;

    private static IEnumerable<MotorItem> Cage(MotorSeriesFile file, MotorSeriesFile.Supply supply, MotorSeriesFile.Size size) =>
        from poles in file.Cage.Poles
        from c in file.Cage.Classes
        where supply.Classes.Contains(c.Class) && size.Kw >= poles.FromKw
        let lossPu = file.LossPu(supply.Sizes, poles.Poles, c.Class, size.Kw)
        where lossPu is not null
        select CageItem(file, supply, size, poles, c, lossPu.Value);

    private static MotorItem CageItem(
        MotorSeriesFile file, MotorSeriesFile.Supply supply, MotorSeriesFile.Size size, MotorSeriesFile.PoleRule poles,
        MotorSeriesFile.ClassRule c, double lossPu)
    {
        var rule = new AnchorRule(file, size.Kw);
        var powerW = size.Kw * 1e3;
        var frame = MotorSeriesFile.Frame(size, poles.Poles);

        // Many poles cost small motors most of their power factor: between 4 and 132 kW the difference shrinks with the logarithm.
        var large = Math.Clamp(Math.Log(size.Kw / 4) / Math.Log(132.0 / 4), 0, 1);
        var powerFactor = Math.Round(
            rule.Of(a => a.PowerFactor) + c.PowerFactorAdd + poles.PowerFactorAdd
                + (large * (poles.PowerFactorAddLarge - poles.PowerFactorAdd)), 3);
        var rotorW = rule.Of(a => a.RotorShare) * lossPu * powerW;
        var speedRpm = Math.Round(120 * supply.RatedFrequencyHz / poles.Poles * (1 - (rotorW / (powerW + rotorW))), 0);
        var efficiency = 1 / (1 + lossPu);
        var plate = new MotorPlate
        {
            RatedPowerW = powerW,
            RatedVoltageV = supply.RatedVoltageV,
            RatedFrequencyHz = supply.RatedFrequencyHz,
            RatedSpeedRpm = speedRpm,
            RatedCurrentA = powerW / (Math.Sqrt(3) * supply.RatedVoltageV * efficiency * powerFactor),
            Efficiency = efficiency,
            PowerFactor = powerFactor,
            Poles = poles.Poles,
            BreakdownTorquePu = Math.Round(rule.Of(a => a.BreakdownPu), 2),
            InertiaKgM2 = AnchorRule.Significant(c.InertiaFactor * poles.InertiaFactor * rule.Scaled(a => a.InertiaKgM2)),
            MaxSpeedRpm = file.SafeRpm(frame, poles.Poles),
            Split = rule.Split(a => a.Stator, a => a.Iron, a => a.Friction, a => a.Stray),
            Technology = MotorTechnology.CageInduction,
            DeltaVoltageV = supply.IsConnectionFixed
                ? 0
                : size.Kw <= supply.DoubleVoltageUpToKw ? Math.Round(supply.RatedVoltageV / Math.Sqrt(3), 0) : supply.RatedVoltageV,
            LockedRotorCurrentPu = Math.Round(poles.LockedFactor * c.LockedCurrentFactor * rule.Of(a => a.LockedCurrentPu), 2),
            LockedRotorTorquePu = Math.Round(poles.LockedFactor * rule.Of(a => a.LockedTorquePu), 2),
            Limits = file.Limits.Of(supply),
        };
        return new MotorItem(
            Id($"cage-{poles.Poles}p-{(c.Class == NoClass ? "plain" : c.Class.ToLowerInvariant())}", supply, size),
            supply.Series,
            c.Class,
            poles.Poles,
            frame,
            AnchorRule.Significant(rule.Scaled(a => a.LengthMm) * Math.Pow(poles.Poles / 4.0, 0.35 * poles.SizeExponent)),
            AnchorRule.Significant(c.MassFactor * poles.MassFactor * rule.Scaled(a => a.MassKg)),
            AnchorRule.Significant(c.PriceFactor * poles.PriceFactor * rule.Scaled(a => a.PriceIndex)),
            plate) { RatedHp = size.Hp };
    }

    private static IEnumerable<MotorItem> Synchronous(MotorSeriesFile file, MotorSeriesFile.Supply supply, MotorSeriesFile.Size size)
    {
        foreach (var s in file.Synchronous.Where(s => supply.Synchronous && size.Kw >= s.FromKw && size.Kw <= s.ToKw))
        {
            // A converter gives any frequency: speeds go with what is usual at the line's. Servo motors are made to one speed.
            var ratedRpm = s.Technology == MotorTechnology.Servo ? s.SpeedRpm : s.SpeedRpm * supply.RatedFrequencyHz / 50;
            var rule = new AnchorRule(file, size.Kw);
            foreach (var efficiencyClass in s.Classes)
            {
                var lossPu = file.LossPu(SynchronousClasses, 4, efficiencyClass, size.Kw)!.Value;
                var efficiency = 1 / (1 + lossPu);
                var powerW = size.Kw * 1e3;
                var plate = new MotorPlate
                {
                    RatedPowerW = powerW,
                    RatedVoltageV = supply.RatedVoltageV,
                    RatedFrequencyHz = ratedRpm * s.Poles / 120,
                    RatedSpeedRpm = ratedRpm,
                    RatedCurrentA = powerW / (Math.Sqrt(3) * supply.RatedVoltageV * efficiency * s.PowerFactor),
                    Efficiency = efficiency,
                    PowerFactor = s.PowerFactor,
                    Poles = s.Poles,
                    BreakdownTorquePu = s.BreakdownPu,
                    InertiaKgM2 = AnchorRule.Significant(s.InertiaFactor * rule.Scaled(a => a.InertiaKgM2)),
                    MaxSpeedRpm = Math.Round(s.MaxSpeedPu * ratedRpm, 0),
                    Split = rule.Split(_ => s.Stator, _ => s.Iron, _ => s.Friction, _ => s.Stray),
                    Technology = s.Technology,
                    DeltaVoltageV = 0,
                    MagnetisingPu = s.MagnetisingPu,
                    Limits = file.Limits.Of(supply), SaliencyPu = s.SaliencyPu,
                };

                // The voltage of the magnets is the one that the rest of the plate implies.
                if (plate.HasMagnets)
                {
                    plate = plate with { BackEmfVPerKrpm = AnchorRule.Significant(MagnetVoltage.ImpliedVPerKrpm(plate)) };
                }

                yield return new MotorItem(
                    Id(s.Key + "-" + efficiencyClass.ToLowerInvariant(), supply, size),
                    supply.Series,
                    efficiencyClass,
                    s.Poles,
                    file.Frame(supply.Sizes, size.Kw * Math.Pow(2, s.SizeExponent)),
                    AnchorRule.Significant(s.LengthFactor * rule.Scaled(a => a.LengthMm)),
                    AnchorRule.Significant(s.MassFactor * rule.Scaled(a => a.MassKg)),
                    AnchorRule.Significant(s.PriceFactor * rule.Scaled(a => a.PriceIndex)),
                    plate) { RatedHp = size.Hp };
            }
        }
    }

    private static IEnumerable<MotorItem> Dc(MotorSeriesFile file, MotorSeriesFile.Supply supply, MotorSeriesFile.Size size) =>
        file.Dc.Where(d => supply.Dc && size.Kw >= d.FromKw && size.Kw <= d.ToKw).Select(d => DcItem(file, supply, size, d));

    private static MotorItem DcItem(MotorSeriesFile file, MotorSeriesFile.Supply supply, MotorSeriesFile.Size size,
        MotorSeriesFile.DcRule d)
    {
        var rule = new AnchorRule(file, size.Kw);
        var lossPu = d.LossOverIe2 * file.LossPu(SynchronousClasses, 4, "IE2", size.Kw)!.Value;
        var powerW = size.Kw * 1e3;

        // The field takes its share of the losses; the armature current carries the rest of the input.
        var armatureW = powerW * (1 + ((1 - d.FieldShare) * lossPu));
        var plate = new MotorPlate
        {
            RatedPowerW = powerW,
            RatedVoltageV = d.ArmatureVoltageV,
            RatedFrequencyHz = 0,
            RatedSpeedRpm = d.SpeedRpm,
            RatedCurrentA = armatureW / d.ArmatureVoltageV,
            Efficiency = 1 / (1 + lossPu),
            PowerFactor = 1,
            Poles = d.Poles,
            BreakdownTorquePu = d.BreakdownPu,
            InertiaKgM2 = AnchorRule.Significant(d.InertiaFactor * rule.Scaled(a => a.InertiaKgM2)),
            MaxSpeedRpm = Math.Round(d.MaxSpeedPu * d.SpeedRpm, 0),
            Split = rule.Split(_ => d.Stator, _ => d.Iron, _ => d.Friction, _ => d.Stray, d.FieldShare),
            Technology = MotorTechnology.DcSeparatelyExcited,
            Limits = file.Limits.Of(supply),
        };
        return new MotorItem(
            Id(d.Key, supply, size),
            supply.Series,
            "DC",
            d.Poles,
            file.Frame(supply.Sizes, size.Kw),
            AnchorRule.Significant(d.LengthFactor * rule.Scaled(a => a.LengthMm)),
            AnchorRule.Significant(d.MassFactor * rule.Scaled(a => a.MassKg)),
            AnchorRule.Significant(d.PriceFactor * rule.Scaled(a => a.PriceIndex)),
            plate) { RatedHp = size.Hp };
    }

    private static string Id(string prefix, MotorSeriesFile.Supply supply, MotorSeriesFile.Size size) => string.Create(
        CultureInfo.InvariantCulture, $"{prefix}{(supply.Key.Length > 0 ? "-" + supply.Key : string.Empty)}-"
            + $"{(size.Hp > 0 ? size.Hp : size.Kw)}{(size.Hp > 0 ? "hp" : string.Empty)}");
}
