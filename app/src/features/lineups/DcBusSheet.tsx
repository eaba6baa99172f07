import type { CheckKey } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Sheet } from "../../components/Sheet";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { changeDcBus } from "../../lib/dcBus";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { useCatalogue } from "../../project/useCatalogue";
import { DcBusLab } from "./DcBusLab";
import { ElementChecks } from "./ElementChecks";
import { ModuleProtection } from "./ModuleProtection";
import { ServoEntry } from "./ServoEntry";

const kinds = {
  diode: "diode",
  "half-controlled": "half-controlled",
  "regenerative-thyristor": "regenerative, thyristor",
  active: "active",
} as const;

// Modules of the rated voltage that is nearest to the line's.
const modulesFor = <T extends { readonly ratedVoltageV: number }>(all: readonly T[], lineV: number): readonly T[] => {
  const far = (m: T) => Math.abs(Math.log(m.ratedVoltageV / lineV));
  const nearest = Math.min(...all.map(far));
  return all.filter((m) => far(m) <= nearest + 1e-9);
};

/** A common DC bus: what it is made of, what its checks say, and its laboratory. */
export function DcBusSheet({
  id,
  onReason,
  onCompare,
  onClose,
}: {
  readonly id: string;
  readonly onReason: (check: CheckKey) => void;
  readonly onCompare: (lineupId: string) => void;
  readonly onClose: () => void;
}) {
  const { project, edit, run } = useProject();
  const { data } = useCatalogue();
  const { lineups, distribution } = project.specification;
  const lineup = lineups.find((l) => l.dcBuses.some((b) => b.id === id));
  const bus = lineup?.dcBuses.find((b) => b.id === id);
  if (!bus) {
    return null;
  }
  const lineV = distribution.buses.find((b) => b.id === lineup?.busId)?.nominalVoltageV ?? 400;
  const change = (part: Parameters<typeof changeDcBus>[2], what: string) =>
    edit(`${bus.name}: ${what}`, (s) => changeDcBus(s, id, part));
  return (
    <Sheet title={`Common DC bus: ${bus.name}`} onClose={onClose} size="full">
      <div className="grid grid-cols-[21rem_minmax(0,1fr)] gap-x-6">
        <div>
          <Entries of={fields.CommonDcBus} value={bus} keys={["name"]} change={change} />
          <ChoiceField
            label="Supply module"
            value={bus.supplyModuleId}
            choices={{
              "": "choose …",
              ...Object.fromEntries(
                modulesFor(data?.supplyModules ?? [], lineV).map((m) => [m.id, `${kinds[m.kind]}, ${n(m.ratedKw)} kW`]),
              ),
            }}
            onCommit={(supplyModuleId) => change({ supplyModuleId }, "supply module")}
          />
          <Entries
            of={fields.CommonDcBus}
            value={bus}
            keys={["resistorOhm", "resistorContinuousKw", "busbarA", "stopTimeS", "reason"]}
            change={change}
          />
          <ModuleProtection
            bus={bus}
            plant={project.specification.cables}
            change={change}
            onPropose={() => void run({ kind: "size-module-protection", dcBusId: id })}
          />
          <h3 className="section-title">Interference</h3>
          <Entries
            of={fields.CommonDcBus}
            value={{ ...bus, emcFilter: bus.emcFilter ?? "as-delivered", linksOpen: bus.linksOpen ?? false }}
            keys={["emcFilter", "linksOpen"]}
            change={change}
          />
          <ServoEntry
            bus={bus}
            onChange={(next) =>
              edit(`${bus.name}: control`, (s) => {
                const now = s.lineups.flatMap((l) => l.dcBuses).find((b) => b.id === id);
                return now ? changeDcBus(s, id, { control: next(now.control) }) : s;
              })
            }
          />
          <ElementChecks
            label="Checks of the bus"
            name={bus.name}
            owns={(c) => c.elementId === id}
            onReason={onReason}
          />
          {lineup && (
            <button
              type="button"
              className="button mt-3 mr-2"
              onClick={() => void run({ kind: "compare-single-drives", dcBusId: id }).then(() => onCompare(lineup.id))}
            >
              Compare with single drives
            </button>
          )}
          <button
            type="button"
            className="button mt-3"
            onClick={() => {
              void run({ kind: "dissolve-dc-bus", dcBusId: id });
              onClose();
            }}
          >
            Make them single drives
          </button>
          <p className="mt-3 border-l-4 border-tight bg-ground p-2 text-[12px]">
            <strong>Caution:</strong> every member stays live from the common bus; lock out, wait for discharge, prove
            the absence of voltage at the section. A common stop is not a safety function.
          </p>
        </div>
        <DcBusLab id={id} />
      </div>
    </Sheet>
  );
}
