using CsCheck;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Tests.Supplies;

public sealed class ResistanceSeparationTests
{
    [Fact]
    public void Phases_that_made_the_readings_come_back() =>
        Gen.Select(Gen.Double[0.05, 5], Gen.Double[0.05, 5], Gen.Double[0.05, 5], Gen.Double[0, 3]).Sample((u, v, w, cable) =>
        {
            var found = ResistanceSeparation.Of(u + v + (2 * cable), v + w + (2 * cable), w + u + (2 * cable), cable, 60);
            Assert.Equal(u, found.PhasesOhm[0], 9);
            Assert.Equal(v, found.PhasesOhm[1], 9);
            Assert.Equal(w, found.PhasesOhm[2], 9);
            Assert.Equal((u + v + w) / 3, found.StatorOhm, 9);
            Assert.Equal(found.StatorOhm * 255 / 295, found.Stator20Ohm, 9);
            Assert.True(found.IsPlausible);
        });

    [Fact]
    public void A_reading_below_its_cable_is_not_plausible() =>
        Assert.False(ResistanceSeparation.Of(2, 2.01, 2.02, 1.2, 20).IsPlausible);

    [Theory]
    [InlineData(1.9, true, SpreadVerdict.Holds)]
    [InlineData(2.1, true, SpreadVerdict.DoubtClamps)]
    [InlineData(2.1, false, SpreadVerdict.Holds)]
    [InlineData(5.1, true, SpreadVerdict.Tight)]
    [InlineData(10.1, true, SpreadVerdict.Fails)]
    [InlineData(10, true, SpreadVerdict.Tight)]
    public void A_spread_is_judged_by_its_limits(double spreadPct, bool throughCable, SpreadVerdict verdict) =>
        Assert.Equal(verdict, ResistanceSeparation.Judge(spreadPct, 5, 10, throughCable));
}
