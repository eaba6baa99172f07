import type { Sheet } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";

type Torque = NonNullable<Sheet["drivePoints"][number]["torque"]>;

const width = 250;
const height = 150;
const left = 40;
const bottom = 24;
const right = 16;

/** Torque over speed for paper. */
export function TorqueDrawing({ torque }: { readonly torque: Torque }) {
  const units = useUnits();
  const topSpeed = torque.points[torque.points.length - 1]?.speedRpm ?? 1;
  const topTorque = 1.08 * Math.max(...torque.points.map((p) => Math.max(p.peakNm, p.continuousNm)));
  const x = (rpm: number) => left + (rpm / topSpeed) * (width - left - right);
  const y = (nm: number) => height - bottom - (Math.min(nm, topTorque) / topTorque) * (height - bottom - 6);
  const path = (of: (p: Torque["points"][number]) => number | null) =>
    torque.points
      .flatMap((p) => {
        const value = of(p);
        return value === null ? [] : [`${x(p.speedRpm).toFixed(1)} ${y(value).toFixed(1)}`];
      })
      .join(" L ");
  return (
    <svg width={width} height={height} role="img" aria-label="Torque over speed" className="shrink-0">
      {[0, 0.25, 0.5, 0.75, 1].map((part) => (
        <g key={part} fontSize="9" fill="#5a5361">
          <path d={`M${left} ${y((part * topTorque) / 1.08)}H${width - right}`} stroke="#d8d1c4" />
          <text x={left - 4} y={y((part * topTorque) / 1.08) + 3} textAnchor="end">
            {n(units.value((part * topTorque) / 1.08, "Nm"))}
          </text>
          <text x={x(part * topSpeed)} y={height - bottom + 11} textAnchor="middle">
            {n(part * topSpeed)}
          </text>
        </g>
      ))}
      <path d={`M ${path((p) => p.peakNm)}`} fill="none" stroke="#5a5361" strokeDasharray="4 3" />
      <path d={`M ${path((p) => p.continuousNm)}`} fill="none" stroke="#6b2e5f" strokeWidth="1.8" />
      <path d={`M ${path((p) => p.loadNm)}`} fill="none" stroke="#1f1b24" strokeWidth="1.5" />
      {torque.working.map((w) => (
        <circle key={w.levelPu} cx={x(w.speedRpm)} cy={y(w.torqueNm)} r="2.6" fill="white" stroke="#1f1b24" />
      ))}
      <text x={0} y={height - 2} fontSize="9" fill="#1f1b24">
        {units.unit("Nm")} over rpm: load (dark), continuous (plum), peak (dashed)
      </text>
    </svg>
  );
}
