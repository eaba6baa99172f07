using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// <c>supply.fault-level</c> and <c>converter.short-circuit-rating</c>: fault current against what switchgear and converters stand,
/// source at its strongest, worst switching state named.
/// </summary>
internal static class FaultLevelChecks
{
    private const string Id = "supply.fault-level";
    public const string ConverterId = "converter.short-circuit-rating";
    private const string Caution = "Protection and arc-flash studies are the work of licensed people; this check is neither.";

    /// <summary>Each bus whose switchgear's withstand is stated.</summary>
    public static IEnumerable<Check> OfBuses(SupplyContext supply)
    {
        foreach (var bus in supply.Plant.Distribution.Buses.Where(b => b.WithstandKa.IsKnown))
        {
            var title = $"Fault level of {bus.Name}";
            if (supply.WithstandOf(bus.Id) is not var (scenario, faultA, motorsA, _))
            {
                yield return Check.Lacking(Id, string.Empty, BoardRow.Plant, title,
                    supply.MissingOfNetwork.DefaultIfEmpty($"a closed path to {bus.Name}")).At(bus.Id);
                continue;
            }

            if (double.IsInfinity(faultA))
            {
                yield return Check.Lacking(Id, string.Empty, BoardRow.Plant, title,
                    ["fault level of the source: an infinite one has no limit here"]).At(bus.Id);
                continue;
            }

            yield return CheckWriter.Judged(
                Id, string.Empty, BoardRow.Plant, title, faultA / 1e3, bus.WithstandKa.Value, "kA", LimitSense.AtMost,
                supply.Defaults.TightMarginPct,
                PlantMeans.Relief(new PlantMeans(supply).OpenCoupler(scenario), "stronger switchgear", "a reactor") + " " + Caution,
                new Reason(
                    "I_k = c_max·U/(√3·|Z|) + ΣI_LR of motors on the line at the bus, transformers by K_T, all paths in parallel",
                    $"{Text.N(WithstandCurrents.CMax(supply.Plant, bus.NominalVoltageV))}·{Text.N(bus.NominalVoltageV)} V/(√3·|Z|) + "
                        + $"{Text.N(motorsA / 1e3)} kA of motors = {Text.N(faultA / 1e3)} kA",
                    "IEC 60909-0, largest currents; peak and thermal withstand are the switchgear maker's",
                    [ReasonInput.Of("withstand of the switchgear", bus.WithstandKa.Value, "kA", bus.Name)]),
                scenario).At(bus.Id);
        }
    }

