import { movePoint, findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";
import { columnIds, type Selection } from "./selection";

/** Adding, copying, moving and removing drive points, and joining them. */
export function useBoardActions(selection: Selection | undefined, onSelect: (selection: Selection) => void) {
  const { project, edit, run } = useProject();
  const { specification } = project;
  const row = selection?.row ?? "load";
  const pointIds = [...(selection?.columns ?? [])];
  const selectAll = ([first, ...others]: readonly (string | undefined)[]) => {
    if (first !== undefined) {
      onSelect({ point: first, row, columns: [first, ...others.filter((id) => id !== undefined)] });
    }
  };
  const select = (id: string | undefined) => selectAll([id]);
  return {
    joinOnDcBus: () => void run({ kind: "join-dc-bus", pointIds }),
    joinGroup: () => void run({ kind: "join-group", pointIds }),
    joinShaft: () => void run({ kind: "join-shaft", pointIds }),
    splitOnShaft: () => {
      if (selection) {
        void run({ kind: "split-on-shaft", pointId: selection.point });
      }
    },
    joinFollower: () => {
      const [leaderId, followerId] = pointIds;
      if (leaderId !== undefined && followerId !== undefined) {
        void run({ kind: "join-follower", leaderId, followerId });
      }
    },
    size: (ids: readonly string[]) => void run({ kind: "size-best", pointIds: [...ids], part: "both" }),
    protect: (ids: readonly string[]) =>
      void run({ kind: "size-protection", pointIds: [...ids], part: "both", device: "usual" }),
    protectSelected: () => void run({ kind: "size-protection", pointIds, part: "both", device: "usual" }),
    protectAll: () =>
      void run({ kind: "size-protection", pointIds: columnIds(specification), part: "both", device: "usual" }),
    assumeSelected: () => void run({ kind: "accept-usual", pointIds, keys: [] }),
    assumeAll: () => void run({ kind: "accept-usual", pointIds: columnIds(specification), keys: [] }),
    sizeSelected: () => void run({ kind: "size-best", pointIds, part: "both" }),
    sizeAll: () => void run({ kind: "size-best", pointIds: columnIds(specification), part: "both" }),
    addLineup: () => void run({ kind: "add-lineup" }),
    add: () => {
      const lineup =
        specification.lineups.find((l) => l.drivePoints.some((p) => p.id === selection?.point)) ??
        specification.lineups[0];
      if (lineup) {
        void run({ kind: "add-drive-point", lineupId: lineup.id, afterId: selection?.point ?? "" }).then(([id]) => {
          // Work on it begins with what it drives.
          if (id !== undefined) {
            onSelect({ point: id, row: "load", columns: [id] });
          }
        });
      }
    },
    copy: () => {
      if (selection) {
        void run(...pointIds.map((pointId) => ({ kind: "copy-drive-point" as const, pointId }))).then((ids) =>
          selectAll(ids),
        );
      }
    },
    move: (by: number) => {
      if (selection) {
        const tag = findPoint(specification, selection.point)?.tag ?? "";
        void edit(`Move ${tag} ${by < 0 ? "left" : "right"}`, (s) => movePoint(s, selection.point, by));
      }
    },
    moveTo: (lineupId: string) => void run({ kind: "move-drive-points", pointIds, lineupId }),
    remove: () => {
      if (selection) {
        const ids = columnIds(specification);
        const next =
          ids.find((id, i) => i > ids.indexOf(selection.point) && !selection.columns.includes(id)) ??
          ids.findLast((id) => !selection.columns.includes(id));
        void run({ kind: "remove-drive-points", pointIds }).then(() => select(next));
      }
    },
  };
}
