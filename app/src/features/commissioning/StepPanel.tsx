import { useEffect, useRef, useState } from "react";
import { api, type DrivePoint, type SitePoint, type SiteStep } from "../../api/client";
import { VerdictMark } from "../../components/VerdictMark";
import { useUnits } from "../../fields/useUnits";
import { useProject } from "../../project/ProjectContext";
import { markOf, readRun, readValues, resultIn } from "./commissioning";
import { EntryList } from "./EntryList";
import { LineWave } from "./instruments/LineWave";
import { QuantityTable } from "./instruments/QuantityTable";
import { RunRecording } from "./instruments/RunRecording";
import { StandInStrip } from "./instruments/StandInStrip";
import { takable, without, type Taken } from "./instruments/readings";
import { useInstruments, useReadings } from "./instruments/useInstruments";
import { RunPicture } from "./RunPicture";
import { useEntry } from "./useEntry";

/** One step: what to do, what is expected, and the entry of what was found. */
export function StepPanel({
  point,
  step,
  found,
  isTakenUp,
  onMade,
  onNext,
}: {
  readonly point: DrivePoint;
  readonly step: SiteStep;
  readonly found: SitePoint;
  /** It was gone to from the step before: its first entry takes the focus. */
  readonly isTakenUp: boolean;
  readonly onMade: (next: SitePoint) => void;
  /** The step to go to from here; none where all is done. */
  readonly onNext: { readonly title: string; readonly go: () => void } | undefined;
}) {
  const units = useUnits();
  const { project } = useProject();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [taken, setTaken] = useState<Readonly<Record<string, Taken>>>({});
  const [run, setRun] = useState("");
  const [runNumber, setRunNumber] = useState<number>();
  const [about, setAbout] = useState({ instrument: "", calibrated: "", note: "" });
  const [corrects, setCorrects] = useState<number>();
  const entry = useEntry(onMade);
  const own = found.entries.filter((e) => e.stepId === step.id);
  const counted = own.find((e) => e.number === step.entryNumber);
  const mark = markOf(step);
  const instruments = useInstruments();
  const isOn = instruments.data !== undefined && instruments.data.state !== "off";
  const readings = useReadings(point.id, isOn);
  const byName = isOn && readings.data ? new Map(readings.data.readings.map((r) => [r.name, r])) : undefined;
  const isFilled = (q: string) => taken[q] !== undefined || (typed[q] ?? "").trim() !== "";
  const empty = takable(step, isFilled).filter(
    (q) => byName?.get(step.quantities.find((x) => x.id === q)?.reading ?? "")?.good,
  );
  const isSeen = step.quantities.every((q) => !q.isNeeded);
  const hasValues = step.quantities.some((q) => isFilled(q.id));
  const form = useRef<HTMLFormElement>(null);
  const next = useRef<HTMLButtonElement>(null);
  const [isEntered, setEntered] = useState(false);
  useEffect(() => {
    if (isTakenUp) {
      const into = form.current;
      (into?.querySelector<HTMLElement>("table input") ?? into?.querySelector<HTMLElement>("[type=submit]"))?.focus();
    }
  }, [isTakenUp]);
  // Where work goes on once it is entered.
  useEffect(() => {
    if (isEntered) {
      next.current?.focus();
    }
  }, [isEntered]);
  const take = async (ids: readonly string[]) => {
    const wanted = step.quantities.filter((q) => ids.includes(q.id));
    try {
      const { data } = await api.POST("/api/projects/{id}/instruments/taken", {
        params: { path: { id: project.id } },
        body: { pointId: point.id, names: wanted.flatMap((q) => q.reading ?? []) },
      });
      const found = wanted.flatMap((q) => {
        const r = data?.find((x) => x.name === q.reading);
        return r && r.value !== null
          ? [[q.id, { number: r.number, value: r.value, instrument: r.instrument, simulated: r.simulated }] as const]
          : [];
      });
      entry.setProblem(found.length === wanted.length ? undefined : "Not every reading could be taken just now.");
      setTaken((before) => ({ ...before, ...Object.fromEntries(found) }));
    } catch {
      entry.setProblem("The server does not answer: nothing was taken.");
    }
  };
  const save = async (wantsDone?: boolean) => {
    setEntered(false);
    // Seen and measured: what was measured speaks.
    const done = wantsDone === true && hasValues ? undefined : wantsDone;
    const values = done !== undefined ? { values: {} } : readValues(step, typed, units, taken);
    const points = readRun(run);
    if ("problem" in values || "problem" in points) {
      entry.setProblem("problem" in values ? values.problem : "problem" in points ? points.problem : undefined);
      return;
    }
    const isMade = await entry.make({
      pointId: point.id,
      stepId: step.id,
      values: values.values,
      taken: done !== undefined ? {} : Object.fromEntries(Object.entries(taken).map(([q, t]) => [q, t.number])),
      runNumber: done === false ? null : (runNumber ?? null),
      run: done === false || runNumber !== undefined ? [] : points.run,
      note: about.note.trim(),
      instrument: about.instrument.trim(),
      calibrated: about.calibrated === "" ? null : about.calibrated,
      corrects: corrects ?? null,
      done: done ?? null,
      openPoints: [],
    });
    setEntered(isMade);
    if (isMade) {
      setTyped({});
      setTaken({});
      setRun("");
      setRunNumber(undefined);
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
              <b>Found:</b> {resultIn(step.id, step.result, units)}
            </p>
          )}
          {step.standing === "wrong" && step.suspect !== "" && (
            <p className="mt-1 max-w-3xl">
              <b>Suspect first:</b> {step.suspect}.
            </p>
          )}
          {readings.data && isOn && <StandInStrip pointId={point.id} step={step} found={readings.data} />}
          <form
            ref={form}
            className={`mt-2 ${byName ? "max-w-5xl" : "max-w-3xl"}`}
            aria-label={`Entry of ${step.title}`}
            onSubmit={(e) => {
              e.preventDefault();
              void save(isSeen ? true : undefined);
            }}
          >
            {step.quantities.length > 0 && (
              <QuantityTable
                step={step}
                typed={typed}
                taken={taken}
                readings={byName}
                onType={(q, text) => {
                  setTyped((before) => ({ ...before, [q]: text }));
                  setTaken((before) => without(before, q));
                }}
                onTake={(ids) => void take(ids)}
              />
            )}
            {isOn && step.id === "harmonics" && <LineWave key={point.id} pointId={point.id} />}
            {byName && empty.length > 1 && (
              <button type="button" className="button mt-2" onClick={() => void take(empty)}>
                Take all readings
              </button>
            )}
            {step.runReading !== null && byName && (
              <RunRecording
                pointId={point.id}
                step={step}
                lastAgeS={byName.get(step.runReading)?.ageS}
                onUse={setRunNumber}
              />
            )}
            {step.runUnit !== "" && runNumber === undefined && (
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
              {isEntered && onNext && (
                <button ref={next} type="button" className="button" onClick={onNext.go}>
                  Next: {onNext.title}
                </button>
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
