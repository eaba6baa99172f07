import { addLineup, addPoint, copyPoint, findPoint, movePoint, removePoints } from "../../lib/specification";
import { joinOnDcBus } from "../../lib/dcBus";
import { useProject } from "../project/ProjectContext";
import { useCatalogue } from "../project/useCatalogue";
import { columnIds, type Selection } from "./selection";

/** Adding, copying, moving and removing drive points. */
export function useBoardActions(selection: Selection | undefined, onSelect: (selection: Selection) => void) {
  const { project, edit } = useProject();
  const { specification } = project;
  const { data } = useCatalogue();
  const row = selection?.row ?? "load";
  const select = (id: string | undefined) => {
    if (id !== undefined) {
      onSelect({ point: id, row, columns: [id] });
    }
  };
  return {
    joinOnDcBus: () => {
      if (selection && data) {
        const tags = selection.columns.map((id) => findPoint(specification, id)?.tag ?? id);
        void edit(`Common DC bus of ${tags.join(", ")}`, (s) => joinOnDcBus(s, data, selection.columns));
      }
    },
    addLineup: () => void edit("Add lineup", addLineup),
    add: () => {
      const lineup =
        specification.lineups.find((l) => l.drivePoints.some((p) => p.id === selection?.point)) ??
        specification.lineups[0];
      if (lineup) {
        let added: string | undefined;
        void edit("Add drive point", (s) => {
          const [next, point] = addPoint(s, lineup.id, selection?.point);
          added = point.id;
          return next;
        }).then(() => select(added));
      }
    },
    copy: () => {
      if (selection) {
        const tag = findPoint(specification, selection.point)?.tag ?? "";
        let copied: string | undefined;
        void edit(`Copy ${tag}`, (s) => {
          const result = copyPoint(s, selection.point);
          copied = result?.[1].id;
          return result?.[0];
        }).then(() => select(copied));
      }
    },
    move: (by: number) => {
      if (selection) {
        const tag = findPoint(specification, selection.point)?.tag ?? "";
        void edit(`Move ${tag} ${by < 0 ? "left" : "right"}`, (s) => movePoint(s, selection.point, by));
      }
    },
    remove: () => {
      if (selection) {
        const tags = selection.columns.map((id) => findPoint(specification, id)?.tag ?? id);
        const ids = columnIds(specification);
        const next =
          ids.find((id, i) => i > ids.indexOf(selection.point) && !selection.columns.includes(id)) ??
          ids.findLast((id) => !selection.columns.includes(id));
        void edit(`Remove ${tags.join(", ")}`, (s) => removePoints(s, selection.columns)).then(() => select(next));
      }
    },
  };
}
