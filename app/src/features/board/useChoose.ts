import type { Candidate } from "../../api/client";
import { useProject } from "../../project/ProjectContext";

/** Puts a candidate on one or several drive points, each with the settings it has. */
export function useChoose() {
  const { run } = useProject();
  return (columns: readonly string[], { itemId, motor }: Candidate, best: Candidate | undefined, reason = "") => {
    const choice = { pointIds: [...columns], itemId, reason: itemId === best?.itemId ? "" : reason };
    return run(motor ? { kind: "choose-motor", ...choice } : { kind: "choose-converter", ...choice });
  };
}
