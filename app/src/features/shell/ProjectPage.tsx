import { useQuery } from "@tanstack/react-query";
import { lazy, memo, Suspense, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api, type Check, type Project, type CheckKey } from "../../api/client";
import { Failed, Loading } from "../../components/States";
import { Board } from "../board/Board";
import { CandidateSearch } from "../board/CandidateSearch";
import { cellId, rows, validSelection, type Row, type Selection } from "../board/selection";
import { useBoardActions } from "../board/useBoardActions";
import { UnitsContext, unitsOf, useUnits } from "../../fields/useUnits";
import { Bench, type ChosenPage } from "../bench/Bench";
import { Beside } from "../bench/Beside";
import { Ledger } from "../ledger/Ledger";
import { focusWhenThere } from "../../lib/focusWhenThere";
import { ConflictSheet } from "../../project/ConflictSheet";
import { ProjectContext, SavingContext, useProject } from "../../project/ProjectContext";
import { projectKey } from "../../project/projectKey";
import { sharedProject } from "../../project/sharedProject";
import { useCatalogue } from "../../project/useCatalogue";
import { useProjectAccess } from "../../project/useProjectAccess";
import type { StepAction } from "./nextStep";
import { NextStepLine } from "./NextStepLine";
import { Palette } from "./Palette";
import { Rail } from "./Rail";
import { stageOf, stages, type Stage, type View } from "./stages";
import { TopBar } from "./TopBar";

// What a key press opens is in the first script: the keys typed after it must find it there.
const ReasonSheet = lazy(async () => ({ default: (await import("../bench/ReasonSheet")).ReasonSheet }));
const KeysSheet = lazy(async () => ({ default: (await import("./KeysSheet")).KeysSheet }));
const MethodSheet = lazy(async () => ({ default: (await import("../methods/MethodSheet")).MethodSheet }));
const TemplatesSheet = lazy(async () => ({ default: (await import("../templates/TemplatesSheet")).TemplatesSheet }));
const PlantPage = lazy(async () => ({ default: (await import("../plant/PlantPage")).PlantPage }));
const HarmonicsPage = lazy(async () => ({ default: (await import("../harmonics/HarmonicsPage")).HarmonicsPage }));
const InterferencePage = lazy(async () => ({
  default: (await import("../interference/InterferencePage")).InterferencePage,
}));
const CommissioningPage = lazy(async () => ({
  default: (await import("../commissioning/CommissioningPage")).CommissioningPage,
}));
const SignalsPage = lazy(async () => ({ default: (await import("../signals/SignalsPage")).SignalsPage }));
const CabinetsPage = lazy(async () => ({ default: (await import("../cabinets/CabinetsPage")).CabinetsPage }));
const SuppliesPage = lazy(async () => ({ default: (await import("../supplies/SuppliesPage")).SuppliesPage }));
const EnergyPage = lazy(async () => ({ default: (await import("../energy/EnergyPage")).EnergyPage }));
const FieldPage = lazy(async () => ({ default: (await import("../field/FieldPage")).FieldPage }));
const ListPage = lazy(async () => ({ default: (await import("../list/ListPage")).ListPage }));
const SchedulesPage = lazy(async () => ({
  default: (await import("../protection/SchedulesPage")).SchedulesPage,
}));
const SheetsPage = lazy(async () => ({ default: (await import("../sheets/SheetsPage")).SheetsPage }));
const HistoryPage = lazy(async () => ({ default: (await import("../history/HistoryPage")).HistoryPage }));

/** One plant: rail, middle, bench and ledger. */
export function ProjectPage() {
  const { projectId = "" } = useParams();
  // Asked for beside the plant: cells say what is chosen by its names.
  useCatalogue();
  const project = useQuery({
    queryKey: projectKey(projectId),
    queryFn: async (): Promise<Project> => {
      const { data, response } = await api.GET("/api/projects/{id}", { params: { path: { id: projectId } } });
      if (!data) {
        throw new Error(
          response.status === 404 ? "There is no such plant on this machine." : "The server does not answer.",
        );
      }
      return data;
    },
    structuralSharing: sharedProject,
  });
  if (project.isPending) {
    return <Loading what="plant" />;
  }
  return project.isError ? (
    <Failed what="The plant could not be opened." detail={project.error.message} retry={() => void project.refetch()} />
  ) : (
    <Opened project={project.data} />
  );
}

function Opened({ project }: { readonly project: Project }) {
  const { access, saving } = useProjectAccess(project);
  return (
    <ProjectContext.Provider value={access}>
      <SavingContext.Provider value={saving}>
        <UnitsContext.Provider value={unitsOf(project.specification.conventions?.units)}>
          <Workplace />
        </UnitsContext.Provider>
      </SavingContext.Provider>
    </ProjectContext.Provider>
  );
}

