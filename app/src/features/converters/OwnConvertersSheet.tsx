import { useState } from "react";
import type { Outcome } from "../../components/draft";
import { Sheet } from "../../components/Sheet";
import { Empty } from "../../components/States";
import { n } from "../../lib/format";
import { ListEntry } from "../lists/ListEntry";
import { useProject } from "../../project/ProjectContext";
import { FormChoice } from "../../fields/FormChoice";
import { fields } from "../../fields/table";
import { readConverters, unitFields, unitNameHeads, type OwnConverter, type Shared } from "./unit";

/** Converters of the engineer's own catalogues, kept in the project with the catalogue's version. */
export function OwnConvertersSheet({ onClose }: { readonly onClose: () => void }) {
  const { project, edit } = useProject();
  const { converters, lineups } = project.specification;
  const [adding, setAdding] = useState(false);
  const [shared, setShared] = useState<Shared>({ kind: "six-pulse", catalogue: "", version: "" });
  const used = new Set(
    lineups
      .flatMap((l) => l.drivePoints)
      .flatMap((p) => (p.converter.kind === "catalogue" ? [p.converter.itemId] : [])),
  );
  const estimated = new Map(project.assessment.ownConverters.map((c) => [c.id, c.estimated]));
  const take = async (more: readonly OwnConverter[]): Promise<Outcome> => {
    if (shared.catalogue.trim() === "" || shared.version.trim() === "") {
      return "Say which catalogue this is and which version of it.";
    }
    const outcome = await edit(`${more.length} converters of ${shared.catalogue}`, (s) => ({
      ...s,
      converters: [...s.converters, ...more],
    }));
    if (outcome === undefined) {
      setAdding(false);
    }
    return outcome;
  };
  const remove = (converter: OwnConverter) =>
    edit(`Remove converter ${converter.name}`, (s) => ({
      ...s,
      converters: s.converters.filter((x) => x.id !== converter.id),
    }));
  return (
    <Sheet title="Own converters" onClose={onClose} size="full">
      <p className="text-soft">
        Units of your own catalogues. The project keeps them as they were imported; what a list leaves open is taken
        from the generic unit of the same kind next in size, and named.
      </p>
      {converters.length === 0 && !adding && <Empty>None yet.</Empty>}
      {converters.length > 0 && (
        <table className="table mt-2">
          <thead>
            <tr>
              <th>name</th>
              <th>kind</th>
              <th>catalogue</th>
              <th className="num">kW</th>
              <th className="num">V</th>
              <th className="num">A light</th>
              <th className="num">A heavy</th>
              <th>taken from the generic series</th>
              <th>
                <span className="sr-only">remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {converters.map((c) => (
              <tr key={c.id}>
                <td>{c.name}</td>
                <td>{fields.OwnConverter.kind.choices[c.kind]}</td>
                <td>
                  {c.catalogue}, {c.version}
                </td>
                <td className="num">{n(c.ratedKw)}</td>
                <td className="num">{n(c.ratedVoltageV)}</td>
                <td className="num">{n(c.lightCurrentA)}</td>
                <td className="num">{n(c.heavyCurrentA)}</td>
                <td className="text-[12px] text-soft">{estimated.get(c.id)?.join(", ")}</td>
                <td>
                  {used.has(c.id) ? (
                    <span className="text-soft">in use</span>
                  ) : (
                    <button
                      type="button"
                      className="button"
                      aria-label={`Remove ${c.name}`}
                      onClick={() => void remove(c)}
                    >
                      ×
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {!adding && (
        <button type="button" className="button button-main mt-3" onClick={() => setAdding(true)}>
          From a list (CSV, XLSX) …
        </button>
      )}
      {adding && (
        <ListEntry
          what="converters"
          fields={unitFields}
          nameHeads={unitNameHeads}
          read={(rows, mapping) => readConverters(rows, mapping, shared, new Set(converters.map((c) => c.id)))}
          onTake={take}
          onCancel={() => setAdding(false)}
        >
          <SharedEntry shared={shared} onChange={setShared} />
        </ListEntry>
      )}
    </Sheet>
  );
}

function SharedEntry({ shared, onChange }: { readonly shared: Shared; readonly onChange: (shared: Shared) => void }) {
  return (
    <>
      <FormChoice
        field={fields.OwnConverter.kind}
        value={shared.kind}
        width="w-60"
        onChange={(kind) => onChange({ ...shared, kind })}
      />
      <label className="flex items-center gap-2">
        Catalogue
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
