import { useState } from "react";
import { fields } from "../../fields/table";
import { FormChoice } from "../../fields/FormChoice";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { ListEntry } from "../lists/ListEntry";
import { OwnList, SharedEntry, taken } from "../lists/OwnList";
import { readConverters, unitFields, unitNameHeads, type OwnConverter, type Shared } from "./unit";

/** Converters of the engineer's own catalogues, kept in the project with the catalogue's version. */
export function OwnConvertersSheet({ onClose }: { readonly onClose: () => void }) {
  const { project, edit } = useProject();
  const { converters, lineups } = project.specification;
  const [shared, setShared] = useState<Shared>({
    kind: "six-pulse",
    emcFilter: "as-delivered",
    catalogue: "",
    version: "",
  });
  const used = new Set(
    lineups
      .flatMap((l) => l.drivePoints)
      .flatMap((p) => (p.converter.kind === "catalogue" ? [p.converter.itemId] : [])),
  );
  const estimated = new Map(project.assessment.ownConverters.map((c) => [c.id, c.estimated]));
  const remove = (converter: OwnConverter) =>
    edit(`Remove converter ${converter.name}`, (s) => ({
      ...s,
      converters: s.converters.filter((x) => x.id !== converter.id),
    }));
  return (
    <OwnList
      title="Own converters"
      note="Units of your own catalogues. The project keeps them as they were imported; what a list leaves open is taken from the generic unit of the same kind next in size, and named. What a maker declares of interference is never taken from another."
      isEmpty={converters.length === 0}
      heads={["name", "kind", "catalogue", "kW", "V", "A light", "A heavy", "taken from the generic series"]}
      onClose={onClose}
      rows={converters.map((c) => (
        <tr key={c.id}>
          <td>{c.name}</td>
          <td>{fields.OwnConverter.kind.choices[c.kind]}</td>
          <td>
            {c.catalogue}, {c.version}
          </td>
          {[c.ratedKw, c.ratedVoltageV, c.lightCurrentA, c.heavyCurrentA].map((v, i) => (
            <td key={i} className="num">
              {n(v)}
            </td>
          ))}
          <td className="text-[12px] text-soft">{estimated.get(c.id)?.join(", ")}</td>
          <td>
            {used.has(c.id) ? (
              <span className="text-soft">in use</span>
            ) : (
              <button type="button" className="button" aria-label={`Remove ${c.name}`} onClick={() => void remove(c)}>
                ×
              </button>
            )}
          </td>
        </tr>
      ))}
      entry={(done) => (
        <ListEntry
          what="converters"
          fields={unitFields}
          nameHeads={unitNameHeads}
          read={(rows, mapping) => readConverters(rows, mapping, shared, new Set(converters.map((c) => c.id)))}
          onTake={(more) =>
            taken(shared, "catalogue", done, () =>
              edit(`${more.length} converters of ${shared.catalogue}`, (s) => ({
                ...s,
                converters: [...s.converters, ...more],
              })),
            )
          }
          onCancel={done}
        >
          <SharedEntry field={fields.OwnConverter.kind} list="Catalogue" shared={shared} onChange={setShared} />
          <FormChoice
            field={fields.OwnConverter.emcFilter}
            value={shared.emcFilter}
            onChange={(emcFilter) => setShared({ ...shared, emcFilter })}
          />
        </ListEntry>
      )}
    />
  );
}
