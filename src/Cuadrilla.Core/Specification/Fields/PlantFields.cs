using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Network;
using static Cuadrilla.Core.Specification.Fields.FieldSet;

namespace Cuadrilla.Core.Specification.Fields;

/// <summary>Entries of the plant as a whole: site, tariff, scenarios, project values.</summary>
internal static class PlantFields
{
    public static IReadOnlyList<FieldSet> All { get; } =
    [
        For<PlantSpecification>(Words(nameof(PlantSpecification.Name), "Name of the plant", 1, 120,
            "What people call the plant; it stands on every sheet.")),
        For<Conventions>(
            Choice(nameof(Conventions.Units), "Units", "Units in which figures are shown and entries are read where none is typed.",
                (UnitSystem.Si, "SI"), (UnitSystem.UsCustomary, "US customary")),
            Choice(nameof(Conventions.Installation), "Installation code", "Code by which the plant is installed.",
                (InstallationCode.Iec60364, "IEC 60364"), (InstallationCode.Nfpa70, "NFPA 70 (US)")),
            Choice(nameof(Conventions.Environment), "Electromagnetic environment", "What its drives may emit (IEC 61800-3).",
                (EmcEnvironment.NotStated, "not stated"), (EmcEnvironment.First, "first: public low-voltage system"),
                (EmcEnvironment.Second, "second: own transformer, industry")),
            Choice(nameof(Conventions.Separation), "Separation of cables", "Rules by which cables of different classes are kept apart.",
                (SeparationRules.House, "distances of the house"), (SeparationRules.Machine, "screens and metal, as in machines"))),
        For<Site>(
            Number(nameof(Site.AltitudeM), "Altitude", -400, 5000, "m", "Above sea level; thin air cools and insulates less."),
            Number(nameof(Site.AmbientMaxC), "Highest ambient temperature", -40, 60, "°C",
                "Hottest air at the motors and outside the cabinets."),
            Number(nameof(Site.CabinetAirRiseK), "Cabinet temperature rise", 0, 30, "K",
                "By how much the air at the converters is warmer than outside.")),
        For<Tariff>(
            Words(nameof(Tariff.Currency), "Currency", 1, 4, "Code or sign with which money is shown."),
            Number(nameof(Tariff.EnergyPerKwh), "Energy, per kWh", 0, 100, "per kWh", "Price of active energy."),
            Number(nameof(Tariff.DemandPerKwYear), "Demand charge, per kW and year", 0, 100_000, "per kW and year",
                "Price of the highest demand."),
            Number(nameof(Tariff.ReactivePerKvarh), "Reactive energy, per kvarh", 0, 10, "per kvarh",
                "Price of reactive energy beyond the free power factor; 0 where none is billed."),
            Number(nameof(Tariff.FreePowerFactor), "Free down to power factor", 0.5, 1, string.Empty,
                "Displacement power factor above which reactive energy costs nothing."),
            Number(nameof(Tariff.Co2KgPerKwh), "CO₂, kg per kWh", 0, 5, "kg/kWh", "Emission of a kilowatt hour from this supply."),
            Number(nameof(Tariff.CurrencyPerIndexPoint), "Currency per price-index point", 0, 1e6, "per point",
                "What a point of the catalogue's price index costs."),
            Number(nameof(Tariff.Years), "Years compared", 1, 40, "a", "Lifetime over which costs are compared."),
            Number(nameof(Tariff.DiscountRatePct), "Discount rate", 0, 30, "%", "Yearly rate at which later money counts less.")),
        For<Scenario>(
            Words(nameof(Scenario.Id), "Scenario key", 1, 60, "Stable key of the scenario."),
            Words(nameof(Scenario.Name), "Scenario name", 1, 60, "What people call this way of running."),
            Switch(nameof(Scenario.OnStandby), "On the standby generator", "Whether the standby generator feeds instead of the mains.")),
        For<DrivePointState>(
            Number(nameof(DrivePointState.LevelPu), "Level", 0, 1.2, "of rated", "Flow, speed or rate of cycles in this scenario.",
                above: true, shown: "%"),
            Number(nameof(DrivePointState.LoadPu), "Load", 0, 1.5, "of the load's torque",
                "Torque in this scenario over that of the load's curve.", shown: "%"),
            Switch(nameof(DrivePointState.Running), "Running", "Whether it runs in this scenario.")),
        For<LoadState>(Number(nameof(LoadState.LevelPu), "Level", 0, 2, "of full", "How much of the load is on in this scenario.",
            shown: "%")),
        For<DefaultOverride>(Words(nameof(DefaultOverride.Reason), "Reason", 0, 300, "Why the project's value replaces the default.")),
    ];
}
