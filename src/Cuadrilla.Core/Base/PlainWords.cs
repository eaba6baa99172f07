using System.Globalization;
using System.Text;

namespace Cuadrilla.Core.Base;

/// <summary>
/// Names and labels hold what is seen in reading order. Characters that control, are invisible or turn the direction can make a label
/// read as another (Unicode technical report 36), so they are refused.
/// </summary>
public static class PlainWords
{
    // Joiners are part of how some scripts are written.
    private const int NonJoiner = 0x200C;
    private const int Joiner = 0x200D;

    /// <summary>The first character that is not taken, as U+ and its number; null where there is none.</summary>
    public static string? FirstStrange(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        foreach (var rune in text.EnumerateRunes())
        {
            var isStrange = Rune.GetUnicodeCategory(rune)
                is UnicodeCategory.Control or UnicodeCategory.Format or UnicodeCategory.LineSeparator or UnicodeCategory.ParagraphSeparator;
            if (isStrange && rune.Value is not (NonJoiner or Joiner))
            {
                return $"U+{rune.Value:X4}";
            }
        }

        return null;
    }
}
