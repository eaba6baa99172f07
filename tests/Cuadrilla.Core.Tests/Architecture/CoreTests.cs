using Cuadrilla.Core.Assessment;
using NetArchTest.Rules;

namespace Cuadrilla.Core.Tests.Architecture;

/// <summary>Core computes: it neither reads, writes, serialises nor asks the time.</summary>
public sealed class CoreTests
{
    [Theory]
    [InlineData("System.IO")]
    [InlineData("System.Net")]
    [InlineData("System.Text.Json")]
    [InlineData("System.Data")]
    [InlineData("Microsoft")]
    [InlineData("Dapper")]
    [InlineData("SkiaSharp")]
    [InlineData("System.Diagnostics.Process")]
    [Trait("speed", "slow")]
    public void Core_depends_on_nothing_but_the_base_library(string forbidden)
    {
        var result = Types.InAssembly(typeof(Assessor).Assembly)
            .That().ResideInNamespaceStartingWith("Cuadrilla")
            .ShouldNot().HaveDependencyOn(forbidden).GetResult();
        Assert.True(result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }

    [Fact]
    public void Core_references_no_package()
    {
        var references = typeof(Assessor).Assembly.GetReferencedAssemblies().Select(a => a.Name!);
        Assert.All(references.Where(n => n != "coverlet.core"), n => Assert.StartsWith("System", n));
    }

    [Fact]
    public void Core_asks_no_clock()
    {
        var result = Types.InAssembly(typeof(Assessor).Assembly).ShouldNot()
            .HaveDependencyOnAny("System.DateTime", "System.DateTimeOffset", "System.TimeProvider").GetResult();
        Assert.True(result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }
}
