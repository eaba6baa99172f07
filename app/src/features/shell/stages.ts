import type { Check, Verdict } from "../../api/client";
import { worst } from "../../lib/verdict";
import type { Row } from "../board/selection";

/** What stands in the middle. */
export type View = "board" | "plant" | "list" | "field" | "harmonics" | "energy" | "sheets" | "history";

/** A stage of the work: either a page of its own or a band of the board. */
export interface Stage {
  readonly key: string;
  readonly name: string;
  readonly view: View;
  readonly row?: Row;
  readonly owns: (check: Check) => boolean;
}

/** Stages in the order of the work. */
export const stages: readonly Stage[] = [
  { key: "1", name: "Plant", view: "plant", owns: (c) => c.id.startsWith("supply.") },
  { key: "2", name: "Loads", view: "board", row: "load", owns: () => false },
  { key: "3", name: "Motors", view: "board", row: "motor", owns: (c) => c.id.startsWith("motor.") },
  {
    key: "4",
    name: "Converters",
    view: "board",
    row: "converter",
    owns: (c) => /^(converter|starter|lineup|group|share|brake|follower|parallel)\./.test(c.id),
  },
  { key: "5", name: "Harmonics", view: "harmonics", owns: (c) => c.id.startsWith("harmonics.") },
  { key: "6", name: "Energy", view: "energy", owns: (c) => c.id.startsWith("energy.") },
  { key: "7", name: "Sheets", view: "sheets", owns: () => false },
  { key: "8", name: "History", view: "history", owns: () => false },
  { key: "9", name: "List", view: "list", owns: () => false },
  { key: "0", name: "Field", view: "field", owns: () => false },
];

/** What is open in a stage: the verdict that matters most and how many checks share it. */
export function openIn(stage: Stage, checks: readonly Check[]): { verdict: Verdict; count: number } | undefined {
  const own = checks.filter(stage.owns);
  const verdict = worst(own.map((c) => c.verdict));
  return verdict === undefined ? undefined : { verdict, count: own.filter((c) => c.verdict === verdict).length };
}
