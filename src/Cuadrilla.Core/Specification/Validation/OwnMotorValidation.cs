using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification.Fields;

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
            p.Unique(at + "/id", "Motor key", motor.Id, ids);
            Relations(motor, at, p);
            if (!p.Items.Exists(x => x.Pointer.StartsWith(at + "/", StringComparison.Ordinal)))
            {
                Plate(motor, at, p);
            }
        }
    }

    private static void Relations(OwnMotor m, string at, ProblemList p)
    {
        p.Within<OwnMotor>(at, nameof(m.NoLoadCurrentA), m.NoLoadCurrentA, 0, Math.Max(0, 0.95 * m.RatedCurrentA));
        p.Require(m.Poles % 2 == 0, at + "/poles", "Poles", $"{m.Poles}", "an even number");
        var losses = m.SevenLosses();
        foreach (var (loss, (speed, torque)) in losses.Zip(SevenPointLosses.Points))
        {
            p.Within<OwnMotor>(at, FormattableString.Invariant($"LossN{100 * speed:0}T{100 * torque:0}W"), loss, 0,
                Math.Max(0, m.RatedPowerKw * 1e3));
        }

        p.Require(
            losses.All(l => l.IsKnown) || losses.All(l => !l.IsKnown), at + "/lossN90T100W", "Measured losses",
            $"{losses.Count(l => l.IsKnown)} of seven", "all seven or none");
    }

    private static void Plate(OwnMotor m, string at, ProblemList p)
    {
        if (m.Technology != MotorTechnology.DcSeparatelyExcited)
        {
            var implied = m.ImpliedPowerFactor;
            p.Require(
                Math.Abs((implied / m.PowerFactor) - 1) <= OwnMotor.PlateTolerancePu && implied <= 1 + OwnMotor.PlateTolerancePu,
                at + "/powerFactor", "Power factor", FormattableString.Invariant($"{m.PowerFactor:0.###}"),
                FormattableString.Invariant($"about {implied:0.###}, which power, voltage, current and ")
                    + "efficiency of this plate give (within 5 %)");
        }

        try
        {
            _ = new MotorLossModel(m.Item([Probe(m)]).Plate);
        }
        catch (UnfitDataException problem)
        {
            p.Require(false, at + "/ratedSpeedRpm", "Rated speed", FormattableString.Invariant($"{m.RatedSpeedRpm:0.#} rpm"),
                "one that fits poles, frequency and efficiency: " + problem.Message);
        }
    }

    // Only the plate is tried here; what a generic motor would fill in does not matter.
    private static MotorItem Probe(OwnMotor m) => new(
        "probe", string.Empty, string.Empty, m.Poles, "100", 1, 1, 1,
        new MotorPlate
        {
            RatedPowerW = 1000,
            RatedVoltageV = 400,
            RatedFrequencyHz = 50,
            RatedSpeedRpm = 1400,
            RatedCurrentA = 2,
            Efficiency = 0.8,
            PowerFactor = 0.8,
            Poles = 4,
            BreakdownTorquePu = 2.5,
            InertiaKgM2 = 0.01,
            MaxSpeedRpm = 4000,
            Split = new LossSplit(0.5, 0.25, 0.1, 0.15, 0.5, 2, 0.15),
            Technology = m.Technology,
        });
}
