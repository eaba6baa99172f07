import type { Lineup, OnePhaseAnswer } from "../../api/client";
import { Button } from "../../components/Button";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { meansWords, type OnePhase } from "./onePhase";

type Option = OnePhaseAnswer["comparison"]["options"][number];

/** Converters, rotary and static converter side by side; choosing one builds the lineup. */
export function WaysTable({
  lineup,
  one,
  answer,
}: {
  readonly lineup: Lineup;
  readonly one: OnePhase;
  readonly answer: OnePhaseAnswer;
}) {
  const { project, run } = useProject();
  const units = useUnits();
  const { comparison } = answer;
  const { currency } = project.specification.tariff;
  const machines = one.machines ?? [];
  const money = (value: number | null) => (value === null ? "prices missing" : `${currency} ${n(value, 4)}`);
  const rows: readonly (readonly [string, (o: Option) => string])[] = [
    ...machines.map(
      (m, i) =>
        [
          `${m.name} delivers`,
          (o: Option) =>
            `${units.say(o.deliversKw[i] ?? null, "kW", 3, "hp")}${m.ratedKw ? ` of ${units.say(m.ratedKw, "kW", 3, "hp")}` : ""}`,
        ] as const,
    ),
    ["run together", (o) => o.together],
    ["current of the supply", (o) => `${n(o.supplyA)} A`],
    ["while nothing runs", (o) => (o.idleW === 0 ? "nothing to speak of" : `${n(o.idleW / 1000)} kW`)],
    ["energy a year", (o) => `${n(o.energyKwh, 4)} kWh`],
    ["its cost a year", (o) => money(o.perYear)],
    ["first cost", (o) => money(o.first)],
    ["all years", (o) => money(o.total)],
    ["noise", (o) => o.noise],
    ["setting up", (o) => o.settingUp],
    ["against it", (o) => (o.against.length > 0 ? o.against.join("; ") : "nothing")],
  ];
  return (
    <section aria-label="Ways to run them">
      <h3 className="section-title">Ways to run them</h3>
      <p className="mb-1 max-w-[900px] border-l-4 border-plum pl-2">
        {comparison.recommended !== "not-chosen" && <b>Recommended: {meansWords[comparison.recommended]}. </b>}
        {units.sentence(comparison.why)}
      </p>
      <table className="table max-w-[980px] table-fixed">
        <thead>
          <tr>
            <th className="w-40">
              <span className="sr-only">what is compared</span>
            </th>
            {comparison.options.map((o) => (
              <th key={o.means} className={one.means === o.means ? "bg-plum-wash" : ""}>
                <span className="flex items-center gap-1">
                  <VerdictMark verdict={o.suits ? "holds" : "fails"} size={9} labelled />
                  {meansWords[o.means]}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, say]) => (
            <tr key={name}>
              <th scope="row" className="text-left font-normal text-soft">
                {name}
              </th>
              {comparison.options.map((o) => (
                <td key={o.means} className={one.means === o.means ? "bg-plum-wash" : ""}>
                  {units.sentence(say(o))}
                </td>
              ))}
            </tr>
          ))}
          <tr>
            <td />
            {comparison.options.map((o) => (
              <td key={o.means} className={one.means === o.means ? "bg-plum-wash" : ""}>
                <Button
                  isMain={comparison.recommended === o.means && one.means !== o.means}
                  onClick={() => void run({ kind: "choose-one-phase-means", lineupId: lineup.id, means: o.means })}
                >
                  {one.means === o.means ? "Build again" : `Build with ${meansWords[o.means]}`}
                </Button>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      <p className="text-[12px] text-soft">
        Rotary converter: {n(comparison.rotaryKva)} kVA at least, {n(comparison.runningKva)} kVA together, heaviest
        start {n(comparison.startKva)} kVA; its made phase leaves {n(comparison.unbalancePct)} % unbalance.
      </p>
    </section>
  );
}
