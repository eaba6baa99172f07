namespace Cuadrilla.Core.Supplies;

/// <summary>How three-phase machines are run where only one phase is available: a single-phase-input converter each, a rotary converter
/// for all, or a static converter (capacitors that steer the third phase); method <c>docs/methods/one-phase.md</c>.</summary>
public static class OnePhaseOptions
{
    /// <summary>Efficiency of a single-phase-input converter.</summary>
    public const double ConverterEfficiencyPu = 0.97;

    /// <summary>Part of its rated output that a motor behind a static converter delivers.</summary>
    public const double StaticUsablePu = 2.0 / 3;

    // Largest load behind a static converter, % of the rated output, as it is typed.
    private const double StaticLoadPct = 66.667;
    private const double RunningFactor = 1.5;
    private const double LightStartFactor = 2;

    /// <summary>Compares the three.</summary>
    /// <exception cref="ArgumentException">There is no machine.</exception>
    public static Comparison Of(Case given)
    {
        ArgumentNullException.ThrowIfNull(given);
        var machines = given.Machines;
        if (machines.Count == 0)
        {
            throw new ArgumentException("A comparison needs a machine.", nameof(given));
        }

        var rotary = RotaryOf(given);
        var worthKw = machines.Sum(m => m.RatedKw);
        var workKwh = machines.Sum(m => m.WorkKwh);
        var none = !machines.Any(m => m.SpeedControl);
        var capacitors = new StaticResult(
            none && !machines.Any(m => m.HeavyStart) && (machines.Count == 1 || given.OneAtATime)
                && machines.All(m => m.LoadPct <= StaticLoadPct),
            [.. machines.Select(m => StaticUsablePu * m.RatedKw)],
            Costs.Of(given, workKwh, given.StaticPerKw * worthKw));
        var fullHz = machines.Select(m => given.FrequencyHz * Math.Min(1, given.SupplyVoltageV / m.MotorVoltageV)).ToList();
        var converters = new ConverterResult(
            fullHz.TrueForAll(f => f >= given.FrequencyHz),
            [.. machines.Select(m => InputA(m, given))],
            fullHz,
            Costs.Of(given, workKwh / ConverterEfficiencyPu, given.ConverterPerKw * worthKw));
        (bool Suits, double Cost, OnePhaseWay Way)[] ways =
        [
            (converters.Suits, converters.Costs.Total, OnePhaseWay.Converter),
            (rotary.Suits, rotary.Costs.Total, OnePhaseWay.Rotary),
            (capacitors.Suits, capacitors.Costs.Total, OnePhaseWay.Static),
        ];
        var best = ways.Where(w => w.Suits).OrderBy(w => w.Cost).Select(w => (OnePhaseWay?)w.Way).FirstOrDefault();
        return new Comparison(rotary, capacitors, converters, best);
    }

    /// <summary>Input current of a single-phase-input converter, A.</summary>
    public static double InputA(SingleMachine machine, Case given)
    {
        ArgumentNullException.ThrowIfNull(machine);
        ArgumentNullException.ThrowIfNull(given);
        return 10 * machine.RatedKw * machine.LoadPct
            / (machine.EfficiencyPu * ConverterEfficiencyPu * given.SupplyVoltageV * given.InputPowerFactor);
    }

    private static RotaryResult RotaryOf(Case given)
    {
        var apparent = given.Machines.Select(m => m.RatedKva).ToList();
        var runningKva = given.OneAtATime ? apparent.Max() : given.SimultaneityPu * apparent.Sum();
        var startKva = given.Machines.Max(m => (m.HeavyStart ? given.HeavyFactor : LightStartFactor) * m.RatedKva);
        var kva = Math.Max(RunningFactor * runningKva, startKva);
        var idleW = given.IdlePu * kva * 1e3;
        var energyKwh = given.Machines.Sum(m => m.WorkKwh) + (idleW / 1e3 * given.OnHoursPerYear);
        return new RotaryResult(!given.Machines.Any(m => m.SpeedControl), kva, runningKva, startKva, idleW,
            Costs.Of(given, energyKwh, given.RotaryPerKva * kva));
    }

