import type { Specification } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { useBusNames } from "./columns";

type Standby = NonNullable<Specification["standby"]>;

const open: Standby["generator"] = {
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

/** A generator that feeds while the mains are away, in the scenarios that say so. */
export function StandbyEntry() {
  const { project, edit } = useProject();
  const s = project.specification;
  const buses = useBusNames();
  const { standby } = s;
  // From what stands when its turn comes: quick typing is ahead of what is shown.
  const change = (what: string, next: (now: Standby | null) => Standby | null) =>
    edit(what, (x) => ({ ...x, standby: next(x.standby ?? null) }));
  if (!standby) {
    return (
      <section aria-label="Standby generator">
        <h3 className="section-title flex items-center gap-2">
          Standby generator
          <button
            type="button"
            className="button font-normal"
            onClick={() => void change("Standby generator", (now) => now ?? { busId: s.source.busId, generator: open })}
          >
            Add
          </button>
        </h3>
      </section>
    );
  }
  const inUse = s.scenarios.some((x) => x.onStandby);
  return (
    <section aria-label="Standby generator">
      <h3 className="section-title flex items-center gap-2">
        Standby generator
        {!inUse && (
          <button
            type="button"
            className="button font-normal"
            onClick={() => void change("No standby generator", () => null)}
          >
            Remove
          </button>
        )}
      </h3>
      <ChoiceField
        label="Feeds"
        value={standby.busId}
        choices={buses}
        note={inUse ? undefined : "It feeds in scenarios with “generator” in the row “fed by”."}
        onCommit={(busId) => change("Bus of the standby generator", (now) => now && { ...now, busId })}
      />
      <Entries
        of={fields.SourceStrengthGenerator}
        value={standby.generator}
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
        change={(part, what) => change(what, (now) => now && { ...now, generator: { ...now.generator, ...part } })}
      />
      <p className="border-l-4 border-fails pl-2 text-[12px]">
        <b>Caution.</b> Mains and generator never together: an interlocked change-over switch by the network operator’s
        rules and local codes, licensed people. Back-feed kills; drives may start by themselves when power is back (IEC
        60204-1, 7.5).
      </p>
    </section>
  );
}
