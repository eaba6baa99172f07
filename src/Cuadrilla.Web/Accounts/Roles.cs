using Cuadrilla.Data.Accounts;
using Microsoft.AspNetCore.Authorization;

namespace Cuadrilla.Web.Accounts;

/// <summary>The least role that an endpoint asks for, for its description.</summary>
/// <param name="Role">That role.</param>
internal sealed record LeastRole(AccountRole Role);

/// <summary>Roles as policies of endpoints.</summary>
internal static class Roles
{
    /// <summary>A policy for each role: that role or one that may more.</summary>
    public static void Apply(AuthorizationOptions options)
    {
        foreach (var least in Enum.GetValues<AccountRole>())
        {
            options.AddPolicy(least.ToString(),
                policy => policy.RequireRole(Enum.GetValues<AccountRole>().Where(r => r >= least).Select(r => r.ToString())));
        }
    }

    /// <summary>Asks for a role, and says so in the OpenAPI document.</summary>
    public static TBuilder For<TBuilder>(this TBuilder builder, AccountRole least)
        where TBuilder : IEndpointConventionBuilder => builder.RequireAuthorization(least.ToString()).WithMetadata(new LeastRole(least));
}
