import { useRef, useState } from "react";
import type { Check, ConverterItem, DrivePoint, MotorItem, Verdict } from "../../api/client";
import { n } from "../../lib/format";
import { worst } from "../../lib/verdict";
import { converterPower, motorPower } from "../board/cellText";
import type { Selection } from "../board/selection";
import { useItems } from "../../project/useCatalogue";
import { useProtection } from "../protection/useProtection";
import { saveSvg } from "../../lib/saveSvg";
import { useProject } from "../../project/ProjectContext";
import { BusPart, FeederPart, SourcePart, StubPart, TiePart } from "./LineElements";
import { ink, onGround, Part, plum, soft } from "./LinePart";
import { layout, type PlacedPoint } from "./lineLayout";

/** Single-line diagram of the plant, drawn from the specification with its figures; every element leads to its entries. */
export function LineDiagram({
  onCell,
  onEntry,
}: {
  readonly onCell: (selection: Selection) => void;
  readonly onEntry: (target: string) => void;
}) {
  const { project } = useProject();
  const { specification: s, assessment } = project;
  const items = useItems();
  const drawing = useRef<SVGSVGElement>(null);
  const [whole, setWhole] = useState(false);
  const plan = layout(s);
  const faults = useFaults();
  const figures = new Map(assessment.drivePoints.map((d) => [d.drivePointId, d]));
  const verdictOf = (point: string, row: Check["row"]) =>
    worst(assessment.checks.filter((c) => c.drivePointId === point && c.row === row).map((c) => c.verdict));
  const save = () => saveSvg(drawing.current, `${s.name}-single-line`);
  return (
    <section aria-label="Single-line diagram">
      <h3 className="section-title flex items-center gap-3">
        Single-line diagram
        <button type="button" className="button font-normal" onClick={save}>
          Save as SVG
        </button>
        <button type="button" className="button font-normal" aria-pressed={whole} onClick={() => setWhole(!whole)}>
          {whole ? "Full size" : "Whole plant"}
        </button>
      </h3>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Single-line diagram, scrolls sideways">
        <svg
          ref={drawing}
          xmlns="http://www.w3.org/2000/svg"
          width={whole ? "100%" : plan.width}
          height={whole ? undefined : plan.height}
          viewBox={`0 0 ${plan.width} ${plan.height}`}
          fontFamily="Atkinson Hyperlegible Next Variable, Atkinson Hyperlegible Next, sans-serif"
          fontSize="11"
          fill={ink}
        >
          <rect width={plan.width} height={plan.height} fill="#fbf9f5" />
          <SourcePart plan={plan} onOpen={() => onEntry("Strength")} />
          {plan.ties.map((t) => (
            <TiePart key={t.link.id} placed={t} onOpen={() => onEntry(t.link.id)} />
          ))}
          {plan.feeders.map((f) => (
            <FeederPart key={f.element.id} placed={f} onOpen={() => onEntry(f.element.id)} />
          ))}
          {plan.buses.map((b) => (
            <BusPart key={b.bus.id} placed={b} onOpen={() => onEntry(b.bus.id)} />
          ))}
          {plan.stubs.map((e) => (
            <StubPart key={e.element.id} placed={e} onOpen={() => onEntry(e.element.id)} />
          ))}
          {plan.lineups.map((l) => (
            <g key={l.lineup.id}>
              <path
                d={`M${l.feedX} ${l.busY}V${l.busY + 56}M${l.fromX} ${l.busY + 56}H${l.toX}`}
                stroke={ink}
                strokeWidth="2.5"
                fill="none"
              />
              <text x={l.fromX} y={l.busY + 51} fontWeight="bold" {...onGround}>
                {l.lineup.tag} {l.lineup.name}
              </text>
              {l.points.map((p) => (
                <Branch
                  key={p.point.id}
                  placed={p}
                  top={l.busY + 56}
                  current={figures.get(p.point.id)?.lineCurrentA ?? null}
                  fault={faults(p.point.id)}
                  motor={p.point.motor.kind === "catalogue" ? items.motors.get(p.point.motor.itemId) : undefined}
                  starter={starterWords(p.point.converter.kind)}
                  converter={
                    p.point.converter.kind === "catalogue" ? items.converters.get(p.point.converter.itemId) : undefined
                  }
                  verdicts={[verdictOf(p.point.id, "converter"), verdictOf(p.point.id, "motor")]}
                  onCell={(row) => onCell({ point: p.point.id, row, columns: [p.point.id] })}
                />
              ))}
            </g>
          ))}
        </svg>
      </div>
    </section>
  );
}

