using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>What starts a motor that then runs on the line.</summary>
/// <param name="Choice">The choice.</param>
/// <param name="Item">Soft starter; null for contactors.</param>
public sealed record StarterAtSite(ConverterChoice Choice, SoftStarterItem? Item)
{
    /// <summary>Trip class of the motor's protection.</summary>
    public TripClass Trip => Choice switch
    {
        ConverterChoice.AcrossTheLine a => a.Trip,
        ConverterChoice.StarDelta s => s.Trip,
        ConverterChoice.SoftStarter s => s.Trip,
        _ => throw new InvalidOperationException("Not a starter."),
    };

    /// <summary>What it is, in a few words.</summary>
    public string Name => Choice switch
    {
        ConverterChoice.AcrossTheLine => "across the line",
        ConverterChoice.StarDelta => "star-delta",
        ConverterChoice.SoftStarter s => s.Settings.InsideDelta ? "soft starter inside the delta" : "soft starter",
        _ => throw new InvalidOperationException("Not a starter."),
    };

    /// <summary>Loss while the motor runs, bypass closed, W.</summary>
    public double RunningLossW => Item?.AuxiliaryW ?? 0;

    /// <summary>Price in index points; contactors are counted as nothing beside a motor.</summary>
    public double PriceIndex => Item?.PriceIndex ?? 0;

    /// <summary>The starter of a choice; null when it is a converter or nothing.</summary>
    public static StarterAtSite? Of(ConverterChoice choice, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(data);
        return choice switch
        {
            ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta => new StarterAtSite(choice, null),
            ConverterChoice.SoftStarter s when data.SoftStarters.TryGetValue(s.ItemId, out var item) => new StarterAtSite(choice, item),
            _ => null,
        };
    }
}
