import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { Empty, Failed, Loading } from "../../components/States";
import { findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";
import { problemText, who } from "../../project/useProjectAccess";
import type { Selection } from "../board/selection";

const most = 50;

/** Drive points kept as templates for every plant of this installation: adds some like one, keeps the chosen one. */
export function TemplatesSheet({
  selection,
  onSelect,
  onClose,
}: {
  readonly selection: Selection | undefined;
  readonly onSelect: (selection: Selection) => void;
  readonly onClose: () => void;
}) {
  const { project, run } = useProject();
  const { specification } = project;
  const [count, setCount] = useState("1");
  const [problem, setProblem] = useState<string>();
  const cache = useQueryClient();
  const templates = useQuery({
    queryKey: ["templates"],
    queryFn: async () => {
      const { data } = await api.GET("/api/templates");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  const refresh = () => cache.invalidateQueries({ queryKey: ["templates"] });
  const lineup =
    specification.lineups.find((l) => l.drivePoints.some((p) => p.id === selection?.point)) ?? specification.lineups[0];

  const add = async (id: string) => {
    const wanted = Number(count);
    if (!Number.isInteger(wanted) || wanted < 1 || wanted > most) {
      setProblem(`How many: ${count === "" ? "nothing" : count}; allowed 1 to ${most}.`);
      return;
    }
    const { data, error } = await api.GET("/api/templates/{id}", { params: { path: { id } } });
    if (!data || !lineup) {
      setProblem(data ? "There is no lineup to add it to." : problemText(error));
      return;
    }
    const created = await run({
      kind: "add-like",
      ...data,
      lineupId: lineup.id,
      afterId: selection?.point ?? "",
      count: wanted,
    });
    const [first] = created;
    if (first !== undefined) {
      onClose();
      onSelect({ point: first, row: selection?.row ?? "load", columns: created });
    }
  };
  const remove = async (id: string) => {
    const { response, error } = await api.DELETE("/api/templates/{id}", { params: { path: { id } } });
    setProblem(response.ok ? undefined : problemText(error));
    await refresh();
  };

  return (
    <Sheet title="Templates of drive points" onClose={onClose}>
      <Keep selection={selection} onKept={() => void refresh()} />
      {templates.isPending && <Loading what="templates" />}
      {templates.isError && <Failed what="The templates could not be read." detail={templates.error.message} />}
      {templates.data?.length === 0 && <Empty>None is kept yet. Choose a drive point and keep it under a name.</Empty>}
      {templates.data && templates.data.length > 0 && (
        <>
          <label className="my-2 flex items-baseline gap-2">
            How many
            <input
              className="entry w-16 text-right font-mono"
              inputMode="numeric"
              value={count}
              onChange={(e) => setCount(e.target.value)}
            />
            <span className="text-soft">to {lineup ? `${lineup.tag} ${lineup.name}` : "no lineup"}</span>
          </label>
          <table className="table">
            <thead>
              <tr>
                <th>template</th>
                <th>kept</th>
                <th aria-label="actions" />
              </tr>
            </thead>
            <tbody>
              {templates.data.map((t) => (
                <tr key={t.id}>
                  <td className="whitespace-normal!">{t.name}</td>
                  <td className="text-soft">
                    {t.atUtc.slice(0, 10)}, {t.who}
                  </td>
                  <td className="text-right whitespace-nowrap">
                    <button
                      type="button"
                      className="button"
                      aria-label={`Add like ${t.name}`}
                      onClick={() => void add(t.id)}
                    >
                      Add
                    </button>{" "}
                    <button
                      type="button"
                      className="button"
                      aria-label={`Remove template ${t.name}`}
                      onClick={() => void remove(t.id)}
                    >
                      Remove
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {problem && (
        <p role="alert" className="mt-2 text-fails">
          {problem}
        </p>
      )}
    </Sheet>
  );
}

function Keep({ selection, onKept }: { readonly selection: Selection | undefined; readonly onKept: () => void }) {
  const { project } = useProject();
  const point = selection && findPoint(project.specification, selection.point);
  const [name, setName] = useState(point?.name ?? "");
  const [said, setSaid] = useState<string>();
  if (!point) {
    return null;
  }
  const keep = async () => {
    const { data, error } = await api.POST("/api/templates", {
      body: { projectId: project.id, pointId: point.id, name, who: who() },
    });
    setSaid(data ? `${point.tag} is kept as ${data.name}.` : problemText(error));
    if (data) {
      onKept();
    }
  };
  return (
    <form
      className="mb-2 border-b border-rule pb-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <label className="flex items-baseline gap-2">
        <span className="whitespace-nowrap">Keep {point.tag} as</span>
        <input className="entry flex-1" maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
        <button type="submit" className="button">
          Keep
        </button>
      </label>
      <p className="mt-1 text-[12px] text-soft">
        Load, motor, converter, cables and brake as they are; a template of the same name is replaced. For every plant
        of this installation.
      </p>
      {said && (
        <p role="status" className="text-[12px]">
          {said}
        </p>
      )}
    </form>
  );
}
