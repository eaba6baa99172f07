import { lazy, Suspense, useState } from "react";
import type { CheckKey, DrivePoint } from "../../api/client";
import { ChoiceField } from "../../components/Fields";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { findPoint } from "../../lib/specification";
import type { Row } from "../board/selection";
import { CatalogueConverterEntry } from "./CatalogueConverterEntry";
import { LinkDrawing } from "./LinkDrawing";
import { StarterEntry } from "../starting/StarterEntry";
import { feedNames } from "../starting/feeds";
import { useProject } from "../../project/ProjectContext";
import { useItems } from "../../project/useCatalogue";
import { PointInterferenceEntry } from "../interference/PointEntry";
import { DeviceEntry } from "../protection/DeviceEntry";
import { FeederFields } from "../protection/FeederFields";
import { InstallationEntry } from "../protection/InstallationEntry";
import { LoadEntry } from "./LoadEntry";
import { SkipBandEntry } from "./SkipBandEntry";
import { usePointEdit, type PointEdit } from "./usePointEdit";

const BrakeSheet = lazy(async () => ({ default: (await import("../lineups/BrakeSheet")).BrakeSheet }));

/** The entries of a cell. With several columns selected, an entry of cable, feeder or choice settings applies to all. */
export function EntryTab({
  point,
  row,
  columns,
  onReason,
}: {
  readonly point: DrivePoint;
  readonly row: Row;
  readonly columns: readonly string[];
  readonly onReason: (check: CheckKey) => void;
}) {
  const one = usePointEdit([point.id]);
  const all = usePointEdit(columns);
  // Entries of a load belong to its kind.
  const { project } = useProject();
  const alike = columns.filter((id) => findPoint(project.specification, id)?.load.kind === point.load.kind);
  const loads = usePointEdit(alike);
  const applies = row === "load" ? alike : columns;
  return (
    <>
      {columns.length > 1 && (
        <p className="text-[12px] text-plum">
          Applies to {applies.map((id) => findPoint(project.specification, id)?.tag).join(", ")}
          {applies.length < columns.length && ": the selected loads of this kind"}
          {row === "load" && "; tag and name to one."}
        </p>
      )}
      {row === "load" && (
        <>
          <Entries
            of={fields.DrivePoint}
            value={point}
            keys={["tag", "name"]}
            change={(part, what) => one(what, (p) => ({ ...p, ...part }))}
          />
          <LoadEntry point={point} edit={loads} editKind={all} />
        </>
      )}
      {row === "supply" && (
        <>
          <FeederEntry point={point} edit={all} />
          {point.converter.kind !== "of-group" && (
            <>
              <DeviceEntry point={point} columns={columns} edit={all} />
              <PointInterferenceEntry point={point} keys={["earthDouble", "earthMonitored"]} residual edit={all} />
            </>
          )}
        </>
      )}
      {row === "cable" && <CableEntry point={point} columns={columns} edit={all} />}
      {row === "motor" && (
        <>
          <MotorEntry point={point} edit={all} />
          <PointInterferenceEntry point={point} keys={["frameBonded", "shaftRing"]} edit={all} />
          <BrakeButton point={point} edit={one} onReason={onReason} />
        </>
      )}
      {row === "converter" && (
        <>
          <ConverterEntry point={point} columns={columns} edit={all} />
          {point.converter.kind === "catalogue" && (
            <PointInterferenceEntry point={point} keys={["filter", "linksOpen", "commonModeCores"]} edit={all} />
          )}
        </>
      )}
    </>
  );
}

interface Props {
  readonly point: DrivePoint;
  readonly edit: PointEdit;
}

function FeederEntry({ point, edit }: Props) {
  const { project } = useProject();
  return (
    <FeederFields
      feeder={point.feeder}
      plant={project.specification.cables}
      change={(next, what) => edit(what, (p) => ({ ...p, feeder: next(p.feeder) }))}
    />
  );
}

