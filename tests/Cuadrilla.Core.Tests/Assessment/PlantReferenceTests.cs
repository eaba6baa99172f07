using System.Numerics;
using System.Text.Json;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Studies.Supply.Balance;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>
/// Whole plants of the reference: front ends, transformers, cables and banks that act on each other, simulated in time. Figures at the
/// supply, of each bus and bank; the resistances constant, as there.
/// </summary>
public sealed class PlantReferenceTests
{
    private static readonly JsonElement[] Cases =
        [.. JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Harmonics",
            "plant-reference.json"))).RootElement.GetProperty("cases").EnumerateArray()];

    private static readonly PlantSpecification Demo = DemoPlant.Read(ReferenceCatalogue.Data);

    public static TheoryData<string> Ids => [.. Cases.Select(c => c.GetProperty("id").GetString()!)];

    [Theory]
    [MemberData(nameof(Ids))]
    [Trait("speed", "slow")]
    public void Agrees_with_the_simulation_in_time(string id)
    {
        var given = Cases.Single(c => c.GetProperty("id").GetString() == id);
        var (plant, sums, iteration, loaded, _) = Solve(given);
        Assert.True(iteration.IsSettled, iteration.ToString());
        var results = given.GetProperty("results");
        var wrong = new List<string>();
        void Compare(string what, double expected, double found, double tolerance)
        {
            if (Math.Abs(found - expected) > tolerance)
            {
                wrong.Add(FormattableString.Invariant($"{what}: {found:g6} against {expected:g6}"));
            }
        }

        var own = results.TryGetProperty("ownShare", out var share) ? share : results;
        var supply = own.GetProperty("supply");
        var at = sums.AtCoupling("S");
        var phases = supply.TryGetProperty("phaseB", out _)
            ? new[] { "currentA", "phaseB",
                "phaseC" }.Select(p => p == "currentA"
                    ? Doubles(supply.GetProperty(p))
                    : Doubles(supply.GetProperty(p).GetProperty("currentA"))).ToList()
            : [Doubles(supply.GetProperty("currentA"))];
        for (var p = 0; p < phases.Count; p++)
        {
            var fundamental = phases[p][0];
            Compare($"I1 of phase {p}", fundamental, at[p].CurrentA[0].Magnitude, 0.003 * fundamental);
            Compare($"THDi of phase {p}", Thd(phases[p]), Thd([.. at[p].CurrentA.Take(40).Select(i => i.Magnitude)]),
                0.01 * Thd(phases[p]));
            for (var h = 2; h <= 25; h++)
            {
                Compare($"I{h} of phase {p}, % of I1", 100 * phases[p][h - 1] / fundamental,
                    100 * at[p].CurrentA[h - 1].Magnitude / fundamental, Math.Max(2 * phases[p][h - 1] / fundamental, 0.2));
            }
        }

        foreach (var bus in own.GetProperty("buses").EnumerateObject())
        {
            var expected = bus.Value.TryGetProperty("thdvPhasesPctOfNominal", out var each)
                ? Doubles(each).Max()
                : bus.Value.GetProperty("thdvPctOfNominal").GetDouble();
            var level = bus.Value.TryGetProperty("fundamentalPctOfNominal", out var f) ? f.GetDouble() : double.NaN;
            Compare($"U1 of {bus.Name}, %", level, 100 * sums.VoltagePu(bus.Name), 0.02);
            Compare($"THDv of {bus.Name}", expected, sums.ThdvPct(bus.Name), 0.01 * expected);
        }

        foreach (var bank in results.GetProperty("banks").EnumerateObject())
        {
            var element = plant.Distribution.CapacitorBanks.Single(b => b.Id == bank.Name);
            var found = BankInScenario.Of(element, loaded, sums, [], 0)!;
            var expected = bank.Value.TryGetProperty("currentPhasesPu", out var each)
                ? Doubles(each).Max()
                : bank.Value.GetProperty("currentPu").GetDouble();
            Compare($"current of {bank.Name}", expected, found.CurrentPu, 0.01 * expected);
        }

        Assert.True(wrong.Count == 0, $"{iteration}\n{string.Join("\n", wrong)}");
    }

    [Theory]
    [InlineData("PL01")]
    [InlineData("PL02")]
    [InlineData("PL04")]
    [InlineData("PL08")]
    public void What_the_source_gives_is_what_loads_and_resistances_take(string id)
    {
        var given = Cases.Single(c => c.GetProperty("id").GetString() == id);
        var (plant, sums, _, loaded, drives) = Solve(given);
        var network = loaded.Network;
        var volts = network.VoltageV("S");
        var current = sums.AtCoupling("S")[0].CurrentA;
        double Square(IEnumerable<Complex> orders) => orders.Sum(i => i.Magnitude * i.Magnitude);
        var strength = (SourceStrength.FaultLevel)plant.Source.Strength;
        var sourceOhm = FaultLevel.SourceImpedance(volts, strength.ShortCircuitMva.Value, strength.XrRatio.Value).Real;

        // Only the fundamental of a sinusoidal EMF carries power.
        var found = Math.Sqrt(3) * volts * current[0].Real;
        var taken = 3 * sourceOhm * Square(current);
        foreach (var t in plant.Distribution.Transformers)
        {
            var fed = network.VoltageV(t.ToBusId);
            taken += 3 * t.LoadLossKw * 1e3 * fed * fed / Math.Pow(t.RatedKva * 1e3, 2) * Square(sums.Through(t.Id, t.ToBusId)[0].OrdersA);
        }

        foreach (var drive in drives)
        {
            var front = (RectifierResult.SteadyState)drive.Front;
            var feeder = given.GetProperty("drives").EnumerateArray().Single(d => d.GetProperty("id").GetString() == drive.DrivePointId)
                .GetProperty("feederResistanceMohm").GetDouble() * 1e-3;
            taken += drive.Point.DcLoadW + (3 * feeder * front.PhaseA.RmsA * front.PhaseA.RmsA)
                + (drive.Circuit!.Bridges * drive.Circuit.DcChokeResistanceOhm * front.DcCurrentRmsA * front.DcCurrentRmsA);
        }

        Assert.Equal(taken, found, 1e-4 * taken);
    }

    [Theory]
    [InlineData("PL01")]
    [InlineData("PL05")]
    [InlineData("PL09")]
    public void The_same_state_is_found_from_wherever_the_search_begins(string id)
    {
        var given = Cases.Single(c => c.GetProperty("id").GetString() == id);
        var first = Solve(given);
        var random = new Random(7);
        for (var start = 0; start < 5; start++)
        {
            var before = first.Drives.ToDictionary(d => d.DrivePointId,
                d => d with { Search = d.Search! with { Emf = Shaken(d.Search.Emf, random) } }, StringComparer.Ordinal);
            var again = Solve(given, before);
            Assert.True(again.Iteration.IsSettled, again.Iteration.ToString());
            foreach (var (one, other) in first.Drives.Zip(again.Drives))
            {
                Assert.All(SpaceVector.All, m => Assert.InRange((one.Search!.Emf[m] - other.Search!.Emf[m]).Magnitude, 0, 1e-6));
            }
        }
    }

    // Each order that is there moved by up to 2 % of the fundamental in any direction.
    private static SpaceVector Shaken(SpaceVector emf, Random random)
    {
        var shaken = emf.Copy();
        foreach (var (m, part) in emf.Parts().ToList())
        {
            shaken[m] = part + Complex.FromPolarCoordinates(0.02 * random.NextDouble() / Math.Max(1, Math.Abs(m) / 5.0),
                2 * Math.PI * random.NextDouble());
        }

        return shaken;
    }

    private static HarmonicLoads Loads { get; } = new([], [], 0.3, 1, 0);

    private static (PlantSpecification Plant, HarmonicSums Sums, FrontIteration Iteration, LoadedNetwork Loaded,
        IReadOnlyList<DriveInScenario> Drives) Solve(
        JsonElement given, IReadOnlyDictionary<string, DriveInScenario>? before = null)
    {
        var source = given.GetProperty("source");
        double Of(JsonElement e, string key) => e.GetProperty(key).GetDouble();
        string Text(JsonElement e, string key) => e.GetProperty(key).GetString()!;
        IEnumerable<JsonElement> All(string key) => given.GetProperty(key).EnumerateArray();
        var volts = All("buses").ToDictionary(b => Text(b, "id"), b => Of(b, "nominalVoltageV"));
        var hertz = Of(source, "frequencyHz");
        var plant = Demo with
        {
            Source = new Source(
                Text(source, "bus"), hertz, new SourceStrength.FaultLevel(Of(source, "faultLevelMva"), Given.Unknown,
                    Of(source, "xrRatio")),
                Of(source, "unbalancePct"), Of(source, "background5Pct"), Of(source, "background7Pct"))
            { BackgroundV5Deg = 0, BackgroundV7Deg = 0 },
            Distribution = new Distribution(
                [.. volts.Select(v => new Bus(v.Key, v.Key, v.Value, Given.Unknown))],
                [.. All("transformers").Select(t => Demo.Distribution.Transformers[0] with
                {
                    Id = Text(t, "id"), FromBusId = Text(t, "from"), ToBusId = Text(t, "to"), RatedKva = Of(t, "ratedKva"),
                    UkPct = Of(t, "ukPct"),
                    LoadLossKw = Of(t, "loadLossKw"), VectorGroup = Enum.Parse<VectorGroup>(Text(t, "vectorGroup")),
                    NoLoadSecondaryPct = Given.Unknown,
                })],
                [.. All("cables").Select(c => new BusLink.Cable(
                    Text(c, "id"), Text(c, "id"), Text(c, "from"), Text(c, "to"), true, Of(c, "lengthM"), Of(c, "crossSectionMm2"),
                    (int)Of(c, "runs"), ConductorMaterial.Copper, CableLaying.Trefoil))],
                [.. All("banks").Select(b => new CapacitorBank(Text(b, "id"), Text(b, "id"), Text(b, "bus"), Of(b, "kvar"), 1,
                    Of(b, "detuningPct") is > 0 and var p ? p : Given.Unknown))],
                [.. All("loads").Select(l => Text(l, "kind") == "resistive"
                    ? (BusLoad)new BusLoad.Linear(Text(l, "id"), Text(l, "id"), Text(l, "bus"), Of(l, "powerKw"), 1)
                    : new BusLoad.LineMotor(
                        Text(l, "id"), Text(l, "id"), Text(l, "bus"), Of(l, "ratedKw"), Of(l, "efficiencyPct"), Of(l, "powerFactor"),
                        Of(l, "loadingPct"), Of(l, "lockedRotorCurrentPu"),
                        Of(l, "lockedRotorPowerFactor"), 1))]),
            Pcc = Demo.Pcc with { BusId = "S" },
            Scenarios = [Scenario.AsUsual("all", "all")],
            Lineups = [],
        };
        var cables = new CableConstants(0.0225, 0.036, 8e-5) { Rise = new ResistanceRise(ResistanceLaw.Constant, 1) };
        var network = PlantNetwork.Of(plant, plant.Scenarios[0], SourceView.Weakest, cables)!;
        var running = All("drives").Select(d => Running(d, volts[Text(d, "bus")], hertz)).ToList();
        var shunts = StandingLoads.Fundamental(plant, plant.Scenarios[0], network, [], 0);
        var loaded = new LoadedNetwork(plant, plant.Scenarios[0], network, shunts, Loads);
        var (drives, iteration) = BalancedFronts.Solve(plant, loaded, running,
            new FrontSettings(0, before ?? new Dictionary<string, DriveInScenario>(StringComparer.Ordinal)) { LittleUnbalancePct = 0 });
        return (plant, new HarmonicSums(plant, loaded, drives!), iteration, loaded, drives!);

        RunningDrive Running(JsonElement d, double busV, double frequencyHz)
        {
            var ratedW = Of(d, "ratedKw") * 1e3;
            var (ohm, omega) = (busV * busV / ratedW, 2 * Math.PI * frequencyHz);
            var bridges = Text(d, "kind") == "twelve-pulse" ? 2 : 1;
            var share = ohm * bridges;
            var linkV = 3 * Math.Sqrt(2) / Math.PI * busV;
            var meanA = ratedW / linkV / bridges;
            var item = ReferenceCatalogue.Data.Converters["six-pulse-plain-75"] with
            {
                RatedKw = ratedW / 1e3,
                RatedVoltageV = busV,
                StandbyW = 0,
                DcCapacitanceUf = Of(d, "dcCapacitanceUf"),
                FrontEnd = new FrontEnd.Diode(
                    bridges,
                    100 * omega * Of(d, "dcChokeUh") * 1e-6 / share,
                    Of(d, "dcChokeMohm") * 1e-3 * meanA * meanA * bridges / ratedW,
                    100 * omega * Of(d, "acReactorUh") * 1e-6 / ohm,
                    bridges == 2 ? 100 * omega * Of(d, "transformerLeakageUh") * 1e-6 / share : 0,
                    1, 0, 0),
            };
            Assert.Equal(Of(d, "dcChokeMohm") * 1e-3, item.DcChokeResistanceOhm, 1e-9);
            return new RunningDrive(
                Text(d, "id"), item, SupplyFeed.ThreePhase,
                new Complex(Of(d, "feederResistanceMohm"), Of(d, "feederReactanceMohm")) * 1e-3, null,
                OperatingPoint.OfBus(Of(d, "dcLoadKw") * 1e3, item), Text(d, "bus"));
        }
    }

    private static double[] Doubles(JsonElement array) => [.. array.EnumerateArray().Select(v => v.GetDouble())];

    private static double Thd(double[] orders) => 100 * Math.Sqrt(orders.Skip(1).Sum(i => i * i)) / orders[0];
}
