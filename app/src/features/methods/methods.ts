import index from "../../../../docs/methods/README.md?raw";

/** A page on a method. */
export interface Method {
  /** File name without its ending. */
  readonly key: string;
  /** What is studied. */
  readonly name: string;
}

const pages = import.meta.glob<string>(["../../../../docs/methods/*.md", "!**/README.md"], {
  query: "?raw",
  import: "default",
});

/** Reads the index of methods: a row a page, the checks it explains in backticks. */
export function readIndex(text: string): { methods: readonly Method[]; ofCheck: ReadonlyMap<string, string> } {
  const methods: Method[] = [];
  const ofCheck = new Map<string, string>();
  for (const line of text.split("\n")) {
    const [, link = "", name = "", , shown = ""] = line.split("|").map((cell) => cell.trim());
    const key = /^\[([\w-]+)\]\(/.exec(link)?.[1];
    if (key !== undefined) {
      methods.push({ key, name });
      for (const [, id = ""] of shown.matchAll(/`([\w.-]+)`/g)) {
        ofCheck.set(id, key);
      }
    }
  }
  return { methods, ofCheck };
}

const { methods, ofCheck } = readIndex(index);

/** Every method, in the order of the index. */
export const allMethods = methods;

// Figures of the bench that no check judges.
const ofFigure: Readonly<Record<string, string>> = {
  "line-current": "front-ends",
  thdi: "front-ends",
  "power-factor": "front-ends",
  "dc-voltage": "rectifier",
  "motor-current": "motor-losses",
  "motor-efficiency": "motor-losses",
  "shaft-power": "fluid-machine",
  "shaft-torque": "mechanical-loads",
  "flow-begins": "fluid-machine",
  "half-flow-power": "fluid-machine",
  "torque-range": "winder",
  "peak-torque": "load-cycles",
  "rms-torque": "load-cycles",
  breakaway: "mechanical-loads",
  "kinetic-energy": "braking",
  "coast-time": "braking",
  "stop-power": "braking",
  regenerated: "braking",
  "regenerated-energy": "braking",
  "inertia-ratio": "servo-lineup",
  "year-energy": "yearly-energy",
  saving: "alternatives",
  payback: "alternatives",
};

/** The method behind a check or a figure by its id; undefined where no page explains it. */
export function methodOf(id: string): Method | undefined {
  const key = ofCheck.get(id) ?? ofFigure[id];
  return methods.find((m) => m.key === key);
}

/** The text of a page, as Markdown. */
export async function textOf(key: string): Promise<string> {
  const load = pages[`../../../../docs/methods/${key}.md`];
  if (!load) {
    throw new Error(`There is no page ${key}.`);
  }
  return load();
}
