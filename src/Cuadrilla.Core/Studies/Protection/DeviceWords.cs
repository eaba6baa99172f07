using Cuadrilla.Core.Base;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>Protective devices in words.</summary>
public static class DeviceWords
{
    /// <summary>A device in a few words, with the item of one's own list; empty for none.</summary>
    public static string Of(ProtectiveDevice device)
    {
        ArgumentNullException.ThrowIfNull(device);
        return device.Item.Length > 0 ? $"{Kind(device)} ({device.Item})" : Kind(device);
    }

    private static string Kind(ProtectiveDevice device) => device switch
    {
        ProtectiveDevice.NotChosen => string.Empty,
        ProtectiveDevice.Fuse f => $"fuses gG {Text.N(f.RatedA)} A",
        ProtectiveDevice.SemiconductorFuse s => $"fuses aR {Text.N(s.RatedA)} A",
        ProtectiveDevice.CircuitBreaker b => $"breaker {Text.N(b.RatedA)} A set to {Text.N(b.OverloadA)} A",
        ProtectiveDevice.MotorBreaker m => $"motor breaker {Text.N(m.RatedA)} A set to {Text.N(m.OverloadA)} A",
        _ => throw new InvalidOperationException("Unknown protective device."),
    };
}
