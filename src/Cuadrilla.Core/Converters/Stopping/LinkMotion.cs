namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>What a DC link is made of and where its energy may go.</summary>
/// <param name="CapacitanceF">Capacitance, F, &gt; 0.</param>
/// <param name="RestV">Voltage that the line holds while power is drawn, V.</param>
/// <param name="ChopperV">Voltage at which the chopper works, V.</param>
/// <param name="ResistorOhm">Resistor at the chopper, ohm; null without.</param>
/// <param name="TripV">Voltage at which converters trip, V.</param>
/// <param name="ReturnW">Largest power that the line takes back, W; infinite for a front end that takes all.</param>
/// <param name="LowestV">Voltage below which converters switch off while the line is gone, V.</param>
/// <param name="MainsOff">True when the line neither gives nor takes.</param>
public readonly record struct LinkLimits(
    double CapacitanceF, double RestV, double ChopperV, double? ResistorOhm, double TripV, double ReturnW, double LowestV, bool MainsOff);

/// <summary>
/// A DC link under a constant power for some time, solved in closed form between the instants at which something changes: dU²/dt = 2/C·(P
/// − U²/R) while the chopper is on, 2·P/C while it is off, none while line or chopper hold the voltage. It ends early at the instant of a
/// trip, so that no voltage is higher than the circuit gives. See <c>docs/methods/braking.md</c>.
/// </summary>
/// <param name="ElapsedS">Time that passed, s: the wanted, or up to the trip.</param>
/// <param name="VoltageV">Voltage at the end, V.</param>
/// <param name="HighestV">Highest voltage on the way, V.</param>
/// <param name="BurntJ">Energy burnt in the resistor, J.</param>
/// <param name="FromLineJ">Energy given by the line, J.</param>
/// <param name="ToLineJ">Energy returned to the line, J.</param>
/// <param name="Trips">True when the voltage passed its trip.</param>
/// <param name="FallsLow">True when, without a line, the voltage fell below its least.</param>
public readonly record struct LinkMotion(
    double ElapsedS, double VoltageV, double HighestV, double BurntJ, double FromLineJ, double ToLineJ, bool Trips, bool FallsLow)
{
    // Voltages this near count as equal, parts.
    private const double Near = 1e-9;

    /// <summary>Runs it.</summary>
    /// <param name="limits">The link.</param>
    /// <param name="voltageV">Voltage before, V.</param>
    /// <param name="intoW">Power of the members into the link, W; negative when they draw.</param>
    /// <param name="timeS">Wanted time, s.</param>
    public static LinkMotion Of(LinkLimits limits, double voltageV, double intoW, double timeS)
    {
        double left = timeS, square = voltageV * voltageV, highest = voltageV, burnt = 0, from = 0, to = 0;
        bool trips = false, low = false;
        double rest = limits.RestV * limits.RestV, chopper = limits.ChopperV * limits.ChopperV, trip = limits.TripV * limits.TripV;
        while (left > 0 && !trips && !low)
        {
            var atRest = !limits.MainsOff && square <= rest * (1 + Near);
            if (atRest && intoW <= limits.ReturnW)
            {
                // The line holds the voltage, giving or taking.
                (square, from, to) = (Math.Max(square, rest), from + (Math.Max(0, -intoW) * left), to + (Math.Max(0, intoW) * left));
                break;
            }

            if (!limits.MainsOff && double.IsPositiveInfinity(limits.ReturnW))
            {
                to += 0.5 * limits.CapacitanceF * (square - rest);
                square = rest;
                continue;
            }

            var line = limits.MainsOff ? 0 : limits.ReturnW;
            var net = intoW - line;
            var on = false;
            if (limits.ResistorOhm is { } r && square >= chopper * (1 - Near))
            {
                if (square <= chopper * (1 + Near) && net > 0 && net <= chopper / r)
                {
                    // The chopper pulses: the resistor burns what is left over.
                    (square, burnt, to) = (chopper, burnt + (net * left), to + (line * left));
                    break;
                }

                on = square > chopper * (1 + Near) || net > 0;
            }

            var span = Math.Min(left, on
                ? OnSpan(limits, ref square, net, left, chopper, trip, ref burnt, out trips)
                : OffSpan(limits, ref square, net, left, rest, chopper, trip, out trips, out low));
            to += line * span;
            left -= span;
            highest = Math.Max(highest, Math.Sqrt(square));
        }

        return new LinkMotion(timeS - (trips || low ? left : 0), Math.Sqrt(square), Math.Max(highest, Math.Sqrt(square)), burnt, from, to,
            trips, low);
    }

    // Chopper on: U² runs to P·R with the time constant R·C/2.
    private static double OnSpan(LinkLimits limits, ref double square, double net, double left, double chopper, double trip,
        ref double burnt, out bool trips)
    {
        double ohm = limits.ResistorOhm!.Value, end = net * ohm, constant = ohm * limits.CapacitanceF / 2, start = square;
        var rises = end > square;
        var target = rises ? trip : chopper;
        var reached = rises ? end > target : end < target;
        var span = reached ? Math.Max(0, -constant * Math.Log((target - end) / (start - end))) : double.PositiveInfinity;
        trips = rises && span <= left;
        square = span <= left ? target : end + ((start - end) * Math.Exp(-left / constant));
        span = Math.Min(span, left);
        burnt += (net * span) - (0.5 * limits.CapacitanceF * (square - start));
        return span;
    }

    // Chopper off: U² changes evenly.
    private static double OffSpan(LinkLimits limits, ref double square, double net, double left, double rest, double chopper, double trip,
        out bool trips, out bool low)
    {
        (trips, low) = (false, false);
        var slope = 2 * net / limits.CapacitanceF;
        if (slope == 0)
        {
            return left;
        }

        var ceiling = limits.ResistorOhm is not null && square < chopper ? chopper : trip;
        var floor = limits.MainsOff ? limits.LowestV * limits.LowestV : rest;
        var target = slope > 0 ? ceiling : floor;
        var span = Math.Max(0, (target - square) / slope);
        if (span > left)
        {
            square = Math.Max(0, square + (slope * left));
            return left;
        }

        square = target;
        trips = slope > 0 && target == trip;
        low = slope < 0 && limits.MainsOff;
        return span;
    }
}
