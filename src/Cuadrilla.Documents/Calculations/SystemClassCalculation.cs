using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>system-class</c>.</summary>
internal static class SystemClassCalculation
{
    private const double Largest = 1e7;

    public static object Run(Input input)
    {
        var found = SystemClass.Of(input.MotorW, input.SystemModuleW, input.ModuleW, input.ReferenceMotorW, input.ReferenceModuleW);
        return new Output(found.SystemPct, $"IES{found.Ies}", found.ModulePct, $"IE{found.Ie}");
    }

    internal sealed record Input([Range(0, Largest)] double MotorW, [Range(0, Largest)] double SystemModuleW,
        [Range(0, Largest)] double ModuleW, [Above(0, Largest)] double ReferenceMotorW, [Above(0, Largest)] double ReferenceModuleW);

    internal sealed record Output(double SystemPct, string SystemClass, double ModulePct, string ModuleClass);
}
