import type { Bench } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { CostCells, costHeads } from "./CostCells";
import { CostPicture } from "./CostPicture";
import { Sensitivity } from "./Sensitivity";

type Alternative = Bench["alternatives"][number];

const speeds = [1, 0.75, 0.5, 0.4, 0.25] as const;

/** Alternatives side by side: energy, cost, payback, present value, break-even, part speed, and where the ranking turns. */
export function AlternativesSheet({
  bench,
  currency,
  onClose,
}: {
  readonly bench: Bench;
  readonly currency: string;
  readonly onClose: () => void;
}) {
  const reference = bench.alternatives.find((a) => a.id === bench.referenceId);
  return (
    <Sheet title="Alternatives at equal delivered work" size="full" onClose={onClose}>
      <p className="text-soft">
        Lowest life-cycle cost first; compared with: {reference?.name ?? "nothing"}. Break-even: hours in per cent of
        the duty’s, and energy price, at which both cost the same.
      </p>
      <CostPicture
        of={bench.alternatives.map((a) => ({ ...a, isReference: a.id === bench.referenceId }))}
        currency={currency}
        width={720}
      />
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Alternatives, scrolls sideways">
        <table className="table mt-2">
          <thead>
            <tr>
              <th className="align-bottom">alternative</th>
              {[...costHeads(currency), ...speeds.map((s) => `η ${100 * s} %`)].map((h) => (
                <th key={h} className="num align-bottom whitespace-normal!">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {bench.alternatives.map((a, i) => (
              <Row key={a.id} place={i + 1} alternative={a} isReference={a.id === bench.referenceId} />
            ))}
          </tbody>
        </table>
      </div>
      {bench.sensitivity.length > 0 && (
        <Sensitivity corners={bench.sensitivity.map((c) => ({ ...c, bestKey: c.bestId }))} currency={currency} />
      )}
      <p className="mt-2 text-[12px] text-soft">
        η: busbar to shaft at that part of the rated speed, on this load. Energy is compared in kW and kWh; amperes only
        size the equipment.
      </p>
    </Sheet>
  );
}

function Row({
  place,
  alternative: a,
  isReference,
}: {
  readonly place: number;
  readonly alternative: Alternative;
  readonly isReference: boolean;
}) {
  return (
    <tr className={a.isChosen ? "bg-plum-wash font-semibold" : ""}>
      <td className="min-w-56">
        {place}. {a.name}
        {a.isChosen && " (chosen)"}
      </td>
      <CostCells of={a} isReference={isReference} />
      {speeds.map((s) => {
        const point = a.partSpeed.find((p) => p.speedPu === s);
        return (
          <td key={s} className="num">
            {point?.efficiencyPct?.toFixed(1) ?? "–"}
          </td>
        );
      })}
    </tr>
  );
}
