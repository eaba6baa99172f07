namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Which diodes conduct. Each phase hangs on the top rail (+1), the bottom rail (−1) or floats (0); when
/// <see cref="Freewheel"/> holds, some leg conducts through both its diodes, the rails are shorted and the choke current
/// runs by itself. Two, three and four conducting diodes are all such patterns.
/// </summary>
internal struct ConductionMode
{
    public int A;
    public int B;
    public int C;
    public bool Freewheel;

    public readonly bool IsBlocking => !Freewheel && A == 0 && B == 0 && C == 0;

    public readonly int Of(int phase) => phase switch { 0 => A, 1 => B, _ => C };

    public void Set(int phase, int side)
    {
        switch (phase)
        {
            case 0: A = side; break;
            case 1: B = side; break;
            default: C = side; break;
        }
    }

    /// <summary>With all conducting phases on one rail no current can flow: the bridge blocks.</summary>
    public void BlockIfOneSided()
    {
        var hasTop = A > 0 || B > 0 || C > 0;
        var hasBottom = A < 0 || B < 0 || C < 0;
        if (!(hasTop && hasBottom))
        {
            A = B = C = 0;
        }
    }
}
