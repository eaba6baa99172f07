namespace Cuadrilla.Core.Converters.FrontEnds;

/// <content>Thyristor bridges, and modules without a front end of their own.</content>
public abstract partial record FrontEnd
{
    /// <summary>A line-commutated thyristor bridge that feeds a DC motor.</summary>
    /// <param name="FourQuadrant">Two bridges: braking power goes back to the line.</param>
    /// <param name="ReactorPct">Commutation reactor, % of U²/P.</param>
    /// <param name="LargestDcPu">Largest armature voltage over the line voltage.</param>
    /// <param name="LoadLossPu">Loss of the reactor.</param>
    public sealed record Thyristor(bool FourQuadrant, double ReactorPct, double LargestDcPu, double LoadLossPu) : FrontEnd(0, LoadLossPu)
    {
        /// <inheritdoc/>
        public override double LargestOutputPu => LargestDcPu;

        /// <inheritdoc/>
        public override string PartsName => "Commutation reactor";

        /// <inheritdoc/>
        public override bool ReturnsToLine => FourQuadrant;

        /// <inheritdoc/>
        public override double LineReactorPct => ReactorPct;
    }

    /// <summary>None: the module hangs on a common DC bus.</summary>
    public sealed record DcLink() : FrontEnd(0, 0)
    {
        /// <inheritdoc/>
        public override double LargestOutputPu => 1;

        /// <inheritdoc/>
        public override string PartsName => "DC choke";

        /// <inheritdoc/>
        public override bool ReturnsToLine => true;
    }
}
