import { keepPreviousData, useQuery, useQueryClient, type UseQueryResult } from "@tanstack/react-query";
import { useState } from "react";
import { api, type StudyState } from "../api/client";
import { useProject } from "./ProjectContext";
import { problemText } from "./useProjectAccess";

/** A study that takes a while: what came of it, how far it is, and how to stop it. */
export interface LongStudy<T> {
  readonly query: UseQueryResult<T>;
  /** How far it is; undefined where the server has not said. */
  readonly state: StudyState | undefined;
  readonly stop: () => void;
}

const askEveryMs = 600;

/** Asks for a long study of the plant in view; asked again after every edit, and no longer computed when the page leaves. */
export function useLongStudy<T>(
  key: readonly unknown[],
  ask: (projectId: string, study: string, signal: AbortSignal) => Promise<{ data?: T | undefined; error?: unknown }>,
  enabled = true,
): LongStudy<T> {
  const { project } = useProject();
  const queries = useQueryClient();
  const [study, setStudy] = useState("");
  const queryKey = ["long", project.id, ...key, project.edit];
  const query = useQuery({
    queryKey,
    enabled,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: async ({ signal }): Promise<T> => {
      const mine = crypto.randomUUID();
      setStudy(mine);
      const { data, error } = await ask(project.id, mine, signal);
      if (data === undefined) {
        throw new Error(problemText(error));
      }
      return data;
    },
  });
  const { data: state } = useQuery({
    queryKey: ["study", study],
    enabled: query.isFetching && study !== "",
    refetchInterval: askEveryMs,
    gcTime: 0,
    queryFn: async (): Promise<StudyState | null> => {
      const { data } = await api.GET("/api/studies/{key}", { params: { path: { key: study } } });
      return data ?? null;
    },
  });
  return {
    query,
    state: query.isFetching && state?.isKnown === true ? state : undefined,
    stop: () => void queries.cancelQueries({ queryKey }),
  };
}
