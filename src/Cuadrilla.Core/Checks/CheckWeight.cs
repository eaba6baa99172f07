namespace Cuadrilla.Core.Checks;

/// <summary>What it means when a check fails, gravest first.</summary>
public enum CheckWeight
{
    /// <summary>Somebody can be hurt: a load falls, a fault is not held, a protection is wrong.</summary>
    Danger,

    /// <summary>It burns, trips, sticks or does not do its work.</summary>
    Function,

    /// <summary>A limit of a code or of a contract is not kept.</summary>
    Code,

    /// <summary>It costs more than it could.</summary>
    Cost,
}

/// <summary>Weights of the checks by their key.</summary>
public static class CheckWeights
{
    private static readonly string[] Dangers =
    [
        "brake.", "share.unit-lost", "converter.short-circuit-rating", "lineup.short-circuit-rating", "supply.fault-level",
        "motor.explosion-protection",
        "lineup.emergency-stop",
        "emc.altitude-insulation", "group.motor-protection", "cable.capacity", "cable.short-circuit", "cable.disconnection",
        "cable.protective-conductor", "protection.device",
        "protection.breaking-capacity", "protection.stall", "emc.earth-leakage", "emc.rcd", "emc.it-system",
        "pv.string-voltage", "pv.string-fuse", "pv.isolator", "pv.insulation", "pv.dc-cable",
        "supply.change-over", "single-phase.neutral", "long-cable.surface-voltage", "long-cable.back-spin",
        "cabinet.short-circuit", "cabinet.busbar", "io.brake-resistor", "io.stop",
    ];

    private static readonly string[] Codes = ["harmonics.pcc-", "harmonics.plant-voltage", "harmonics.equipment", "harmonics.terminal-thdi",
        "energy.system-class", "supply.unbalance"];

    /// <summary>Weight of a check.</summary>
    /// <param name="id">Its key, for example <c>motor.continuous</c>.</param>
    public static CheckWeight Of(string id)
    {
        bool In(string[] keys) => Array.Exists(keys, k => id.StartsWith(k, StringComparison.Ordinal));
        return In(Dangers)
            ? CheckWeight.Danger
            : In(Codes) ? CheckWeight.Code : id == "energy.best-alternative" ? CheckWeight.Cost : CheckWeight.Function;
    }
}
