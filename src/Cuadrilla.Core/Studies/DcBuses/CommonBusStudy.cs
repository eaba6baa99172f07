using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Core.Studies.DcBuses;

/// <summary>What feeds a common DC bus.</summary>
/// <param name="ContinuousW">Power for ever, W.</param>
/// <param name="PeakW">Largest power, W.</param>
/// <param name="ReturnW">Power that it returns to the line at most, W; 0 when none.</param>
/// <param name="ChopperW">Power that chopper and resistor burn at most, W; 0 without.</param>
/// <param name="RestV">Bus voltage while power is drawn, V.</param>
/// <param name="ChopperV">Bus voltage at which the chopper works, V.</param>
/// <param name="TripV">Bus voltage at which the members trip, V.</param>
/// <param name="UndervoltageV">Bus voltage below which the members switch off, V.</param>
/// <param name="MainsOff">True when the line is gone: nothing is drawn or returned.</param>
public sealed record BusSupply(
    double ContinuousW, double PeakW, double ReturnW, double ChopperW, double RestV, double ChopperV, double TripV,
    double UndervoltageV = 0, bool MainsOff = false);

/// <summary>A moment of the bus.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="NetW">Sum of the members, W; negative when they give more than they take.</param>
/// <param name="SupplyW">From the supply module, W; negative when it returns.</param>
/// <param name="ChopperW">Into the resistor, W.</param>
/// <param name="BusV">Voltage, V.</param>
/// <param name="MembersW">Each member, W, in their order.</param>
public sealed record BusMoment(double TimeS, double NetW, double SupplyW, double ChopperW, double BusV, IReadOnlyList<double> MembersW);

/// <summary>A process cycle on a common DC bus.</summary>
public sealed record CommonBusResult
{
    /// <summary>Time looked at, s: the longest cycle of the members.</summary>
    public required double SpanS { get; init; }

    /// <summary>Each change, and the end.</summary>
    public required IReadOnlyList<BusMoment> Moments { get; init; }

    /// <summary>Largest net power, W.</summary>
    public required double PeakW { get; init; }

    /// <summary>Root mean square of the net power drawn, W.</summary>
    public required double RmsW { get; init; }

    /// <summary>Mean of the net power drawn, W.</summary>
    public required double MeanW { get; init; }

    /// <summary>Largest power that comes back together, W, above zero.</summary>
    public required double PeakReturnW { get; init; }

    /// <summary>Sum of each member's largest power, W: what it would be, should all peaks meet.</summary>
    public required double SumOfPeaksW { get; init; }

    /// <summary>Energy that the members take, J.</summary>
    public required double TakenJ { get; init; }

    /// <summary>Energy that they give, J.</summary>
    public required double GivenJ { get; init; }

    /// <summary>Of it used at once by the others, J.</summary>
    public required double ExchangedJ { get; init; }

    /// <summary>Energy from the supply module, J.</summary>
    public required double SupplyJ { get; init; }

    /// <summary>Energy returned to the line, J.</summary>
    public required double ReturnedJ { get; init; }

    /// <summary>Energy burnt, J.</summary>
    public required double BurntJ { get; init; }

    /// <summary>What the capacitors hold more at the end than at the start, J.</summary>
    public required double StoredJ { get; init; }

    /// <summary>Highest voltage, V.</summary>
    public required double HighestV { get; init; }

    /// <summary>True when neither line nor resistor takes all.</summary>
    public required bool Trips { get; init; }

    /// <summary>The moment at which the members switch off, the voltage too high or, with the line gone, too low, s; null when they never
    /// do.</summary>
    public required double? OffAtS { get; init; }

    /// <summary>Largest power through each section of the busbar, from the supply module on, W: what the members behind it take
    /// together.</summary>
    public double[] SectionsW() => [.. Enumerable.Range(0, Moments[0].MembersW.Count)
        .Select(k => Moments.Max(m => Math.Abs(m.MembersW.Skip(k).Sum())))];

    /// <summary>Rms power of a member over the span, W: each moment lasts to the next.</summary>
    /// <param name="member">Its place among them.</param>
    public double MemberRmsW(int member) => Rms(m => m.MembersW[member]);

    /// <summary>Largest power of a member, taken or given, W.</summary>
    /// <param name="member">Its place among them.</param>
    public double MemberPeakW(int member) => Moments.Max(m => Math.Abs(m.MembersW[member]));

    /// <summary>Root mean square of the net power, drawn and given back, W.</summary>
    public double NetRmsW => Rms(m => m.NetW);

    private double Rms(Func<BusMoment, double> powerW)
    {
        var squares = Moments.Zip(Moments.Skip(1)).Sum(m => (m.Second.TimeS - m.First.TimeS) * Math.Pow(powerW(m.First), 2));
        var spanS = Moments[^1].TimeS - Moments[0].TimeS;
        return spanS > 0 ? Math.Sqrt(squares / spanS) : Math.Abs(powerW(Moments[0]));
    }

