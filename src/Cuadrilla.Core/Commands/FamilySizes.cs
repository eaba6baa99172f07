using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Commands;

/// <summary>Sizes of one family at one voltage, as commands take them: the smallest that is large enough, else the largest.</summary>
internal static class FamilySizes
{
    // Units of one class of voltage: 380 to 415 V, 460 to 500 V.
    private const double SameVoltagePu = 0.15;

    /// <summary>The same settings on the size that carries a current for ever, derating left aside.</summary>
    public static ConverterChoice.FromCatalogue Carrying(ConverterChoice.FromCatalogue choice, double currentA, EngineeringData data) =>
        data.Converters.TryGetValue(choice.ItemId, out var now) && Generic(now.Family, now.RatedVoltageV, data) is { Count: > 0 } sizes
            ? choice with { ItemId = (sizes.Find(c => c.RatedCurrentA(choice.Duty) >= currentA) ?? sizes[^1]).Id }
            : choice;

    /// <summary>The same settings on a unit of another family of its size; null where that family has none at its voltage.</summary>
    public static ConverterChoice.FromCatalogue? InFamily(ConverterChoice.FromCatalogue choice, string family, Braking braking,
        EngineeringData data) =>
        data.Converters.TryGetValue(choice.ItemId, out var now) && Generic(family, now.RatedVoltageV, data) is { Count: > 0 } sizes
            ? choice with { ItemId = (sizes.Find(c => c.RatedKw >= now.RatedKw) ?? sizes[^1]).Id, Braking = braking }
            : null;

    /// <summary>The smallest diode supply module of so much power at a voltage, else the largest; null where there is none.</summary>
    public static SupplyModuleItem? DiodeModule(double kw, double voltageV, EngineeringData data)
    {
        var sizes = data.SupplyModules.Values.Where(m => m.Kind == SupplyModuleKind.Diode && Same(m.RatedVoltageV, voltageV))
            .OrderBy(m => m.RatedKw).ToList();
        return sizes.Find(m => m.RatedKw >= kw) ?? sizes.LastOrDefault();
    }

    /// <summary>Rated current of a drive point's motor, A; null while none is chosen: then nothing is sized by it.</summary>
    public static double? MotorCurrentA(DrivePoint point, EngineeringData data) =>
        point.Motor is MotorChoice.FromCatalogue motor && data.Motors.TryGetValue(motor.ItemId, out var item)
            ? item.Plate.RatedCurrentA
            : null;

    private static List<ConverterItem> Generic(string family, double voltageV, EngineeringData data) =>
        [.. data.Converters.Values.Where(c => c.Family == family && c.OwnName.Length == 0 && Same(c.RatedVoltageV, voltageV))
            .OrderBy(c => c.RatedKw)];

    private static bool Same(double voltageV, double otherV) => Math.Abs((voltageV / otherV) - 1) < SameVoltagePu;
}
