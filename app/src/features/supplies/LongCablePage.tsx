import { api, type CheckKey, type DrivePoint, type LongCableAnswer } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { TextField } from "../../components/Fields";
import { Entries } from "../../fields/Entries";
import { useUnits } from "../../fields/useUnits";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import { AssumedAround } from "../bench/AssumedAround";
import { CheckList } from "../bench/CellChecks";
import { Missing } from "../bench/FigureList";
import { usePointEdit } from "../bench/usePointEdit";
import { useLab } from "../lineups/useLab";
import type { Selection } from "../board/selection";
import { ChainPicture, CurrentPicture, DepthPicture, FluxPicture, TorquePicture } from "./LongCablePictures";
import { FigureCards } from "../../components/FigureCards";
import { readTaps, stepUpEntries, withStepUp, type StepUp } from "./longCable";

/** One motor in a well behind a step-up transformer: what is entered, what follows, how to read, identify and start it. */
export function LongCablePage({
  point,
  onReason,
  onCell,
}: {
  readonly point: DrivePoint;
  readonly onReason: (check: CheckKey) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project, run } = useProject();
  const edit = usePointEdit([point.id]);
  const found = useLab<LongCableAnswer>(["long-cable", point.id], (id) =>
    api.GET("/api/projects/{id}/drive-points/{point}/long-cable", { params: { path: { id, point: point.id } } }),
  );
  const stepUp: StepUp = point.stepUp ?? {};
  const checks = project.assessment.checks.filter((c) => c.drivePointId === point.id && c.id.startsWith("long-cable."));
  const cell = (row: "cable" | "motor" | "converter") => onCell({ point: point.id, row, columns: [point.id] });
  return (
    <div className="mt-3 grid grid-cols-[20rem_minmax(0,1fr)] gap-x-6">
      <section aria-label="Entries of the long cable" className="min-w-0">
        <div className="flex flex-wrap gap-2">
          <button
            type="button"
            className="button"
            onClick={() => void run({ kind: "accept-usual", pointIds: [point.id], keys: [] })}
          >
            Assume usual values
          </button>
          <button
            type="button"
            className="button"
            onClick={() => void run({ kind: "size-step-up", pointId: point.id })}
          >
            Propose transformer
          </button>
          <button type="button" className="button" onClick={() => cell("cable")}>
            Depth, section
          </button>
          <button type="button" className="button" onClick={() => cell("motor")}>
            Motor
          </button>
          <button
            type="button"
            className="button"
            onClick={() => void run({ kind: "use-step-up", pointId: point.id, back: true })}
          >
            No transformer
          </button>
        </div>
        <AssumedAround point={point} columns={[point.id]}>
          {stepUpEntries.map(({ part, title, of, keys }) => (
            <fieldset key={part} className="mt-2 border-t border-rule pt-1">
              <legend className="pr-2 font-semibold">{title}</legend>
              {part === "transformer" && (
                <TextField
                  label="Taps, V"
                  help="Voltages without load, with blanks or commas between them."
                  value={(stepUp.transformer?.tapsV ?? []).join(" ")}
                  onCommit={(text) => {
                    const taps = readTaps(text);
                    return typeof taps === "string"
                      ? Promise.resolve(taps)
                      : edit("taps of the step-up transformer", withStepUp("transformer", { tapsV: [...taps] }));
                  }}
                />
              )}
              <Entries
                of={of}
                value={stepUp[part] ?? {}}
                keys={keys as never}
                change={(change, what) => edit(what, withStepUp(part, change))}
              />
            </fieldset>
          ))}
        </AssumedAround>
      </section>
      <div className="min-w-0">
        {found.isPending ? (
          <Loading what="chain" />
        ) : found.isError ? (
          <Failed
            what="The chain could not be computed."
            detail={found.error.message}
            retry={() => void found.refetch()}
          />
        ) : (
          <Answer answer={found.data} />
        )}
        <section aria-label="Checks of the long cable">
          <h3 className="section-title">Checks</h3>
          <CheckList columns={2} checks={checks} onReason={onReason} />
        </section>
        {found.data && <Runs answer={found.data} />}
        {found.data && <Data answer={found.data} />}
        <Control point={point} />
      </div>
    </div>
  );
}

