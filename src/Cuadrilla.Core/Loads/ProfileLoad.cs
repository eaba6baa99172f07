using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>Speed and torque over time as recorded or wanted.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each rate of cycles.</param>
/// <param name="Points">At least two, time ascending from 0; the last closes the cycle.</param>
public sealed record ProfileLoad(DriveTrain Train, ValueList<DutyPoint> Duty, ValueList<ProfilePoint> Points) : MechanicalLoad(Train, Duty)
{
    /// <inheritdoc/>
    /// <remarks>Nothing says that its load does not hang.</remarks>
    public override string BrakeApplication() => "hoist";

    /// <inheritdoc/>
    public override string InWords() => "profile";

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Train = SharedTrain(partPu), Points = [.. Points.Select(p => p with { TorqueNm = p.TorqueNm * partPu })] };

    /// <inheritdoc/>
    internal override void Need(MissingNames names)
    {
        names.Need(Train.InertiaKgM2, "inertia of the machine");
        if (Points.Count < 2)
        {
            names.Names.Add("points of the profile");
        }
    }

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) => CycleBuilders.Profile(this);
}

/// <summary>A point of a profile at the machine's shaft.</summary>
public sealed record ProfilePoint(double TimeS, double SpeedRpm, double TorqueNm);
