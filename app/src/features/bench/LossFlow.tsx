import type { Bench } from "../../api/client";
import { n } from "../../lib/format";

/** Colours of the links, in the order of the chain. */
export const linkColours = ["#8c7a5a", "#b27a12", "#7d8f69", "#33638f", "#9a5b8a", "#5a5361", "#6b2e5f"];

const width = 346;
const height = 150;
const left = 58;
const right = 72;
const top = 18;
const band = 62;

/**
 * Power from the supply to the shaft as a band that each link makes thinner. What a link loses leaves downwards; small losses
 * are drawn larger than they are, in the same measure for all, so that they can be seen.
 */
export function LossFlow({ chain }: { readonly chain: Bench["chain"] }) {
  const first = chain[0];
  const last = chain.at(-1);
  if (!first || !last || first.inputW <= 0) {
    return null;
  }
  const total = first.inputW - last.outputW;
  const share = Math.min(0.8, total / first.inputW);
  const stretch = share > 0 ? Math.max(1, 0.5 / share) : 1;
  const thickness = (lostW: number) => (band * stretch * lostW) / first.inputW;
  const step = (width - left - right) / chain.length;
  const lostBefore = (i: number) => chain.slice(0, i).reduce((sum, l) => sum + l.lossW, 0);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
      role="img"
      aria-label={`${n(first.inputW / 1000, 4)} kW from the supply, ${n(last.outputW / 1000, 4)} kW at the shaft`}
    >
      <text x="0" y={top + band / 2 - 2} fontSize="11" fill="#1f1b24">
        supply
      </text>
      <text x="0" y={top + band / 2 + 12} fontSize="11" fill="#1f1b24" fontWeight="600">
        {n(first.inputW / 1000, 4)} kW
      </text>
      {chain.map((link, i) => {
        const x = left + i * step;
        const before = thickness(lostBefore(i));
        const loss = Math.max(0, thickness(link.lossW));
        const bottom = top + band - before;
        const colour = linkColours[i % linkColours.length] ?? "#5a5361";
        const half = x + step * 0.55;
        return (
          <g key={link.id}>
            <title>{`${link.name}: ${n(link.lossW, 4)} W lost`}</title>
            <rect x={x} y={top} width={step + 0.5} height={band - before - loss} fill="#d9c8d5" />
            <rect x={x} y={bottom - loss} width={step * 0.55} height={Math.max(loss, 0.8)} fill={colour} />
            <rect
              x={half - Math.max(loss, 0.8) / 2}
              y={bottom - loss}
              width={Math.max(loss, 0.8)}
              height={loss + 20}
              fill={colour}
            />
            <path
              d={`M${half - Math.max(loss, 5) / 2 - 3} ${bottom + 19}h${Math.max(loss, 5) + 6}l${-(Math.max(loss, 5) / 2 + 3)} 8z`}
              fill={colour}
            />
            <text x={half} y={height - 22 + (i % 2) * 13} fontSize="10" fill="#1f1b24" textAnchor="middle">
              {n(link.lossW, 3)} W
            </text>
          </g>
        );
      })}
      <path
        d={`M${width - right} ${top - 5}l12 ${(band - thickness(total)) / 2 + 5}l-12 ${(band - thickness(total)) / 2 + 5}z`}
        fill="#d9c8d5"
      />
      <text x={width} y={top + (band - thickness(total)) / 2 - 2} fontSize="11" fill="#1f1b24" textAnchor="end">
        shaft
      </text>
      <text
        x={width}
        y={top + (band - thickness(total)) / 2 + 12}
        fontSize="11"
        fill="#1f1b24"
        fontWeight="600"
        textAnchor="end"
      >
        {n(last.outputW / 1000, 4)} kW
      </text>
    </svg>
  );
}
