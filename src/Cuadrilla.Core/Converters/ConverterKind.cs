namespace Cuadrilla.Core.Converters;

/// <summary>Kinds of converter.</summary>
public enum ConverterKind
{
    /// <summary>Two-level inverter behind a six-pulse diode bridge.</summary>
    SixPulse,

    /// <summary>The same behind two bridges, 30° apart.</summary>
    TwelvePulse,

    /// <summary>The same behind three bridges, 20° apart.</summary>
    EighteenPulse,

    /// <summary>Two-level inverter behind an active front end.</summary>
    ActiveFrontEnd,

    /// <summary>Direct (matrix) converter, without a link.</summary>
    Direct,

    /// <summary>Direct converter with a built-in line bypass.</summary>
    DirectWithBypass,

    /// <summary>Thyristor bridge for a DC motor, current and voltage of one sign.</summary>
    ThyristorOneQuadrant,

    /// <summary>Two thyristor bridges for a DC motor, current and voltage of both signs.</summary>
    ThyristorFourQuadrant,

    /// <summary>Servo drive: six-pulse bridge, high overload for seconds.</summary>
    Servo,

    /// <summary>Two-level inverter behind a single-phase bridge.</summary>
    SinglePhaseInput,

    /// <summary>Inverter alone, fed by a common DC bus.</summary>
    InverterModule,
}
