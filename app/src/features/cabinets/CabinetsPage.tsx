import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, type CabinetAnswer, type CheckKey, type Lineup } from "../../api/client";
import { FigureCards } from "../../components/FigureCards";
import { Failed, Loading } from "../../components/States";
import { VerdictMark } from "../../components/VerdictMark";
import { Entries } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { useUnits } from "../../fields/useUnits";
import { worst } from "../../lib/verdict";
import { useProject } from "../../project/ProjectContext";
import { CheckList } from "../bench/CellChecks";
import { Missing } from "../bench/FigureList";
import type { Selection } from "../board/selection";
import { useLab } from "../lineups/useLab";
import { entriesOf, withCabinets, withPin, withSplit, type Cabinets } from "./cabinets";
import { Elevation } from "./Elevation";
import { ControlSupply } from "./ControlSupply";
import { SideAndPlan } from "./SideAndPlan";
import { SectionTable } from "./SectionTable";
import { UnitPanel } from "./UnitPanel";

/** Cabinets of the lineups, one at a time. */
export function CabinetsPage({
  onReason,
  onCell,
}: {
  readonly onReason: (check: CheckKey) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project } = useProject();
  const [search, setSearch] = useSearchParams();
  const { lineups } = project.specification;
  const lineup = lineups.find((l) => l.id === search.get("lineup")) ?? lineups.find((l) => l.cabinets) ?? lineups[0];
  return (
    <div className="p-4">
      <h2 className="text-[17px] font-bold">Cabinets</h2>
      <nav aria-label="Lineups" className="mt-1 flex flex-wrap gap-2">
        {lineups.map((l) => {
          const verdict = worst(project.assessment.checks.filter((c) => isOf(c, l)).map((c) => c.verdict));
          return (
            <button
              key={l.id}
              type="button"
              className={`button flex items-center gap-1 ${l === lineup ? "border-plum font-semibold" : ""}`}
              aria-pressed={l === lineup}
              onClick={() => setSearch({ lineup: l.id }, { replace: true })}
            >
              {verdict && <VerdictMark verdict={verdict} size={9} labelled />}
              {l.tag} {l.name}
            </button>
          );
        })}
      </nav>
      {lineup ? (
        <div key={lineup.id}>
          <CabinetsOf lineup={lineup} onReason={onReason} onCell={onCell} />
          <ControlSupply lineup={lineup} onReason={onReason} />
        </div>
      ) : (
        <p className="mt-3 text-soft">There is no lineup yet: add one on the board.</p>
      )}
    </div>
  );
}

const isOf = (check: { readonly id: string; readonly elementId: string }, lineup: Lineup) =>
  check.id.startsWith("cabinet.") && check.elementId.split("/")[0] === lineup.id;

function CabinetsOf({
  lineup,
  onReason,
  onCell,
}: {
  readonly lineup: Lineup;
  readonly onReason: (check: CheckKey) => void;
  readonly onCell: (selection: Selection) => void;
}) {
  const { project, edit } = useProject();
  const { sentence } = useUnits();
  const change = (what: string, next: (c: Cabinets) => Cabinets | null) =>
    edit(`${lineup.tag}: ${what}`, withCabinets(lineup.id, next));
  if (!lineup.cabinets) {
    return (
      <p className="mt-3 max-w-[640px]">
        <span className="text-soft">
          The air at its converters is taken from the site: ambient and a rise for the cabinet. With cabinets every unit
          gets its place, and each converter the air of its section.
        </span>{" "}
        <button type="button" className="button" onClick={() => void change("cabinets", () => ({}))}>
          Place in cabinets
        </button>
      </p>
    );
  }
  const { cabinets } = lineup;
  return (
    <div className="mt-3 grid grid-cols-[19rem_minmax(0,1fr)] gap-x-6">
      <section aria-label="Entries of the cabinets" className="min-w-0">
        {entriesOf(cabinets, lineup.dcBuses.length > 0).map(([group, keys]) => (
          <fieldset key={group} className="mt-2 border-t border-rule pt-1">
            <legend className="pr-2 font-semibold">{group}</legend>
            <Entries
              of={fields.CabinetBuild}
              value={cabinets}
              keys={keys}
              change={(part, what) => change(what, (c) => ({ ...c, ...part }))}
            />
          </fieldset>
        ))}
        <p className="mt-2 border-l-4 border-fails pl-2 text-[12px]">
          <b>Caution.</b> Isolate, lock, wait for the links to discharge, prove absence of voltage before a door with
          power behind it is opened; covers IP2X, {sentence("handles at 0.6 to 1.9 m")}. Whoever builds the assembly
          proves it (IEC 61439) by local codes and the makers’ instructions.
        </p>
        <button type="button" className="button mt-2" onClick={() => void change("no cabinets", () => null)}>
          No cabinets
        </button>
      </section>
      <Answer
        lineup={lineup}
        onCell={onCell}
        onSplit={(behind) => void change(`parted behind section ${behind}`, (c) => withSplit(c, behind))}
        onMove={(unit, section) =>
          void change(section === null ? "unit by itself" : `unit to section ${section}`, (c) =>
            withPin(c, unit, section),
          )
        }
      >
        <section aria-label="Checks of the cabinets">
          <h3 className="section-title">Checks</h3>
          <CheckList
            columns={2}
            checks={project.assessment.checks.filter((c) => isOf(c, lineup) && c.id !== "cabinet.control-supply")}
            onReason={onReason}
          />
        </section>
      </Answer>
    </div>
  );
}

