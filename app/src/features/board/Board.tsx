import { Button } from "../../components/Button";
import { lazy, startTransition, Suspense, useCallback, useEffect, useRef, useState, type KeyboardEvent } from "react";
import type { CheckKey, Lineup } from "../../api/client";
import { Empty } from "../../components/States";
import { ArrangementBand } from "../lineups/ArrangementBand";
import { DcBusBand } from "../lineups/DcBusBand";
import { useItems } from "../../project/useCatalogue";
import { useUnits } from "../../fields/useUnits";
import { useProject } from "../../project/ProjectContext";
import { BoardCell } from "./BoardCell";
import type { Extend } from "./CellFace";
import type { Items } from "./cellText";
import { ArrangeButtons } from "./ArrangeButtons";
import { LineupSheet } from "./LineupSheet";
import { cellId, moved, rows, withColumn, type Row, type Selection } from "./selection";
import { useBoardActions } from "./useBoardActions";
import { cellChecks, figuresOf, usedIn } from "./cellChecks";
import { useRubberBand } from "./useRubberBand";

const DcBusSheet = lazy(async () => ({ default: (await import("../lineups/DcBusSheet")).DcBusSheet }));
const ArrangementSheet = lazy(async () => ({
  default: (await import("../lineups/ArrangementSheet")).ArrangementSheet,
}));
const ComparisonSheet = lazy(async () => ({ default: (await import("../lineups/ComparisonSheet")).ComparisonSheet }));

// A lineup is half a screen high.
const firstLineups = 3;

/** A sheet that lies over the board. */
type Opened = { readonly kind: "lineup" | "dc-bus" | "arrangement" | "comparison"; readonly id: string };

interface Props {
  readonly selection: Selection | undefined;
  readonly onSelect: (selection: Selection) => void;
  readonly onOpen: () => void;
  readonly onSearch: (first: string) => void;
  readonly onReason: (check: CheckKey) => void;
  readonly onTemplates: () => void;
}

