import type { CheckKey, DrivePoint } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Sheet } from "../../components/Sheet";
import type { PointEdit } from "../bench/usePointEdit";
import { useProject } from "../../project/ProjectContext";
import { useCatalogue } from "../../project/useCatalogue";
import { BrakeEntry } from "./BrakeEntry";
import { BrakeLab } from "./BrakeLab";
import { ElementChecks } from "./ElementChecks";

/** Settings of the commands as for a kind of machine. */
function PresetChoice({ point }: { readonly point: string }) {
  const { run } = useProject();
  const { data } = useCatalogue();
  const presets = data?.brakePresets ?? [];
  return (
    <ChoiceField
      label="Preset"
      value=""
      choices={{
        "": "take settings as for …",
        ...Object.fromEntries(presets.map((p) => [p.application, p.application])),
      }}
      note="A starting point for the commands; torque, times and coil stay as entered."
      onCommit={(application) => {
        const chosen = presets.find((p) => p.application === application);
        return chosen
          ? run({ kind: "use-brake-preset", pointId: point, application: chosen.application }).then(() => undefined)
          : Promise.resolve(undefined);
      }}
    />
  );
}

/** The holding brake of a drive point: its data, its checks and its sequence in time. */
export function BrakeSheet({
  point,
  edit,
  onReason,
  onClose,
}: {
  readonly point: DrivePoint;
  readonly edit: PointEdit;
  readonly onReason: (check: CheckKey) => void;
  readonly onClose: () => void;
}) {
  const { brake } = point;
  return (
    <Sheet title={`Holding brake: ${point.tag} ${point.name}`} onClose={onClose} size="full">
      {brake.kind === "none" ? (
        <p className="text-soft">There is no brake.</p>
      ) : (
        <div className="grid grid-cols-[22rem_minmax(0,1fr)] gap-x-6">
          <div>
            <PresetChoice point={point.id} />
            <BrakeEntry brake={brake} edit={edit} />
            <ElementChecks
              label="Checks of the brake"
              name=""
              owns={(c) => c.drivePointId === point.id && c.id.startsWith("brake.")}
              onReason={onReason}
            />
            <button
              type="button"
              className="button mt-3"
              onClick={() => {
                void edit("brake taken off", (p) => ({ ...p, brake: { kind: "none" } }));
                onClose();
              }}
            >
              Take the brake off
            </button>
            <p className="mt-3 border-l-4 border-tight bg-ground p-2 text-[12px]">
              <strong>Caution:</strong> never stand under a load. Release by hand or test only with the load secured. A
              holding brake holds; stopping is the drive’s work. An emergency stop acts on the brake circuit too.
              Lifting codes, the maker’s instructions and licensed people decide; this is no safety function.
            </p>
          </div>
          <BrakeLab point={point.id} />
        </div>
      )}
    </Sheet>
  );
}
