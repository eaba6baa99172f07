using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Followers;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Calculations;

/// <summary>One engine as it is offered by command line and API: JSON in, JSON out.</summary>
public sealed class Calculation
{
    /// <summary>How many inputs an array may hold.</summary>
    public const int MostInputs = 10_000;

    private readonly Func<JsonNode> schema;
    private readonly Func<byte[], string, JsonNode> run;

    private Calculation(string name, Func<JsonNode> schema, Func<byte[], string, JsonNode> run)
    {
        Name = name;
        this.schema = schema;
        this.run = run;
    }

    /// <summary>Name under which it is called.</summary>
    public string Name { get; }

    /// <summary>All engines by name.</summary>
    public static IReadOnlyDictionary<string, Calculation> All { get; } = new[]
    {
        Of<RectifierCalculation.Input>("rectifier", RectifierCalculation.Run),
        Of<SupplyCalculations.FaultLevelInput>("fault-level", SupplyCalculations.FaultLevel),
        Of<SupplyCalculations.WindingHeatInput>("winding-heat", SupplyCalculations.WindingHeat),
        Of<SupplyCalculations.StartDipInput>("start-dip", SupplyCalculations.StartDip),
        Of<SupplyCalculations.NeutralInput>("neutral-current", SupplyCalculations.NeutralCurrent),
        Of<SupplyCalculations.SkinInput>("skin-effect", SupplyCalculations.SkinEffect),
        Of<LoadCalculations.PumpPointInput>("pump-point", LoadCalculations.PumpPoint),
        Of<LoadCalculations.FluidMachineInput>("fluid-machine", LoadCalculations.FluidMachine),
        Of<LoadCalculations.LoadInput>("load", LoadCalculations.Any),
        Of<MotorCalculations.LossesInput>("motor-losses", MotorCalculations.Losses),
        Of<MotorCalculations.BudgetInput>("thermal-budget", MotorCalculations.Budget),
        Of<StartCalculation.Input>("start", StartCalculation.Run),
        Of<ConverterCalculations.LossesInput>("converter-losses", ConverterCalculations.Losses),
        Of<PlantCalculations.PccInput>("pcc", PlantCalculations.Pcc),
        Of<PlantCalculations.YearInput>("yearly-energy", PlantCalculations.YearlyEnergy),
        Of<ConverterCalculations.BrakeInput>("brake-resistor", ConverterCalculations.BrakeResistor),
        Of<PlantCalculations.CompareInput>("comparison", PlantCalculations.Compare),
        Of<LineupCalculations.DroopInput>("droop-share", LineupCalculations.Droop),
        Of<FollowerInput>("follower", FollowerCalculation.Run),
        Of<LineupCalculations.BusInput>("common-bus", LineupCalculations.CommonBus),
        Of<GroupCalculation.Input>("motor-group", GroupCalculation.Run),
        Of<SharedShaftCalculation.Input>("shared-shaft", SharedShaftCalculation.Run),
        Of<BrakeCalculation.Input>("brake-sequence", BrakeCalculation.Run),
        Of<HarmonicCalculations.ResonanceInput>("bank-resonance", HarmonicCalculations.Resonance),
        Of<HarmonicCalculations.SpectrumInput>("waveform-spectrum", HarmonicCalculations.Spectrum),
        Of<HarmonicCalculations.EquipmentInput>("equipment-ratio", HarmonicCalculations.EquipmentRatio),
        Of<OverloadCalculation.Input>("overload", OverloadCalculation.Run),
        Of<StopCalculation.Input>("stop", StopCalculation.Run),
        Of<ThyristorCalculation.Input>("thyristor", ThyristorCalculation.Run),
        Of<SystemClassCalculation.Input>("system-class", SystemClassCalculation.Run),
        Of<CableCalculations.SizeInput>("cable-size", CableCalculations.Size),
        Of<CableCalculations.DropInput>("cable-drop", CableCalculations.Drop),
        Of<CableCalculations.LoopInput>("loop-fault", CableCalculations.Loop),
        Of<FaultCurrentCalculation.Input>("fault-current", FaultCurrentCalculation.Run),
        Of<ProtectionCalculations.FuseInput>("fuse-check", ProtectionCalculations.Fuse),
        Of<ProtectionCalculations.RelayInput>("relay-time", ProtectionCalculations.Relay),
        Of<ProtectionCalculations.RideInput>("ride-through", ProtectionCalculations.Ride),
        Of<InterferenceCalculations.CommonModeInput>("common-mode", InterferenceCalculations.CommonModeOf),
        Of<InterferenceCalculations.LeakageInput>("leakage", InterferenceCalculations.Leakage),
        Of<InterferenceCalculations.CoupledInput>("coupled-voltage", InterferenceCalculations.Coupled),
        Of<SpecialSupplyCalculations.OnePhaseInput>("single-phase-options", SpecialSupplyCalculations.OnePhase),
        Of<SpecialSupplyCalculations.SeparationInput>("resistance-separation", SpecialSupplyCalculations.Separate),
        Of<SpecialSupplyCalculations.StepUpInput>("step-up-chain", SpecialSupplyCalculations.StepUp),
        Of<PvCalculations.StringInput>("pv-string", PvCalculations.String),
        Of<PvCalculations.YearInput>("pv-year", PvCalculations.Year),
        Of<SpecialSupplyCalculations.GeneratorInput>("generator-dip", SpecialSupplyCalculations.Generator),
        Of<CabinetCalculations.HeatInput>("enclosure-heat", CabinetCalculations.Heat),
        Of<CabinetCalculations.AirInput>("air-flow", CabinetCalculations.Air),
        Of<CabinetCalculations.ControlInput>("control-supply", CabinetCalculations.Control),
        Of<ScalingCalculation.Input>("scaling", ScalingCalculation.Run),
        Of<CommissioningCalculations.InsulationInput>("insulation-reading", CommissioningCalculations.Insulation),
        Of<CommissioningCalculations.RiseInput>("resistance-rise", CommissioningCalculations.Rise),
        Of<CommissioningCalculations.EndInput>("end-temperature", CommissioningCalculations.End),
        Of<CommissioningCalculations.IdentificationInput>("identification-window", CommissioningCalculations.Identification),
        Of<CommissioningCalculations.StatisticsInput>("harmonic-statistics", CommissioningCalculations.Statistics),
    }.ToDictionary(c => c.Name, StringComparer.Ordinal);

