namespace Cuadrilla.Core.Brakes;

/// <summary>Settings of a holding brake's commands to start from for a kind of machine.</summary>
/// <param name="Application">The machine in words, for example hoist.</param>
/// <param name="Control">Who commands it, and when.</param>
/// <param name="Suppression">What takes the coil's energy.</param>
/// <param name="Why">What it is made for.</param>
public sealed record BrakePreset(string Application, BrakeControl Control, CoilSuppression Suppression, string Why);
