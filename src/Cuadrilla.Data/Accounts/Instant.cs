using System.Globalization;

namespace Cuadrilla.Data.Accounts;

/// <summary>Instants as they are stored: ISO 8601 in UTC, so that their order is that of their text.</summary>
internal static class Instant
{
    public static string Text(DateTimeOffset at) => at.ToUniversalTime().ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);

    public static DateTimeOffset Read(string text) =>
        DateTimeOffset.Parse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);
}
