using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Catalogue;

/// <summary>A supply to start a plant from: voltages, frequency, a transformer and what people there are used to.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="LowV">Voltage of the low-voltage bus, V.</param>
/// <param name="FrequencyHz">Frequency, Hz.</param>
/// <param name="MediumV">Voltage of the connection, V.</param>
/// <param name="Us">True for US customary units.</param>
/// <param name="VectorGroup">Vector group of the transformer.</param>
/// <param name="RatedKva">Its rating, kVA.</param>
/// <param name="UkPct">Its short-circuit impedance, %.</param>
/// <param name="LoadLossKw">Its load loss, kW.</param>
/// <param name="NoLoadLossKw">Its no-load loss, kW.</param>
/// <param name="NoLoadSecondaryPct">Its no-load voltage, % of the bus's nominal.</param>
/// <param name="Currency">Currency.</param>
/// <param name="EnergyPerKwh">Price of energy to start from, per kWh.</param>
/// <param name="Region">Key of the region whose law on motors applies.</param>
public sealed record UsualSupply(
    string Key,
    string Name,
    double LowV,
    double FrequencyHz,
    double MediumV,
    bool Us,
    VectorGroup VectorGroup,
    double RatedKva,
    double UkPct,
    double LoadLossKw,
    double NoLoadLossKw,
    double NoLoadSecondaryPct,
    string Currency,
    double EnergyPerKwh,
    string Region);
