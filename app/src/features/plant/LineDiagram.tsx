import { useRef, type KeyboardEvent, type ReactNode } from "react";
import type { Check, DrivePoint, Verdict } from "../../api/client";
import { n } from "../../lib/format";
import { verdictWords, worst } from "../../lib/verdict";
import type { Selection } from "../board/selection";
import { useItems } from "../project/useCatalogue";
import { useProject } from "../project/ProjectContext";
import { layout, type Placed } from "./lineLayout";

const ink = "#1f1b24";
const soft = "#5a5361";
const plum = "#6b2e5f";
const colours: Readonly<Record<Verdict, string>> = {
  holds: "#33638f",
  tight: "#b27a12",
  fails: "#b0352b",
  "needs-data": soft,
  "not-applicable": soft,
};

/** Single-line diagram of the plant, drawn from the specification with its figures; every element leads to its entries. */
export function LineDiagram({
  onCell,
  onEntry,
}: {
  readonly onCell: (selection: Selection) => void;
  readonly onEntry: (label: string) => void;
}) {
  const { project } = useProject();
  const { specification: s, assessment } = project;
  const items = useItems();
  const drawing = useRef<SVGSVGElement>(null);
  const plan = layout(s.lineups);
  const figures = new Map(assessment.drivePoints.map((d) => [d.drivePointId, d]));
  const verdictOf = (point: string, row: Check["row"]) =>
    worst(assessment.checks.filter((c) => c.drivePointId === point && c.row === row).map((c) => c.verdict));
  const save = () => {
    if (drawing.current) {
      const text = new XMLSerializer().serializeToString(drawing.current);
      const link = document.createElement("a");
      link.href = URL.createObjectURL(new Blob([text], { type: "image/svg+xml" }));
      link.download = `${s.name.toLowerCase().replace(/[^a-z0-9]+/g, "-")}-single-line.svg`;
      link.click();
      // Only once the browser has begun to read it.
      setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
    }
  };
  const strength = s.source.strength;
  const source =
    strength.kind === "fault-level"
      ? `${strength.shortCircuitMva ?? "–"} MVA`
      : strength.kind === "generator"
        ? `generator ${strength.ratedKva ?? "–"} kVA`
        : strength.kind === "assumed-infinite"
          ? "infinite, assumed"
          : "fault level open";
  const middle = plan.width / 2;
  return (
    <section aria-label="Single-line diagram">
      <h3 className="section-title flex items-center gap-3">
        Single-line diagram
        <button type="button" className="button font-normal" onClick={save}>
          Save as SVG
        </button>
      </h3>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Single-line diagram, scrolls sideways">
        <svg
          ref={drawing}
          xmlns="http://www.w3.org/2000/svg"
          width={plan.width}
          height={plan.height}
          viewBox={`0 0 ${plan.width} ${plan.height}`}
          fontFamily="Atkinson Hyperlegible Next Variable, Atkinson Hyperlegible Next, sans-serif"
          fontSize="11"
          fill={ink}
        >
          <rect width={plan.width} height={plan.height} fill="#fbf9f5" />
          <Part
            name={`Source, ${s.source.nominalVoltageV / 1000} kV, ${source}`}
            hit={[middle - 34, 4, 260, 28]}
            onOpen={() => onEntry("Strength")}
          >
            <path d={`M${middle - 30} 14H${middle + 30}M${middle} 14V34`} stroke={ink} strokeWidth="2.5" fill="none" />
            <text x={middle + 38} y="18">
              {s.source.nominalVoltageV / 1000} kV, {s.source.frequencyHz} Hz, {source}
            </text>
          </Part>
          <Part
            name={`Transformer, ${s.transformer.ratedKva} kVA, ${s.transformer.ukPct} %`}
            verdict={worst(
              assessment.checks.filter((c) => c.id === "supply.transformer-loading").map((c) => c.verdict),
            )}
            at={[middle - 22, 48]}
            hit={[middle - 30, 34, 180, 44]}
            onOpen={() => onEntry("Rating")}
          >
            <circle cx={middle} cy="43" r="10" fill="none" stroke={ink} strokeWidth="1.8" />
            <circle cx={middle} cy="56" r="10" fill="none" stroke={ink} strokeWidth="1.8" />
            <path d={`M${middle} 66V84`} stroke={ink} strokeWidth="1.8" />
            <text x={middle + 38} y="53">
              {s.transformer.ratedKva} kVA, {s.transformer.ukPct} %
            </text>
          </Part>
          <Part name={`Bus, ${s.bus.name}`} hit={[16, 66, 200, 68]} onOpen={() => onEntry("Linear load")}>
            <path d={`M20 84H${plan.width - 20}`} stroke={ink} strokeWidth="4" />
            <text x="22" y="78">
              {s.bus.name}, {s.bus.nominalVoltageV} V
              {assessment.supply ? `, ${n(assessment.supply.busFaultKa, 3)} kA` : ", fault level open"}
            </text>
            <path d={`M36 84V112M30 104L36 114L42 104`} stroke={soft} strokeWidth="1.5" fill="none" />
            <text x="24" y="128" fill={soft}>
              {s.bus.linearLoadKw} kW linear
            </text>
          </Part>
          {plan.lineups.map((l) => (
            <g key={l.lineup.id}>
              <path d={`M${l.feedX} 84V140M${l.fromX} 140H${l.toX}`} stroke={ink} strokeWidth="2.5" fill="none" />
              <text x={l.fromX} y="135" fontWeight="bold">
                {l.lineup.tag} {l.lineup.name}
              </text>
              {l.points.map((p) => (
                <Branch
                  key={p.point.id}
                  placed={p}
                  current={figures.get(p.point.id)?.lineCurrentA ?? null}
                  motor={p.point.motor.kind === "catalogue" ? items.motors.get(p.point.motor.itemId) : undefined}
                  converterKw={
                    p.point.converter.kind === "catalogue"
                      ? items.converters.get(p.point.converter.itemId)?.ratedKw
                      : undefined
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

function Branch({
  placed: { point, x },
  current,
  motor,
  converterKw,
  verdicts,
  onCell,
}: {
  readonly placed: Placed<DrivePoint>;
  readonly current: number | null;
  readonly motor: { readonly plate: { readonly ratedPowerW: number } } | undefined;
  readonly converterKw: number | undefined;
  readonly verdicts: readonly [Verdict | undefined, Verdict | undefined];
  readonly onCell: (row: "supply" | "converter" | "motor") => void;
}) {
  return (
    <g>
      <Part name={`${point.tag} feeder`} hit={[x - 10, 142, 60, 28]} onOpen={() => onCell("supply")}>
        <path d={`M${x} 140V172`} stroke={ink} strokeWidth="1.5" />
        <text x={x + 5} y="162" fill={soft}>
          {current === null ? "– A" : `${n(current)} A`}
        </text>
      </Part>
      <Part
        name={`${point.tag} converter`}
        verdict={verdicts[0]}
        at={[x - 26, 186]}
        hit={[x - 32, 171, 88, 32]}
        onOpen={() => onCell("converter")}
      >
        <rect x={x - 14} y="172" width="28" height="28" fill="white" stroke={ink} strokeWidth="1.5" />
        <path d={`M${x - 14} 200L${x + 14} 172`} stroke={ink} strokeWidth="1.2" />
        <path d={`M${x - 10} 178h8M${x + 2} 194q2 -5 4 0t4 0`} stroke={ink} strokeWidth="1.2" fill="none" />
        <text x={x + 18} y="190" fill={soft}>
          {converterKw === undefined ? "open" : `${converterKw} kW`}
        </text>
        <path d={`M${x} 200V220`} stroke={ink} strokeWidth="1.5" />
      </Part>
      <Part
        name={`${point.tag} motor`}
        verdict={verdicts[1]}
        at={[x - 26, 236]}
        hit={[x - 32, 219, 88, 32]}
        onOpen={() => onCell("motor")}
      >
        <circle cx={x} cy="234" r="14" fill="white" stroke={ink} strokeWidth="1.5" />
        <text x={x} y="238" textAnchor="middle" fontWeight="bold">
          M
        </text>
        <text x={x + 18} y="238" fill={soft}>
          {motor ? `${motor.plate.ratedPowerW / 1000} kW` : "open"}
        </text>
      </Part>
      <text x={x} y="264" textAnchor="middle" fontWeight="bold" fill={plum}>
        {point.tag}
      </text>
      <text x={x} y="277" textAnchor="middle" fontSize="10">
        {point.name.length > 15 ? `${point.name.slice(0, 14)}…` : point.name}
      </text>
    </g>
  );
}

/** An element of the drawing: a click or Enter opens its entries; its verdict stands beside it as shape. */
function Part({
  name,
  verdict,
  at,
  hit: [x, y, width, height],
  onOpen,
  children,
}: {
  readonly name: string;
  readonly verdict?: Verdict | undefined;
  readonly at?: readonly [number, number];
  /** Left, top, width and height of the area that a pointer hits, gaps and labels included. */
  readonly hit: readonly [number, number, number, number];
  readonly onOpen: () => void;
  readonly children: ReactNode;
}) {
  const open = (event: KeyboardEvent) => {
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      onOpen();
    }
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={verdict ? `${name}, ${verdictWords[verdict]}` : name}
      className="cursor-pointer outline-none focus-visible:[filter:drop-shadow(0_0_2px_#6b2e5f)]"
      onClick={onOpen}
      onKeyDown={open}
    >
      <rect x={x} y={y} width={width} height={height} fill="transparent" />
      {children}
      {verdict && at && verdict !== "not-applicable" && <Shape verdict={verdict} x={at[0]} y={at[1]} />}
    </g>
  );
}

function Shape({ verdict, x, y }: { readonly verdict: Verdict; readonly x: number; readonly y: number }) {
  const colour = colours[verdict];
  switch (verdict) {
    case "holds":
      return <circle cx={x} cy={y} r="4.5" fill={colour} />;
    case "tight":
      return <path d={`M${x} ${y - 5}L${x + 5} ${y + 4}H${x - 5}Z`} fill={colour} />;
    case "fails":
      return (
        <path
          d={`M${x - 4.5} ${y - 4.5}h9v9h-9ZM${x - 2.5} ${y - 2.5}l5 5m0 -5l-5 5`}
          fill={colour}
          stroke="white"
          strokeWidth="1.2"
        />
      );
    default:
      return <circle cx={x} cy={y} r="4" fill="none" stroke={colour} strokeDasharray="2 1.5" strokeWidth="1.5" />;
  }
}
