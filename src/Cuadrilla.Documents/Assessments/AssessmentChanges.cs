namespace Cuadrilla.Documents.Assessments;

/// <summary>What of an assessment differs from one before: most of a large plant stays as it was.</summary>
/// <param name="Counts">How many checks have each verdict now.</param>
/// <param name="Checks">Checks that differ.</param>
/// <param name="DrivePoints">Figures of drive points that differ.</param>
/// <param name="Supply">The supply as it is now.</param>
/// <param name="Scenarios">The scenarios as they are now.</param>
/// <param name="OwnMotors">Motors of the project as they are now.</param>
/// <param name="OwnConverters">Converters of the project as they are now.</param>
public sealed record AssessmentChanges(
    VerdictCounts Counts,
    ListChanges<CheckDocument> Checks,
    ListChanges<DrivePointDocument> DrivePoints,
    SupplyDocument? Supply,
    IReadOnlyList<ScenarioDocument> Scenarios,
    IReadOnlyList<OwnMotorDocument> OwnMotors,
    IReadOnlyList<ConverterDocument> OwnConverters)
{
    /// <summary>Compares two assessments of one catalogue.</summary>
    /// <param name="before">What the client has.</param>
    /// <param name="after">What it shall have.</param>
    public static AssessmentChanges Of(AssessmentDocument before, AssessmentDocument after)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        return new AssessmentChanges(
            after.Counts,
            ListChanges.Of(before.Checks, after.Checks),
            ListChanges.Of(before.DrivePoints, after.DrivePoints),
            after.Supply,
            after.Scenarios,
            after.OwnMotors,
            after.OwnConverters);
    }
}

/// <summary>How a list becomes another: what has gone is left out, then what is put stands where it says.</summary>
/// <param name="Gone">Places in the list before, rising.</param>
/// <param name="At">Places in the list after, rising, of what is new or has changed.</param>
/// <param name="Put">What stands there.</param>
public sealed record ListChanges<T>(IReadOnlyList<int> Gone, IReadOnlyList<int> At, IReadOnlyList<T> Put);

/// <summary>Compares lists.</summary>
public static class ListChanges
{
    /// <summary>Compares two lists; what stays stands in the same order in both.</summary>
    public static ListChanges<T> Of<T>(IReadOnlyList<T> before, IReadOnlyList<T> after)
        where T : notnull
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        var places = new Dictionary<T, Queue<int>>(before.Count);
        for (var i = 0; i < before.Count; i++)
        {
            if (!places.TryGetValue(before[i], out var at))
            {
                places.Add(before[i], at = new Queue<int>());
            }

            at.Enqueue(i);
        }

        var gone = new List<int>();
        var (puts, put) = (new List<int>(), new List<T>());
        var next = 0;
        for (var i = 0; i < after.Count; i++)
        {
            if (places.TryGetValue(after[i], out var at) && at.TryDequeue(out var from) && from >= next)
            {
                gone.AddRange(Enumerable.Range(next, from - next));
                next = from + 1;
            }
            else
            {
                puts.Add(i);
                put.Add(after[i]);
            }
        }

        gone.AddRange(Enumerable.Range(next, before.Count - next));
        return new ListChanges<T>(gone, puts, put);
    }
}
