using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary>
/// <c>motor.bearings</c>: currents through bearings by their cause, each with the remedy that ends it and those that do not. See
/// <c>docs/methods/bearings.md</c>.
/// </summary>
internal static class BearingCheck
{
    private const string Id = "motor.bearings";
    private const string Title = "Motor, bearing currents";

    /// <summary>Rated power from which circulating and common-mode currents are both large enough to want a remedy each, kW.</summary>
    public const double BothFromKw = 350;

    // So many edges a second charge a shaft of any size.
    private const double HighSwitchingKhz = 8;

    public static Check Of(DrivePointModel model)
    {
        if (model.Starter is not null)
        {
            return Check.NotConcerned(Id, model.Id, BoardRow.Motor, Title, "the motor runs on the line, on a sinusoidal voltage");
        }

        if (model.Fitted is not { Item: { } item, Choice: { } choice })
        {
            return Check.Lacking(Id, model.Id, BoardRow.Motor, Title, ["motor"]);
        }

        if (model.WholeItem is { FrontEnd: FrontEnd.Thyristor })
        {
            return Check.NotConcerned(Id, model.Id, BoardRow.Motor, Title,
                "thyristors switch at the line's own pace: no steep pulses between winding and frame");
        }

        var kw = item.Plate.RatedPowerW / 1e3;
        var causes = Causes(model, item.ShaftHeightMm, kw, choice.InsulatedBearing).ToList();
        var verdict = causes.Any(c => c.Verdict == Verdict.Fails)
            ? Verdict.Fails
            : causes.Any(c => c.Verdict == Verdict.Tight) ? Verdict.Tight : Verdict.Holds;
        var defaults = model.Input.Defaults;
        return CheckWriter.Rule(
            Id, model.Id, BoardRow.Motor, Title, verdict,
            string.Join(" ", causes.Where(c => c.Verdict != Verdict.Holds).Select(c => c.Relief).Distinct()),
            new Reason(
                "circulating: shaft height or power ≥ limit asks for an insulated bearing; discharge: many edges or an active front end "
                    + "ask for cores or a shaft ring; earth: frame bonded to the machine",
                $"shaft height {Text.N(item.ShaftHeightMm)} mm (limit {Text.N(defaults.BearingShaftHeightMm)}), {Text.N(kw)} kW (limit "
                    + $"{Text.N(defaults.BearingKw)}); "
                + string.Join("; ", causes.Select(c => c.Words).DefaultIfEmpty("no cause reaches a limit")),
                "IEC TS 60034-25; docs/methods/bearings.md", []));
    }

    private static IEnumerable<(Verdict Verdict, string Words, string Relief)> Causes(DrivePointModel model, double shaftHeightMm,
        double kw, bool insulated)
    {
        var (defaults, stated) = (model.Input.Defaults, model.Input.DrivePoint.Interference);
        var breaks = stated.CommonModeCores || stated.ShaftRing;
        if (shaftHeightMm >= defaults.BearingShaftHeightMm || kw >= defaults.BearingKw)
        {
            var useless = model.Choice?.Filter == OutputFilter.DvDt ? "; a dv/dt filter does not end it" : string.Empty;
            yield return (
                insulated ? Verdict.Holds : Verdict.Fails,
                $"circulating current: bearing {(insulated ? string.Empty : "not ")}insulated{useless}",
                "Relief: an insulated bearing at the non-drive end; insulate coupling and encoder.");
        }

        if (kw > BothFromKw)
        {
            yield return (
                breaks ? Verdict.Holds : Verdict.Fails,
                $"above {Text.N(BothFromKw)} kW common-mode current as well: "
                    + $"{(breaks ? "cores or shaft ring" : "neither cores nor shaft ring")}",
                "Relief: common-mode cores at the converter or an earthing ring at the shaft, besides the insulated bearing.");
        }
        else if (!breaks && (model.WholeItem?.FrontEnd is FrontEnd.Active or FrontEnd.Direct || model.Input.OnActiveBus
            || model.Choice?.SwitchingKhz >= HighSwitchingKhz))
        {
            var sine = model.Filter is { Sinusoidal: true };
            yield return (
                Verdict.Tight,
                "discharge through the bearings: "
                    + $"{(model.Choice is { SwitchingKhz: >= HighSwitchingKhz } fast ? $"{Text.N(fast.SwitchingKhz)} kHz" : "an active front end lifts the link")}"
                + (sine ? "; a sine filter ends it only where it is linked to the DC bus" : string.Empty),
                "Relief: common-mode cores at the converter, an earthing ring at the shaft, a lower switching frequency.");
        }

        if ((shaftHeightMm >= defaults.BearingShaftHeightMm || kw >= defaults.BearingKw) && !stated.FrameBonded
            && !model.Input.DrivePoint.Cable.Screened)
        {
            yield return (
                Verdict.Tight, "earth current through shaft and machine: the cable has no screen and the "
                    + "frame is not bonded to the machine",
                "Relief: bond the motor's frame to its machine with a short, wide strap; a screened, symmetrical cable.");
        }
    }
}
