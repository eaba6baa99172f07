using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Catalogue;

/// <summary>The catalogue that ships: generic series, limits and defaults, read once from the data files of this assembly.</summary>
public static class ReferenceCatalogue
{
    private static readonly Lazy<EngineeringData> Shared = new(Load);

    /// <summary>The catalogue, shared and immutable.</summary>
    public static EngineeringData Data => Shared.Value;

    private static EngineeringData Load() => new()
    {
        Version = DataFile.Read<CatalogueFile>("catalogue.json").Version,
        Motors = MotorSeries.Build(DataFile.Read<MotorSeriesFile>("motors.json")).ToDictionary(m => m.Id, StringComparer.Ordinal),
        Converters = ConverterSeries.Build(Converters).Select(c =>
            c with { LargestFuseA = SwitchgearRules.LargestFuseA(c, Fuses), Emc = Emc.Of(c) })
                .ToDictionary(c => c.Id, StringComparer.Ordinal),
        PccLimits = PccLimitsFile.Build(DataFile.Read<PccLimitsFile>("pcc-limits.json")),
        Defaults = DataFile.Read<DefaultsFile>("defaults.json").Values,
        InletVanes = Curve("inlet-vanes.json"),
        UnbalanceDerating = Curve("unbalance-derating.json"),
        SwitchingNoise = Curve("switching-noise.json"),
        SoftStarters = SoftStarterSeries.Build(DataFile.Read<SoftStarterSeries.File>("soft-starters.json"))
            .Select(s => s with { ThyristorA2s = SwitchgearRules.Listed.ThyristorA2sPerA2 * s.RatedCurrentA * s.RatedCurrentA })
            .ToDictionary(s => s.Id, StringComparer.Ordinal),
        StartPresets = [.. SoftStarterSeries.Presets(DataFile.Read<SoftStarterSeries.PresetFile>("start-presets.json"))],
        SupplyModules = ConverterSeries.SupplyModules(Converters)
            .Select(m => m with { LargestFuseA = SwitchgearRules.LargestFuseA(m, Fuses), Emc = Emc.Of(m) })
            .ToDictionary(m => m.Id, StringComparer.Ordinal),
        OutputFilters = DataFile.Read<FilterFile>("output-filters.json").Filters,
        ReferenceModules = [.. DataFile.Read<ModuleFile>("reference-drives.json").Modules.Select(m => new CurvePoint(m[0], m[1]))],
        Equipment = EquipmentLimitsFile.Build(DataFile.Read<EquipmentLimitsFile>("equipment-limits.json")),
        Cabinets = DataFile.Read<CabinetFile>("cabinets.json").Build(),
        Terminals = DataFile.Read<TerminalFile>("terminals.json").Build(),
        Commissioning = DataFile.Read<CommissioningFile>("commissioning.json").Build(),
        Regions = DataFile.Read<RegionFile>("regions.json").Regions,
        BrakePresets = DataFile.Read<BrakePresetFile>("brake-presets.json").Build(),
        UsualEntries = DataFile.Read<UsualEntryFile>("usual-entries.json").Values,
        UsualSupplies = DataFile.Read<SupplyFile>("usual-supplies.json").Supplies,
        Transformers = DataFile.Read<TransformerFile>("transformers.json").Build(),
        BrakeResistors = [.. BrakeResistorSeries.Build(DataFile.Read<BrakeResistorSeries.File>("brake-resistors.json"))],
        Cables = DataFile.Read<CableCapacityFile>("cable-capacities.json").Build(),
        GgFuses = Fuses,
        UsConductors = DataFile.Read<UsConductorFile>("us-conductors.json").Build(),
        Switchgear = SwitchgearRules.Build(),
        Compatibility = CompatibilityFile.Build(DataFile.Read<CompatibilityFile>("compatibility-levels.json")),
    };

    private static GgFuses Fuses { get; } = DataFile.Read<GgFuseFile>("gg-fuses.json").Build();

    private static SwitchgearFile SwitchgearRules { get; } = DataFile.Read<SwitchgearFile>("switchgear.json");

    private static EmcFile Emc { get; } = DataFile.Read<EmcFile>("emc-declarations.json");

    private static ConverterSeriesFile Converters => DataFile.Read<ConverterSeriesFile>("converters.json");

    private static IReadOnlyList<CurvePoint> Curve(string file) =>
        [.. DataFile.Read<CurveFile>(file).Points.Select(p => new CurvePoint(p[0], p[1]))];

    internal sealed record CatalogueFile(string Version, string Note);

    internal sealed record DefaultsFile(string Edition, IReadOnlyList<DefaultValue> Values);

    internal sealed record FilterFile(string Source, string Edition, IReadOnlyList<OutputFilterItem> Filters);

    internal sealed record UsualEntryFile(string Source, string Edition, IReadOnlyList<UsualValue> Values);

    internal sealed record SupplyFile(string Source, string Edition, IReadOnlyList<UsualSupply> Supplies);

    internal sealed record RegionFile(string Source, string Edition, IReadOnlyList<Region> Regions);

    internal sealed record ModuleFile(string Source, string Edition, IReadOnlyList<double[]> Modules);

    internal sealed record CurveFile(string Source, string Edition, IReadOnlyList<double[]> Points);
}
