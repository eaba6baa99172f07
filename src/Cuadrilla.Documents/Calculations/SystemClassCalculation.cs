using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>system-class</c>.</summary>
internal static class SystemClassCalculation
{
    private const double Largest = 1e7;

    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("motorW", input.MotorW, 0, Largest)
            .Number("systemModuleW", input.SystemModuleW, 0, Largest)
            .Number("moduleW", input.ModuleW, 0, Largest)
            .Number("referenceMotorW", input.ReferenceMotorW, 0, Largest, minExcluded: true)
            .Number("referenceModuleW", input.ReferenceModuleW, 0, Largest, minExcluded: true)
            .Done();
        var found = SystemClass.Of(input.MotorW, input.SystemModuleW, input.ModuleW, input.ReferenceMotorW, input.ReferenceModuleW);
        return new Output(found.SystemPct, $"IES{found.Ies}", found.ModulePct, $"IE{found.Ie}");
    }

    internal sealed record Input(double MotorW, double SystemModuleW, double ModuleW, double ReferenceMotorW, double ReferenceModuleW);

    internal sealed record Output(double SystemPct, string SystemClass, double ModulePct, string ModuleClass);
}
