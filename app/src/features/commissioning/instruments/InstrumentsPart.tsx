import { useRef, useState } from "react";
import { api, type DrivePoint, type InstrumentsAnswer } from "../../../api/client";
import { Failed, Loading } from "../../../components/States";
import { useUnits } from "../../../fields/useUnits";
import { when } from "../../../lib/format";
import { useProject } from "../../../project/ProjectContext";
import { about } from "./readings";
import { useAnswered, useInstruments, useReadings } from "./useInstruments";

const links: Readonly<Record<InstrumentsAnswer["state"], string>> = {
  off: "no broker is asked for",
  connecting: "connecting",
  connected: "connected",
  waiting: "not connected; tries again",
};

type Answer<T> = { data?: T; error?: { errors: { message: string }[]; detail: string } };

/** How instruments are reached: broker, maps, stand-ins, and what they read at a drive point. */
export function InstrumentsPart({ point }: { readonly point: DrivePoint }) {
  const { project } = useProject();
  const units = useUnits();
  const answered = useAnswered();
  const found = useInstruments();
  const isOn = found.data !== undefined && found.data.state !== "off";
  const readings = useReadings(point.id, isOn);
  const [wanted, setWanted] = useState({ seed: "1", times: "1" });
  const [problem, setProblem] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  if (found.isPending) {
    return <Loading what="instruments" />;
  }
  if (found.isError) {
    return (
      <Failed
        what="The instruments could not be read."
        detail={found.error.message}
        retry={() => void found.refetch()}
      />
    );
  }
  const now = found.data;
  const tell = async (ask: () => Promise<Answer<InstrumentsAnswer>>) => {
    try {
      const { data, error } = await ask();
      setProblem(data ? undefined : error && (error.errors.map((e) => e.message).join(" ") || error.detail));
      if (data) {
        answered.instruments(data);
      }
    } catch {
      setProblem("The server does not answer. Try again.");
    }
  };
  const path = { params: { path: { id: project.id } } };
  const start = () =>
    tell(() =>
      api.POST("/api/projects/{id}/instruments/stand-ins", {
        ...path,
        body: { seed: Number(wanted.seed), times: Number(wanted.times) },
      }),
    );
  const stop = () => tell(() => api.POST("/api/projects/{id}/instruments/stand-ins/stop", path));
  const addMap = async (chosen: File | undefined) => {
    if (!chosen) {
      return;
    }
    try {
      const body: unknown = JSON.parse(await chosen.text());
      const { data, error } = await api.POST("/api/topic-maps", { body: body as never });
      setProblem(data ? undefined : error.errors.map((e) => e.message).join(" ") || error.detail);
      void found.refetch();
    } catch (e) {
      setProblem(e instanceof SyntaxError ? `“${chosen.name}” is no JSON.` : "The server does not answer. Try again.");
    }
  };
  const removeMap = async (name: string) => {
    try {
      const { data, error } = await api.DELETE("/api/topic-maps/{file}", { params: { path: { file: name } } });
      setProblem(data ? undefined : error.detail);
      void found.refetch();
    } catch {
      setProblem("The server does not answer. Try again.");
    }
  };
  const standIns = now.standIns;
  const all = readings.data?.readings ?? [];
  const valued = all.filter((r) => r.value !== null);
  return (
    <div className="min-w-0">
      <h3 className="section-title">Broker</h3>
      <p role="status">
        <b>{links[now.state]}</b> {now.broker !== "" && <span className="font-mono">{now.broker}</span>}
        {now.isOwn && <span className="text-soft"> (the program’s own, on its machine alone)</span>}
        {now.trouble !== "" && <span className="text-fails"> {now.trouble}</span>}
      </p>
      {now.state !== "off" && (
        <p className="text-soft">
          {now.counts.taken} readings taken, {now.counts.late} late, {now.counts.repeated} repeated,{" "}
          {now.counts.refused} messages refused, {now.counts.unmapped} of no map.
          {now.counts.lastRefusal !== "" && <> Last refused: {now.counts.lastRefusal}.</>}
        </p>
      )}
      <h3 className="section-title mt-4">Stand-ins</h3>
      <p className="max-w-3xl">
        A process of this machine simulates the plant as specified, in time, with a seed of tolerances and noise, and
        its instruments around it. Whatever comes from it is marked simulated for ever and proves nothing of a real
        plant.
      </p>
      {standIns && (
        <p role="status" className="mt-1">
          {standIns.running && standIns.drivePoints === 0 ? (
            <>
              <b>Getting ready</b> since {when(standIns.sinceUtc)}: every drive point is computed first, a plant of 200
              in half a minute.
            </>
          ) : standIns.running ? (
            <>
              <b>Running</b>, {standIns.drivePoints} drive points, since {when(standIns.sinceUtc)}, seed {standIns.seed}
              {standIns.times > 1 && <>, {standIns.times} times faster than the clock</>}
              {standIns.edit !== project.edit && (
                <span className="text-fails">
                  . They simulate edit {standIns.edit}; the specification is at {project.edit}: start them anew
                </span>
              )}
              .
            </>
          ) : (
            <span className="text-fails">
              <b>Not running:</b> {standIns.ended}. Entries and recorded runs are kept.
            </span>
          )}
        </p>
      )}
      <form
        className="mt-2 flex flex-wrap items-center gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          void start();
        }}
      >
        <label className="flex items-center gap-2">
          <span className="text-soft">Seed</span>
          <input
            className="entry w-20 text-right font-mono"
            inputMode="numeric"
            value={wanted.seed}
            onChange={(e) => setWanted({ ...wanted, seed: e.target.value })}
          />
        </label>
        <label className="flex items-center gap-2">
          <span className="whitespace-nowrap text-soft">Faster than the clock</span>
          <select
            className="entry"
            value={wanted.times}
            onChange={(e) => setWanted({ ...wanted, times: e.target.value })}
          >
            {["1", "5", "20", "60"].map((n) => (
              <option key={n} value={n}>
                {n} ×
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className="button button-main">
          {standIns?.running ? "Start anew" : "Start the stand-ins"}
        </button>
        {standIns?.running && (
          <button type="button" className="button" onClick={() => void stop()}>
            Stop them
          </button>
        )}
      </form>
      {problem && (
        <p role="alert" className="mt-1 text-fails">
          {problem}
        </p>
      )}
      <h3 className="section-title mt-4">Topic maps</h3>
      <p className="max-w-3xl text-soft">
        A map is a small file that says on which topics an instrument or gateway publishes, where in its payload which
        quantity stands, and in which unit.
      </p>
      <table className="table mt-1" aria-label="Topic maps">
        <tbody>
          {now.maps.map((m) => (
            <tr key={m.file + m.name}>
              <td>{m.name}</td>
              <td className="num">{m.topics} topics</td>
              <td>{m.simulated ? "simulated" : ""}</td>
              <td className="text-soft">{m.file === "" ? "ships with the program" : m.file}</td>
              <td className="text-fails">{m.problem}</td>
              <td>
                {m.file !== "" && (
                  <button
                    type="button"
                    className="button"
                    aria-label={`Remove the map ${m.name}`}
                    onClick={() => void removeMap(m.file)}
                  >
                    Remove
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        className="hidden"
        aria-label="Topic map file"
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          void addMap(chosen);
          e.target.value = "";
        }}
      />
      <button type="button" className="button mt-2" onClick={() => file.current?.click()}>
        Add a map…
      </button>
      {isOn && (
        <>
          <h3 className="section-title mt-4">
            Readings at {point.tag} {point.name}
          </h3>
          {all.length > valued.length && (
            <p className="max-w-3xl text-soft">
              No value now:{" "}
              {all
                .filter((r) => r.value === null)
                .map((r) => r.what)
                .join(", ")}
              .
            </p>
          )}
          {valued.length > 0 ? (
            <table className="table mt-1" aria-label={`Readings at ${point.tag}`}>
              <thead>
                <tr>
                  <th>quantity</th>
                  <th className="num">value</th>
                  <th>age</th>
                  <th>instrument</th>
                </tr>
              </thead>
              <tbody>
                {valued.map((r) => (
                  <tr key={r.name}>
                    <td>{r.what}</td>
                    <td className="num whitespace-nowrap">{units.entered(r.value ?? 0, r.unit)}</td>
                    <td className={r.good || r.value === null ? "text-soft" : "text-fails"}>{about(r)}</td>
                    <td className="text-soft">{r.instrument}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p className="text-soft">Nothing has been read here yet.</p>
          )}
        </>
      )}
    </div>
  );
}
