import type { Lineup, Specification } from "../../api/client";
import { fields } from "../../fields/table";

/** What is entered of a lineup to which only one phase is available. */
export type OnePhase = NonNullable<Lineup["onePhase"]>;
export type Machine = NonNullable<OnePhase["machines"]>[number];
export type Means = NonNullable<OnePhase["means"]>;

/** Lineups on one phase, in their order. */
export const onePhaseLineups = (s: Specification): readonly Lineup[] => s.lineups.filter((l) => l.onePhase);

/** Lineups that could be: without a common DC bus. */
export const couldBeOnePhase = (s: Specification): readonly Lineup[] =>
  s.lineups.filter((l) => !l.onePhase && l.dcBuses.length === 0);

/** A lineup's entries changed; what a change does not state stays. */
export const withOnePhase =
  (lineupId: string, change: (one: OnePhase) => OnePhase) =>
  (s: Specification): Specification => ({
    ...s,
    lineups: s.lineups.map((l) => (l.id === lineupId && l.onePhase ? { ...l, onePhase: change(l.onePhase) } : l)),
  });

/** A machine more, with a key that no other has. */
export function withMachine(one: OnePhase): OnePhase {
  const machines = one.machines ?? [];
  const used = new Set(machines.map((m) => m.id));
  let k = machines.length + 1;
  while (used.has(`machine-${k}`)) {
    k += 1;
  }
  return { ...one, machines: [...machines, { id: `machine-${k}`, name: `Machine ${k}` }] };
}

/** One machine changed. */
export const withChanged = (one: OnePhase, id: string, part: Partial<Machine>): OnePhase => ({
  ...one,
  machines: (one.machines ?? []).map((m) => (m.id === id ? { ...m, ...part } : m)),
});

/** One machine less. */
export const without = (one: OnePhase, id: string): OnePhase => ({
  ...one,
  machines: (one.machines ?? []).filter((m) => m.id !== id),
});

/** Speed from the pulses of a sensor: n = 60·f/z; undefined while either is no number above zero. */
export const rpmOf = (hertz: number, pulses: number): number | undefined =>
  hertz >= 0 && pulses > 0 ? (60 * hertz) / pulses : undefined;

/** What the ways are called. */
export const meansWords: Readonly<Record<Means, string>> = {
  "not-chosen": "not chosen",
  converters: "a converter each",
  rotary: "rotary converter",
  static: "static converter",
};

/** Columns of the list of machines. */
export const machineColumns = [
  { key: "name", head: "machine", width: "w-28" },
  { key: "ratedKw", head: "motor", width: "w-16" },
  { key: "ratedRpm", head: "speed", width: "w-16" },
  { key: "loadPct", head: "load", width: "w-14" },
  { key: "hoursPerYear", head: "a year", width: "w-16" },
  { key: "heavyStart", head: "heavy start", width: "w-8" },
  { key: "speedControl", head: "speed wanted", width: "w-8" },
  { key: "efficiencyPct", head: "η", width: "w-14" },
  { key: "powerFactor", head: "cos φ", width: "w-14" },
  { key: "motorV", head: "lowest link", width: "w-14" },
  { key: "pulsesPerTurn", head: "pulses a turn", width: "w-14" },
] as const satisfies readonly { key: keyof typeof fields.OnePhaseMachine; head: string; width: string }[];

/** Entries in the order of the form. */
export const onePhaseEntries = {
  supply: ["toNeutral", "supplyA", "oneAtATime", "simultaneityPct"],
  rotary: ["ratedKva", "onHoursPerYear", "deviationPct", "idlePct", "idleCurrentPct", "reactancePct", "heavyFactor"],
  costs: ["converterPerKw", "rotaryPerKva", "staticPerKw", "years", "inputPowerFactor"],
} as const;
