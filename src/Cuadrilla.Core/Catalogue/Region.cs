namespace Cuadrilla.Core.Catalogue;

/// <summary>Where a plant stands, and the least efficiency class that the law asks of new cage motors there.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="LeastIe">Least class from 0.75 kW; 0: none.</param>
/// <param name="LeastLargeIe">Least class from 75 to 200 kW with 2 to 6 poles.</param>
/// <param name="Source">The law.</param>
public sealed record Region(string Key, string Name, int LeastIe, int LeastLargeIe, string Source);
