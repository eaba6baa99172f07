using System.Buffers.Binary;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;

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
    /// <param name="document">The document.</param>
    /// <param name="before">The document that it follows on; empty: it stands by itself.</param>
    public static byte[] Pack(string document, string before)
    {
        var (whole, known) = (Encoding.UTF8.GetBytes(document), Encoding.UTF8.GetBytes(before));
        var first = whole.AsSpan().CommonPrefixLength(known);
        var last = 0;
        while (last < Math.Min(whole.Length, known.Length) - first && whole[^(last + 1)] == known[^(last + 1)])
        {
            last++;
        }

        using var packed = new MemoryStream();
        packed.Write(SHA256.HashData(whole).AsSpan(0, HashBytes));
        Span<byte> lengths = stackalloc byte[8];
        BinaryPrimitives.WriteInt32LittleEndian(lengths, first);
        BinaryPrimitives.WriteInt32LittleEndian(lengths[4..], last);
        packed.Write(lengths);
        using (var compressed = new BrotliStream(packed, CompressionLevel.Optimal, leaveOpen: true))
        {
            compressed.Write(whole, first, whole.Length - first - last);
        }

        return packed.ToArray();
    }

    /// <summary>Brings a document back.</summary>
    /// <param name="packed">The packed document.</param>
    /// <param name="before">The document that it follows on; empty where it stands by itself.</param>
    /// <exception cref="InvalidDataException">It is damaged, or follows on another.</exception>
    public static string Unpack(byte[] packed, string before)
    {
        ArgumentNullException.ThrowIfNull(packed);
        var known = Encoding.UTF8.GetBytes(before);
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

        using var whole = new MemoryStream();
        whole.Write(known, 0, first);
        try
        {
            using var compressed = new BrotliStream(new MemoryStream(packed, HeadBytes, packed.Length - HeadBytes),
                CompressionMode.Decompress);
            compressed.CopyTo(whole);
        }
        catch (Exception problem) when (problem is InvalidOperationException or InvalidDataException)
        {
            throw Damaged();
        }

        whole.Write(known, known.Length - last, last);
        var bytes = whole.ToArray();
        return SHA256.HashData(bytes).AsSpan(0, HashBytes).SequenceEqual(packed.AsSpan(0, HashBytes))
            ? Encoding.UTF8.GetString(bytes)
            : throw Damaged();
    }

    private static InvalidDataException Damaged() => new("The stored document is damaged.");
}
