using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Drawings;

namespace Cuadrilla.Core.Tests.Documents;

public sealed class DrawingTests
{
    // Read back by its group codes: every rectangle closes, and the widths of the sections add up to the lineup's.
    [Fact]
    public void An_elevation_in_the_exchange_form_reads_back_to_scale()
    {
        var demo = DemoChanges.Demo;
        var plant = demo with { Lineups = [demo.Lineups[0] with { Cabinets = CabinetBuild.Open }, .. demo.Lineups.Skip(1)] };
        var study = DemoChanges.Assessor.Cabinets(plant, plant.Lineups[0])!;
        var lines = DxfDrawing.Text(CabinetDrawing.Of(study)).Split("\r\n");
        var pairs = Enumerable.Range(0, lines.Length / 2).Select(i => (Code: lines[2 * i].Trim(), Value: lines[(2 * i) + 1])).ToList();
        Assert.Equal(("0", "EOF"), pairs[^1]);
        Assert.Contains(("1", "AC1009"), pairs);
        List<(string Layer, double X1, double Y1, double X2, double Y2)> drawn = [];
        for (var i = 0; i < pairs.Count; i++)
        {
            if (pairs[i] == ("0", "LINE"))
            {
                string At(string code) => pairs.Skip(i).First(p => p.Code == code).Value;
                drawn.Add((At("8"), Number(At("10")), Number(At("20")), Number(At("11")), Number(At("21"))));
            }
        }

        Assert.Equal(0, drawn.Count % 4);
        Assert.All(drawn.Chunk(4), r => Assert.Equal((r[0].X1, r[0].Y1), (r[3].X2, r[3].Y2)));
        Assert.Equal(study.Units.Count, drawn.Count(d => d.Layer == "UNITS") / 4);
        Assert.Equal(study.Layout.WidthMm, drawn.Where(d => d.Layer == "SECTIONS").Max(d => d.X2), 3);
        Assert.Equal(study.PlinthMm + study.HeightMm, drawn.Max(d => d.Y2), 3);
    }

    [Fact]
    public void Texts_stay_on_one_line_of_plain_characters()
    {
        var text = DxfDrawing.Text(new Drawing([], [new DrawnLabel("TEXT", 1, 2, 3, "kiln\nΩ")]));
        Assert.Contains("\r\nkiln \\U+03A9\r\n", text, StringComparison.Ordinal);
        Assert.All(text, c => Assert.InRange(c, '\n', '~'));
    }

    private static double Number(string text) => double.Parse(text, System.Globalization.CultureInfo.InvariantCulture);
}