/** Lineups as busbars, drive points as columns, bands in the direction of power. */
export function Board({ selection, onSelect, onOpen, onSearch, onReason, onTemplates }: Props) {
  const { project } = useProject();
  const { specification } = project;
  const items = useItems();
  const actions = useBoardActions(selection, onSelect);
  const frame = useRef<HTMLDivElement>(null);
  const [opened, setOpened] = useState<Opened>();
  const close = () => setOpened(undefined);
  const band = useRubberBand(onSelect);
  const begun = useBegun(specification.lineups, selection);

  // Focus follows the selected cell, but only while the board has it: a click in the bench must not be robbed,
  // nor a button of the board each time that figures come in.
  const selected = selection && cellId(selection.point, selection.row);
  useEffect(() => {
    if (selected !== undefined && frame.current?.contains(document.activeElement)) {
      document.getElementById(selected)?.focus();
    }
  }, [selected]);

  const onKeyDown = (event: KeyboardEvent) => {
    // Buttons keep their own keys, and what is typed in a sheet opened from here is not the board's.
    const onCell = event.target instanceof HTMLElement && event.target.closest("[role=gridcell]") !== null;
    if (!selection || !onCell || event.ctrlKey || event.metaKey) {
      return;
    }
    const arrows: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1],
      Home: [-9999, 0],
      End: [9999, 0],
    };
    const arrow = arrows[event.key];
    if (arrow) {
      event.preventDefault();
      if (event.altKey) {
        actions.move(Math.sign(arrow[0]));
      } else {
        onSelect(moved(specification, selection, arrow[0], arrow[1], event.shiftKey));
      }
    } else if (event.key === "Enter") {
      event.preventDefault();
      onOpen();
    } else if (event.key === "Delete") {
      actions.remove();
    } else if (
      event.key.length === 1 &&
      /\S/.test(event.key) &&
      !event.altKey &&
      (selection.row === "motor" || selection.row === "converter")
    ) {
      event.preventDefault();
      event.stopPropagation();
      onSearch(event.key);
    }
  };

  return (
    <div ref={frame} onKeyDown={onKeyDown} onPointerDown={band.onPointerDown} className="min-h-full min-w-0 p-3">
      {band.box && (
        <div
          className="pointer-events-none fixed z-30 border border-plum bg-plum/10"
          style={{
            left: band.box.left,
            top: band.box.top,
            width: band.box.right - band.box.left,
            height: band.box.bottom - band.box.top,
          }}
        />
      )}
      <div className="mb-1 flex flex-wrap items-center gap-1.5">
        <button type="button" className="button" onClick={actions.add}>
          Add drive point
        </button>
        <Button why={!selection && "No drive point is chosen."} onClick={actions.copy}>
          Copy
        </Button>
        <Button why={!selection && "No drive point is chosen."} onClick={() => actions.move(-1)} aria-label="Move left">
          ←
        </Button>
        <Button why={!selection && "No drive point is chosen."} onClick={() => actions.move(1)} aria-label="Move right">
          →
        </Button>
        <Button why={!selection && "No drive point is chosen."} onClick={actions.remove}>
          Remove
        </Button>
        <Button
          why={!selection && "No drive point is chosen."}
          title="The best motor and converter that fit at each selected drive point, at the lowest life-cycle cost"
          onClick={actions.sizeSelected}
        >
          Size
        </Button>
        {selection && specification.lineups.length > 1 && (
          <select
            className="entry w-28"
            aria-label="Move the selected drive points to a lineup"
            value=""
            onChange={(e) => actions.moveTo(e.target.value)}
          >
            <option value="">Move to …</option>
            {specification.lineups.map((l) => (
              <option key={l.id} value={l.id}>
                {l.tag} {l.name}
              </option>
            ))}
          </select>
        )}
        <button type="button" className="button" onClick={onTemplates}>
          Templates
        </button>
        {selection && <ArrangeButtons selection={selection} actions={actions} />}
      </div>
      {begun.map((lineup) => (
        <LineupBoard
          key={lineup.id}
          lineup={lineup}
          items={items}
          selection={selection}
          onSelect={onSelect}
          onOpen={setOpened}
        />
      ))}
      {begun.length === specification.lineups.length && (
        <button type="button" className="button" onClick={actions.addLineup}>
          Add lineup
        </button>
      )}
      <Suspense fallback={null}>
        {opened?.kind === "dc-bus" && (
          <DcBusSheet
            id={opened.id}
            onReason={onReason}
            onCompare={(id) => setOpened({ kind: "comparison", id })}
            onClose={close}
          />
        )}
        {opened?.kind === "arrangement" && <ArrangementSheet id={opened.id} onReason={onReason} onClose={close} />}
        {opened?.kind === "comparison" && <ComparisonSheet id={opened.id} onClose={close} />}
        {opened?.kind === "lineup" && <LineupSheet id={opened.id} onClose={close} />}
      </Suspense>
    </div>
  );
}

/** The lineups, at first only as far as a screen or the chosen cell reaches: the rest is drawn while hands and eyes are free. */
function useBegun(lineups: readonly Lineup[], selection: Selection | undefined): readonly Lineup[] {
  const [isBegun, setBegun] = useState(false);
  useEffect(() => {
    startTransition(() => {
      setBegun(true);
    });
  }, []);
  const chosen = lineups.findIndex((l) => l.drivePoints.some((p) => p.id === selection?.point));
  return isBegun ? lineups : lineups.slice(0, Math.max(firstLineups, chosen + 1));
}

