import type { CheckKey } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { changeArrangement, findArrangement, type Arrangement } from "../../lib/arrangements";
import { useProject } from "../../project/ProjectContext";
import { ElementChecks } from "./ElementChecks";
import { FollowerEntry } from "./FollowerEntry";
import { FollowerLab } from "./FollowerLab";
import { GroupEntry } from "./GroupEntry";
import { GroupLab } from "./GroupLab";
import { ShaftEntry } from "./ShaftEntry";
import { ShaftLab } from "./ShaftLab";

const titles: Readonly<Record<Arrangement["kind"], string>> = {
  "motor-group": "Group on one converter",
  "shared-shaft": "Shared shaft",
  "ratio-follower": "Ratio follower",
};

const cautions: Readonly<Record<Arrangement["kind"], string>> = {
  "motor-group":
    "a motor whose isolator is open still hangs on a converter that feeds the others. Lock out at the converter, wait for discharge, prove the absence of voltage.",
  "shared-shaft": "the shaft turns as long as any unit drives it: lock out all of them before work on it.",
  "ratio-follower":
    "the ratio starts at 0. See the leader’s pulses at the follower first, then set it; keep clear, the follower starts with its leader.",
};

/** A group, a shared shaft or a follower: what it is made of, what its checks say, and its laboratory. */
export function ArrangementSheet({
  id,
  onReason,
  onClose,
}: {
  readonly id: string;
  readonly onReason: (check: CheckKey) => void;
  readonly onClose: () => void;
}) {
  const { project, edit, run } = useProject();
  const arrangement = findArrangement(project.specification, id);
  if (!arrangement) {
    return null;
  }
  const change = <T extends Arrangement>(what: string, part: Partial<T> | ((now: T) => Partial<T>)) =>
    edit(`${arrangement.name}: ${what}`, (s) => changeArrangement(s, id, part));
  return (
    <Sheet title={`${titles[arrangement.kind]}: ${arrangement.name}`} onClose={onClose} size="full">
      <div className="grid grid-cols-[22rem_minmax(0,1fr)] gap-x-6">
        <div>
          {arrangement.kind === "motor-group" ? (
            <GroupEntry group={arrangement} change={change} />
          ) : arrangement.kind === "shared-shaft" ? (
            <ShaftEntry shaft={arrangement} change={change} />
          ) : (
            <FollowerEntry ratio={arrangement} change={change} />
          )}
          <ElementChecks
            label={`Checks of ${arrangement.name}`}
            name={arrangement.name}
            owns={(c) => c.elementId === id}
            onReason={onReason}
          />
          <button
            type="button"
            className="button mt-3"
            onClick={() => {
              void run({ kind: "dissolve-arrangement", arrangementId: id });
              onClose();
            }}
          >
            Make them single drives
          </button>
          <p className="mt-3 border-l-4 border-tight bg-ground p-2 text-[12px]">
            <strong>Caution:</strong> {cautions[arrangement.kind]}
          </p>
        </div>
        {arrangement.kind === "motor-group" ? (
          <GroupLab id={id} />
        ) : arrangement.kind === "shared-shaft" ? (
          <ShaftLab shaft={arrangement} />
        ) : (
          <FollowerLab ratio={arrangement} />
        )}
      </div>
    </Sheet>
  );
}
