import type { SunSweepAnswer } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";

const cell = { width: 34, height: 24 } as const;
const left = 64;
const bottom = 42;

/** Arrays against pumps: what the worst month gets of what is wanted, or the water of the year; the best pair is framed. */
export function SweepPicture({ sweep }: { readonly sweep: SunSweepAnswer }) {
  const units = useUnits();
  const { arraysKw, pumpsPu, pairs, best } = sweep;
  const isShare = pairs.some((p) => p.worstShare !== null);
  const most = Math.max(...pairs.map((p) => p.waterM3), 1);
  const width = left + arraysKw.length * cell.width + 8;
  const height = pumpsPu.length * cell.height + bottom;
  const pairOf = (pump: number, array: number) => pairs.find((p) => p.pumpPu === pump && p.arrayKw === array);
  const say = (share: number | null, water: number) =>
    share === null
      ? units.say(water, "m³")
      : `${n(100 * share)} % in the worst month, ${units.say(water, "m³")} a year`;
  return (
    <figure className="mt-1">
      <figcaption className="text-[13px]">
        {isShare
          ? best
            ? `Smallest array that gives what is wanted in every month: ${n(best.arrayKw)} kW with a pump of ${n(best.pumpPu)} times this one. ${say(best.worstShare, best.waterM3)}.`
            : "No pair gives what is wanted in every month."
          : "Nothing is wanted yet: the water of the year is shown."}
      </figcaption>
      <svg width={width} height={height} role="img" aria-label="Array size against pump size" className="max-w-full">
        {pumpsPu.map((pump, row) => (
          <g key={pump} transform={`translate(0 ${(pumpsPu.length - 1 - row) * cell.height})`}>
            <text x={left - 6} y={cell.height / 2 + 4} textAnchor="end" fontSize={11} fill="#5a5361">
              {n(pump)} ×
            </text>
            {arraysKw.map((array, column) => {
              const pair = pairOf(pump, array);
              const isBest = best?.arrayKw === array && best.pumpPu === pump;
              const share = pair ? (isShare ? (pair.worstShare ?? 0) : pair.waterM3 / most) : 0;
              return (
                <g key={array} transform={`translate(${left + column * cell.width} 0)`}>
                  <title>{pair ? `${n(array)} kW, pump ${n(pump)}: ${say(pair.worstShare, pair.waterM3)}` : ""}</title>
                  <rect
                    width={cell.width - 2}
                    height={cell.height - 2}
                    fill={
                      isShare && share < 1
                        ? `rgb(176 53 43 / ${0.08 + 0.5 * (1 - share)})`
                        : `rgb(51 99 143 / ${0.12 + 0.3 * Math.min(1, Math.max(0, isShare ? share - 1 : share))})`
                    }
                    stroke={isBest ? "#1f1b24" : "none"}
                    strokeWidth={2}
                  />
                  <text x={cell.width / 2 - 1} y={cell.height / 2 + 3} textAnchor="middle" fontSize={10} fill="#1f1b24">
                    {n(Math.round(100 * share), 1)}
                  </text>
                </g>
              );
            })}
          </g>
        ))}
        {arraysKw.map((array, column) => (
          <text
            key={array}
            x={left + column * cell.width + cell.width / 2 - 1}
            y={pumpsPu.length * cell.height + 14}
            textAnchor="middle"
            fontSize={10}
            fill="#5a5361"
          >
            {n(array, array < 10 ? 2 : 3)}
          </text>
        ))}
        <text
          x={left + (arraysKw.length * cell.width) / 2}
          y={height - 8}
          textAnchor="middle"
          fontSize={11}
          fill="#5a5361"
        >
          array, kW
        </text>
        <text
          x={12}
          y={(pumpsPu.length * cell.height) / 2}
          fontSize={11}
          fill="#5a5361"
          transform={`rotate(-90 12 ${(pumpsPu.length * cell.height) / 2})`}
          textAnchor="middle"
        >
          pump, times this one
        </text>
      </svg>
      <p className="text-[12px] text-soft">
        {isShare ? "Figures: % of what is wanted in the worst month." : "Figures: % of the most water."} Pumps of other
        sizes stand in the same pipe at the same head, as efficient as this one.
      </p>
    </figure>
  );
}
