import { Button } from "../../components/Button";
import { useState } from "react";
import { api, type LineupComparison } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { StudyProgress } from "../../components/StudyProgress";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { useLongStudy } from "../../project/useLongStudy";

type Way = LineupComparison["ways"][number];

/** Ways of building a lineup side by side: what each comes to, which is recommended and why; one is adopted with a reason. */
export function ComparisonSheet({ id, onClose }: { readonly id: string; readonly onClose: () => void }) {
  const { project, run } = useProject();
  const [name, setName] = useState("");
  const [reason, setReason] = useState("");
  const lineup = project.specification.lineups.find((l) => l.id === id);
  const study = useLongStudy<LineupComparison>(["ways", id], (projectId, mine, signal) =>
    api.GET("/api/projects/{id}/lineups/{lineup}/comparison", {
      params: { path: { id: projectId, lineup: id }, query: { study: mine } },
      signal,
    }),
  );
  const { query } = study;
  if (!lineup) {
    return null;
  }
  return (
    <Sheet title={`Ways to build ${lineup.tag} ${lineup.name}`} onClose={onClose} size="full">
      <div className="mb-2 flex flex-wrap items-end gap-2">
        <label className="text-soft">
          Set the present way aside as{" "}
          <input
            className="entry inline-block w-52"
            value={name}
            maxLength={60}
            placeholder="name of that way"
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <Button
          why={
            lineup.setAside.length >= 3
              ? "Three ways are set aside, the most that there can be."
              : name.trim() === "" && "Name the way first."
          }
          onClick={() => {
            void run({ kind: "set-way-aside", lineupId: id, name: name.trim() });
            setName("");
          }}
        >
          Set aside
        </Button>
        <span className="text-[12px] text-soft">The board then changes one of them; the other waits here.</span>
      </div>
      {lineup.reason !== "" && (
        <p className="mb-2 text-[13px]">
          <span className="text-soft">Adopted because</span> {lineup.reason}
        </p>
      )}
      <StudyProgress study={study} what="ways" />
      {query.data && (
        <>
          {query.data.ways.length > 1 && (
            <Recommendation comparison={query.data} reason={reason} onReason={setReason} />
          )}
          <Table
            comparison={query.data}
            currency={project.specification.tariff.currency}
            reasonGiven={reason.trim() !== ""}
            onExchange={(way) => void run({ kind: "put-on-board", lineupId: id, variantId: way.variantId })}
            onAdopt={(way) => {
              void run({ kind: "adopt-way", lineupId: id, variantId: way.variantId, reason: reason.trim() });
              setReason("");
            }}
            onDrop={(way) => void run({ kind: "drop-way", lineupId: id, variantId: way.variantId })}
          />
        </>
      )}
    </Sheet>
  );
}

