using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Documents.Projects;

/// <summary>
/// How a specification is written as JSON. Core carries no attributes: the kinds of each closed hierarchy and the treatment
/// of unknown numbers are stated here, once, for file, API and store alike.
/// </summary>
public static class ProjectJson
{
    private static readonly string[] ComputedIn = ["Cuadrilla.Core.Studies", "Cuadrilla.Core.Checks", "Cuadrilla.Documents.Assessments",
        "Cuadrilla.Documents.Bench", "Cuadrilla.Web"];

    private static readonly Dictionary<Type, (Type Case, string Kind)[]> Hierarchies = new()
    {
        [typeof(SourceStrength)] =
        [
            (typeof(SourceStrength.NotStated), "not-stated"),
            (typeof(SourceStrength.AssumedInfinite), "assumed-infinite"),
            (typeof(SourceStrength.FaultLevel), "fault-level"),
            (typeof(SourceStrength.Generator), "generator"),
        ],
        [typeof(BusLink)] = [(typeof(BusLink.Coupler), "coupler"), (typeof(BusLink.Cable), "cable")],
        [typeof(BusLoad)] =
        [
            (typeof(BusLoad.Linear), "linear"),
            (typeof(BusLoad.LineMotor), "line-motor"),
            (typeof(BusLoad.SinglePhaseGroup), "single-phase-group"),
        ],
        [typeof(Feeder)] = [(typeof(Feeder.OnBusbar), "on-busbar"), (typeof(Feeder.ByCable), "by-cable")],
        [typeof(ProtectiveDevice)] =
        [
            (typeof(ProtectiveDevice.NotChosen), "not-chosen"),
            (typeof(ProtectiveDevice.Fuse), "fuse"),
            (typeof(ProtectiveDevice.SemiconductorFuse), "semiconductor-fuse"),
            (typeof(ProtectiveDevice.CircuitBreaker), "circuit-breaker"),
            (typeof(ProtectiveDevice.MotorBreaker), "motor-breaker"),
        ],
        [typeof(Braking)] =
        [
            (typeof(Braking.Nothing), "nothing"),
            (typeof(Braking.Coast), "coast"),
            (typeof(Braking.DcInjection), "dc-injection"),
            (typeof(Braking.Flux), "flux"),
            (typeof(Braking.Resistor), "resistor"),
            (typeof(Braking.ToLine), "to-line"),
        ],
        [typeof(HoldingBrake)] = [(typeof(HoldingBrake.None), "none"), (typeof(HoldingBrake.SpringApplied), "spring-applied")],
        [typeof(ServoControl)] = [(typeof(ServoControl.None), "none"), (typeof(ServoControl.Modular), "modular")],
        [typeof(Arrangement)] = [(typeof(MotorGroup), "motor-group"), (typeof(SharedShaft), "shared-shaft"),
            (typeof(RatioFollower), "ratio-follower")],
        [typeof(SharingMethod)] =
        [
            (typeof(SharingMethod.Droop), "droop"),
            (typeof(SharingMethod.TorqueFollower), "torque-follower"),
            (typeof(SharingMethod.SpeedFollower), "speed-follower"),
            (typeof(SharingMethod.SpeedTrim), "speed-trim"),
        ],
        [typeof(ShaftCoupling)] = [(typeof(ShaftCoupling.Rigid), "rigid"), (typeof(ShaftCoupling.Elastic), "elastic")],
        [typeof(ConverterChoice)] =
        [
            (typeof(ConverterChoice.NotChosen), "not-chosen"),
            (typeof(ConverterChoice.FromCatalogue), "catalogue"),
            (typeof(ConverterChoice.AcrossTheLine), "across-the-line"),
            (typeof(ConverterChoice.StarDelta), "star-delta"),
            (typeof(ConverterChoice.SoftStarter), "soft-starter"),
            (typeof(ConverterChoice.OfGroup), "of-group"),
        ],
        [typeof(PlantCommand)] =
        [
            (typeof(AddDrivePoint), "add-drive-point"),
            (typeof(CopyDrivePoint), "copy-drive-point"),
            (typeof(RemoveDrivePoints), "remove-drive-points"),
            (typeof(MoveDrivePoints), "move-drive-points"),
            (typeof(AddLike), "add-like"),
            (typeof(AcceptUsual), "accept-usual"),
            (typeof(ConfirmAssumed), "confirm-assumed"),
            (typeof(AddLineup), "add-lineup"),
            (typeof(RemoveLineup), "remove-lineup"),
            (typeof(JoinDcBus), "join-dc-bus"),
            (typeof(DissolveDcBus), "dissolve-dc-bus"),
            (typeof(CompareSingleDrives), "compare-single-drives"),
            (typeof(JoinGroup), "join-group"),
            (typeof(JoinShaft), "join-shaft"),
            (typeof(SplitOnShaft), "split-on-shaft"),
            (typeof(JoinFollower), "join-follower"),
            (typeof(DissolveArrangement), "dissolve-arrangement"),
            (typeof(ShareBy), "share-by"),
            (typeof(SetWayAside), "set-way-aside"),
            (typeof(PutOnBoard), "put-on-board"),
            (typeof(AdoptWay), "adopt-way"),
            (typeof(DropWay), "drop-way"),
            (typeof(FeedBy), "feed-by"),
            (typeof(BrakeBy), "brake-by"),
            (typeof(UseBrakePreset), "use-brake-preset"),
            (typeof(AddHoldingBrake), "add-holding-brake"),
            (typeof(SizeResistor), "size-resistor"),
            (typeof(UseTransformerSize), "use-transformer-size"),
            (typeof(ChooseMotor), "choose-motor"),
            (typeof(ChooseConverter), "choose-converter"),
            (typeof(SizeBest), "size-best"),
            (typeof(SizeProtection), "size-protection"),
            (typeof(SizeBankContactor), "size-bank-contactor"),
            (typeof(FeedFromSun), "feed-from-sun"),
            (typeof(ChooseString), "choose-string"),
            (typeof(TakeSignals), "take-signals"),
            (typeof(KeepChannels), "keep-channels"),
            (typeof(UseStepUp), "use-step-up"),
            (typeof(SizeStepUp), "size-step-up"),
            (typeof(ShedOnGenerator), "shed-on-generator"),
            (typeof(FeedFromOnePhase), "feed-from-one-phase"),
            (typeof(ChooseOnePhaseMeans), "choose-one-phase-means"),
            (typeof(SizeModuleProtection), "size-module-protection"),
            (typeof(TakeDevice), "take-device"),
            (typeof(CureClash), "cure-clash"),
            (typeof(AddElement), "add-element"),
            (typeof(Mitigate), "mitigate"),
            (typeof(TakeDriveList), "take-drive-list"),
            (typeof(UseUnits), "use-units"),
            (typeof(UseRegion), "use-region"),
        ],
        [typeof(MotorChoice)] = [(typeof(MotorChoice.NotChosen), "not-chosen"), (typeof(MotorChoice.FromCatalogue), "catalogue")],
        [typeof(ParallelPath)] = [(typeof(ParallelPath.Own), "own"), (typeof(ParallelPath.Common), "common")],
        [typeof(Load)] =
        [
            (typeof(UnspecifiedLoad), "unspecified"),
            (typeof(FanLoad), "fan"),
            (typeof(PumpLoad), "pump"),
            (typeof(ConstantTorqueLoad), "constant-torque"),
            (typeof(HighInertiaLoad), "high-inertia"),
            (typeof(ConveyorLoad), "conveyor"),
            (typeof(RollerGroupLoad), "roller-group"),
            (typeof(DosingPumpLoad), "dosing-pump"),
            (typeof(WinderLoad), "winder"),
            (typeof(HoistLoad), "hoist"),
            (typeof(ServoAxisLoad), "servo-axis"),
            (typeof(ProfileLoad), "profile"),
        ],
    };

