import type { SunAnswer } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import type { Sun } from "./supplies";

/** How the plant is put into service: each step with what it is measured by, cautions beside those that can hurt. */
export function SunSteps({ sun, answer }: { readonly sun: Sun; readonly answer: SunAnswer | undefined }) {
  const units = useUnits();
  const limits = answer?.limits;
  const pump = answer?.pump;
  const series = sun.strings?.inSeries ?? null;
  const cold = limits?.uocColdV && series ? series * limits.uocColdV : null;
  const steps: readonly (readonly [string, string, string?])[] = [
    [
      "Before anything is touched",
      "Open the switch-disconnector, lock it, wait the minutes that the converter’s maker states; then measure between + and − and from both to earth.",
      "Modules are live in daylight and an arc of direct current does not go out by itself. Only licensed people, by local codes and the makers’ instructions.",
    ],
    [
      "Polarity and open-circuit voltage of each string",
      cold === null
        ? "Equal within 2 %; all strings the same way round."
        : `Equal within 2 %, below ${n(cold)} V even on the coldest dawn; all strings the same way round.`,
      "Strings the wrong way round feed into the others: fuses and modules burn.",
    ],
    [
      "Insulation of the array to earth",
      limits?.insulationKohm
        ? `At least ${n(limits.insulationKohm)} kΩ (verify), at the voltage of the standard.`
        : "By the array’s power.",
    ],
    [
      "Terminals",
      "Remove the shunt where a reactor is fitted between its terminals; tighten by the maker’s torque; screen of the motor cable at both ends.",
    ],
    [
      "Rotation",
      "A pump that turns backwards still delivers, only less. Run it at one speed in both directions and keep the one with more water. Two leads are swapped only after isolating, waiting and proving the absence of voltage.",
      "Nothing is swapped on a live converter.",
    ],
    [
      "Least speed",
      `Valve open, sun high: raise the least speed until water appears${pump ? `, by the curve from ${units.say(pump.flowBeginsRpm, "rpm", 4)} on` : ""}; add a little for a lower level of the well.`,
    ],
    [
      "Start and stop by the sun",
      `Start when a test ramp shows 1.1 times the power of the least speed; stop ${sun.pumping?.stopDelayS ?? 30} s below it; pause ${sun.pumping?.restartMin ?? 10} min. The plant starts by itself: say so at the pump.`,
      "It starts without anybody: guards and notices by local codes (IEC 60204-1, 7.5).",
    ],
    ["Dry run", "Close the inlet or lower the well’s sensor: it stops below 80 % of the power of its speed."],
    ["Tank", "The level switch stops it when full, and lets it start with some distance below."],
  ];
  return (
    <section aria-label="Putting into service">
      <h3 className="section-title">Putting into service</h3>
      <ol className="max-w-[860px] list-decimal pl-5">
        {steps.map(([name, how, caution]) => (
          <li key={name} className="border-b border-rule py-1">
            <b>{name}.</b> {how}
            {caution && (
              <span className="mt-0.5 block border-l-4 border-fails pl-2 text-[12px]">
                <b>Caution.</b> {caution}
              </span>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
