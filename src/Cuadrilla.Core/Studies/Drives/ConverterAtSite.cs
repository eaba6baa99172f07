using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>A converter with its rating brought down to the site, rung by rung.</summary>
public sealed class ConverterAtSite
{
    /// <summary>Brings a rating to a site.</summary>
    public ConverterAtSite(ConverterItem item, OverloadDuty duty, double switchingKhz, Site site, SupplyFeed feed = SupplyFeed.ThreePhase)
    {
        ArgumentNullException.ThrowIfNull(item);
        ArgumentNullException.ThrowIfNull(site);
        Item = item;
        Duty = duty;
        SwitchingKhz = switchingKhz;
        AmbientPu = item.Derating.AmbientPu(site.CabinetAirC);
        AltitudePu = item.Derating.AltitudePu(site.AltitudeM);
        SwitchingPu = item.Derating.SwitchingPu(switchingKhz);
        RatedCurrentA = item.RatedCurrentA(duty);
        FeedPu = feed == SupplyFeed.TwoPhases && item.FrontEnd is not FrontEnd.SinglePhase ? item.Derating.SinglePhaseFeedPu : 1;
        Feed = item.FrontEnd is FrontEnd.SinglePhase ? SupplyFeed.ThreePhase : feed;
        SiteCurrentA = RatedCurrentA * AmbientPu * AltitudePu * SwitchingPu * FeedPu;
    }

    /// <summary>Catalogue item.</summary>
    public ConverterItem Item { get; }

    /// <summary>Overload duty.</summary>
    public OverloadDuty Duty { get; }

    /// <summary>Switching frequency, kHz.</summary>
    public double SwitchingKhz { get; }

    /// <summary>Factor for the air at the converter.</summary>
    public double AmbientPu { get; }

    /// <summary>Factor for the altitude.</summary>
    public double AltitudePu { get; }

    /// <summary>Factor for the switching frequency.</summary>
    public double SwitchingPu { get; }

    /// <summary>Factor for being fed by two conductors only.</summary>
    public double FeedPu { get; }

    /// <summary>How it is connected; a single-phase input is what it is.</summary>
    public SupplyFeed Feed { get; }

    /// <summary>Rated continuous current of the duty, A.</summary>
    public double RatedCurrentA { get; }

    /// <summary>Continuous current at the site, A.</summary>
    public double SiteCurrentA { get; }

    /// <summary>Overload rating of the duty.</summary>
    public OverloadRating Overload => Item.Overload(Duty);

    /// <summary>Loss of inverter and diode bridge at an output frequency and current, W; what lies ahead of the link not
    /// included.</summary>
    public double LossW(double frequencyPu, double outputCurrentA) =>
        Item.StandbyW + ((Item.Losses.At(frequencyPu, outputCurrentA / Item.LightCurrentA,
            Item.StandbyW) - Item.StandbyW) * Item.SwitchingLoss.FactorPu(SwitchingKhz));
}
