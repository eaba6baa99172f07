import { Button } from "../../components/Button";
import { useState, type ReactNode } from "react";
import type { Outcome } from "../../components/draft";
import { readCsv, type CsvTable } from "../../lib/csv";
import { guessMapping, type ColumnField, type Mapping, type ReadRow } from "../../lib/columns";
import { readWorkbook } from "./readWorkbook";

const kept = (what: string, heads: readonly string[]) => `cuadrilla.columns.${what}.${heads.join("|")}`;

/**
 * Things from a list in CSV or XLSX: which column is which is kept for lists with the same heads, and a bad row is named. What
 * all rows share is asked beside it.
 */
export function ListEntry<K extends string, T>({
  what,
  fields,
  nameHeads,
  read,
  children,
  onTake,
  onCancel,
}: {
  /** Plural of what is read, for example "motors". */
  readonly what: string;
  readonly fields: readonly ColumnField<K>[];
  readonly nameHeads: RegExp;
  readonly read: (rows: CsvTable["rows"], mapping: Mapping<K>) => readonly ReadRow<T>[];
  readonly children: ReactNode;
  readonly onTake: (values: readonly T[]) => Promise<Outcome>;
  readonly onCancel: () => void;
}) {
  const [table, setTable] = useState<CsvTable>();
  const [mapping, setMapping] = useState<Mapping<K>>(() => ({}) as Mapping<K>);
  const [problem, setProblem] = useState<Outcome>();
  const open = async (file: File) => {
    const next = file.name.toLowerCase().endsWith(".xlsx") ? await readWorkbook(file) : readCsv(await file.text());
    if (typeof next === "string") {
      setProblem(next);
      return;
    }
    const before = localStorage.getItem(kept(what, next.heads));
    setTable(next);
    setMapping(before === null ? guessMapping(fields, next.heads, nameHeads) : (JSON.parse(before) as Mapping<K>));
    setProblem(undefined);
  };
  const choose = (key: K | "name", at: number) => {
    const next: Mapping<K> = { ...mapping, [key]: at < 0 ? undefined : at };
    setMapping(next);
    localStorage.setItem(kept(what, table?.heads ?? []), JSON.stringify(next));
  };
  const found = table ? read(table.rows, mapping) : [];
  const good = found.flatMap((r) => (r.ok ? [r.value] : []));
  const bad = found.flatMap((r) => (r.ok ? [] : [r.problem]));
  return (
    <section
      aria-label={`${what.charAt(0).toUpperCase()}${what.slice(1)} from a list`}
      className="mt-3 border-l-4 border-plum bg-card p-3"
    >
      <div className="flex flex-wrap items-center gap-3">
        <label className="button">
          Choose a file …
          <input
            type="file"
            accept=".csv,.txt,.xlsx"
            aria-label={`List of ${what}`}
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) {
                void open(file);
              }
            }}
          />
        </label>
        {children}
      </div>
      {table && (
        <div className="mt-2 grid grid-cols-3 gap-x-6 gap-y-1">
          {[{ key: "name" as const, label: "Name", needed: false }, ...fields].map((f) => (
            <label key={f.key} className="flex items-center justify-between gap-2">
              <span>
                {f.label}
                {f.needed && <span className="text-plum"> *</span>}
              </span>
              <select
                className="entry w-44"
                value={mapping[f.key] ?? -1}
                onChange={(e) => choose(f.key, Number(e.target.value))}
              >
                <option value={-1}>–</option>
                {table.heads.map((head, i) => (
                  <option key={i} value={i}>
                    {head}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
      )}
      {[bad.length > 4 ? [...bad.slice(0, 4), `and ${bad.length - 4} more`] : bad, problem ? [problem] : []]
        .filter((list) => list.length > 0)
        .map((list) => (
          <p key={list[0]} role="alert" className="mt-2 text-fails">
            {list.join("; ")}
          </p>
        ))}
      <div className="mt-3 flex gap-2">
        <Button
          isMain
          why={good.length === 0 && "No row is good yet: choose a file, and the columns that are asked."}
          onClick={() => void onTake(good).then(setProblem)}
        >
          {bad.length === 0
            ? `Take ${good.length} ${what}`
            : good.length === 1
              ? "Take the good row"
              : `Take the ${good.length} good rows`}
        </Button>
        <button type="button" className="button" onClick={onCancel}>
          {bad.length === 0 ? "Leave it" : "Take none"}
        </button>
      </div>
    </section>
  );
}
