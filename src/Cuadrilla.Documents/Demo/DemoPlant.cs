using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Demo;

/// <summary>The made-up tile works that ships as an example, with a few deliberate faults for the checks to find.</summary>
public static class DemoPlant
{
    /// <summary>The project file as shipped.</summary>
    public static byte[] File()
    {
        using var stream = typeof(DemoPlant).Assembly.GetManifestResourceStream("azulejos-valdecobre.cuadrilla.json")
            ?? throw new InvalidDataException("The demo plant is missing from the program.");
        using var memory = new MemoryStream();
        stream.CopyTo(memory);
        return memory.ToArray();
    }

    /// <summary>Its specification.</summary>
    public static PlantSpecification Read(EngineeringData data) => ProjectFile.Read(File(), data);
}
