import type { Brake } from "../../api/client";
import type { Units } from "../../fields/useUnits";
import { n } from "../../lib/format";

type Run = NonNullable<Brake["run"]>;

/** What can go wrong with a brake, in words. */
export const faultNames: Readonly<Record<Run["fault"], string>> = {
  none: "in order",
  "late-release": "late release",
  "released-before-torque": "released before torque",
  "closes-at-speed": "closes at speed",
  "torque-off-early": "torque off early",
  "does-not-close": "does not close",
  "open-not-confirmed": "open not confirmed",
  "power-lost": "power lost",
};

/** Phases of the sequence, in words. */
export const phaseNames: Readonly<Record<Run["endPhase"], string>> = {
  magnetise: "magnetise",
  "prove-torque": "prove torque",
  release: "release",
  move: "move",
  stop: "stop",
  close: "close",
  off: "off",
  "hold-and-warn": "hold, warn",
};

/** What the sequence came to, in sentences. */
export function outcome(run: Run, hangs: boolean, units: Units): readonly string[] {
  const words: string[] = [];
  if (hangs && run.rollbackMm >= 0.05) {
    words.push(`The load rolls back ${units.say(run.rollbackMm, "mm")} at the start.`);
  }
  if (hangs && Math.abs(run.dropMm) >= 0.05) {
    words.push(
      `It ${run.dropMm > 0 ? "drops" : "runs on"} ${units.say(Math.abs(run.dropMm), "mm")} once the motor is off.`,
    );
  }
  words.push(
    run.brakeJ > 0
      ? `The brake takes ${units.say(run.brakeJ, "J")}${run.permittedJ === null ? "" : ` of ${units.say(run.permittedJ, "J")} permitted`}, touching at ${n(run.clampedAtRpm, 3)} rpm.`
      : "The brake takes no work.",
  );
  if (run.fault === "power-lost" && run.clampingsLeft !== null) {
    words.push(`Worn after ${n(run.clampingsLeft, 3)} such emergency engagements.`);
  }
  words.push(
    run.endPhase === "hold-and-warn"
      ? "Closed is not confirmed: the motor holds at zero speed and warns; it must not be switched off."
      : run.heldAtEnd
        ? "The load stands at the end."
        : "The load does not stand at the end.",
  );
  return words;
}

/** Moments at which a phase begins. */
export function phaseStarts(trace: Run["trace"]): readonly { readonly timeS: number; readonly name: string }[] {
  return trace
    .filter((m, i) => i === 0 || trace[i - 1]?.phase !== m.phase)
    .map((m) => ({ timeS: m.timeS, name: phaseNames[m.phase] }));
}
