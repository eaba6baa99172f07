using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>parallel.rating</c>: several modules on one motor, and what is left when one is out.</summary>
internal static class ParallelCheck
{
    private const string Id = "parallel.rating";
    private const string Title = "Parallel modules";
    private const string Source = "docs/methods/parallel-modules.md";

    public static IEnumerable<Check> Of(DrivePointModel model) => model.Choice is { Modules: > 1 } choice ? [Rating(model, choice)] : [];

    private static Check Rating(DrivePointModel point, ConverterChoice.FromCatalogue choice)
    {
        if (point is not LoadedMotor { Converter: { } converter } model)
        {
            return Check.Lacking(Id, point.Id, BoardRow.Converter, Title, ConverterChecks.Missing(point));
        }

        var (current, rpm, _, _) = CurrentDemand.Continuous(model);
        var all = converter.SiteCurrentA;
        var left = all * (choice.Modules - 1) / choice.Modules;
        var torque = model.Motor.TorqueAtCurrentNm(rpm, left);
        var needed = Math.Abs(model.Load.TorqueAtSpeedNm(rpm));
        var share = model.Input.Defaults.Lineups.ModuleSharePu;
        var reason = new Reason(
            "I_motor ≤ n·I_module·k_share; n − 1 modules carry what (n − 1)/n of it gives",
            $"{choice.Modules}·{Text.N(all / choice.Modules / share)}·{Text.N(share)} = {Text.N(all)} A against {Text.N(current)} A; with "
                + $"one module out {Text.N(left)} A: "
                + $"{(needed > 0 ? $"{Text.N(Math.Min(100, 100 * torque / needed), 3)} % of the load's torque at {Text.N(rpm)} rpm" : $"{Text.N(torque)} Nm")}; cables of equal length and section from every module",
            Source,
            [ReasonInput.Of("share", share, string.Empty, "project default"),
                ReasonInput.Of("wiring", Words(choice.Wiring), "converter choice")]);
        const string relief = "Relief: another module, larger ones. Isolate and discharge every module before work on one.";
        return choice.Wiring == ModuleWiring.OneWindingBare
            ? CheckWriter.Rule(Id, model.Id, BoardRow.Converter, Title + ", no chokes between the modules", Verdict.Fails,
                "Relief: an output choke behind each module, or a motor with separate windings.", reason)
            : CheckWriter.Judged(Id, model.Id, BoardRow.Converter, Title, current, all, "A", LimitSense.AtMost,
                model.Input.Defaults.TightMarginPct, relief, reason);
    }

    private static string Words(ModuleWiring wiring) => wiring switch
    {
        ModuleWiring.SeparateWindings => "a winding for each module",
        ModuleWiring.OneWindingWithChokes => "one winding, a choke behind each module",
        ModuleWiring.OneWindingBare => "one winding without chokes",
        _ => throw new InvalidOperationException("Unknown wiring."),
    };
}
