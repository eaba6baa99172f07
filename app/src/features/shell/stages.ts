import type { Check, Verdict } from "../../api/client";
import { once } from "../../lib/once";
import { isWorse } from "../../lib/verdict";
import type { Row } from "../board/selection";

/** What stands in the middle. */
export type View =
  | "board"
  | "plant"
  | "list"
  | "field"
  | "harmonics"
  | "interference"
  | "cabinets"
  | "signals"
  | "supplies"
  | "energy"
  | "schedules"
  | "commissioning"
  | "sheets"
  | "history";

/** A stage of the work: either a page of its own or a band of the board. */
export interface Stage {
  /** A digit jumps there outside cells that search, with Alt everywhere; a letter only with Alt. */
  readonly key: string;
  readonly name: string;
  readonly view: View;
  readonly row?: Row;
  readonly owns: (check: Pick<Check, "id">) => boolean;
  /** Below the rule: what is made of the work rather than a stage of it. */
  readonly isLower?: boolean;
}

const familyOf = (id: string) => id.slice(0, id.indexOf("."));
const begins = (...families: readonly string[]) => {
  const own = new Set(families);
  return (check: Pick<Check, "id">) => own.has(familyOf(check.id));
};
const nothing = () => false;

/** Stages in the order of the work. */
export const stages: readonly Stage[] = [
  { key: "1", name: "Plant", view: "plant", owns: begins("supply") },
  { key: "2", name: "Loads", view: "board", row: "load", owns: nothing },
  { key: "3", name: "Motors", view: "board", row: "motor", owns: begins("motor") },
  {
    key: "4",
    name: "Converters",
    view: "board",
    row: "converter",
    owns: begins("converter", "starter", "lineup", "group", "share", "brake", "follower", "parallel"),
  },
  { key: "5", name: "Cables", view: "board", row: "cable", owns: begins("cable", "protection", "contactor") },
  { key: "6", name: "Harmonics", view: "harmonics", owns: begins("harmonics") },
  { key: "7", name: "Interference", view: "interference", owns: begins("emc") },
  { key: "8", name: "Cabinets", view: "cabinets", owns: begins("cabinet") },
  { key: "I", name: "Signals", view: "signals", owns: begins("io") },
  { key: "9", name: "Energy", view: "energy", owns: begins("energy") },
  { key: "0", name: "Field", view: "field", owns: nothing },
  { key: "U", name: "Supplies", view: "supplies", owns: begins("pv", "long-cable", "single-phase"), isLower: true },
  { key: "L", name: "List", view: "list", owns: nothing, isLower: true },
  { key: "W", name: "Schedules", view: "schedules", owns: nothing, isLower: true },
  { key: "S", name: "Sheets", view: "sheets", owns: nothing, isLower: true },
  { key: "C", name: "Commissioning", view: "commissioning", owns: nothing, isLower: true },
  { key: "H", name: "History", view: "history", owns: nothing, isLower: true },
];

/** The stage a key press leads to. The place of the key counts with Alt: what it types differs by keyboard. */
export function stageOf(event: Pick<KeyboardEvent, "key" | "code" | "altKey">): Stage | undefined {
  const key = event.altKey ? event.code.replace(/^(Digit|Numpad|Key)/, "") : event.key;
  return stages.find((stage) => stage.key === key && (event.altKey || !stage.isLower));
}

/** The verdict that matters most and how many checks share it. */
export interface OpenIn {
  readonly verdict: Verdict;
  readonly count: number;
}

/** What is open in each stage, in their order; undefined where it owns no check. A check belongs to one stage at most. */
export const openInAll = once((checks: readonly Check[]): readonly (OpenIn | undefined)[] => {
  // A plant has thousands of checks of a hundred kinds: the stage is looked up once a kind.
  const places = new Map<string, number>();
  const open: ({ verdict: Verdict; count: number } | undefined)[] = stages.map(() => undefined);
  for (const { id, verdict } of checks) {
    let place = places.get(id);
    if (place === undefined) {
      place = stages.findIndex((stage) => stage.owns({ id }));
      places.set(id, place);
    }
    const known = open[place];
    if (known?.verdict === verdict) {
      known.count++;
    } else if (place >= 0 && (!known || isWorse(verdict, known.verdict))) {
      open[place] = { verdict, count: 1 };
    }
  }
  return open;
});
