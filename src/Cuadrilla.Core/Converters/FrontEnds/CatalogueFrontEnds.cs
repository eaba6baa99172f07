namespace Cuadrilla.Core.Converters.FrontEnds;

/// <content>Front ends whose currents are catalogue data: an active bridge, a passive filter, a direct converter.</content>
public abstract partial record FrontEnd
{
    /// <summary>A bridge of transistors behind a line filter; power passes both ways.</summary>
    /// <param name="Filter">Its line filter.</param>
    /// <param name="Spectrum">Currents it draws.</param>
    /// <param name="FixedLossPu">Filter and bridge, energised.</param>
    /// <param name="LoadLossPu">Filter and bridge with load.</param>
    public sealed record Active(LineFilter Filter, SourceSpectrum Spectrum, double FixedLossPu, double LoadLossPu) : FrontEnd(FixedLossPu,
        LoadLossPu)
    {
        /// <summary>It keeps its link up, but the output is never taken above the supply.</summary>
        public override double LargestOutputPu => 1;

        /// <inheritdoc/>
        public override string PartsName => "Active front end and filter";

        /// <inheritdoc/>
        public override bool ReturnsToLine => true;

        /// <inheritdoc/>
        public override LineFilter LineFilter => Filter;

        /// <inheritdoc/>
        public override SourceSpectrum CatalogueSpectrum => Spectrum;
    }

    /// <summary>A six-pulse bridge behind a passive filter tuned near the fifth order.</summary>
    /// <param name="Filter">The filter as the network sees it.</param>
    /// <param name="Spectrum">Currents that are left of it, and the reactive power that its capacitor supplies at light load.</param>
    /// <param name="OutputPu">Largest output over the line voltage.</param>
    /// <param name="DcFormFactor">Rms over mean of the bridge current.</param>
    /// <param name="FixedLossPu">Filter, energised.</param>
    /// <param name="LoadLossPu">Filter with load.</param>
    public sealed record Filtered(LineFilter Filter, SourceSpectrum Spectrum, double OutputPu, double DcFormFactor, double FixedLossPu,
        double LoadLossPu)
        : FrontEnd(FixedLossPu, LoadLossPu)
    {
        /// <inheritdoc/>
        public override double LargestOutputPu => OutputPu;

        /// <inheritdoc/>
        public override string PartsName => "Line filter";

        /// <inheritdoc/>
        public override double FormFactor => DcFormFactor;

        /// <inheritdoc/>
        public override LineFilter LineFilter => Filter;

        /// <inheritdoc/>
        public override SourceSpectrum CatalogueSpectrum => Spectrum;

        /// <inheritdoc/>
        public override string SixPulseFamily => "filter";

        /// <inheritdoc/>
        public override string SixPulseName => "passive filter";
    }

    /// <summary>Bidirectional switches between line and motor, no link; power passes both ways.</summary>
    /// <param name="OutputPu">Largest output over the line voltage; √3/2 without overmodulation.</param>
    /// <param name="HasBypass">Whether it can connect the motor to the line by itself.</param>
    /// <param name="Filter">Its line filter.</param>
    /// <param name="Spectrum">Currents it draws.</param>
    /// <param name="FixedLossPu">Line filter, energised.</param>
    /// <param name="LoadLossPu">Line filter with load.</param>
    public sealed record Direct(double OutputPu, bool HasBypass, LineFilter Filter, SourceSpectrum Spectrum, double FixedLossPu,
        double LoadLossPu)
        : FrontEnd(FixedLossPu, LoadLossPu)
    {
        /// <inheritdoc/>
        public override double LargestOutputPu => OutputPu;

        /// <inheritdoc/>
        public override string PartsName => "Line filter";

        /// <inheritdoc/>
        public override bool ReturnsToLine => true;

        /// <inheritdoc/>
        public override LineFilter LineFilter => Filter;

        /// <inheritdoc/>
        public override SourceSpectrum CatalogueSpectrum => Spectrum;
    }
}
