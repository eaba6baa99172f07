using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary><c>emc.it-system</c>: on systems whose conductors are not held near earth the links of filter and varistors are open, and a
/// monitor watches.</summary>
internal static class ItSystemCheck
{
    public const string Id = "emc.it-system";
    public const string Title = "Filter on this earthing system";

    public static IEnumerable<Check> Of(DrivePointModel model, Bus bus)
    {
        if (model.WholeItem is not { } item || model.Input.HasNoLine || model.Input.Group is { IsHead: false }
            || bus.Earthing is not (EarthingSystem.It or EarthingSystem.CornerEarthed))
        {
            yield break;
        }

        var stated = model.Input.DrivePoint.Interference;
        yield return Judged(model.Id, BoardRow.Converter, Title, bus, stated.LinksOpen, item.Emc.Of(stated.Filter));
    }

    /// <summary>The same of a supply module of a common DC bus; null where its system asks nothing.</summary>
    public static Check? Of(CommonDcBus dc, SupplyModuleItem module, Bus bus) =>
        bus.Earthing is EarthingSystem.It or EarthingSystem.CornerEarthed
        ? Judged(string.Empty, BoardRow.Plant, $"{Title}, {dc.Name}", bus, dc.LinksOpen, module.Emc.Of(dc.EmcFilter)).At(dc.Id)
        : null;

    private static Check Judged(string pointId, BoardRow row, string title, Bus bus, bool links, EmcFilter filter)
    {
        var isIt = bus.Earthing == EarthingSystem.It;
        if (isIt && !bus.InsulationMonitored && links)
        {
            return Check.Lacking(Id, pointId, row, title,
                [$"insulation monitor for systems with converters at {bus.Name}, one in each system that is connected"]);
        }

        return CheckWriter.Rule(
            Id, pointId, row, title, links ? Verdict.Holds : Verdict.Fails,
            "Relief: open the links of filter and varistors to earth as the maker describes, with the converter dead and its link "
                + "discharged.",
            new Reason(
                isIt ? "IT: links open; a monitor for converters, alarm at 100 Ω/V, trip at 50 Ω/V, one in each system"
                    : "corner earthed: links open",
                $"{(isIt ? "IT" : "corner earthed")} at {bus.Name}; links "
                    + $"{(links ? "open" : "closed")}{(filter is EmcFilter.None ? ", varistors alone" : string.Empty)}: "
                + $"with an earth fault a phase stands at {Text.N(bus.NominalVoltageV)} V against earth, 1.7 times what filter and "
                + "varistors are made for",
                "IEC 61800-3; IEC 61557-8; IEC 60364-4-41, 411.6", [ReasonInput.Of("voltage", bus.NominalVoltageV, "V", bus.Name)]));
    }
}
