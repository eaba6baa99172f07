import { useState } from "react";
import type { InterferencePlan } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";

/** Pairs of cables too close for too long, each with what would end it: tried at a press, undone like any edit. */
export function ClashTable({
  plan,
  onChoose,
}: {
  readonly plan: InterferencePlan;
  readonly onChoose: (segmentId: string) => void;
}) {
  const { run } = useProject();
  const units = useUnits();
  const [all, setAll] = useState(false);
  const shown = all ? plan.clashes : plan.clashes.slice(0, 12);
  return (
    <section aria-label="Clashes">
      <h3 className="section-title">
        Clashes{plan.clashCount > 0 && <span className="font-normal text-soft"> {plan.clashCount}</span>}
      </h3>
      {plan.clashCount === 0 ? (
        <p className="text-soft">
          {plan.trays.length === 0
            ? "They are looked for as soon as there are trays."
            : "None: every pair is as far apart as its classes ask."}
        </p>
      ) : (
        <table className="table text-[12px]" aria-label="Clashes of cables">
          <thead>
            <tr>
              <th>
                <span className="sr-only">verdict</span>
              </th>
              <th>disturbs</th>
              <th>disturbed</th>
              <th>where</th>
              <th className="num">over, {units.unit("m")}</th>
              <th className="num">apart, {units.unit("mm")}</th>
              <th className="num">asked, {units.unit("mm")}</th>
              <th className="num" title="Voltage of the edges in its loop, and how many times what its input notices">
                coupled, V · steps
              </th>
              <th>what ends it, cheapest first</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((c) => (
              <tr key={`${c.disturbingId}|${c.disturbedId}`}>
                <td>
                  <VerdictMark verdict={c.verdict} size={11} labelled />
                </td>
                <td className="font-bold">{c.disturbing}</td>
                <td className="font-bold">{c.disturbed}</td>
                <td>
                  <button
                    type="button"
                    className="text-left text-plum underline"
                    onClick={() => onChoose(c.segmentIds[0] ?? "")}
                  >
                    {c.where}
                  </button>
                </td>
                <td className="num">{n(units.value(c.parallelM, "m"))}</td>
                <td className="num">{c.apartMm === null ? "not stated" : n(units.value(c.apartMm, "mm"))}</td>
                <td className="num">{n(units.value(c.neededMm, "mm"))}</td>
                <td className="num whitespace-nowrap">
                  {c.voltageV == null ? "–" : `${n(c.voltageV)} · ${n(c.steps)}`}
                </td>
                <td>
                  {c.cures.length === 0 && (
                    <span className="text-soft">no one or two changes; state the gap or lay it anew</span>
                  )}
                  <ul>
                    {c.cures.map((cure) => (
                      <li key={`${cure.kind} ${cure.and?.kind ?? ""}`} className="flex items-baseline gap-2 py-px">
                        <button
                          type="button"
                          className="button px-1.5 py-0"
                          aria-label={`Try: ${units.sentence(cure.words)}`}
                          onClick={() =>
                            void run({
                              kind: "cure-clash",
                              disturbingId: c.disturbingId,
                              disturbedId: c.disturbedId,
                              cure: cure.kind,
                              and: cure.and?.kind ?? null,
                            })
                          }
                        >
                          try
                        </button>
                        {units.sentence(cure.words)}
                      </li>
                    ))}
                  </ul>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {plan.clashes.length > shown.length && (
        <button type="button" className="button mt-1" onClick={() => setAll(true)}>
          Show all {plan.clashes.length}
        </button>
      )}
    </section>
  );
}
