namespace Cuadrilla.Core.Interference;

/// <summary>Screen of a cable that receives.</summary>
public enum ReceiverScreen
{
    /// <summary>Without.</summary>
    None,

    /// <summary>Braid, connected at both ends.</summary>
    Braid,

    /// <summary>Foil with a drain wire.</summary>
    Foil,
}

/// <summary>What a noisy cable induces in a signal that runs beside it over a bonding plane. See
/// <c>docs/methods/coupled-voltage.md</c>.</summary>
public static class CoupledVoltage
{
    private const double BraidMohmPerM = 20;
    private const double FoilMohmPerM = 500;
    private const double NhPerM = 100;

    // To a tenth of the wave: 300 m/µs.
    private const double ShortMMhz = 30;

    /// <summary>Two cables side by side.</summary>
    /// <param name="FrequencyMhz">Frequency, MHz.</param>
    /// <param name="LengthM">Length beside each other, m.</param>
    /// <param name="SourceHeightM">Height of the noisy cable over the plane, m.</param>
    /// <param name="ReceiverHeightM">Height of the signal's cable, m.</param>
    /// <param name="DistanceM">Straight from centre to centre, m; at least the difference of the heights.</param>
    /// <param name="CurrentA">Common-mode current of the noisy cable, A.</param>
    /// <param name="Screen">Screen of the signal's cable.</param>
    /// <param name="TransferMohmPerM">Transfer impedance of that screen, mΩ/m; null: usual.</param>
    public sealed record Pair(
        double FrequencyMhz, double LengthM, double SourceHeightM, double ReceiverHeightM, double DistanceM, double CurrentA,
        ReceiverScreen Screen, double? TransferMohmPerM);

    /// <summary>An input that reads the signal.</summary>
    /// <param name="SpanV">Span, V.</param>
    /// <param name="Bits">Resolution, bits.</param>
    /// <param name="TimeConstantUs">Time constant of its filter, µs.</param>
    public sealed record Input(double SpanV, int Bits, double TimeConstantUs)
    {
        /// <summary>A step of it, V.</summary>
        public double StepV => SpanV / Math.Pow(2, Bits);
    }

    /// <summary>What comes of it.</summary>
    /// <param name="MutualNhPerM">Mutual inductance, nH/m.</param>
    /// <param name="VoltageV">Voltage in the signal's loop, V.</param>
    /// <param name="InputV">What its input's filter leaves of it, V.</param>
    /// <param name="StepV">A step of the input, V.</param>
    /// <param name="ElectricallyShort">True where the cables are shorter than a tenth of the wave, for which this holds.</param>
    public sealed record Result(double MutualNhPerM, double VoltageV, double InputV, double StepV, bool ElectricallyShort)
    {
        /// <summary>Steps of the input.</summary>
        public double Steps => InputV / StepV;

        /// <summary>True where the input does not notice.</summary>
        public bool Holds => InputV <= StepV;
    }

    /// <summary>Mutual inductance of two wires over a plane, nH/m.</summary>
    public static double MutualNhPerM(double sourceHeightM, double receiverHeightM, double distanceM) =>
        NhPerM * Math.Log(1 + (4 * sourceHeightM * receiverHeightM / (distanceM * distanceM)));

    /// <summary>Computes it.</summary>
    public static Result Of(Pair pair, Input input)
    {
        ArgumentNullException.ThrowIfNull(pair);
        ArgumentNullException.ThrowIfNull(input);
        var omega = 2 * Math.PI * pair.FrequencyMhz * 1e6;
        var mutual = MutualNhPerM(pair.SourceHeightM, pair.ReceiverHeightM, pair.DistanceM);
        var ohmPerM = pair.Screen switch
        {
            ReceiverScreen.None => omega * mutual * 1e-9,
            ReceiverScreen.Braid => (pair.TransferMohmPerM ?? BraidMohmPerM) / 1e3,
            _ => (pair.TransferMohmPerM ?? FoilMohmPerM) / 1e3,
        };
        var voltage = ohmPerM * pair.LengthM * pair.CurrentA;
        var wt = omega * input.TimeConstantUs * 1e-6;
        return new Result(mutual, voltage, voltage / Math.Sqrt(1 + (wt * wt)), input.StepV, pair.LengthM * pair.FrequencyMhz <= ShortMMhz);
    }
}
