using System.IO.Compression;
using System.Text;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Documents.Tables;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Workbooks as they come from anywhere: what stands in them is read, what they say of themselves is not believed, and none takes
/// long.</summary>
public sealed class WorkbookTests
{
    private const string Main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";

    [Fact]
    public void Cells_of_every_kind_are_read_where_they_stand()
    {
        const string sheet = """
            <row r="1"><c r="A1" t="s"><v>0</v></c><c r="C1" t="inlineStr"><is><t>Motor </t><r><t>kW</t></r><rPh sb="0" eb="1"><t>spoken</t></rPh></is></c></row>
            <row r="3"><c r="A3" t="str"><f>1+1</f><v>P-1</v></c><c r="B3" s="999"><v>7.5</v></c><c r="C3" t="b"><v>1</v></c><c r="D3" t="e"><v>#REF!</v></c><c r="E3"/><c r="F3"><v>1E-3</v></c></row>
            """;
        var rows = Read(sheet, "<si><t>Tag</t></si>", "A1:XFD1048576");
        Assert.Equal(["Tag", "", "Motor kW"], rows[0]);
        Assert.Empty(rows[1]);
        Assert.Equal(["P-1", "7.5", "true", "#REF!", "", "0.001"], rows[2]);
    }

    [Theory]
    [InlineData("<row r=\"1\"><c r=\"A1\"><v>1e999</v></c></row>", "Cell A1 is 1e999")]
    [InlineData("<row r=\"1\"><c r=\"A1\"><v>NaN</v></c></row>", "Cell A1 is NaN")]
    [InlineData("<row r=\"1\"><c r=\"A1\" t=\"s\"><v>7</v></c></row>", "shared text 7")]
    [InlineData("<row r=\"1\"><c r=\"A1\" t=\"s\"><v>-1</v></c></row>", "shared text -1")]
    [InlineData("<row r=\"1048576\"><c r=\"A1048576\"><v>1</v></c></row>", "at most 20000 rows")]
    [InlineData("<row r=\"99999999999999999999\"/>", "at most 20000 rows")]
    [InlineData("<row r=\"2\"/><row r=\"1\"/>", "ascending")]
    [InlineData("<row r=\"1\"><c r=\"XFD1\"><v>1</v></c></row>", "at most 200 columns")]
    [InlineData("<row r=\"1\"><c r=\"ZZZZZZZZ1\"><v>1</v></c></row>", "at most 200 columns")]
    [InlineData("<row r=\"1\"><c r=\"B1\"/><c r=\"A1\"/></row>", "ascending")]
    [InlineData("<row r=\"1\"><c r=\"11\"/></row>", "ascending")]
    [InlineData("<row r=\"1\"><c r=\"A1\"><v>1</v>", "no readable .xlsx")]
    public void What_can_not_be_is_refused_by_its_place(string sheet, string why) =>
        Assert.Contains(why, Assert.Throws<InputException>(() => Read(sheet)).Message, StringComparison.Ordinal);

    [Fact]
    public void Sizes_are_bounded()
    {
        Assert.Contains("at most 20000 rows", Refusal(string.Concat(Enumerable.Repeat("<row/>", 20_001))), StringComparison.Ordinal);
        Assert.Contains("at most 200 columns", Refusal("<row>" + string.Concat(Enumerable.Repeat("<c/>", 201)) + "</row>"),
            StringComparison.Ordinal);
        Assert.Contains("at most 400000 cells",
            Refusal(string.Concat(Enumerable.Repeat("<row>" + string.Concat(Enumerable.Repeat("<c/>", 200)) + "</row>", 2001))),
            StringComparison.Ordinal);
        Assert.Contains("at most 10000 characters", Refusal($"<row><c t=\"str\"><v>{new string('x', 10_001)}</v></c></row>"),
            StringComparison.Ordinal);
        Assert.Contains("at most 64 MB unpacked", Refusal(new string(' ', 65_000_000)), StringComparison.Ordinal);
        Assert.Contains("no readable .xlsx", Refusal(new string(' ', 40_000_000)), StringComparison.Ordinal);
    }

    [Fact]
    public void A_cell_of_millions_of_empty_elements_is_walked_without_being_held()
    {
        var sheet = "<row><c t=\"inlineStr\"><is>" + string.Concat(Enumerable.Repeat("<r/>", 2_000_000)) + "</is></c></row>";
        using var file = Pack(sheet, string.Empty, "A1");
        var before = GC.GetAllocatedBytesForCurrentThread();
        Assert.Equal([""], Assert.Single(Workbook.Read(file, CancellationToken.None)));
        Assert.InRange(GC.GetAllocatedBytesForCurrentThread() - before, 0, 40_000_000);
    }

