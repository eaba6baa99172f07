import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useMemo, useRef, useState } from "react";
import {
  api,
  type CommandDone,
  type InputProblem,
  type PlantCommand,
  type Project,
  type Saved,
  type Specification,
  type Stale,
  type TakeList,
} from "../api/client";
import type { Outcome } from "../components/draft";
import type { Change, Conflict, ProjectAccess } from "./ProjectContext";
import { changedBy } from "./changedBy";
import { changesOf, plain } from "./changesOf";
import { projectKey } from "./projectKey";
import { useProjectEvents } from "./useProjectEvents";

type Answer<T> = { data?: T; error?: unknown; response: Response };

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
    async (label: string, mine: Specification, on: Project): Promise<Outcome> => {
      // What is undefined is absent, as it is in JSON.
      const specification = plain(mine, on.specification);
      const changes = changesOf(on.specification, specification);
      if (changes.length === 0) {
        return undefined;
      }
      let answer: Answer<Saved>;
      try {
        answer = await api.POST("/api/projects/{id}/changes", {
          params: { path: { id } },
          // Where nobody has touched the same fields meanwhile, somebody else's edit is no obstacle.
          body: { basedOn: on.edit, label, who: who(), changes, merges: true, knows: on.stamp },
        });
      } catch {
        return "The server does not answer; nothing was saved. The entry is kept here.";
      }
      if (answer.data) {
        accept(projectOf(answer.data, specification, on));
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
        const on = current();
        const next = change(on.specification);
        return next === undefined || next === on.specification ? undefined : send(label.slice(0, 120), next, on);
      }),
    [enqueue, current, send],
  );

  const done = useCallback(
    (answer: CommandDone, on: Project): readonly string[] => {
      accept(projectOf(answer.saved, on.specification, on));
      const { notes } = answer;
      if (notes.length > 0) {
        setNotice(notes.slice(0, 4).join(" ") + (notes.length > 4 ? ` And ${notes.length - 4} more.` : ""));
      }
      return answer.createdIds;
    },
    [accept],
  );

  const takeList = useCallback(
    (list: Omit<TakeList, "basedOn" | "who">): Promise<Outcome> =>
      enqueue(async () => {
        const on = current();
        try {
          const { data, error } = await api.POST("/api/projects/{id}/drive-list", {
            params: { path: { id } },
            body: { ...list, basedOn: on.edit, who: who() },
          });
          return data ? (done(data, on), undefined) : problemText(error);
        } catch {
          return "The server does not answer; whether it took the list shows when it does.";
        }
      }),
    [enqueue, current, done, id],
  );

  const run = useCallback(
    (...commands: readonly PlantCommand[]): Promise<readonly string[]> =>
      enqueue(async () => {
        const on = current();
        let answer: Answer<CommandDone>;
        try {
          answer = await api.POST("/api/projects/{id}/commands", {
            params: { path: { id } },
            body: { basedOn: on.edit, who: who(), commands: [...commands], knows: on.stamp },
          });
        } catch {
          setNotice("The server does not answer; nothing was changed.");
          return [];
        }
        if (answer.data) {
          return done(answer.data, on);
        }
        if (answer.response.status === 409) {
          accept((answer.error as Stale).current);
          setNotice("Another window had saved meanwhile; its version is shown now. Do it again if it is still wanted.");
        } else {
          setNotice(problemText(answer.error));
        }
        return [];
      }),
    [enqueue, current, accept, done, id],
  );

  const step = useCallback(
    (direction: "undo" | "redo") => {
      void enqueue(async () => {
        const on = current();
        const { edit: basedOn, undoLabel, redoLabel } = on;
        if ((direction === "undo" ? undoLabel : redoLabel) === null) {
          setNotice(`There is nothing to ${direction}.`);
          return;
        }
        const path = direction === "undo" ? "/api/projects/{id}/undo" : "/api/projects/{id}/redo";
        let answer: Answer<Saved>;
        try {
          answer = await api.POST(path, { params: { path: { id } }, body: { basedOn, who: who(), knows: on.stamp } });
        } catch {
          setNotice(`The server does not answer; whether it could ${direction} shows when it does.`);
          return;
        }
        if (answer.data) {
          accept(projectOf(answer.data, on.specification, on));
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
        return merged === undefined ? undefined : send(conflict.label, merged, conflict.stale.current);
      }),
    [enqueue, conflict, accept, send],
  );

  useProjectEvents(id, setNotice);

  const access = useMemo(
    () => ({
      project,
      before,
      conflict,
      edit,
      run,
      takeList,
      undo: () => step("undo"),
      redo: () => step("redo"),
      settle,
      notice,
      dismiss: () => setNotice(undefined),
    }),
    [project, before, conflict, edit, run, takeList, step, settle, notice],
  );
  return { access, saving: pending > 0 };
}

/** What is in force after a write: the server leaves out what it was sent and what of the assessment stayed as it was. */
function projectOf({ changed, assessment, ...saved }: Saved, sent: Specification, on: Project): Project {
  return {
    ...saved,
    specification: saved.specification ?? sent,
    assessment: assessment ?? (changed ? changedBy(on.assessment, changed) : on.assessment),
  };
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
