using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>The feeder of a common DC bus's supply module.</summary>
internal sealed class ModuleFeederStudy : FeedStudy
{
    public ModuleFeederStudy(DcBusModel model, Bus bus, SupplyContext supply)
        : base(bus, supply)
    {
        Model = model;
        (FeederCurrent, FeederMissing) = DesignCurrents.OfModule(model, supply);
        Chosen = model.Bus.Device;
    }

    public DcBusModel Model { get; }

    public override string CheckId => string.Empty;

    public override BoardRow Row => BoardRow.Plant;

    public override Feeder Feeder => Model.Bus.Feeder;

    public override string FeederName => $"feeder of {Model.Bus.Name}";

    public override bool HasFeeder => true;

    public override double? ListedA => Model.Module?.LargestFuseA;

    // Plates of modules state kilowatts: the solved rms, distorted as it is, at its rated power. Hardly loaded it is more distorted than
    // it would be then.
    public override double RatedInputA =>
        Model.Module is { } module && FeederCurrent is { } current && DesignCurrents.SolvedW(Model, Supply) is > 0 and var solvedW
        ? current.CurrentA * module.RatedKw * 1e3 / solvedW
        : 0;

    /// <summary>All checks of the feeders of supply modules and of the fuses on their buses.</summary>
    public static IEnumerable<Check> Checks(SupplyContext supply, IReadOnlyList<DrivePointStudy> studies) => supply.Plant.Lineups
        .SelectMany(l => l.DcBuses.Select(b => DcBusModel.Of(supply.Plant, l, b, studies, supply.Data, supply.Defaults)))
        .SelectMany(m => new ModuleFeederStudy(m, supply.Plant.Distribution.Bus(m.BusId), supply).Checks()
            .Concat(DcFuseChecks.Of(m, supply)));

    private IEnumerable<Check> Checks() =>
    [
        .. CableChecks.OfFeeder(this).Select(c => c.At(Model.Bus.Id)),
        .. DeviceChecks.Of(this).Select(c => (c with { Title = $"{c.Title}, {FeederName}" }).At(Model.Bus.Id)),
    ];
}
