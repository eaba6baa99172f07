import { useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useContext, useEffect } from "react";
import { api, type Session } from "../api/client";
import { signedOut } from "./window";

export const sessionKey = ["session"] as const;

const alone: Session = { hasAccounts: false, name: null, role: "administrator" };

export const SessionContext = createContext<Session>(alone);

/** Who is signed in, and what they may do. */
export function useSession(): Session {
  return useContext(SessionContext);
}

const order = ["reader", "engineer", "reviewer", "administrator"] as const;

/** True where a session may what a role may. */
export function may(session: Session, least: (typeof order)[number]): boolean {
  return session.role !== null && order.indexOf(session.role) >= order.indexOf(least);
}

/** Asks who is signed in, and again when the server refuses for want of it. */
export function useSessionQuery() {
  const queries = useQueryClient();
  useEffect(() => {
    const ask = () => void queries.invalidateQueries({ queryKey: sessionKey });
    window.addEventListener(signedOut, ask);
    return () => window.removeEventListener(signedOut, ask);
  }, [queries]);
  return useQuery({
    queryKey: sessionKey,
    staleTime: Infinity,
    queryFn: async (): Promise<Session> => {
      const { data } = await api.GET("/api/session");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}

/**
 * Takes a session the server has just given. An answer still under way was made before it and would end the session again on the page,
 * so it is given up first.
 */
export function useTakeSession() {
  const queries = useQueryClient();
  return async (session: Session) => {
    await queries.cancelQueries({ queryKey: sessionKey });
    queries.setQueryData(sessionKey, session);
  };
}