function LineupBoard({
  lineup,
  items,
  selection,
  onSelect,
  onOpen,
}: {
  readonly lineup: Lineup;
  readonly items: Items;
  readonly selection: Selection | undefined;
  readonly onSelect: (selection: Selection) => void;
  readonly onOpen: (opened: Opened) => void;
}) {
  const { project, before, run } = useProject();
  const units = useUnits();
  const { specification, assessment } = project;
  const figures = figuresOf(assessment);
  const latest = useRef({ specification, selection, onSelect });
  useEffect(() => {
    latest.current = { specification, selection, onSelect };
  });
  // One function for ever, so that cells that did not change are not drawn again.
  const pick = useCallback((point: string, row: Row, extend: Extend) => {
    const { specification: now, selection: was, onSelect: select } = latest.current;
    if (extend === "one" && was) {
      select(withColumn(was, point, row));
    } else if (extend === "to" && was) {
      const ids = now.lineups.flatMap((l) => l.drivePoints.map((p) => p.id));
      select(moved(now, { ...was, row }, ids.indexOf(point) - ids.indexOf(was.point), 0, true));
    } else {
      select({ point, row, columns: [point] });
    }
  }, []);

  const bus = specification.distribution.buses.find((b) => b.id === lineup.busId);
  const found = assessment.supply?.buses.find((b) => b.busId === lineup.busId);
  const fault = found?.breakingKa ?? found?.largestFaultKa;
  return (
    // Lineups out of sight are neither laid out nor painted: of a large plant they were most of the work after an edit.
    <section
      aria-label={`Lineup ${lineup.tag} ${lineup.name}`}
      className="mb-3 pt-0.5 pb-1 [contain-intrinsic-size:auto_430px] [content-visibility:auto]"
    >
      <div className="flex items-baseline gap-2 text-[15px]">
        <h2 className="flex items-baseline gap-2">
          <span className="font-bold">{lineup.tag}</span>
          <span>{lineup.name}</span>
        </h2>
        <span className="text-[12px] text-soft">
          {bus?.name}
          {fault == null ? (assessment.supply ? "" : " · fault level open") : ` · ${fault.toFixed(1)} kA`}
        </span>
        <button
          type="button"
          className="button text-[12px]"
          aria-label={`Edit lineup ${lineup.tag}`}
          onClick={() => onOpen({ kind: "lineup", id: lineup.id })}
        >
          Edit lineup
        </button>
        <button
          type="button"
          className="button text-[12px]"
          aria-label={`Ways to build ${lineup.tag}`}
          onClick={() => onOpen({ kind: "comparison", id: lineup.id })}
        >
          {lineup.setAside.length === 0 ? "Other ways" : `${lineup.setAside.length + 1} ways`}
        </button>
        {lineup.variantName !== "" && <span className="text-[12px] text-plum">{lineup.variantName}</span>}
      </div>
      {lineup.drivePoints.length === 0 ? (
        <Empty>
          No drive points hang from this busbar yet.{" "}
          <button
            type="button"
            className="button"
            onClick={() => void run({ kind: "add-drive-point", lineupId: lineup.id, afterId: "" })}
          >
            Add the first
          </button>
        </Empty>
      ) : (
        <div
          className="mt-1 overflow-x-auto pb-2"
          tabIndex={lineup.drivePoints.some((p) => p.id === selection?.point) ? undefined : 0}
          role="group"
          aria-label={`${lineup.tag}, scrolls sideways`}
        >
          <div role="grid" aria-label={`${lineup.tag} drive points`} className="w-max min-w-full">
            <div role="row" className="flex">
              <span role="columnheader" className="sticky left-0 z-10 w-16 shrink-0 bg-ground">
                <span className="sr-only">band</span>
              </span>
              {lineup.drivePoints.map((p) => (
                <span key={p.id} role="columnheader" className="w-[140px] shrink-0 border-t-4 border-ink pr-2">
                  <span className="ml-4 block h-2 border-l-2 border-ink" />
                  <span className="block text-[12px] font-semibold text-plum">{p.tag}</span>
                  <span className="block truncate pb-1" title={p.name}>
                    {p.name}
                  </span>
                </span>
              ))}
            </div>
            {lineup.dcBuses.length > 0 && <DcBusBand lineup={lineup} onOpen={(id) => onOpen({ kind: "dc-bus", id })} />}
            <ArrangementBand lineup={lineup} kind="motor-group" onOpen={(id) => onOpen({ kind: "arrangement", id })} />
            {rows.map((row) => (
              <div role="row" key={row} className="mb-1.5 flex">
                <span
                  role="rowheader"
                  className="sticky left-0 z-10 flex w-16 shrink-0 items-center bg-ground text-soft"
                >
                  {row}
                </span>
                {lineup.drivePoints.map((p) => {
                  const check = cellChecks(assessment, p.id, row)[0];
                  return (
                    <BoardCell
                      key={p.id}
                      point={p}
                      row={row}
                      figures={figures.get(p.id)}
                      items={items}
                      units={units}
                      check={check}
                      before={check && before && usedIn(before, p.id, row, check)}
                      focused={selection?.point === p.id && selection.row === row}
                      selected={selection?.row === row && selection.columns.includes(p.id)}
                      onPick={pick}
                    />
                  );
                })}
              </div>
            ))}
            {(["shared-shaft", "ratio-follower"] as const).map((kind) => (
              <ArrangementBand
                key={kind}
                lineup={lineup}
                kind={kind}
                onOpen={(id) => onOpen({ kind: "arrangement", id })}
              />
            ))}
          </div>
        </div>
      )}
    </section>
  );
}
