import { useId, useState } from "react";
import type { DrivePoint, SitePoint, SiteStep } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { expectedOf, markOf, readRun, readValues, usUnitOf } from "./commissioning";
import { EntryList } from "./EntryList";
import { RunPicture } from "./RunPicture";
import { useEntry } from "./useEntry";

/** One step: what to do, what is expected, and the entry of what was found. */
export function StepPanel({
  point,
  step,
  found,
  onMade,
}: {
  readonly point: DrivePoint;
  readonly step: SiteStep;
  readonly found: SitePoint;
  readonly onMade: (next: SitePoint) => void;
}) {
  const units = useUnits();
  const id = useId();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [run, setRun] = useState("");
  const [about, setAbout] = useState({ instrument: "", calibrated: "", note: "" });
  const [corrects, setCorrects] = useState<number>();
  const entry = useEntry(onMade);
  const own = found.entries.filter((e) => e.stepId === step.id);
  const counted = own.find((e) => e.number === step.entryNumber);
  const mark = markOf(step);
  const isSeen = step.quantities.length === 0;
  const save = async (done?: boolean) => {
    const values = isSeen || done === false ? { values: {} } : readValues(step, typed, units);
    const points = readRun(run);
    if ("problem" in values || "problem" in points) {
      entry.setProblem("problem" in values ? values.problem : "problem" in points ? points.problem : undefined);
      return;
    }
    const isMade = await entry.make({
      pointId: point.id,
      stepId: step.id,
      values: values.values,
      run: done === false ? [] : points.run,
      note: about.note.trim(),
      instrument: about.instrument.trim(),
      calibrated: about.calibrated === "" ? null : about.calibrated,
      corrects: corrects ?? null,
      done: done ?? null,
      openPoints: [],
    });
    if (isMade) {
      setTyped({});
      setRun("");
      setAbout((before) => ({ ...before, note: "" }));
      setCorrects(undefined);
    }
  };
  return (
    <section aria-label={step.title} className="min-w-0">
      <h3 className="flex items-center gap-2 text-[15px] font-bold">
        {mark && <VerdictMark verdict={mark} labelled />}
        {step.title}
      </h3>
      <p className="mt-1 max-w-3xl">{units.sentence(step.how)}</p>
      {step.caution !== "" && (
        <p className="mt-2 max-w-3xl border-l-4 border-fails pl-2 text-[12px]">
          <b>Caution.</b> {step.caution}
        </p>
      )}
      {step.standing === "forbidden" ? (
        <p className="mt-3 font-semibold">Not done here: {step.why.join(", ")}.</p>
      ) : step.standing === "waiting" ? (
        <p className="mt-3 font-semibold">First: {step.why.join(", ")}.</p>
      ) : (
        <>
          {step.standing === "stale" && (
            <div role="status" className="mt-2 max-w-3xl border-l-4 border-tight bg-card p-2">
              <b>Stale.</b> What it rests on has changed since:
              <ul className="list-disc pl-5">
                {step.why.map((why) => (
                  <li key={why}>{units.sentence(why)}</li>
                ))}
              </ul>
            </div>
          )}
          {counted && (
            <p className="mt-2 max-w-3xl">
              <b>Found:</b> {units.sentence(step.result)}
            </p>
          )}
          {step.standing === "wrong" && step.suspect !== "" && (
            <p className="mt-1 max-w-3xl">
              <b>Suspect first:</b> {step.suspect}.
            </p>
          )}
          <form
            className="mt-2 max-w-3xl"
            aria-label={`Entry of ${step.title}`}
            onSubmit={(e) => {
              e.preventDefault();
              void save(isSeen ? true : undefined);
            }}
          >
            {!isSeen && (
              <table className="table">
                <thead>
                  <tr>
                    <th>measured</th>
                    <th className="num">value</th>
                    <th>unit</th>
                    <th>expected</th>
                    <th>from</th>
                  </tr>
                </thead>
                <tbody>
                  {step.quantities.map((q) => (
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
                          value={typed[q.id] ?? ""}
                          onChange={(e) => {
                            const text = e.target.value;
                            setTyped((before) => ({ ...before, [q.id]: text }));
                          }}
                        />
                      </td>
                      <td>{units.unit(q.unit, usUnitOf(q.id))}</td>
                      <td className="whitespace-nowrap font-mono text-[12px]">{expectedOf(q, units)}</td>
                      <td className="text-[12px] text-soft">
                        {units.sentence([q.numbers, q.source].filter((t) => t !== "").join("; "))}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            {step.runUnit !== "" && (
              <label className="mt-2 block">
                <span className="text-soft">Run: time in s and value in {step.runUnit} a line, pasted or typed</span>
                <textarea
                  className="entry h-24 w-full font-mono"
                  value={run}
                  onChange={(e) => setRun(e.target.value)}
                />
              </label>
            )}
            <div className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
              <label className="flex items-center gap-2">
                <span className="text-soft">Instrument</span>
                <input
                  className="entry w-44"
                  maxLength={100}
                  value={about.instrument}
                  onChange={(e) => setAbout({ ...about, instrument: e.target.value })}
                />
              </label>
              <label className="flex items-center gap-2">
                <span className="text-soft">calibrated</span>
                <input
                  className="entry w-36"
                  type="date"
                  value={about.calibrated}
                  onChange={(e) => setAbout({ ...about, calibrated: e.target.value })}
                />
              </label>
              <label className="flex min-w-64 flex-1 items-center gap-2">
                <span className="text-soft">Note</span>
                <input
                  className="entry min-w-0 flex-1"
                  maxLength={500}
                  value={about.note}
                  onChange={(e) => setAbout({ ...about, note: e.target.value })}
                />
              </label>
            </div>
            <div className="mt-2 flex flex-wrap items-center gap-2">
              <button type="submit" className="button button-main" disabled={entry.isBusy}>
                {isSeen ? "In order" : "Enter"}
              </button>
              {isSeen && (
                <button type="button" className="button" disabled={entry.isBusy} onClick={() => void save(false)}>
                  Not in order
                </button>
              )}
              {counted && (
                <label className="flex items-center gap-1.5">
                  <input
                    type="checkbox"
                    checked={corrects !== undefined}
                    onChange={(e) => setCorrects(e.target.checked ? counted.number : undefined)}
                  />
                  corrects entry {counted.number}
                </label>
              )}
              <span className="text-soft">Entries stay as they are; a mistake is corrected by a later one.</span>
            </div>
            {entry.problem && (
              <p role="alert" className="mt-1 text-fails">
                {entry.problem}
              </p>
            )}
          </form>
        </>
      )}
      {counted && counted.run.length > 0 && <RunPicture step={step} entry={counted} />}
      <EntryList step={step} entries={own} />
    </section>
  );
}
