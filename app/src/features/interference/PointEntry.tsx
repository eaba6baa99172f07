import type { DrivePoint } from "../../api/client";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { partOf, type PartOf } from "../../lib/within";
import type { PointEdit } from "../bench/usePointEdit";
import { notStated, type Interference } from "./interference";

type Key = Exclude<keyof Interference & keyof typeof fields.PointInterference, "placeId" | "motorPlaceId">;

/** Entries of a cell that interference asks for. */
export function PointInterferenceEntry({
  point,
  keys,
  residual = false,
  edit,
}: {
  readonly point: DrivePoint;
  readonly keys: readonly Key[];
  /** True with the residual-current device of its feeder. */
  readonly residual?: boolean;
  readonly edit: PointEdit;
}) {
  const value = point.interference ?? notStated;
  const change = (part: PartOf<Interference>, what: string) =>
    edit(what, (p) => {
      const now = p.interference ?? notStated;
      return { ...p, interference: { ...now, ...partOf(now, part) } };
    });
  return (
    <>
      <h3 className="section-title">Interference</h3>
      <Entries of={fields.PointInterference} value={value} keys={[...keys]} change={change} />
      {residual && (
        <Entries
          of={fields.ResidualDevice}
          value={value.residual}
          keys={value.residual.kind === "none" || value.residual.kind === "not-stated" ? ["kind"] : ["kind", "ratedMa"]}
          change={(part, what) => change((now) => ({ residual: { ...now.residual, ...part } }), what)}
        />
      )}
    </>
  );
}
