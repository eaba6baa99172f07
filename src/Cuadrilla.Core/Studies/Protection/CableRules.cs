using System.Numerics;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>A section against one rule.</summary>
/// <param name="Rule">The rule.</param>
/// <param name="Figure">What comes of the section.</param>
/// <param name="Limit">Its limit.</param>
/// <param name="AtLeast">True where the figure must reach the limit, false where it must not exceed it.</param>
internal readonly record struct RuleFigure(CableRule Rule, double Figure, double Limit, bool AtLeast)
{
    public bool Holds => AtLeast ? Figure >= Limit : Figure <= Limit;
}

/// <summary>A section of a cable against all that is asked of it: checks and proposals use the same figures.</summary>
internal sealed class CableRules(EngineeringData data)
{
    /// <summary>Standard sections of a code, mm².</summary>
    public IEnumerable<double> Sections(InstallationCode code, ConductorMaterial material) => code == InstallationCode.Nfpa70
        ? data.UsConductors.Sizes.Select(s => s.SectionMm2)
        : data.Cables.Rows.Select(r => r.SectionMm2).Where(s => material == ConductorMaterial.Copper || s >= data.Cables.AluminiumFromMm2);

    /// <summary>Capacity I_z, all parallel cables, A; null where the tables have none.</summary>
    public double? CapacityA(CableTask task, double sectionMm2, CableInstallation laid)
    {
        var circuits = laid with { Circuits = laid.Circuits - 1 + task.Beside };
        var ambientC = laid.SurroundC(task.AmbientC);
        return task.Code == InstallationCode.Nfpa70
            ? UsCapacityA(task, sectionMm2, circuits.Circuits - 1 + task.Parallel, ambientC)
            : CurrentCapacity.CapacityA(sectionMm2, task.Parallel, task.Material, circuits, ambientC,
                laid.Cores == CableCores.WithNeutral ? task.ThirdPct : 0, data.Cables);
    }

    /// <summary>Resistance and reactance of a conductor in operation, all parallel cables, Ω.</summary>
    public static Complex Ohm(CableTask task, double sectionMm2) =>
        task.LengthM / task.Parallel * new Complex(
            ConductorResistance.OhmPerM(ConductorResistance.At20OhmPerM(sectionMm2, task.Material, null), task.Material,
                InsulationLimits.OperatingC(task.Laid.Insulation)), task.ReactanceOhmPerM);

    /// <summary>Line and protective conductor of the fault loop, Ω/m each, parallel cables together.</summary>
    public static (Complex Line, Complex Earth) LoopPerM(CableTask task, double sectionMm2)
    {
        Complex PerM(double mm2) => new Complex(
            ConductorResistance.HotOhmPerM(ConductorResistance.At20OhmPerM(mm2, task.Material, null),
                InsulationLimits.OperatingC(task.Laid.Insulation)), task.ReactanceOhmPerM) / task.Parallel;
        return (PerM(sectionMm2), PerM(ProtectiveConductor.Mm2(task.ProtectiveMm2, sectionMm2)));
    }

    /// <summary>Voltage lost up to its end, % of nominal.</summary>
    public static double DropPct(CableTask task, DropTask drop, double sectionMm2)
    {
        var ohm = Ohm(task, sectionMm2);
        var lost = CableDrop.Of(task.NominalVoltageV, task.System, drop.CurrentA, drop.PowerFactor, ohm.Real, ohm.Imaginary);
        return drop.BeforePct + (lost.EndV is null ? 100 : 100 * lost.DropV / task.NominalVoltageV);
    }

    /// <summary>The fault loop to its end.</summary>
    public static LoopFault.Result LoopOf(CableTask task, LoopTask loop, double sectionMm2)
    {
        var (line, earth) = LoopPerM(task, sectionMm2);
        return LoopFault.Of(new LoopFault.Loop(loop.PhaseVoltageV, loop.SourceOhm, line, earth, task.LengthM, loop.TripA,
            loop.VoltageFactor));
    }

