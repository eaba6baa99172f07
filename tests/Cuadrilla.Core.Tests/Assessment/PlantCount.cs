using System.Globalization;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>How many random plants a slow test takes: CUADRILLA_PLANTS where it is set (2000 takes a quarter of an hour), else few enough
/// for every run.</summary>
internal static class PlantCount
{
    public static int Of(int usual) =>
        int.TryParse(Environment.GetEnvironmentVariable("CUADRILLA_PLANTS"), NumberStyles.None, CultureInfo.InvariantCulture,
            out var plants) ? plants : usual;
}