    /// <summary>Compact form, for the store and the API.</summary>
    public static JsonSerializerOptions Options { get; } = Create(indented: false);

    /// <summary>Indented form, for files.</summary>
    public static JsonSerializerOptions FileOptions { get; } = Create(indented: true);

    /// <summary>Kinds of a closed hierarchy by the word that files use; empty for any other record.</summary>
    public static IReadOnlyDictionary<string, Type> KindsOf(Type type) =>
        Hierarchies.TryGetValue(type, out var cases) ? cases.ToDictionary(c => c.Kind, c => c.Case, StringComparer.Ordinal) : [];

    /// <summary>Applies the same rules to options made elsewhere.</summary>
    public static void Configure(JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(options);
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.AllowOutOfOrderMetadataProperties = true;
        options.AllowDuplicateProperties = false;
        options.IgnoreReadOnlyProperties = true;
        options.MaxDepth = 32;
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        options.TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { AddKinds, SixDigits, FiniteOnly, NoHoles, NoNulls } };
        options.Converters.Add(new GivenConverter());
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
    }

    private static JsonSerializerOptions Create(bool indented)
    {
        var options = new JsonSerializerOptions { WriteIndented = indented };
        Configure(options);
        options.MakeReadOnly();
        return options;
    }

    private static void AddKinds(JsonTypeInfo info)
    {
        if (Hierarchies.TryGetValue(info.Type, out var cases))
        {
            info.PolymorphismOptions = new JsonPolymorphismOptions { TypeDiscriminatorPropertyName = "kind" };
            foreach (var (type, kind) in cases)
            {
                info.PolymorphismOptions.DerivedTypes.Add(new JsonDerivedType(type, kind));
            }
        }
    }

    // What is computed leaves with six digits; what was entered as it was entered.
    private static void SixDigits(JsonTypeInfo info)
    {
        if (!Array.Exists(ComputedIn, n => info.Type.Namespace?.StartsWith(n, StringComparison.Ordinal) == true))
        {
            return;
        }

        foreach (var property in info.Properties.Where(p => p.Get is not null))
        {
            var get = property.Get!;
            property.Get = property.PropertyType switch
            {
                var t when t == typeof(double) || t == typeof(double?) => of => get(of) is double number ? Digits.Kept(number) : null,
                var t when t == typeof(IReadOnlyList<double>) || t == typeof(double[]) => of =>
                    get(of) is IEnumerable<double> numbers ? numbers.Select(Digits.Kept).ToArray() : null,
                _ => get,
            };
        }
    }

    // JSON has no word for what is no finite number. Nothing should compute one; should it happen all the same, that one field is left out
    // and the rest arrives.
    private static void FiniteOnly(JsonTypeInfo info)
    {
        // What is computed on reading is not written at all.
        foreach (var property in info.Properties.Where(p => p.Set is not null))
        {
            if (property.PropertyType == typeof(double) || property.PropertyType == typeof(double?))
            {
                property.ShouldSerialize = (_, value) => value is not double number || double.IsFinite(number);
            }
            else if (typeof(IEnumerable<double>).IsAssignableFrom(property.PropertyType))
            {
                property.ShouldSerialize = (_, value) => value is not IEnumerable<double> numbers || numbers.All(double.IsFinite);
            }
        }
    }

    // A list of records has no place for nothing: it would be found by whoever walks it, much later.
    private static void NoHoles(JsonTypeInfo info)
    {
        if (info.Kind is JsonTypeInfoKind.Enumerable or JsonTypeInfoKind.Dictionary && info.ElementType is { IsValueType: false })
        {
            info.OnDeserialized = list =>
            {
                var items = list is System.Collections.IDictionary { Values: var values } ? values : (System.Collections.IEnumerable)list;
                foreach (var item in items)
                {
                    if (item is null)
                    {
                        throw new JsonException();
                    }
                }
            };
        }
    }

    // Annotations alone are not asked for what a record of few parameters has beside them.
    private static void NoNulls(JsonTypeInfo info)
    {
        foreach (var property in info.Properties.Where(p => p is { IsSetNullable: false, PropertyType.IsValueType: false, Set: not null }))
        {
            var set = property.Set!;
            property.Set = (of, value) => set(of, value ?? throw new JsonException());
        }
    }

    private sealed class GivenConverter : JsonConverter<Given>
    {
        public override bool HandleNull => true;

        public override Given Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.TokenType switch
            {
                JsonTokenType.Null => Given.Unknown,
                JsonTokenType.Number => Given.Of(reader.GetDouble()),
                _ => throw new JsonException(),
            };

        public override void Write(Utf8JsonWriter writer, Given value, JsonSerializerOptions options)
        {
            if (value.IsKnown && double.IsFinite(value.Value))
            {
                writer.WriteNumberValue(value.Value);
            }
            else
            {
                writer.WriteNullValue();
            }
        }
    }
}
