using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Documents.Drawings;

/// <summary>Wiring picture of a drive point: power from the supply to the motor's terminal box, control from terminals to far ends, in
/// the plain symbols of IEC 60617.</summary>
public sealed class WiringDrawing
{
    private const string Power = "POWER";
    private const string Control = "CONTROL";
    private const string Words = "TEXT";
    private const double Size = 3;
    private const double Small = 2.4;
    private const double Pitch = 8;
    private const double RowMm = 9;

    private readonly List<DrawnRectangle> rectangles = [];
    private readonly List<DrawnLabel> labels = [];
    private readonly List<DrawnLine> lines = [];
    private readonly List<DrawnCircle> circles = [];
    private readonly WiringParts parts;
    private readonly PointSignals? unit;

    private WiringDrawing(WiringParts parts, PointSignals? unit)
    {
        (this.parts, this.unit) = (parts, unit);
        PowerCircuit();
        ControlCircuit();
    }

    /// <summary>Draws it.</summary>
    /// <param name="parts">Power circuit.</param>
    /// <param name="unit">Signals; null without.</param>
    public static Drawing Of(WiringParts parts, PointSignals? unit)
    {
        ArgumentNullException.ThrowIfNull(parts);
        var drawn = new WiringDrawing(parts, unit);
        return new Drawing(drawn.rectangles, drawn.labels) { Lines = drawn.lines, Circles = drawn.circles };
    }

    private void Line(string layer, double x1, double y1, double x2, double y2) => lines.Add(new DrawnLine(layer, x1, y1, x2, y2));

    private void Label(double x, double y, string text, double size = Small) => labels.Add(new DrawnLabel(Words, x, y, size, text));

    // Downwards from the supply: each part takes the conductors over from the one above.
    private void PowerCircuit()
    {
        var conductors = parts.Conductors;
        double X(int i) => 10 + (i * Pitch);
        var (y, right) = (0.0, X(Math.Max(2, conductors.Count - 1)) + 12);
        for (var i = 0; i < conductors.Count; i++)
        {
            Label(X(i) - 2, y + 3, conductors[i], Size);
        }

        Label(right, y + 3, parts.Supply);
        y = Devices(conductors.Count, X, y, right);
        Wires(conductors.Count, X, y, y - 8);
        y -= 8;
        var (boxLeft, boxWidth) = (4.0, X(conductors.Count - 1) + 2);
        rectangles.Add(new DrawnRectangle(Power, boxLeft, y - 22, boxWidth, 22));
        if (parts.IsConverter)
        {
            Line(Power, boxLeft, y - 22, boxLeft + boxWidth, y);
            Label(boxLeft + 2, y - 6, "~", Size);
            Label(boxLeft + boxWidth - 6, y - 19, "~", Size);
        }

        var words = y - 5;
        foreach (var text in parts.Unit)
        {
            Label(right, words, text);
            words -= 5;
        }

        y -= 22;
        foreach (var output in parts.AtOutput)
        {
            Wires(3, X, y, y - 6);
            rectangles.Add(new DrawnRectangle(Power, boxLeft, y - 14, X(2) + 2, 8));
            Label(right, y - 11, output);
            y -= 14;
        }

        Wires(3, X, y, y - 16);
        Label(right, y - 9, parts.MotorCable);
        TerminalBox(X, y - 16, right);

        // The protective conductor goes with them to the motor's box.
        Label(-3.5, 3, "PE", Size);
        Line(Power, -1, 0, -1, y - 40);
        Line(Power, -1, y - 40, 2, y - 40);
    }

    private double Devices(int count, Func<int, double> x, double from, double right)
    {
        var y = from;
        foreach (var device in parts.Devices)
        {
            Wires(count, x, y, y - 5);
            y -= 5;
            for (var i = 0; i < count; i++)
            {
                if (device.IsFuse)
                {
                    rectangles.Add(new DrawnRectangle(Power, x(i) - 1.5, y - 8, 3, 8));
                    Line(Power, x(i), y, x(i), y - 8);
                }
                else
                {
                    // A contact that opens: a switching mark for a breaker, a half circle's place left plain for a contactor.
                    Line(Power, x(i), y - 8, x(i) - 3, y - 1);
                    if (device.IsBreaker)
                    {
                        Line(Power, x(i) - 1.2, y - 1.2, x(i) + 1.2, y + 1.2);
                        Line(Power, x(i) - 1.2, y + 1.2, x(i) + 1.2, y - 1.2);
                    }
                }
            }

            Label(right, y - 5, device.Words);
            y -= 8;
        }

        return y;
    }

    private void Wires(int count, Func<int, double> x, double from, double to)
    {
        for (var i = 0; i < count; i++)
        {
            Line(Power, x(i), from, x(i), to);
        }
    }

