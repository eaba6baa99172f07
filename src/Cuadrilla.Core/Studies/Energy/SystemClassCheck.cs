using System.Runtime.CompilerServices;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary><c>energy.system-class</c>: IES class of motor and converter together.</summary>
internal static class SystemClassCheck
{
    public const string Id = "energy.system-class";
    public const string Title = "Efficiency class of the drive (IES)";

    private static readonly ConditionalWeakTable<EngineeringData, IReadOnlyList<MotorItem>> References = [];

    public static Check Of(DrivePointModel point)
    {
        if (point.Starter is not null)
        {
            return Check.NotConcerned(Id, point.Id, BoardRow.Converter, Title, "the motor runs on the line: the class is its own");
        }

        if (point is not DriveOnConverter model)
        {
            return Check.Lacking(Id, point.Id, BoardRow.Converter, Title, point.Missing());
        }

        var plate = model.MotorItem.Plate;
        if (plate.Technology is MotorTechnology.DcSeparatelyExcited or MotorTechnology.Servo)
        {
            return Check.NotConcerned(Id, model.Id, BoardRow.Converter, Title,
                "the classes are for motors of IEC 60034-30, not for DC and servo motors");
        }

        if (ReferenceMotorW(model, plate) is not { } referenceMotor
            || ReferenceModuleW(model, plate.RatedPowerW / 1e3) is not { } referenceModule)
        {
            return Check.NotConcerned(Id, model.Id, BoardRow.Converter, Title, "the reference has no motor or module of this size");
        }

        var converter = model.Converter;
        var motor = new MotorLossModel(plate).At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Converter);
        double Module(double frequencyPu, double currentA) =>
            converter.LossW(frequencyPu, currentA) + converter.Item.FrontLossW(motor.InputW);
        var found = SystemClass.Of(motor.LossW, Module(1, motor.CurrentA), Module(0.9, converter.Item.LightCurrentA), referenceMotor,
            referenceModule);
        var wanted = (int)Math.Round(model.Input.Defaults.LeastSystemClass);
        var reason = new Reason(
            $"losses at rated speed and torque over those of the reference motor and module; IES0 > {SystemClass.SystemLimitsPct[1]} % ≥ "
                + $"IES1 ≥ {SystemClass.SystemLimitsPct[2]} % > IES2",
            $"({Text.N(motor.LossW)} + {Text.N(Module(1, motor.CurrentA))})/({Text.N(referenceMotor)} + {Text.N(referenceModule)}) W = "
                + $"{Text.N(found.SystemPct, 3)} %: IES{found.Ies}; the converter alone {Text.N(found.ModulePct, 3)} %: IE{found.Ie}",
            "IEC 61800-9-2, docs/methods/system-class.md",
            [
                ReasonInput.Of("losses of the motor on the converter", motor.LossW, "W", "motor model"),
                ReasonInput.Of("losses of the converter at (100 %, 100 %)", Module(1, motor.CurrentA), "W",
                    "catalogue converter, front end included"),
            ]);
        return wanted <= 0
            ? Check.NotConcerned(Id, model.Id, BoardRow.Converter, Title, $"no class is asked; it is IES{found.Ies}")
            : CheckWriter.Judged(
                Id, model.Id, BoardRow.Converter, $"{Title}: IES{found.Ies}", found.SystemPct, SystemClass.SystemLimitsPct[wanted], "%",
                LimitSense.AtMost, 0,
                "Relief: a motor of a higher class, a converter that loses less, a size nearer to the load.", reason);
    }

    // The IE2 cage motor of four poles at the power, the addition for converter supply on top.
    private static double? ReferenceMotorW(DrivePointModel model, MotorPlate plate) => References.GetValue(model.Data, Found)
        .FirstOrDefault(m => m.Plate.RatedPowerW >= plate.RatedPowerW * 0.999) is { } item
            ? new MotorLossModel(item.Plate).At(item.Plate.RatedSpeedRpm, item.Plate.RatedTorqueNm,
                MotorFeed.Converter).LossW * plate.RatedPowerW / item.Plate.RatedPowerW
            : null;

    private static IReadOnlyList<MotorItem> Found(EngineeringData data) =>
    [
        .. data.Motors.Values
            .Where(m => m.OwnName.Length == 0 && m.Technology == MotorTechnology.CageInduction && m.Poles == 4
                && m.EfficiencyClass == "IE2")
            .OrderBy(m => m.Plate.RatedPowerW),
    ];

    private static double? ReferenceModuleW(DrivePointModel model, double kw)
    {
        var points = model.Data.ReferenceModules;
        return kw < points[0].X || kw > points[^1].X
            ? null
            : Math.Exp(Curve.At([.. points.Select(p => new CurvePoint(Math.Log(p.X), Math.Log(p.Y)))], Math.Log(kw)));
    }
}
