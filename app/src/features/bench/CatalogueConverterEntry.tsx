import { PulseEntry } from "./PulseEntry";
import type { ConverterItem, DrivePoint, ResistorPulse } from "../../api/client";
import { Button } from "../../components/Button";
import { ChoiceField } from "../../components/Fields";
import { Entries, type ChangePart } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { within } from "../../lib/within";
import { useProject } from "../../project/ProjectContext";
import { useCatalogue } from "../../project/useCatalogue";
import { converterPower } from "../board/cellText";
import type { PointEdit } from "./usePointEdit";

type CatalogueConverter = Extract<DrivePoint["converter"], { kind: "catalogue" }>;
type Braking = CatalogueConverter["braking"];
type Change = (change: Partial<CatalogueConverter>) => (p: DrivePoint) => DrivePoint;

const brakings: Readonly<Record<Braking["kind"], string>> = {
  nothing: "by losses, slower",
  coast: "not: it coasts",
  flux: "by raised flux",
  "dc-injection": "by direct current",
  resistor: "chopper and resistor",
  "to-line": "back to the line",
};

/** Settings of a converter: duty, switching, filter, feed, braking. */
export function CatalogueConverterEntry({
  converter,
  item,
  columns,
  edit,
}: {
  readonly converter: CatalogueConverter;
  readonly item: ConverterItem | undefined;
  readonly columns: readonly string[];
  readonly edit: PointEdit;
}) {
  const { run } = useProject();
  const units = useUnits();
  const size = item
    ? `${[item.widthMm, item.heightMm, item.depthMm].map((v) => n(units.value(v, "mm"))).join(" × ")} ${units.unit("mm")}`
    : "";
  const change: Change = (part) => (p) =>
    p.converter.kind === "catalogue" ? { ...p, converter: { ...p.converter, ...part } } : p;
  const part: ChangePart<CatalogueConverter> = (p, what) => edit(what, change(p));
  return (
    <>
      {item && (
        <p className="text-[12px] text-soft">
          {item.name}, {converterPower(item)}, {item.ratedVoltageV} V: {size}, {units.say(item.massKg, "kg")}
          {item.ownCatalogue && `; ${item.ownCatalogue}`}
          {item.estimated.length > 0 && `; from the generic series: ${item.estimated.join(", ")}`}
        </p>
      )}
      <Entries
        of={fields.ConverterChoiceFromCatalogue}
        value={converter}
        keys={["duty", "switchingKhz", "control", "lightLoadFlux", "modules"]}
        change={part}
      />
      <Entries
        of={fields.ConverterChoiceFromCatalogue}
        value={converter}
        keys={[
          ...(converter.modules > 1 ? (["wiring"] as const) : []),
          "filter",
          ...(item?.kind !== "single-phase-input" ? (["feed"] as const) : []),
        ]}
        change={part}
      />
      <ChoiceField
        label="Brakes"
        value={converter.braking.kind}
        choices={brakings}
        onCommit={(way) => run({ kind: "brake-by", pointIds: [...columns], way }).then(() => undefined)}
      />
      {converter.braking.kind === "resistor" && <ResistorChoice columns={columns} item={item} edit={edit} />}
      <BrakingEntry braking={converter.braking} item={item} change={change} edit={edit} />
      <Entries of={fields.ConverterChoiceFromCatalogue} value={converter} keys={["reason"]} change={part} />
      <button
        type="button"
        className="button mt-2"
        onClick={() => void edit("converter taken off", (p) => ({ ...p, converter: { kind: "not-chosen" } }))}
      >
        Take the converter off
      </button>
      <p className="mt-3 border-l-4 border-tight bg-card p-2 text-[12px]">
        <strong>Caution:</strong> the link stays charged after switching off. Lock out, wait for discharge, prove the
        absence of voltage; follow the maker’s instructions and local codes.
      </p>
    </>
  );
}

/** The least resistor of the catalogue that holds, or one by name. */
function ResistorChoice({
  columns,
  item,
  edit,
}: {
  readonly columns: readonly string[];
  readonly item: ConverterItem | undefined;
  readonly edit: PointEdit;
}) {
  const { run } = useProject();
  const resistors = useCatalogue().data?.brakeResistors ?? [];
  return (
    <>
      <Button
        className="mt-1"
        why={item && !item.hasChopper && "This converter has no chopper."}
        onClick={() => void run({ kind: "size-resistor", pointIds: [...columns] })}
      >
        Propose a resistor
      </Button>
      <ChoiceField
        label="Of the catalogue"
        value=""
        choices={{ "": "take the values of …", ...Object.fromEntries(resistors.map((r) => [r.id, r.name])) }}
        onCommit={(id) => {
          const chosen = resistors.find((r) => r.id === id);
          return chosen
            ? edit(`brake resistor ${chosen.name}`, (p) => ({
                ...p,
                converter:
                  p.converter.kind === "catalogue"
                    ? {
                        ...p.converter,
                        braking: within(p.converter.braking, "resistor", {
                          resistanceOhm: chosen.resistanceOhm,
                          continuousKw: chosen.continuousKw,
                        }),
                      }
                    : p.converter,
              }))
            : Promise.resolve(undefined);
        }}
      />
    </>
  );
}

function BrakingEntry({
  braking,
  item,
  change,
  edit,
}: {
  readonly braking: Braking;
  readonly item: ConverterItem | undefined;
  readonly change: Change;
  readonly edit: PointEdit;
}) {
  const brakingPart = (part: object) => (p: DrivePoint) =>
    p.converter.kind === "catalogue" ? change({ braking: within(p.converter.braking, braking.kind, part) })(p) : p;
  if (braking.kind === "resistor") {
    return (
      <>
        {item && !item.hasChopper && <p className="text-fails">This converter has no chopper.</p>}
        <Entries
          of={fields.BrakingResistor}
          value={braking}
          keys={["resistanceOhm", "continuousKw", "windowS"]}
          change={(p) => edit("brake resistor", brakingPart(p))}
        />
        <PulseEntry
          pulses={(braking.pulses ?? []) as ResistorPulse[]}
          onChange={(pulses) => edit("pulses of the brake resistor", brakingPart({ pulses }))}
        />
      </>
    );
  }
  if (braking.kind === "flux") {
    return (
      <Entries
        of={fields.BrakingFlux}
        value={braking}
        keys={["fluxPct"]}
        change={(p) => edit("braking flux", brakingPart(p))}
      />
    );
  }
  if (braking.kind === "dc-injection") {
    return (
      <Entries
        of={fields.BrakingDcInjection}
        value={braking}
        keys={["currentPct"]}
        change={(p) => edit("direct current", brakingPart(p))}
      />
    );
  }
  return braking.kind === "to-line" && item && !item.returnsToLine ? (
    <p className="text-fails">This front end lets power pass one way only.</p>
  ) : null;
}
