namespace Cuadrilla.Core.Cables;

/// <summary>How a cable is laid, by the reference methods of IEC 60364-5-52.</summary>
public enum InstallationMethod
{
    /// <summary>In conduit or trunking on a wall.</summary>
    B2,

    /// <summary>Clipped to a wall or on a closed tray.</summary>
    C,

    /// <summary>In free air, on a perforated tray or ladder.</summary>
    E,

    /// <summary>In a duct in the ground (D1).</summary>
    D,
}

/// <summary>How circuits lie beside each other (IEC 60364-5-52, table B.52.17 and B.52.20).</summary>
public enum CableGrouping
{
    /// <summary>Bunched, in air, on a surface, embedded or enclosed.</summary>
    Bunched,

    /// <summary>One layer, touching, on a perforated tray.</summary>
    PerforatedTray,

    /// <summary>One layer, touching, on a ladder.</summary>
    Ladder,
}

/// <summary>A row of the table of current-carrying capacities: three loaded copper conductors, air at 30 °C, soil at 20 °C and 2.5
/// K·m/W.</summary>
/// <param name="SectionMm2">Section, mm².</param>
/// <param name="PvcA">Capacity with PVC by method B2, C, E, D, A; null where the table has none.</param>
/// <param name="XlpeA">The same with XLPE.</param>
public sealed record CapacityRow(double SectionMm2, IReadOnlyList<double?> PvcA, IReadOnlyList<double?> XlpeA);

/// <summary>Capacities and factors of cables as the catalogue has them.</summary>
/// <param name="Rows">Capacities, smallest section first.</param>
/// <param name="GroupPu">Factor by grouping for 1, 2, 3 … circuits.</param>
/// <param name="AluminiumPu">Capacity of aluminium in parts of copper.</param>
/// <param name="AluminiumFromMm2">Least section of aluminium, mm².</param>
/// <param name="DuctPu">Factor for 1, 2, 3 … ducts in the ground that touch, one circuit in each.</param>
/// <param name="SoilPu">Factor by resistivity of the soil, K·m/W ascending: between two the drier one counts.</param>
public sealed record CableTables(
    IReadOnlyList<CapacityRow> Rows, IReadOnlyDictionary<CableGrouping, IReadOnlyList<double>> GroupPu, double AluminiumPu,
    double AluminiumFromMm2,
    IReadOnlyList<double> DuctPu, IReadOnlyList<(double KmPerW, double Pu)> SoilPu)
{
    /// <summary>Temperature of the air that the table is for, °C.</summary>
    public const double TableC = 30;

    /// <summary>Temperature of the soil that it is for, °C.</summary>
    public const double SoilTableC = 20;

    /// <summary>Capacity of a section, A; null where the table has none.</summary>
    public double? CapacityA(CapacityRow row, CableInsulation insulation, InstallationMethod method, ConductorMaterial material)
    {
        ArgumentNullException.ThrowIfNull(row);
        var copper = (insulation == CableInsulation.Pvc ? row.PvcA : row.XlpeA)[(int)method];
        return material == ConductorMaterial.Copper ? copper : row.SectionMm2 >= AluminiumFromMm2 ? AluminiumPu * copper : null;
    }

    /// <summary>Factor for so many circuits beside each other, this one among them.</summary>
    public double GroupFactor(CableGrouping grouping, int circuits) => GroupPu[grouping][circuits - 1];

    /// <summary>Factor for so many circuits beside each other as a cable is laid; in the ground with that of the soil. Null for soil drier
    /// than the table knows.</summary>
    public double? GroupFactor(CableInstallation laid, int circuits)
    {
        ArgumentNullException.ThrowIfNull(laid);
        if (laid.Method != InstallationMethod.D)
        {
            return GroupFactor(laid.Grouping, circuits);
        }

        return laid.SoilKmPerW.IsKnown
            ? SoilPu.Where(s => s.KmPerW >= laid.SoilKmPerW.Value).Select(s => (double?)(s.Pu * DuctPu[circuits - 1])).FirstOrDefault()
            : DuctPu[circuits - 1];
    }
}

/// <summary>
/// Current-carrying capacity and the smallest section that holds (IEC 60364-5-52, 60364-4-43): I_z = I_0·k_θ·k_group·k_harm. See
/// <c>docs/methods/cable-capacity.md</c>.
/// </summary>
public static class CurrentCapacity
{
    // IEC 60364-5-52, annex E: up to 15 % nothing, then the neutral heats the cable, above 33 % it is the conductor that counts, above 45
    // % it alone.
    private const double HeatsFromPct = 15;
    private const double NeutralFromPct = 33;
    private const double NeutralAlonePct = 45;
    private const double NeutralHeatPu = 0.86;

    // I_2 ≤ 1.45·I_z.
    private const double OverloadPu = 1.45;

    /// <summary>What is asked of a cable.</summary>
    /// <param name="CurrentA">Design current I_B, A.</param>
    /// <param name="DeviceA">Rated current of the device I_n, A.</param>
    /// <param name="DeviceFactor">Conventional operating current of the device in parts of I_n: 1.6 gG fuse, 1.45 breaker.</param>
    /// <param name="Insulation">Insulation.</param>
    /// <param name="Method">How it is laid.</param>
    /// <param name="Material">Metal.</param>
    /// <param name="AmbientC">Air, °C; below the conductor's limit.</param>
    /// <param name="Grouping">How it lies beside others.</param>
    /// <param name="Circuits">Circuits there, each of its own parallel cables counted.</param>
    /// <param name="Parallel">Equal cables in parallel.</param>
    /// <param name="ThirdHarmonicPct">Third order in the phase current, % of it, where a neutral carries it.</param>
    public sealed record Duty(
        double CurrentA, double DeviceA, double DeviceFactor, CableInsulation Insulation, InstallationMethod Method,
        ConductorMaterial Material, double AmbientC,
        CableGrouping Grouping, int Circuits, int Parallel, double ThirdHarmonicPct);

