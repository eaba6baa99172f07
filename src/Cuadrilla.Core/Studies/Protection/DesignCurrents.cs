using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>Design current of a cable.</summary>
/// <param name="CurrentA">I_B, A.</param>
/// <param name="PowerFactor">Displacement power factor of its fundamental.</param>
/// <param name="Scenario">Scenario that decides; empty where none does.</param>
/// <param name="Why">What it is, with numbers.</param>
internal sealed record DesignCurrent(double CurrentA, double PowerFactor, string Scenario, string Why);

/// <summary>Finds design currents I_B: rms of the solved waveform at the worst scenario, and what the motor's protection lets through for
/// long.</summary>
internal static class DesignCurrents
{
    private const double SwingPowerFactor = 0.95;

    /// <summary>Into the feeder of a drive point; null with what is missing.</summary>
    public static (DesignCurrent? Current, IReadOnlyList<string> Missing) OfFeeder(DrivePointModel model, SupplyContext supply)
    {
        if (supply.Scenarios.Count == 0)
        {
            return (null, [.. PlantNetwork.Missing(supply.Plant).DefaultIfEmpty("a scenario that can be computed")]);
        }

        return model switch
        {
            DriveOnLine line => (OnLine(line, supply), []),
            DriveOnConverter drive => OnConverter(drive, supply),
            _ => (null, [.. model.Missing().DefaultIfEmpty("converter")]),
        };
    }

    /// <summary>Into the motor cable; of a winding where six conductors go to the motor.</summary>
    public static (DesignCurrent? Current, IReadOnlyList<string> Missing) OfMotorCable(DrivePointModel model, SupplyContext supply)
    {
        switch (model)
        {
            case DriveOnLine line:
                var current = OnLine(line, supply);
                return SixConductors(line)
                    ? (current with { CurrentA = current.CurrentA / Math.Sqrt(3),
                        Why = $"{current.Why}; /√3 in each of two cables, six conductors to the motor" }, [])
                    : (current, []);
            case DriveOnConverter drive:
                var demandA = CurrentDemand.Continuous(drive).CurrentA;
                var ratedA = drive.Connected.Plate.RatedCurrentA;
                var mostA = Math.Min(ratedA, drive.Converter.SiteCurrentA);
                return (new DesignCurrent(
                    Math.Max(demandA, mostA), drive.At(1).Motor.PowerFactor, string.Empty,
                    $"demand {Text.N(demandA)} A; electronic motor protection set to the motor's {Text.N(ratedA)} A, converter "
                        + $"{Text.N(drive.Converter.SiteCurrentA)} A for ever"), []);
            default:
                return (null, [.. model.Missing().DefaultIfEmpty("converter")]);
        }
    }

    /// <summary>True where a starter leaves the motor's link to itself: both ends of each winding come out.</summary>
    public static bool SixConductors(DrivePointModel model) =>
        model.Starter?.Choice is Converters.ConverterChoice.StarDelta
            or Converters.ConverterChoice.SoftStarter { Settings.InsideDelta: true };

    private static DesignCurrent OnLine(DriveOnLine line, SupplyContext supply)
    {
        var plate = line.Connected.Plate;
        var worst = supply.OnLineOf(line.Id).Select(d => (d.Scenario.ScenarioName, d.Drive.Point.Motor))
            .OrderByDescending(d => d.Motor.CurrentA).FirstOrDefault();
        var drawnA = worst.ScenarioName is null ? 0 : worst.Motor.CurrentA;
        return drawnA > plate.RatedCurrentA
            ? new DesignCurrent(drawnA, worst.Motor.PowerFactor, worst.ScenarioName ?? string.Empty,
                $"{Text.N(drawnA)} A drawn, above the motor's {Text.N(plate.RatedCurrentA)} A")
            : new DesignCurrent(plate.RatedCurrentA, plate.PowerFactor, string.Empty,
                $"overload protection set to the motor's {Text.N(plate.RatedCurrentA)} A; draws {Text.N(drawnA)} A");
    }

