using Cuadrilla.Data.Accounts;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;

namespace Cuadrilla.Web.Accounts;

/// <summary>
/// What the session cookie stands for is in the database: it can be ended from here, and what its account may do is asked anew for every
/// request.
/// </summary>
internal sealed class SessionTickets(SessionStore sessions) : ITicketStore
{
    public Task<string> StoreAsync(AuthenticationTicket ticket) => throw new NotSupportedException("A session is begun by a request.");

    public Task<string> StoreAsync(AuthenticationTicket ticket, HttpContext httpContext, CancellationToken cancellationToken) =>
        Task.FromResult(sessions.Begin(
        ticket.Principal.FindFirst(System.Security.Claims.ClaimTypes.NameIdentifier)!.Value,
        httpContext.Request.Headers.UserAgent.ToString()));

    public Task RenewAsync(string key, AuthenticationTicket ticket) => Task.CompletedTask;

    public Task<AuthenticationTicket?> RetrieveAsync(string key) => Task.FromResult(sessions.Find(key) is { } session
        ? new AuthenticationTicket(Persons.Of(session, CookieAuthenticationDefaults.AuthenticationScheme),
            CookieAuthenticationDefaults.AuthenticationScheme)
        : null);

    public Task RemoveAsync(string key)
    {
        sessions.EndKey(key);
        return Task.CompletedTask;
    }
}
