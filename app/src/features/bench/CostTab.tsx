import { useState } from "react";
import type { Bench } from "../../api/client";
import { plum, soft } from "../../charts/axes";
import { Chart } from "../../charts/Chart";
import { money, n } from "../../lib/format";
import { AlternativesSheet } from "../energy/AlternativesSheet";
import { CostPicture } from "../energy/CostPicture";
import { FigureList, Missing } from "./FigureList";
import type { Reasoned } from "./ReasonSheet";

/** A year's energy and cost of the alternatives at equal delivered flow. */
export function CostTab({
  bench,
  currency,
  onFigure,
}: {
  readonly bench: Bench;
  readonly currency: string;
  readonly onFigure: (subject: Reasoned) => void;
}) {
  const [compared, setCompared] = useState(false);
  const chosen = bench.alternatives.find((a) => a.isChosen);
  const present = bench.alternatives.find((a) => a.id === "present");
  if (!chosen) {
    return <Missing names={bench.missing.length > 0 ? bench.missing : ["hours at each flow"]} />;
  }
  const data = [...chosen.points]
    .map((p) => ({
      flow: Math.round(1000 * p.levelPu) / 10,
      chosen: p.lineKw,
      present: present?.points.find((x) => x.levelPu === p.levelPu)?.lineKw ?? null,
    }))
    .sort((a, b) => a.flow - b.flow);
  return (
    <>
      <Chart
        title="Power at the meter"
        rows={data}
        along={{ key: "flow", kind: "names", label: "flow, % of rated" }}
        left={{ label: "kW", width: 52 }}
        series={[
          ...(present ? [{ key: "present", name: "as today", unit: "kW", colour: soft, shape: "bar" as const }] : []),
          { key: "chosen", name: "as specified", unit: "kW", colour: plum, shape: "bar" },
        ]}
        height={180}
      />
      <FigureList figures={bench.figures} only={["year-energy", "saving", "payback"]} onFigure={onFigure} />
      <h3 className="section-title flex flex-wrap items-center gap-2">
        Alternatives at equal delivered work
        <button type="button" className="button font-normal" onClick={() => setCompared(true)}>
          Compare all …
        </button>
      </h3>
      <CostPicture
        of={bench.alternatives.map((a) => ({ ...a, isReference: a.id === bench.referenceId }))}
        currency={currency}
      />
      {compared && <AlternativesSheet bench={bench} currency={currency} onClose={() => setCompared(false)} />}
      <table className="table">
        <thead>
          <tr>
            <th>lowest life-cycle cost first</th>
            <th className="num">MWh/a</th>
            <th className="num">{currency}/a</th>
            <th className="num">life-cycle cost, {currency}</th>
          </tr>
        </thead>
        <tbody>
          {bench.alternatives.map((a, i) => (
            <tr key={a.id} className={a.isChosen ? "bg-plum-wash font-semibold" : ""}>
              <td>
                {i + 1}. {a.name}
                {a.isChosen && " (chosen)"}
              </td>
              <td className="num">{n(a.energyKwh / 1000)}</td>
              <td className="num">{money(a.costPerYear)}</td>
              <td className="num">{money(a.lifetimeCost)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[12px] text-soft">Energy is compared in kW and kWh; amperes only size the equipment.</p>
    </>
  );
}
