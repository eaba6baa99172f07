using CsCheck;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Tests.Supplies;

public sealed class PvStringTests
{
    private static readonly PvModule Module = new(49.5, 41.5, 11.4, -0.28, -0.38, 450, 20, 45, false);

    [Fact]
    public void The_handbooks_string_has_14_modules_and_leaves_41_hertz()
    {
        Assert.Equal(54.4, Module.UocAtV(-10), 1);
        Assert.Equal(14, PvString.MostModules(800, Module.UocAtV(-10)));
        var hot = 14 * Module.UmpAtV(PvArray.CellC(45, 40, 1000));
        Assert.Equal(479, hot, 0);
        Assert.Equal(339, PvString.LineV(hot), 0);
        Assert.Equal(41, 50 * PvString.LineV(hot) * 0.97 / 400, 0);
    }

    [Fact]
    public void One_module_more_than_the_most_passes_the_limit() =>
        Gen.Select(Gen.Double[100, 1500], Gen.Double[20, 90]).Sample((limit, cold) =>
        {
            var most = PvString.MostModules(limit, cold);
            Assert.True(most * cold <= limit);
            Assert.True((most + 1) * cold > limit);
        });

    [Theory]
    [InlineData(1, false)]
    [InlineData(2, false)]
    [InlineData(3, true)]
    public void From_three_strings_a_faulty_one_gets_more_than_its_modules_stand(int strings, bool needed) =>
        Assert.Equal(needed, PvString.NeedsFuses(Module, strings));

    [Fact]
    public void A_fuse_stands_the_string_and_protects_the_module()
    {
        Assert.Equal(20, PvString.FuseA(Module));
        Assert.Null(PvString.FuseA(Module with { FuseA = 16 }));
        Assert.Equal(1.35 * 11.4, PvString.StringA(Module with { Bifacial = true }), 9);
    }

    [Theory]
    [InlineData(20, 30.0)]
    [InlineData(20.1, 20.0)]
    [InlineData(400, 4.0)]
    [InlineData(401, null)]
    public void Insulation_goes_in_steps_of_power(double arrayKw, double? kohm) => Assert.Equal(kohm, PvString.InsulationKohm(arrayKw));
}
