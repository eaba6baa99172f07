using Cuadrilla.Catalogue;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Web.Projects;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Options;

namespace Cuadrilla.Web.Http;

/// <summary>What must be in order before the first answer.</summary>
internal static class StartUp
{
    /// <summary>Brings the database to this program's layout; the answer says in a line what stands against serving, and is null where
    /// nothing does.</summary>
    public static string? Prepare(WebApplication app, bool isServed)
    {
        try
        {
            var database = app.Services.GetRequiredService<Database>();
            database.Migrate();
            var options = app.Services.GetRequiredService<IOptions<ServerOptions>>().Value;
            if (isServed && !app.Services.GetRequiredService<AccountStore>().HasAny())
            {
                return "Cuadrilla is not served to others without accounts: whoever reached it could change everything. "
                    + "Make the first administrator: ./cuadrilla user add NAME administrator --data DIR.";
            }

            if (isServed && options.Hosts.Count == 0)
            {
                return "Cuadrilla answers to no name but this machine's own, so that others would be refused. "
                    + "State the names by which they reach it: --hosts:0 plant-server.";
            }

            app.Lifetime.ApplicationStopped.Register(() => Settle(database));
            if (options.Demo && app.Services.GetRequiredService<ProjectStore>().List().Count == 0)
            {
                using var scope = app.Services.CreateScope();
                foreach (var key in DemoPlant.Keys.Reverse())
                {
                    scope.ServiceProvider.GetRequiredService<ProjectReader>()
                        .Create(DemoPlant.Read(ReferenceCatalogue.Data, key), "engineer", "Demo plant");
                }
            }

            return null;
        }
        catch (SqliteException problem) when (StorageTrouble.Of(problem) is { } trouble)
        {
            return trouble.Says;
        }
        catch (Exception problem) when (problem is UnauthorizedAccessException or IOException)
        {
            return $"The folder of the data can't be used: {problem.Message}";
        }
        catch (DatabaseLayoutException problem)
        {
            return problem.Message;
        }
    }

    // What the log holds is on disk in any case; only the promise of one file would not be kept.
    private static void Settle(Database database)
    {
        try
        {
            database.Settle();
        }
        catch (SqliteException problem)
        {
            Console.Error.WriteLine($"The write-ahead log was left beside the database: {problem.Message}");
        }
    }
}
