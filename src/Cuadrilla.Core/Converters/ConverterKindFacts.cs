using Cuadrilla.Core.Converters.FrontEnds;

namespace Cuadrilla.Core.Converters;

/// <summary>What the program has to know of a kind of converter beside what its front end answers.</summary>
/// <param name="Family">Word under which its sizes are one family, the same in every plant.</param>
/// <param name="Name">What it is, in a few words.</param>
/// <param name="IsGeneralPurpose">True for what is compared by cost; others are bought for other reasons, and compared when one is
/// chosen.</param>
internal sealed record ConverterKindFacts(Func<FrontEnd, string> Family, Func<FrontEnd, string> Name, bool IsGeneralPurpose)
{
    private static readonly Dictionary<ConverterKind, ConverterKindFacts> All = new()
    {
        [ConverterKind.SixPulse] = new(f => "six-pulse-" + f.SixPulseFamily, f => "six-pulse, " + f.SixPulseName, true),
        [ConverterKind.TwelvePulse] = Plain("twelve-pulse", "twelve-pulse"),
        [ConverterKind.EighteenPulse] = Plain("eighteen-pulse", "eighteen-pulse"),
        [ConverterKind.ActiveFrontEnd] = Plain("active", "active front end"),
        [ConverterKind.Direct] = Plain("direct", "direct converter"),
        [ConverterKind.DirectWithBypass] = Plain("direct-bypass", "direct converter with line bypass"),
        [ConverterKind.ThyristorOneQuadrant] = Plain("thyristor-1q", "thyristor converter, one quadrant"),
        [ConverterKind.ThyristorFourQuadrant] = Plain("thyristor-4q", "thyristor converter, four quadrants"),
        [ConverterKind.Servo] = Plain("servo", "servo drive", isGeneralPurpose: false),
        [ConverterKind.SinglePhaseInput] = Plain("single-phase", "single-phase input", isGeneralPurpose: false),
        [ConverterKind.InverterModule] = Plain("inverter-module", "inverter module", isGeneralPurpose: false),
    };

    /// <summary>Facts of a kind.</summary>
    public static ConverterKindFacts Of(ConverterKind kind) => All[kind];

    private static ConverterKindFacts Plain(string family, string name, bool isGeneralPurpose = true) =>
        new(_ => family, _ => name, isGeneralPurpose);
}
