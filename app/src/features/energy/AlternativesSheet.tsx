import type { Bench } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { money, n } from "../../lib/format";

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
    <Sheet title="Alternatives at equal delivered work" size="full" open onClose={onClose}>
      <p className="text-soft">
        Cheapest lifetime first; compared with: {reference?.name ?? "nothing"}. Break-even: hours in per cent of the
        duty’s, and energy price, at which both cost the same.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Alternatives, scrolls sideways">
        <table className="table mt-2">
          <thead>
            <tr>
              <th className="align-bottom">alternative</th>
              {[
                "MWh/a",
                "kW peak",
                `${currency}/a`,
                "t CO₂/a",
                `equipment ${currency}`,
                `lifetime ${currency}`,
                "payback a",
                `NPV ${currency}`,
                "break-even h %",
                `break-even ${currency}/kWh`,
                ...speeds.map((s) => `η ${100 * s} %`),
              ].map((h) => (
                <th key={h} className="num align-bottom whitespace-normal!">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {bench.alternatives.map((a) => (
              <Row key={a.id} alternative={a} isReference={a.id === bench.referenceId} />
            ))}
          </tbody>
        </table>
      </div>
      {bench.sensitivity.length > 0 && <Sensitivity bench={bench} currency={currency} />}
      <p className="mt-2 text-[12px] text-soft">
        η: busbar to shaft at that part of the rated speed, on this load. Energy is compared in kW and kWh; amperes only
        size the equipment.
      </p>
    </Sheet>
  );
}

function Row({ alternative: a, isReference }: { readonly alternative: Alternative; readonly isReference: boolean }) {
  const against = a.against;
  return (
    <tr className={a.isChosen ? "bg-plum-wash font-semibold" : ""}>
      <td className="min-w-56">
        {a.name}
        {a.isChosen && " (chosen)"}
      </td>
      <td className="num">{n(a.energyKwh / 1000)}</td>
      <td className="num">{n(a.demandKw)}</td>
      <td className="num">{money(a.costPerYear)}</td>
      <td className="num">{n(a.co2Kg / 1000)}</td>
      <td className="num">{money(a.equipmentCost)}</td>
      <td className="num">{money(a.lifetimeCost)}</td>
      {isReference ? (
        <td colSpan={4} className="text-center text-soft">
          reference
        </td>
      ) : (
        <>
          <td className="num">{against?.paybackYears == null ? "never" : n(against.paybackYears)}</td>
          <td className="num">{against ? money(against.netPresentValue) : "–"}</td>
          <td className="num">{against?.breakEvenHoursPu == null ? "–" : n(100 * against.breakEvenHoursPu)}</td>
          <td className="num">{n(against?.breakEvenEnergyPerKwh)}</td>
        </>
      )}
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

function Sensitivity({ bench, currency }: { readonly bench: Bench; readonly currency: string }) {
  const base = bench.sensitivity.find((s) => s.hoursPu === 1 && s.pricePu === 1)?.bestId;
  const prices = [...new Set(bench.sensitivity.map((s) => s.pricePu))];
  const hours = [...new Set(bench.sensitivity.map((s) => s.hoursPu))];
  return (
    <section aria-label="Sensitivity">
      <h3 className="section-title">Cheapest when hours and energy price are not what was thought</h3>
      <table className="table w-auto">
        <thead>
          <tr>
            <th>hours</th>
            {prices.map((p) => (
              <th key={p}>energy price {100 * p} %</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {hours.map((h) => (
            <tr key={h}>
              <td>{100 * h} %</td>
              {prices.map((p) => {
                const corner = bench.sensitivity.find((s) => s.hoursPu === h && s.pricePu === p);
                const turned = corner && corner.bestId !== base;
                return (
                  <td key={p} className={`pr-6 ${turned ? "font-bold text-plum" : ""}`}>
                    {turned && "↻ "}
                    {corner?.bestName}
                    <span className="block font-mono text-[12px] text-soft">
                      {money(corner?.lifetimeCost ?? 0)} {currency}
                    </span>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
