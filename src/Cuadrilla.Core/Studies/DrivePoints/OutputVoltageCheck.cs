using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>converter.output-voltage</c>: volts that front end, filter and cable take lower the base speed.</summary>
internal static class OutputVoltageCheck
{
    private const string Id = "converter.output-voltage";
    private const string Title = "Voltage at the motor";
    // IEC 60038: low voltage ends at 1000 V.
    private const double LowVoltageV = 1000;
    private const double SupplyTolerancePu = 0.1;

    /// <param name="point">The drive point.</param>
    /// <param name="lowestPu">Lowest voltage of its bus, parts of nominal.</param>
    /// <param name="scenario">Where.</param>
    public static Check Of(DrivePointModel point, double lowestPu = 1, string scenario = "")
    {
        if (point.Starter is not null)
        {
            return Check.NotConcerned(Id, point.Id, BoardRow.Converter, Title, "the motor runs on the line");
        }

        if (point.Input.DrivePoint.StepUp is not null)
        {
            return Check.NotConcerned(Id, point.Id, BoardRow.Converter, Title,
                "behind a step-up transformer: long-cable.output-voltage judges it");
        }

        if (point.Input.DrivePoint.Sun is not null)
        {
            return Check.NotConcerned(Id, point.Id, BoardRow.Converter, Title, "fed from the sun: pv.motor-voltage judges it");
        }

        if (point is not DriveOnConverter model)
        {
            return Check.Lacking(Id, point.Id, BoardRow.Converter, Title, point.Missing());
        }

        var item = model.Converter.Item;
        var voltage = model.Voltage;
        var linked = model.Connected.LinkedVoltageV;
        var defaults = model.Input.Defaults;
        if (Math.Abs((voltage.SupplyV / item.RatedVoltageV) - 1) > SupplyTolerancePu)
        {
            return new Check(
                Id, model.Id, BoardRow.Converter, Title + ", supply of the converter", Verdict.Fails, voltage.SupplyV, item.RatedVoltageV,
                "V", LimitSense.AtMost, -100, string.Empty,
                voltage.SupplyV > LowVoltageV
                    ? "Relief: drives above 1000 V are not covered here. Hang the lineup on a low-voltage bus behind a transformer (690 "
                        + "V: to 1500 kW a unit, more with modules in parallel), or let the maker of a medium-voltage drive study it."
                    : "Relief: a converter made for this voltage.",
                new Reason("supply within ±10 % of the rated voltage",
                    $"{Text.N(voltage.SupplyV)} V against {Text.N(item.RatedVoltageV)} V", "Rated voltage of the catalogue item", []));
        }

        // Volts count as far as they are asked for: up to the fastest point, but not beyond what a converter without loss gives.
        var plate = model.Connected.Plate;
        var fastest = model.Load.Cycle is not null ? model.Load.RatedSpeedRpm : model.SteadyPoints().Max(p => p.SpeedRpm);
        var full = plate.RatedSpeedRpm * Math.Max(1, voltage.SupplyV / linked);
        var asked = Math.Min(Math.Abs(fastest), full);
        var missingV = voltage.SupplyV * (1 - Math.Min(1, lowestPu));
        var available = plate.RatedSpeedRpm * (voltage.AtMotorV - missingV) / linked;
        var short100 = asked > 0 ? Math.Max(0, 100 * (1 - (available / asked))) : 0;
        var filter = model.Filter;
        var khz = model.Converter.SwitchingKhz;
        if (filter is not null && (khz < filter.LeastSwitchingKhz || khz > filter.LargestSwitchingKhz))
        {
            return new Check(
                Id, model.Id, BoardRow.Converter, Title + ", filter", Verdict.Fails, khz, khz < filter.LeastSwitchingKhz
                    ? filter.LeastSwitchingKhz
                    : filter.LargestSwitchingKhz, "kHz",
                khz < filter.LeastSwitchingKhz ? LimitSense.AtLeast : LimitSense.AtMost, -100, string.Empty,
                "Relief: another switching frequency, another filter.",
                new Reason(
                    "switching frequency within the filter's range",
                    $"{Text.N(khz)} kHz, {filter.Name} from {Text.N(filter.LeastSwitchingKhz)} to {Text.N(filter.LargestSwitchingKhz)} kHz",
                    "Catalogue of filters", []));
        }

        return CheckWriter.Judged(
            Id, model.Id, BoardRow.Converter, Title, short100, defaults.LostVoltsPct, "%", LimitSense.AtMost, defaults.TightMarginPct,
            "Relief: a shorter or thicker cable, another filter, a front end that loses less, a motor wound for the lower voltage, a "
                + "lower speed.",
            new Reason(
                "U_motor = U_supply,lowest − front end − filter − cable; n_base = n_N·U_motor/U_linked; missing = 1 − n_base/n_asked",
                $"{Text.N(voltage.SupplyV - missingV)} − {Text.N(voltage.FrontV, 3)} − {Text.N(voltage.FilterV, 3)} − "
                    + $"{Text.N(voltage.CableV, 3)} = {Text.N(voltage.AtMotorV - missingV)} V at rated current; full flux to "
                    + $"{Text.N(available)} rpm, asked to {Text.N(asked)} rpm: {Text.N(short100, 3)} % missing (permitted "
                    + $"{Text.N(defaults.LostVoltsPct)} %)",
                "docs/methods/output-voltage.md; output never above the supply; beyond the base speed the flux is weakened and motor.peak "
                    + "and motor.continuous judge it",
                [
                    ReasonInput.Of("linked voltage", linked, "V", "motor plate"),
                    ReasonInput.Of("fastest steady point", fastest, "rpm", "load"),
                    ReasonInput.Of("motor cable", 1e3 * model.CableOhm.Magnitude, "mΩ", "motor cable"),
                    ReasonInput.Of("lowest voltage of the bus", 100 * lowestPu, "%", "supply.voltage"),
                ]),
            scenario);
    }
}
