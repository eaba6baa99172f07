import type { BusLoad, Transformer, Verdict } from "../../api/client";
import { useUnits, type Units } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { worst } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import { ink, onGround, Part, soft } from "./LinePart";
import { busWords, type Plan, type PlacedBus, type PlacedFeeder, type PlacedStub, type PlacedTie } from "./lineLayout";

function useVerdictOf(): (element: string) => Verdict | undefined {
  const { assessment } = useProject().project;
  return (element) => worst(assessment.checks.filter((c) => c.elementId === element).map((c) => c.verdict));
}

/** The source above its bus. */
export function SourcePart({ plan, onOpen }: { readonly plan: Plan; readonly onOpen: () => void }) {
  const { source } = useProject().project.specification;
  const strength = source.strength;
  const words =
    strength.kind === "fault-level"
      ? `${strength.shortCircuitMva ?? "–"} MVA`
      : strength.kind === "generator"
        ? `generator ${strength.ratedKva ?? "–"} kVA`
        : strength.kind === "assumed-infinite"
          ? "infinite, assumed"
          : "fault level open";
  const { sourceX: x, sourceY: y } = plan;
  return (
    <Part name={`Source, ${words}`} hit={[x - 34, 4, 260, 28]} onOpen={onOpen}>
      <path d={`M${x - 30} 12H${x + 30}M${x} 12V${y}`} stroke={ink} strokeWidth="2.5" fill="none" />
      <text x={x + 38} y="18">
        {source.frequencyHz} Hz, {words}
      </text>
    </Part>
  );
}

/** A bus bar with its voltage and fault level. */
export function BusPart({
  placed: { bus, fromX, toX, y },
  onOpen,
}: {
  readonly placed: PlacedBus;
  readonly onOpen: () => void;
}) {
  const { specification, assessment } = useProject().project;
  const verdictOf = useVerdictOf();
  const found = assessment.supply?.buses.find((b) => b.busId === bus.id);
  const { name, voltage } = busWords(bus);
  const fault = !assessment.supply
    ? "fault level open"
    : !found
      ? "dead"
      : found.largestFaultKa === null
        ? "infinite"
        : found.breakingKa === null
          ? `${n(found.largestFaultKa, 3)} kA`
          : `faults ${n(found.breakingKa, 3)} kA, least ${n(found.twoPhaseKa ?? null, 3)} kA`;
  return (
    <Part
      name={`Bus, ${bus.name}`}
      verdict={verdictOf(bus.id)}
      at={[fromX + 6, y - 9]}
      hit={[fromX, y - 20, 200, 24]}
      onOpen={onOpen}
    >
      <path d={`M${fromX} ${y}H${toX}`} stroke={ink} strokeWidth="4" />
      <text x={fromX + 16} y={y - 6} {...onGround}>
        <tspan fontWeight="bold">{name}</tspan>
        {` ${voltage}${fault}`}
        {specification.pcc.busId === bus.id ? " · PCC" : ""}
      </text>
    </Part>
  );
}

/** A transformer, cable or coupler from one bar down to another. */
export function FeederPart({
  placed: { element, x, fromY, toY },
  onOpen,
}: {
  readonly placed: PlacedFeeder;
  readonly onOpen: () => void;
}) {
  const units = useUnits();
  const { assessment } = useProject().project;
  const verdictOf = useVerdictOf();
  const middle = (fromY + toY) / 2;
  if ("ratedKva" in element) {
    const loading = assessment.supply?.transformers.find((t) => t.transformerId === element.id)?.loadingPct;
    return (
      <Part
        name={`Transformer, ${element.name}, ${element.ratedKva} kVA, ${element.ukPct} %`}
        verdict={verdictOf(element.id)}
        at={[x - 22, middle]}
        hit={[x - 30, middle - 26, 150, 52]}
        onOpen={onOpen}
      >
        <path d={`M${x} ${fromY}V${middle - 16}M${x} ${middle + 16}V${toY}`} stroke={ink} strokeWidth="1.8" />
        <circle cx={x} cy={middle - 6} r="10" fill="none" stroke={ink} strokeWidth="1.8" />
        <circle cx={x} cy={middle + 6} r="10" fill="none" stroke={ink} strokeWidth="1.8" />
        <text x={x + 16} y={middle - 6}>
          {element.name}
        </text>
        <text x={x + 16} y={middle + 8}>
          {element.ratedKva} kVA {groupWords(element)}
        </text>
        <text x={x + 16} y={middle + 22} fill={soft}>
          {loading === undefined ? "" : `${n(loading, 3)} % loaded`}
        </text>
      </Part>
    );
  }
  return (
    <Part name={`Link, ${element.name}`} hit={[x - 12, middle - 26, 150, 52]} onOpen={onOpen}>
      <path
        d={`M${x} ${fromY}V${toY}`}
        stroke={ink}
        strokeWidth="1.8"
        strokeDasharray={element.kind === "cable" ? "7 3" : undefined}
      />
      <text x={x + 8} y={middle}>
        {element.name}
      </text>
      {element.kind === "cable" && (
        <text x={x + 8} y={middle + 14} fill={soft}>
          {element.lengthM === null ? "–" : units.entered(element.lengthM, "m")}, {element.parallelRuns} ×{" "}
          {element.crossSectionMm2 === null ? "–" : units.entered(element.crossSectionMm2, "mm²")}
        </text>
      )}
    </Part>
  );
}

