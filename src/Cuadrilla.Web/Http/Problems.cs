using Cuadrilla.Core.Base;

namespace Cuadrilla.Web.Http;

/// <summary>A problem document (RFC 9457) with one entry for each bad field.</summary>
/// <param name="Type">Kind of problem.</param>
/// <param name="Title">What went wrong, in short.</param>
/// <param name="Status">HTTP status.</param>
/// <param name="Detail">What went wrong, in full.</param>
/// <param name="Errors">Bad fields: pointer, value, what is allowed.</param>
public sealed record ProblemDocument(string Type, string Title, int Status, string Detail, IReadOnlyList<InputProblem> Errors);

/// <summary>Problem answers.</summary>
internal static class Problems
{
    public const string ContentType = "application/problem+json";

    public static IResult NotFound(string detail) => Of("not-found", "Not found", StatusCodes.Status404NotFound, detail, []);

    public static IResult Input(IReadOnlyList<InputProblem> errors) => Of(
        "bad-input", "The input can't be accepted", StatusCodes.Status400BadRequest, string.Join(" ", errors.Select(e => e.Message)),
        errors);

    public static IResult Of(string type, string title, int status, string detail, IReadOnlyList<InputProblem> errors) =>
        Results.Json(new ProblemDocument($"urn:cuadrilla:{type}", title, status, detail, errors), contentType: ContentType,
            statusCode: status);
}
