import type { Specification } from "../../api/client";

// Voltages of systems whose motors are rated lower (NEMA MG 1, ANSI C84.1).
const motorVoltages: Readonly<Record<number, number>> = { 208: 200, 240: 230, 480: 460, 600: 575 };

/** What a plate probably says in a plant, to be overwritten: voltage of the first lineup's bus, frequency of the source, four poles. */
export function proposedPlate({ source, distribution, lineups }: Specification): Readonly<Record<string, string>> {
  const volts = distribution.buses.find((b) => b.id === lineups[0]?.busId)?.nominalVoltageV;
  return {
    ratedVoltageV: volts === undefined || volts > 1000 ? "" : String(motorVoltages[volts] ?? volts),
    ratedFrequencyHz: String(source.frequencyHz),
    poles: "4",
  };
}
