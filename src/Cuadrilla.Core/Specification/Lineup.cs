using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Specification;

/// <summary>What is bought, installed and energised as one.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Tag">Short name, for example L1.</param>
/// <param name="Name">What people call it.</param>
/// <param name="BusId">Bus that it hangs from.</param>
/// <param name="DrivePoints">Columns of the board, in order.</param>
/// <param name="DcBuses">Common DC buses of some of them, usually none.</param>
/// <param name="Arrangements">Groups, shared shafts and followers, usually none.</param>
/// <param name="VariantName">What the way in force is called; empty while no other is set aside or was chosen against.</param>
/// <param name="Reason">Why this way was adopted; empty when none was given.</param>
/// <param name="SetAside">Other ways to build it, at most three.</param>
public sealed record Lineup(
    string Id,
    string Tag,
    string Name,
    string BusId,
    ValueList<DrivePoint> DrivePoints,
    ValueList<CommonDcBus> DcBuses,
    ValueList<Arrangement> Arrangements,
    string VariantName,
    string Reason,
    ValueList<LineupVariant> SetAside)
{
    /// <summary>Place where it stands; empty: not stated.</summary>
    public string PlaceId { get; init; } = string.Empty;

    /// <summary>Residual-current device ahead of the whole of it.</summary>
    public ResidualDevice Residual { get; init; } = ResidualDevice.NotStated;

    /// <summary>Only one phase is available to it; null: all three are.</summary>
    public OnePhaseSupply? OnePhase { get; init; }

    /// <summary>Cabinets that it stands in; null: not entered.</summary>
    public CabinetBuild? Cabinets { get; init; }

    /// <summary>Its control supply; null: not entered.</summary>
    public ControlSupplyBuild? Control { get; init; }

    /// <summary>The lineup built the other way; nothing is set aside in it.</summary>
    public Lineup As(LineupVariant variant)
    {
        ArgumentNullException.ThrowIfNull(variant);
        return this with { DrivePoints = variant.DrivePoints, DcBuses = variant.DcBuses, Arrangements = variant.Arrangements,
            VariantName = variant.Name, SetAside = [] };
    }
}

/// <summary>One machine with all that drives it.</summary>
/// <param name="Id">Stable key, unique in the plant.</param>
/// <param name="Tag">Short name, for example DP-01.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Feeder">From the lineup's busbar to the converter.</param>
/// <param name="Converter">Converter chosen.</param>
/// <param name="Cable">From the converter to the motor.</param>
/// <param name="Motor">Motor chosen.</param>
/// <param name="Load">What it drives.</param>
/// <param name="SkipBands">Speeds that are not held, usually none.</param>
/// <param name="Brake">Holding brake at the motor's shaft.</param>
public sealed record DrivePoint(
    string Id,
    string Tag,
    string Name,
    Feeder Feeder,
    ConverterChoice Converter,
    MotorCable Cable,
    MotorChoice Motor,
    Load Load,
    ValueList<SkipBand> SkipBands,
    HoldingBrake Brake)
{
    /// <summary>Protective and switching devices.</summary>
    public SwitchingDevices Devices { get; init; } = SwitchingDevices.None;

    /// <summary>Step-up transformer between converter and motor cable; null: there is none.</summary>
    public StepUpSupply? StepUp { get; init; }

    /// <summary>Sun instead of mains; null: fed from the lineup.</summary>
    public SunSupply? Sun { get; init; }

    /// <summary>Filter, earth, bearings and places.</summary>
    public PointInterference Interference { get; init; } = PointInterference.NotStated;

    /// <summary>Signals that it is to have; null: not entered.</summary>
    public SignalPlan? Signals { get; init; }

    /// <summary>Usual values that were taken and not confirmed.</summary>
    public ValueList<AssumedValue> Assumed { get; init; } = [];
}

/// <summary>Connection from the lineup's busbar to the converter.</summary>
public abstract record Feeder
{
    private Feeder()
    {
    }

    /// <summary>The converter sits on the busbar.</summary>
    public sealed record OnBusbar : Feeder;

    /// <summary>A cable of its own.</summary>
    /// <param name="LengthM">Length, m.</param>
    /// <param name="CrossSectionMm2">Cross-section, mm².</param>
    /// <param name="ParallelRuns">Cables side by side, 1 to 12.</param>
    /// <param name="Material">Conductor metal.</param>
    public sealed record ByCable(Given LengthM, Given CrossSectionMm2, int ParallelRuns, ConductorMaterial Material) : Feeder
    {
        /// <summary>How it is made and laid; null: as the plant's cables.</summary>
        public CableInstallation? Installation { get; init; }

        /// <summary>Cross-section of its protective conductor, mm²; not known: by the phase conductors (IEC 60364-5-54).</summary>
        public Given ProtectiveMm2 { get; init; }

        /// <summary>Why this section, where it is not the proposed one; empty when none was given.</summary>
        public string Reason { get; init; } = string.Empty;
    }
}

/// <summary>Cable from converter to motor.</summary>
/// <param name="LengthM">Length, m.</param>
/// <param name="CrossSectionMm2">Cross-section, mm².</param>
/// <param name="ParallelRuns">Cables side by side, 1 to 12.</param>
/// <param name="Material">Conductor metal.</param>
/// <param name="Screened">With a concentric screen.</param>
public sealed record MotorCable(Given LengthM, Given CrossSectionMm2, int ParallelRuns, ConductorMaterial Material, bool Screened)
{
    /// <summary>How it is made and laid; null: as the plant's cables.</summary>
    public CableInstallation? Installation { get; init; }

    /// <summary>Cross-section of its protective conductor, mm²; not known: by the phase conductors (IEC 60364-5-54).</summary>
    public Given ProtectiveMm2 { get; init; }

    /// <summary>Why this section, where it is not the proposed one; empty when none was given.</summary>
    public string Reason { get; init; } = string.Empty;
}
