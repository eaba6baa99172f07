using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>A centre-driven winder or unwinder of a web.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each line speed.</param>
/// <param name="Unwinds">True when the web leaves the roll: the drive then brakes and regenerates all the time.</param>
/// <param name="LineSpeedMPerS">Line speed, m/s.</param>
/// <param name="TensionN">Tension at the core, N.</param>
/// <param name="TaperPct">By how much the tension falls to the full diameter, %.</param>
/// <param name="CoreDiameterM">Core, m.</param>
/// <param name="FullDiameterM">Full roll, m.</param>
/// <param name="WebWidthM">Width of the web, m.</param>
/// <param name="DensityKgPerM3">Density of the wound material, kg/m³.</param>
/// <param name="FrictionNm">Friction at the roll's shaft, Nm.</param>
public sealed record WinderLoad(
    DriveTrain Train,
    ValueList<DutyPoint> Duty,
    bool Unwinds,
    Given LineSpeedMPerS,
    Given TensionN,
    Given TaperPct,
    Given CoreDiameterM,
    Given FullDiameterM,
    Given WebWidthM,
    Given DensityKgPerM3,
    Given FrictionNm) : MechanicalLoad(Train, Duty)
{
    /// <inheritdoc/>
    public override string BrakeApplication() => "winder";

    /// <inheritdoc/>
    public override string InWords() => Unwinds ? "unwinder" : "winder";

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Train = SharedTrain(partPu), TensionN = Shared(TensionN, partPu), WebWidthM = Shared(WebWidthM, partPu),
            FrictionNm = Shared(FrictionNm, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(LineSpeedMPerS, "line speed").Need(TensionN, "tension").Need(TaperPct, "taper").Need(CoreDiameterM, "core diameter")
        .Need(FullDiameterM, "full diameter").Need(WebWidthM, "width of the web").Need(DensityKgPerM3, "density")
        .Need(FrictionNm, "friction");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) => new WinderModel(this);
}
