namespace Cuadrilla.Core.Base;

/// <summary>Data that a study can't work with: each value by itself may stand, together they contradict or leave out what is
/// needed.</summary>
/// <param name="message">What is wrong, as a sentence for the engineer.</param>
public sealed class UnfitDataException(string message) : Exception(message);
