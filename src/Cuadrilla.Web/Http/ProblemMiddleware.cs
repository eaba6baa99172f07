using Cuadrilla.Core.Base;
using Cuadrilla.Data;
using Cuadrilla.Documents.Projects;
using Microsoft.AspNetCore.WebUtilities;
using Microsoft.Data.Sqlite;

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
                await Problems.Of("refused", "Refused", empty.StatusCode, ReasonPhrases.GetReasonPhrase(empty.StatusCode) + ".", [])
                    .ExecuteAsync(context);
            }
        }
        catch (InputException problem)
        {
            await Problems.Input(problem.Problems).ExecuteAsync(context);
        }
        catch (ProjectRemovedException problem)
        {
            await Problems.NotFound(problem.Message).ExecuteAsync(context);
        }
        catch (BadHttpRequestException problem)
        {
            var tooLarge = problem.StatusCode == StatusCodes.Status413PayloadTooLarge;
            var type = tooLarge ? "too-large" : "bad-request";
            var detail = tooLarge ? FormattableString.Invariant($"The body is larger than {ProjectFile.MaxBytes} bytes.") : problem.Message;
            await Problems.Of(type, tooLarge ? "Too large" : "Bad request", problem.StatusCode, detail, []).ExecuteAsync(context);
        }
        catch (SqliteException problem) when (StorageTrouble.Of(problem) is not null && !context.Response.HasStarted)
        {
            var trouble = StorageTrouble.Of(problem)!;
            Failed(logger, context.Request.Path, problem);
            var status = trouble.Kind == StorageTroubleKind.Full
                ? StatusCodes.Status507InsufficientStorage
                : StatusCodes.Status503ServiceUnavailable;
            await Problems.Of("storage", "Projects can't be read or saved", status, trouble.Says, []).ExecuteAsync(context);
        }
        catch (InvalidDataException problem)
        {
            // One document, not the database: the rest goes on.
            Failed(logger, context.Request.Path, problem);
            await Problems.Of("damaged", "Damaged", StatusCodes.Status422UnprocessableEntity,
                problem.Message + " './cuadrilla check' says which; other plants and edits are not touched.", []).ExecuteAsync(context);
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
                        : "The program failed to answer. Whether the change was stored can't be said from here: open the project again "
                            + "and look at its history. The log says why.",
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
