import { Button } from "../../components/Button";
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
      <Button why={why[0]} onClick={actions.joinOnDcBus}>
        Common DC bus
      </Button>
      <Button why={why[1]} onClick={actions.joinGroup}>
        One converter
      </Button>
      <Button why={why[2]} onClick={actions.joinShaft}>
        Shared shaft
      </Button>
      <Button
        why={columns.length === 2 ? why[3] : "A leader and one follower are needed."}
        onClick={actions.joinFollower}
      >
        Ratio
      </Button>
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
