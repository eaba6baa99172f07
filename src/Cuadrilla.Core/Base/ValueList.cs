using System.Collections;
using System.Diagnostics.CodeAnalysis;
using System.Runtime.CompilerServices;

namespace Cuadrilla.Core.Base;

/// <summary>A list that never changes and is equal to another when its entries are, so that records that hold one are equal by
/// value.</summary>
/// <typeparam name="T">Entries, equal by value themselves.</typeparam>
[SuppressMessage("Naming", "CA1710", Justification = "A list, as in the language.")]
[CollectionBuilder(typeof(ValueList), nameof(ValueList.Of))]
public sealed class ValueList<T> : IReadOnlyList<T>, ICollection<T>, IEquatable<ValueList<T>>
{
    private readonly List<T> items;
    private bool isBeingRead;

    /// <summary>An empty one; while a document is read its entries are added to it.</summary>
    public ValueList() => (items, isBeingRead) = ([], true);

    // What is used stands still.
    private List<T> Used
    {
        get
        {
            isBeingRead = false;
            return items;
        }
    }

    internal ValueList(ReadOnlySpan<T> entries) => items = [.. entries];

    /// <inheritdoc/>
    public int Count => Used.Count;

    /// <inheritdoc/>
    bool ICollection<T>.IsReadOnly => !isBeingRead;

    /// <inheritdoc/>
    public T this[int index] => Used[index];

    /// <summary>Part of it, for ranges and list patterns.</summary>
    public ValueList<T> Slice(int start, int length) => [.. items.GetRange(start, length)];

    /// <inheritdoc/>
    public bool Equals(ValueList<T>? other)
    {
        if (ReferenceEquals(this, other))
        {
            return true;
        }

        if (other is null || other.Count != Count)
        {
            return false;
        }

        for (var i = 0; i < Count; i++)
        {
            if (!EqualityComparer<T>.Default.Equals(items[i], other.items[i]))
            {
                return false;
            }
        }

        return true;
    }

    /// <inheritdoc/>
    public override bool Equals(object? obj) => Equals(obj as ValueList<T>);

    // Both ends tell most lists apart; a profile may have thousands of points.
    /// <inheritdoc/>
    public override int GetHashCode() => Count == 0 ? 0 : HashCode.Combine(Count, items[0], items[^1]);

    /// <inheritdoc/>
    public IEnumerator<T> GetEnumerator() => Used.GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();

    /// <inheritdoc/>
    void ICollection<T>.Add(T item)
    {
        if (!isBeingRead)
        {
            throw new NotSupportedException("A list of values never changes.");
        }

        items.Add(item);
    }

    /// <inheritdoc/>
    void ICollection<T>.Clear() => throw new NotSupportedException("A list of values never changes.");

    /// <inheritdoc/>
    bool ICollection<T>.Contains(T item) => items.Contains(item);

    /// <inheritdoc/>
    void ICollection<T>.CopyTo(T[] array, int arrayIndex) => items.CopyTo(array, arrayIndex);

    /// <inheritdoc/>
    bool ICollection<T>.Remove(T item) => throw new NotSupportedException("A list of values never changes.");
}

/// <summary>Makes lists of values.</summary>
public static class ValueList
{
    /// <summary>One with these entries.</summary>
    public static ValueList<T> Of<T>(ReadOnlySpan<T> entries) => new(entries);
}