    /// <summary>Least current of a short circuit at its end: of two phases, or to earth where that is known and less, A.</summary>
    public static double LeastAtEndA(CableTask task, ShortCircuitTask fault, double sectionMm2)
    {
        var (line, earth) = LoopPerM(task, sectionMm2);
        var phase = fault.VoltageFactor * fault.NominalVoltageV / Math.Sqrt(3);
        var two = Math.Sqrt(3) / 2 * phase / (fault.LeastOhm + (task.LengthM * line)).Magnitude;
        return fault.LoopOhm is { } loop ? Math.Min(two, phase / (loop + (task.LengthM * (line + earth))).Magnitude) : two;
    }

    /// <summary>Energy that reaches a cable before its device has cleared, worst of the largest and the least fault, A²s; infinite where
    /// it does not clear in 5 s.</summary>
    public static double HeatA2s(CableTask task, ShortCircuitTask fault, double sectionMm2)
    {
        var least = fault.Device.LetThroughA2s(LeastAtEndA(task, fault, sectionMm2)) ?? double.PositiveInfinity;
        var most = fault.Device.LetThroughA2s(fault.LargestA) ?? double.PositiveInfinity;
        return Math.Max(least, most);
    }

    /// <summary>Energy that a section bears, parallel cables together, A²s.</summary>
    public static double BearsA2s(CableTask task, double sectionMm2) =>
        Math.Pow(InsulationLimits.AdiabaticK(task.Laid.Insulation, task.Material) * sectionMm2 * task.Parallel, 2);

    /// <summary>A section against every rule that is asked.</summary>
    public IEnumerable<RuleFigure> Figures(CableTask task, double sectionMm2)
    {
        yield return new RuleFigure(CableRule.Current, CapacityA(task, sectionMm2, task.Laid) ?? 0,
            CurrentCapacity.SizingA(task.SizingA, task.Laid.Cores == CableCores.WithNeutral ? task.ThirdPct : 0), true);
        if (task.Drop is { } drop)
        {
            yield return new RuleFigure(CableRule.Drop, DropPct(task, drop, sectionMm2), drop.LimitPct, false);
        }

        if (task.Start is { } start)
        {
            yield return new RuleFigure(CableRule.Start, DropPct(task, start, sectionMm2), start.LimitPct, false);
        }

        if (task.ShortCircuit is { } fault)
        {
            yield return new RuleFigure(CableRule.ShortCircuit, HeatA2s(task, fault, sectionMm2), BearsA2s(task, sectionMm2), false);
        }

        if (task.Loop is { } loop)
        {
            var result = LoopOf(task, loop, sectionMm2);
            yield return new RuleFigure(CableRule.Disconnection, result.LoopOhm, result.PermittedOhm, false);
        }
    }

    /// <summary>The smallest standard section that holds all, and the rule that asked for it; null where none does.</summary>
    public (double SectionMm2, CableRule Governs)? Smallest(CableTask task)
    {
        var governs = CableRule.Least;
        foreach (var section in Sections(task.Code, task.Material))
        {
            // Of several that fail together the last of the list is what the next section stands for.
            CableRule? failed = null;
            foreach (var figure in Figures(task, section))
            {
                failed = figure.Holds ? failed : figure.Rule;
            }

            if (failed is not { } rule)
            {
                return (section, governs);
            }

            governs = rule == CableRule.Current && HoldsAlone(task, section) ? CableRule.Grouping : rule;
        }

        return null;
    }

    private bool HoldsAlone(CableTask task, double sectionMm2) =>
        CapacityA(task, sectionMm2, task.Laid with { Circuits = 1 }) >= task.SizingA;

    private double? UsCapacityA(CableTask task, double sectionMm2, int circuits, double ambientC) =>
        task.Material == ConductorMaterial.Copper && data.UsConductors.Of(sectionMm2) is { } size
        ? task.Parallel * size.CapacityA * UsConductors.TemperatureFactor(ambientC) * data.UsConductors.GroupFactor(circuits)
        : null;
}
