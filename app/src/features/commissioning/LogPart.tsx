import { useState } from "react";
import { useInfiniteQuery } from "@tanstack/react-query";
import { api, type DrivePoint, type SiteEntry } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { useUnits } from "../../fields/useUnits";
import { when } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { resultIn } from "./commissioning";

const page = 100;

/** All entries of the plant, newest first. */
export function LogPart({
  points,
  onOpen,
}: {
  readonly points: readonly DrivePoint[];
  readonly onOpen: (pointId: string) => void;
}) {
  const { project } = useProject();
  const units = useUnits();
  const [filter, setFilter] = useState({ point: "", verdict: "", words: "" });
  const found = useInfiniteQuery({
    queryKey: ["site-log", project.id, filter],
    initialPageParam: undefined as number | undefined,
    queryFn: async ({ pageParam }): Promise<SiteEntry[]> => {
      const { data } = await api.GET("/api/projects/{id}/commissioning/log", {
        params: {
          path: { id: project.id },
          query: {
            ...(filter.point && { point: filter.point }),
            ...(filter.verdict && { verdict: filter.verdict }),
            ...(filter.words.trim() && { words: filter.words.trim() }),
            ...(pageParam !== undefined && { before: pageParam }),
            most: page,
          },
        },
      });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
    getNextPageParam: (last) => (last.length < page ? undefined : last.at(-1)?.number),
  });
  const entries = found.data?.pages.flat() ?? [];
  const tagOf = (id: string) => points.find((p) => p.id === id)?.tag ?? id;
  return (
    <div className="mt-3">
      <div className="flex flex-wrap gap-4">
        <label className="flex items-center gap-2">
          <span className="text-soft">Drive point</span>
          <select
            className="entry"
            value={filter.point}
            onChange={(e) => setFilter({ ...filter, point: e.target.value })}
          >
            <option value="">all</option>
            {points.map((p) => (
              <option key={p.id} value={p.id}>
                {p.tag} {p.name}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-2">
          <span className="text-soft">Verdict</span>
          <select
            className="entry"
            value={filter.verdict}
            onChange={(e) => setFilter({ ...filter, verdict: e.target.value })}
          >
            <option value="">all</option>
            <option value="Holds">in order</option>
            <option value="Tight">tight</option>
            <option value="Fails">not in order</option>
          </select>
        </label>
        <label className="flex items-center gap-2">
          <span className="text-soft">Words</span>
          <input
            className="entry w-52"
            maxLength={100}
            value={filter.words}
            onChange={(e) => setFilter({ ...filter, words: e.target.value })}
          />
        </label>
      </div>
      {found.isPending ? (
        <Loading what="log" />
      ) : found.isError ? (
        <Failed what="The log could not be read." detail={found.error.message} retry={() => void found.refetch()} />
      ) : entries.length === 0 ? (
        <p className="mt-3 text-soft">
          No entries{filter.point || filter.verdict || filter.words ? " like that" : " yet"}.
        </p>
      ) : (
        <>
          <table className="table mt-2" aria-label="Log">
            <thead>
              <tr>
                <th className="num">entry</th>
                <th>when</th>
                <th>who</th>
                <th>drive point</th>
                <th>step</th>
                <th>found</th>
                <th>instrument</th>
              </tr>
            </thead>
            <tbody>
              {entries.map((e) => (
                <tr key={e.number}>
                  <td className="num">{e.number}</td>
                  <td className="whitespace-nowrap">{when(e.atUtc)}</td>
                  <td>{e.who}</td>
                  <td>
                    <button type="button" className="text-plum underline" onClick={() => onOpen(e.pointId)}>
                      {tagOf(e.pointId)}
                    </button>
                  </td>
                  <td className="whitespace-nowrap">{e.stepId.replace("parameter/", "parameter ")}</td>
                  <td>
                    {resultIn(e.stepId, e.result, units)}
                    {e.note !== "" && !e.stepId.startsWith("parameter/") && (
                      <span className="text-soft"> — {e.note}</span>
                    )}
                    {e.corrects !== null && <span className="text-soft"> (corrects {e.corrects})</span>}
                    {e.simulated && <b> simulated</b>}
                  </td>
                  <td className="text-soft">{e.instrument}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {found.hasNextPage && (
            <button type="button" className="button mt-2" onClick={() => void found.fetchNextPage()}>
              Older entries
            </button>
          )}
        </>
      )}
    </div>
  );
}
