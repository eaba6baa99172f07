using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.RandomPlants;

/// <summary>Choices of motors, converters and starters for drive points.</summary>
internal sealed class RandomChoices(Draw draw, EngineeringData data, IReadOnlyList<OwnMotor> motors, IReadOnlyList<OwnConverter> converters)
{
    private readonly IReadOnlyList<MotorItem> motorItems = [.. data.Motors.Values.Where(IsDrawn)];
    private readonly IReadOnlyList<ConverterItem> converterItems = [.. data.Converters.Values.Where(c => c.RatedKw is >= 0.75 and <= 400
        && c.RatedVoltageV is 230 or 400 && !c.Id.Contains("-230v", StringComparison.Ordinal))];
    private readonly IReadOnlyList<SoftStarterItem> starterItems = [.. data.SoftStarters.Values];

    /// <summary>A motor with its rated power in kW and speed in rpm.</summary>
    public (MotorChoice Choice, double Kw, double Rpm) Motor(bool cage = false)
    {
        if (draw.Chance(5))
        {
            return (new MotorChoice.NotChosen(), draw.Size(0.5, 200), 1480);
        }

        if (motors.Count > 0 && !cage && draw.Chance(30))
        {
            var own = draw.One(motors);
            return (Choice(own.Id), own.RatedPowerKw, own.RatedSpeedRpm);
        }

        var item = draw.One(motorItems);
        while (cage && item.Technology != MotorTechnology.CageInduction)
        {
            item = draw.One(motorItems);
        }

        return (Choice(item.Id), item.Plate.RatedPowerW / 1e3, item.Plate.RatedSpeedRpm);
    }

    public ConverterChoice Converter(double kw)
    {
        switch (draw.Whole(0, 9))
        {
            case 0:
                return new ConverterChoice.NotChosen();
            case 1:
                return new ConverterChoice.AcrossTheLine(draw.One<TripClass>(), draw.One([0.0, 1, 10]), string.Empty);
            case 2:
                return draw.Chance(40)
                    ? new ConverterChoice.StarDelta(draw.Size(0.5, 60), draw.One<TripClass>(), draw.One([0.0, 4]), string.Empty)
                    : new ConverterChoice.SoftStarter(draw.One(starterItems).Id, Settings(), draw.One<TripClass>(), draw.One([0.0, 2, 20]),
                        string.Empty);
            case 3 when converters.Count > 0:
                return FromCatalogue(draw.One(converters).Id);
            default:
                return FromCatalogue(Near(kw, _ => true).Id);
        }
    }

    /// <summary>A converter of the catalogue; usually near the size, sometimes any.</summary>
    public ConverterItem Near(double kw, Func<ConverterItem, bool> fits)
    {
        var all = converterItems.Where(fits).ToList();
        var near = all.Where(c => c.RatedKw >= 0.7 * kw && c.RatedKw <= 2 * kw).ToList();
        return near.Count > 0 && draw.Chance(85) ? draw.One(near) : draw.One(all);
    }

    public ConverterChoice.FromCatalogue FromCatalogue(string id) => new(
        id, draw.One<OverloadDuty>(), draw.One([1.0, 2, 4, 4, 8, 16]), string.Empty,
        draw.Whole(0, 6) switch
        {
            0 => new Braking.Coast(),
            1 => new Braking.DcInjection(draw.Even(20, 200)),
            2 => new Braking.Flux(draw.Even(100, 140)),
            3 => new Braking.Resistor(draw.MaybeSize(0.5, 200), draw.MaybeSize(0.05, 50)),
            4 => new Braking.ToLine(),
            _ => new Braking.Nothing(),
        },
        draw.Chance(70) ? OutputFilter.None : draw.One<OutputFilter>(),
        draw.Chance(92) ? SupplyFeed.ThreePhase : SupplyFeed.TwoPhases,
        draw.One<MotorControl>(),
        draw.Chance(92) ? 1 : draw.Whole(2, 4),
        draw.One<ModuleWiring>());

    private MotorChoice.FromCatalogue Choice(string id) =>
        new(id, draw.One<MotorCooling>(), draw.One<ThermalClass>(), draw.Chance(70) ? MotorConnection.Fitting : draw.One<MotorConnection>(),
            draw.Chance(50), string.Empty);

    private SoftStarterSettings Settings()
    {
        var mode = draw.One<SoftStartMode>();
        return new SoftStarterSettings(
            mode, mode == SoftStartMode.VoltageRamp ? draw.Even(10, 80) : draw.Even(100, 300), draw.Even(0, 30), draw.Even(150, 500),
            draw.One([0.0, 0, 70]), draw.One([0.0, 0.5]), draw.Chance(20),
            draw.One([0.0, 10]));
    }

    // Motors of 400 V plants up to 355 kW, of the usual speeds: a seed draws the same plant whatever else the catalogue holds.
    private static bool IsDrawn(MotorItem m) =>
        m.Series == "reference motors" && m.Plate.RatedPowerW is >= 750 and <= 355e3
        && (m.Technology == MotorTechnology.CageInduction
            || (m.Plate.RatedSpeedRpm == (m.Technology == MotorTechnology.Servo ? 3000 : 1500) && m.Plate.RatedVoltageV is 400 or 440));
}
