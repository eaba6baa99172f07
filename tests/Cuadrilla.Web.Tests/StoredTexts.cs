using System.Text;
using Cuadrilla.Data;

namespace Cuadrilla.Web.Tests;

// Stores documents that a test writes as text.
internal static class StoredTexts
{
    public static ProjectHead Create(this ProjectStore store, string document, string who, string label) =>
        store.Create(Encoding.UTF8.GetBytes(document), who, label);

    public static WriteOutcome Save(this ProjectStore store, string id, long basedOn, string document, string who, string label) =>
        store.Save(id, basedOn, Encoding.UTF8.GetBytes(document), who, label);
}
