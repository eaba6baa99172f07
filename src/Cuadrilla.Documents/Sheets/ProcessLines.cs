using System.Reflection;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Fields;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Sheets;

/// <summary>What was entered of a machine, as its process sheet has it, and its hours of a year.</summary>
internal static class ProcessLines
{
    public static IEnumerable<SheetLine> Of(Load load, UnitSystem units)
    {
        object?[] parts = load switch
        {
            FluidLoad f => [f.Common, f, f.Common.Path],
            MechanicalLoad m => [m, m.Train],
            _ => [],
        };
        var said = parts.Where(p => p is not null).SelectMany(p => Entries(p!, load, units)).ToList();
        if (load is PumpLoad { Curve.Count: > 0 } pump)
        {
            said.Add($"its maker's curve, {pump.Curve.Count} points");
        }

        if (said.Count > 0)
        {
            yield return new SheetLine("Process data", string.Join("; ", said));
        }

        IReadOnlyList<DutyPoint> duty = load switch
        {
            FluidLoad f => f.Common.Duty,
            MechanicalLoad m => m.Duty,
            _ => [],
        };
        if (load is not UnspecifiedLoad)
        {
            yield return new SheetLine("Duty", duty.Count == 0
                ? "hours of a year not stated"
                : $"{string.Join("; ", duty.OrderByDescending(d => d.LevelPu).Select(d => $"{Text.N(100 * d.LevelPu)} %: {Text.N(d.HoursPerYear, 4)} h"))}; {Text.N(duty.Sum(d => d.HoursPerYear), 4)} h a year");
        }
    }

    private static IEnumerable<string> Entries(object part, Load load, UnitSystem units)
    {
        foreach (var field in FieldTable.Of(part.GetType()))
        {
            var value = part.GetType().GetProperty(field.Key, BindingFlags.Public | BindingFlags.Instance)?.GetValue(part);
            var text = (field, value) switch
            {
                (NumberField number, Given { IsKnown: true } given) => Number(number, given.Value, load, units),
                (NumberField number, double plain) => Number(number, plain, load, units),
                (NumberField number, int whole) => Number(number, whole, load, units),
                (ChoiceField choice, Enum one) => choice.Options.FirstOrDefault(o => o.Value == one.ToString())?.Words,
                (SwitchField, true) => "yes",
                _ => null,
            };
            if (text is not null)
            {
                yield return $"{char.ToLowerInvariant(field.Name[0])}{field.Name[1..]} {text}";
            }
        }
    }

    private static string Number(NumberField field, double value, Load load, UnitSystem units)
    {
        if (field.Shown == "%")
        {
            return $"{Text.N(100 * value, 4)} %";
        }

        if (field.Us == "hp" && units == UnitSystem.UsCustomary)
        {
            return $"{Text.N(value / UnitTable.Of("kW").Accepts["hp"].Factor, 4)} hp";
        }

        if (field.Shown.Length > 0)
        {
            return UnitTable.Of(field.Shown).Say(units, value / UnitTable.Of(field.Unit).Accepts[field.Shown].Factor);
        }

        // Fans move air in other units than pumps move liquids.
        var kept = field.Key == nameof(FluidMachine.RatedFlowM3PerS) && load is PumpLoad ? "m³/s/liquid" : field.Unit;
        return field.Unit.Length == 0 ? Text.N(value, 4) : UnitTable.Of(kept).Say(units, value);
    }
}
