import { useState, type ReactNode } from "react";
import type { Outcome } from "../../components/draft";
import { Sheet } from "../../components/Sheet";
import { Empty } from "../../components/States";
import { FormChoice } from "../../fields/FormChoice";
import type { Field } from "../../fields/field";

/** What all rows of an imported list share. */
export interface SharedWords<K extends string> {
  readonly kind: K;
  readonly catalogue: string;
  readonly version: string;
}

type ChoiceOf<K extends string> = Extract<Field, { readonly kind: "choice" }> & {
  readonly choices: Readonly<Record<K, string>>;
};

/** A list's kind, name and version, asked beside the file. */
export function SharedEntry<K extends string, S extends SharedWords<K>>({
  field,
  list,
  shared,
  onChange,
}: {
  readonly field: ChoiceOf<K>;
  /** What the list is called: catalogue, list. */
  readonly list: string;
  readonly shared: S;
  readonly onChange: (shared: S) => void;
}) {
  return (
    <>
      <FormChoice field={field} value={shared.kind} width="w-60" onChange={(kind) => onChange({ ...shared, kind })} />
      <label className="flex items-center gap-2">
        {list}
        <input
          className="entry w-48"
          maxLength={80}
          value={shared.catalogue}
          onChange={(e) => onChange({ ...shared, catalogue: e.target.value })}
        />
      </label>
      <label className="flex items-center gap-2">
        Version
        <input
          className="entry w-28"
          maxLength={40}
          value={shared.version}
          onChange={(e) => onChange({ ...shared, version: e.target.value })}
        />
      </label>
    </>
  );
}

/** Items of one's own lists in a sheet: what there is, and a button that reads more. */
export function OwnList({
  title,
  note,
  isEmpty,
  heads,
  rows,
  entry,
  onClose,
}: {
  readonly title: string;
  readonly note: string;
  readonly isEmpty: boolean;
  readonly heads: readonly string[];
  readonly rows: ReactNode;
  readonly entry: (done: () => void) => ReactNode;
  readonly onClose: () => void;
}) {
  const [adding, setAdding] = useState(false);
  return (
    <Sheet title={title} onClose={onClose} size="full">
      <p className="text-soft">{note}</p>
      {isEmpty && !adding && <Empty>None yet.</Empty>}
      {!isEmpty && (
        <table className="table mt-2">
          <thead>
            <tr>
              {heads.map((h) => (
                <th key={h}>{h}</th>
              ))}
              <th>
                <span className="sr-only">remove</span>
              </th>
            </tr>
          </thead>
          <tbody>{rows}</tbody>
        </table>
      )}
      {adding ? (
        entry(() => setAdding(false))
      ) : (
        <button type="button" className="button button-main mt-3" onClick={() => setAdding(true)}>
          From a list (CSV, XLSX) …
        </button>
      )}
    </Sheet>
  );
}

/** Takes rows of a list whose name and version are stated. */
export async function taken(
  shared: SharedWords<string>,
  list: string,
  done: () => void,
  edit: () => Promise<Outcome>,
): Promise<Outcome> {
  if (shared.catalogue.trim() === "" || shared.version.trim() === "") {
    return `Say which ${list} this is and which version of it.`;
  }
  const outcome = await edit();
  if (outcome === undefined) {
    done();
  }
  return outcome;
}
