using Cuadrilla.Core.Assessment;
using NetArchTest.Rules;

namespace Cuadrilla.Core.Tests.Architecture;

/// <summary>Arrows between the folders of Core go one way: a folder uses only those above it here.</summary>
public sealed class LayoutTests
{
    private const string Core = "Cuadrilla.Core";

    // Items of the catalogue stand beside the formulae of their component, so the catalogue as a whole comes after all of them.
    private static readonly string[] Folders =
    [
        "Base", "Checks", "Numerics", "Loads", "Motors", "Converters", "Brakes", "Cables", "Cabinets", "Supplies",
        "Interference", "Signals", "Protection", "Network", "Harmonics", "Commissioning",
        "Catalogue", "Specification", "Studies", "Commands", "Assessment",
    ];

    // Within the studies: drives by themselves, what is asked of them, the plant around them, all of it compared.
    private static readonly string[] Studies =
    [
        "Signals", "CableRoutes", "Drives", "Energy", "Stopping", "Supply", "Starting", "Brakes", "Sun", "LongCable", "OnePhase",
        "DrivePoints",
        "DcBuses", "Cabinets", "Protection",
        "Interference", "Groups", "Shafts", "Followers", "Candidates", "Plants", "Standby",
        "Mitigation", "Arrangements", "Commissioning",
    ];

    public static TheoryData<string> StudiesBelow => [.. Studies.SkipLast(1)];

    public static TheoryData<string> Below => [.. Folders.SkipLast(1)];

    [Theory]
    [MemberData(nameof(Below))]
    public void A_folder_uses_only_those_above_it(string folder)
    {
        var later = Folders.SkipWhile(f => f != folder).Skip(1).Select(f => $"{Core}.{f}").ToArray();
        var result = Types.InAssembly(typeof(Assessor).Assembly).That().ResideInNamespaceStartingWith($"{Core}.{folder}").ShouldNot()
            .HaveDependencyOnAny(later).GetResult();
        Assert.True(result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }

    [Theory]
    [MemberData(nameof(StudiesBelow))]
    public void A_study_uses_only_those_above_it(string study)
    {
        var later = Studies.SkipWhile(f => f != study).Skip(1).Select(f => $"{Core}.Studies.{f}").ToArray();
        var own = Types.InAssembly(typeof(Assessor).Assembly).That().ResideInNamespaceStartingWith($"{Core}.Studies.{study}");
        Assert.NotEmpty(own.GetTypes());
        var result = own.ShouldNot().HaveDependencyOnAny(later).GetResult();
        Assert.True(result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }

    [Fact]
    public void Every_study_stands_in_the_order() => Assert.Equal(
        Studies.Order(StringComparer.Ordinal),
        typeof(Assessor).Assembly.GetTypes().Select(t => t.Namespace ?? string.Empty)
            .Where(n => n.StartsWith($"{Core}.Studies.", StringComparison.Ordinal))
            .Select(n => n.Split('.')[3]).Distinct().Order(StringComparer.Ordinal));

    [Fact]
    public void A_test_stands_in_the_folder_of_what_it_tests()
    {
        // Beside those of Core: what holds for the code itself, what Documents makes of it, and the second solver that the first is held
        // against.
        string[] others = ["Architecture", "Documents", "Harmonics.Second"];
        var core = typeof(Assessor).Assembly.GetTypes().Select(t => t.Namespace ?? string.Empty).ToHashSet(StringComparer.Ordinal);
        var strangers = typeof(LayoutTests).Assembly.GetTypes().Select(t => t.Namespace ?? string.Empty).Distinct()
            .Where(n => n.StartsWith($"{Core}.Tests.", StringComparison.Ordinal)).Select(n => n[$"{Core}.Tests.".Length..])
            .Where(n => !others.Contains(n) && !core.Any(c => (c + ".").StartsWith($"{Core}.{n}.", StringComparison.Ordinal)));
        Assert.Empty(strangers);
    }

    [Fact]
    public void The_rule_notices_a_dependency() => Assert.False(
        Types.InAssembly(typeof(Assessor).Assembly).That().ResideInNamespaceStartingWith($"{Core}.Studies").ShouldNot()
            .HaveDependencyOnAny($"{Core}.Specification").GetResult().IsSuccessful);

    [Fact]
    public void Every_type_stands_in_one_of_the_folders()
    {
        var strangers = typeof(Assessor).Assembly.GetTypes()
            .Where(t => t.Namespace is { } name && name.StartsWith("Cuadrilla", StringComparison.Ordinal))
            .Where(t => !Folders.Any(f => (t.Namespace + ".").StartsWith($"{Core}.{f}.", StringComparison.Ordinal)));
        Assert.Empty(strangers.Select(t => t.FullName));
    }
}