function Answer({
  lineup,
  onMove,
  onSplit,
  onCell,
  children,
}: {
  readonly lineup: Lineup;
  readonly onMove: (unit: string, section: number | null) => void;
  readonly onSplit: (behind: number) => void;
  readonly onCell: (selection: Selection) => void;
  readonly children: React.ReactNode;
}) {
  const { project } = useProject();
  const { say } = useUnits();
  const [chosen, setChosen] = useState<string>();
  const found = useLab<CabinetAnswer>(["cabinets", lineup.id], (id) =>
    api.GET("/api/projects/{id}/lineups/{lineup}/cabinets", { params: { path: { id, lineup: lineup.id } } }),
  );
  if (found.isPending) {
    return <Loading what="cabinets" />;
  }
  if (found.isError) {
    return (
      <Failed
        what="The cabinets could not be computed."
        detail={found.error.message}
        retry={() => void found.refetch()}
      />
    );
  }
  const answer = found.data;
  const unit = answer.sections.flatMap((s) => s.units).find((u) => u.id === chosen);
  return (
    <div className="min-w-0">
      {answer.missing.length > 0 && <Missing names={answer.missing} />}
      <FigureCards
        cells={[
          [
            "All sections",
            `${say(answer.widthMm, "mm")}, ${say(answer.massKg, "kg")}; floor ${say(answer.floorKgPerM2, "kg/m²")}`,
          ],
          [
            "Spare front, 20 % wanted",
            answer.sparePct === null
              ? "no section for units"
              : `${say(answer.sparePct, "%")}${answer.sparePct < 20 ? ", too little" : ""}`,
          ],
          [
            "Heat into the room",
            answer.roomW === null
              ? "needs data"
              : `${say(answer.roomW, "W")}, ${say(answer.roomM3PerH ?? 0, "m³/h")} of air leave ${say(10, "K")} warmer`,
          ],
          ["Incoming current", say(answer.sections[0]?.busbarA ?? answer.incomingA, "A")],
        ]}
      />
      <Elevation
        answer={answer}
        name={`${lineup.tag} ${lineup.name}`}
        files={`/api/projects/${project.id}/lineups/${lineup.id}/cabinets`}
        chosen={chosen}
        onChoose={setChosen}
      />
      {!unit && answer.sections.some((s) => s.units.length > 0) && (
        <p className="text-soft">Choose a unit in the picture: its loss and air, its cell, another section for it.</p>
      )}
      {unit && <UnitPanel answer={answer} unit={unit} onMove={(s) => onMove(unit.id, s)} onCell={onCell} />}
      <SideAndPlan answer={answer} aisleMm={lineup.cabinets?.aisleMm ?? null} chosen={chosen} onChoose={setChosen} />
      <SectionTable answer={answer} splits={(lineup.cabinets?.splits ?? []).map((s) => s.behind)} onSplit={onSplit} />
      {children}
    </div>
  );
}