    /// <summary>Finds an engine.</summary>
    /// <exception cref="InputException">There is none of that name.</exception>
    public static Calculation Named(string name) => All.TryGetValue(name, out var found)
        ? found
        : throw new InputException(InputProblem.Of("/name", "Calculation", $"'{name}'", string.Join(", ", All.Keys)));

    /// <summary>JSON Schema of its input, with ranges and units.</summary>
    public string Schema() => schema().ToJsonString(ProjectJson.Options) + "\n";

    /// <summary>Runs it: an object in gives an object out, an array gives an array.</summary>
    /// <param name="utf8">The input as JSON.</param>
    /// <param name="stop">Asked before each input of an array and inside the long loops of the engines.</param>
    /// <exception cref="InputException">The input can't be accepted; in an array the pointer starts with the index.</exception>
    /// <exception cref="OperationCanceledException">It was stopped.</exception>
    public JsonNode Run(byte[] utf8, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(utf8);
        var first = Array.Find(utf8, b => b is not ((byte)' ' or (byte)'\n' or (byte)'\r' or (byte)'\t'));
        if (first != (byte)'[')
        {
            return Leaving.Run(() => run(utf8, string.Empty), stop);
        }

        var results = new JsonArray();
        var items = JsonReading.Read<JsonElement[]>(utf8, ProjectJson.Options);
        if (items.Length > MostInputs)
        {
            throw new InputException(InputProblem.Of(string.Empty, "Inputs", $"{items.Length}", $"up to {MostInputs} at a time"));
        }

        for (var i = 0; i < items.Length; i++)
        {
            stop.ThrowIfCancellationRequested();
            var input = JsonSerializer.SerializeToUtf8Bytes(items[i], ProjectJson.Options);
            results.Add(Leaving.Run(() => run(input, $"/{i}"), stop));
        }

        return results;
    }

    private static Calculation Of<T>(string name, Func<T, object> engine)
        where T : notnull => Of<T>(name, (input, _) => engine(input));

    private static Calculation Of<T>(string name, Func<T, InputRanges, object> engine)
        where T : notnull => new(name, () => ProjectSchema.Of(typeof(T)), (utf8, prefix) =>
    {
        var input = JsonReading.Read<T>(utf8, ProjectJson.Options, prefix);
        var ranges = new InputRanges(prefix).Within(input);
        ranges.Done();
        try
        {
            return JsonSerializer.SerializeToNode(engine(input, ranges), ProjectJson.Options)!;
        }
        catch (UnfitDataException problem)
        {
            throw new InputException(InputProblem.Of(prefix, "Input", problem.Message, "values that fit together"));
        }
    });
}
