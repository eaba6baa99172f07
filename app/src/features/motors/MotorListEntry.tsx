import { useState } from "react";
import type { Outcome } from "../../components/draft";
import { readCsv, type CsvTable } from "../../lib/csv";
import { guessMapping, plateFields, readMotors, type Mapping, type OwnMotor } from "./plate";
import { readWorkbook } from "./readWorkbook";
import { TechnologyChoice } from "./TechnologyChoice";

const kept = (heads: readonly string[]) => `cuadrilla.columns.${heads.join("|")}`;

/** Motors from a list: which column is which is kept for lists with the same heads; a bad row is named. */
export function MotorListEntry({
  taken,
  onTake,
  onCancel,
}: {
  readonly taken: readonly OwnMotor[];
  readonly onTake: (motors: readonly OwnMotor[]) => Promise<Outcome>;
  readonly onCancel: () => void;
}) {
  const [table, setTable] = useState<CsvTable>();
  const [mapping, setMapping] = useState<Mapping>({});
  const [technology, setTechnology] = useState<OwnMotor["technology"]>("cage-induction");
  const [problem, setProblem] = useState<Outcome>();
  const open = async (file: File) => {
    const next = file.name.toLowerCase().endsWith(".xlsx") ? await readWorkbook(file) : readCsv(await file.text());
    if (typeof next === "string") {
      setProblem(next);
      return;
    }
    const before = localStorage.getItem(kept(next.heads));
    setTable(next);
    setMapping(before === null ? guessMapping(next.heads) : (JSON.parse(before) as Mapping));
    setProblem(undefined);
  };
  const choose = (key: keyof Mapping, at: number) => {
    const next: Mapping = { ...mapping, [key]: at < 0 ? undefined : at };
    setMapping(next);
    localStorage.setItem(kept(table?.heads ?? []), JSON.stringify(next));
  };
  const read = table ? readMotors(table.rows, mapping, technology, new Set(taken.map((m) => m.id))) : [];
  const good = read.flatMap((r) => (r.ok ? [r.motor] : []));
  const bad = read.flatMap((r) => (r.ok ? [] : [r.problem]));
  return (
    <section aria-label="Motors from a list" className="mt-3 border-l-4 border-plum bg-card p-3">
      <div className="flex flex-wrap items-center gap-3">
        <label className="button">
          Choose a file …
          <input
            type="file"
            accept=".csv,.txt,.xlsx"
            aria-label="List of motors"
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) {
                void open(file);
              }
            }}
          />
        </label>
        <TechnologyChoice value={technology} onChange={setTechnology} />
      </div>
      {table && (
        <div className="mt-2 grid grid-cols-3 gap-x-6 gap-y-1">
          {[{ key: "name" as const, label: "Name", needed: false }, ...plateFields].map((f) => (
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
        <button
          type="button"
          className="button button-main"
          disabled={good.length === 0}
          onClick={() => void onTake(good).then(setProblem)}
        >
          {bad.length === 0 ? `Take ${good.length} motors` : `Take the ${good.length} good rows`}
        </button>
        <button type="button" className="button" onClick={onCancel}>
          {bad.length === 0 ? "Leave it" : "Take none"}
        </button>
      </div>
    </section>
  );
}