const Workplace = memo(function Workplace() {
  const { project, undo, redo, notice, dismiss, conflict } = useProject();
  const units = useUnits();
  const { view: viewName = "board" } = useParams();
  const view = (stages.some((s) => s.view === viewName) ? viewName : "board") as View;
  const navigate = useNavigate();
  const [wanted, setWanted] = useState<Selection>();
  const [search, setSearch] = useState<string>();
  const [sheet, setSheet] = useState<"palette" | "keys" | "templates">();
  const [reason, setReason] = useState<CheckKey>();
  const [method, setMethod] = useState<string>();
  const [isBenchOpen, setBenchOpen] = useState(false);
  const [benchPage, setBenchPage] = useState<ChosenPage>();
  const main = useRef<HTMLElement>(null);
  const selection = validSelection(project.specification, wanted);
  const go = useCallback(
    (next: View) => void navigate(`/plants/${project.id}${next === "board" ? "" : `/${next}`}`),
    [navigate, project.id],
  );
  const toCell = useCallback(
    (next: Selection) => {
      go("board");
      setWanted(next);
      focusWhenThere(`#${CSS.escape(cellId(next.point, next.row))}`);
    },
    [go],
  );
  // What is made by a key or from the palette is gone to.
  const actions = useBoardActions(selection, toCell);
  const openBench = useCallback(() => {
    setBenchOpen(true);
    focusWhenThere("#bench [role=tab][aria-selected=true]");
  }, []);
  const onStage = useCallback(
    (stage: Stage) => {
      if (stage.row && selection) {
        toCell({ ...selection, row: stage.row });
      } else {
        go(stage.view);
      }
    },
    [go, selection, toCell],
  );
  const onStep = (step: StepAction) => {
    switch (step.kind) {
      case "add":
        go("board");
        actions.add();
        break;
      case "templates":
        setSheet("templates");
        break;
      case "import":
        void navigate(`/plants/${project.id}/list?import`);
        break;
      case "entry":
        void navigate(`/plants/${project.id}/plant?entry=${encodeURIComponent(step.name)}`);
        break;
      case "size":
        actions.size(step.points);
        break;
      case "protect":
        actions.protect(step.points);
        break;
      case "cell":
        toCell({ point: step.point, row: step.row, columns: [step.point] });
        openBench();
    }
  };
  const openCheck = (check: Check) => {
    setReason({ id: check.id, drivePointId: check.drivePointId, elementId: check.elementId });
    if (check.drivePointId && (rows as readonly string[]).includes(check.row)) {
      toCell({ point: check.drivePointId, row: check.row as Row, columns: [check.drivePointId] });
    } else {
      go(check.id.startsWith("harmonics.") ? "harmonics" : check.id.startsWith("emc.") ? "interference" : "plant");
    }
  };

  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && event.target.closest("input, select, textarea, [role=dialog]") !== null;
      const command = event.ctrlKey || event.metaKey;
      if (command && event.key.toLowerCase() === "k") {
        event.preventDefault();
        setSheet("palette");
      } else if (command && event.key.toLowerCase() === "z" && !typing) {
        event.preventDefault();
        (event.shiftKey ? redo : undo)();
      } else if (command && event.key.toLowerCase() === "y" && !typing) {
        event.preventDefault();
        redo();
      } else if (command && event.key.toLowerCase() === "d" && !typing) {
        event.preventDefault();
        actions.copy();
      } else if (event.key === "Insert" && view === "board" && !typing) {
        event.preventDefault();
        actions.add();
      } else if (event.key === "Escape" && !typing && !event.defaultPrevented && selection) {
        toCell(selection);
      } else if (!command && !event.defaultPrevented && (event.altKey || !typing)) {
        const stage = stageOf(event);
        if (stage) {
          event.preventDefault();
          onStage(stage);
        } else if (event.key === "?" && !typing) {
          setSheet("keys");
        }
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });

  // What had the focus went with the page before: the new page takes it, so that keys scroll and jump on.
  useLayoutEffect(() => {
    if (view !== "board" && document.activeElement === document.body) {
      main.current?.focus();
    }
  }, [view]);

  const stageKey =
    view === "board"
      ? (stages.find((s) => s.row === selection?.row)?.key ?? "")
      : (stages.find((s) => s.view === view)?.key ?? "");
  return (
    <div className="flex h-full min-w-[720px] flex-col overflow-clip">
      <TopBar onPalette={() => setSheet("palette")} onHelp={() => setSheet("keys")} />
      <div className="flex min-h-0 flex-1">
        <Rail current={stageKey} onStage={onStage} />
        <Beside
          bench={
            selection &&
            view === "board" && (
              <Bench
                selection={selection}
                chosen={benchPage}
                onChosen={setBenchPage}
                onReason={setReason}
                onLeave={() => {
                  setBenchOpen(false);
                  document.getElementById(cellId(selection.point, selection.row))?.focus();
                }}
              />
            )
          }
          isOpen={isBenchOpen}
          onOpen={setBenchOpen}
        >
          <main ref={main} className="flex h-full min-w-0 flex-col overflow-auto outline-none" tabIndex={-1}>
            <NextStepLine stage={stages.find((s) => s.key === stageKey)?.name ?? ""} onDo={onStep} />
            <div className="min-h-0 flex-1">
              <Suspense fallback={<Loading what="page" />}>
                {view === "board" && (
                  <Board
                    selection={selection}
                    onSelect={setWanted}
                    onSearch={setSearch}
                    onReason={setReason}
                    onOpen={openBench}
                    onTemplates={() => setSheet("templates")}
                  />
                )}
                {view === "plant" && <PlantPage onReason={setReason} onCell={toCell} />}
                {view === "harmonics" && <HarmonicsPage onReason={setReason} />}
                {view === "interference" && <InterferencePage onReason={setReason} />}
                {view === "signals" && <SignalsPage onReason={setReason} />}
                {view === "cabinets" && <CabinetsPage onReason={setReason} onCell={toCell} />}
                {view === "supplies" && <SuppliesPage onReason={setReason} onCell={toCell} />}
                {view === "energy" && (
                  <EnergyPage onCell={(point) => toCell({ point, row: "load", columns: [point] })} />
                )}
                {view === "field" && <FieldPage selection={selection} onSelect={setWanted} onCell={toCell} />}
                {view === "list" && <ListPage onCell={(point) => toCell({ point, row: "load", columns: [point] })} />}
                {view === "schedules" && (
                  <SchedulesPage onCell={(point, row) => toCell({ point, row, columns: [point] })} />
                )}
                {view === "commissioning" && <CommissioningPage onCell={toCell} />}
                {view === "sheets" && <SheetsPage />}
                {view === "history" && <HistoryPage />}
              </Suspense>
            </div>
          </main>
        </Beside>
      </div>
      <Ledger selection={selection} onOpen={openCheck} />
      {notice && (
        <div
          role="alert"
          className="fixed bottom-28 left-1/2 z-30 flex -translate-x-1/2 items-center gap-3 rounded border border-plum bg-panel px-3 py-2 shadow"
        >
          {units.sentence(notice)}
          <button type="button" className="button" onClick={dismiss}>
            Close
          </button>
        </div>
      )}
      <Suspense fallback={null}>
        {search !== undefined && selection && (
          <CandidateSearch
            columns={selection.columns}
            point={selection.point}
            kind={selection.row === "motor" ? "motor" : "converter"}
            first={search}
            onClose={() => {
              setSearch(undefined);
              requestAnimationFrame(() => document.getElementById(cellId(selection.point, selection.row))?.focus());
            }}
          />
        )}
        {reason && <ReasonSheet subject={{ check: reason }} onClose={() => setReason(undefined)} />}
        {sheet === "palette" && (
          <Palette
            onClose={() => setSheet(undefined)}
            onStage={onStage}
            onCell={toCell}
            onCheck={openCheck}
            onSetting={(name) => void navigate(`/plants/${project.id}/plant?entry=${encodeURIComponent(name)}`)}
            onMethod={setMethod}
            actions={[
              { name: "Add drive point", run: actions.add },
              { name: "Copy drive point", run: actions.copy },
              { name: "Remove drive point", run: actions.remove },
              { name: "Size the selected drive points", run: actions.sizeSelected },
              { name: "Size all drive points", run: actions.sizeAll },
              { name: "Propose devices and sections of the selected", run: actions.protectSelected },
              { name: "Propose devices and sections of all", run: actions.protectAll },
              { name: "Assume usual values at the selected drive points", run: actions.assumeSelected },
              { name: "Assume usual values at all drive points", run: actions.assumeAll },
              { name: "Templates of drive points", run: () => setSheet("templates") },
              { name: "Import a drive list", run: () => void navigate(`/plants/${project.id}/list?import`) },
              { name: "Show keys", run: () => setSheet("keys") },
            ]}
          />
        )}
        {sheet === "templates" && (
          <TemplatesSheet selection={selection} onSelect={toCell} onClose={() => setSheet(undefined)} />
        )}
        {method !== undefined && <MethodSheet first={method} onClose={() => setMethod(undefined)} />}
        {sheet === "keys" && <KeysSheet onClose={() => setSheet(undefined)} />}
        {conflict && <ConflictSheet />}
      </Suspense>
    </div>
  );
});
