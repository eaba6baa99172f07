using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Harmonics.Limits;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Catalogue;

/// <summary>What the catalogue supplies to an assessment. Made once, shared, never changed.</summary>
/// <param name="Version">Version of the catalogue.</param>
/// <param name="Motors">Motors by key.</param>
/// <param name="Converters">Converters by key.</param>
/// <param name="PccLimits">Limits at the point of common coupling.</param>
/// <param name="Defaults">Default limits and constants, in the order to show them.</param>
/// <param name="InletVanes">Shaft power over flow with inlet vanes, both in parts of the rated, ascending in flow.</param>
/// <param name="UnbalanceDerating">Permitted load of a motor on the line over unbalance in %, ascending.</param>
/// <param name="SwitchingNoise">Rise of the sound level in dB(A) over switching frequency in kHz, ascending.</param>
/// <param name="SoftStarters">Soft starters by key.</param>
/// <param name="StartPresets">Usual settings by kind of machine.</param>
/// <param name="SupplyModules">Supply modules of common DC buses by key.</param>
/// <param name="OutputFilters">Filters between converter and motor.</param>
/// <param name="ReferenceModules">Loss in W of the reference drive module over motor power in kW, ascending.</param>
/// <param name="Equipment">Limits of single pieces of equipment on public systems.</param>
/// <param name="Compatibility">Levels of harmonic voltage inside plants.</param>
public sealed record EngineeringData(
    string Version,
    IReadOnlyDictionary<string, MotorItem> Motors,
    IReadOnlyDictionary<string, ConverterItem> Converters,
    HarmonicLimits PccLimits,
    IReadOnlyList<DefaultValue> Defaults,
    IReadOnlyList<CurvePoint> InletVanes,
    IReadOnlyList<CurvePoint> UnbalanceDerating,
    IReadOnlyList<CurvePoint> SwitchingNoise,
    IReadOnlyDictionary<string, SoftStarterItem> SoftStarters,
    IReadOnlyList<StartPreset> StartPresets,
    IReadOnlyDictionary<string, SupplyModuleItem> SupplyModules,
    IReadOnlyList<OutputFilterItem> OutputFilters,
    IReadOnlyList<CurvePoint> ReferenceModules,
    EquipmentLimits Equipment,
    CompatibilityLevels Compatibility);

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
