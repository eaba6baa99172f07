import { readNumber } from "./csv";

/** A column that a list may have. */
export interface ColumnField<K extends string> {
  readonly key: K;
  readonly label: string;
  readonly needed: boolean;
  /** Words that name such a column. */
  readonly heads: RegExp;
  /** True for words so narrow that they go before the wide ones, such as a no-load current before a current. */
  readonly narrow?: boolean;
}

/** Columns of a list, each by its position; absent where a list has none. */
export type Mapping<K extends string> = Readonly<Partial<Record<K | "name", number>>>;

/** The likely columns of a list by their names; each column is used once. */
export function guessMapping<K extends string>(
  fields: readonly ColumnField<K>[],
  heads: readonly string[],
  name: RegExp,
): Mapping<K> {
  const mapping: Partial<Record<K | "name", number>> = {};
  const used = new Set<number>();
  const take = (key: K | "name", test: RegExp) => {
    const at = heads.findIndex((h, i) => !used.has(i) && test.test(h.trim()));
    if (at >= 0) {
      mapping[key] = at;
      used.add(at);
    }
  };
  take("name", name);
  for (const f of [...fields].sort((a, b) => Number(b.narrow ?? false) - Number(a.narrow ?? false))) {
    take(f.key, f.heads);
  }
  return mapping;
}

/** A row of a list: a thing, or why it is none. */
export type ReadRow<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

/** Numbers of a row by its columns, and its name; or which of them can't be read. */
export function readNumbers<K extends string>(
  fields: readonly ColumnField<K>[],
  row: readonly string[],
  mapping: Mapping<K>,
  rowNumber: number,
): { readonly name: string; readonly values: Record<K, number | null> } | { readonly problem: string } {
  const cell = (key: K | "name") => row.at(mapping[key] ?? row.length)?.trim() ?? "";
  const values = {} as Record<K, number | null>;
  for (const f of fields) {
    const text = cell(f.key);
    const value = text === "" ? undefined : readNumber(text);
    if (value === undefined && (text !== "" || f.needed)) {
      return { problem: `row ${rowNumber}: ${f.label} is “${text}”` };
    }
    values[f.key] = value ?? null;
  }
  return { name: cell("name"), values };
}

/** Keys that are still free, one after the other. */
export function freeKeys(prefix: string, taken: ReadonlySet<string>): () => string {
  let number = 0;
  return () => {
    do {
      number++;
    } while (taken.has(`${prefix}-${number}`));
    return `${prefix}-${number}`;
  };
}
