import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { api, type AccountInfo, type Role } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { when } from "../../lib/format";
import { useSession } from "../../project/session";
import { problemText } from "../../project/useProjectAccess";

const roles: readonly Role[] = ["reader", "engineer", "reviewer", "administrator"];
const key = ["accounts"];

/** All accounts: made, given another role or password, removed. */
export function Accounts() {
  const queries = useQueryClient();
  const session = useSession();
  const [problem, setProblem] = useState<string>();
  const list = useQuery({
    queryKey: key,
    staleTime: 0,
    queryFn: async (): Promise<AccountInfo[]> => {
      const { data } = await api.GET("/api/accounts");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const take = ({ data, error }: { data?: AccountInfo[] | undefined; error?: unknown }): boolean => {
    setProblem(data ? undefined : problemText(error));
    if (data) {
      queries.setQueryData(key, data);
      void queries.invalidateQueries({ queryKey: ["sessions"] });
    }
    return data !== undefined;
  };
  return (
    <section aria-label="Accounts">
      <h3 className="section-title">Accounts</h3>
      {list.isPending && <Loading what="accounts" />}
      {list.isError && (
        <Failed what="The accounts could not be read." detail={list.error.message} retry={() => void list.refetch()} />
      )}
      {list.data && (
        <table className="table">
          <thead>
            <tr>
              <th>name</th>
              <th>role</th>
              <th>made</th>
              <th>password</th>
              <th>
                <span className="sr-only">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {list.data.map((a) => (
              <Row key={a.id} account={a} isOwn={a.name === session.name} take={take} />
            ))}
          </tbody>
        </table>
      )}
      {problem && (
        <p role="alert" className="text-fails">
          {problem}
        </p>
      )}
      <NewAccount take={take} />
    </section>
  );
}

type Take = (answer: { data?: AccountInfo[] | undefined; error?: unknown }) => boolean;

function Row({
  account,
  isOwn,
  take,
}: {
  readonly account: AccountInfo;
  readonly isOwn: boolean;
  readonly take: Take;
}) {
  const [password, setPassword] = useState<string>();
  const path = { params: { path: { id: account.id } } };
  const set = async () => {
    if (take(await api.POST("/api/accounts/{id}", { ...path, body: { password: password ?? null, role: null } }))) {
      setPassword(undefined);
    }
  };
  return (
    <tr>
      <td>
        {account.name}
        {account.lockedUntilUtc !== null && (
          <span className="block text-[12px] text-fails">
            locked until {when(account.lockedUntilUtc)} after wrong passwords
          </span>
        )}
      </td>
      <td>
        <select
          className="entry"
          aria-label={`Role of ${account.name}`}
          value={account.role ?? "reader"}
          onChange={(e) =>
            void api
              .POST("/api/accounts/{id}", { ...path, body: { role: e.target.value as Role, password: null } })
              .then(take)
          }
        >
          {roles.map((role) => (
            <option key={role}>{role}</option>
          ))}
        </select>
      </td>
      <td className="whitespace-nowrap">{when(account.atUtc)}</td>
      <td>
        {password === undefined ? (
          <button type="button" className="button" onClick={() => setPassword("")}>
            New password …
          </button>
        ) : (
          <span className="flex gap-1">
            <input
              type="password"
              autoComplete="new-password"
              autoFocus
              className="entry w-36"
              aria-label={`New password of ${account.name}`}
              value={password}
              onChange={(e) => setPassword(e.target.value)}
            />
            <button type="button" className="button" onClick={() => void set()}>
              Set
            </button>
          </span>
        )}
      </td>
      <td>
        {!isOwn && (
          <button
            type="button"
            className="button"
            aria-label={`Remove ${account.name}`}
            onClick={() => void api.DELETE("/api/accounts/{id}", path).then(take)}
          >
            Remove
          </button>
        )}
      </td>
    </tr>
  );
}

function NewAccount({ take }: { readonly take: Take }) {
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const [role, setRole] = useState<Role>("engineer");
  const add = async (event: SyntheticEvent) => {
    event.preventDefault();
    if (take(await api.POST("/api/accounts", { body: { name: name.trim(), password, role } }))) {
      setName("");
      setPassword("");
    }
  };
  return (
    <form aria-label="New account" className="mt-2 flex items-end gap-2" onSubmit={(event) => void add(event)}>
      <label className="flex flex-col text-soft">
        new account
        <input className="entry w-40" autoComplete="off" value={name} onChange={(e) => setName(e.target.value)} />
      </label>
      <label className="flex flex-col text-soft">
        first password
        <input
          className="entry w-40"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
      </label>
      <label className="flex flex-col text-soft">
        role
        <select className="entry" value={role} onChange={(e) => setRole(e.target.value as Role)}>
          {roles.map((r) => (
            <option key={r}>{r}</option>
          ))}
        </select>
      </label>
      <button type="submit" className="button" disabled={name.trim() === "" || password === ""}>
        Add
      </button>
    </form>
  );
}
