using System.Globalization;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Catalogue;

/// <summary>
/// Builds the generic series. A cage motor's rated speed follows from the rotor's share of the losses (slip = rotor loss over
/// air-gap power), current from power, efficiency and power factor. See <c>docs/methods/catalogue.md</c>.
/// </summary>
internal static class MotorSeries
{
    public static IEnumerable<MotorItem> Build(MotorSeriesFile file) =>
        file.Sizes.SelectMany(size => Cage(file, size).Concat(Synchronous(file, size)).Concat(Dc(file, size)));

    private static IEnumerable<MotorItem> Cage(MotorSeriesFile file, MotorSeriesFile.Size size)
    {
        foreach (var poles in file.Cage.Poles)
        {
            foreach (var c in file.Cage.Classes)
            {
                yield return CageItem(file, size, poles, c);
            }
        }
    }

    private static MotorItem CageItem(MotorSeriesFile file, MotorSeriesFile.Size size, MotorSeriesFile.PoleRule poles, MotorSeriesFile.ClassRule c)
    {
        var rule = new AnchorRule(file, size.Kw);
        var powerW = size.Kw * 1e3;
        var lossPu = file.LossPu(poles.Poles, c.Class, size.Kw);
        var frame = MotorSeriesFile.Frame(size, poles.Poles);

        // Many poles cost small motors most of their power factor: between 4 and 132 kW the difference shrinks with the logarithm.
        var large = Math.Clamp(Math.Log(size.Kw / 4) / Math.Log(132.0 / 4), 0, 1);
        var powerFactor = Math.Round(
            rule.Of(a => a.PowerFactor) + c.PowerFactorAdd + poles.PowerFactorAdd + (large * (poles.PowerFactorAddLarge - poles.PowerFactorAdd)), 3);
        var rotorW = rule.Of(a => a.RotorShare) * lossPu * powerW;
        var speedRpm = Math.Round(120 * file.RatedFrequencyHz / poles.Poles * (1 - (rotorW / (powerW + rotorW))), 0);
        var efficiency = 1 / (1 + lossPu);
        var plate = new MotorPlate
        {
            RatedPowerW = powerW,
            RatedVoltageV = file.RatedVoltageV,
            RatedFrequencyHz = file.RatedFrequencyHz,
            RatedSpeedRpm = speedRpm,
            RatedCurrentA = powerW / (Math.Sqrt(3) * file.RatedVoltageV * efficiency * powerFactor),
            Efficiency = efficiency,
            PowerFactor = powerFactor,
            Poles = poles.Poles,
            BreakdownTorquePu = Math.Round(rule.Of(a => a.BreakdownPu), 2),
            InertiaKgM2 = AnchorRule.Significant(c.InertiaFactor * poles.InertiaFactor * rule.Scaled(a => a.InertiaKgM2)),
            MaxSpeedRpm = file.SafeRpm(frame, poles.Poles),
            Split = rule.Split(a => a.Stator, a => a.Iron, a => a.Friction, a => a.Stray),
            Technology = MotorTechnology.CageInduction,
            DeltaVoltageV = size.Kw <= file.Cage.DoubleVoltageUpToKw ? Math.Round(file.RatedVoltageV / Math.Sqrt(3), 0) : file.RatedVoltageV,
            LockedRotorCurrentPu = Math.Round(poles.LockedFactor * c.LockedCurrentFactor * rule.Of(a => a.LockedCurrentPu), 2),
            LockedRotorTorquePu = Math.Round(poles.LockedFactor * rule.Of(a => a.LockedTorquePu), 2),
            Limits = file.Limits.Limits,
        };
        return new MotorItem(
            Id($"cage-{poles.Poles}p-{c.Class.ToLowerInvariant()}", size.Kw),
            file.Series,
            c.Class,
            poles.Poles,
            frame,
            AnchorRule.Significant(rule.Scaled(a => a.LengthMm) * Math.Pow(poles.Poles / 4.0, 0.35 * poles.SizeExponent)),
            AnchorRule.Significant(c.MassFactor * poles.MassFactor * rule.Scaled(a => a.MassKg)),
            AnchorRule.Significant(c.PriceFactor * poles.PriceFactor * rule.Scaled(a => a.PriceIndex)),
            plate);
    }

