using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>
/// <c>protection.device</c> of the fuses between a common DC bus and each of its inverters: they carry the inverter, are not above what
/// its maker lists, and break at the highest voltage of the bus.
/// </summary>
internal static class DcFuseChecks
{
    /// <summary>Tells these fuses from a device on the line.</summary>
    public const string Element = "dc-fuses";

    // Usual rated direct voltages of fuses for semiconductors.
    private static readonly double[] DirectV = [440, 700, 1000, 1250, 1500];

    private const string Id = "protection.device";
    private const string Title = "DC fuses";

    public static IEnumerable<Check> Of(DcBusModel model, SupplyContext supply)
    {
        var powers = model.MembersW(model.Processes(supply.Plant.Scenarios));
        return model.Members.Select(m => Of(m, model, powers.GetValueOrDefault(m.Id), supply).At(Element));
    }

    /// <summary>The smallest fuses of the generic series for a member; null where none is listed.</summary>
    public static double? ProposedA(DriveOnConverter member, double peakA, SupplyContext supply) =>
        supply.Data.Switchgear.Semiconductor.RatedA.Where(a => a >= peakA && a <= member.Converter.Item.LargestFuseA)
            .Select(a => (double?)a).FirstOrDefault();

    /// <summary>Direct voltage for which fuses are asked: the next standard one from the trip of the bus on, V.</summary>
    public static double SeriesV(double tripV) =>
        DirectV.FirstOrDefault(v => v >= tripV) is > 0 and var found ? found : Math.Ceiling(tripV);

    private static Check Of(DriveOnConverter member, DcBusModel model, (double RmsW, double PeakW) powers, SupplyContext supply)
    {
        var devices = member.Input.DrivePoint.Devices;
        var tripV = model.Supply(false).TripV;
        var (rmsA, peakA) = (powers.RmsW / model.LowestV, powers.PeakW / model.LowestV);
        if (rmsA <= 0)
        {
            return Check.Lacking(Id, member.Id, BoardRow.Supply, Title, ["a scenario in which it runs"]);
        }

        if (!devices.DcFuseA.IsKnown || !devices.DcFuseV.IsKnown)
        {
            var proposed = ProposedA(member, peakA, supply) is { } size
                ? $"; proposed: aR {Text.N(size)} A for {Text.N(SeriesV(tripV))} V DC, the bus trips at {Text.N(tripV)} V"
                : string.Empty;
            return Check.Lacking(Id, member.Id, BoardRow.Supply, Title,
                [$"rated current and direct voltage of the fuses between bus and inverter{proposed}"]);
        }

        var (ratedA, ratedV, listedA) = (devices.DcFuseA.Value, devices.DcFuseV.Value, member.Converter.Item.LargestFuseA);
        var relief = $"Relief: fuses of {(ProposedA(member, peakA, supply) is { } a ? Text.N(a) : "another rating")} A for at least "
            + $"{Text.N(tripV)} V DC. {ProtectionChecks.Caution}";
        var reason = new Reason(
            "I_rms ≤ I_n ≤ what the inverter's maker lists; U_n (DC) ≥ voltage at which the bus trips",
            $"{Text.N(rmsA)} A rms, {Text.N(peakA)} A at most, at {Text.N(model.LowestV)} V; fuses {Text.N(ratedA)} A, {Text.N(ratedV)} "
                + $"V; listed up to {Text.N(listedA)} A; trip at {Text.N(tripV)} V",
            "IEC 60269-4; IEC 61800-5-1 and the maker's list",
            [ReasonInput.Of("rated current of the fuses", ratedA, "A", "drive point"),
                ReasonInput.Of("their direct voltage", ratedV, "V", "drive point")]);
        if (ratedV < tripV)
        {
            return CheckWriter.Judged(Id, member.Id, BoardRow.Supply, $"{Title}, voltage", tripV, ratedV, "V", LimitSense.AtMost, 0, relief,
                reason);
        }

        if (listedA <= 0)
        {
            return Check.Lacking(Id, member.Id, BoardRow.Supply, Title, ["fuses that the inverter's maker lists"]);
        }

        // Above its rating a fuse lasts for what its maker's curve says, and no curve is stated.
        if (ratedA >= rmsA && ratedA < peakA && ratedA <= listedA)
        {
            return Check.Lacking(Id, member.Id, BoardRow.Supply, Title,
                [$"melting curve of the fuses: the process draws up to {Text.N(peakA)} A"]);
        }

        return ratedA > listedA
            ? CheckWriter.Judged(Id, member.Id, BoardRow.Supply, $"{Title}, as listed", ratedA, listedA, "A", LimitSense.AtMost, 0,
                relief, reason)
            : CheckWriter.Judged(Id, member.Id, BoardRow.Supply, Title, rmsA, ratedA, "A", LimitSense.AtMost, 0, relief, reason);
    }
}
