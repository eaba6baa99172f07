namespace Cuadrilla.Core.Motors;

/// <summary>
/// A plate as linked and fed. Delta voltage × √3 = star voltage, delta current = √3 × star current; an output that can't reach
/// the linked voltage weakens the flux from its share of the rated frequency on, one above it keeps the flux beyond: the 87 Hz
/// practice. See <c>docs/methods/connection.md</c>.
/// </summary>
/// <param name="Plate">Plate at the linked voltage.</param>
/// <param name="IsDelta">True when linked in delta.</param>
/// <param name="LinkedVoltageV">Voltage of that link, V.</param>
/// <param name="OutputVoltageV">Highest voltage at the terminals, V.</param>
public sealed record ConnectedMotor(MotorPlate Plate, bool IsDelta, double LinkedVoltageV, double OutputVoltageV)
{
    /// <summary>Within so much of each other the two voltages count as one, so that the base is the rated frequency.</summary>
    private const double SameVoltagePu = 0.02;

    /// <summary>Frequency up to which the flux is constant, in parts of the rated.</summary>
    public double BaseFrequencyPu => Math.Abs((OutputVoltageV / LinkedVoltageV) - 1) < SameVoltagePu ? 1 : OutputVoltageV / LinkedVoltageV;

    /// <summary>The same, Hz.</summary>
    public double BaseFrequencyHz => BaseFrequencyPu * Plate.RatedFrequencyHz;

    /// <summary>Links a plate.</summary>
    /// <param name="plate">The plate; its rated voltage is that of one of its links.</param>
    /// <param name="connection">The link wanted.</param>
    /// <param name="supplyVoltageV">Nominal voltage of the supply, which decides the fitting link, V.</param>
    /// <param name="outputVoltageV">Highest voltage at the terminals, what converter, filter and cable take already off, V.</param>
    public static ConnectedMotor Of(MotorPlate plate, MotorConnection connection, double supplyVoltageV, double outputVoltageV)
    {
        ArgumentNullException.ThrowIfNull(plate);
        if (plate.DeltaVoltageV <= 0)
        {
            return new ConnectedMotor(plate, false, plate.RatedVoltageV, outputVoltageV);
        }

        var delta = plate.DeltaVoltageV;
        var star = Math.Sqrt(3) * delta;
        var isDelta = connection switch
        {
            MotorConnection.Delta => true,
            MotorConnection.Star => false,
            _ => Math.Abs(Math.Log(supplyVoltageV / delta)) <= Math.Abs(Math.Log(supplyVoltageV / star)),
        };
        var linked = isDelta ? delta : star;

        // A plate of 400 V in star is 231 V in delta: what it says of itself stays exact.
        linked = Math.Abs((linked / plate.RatedVoltageV) - 1) < SameVoltagePu ? plate.RatedVoltageV : linked;
        var ratio = plate.RatedVoltageV / linked;
        return new ConnectedMotor(plate with { RatedVoltageV = linked, RatedCurrentA = plate.RatedCurrentA * ratio }, isDelta, linked,
            outputVoltageV);
    }
}
