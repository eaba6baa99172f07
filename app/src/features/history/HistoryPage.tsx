import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type HistoryEntry } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { useUnits } from "../../fields/useUnits";
import { when } from "../../lib/format";
import { placeInWords, valueInWords } from "../../project/fieldWords";
import { changes } from "../../project/merge";
import { useProject } from "../../project/ProjectContext";
import { useSession } from "../../project/session";
import { who } from "../../project/useProjectAccess";

/** Every acknowledged edit with its label; each can be compared with today and brought back. */
export function HistoryPage() {
  const { project, edit } = useProject();
  const [open, setOpen] = useState<number>();
  const [name, setName] = useState(who);
  const session = useSession();
  const history = useQuery({
    queryKey: ["history", project.id, project.edit],
    placeholderData: (previous: HistoryEntry[] | undefined) => previous,
    queryFn: async (): Promise<HistoryEntry[]> => {
      const { data } = await api.GET("/api/projects/{id}/history", { params: { path: { id: project.id } } });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const restore = async (sequence: number) => {
    const { data } = await api.GET("/api/projects/{id}/history/{sequence}", {
      params: { path: { id: project.id, sequence } },
    });
    if (data) {
      await edit(`Back to edit ${sequence}`, () => data);
    }
  };
  if (history.isPending) {
    return <Loading what="history" />;
  }
  if (history.isError) {
    return (
      <Failed
        what="The history could not be read."
        detail={history.error.message}
        retry={() => void history.refetch()}
      />
    );
  }
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">History</h2>
      {session.name !== null ? (
        <p className="mt-1 text-soft">
          Edits from this browser are signed by <strong>{session.name}</strong>.
        </p>
      ) : (
        <label className="mt-1 flex items-center gap-2 text-soft">
          Edits from this browser are signed by
          <input
            className="entry w-40"
            value={name}
            maxLength={60}
            onChange={(e) => {
              setName(e.target.value);
              localStorage.setItem("cuadrilla.who", e.target.value.trim() || "engineer");
            }}
          />
        </label>
      )}
      <table className="table mt-2">
        <thead>
          <tr>
            <th className="num">edit</th>
            <th>when</th>
            <th>who</th>
            <th>what</th>
            <th>
              <span className="sr-only">actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {history.data.map((h) => (
            <tr key={h.sequence} className={h.sequence === project.edit ? "bg-plum-wash" : ""}>
              <td className="num">{h.sequence}</td>
              <td className="whitespace-nowrap">{when(h.atUtc)}</td>
              <td>{h.who}</td>
              <td>
                {h.label}
                {open === h.sequence && <Differences sequence={h.sequence} />}
              </td>
              <td className="whitespace-nowrap">
                {h.sequence === project.edit ? (
                  <span className="text-soft">in force</span>
                ) : (
                  <>
                    <button
                      type="button"
                      className="button"
                      aria-expanded={open === h.sequence}
                      onClick={() => setOpen(open === h.sequence ? undefined : h.sequence)}
                    >
                      Compare
                    </button>{" "}
                    <button type="button" className="button" onClick={() => void restore(h.sequence)}>
                      Bring back
                    </button>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Differences({ sequence }: { readonly sequence: number }) {
  const { project } = useProject();
  const units = useUnits();
  const then = useQuery({
    queryKey: ["edit", project.id, sequence],
    queryFn: async () => {
      const { data } = await api.GET("/api/projects/{id}/history/{sequence}", {
        params: { path: { id: project.id, sequence } },
      });
      if (!data) {
        throw new Error("There is no such edit.");
      }
      return data;
    },
  });
  if (!then.data) {
    return <Loading what="that edit" />;
  }
  const found = changes(then.data, project.specification);
  return found.length === 0 ? (
    <p className="text-soft">The same as now.</p>
  ) : (
    <ul className="list-disc pl-5 text-[12px]">
      {found.slice(0, 40).map((c) => (
        <li key={c.path}>
          {placeInWords(c.path)}: <span className="font-mono">{valueInWords(c.path, c.before, units)}</span> then,{" "}
          <span className="font-mono">{valueInWords(c.path, c.after, units)}</span> now
        </li>
      ))}
    </ul>
  );
}
