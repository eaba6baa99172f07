import type { Reading, SiteStep } from "../../../api/client";

/** A reading taken for a quantity: the server keeps its value under the number. */
export interface Taken {
  readonly number: number;
  readonly value: number;
  readonly instrument: string;
  readonly simulated: boolean;
}

/** An order of a step in a few words. */
export function orderWord(order: string, frequencyHz?: number | null): string {
  const at = frequencyHz === null || frequencyHz === undefined ? "" : ` at ${frequencyHz} Hz`;
  return (
    {
      start: `Start${at}`,
      stop: "Stop",
      coast: "Output off",
      couple: "Couple the machine",
      uncouple: "Uncouple the machine",
      "identify-standing": "Identify at standstill",
      "identify-turning": "Identify turning",
      "two-ramps": "Two ramps",
      "time-brake": "Time the brake",
      reset: "Acknowledge",
    }[order] ?? order
  );
}

/** Quantities that one press may fill: those still empty whose reading no other quantity of the step shares. */
export function takable(step: SiteStep, filled: (id: string) => boolean): readonly string[] {
  const names = step.quantities.map((q) => q.reading);
  return step.quantities
    .filter((q) => q.reading !== null && !filled(q.id) && names.filter((n) => n === q.reading).length === 1)
    .map((q) => q.id);
}

/** Age as one says it. */
export const age = (seconds: number): string =>
  seconds < 1.5 ? "now" : seconds < 120 ? `${Math.round(seconds)} s ago` : `${Math.round(seconds / 60)} min ago`;

/** What stands beside a reading: its age, or why it can't be taken. */
export const about = (reading: Reading): string =>
  [reading.good ? age(reading.ageS) : reading.why, reading.simulated ? "simulated" : ""].filter(Boolean).join(", ");

/** What is taken, without one quantity: it is typed instead. */
export const without = (taken: Readonly<Record<string, Taken>>, id: string): Readonly<Record<string, Taken>> =>
  Object.fromEntries(Object.entries(taken).filter(([key]) => key !== id));
