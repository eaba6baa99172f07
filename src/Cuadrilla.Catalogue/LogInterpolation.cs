namespace Cuadrilla.Catalogue;

/// <summary>Scaling rule of the generic series: values between anchors, linear in the logarithm of rated power.</summary>
internal static class LogInterpolation
{
    /// <summary>A value at a rated power; held beyond the first and last anchor.</summary>
    public static double At<T>(IReadOnlyList<T> anchors, Func<T, double> kwOf, Func<T, double> valueOf, double kw)
    {
        if (kw <= kwOf(anchors[0]))
        {
            return valueOf(anchors[0]);
        }

        for (var i = 1; i < anchors.Count; i++)
        {
            var low = kwOf(anchors[i - 1]);
            var high = kwOf(anchors[i]);
            if (kw <= high)
            {
                var part = Math.Log(kw / low) / Math.Log(high / low);
                return valueOf(anchors[i - 1]) + (part * (valueOf(anchors[i]) - valueOf(anchors[i - 1])));
            }
        }

        return valueOf(anchors[^1]);
    }

    /// <summary>The same for values that span decades: linear in the logarithm of the value too.</summary>
    public static double PowerAt<T>(IReadOnlyList<T> anchors, Func<T, double> kwOf, Func<T, double> valueOf, double kw) =>
        Math.Exp(At(anchors, kwOf, a => Math.Log(valueOf(a)), kw));
}
