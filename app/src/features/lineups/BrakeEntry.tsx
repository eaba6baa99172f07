import type { DrivePoint } from "../../api/client";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import type { PointEdit } from "../bench/usePointEdit";

type Brake = Extract<DrivePoint["brake"], { kind: "spring-applied" }>;

/** Entries of a holding brake: torque and times, coil, commands. */
export function BrakeEntry({ brake, edit }: { readonly brake: Brake; readonly edit: PointEdit }) {
  const withBrake = (part: Partial<Brake> | ((now: Brake) => Partial<Brake>)) => (p: DrivePoint) =>
    p.brake.kind === "spring-applied"
      ? { ...p, brake: { ...p.brake, ...(typeof part === "function" ? part(p.brake) : part) } }
      : p;
  const coil = (part: Partial<Brake["coil"]>) =>
    edit(
      "coil of the brake",
      withBrake((now) => ({ coil: { ...now.coil, ...part } })),
    );
  const control = (part: Partial<Brake["control"]>) =>
    edit(
      "brake control",
      withBrake((now) => ({ control: { ...now.control, ...part } })),
    );
  return (
    <>
      <Entries
        of={fields.HoldingBrakeSpringApplied}
        value={brake}
        keys={["holdingNm", "releaseMs", "closeMs", "permittedJ", "permittedClampings"]}
        change={(part, what) => edit(what, withBrake(part))}
      />
      <fieldset className="mt-2 border-t border-rule pt-1">
        <legend className="pr-2 font-semibold">Coil</legend>
        <Entries
          of={fields.BrakeCoil}
          value={brake.coil}
          keys={["voltageV", "powerW", "timeConstantMs", "outputA", "suppression"]}
          change={coil}
        />
      </fieldset>
      <fieldset className="mt-2 border-t border-rule pt-1">
        <legend className="pr-2 font-semibold">Commands</legend>
        <Entries
          of={fields.BrakeControl}
          value={brake.control}
          keys={["by", "provenPct", "closeBelowPct", "closeDelayS", "commandFeedback", "positionFeedback"]}
          change={control}
        />
        {!brake.control.positionFeedback && (
          <Entries
            of={fields.BrakeControl}
            value={brake.control}
            keys={["speedAfterReleaseMs", "holdMs"]}
            change={control}
          />
        )}
      </fieldset>
    </>
  );
}
