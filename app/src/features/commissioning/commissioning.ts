import type { SiteEntry, SiteStep } from "../../api/client";
import type { Verdict } from "../../api/client";
import { parseQuantity } from "../../fields/units";
import type { Units } from "../../fields/useUnits";

/** Parts of the work on site, in their order. */
export const phases: Readonly<Record<SiteStep["phase"], string>> = {
  "before-power": "Before power",
  identification: "Identification",
  uncoupled: "Uncoupled",
  loaded: "Loaded",
  functions: "Functions",
  "sign-off": "Sign-off",
};

/** How far a step is, in a word. */
export const standings: Readonly<Record<SiteStep["standing"], string>> = {
  open: "open",
  waiting: "waits",
  done: "done",
  wrong: "not in order",
  stale: "stale",
  forbidden: "not here",
};

/** The shape that stands for it. */
export function markOf(step: SiteStep): Verdict | undefined {
  switch (step.standing) {
    case "done":
      return step.verdict === "Tight" ? "tight" : "holds";
    case "wrong":
      return "fails";
    case "stale":
      return "needs-data";
    default:
      return undefined;
  }
}

/** What was found at a step in the project's units: kilowatts of a plate are of a shaft. */
export function resultIn(stepId: string, text: string, units: Units): string {
  const hp = (kw: string) => String(Number(units.value(Number(kw), "kW", "hp").toPrecision(4)));
  return units.sentence(
    stepId === "plate" && units.unit("kW", "hp") === "hp"
      ? text.replace(
          /(?:(\d+(?:\.\d+)?) to )?(\d+(?:\.\d+)?) kW/g,
          (_, from: string | undefined, to: string) => `${from === undefined ? "" : `${hp(from)} to `}${hp(to)} hp`,
        )
      : text,
  );
}

/** The next step to do: the first that is open, stale or wrong. */
export const nextOf = (steps: readonly SiteStep[]): SiteStep | undefined =>
  steps.find((s) => s.standing === "open" || s.standing === "stale" || s.standing === "wrong");

/** Unit in US customary units where the table's is not the usual one: power at a shaft is in hp. */
export const usUnitOf = (id: string): string | undefined => (id === "power" || id === "motor.power" ? "hp" : undefined);

/** Values as typed, in SI; or the reason why one is none. */
export function readValues(
  step: SiteStep,
  typed: Readonly<Record<string, string>>,
  units: Units,
  taken: Readonly<Record<string, unknown>> = {},
): { readonly values: Record<string, number> } | { readonly problem: string } {
  const values: Record<string, number> = {};
  for (const quantity of step.quantities) {
    if (taken[quantity.id] !== undefined) {
      continue;
    }
    const text = typed[quantity.id]?.trim() ?? "";
    if (text === "") {
      if (quantity.isNeeded) {
        return { problem: `${quantity.name} is needed.` };
      }
      continue;
    }
    const parsed = parseQuantity(text, units.quantity(quantity.unit, usUnitOf(quantity.id)));
    if (!parsed.ok) {
      return { problem: `${quantity.name}: ${parsed.message}` };
    }
    values[quantity.id] = parsed.value;
  }
  return { values };
}

/** A run as pasted: time and value a line, apart by tab, semicolon, comma or blanks. */
export function readRun(
  text: string,
): { readonly run: { timeS: number; value: number }[] } | { readonly problem: string } {
  const run: { timeS: number; value: number }[] = [];
  const lines = text.split(/\r?\n/);
  for (const [i, line] of lines.entries()) {
    if (line.trim() === "") {
      continue;
    }
    const cells = line.includes("\t") || line.includes(";") ? line.split(/[\t;]/) : line.trim().split(/[,\s]+/);
    const [timeS, value] = cells.map((cell) => Number(cell.trim().replace(",", ".")));
    if (timeS === undefined || value === undefined || !Number.isFinite(timeS) || !Number.isFinite(value)) {
      // A head is no point.
      if (i === 0) {
        continue;
      }
      return { problem: `Line ${i + 1}, “${line.trim().slice(0, 30)}”, is no time and value.` };
    }
    run.push({ timeS, value });
  }
  return { run };
}

/** A table as pasted from a spreadsheet: heads and rows. */
export function readTable(text: string): { readonly heads: string[]; readonly rows: string[][] } {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== "");
  const by = lines[0]?.includes("\t") ? "\t" : lines[0]?.includes(";") ? ";" : ",";
  const [heads = [], ...rows] = lines.map((line) =>
    line.split(by).map((cell) => cell.trim().replace(/^"(.*)"$/, "$1")),
  );
  return { heads, rows };
}

/** What is expected of a quantity, in the project's units. */
export function expectedOf(quantity: SiteStep["quantities"][number], units: Units): string {
  const q = quantity.unit;
  const say = (value: number) => units.entered(value, q, usUnitOf(quantity.id));
  const { least, most, expected } = quantity;
  const window =
    least !== null && most !== null
      ? `${say(least)} to ${say(most)}`
      : least !== null
        ? `at least ${say(least)}`
        : most !== null
          ? `at most ${say(most)}`
          : "";
  return expected === null ? window : window === "" ? say(expected) : `${say(expected)}; ${window}`;
}

/** Two entries of a step side by side: each quantity, the earlier, the later, and what is between them. */
export function compared(
  step: SiteStep,
  earlier: SiteEntry,
  later: SiteEntry,
): readonly { readonly name: string; readonly unit: string; readonly was: number; readonly is: number }[] {
  return step.quantities.flatMap((q) => {
    const was = earlier.values[q.id];
    const is = later.values[q.id];
    return was === undefined || is === undefined ? [] : [{ name: q.name, unit: q.unit, was, is }];
  });
}
