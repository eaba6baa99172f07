import type { Bench } from "../../api/client";
import { n } from "../../lib/format";
import { LossFlow, linkColours } from "./LossFlow";
import type { Reasoned } from "./ReasonSheet";

/** Where the power goes between transformer and shaft: now, and over the year. */
export function LossTab({
  bench,
  onFigure,
}: {
  readonly bench: Bench;
  readonly onFigure: (subject: Reasoned) => void;
}) {
  const { chain, lossYear } = bench;
  const first = chain[0];
  const last = chain.at(-1);
  if (!first || !last) {
    return null;
  }
  const total = first.inputW - last.outputW;
  const year = new Map(lossYear?.links.map((l) => [l.id, l.kwh]));
  const yearSum = [...year.values()].reduce((sum, v) => sum + v, 0);
  return (
    <>
      <h3 className="mt-3 font-semibold">Losses from transformer to shaft</h3>
      <figure aria-label="Losses from transformer to shaft">
        <LossFlow chain={chain} />
      </figure>
      <table className="table mt-1">
        <thead>
          <tr>
            <th>link</th>
            <th className="num">in kW</th>
            <th className="num">loss W</th>
            <th className="num">η %</th>
            <th className="num">kWh/a</th>
          </tr>
        </thead>
        <tbody>
          {chain.map((link, i) => (
            <tr key={link.id}>
              <td className="whitespace-normal!">
                <button
                  type="button"
                  className="flex items-baseline gap-1.5 text-left underline decoration-rule"
                  onClick={() => onFigure({ title: `${link.name}: loss`, reason: link.reason })}
                >
                  <svg width="9" height="9" className="shrink-0" aria-hidden>
                    <rect width="9" height="9" fill={linkColours[i % linkColours.length]} />
                  </svg>
                  {link.name}
                </button>
              </td>
              <td className="num">{n(link.inputW / 1000, 4)}</td>
              <td className="num">{n(link.lossW, 4)}</td>
              <td className="num">{n((100 * link.outputW) / link.inputW, 4)}</td>
              <td className="num">{n(year.get(link.id))}</td>
            </tr>
          ))}
          <tr className="font-bold">
            <td>Shaft</td>
            <td className="num">{n(last.outputW / 1000, 4)}</td>
            <td className="num">{n(total, 4)}</td>
            <td className="num">{n((100 * last.outputW) / first.inputW, 4)}</td>
            <td className="num">{lossYear ? n(yearSum) : "–"}</td>
          </tr>
        </tbody>
      </table>
      <p className="mt-1 text-[12px] text-soft">
        Losses are drawn larger than the band, all in the same measure. kWh/a: losses over the hours of the duty, the
        supply transformer left out.
        {lossYear &&
          lossYear.standbyKwh > 0 &&
          ` Left energised in the other ${n(lossYear.otherHours)} h it takes ${n(lossYear.standbyKwh)} kWh more.`}
      </p>
    </>
  );
}