    // Six terminals: the upper row U1 V1 W1, the lower W2 U2 V2, and the links between.
    private void TerminalBox(Func<int, double> x, double y, double right)
    {
        rectangles.Add(new DrawnRectangle(Power, 2, y - 30, x(2) + 6, 30));
        string[] upper = ["U1", "V1", "W1"], lower = ["W2", "U2", "V2"];
        for (var i = 0; i < 3; i++)
        {
            Line(Power, x(i), y, x(i), y - 5);
            circles.Add(new DrawnCircle(Power, x(i), y - 7, 2));
            Label(x(i) + 2.2, y - 11.5, upper[i], 1.8);
            circles.Add(new DrawnCircle(Power, x(i), y - 21, 2));
            Label(x(i) + 2.2, y - 26, lower[i], 1.8);
            if (parts.Links == WiringLinks.Delta)
            {
                Line(Power, x(i), y - 9, x(i), y - 19);
            }
        }

        if (parts.Links == WiringLinks.Star)
        {
            Line(Power, x(0) + 2, y - 21, x(1) - 2, y - 21);
            Line(Power, x(1) + 2, y - 21, x(2) - 2, y - 21);
        }

        var words = y - 6;
        foreach (var text in parts.Motor)
        {
            Label(right, words, text);
            words -= 5;
        }

        circles.Add(new DrawnCircle(Power, x(1), y - 40, 7));
        Line(Power, x(1), y - 30, x(1), y - 33);
        Label(x(1) - 2.2, y - 40, "M", Size);
        Label(x(1) - 3, y - 44.5, "3~", Small);
    }

    private void ControlCircuit()
    {
        if (unit is null)
        {
            return;
        }

        var (strip, far) = (120.0, 186.0);
        var rows = unit.Signals.Where(s => !s.LacksTerminal).OrderBy(s => s.Terminal?.Nature ?? TerminalNature.Coil).ToList();
        Label(strip, 6, "terminals of the unit", Size);
        Label(far, 6, "other end", Size);
        for (var i = 0; i < rows.Count; i++)
        {
            var (y, s) = (-RowMm * (i + 1), rows[i]);
            if (s.Terminal is { } terminal)
            {
                rectangles.Add(new DrawnRectangle(Control, strip, y, 18, RowMm - 2));
                Label(strip + 1.5, y + 2.4, terminal.Name, 2.2);
            }

            Label(strip + 20, y + 4.4, s.Facts.Name, 2.2);
            Line(Control, strip + (s.Terminal is null ? 20 : 18), y + 3, far, y + 3);
            Symbol(s, far, y + 3);
            Label(far + 14, y + 2.2, FarWords(s), 2.2);
        }
    }

    // A push button or selector as a contact, a coil as a rectangle, a channel as a box.
    private void Symbol(PlacedSignal s, double x, double y)
    {
        if (s.Wanted.Far is FarEnd.LocalStation && s.Facts.Way == SignalWay.In)
        {
            Line(Control, x, y, x + 3, y);
            Line(Control, x + 3, y, x + 8, y + (s.Wanted.Function is SignalFunction.StopPulse or SignalFunction.TorqueOff ? 0.6 : 3));
            Line(Control, x + 8, y, x + 12, y);
        }
        else if (s.Facts.Way == SignalWay.Out && s.Wanted.Far is FarEnd.Cabinet or FarEnd.Machine)
        {
            rectangles.Add(new DrawnRectangle(Control, x, y - 2, 10, 4));
        }
        else
        {
            rectangles.Add(new DrawnRectangle(Control, x, y - 3, 12, 6));
        }
    }

    private static string FarWords(PlacedSignal s) => s.Wanted.Far == FarEnd.Controller
        ? s.Card is null ? s.LacksChannel ? "controller, no channel" : "controller"
            : $"{s.Channel}{(s.FarRange is { } range ? $", {SignalWords.Of(range)}" : string.Empty)}"
        : SignalWords.Of(s.Wanted.Far);
}

/// <summary>Links in a motor's terminal box.</summary>
public enum WiringLinks
{
    /// <summary>None: six conductors.</summary>
    None,

    /// <summary>Star.</summary>
    Star,

    /// <summary>Delta.</summary>
    Delta,
}

/// <summary>A device ahead of a unit.</summary>
/// <param name="Words">What it is.</param>
/// <param name="IsFuse">A fuse.</param>
/// <param name="IsBreaker">A circuit breaker.</param>
public sealed record WiringDevice(string Words, bool IsFuse, bool IsBreaker);

/// <summary>Power circuit of a drive point in words.</summary>
/// <param name="Supply">Where it comes from.</param>
/// <param name="Conductors">Names of the conductors.</param>
/// <param name="Devices">From the supply on.</param>
/// <param name="IsConverter">A converter, no starter.</param>
/// <param name="Unit">Lines about the unit.</param>
/// <param name="AtOutput">Filter, step-up transformer.</param>
/// <param name="MotorCable">Cable to the motor.</param>
/// <param name="Links">Links of the motor.</param>
/// <param name="Motor">Lines about the motor.</param>
public sealed record WiringParts(string Supply, IReadOnlyList<string> Conductors, IReadOnlyList<WiringDevice> Devices, bool IsConverter,
    IReadOnlyList<string> Unit, IReadOnlyList<string> AtOutput, string MotorCable, WiringLinks Links, IReadOnlyList<string> Motor)
{
    /// <summary>Links by the motor's connection; of star-delta none.</summary>
    public static WiringLinks LinksOf(DrivePoint point, MotorConnection? found)
    {
        ArgumentNullException.ThrowIfNull(point);
        return point.Converter is ConverterChoice.StarDelta ? WiringLinks.None
            : found == MotorConnection.Star ? WiringLinks.Star
            : found == MotorConnection.Delta ? WiringLinks.Delta
            : WiringLinks.None;
    }
}
