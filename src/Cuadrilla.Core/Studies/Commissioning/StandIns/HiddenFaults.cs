using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>Faults in words, and where they can be.</summary>
public static class HiddenFaults
{
    /// <summary>What a fault is, as somebody who has found it would say it.</summary>
    public static string Word(HiddenFault fault) => fault switch
    {
        HiddenFault.None => "nothing is wrong",
        HiddenFault.Joint => "a joint with a high resistance",
        HiddenFault.WrongLink => "the motor is linked the other way",
        HiddenFault.SwappedRotation => "two leads are swapped",
        HiddenFault.PlateTyped => "the plate is typed wrong",
        HiddenFault.OtherIdentification => "the identification is of another motor",
        HiddenFault.BrakeStaysOpen => "the brake does not close",
        HiddenFault.BrakeFeedbackLost => "a feedback of the brake is lost",
        HiddenFault.EncoderSign => "the encoder's sign is wrong",
        HiddenFault.RatioZero => "the ratio stands at 0",
        HiddenFault.Resonance => "a resonance within the speed range",
        HiddenFault.PhaseMissing => "a phase of the supply is missing",
        HiddenFault.WrongBase => "a limit in per cent of the wrong current",
        _ => "a capacitor bank near an order",
    };

    /// <summary>Why a fault can't be at a drive point; null where it can.</summary>
    /// <param name="source">The drive point.</param>
    /// <param name="fault">The fault.</param>
    public static string? WhyNot(StepSource source, HiddenFault fault)
    {
        ArgumentNullException.ThrowIfNull(source);
        return source.Model.Fitted is not { } fitted ? "its motor is not chosen" : fault switch
        {
            HiddenFault.Joint when source.Point.StepUp is not null => "a transformer hides the leads",
            HiddenFault.WrongLink when fitted.Item.Plate.DeltaVoltageV <= 0 => "the link of its motor can't be changed",
            HiddenFault.OtherIdentification when source.Point.Converter.IsOnLine() || source.IsGroup
                || fitted.Item.Technology != MotorTechnology.CageInduction => "nothing is identified there",
            HiddenFault.BrakeStaysOpen or HiddenFault.BrakeFeedbackLost when source.Point.Brake is not HoldingBrake.SpringApplied =>
                "it has no brake",
            HiddenFault.EncoderSign when !IdentificationSteps.HasEncoder(source) => "it has no encoder",
            HiddenFault.RatioZero when source.Parameters.Follower is null => "it follows nothing",
            HiddenFault.PhaseMissing when source.Model.Input.OnePhase is not null || source.Point.Sun is not null =>
                "its supply does not have three phases",
            HiddenFault.WrongBase when source.Point.Converter is not ConverterChoice.SoftStarter { Settings.CurrentLimitPct: > 0 } =>
                "it has no soft starter with a current limit",
            HiddenFault.BankNearOrder when source.LineCurrentA is null => "its line current is not known",
            _ => null,
        };
    }
}
