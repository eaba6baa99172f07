import { useQuery, type UseQueryResult } from "@tanstack/react-query";
import { api, type Bench } from "../../api/client";
import { useProject } from "../../project/ProjectContext";

/** Pictures and numbers of a drive point as the plant stands. */
export function useBench(id: string, enabled = true): UseQueryResult<Bench> {
  const { project } = useProject();
  return useQuery({
    queryKey: ["bench", project.id, id, project.edit],
    enabled,
    placeholderData: (previous: Bench | undefined) => (previous?.drivePointId === id ? previous : undefined),
    queryFn: async (): Promise<Bench> => {
      const { data } = await api.GET("/api/projects/{id}/drive-points/{point}/bench", {
        params: { path: { id: project.id, point: id } },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}