function Recommendation({
  comparison,
  reason,
  onReason,
}: {
  readonly comparison: LineupComparison;
  readonly reason: string;
  readonly onReason: (reason: string) => void;
}) {
  const best = comparison.ways.find((w) => w.variantId === comparison.bestId);
  return (
    <section aria-label="Recommendation" className="mb-3 border border-rule bg-card p-3">
      <p className="font-semibold">
        Recommended: <span className="text-plum">{best?.name}</span>
      </p>
      <ul className="ml-4 list-disc text-[13px]">
        {comparison.why.map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ul>
      <label className="mt-2 block text-soft">
        Your reason{" "}
        <input
          className="entry inline-block w-[34rem]"
          value={reason}
          maxLength={300}
          placeholder="why the way you adopt is right for this plant"
          onChange={(e) => onReason(e.target.value)}
        />
      </label>
    </section>
  );
}

const rows: readonly (readonly [string, string, (w: Way) => string])[] = [
  ["Checks failing", "lineup and plant", (w) => String(w.fails)],
  ["Checks tight", "", (w) => String(w.tight)],
  ["Checks open", "need data", (w) => String(w.needsData)],
  ["Supplies installed", "kW", (w) => n(w.suppliesKw, 4)],
  ["Together at most", "kW, worst scenario", (w) => n(w.simultaneousKw, 3)],
  ["Left for extension", "% of supplies", (w) => n(w.sparePct, 2)],
  ["Line currents, sum", "A, that scenario", (w) => n(w.lineA, 3)],
  ["TDD at the PCC", "%, whole plant", (w) => (w.tddPct === null ? "open" : n(w.tddPct, 3))],
  ["Incoming cables", "with fuses and switch", (w) => String(w.incomingCables)],
  ["Exchanged on buses", "kWh an hour", (w) => n(w.exchangedKwhPerHour, 3)],
  ["Burnt", "kWh a year", (w) => n(w.burntKwh, 3)],
  ["Brake resistors", "", (w) => String(w.resistors)],
  ["Width of the modules", "mm", (w) => n(w.widthMm, 4)],
  ["One fault stops", "drives at most", (w) => String(w.stopsTogether)],
  ["Coordination", "", (w) => (w.coordination.length === 0 ? "none" : w.coordination.join("; "))],
  [
    "Energy",
    "MWh a year",
    (w) => `${n(w.energyKwh / 1000, 4)}${w.incomplete > 0 ? `, ${w.incomplete} without figures` : ""}`,
  ],
];

function Table({
  comparison,
  currency,
  reasonGiven,
  onExchange,
  onAdopt,
  onDrop,
}: {
  readonly comparison: LineupComparison;
  readonly currency: string;
  readonly reasonGiven: boolean;
  readonly onExchange: (way: Way) => void;
  readonly onAdopt: (way: Way) => void;
  readonly onDrop: (way: Way) => void;
}) {
  const { ways } = comparison;
  return (
    <table className="table" style={{ width: "auto" }} aria-label="Ways side by side">
      <thead>
        <tr>
          <th />
          {ways.map((w) => (
            <th key={w.variantId} className="align-bottom">
              {w.name}
              <span className="block text-[12px] font-normal text-soft">
                {w.variantId === "" ? "on the board" : "set aside"}
                {ways.length > 1 && w.variantId === comparison.bestId ? " · recommended" : ""}
              </span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([label, note, of]) => (
          <tr key={label}>
            <td>
              {label} {note !== "" && <span className="text-[12px] text-soft">{note}</span>}
            </td>
            {ways.map((w) => (
              <td key={w.variantId} className="max-w-80 pr-8">
                {of(w)}
              </td>
            ))}
          </tr>
        ))}
        <tr>
          <td>
            Price <span className="text-[12px] text-soft">{currency}</span>
          </td>
          {ways.map((w) => (
            <td key={w.variantId}>{n(w.equipmentCost, 4)}</td>
          ))}
        </tr>
        <tr>
          <td>
            Over the life cycle <span className="text-[12px] text-soft">{currency}</span>
          </td>
          {ways.map((w) => (
            <td key={w.variantId} className="font-semibold">
              {n(w.lifetimeCost, 4)}
            </td>
          ))}
        </tr>
        <tr>
          <td>What fails</td>
          {ways.map((w) => (
            <td key={w.variantId} className="max-w-72 text-[12px]">
              {w.worst.length === 0 ? "nothing" : w.worst.join("; ")}
            </td>
          ))}
        </tr>
        {ways.length > 1 && (
          <tr>
            <td className="text-[12px] text-soft">{reasonGiven ? "" : "Adopting asks for your reason above."}</td>
            {ways.map((w) => (
              <td key={w.variantId}>
                <span className="flex flex-wrap gap-1">
                  <Button why={!reasonGiven && "Give the reason above first."} onClick={() => onAdopt(w)}>
                    Adopt {w.name}
                  </Button>
                  {w.variantId !== "" && (
                    <>
                      <button type="button" className="button" onClick={() => onExchange(w)}>
                        Put on the board
                      </button>
                      <button type="button" className="button" onClick={() => onDrop(w)}>
                        Drop
                      </button>
                    </>
                  )}
                </span>
              </td>
            ))}
          </tr>
        )}
      </tbody>
    </table>
  );
}
