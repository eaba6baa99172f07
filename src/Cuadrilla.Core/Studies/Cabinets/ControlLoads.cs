using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>What control of a lineup takes at 24 V: of its own units, coils, brakes and cards of the controller.</summary>
/// <param name="SteadyA">Everything on, A.</param>
/// <param name="InrushA">The worst moment, A.</param>
/// <param name="Items">What it is.</param>
public sealed record ControlLoad(double SteadyA, double InrushA, IReadOnlyList<string> Items);

/// <summary>Loads of the control supply from the lineup's own data.</summary>
public sealed class ControlLoads
{
    private const double ControlV = 24;

    // Brakes within this of 24 V hang on the control supply, others behind a rectifier.
    private const double NearV = 3;

    private readonly PlantSpecification plant;
    private readonly Lineup lineup;
    private readonly EngineeringData data;
    private readonly List<string> missing = [];

    /// <summary>Gathers them.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="lineup">Lineup of it.</param>
    /// <param name="data">The catalogue with the plant's own items.</param>
    public ControlLoads(PlantSpecification plant, Lineup lineup, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        ArgumentNullException.ThrowIfNull(data);
        (this.plant, this.lineup, this.data) = (plant, lineup, data);
        ByUse = new Dictionary<ControlBranchUse, ControlLoad>
        {
            [ControlBranchUse.Units] = Units(),
            [ControlBranchUse.Coils] = Coils(),
            [ControlBranchUse.Brakes] = Brakes(out var otherW),
            [ControlBranchUse.Controller] = Cards(),
            [ControlBranchUse.Further] = new ControlLoad(0, 0, []),
        };
        OtherBrakesW = otherW;
    }

    /// <summary>By what a branch feeds.</summary>
    public IReadOnlyDictionary<ControlBranchUse, ControlLoad> ByUse { get; }

    /// <summary>Brakes of another voltage, W; they hang on the auxiliary transformer.</summary>
    public double OtherBrakesW { get; }

    /// <summary>What is missing before they are all known.</summary>
    public IReadOnlyList<string> Missing => missing;

    private TerminalSeries Series => data.Terminals;

    // Electronics that are switched on together draw some times their current for a moment.
    private ControlLoad Units()
    {
        List<(string Name, double A)> found = [];
        foreach (var point in lineup.DrivePoints)
        {
            double? kw = point.Converter switch
            {
                ConverterChoice.FromCatalogue c => data.Converters.GetValueOrDefault(c.ItemId)?.RatedKw,
                ConverterChoice.SoftStarter => MotorOf(point)?.RatedPowerW / 1e3,
                _ => null,
            };
            if (kw is { } rated)
            {
                found.Add((point.Tag, Series.Draws.UnitAOf(rated)));
            }
            else if (point.Converter is ConverterChoice.NotChosen or ConverterChoice.SoftStarter)
            {
                missing.Add($"converter or motor of {point.Tag}");
            }
        }

        foreach (var bus in lineup.DcBuses)
        {
            if (data.SupplyModules.TryGetValue(bus.SupplyModuleId, out var module))
            {
                found.Add((bus.Name, Series.Draws.UnitAOf(module.RatedKw)));
            }
            else
            {
                missing.Add($"supply module of {bus.Name}");
            }
        }

        var steady = found.Sum(f => f.A);
        return new ControlLoad(steady, steady * Series.Draws.InrushTimes, Named(found));
    }

    // One contactor pulls in while the others hold; of star-delta's three two are on at a time.
    private ControlLoad Coils()
    {
        List<(string Name, double HoldW, double PullW)> found = [];
        foreach (var point in lineup.DrivePoints)
        {
            var number = point.Converter switch
            {
                ConverterChoice.AcrossTheLine or ConverterChoice.SoftStarter => 1,
                ConverterChoice.StarDelta => 2,
                _ => 0,
            };
            var inSupply = point.Signals?.Wanted.Any(w => w.Function == SignalFunction.SupplyContactor) == true ? 1 : 0;
            if (number + inSupply == 0)
            {
                continue;
            }

            if (MotorOf(point) is not { } motor)
            {
                missing.Add($"motor of {point.Tag}");
                continue;
            }

            var coil = Series.Draws.CoilOf(motor.RatedCurrentA);
            found.AddRange(Enumerable.Repeat((point.Tag, coil.HoldW, coil.PullW), number + inSupply));
        }

        var hold = found.Sum(f => f.HoldW);
        var pull = found.Count == 0 ? 0 : found.Max(f => f.PullW - f.HoldW);
        return new ControlLoad(hold / ControlV, (hold + pull) / ControlV, Named(found.ConvertAll(f => (f.Name, f.HoldW / ControlV))));
    }

    private ControlLoad Brakes(out double otherW)
    {
        otherW = 0;
        List<(string Name, double A)> found = [];
        foreach (var point in lineup.DrivePoints)
        {
            if (point.Brake is not HoldingBrake.SpringApplied brake)
            {
                continue;
            }

            if (brake.Coil is not { VoltageV.IsKnown: true, PowerW.IsKnown: true } coil)
            {
                missing.Add($"coil of the brake of {point.Tag}");
            }
            else if (Math.Abs(coil.VoltageV.Value - ControlV) <= NearV)
            {
                found.Add((point.Tag, coil.PowerW.Value / coil.VoltageV.Value));
            }
            else
            {
                otherW += coil.PowerW.Value;
            }
        }

        var steady = found.Sum(f => f.A);
        return new ControlLoad(steady, steady, Named(found));
    }

    // Cards at the lineup's place; those without a place stand with the first lineup that has a control supply.
    private ControlLoad Cards()
    {
        var first = plant.Lineups.FirstOrDefault(l => l.Control is not null)?.Id == lineup.Id;
        var cards = (plant.Controller?.Cards ?? []).Where(c => c.PlaceId.Length == 0 ? first : c.PlaceId == lineup.PlaceId)
            .Select(c => (c.Name, c.Kind == CardKind.DigitalInput
                ? Series.Draws.CardA + (c.Channels * Series.InputMa / 1e3)
                : Series.Draws.CardA)).ToList();
        var steady = cards.Sum(c => c.Item2);
        return new ControlLoad(steady, steady * Series.Draws.InrushTimes, Named(cards));
    }

    private MotorPlate? MotorOf(DrivePoint point) =>
        point.Motor is MotorChoice.FromCatalogue { ItemId: var id } ? data.Motors.GetValueOrDefault(id)?.Plate : null;

    private static IReadOnlyList<string> Named(List<(string Name, double A)> found) =>
        found.ConvertAll(f => $"{f.Name} {Base.Text.N(f.A, 3)} A");
}
