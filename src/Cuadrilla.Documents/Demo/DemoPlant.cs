using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Demo;

/// <summary>
/// The made-up plants that ship as examples, with a few deliberate faults for the checks to find: a tile works at 400 V and 50 Hz, and a
/// water works at 480 V and 60 Hz in US customary units.
/// </summary>
public static class DemoPlant
{
    private const string TileWorks = "azulejos-valdecobre";

    /// <summary>Keys of the examples, the main one first.</summary>
    public static IReadOnlyList<string> Keys { get; } = [TileWorks, "tarn-hollow"];

    /// <summary>The project file as shipped.</summary>
    /// <param name="key">One of <see cref="Keys"/>.</param>
    public static byte[] File(string key = TileWorks)
    {
        using var stream = typeof(DemoPlant).Assembly.GetManifestResourceStream($"{key}.cuadrilla.json")
            ?? throw new InvalidDataException("The demo plant is missing from the program.");
        using var memory = new MemoryStream();
        stream.CopyTo(memory);
        return memory.ToArray();
    }

    /// <summary>Its specification.</summary>
    public static PlantSpecification Read(EngineeringData data, string key = TileWorks) => ProjectFile.Read(File(key), data);
}
