import type { Specification } from "../../api/client";
import { ChoiceField, QuantityField, TextField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";
import { useBusNames } from "./BusTables";

type Strength = Specification["source"]["strength"];

function strengthOf(kind: Strength["kind"]): Strength {
  switch (kind) {
    case "fault-level":
      return { kind, shortCircuitMva: null, leastMva: null, xrRatio: null };
    case "generator":
      return {
        kind,
        ratedKva: null,
        ratedKw: null,
        subtransientPct: null,
        transientPct: null,
        negativeSequencePct: null,
        xrRatio: null,
        governingClass: null,
      };
    default:
      return { kind };
  }
}

/** An order of the line's own distortion; its angle is asked for once there is some. */
function BackgroundFields({
  order,
  pct,
  deg,
  onPct,
  onDeg,
}: {
  readonly order: string;
  readonly pct: number | null;
  readonly deg: number | null;
  readonly onPct: (value: number | null) => Promise<Outcome>;
  readonly onDeg: (value: number | null) => Promise<Outcome>;
}) {
  return (
    <>
      <QuantityField
        label={`Background ${order}`}
        optional
        placeholder="none stated"
        quantity={quantities.percent}
        value={pct}
        onCommit={onPct}
      />
      {pct ? (
        <QuantityField
          label={`Angle of the ${order}, °`}
          optional
          placeholder="may be any"
          quantity={quantities.plain}
          value={deg}
          note="Sines, at the rising zero of the fundamental; empty: added as if in phase."
          onCommit={onDeg}
        />
      ) : null}
    </>
  );
}

type Further = NonNullable<Specification["source"]["furtherBackground"]>[number];

// What three balanced phases know beside the 5th and 7th.
const furtherOrders = Array.from({ length: 7 }, (_, i) => [6 * (i + 2) - 1, 6 * (i + 2) + 1]).flat();

const nth = (order: number): string =>
  `${order}${order % 10 === 1 && order !== 11 ? "st" : order % 10 === 3 && order !== 13 ? "rd" : "th"}`;

const changed = (all: readonly Further[], one: Further): Further[] =>
  [...all.filter((b) => b.order !== one.order), one].sort((a, b) => a.order - b.order);

/** Name, source and what the line brings with it. */
export function SourceEntry() {
  const { project, edit } = useProject();
  const s = project.specification;
  const source = (change: Partial<typeof s.source>) =>
    edit("Source", (x) => ({ ...x, source: { ...x.source, ...change } }));
  const buses = useBusNames();
  const strength = s.source.strength;
  const further = s.source.furtherBackground ?? [];
  return (
    <section>
      <h3 className="section-title">Source</h3>
      <TextField
        label="Name of the plant"
        value={s.name}
        onCommit={(name) => edit("Name of the plant", (x) => ({ ...x, name }))}
      />
      <ChoiceField label="Feeds" value={s.source.busId} choices={buses} onCommit={(busId) => source({ busId })} />
      <QuantityField
        label="Frequency"
        quantity={quantities.frequencyHz}
        value={s.source.frequencyHz}
        onCommit={(v) => source({ frequencyHz: v ?? 0 })}
      />
      <ChoiceField
        label="Strength"
        value={strength.kind}
        choices={{
          "not-stated": "not stated yet",
          "fault-level": "fault level stated",
          generator: "generator",
          "assumed-infinite": "assume infinite (optimistic)",
        }}
        note={
          strength.kind === "assumed-infinite"
            ? "The transformer alone limits the fault current; optimistic for distortion."
            : undefined
        }
        onCommit={(kind) => source({ strength: strengthOf(kind) })}
      />
      {strength.kind === "fault-level" && (
        <>
          <QuantityField
            label="Fault level, largest"
            optional
            quantity={quantities.faultMva}
            value={strength.shortCircuitMva}
            onCommit={(v) => source({ strength: { ...strength, shortCircuitMva: v } })}
          />
          <QuantityField
            label="Fault level, least"
            optional
            placeholder="as largest"
            quantity={quantities.faultMva}
            value={strength.leastMva}
            note="For dips and distortion."
            onCommit={(v) => source({ strength: { ...strength, leastMva: v } })}
          />
          <QuantityField
            label="X/R"
            optional
            quantity={quantities.plain}
            value={strength.xrRatio}
            onCommit={(v) => source({ strength: { ...strength, xrRatio: v } })}
          />
        </>
      )}
      {strength.kind === "generator" && (
        <>
          <QuantityField
            label="Generator"
            optional
            quantity={quantities.ratingKva}
            value={strength.ratedKva}
            onCommit={(v) => source({ strength: { ...strength, ratedKva: v } })}
          />
          <QuantityField
            label="Active power"
            optional
            quantity={quantities.powerKw}
            value={strength.ratedKw ?? null}
            onCommit={(v) => source({ strength: { ...strength, ratedKw: v } })}
          />
          <QuantityField
            label="Transient X′d"
            optional
            quantity={quantities.percent}
            value={strength.transientPct ?? null}
            note="Governs dips of 0.1 s and more."
            onCommit={(v) => source({ strength: { ...strength, transientPct: v } })}
          />
          <QuantityField
            label="Governing class G"
            optional
            quantity={quantities.plain}
            value={strength.governingClass ?? null}
            note="1 to 3, ISO 8528-5."
            onCommit={(v) => source({ strength: { ...strength, governingClass: v } })}
          />
          <QuantityField
            label="Subtransient X″d"
            optional
            quantity={quantities.percent}
            value={strength.subtransientPct}
            onCommit={(v) => source({ strength: { ...strength, subtransientPct: v } })}
          />
          <QuantityField
            label="Negative seq. X2"
            optional
            placeholder="as X″d"
            quantity={quantities.percent}
            value={strength.negativeSequencePct}
            onCommit={(v) => source({ strength: { ...strength, negativeSequencePct: v } })}
          />
          <QuantityField
            label="X/R"
            optional
            quantity={quantities.plain}
            value={strength.xrRatio}
            onCommit={(v) => source({ strength: { ...strength, xrRatio: v } })}
          />
        </>
      )}
      <QuantityField
        label="Lowest voltage"
        optional
        placeholder="nominal"
        quantity={quantities.percent}
        value={s.source.lowestPct ?? null}
        onCommit={(v) => source({ lowestPct: v })}
      />
      <QuantityField
        label="Highest voltage"
        optional
        placeholder="nominal"
        quantity={quantities.percent}
        value={s.source.highestPct ?? null}
        onCommit={(v) => source({ highestPct: v })}
      />
      <QuantityField
        label="Unbalance"
        optional
        placeholder="none stated"
        quantity={quantities.percent}
        value={s.source.unbalancePct}
        onCommit={(v) => source({ unbalancePct: v })}
      />
      <BackgroundFields
        order="5th"
        pct={s.source.backgroundV5Pct}
        deg={s.source.backgroundV5Deg ?? null}
        onPct={(v) => source({ backgroundV5Pct: v })}
        onDeg={(v) => source({ backgroundV5Deg: v })}
      />
      <BackgroundFields
        order="7th"
        pct={s.source.backgroundV7Pct}
        deg={s.source.backgroundV7Deg ?? null}
        onPct={(v) => source({ backgroundV7Pct: v })}
        onDeg={(v) => source({ backgroundV7Deg: v })}
      />
      {further.map((b) => (
        <BackgroundFields
          key={b.order}
          order={nth(b.order)}
          pct={b.pct}
          deg={b.deg}
          onPct={(pct) => source({ furtherBackground: changed(further, { ...b, pct }) })}
          onDeg={(deg) => source({ furtherBackground: changed(further, { ...b, deg }) })}
        />
      ))}
      <ChoiceField
        label="Background of another order"
        value="none"
        choices={{
          none: "none",
          ...Object.fromEntries(
            furtherOrders
              .filter((h) => !further.some((b) => b.order === h))
              .map((h) => [String(h), `add the ${nth(h)}`] as const),
          ),
        }}
        onCommit={(h) => source({ furtherBackground: changed(further, { order: Number(h), pct: null, deg: null }) })}
      />
    </section>
  );
}
