import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type PlantCommand } from "../api/client";
import { useProject } from "./ProjectContext";

/** Why each command can't be carried out now; empty where it can, undefined while that is not known. */
export function usePossible(commands: readonly PlantCommand[]): readonly (string | undefined)[] {
  const { project } = useProject();
  const { data } = useQuery({
    queryKey: ["possible", project.id, project.edit, commands],
    enabled: commands.length > 0,
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<string[]> => {
      const answer = await api.POST("/api/projects/{id}/commands/possible", {
        params: { path: { id: project.id } },
        body: { commands: [...commands] },
      });
      return answer.data ?? [];
    },
  });
  return data ?? [];
}
