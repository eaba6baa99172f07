import type { DrivePoint } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { changePoints, findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";

/** Changes drive points under a label. */
export type PointEdit = (what: string, change: (point: DrivePoint) => DrivePoint) => Promise<Outcome>;

/** An edit of some drive points, labelled with their tags. */
export function usePointEdit(ids: readonly string[]): PointEdit {
  const { project, edit } = useProject();
  return (what, change) => {
    const tags = ids.map((id) => findPoint(project.specification, id)?.tag ?? id).join(", ");
    return edit(`${tags}: ${what}`, (s) => changePoints(s, ids, change));
  };
}
