import type { Specification } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import type { Outcome } from "../../components/draft";
import { Entries, Entry } from "../../fields/Entries";
import { quantityIn, type Quantity } from "../../fields/units";
import { within } from "../../lib/within";
import { n } from "../../lib/format";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { useBusNames } from "./columns";

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
        sets: null,
        leadingPct: null,
        returnedPct: null,
        negativeCurrentPct: null,
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
      <Entry field={fields.BackgroundOrder.pct} label={`Background ${order}`} value={pct} onCommit={onPct} />
      {pct ? (
        <Entry field={fields.BackgroundOrder.deg} label={`Angle of the ${order}, °`} value={deg} onCommit={onDeg} />
      ) : null}
    </>
  );
}

// An operator states MVA, or the current at the voltage of the connection: S = √3·U·I.
function faultQuantity(voltageV: number): Quantity {
  const mva = quantityIn("si", "MVA");
  const perKa = (Math.sqrt(3) * voltageV) / 1000;
  return {
    ...mva,
    accepts: { ...mva.accepts, ka: { factor: perKa, offset: 0 }, a: { factor: perKa / 1000, offset: 0 } },
  };
}

const faultNote = (mva: number | null, voltageV: number) =>
  mva === null || voltageV === 0
    ? "MVA, or the current: 12 kA"
    : `${n((mva * 1000) / (Math.sqrt(3) * voltageV), 4)} kA at ${n(voltageV / 1000, 4)} kV`;

type Further = NonNullable<Specification["source"]["furtherBackground"]>[number];

// What three balanced phases know beside the 5th and 7th.
const furtherOrders = Array.from({ length: 7 }, (_, i) => [6 * (i + 2) - 1, 6 * (i + 2) + 1]).flat();

const nth = (order: number): string =>
  `${order}${order % 10 === 1 && order !== 11 ? "st" : order % 10 === 3 && order !== 13 ? "rd" : "th"}`;

const changed = (all: readonly Further[], order: number, part: Partial<Further>): Further[] => {
  const now = all.find((b) => b.order === order) ?? { order, pct: null, deg: null };
  return [...all.filter((b) => b.order !== order), { ...now, ...part }].sort((a, b) => a.order - b.order);
};

/** Name, source and what the line brings with it. */
export function SourceEntry() {
  const { project, edit } = useProject();
  const s = project.specification;
  const source = (change: Partial<typeof s.source>) =>
    edit("Source", (x) => ({ ...x, source: { ...x.source, ...change } }));
  const buses = useBusNames();
  const strength = s.source.strength;
  const strengthPart = (part: object) =>
    edit("Source", (x) => ({
      ...x,
      source: { ...x.source, strength: within(x.source.strength, strength.kind, part) },
    }));
  const background = (order: number, part: Partial<Further>) =>
    edit("Source", (x) => ({
      ...x,
      source: { ...x.source, furtherBackground: changed(x.source.furtherBackground ?? [], order, part) },
    }));
  const further = s.source.furtherBackground ?? [];
  const sourceV = s.distribution.buses.find((b) => b.id === s.source.busId)?.nominalVoltageV ?? 0;
  return (
    <section>
      <h3 className="section-title">Source</h3>
      <Entries
        of={fields.PlantSpecification}
        value={s}
        keys={["name"]}
        change={(part) => edit("Name of the plant", (x) => ({ ...x, ...part }))}
      />
      <ChoiceField label="Feeds" value={s.source.busId} choices={buses} onCommit={(busId) => source({ busId })} />
      <Entries of={fields.Source} value={s.source} keys={["frequencyHz"]} change={source} />
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
      {strength.kind === "fault-level" &&
        (["shortCircuitMva", "leastMva", "xrRatio"] as const).map((key) => (
          <Entry
            key={key}
            field={fields.SourceStrengthFaultLevel[key]}
            {...(key === "xrRatio"
              ? {}
              : { quantity: faultQuantity(sourceV), note: faultNote(strength[key], sourceV) })}
            value={strength[key]}
            onCommit={(v: number | null) => strengthPart({ [key]: v })}
          />
        ))}
      {strength.kind === "generator" && (
        <Entries
          of={fields.SourceStrengthGenerator}
          value={strength}
          keys={[
            "ratedKva",
            "ratedKw",
            "sets",
            "transientPct",
            "governingClass",
            "subtransientPct",
            "negativeSequencePct",
            "xrRatio",
            "leadingPct",
            "returnedPct",
            "negativeCurrentPct",
          ]}
          change={(part) => strengthPart(part)}
        />
      )}
      <Entries of={fields.Source} value={s.source} keys={["lowestPct", "highestPct", "unbalancePct"]} change={source} />
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
          onPct={(pct) => background(b.order, { pct })}
          onDeg={(deg) => background(b.order, { deg })}
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
        onCommit={(h) => background(Number(h), {})}
      />
    </section>
  );
}
