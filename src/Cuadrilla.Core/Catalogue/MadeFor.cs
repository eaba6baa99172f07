using System.Runtime.CompilerServices;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Catalogue;

/// <summary>
/// What of the catalogue is made for a supply. Motors: a connection within −13 and +11 % of its voltage and, with a cage, its frequency,
/// of the series whose voltage is nearest; where no cage motor has both, the frequency is let go, since a converter gives any; where none
/// has the voltage, all stay and are judged. Converters: those whose rated voltage is the nearest in the catalogue, and those for one
/// phase. What a project brings of its own always stays.
/// </summary>
public static class MadeFor
{
    private const double LeastPu = 0.87;
    private const double LargestPu = 1.11;
    private const double SameDistance = 0.02;
    private static readonly ConditionalWeakTable<EngineeringData, Dictionary<(double, double), IReadOnlyList<MotorItem>>> KnownMotors = [];
    private static readonly ConditionalWeakTable<EngineeringData, Dictionary<double, IReadOnlyList<ConverterItem>>> KnownConverters = [];
    private static readonly ConditionalWeakTable<EngineeringData, ILookup<double, MotorItem>> KnownPowers = [];

    /// <summary>Motors of one rated power, in the order of the catalogue.</summary>
    /// <param name="data">Catalogue.</param>
    /// <param name="ratedPowerW">Rated power, W.</param>
    public static IEnumerable<MotorItem> Power(EngineeringData data, double ratedPowerW) =>
        KnownPowers.GetValue(data, d => d.Motors.Values.ToLookup(m => m.Plate.RatedPowerW))[ratedPowerW];

    /// <summary>Motors for a supply.</summary>
    /// <param name="data">Catalogue.</param>
    /// <param name="lineV">Nominal voltage between lines, V.</param>
    /// <param name="frequencyHz">Its frequency, Hz.</param>
    public static IReadOnlyList<MotorItem> Motors(EngineeringData data, double lineV, double frequencyHz)
    {
        ArgumentNullException.ThrowIfNull(data);
        var known = KnownMotors.GetOrCreateValue(data);
        lock (known)
        {
            return known.TryGetValue((lineV, frequencyHz), out var found)
                ? found
                : known[(lineV, frequencyHz)] = Find(data, lineV, frequencyHz);
        }
    }

    /// <summary>Converters for a supply.</summary>
    /// <param name="data">Catalogue.</param>
    /// <param name="lineV">Nominal voltage between lines, V.</param>
    public static IReadOnlyList<ConverterItem> Converters(EngineeringData data, double lineV)
    {
        ArgumentNullException.ThrowIfNull(data);
        var known = KnownConverters.GetOrCreateValue(data);
        lock (known)
        {
            return known.TryGetValue(lineV, out var found) ? found : known[lineV] = Find(data, lineV);
        }
    }

    /// <summary>True where two rated voltages are one, as 380, 400 and 415 V are.</summary>
    public static bool SameVoltage(double oneV, double otherV) => Math.Abs(Math.Log(oneV / otherV)) < 0.13;

    private static List<MotorItem> Find(EngineeringData data, double lineV, double frequencyHz)
    {
        var volts = data.Motors.Values.Where(m => m.OwnName.Length > 0 || Connects(m.Plate, lineV)).ToList();
        bool AtFrequency(MotorItem m) => m.OwnName.Length > 0 || m.Technology != MotorTechnology.CageInduction
            || Math.Abs(m.Plate.RatedFrequencyHz - frequencyHz) < 1;
        var cages = volts.Where(m => IsGenericCage(m) && AtFrequency(m)).ToList();
        if (cages.Count > 0)
        {
            // Of series whose voltages overlap the nearest is meant: at 480 V those of 460, not of 440 V.
            var nearest = cages.Min(m => Distance(m.Plate, lineV));
            var series = cages.Where(m => Distance(m.Plate, lineV) <= nearest + SameDistance).Select(m => m.Series)
                .ToHashSet(StringComparer.Ordinal);
            return [.. volts.Where(m => AtFrequency(m)
                && (m.OwnName.Length > 0 || m.Technology == MotorTechnology.DcSeparatelyExcited || series.Contains(m.Series)))];
        }

        return volts.Exists(IsGenericCage) ? volts : [.. data.Motors.Values];
    }

    private static bool IsGenericCage(MotorItem m) => m is { OwnName.Length: 0, Technology: MotorTechnology.CageInduction };

    // DC motors go by the voltage of their converter, which is judged with them.
    private static bool Connects(MotorPlate plate, double lineV) =>
        plate.Technology == MotorTechnology.DcSeparatelyExcited || Within(plate.RatedVoltageV / lineV)
        || (plate.DeltaVoltageV > 0 && (Within(plate.DeltaVoltageV / lineV) || Within(Math.Sqrt(3) * plate.DeltaVoltageV / lineV)));

    private static double Distance(MotorPlate plate, double lineV) =>
        new[] { plate.RatedVoltageV, plate.DeltaVoltageV, Math.Sqrt(3) * plate.DeltaVoltageV }.Where(v => v > 0)
            .Min(v => Math.Abs(Math.Log(v / lineV)));

    private static bool Within(double pu) => pu is >= LeastPu and <= LargestPu;

    private static List<ConverterItem> Find(EngineeringData data, double lineV)
    {
        var nearestV = data.Converters.Values.Where(IsGenericForThree).Select(c => c.RatedVoltageV).Distinct()
            .MinBy(v => Math.Abs(Math.Log(v / lineV)));
        return [.. data.Converters.Values.Where(c => !IsGenericForThree(c) || Math.Abs(c.RatedVoltageV - nearestV) < 1)];
    }

    private static bool IsGenericForThree(ConverterItem c) => c.OwnName.Length == 0 && c.FrontEnd is not FrontEnd.SinglePhase;
}
