import type { CheckKey } from "../../api/client";
import { CellChoice, CellText } from "../../components/CellFields";
import { withUnit } from "../../lib/format";
import { CellEntry } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { ElementMark, useBusNames } from "./BusTables";
import { ElementTable } from "./ElementTable";
import { useElements } from "./useElements";

/** Central active filters. */
export function ActiveFilterTable({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { assessment } = useProject().project;
  const asked = (id: string) =>
    assessment.checks.find((c) => c.id === "harmonics.active-filter" && c.elementId === id)?.figure;
  const { elements, change, add, remove } = useElements("activeFilters");
  const buses = useBusNames();
  return (
    <ElementTable
      title="Active filters"
      note={
        elements.length > 0
          ? "Each measures its bus and all behind it and takes 95 % of orders 2 to 25, as far as its current reaches (catalogue data)."
          : undefined
      }
      elements={elements}
      add={[{ name: "Add active filter", run: () => add("active-filter") }]}
      onRemove={remove}
      columns={[
        {
          heading: "name",
          cell: (f) => <CellText label={`Name of ${f.name}`} value={f.name} onCommit={(name) => change(f, { name })} />,
        },
        {
          heading: "bus",
          cell: (f) => (
            <CellChoice
              label={`Bus of ${f.name}`}
              value={f.busId}
              choices={buses}
              onCommit={(busId) => change(f, { busId })}
            />
          ),
        },
        {
          heading: "rated, A",
          cell: (f) => (
            <CellEntry
              field={fields.ActiveFilter.ratedCurrentA}
              whose={f.name}
              value={f.ratedCurrentA}
              onCommit={(ratedCurrentA: number) => change(f, { ratedCurrentA })}
            />
          ),
        },
        {
          heading: "asked",
          cell: (f) => (
            <span className="flex items-center gap-1 font-mono whitespace-nowrap">
              <ElementMark id="harmonics.active-filter" element={f.id} onReason={onReason} />
              {withUnit(asked(f.id), "A")}
            </span>
          ),
        },
      ]}
    />
  );
}
