using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// A search for a second state that found none: it holds as well for a plant on the same network whose voltages have hardly moved since.
/// They are compared with where the search was made, not with the last edit, so that many small ones end in another search.
/// </summary>
/// <param name="Networks">The network by order.</param>
/// <param name="Ids">First front end of each circuit.</param>
/// <param name="Emfs">EMF of each circuit in the state found, in the frame of the source, per unit.</param>
internal sealed record SecondLook(OrderNetworks Networks, IReadOnlyList<string> Ids, SpaceVector[] Emfs)
{
    // Parts of the impedance itself: the same entries give the same digits.
    private const double SameImpedance = 1e-9;

    /// <summary>True where it tells of another state too.</summary>
    /// <param name="networks">Its network by order.</param>
    /// <param name="ids">First front end of each circuit.</param>
    /// <param name="emfs">EMF of each circuit.</param>
    public bool Holds(OrderNetworks networks, IReadOnlyList<string> ids, SpaceVector[] emfs) =>
        Ids.SequenceEqual(ids) && AreSame(Networks, networks) && SecondStates.AreNear(emfs, Emfs);

    private static bool AreSame(OrderNetworks one, OrderNetworks other)
    {
        if (ReferenceEquals(one, other))
        {
            return true;
        }

        if (!one.Orders.SequenceEqual(other.Orders) || !one.Nodes.SequenceEqual(other.Nodes))
        {
            return false;
        }

        var n = one.Nodes.Count;
        for (var k = 0; k < one.Orders.Count; k++)
        {
            for (var i = 0; i < n * n; i++)
            {
                var (a, b) = (one.Impedance(k, i / n, i % n), other.Impedance(k, i / n, i % n));
                if ((a - b).Magnitude > SameImpedance * a.Magnitude)
                {
                    return false;
                }
            }
        }

        return true;
    }
}