    /// <summary>What the balance leaves over, parts of the energy taken: given + supply = taken + returned + burnt + stored.</summary>
    public double RestPu => TakenJ + GivenJ > 0 ? (GivenJ + SupplyJ - TakenJ - ReturnedJ - BurntJ - StoredJ) / Math.Max(TakenJ, GivenJ) : 0;
}

/// <summary>
/// Members on one bus over the longest of their cycles, all beginning together. What they give is used by the others first; the
/// rest is returned as far as the module can, charges the capacitors up to the chopper's voltage, and is burnt from there. See
/// <c>docs/methods/common-bus.md</c>.
/// </summary>
public static class CommonBusStudy
{
    private const int Steps = 600;

    /// <summary>Runs it.</summary>
    /// <param name="members">At least one, each with at least one power.</param>
    /// <param name="supply">What feeds them.</param>
    public static CommonBusResult Run(IReadOnlyList<BusMember> members, BusSupply supply)
    {
        ArgumentNullException.ThrowIfNull(members);
        ArgumentNullException.ThrowIfNull(supply);
        if (members.Count == 0)
        {
            throw new UnfitDataException("A bus needs at least one member.");
        }

        var span = members.Max(m => m.CycleS);
        var capacitance = Math.Max(members.Sum(m => m.CapacitanceF), 1e-9);
        var moments = new List<BusMoment>();
        double voltage = supply.RestV, highest = voltage, time = 0;
        double peak = 0, square = 0, drawn = 0, back = 0, taken = 0, given = 0, exchanged = 0, supplied = 0, returned = 0, burnt = 0;
        var trips = false;
        double? offAt = null;
        var ohm = supply.ChopperW > 0 ? supply.ChopperV * supply.ChopperV / supply.ChopperW : (double?)null;
        var limits = new LinkLimits(capacitance, supply.RestV, supply.ChopperV, ohm, supply.TripV, supply.ReturnW, supply.UndervoltageV,
            supply.MainsOff);
        foreach (var next in Times(members, span).Skip(1))
        {
            var powers = members.Select(m => m.At(time + ((next - time) / 2))).ToArray();
            var positive = powers.Where(p => p > 0).Sum();
            var negative = -powers.Where(p => p < 0).Sum();
            var net = positive - negative;
            var step = LinkMotion.Of(limits, voltage, -net, next - time);
            var width = step.ElapsedS;
            if (width > 0)
            {
                moments.Add(new BusMoment(time, net, (step.FromLineJ - step.ToLineJ) / width, step.BurntJ / width, voltage, powers));
            }

            voltage = step.VoltageV;
            highest = Math.Max(highest, step.HighestV);
            trips |= step.Trips;
            peak = Math.Max(peak, net);
            square += Math.Max(0, net) * Math.Max(0, net) * width;
            drawn += Math.Max(0, net) * width;
            back = Math.Max(back, -net);
            taken += positive * width;
            given += negative * width;
            exchanged += Math.Min(positive, negative) * width;
            supplied += step.FromLineJ;
            returned += step.ToLineJ;
            burnt += step.BurntJ;
            time += width;

            // At that instant the members switch off, and what follows is not theirs.
            if (step.Trips || step.FallsLow)
            {
                offAt = time;
                break;
            }
        }

        moments.Add(moments[^1] with { TimeS = time, BusV = voltage });
        var stored = 0.5 * capacitance * ((voltage * voltage) - (supply.RestV * supply.RestV));
        return new CommonBusResult
        {
            SpanS = time,
            Moments = moments,
            PeakW = peak,
            RmsW = Math.Sqrt(square / time),
            MeanW = drawn / time,
            PeakReturnW = back,
            SumOfPeaksW = members.Sum(m => Math.Max(0, m.Powers.Max(p => p.PowerW))),
            TakenJ = taken,
            GivenJ = given,
            ExchangedJ = exchanged,
            SupplyJ = supplied,
            ReturnedJ = returned,
            BurntJ = burnt,
            StoredJ = stored,
            HighestV = highest,
            Trips = trips,
            OffAtS = offAt,
        };
    }

    // Changes of the members, and a grid fine enough to see the voltage move.
    private static List<double> Times(IReadOnlyList<BusMember> members, double span)
    {
        var times = new SortedSet<double> { 0, span };
        for (var i = 1; i < Steps; i++)
        {
            times.Add(span * i / Steps);
        }

        foreach (var member in members)
        {
            for (var start = 0.0; start < span; start += member.Repeats ? member.CycleS : span)
            {
                var at = start;
                foreach (var power in member.Powers)
                {
                    at += power.DurationS;
                    if (at < span - 1e-9)
                    {
                        times.Add(at);
                    }
                }
            }
        }

        var clean = new List<double>();
        foreach (var t in times)
        {
            if (clean.Count == 0 || t - clean[^1] > 1e-9)
            {
                clean.Add(t);
            }
        }

        return clean;
    }
}
