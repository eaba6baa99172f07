using Cuadrilla.Web.Studies;
using Xunit;

namespace Cuadrilla.Web.Tests;

public sealed class TidyingUpTests
{
    private readonly TidyingUp tidies = new(TimeProvider.System);

    [Fact]
    public async Task What_an_edit_leaves_is_collected_when_no_other_follows()
    {
        tidies.Begin();
        var before = GC.CollectionCount(1);
        Work();
        Assert.True(await tidies.EndAsync());
        Assert.True(GC.CollectionCount(1) > before);
    }

    [Fact]
    public async Task Nothing_is_collected_while_another_is_answered_or_has_followed()
    {
        tidies.Begin();
        tidies.Begin();
        Work();
        Assert.False(await tidies.EndAsync());
        var last = tidies.EndAsync();
        tidies.Begin();
        Assert.False(await last);
        Assert.True(await tidies.EndAsync());
    }

    private static void Work()
    {
        for (var i = 0; i < 32; i++)
        {
            GC.KeepAlive(new byte[1 << 20]);
        }
    }
}
