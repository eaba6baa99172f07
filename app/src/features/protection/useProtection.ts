import { useQuery } from "@tanstack/react-query";
import { api, type ProtectionPlan } from "../../api/client";
import { useProject } from "../../project/ProjectContext";

/** Rows of the cable and device schedules. */
export function useProtection() {
  const { project } = useProject();
  return useQuery({
    queryKey: ["protection", project.id, project.edit],
    placeholderData: (previous: ProtectionPlan | undefined) => previous,
    queryFn: async (): Promise<ProtectionPlan> => {
      const { data } = await api.GET("/api/projects/{id}/protection", { params: { path: { id: project.id } } });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}
