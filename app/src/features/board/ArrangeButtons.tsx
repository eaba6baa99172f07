import { joinable } from "../../lib/arrangements";
import { useProject } from "../project/ProjectContext";
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
  const { specification } = useProject().project;
  const { columns } = selection;
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
  const why = joinable(specification, columns);
  return (
    <>
      <span className="text-soft">join:</span>
      <button type="button" className="button" onClick={actions.joinOnDcBus}>
        Common DC bus
      </button>
      <button
        type="button"
        className="button"
        disabled={why["motor-group"] !== ""}
        title={why["motor-group"]}
        onClick={actions.joinGroup}
      >
        One converter
      </button>
      <button
        type="button"
        className="button"
        disabled={why["shared-shaft"] !== ""}
        title={why["shared-shaft"]}
        onClick={actions.joinShaft}
      >
        Shared shaft
      </button>
      <button
        type="button"
        className="button"
        disabled={why["ratio-follower"] !== ""}
        title={why["ratio-follower"]}
        onClick={actions.joinFollower}
      >
        Ratio
      </button>
      <span className="text-plum">{columns.length} columns selected: a choice applies to all</span>
    </>
  );
}