function CableEntry({ point, columns, edit }: Props & { readonly columns: readonly string[] }) {
  const { project, run } = useProject();
  const { cable } = point;
  const withCable = (change: Partial<DrivePoint["cable"]>) => (p: DrivePoint) => ({
    ...p,
    cable: { ...p.cable, ...change },
  });
  return (
    <>
      <Entries
        of={fields.MotorCable}
        value={cable}
        keys={["lengthM", "crossSectionMm2", "parallelRuns", "material", "screened", "protectiveMm2"]}
        change={(part, what) => edit(`cable ${what}`, withCable(part))}
      />
      <InstallationEntry
        own={cable.installation}
        plant={project.specification.cables}
        onChange={(next, what) =>
          edit(`cable ${what}`, (p) => ({ ...p, cable: { ...p.cable, installation: next(p.cable.installation) } }))
        }
      />
      <Entries
        of={fields.MotorCable}
        value={cable}
        keys={["reason"]}
        change={(part, what) => edit(`cable ${what}`, withCable(part))}
      />
      <button
        type="button"
        className="button mt-2"
        title="The smallest sections that hold all that is asked, for the device that is chosen or else proposed."
        onClick={() => void run({ kind: "size-protection", pointIds: [...columns], part: "cables", device: "usual" })}
      >
        Propose sections
      </button>
    </>
  );
}

type CatalogueMotor = Extract<DrivePoint["motor"], { kind: "catalogue" }>;

function MotorEntry({ point, edit }: Props) {
  const { motor } = point;
  if (motor.kind === "not-chosen") {
    return <p className="text-soft">No motor yet. Choose one under Candidates, or type its kW in the cell.</p>;
  }
  const withMotor = (change: Partial<CatalogueMotor>) => (p: DrivePoint) =>
    p.motor.kind === "catalogue" ? { ...p, motor: { ...p.motor, ...change } } : p;
  return (
    <>
      <Entries
        of={fields.MotorChoiceFromCatalogue}
        value={motor}
        keys={["cooling", "riseUsed", "connection", "insulatedBearing", "thermistorTrips"]}
        change={(part, what) => edit(what, withMotor(part))}
      />
      <SkipBandEntry
        bands={point.skipBands}
        onChange={(skipBands) => edit("skip bands", (p) => ({ ...p, skipBands: [...skipBands] }))}
      />
      <LinkDrawing link={motor.connection} />
      <Entries
        of={fields.MotorChoiceFromCatalogue}
        value={motor}
        keys={["reason"]}
        change={(part, what) => edit(what, withMotor(part))}
      />
      <button
        type="button"
        className="button mt-2"
        onClick={() => void edit("motor taken off", (p) => ({ ...p, motor: { kind: "not-chosen" } }))}
      >
        Take the motor off
      </button>
    </>
  );
}

function BrakeButton({ point, edit, onReason }: Props & { readonly onReason: (check: CheckKey) => void }) {
  const { run } = useProject();
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="button mt-2 mr-2"
        onClick={() => {
          if (point.brake.kind === "none") {
            void run({ kind: "add-holding-brake", pointId: point.id });
          }
          setOpen(true);
        }}
      >
        {point.brake.kind === "none" ? "Add a holding brake" : "Holding brake and its sequence"}
      </button>
      <Suspense fallback={null}>
        {open && <BrakeSheet point={point} edit={edit} onReason={onReason} onClose={() => setOpen(false)} />}
      </Suspense>
    </>
  );
}

function ConverterEntry({ point, columns, edit }: Props & { readonly columns: readonly string[] }) {
  const { converter } = point;
  const { run } = useProject();
  const items = useItems();
  if (converter.kind === "of-group") {
    return <p className="text-soft">It hangs on the converter of its group: choose that one at the first member.</p>;
  }
  return (
    <>
      <ChoiceField
        label="Fed by"
        value={converter.kind === "not-chosen" || converter.kind === "catalogue" ? "converter" : converter.kind}
        choices={{
          converter: feedNames.catalogue,
          "across-the-line": feedNames["across-the-line"],
          "star-delta": feedNames["star-delta"],
          "soft-starter": feedNames["soft-starter"],
        }}
        onCommit={(way) => run({ kind: "feed-by", pointIds: [...columns], way }).then(() => undefined)}
      />
      {converter.kind === "not-chosen" ? (
        <p className="text-soft">No converter yet. Choose one under Candidates, or type its kW in the cell.</p>
      ) : converter.kind === "catalogue" ? (
        <CatalogueConverterEntry
          converter={converter}
          item={items.converters.get(converter.itemId)}
          columns={columns}
          edit={edit}
        />
      ) : (
        <StarterEntry starter={converter} edit={edit} />
      )}
    </>
  );
}
