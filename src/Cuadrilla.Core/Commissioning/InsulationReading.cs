namespace Cuadrilla.Core.Commissioning;

/// <summary>What a winding or cable is, where its insulation is measured.</summary>
public enum InsulationKind
{
    /// <summary>Random-wound stator winding.</summary>
    RandomWound,

    /// <summary>Form-wound stator winding.</summary>
    FormWound,

    /// <summary>Winding made before about 1970.</summary>
    OldWinding,

    /// <summary>Winding behind a long cable that is measured with it.</summary>
    LongCable,

    /// <summary>Random-wound stator winding, new and dry.</summary>
    NewRandomWound,
}

/// <summary>What insulation resistance is asked of each kind at 40 °C; IEEE 43.</summary>
/// <param name="LeastMegohm">Least resistance, MΩ; of old windings to be added to their kV.</param>
/// <param name="HalvesEveryK">Rise that halves a resistance, K.</param>
/// <param name="LeastIndex">Least polarisation index, 10 min over 1 min.</param>
/// <param name="IndexToMegohm">Above this, at 40 °C, the index says nothing, MΩ.</param>
public sealed record InsulationRules(IReadOnlyDictionary<InsulationKind, double> LeastMegohm, double HalvesEveryK, double LeastIndex,
    double IndexToMegohm)
{
    private const double ReferenceC = 40;

    /// <summary>Judges a reading.</summary>
    /// <param name="kind">What was measured.</param>
    /// <param name="readingMegohm">Resistance after 1 min, MΩ.</param>
    /// <param name="windingC">Temperature of the winding, °C.</param>
    /// <param name="ratedKv">Rated voltage, kV; counts for old windings alone.</param>
    /// <param name="tenMinuteMegohm">Resistance after 10 min, MΩ; absent: no index.</param>
    public InsulationFound Judge(InsulationKind kind, double readingMegohm, double windingC, double ratedKv, double? tenMinuteMegohm)
    {
        var factor = Math.Pow(0.5, (ReferenceC - windingC) / HalvesEveryK);
        var at40 = readingMegohm * factor;
        var required = LeastMegohm[kind] + (kind == InsulationKind.OldWinding ? ratedKv : 0);
        var index = tenMinuteMegohm / readingMegohm;
        return new(factor, at40, required, Bound.AtLeast(at40, required), index,
            index is { } i && at40 <= IndexToMegohm ? Bound.AtLeast(i, LeastIndex) : null);
    }
}

/// <summary>A judged reading of insulation; method <c>docs/methods/insulation-reading.md</c>.</summary>
/// <param name="Factor">What turns the reading into one at 40 °C.</param>
/// <param name="At40Megohm">Resistance at 40 °C, MΩ.</param>
/// <param name="RequiredMegohm">Least resistance at 40 °C, MΩ.</param>
/// <param name="Holds">It is reached.</param>
/// <param name="PolarisationIndex">10 min over 1 min.</param>
/// <param name="IndexHolds">The index is reached; null where it says nothing.</param>
public sealed record InsulationFound(double Factor, double At40Megohm, double RequiredMegohm, bool Holds, double? PolarisationIndex,
    bool? IndexHolds);
