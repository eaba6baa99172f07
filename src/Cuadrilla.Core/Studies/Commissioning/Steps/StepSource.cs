using System.Numerics;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Brakes;
using Cuadrilla.Core.Studies.Commissioning.Parameters;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>What the steps of a drive point are made from.</summary>
public sealed record StepSource
{
    /// <summary>What its parameter sheet is made from.</summary>
    public required ParameterSource Parameters { get; init; }

    /// <summary>Its parameter sheet.</summary>
    public required ParameterSheet Sheet { get; init; }

    /// <summary>What readings are held to.</summary>
    public required CommissioningRules Rules { get; init; }

    /// <summary>Bus it hangs on.</summary>
    public required Network.Bus Bus { get; init; }

    /// <summary>Steady voltage of that bus over all scenarios; null while it can't be computed.</summary>
    public BusVoltageRange? Voltage { get; init; }

    /// <summary>Fault loop at its line terminals by the feeder's study; null where that judges none.</summary>
    public LoopFault.Result? Loop { get; init; }

    /// <summary>The start as specified; null where it can't be simulated or is on a converter.</summary>
    public StartCase? Start { get; init; }

    /// <summary>Time of the stop as specified, s; null where it can't be simulated.</summary>
    public double? StopS { get; init; }

    /// <summary>Its brake; null without.</summary>
    public BrakeModel? Brake { get; init; }

    /// <summary>Frequency of the supply, Hz.</summary>
    public required double SupplyHz { get; init; }

    /// <summary>Its line current in the first scenario it runs in: rms phasors of orders 1 to 50, A; null while not solved.</summary>
    public IReadOnlyList<Complex>? LineOrdersA { get; init; }

    /// <summary>Rms of the same, A.</summary>
    public IReadOnlyList<double>? LineCurrentA => LineOrdersA is null ? null : [.. LineOrdersA.Select(o => o.Magnitude)];

    /// <summary>Its distortion, %.</summary>
    public double? ThdiPct { get; init; }

    /// <summary>Limit of the demand distortion at the coupling, %, where this is the drive point that its record is kept with; null
    /// otherwise, and while it is not known.</summary>
    public double? DemandLimitPct { get; init; }

    /// <summary>The drive point resolved.</summary>
    public DrivePointModel Model => Parameters.Model;

    /// <summary>The drive point.</summary>
    public DrivePoint Point => Parameters.Point;

    /// <summary>A group's motors hang on one converter.</summary>
    public bool IsGroup => Model.Input.Group is not null;
}
