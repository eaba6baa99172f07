using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>All checks of cables and of protective and switching devices of a drive point.</summary>
internal static class ProtectionChecks
{
    /// <summary>What is said wherever protection is judged.</summary>
    public const string Caution = "Protection is settled by licensed people after local codes and the makers' instructions.";

    public static IEnumerable<Check> Of(FeederStudy feeder) =>
        [.. CableChecks.Of(feeder), .. DeviceChecks.Of(feeder), .. StartProtectionChecks.Of(feeder), .. ContactorCheck.Of(feeder)];
}
