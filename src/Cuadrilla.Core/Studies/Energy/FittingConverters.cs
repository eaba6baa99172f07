using System.Runtime.CompilerServices;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary>
/// Of each family of converters the smallest that carries a motor at this place, for ever and in its peaks; of the chosen family
/// the chosen one. Single-phase inputs, servo drives and modules are bought for other reasons than energy, and are compared only
/// when one is chosen.
/// </summary>
internal sealed class FittingConverters
{
    private const double SameVoltagePu = 0.15;

    private static readonly ConditionalWeakTable<IReadOnlyList<ConverterItem>, IReadOnlyList<Family>> Known = [];

    private readonly CompleteDrive model;
    private readonly OverloadDuty duty;
    private readonly double khz;
    private readonly SupplyFeed feed;
    private readonly List<Family> families;
    private readonly Dictionary<ConverterItem, ConverterAtSite> atSite = new(ReferenceEqualityComparer.Instance);
    private readonly Dictionary<(string MotorId, double OutputPu), Need> needs = [];
    private readonly Dictionary<string, MotorRamp?> ramps = new(StringComparer.Ordinal);
    private readonly Dictionary<string, double> leastA = new(StringComparer.Ordinal);

    public FittingConverters(CompleteDrive model)
    {
        this.model = model;
        (duty, khz, feed) = model.Converter is { } c ? (c.Duty, c.SwitchingKhz, c.Feed) : (OverloadDuty.Light, 4.0, SupplyFeed.ThreePhase);
        var chosen = model.Converter?.Item.Family;
        families = [.. Known.GetValue(MadeFor.Converters(model.Data, model.Input.BusVoltageV), Grouped)
            .Where(f => f.Name == chosen || f.IsGeneralPurpose)];
    }

    /// <summary>Converters for a motor, with the motor as it works behind each.</summary>
    public IEnumerable<(MotorLossModel Motor, ConverterAtSite Converter)> For(MotorItem motor)
    {
        // What is specified is always one of the ways, whatever its voltage or catalogue.
        var specified = motor.Id == model.MotorItem.Id ? model.Converter : null;
        if (specified is not null)
        {
            yield return (model.Motor, specified);
        }

        var chosen = specified?.Item.Family;
        foreach (var family in families.Where(f => f.Name != chosen))
        {
            if (Smallest(motor, family.Items) is { } found)
            {
                yield return found;
            }
        }
    }

    private static List<Family> Grouped(IReadOnlyList<ConverterItem> items) =>
    [
        .. items.OrderBy(i => i.RatedKw).ThenBy(i => i.PriceIndex).GroupBy(i => i.Family)
            .Select(g => new Family(g.Key, g.Any(i => i.IsGeneralPurpose), [.. g])),
    ];

    private (MotorLossModel Motor, ConverterAtSite Converter)? Smallest(MotorItem motor, IReadOnlyList<ConverterItem> family)
    {
        // Less voltage never asks for less current: what the motor takes at the full supply rules out the smaller sizes at once.
        var least = LeastCurrentA(motor);
        foreach (var item in family)
        {
            if (DrivePointModel.Mismatch(motor.Plate, item, model.Input.OnDcBus).Length > 0
                || Math.Abs((model.Input.SupplyV(item) / item.RatedVoltageV) - 1) >= SameVoltagePu)
            {
                continue;
            }

            var converter = AtSite(item);
            if (converter.SiteCurrentA < least * SupplyShare(item))
            {
                continue;
            }

            var need = NeedOf(motor, item);
            if (converter.SiteCurrentA >= need.ContinuousA && (need.InTime.Count == 0 || Stands(converter, need)))
            {
                return (need.Motor, converter);
            }
        }

        return null;
    }

    private ConverterAtSite AtSite(ConverterItem item)
    {
        if (!atSite.TryGetValue(item, out var converter))
        {
            converter = new ConverterAtSite(model.Referred(item), duty, khz, model.Input.Site, feed);
            atSite.Add(item, converter);
        }

        return converter;
    }

    private double LeastCurrentA(MotorItem motor)
    {
        if (!leastA.TryGetValue(motor.Id, out var least))
        {
            var connected = model.Linked(motor.Plate, Connection(motor), null, null).Connected;
            least = CurrentDemand.Continuous(model, model.LossModel(connected)).CurrentA;
            leastA.Add(motor.Id, least);
        }

        return least;
    }

    // A single-phase input feeds the motor in another link, with another current.
    private static double SupplyShare(ConverterItem item) => item.FrontEnd is FrontEnd.SinglePhase or FrontEnd.Thyristor ? 0 : 1;

    private MotorConnection Connection(MotorItem motor) =>
        motor.Id == model.MotorItem.Id ? model.MotorChoice.Connection : MotorConnection.Fitting;

    private bool Stands(ConverterAtSite converter, Need need) =>
        OverloadStore.Carries(converter.Overload, converter.SiteCurrentA, need.InTime, model.Load.Cycle is not null);

    // The motor behind a front end: what it gives decides flux and current.
    private Need NeedOf(MotorItem motor, ConverterItem item)
    {
        var key = (motor.Id, item.FrontEnd.LargestOutputPu);
        if (!needs.TryGetValue(key, out var need))
        {
            var connected = model.Linked(motor.Plate, Connection(motor), item, model.Filter).Connected;
            var lossModel = model.LossModel(connected);
            var (currentA, _, _, lowPu) = CurrentDemand.Continuous(model, lossModel);
            ramps.TryGetValue(motor.Id, out var ramp);
            need = new Need(lossModel, currentA / lowPu, StartDemand.Missing(model).Any() ? []
                : CurrentDemand.InTime(model, lossModel, currentA, ref ramp));
            ramps[motor.Id] = ramp;
            needs.Add(key, need);
        }

        return need;
    }

    private sealed record Family(string Name, bool IsGeneralPurpose, IReadOnlyList<ConverterItem> Items);

    private sealed record Need(MotorLossModel Motor, double ContinuousA, IReadOnlyList<CurrentForTime> InTime);
}
