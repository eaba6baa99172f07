namespace Cuadrilla.Web.Tests;

/// <summary>Folders of tests.</summary>
internal static class TestFolder
{
    private const int MostTries = 50, WaitMs = 100;

    /// <summary>Removes one. A request whose caller has left may still write into it: then it is tried again.</summary>
    public static void Remove(string folder)
    {
        for (var tries = 1; Directory.Exists(folder); tries++)
        {
            try
            {
                Directory.Delete(folder, recursive: true);
            }
            catch (IOException) when (tries < MostTries)
            {
                Thread.Sleep(WaitMs);
            }
        }
    }
}
