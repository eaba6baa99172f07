import type { ActiveFilter, CheckKey } from "../../api/client";
import { withUnit } from "../../lib/format";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { fieldColumns, useBusColumns } from "./columns";
import { ElementMark } from "./ElementMark";
import { ElementTable } from "./ElementTable";
import { useElements } from "./useElements";

/** Central active filters. */
export function ActiveFilterTable({ onReason }: { readonly onReason: (check: CheckKey) => void }) {
  const { assessment } = useProject().project;
  const asked = (id: string) =>
    assessment.checks.find((c) => c.id === "harmonics.active-filter" && c.elementId === id)?.figure;
  const { elements, change, add, remove } = useElements("activeFilters");
  const bus = useBusColumns<ActiveFilter>(change, [["bus", "busId", "Bus of"]]);
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
        ...fieldColumns<ActiveFilter>(() => fields.ActiveFilter, change, [["name", "name"]]),
        ...bus,
        ...fieldColumns<ActiveFilter>(() => fields.ActiveFilter, change, [["rated, A", "ratedCurrentA"]]),
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
