namespace Cuadrilla.Web.Tests;

public sealed class EarlierKillTests : KillsAmidEdits
{
    [Fact]
    public Task In_the_middle_of_edits_nothing_acknowledged_is_lost_and_nothing_is_half_written() => NothingIsLost(50);
}

public sealed class LaterKillTests : KillsAmidEdits
{
    [Fact]
    public Task In_the_middle_of_other_edits_nothing_acknowledged_is_lost_and_nothing_is_half_written() => NothingIsLost(51);
}
