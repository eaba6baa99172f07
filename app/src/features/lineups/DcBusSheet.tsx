import type { CheckKey } from "../../api/client";
import { ChoiceField, QuantityField, TextField } from "../../components/Fields";
import { Sheet } from "../../components/Sheet";
import { changeDcBus } from "../../lib/dcBus";
import { n } from "../../lib/format";
import { quantities } from "../../lib/units";
import { useProject } from "../project/ProjectContext";
import { useCatalogue } from "../project/useCatalogue";
import { DcBusLab } from "./DcBusLab";
import { ElementChecks } from "./ElementChecks";
import { ServoEntry } from "./ServoEntry";

const kinds = {
  diode: "diode",
  "half-controlled": "half-controlled",
  "regenerative-thyristor": "regenerative, thyristor",
  active: "active",
} as const;

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
  const { lineups } = project.specification;
  const lineup = lineups.find((l) => l.dcBuses.some((b) => b.id === id));
  const bus = lineup?.dcBuses.find((b) => b.id === id);
  if (!bus) {
    return null;
  }
  const change = (what: string, part: Parameters<typeof changeDcBus>[2]) =>
    edit(`${bus.name}: ${what}`, (s) => changeDcBus(s, id, part));
  return (
    <Sheet title={`Common DC bus: ${bus.name}`} open onClose={onClose} size="full">
      <div className="grid grid-cols-[21rem_minmax(0,1fr)] gap-x-6">
        <div>
          <TextField label="Name" value={bus.name} onCommit={(name) => change("name", { name })} />
          <ChoiceField
            label="Supply module"
            value={bus.supplyModuleId}
            choices={{
              "": "choose …",
              ...Object.fromEntries(
                (data?.supplyModules ?? []).map((m) => [m.id, `${kinds[m.kind]}, ${n(m.ratedKw)} kW`]),
              ),
            }}
            onCommit={(supplyModuleId) => change("supply module", { supplyModuleId })}
          />
          <QuantityField
            label="Brake resistor"
            optional
            placeholder="none"
            quantity={quantities.resistanceOhm}
            value={bus.resistorOhm}
            onCommit={(resistorOhm) => change("brake resistor", { resistorOhm })}
          />
          <QuantityField
            label="Its continuous power"
            optional
            quantity={quantities.powerKw}
            value={bus.resistorContinuousKw}
            onCommit={(resistorContinuousKw) => change("brake resistor", { resistorContinuousKw })}
          />
          <QuantityField
            label="Busbar"
            optional
            quantity={quantities.currentA}
            value={bus.busbarA}
            onCommit={(busbarA) => change("busbar", { busbarA })}
          />
          <QuantityField
            label="Common stop in"
            optional
            placeholder="not asked"
            quantity={quantities.timeS}
            value={bus.stopTimeS}
            onCommit={(stopTimeS) => change("common stop", { stopTimeS })}
          />
          <TextField label="Reason" value={bus.reason} onCommit={(reason) => change("reason", { reason })} />
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
