using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>What a cable of a drive point is.</summary>
public enum RouteRole
{
    /// <summary>From the lineup to the converter.</summary>
    Feeder,

    /// <summary>To the motor.</summary>
    Motor,

    /// <summary>To the coil of the brake.</summary>
    Brake,

    /// <summary>To the encoder.</summary>
    Encoder,

    /// <summary>To the thermistors.</summary>
    Thermistor,

    /// <summary>Control at 24 V.</summary>
    Control,

    /// <summary>Analogue signals.</summary>
    Analogue,

    /// <summary>Fieldbus.</summary>
    Bus,

    /// <summary>Pulses to or from another drive.</summary>
    Pulses,

    /// <summary>Entered by hand.</summary>
    ByHand,
}

/// <summary>A cable and the trays that it runs on.</summary>
/// <param name="Id">Stable key: drive point and role, or that of a cable entered by hand.</param>
/// <param name="Tag">What it is called.</param>
/// <param name="Role">What it is.</param>
/// <param name="Signal">What it carries as far as it is disturbed; null for power.</param>
/// <param name="Class">Its class.</param>
/// <param name="Screen">Its screen.</param>
/// <param name="PointId">Its drive point; empty for cables entered by hand.</param>
/// <param name="FromPlaceId">Where it begins; empty: not stated.</param>
/// <param name="ToPlaceId">Where it ends; empty: not stated.</param>
public sealed record RoutedCable(
    string Id, string Tag, RouteRole Role, SignalKind? Signal, CableClass Class, ReceiverScreen Screen, string PointId, string FromPlaceId,
    string ToPlaceId)
{
    /// <summary>Pieces of tray in their order; empty where there is no way.</summary>
    public IReadOnlyList<TraySegment> Way { get; init; } = [];

    /// <summary>Length over all of them, m; null where there is no way.</summary>
    public double? LengthM { get; init; }

    /// <summary>True where the way is chosen by hand.</summary>
    public bool IsByHand { get; init; }

    /// <summary>Why it has no way; empty where it has one, or needs none.</summary>
    public string Missing { get; init; } = string.Empty;

    /// <summary>Equal cables side by side: those in parallel, and those of all motors of a group.</summary>
    public int Runs { get; init; } = 1;

    /// <summary>True where it never carries enough to count for what lies beside.</summary>
    public bool IsLight { get; init; }

    /// <summary>True for what carries load current and warms what lies beside.</summary>
    public bool IsLoaded => !IsLight && CarriesLoad;

    private bool CarriesLoad => Role is RouteRole.Feeder or RouteRole.Motor || Signal is SignalKind.Supply or SignalKind.BrakeResistor;
}
