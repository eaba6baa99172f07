using System.Buffers.Binary;
using System.IO.Compression;
using System.Security.Cryptography;

namespace Cuadrilla.Data;

/// <summary>
/// Documents of former edits, packed: what stands between the beginning and the end that a document has in common with the one before,
/// compressed (RFC 7932); with a hash of the whole, so that nothing comes back that was not stored.
/// </summary>
public static class DocumentPacking
{
    /// <summary>How many documents may follow on one another before one stands by itself again.</summary>
    public const int LongestChain = 16;

    private const int HashBytes = 8;
    private const int HeadBytes = HashBytes + 8;

    /// <summary>Packs a document.</summary>
    /// <param name="document">The document, UTF-8.</param>
    /// <param name="before">The document that it follows on; empty: it stands by itself.</param>
    public static byte[] Pack(ReadOnlySpan<byte> document, ReadOnlySpan<byte> before)
    {
        var first = document.CommonPrefixLength(before);
        var last = 0;
        while (last < Math.Min(document.Length, before.Length) - first && document[^(last + 1)] == before[^(last + 1)])
        {
            last++;
        }

        using var packed = new MemoryStream();
        packed.Write(SHA256.HashData(document).AsSpan(0, HashBytes));
        Span<byte> lengths = stackalloc byte[8];
        BinaryPrimitives.WriteInt32LittleEndian(lengths, first);
        BinaryPrimitives.WriteInt32LittleEndian(lengths[4..], last);
        packed.Write(lengths);
        using (var compressed = new BrotliStream(packed, CompressionLevel.Optimal, leaveOpen: true))
        {
            compressed.Write(document[first..^last]);
        }

        return packed.ToArray();
    }

    /// <summary>Brings a document back.</summary>
    /// <param name="chain">Packed documents, each on the one before; the last is the one that is asked for, and its hash says whether all
    /// of them are whole.</param>
    /// <param name="before">The document that the first follows on; empty where it stands by itself.</param>
    /// <returns>The document, UTF-8.</returns>
    /// <exception cref="InvalidDataException">One is damaged, or follows on another.</exception>
    public static byte[] Unpack(IReadOnlyList<byte[]> chain, byte[] before)
    {
        ArgumentNullException.ThrowIfNull(chain);
        if (chain.Count == 0)
        {
            return before;
        }

        // Pieces of documents, so that what they have in common is copied once whatever the length of the chain.
        var document = chain.Aggregate(Pieces.Of(before), Joined);
        var whole = document.ToArray();
        return SHA256.HashData(whole).AsSpan(0, HashBytes).SequenceEqual(chain[^1].AsSpan(0, HashBytes)) ? whole : throw Damaged();
    }

    private static Pieces Joined(Pieces known, byte[] packed)
    {
        if (packed.Length < HeadBytes)
        {
            throw Damaged();
        }

        var first = BinaryPrimitives.ReadInt32LittleEndian(packed.AsSpan(HashBytes));
        var last = BinaryPrimitives.ReadInt32LittleEndian(packed.AsSpan(HashBytes + 4));
        if (first < 0 || last < 0 || first + (long)last > known.Length)
        {
            throw Damaged();
        }

        using var between = new MemoryStream();
        try
        {
            using var compressed = new BrotliStream(new MemoryStream(packed, HeadBytes, packed.Length - HeadBytes),
                CompressionMode.Decompress);
            compressed.CopyTo(between);
        }
        catch (Exception problem) when (problem is InvalidOperationException or InvalidDataException)
        {
            throw Damaged();
        }

        return known.Cut(0, first).With(Pieces.Of(between.ToArray())).With(known.Cut(known.Length - last, last));
    }

    /// <summary>What is thrown where one is.</summary>
    internal static InvalidDataException Damaged() => new("The stored document is damaged.");

    // Bytes in pieces that belong to others.
    private sealed record Pieces(IReadOnlyList<ReadOnlyMemory<byte>> Parts, int Length)
    {
        public static Pieces Of(byte[] whole) => new([whole], whole.Length);

        public Pieces With(Pieces next) => new([.. Parts, .. next.Parts], Length + next.Length);

        public Pieces Cut(int from, int length)
        {
            var (cut, passed) = (new List<ReadOnlyMemory<byte>>(), 0);
            foreach (var part in Parts)
            {
                var (begin, end) = (Math.Max(from - passed, 0), Math.Min(from + length - passed, part.Length));
                if (begin < end)
                {
                    cut.Add(part[begin..end]);
                }

                passed += part.Length;
            }

            return new Pieces(cut, length);
        }

        public byte[] ToArray()
        {
            var (whole, passed) = (GC.AllocateUninitializedArray<byte>(Length), 0);
            foreach (var part in Parts)
            {
                part.Span.CopyTo(whole.AsSpan(passed));
                passed += part.Length;
            }

            return whole;
        }
    }
}
