import type { DrivePoint } from "../../api/client";

/** Filter, earth, bearings and places of a drive point. */
export type Interference = NonNullable<DrivePoint["interference"]>;

/** Nothing stated. */
export const notStated: Interference = {
  filter: "as-delivered",
  linksOpen: false,
  residual: { kind: "not-stated", ratedMa: null },
  earthDouble: false,
  earthMonitored: false,
  frameBonded: false,
  shaftRing: false,
  commonModeCores: false,
  placeId: "",
  motorPlaceId: "",
};
