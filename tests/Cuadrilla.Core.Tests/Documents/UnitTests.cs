using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Units typed and shown: factors against their definitions, every quantity there and back, sentences.</summary>
public sealed class UnitTests
{
    private const UnitSystem Us = UnitSystem.UsCustomary;

    [Theory]
    [InlineData("kW", "100 hp", 74.5699872)]
    [InlineData("kW", "75", 75)]
    [InlineData("m", "300 ft", 91.44)]
    [InlineData("°C", "104 °F", 40)]
    [InlineData("K", "90 °F", 50)]
    [InlineData("Nm", "100 lb·ft", 135.5817948)]
    [InlineData("kg·m²", "1 lb·ft²", 0.0421401101)]
    [InlineData("m³/s/liquid", "1000 gpm", 0.0630901964)]
    [InlineData("m³/s", "10000 cfm", 4.71947443)]
    [InlineData("Pa", "4 inWC", 996.35564)]
    [InlineData("mm²", "4/0 AWG", 107.2)]
    [InlineData("mm²", "#12", 3.31)]
    [InlineData("mm²", "250 kcmil", 126.7)]
    [InlineData("mm²", "2,5 mm²", 2.5)]
    [InlineData("kg/s", "1 short ton/h", 0.25199576111)]
    public void Typed_units_are_read(string kept, string text, double value) =>
        Assert.Equal(value, UnitTable.Of(kept).Read(text)!.Value, 1e-9 * Math.Max(1, value));

    // From the definitions: pound 0.45359237 kg, foot 0.3048 m, gallon 231 in³, g 9.80665 m/s².
    [Fact]
    public void Factors_follow_from_the_definitions()
    {
        const double pound = 0.45359237, foot = 0.3048, inch = 0.0254, g = 9.80665;
        double Of(string kept, string unit) => UnitTable.Of(kept).Accepts[unit.ToLowerInvariant()].Factor;
        Assert.Equal(550 * foot * pound * g / 1e3, Of("kW", "hp"), 1e-8);
        Assert.Equal(foot * pound * g, Of("Nm", "lb·ft"), 1e-8);
        Assert.Equal(foot * pound * g / 12, Of("Nm", "lb·in"), 1e-8);
        Assert.Equal(pound * g, Of("N", "lbf"), 1e-8);
        Assert.Equal(pound * foot * foot, Of("kg·m²", "lb·ft²"), 1e-9);
        Assert.Equal(231 * inch * inch * inch / 60, Of("m³/s", "gpm"), 1e-12);
        Assert.Equal(foot * foot * foot / 60, Of("m³/s", "cfm"), 1e-11);
        Assert.Equal(foot * foot * foot * 60, Of("m³/h", "cfm"), 1e-7);
        Assert.Equal(pound / (foot * foot * foot), Of("kg/m³", "lb/ft³"), 1e-7);
        Assert.Equal(pound * g / (inch * inch) / 1e5, Of("bar", "psi"), 1e-9);
        Assert.Equal(inch * 1000 * g, Of("Pa", "inWC"), 0.1);
        Assert.Equal(2000 * pound / 3600, Of("kg/s", "short ton/h"), 1e-9);
        Assert.Equal(pound / foot, Of("kg/m", "lb/ft"), 1e-8);
        Assert.Equal(Math.PI / 4 * inch * inch * 1e6 / 1e6 * 1e3, Of("mm²", "kcmil"), 1e-6);
    }

    // ASTM B258: diameters of a geometric series, 36 AWG 0.005 in, 4/0 AWG 0.46 in.
    [Fact]
    public void Wire_sizes_follow_their_series()
    {
        foreach (var (name, mm2) in UnitTable.Of("mm²").Names.Where(n => n.Key.EndsWith("AWG", StringComparison.Ordinal)))
        {
            var number = name[..^4] is var plain && plain.EndsWith("/0", StringComparison.Ordinal)
                ? 1 - int.Parse(plain[..^2], null)
                : int.Parse(plain, null);
            var diameterMm = 0.127 * Math.Pow(92, (36 - number) / 39.0);
            Assert.Equal(1, mm2 / (Math.PI / 4 * diameterMm * diameterMm), 5e-3);
        }
    }

    [Fact]
    public void What_is_shown_is_read_as_it_was()
    {
        Assert.All(UnitTable.Quantities, q => Assert.All([UnitSystem.Si, Us], system => Assert.All([0.0314, 1, 27.3, 4200], value =>
        {
            var back = q.Read(q.Say(system, value, 9), system);
            Assert.True(back is { } read && Math.Abs(read - value) <= 0.016 * value,
                $"{value} {q.Kept} in {system}: {q.Say(system, value, 9)} gives {back}");
        })));
    }

    [Theory]
    [InlineData("at most 50 m of cable, 40 °C at 1000 m", "at most 164 ft of cable, 104 °F at 3281 ft")]
    [InlineData("0.5 to 630 mm² and 20 to 60 °C", "0.5 to 630 mm² and 68 to 140 °F")]
    [InlineData("8.3 min, 480 V, 15 kW, 1480 rpm, 12 A", "8.3 min, 480 V, 15 kW, 1480 rpm, 12 A")]
    [InlineData("1 × 3.31 mm² copper, 30 m, screened", "1 × 12 AWG copper, 98.4 ft, screened")]
    [InlineData("200 Nm·2π·1480/60", "200 Nm·2π·1480/60")]
    [InlineData("rise of 80 K, 200 Nm", "rise of 144 °F, 148 lb·ft")]
    [InlineData("7.571 m³ a day, 998 kg/m³, 3 m³/h", "2000 gal a day, 62.3 lb/ft³, 3 m³/h")]
    public void Sentences_change_their_units_formulae_do_not(string si, string us)
    {
        Assert.Equal(us, UnitTable.Sentence(Us, si));
        Assert.Equal(si, UnitTable.Sentence(UnitSystem.Si, si));
    }

    [Fact]
    public void A_bare_number_is_no_size_where_sizes_have_names()
    {
        Assert.Null(UnitTable.Of("mm²").Read("12", Us));
        Assert.Equal(12, UnitTable.Of("mm²").Read("12", UnitSystem.Si));
    }

    [Theory]
    [InlineData("m", "5 apples")]
    [InlineData("m", "")]
    [InlineData("kW", "1e999")]
    [InlineData("kW", "4/0")]
    public void What_is_no_quantity_is_not_read(string kept, string text) => Assert.Null(UnitTable.Of(kept).Read(text));
}