    /// <summary>A converter's rated short-circuit current against the fault level behind its feeder.</summary>
    public static Check OfConverter(DrivePointModel model, Bus bus, SupplyContext supply)
    {
        const string title = "Fault level at the converter";
        if (model.Input.DrivePoint.Sun is not null)
        {
            return Check.NotConcerned(ConverterId, model.Id, BoardRow.Supply, title,
                "fed from the sun: an array gives little more than its rated current into a fault");
        }

        if (model.Input.OnDcBus)
        {
            return Check.NotConcerned(ConverterId, model.Id, BoardRow.Supply, title,
                "fed from a common DC bus: its supply module is judged, and a fuse of its own keeps faults apart");
        }

        if (model.Starter is { Item: null })
        {
            return Check.NotConcerned(ConverterId, model.Id, BoardRow.Supply, title,
                "contactors: rated with their fuses or breaker by the maker");
        }

        List<string> missing = [.. supply.MissingOfNetwork];
        if (model.Converter is null && model.Starter is null)
        {
            missing.Add("converter");
        }

        if (model.Feeder is null)
        {
            missing.Add("length and cross-section of the feeder");
        }

        if (missing.Count == 0 && supply.WithstandOf(bus.Id) is null)
        {
            missing.Add($"a closed path to {bus.Name}");
        }

        if (model.WholeFeeder is not { } feederOhm
            || (model.Starter?.Item?.ShortCircuitKa ?? model.Converter?.Item.ShortCircuitKa) is not { } withstand || missing.Count > 0)
        {
            return Check.Lacking(ConverterId, model.Id, BoardRow.Supply, title, missing);
        }

        var (scenario, _, _, behind) = supply.WithstandOf(bus.Id)!;
        var cMax = WithstandCurrents.CMax(supply.Plant, bus.NominalVoltageV);
        var faultA = cMax * bus.NominalVoltageV / Math.Sqrt(3) / (behind + feederOhm).Magnitude;
        var check = CheckWriter.Judged(
            ConverterId, model.Id, BoardRow.Supply, title, faultA / 1e3, withstand, "kA", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            string.Empty,
            new Reason(
                "I_k = c_max·U/(√3·|Z_bus + Z_feeder|), Z_bus with motors on the line and K_T, against the rated conditional "
                    + "short-circuit current",
                $"{Text.N(faultA / 1e3)} kA against {Text.N(withstand)} kA",
                "IEC 60909-0; IEC 61800-5-1; the maker's fuses or breaker are part of the rating",
                [
                    ReasonInput.Of("impedance behind the bus", 1e3 * behind.Magnitude, "mΩ", bus.Name),
                    ReasonInput.Of("feeder", 1e3 * feederOhm.Magnitude, "mΩ", "drive point"),
                    ReasonInput.Of("rated short-circuit current", withstand, "kA", "catalogue converter"),
                ]),
            scenario);

        // What this plant can do about it takes looking for.
        if (check.Verdict is Verdict.Fails or Verdict.Tight)
        {
            var feeder = model.Input.DrivePoint.Feeder is Feeder.ByCable ? "a longer feeder" : "a feeder cable of its own";
            check = check with { Relief = PlantMeans.Relief("current-limiting fuses as the maker states", feeder,
                new PlantMeans(supply).OpenCoupler(scenario)) + " " + Caution };
        }

        // Above its plain rating a unit holds only behind the fuses that its rating names, and none is specified yet.
        var plainKa = model.Converter?.Item.ShortCircuitPlainKa ?? 0;
        return check.Verdict == Verdict.Holds && plainKa > 0 && faultA / 1e3 > plainKa
            ? check with
            {
                Verdict = Verdict.Tight,
                Relief = $"Holds only with the fuses or breaker that the rating of {Text.N(withstand)} kA names; with any other "
                    + $"protection the unit is rated {Text.N(plainKa)} kA. " + Caution,
            }
            : check;
    }

    /// <summary>The rated short-circuit current of a common bus's supply module.</summary>
    public static Check OfSupplyModule(string name, SupplyModuleItem? module, System.Numerics.Complex feederOhm, string busId,
        SupplyContext supply)
    {
        var title = $"Fault level at the supply module, {name}";
        List<string> missing = [.. supply.MissingOfNetwork];
        if (module is null)
        {
            missing.Add($"a supply module for {name}");
        }

        if (module is null || missing.Count > 0 || supply.WithstandOf(busId) is not var (scenario, faultA, _, behind)
            || double.IsInfinity(faultA))
        {
            return Check.Lacking("lineup.short-circuit-rating", string.Empty, BoardRow.Plant, title,
                missing.DefaultIfEmpty("a closed path to its bus, a fault level of the source"));
        }

        // A feeder of its own lowers it as its impedance says.
        var busV = supply.Plant.Distribution.Bus(busId).NominalVoltageV;
        faultA = feederOhm == default
            ? faultA
            : WithstandCurrents.CMax(supply.Plant, busV) * busV / Math.Sqrt(3) / (behind + feederOhm).Magnitude;

        return CheckWriter.Judged(
            "lineup.short-circuit-rating", string.Empty, BoardRow.Plant, title, faultA / 1e3, module.ShortCircuitKa, "kA",
            LimitSense.AtMost, supply.Defaults.TightMarginPct,
            PlantMeans.Relief("current-limiting fuses as the maker states", new PlantMeans(supply).OpenCoupler(scenario))
                + " A fuse of its own for each member of the bus keeps one fault from the others. " + Caution,
            new Reason(
                "I_k = c_max·U/(√3·|Z_bus + Z_feeder|), motors on the line in Z_bus, against the module's rated conditional short-circuit "
                    + "current",
                $"{Text.N(faultA / 1e3)} kA against {Text.N(module.ShortCircuitKa)} kA",
                "IEC 60909-0; IEC 61800-5-1; the maker's fuses are part of the rating",
                []),
            scenario);
    }
}
