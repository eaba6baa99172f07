import type { Scenario, Specification } from "../../api/client";

/** A row of the scenario sheet: something whose state a scenario may set. */
export type SheetRow =
  | { readonly kind: "point"; readonly id: string; readonly tag: string; readonly name: string }
  | { readonly kind: "load"; readonly id: string; readonly name: string }
  | { readonly kind: "switch"; readonly id: string; readonly name: string; readonly normally: boolean }
  | { readonly kind: "bank"; readonly id: string; readonly name: string; readonly steps: number }
  | { readonly kind: "source"; readonly id: string; readonly name: string };

/** A scenario with a cell changed, or why the text can't stand there. */
export type Applied =
  { readonly ok: true; readonly scenario: Scenario } | { readonly ok: false; readonly problem: string };

/** Rows in the order of the sheet: what feeds, where there is a choice; drive points, other loads, switches, capacitors. */
export function rowsOf({ lineups, distribution: d, standby }: Specification): SheetRow[] {
  return [
    ...(standby ? [{ kind: "source" as const, id: "source", name: "fed by" }] : []),
    ...lineups.flatMap((l) => l.drivePoints).map(({ id, tag, name }) => ({ kind: "point" as const, id, tag, name })),
    ...d.loads.map(({ id, name }) => ({ kind: "load" as const, id, name })),
    ...d.transformers.map(({ id, name }) => ({ kind: "switch" as const, id, name, normally: true })),
    ...d.links.map(({ id, name, normallyClosed }) => ({ kind: "switch" as const, id, name, normally: normallyClosed })),
    ...d.capacitorBanks.map(({ id, name, steps }) => ({ kind: "bank" as const, id, name, steps })),
  ];
}

/** What a cell says; every text is understood again when it is typed or pasted. */
export function textOf(scenario: Scenario, row: SheetRow): string {
  switch (row.kind) {
    case "point": {
      const state = scenario.states.find((s) => s.drivePointId === row.id);
      if (!state) {
        return "on";
      }
      if (!state.running) {
        return "off";
      }
      return state.loadPu === 1
        ? `${percent(state.levelPu)} %`
        : `${percent(state.levelPu)} % × ${percent(state.loadPu)} %`;
    }
    case "load": {
      const level = scenario.loadStates.find((s) => s.loadId === row.id)?.levelPu ?? 1;
      return level === 1 ? "on" : level === 0 ? "off" : `${percent(level)} %`;
    }
    case "switch":
      return (scenario.switches.find((s) => s.elementId === row.id)?.closed ?? row.normally) ? "closed" : "open";
    case "bank":
      return `${scenario.bankStates.find((s) => s.bankId === row.id)?.stepsOn ?? row.steps} of ${row.steps}`;
    case "source":
      return scenario.onStandby ? "generator" : "mains";
  }
}

/** True where a cell differs from what is usual. */
export function isUnusual(scenario: Scenario, row: SheetRow): boolean {
  switch (row.kind) {
    case "point":
      return scenario.states.some((s) => s.drivePointId === row.id);
    case "load":
      return scenario.loadStates.some((s) => s.loadId === row.id);
    case "switch":
      return scenario.switches.some((s) => s.elementId === row.id && s.closed !== row.normally);
    case "bank":
      return scenario.bankStates.some((s) => s.bankId === row.id && s.stepsOn !== row.steps);
    case "source":
      return scenario.onStandby === true;
  }
}

/** Applies a text to a cell. Empty means as usual. */
export function apply(scenario: Scenario, row: SheetRow, text: string): Applied {
  const words = text.trim().toLowerCase();
  switch (row.kind) {
    case "point":
      return point(scenario, row.id, words);
    case "load":
      return load(scenario, row.id, words);
    case "switch":
      return position(scenario, row, words);
    case "bank":
      return bank(scenario, row, words);
    case "source":
      return source(scenario, words);
  }
}

