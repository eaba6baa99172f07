using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Starting;

/// <summary>What a simulated start rests on: the key under which it is kept.</summary>
internal sealed record StartKey(DrivePointInput Input, StartPlace Place);
