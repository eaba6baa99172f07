using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Stray losses of a transformer over its resistive loss: its own, or the project's proposals where its maker states
/// none.</summary>
/// <param name="EddyPu">Eddy loss of the windings.</param>
/// <param name="OtherPu">Other stray loss; 0 for dry types.</param>
/// <param name="Assumed">What of it is a proposal, in words; empty when all is stated.</param>
internal sealed record StrayShares(double EddyPu, double OtherPu, string Assumed)
{
    public static StrayShares Of(Transformer transformer, HarmonicDefaults defaults)
    {
        var oil = transformer.Cooling == TransformerCooling.Oil;
        var eddy = Taken(transformer.EddyLossPu, oil ? defaults.EddyOilPu : defaults.EddyDryPu);
        var other = oil ? Taken(transformer.OtherStrayLossPu, defaults.StrayOilPu) : 0;
        List<string> assumed = [];
        if (!transformer.EddyLossPu.IsKnown)
        {
            assumed.Add($"eddy-loss share of {Text.N(100 * eddy)} %");
        }

        if (oil && !transformer.OtherStrayLossPu.IsKnown)
        {
            assumed.Add($"other stray loss of {Text.N(100 * other)} %");
        }

        return new StrayShares(eddy, other, assumed.Count == 0 ? string.Empty : "assumed: " + string.Join(", ", assumed));
    }

    private static double Taken(Given stated, double proposed) => stated.IsKnown ? stated.Value : proposed;
}
