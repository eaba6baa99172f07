import { Tabs } from "radix-ui";
import { lazy, Suspense, useEffect, useEffectEvent, useRef, useState } from "react";
import type { CheckKey } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { findPoint } from "../../lib/specification";
import type { Row, Selection } from "../board/selection";
import { useProject } from "../../project/ProjectContext";
import { AssumedAround } from "./AssumedAround";
import { CellChecks } from "./CellChecks";
import { EntryTab } from "./EntryTab";
import type { Reasoned } from "./ReasonSheet";
import { useBench } from "./useBench";
import { UsualBox } from "./UsualBox";

const StartingTab = lazy(async () => ({ default: (await import("../starting/StartingTab")).StartingTab }));
const FitTab = lazy(async () => ({ default: (await import("./FitTab")).FitTab }));
const PowerTab = lazy(async () => ({ default: (await import("./PowerTab")).PowerTab }));
const CostTab = lazy(async () => ({ default: (await import("./CostTab")).CostTab }));
const CandidatesTab = lazy(async () => ({ default: (await import("./CandidatesTab")).CandidatesTab }));
const ReasonSheet = lazy(async () => ({ default: (await import("./ReasonSheet")).ReasonSheet }));

const tabs = {
  entry: "Entries",
  fit: "Fit",
  power: "Power",
  time: "Time",
  cost: "Cost",
  candidates: "Candidates",
} as const;
type Tab = keyof typeof tabs;

/** The page that was chosen, and for what row of the board. */
export interface ChosenPage {
  readonly row: Row;
  readonly tab: Tab;
}

const firstTab: Readonly<Record<Row, Tab>> = {
  supply: "power",
  converter: "fit",
  cable: "entry",
  motor: "fit",
  load: "entry",
};

/** Pictures and numbers of the chosen cell, live. */
export function Bench({
  selection,
  chosen,
  onChosen,
  onReason,
  onLeave,
}: {
  readonly selection: Selection;
  /** Kept by whoever shows the bench: it is put away on a narrow window and comes back as it was. */
  readonly chosen: ChosenPage | undefined;
  readonly onChosen: (page: ChosenPage) => void;
  readonly onReason: (check: CheckKey) => void;
  readonly onLeave: () => void;
}) {
  const { project } = useProject();
  const { point: id, row } = selection;
  const [figure, setFigure] = useState<Reasoned>();
  const point = findPoint(project.specification, id);
  const bench = useBench(id);
  const available = (Object.keys(tabs) as Tab[]).filter(
    (t) => t !== "candidates" || row === "motor" || row === "converter",
  );
  const tab = chosen?.row === row && available.includes(chosen.tab) ? chosen.tab : firstTab[row];
  const list = useRef<HTMLDivElement>(null);
  const openPage = useEffectEvent((index: number) => {
    const page = available[index];
    if (page) {
      onChosen({ row, tab: page });
      requestAnimationFrame(() => list.current?.querySelectorAll<HTMLElement>("[role=tab]")[index]?.focus());
    }
  });
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent) => {
      // AltGr counts as both keys and types a letter.
      const isPage = event.ctrlKey && event.altKey && !event.getModifierState("AltGraph");
      if (isPage && event.code.startsWith("Digit")) {
        event.preventDefault();
        openPage(Number(event.code.slice(5)) - 1);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  if (!point) {
    return null;
  }
  return (
    <aside
      id="bench"
      aria-label="Bench"
      className="h-full overflow-y-auto bg-panel p-3"
      onKeyDown={(event) => {
        if (event.key === "Escape" && !event.defaultPrevented) {
          onLeave();
        }
      }}
    >
      <h2 className="text-[15px] font-bold">
        {point.tag} {point.name} · {row}
      </h2>
      <Tabs.Root value={tab} onValueChange={(value) => onChosen({ row, tab: value as Tab })}>
        <Tabs.List ref={list} aria-label="Bench pages" className="mt-1 flex flex-wrap gap-x-3 border-b border-rule">
          {available.map((t) => (
            <Tabs.Trigger
              key={t}
              value={t}
              className="border-b-2 border-transparent py-1 data-[state=active]:border-plum data-[state=active]:font-semibold"
            >
              {tabs[t]}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value={tab} className="pt-2">
          {bench.data && (tab === "entry" || tab === "fit") && (
            <UsualBox
              key={`usual-${id}`}
              usual={bench.data.usual}
              assumed={bench.data.assumed}
              columns={selection.columns}
            />
          )}
          {tab === "entry" ? (
            <AssumedAround point={point} columns={selection.columns}>
              <EntryTab key={id} point={point} row={row} columns={selection.columns} onReason={onReason} />
            </AssumedAround>
          ) : (
            <Suspense fallback={<Loading what="pictures" />}>
              {tab === "candidates" && (row === "motor" || row === "converter") && (
                <CandidatesTab selection={selection} kind={row} />
              )}
              {tab !== "candidates" && bench.isPending && <Loading what="figures" />}
              {tab !== "candidates" && bench.isError && (
                <Failed
                  what="The figures could not be read."
                  detail={bench.error.message}
                  retry={() => void bench.refetch()}
                />
              )}
              {tab === "time" && <StartingTab point={id} />}
              {bench.data && tab === "fit" && (
                <FitTab bench={bench.data} row={row} skipBands={point.skipBands} onFigure={setFigure} />
              )}
              {bench.data && tab === "power" && <PowerTab bench={bench.data} onFigure={setFigure} />}
              {bench.data && tab === "cost" && (
                <CostTab bench={bench.data} currency={project.specification.tariff.currency} onFigure={setFigure} />
              )}
            </Suspense>
          )}
        </Tabs.Content>
      </Tabs.Root>
      <CellChecks point={id} row={row} onReason={onReason} />
      <Suspense fallback={null}>
        {figure && <ReasonSheet subject={figure} onClose={() => setFigure(undefined)} />}
      </Suspense>
    </aside>
  );
}
