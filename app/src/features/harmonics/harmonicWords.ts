import type { HarmonicStudy, Verdict } from "../../api/client";
import { n } from "../../lib/format";

/** Verdict of a figure against its upper limit, tight within a tenth. */
export function matrixVerdict(figure: number, limit: number): Verdict {
  return figure > limit ? "fails" : figure > 0.9 * limit ? "tight" : "holds";
}

/** Who adds and who cancels on an order, in a sentence. */
export function storyOf(story: HarmonicStudy["stories"][number]): string {
  const { order, arithmeticA, vectorA, firstTag, secondTag, apartDeg, cancelledA } = story;
  const kept = arithmeticA > 0 ? (100 * vectorA) / arithmeticA : 100;
  const sum = `Of ${n(arithmeticA, 3)} A that all draw on order ${order}, ${n(vectorA, 3)} A reach the coupling (${n(kept, 3)} %).`;
  return firstTag === "" || cancelledA < 0.01 * arithmeticA
    ? `${sum} All add.`
    : `${sum} ${firstTag} and ${secondTag} cancel most: ${n(apartDeg, 3)}° apart, ${n(cancelledA, 3)} A.`;
}

/** What spoils a front end, in a sentence: the plant settled anew without each of the causes. */
export function spoiledBy(front: HarmonicStudy["fronts"][number]): string {
  const causes: string[] = [];
  if (front.withoutUnbalancePct !== null) {
    causes.push(`${n(front.withoutUnbalancePct, 3)} % without the ${n(front.unbalancePct, 2)} % unbalance`);
  }
  if (front.withoutDistortionPct !== null) {
    causes.push(
      `${n(front.withoutDistortionPct, 3)} % by itself on an undistorted line (it sees ${n(front.distortionPct, 2)} %)`,
    );
  }
  if (front.withoutMismatchPct !== null) {
    causes.push(`${n(front.withoutMismatchPct, 3)} % with equal leakages`);
  }
  const says = `${front.tag}, ${front.pulses}-pulse: THDi ${n(front.thdiPct, 3)} %`;
  if (causes.length === 0) {
    return `${says}; nothing spoils it.`;
  }
  const third =
    front.withoutUnbalancePct !== null ? ` The unbalance draws ${n(front.thirdA, 2)} A of the third order.` : "";
  return `${says}; it would be ${causes.join(", ")}${causes.length > 1 ? `, ${n(front.idealPct, 3)} % without all of it` : ""}.${third}`;
}

/** How waveforms and network settled with each other, in a sentence. */
export function settledWords(iteration: HarmonicStudy["iteration"]): string {
  const rounds = `${iteration.rounds} ${iteration.rounds === 1 ? "round" : "rounds"}`;
  const by = `${iteration.residualPu.toExponential(0)} of nominal voltage at order ${iteration.residualOrder}`;
  return iteration.settled
    ? `Waveforms and network agree on all orders after ${rounds}, to ${by}.`
    : `Waveforms and network did not settle in ${rounds}: they contradict each other by ${by}.`;
}

/** What a maximum of the impedance means, in a sentence. */
export function peakOf(peak: HarmonicStudy["peaks"][number], present: readonly number[]): string {
  const near = present.reduce<number | undefined>(
    (best, h) => (best === undefined || Math.abs(h - peak.order) < Math.abs(best - peak.order) ? h : best),
    undefined,
  );
  const gain = peak.withoutBanksMohm > 0 ? peak.mohm / peak.withoutBanksMohm : 1;
  const says = `At ${n(peak.order, 3)} times the line frequency the bank lifts the impedance ${n(gain, 2)} times`;
  return near !== undefined && Math.abs(near - peak.order) < 1
    ? `${says}; order ${near} is drawn there.`
    : `${says}; no order that is drawn lies within one of it.`;
}