    /// <summary>
    /// Into the feeder of a supply module: its solved waveform, raised by what the rms of the process is above the power that the
    /// scenario was solved with; null with what is missing.
    /// </summary>
    public static (DesignCurrent? Current, IReadOnlyList<string> Missing) OfModule(DcBusModel model, SupplyContext supply)
    {
        if (supply.Scenarios.Count == 0)
        {
            return (null, [.. PlantNetwork.Missing(supply.Plant).DefaultIfEmpty("a scenario that can be computed")]);
        }

        if (model.Missing.Count > 0)
        {
            return (null, model.Missing);
        }

        var (found, missing) = OfFront(model.Bus.Id, supply);
        if (found is null)
        {
            return (null, missing);
        }

        var risePu = SolvedW(model, supply) is > 0 and var solvedW ? Math.Max(1, ThroughW(model, supply) / solvedW) : 1;
        return risePu > 1.005
            ? (found with { CurrentA = risePu * found.CurrentA,
                Why = $"{found.Why}; × {Text.N(risePu, 3)}, the rms power of the process over its mean" }, [])
            : (found, []);
    }

    /// <summary>Largest power of a supply module that a scenario was solved with, W; 0 where it draws in none.</summary>
    public static double SolvedW(DcBusModel model, SupplyContext supply) => SolvedW(model.Bus.Id, supply);

    /// <summary>The same of any front end by its key.</summary>
    public static double SolvedW(string id, SupplyContext supply) =>
        supply.DrivesOf(id).Select(d => Math.Abs(d.Drive.Point.LinkW)).DefaultIfEmpty(0).Max();

    // What it returns heats its feeder as what it draws does.
    private static double ThroughW(DcBusModel model, SupplyContext supply) =>
        model.Processes(supply.Plant.Scenarios).Select(r => model.Module!.ReturnPu > 0 ? r.Run.NetRmsW : r.Run.RmsW)
            .DefaultIfEmpty(0).Max();

    private static (DesignCurrent? Current, IReadOnlyList<string> Missing) OnConverter(DriveOnConverter drive, SupplyContext supply) =>
        OfFront(drive.Input.Group?.GroupId ?? drive.Id, supply);

    private static (DesignCurrent? Current, IReadOnlyList<string> Missing) OfFront(string id, SupplyContext supply)
    {
        var found = supply.DrivesOf(id).Select(d => (d.Scenario.ScenarioName, d.Drive.Front)).ToList();
        if (found.Count == 0)
        {
            var unsettled = supply.Scenarios.SelectMany(s => s.Unsettled).Distinct(StringComparer.Ordinal).ToList();
            return unsettled.Count > 0 ? (null, unsettled) : (null, ["a scenario in which it draws from the line"]);
        }

        if (found.Select(f => f.Front).OfType<RectifierResult.NoSteadyState>().FirstOrDefault() is { } none)
        {
            return (null, [$"a steady state of its front end: {none.Reason}"]);
        }

        var (scenario, phase) = found.Select(f => (f.ScenarioName, ((RectifierResult.LineDraw)f.Front).LoadedPhase))
            .MaxBy(f => f.LoadedPhase.RmsA);
        var crowded = supply.DrivesOf(id).SelectMany(d => d.Scenario.Unsettled).Distinct(StringComparer.Ordinal).ToList();
        return crowded.Count > 0
            ? (null, crowded)
            : (new DesignCurrent(
                phase.RmsA, phase.DisplacementPowerFactor > 0 ? phase.DisplacementPowerFactor : SwingPowerFactor, scenario,
                $"rms of the solved waveform, {Text.N(phase.RmsA / Math.Max(1e-12, phase.FundamentalA), 3)} × its fundamental of "
                    + $"{Text.N(phase.FundamentalA)} A"), []);
    }
}
