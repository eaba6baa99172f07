using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary>
/// Powers of a drive point whose motor runs on the line. Where motor and machine meet is searched once for each level: a table of
/// alternatives asks for the same level with every converter that can be bypassed.
/// </summary>
/// <param name="model">The drive point.</param>
internal sealed class LinePowers(CompleteDrive model)
{
    private readonly Dictionary<double, LinePoint> points = [];

    /// <summary>Mean power at a level.</summary>
    /// <param name="levelPu">Level of the duty.</param>
    /// <param name="bypassW">What the starter or the bypassed converter loses, W.</param>
    public MeanPower At(double levelPu, double bypassW)
    {
        if (!points.TryGetValue(levelPu, out var point))
        {
            points[levelPu] = point = LineShaft.Of(model, levelPu);
        }

        return MeanPower.OnLine(model, point.Motor, point.Shaft, bypassW);
    }
}
