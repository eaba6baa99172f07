import { useState } from "react";
import { api, type PointReadings, type SiteStep } from "../../../api/client";
import { useProject } from "../../../project/ProjectContext";
import { age, orderWord } from "./readings";
import { useAnswered } from "./useInstruments";

type Order = SiteStep["orders"][number];

const states: Readonly<Record<NonNullable<PointReadings["standIn"]>["state"], string>> = {
  ready: "at rest",
  running: "running",
  stopping: "stopping",
  coasting: "runs out",
  tripped: "tripped",
};

/** The simulated drive of a step: what it does, and what can be done with it. */
export function StandInStrip({
  pointId,
  step,
  found,
}: {
  readonly pointId: string;
  readonly step: SiteStep;
  readonly found: PointReadings;
}) {
  const { project } = useProject();
  const answered = useAnswered();
  const [hz, setHz] = useState("");
  const [problem, setProblem] = useState<string>();
  const standIn = found.standIn;
  if (!standIn) {
    return null;
  }
  const isLost = (found.standInAgeS ?? 0) > 5;
  const order = async (wanted: Order) => {
    try {
      const { data, error } = await api.POST("/api/projects/{id}/instruments/orders", {
        params: { path: { id: project.id } },
        body: { pointId, order: wanted.order, frequencyHz: wanted.frequencyHz },
      });
      setProblem(
        data ? data.standIn?.refused || undefined : error.errors.map((e) => e.message).join(" ") || error.detail,
      );
      if (data) {
        answered.readings(data);
      }
    } catch {
      setProblem("The server does not answer. Try again.");
    }
  };
  const typed = hz.trim() === "" ? null : Number(hz.replace(",", "."));
  const wanted: readonly Order[] = step.orders.some((o) => o.order === "start" || o.order === "couple")
    ? [
        ...step.orders,
        ...(step.orders.some((o) => o.order === "stop") ? [] : [{ order: "stop", frequencyHz: null } as Order]),
      ]
    : step.orders;
  return (
    <div role="group" aria-label="Simulated drive" className="mt-2 max-w-3xl border border-rule bg-card px-2 py-1.5">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <b>Simulated drive</b>
        <span role="status">
          {isLost ? `has said nothing since ${age(found.standInAgeS ?? 0)}` : states[standIn.state]}
          {standIn.trip !== "" && `: ${standIn.trip}`}
        </span>
        <span className="font-mono">{Math.round(standIn.speedRpm)} rpm</span>
        {standIn.frequencyHz !== 0 && <span className="font-mono">{Math.round(standIn.frequencyHz * 10) / 10} Hz</span>}
        <span className="text-soft">{standIn.coupled ? "machine on the shaft" : "motor alone"}</span>
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {wanted.map((o, i) => (
          <button
            key={`${o.order}${i}`}
            type="button"
            className="button"
            disabled={isLost}
            onClick={() => void order(o)}
          >
            {orderWord(o.order, o.frequencyHz)}
          </button>
        ))}
        {standIn.state === "tripped" && (
          <button type="button" className="button" onClick={() => void order({ order: "reset", frequencyHz: null })}>
            Acknowledge
          </button>
        )}
        {wanted.some((o) => o.order === "start") && (
          <form
            className="flex items-center gap-1.5"
            onSubmit={(e) => {
              e.preventDefault();
              if (typed !== null && Number.isFinite(typed)) {
                void order({ order: "start", frequencyHz: typed });
              } else {
                setProblem("A frequency in Hz, negative for reverse.");
              }
            }}
          >
            <label className="flex items-center gap-1.5">
              <span className="text-soft">or at</span>
              <input
                className="entry w-16 text-right font-mono"
                inputMode="decimal"
                value={hz}
                onChange={(e) => setHz(e.target.value)}
              />
              <span className="text-soft">Hz</span>
            </label>
            <button type="submit" className="button" disabled={isLost}>
              Run
            </button>
          </form>
        )}
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-fails">
          {problem}
        </p>
      )}
    </div>
  );
}
