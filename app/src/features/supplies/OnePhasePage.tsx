import { api, type CheckKey, type Lineup, type OnePhaseAnswer } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { CheckList } from "../bench/CellChecks";
import { Missing } from "../bench/FigureList";
import { useLab } from "../lineups/useLab";
import { MachineTable } from "./MachineTable";
import { onePhaseEntries, withOnePhase, type Means, type OnePhase } from "./onePhase";
import { TwoConductors } from "./TwoConductors";
import { WaysTable } from "./WaysTable";

/** One lineup to which only one phase is available: its machines, the ways to run them, what each unit does on two conductors. */
export function OnePhasePage({
  lineup,
  onReason,
}: {
  readonly lineup: Lineup;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project, run, edit } = useProject();
  const found = useLab<OnePhaseAnswer>(["one-phase", lineup.id], (id) =>
    api.GET("/api/projects/{id}/lineups/{lineup}/one-phase", { params: { path: { id, lineup: lineup.id } } }),
  );
  const one: OnePhase = lineup.onePhase ?? {};
  const ids = new Set(lineup.drivePoints.map((p) => p.id));
  const checks = project.assessment.checks.filter(
    (c) => c.id.startsWith("single-phase.") && (c.elementId === lineup.id || ids.has(c.drivePointId)),
  );
  const change = (part: (o: OnePhase) => OnePhase, what: string) =>
    edit(`${lineup.tag}: ${what}`, withOnePhase(lineup.id, part));
  return (
    <div className="mt-3 grid grid-cols-[18rem_minmax(0,1fr)] gap-x-6">
      <section aria-label="Entries of the supply" className="min-w-0">
        <button
          type="button"
          className="button"
          onClick={() => void run({ kind: "feed-from-one-phase", lineupId: lineup.id, back: true })}
        >
          Three phases after all
        </button>
        <fieldset className="mt-2 border-t border-rule pt-1">
          <legend className="pr-2 font-semibold">Supply</legend>
          <Entries
            of={fields.OnePhaseSupply}
            value={one}
            keys={onePhaseEntries.supply}
            change={(part, what) => change((o) => ({ ...o, ...part }), what)}
          />
        </fieldset>
        <fieldset className="mt-2 border-t border-rule pt-1">
          <legend className="pr-2 font-semibold">Rotary converter</legend>
          <Entries
            of={fields.RotaryConverter}
            value={one.rotary ?? {}}
            keys={onePhaseEntries.rotary}
            change={(part, what) => change((o) => ({ ...o, rotary: { ...o.rotary, ...part } }), what)}
          />
        </fieldset>
        <fieldset className="mt-2 border-t border-rule pt-1">
          <legend className="pr-2 font-semibold">Cost, in {project.specification.tariff.currency}</legend>
          <Entries
            of={fields.OnePhaseCosts}
            value={one.costs ?? {}}
            keys={onePhaseEntries.costs}
            change={(part, what) => change((o) => ({ ...o, costs: { ...o.costs, ...part } }), what)}
          />
        </fieldset>
      </section>
      <div className="min-w-0">
        <MachineTable lineup={lineup} one={one} answer={found.data} />
        {found.isPending ? (
          <Loading what="comparison" />
        ) : found.isError ? (
          <Failed
            what="The ways could not be compared."
            detail={found.error.message}
            retry={() => void found.refetch()}
          />
        ) : (
          <>
            {found.data.comparison.missing.length > 0 ? (
              <Missing names={found.data.comparison.missing} />
            ) : (
              <WaysTable lineup={lineup} one={one} answer={found.data} />
            )}
            <TwoConductors answer={found.data} />
          </>
        )}
        <section aria-label="Checks of the one phase">
          <h3 className="section-title">Checks</h3>
          <CheckList
            columns={2}
            checks={checks}
            whose={(c) => lineup.drivePoints.find((p) => p.id === c.drivePointId)?.tag ?? lineup.tag}
            onReason={onReason}
          />
        </section>
        <Steps means={one.means} />
      </div>
    </div>
  );
}

const ofConverters = [
  "Isolate, lock, wait as the maker states, prove absence of voltage between the input terminals, at the link and to earth.",
  "Link the motor in delta where it is made for both: three bridges side by side; tighten to the torque that the maker states.",
  "Connect phase and neutral, or both phases, to the two terminals named above; the third stays free and covered; earth first.",
  "Where a three-phase unit is used: switch its phase-loss trip off, where its maker permits that.",
  "Enter the motor’s plate as it is linked now: voltage, current, frequency, speed; the converter’s motor protection goes by it.",
  "The contactor ahead isolates, it does not start and stop: once in two minutes at most, or as the maker states. Start and stop by wire or bus.",
  "Run without load, then loaded: direction, current, speed against the readout, temperature after an hour.",
] as const;

const ofRotary = [
  "Isolate, lock, prove absence of voltage on both sides of the rotary converter: it feeds back while it runs down.",
  "Link each motor for the supply’s voltage; tighten to the torque that the maker states.",
  "Start the rotary converter alone; measure its three voltages, then again with the largest machine loaded: enter the deviation.",
  "Put single-phase loads and controls on the line’s own two conductors, never on the made phase.",
  "Start the heaviest machine first, alone; check direction, current of each phase, temperature after an hour.",
  "Set the overload protection of each motor to its current as linked, with protection against a lost phase.",
] as const;

const ofStatic = [
  "Isolate, lock, wait for the capacitors to discharge as the maker states, prove absence of voltage on them too.",
  "Link the motor for the supply’s voltage; connect one machine only.",
  "Match the run capacitors to its load: three currents as equal as can be had, none above the plate.",
  "Start it with its lightest load; if it hums and does not come up to speed, stop at once.",
  "Load it to two thirds at most; temperature after an hour.",
] as const;

// In their order; with their caution ahead of them.
function Steps({ means }: { readonly means: Means | undefined }) {
  const steps = means === "rotary" ? ofRotary : means === "static" ? ofStatic : ofConverters;
  return (
    <section aria-label="Putting into service">
      <h3 className="section-title">Putting into service</h3>
      <p className="max-w-[860px] border-l-4 border-fails pl-2 text-[12px]">
        <b>Caution.</b> Links and capacitors stay charged for minutes after the supply is off. With a conductor and the
        neutral a swapped pair puts the phase where none is expected. Licensed people, by local codes and the makers’
        instructions.
      </p>
      <ol className="max-w-[860px] list-decimal pl-5">
        {steps.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ol>
    </section>
  );
}
