import type { DrivePoint } from "../../api/client";

type Choice = DrivePoint["converter"];

/** Ways of feeding a motor, in words. */
export const feedNames: Readonly<Record<Choice["kind"], string>> = {
  "not-chosen": "not chosen",
  catalogue: "converter",
  "across-the-line": "contactor, across the line",
  "star-delta": "star-delta",
  "soft-starter": "soft starter",
  "of-group": "converter of its group",
};
