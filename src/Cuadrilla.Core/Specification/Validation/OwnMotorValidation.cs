using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks a project's own motors: ranges, and that a plate does not contradict itself.</summary>
internal static class OwnMotorValidation
{
    private const int MaxMotors = 2000;

    public static void Check(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        p.Require(plant.Motors.Count <= MaxMotors, "/motors", "Number of own motors", $"{plant.Motors.Count}", $"up to {MaxMotors}");
        var ids = new HashSet<string>(data.Motors.Keys, StringComparer.Ordinal);
        for (var i = 0; i < plant.Motors.Count; i++)
        {
            var motor = plant.Motors[i];
            var at = $"/motors/{i}";
            p.Words(at + "/id", "Motor key", motor.Id, 1, 60);
            p.Unique(at + "/id", "Motor key", motor.Id, ids);
            var before = p.Items.Count;
            Ranges(motor, at, p);
            if (p.Items.Count == before)
            {
                Plate(motor, at, p);
            }
        }
    }

    private static void Ranges(OwnMotor m, string at, ProblemList p)
    {
        p.Words(at + "/name", "Name of the motor", m.Name, 1, 80);
        p.Words(at + "/efficiencyClass", "Class", m.EfficiencyClass, 1, 10);
        p.Number(at + "/ratedPowerKw", "Rated power", m.RatedPowerKw, 0, 20_000, "kW", minExcluded: true);
        p.Number(at + "/ratedVoltageV", "Rated voltage", m.RatedVoltageV, 20, 15_000, "V");
        p.Number(at + "/deltaVoltageV", "Voltage in delta", m.DeltaVoltageV, 20, 15_000, "V");
        p.Number(at + "/ratedFrequencyHz", "Rated frequency", m.RatedFrequencyHz, 5, 1000, "Hz");
        p.Number(at + "/ratedSpeedRpm", "Rated speed", m.RatedSpeedRpm, 10, 30_000, "rpm");
        p.Number(at + "/ratedCurrentA", "Rated current", m.RatedCurrentA, 0, 20_000, "A", minExcluded: true);
        p.Number(at + "/efficiencyPct", "Efficiency", m.EfficiencyPct, 30, 99.5, "%");
        p.Number(at + "/powerFactor", "Power factor", m.PowerFactor, 0.2, 1, string.Empty);
        p.Number(at + "/poles", "Poles", m.Poles, 2, 60, string.Empty);
        p.Require(m.Poles % 2 == 0, at + "/poles", "Poles", $"{m.Poles}", "an even number");
        p.Number(at + "/ratedRiseK", "Rated temperature rise", m.RatedRiseK, 20, 180, "K");
        p.Number(at + "/stallTimeS", "Stall time, warm", m.StallTimeS, 1, 120, "s");
        p.Number(at + "/startsPerHour", "Starts an hour", m.StartsPerHour, 0, 1000, "1/h", minExcluded: true);
        p.Number(at + "/withstandV", "Peak voltage the winding stands", m.WithstandV, 300, 20_000, "V");
        p.Number(at + "/breakdownTorquePu", "Breakdown torque", m.BreakdownTorquePu, 1.3, 8, "× rated");
        p.Number(at + "/noLoadCurrentA", "No-load current", m.NoLoadCurrentA, 0, Math.Max(0, 0.95 * m.RatedCurrentA), "A", minExcluded: true);
        p.Number(at + "/lockedRotorCurrentPu", "Locked-rotor current", m.LockedRotorCurrentPu, 2, 12, "× rated");
        p.Number(at + "/lockedRotorTorquePu", "Locked-rotor torque", m.LockedRotorTorquePu, 0.3, 5, "× rated");
        p.Number(at + "/halfLoadPowerFactor", "Power factor at half load", m.HalfLoadPowerFactor, 0.1, 1, string.Empty);
        var losses = m.SevenLosses();
        p.Require(
            losses.All(l => l.IsKnown) || losses.All(l => !l.IsKnown), at + "/lossN90T100W", "Measured losses", $"{losses.Count(l => l.IsKnown)} of seven", "all seven or none");
        foreach (var (loss, (speed, torque)) in losses.Zip(SevenPointLosses.Points))
        {
            p.Number(
                FormattableString.Invariant($"{at}/lossN{100 * speed:0}T{100 * torque:0}W"), FormattableString.Invariant($"Loss at {100 * speed:0} % speed, {100 * torque:0} % torque"),
                loss, 0, Math.Max(0, m.RatedPowerKw * 1e3), "W", minExcluded: true);
        }

        p.Number(at + "/backEmfVPerKrpm", "Voltage of the magnets", m.BackEmfVPerKrpm, 0, 5000, "V per 1000 rpm", minExcluded: true);
        p.Number(at + "/inertiaKgM2", "Inertia", m.InertiaKgM2, 0, 1e5, "kg·m²", minExcluded: true);
        p.Number(at + "/maxSpeedRpm", "Mechanical limit", m.MaxSpeedRpm, 10, 60_000, "rpm");
        p.Number(at + "/shaftHeightMm", "Shaft height", m.ShaftHeightMm, 20, 1500, "mm");
        p.Number(at + "/lengthMm", "Length", m.LengthMm, 20, 10_000, "mm");
        p.Number(at + "/massKg", "Mass", m.MassKg, 0.1, 100_000, "kg");
        p.Number(at + "/priceIndex", "Price index", m.PriceIndex, 0, 1e6, "points");
    }

    private static void Plate(OwnMotor m, string at, ProblemList p)
    {
        if (m.Technology != MotorTechnology.DcSeparatelyExcited)
        {
            var implied = m.ImpliedPowerFactor;
            p.Require(
                Math.Abs((implied / m.PowerFactor) - 1) <= OwnMotor.PlateTolerancePu && implied <= 1 + OwnMotor.PlateTolerancePu,
                at + "/powerFactor", "Power factor", FormattableString.Invariant($"{m.PowerFactor:0.###}"),
                FormattableString.Invariant($"about {implied:0.###}, which power, voltage, current and efficiency of this plate give (within 5 %)"));
        }

        try
        {
            _ = new MotorLossModel(m.Item([Probe(m)]).Plate);
        }
        catch (ArgumentException problem)
        {
            p.Require(false, at + "/ratedSpeedRpm", "Rated speed", FormattableString.Invariant($"{m.RatedSpeedRpm:0.#} rpm"), "one that fits poles, frequency and efficiency: " + problem.Message);
        }
    }

    // Only the plate is tried here; what a generic motor would fill in does not matter.
    private static MotorItem Probe(OwnMotor m) => new(
        "probe", string.Empty, string.Empty, m.Poles, "100", 1, 1, 1,
        new MotorPlate(
            1000, 400, 50, 1400, 2, 0.8, 0.8, 4, 2.5, 0.01, 4000, new LossSplit(0.5, 0.25, 0.1, 0.15, 0.5, 2, 0.15), m.Technology));
}
