import { useId } from "react";
import type { Reading, SiteStep } from "../../../api/client";
import { useUnits } from "../../../fields/useUnits";
import { WithMethods } from "../../methods/WithMethods";
import { expectedOf, usUnitOf } from "../commissioning";
import { about, type Taken } from "./readings";

type Quantity = SiteStep["quantities"][number];

/** What a step asks for: entered by hand, or taken from what an instrument reads. */
export function QuantityTable({
  step,
  typed,
  taken,
  readings,
  onType,
  onTake,
}: {
  readonly step: SiteStep;
  readonly typed: Readonly<Record<string, string>>;
  readonly taken: Readonly<Record<string, Taken>>;
  readonly readings: ReadonlyMap<string, Reading> | undefined;
  readonly onType: (id: string, text: string) => void;
  readonly onTake: (ids: readonly string[]) => void;
}) {
  const id = useId();
  const units = useUnits();
  const said = (q: Quantity, value: number) => units.entered(value, q.unit, usUnitOf(q.id));
  return (
    <table className="table">
      <thead>
        <tr>
          <th>measured</th>
          <th className="num">value</th>
          <th>unit</th>
          {readings && <th>instrument reads</th>}
          <th>expected</th>
          {!readings && <th>from</th>}
        </tr>
      </thead>
      <tbody>
        {step.quantities.map((q) => {
          const reading = q.reading === null ? undefined : readings?.get(q.reading);
          const held = taken[q.id];
          const from = units.sentence([q.numbers, q.source].filter((t) => t !== "").join("; "));
          return (
            <tr key={q.id}>
              <td>
                <label htmlFor={`${id}-${q.id}`}>{q.name}</label>
                {!q.isNeeded && <span className="text-soft"> (may be left out)</span>}
              </td>
              <td className="num">
                <input
                  id={`${id}-${q.id}`}
                  className="entry w-24 text-right font-mono"
                  inputMode="decimal"
                  autoComplete="off"
                  value={held ? said(q, held.value) : (typed[q.id] ?? "")}
                  onChange={(e) => onType(q.id, e.target.value)}
                />
                {held && <div className="font-sans text-[12px] text-soft">taken{held.simulated && ", simulated"}</div>}
              </td>
              <td>{units.unit(q.unit, usUnitOf(q.id))}</td>
              {readings && (
                <td className="whitespace-nowrap text-[12px]">
                  {reading ? (
                    <>
                      <span className="font-mono">{reading.value === null ? "–" : said(q, reading.value)}</span>{" "}
                      <span className={reading.good ? "text-soft" : "text-fails"}>{about(reading)}</span>{" "}
                      {reading.good && (
                        <button
                          type="button"
                          className="text-plum underline"
                          aria-label={`Take ${q.name}`}
                          onClick={() => onTake([q.id])}
                        >
                          take
                        </button>
                      )}
                    </>
                  ) : (
                    <span className="text-soft">{q.reading === null ? "by hand" : "nothing"}</span>
                  )}
                </td>
              )}
              <td className="text-[12px]">
                <div className="font-mono">{expectedOf(q, units)}</div>
                {readings && (
                  <div className="text-soft">
                    <WithMethods text={from} />
                  </div>
                )}
              </td>
              {!readings && (
                <td className="text-[12px] text-soft">
                  <WithMethods text={from} />
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
