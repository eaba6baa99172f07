using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;

namespace Cuadrilla.Core.Studies.Protection;

/// <summary>Proposes device and sections of a drive point together: the sections for the device that is chosen, or else for the proposed
/// one.</summary>
internal static class PointProposals
{
    public static PointProposal Of(FeederStudy feeder, DeviceKind kind, bool keepsDevice)
    {
        List<string> missing = [.. feeder.FeederMissing, .. feeder.MotorMissing.Except(feeder.FeederMissing)];
        var device = keepsDevice && feeder.Chosen is not ProtectiveDevice.NotChosen ? feeder.Chosen : DeviceProposal.Of(feeder, kind);
        if (feeder.HasFeeder && device is null && missing.Count == 0)
        {
            missing.Add("no device of the generic series carries load and start and is listed for the converter");
        }

        var gates = device is null ? null : feeder.GatesOf(device);
        var feederSize = feeder.HasFeeder && feeder.Point.Feeder is Feeder.ByCable cable
            ? Smallest(feeder, cable.Installation, laid => feeder.FeederTask(gates, laid), "feeder", missing)
            : null;
        var motorSize = Smallest(feeder, feeder.Point.Cable.Installation, laid => feeder.MotorTask(gates, laid), "motor cable", missing);
        var contactor = feeder.HasFeeder && feeder.IsOnLine && ContactorCheck.Asked(feeder) is { } asked
            ? feeder.Model.Starter!.Choice is ConverterChoice.SoftStarter
                ? feeder.Supply.Data.Switchgear.ForAc1(asked.CurrentA, feeder.Bus.NominalVoltageV)?.Ac1A
                : feeder.Supply.Data.Switchgear.ForAc3(asked.CurrentA, feeder.Bus.NominalVoltageV)?.Ac3A
            : null;
        return new PointProposal(
            feederSize?.SectionMm2, feederSize is { } f ? GoverningWords.Of(f.Governs) : string.Empty, motorSize?.SectionMm2,
            motorSize is { } m ? GoverningWords.Of(m.Governs) : string.Empty,
            device, contactor, [.. missing.Distinct(StringComparer.Ordinal)])
        {
            IsolatorA = feeder.HasFeeder ? ContactorCheck.IsolatorA(feeder, device) : null,
            BypassA = feeder is { HasFeeder: true, Starter.Item: not null, FeederCurrent: { } current }
                ? feeder.Supply.Data.Switchgear.ForAc1(current.CurrentA, feeder.Bus.NominalVoltageV)?.Ac1A
                : null,
        };
    }

    /// <summary>Of a supply module: device, section of its feeder, fuses of its inverters.</summary>
    public static ModuleProposal Of(ModuleFeederStudy feeder, IEnumerable<(Network.Scenario Scenario, CommonBusResult Run)> runs)
    {
        List<string> missing = [.. feeder.FeederMissing];
        if (feeder.Proposed is null && missing.Count == 0)
        {
            missing.Add("no device of the generic series carries the load and is listed for the supply module");
        }

        var gates = feeder.Proposed is { } device ? feeder.GatesOf(device) : null;
        var size = feeder.Feeder is Feeder.ByCable cable
            ? Smallest(feeder, cable.Installation, laid => feeder.FeederTask(gates, laid), feeder.FeederName, missing)
            : null;
        var powers = feeder.Model.MembersW(runs);
        var fuses = feeder.Model.Members.Where(m => powers.ContainsKey(m.Id))
            .Select(m => (m.Id, Size: DcFuseChecks.ProposedA(m, powers[m.Id].PeakW / feeder.Model.LowestV, feeder.Supply)))
            .Where(f => f.Size is not null)
            .ToDictionary(f => f.Id, f => f.Size!.Value, StringComparer.Ordinal);
        return new ModuleProposal(
            size?.SectionMm2, size is { } f ? GoverningWords.Of(f.Governs) : string.Empty, feeder.Proposed, fuses,
            DcFuseChecks.SeriesV(feeder.Model.Supply(false).TripV),
            [.. missing.Distinct(StringComparer.Ordinal)]);
    }

    private static (double SectionMm2, CableRule Governs)? Smallest(
        FeedStudy feeder, Cables.CableInstallation? own, Func<Cables.CableInstallation, CableTask?> task, string name, List<string> missing)
    {
        if (feeder.Laid(own) is not { } laid)
        {
            missing.Add($"{name}: {CableChecks.NotLaid}");
            return null;
        }

        if (task(laid) is not { } asked)
        {
            missing.Add($"length of the {name}");
            return null;
        }

        var size = feeder.Rules.Smallest(asked);
        if (size is null)
        {
            missing.Add($"{name}: no standard section holds; lay cables in parallel");
        }

        return size;
    }
}
