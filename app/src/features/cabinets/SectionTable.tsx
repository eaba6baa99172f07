import type { CabinetAnswer } from "../../api/client";
import { useUnits } from "../../fields/useUnits";

/** What each section is, weighs and loses where it is warmest. */
export function SectionTable({
  answer,
  splits,
  onSplit,
}: {
  readonly answer: CabinetAnswer;
  /** Sections behind which it is parted by hand. */
  readonly splits: readonly number[];
  readonly onSplit: (behind: number) => void;
}) {
  const { say } = useUnits();
  return (
    <section aria-label="Sections">
      <h3 className="section-title">Sections</h3>
      <table className="w-full max-w-[860px]">
        <thead>
          <tr className="border-b border-rule text-left text-soft">
            <th className="font-normal">section</th>
            <th className="pl-4 text-right font-normal">width</th>
            <th className="pl-4 text-right font-normal">mass</th>
            <th className="pl-4 text-right font-normal">loss inside</th>
            <th className="pl-4 text-right font-normal">under the roof</th>
            <th className="pl-4 text-right font-normal">busbar</th>
            <th className="pl-4 font-normal">warmest in</th>
            <th className="pl-4 font-normal">holds</th>
            <th className="pl-4 font-normal">part for transport</th>
          </tr>
        </thead>
        <tbody>
          {answer.sections.map((s) => (
            <tr key={s.number} className="border-b border-rule align-top">
              <td className="whitespace-nowrap">
                {s.number} {s.units.length === 0 ? s.kind : ""}
              </td>
              <td className="pl-4 text-right font-mono whitespace-nowrap">{say(s.widthMm, "mm")}</td>
              <td className="pl-4 text-right font-mono whitespace-nowrap">{say(s.massKg, "kg")}</td>
              <td className="pl-4 text-right font-mono whitespace-nowrap">
                {s.lossW === null ? "–" : say(s.lossW, "W")}
              </td>
              <td className="pl-4 text-right font-mono whitespace-nowrap">
                {s.topC === null ? "–" : say(s.topC, "°C")}
              </td>
              <td className="pl-4 text-right font-mono whitespace-nowrap">
                {s.busbarA === null ? "–" : say(s.busbarA, "A")}
              </td>
              <td className="pl-4">{s.worstScenario}</td>
              <td className="pl-4">{s.units.map((u) => u.name.split(",")[0]).join("; ")}</td>
              <td className="pl-4">
                {s.number < answer.sections.length && (
                  <label className="flex items-center gap-1">
                    <input
                      type="checkbox"
                      aria-label={`Part behind section ${s.number}`}
                      checked={splits.includes(s.number)}
                      onChange={() => onSplit(s.number)}
                    />
                    behind it
                  </label>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