// The largest is that of the converter's own check; the least stands in the cable schedule.
function useFaults(): (pointId: string) => string {
  const { project } = useProject();
  const plan = useProtection().data;
  const largest = new Map(
    project.assessment.checks
      .filter((c) => c.id === "converter.short-circuit-rating")
      .map((c) => [c.drivePointId, c.figure]),
  );
  const rows = new Map(plan?.cables.filter((c) => c.role === "feeder").map((c) => [c.drivePointId, c]));
  return (id) => {
    const row = rows.get(id);
    const most = largest.get(id) ?? row?.largestFaultKa;
    return most == null ? "" : `↯ ${n(most)}${row?.leastFaultKa == null ? "" : ` / ${n(row.leastFaultKa)}`} kA`;
  };
}

function Branch({
  placed: { point, x },
  top: y,
  current,
  fault,
  motor,
  converter,
  starter,
  verdicts,
  onCell,
}: {
  readonly placed: PlacedPoint;
  /** Height of the lineup's busbar. */
  readonly top: number;
  readonly current: number | null;
  /** Fault currents at the end of its feeder in words; empty while not known. */
  readonly fault: string;
  readonly motor: MotorItem | undefined;
  readonly converter: ConverterItem | undefined;
  readonly starter: string | undefined;
  readonly verdicts: readonly [Verdict | undefined, Verdict | undefined];
  readonly onCell: (row: "supply" | "converter" | "motor") => void;
}) {
  return (
    <g>
      <Part name={`${point.tag} feeder`} hit={[x - 10, y + 2, 82, 28]} onOpen={() => onCell("supply")}>
        <path d={`M${x} ${y}V${y + 32}`} stroke={ink} strokeWidth="1.5" />
        <text x={x + 5} y={y + 14} fill={soft}>
          {current === null ? "– A" : `${n(current)} A`}
        </text>
        <text x={x + 5} y={y + 27} fill={soft} fontSize="9.5">
          {fault && (
            <title>
              Fault current at the end of the feeder: largest, to withstand and break / least, to disconnect
            </title>
          )}
          {fault}
        </text>
      </Part>
      <Part
        name={`${point.tag} converter`}
        verdict={verdicts[0]}
        at={[x - 26, y + 46]}
        hit={[x - 32, y + 31, 88, 32]}
        onOpen={() => onCell("converter")}
      >
        <rect x={x - 14} y={y + 32} width="28" height="28" fill="white" stroke={ink} strokeWidth="1.5" />
        {starter === undefined && (
          <path d={`M${x - 14} ${y + 60}L${x + 14} ${y + 32}`} stroke={ink} strokeWidth="1.2" />
        )}
        <path
          d={
            starter === undefined
              ? `M${x - 10} ${y + 38}h8M${x + 2} ${y + 54}q2 -5 4 0t4 0`
              : `M${x} ${y + 32}V${y + 40}l8 10M${x} ${y + 52}V${y + 60}`
          }
          stroke={ink}
          strokeWidth="1.2"
          fill="none"
        />
        <text x={x + 18} y={y + 50} fill={soft}>
          {starter ?? (converter === undefined ? "open" : converterPower(converter))}
        </text>
        <path d={`M${x} ${y + 60}V${y + 80}`} stroke={ink} strokeWidth="1.5" />
      </Part>
      <Part
        name={`${point.tag} motor`}
        verdict={verdicts[1]}
        at={[x - 26, y + 96]}
        hit={[x - 32, y + 79, 88, 32]}
        onOpen={() => onCell("motor")}
      >
        <circle cx={x} cy={y + 94} r="14" fill="white" stroke={ink} strokeWidth="1.5" />
        <text x={x} y={y + 98} textAnchor="middle" fontWeight="bold">
          M
        </text>
        <text x={x + 18} y={y + 98} fill={soft}>
          {motor ? motorPower(motor) : "open"}
        </text>
      </Part>
      <text x={x} y={y + 124} textAnchor="middle" fontWeight="bold" fill={plum}>
        {point.tag}
      </text>
      <text x={x} y={y + 137} textAnchor="middle" fontSize="10">
        {point.name.length > 15 ? `${point.name.slice(0, 14)}…` : point.name}
      </text>
    </g>
  );
}

/** A few letters for what starts a motor on the line; undefined for converters. */
function starterWords(kind: DrivePoint["converter"]["kind"]): string | undefined {
  switch (kind) {
    case "across-the-line":
      return "direct";
    case "star-delta":
      return "Y–Δ";
    case "soft-starter":
      return "soft";
    default:
      return undefined;
  }
}
