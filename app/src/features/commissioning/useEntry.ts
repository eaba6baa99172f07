import { useState } from "react";
import { api, type MakeEntry, type SitePoint } from "../../api/client";
import { useProject } from "../../project/ProjectContext";
import { who } from "../../project/useProjectAccess";

/** Makes an entry of the log: the answer where it stands, or why it was not taken. */
export function useEntry(onMade: (next: SitePoint) => void) {
  const { project } = useProject();
  const [problem, setProblem] = useState<string>();
  const [isBusy, setBusy] = useState(false);
  const make = async (entry: Omit<MakeEntry, "who">): Promise<boolean> => {
    setBusy(true);
    try {
      const { data, error } = await api.POST("/api/projects/{id}/commissioning/entries", {
        params: { path: { id: project.id } },
        body: { ...entry, who: who() },
      });
      setProblem(data ? undefined : error.errors.map((e) => e.message).join(" ") || error.detail);
      if (data) {
        onMade(data);
      }
      return data !== undefined;
    } catch {
      setProblem("The server does not answer: nothing was saved. Try again.");
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { make, problem, setProblem, isBusy };
}
