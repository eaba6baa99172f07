namespace Cuadrilla.Core.Numerics;

/// <summary>A matrix that can't be solved with: singular to rounding, or holding what is no number.</summary>
public sealed class SingularMatrixException() : Exception("The matrix is singular.");
