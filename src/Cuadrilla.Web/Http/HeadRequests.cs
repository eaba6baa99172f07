namespace Cuadrilla.Web.Http;

/// <summary>HEAD is answered wherever GET is: routed as GET, answered as HEAD, so that no body is sent.</summary>
internal static class HeadRequests
{
    /// <summary>Begins routing.</summary>
    public static void UseRoutingWithHead(this WebApplication app)
    {
        app.Use((context, next) =>
        {
            if (HttpMethods.IsHead(context.Request.Method))
            {
                context.Request.Method = HttpMethods.Get;
                context.Items[nameof(HeadRequests)] = true;
            }

            return next(context);
        });
        app.UseRouting();
        app.Use((context, next) =>
        {
            if (context.Items.ContainsKey(nameof(HeadRequests)))
            {
                context.Request.Method = HttpMethods.Head;
            }

            return next(context);
        });
    }
}
