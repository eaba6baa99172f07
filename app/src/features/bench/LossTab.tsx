import type { Bench } from "../../api/client";
import { n } from "../../lib/format";
import { Missing } from "./FigureList";
import type { Reasoned } from "./ReasonSheet";

const colours = ["#8c7a5a", "#b27a12", "#7d8f69", "#33638f", "#5a5361", "#6b2e5f"];

/** Where the power goes between transformer and shaft. */
export function LossTab({
  bench,
  onFigure,
}: {
  readonly bench: Bench;
  readonly onFigure: (subject: Reasoned) => void;
}) {
  const { chain } = bench;
  const first = chain[0];
  const last = chain[chain.length - 1];
  if (!first || !last) {
    return (
      <Missing
        names={bench.missing.length > 0 ? bench.missing : ["fault level of the source, or a scenario in which it runs"]}
      />
    );
  }
  const total = first.inputW - last.outputW;
  const starts = chain.map((_, i) => chain.slice(0, i).reduce((sum, link) => sum + link.lossW, 0));
  return (
    <>
      <figure aria-label="Losses from transformer to shaft">
        <svg
          viewBox="0 0 346 46"
          className="w-full"
          role="img"
          aria-label={`Losses ${n(total / 1000)} kW of ${n(first.inputW / 1000)} kW`}
        >
          {chain.map((link, i) => {
            const width = (346 * link.lossW) / total;
            const x = (346 * (starts[i] ?? 0)) / total;
            return (
              <rect
                key={link.id}
                x={x}
                y={14}
                width={Math.max(width - 1, 0.5)}
                height={30}
                fill={colours[i % colours.length]}
              />
            );
          })}
          <text x="0" y="10" fontSize="11" fill="#5a5361">
            0
          </text>
          <text x="346" y="10" fontSize="11" fill="#5a5361" textAnchor="end">
            {n(total, 4)} W lost
          </text>
        </svg>
      </figure>
      <table className="table mt-1">
        <thead>
          <tr>
            <th>link</th>
            <th className="num">in kW</th>
            <th className="num">loss W</th>
            <th className="num">η %</th>
          </tr>
        </thead>
        <tbody>
          {chain.map((link, i) => (
            <tr key={link.id}>
              <td>
                <button
                  type="button"
                  className="flex items-baseline gap-1.5 text-left underline decoration-rule"
                  onClick={() => onFigure({ title: `${link.name}: loss`, reason: link.reason })}
                >
                  <svg width="9" height="9" aria-hidden>
                    <rect width="9" height="9" fill={colours[i % colours.length]} />
                  </svg>
                  {link.name}
                </button>
              </td>
              <td className="num">{n(link.inputW / 1000, 4)}</td>
              <td className="num">{n(link.lossW, 4)}</td>
              <td className="num">{n((100 * link.outputW) / link.inputW, 4)}</td>
            </tr>
          ))}
          <tr className="font-bold">
            <td>Shaft</td>
            <td className="num">{n(last.outputW / 1000, 4)}</td>
            <td className="num">{n(total, 4)}</td>
            <td className="num">{n((100 * last.outputW) / first.inputW, 4)}</td>
          </tr>
        </tbody>
      </table>
    </>
  );
}
