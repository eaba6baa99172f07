using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>A drive point of which all is known from shaft to busbar: on a converter or on the line.</summary>
public abstract class CompleteDrive : CabledMotor
{
    private protected CompleteDrive(CabledMotor known)
        : base(known)
    {
    }

    /// <summary>Operating point from shaft to busbar at a level.</summary>
    /// <param name="levelPu">Flow, speed or rate of cycles, parts of the rated.</param>
    /// <param name="loadPu">Torque in parts of what the load asks for there.</param>
    public abstract OperatingPoint At(double levelPu, double loadPu = 1);
}

/// <summary>A complete drive on its converter, or on its part of a group's.</summary>
public sealed class DriveOnConverter : CompleteDrive
{
    internal DriveOnConverter(CabledMotor known, ConverterChoice.FromCatalogue choice, ConverterItem wholeItem, ConverterAtSite converter)
        : base(known) => (Choice, WholeItem, Converter) = (choice, wholeItem, converter);

    /// <summary>Choice of the converter, of its group where it has one.</summary>
    public override ConverterChoice.FromCatalogue Choice { get; }

    /// <summary>All modules of the converter, that of the whole group where it feeds one.</summary>
    public override ConverterItem WholeItem { get; }

    /// <summary>Converter at this site, or the part of it that one motor of a group uses.</summary>
    public override ConverterAtSite Converter { get; }

    /// <inheritdoc/>
    public override OperatingPoint At(double levelPu, double loadPu = 1)
    {
        var shaft = Load.At(levelPu);
        return PointOf(shaft with { TorqueNm = shaft.TorqueNm * loadPu });
    }

    /// <summary>The chain behind the chosen converter and filter.</summary>
    internal OperatingPoint PointOf(ShaftPoint shaft) => PointOf(shaft, Motor, Converter);
}

/// <summary>A complete drive whose motor runs on the line behind a starter.</summary>
public sealed class DriveOnLine : CompleteDrive
{
    internal DriveOnLine(CabledMotor known, StarterAtSite starter)
        : base(known) => Starter = starter;

    /// <summary>Its starter.</summary>
    public override StarterAtSite Starter { get; }

    /// <inheritdoc/>
    public override OperatingPoint At(double levelPu, double loadPu = 1)
    {
        var (shaft, motor) = LineShaft.Of(this, levelPu, loadPu);
        return OnLine(shaft, motor, Starter.RunningLossW);
    }
}
