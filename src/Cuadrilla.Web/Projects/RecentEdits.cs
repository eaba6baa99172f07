using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Documents.Assessments;
using Microsoft.Extensions.Caching.Memory;

namespace Cuadrilla.Web.Projects;

/// <summary>
/// What is in force in the projects that were used last, so that bench, checks and sheets of an edit read and assess nothing again, and
/// only what differs need be answered. Of each project the newest edit alone, and of all so many drive points: what is kept of each takes
/// some tens of kilobytes.
/// </summary>
internal sealed class RecentEdits : IDisposable
{
    /// <summary>So many drive points in all: fifty plants of sixty and some more.</summary>
    public const int MostDrivePoints = 4_000;

    // What a plant takes without any.
    private const int Rest = 10;

    private readonly Lock gate = new();

    // Sizes are counted; what is too much goes below, as the cache itself would refuse what is new.
    private readonly MemoryCache kept = new(new MemoryCacheOptions { SizeLimit = long.MaxValue, TrackStatistics = true });

    /// <summary>An edit; null where it is not kept.</summary>
    public RecentEdit? Find(string projectId, long edit) =>
        kept.Get<RecentEdit>(projectId) is { } known && known.Edit == edit ? known : null;

    /// <summary>An edit, kept from now on unless a newer one is.</summary>
    public RecentEdit Of(ProjectHead head, Func<PlantSpecification> read, byte[]? text = null)
    {
        if (Find(head.Id, head.Edit) is { } known)
        {
            return known;
        }

        var made = new RecentEdit(head.Edit, read(), text);
        lock (gate)
        {
            if (kept.Get<RecentEdit>(head.Id) is { } other && other.Edit >= made.Edit)
            {
                return other.Edit == made.Edit ? other : made;
            }

            kept.Set(head.Id, made, new MemoryCacheEntryOptions { Size = Rest + made.Specification.AllDrivePoints().Count() });
            while (kept.Count > 1 && kept.GetCurrentStatistics()!.CurrentEstimatedSize > MostDrivePoints)
            {
                // One: that whose last use is longest ago.
                kept.Compact(1.5 / kept.Count);
            }
        }

        return made;
    }

    public void Dispose() => kept.Dispose();
}

/// <summary>A specification with what follows, once that has been asked for.</summary>
internal sealed class RecentEdit(long edit, PlantSpecification specification, byte[]? text = null)
{
    private byte[]? text = text;
    private AssessmentDocument? assessment;

    public long Edit => edit;

    public PlantSpecification Specification => specification;

    /// <summary>Its text as this program writes it, UTF-8.</summary>
    public byte[] Text => text ??= ProjectReader.Write(specification);

    /// <summary>Names this assessment: made once more, it may differ in the last digit.</summary>
    public string Stamp { get; } = Guid.NewGuid().ToString("N");

    public AssessmentDocument? Assessment => assessment;

    /// <summary>Keeps it; what the first was answered, all are.</summary>
    public AssessmentDocument Keep(AssessmentDocument made) => Interlocked.CompareExchange(ref assessment, made, null) ?? made;
}
