import { useState } from "react";
import type { Candidate } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { money, n } from "../../lib/format";
import { useCandidates, type CandidateKind } from "../board/CandidateSearch";
import type { Selection } from "../board/selection";
import { useChoose } from "../board/useChoose";
import { OwnConvertersSheet } from "../converters/OwnConvertersSheet";
import { OwnMotorsSheet } from "../motors/OwnMotorsSheet";
import { useProject } from "../../project/ProjectContext";
import { verdictOf } from "../board/verdictOf";
import { TechnologySheet } from "./TechnologySheet";

/** Every item of the catalogue, judged: best first, with the reason why it fits or not. */
export function CandidatesTab({ selection, kind }: { readonly selection: Selection; readonly kind: CandidateKind }) {
  const { project, run } = useProject();
  const units = useUnits();
  const candidates = useCandidates(selection.point, kind);
  const choose = useChoose();
  const [asking, setAsking] = useState<Candidate>();
  const [all, setAll] = useState(false);
  const [comparing, setComparing] = useState(false);
  const [owning, setOwning] = useState(false);
  if (candidates.isPending) {
    return <Loading what="candidates" />;
  }
  if (candidates.isError) {
    return <Failed what="The candidates could not be read." detail={candidates.error.message} />;
  }
  const list = candidates.data;
  // Best first: where the first does not fit, none does.
  const best = list[0]?.fits ? list[0] : undefined;
  const fitting = list.filter((c) => c.fits).length;
  // The first dozen, the one that stands, and what the engineer entered himself.
  const { motors, converters } = project.specification;
  const own = new Set([...motors, ...converters].map((item) => item.id));
  const shown = all ? list : list.filter((c, i) => i < 12 || c.isChosen || own.has(c.itemId));
  return (
    <>
      <p className="text-soft">
        {best === undefined
          ? list[0]?.needsData
            ? "Which one fits is open: each says what is missing."
            : `None of ${list.length} fits: each says why.`
          : `${fitting} of ${list.length} fit. Best: lowest life-cycle cost${
              best.lifetimeCost === null
                ? " (by price: the duty is open)"
                : ` in ${project.specification.tariff.currency}`
            }.`}
      </p>
      {kind === "motor" && (
        <button type="button" className="button mt-1" onClick={() => setComparing(true)}>
          Compare technologies …
        </button>
      )}
      {kind === "motor" && (
        <button type="button" className="button mt-1 ml-1" onClick={() => setOwning(true)}>
          Own motors …
        </button>
      )}
      {kind === "converter" && (
        <button type="button" className="button mt-1" onClick={() => setOwning(true)}>
          Own converters …
        </button>
      )}
      {selection.columns.length > 1 && (
        <button
          type="button"
          className="button mt-1 ml-1"
          onClick={() => void run({ kind: "size-best", pointIds: [...selection.columns], part: kind })}
        >
          Best for each of {selection.columns.length}
        </button>
      )}
      {owning && kind === "motor" && <OwnMotorsSheet onClose={() => setOwning(false)} />}
      {owning && kind === "converter" && <OwnConvertersSheet onClose={() => setOwning(false)} />}
      {comparing && (
        <TechnologySheet
          point={selection.point}
          onClose={() => setComparing(false)}
          onChoose={(c) => {
            setComparing(false);
            setAsking(c);
          }}
        />
      )}
      {asking && (
        <ReasonForm
          candidate={asking}
          best={best}
          onCancel={() => setAsking(undefined)}
          onChoose={(reason) => {
            void choose(selection.columns, asking, best, reason);
            setAsking(undefined);
          }}
        />
      )}
      <ul className="mt-1" aria-label="Candidates, best first">
        {shown.map((c) => (
          <li key={c.itemId} className={`border-b border-rule py-1 ${c.isChosen ? "bg-plum-wash" : ""}`}>
            <button
              type="button"
              className="block w-full text-left hover:bg-plum-wash"
              aria-pressed={c.isChosen}
              onClick={() =>
                c.itemId === best?.itemId || (!best && c.needsData)
                  ? void choose(selection.columns, c, best)
                  : setAsking(c)
              }
            >
              <span className="flex items-baseline gap-1.5">
                <VerdictMark verdict={verdictOf(c)} size={10} labelled />
                <span className="flex-1 font-semibold">
                  {c.name}
                  {c.itemId === best?.itemId && <span className="text-plum"> · best</span>}
                  {c.isChosen && <span className="text-plum"> · chosen</span>}
                </span>
                <span className="font-mono text-[12px]">
                  {c.lifetimeCost === null ? `${n(c.priceIndex)} pt` : money(c.lifetimeCost)}
                </span>
              </span>
              <span className="block pl-4 text-[12px] text-soft">
                {n(c.ratedCurrentA)} A · {units.sentence(c.reason)}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {shown.length < list.length && (
        <button type="button" className="button mt-2" onClick={() => setAll(true)}>
          Show all {list.length}
        </button>
      )}
    </>
  );
}

function ReasonForm({
  candidate,
  best,
  onChoose,
  onCancel,
}: {
  readonly candidate: Candidate;
  readonly best: Candidate | undefined;
  readonly onChoose: (reason: string) => void;
  readonly onCancel: () => void;
}) {
  const [reason, setReason] = useState("");
  return (
    <form
      className="my-2 border-l-4 border-plum bg-card p-2"
      onSubmit={(event) => {
        event.preventDefault();
        onChoose(reason.trim());
      }}
    >
      <label className="block">
        <span className="block">
          <strong>{candidate.name}</strong>{" "}
          {best ? `is not the best; ${best.name} is.` : "does not fit, nor does another."} Your choice stands. Why this
          one?
        </span>
        <input
          className="entry mt-1"
          value={reason}
          autoFocus
          maxLength={300}
          placeholder="spare in store, same as the neighbour, …"
          onChange={(e) => setReason(e.target.value)}
        />
      </label>
      <span className="mt-2 flex gap-2">
        <button type="submit" className="button button-main">
          Choose it
        </button>
        <button type="button" className="button" onClick={onCancel}>
          Leave it
        </button>
      </span>
    </form>
  );
}
