import { useQuery } from "@tanstack/react-query";
import { Command } from "cmdk";
import { useState } from "react";
import { api, type Candidate } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { Failed, Loading } from "../../components/States";
import { VerdictMark } from "../../components/VerdictMark";
import { n } from "../../lib/format";
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
  return (
    <Sheet
      title={`Choose a ${kind}${columns.length > 1 ? ` for ${columns.length} drive points` : ""}`}
      onClose={onClose}
      size="wide"
    >
      {/* The entry stands at once, so that no key is lost while the candidates are on their way. */}
      <Command label={`Candidates, ${kind}`} filter={matches}>
        <Command.Input
          className="entry mb-2"
          value={query}
          onValueChange={setQuery}
          autoFocus
          placeholder="kW, IE class, choke …"
        />
        {candidates.isPending && <Loading what="candidates" />}
        {candidates.isError && <Failed what="The candidates could not be read." detail={candidates.error.message} />}
        {candidates.data && (
          <Command.List className="max-h-[52vh] overflow-auto">
            <Command.Empty className="p-2 text-soft">Nothing in the catalogue matches.</Command.Empty>
            {candidates.data.map((c) => (
              <Command.Item
                key={c.itemId}
                value={`${c.name} ${n(c.ratedCurrentA)} A`}
                onSelect={() => {
                  void choose(columns, c, best);
                  onClose();
                }}
                className="grid cursor-pointer grid-cols-[14px_240px_1fr] items-start gap-2 border-b border-rule px-1 py-1 data-[selected=true]:bg-plum-wash"
              >
                <span className="pt-0.5">
                  <VerdictMark verdict={verdictOf(c)} labelled />
                </span>
                <span className={c.isChosen ? "font-bold" : ""}>
                  {c.name}
                  {c.itemId === best?.itemId && <span className="text-plum"> · best</span>}
                </span>
                <span className="text-[12px] text-soft">{c.reason}</span>
              </Command.Item>
            ))}
          </Command.List>
        )}
      </Command>
    </Sheet>
  );
}

// Words in any order; the catalogue's own order stays, since it is best first.
function matches(value: string, search: string): number {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const text = ` ${value.toLowerCase()}`;
  return words.every((w) => text.includes(/^\d/.test(w) ? ` ${w}` : w)) ? 1 : 0;
}
