import { useQueryClient } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { type Session } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { SessionContext, sessionKey, useSessionQuery, useTakeSession } from "../../project/session";
import { SignIn } from "./SignIn";

/**
 * Lets in who is signed in. Where a session ends in the middle of work, the page stays as it is under the question for the password,
 * so that what was being typed is there afterwards.
 */
export function Door({ children }: { readonly children: ReactNode }) {
  const queries = useQueryClient();
  const session = useSessionQuery();
  const take = useTakeSession();
  const [worked, setWorked] = useState<Session>();
  const now = session.data;
  if (now && (!now.hasAccounts || now.name !== null) && now !== worked) {
    setWorked(now);
  }
  if (session.isPending) {
    return <Loading what="page" />;
  }
  if (!now) {
    return (
      <Failed
        what="The server could not be asked who is signed in."
        detail={session.error.message}
        retry={() => void session.refetch()}
      />
    );
  }
  const isOut = now.hasAccounts && now.name === null;
  const onDone = async (next: Session) => {
    await take(next);
    // Somebody else sees their own plants, not what the one before had open.
    const others = { predicate: (query: { queryKey: readonly unknown[] }) => query.queryKey[0] !== sessionKey[0] };
    void (worked?.name && worked.name !== next.name ? queries.resetQueries(others) : queries.invalidateQueries(others));
  };
  if (isOut && !worked?.name) {
    return (
      <main className="relative top-24 mx-auto w-[340px] rounded border border-rule bg-panel p-5">
        <h1 className="text-[22px] font-bold text-plum">Cuadrilla</h1>
        <p className="mb-4 text-soft">Drive lineups for plants: choose, prove, document.</p>
        <SignIn onDone={onDone} />
        <p className="mt-4 text-[12px] text-soft">
          No account? Your administrator makes one. Nobody here can read your password.
        </p>
      </main>
    );
  }
  return (
    <SessionContext.Provider value={isOut && worked ? worked : now}>
      {children}
      {isOut && (
        <div className="fixed inset-0 z-[60] flex items-start justify-center bg-ink/30 pt-24">
          <div
            role="dialog"
            aria-modal="true"
            aria-label="Signed out"
            className="w-[340px] rounded border border-rule bg-panel p-5 shadow-lg"
          >
            <h2 className="text-[16px] font-bold">Signed out</h2>
            <p className="mb-3 text-soft">The session has ended. Sign in to go on; what you were typing is kept.</p>
            <SignIn name={worked?.name ?? ""} onDone={onDone} />
          </div>
        </div>
      )}
    </SessionContext.Provider>
  );
}