function Answer({ answer }: { readonly answer: LongCableAnswer }) {
  const units = useUnits();
  const f = answer.figures;
  if (!f) {
    return <Missing names={answer.missing} />;
  }
  const cells: readonly (readonly [string, string])[] = [
    ["At the surface", `${n(f.surfaceV, 4)} V`],
    [
      "Tap needed, bus at nominal",
      `${n(f.tapNeededV, 4)} V${f.tapProposedV === null ? ", none reaches" : `: ${n(f.tapProposedV, 4)} V`}`,
    ],
    ["Converter", `${n(f.converterA)} A, at most ${n(f.converterSumA)} A`],
    ["Saturates below", f.leastHz === null ? "at every frequency" : `${n(f.leastHz)} Hz`],
    ["Cable", `${n(f.cableOhm, 4)} Ω, ${units.say(f.conductorC, "°C")}`],
    ["Transformer", `${n(f.transformerKva)} kVA, takes ${n(f.transformerDropV)} V`],
    ["Charging current", f.chargingA === null ? "–" : `${n(f.chargingA)} A`],
    [
      "Filter resonance",
      f.resonanceHz === null
        ? "–"
        : `${n(f.resonanceHz)} Hz of ${n(f.resonanceFromHz ?? 0)} to ${n(f.resonanceToHz ?? 0)}`,
    ],
  ];
  return (
    <>
      <FigureCards cells={cells} />
      <div className="flex flex-wrap gap-x-4">
        <ChainPicture answer={answer} />
        <FluxPicture answer={answer} limit={f.fluxLimitPu} />
        <CurrentPicture answer={answer} />
        <TorquePicture answer={answer} />
        <DepthPicture answer={answer} />
      </div>
      {f.readings && (
        <p className="text-[13px]">
          Read at the surface: cable {n(f.readings.cableOhm, 4)} Ω, winding {n(f.readings.statorOhm, 4)} Ω a phase (
          {f.readings.phasesOhm.map((p) => n(p, 4)).join(", ")}), at {units.say(20, "°C")}{" "}
          {n(f.readings.stator20Ohm, 4)} Ω.
          {f.referred && (
            <>
              {" "}
              To be told to the converter, on the low side: motor and cable {n(f.referred.statorAndCableOhm, 4)} Ω,
              transformer {n(f.referred.transformerOhm, 4)} Ω and {n(f.referred.transformerReactanceOhm, 4)} Ω of
              leakage.
            </>
          )}
        </p>
      )}
    </>
  );
}

// Direct current does not pass a transformer: what is left, in the order in which it is done.
function Runs({ answer }: { readonly answer: LongCableAnswer }) {
  return (
    <section aria-label="Identification runs">
      <h3 className="section-title">Identification, in this order</h3>
      <p className="max-w-[860px] border-l-4 border-fails pl-2 text-[12px]">
        <b>Caution.</b> A transformer passes no direct current: identification at rest, braking and holding with it do
        not work. Before the cable is touched: isolate, lock, wait as the makers state, prove both sides dead; while the
        column drains the pump turns back and a motor with magnets is a generator. Licensed people, by local codes.
      </p>
      <table className="table max-w-[980px]">
        <thead>
          <tr>
            <th>run</th>
            <th>possible</th>
            <th>the well meanwhile</th>
            <th>gives</th>
            <th>why</th>
          </tr>
        </thead>
        <tbody>
          {answer.runs.map((r) => (
            <tr key={r.name}>
              <td>{r.name}</td>
              <td className={r.possible ? "" : "font-semibold text-fails"}>{r.possible ? "yes" : "no"}</td>
              <td>{r.state}</td>
              <td>{r.unlocks}</td>
              <td>{r.why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

// What is missing is got on site or from a maker: each says how.
function Data({ answer }: { readonly answer: LongCableAnswer }) {
  return (
    <section aria-label="Data and how they are got">
      <h3 className="section-title">Data, and how each is got</h3>
      <table className="table max-w-[980px]">
        <thead>
          <tr>
            <th>what</th>
            <th>entered</th>
            <th>how it is got</th>
          </tr>
        </thead>
        <tbody>
          {answer.data.map((d) => (
            <tr key={d.name}>
              <td>{d.name}</td>
              <td className={d.known ? "" : "font-semibold text-tight"}>{d.known ? "yes" : "no"}</td>
              <td>{d.how}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const controls = [
  [
    "vector",
    "by a model of the motor: least current, holds speed under load",
    "asks for resistance and inductance referred to the low side, and the back-EMF of magnets",
  ],
  [
    "scalar",
    "voltage over frequency; with magnets the voltage is set for a constant power factor",
    "asks for little: right for pumps whose load changes slowly; no torque at standstill",
  ],
] as const;

// Two schools, both in use: the choice stands at the converter.
function Control({ point }: { readonly point: DrivePoint }) {
  const chosen =
    point.converter.kind === "catalogue" ? (point.converter.control === "scalar" ? "scalar" : "vector") : "";
  return (
    <section aria-label="Control">
      <h3 className="section-title">Control</h3>
      <ul className="max-w-[860px]">
        {controls.map(([kind, what, needs]) => (
          <li key={kind} className="border-b border-rule py-1">
            <b>{kind}</b>
            {kind === chosen && <span className="text-plum"> (chosen)</span>}: {what}; {needs}.
          </li>
        ))}
      </ul>
    </section>
  );
}
