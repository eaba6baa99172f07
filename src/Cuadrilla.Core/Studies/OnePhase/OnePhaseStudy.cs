using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.OnePhase;

/// <summary>A way to run the machines of a list from one phase.</summary>
/// <param name="Means">Which.</param>
/// <param name="Suits">True where it can be taken.</param>
/// <param name="Against">Why not, or what it asks for; empty where nothing speaks against it.</param>
/// <param name="DeliversKw">What each machine can still deliver, kW.</param>
/// <param name="Together">Which machines may run together.</param>
/// <param name="IdleW">Loss while nothing runs, W.</param>
/// <param name="EnergyKwh">Taken in a year, kWh.</param>
/// <param name="PerYear">Its cost; null while prices are missing.</param>
/// <param name="First">First cost; null likewise.</param>
/// <param name="Total">Over the years, undiscounted; null likewise.</param>
/// <param name="SupplyA">Largest current of the two conductors, A.</param>
/// <param name="Noise">How loud it is.</param>
/// <param name="SettingUp">What has to be done for it.</param>
public sealed record OnePhaseOption(OnePhaseMeans Means, bool Suits, IReadOnlyList<string> Against, IReadOnlyList<double> DeliversKw,
    string Together, double IdleW, double EnergyKwh, double? PerYear, double? First, double? Total, double SupplyA, string Noise,
    string SettingUp);

