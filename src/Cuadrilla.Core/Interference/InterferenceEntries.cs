using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Interference;

/// <summary>Residual-current device by the residual currents that it sees (IEC 62423, IEC 61008).</summary>
public enum ResidualKind
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>None.</summary>
    None,

    /// <summary>Type AC.</summary>
    TypeAc,

    /// <summary>Type A.</summary>
    TypeA,

    /// <summary>Type F.</summary>
    TypeF,

    /// <summary>Type B.</summary>
    TypeB,

    /// <summary>Relay or monitor with a summation transformer, for smooth direct currents too.</summary>
    MonitorB,
}

/// <summary>A residual-current device.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="RatedMa">Rated residual current I_Δn, mA.</param>
public sealed record ResidualDevice(ResidualKind Kind, Given RatedMa)
{
    /// <summary>Not stated.</summary>
    public static ResidualDevice NotStated { get; } = new(ResidualKind.NotStated, Given.Unknown);

    /// <summary>True where there is one.</summary>
    public bool IsFitted => Kind is not (ResidualKind.NotStated or ResidualKind.None);
}

/// <summary>Filter, earth and cables' ends of a drive point as far as interference asks.</summary>
/// <param name="Filter">EMC filter of its converter.</param>
/// <param name="LinksOpen">True where the earth links of filter and varistors are open.</param>
/// <param name="Residual">Residual-current device of its feeder.</param>
/// <param name="EarthDouble">True with a second, equal protective conductor.</param>
/// <param name="EarthMonitored">True where the loss of the protective conductor disconnects it.</param>
/// <param name="FrameBonded">True where the motor's frame is bonded to the machine that it drives.</param>
/// <param name="ShaftRing">True with an earthing ring at the motor's shaft.</param>
/// <param name="CommonModeCores">True with cores around the phases at the converter's output.</param>
/// <param name="PlaceId">Where its converter stands; empty: where its lineup does.</param>
/// <param name="MotorPlaceId">Where its motor stands; empty: not stated.</param>
public sealed record PointInterference(
    EmcFilter Filter, bool LinksOpen, ResidualDevice Residual, bool EarthDouble, bool EarthMonitored, bool FrameBonded, bool ShaftRing,
    bool CommonModeCores, string PlaceId,
    string MotorPlaceId)
{
    /// <summary>Nothing stated.</summary>
    public static PointInterference NotStated { get; } = new(EmcFilter.AsDelivered, false, ResidualDevice.NotStated, false, false, false,
        false, false, string.Empty, string.Empty);
}