function source(scenario: Scenario, words: string): Applied {
  if (words === "" || words === "mains") {
    return { ok: true, scenario: { ...scenario, onStandby: false } };
  }
  return words === "generator" || words === "standby"
    ? { ok: true, scenario: { ...scenario, onStandby: true } }
    : { ok: false, problem: `“${words}”; allowed: mains or generator.` };
}

function point(scenario: Scenario, id: string, words: string): Applied {
  const others = scenario.states.filter((s) => s.drivePointId !== id);
  const with_ = (running: boolean, levelPu: number, loadPu: number): Applied => ({
    ok: true,
    scenario: {
      ...scenario,
      states:
        running && levelPu === 1 && loadPu === 1 ? others : [...others, { drivePointId: id, running, levelPu, loadPu }],
    },
  });
  if (words === "" || words === "on") {
    return with_(true, 1, 1);
  }
  if (words === "off" || /^0\s*%?$/.test(words)) {
    return with_(false, 1, 1);
  }
  const numbers = pair(words);
  if (!numbers) {
    return refused(text_(words), "on, off, a level such as 80 %, or level × load such as 80 % × 90 %");
  }
  const [level, loading] = numbers;
  if (level <= 0 || level > 120) {
    return refused(`${level} %`, "a level above 0 to 120 %");
  }
  if (loading < 0 || loading > 150) {
    return refused(`${loading} %`, "a load of 0 to 150 %");
  }
  return with_(true, level / 100, loading / 100);
}

function load(scenario: Scenario, id: string, words: string): Applied {
  const others = scenario.loadStates.filter((s) => s.loadId !== id);
  const level = words === "" || words === "on" ? 100 : words === "off" ? 0 : single(words);
  if (level === undefined || level < 0 || level > 200) {
    return refused(text_(words), "on, off, or 0 to 200 %");
  }
  return {
    ok: true,
    scenario: {
      ...scenario,
      loadStates: level === 100 ? others : [...others, { loadId: id, levelPu: level / 100 }],
    },
  };
}

function position(scenario: Scenario, row: Extract<SheetRow, { kind: "switch" }>, words: string): Applied {
  const others = scenario.switches.filter((s) => s.elementId !== row.id);
  const closed =
    words === ""
      ? row.normally
      : ["closed", "on", "1"].includes(words)
        ? true
        : ["open", "off", "out", "0"].includes(words)
          ? false
          : undefined;
  if (closed === undefined) {
    return refused(text_(words), "open or closed");
  }
  return {
    ok: true,
    scenario: {
      ...scenario,
      switches: closed === row.normally ? others : [...others, { elementId: row.id, closed }],
    },
  };
}

function bank(scenario: Scenario, row: Extract<SheetRow, { kind: "bank" }>, words: string): Applied {
  const others = scenario.bankStates.filter((s) => s.bankId !== row.id);
  const match = /^(\d+)(\s*of\s*\d+)?$/.exec(words);
  const steps = words === "" || words === "on" ? row.steps : words === "off" ? 0 : match ? Number(match[1]) : undefined;
  if (steps === undefined || steps > row.steps) {
    return refused(text_(words), `0 to ${row.steps} steps`);
  }
  return {
    ok: true,
    scenario: {
      ...scenario,
      bankStates: steps === row.steps ? others : [...others, { bankId: row.id, stepsOn: steps }],
    },
  };
}

function pair(words: string): [number, number] | undefined {
  const parts = words.split(/\s*[×x*@]\s*/).map(single);
  const [level, loading = 100] = parts;
  return parts.length > 2 || level === undefined || parts.includes(undefined) ? undefined : [level, loading];
}

function single(words: string): number | undefined {
  const match = /^(\d+(?:[.,]\d*)?)\s*%?$/.exec(words.trim());
  return match ? Number(match[1]?.replace(",", ".")) : undefined;
}

const percent = (pu: number): number => Number((100 * pu).toPrecision(6));
const text_ = (words: string): string => `“${words}”`;
const refused = (value: string, allowed: string): Applied => ({
  ok: false,
  problem: `${value} can’t stand there; allowed: ${allowed}.`,
});
