using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.RandomPlants;

/// <summary>Motors and converters of a random plant's own, with plates that do not contradict themselves.</summary>
internal static class RandomItems
{
    public static OwnMotor Motor(Draw draw, string id, double busV, double frequencyHz)
    {
        var technology = draw.One<MotorTechnology>();
        var kw = draw.Size(0.37, 400);
        var voltage = technology == MotorTechnology.DcSeparatelyExcited
            ? draw.One([180.0, 400, 440])
            : draw.Chance(60) ? busV : draw.One(RandomPlant.LowVoltagesV);
        var efficiency = draw.Even(80, 96);
        var powerFactor = technology == MotorTechnology.DcSeparatelyExcited ? 1 : draw.Even(0.72, 0.92);
        var poles = draw.One([2, 4, 6, 8]);
        var hz = draw.Chance(70) ? frequencyHz : draw.One([50.0, 60, 87]);
        var slip = draw.Even(0.1, 0.4) * ((1 / (efficiency / 100)) - 1);
        var speed = Math.Round(120 * hz / poles * (technology == MotorTechnology.CageInduction ? 1 - slip : 1), 1);
        var current = kw * 1e3 / ((technology == MotorTechnology.DcSeparatelyExcited
            ? 1
            : Math.Sqrt(3)) * voltage * efficiency / 100 * powerFactor);
        var measured = draw.Chance(15);
        Given Loss(double part) => measured ? Given.Of(part * kw * 1e3 * ((100 / efficiency) - 1)) : Given.Unknown;
        return new OwnMotor(
            id, $"own {technology} {id}", technology, draw.One(["IE1", "IE2", "IE3", "-"]), kw, voltage,
            technology == MotorTechnology.CageInduction && draw.Chance(40) ? voltage / Math.Sqrt(3) : Given.Unknown,
            hz, speed, current, efficiency, powerFactor, poles,
            draw.Chance(50) ? Given.Unknown : draw.Even(1.8, 3.5),
            draw.Chance(70) ? Given.Unknown : draw.Even(0.2, 0.5) * current,
            draw.Chance(50) ? Given.Unknown : draw.Even(4, 9),
            draw.Chance(50) ? Given.Unknown : draw.Even(1, 3),
            draw.Chance(80) ? Given.Unknown : draw.Even(0.4, 0.8),
            draw.Chance(50) ? Given.Unknown : draw.Even(100, 250),
            draw.Chance(50) ? Given.Unknown : draw.Size(0.001, 10),
            draw.Chance(50) ? Given.Unknown : Math.Max(10, draw.Even(1, 2) * speed),
            draw.Chance(50) ? Given.Unknown : draw.Whole(56, 400),
            Given.Unknown, Given.Unknown, draw.Chance(50) ? Given.Unknown : draw.Size(1, 400),
            Loss(0.95), Loss(0.7), Loss(0.6), Loss(0.5), Loss(0.35), Loss(0.3), Loss(0.25));
    }

    public static OwnConverter Converter(Draw draw, string id, double busV)
    {
        var kw = draw.Size(0.37, 500);
        var voltage = draw.Chance(70) ? busV : draw.One(RandomPlant.LowVoltagesV);
        var current = 1.25 * kw * 1e3 / (Math.Sqrt(3) * voltage * 0.85);
        var stated = draw.Chance(40);
        Given Loss(double part) => stated ? Given.Of(part * 0.03 * kw * 1e3) : Given.Unknown;
        return new OwnConverter(
            id, $"own {id}", "own catalogue", "1", draw.One<ConverterKind>(), kw, voltage, current,
            draw.Chance(50) ? Given.Unknown : 0.8 * current,
            draw.Chance(40) ? Given.Unknown : draw.One([0.0, 1, 3, 4, 5]),
            draw.Chance(60) ? Given.Unknown : draw.Even(105, 130),
            draw.Chance(60) ? Given.Unknown : draw.Even(140, 200),
            Loss(0.26), Loss(0.41), Loss(0.8), Loss(0.28), Loss(0.45), Loss(0.9), Loss(0.49), Loss(1),
            draw.Chance(60) ? Given.Unknown : draw.Even(5, 100),
            draw.Chance(60) ? Given.Unknown : draw.Even(20, 120) * kw,
            draw.Chance(60) ? Given.Unknown : draw.Size(0.5, 100),
            draw.Chance(60) ? Given.Unknown : draw.One([5.0, 18, 30, 65]),
            draw.Chance(80) ? Given.Unknown : draw.Even(0.3, 0.8),
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, draw.Chance(50) ? Given.Unknown : draw.Size(2, 500));
    }
}
