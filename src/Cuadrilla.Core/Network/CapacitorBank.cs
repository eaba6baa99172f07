using System.Numerics;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>A capacitor bank for the power factor.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="BusId">Its bus.</param>
/// <param name="StepKvar">Reactive power of a step at nominal voltage, with its reactor, kvar.</param>
/// <param name="Steps">Number of steps, all on unless a scenario says otherwise.</param>
/// <param name="DetuningPct">Reactor in per cent of the capacitor's reactance; unknown: no reactor.</param>
public sealed record CapacitorBank(string Id, string Name, string BusId, double StepKvar, int Steps, Given DetuningPct)
{
    /// <summary>Rated line-to-line voltage of its capacitors, V; behind a reactor more than that of the bus. Unknown: not stated.</summary>
    public Given CapacitorRatedV { get; init; }

    /// <summary>Rated operational current in AC-6b of the contactor of one step, A; not known: none stated.</summary>
    public Given ContactorA { get; init; }

    /// <summary>Reactor in parts of the capacitor's reactance; 0 without.</summary>
    public double DetuningPu => DetuningPct.IsKnown ? DetuningPct.Value / 100 : 0;

    /// <summary>
    /// Admittance of one order in siemens per phase of a star: 1/(R + j·(h·X_L − X_C/h)), X_C = U²/(Q·(1 − p)), X_L = p·X_C, R a part of
    /// X_L. The resistance keeps a bank that is tuned to an order exactly from being an ideal short circuit there.
    /// </summary>
    /// <param name="order">Order, above 0.</param>
    /// <param name="stepsOn">Steps that are on.</param>
    /// <param name="voltageV">Nominal line-to-line voltage, V.</param>
    /// <param name="reactorLossPu">Resistance of the reactor in parts of its reactance at the fundamental.</param>
    public Complex AdmittanceS(double order, int stepsOn, double voltageV, double reactorLossPu)
    {
        if (stepsOn == 0)
        {
            return Complex.Zero;
        }

        var capacitorOhm = CapacitorOhm(stepsOn, voltageV);
        var reactorOhm = DetuningPu * capacitorOhm;
        return 1 / new Complex(reactorLossPu * reactorOhm, (order * reactorOhm) - (capacitorOhm / order));
    }

    /// <summary>Reactance of the capacitors at the fundamental, ohm per phase of a star.</summary>
    /// <param name="stepsOn">Steps that are on, at least 1.</param>
    /// <param name="voltageV">Nominal line-to-line voltage, V.</param>
    public double CapacitorOhm(int stepsOn, double voltageV) => voltageV * voltageV / (StepKvar * 1e3 * stepsOn * (1 - DetuningPu));
}
