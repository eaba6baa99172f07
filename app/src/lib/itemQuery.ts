import type { Candidate } from "../api/client";

/** What is looked for among candidates: a figure with its unit is that figure, a word is a word of the name. */
export interface ItemQuery {
  readonly sizes: readonly { readonly value: number; readonly unit: "kw" | "hp" | "" }[];
  readonly amperes: readonly number[];
  readonly words: readonly string[];
}

const kwPerHp = 0.745699872;

// The same size to the digits of a plate; kW against hp to the step of the standard sizes.
const sameUnitPu = 0.006;
const otherUnitPu = 0.02;

const synonyms: Readonly<Record<string, string>> = {
  pm: "magnet",
  ipm: "magnet",
  pmsm: "magnet",
  synrm: "reluctance",
  reluct: "reluctance",
  asynchronous: "cage",
  induction: "cage",
  afe: "active",
  "6-pulse": "six-pulse",
  "12-pulse": "twelve-pulse",
  "18-pulse": "eighteen-pulse",
  "1-phase": "single-phase",
  nema: "nema",
};

/** Reads what is typed. Decimal points and commas are the same. */
export function readQuery(text: string): ItemQuery {
  const sizes: { value: number; unit: "kw" | "hp" | "" }[] = [];
  const amperes: number[] = [];
  let rest = ` ${text.toLowerCase().replace(/(\d),(\d)/g, "$1.$2")} `;
  const take = (pattern: RegExp, use: (value: number, found: RegExpMatchArray) => void) => {
    rest = rest.replace(pattern, (...found) => {
      const match = found as unknown as RegExpMatchArray;
      use(Number(match[1]), match);
      return " ";
    });
  };
  const words: string[] = [];
  take(/(?<=\s)(\d+(?:\.\d+)?)\s*(?:pole|poles|p)(?=\s)/g, (v) => words.push(`${v}-pole`));
  take(/(?<=\s)(\d+)-pole(?=\s)/g, (v) => words.push(`${v}-pole`));
  take(/(?<=\s)(\d+(?:\.\d+)?)\s*%(?=\s)/g, (v) => words.push(`${v} %`));
  take(/(?<=\s)(\d+(?:\.\d+)?)\s*(?:kw)(?=\s)/g, (value) => sizes.push({ value, unit: "kw" }));
  take(/(?<=\s)(\d+(?:\.\d+)?)\s*(?:w)(?=\s)/g, (value) => sizes.push({ value: value / 1000, unit: "kw" }));
  take(/(?<=\s)(\d+(?:\.\d+)?)\s*(?:hp|bhp)(?=\s)/g, (value) => sizes.push({ value, unit: "hp" }));
  take(/(?<=\s)(\d+(?:\.\d+)?)\s*(?:a|amp|amps|ampere|amperes)(?=\s)/g, (value) => amperes.push(value));
  take(/(?<=\s)(\d+(?:\.\d+)?)(?=\s)/g, (value) => sizes.push({ value, unit: "" }));
  words.push(
    ...rest
      .split(/[\s,]+/)
      .filter(Boolean)
      .map((w) => synonyms[w] ?? w),
  );
  return { sizes, amperes, words };
}

const near = (one: number, other: number, pu: number): boolean => Math.abs(one - other) <= pu * Math.abs(other);

const hpOf = (c: Candidate): number | undefined => {
  const found = /(\d+(?:\.\d+)?) hp\b/.exec(c.name);
  return found ? Number(found[1]) : undefined;
};

const hasSize = (c: Candidate, { value, unit }: ItemQuery["sizes"][number]): boolean => {
  const hp = hpOf(c);
  const inHp = hp !== undefined && near(hp, value, sameUnitPu);
  const inKw = near(c.ratedKw, value, sameUnitPu);
  if (unit === "") {
    return hp === undefined ? inKw : inHp;
  }
  return unit === "hp"
    ? inHp || (hp === undefined && near(c.ratedKw, value * kwPerHp, otherUnitPu))
    : hp === undefined
      ? inKw
      : near(c.ratedKw, value, otherUnitPu);
};

// Words begin where words of the name begin, figures stand alone: "4 %" is not in "14 %".
const hasWord = (name: string, word: string): boolean => {
  const text = ` ${name.toLowerCase()}`;
  return new RegExp(`(?<![\\w.])${word.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}`).test(text);
};

/** What was found: those that are what is asked; else why there is none, and what is nearest in size to look at. */
export interface Found {
  readonly exact: readonly Candidate[];
  readonly near: readonly Candidate[];
  readonly why: string;
}

const shown = ({ value, unit }: ItemQuery["sizes"][number]): string => `${value} ${unit === "hp" ? "hp" : "kW"}`;

/** Candidates that are what is asked, in their order. */
export function findItems(candidates: readonly Candidate[], query: ItemQuery): Found {
  const strange = query.words.filter((w) => !candidates.some((c) => hasWord(c.name, w)));
  if (strange.length > 0) {
    return { exact: [], near: [], why: `Nothing here is called ${strange.map((w) => `“${w}”`).join(" or ")}.` };
  }
  const named = candidates.filter((c) => query.words.every((w) => hasWord(c.name, w)));
  const all = named.filter(
    (c) => query.sizes.every((s) => hasSize(c, s)) && query.amperes.every((a) => near(c.ratedCurrentA, a, 0.02)),
  );
  // What is rated in the unit that was typed comes alone where there is any.
  const asTyped = all.filter((c) =>
    query.sizes.every((s) => s.unit === "" || (s.unit === "hp") === (hpOf(c) !== undefined)),
  );
  const exact = asTyped.length > 0 ? asTyped : all;
  if (exact.length > 0) {
    return { exact, near: [], why: "" };
  }
  const [size] = query.sizes;
  if (named.length === 0) {
    return { exact, near: [], why: `Nothing is all of ${query.words.join(", ")}.` };
  }
  if (query.sizes.length === 1 && size) {
    const kw = size.unit === "hp" ? size.value * kwPerHp : size.value;
    const below = Math.max(...named.map((c) => c.ratedKw).filter((v) => v < kw));
    const above = Math.min(...named.map((c) => c.ratedKw).filter((v) => v > kw));
    return {
      exact,
      near: named.filter((c) => c.ratedKw === below || c.ratedKw === above),
      why: `There is no size of ${shown(size)} here; the nearest are below. Pick one to take it.`,
    };
  }
  return { exact, near: [], why: query.amperes.length > 0 ? "None has that rated current." : "None has that size." };
}