/// <summary>The three ways side by side; see <c>docs/methods/one-phase.md</c>.</summary>
/// <param name="SupplyV">Voltage of the two conductors, V.</param>
/// <param name="Missing">What is missing before they can be compared; prices are not among it.</param>
/// <param name="MissingPrices">What is missing for their cost.</param>
/// <param name="Options">The ways; empty while something is missing.</param>
/// <param name="RotaryKva">Least rating of a rotary converter, kVA.</param>
/// <param name="RunningKva">What runs together, kVA.</param>
/// <param name="StartKva">What the heaviest start asks for, kVA.</param>
/// <param name="UnbalancePct">Unbalance at motors behind it, %.</param>
/// <param name="FullTorqueHz">Frequency to which each motor keeps its full torque on a converter, Hz.</param>
/// <param name="Recommended">Cheapest of those that suit; not chosen where none does or prices are missing.</param>
/// <param name="Why">Reasons of the recommendation, in words.</param>
public sealed record OnePhaseStudy(double SupplyV, IReadOnlyList<string> Missing, IReadOnlyList<string> MissingPrices,
    IReadOnlyList<OnePhaseOption> Options, double RotaryKva, double RunningKva, double StartKva, double UnbalancePct,
    IReadOnlyList<double> FullTorqueHz, OnePhaseMeans Recommended, string Why)
{
    private const double StaticKw = 2.0 / 3;
    private const double NearlyPu = 0.995;

    /// <summary>Compares what a lineup's machines can be run by.</summary>
    public static OnePhaseStudy Of(PlantSpecification plant, Lineup lineup, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        ArgumentNullException.ThrowIfNull(data);
        var one = lineup.OnePhase ?? OnePhaseSupply.Open;
        var supplyV = one.VoltageOn(plant.Distribution.Bus(lineup.BusId).NominalVoltageV);
        var machines = one.Machines.Select(m => ResolvedMachine.Of(m, supplyV, plant.Source.FrequencyHz, data)).ToList();
        List<string> missing = [.. machines.Count == 0 ? ["a machine"] : Array.Empty<string>(),
            .. machines.SelectMany(m => m.Missing.Select(x => $"{m.Machine.Name}: {x}")),
            .. one.Rotary.OnHoursPerYear.IsKnown ? Array.Empty<string>() : ["hours that a rotary converter is switched on"]];
        var prices = Prices(one, plant.Tariff.EnergyPerKwh, out var open);
        if (missing.Count > 0)
        {
            return new OnePhaseStudy(supplyV, missing, open, [], 0, 0, 0, 0, [], OnePhaseMeans.NotChosen, string.Empty);
        }

        var figures = machines.Select(m => m.Figures!).ToList();
        var given = new OnePhaseOptions.Case(supplyV, plant.Source.FrequencyHz, figures, OnePhaseUsual.SimultaneityPct(one) / 100,
            one.OneAtATime,
            OnePhaseUsual.HeavyFactor(one.Rotary), OnePhaseUsual.IdlePct(one.Rotary) / 100, one.Rotary.OnHoursPerYear.Value,
            OnePhaseUsual.InputPowerFactor(one.Costs), prices);
        var found = OnePhaseOptions.Of(given);
        var unbalance = MadePhase.UnbalancePct(OnePhaseUsual.DeviationPct(one.Rotary));
        var derate = PermittedPu(unbalance, data);
        List<OnePhaseOption> options =
        [
            Converters(one, machines, found.Converter, given), Rotary(one, machines, found.Rotary, given, derate, unbalance),
            Static(one, machines, found.Static, given),
        ];
        if (open.Count > 0)
        {
            options = [.. options.Select(o => o with { PerYear = null, First = null, Total = null })];
        }

        var best = options.Where(o => o.Suits && o.Total is not null).MinBy(o => o.Total);
        return new OnePhaseStudy(supplyV, [], open, options, found.Rotary.Kva, found.Rotary.RunningKva, found.Rotary.StartKva, unbalance,
            found.Converter.FullTorqueHz, best?.Means ?? OnePhaseMeans.NotChosen, WhyOf(options, best, open));
    }

    /// <summary>Part of its rated output that a motor may deliver under an unbalance; none above 5 %.</summary>
    public static double PermittedPu(double unbalancePct, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(data);
        return unbalancePct > data.UnbalanceDerating[^1].X ? 0 : Curve.At(data.UnbalanceDerating, unbalancePct);
    }

    private static OnePhasePrices Prices(OnePhaseSupply one, double energyPerKwh, out List<string> open)
    {
        (Given Value, string Name)[] all = [(one.Costs.RotaryPerKva, "price of a rotary converter"),
            (one.Costs.StaticPerKw, "price of a static converter"), (one.Costs.ConverterPerKw, "price of converters")];
        open = [.. all.Where(p => !p.Value.IsKnown).Select(p => p.Name)];
        double At(int k) => all[k].Value.IsKnown ? all[k].Value.Value : 0;
        return new OnePhasePrices(energyPerKwh, At(0), At(1), At(2), OnePhaseUsual.Years(one.Costs));
    }

    private static OnePhaseOption Converters(OnePhaseSupply one, List<ResolvedMachine> machines, OnePhaseOptions.ConverterResult found,
        OnePhaseOptions.Case given)
    {
        List<string> against = [];
        List<double> delivers = [];
        for (var i = 0; i < machines.Count; i++)
        {
            var full = found.FullTorqueHz[i];
            delivers.Add(machines[i].Figures!.RatedKw * Math.Min(1, full / given.FrequencyHz));
            if (full < NearlyPu * given.FrequencyHz)
            {
                against.Add($"{machines[i].Machine.Name}: full torque to {Text.N(full, 3)} Hz only, linked for "
                    + $"{Text.N(machines[i].Figures!.MotorVoltageV)} V at least: bring the winding ends out, or another motor");
            }
        }

        // Nominal voltages of supply and motor are rounded: 230.9 V is the 231 V of a motor.
        var suits = found.FullTorqueHz.All(f => f >= NearlyPu * given.FrequencyHz);
        var sum = Running(found.InputA, given);
        Overload(one, sum, against);
        return new OnePhaseOption(OnePhaseMeans.Converters, suits && Carries(one, sum), against, delivers,
            given.OneAtATime ? "one at a time, as entered; each has its own" : "all: each has its own", 0, found.Costs.EnergyKwh,
            found.Costs.PerYear,
            found.Costs.First, found.Costs.Total, sum, "whistles at low switching frequency",
            "set up each; link the motor in delta; filter, screened cable");
    }

    private static OnePhaseOption Rotary(OnePhaseSupply one, List<ResolvedMachine> machines, OnePhaseOptions.RotaryResult found,
        OnePhaseOptions.Case given, double derate, double unbalancePct)
    {
        List<string> against = [.. machines.Where(m => m.Machine.SpeedControl).Select(m => $"{m.Machine.Name} wants its speed set")];
        var enough = true;
        List<double> delivers = [];
        foreach (var machine in machines)
        {
            delivers.Add(derate * machine.Figures!.RatedKw);
            if (derate * 100 < machine.Figures.LoadPct)
            {
                enough = false;
                against.Add($"{machine.Machine.Name}: {Text.N(100 * derate, 3)} % of its output is left at {Text.N(unbalancePct, 3)} % "
                    + $"unbalance, {Text.N(machine.Figures.LoadPct, 3)} % is asked");
            }
        }

        var idleVa = OnePhaseUsual.IdleVa(one with { Means = OnePhaseMeans.Rotary, Rotary = one.Rotary with { RatedKva = found.Kva } });
        var supplyA = (1e3 * found.RunningKva + idleVa.Magnitude) / given.SupplyVoltageV;
        Overload(one, supplyA, against);
        return new OnePhaseOption(OnePhaseMeans.Rotary, found.Suits && enough && Carries(one, supplyA), against, delivers,
            $"what stays within {Text.N(found.RunningKva, 3)} kVA; the heaviest start asks {Text.N(found.StartKva, 3)} kVA", found.IdleW,
            found.Costs.EnergyKwh, found.Costs.PerYear,
            found.Costs.First, found.Costs.Total, supplyA, "hums all day while it is on",
            "place, foundation and a panel; measure the made phase under load");
    }

    private static OnePhaseOption Static(OnePhaseSupply one, List<ResolvedMachine> machines, OnePhaseOptions.StaticResult found,
        OnePhaseOptions.Case given)
    {
        List<string> against = [.. machines.Where(m => m.Machine.SpeedControl).Select(m => $"{m.Machine.Name} wants its speed set"),
            .. machines.Where(m => m.Machine.HeavyStart).Select(m => $"{m.Machine.Name} starts heavily"),
            .. machines.Count > 1 && !given.OneAtATime ? ["machines run together"] : Array.Empty<string>(),
            .. machines.Where(m => m.Figures!.LoadPct > 100 * StaticKw)
            .Select(m => $"{m.Machine.Name}: two thirds of its output are left, {Text.N(m.Figures!.LoadPct, 3)} % is asked")];
        var supplyA = given.Machines.Max(m => 1e3 * m.RatedKva) / given.SupplyVoltageV;
        Overload(one, supplyA, against);
        return new OnePhaseOption(OnePhaseMeans.Static, found.Suits && Carries(one, supplyA), against, found.UsableKw, "one at a time", 0,
            found.Costs.EnergyKwh,
            found.Costs.PerYear, found.Costs.First, found.Costs.Total, supplyA, "silent; its relay clicks at the start",
            "match the capacitors to each machine: a wrong match overheats its motor");
    }

    private static double Running(IReadOnlyList<double> amperes, OnePhaseOptions.Case given) => given.OneAtATime
        ? amperes.Max()
        : Math.Max(amperes.Max(), given.SimultaneityPu * amperes.Sum());

    private static bool Carries(OnePhaseSupply one, double amperes) => !one.SupplyA.IsKnown || amperes <= one.SupplyA.Value;

    private static void Overload(OnePhaseSupply one, double amperes, List<string> against)
    {
        if (!Carries(one, amperes))
        {
            against.Add($"the supply carries {Text.N(one.SupplyA.Value)} A, {Text.N(amperes, 3)} A are asked");
        }
    }

    private static string WhyOf(List<OnePhaseOption> options, OnePhaseOption? best, List<string> open)
    {
        var left = options.Where(o => !o.Suits)
            .Select(o => $"{Word(o.Means)}: {(o.Against.Count > 0 ? o.Against[0] : "does not suit")}").ToList();
        var not = left.Count > 0 ? $" Not: {string.Join("; ", left)}." : string.Empty;
        if (best is null)
        {
            return left.Count == options.Count ? "None suits." + not : $"Enter for the cost: {string.Join(", ", open)}.{not}";
        }

        var next = options.Where(o => o.Suits && o != best).MinBy(o => o.Total);
        var more = next is null ? string.Empty
            : $", {Word(next.Means).ToLowerInvariant()} {Text.N(100 * ((next.Total!.Value / Math.Max(best.Total!.Value, 1e-9)) - 1), 2)} % "
                + "more";
        return $"{Word(best.Means)} costs least of what suits{more}.{not}";
    }

    /// <summary>What a way is called.</summary>
    internal static string Word(OnePhaseMeans means) => means switch
    {
        OnePhaseMeans.Converters => "A converter each",
        OnePhaseMeans.Rotary => "A rotary converter",
        OnePhaseMeans.Static => "A static converter",
        _ => "Nothing",
    };
}
