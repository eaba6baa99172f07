import type { PlantCommand } from "../../api/client";
import { usePossible } from "../../project/usePossible";
import type { Selection } from "./selection";
import type { useBoardActions } from "./useBoardActions";

/** What the selected columns can be joined to by one action. */
export function ArrangeButtons({
  selection,
  actions,
}: {
  readonly selection: Selection;
  readonly actions: ReturnType<typeof useBoardActions>;
}) {
  const { columns } = selection;
  const why = usePossible(joins(columns));
  if (columns.length < 2) {
    return (
      <button
        type="button"
        className="button"
        title="Two motors on one shaft, each with half of the load"
        onClick={actions.splitOnShaft}
      >
        Two motors
      </button>
    );
  }
  return (
    <>
      <span className="text-soft">join:</span>
      <button type="button" className="button" disabled={why[0] !== ""} title={why[0]} onClick={actions.joinOnDcBus}>
        Common DC bus
      </button>
      <button type="button" className="button" disabled={why[1] !== ""} title={why[1]} onClick={actions.joinGroup}>
        One converter
      </button>
      <button type="button" className="button" disabled={why[2] !== ""} title={why[2]} onClick={actions.joinShaft}>
        Shared shaft
      </button>
      <button
        type="button"
        className="button"
        disabled={why[3] !== ""}
        title={columns.length === 2 ? why[3] : "A leader and one follower are needed."}
        onClick={actions.joinFollower}
      >
        Ratio
      </button>
      <span className="text-plum">{columns.length} columns selected: a choice applies to all</span>
    </>
  );
}

// In the order of the buttons.
function joins(columns: readonly string[]): PlantCommand[] {
  const pointIds = [...columns];
  const [leaderId = "", followerId = ""] = pointIds;
  return pointIds.length < 2
    ? []
    : [
        { kind: "join-dc-bus", pointIds },
        { kind: "join-group", pointIds },
        { kind: "join-shaft", pointIds },
        ...(pointIds.length === 2 ? [{ kind: "join-follower" as const, leaderId, followerId }] : []),
      ];
}
