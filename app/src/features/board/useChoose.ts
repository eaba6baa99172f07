import type { Candidate } from "../../api/client";
import { changePoints, findPoint } from "../../lib/specification";
import { useProject } from "../project/ProjectContext";
import type { CandidateKind } from "./CandidateSearch";

/** Puts a candidate on one or several drive points, keeping the settings of the present choice. */
export function useChoose() {
  const { project, edit } = useProject();
  return (
    columns: readonly string[],
    kind: CandidateKind,
    candidate: Candidate,
    best: Candidate | undefined,
    reason = "",
  ) => {
    const tags = columns.map((id) => findPoint(project.specification, id)?.tag ?? id).join(", ");
    const kept = candidate.itemId === best?.itemId ? "" : reason;
    return edit(`${tags}: ${candidate.name}`, (s) =>
      changePoints(s, columns, (p) =>
        kind === "motor"
          ? {
              ...p,
              motor: {
                kind: "catalogue",
                itemId: candidate.itemId,
                cooling: p.motor.kind === "catalogue" ? p.motor.cooling : "own-fan",
                riseUsed: p.motor.kind === "catalogue" ? p.motor.riseUsed : "b",
                reason: kept,
              },
            }
          : {
              ...p,
              converter: {
                kind: "catalogue",
                itemId: candidate.itemId,
                duty: p.converter.kind === "catalogue" ? p.converter.duty : "light",
                switchingKhz: p.converter.kind === "catalogue" ? p.converter.switchingKhz : 4,
                reason: kept,
              },
            },
      ),
    );
  };
}
