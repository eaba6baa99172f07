using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Specification;

/// <summary>Ranges of own motors and drive points, written down a second time: each end is let through, what lies beyond is
/// named.</summary>
public sealed class RangeTests
{
    private const string Motor = "/motors/0";
    private const string Point = "/lineups/0/drivePoints/0";
    private const string Fluid = Point + "/load/common";
    private const string Braking = Point + "/converter/braking";
    private const string Pump = "/lineups/0/drivePoints/2/load";

    private static readonly OwnMotor Own = new(
        "own", "old mill motor", MotorTechnology.CageInduction, "IE1", 55, 400, Given.Unknown, 50, 1480, 96.7, 94.6, 0.868, 4, 2.8,
        Given.Unknown, 7, 2.4, Given.Unknown, Given.Unknown,
        0.6, 2600, 250, 900, 430, 90, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
        Given.Unknown);

    private static readonly string Document = JsonSerializer.Serialize(DemoPlant.Read(ReferenceCatalogue.Data) with { Motors = [Own] },
        ProjectJson.Options);

    [Theory]
    [InlineData(Motor + "/ratedPowerKw", 0, 20_000, true)]
    [InlineData(Motor + "/ratedVoltageV", 20, 15_000)]
    [InlineData(Motor + "/deltaVoltageV", 20, 15_000)]
    [InlineData(Motor + "/ratedFrequencyHz", 5, 1000)]
    [InlineData(Motor + "/ratedSpeedRpm", 10, 30_000)]
    [InlineData(Motor + "/ratedCurrentA", 0, 20_000, true)]
    [InlineData(Motor + "/efficiencyPct", 30, 99.5)]
    [InlineData(Motor + "/powerFactor", 0.2, 1)]
    [InlineData(Motor + "/ratedRiseK", 20, 180)]
    [InlineData(Motor + "/stallTimeS", 1, 120)]
    [InlineData(Motor + "/startsPerHour", 0, 1000, true)]
    [InlineData(Motor + "/withstandV", 300, 20_000)]
    [InlineData(Motor + "/breakdownTorquePu", 1.3, 8)]
    [InlineData(Motor + "/noLoadCurrentA", 0, 0.95 * 96.7, true)]
    [InlineData(Motor + "/lockedRotorCurrentPu", 2, 12)]
    [InlineData(Motor + "/lockedRotorTorquePu", 0.3, 5)]
    [InlineData(Motor + "/halfLoadPowerFactor", 0.1, 1)]
    [InlineData(Motor + "/lossN50T100W", 0, 55_000, true)]
    [InlineData(Motor + "/backEmfVPerKrpm", 0, 5000, true)]
    [InlineData(Motor + "/inertiaKgM2", 0, 100_000, true)]
    [InlineData(Motor + "/maxSpeedRpm", 10, 60_000)]
    [InlineData(Motor + "/shaftHeightMm", 20, 1500)]
    [InlineData(Motor + "/lengthMm", 20, 10_000)]
    [InlineData(Motor + "/massKg", 0.1, 100_000)]
    [InlineData(Motor + "/priceIndex", 0, 1e6)]
    [InlineData(Point + "/feeder/lengthM", 0, 2000)]
    [InlineData(Point + "/feeder/crossSectionMm2", 0.5, 630)]
    [InlineData(Point + "/cable/lengthM", 0, 2000)]
    [InlineData(Point + "/cable/crossSectionMm2", 0.5, 630)]
    [InlineData(Point + "/converter/switchingKhz", 1, 16)]
    [InlineData(Braking + "/currentPct", 20, 200, false, """{"kind":"dc-injection","currentPct":100}""")]
    [InlineData(Braking + "/fluxPct", 100, 140, false, """{"kind":"flux","fluxPct":120}""")]
    [InlineData(Braking + "/resistanceOhm", 0.1, 2000, false, """{"kind":"resistor","resistanceOhm":3,"continuousKw":2,"windowS":120}""")]
    [InlineData(Braking + "/continuousKw", 0.01, 1000, false, """{"kind":"resistor","resistanceOhm":3,"continuousKw":2,"windowS":120}""")]
    [InlineData(Braking + "/windowS", 10, 3600, false, """{"kind":"resistor","resistanceOhm":3,"continuousKw":2,"windowS":120}""")]
    [InlineData(Point + "/load/ratedPressurePa", 1, 100_000)]
    [InlineData(Pump + "/ratedHeadM", 0.1, 3000)]
    [InlineData(Pump + "/densityKgPerM3", 300, 5000)]
    [InlineData(Fluid + "/ratedFlowM3PerS", 0, 2000, true)]
    [InlineData(Fluid + "/ratedEfficiency", 0.05, 0.95)]
    [InlineData(Fluid + "/ratedSpeedRpm", 10, 6000)]
    [InlineData(Fluid + "/staticFraction", 0, 0.99)]
    [InlineData(Fluid + "/shutOffPu", 1.01, 2)]
    [InlineData(Fluid + "/inertiaKgM2", 0, 1e6)]
    [InlineData(Fluid + "/startTimeS", 0.1, 600)]
    [InlineData(Fluid + "/stopTimeS", 0.05, 3600)]
    [InlineData(Fluid + "/duty/0/levelPu", 0, 1.2, true)]
    [InlineData(Fluid + "/duty/0/hoursPerYear", 0, 8760)]
    public void Each_end_is_let_through_and_what_lies_beyond_is_named(string pointer, double min, double max, bool minExcluded = false,
        string? braking = null)
    {
        var beyond = 1e-4 * Math.Max(1, max - min);
        Assert.Null(Problem(minExcluded ? min + beyond : min));
        Assert.Null(Problem(max));
        foreach (var outside in new[] { minExcluded ? min : min - beyond, max + beyond })
        {
            var problem = Problem(outside);
            Assert.NotNull(problem);
            Assert.Contains(string.Create(CultureInfo.InvariantCulture, $"to {max:0.######}"), problem.Allowed, StringComparison.Ordinal);
            Assert.StartsWith(string.Create(CultureInfo.InvariantCulture, $"{(minExcluded ? "above " : string.Empty)}{min:0.######} "),
                problem.Allowed, StringComparison.Ordinal);
        }

        // A plate that contradicts itself is another problem, told in words.
        InputProblem? Problem(double value)
        {
            var document = JsonNode.Parse(Document)!;
            if (braking is not null)
            {
                document["lineups"]![0]!["drivePoints"]![0]!["converter"]!["braking"] = JsonNode.Parse(braking);
            }

            Set(document, pointer, value);
            var plant = StoredProject.Read(document.ToJsonString(), ProjectFile.CurrentVersion);
            return SpecificationValidation.Problems(plant, ReferenceCatalogue.Data)
                .FirstOrDefault(p => p.Pointer == pointer && p.Allowed.Contains(" to ", StringComparison.Ordinal));
        }
    }

    private static void Set(JsonNode document, string pointer, double value)
    {
        var parts = pointer.Split('/', StringSplitOptions.RemoveEmptyEntries);
        var at = document;
        foreach (var part in parts[..^1])
        {
            at = at is JsonArray list ? list[int.Parse(part, CultureInfo.InvariantCulture)]! : at[part]!;
        }

        Assert.True(at.AsObject().ContainsKey(parts[^1]), pointer);
        at[parts[^1]] = value;
    }
}
