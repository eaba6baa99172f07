using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Commands;

/// <summary>Takes the smallest contactor of the generic series that switches the steps of a capacitor bank (AC-6b) with its solved
/// current.</summary>
/// <param name="BankId">Key of the bank.</param>
public sealed record SizeBankContactor(string BankId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Distribution.CapacitorBanks.FirstOrDefault(b => b.Id == BankId) is not { } bank)
        {
            return CommandOutcome.Not("bankId", "There is no such capacitor bank.");
        }

        var currents = studies.Run(plant).Scenarios.SelectMany(s => s.Banks).Where(b => b.BankId == bank.Id).Select(b => b.CurrentPu)
            .ToList();
        if (currents.Count == 0)
        {
            return CommandOutcome.Not("bankId", $"{bank.Name}: its current is not solved in any scenario.");
        }

        var askedA = CapacitorChecks.AskedA(bank, plant, currents.Max());
        if (studies.Data.Switchgear.CapacitorContactorA.Where(a => a >= askedA).Select(a => (double?)a).FirstOrDefault() is not { } ratedA)
        {
            return CommandOutcome.Not("bankId",
                $"{bank.Name}: no contactor of the series carries {Text.N(askedA)} A in AC-6b; smaller steps.");
        }

        var banks = plant.Distribution.CapacitorBanks.Select(b => b.Id == bank.Id ? b with { ContactorA = ratedA } : b);
        return new CommandOutcome.Done(
            plant with { Distribution = plant.Distribution with { CapacitorBanks = [.. banks] } },
            CommandOutcome.Shortened($"{bank.Name}: contactor {Text.N(ratedA)} A, AC-6b"), []);
    }
}
