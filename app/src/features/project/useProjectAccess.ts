import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useMemo, useRef, useState } from "react";
import { api, type InputProblem, type Project, type Specification, type Stale } from "../../api/client";
import type { Outcome } from "../../components/draft";
import type { Change, Conflict, ProjectAccess } from "./ProjectContext";

/** Key of a project among the queries. */
export const projectKey = (id: string) => ["project", id] as const;

type Answer = { data?: Project; error?: unknown; response: Response };

/** Who is named in the history. */
export function who(): string {
  return localStorage.getItem("cuadrilla.who") ?? "engineer";
}

/**
 * Saves edits one after the other, each on the edit before it, so that quick typing never collides with itself. A stale
 * write is kept and offered again.
 */
export function useProjectAccess(project: Project): { access: ProjectAccess; saving: boolean } {
  const queries = useQueryClient();
  const { id } = project;
  const before = usePrevious(project.assessment);
  const [pending, setPending] = useState(0);
  const [conflict, setConflict] = useState<Conflict>();
  const [notice, setNotice] = useState<string>();
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  const current = useCallback(() => queries.getQueryData<Project>(projectKey(id)) ?? project, [queries, id, project]);

  const accept = useCallback(
    (next: Project) => {
      queries.setQueryData(projectKey(id), next);
      void queries.invalidateQueries({ queryKey: ["bench", id] });
      void queries.invalidateQueries({ queryKey: ["history", id] });
    },
    [queries, id],
  );

  const enqueue = useCallback(<T>(work: () => Promise<T>): Promise<T> => {
    setPending((count) => count + 1);
    const result = queue.current.then(work, work);
    queue.current = result.catch(() => undefined);
    return result.finally(() => setPending((count) => count - 1));
  }, []);

  const send = useCallback(
    async (label: string, specification: Specification, basedOn: number): Promise<Outcome> => {
      let answer: Answer;
      try {
        answer = await api.POST("/api/projects/{id}/edits", {
          params: { path: { id } },
          body: { basedOn, label, who: who(), specification },
        });
      } catch {
        return "The server does not answer; nothing was saved. The entry is kept here.";
      }
      if (answer.data) {
        accept(answer.data);
        return undefined;
      }
      if (answer.response.status === 409) {
        setConflict({ label, mine: specification, stale: answer.error as Stale });
        return undefined;
      }
      return problemText(answer.error);
    },
    [id, accept],
  );

  const edit = useCallback(
    (label: string, change: Change): Promise<Outcome> =>
      enqueue(async () => {
        const { specification, edit: basedOn } = current();
        const next = change(specification);
        return next === undefined || next === specification ? undefined : send(label.slice(0, 120), next, basedOn);
      }),
    [enqueue, current, send],
  );

  const step = useCallback(
    (direction: "undo" | "redo") => {
      void enqueue(async () => {
        const { edit: basedOn, undoLabel, redoLabel } = current();
        if ((direction === "undo" ? undoLabel : redoLabel) === null) {
          setNotice(`There is nothing to ${direction}.`);
          return;
        }
        const path = direction === "undo" ? "/api/projects/{id}/undo" : "/api/projects/{id}/redo";
        const answer: Answer = await api.POST(path, { params: { path: { id } }, body: { basedOn, who: who() } });
        if (answer.data) {
          accept(answer.data);
        } else if (answer.response.status === 409) {
          accept((answer.error as Stale).current);
          setNotice(
            `Another window had saved meanwhile; its version is shown now. ${direction === "undo" ? "Undo" : "Redo"} again if it is still wanted.`,
          );
        } else {
          setNotice(problemText(answer.error));
        }
      });
    },
    [enqueue, current, accept, id],
  );

  const settle = useCallback(
    (merged: Specification | undefined): Promise<Outcome> =>
      enqueue(async () => {
        if (!conflict) {
          return undefined;
        }
        accept(conflict.stale.current);
        setConflict(undefined);
        return merged === undefined ? undefined : send(conflict.label, merged, conflict.stale.current.edit);
      }),
    [enqueue, conflict, accept, send],
  );

  const access = useMemo(
    () => ({
      project,
      before,
      conflict,
      edit,
      undo: () => step("undo"),
      redo: () => step("redo"),
      settle,
      notice,
      dismiss: () => setNotice(undefined),
    }),
    [project, before, conflict, edit, step, settle, notice],
  );
  return { access, saving: pending > 0 };
}

/** What a value was before it became another, known in the same rendering. */
function usePrevious<T>(value: T): T | undefined {
  const [seen, setSeen] = useState<{ value: T; before: T | undefined }>({ value, before: undefined });
  if (seen.value === value) {
    return seen.before;
  }
  setSeen({ value, before: seen.value });
  return seen.value;
}

/** What a problem document says, field by field. */
export function problemText(error: unknown): string {
  const problem = error as { detail?: string; errors?: InputProblem[] } | undefined;
  const errors = problem?.errors ?? [];
  return errors.length > 0
    ? errors.map((e) => e.message).join(" ")
    : (problem?.detail ?? "The server refused the change without saying why.");
}
