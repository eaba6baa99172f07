import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useProject } from "../../project/ProjectContext";

/** A laboratory's answer, kept while the next one is computed; asked again after every edit. */
export function useLab<T>(key: readonly unknown[], ask: (projectId: string) => Promise<{ data?: T }>) {
  const { project } = useProject();
  return useQuery({
    queryKey: ["lab", project.id, ...key, project.edit],
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<T> => {
      const { data } = await ask(project.id);
      if (data === undefined) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}
