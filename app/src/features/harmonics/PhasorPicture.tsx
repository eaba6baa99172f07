import type { HarmonicStudy } from "../../api/client";
import { amber, blue, ink, plum, rule, soft } from "../../charts/axes";
import { n } from "../../lib/format";
import { storyOf } from "./harmonicWords";

const colours = [plum, blue, amber, "#7d8f69", "#8c7a5a", "#5b7a8c", "#8c5b5b", soft];
const radius = 120;

/** One order at the coupling as phasors: each front end from the origin, and tip to tail to their sum. */
export function PhasorPicture({ study, order }: { readonly study: HarmonicStudy; readonly order: number }) {
  const parts = study.contributions
    .flatMap((c) => c.orders.filter((o) => o.order === order).map((o) => ({ ...o, tag: c.tag })))
    .sort((a, b) => b.rmsA - a.rmsA)
    .slice(0, 8);
  const sum = study.contributions
    .flatMap((c) => c.orders.filter((o) => o.order === order))
    .reduce(
      (s, o) => ({
        x: s.x + o.rmsA * Math.cos((o.angleDeg * Math.PI) / 180),
        y: s.y + o.rmsA * Math.sin((o.angleDeg * Math.PI) / 180),
      }),
      { x: 0, y: 0 },
    );
  const largest = Math.max(Math.hypot(sum.x, sum.y), ...parts.map((p) => p.rmsA), 1e-9);
  const at = (a: number, deg: number) => ({
    x: 150 + ((radius * a) / largest) * Math.cos((deg * Math.PI) / 180),
    y: 150 - ((radius * a) / largest) * Math.sin((deg * Math.PI) / 180),
  });
  const story = study.stories.find((s) => s.order === order);
  const total = { a: Math.hypot(sum.x, sum.y), deg: (Math.atan2(sum.y, sum.x) * 180) / Math.PI };
  return (
    <figure aria-label={`Phasors of order ${order}`} className="flex gap-4">
      <svg width="300" height="300" role="img" aria-label={`Phasors of order ${order} at the coupling`}>
        {[0.5, 1].map((r) => (
          <circle key={r} cx="150" cy="150" r={radius * r} fill="none" stroke={rule} />
        ))}
        <path d="M20 150H280M150 20V280" stroke={rule} />
        <text x="152" y="28" fontSize="11" fill={soft}>
          {n(largest, 2)} A
        </text>
        {parts.map((p, i) => {
          const end = at(p.rmsA, p.angleDeg);
          return (
            <g key={p.tag}>
              <path d={`M150 150L${end.x} ${end.y}`} stroke={colours[i]} strokeWidth="2" />
              <circle cx={end.x} cy={end.y} r="3" fill={colours[i]} />
            </g>
          );
        })}
        {(() => {
          const end = at(total.a, total.deg);
          return (
            <>
              <path d={`M150 150L${end.x} ${end.y}`} stroke={ink} strokeWidth="3" strokeDasharray="6 3" />
              <rect x={end.x - 4} y={end.y - 4} width="8" height="8" fill={ink} />
            </>
          );
        })()}
      </svg>
      <figcaption className="min-w-0 text-[12px]">
        {story && <p className="mb-2 max-w-80 text-[13px]">{storyOf(story)}</p>}
        <table className="table" style={{ width: "auto" }} aria-label={`Parts of order ${order}`}>
          <tbody>
            {parts.map((p, i) => (
              <tr key={p.tag}>
                <td>
                  <span className="inline-block h-2 w-4" style={{ background: colours[i] }} /> {p.tag}
                </td>
                <td className="num">{n(p.rmsA, 3)} A</td>
                <td className="num">{n(p.angleDeg, 3)}°</td>
              </tr>
            ))}
            <tr>
              <td>
                <span className="inline-block h-2 w-4" style={{ background: ink }} /> together
              </td>
              <td className="num font-semibold">{n(total.a, 3)} A</td>
              <td className="num">{n(total.deg, 3)}°</td>
            </tr>
          </tbody>
        </table>
      </figcaption>
    </figure>
  );
}
