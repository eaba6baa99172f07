import type { Candidate, DrivePoint } from "../../api/client";
import { changePoints, findPoint } from "../../lib/specification";
import { useProject } from "../project/ProjectContext";

/** Puts a candidate, as it was judged, on one or several drive points. */
export function useChoose() {
  const { project, edit } = useProject();
  return (columns: readonly string[], candidate: Candidate, best: Candidate | undefined, reason = "") => {
    const tags = columns.map((id) => findPoint(project.specification, id)?.tag ?? id).join(", ");
    const kept = candidate.itemId === best?.itemId ? "" : reason;
    return edit(`${tags}: ${candidate.name}`, (s) =>
      changePoints(s, columns, (p) => withCandidate(p, candidate, kept)),
    );
  };
}

function withCandidate(point: DrivePoint, { motor, converter }: Candidate, reason: string): DrivePoint {
  if (motor?.kind === "catalogue") {
    return { ...point, motor: { ...motor, reason } };
  }
  return converter?.kind === "catalogue" ? { ...point, converter: { ...converter, reason } } : point;
}
