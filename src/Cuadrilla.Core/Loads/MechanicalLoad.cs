using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>Gear and start between a machine and its motor.</summary>
/// <param name="GearRatio">Motor speed over machine speed, 0.05 to 2000; 1 without gear.</param>
/// <param name="GearEfficiency">Efficiency of the gear, 0.2 to 1.</param>
/// <param name="InertiaKgM2">Inertia at the machine's shaft that does not follow from the other entries, kg·m², ≥ 0.</param>
/// <param name="StartTimeS">Wanted time from rest to rated speed, s.</param>
public sealed record DriveTrain(Given GearRatio, Given GearEfficiency, Given InertiaKgM2, Given StartTimeS)
{
    /// <summary>Wanted time from rated speed to rest, s; unknown: none is asked.</summary>
    public Given StopTimeS { get; init; }

    /// <summary>Rated torque of the gearbox at the machine's shaft with a service factor of one, N·m; unknown: not judged.</summary>
    public Given GearTorqueNm { get; init; }

    /// <summary>Service factor that the machine asks of its gearbox; unknown: not judged.</summary>
    public Given ServiceFactor { get; init; }

    /// <summary>Thermal power of the gearbox, kW; unknown: not judged.</summary>
    public Given GearThermalKw { get; init; }
}

/// <summary>A machine whose torque follows from mechanics.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours per year at each level, at most 8760 h together.</param>
public abstract record MechanicalLoad(DriveTrain Train, ValueList<DutyPoint> Duty) : Load
{
    /// <summary>Names what is missing of this kind beside its train.</summary>
    internal abstract void Need(MissingNames names);

    /// <summary>Its model, of a load that lacks nothing; null where its entries contradict each other, which is then named.</summary>
    internal abstract LoadModel? Make(MissingNames names, LoadDefaults defaults);

    /// <summary>Part of the train: its inertia is shared, gears are not.</summary>
    private protected DriveTrain SharedTrain(double partPu) => Train with { InertiaKgM2 = Shared(Train.InertiaKgM2, partPu) };
}
