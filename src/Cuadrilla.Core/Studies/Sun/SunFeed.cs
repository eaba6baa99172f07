using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Sun;

/// <summary>The array of a drive point against what hangs on it: voltages cold and hot, currents, limits.</summary>
public sealed class SunFeed
{
    // Light at which data sheets state their figures.
    private const double StandardWPerM2 = 1000;

    private SunFeed(DrivePointModel model, SunSupply sun, PvModule module)
    {
        (Model, Sun, Module) = (model, sun, module);
        ConverterV = model.Converter is { } converter
            ? model.Input.Defaults.Links.RatingV(converter.Item.RatedVoltageV / converter.Item.ReferredPu)
            : null;
    }

    /// <summary>The drive point.</summary>
    public DrivePointModel Model { get; }

    /// <summary>What is entered.</summary>
    public SunSupply Sun { get; }

    /// <summary>The module.</summary>
    public PvModule Module { get; }

    /// <summary>Greatest direct voltage of the converter, V; null while none is chosen.</summary>
    public double? ConverterV { get; }

    /// <summary>Direct voltage below which the converter trips, V; null while none is chosen.</summary>
    public double? LeastLinkV => Model.Converter is { } converter
        ? Model.Input.Defaults.Links.LinkLowPu * converter.Item.NoLoadLinkVoltageV / converter.Item.ReferredPu
        : null;

    /// <summary>Modules in series; null while not chosen.</summary>
    public int? InSeries => Sun.Strings.InSeries is { IsKnown: true } n ? (int)n.Value : null;

    /// <summary>Strings; null while not chosen.</summary>
    public int? InParallel => Sun.Strings.InParallel is { IsKnown: true } n ? (int)n.Value : null;

    /// <summary>Open-circuit voltage of a module on the coldest dawn, V; null while that is open.</summary>
    public double? UocColdV => Sun.Place.ColdestC is { IsKnown: true } cold ? Module.UocAtV(cold.Value) : null;

    /// <summary>Voltage of a module at its greatest power on the hottest noon, V.</summary>
    public double? UmpHotV => Sun.Place.HottestC is { IsKnown: true } hot
        ? Module.UmpAtV(PvArray.CellC(Module.NoctC, hot.Value, StandardWPerM2))
        : null;

    /// <summary>Least of the limits of converter, modules and switchgear, V; null while one is open.</summary>
    public (double V, string Whose)? LimitV => ConverterV is { } converter && Sun.Module.MaximumV.IsKnown && Sun.Strings.SwitchgearV.IsKnown
        ? new (double V, string Whose)[]
        {
            (converter, "converter"), (Sun.Module.MaximumV.Value, "modules"), (Sun.Strings.SwitchgearV.Value, "switchgear"),
        }.MinBy(l => l.V)
        : null;

    /// <summary>Greatest number of modules in series; null while its limits are open.</summary>
    public int? MostInSeries => LimitV is { } limit && UocColdV is { } cold ? PvString.MostModules(limit.V, cold) : null;

    /// <summary>Rated power of the array, kW; null while it is not chosen.</summary>
    public double? ArrayKw => InSeries is { } n && InParallel is { } strings ? n * strings * Module.PeakW / 1e3 : null;

    /// <summary>Current of the whole array to reckon with, A.</summary>
    public double? ArrayA => InParallel is { } strings ? strings * PvString.StringA(Module) : null;

    /// <summary>Resolves it; null where the drive point is not fed from the sun, or its module is not entered.</summary>
    public static SunFeed? Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model.Input.DrivePoint.Sun is { } sun && sun.Module.Resolved() is { } module ? new SunFeed(model, sun, module) : null;
    }

    /// <summary>Voltage at the motor's terminals of a string at its greatest power, V between phases.</summary>
    /// <param name="cellC">Temperature of the cells.</param>
    /// <param name="inSeries">Modules in series.</param>
    public double MotorV(double cellC, int inSeries)
    {
        var line = PvString.LineV(inSeries * Module.UmpAtV(cellC));
        return (line * (1 - ((Model.Filter?.DropPct ?? 0) / 100))) - (Model.Fitted?.Voltage.CableV ?? 0);
    }

    /// <summary>Fastest speed with full flux, rpm; null while no motor is chosen.</summary>
    public double? FullFluxRpm(double cellC, int inSeries) => Model.Fitted is { } fitted
        ? fitted.Connected.Plate.RatedSpeedRpm * MotorV(cellC, inSeries) / fitted.Connected.LinkedVoltageV
        : null;

    /// <summary>The array; null while it or the power's change with temperature is open.</summary>
    public PvArray? Array => ArrayKw is { } kw ? ArrayOf(kw) : null;

    /// <summary>An array of another size of the same modules.</summary>
    public PvArray? ArrayOf(double kw) =>
        Sun.Module.PowerPctPerK.IsKnown ? new PvArray(kw, Module.NoctC, Sun.Module.PowerPctPerK.Value) : null;
}
