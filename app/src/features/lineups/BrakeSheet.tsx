import type { CheckKey, DrivePoint } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import type { PointEdit } from "../bench/usePointEdit";
import { BrakeEntry } from "./BrakeEntry";
import { BrakeLab } from "./BrakeLab";
import { ElementChecks } from "./ElementChecks";

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
