import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import type { Project } from "../api/client";
import { useSession } from "./session";
import { projectKey } from "./projectKey";
import { windowId } from "./window";

interface EditEvent {
  readonly edit: number;
  readonly who: string;
  readonly label: string;
  readonly window: string;
}

/** Shows what somebody else, or another window, brings into force: the plant comes anew, with who and what. */
export function useProjectEvents(id: string, tell: (notice: string) => void): void {
  const queries = useQueryClient();
  // Signed in again, the line is opened again.
  const session = useSession();
  const { name } = session;
  useEffect(() => {
    // Where there is no such line, as in tests, writes still find out when they come too late.
    if (typeof EventSource === "undefined") {
      return;
    }
    if (session.hasAccounts && name === null) {
      return;
    }
    const source = new EventSource(`/api/projects/${id}/events`);
    source.addEventListener("edit", (event: MessageEvent<string>) => {
      const edit = JSON.parse(event.data) as EditEvent;
      const known = queries.getQueryData<Project>(projectKey(id))?.edit ?? 0;
      if (edit.window === windowId || edit.edit <= known) {
        return;
      }
      void queries.refetchQueries({ queryKey: projectKey(id) }).then(() => {
        void queries.invalidateQueries({ queryKey: ["bench", id] });
        void queries.invalidateQueries({ queryKey: ["history", id] });
        tell(`${edit.who}, in another window: ${edit.label}`);
      });
    });
    return () => source.close();
  }, [id, queries, tell, name, session]);
}
