using System.Text;
using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Projects;
using Xunit;

namespace Cuadrilla.Web.Tests;

/// <summary>Changes within one drive point go another way than all others, and must come to the same.</summary>
public sealed class SpecificationPatchTests
{
    private static readonly PlantSpecification Demo = DemoPlant.Read(ReferenceCatalogue.Data);
    private static readonly byte[] Text = ProjectReader.Write(Demo);

    [Fact]
    public void A_drive_point_is_found_in_the_text()
    {
        for (var i = 0; i < Demo.Lineups.Count; i++)
        {
            for (var j = 0; j < Demo.Lineups[i].DrivePoints.Count; j++)
            {
                var place = DrivePointPlace.Of(Demo, [$"/lineups/{i}/drivePoints/{j}/load"])!;
                var (start, end) = place.In(Text);
                Assert.Equal(Demo.Lineups[i].DrivePoints[j].Id, (string)JsonNode.Parse(Text.AsSpan(start, end - start))!["id"]!);
                Assert.Equal(Demo, place.With(Demo, Demo.Lineups[i].DrivePoints[j]));
            }
        }
    }

    [Theory]
    [InlineData("/lineups/0/drivePoints/0")]
    [InlineData("/lineups/0/drivePoints/0/")]
    [InlineData("/lineups/0/drivePoints/-/load")]
    [InlineData("/lineups/00/drivePoints/0/load")]
    [InlineData("/lineups/0/drivePoints/999/load")]
    [InlineData("/lineups/99/drivePoints/0/load")]
    [InlineData("/lineups/99999999999/drivePoints/0/load")]
    [InlineData("/lineups/0/drivepoints/0/load")]
    [InlineData("/lineups/0/name")]
    [InlineData("lineups/0/drivePoints/0/load")]
    [InlineData("")]
    public void Other_paths_lead_elsewhere(string path) => Assert.Null(DrivePointPlace.Of(Demo, [path]));

    [Fact]
    public void Paths_into_two_drive_points_lead_elsewhere()
    {
        Assert.Null(DrivePointPlace.Of(Demo, ["/lineups/0/drivePoints/1/tag", "/lineups/0/drivePoints/0/tag"]));
        Assert.Null(DrivePointPlace.Of(Demo, ["/lineups/0/drivePoints/1/tag", "/lineups/0/drivePoints/10/tag"]));
        Assert.NotNull(DrivePointPlace.Of(Demo, ["/lineups/0/drivePoints/1/tag", "/lineups/0/drivePoints/1/name"]));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    public void Whatever_is_changed_in_a_drive_point_comes_to_the_same_as_by_way_of_the_whole(int example)
    {
        var plant = DemoPlant.Read(ReferenceCatalogue.Data, DemoPlant.Keys[example]);
        var before = ProjectReader.Write(plant);
        var random = new Random(1412);
        var (done, refused) = (0, 0);
        for (var n = 0; n < 400; n++)
        {
            var lineup = random.Next(plant.Lineups.Count);
            var point = random.Next(plant.Lineups[lineup].DrivePoints.Count);
            var prefix = $"/lineups/{lineup}/drivePoints/{point}";
            var (start, end) = DrivePointPlace.Of(plant, [prefix + "/x"])!.In(before);
            var node = JsonNode.Parse(before.AsSpan(start, end - start))!;
            var paths = Paths(node, prefix).ToList();
            var figures = paths.Where(p => Figure(node, p[prefix.Length..]) > 0).ToList();
            List<SpecificationChange> changes = n % 2 == 0
                ? [.. Enumerable.Range(0, 1 + random.Next(3)).Select(_ => Change(random, paths))]
                : [.. Enumerable.Range(0, 1 + random.Next(2)).Select(_ => Changed(random, node, figures, prefix))];
            var quick = SpecificationPatch.InOneDrivePoint(plant, before, changes);
            try
            {
                var whole = SpecificationPatch.InTheWhole(before, changes);
                var (specification, text, isJustThat) = Assert.NotNull(quick);
                Assert.Equal(Encoding.UTF8.GetString(whole.Text), Encoding.UTF8.GetString(text));
                Assert.Equal(whole.Specification, specification);
                Assert.Equal(whole.IsJustThat, isJustThat);
                done++;
            }
            catch (InputException)
            {
                Assert.Null(quick);
                refused++;
            }
        }

        Assert.True(done > 120 && refused > 120, $"{done} done, {refused} refused");
    }

    [Theory]
    [InlineData(25)]
    [InlineData(27)]
    [InlineData(28)]
    [InlineData(33)]
    public void What_is_too_deep_is_refused_as_in_the_whole(int depth)
    {
        JsonNode value = JsonValue.Create(1);
        for (var i = 0; i < depth; i++)
        {
            value = new JsonArray(value);
        }

        List<SpecificationChange> changes = [new(ChangeOperation.Replace, "/lineups/0/drivePoints/0/load") { Value = value }];
        Assert.Null(SpecificationPatch.InOneDrivePoint(Demo, Text, changes));
        Assert.Throws<InputException>(() => SpecificationPatch.InTheWhole(Text, changes));
    }

    private static SpecificationChange Change(Random random, List<string> paths)
    {
        var path = paths[random.Next(paths.Count)];
        JsonNode? value = random.Next(7) switch
        {
            0 => null,
            1 => JsonValue.Create("a word"),
            2 => new JsonObject(),
            3 => new JsonArray((JsonNode?)null),
            _ => JsonValue.Create(Math.Round(10 * random.NextDouble(), 2)),
        };
        return random.Next(6) switch
        {
            0 => new SpecificationChange(ChangeOperation.Remove, path),
            1 => new SpecificationChange(ChangeOperation.Add, path + "/further") { Value = value },
            _ => new SpecificationChange(ChangeOperation.Replace, path) { Value = value },
        };
    }

    private static SpecificationChange Changed(Random random, JsonNode node, List<string> figures, string prefix)
    {
        var path = figures[random.Next(figures.Count)];
        var value = Figure(node, path[prefix.Length..])!.Value;
        var other = value == Math.Floor(value) ? value + 1 : 0.9 * value;
        return new SpecificationChange(ChangeOperation.Replace, path) { Value = JsonValue.Create(other) };
    }

    private static double? Figure(JsonNode node, string path)
    {
        var found = path.Split('/', StringSplitOptions.RemoveEmptyEntries).Aggregate((JsonNode?)node, (n, name) => n switch
        {
            JsonObject fields => fields[name],
            JsonArray list => list[int.Parse(name, System.Globalization.CultureInfo.InvariantCulture)],
            _ => null,
        });
        return found is JsonValue value && value.TryGetValue<double>(out var figure) ? figure : null;
    }

    private static IEnumerable<string> Paths(JsonNode node, string at) => node switch
    {
        JsonObject fields => fields.SelectMany(f => f.Value is null ? [$"{at}/{f.Key}"] : Paths(f.Value, $"{at}/{f.Key}").Prepend($"{at}/"
            + $"{f.Key}")),
        JsonArray list => list.SelectMany((v, i) => v is null ? [] : Paths(v, $"{at}/{i}").Prepend($"{at}/{i}")),
        _ => [],
    };
}