    /// <summary>What holds.</summary>
    /// <param name="NeutralA">Current of the neutral, A.</param>
    /// <param name="SizingA">What the cables together must carry, A.</param>
    /// <param name="TemperaturePu">k_θ.</param>
    /// <param name="GroupPu">k_group.</param>
    /// <param name="HarmonicPu">k_harm.</param>
    /// <param name="SectionMm2">Smallest section that holds, mm²; null where none does.</param>
    /// <param name="TabulatedA">Its I_0, A.</param>
    /// <param name="CapacityA">I_z of all parallel cables, A.</param>
    public sealed record Size(
        double NeutralA, double SizingA, double TemperaturePu, double GroupPu, double HarmonicPu, double? SectionMm2, double? TabulatedA,
        double? CapacityA);

    /// <summary>Factor for the temperature of the air, exact.</summary>
    public static double TemperatureFactor(CableInsulation insulation, double ambientC) =>
        TemperatureFactor(insulation, ambientC, CableTables.TableC);

    private static double TemperatureFactor(CableInsulation insulation, double surroundC, double tableC)
    {
        var limit = InsulationLimits.OperatingC(insulation);
        return Math.Sqrt((limit - surroundC) / (limit - tableC));
    }

    /// <summary>Factor for the heat of the neutral.</summary>
    public static double HarmonicFactor(double thirdHarmonicPct) =>
        thirdHarmonicPct is > HeatsFromPct and <= NeutralAlonePct ? NeutralHeatPu : 1;

    /// <summary>Capacity I_z of a section as it is laid, all parallel cables, A; null where the tables have none.</summary>
    /// <param name="sectionMm2">Section, mm².</param>
    /// <param name="parallel">Equal cables in parallel, each a circuit of the group.</param>
    /// <param name="material">Metal.</param>
    /// <param name="laid">How it is laid.</param>
    /// <param name="ambientC">Air, or soil, °C.</param>
    /// <param name="thirdHarmonicPct">Third order in the phase current, % of it, where a neutral carries it.</param>
    /// <param name="tables">The tables.</param>
    public static double? CapacityA(
        double sectionMm2, int parallel, ConductorMaterial material, CableInstallation laid, double ambientC, double thirdHarmonicPct,
        CableTables tables)
    {
        ArgumentNullException.ThrowIfNull(laid);
        ArgumentNullException.ThrowIfNull(tables);
        var circuits = laid.Circuits - 1 + parallel;
        if (circuits > CableInstallation.MostCircuits || ambientC >= InsulationLimits.OperatingC(laid.Insulation))
        {
            return null;
        }

        // A section between two of the table, or beyond its end, carries what the smaller one does.
        var tableC = laid.Method == InstallationMethod.D ? CableTables.SoilTableC : CableTables.TableC;
        return tables.Rows.Where(r => r.SectionMm2 <= sectionMm2).Select(r => tables.CapacityA(r, laid.Insulation, laid.Method, material))
            .LastOrDefault(a => a is not null) is { } tabulatedA
            && tables.GroupFactor(laid, circuits) is { } groupPu
            ? parallel * tabulatedA * TemperatureFactor(laid.Insulation, ambientC, tableC) * groupPu * HarmonicFactor(thirdHarmonicPct)
            : null;
    }

    /// <summary>What the cables must carry for a load, A: the phases' current, or the neutral's where that is larger.</summary>
    public static double SizingA(double currentA, double thirdHarmonicPct) =>
        thirdHarmonicPct > NeutralFromPct ? Math.Max(currentA, 3 * thirdHarmonicPct / 100 * currentA) : currentA;

    /// <summary>The smallest standard section that carries a duty.</summary>
    public static Size Smallest(Duty duty, CableTables tables)
    {
        ArgumentNullException.ThrowIfNull(duty);
        ArgumentNullException.ThrowIfNull(tables);
        var neutralA = 3 * duty.ThirdHarmonicPct / 100 * duty.CurrentA;
        var needA = Math.Max(duty.DeviceA, duty.DeviceFactor * duty.DeviceA / OverloadPu);
        needA = duty.ThirdHarmonicPct > NeutralFromPct ? Math.Max(needA, neutralA) : needA;
        var (temperature, group, harmonic) = (
            TemperatureFactor(duty.Insulation, duty.AmbientC), tables.GroupFactor(duty.Grouping, duty.Circuits),
            HarmonicFactor(duty.ThirdHarmonicPct));
        foreach (var row in tables.Rows)
        {
            if (tables.CapacityA(row, duty.Insulation, duty.Method, duty.Material) is { } tabulatedA
                && duty.Parallel * tabulatedA * temperature * group * harmonic is var capacityA
                && capacityA >= needA)
            {
                return new Size(neutralA, needA, temperature, group, harmonic, row.SectionMm2, tabulatedA, capacityA);
            }
        }

        return new Size(neutralA, needA, temperature, group, harmonic, null, null, null);
    }
}
