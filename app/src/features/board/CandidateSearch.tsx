import { useQuery } from "@tanstack/react-query";
import { Command } from "cmdk";
import { useState } from "react";
import { api, type Candidate } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { Failed, Loading } from "../../components/States";
import { VerdictMark } from "../../components/VerdictMark";
import { findItems, readQuery } from "../../lib/itemQuery";
import { verdictOf } from "./verdictOf";
import { useProject } from "../../project/ProjectContext";
import { useChoose } from "./useChoose";

/** Which catalogue is searched. */
export type CandidateKind = "motor" | "converter";

/** Candidates of a drive point, best first; they follow every edit. */
export function useCandidates(point: string, kind: CandidateKind, enabled = true) {
  const { project } = useProject();
  return useQuery({
    queryKey: ["bench", project.id, point, kind, project.edit],
    enabled,
    placeholderData: (previous: Candidate[] | undefined) => previous,
    queryFn: async (): Promise<Candidate[]> => {
      const params = { path: { id: project.id, point } };
      const { data } =
        kind === "motor"
          ? await api.GET("/api/projects/{id}/drive-points/{point}/motor-candidates", { params })
          : await api.GET("/api/projects/{id}/drive-points/{point}/converter-candidates", { params });
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
}

/** Search among the candidates of the selected cell, opened by typing into it. */
export function CandidateSearch({
  columns,
  point,
  kind,
  first,
  onClose,
}: {
  readonly columns: readonly string[];
  readonly point: string;
  readonly kind: CandidateKind;
  readonly first: string;
  readonly onClose: () => void;
}) {
  const candidates = useCandidates(point, kind);
  const choose = useChoose();
  const [query, setQuery] = useState(first);
  // Best first: where the first does not fit, none does.
  const best = candidates.data?.[0]?.fits ? candidates.data[0] : undefined;
  const found = candidates.data && findItems(candidates.data, readQuery(query));
  const take = (c: Candidate) => {
    void choose(columns, c, best);
    onClose();
  };
  const line = (c: Candidate) => (
    <span className="grid grid-cols-[14px_240px_1fr] items-start gap-2">
      <span className="pt-0.5">
        <VerdictMark verdict={verdictOf(c)} labelled />
      </span>
      <span className={c.isChosen ? "font-bold" : ""}>
        {c.name}
        {c.itemId === best?.itemId && <span className="text-plum"> · best</span>}
      </span>
      <span className="text-[12px] text-soft">{c.reason}</span>
    </span>
  );
  const item = (c: Candidate) => (
    <Command.Item
      key={c.itemId}
      value={c.itemId}
      onSelect={() => take(c)}
      className="cursor-pointer border-b border-rule px-1 py-1 data-[selected=true]:bg-plum-wash"
    >
      {line(c)}
    </Command.Item>
  );
  return (
    <Sheet
      title={`Choose a ${kind}${columns.length > 1 ? ` for ${columns.length} drive points` : ""}`}
      onClose={onClose}
      size="wide"
    >
      {/* The entry stands at once, so that no key is lost while the candidates are on their way. */}
      <Command label={`Candidates, ${kind}`} shouldFilter={false}>
        <Command.Input
          className="entry mb-2"
          value={query}
          onValueChange={setQuery}
          autoFocus
          placeholder={kind === "motor" ? "15 kW IE3 4-pole, 75 hp, magnet …" : "22 kW choke 4 %, active, 45 A …"}
        />
        {candidates.isPending && <Loading what="candidates" />}
        {candidates.isError && <Failed what="The candidates could not be read." detail={candidates.error.message} />}
        {found && (
          <>
            {found.why !== "" && (
              <p role="status" className="p-2 text-soft">
                {found.why}
              </p>
            )}
            <Command.List className="max-h-[52vh] overflow-auto">{found.exact.map(item)}</Command.List>
            {/* Another size is only taken by pointing at it: Enter finds nothing to take. */}
            {found.near.map((c) => (
              <button key={c.itemId} type="button" className="block w-full text-left" onClick={() => take(c)}>
                {line(c)}
              </button>
            ))}
          </>
        )}
      </Command>
    </Sheet>
  );
}
