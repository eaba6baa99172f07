using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Sun;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Commands;

/// <summary>Feeds a pump from the sun instead of its lineup, or back from it.</summary>
/// <param name="PointId">Key of the drive point.</param>
/// <param name="Back">True: back to its lineup.</param>
public sealed record FeedFromSun(string PointId, bool Back = false) : PlantCommand
{
    private const int MonthsInYear = 12;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.AllDrivePoints().FirstOrDefault(p => p.Id == PointId) is not { } point)
        {
            return CommandOutcome.Not("pointId", "There is no such drive point.");
        }

        if (Back)
        {
            return new CommandOutcome.Done(plant.Changed([PointId], p => p with { Sun = null }), $"{point.Tag}: fed from its lineup", []);
        }

        if (point.Load is not (PumpLoad or UnspecifiedLoad))
        {
            return CommandOutcome.Not("pointId",
                $"{point.Tag} drives no centrifugal pump: only pumps take their power as the sun gives it.");
        }

        if (point.StepUp is not null || point.Converter.IsOnLine())
        {
            return CommandOutcome.Not("pointId",
                $"{point.Tag} runs on a starter or behind a step-up transformer: the sun feeds a converter that feeds its motor.");
        }

        if (plant.DcBusOf(PointId) is not null || plant.GroupOf(PointId) is not null)
        {
            return CommandOutcome.Not("pointId", $"{point.Tag} shares a DC bus or a converter; take it out of that first.");
        }

        var open = SunSupply.Open with
        {
            Place = new SunPlace
            {
                Months = [.. Enumerable.Repeat(new SunMonth(Given.Unknown, Given.Unknown, Given.Unknown), MonthsInYear)],
            },
        };
        return new CommandOutcome.Done(plant.Changed([PointId], p => p with { Sun = p.Sun ?? open }), $"{point.Tag}: fed from the sun", []);
    }
}

/// <summary>Chooses how modules are connected; a string that passes a limit on a cold dawn is refused.</summary>
/// <param name="PointId">Key of the drive point.</param>
/// <param name="InSeries">Modules in series.</param>
/// <param name="InParallel">Strings.</param>
public sealed record ChooseString(string PointId, int InSeries, int InParallel) : PlantCommand
{
    private const int MostInSeries = 60;
    private const int MostInParallel = 200;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.AllDrivePoints().FirstOrDefault(p => p.Id == PointId) is not { Sun: not null } point)
        {
            return CommandOutcome.Not("pointId", "There is no such drive point on the sun.");
        }

        if (InSeries is < 1 or > MostInSeries)
        {
            return CommandOutcome.Not("inSeries", $"{InSeries} modules in series; allowed: 1 to {MostInSeries}.");
        }

        if (InParallel is < 1 or > MostInParallel)
        {
            return CommandOutcome.Not("inParallel", $"{InParallel} strings; allowed: 1 to {MostInParallel}.");
        }

        if (SunFeed.Of(studies.Study(plant, point).Model) is not { LimitV: { } limit, UocColdV: { } cold } feed)
        {
            return CommandOutcome.Not("inSeries",
                $"{point.Tag}: module, converter, coldest dawn and direct voltages are to be known before a string is chosen.");
        }

        if (InSeries * cold > limit.V)
        {
            return CommandOutcome.Not("inSeries",
                $"{InSeries} modules reach {Text.N(InSeries * cold)} V on a cold dawn; the {limit.Whose} stands {Text.N(limit.V)} V: at "
                    + $"most {feed.MostInSeries}.");
        }

        var strings = point.Sun.Strings with
        {
            InSeries = InSeries, InParallel = InParallel,
            FuseA = PvString.NeedsFuses(feed.Module, InParallel) && PvString.FuseA(feed.Module) is { } rated ? rated : Given.Unknown,
        };
        return new CommandOutcome.Done(plant.Changed([PointId], p => p with { Sun = p.Sun! with { Strings = strings } }),
            CommandOutcome.Shortened($"{point.Tag}: {InParallel} strings of {InSeries} modules"), []);
    }
}
