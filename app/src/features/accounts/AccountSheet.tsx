import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useId, useState, type SyntheticEvent } from "react";
import { api, type OpenSession } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { Failed, Loading } from "../../components/States";
import { when } from "../../lib/format";
import { may, useSession, useTakeSession } from "../../project/session";
import { problemText } from "../../project/useProjectAccess";
import { Accounts } from "./Accounts";

/** One's own account: what it may do, its sessions, its password; all accounts for administrators. */
export function AccountSheet({ onClose }: { readonly onClose: () => void }) {
  const session = useSession();
  const queries = useQueryClient();
  const leave = async () => {
    const { data } = await api.DELETE("/api/session");
    if (data) {
      // Nothing of theirs stays in the page.
      location.assign("/");
      queries.clear();
    }
  };
  return (
    <Sheet title="Account" size="wide" onClose={onClose}>
      <p className="flex items-center gap-3">
        <span>
          Signed in as <strong>{session.name}</strong>, {session.role}: {words[session.role ?? "reader"]}
        </span>
        <button type="button" className="button ml-auto" onClick={() => void leave()}>
          Sign out
        </button>
      </p>
      <Sessions />
      <Password />
      {may(session, "administrator") && <Accounts />}
    </Sheet>
  );
}

const words = {
  reader: "reads plants and calculates.",
  engineer: "makes and changes plants.",
  reviewer: "also archives plants, opens them again and empties the bin.",
  administrator: "also manages accounts.",
} as const;

function Sessions() {
  const queries = useQueryClient();
  const key = ["sessions"];
  const list = useQuery({
    queryKey: key,
    staleTime: 0,
    queryFn: async (): Promise<OpenSession[]> => {
      const { data } = await api.GET("/api/sessions");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const end = async (id: string) => {
    const { data } = await api.DELETE("/api/sessions/{id}", { params: { path: { id } } });
    if (data) {
      queries.setQueryData(key, data);
    }
  };
  return (
    <section aria-label="Sessions">
      <h3 className="section-title">Sessions</h3>
      {list.isPending && <Loading what="sessions" />}
      {list.isError && (
        <Failed what="The sessions could not be read." detail={list.error.message} retry={() => void list.refetch()} />
      )}
      {list.data && (
        <table className="table">
          <thead>
            <tr>
              <th>who</th>
              <th>since</th>
              <th>last used</th>
              <th>browser</th>
              <th>
                <span className="sr-only">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {list.data.map((s) => (
              <tr key={s.id} className={s.isThis ? "bg-plum-wash" : ""}>
                <td className="whitespace-nowrap">{s.name}</td>
                <td className="whitespace-nowrap">{when(s.beganUtc)}</td>
                <td className="whitespace-nowrap">{when(s.seenUtc)}</td>
                <td className="max-w-[190px] truncate" title={s.device}>
                  {s.device}
                </td>
                <td>
                  {s.isThis ? (
                    <span className="whitespace-nowrap text-soft">this one</span>
                  ) : (
                    <button type="button" className="button" onClick={() => void end(s.id)}>
                      End
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="text-[12px] text-soft">
        A session ends by itself after 60 min without use, and after 12 h at the latest.
      </p>
    </section>
  );
}

function Password() {
  const id = useId();
  const queries = useQueryClient();
  const take = useTakeSession();
  const [current, setCurrent] = useState("");
  const [next, setNext] = useState("");
  const [said, setSaid] = useState<{ readonly isGood: boolean; readonly text: string }>();
  const change = async (event: SyntheticEvent) => {
    event.preventDefault();
    const { data, error } = await api.POST("/api/session/password", { body: { current, next } });
    setSaid(
      data
        ? { isGood: true, text: "Changed; your other sessions are ended." }
        : { isGood: false, text: problemText(error) },
    );
    if (data) {
      setCurrent("");
      setNext("");
      void queries.invalidateQueries({ queryKey: ["sessions"] });
      await take(data);
    }
  };
  return (
    <form aria-label="Password" onSubmit={(event) => void change(event)}>
      <h3 className="section-title">Password</h3>
      <div className="flex items-end gap-2">
        <label htmlFor={`${id}-current`} className="flex flex-col text-soft">
          until now
          <input
            id={`${id}-current`}
            type="password"
            autoComplete="current-password"
            className="entry w-48"
            value={current}
            onChange={(e) => setCurrent(e.target.value)}
          />
        </label>
        <label htmlFor={`${id}-next`} className="flex flex-col text-soft">
          from now on, 12 to 128 characters
          <input
            id={`${id}-next`}
            type="password"
            autoComplete="new-password"
            className="entry w-60"
            value={next}
            onChange={(e) => setNext(e.target.value)}
          />
        </label>
        <button type="submit" className="button" disabled={current === "" || next === ""}>
          Change
        </button>
      </div>
      {said && (
        <p role={said.isGood ? "status" : "alert"} className={said.isGood ? "text-soft" : "text-fails"}>
          {said.text}
        </p>
      )}
    </form>
  );
}
