import type { DrivePoint } from "../../api/client";
import { ChoiceField, QuantityField, SwitchField } from "../../components/Fields";
import { quantities } from "../../lib/units";
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
      <QuantityField
        label="Holding torque"
        optional
        quantity={quantities.torqueNm}
        value={brake.holdingNm}
        onCommit={(holdingNm) => edit("holding torque", withBrake({ holdingNm }))}
      />
      <QuantityField
        label="Releases in"
        optional
        quantity={quantities.timeMs}
        value={brake.releaseMs}
        onCommit={(releaseMs) => edit("release time", withBrake({ releaseMs }))}
      />
      <QuantityField
        label="Closes in"
        optional
        quantity={quantities.timeMs}
        value={brake.closeMs}
        note="Switched on the DC side, without suppression."
        onCommit={(closeMs) => edit("closing time", withBrake({ closeMs }))}
      />
      <QuantityField
        label="Permitted work"
        optional
        quantity={quantities.energyJ}
        value={brake.permittedJ}
        onCommit={(permittedJ) => edit("permitted work", withBrake({ permittedJ }))}
      />
      <QuantityField
        label="Clampings with it"
        optional
        quantity={quantities.plain}
        value={brake.permittedClampings}
        onCommit={(permittedClampings) => edit("permitted clampings", withBrake({ permittedClampings }))}
      />
      <fieldset className="mt-2 border-t border-rule pt-1">
        <legend className="pr-2 font-semibold">Coil</legend>
        <QuantityField
          label="Voltage"
          optional
          quantity={quantities.voltageV}
          value={brake.coil.voltageV}
          onCommit={(voltageV) => coil({ voltageV })}
        />
        <QuantityField
          label="Power"
          optional
          quantity={quantities.powerW}
          value={brake.coil.powerW}
          onCommit={(powerW) => coil({ powerW })}
        />
        <QuantityField
          label="Time constant L/R"
          optional
          quantity={quantities.timeMs}
          value={brake.coil.timeConstantMs}
          onCommit={(timeConstantMs) => coil({ timeConstantMs })}
        />
        <QuantityField
          label="Output or relay for"
          optional
          quantity={quantities.currentA}
          value={brake.coil.outputA}
          onCommit={(outputA) => coil({ outputA })}
        />
        <ChoiceField
          label="Suppression"
          value={brake.coil.suppression}
          choices={{
            none: "none",
            diode: "diode, cathode at plus",
            zener: "diode and zener diode",
            varistor: "varistor",
          }}
          onCommit={(suppression) => coil({ suppression })}
        />
      </fieldset>
      <fieldset className="mt-2 border-t border-rule pt-1">
        <legend className="pr-2 font-semibold">Commands</legend>
        <ChoiceField
          label="Given by"
          value={brake.control.by}
          choices={{ converter: "converter", "machine-controller": "machine controller" }}
          onCommit={(by) => control({ by })}
        />
        <QuantityField
          label="Released at torque"
          optional
          quantity={quantities.percent}
          value={brake.control.provenPct}
          onCommit={(provenPct) => control({ provenPct })}
        />
        <QuantityField
          label="Closes below speed"
          optional
          quantity={quantities.percent}
          value={brake.control.closeBelowPct}
          onCommit={(closeBelowPct) => control({ closeBelowPct })}
        />
        <QuantityField
          label="Closes at the latest after"
          optional
          placeholder="none"
          quantity={quantities.timeS}
          value={brake.control.closeDelayS}
          note="Whichever comes first."
          onCommit={(closeDelayS) => control({ closeDelayS })}
        />
        <SwitchField
          label="Command read back"
          value={brake.control.commandFeedback}
          onCommit={(commandFeedback) => control({ commandFeedback })}
        />
        <SwitchField
          label="Position switch"
          value={brake.control.positionFeedback}
          onCommit={(positionFeedback) => control({ positionFeedback })}
        />
        {!brake.control.positionFeedback && (
          <>
            <QuantityField
              label="Speed after release"
              optional
              quantity={quantities.timeMs}
              value={brake.control.speedAfterReleaseMs}
              onCommit={(speedAfterReleaseMs) => control({ speedAfterReleaseMs })}
            />
            <QuantityField
              label="Torque held after close"
              optional
              quantity={quantities.timeMs}
              value={brake.control.holdMs}
              onCommit={(holdMs) => control({ holdMs })}
            />
          </>
        )}
      </fieldset>
    </>
  );
}