    private static IEnumerable<MotorItem> Synchronous(MotorSeriesFile file, MotorSeriesFile.Size size)
    {
        foreach (var s in file.Synchronous.Where(s => size.Kw >= s.FromKw && size.Kw <= s.ToKw))
        {
            var rule = new AnchorRule(file, size.Kw);
            foreach (var efficiencyClass in s.Classes)
            {
                var lossPu = file.LossPu(4, efficiencyClass, size.Kw);
                var efficiency = 1 / (1 + lossPu);
                var powerW = size.Kw * 1e3;
                var plate = new MotorPlate
                {
                    RatedPowerW = powerW,
                    RatedVoltageV = file.RatedVoltageV,
                    RatedFrequencyHz = s.SpeedRpm * s.Poles / 120,
                    RatedSpeedRpm = s.SpeedRpm,
                    RatedCurrentA = powerW / (Math.Sqrt(3) * file.RatedVoltageV * efficiency * s.PowerFactor),
                    Efficiency = efficiency,
                    PowerFactor = s.PowerFactor,
                    Poles = s.Poles,
                    BreakdownTorquePu = s.BreakdownPu,
                    InertiaKgM2 = AnchorRule.Significant(s.InertiaFactor * rule.Scaled(a => a.InertiaKgM2)),
                    MaxSpeedRpm = Math.Round(s.MaxSpeedPu * s.SpeedRpm, 0),
                    Split = rule.Split(_ => s.Stator, _ => s.Iron, _ => s.Friction, _ => s.Stray),
                    Technology = s.Technology,
                    DeltaVoltageV = 0,
                    MagnetisingPu = s.MagnetisingPu,
                    Limits = file.Limits.Limits, SaliencyPu = s.SaliencyPu,
                };

                // The voltage of the magnets is the one that the rest of the plate implies.
                if (plate.HasMagnets)
                {
                    plate = plate with { BackEmfVPerKrpm = AnchorRule.Significant(MagnetVoltage.ImpliedVPerKrpm(plate)) };
                }

                yield return new MotorItem(
                    Id(s.Key + "-" + efficiencyClass.ToLowerInvariant(), size.Kw),
                    file.Series,
                    efficiencyClass,
                    s.Poles,
                    file.Frame(size.Kw * Math.Pow(2, s.SizeExponent)),
                    AnchorRule.Significant(s.LengthFactor * rule.Scaled(a => a.LengthMm)),
                    AnchorRule.Significant(s.MassFactor * rule.Scaled(a => a.MassKg)),
                    AnchorRule.Significant(s.PriceFactor * rule.Scaled(a => a.PriceIndex)),
                    plate);
            }
        }
    }

    private static IEnumerable<MotorItem> Dc(MotorSeriesFile file, MotorSeriesFile.Size size)
    {
        var d = file.Dc;
        if (size.Kw < d.FromKw || size.Kw > d.ToKw)
        {
            yield break;
        }

        var rule = new AnchorRule(file, size.Kw);
        var lossPu = d.LossOverIe2 * file.LossPu(4, "IE2", size.Kw);
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
            Limits = file.Limits.Limits,
        };
        yield return new MotorItem(
            Id(d.Key, size.Kw),
            file.Series,
            "DC",
            d.Poles,
            file.Frame(size.Kw),
            AnchorRule.Significant(d.LengthFactor * rule.Scaled(a => a.LengthMm)),
            AnchorRule.Significant(d.MassFactor * rule.Scaled(a => a.MassKg)),
            AnchorRule.Significant(d.PriceFactor * rule.Scaled(a => a.PriceIndex)),
            plate);
    }

    private static string Id(string prefix, double kw) => string.Create(CultureInfo.InvariantCulture, $"{prefix}-{kw}");
}
