using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Projects;
using Microsoft.AspNetCore.WebUtilities;

namespace Cuadrilla.Web.Http;

/// <summary>Turns failures, and answers that would be empty, into problem documents.</summary>
internal sealed partial class ProblemMiddleware(RequestDelegate next, ILogger<ProblemMiddleware> logger)
{
    public async Task InvokeAsync(HttpContext context)
    {
        try
        {
            await next(context);
            if (context.Response is { HasStarted: false, StatusCode: >= 400, ContentType: null, ContentLength: null or 0 } empty)
            {
                await Problems.Of("refused", "Refused", empty.StatusCode, ReasonPhrases.GetReasonPhrase(empty.StatusCode) + ".", []).ExecuteAsync(context);
            }
        }
        catch (InputException problem)
        {
            await Problems.Input(problem.Problems).ExecuteAsync(context);
        }
        catch (BadHttpRequestException problem)
        {
            var tooLarge = problem.StatusCode == StatusCodes.Status413PayloadTooLarge;
            var type = tooLarge ? "too-large" : "bad-request";
            var detail = tooLarge ? FormattableString.Invariant($"The body is larger than {ProjectFile.MaxBytes} bytes.") : problem.Message;
            await Problems.Of(type, tooLarge ? "Too large" : "Bad request", problem.StatusCode, detail, []).ExecuteAsync(context);
        }
        catch (Exception problem) when (problem is not OperationCanceledException)
        {
            Failed(logger, context.Request.Path, problem);
            if (!context.Response.HasStarted)
            {
                await Problems.Of(
                    "internal", "Internal error", StatusCodes.Status500InternalServerError,
                    HttpMethods.IsGet(context.Request.Method)
                        ? "The program failed to answer. Nothing was to be changed, and nothing was; the log says why."
                        : "The program failed to answer. Whether the change was stored can't be said from here: open the project again and look at its history. The log says why.",
                    []).ExecuteAsync(context);
            }
        }
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "Answering {Path} failed.")]
    private static partial void Failed(ILogger logger, string path, Exception problem);
}

/// <summary>Reads request bodies by the same rules as files.</summary>
internal static class RequestBody
{
    public static async Task<byte[]> BytesAsync(HttpRequest request)
    {
        if (!request.HasJsonContentType())
        {
            throw new InputException(InputProblem.Of(
                string.Empty, "Content type", request.ContentType is { Length: > 0 } type ? $"'{type}'" : "absent", "application/json"));
        }

        if (request.ContentLength > ProjectFile.MaxBytes)
        {
            // Say so at once, and do not read on: the client may still be sending.
            throw new BadHttpRequestException("too large", StatusCodes.Status413PayloadTooLarge);
        }

        using var memory = new MemoryStream();
        await request.Body.CopyToAsync(memory, request.HttpContext.RequestAborted);
        return memory.ToArray();
    }

    public static async Task<T> ReadAsync<T>(HttpRequest request) => JsonReading.Read<T>(await BytesAsync(request), ProjectJson.Options);
}