/** A coupler or loop between the ends of two bars; open ones with a gap. */
export function TiePart({
  placed: { link, fromX, fromY, toX, toY },
  onOpen,
}: {
  readonly placed: PlacedTie;
  readonly onOpen: () => void;
}) {
  const middle = (fromX + toX) / 2;
  const open = "normallyClosed" in link && !link.normallyClosed;
  return (
    <Part
      name={`Link, ${link.name}, ${open ? "normally open" : "normally closed"}`}
      hit={[middle - 24, fromY - 16, 48, 32]}
      onOpen={onOpen}
    >
      <path
        d={`M${fromX} ${fromY}H${middle - 8}M${middle + 8} ${fromY}V${toY}H${toX}`}
        stroke={ink}
        strokeWidth="1.8"
        fill="none"
      />
      <path d={open ? `M${middle - 8} ${fromY}l14 -9` : `M${middle - 8} ${fromY}h16`} stroke={ink} strokeWidth="1.8" />
      <text x={middle} y={fromY + 15} textAnchor="middle" fontSize="10" fill={soft}>
        {open ? "open" : ""}
      </text>
    </Part>
  );
}

/** A load, capacitor bank or active filter hanging from a bar. */
export function StubPart({
  placed: { element, x, y },
  onOpen,
}: {
  readonly placed: PlacedStub;
  readonly onOpen: () => void;
}) {
  const units = useUnits();
  const verdictOf = useVerdictOf();
  const bank = "steps" in element;
  const filter = "ratedCurrentA" in element && !("kind" in element);
  return (
    <Part
      name={`${bank ? "Capacitor bank" : filter ? "Active filter" : "Load"}, ${element.name}`}
      verdict={verdictOf(element.id)}
      at={[x - 18, y + 24]}
      hit={[x - 44, y + 4, 88, 66]}
      onOpen={onOpen}
    >
      {bank ? (
        <path
          d={`M${x} ${y}V${y + 20}M${x - 10} ${y + 20}H${x + 10}M${x - 10} ${y + 26}H${x + 10}M${x} ${y + 26}V${y + 34}M${x - 7} ${y + 34}H${x + 7}`}
          stroke={ink}
          strokeWidth="1.8"
        />
      ) : filter ? (
        <>
          <path d={`M${x} ${y}V${y + 16}`} stroke={ink} strokeWidth="1.5" />
          <rect x={x - 11} y={y + 16} width="22" height="20" fill="white" stroke={ink} strokeWidth="1.5" />
          <path
            d={`M${x - 7} ${y + 26}q3.5 -9 7 0t7 0M${x - 7} ${y + 26}q1.75 5 3.5 0t3.5 0t3.5 0t3.5 0`}
            stroke={ink}
            strokeWidth="1.2"
            fill="none"
          />
        </>
      ) : element.kind === "line-motor" ? (
        <>
          <path d={`M${x} ${y}V${y + 16}`} stroke={ink} strokeWidth="1.5" />
          <circle cx={x} cy={y + 26} r="10" fill="white" stroke={ink} strokeWidth="1.5" />
          <text x={x} y={y + 30} textAnchor="middle" fontWeight="bold">
            M
          </text>
        </>
      ) : (
        <path
          d={`M${x} ${y}V${y + 32}M${x - 6} ${y + 24}L${x} ${y + 34}L${x + 6} ${y + 24}`}
          stroke={soft}
          strokeWidth="1.5"
          fill="none"
        />
      )}
      <text x={x} y={y + 49} textAnchor="middle">
        {short(element.name)}
      </text>
      <text x={x} y={y + 62} textAnchor="middle" fill={soft}>
        {bank
          ? `${element.stepKvar * element.steps} kvar${element.detuningPct === null ? "" : `, p ${element.detuningPct} %`}`
          : filter
            ? `${element.ratedCurrentA} A`
            : powerWords(element, units)}
      </text>
    </Part>
  );
}

const short = (name: string): string => (name.length > 16 ? `${name.slice(0, 15)}…` : name);

const powerWords = (load: BusLoad, units: Units): string =>
  load.kind === "line-motor" ? `${units.entered(load.ratedKw, "kW", "hp")} on the line` : `${load.powerKw} kW`;

const groupWords = (t: Transformer): string => t.vectorGroup.charAt(0).toUpperCase() + t.vectorGroup.slice(1);