    /// <summary>What is compared.</summary>
    /// <param name="SupplyVoltageV">Voltage of the one phase, V.</param>
    /// <param name="FrequencyHz">Its frequency, Hz.</param>
    /// <param name="Machines">Machines, at least one.</param>
    /// <param name="SimultaneityPu">Part of them that runs together; not read where they run one at a time.</param>
    /// <param name="OneAtATime">True where never two run together.</param>
    /// <param name="HeavyFactor">Apparent power of a rotary converter over that of a machine that starts heavily.</param>
    /// <param name="IdlePu">Idle loss of a rotary converter over its rated apparent power, W/VA.</param>
    /// <param name="OnHoursPerYear">Hours that a rotary converter is on in a year.</param>
    /// <param name="InputPowerFactor">Total power factor at the input of a single-phase-input converter.</param>
    /// <param name="Prices">What energy and equipment cost.</param>
    public sealed record Case(double SupplyVoltageV, double FrequencyHz, IReadOnlyList<SingleMachine> Machines, double SimultaneityPu,
        bool OneAtATime, double HeavyFactor, double IdlePu, double OnHoursPerYear, double InputPowerFactor, OnePhasePrices Prices)
    {
        internal double RotaryPerKva => Prices.RotaryPerKva;

        internal double StaticPerKw => Prices.StaticPerKw;

        internal double ConverterPerKw => Prices.ConverterPerKw;
    }

    /// <summary>Energy and money.</summary>
    /// <param name="EnergyKwh">Taken in a year, kWh.</param>
    /// <param name="PerYear">Its cost.</param>
    /// <param name="First">First cost.</param>
    /// <param name="Total">Over the years, undiscounted.</param>
    public sealed record Costs(double EnergyKwh, double PerYear, double First, double Total)
    {
        internal static Costs Of(Case given, double energyKwh, double first)
        {
            var perYear = energyKwh * given.Prices.EnergyPerKwh;
            return new Costs(energyKwh, perYear, first, first + (given.Prices.Years * perYear));
        }
    }

    /// <summary>A rotary converter for all machines.</summary>
    /// <param name="Suits">False where a machine's speed is to be set.</param>
    /// <param name="Kva">Rated apparent power that it needs, kVA.</param>
    /// <param name="RunningKva">What runs together, kVA.</param>
    /// <param name="StartKva">What the heaviest start asks for, kVA.</param>
    /// <param name="IdleW">Loss while nothing runs, W.</param>
    /// <param name="Costs">Energy and money.</param>
    public sealed record RotaryResult(bool Suits, double Kva, double RunningKva, double StartKva, double IdleW, Costs Costs);

    /// <summary>A static converter.</summary>
    /// <param name="Suits">For one lightly loaded machine at a time.</param>
    /// <param name="UsableKw">What each machine delivers behind it, kW.</param>
    /// <param name="Costs">Energy and money.</param>
    public sealed record StaticResult(bool Suits, IReadOnlyList<double> UsableKw, Costs Costs);

    /// <summary>A converter for each machine.</summary>
    /// <param name="Suits">Where each motor keeps its full torque up to the frequency of the supply.</param>
    /// <param name="InputA">Current of each at its load, A.</param>
    /// <param name="FullTorqueHz">Frequency to which each keeps its full flux, Hz.</param>
    /// <param name="Costs">Energy and money.</param>
    public sealed record ConverterResult(bool Suits, IReadOnlyList<double> InputA, IReadOnlyList<double> FullTorqueHz, Costs Costs);

    /// <summary>All three.</summary>
    /// <param name="Rotary">One rotary converter.</param>
    /// <param name="Static">One static converter.</param>
    /// <param name="Converter">A converter each.</param>
    /// <param name="Recommended">Cheapest of those that suit, in a tie the first of converter, rotary, static; null: none suits.</param>
    public sealed record Comparison(RotaryResult Rotary, StaticResult Static, ConverterResult Converter, OnePhaseWay? Recommended);
}

/// <summary>How machines are run from one phase.</summary>
public enum OnePhaseWay
{
    /// <summary>A single-phase-input converter each.</summary>
    Converter,

    /// <summary>A rotary converter for all.</summary>
    Rotary,

    /// <summary>A static converter.</summary>
    Static,
}

/// <summary>What energy and equipment cost where only one phase is available.</summary>
/// <param name="EnergyPerKwh">Energy, per kWh.</param>
/// <param name="RotaryPerKva">Rotary converter, per kVA.</param>
/// <param name="StaticPerKw">Static converter, per kW of motors.</param>
/// <param name="ConverterPerKw">Single-phase-input converters, per kW of motors.</param>
/// <param name="Years">Years that are compared.</param>
public sealed record OnePhasePrices(double EnergyPerKwh, double RotaryPerKva, double StaticPerKw, double ConverterPerKw, double Years);