    [Theory]
    [InlineData("[Content_Types].xml")]
    [InlineData("_rels/.rels")]
    [InlineData("xl/workbook.xml")]
    [InlineData("xl/_rels/workbook.xml.rels")]
    [InlineData("xl/worksheets/sheet1.xml")]
    public void A_part_that_is_absent_is_no_workbook(string part) =>
        Assert.Contains("no readable .xlsx",
            Assert.Throws<InputException>(() => Workbook.Read(Pack("<row/>", string.Empty, "A1", part), CancellationToken.None)).Message,
            StringComparison.Ordinal);

    [Fact]
    public void A_document_type_with_entities_is_refused()
    {
        var bomb = "<!DOCTYPE x [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;\">]>";
        Assert.Contains("no readable .xlsx",
            Assert.Throws<InputException>(() =>
                Workbook.Read(Pack("<row/>", string.Empty, "A1", prolog: bomb), CancellationToken.None)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Any_byte_may_be_wrong()
    {
        var whole = Pack("<row r=\"1\"><c r=\"A1\" t=\"s\"><v>0</v></c></row>", "<si><t>Tag</t></si>", "A1").ToArray();
        var random = new Random(4);
        var refused = 0;
        for (var i = 0; i < 600; i++)
        {
            var spoilt = (byte[])whole.Clone();
            for (var k = random.Next(1, 4); k > 0; k--)
            {
                spoilt[random.Next(spoilt.Length)] = (byte)random.Next(256);
            }

            using var file = new MemoryStream(i % 3 == 0 ? spoilt[..random.Next(spoilt.Length)] : spoilt);
            try
            {
                Workbook.Read(file, CancellationToken.None);
            }
            catch (InputException)
            {
                refused++;
            }
        }

        Assert.InRange(refused, 200, 600);
    }

    private static string Refusal(string sheet) => Assert.Throws<InputException>(() => Read(sheet)).Message;

    private static IReadOnlyList<IReadOnlyList<string>> Read(string sheet, string shared = "", string dimension = "A1")
    {
        using var file = Pack(sheet, shared, dimension);
        return Workbook.Read(file, CancellationToken.None);
    }

    private static MemoryStream Pack(string rows, string shared, string dimension, string? without = null, string prolog = "")
    {
        const string types = "application/vnd.openxmlformats-officedocument.spreadsheetml";
        const string links = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
        var file = new MemoryStream();
        using (var zip = new ZipArchive(file, ZipArchiveMode.Create, leaveOpen: true))
        {
            void Part(string name, string text)
            {
                if (name != without)
                {
                    using var part = new StreamWriter(zip.CreateEntry(name).Open(), new UTF8Encoding(false));
                    part.Write(text);
                }
            }

            Part(
                "[Content_Types].xml",
                "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Default Extension=\"rels\" "
                    + "ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/>"
                + $"<Override PartName=\"/xl/workbook.xml\" ContentType=\"{types}.sheet.main+xml\"/><Override "
                + $"PartName=\"/xl/worksheets/sheet1.xml\" ContentType=\"{types}.worksheet+xml\"/>"
                + $"<Override PartName=\"/xl/sharedStrings.xml\" ContentType=\"{types}.sharedStrings+xml\"/></Types>");
            string Links(string of) => $"<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">{of}"
                + "</Relationships>";
            Part("_rels/.rels", Links($"<Relationship Id=\"r1\" Type=\"{links}/officeDocument\" Target=\"xl/workbook.xml\"/>"));
            Part(
                "xl/_rels/workbook.xml.rels",
                Links($"<Relationship Id=\"r1\" Type=\"{links}/worksheet\" Target=\"worksheets/sheet1.xml\"/><Relationship Id=\"r2\" "
                    + $"Type=\"{links}/sharedStrings\" Target=\"sharedStrings.xml\"/>"));
            Part("xl/workbook.xml", $"<workbook xmlns=\"{Main}\" xmlns:r=\"{links}\"><sheets><sheet name=\"Drives\" sheetId=\"1\" "
                + "r:id=\"r1\"/></sheets></workbook>");
            Part("xl/worksheets/sheet1.xml",
                $"{prolog}<worksheet xmlns=\"{Main}\"><dimension ref=\"{dimension}\"/><sheetData>{rows}</sheetData></worksheet>");
            Part("xl/sharedStrings.xml", $"<sst xmlns=\"{Main}\">{shared}</sst>");
        }

        file.Position = 0;
        return file;
    }
}
