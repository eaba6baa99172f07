namespace Cuadrilla.Documents.Measurements;

/// <summary>Waveforms recorded at one place.</summary>
/// <param name="Station">Where.</param>
/// <param name="FrequencyHz">Line frequency, Hz.</param>
/// <param name="SamplesPerS">Sampling rate, 1/s.</param>
/// <param name="Channels">Analogue channels, all of the same length.</param>
public sealed record Recording(string Station, double FrequencyHz, double SamplesPerS, IReadOnlyList<RecordedChannel> Channels);

/// <summary>A channel.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Samples">Its samples.</param>
public sealed record RecordedChannel(string Name, string Unit, IReadOnlyList<double> Samples);
