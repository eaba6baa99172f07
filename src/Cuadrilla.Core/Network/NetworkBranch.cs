using System.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>A branch of the network in per unit of <see cref="SupplyNetwork.BaseVa"/>.</summary>
/// <param name="ElementId">Transformer or cable; empty for the source.</param>
/// <param name="From">Node on one side; <see cref="SupplyNetwork.Reference"/> for the source's EMF.</param>
/// <param name="To">Node on the other side.</param>
/// <param name="ImpedancePu">Impedance at the fundamental.</param>
/// <param name="ResistanceRise">Resistance at an order in parts of that at the fundamental.</param>
/// <param name="HarmonicReactanceRise">Reactance per order in parts of that at the fundamental: above 1 for a generator whose X2 exceeds
/// X″d.</param>
internal sealed record NetworkBranch(
    string ElementId, int From, int To, Complex ImpedancePu, Func<double, double> ResistanceRise, double HarmonicReactanceRise = 1)
{
    /// <summary>Impedance at an order.</summary>
    public Complex At(double order) => order == 1
        ? ImpedancePu
        : new Complex(ImpedancePu.Real * ResistanceRise(order), ImpedancePu.Imaginary * order * HarmonicReactanceRise);
}
