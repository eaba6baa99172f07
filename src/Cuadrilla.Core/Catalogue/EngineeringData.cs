using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Harmonics.Limits;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Signals;

namespace Cuadrilla.Core.Catalogue;

/// <summary>What the catalogue supplies to an assessment. Made once, shared, never changed.</summary>
public sealed record EngineeringData
{
    /// <summary>Version of the catalogue.</summary>
    public required string Version { get; init; }

    /// <summary>Capacities of cables.</summary>
    public required CableTables Cables { get; init; }

    /// <summary>gG fuses.</summary>
    public required GgFuses GgFuses { get; init; }

    /// <summary>Conductors and ratings of the US installation code.</summary>
    public required UsConductors UsConductors { get; init; }

    /// <summary>Generic protective and switching devices.</summary>
    public required SwitchgearSeries Switchgear { get; init; }

    /// <summary>The project's own devices that protect, smallest first; where there are some of a kind, they go before the generic
    /// series.</summary>
    public IReadOnlyList<OwnDevice> OwnDevices { get; init; } = [];

    /// <summary>Motors by key.</summary>
    public required IReadOnlyDictionary<string, MotorItem> Motors { get; init; }

    /// <summary>Converters by key.</summary>
    public required IReadOnlyDictionary<string, ConverterItem> Converters { get; init; }

    /// <summary>Limits at the point of common coupling.</summary>
    public required HarmonicLimits PccLimits { get; init; }

    /// <summary>Default limits and constants, in the order to show them.</summary>
    public required IReadOnlyList<DefaultValue> Defaults { get; init; }

    /// <summary>Shaft power over flow with inlet vanes, both in parts of the rated, ascending in flow.</summary>
    public required IReadOnlyList<CurvePoint> InletVanes { get; init; }

    /// <summary>Permitted load of a motor on the line over unbalance in %, ascending.</summary>
    public required IReadOnlyList<CurvePoint> UnbalanceDerating { get; init; }

    /// <summary>Rise of the sound level in dB(A) over switching frequency in kHz, ascending.</summary>
    public required IReadOnlyList<CurvePoint> SwitchingNoise { get; init; }

    /// <summary>Soft starters by key.</summary>
    public required IReadOnlyDictionary<string, SoftStarterItem> SoftStarters { get; init; }

    /// <summary>Usual settings by kind of machine.</summary>
    public required IReadOnlyList<StartPreset> StartPresets { get; init; }

    /// <summary>Supply modules of common DC buses by key.</summary>
    public required IReadOnlyDictionary<string, SupplyModuleItem> SupplyModules { get; init; }

    /// <summary>Filters between converter and motor.</summary>
    public required IReadOnlyList<OutputFilterItem> OutputFilters { get; init; }

    /// <summary>Loss in W of the reference drive module over motor power in kW, ascending.</summary>
    public required IReadOnlyList<CurvePoint> ReferenceModules { get; init; }

    /// <summary>Limits of single pieces of equipment on public systems.</summary>
    public required EquipmentLimits Equipment { get; init; }

    /// <summary>Laws on motors by where the plant stands.</summary>
    public required IReadOnlyList<Region> Regions { get; init; }

    /// <summary>Generic sections and sizes of what stands in them.</summary>
    public required CabinetSeries Cabinets { get; init; }

    /// <summary>Usual terminals of units and what control takes.</summary>
    public required TerminalSeries Terminals { get; init; }

    /// <summary>What measurements on site are held to.</summary>
    public required CommissioningRules Commissioning { get; init; }

    /// <summary>Supplies to start a plant from, the first where none is named.</summary>
    public required IReadOnlyList<UsualSupply> UsualSupplies { get; init; }

    /// <summary>Settings of holding brakes to start from, for kinds of machines; the last is for any.</summary>
    public required IReadOnlyList<BrakePreset> BrakePresets { get; init; }

    /// <summary>Values that are proposed for open entries of a drive point.</summary>
    public required IReadOnlyList<UsualValue> UsualEntries { get; init; }

    /// <summary>Standard sizes of transformers.</summary>
    public required IReadOnlyList<TransformerSeries> Transformers { get; init; }

    /// <summary>Brake resistors, by continuous power and resistance.</summary>
    public required IReadOnlyList<BrakeResistorItem> BrakeResistors { get; init; }

    /// <summary>Levels of harmonic voltage inside plants.</summary>
    public required CompatibilityLevels Compatibility { get; init; }
}

/// <summary>A default that a project may override.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Name">What it is.</param>
/// <param name="Value">Its value.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Min">Least permitted project value.</param>
/// <param name="Max">Largest permitted project value.</param>
/// <param name="Source">Where it comes from.</param>
public sealed record DefaultValue(string Key, string Name, double Value, string Unit, double Min, double Max, string Source);

/// <summary>A project value that replaces a default of the catalogue.</summary>
/// <param name="Key">Key of the default, for example <c>tight-margin-pct</c>.</param>
/// <param name="Value">The project's value in the unit of the default.</param>
/// <param name="Reason">Why.</param>
public sealed record DefaultOverride(string Key, double Value, string Reason);
