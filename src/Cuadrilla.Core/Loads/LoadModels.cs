namespace Cuadrilla.Core.Loads;

/// <summary>Makes the model of a load, or names what is missing.</summary>
public static class LoadModels
{
    // No motor described here turns faster.
    private const double HighestRpm = 100_000;

    /// <summary>Builds a model.</summary>
    /// <param name="load">The load as entered.</param>
    /// <param name="defaults">Usual values where none is entered.</param>
    /// <param name="missing">Names of missing entries; empty when the model was built.</param>
    public static LoadModel? Build(Load load, LoadDefaults defaults, out IReadOnlyList<string> missing)
    {
        ArgumentNullException.ThrowIfNull(defaults);
        if (load is FluidLoad fluid)
        {
            return FluidMachineModel.Build(fluid, out missing);
        }

        var names = new MissingNames();
        missing = names.Names;
        if (load is not MechanicalLoad mechanical)
        {
            names.Names.Add("load");
            return null;
        }

        names.Need(mechanical.Train.GearRatio, "gear ratio").Need(mechanical.Train.GearEfficiency, "efficiency of the gear");
        mechanical.Need(names);
        if (names.Names.Count > 0 || mechanical.Make(names, defaults) is not { } model)
        {
            return null;
        }

        if (model.RatedSpeedRpm <= HighestRpm)
        {
            return model;
        }

        names.Names.Add(FormattableString.Invariant($"gear and speeds with which the motor turns at most {HighestRpm}")
            + FormattableString.Invariant($" rpm, not {model.RatedSpeedRpm:0}"));
        return null;
    }
}
