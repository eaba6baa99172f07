import { addLineup, addPoint, copyPoint, findPoint, movePoint, removePoints } from "../../lib/specification";
import { joinFollower, joinGroup, joinShaft, splitOnShaft } from "../../lib/arrangements";
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
  const tagsOf = (ids: readonly string[]) => ids.map((id) => findPoint(specification, id)?.tag ?? id).join(", ");
  return {
    joinOnDcBus: () => {
      if (selection && data) {
        void edit(`Common DC bus of ${tagsOf(selection.columns)}`, (s) => joinOnDcBus(s, data, selection.columns));
      }
    },
    joinGroup: () => {
      if (selection && data) {
        void edit(`One converter for ${tagsOf(selection.columns)}`, (s) => joinGroup(s, data, selection.columns));
      }
    },
    joinShaft: () => {
      if (selection) {
        void edit(`Shared shaft of ${tagsOf(selection.columns)}`, (s) => joinShaft(s, selection.columns));
      }
    },
    splitOnShaft: () => {
      if (selection) {
        void edit(`Two motors for ${tagsOf([selection.point])}`, (s) => splitOnShaft(s, selection.point));
      }
    },
    joinFollower: () => {
      if (selection) {
        void edit(`Ratio of ${tagsOf(selection.columns)}`, (s) => joinFollower(s, selection.columns));
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
        const ids = columnIds(specification);
        const next =
          ids.find((id, i) => i > ids.indexOf(selection.point) && !selection.columns.includes(id)) ??
          ids.findLast((id) => !selection.columns.includes(id));
        void edit(`Remove ${tagsOf(selection.columns)}`, (s) => removePoints(s, selection.columns)).then(() =>
          select(next),
        );
      }
    },
  };
}
