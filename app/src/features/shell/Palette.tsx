import { Command } from "cmdk";
import { useState } from "react";
import type { Check } from "../../api/client";
import { Sheet } from "../../components/Sheet";
import { VerdictMark } from "../../components/VerdictMark";
import { checkKey, verdictWords } from "../../lib/verdict";
import { rows, type Selection } from "../board/selection";
import { useProject } from "../../project/ProjectContext";
import { named } from "./named";
import { Documents, Methods, Settings } from "./Settings";
import { stages, type Stage } from "./stages";

/** An entry of the palette. */
export interface Action {
  readonly name: string;
  readonly run: () => void;
}

// What a stage is called elsewhere.
const also: Readonly<Record<string, string[]>> = {
  Plant: ["supply", "network", "single-line diagram", "transformer", "bus", "cable", "tariff", "settings", "site"],
  Converters: ["drives", "starters", "inverters"],
  Harmonics: ["THD", "TDD", "resonance", "mitigation", "scenarios"],
  Energy: ["cost", "efficiency", "losses", "payback"],
  Sheets: ["documents", "export", "PDF", "XLSX", "CSV", "lists", "file"],
  History: ["edits", "labels", "versions", "compare"],
};

/** Everything that can be found or done, by typing. */
export function Palette({
  onClose,
  onStage,
  onCell,
  onCheck,
  onSetting,
  onMethod,
  actions,
}: {
  readonly onClose: () => void;
  readonly onStage: (stage: Stage) => void;
  readonly onCell: (selection: Selection) => void;
  readonly onCheck: (check: Check) => void;
  /** Leads to the entry of that name on the plant page. */
  readonly onSetting: (name: string) => void;
  /** Opens a page on a method. */
  readonly onMethod: (key: string) => void;
  readonly actions: readonly Action[];
}) {
  const { project, undo, redo } = useProject();
  const [typed, setTyped] = useState("");
  const tag = new Map(project.specification.lineups.flatMap((l) => l.drivePoints).map((p) => [p.id, p.tag]));
  const nameOf = (c: Check) => `${c.title}${c.drivePointId === "" ? "" : `, ${tag.get(c.drivePointId) ?? ""}`}`;
  // Only what is looked for: a large plant has thousands.
  const checks =
    typed.trim().length < 2
      ? []
      : project.assessment.checks.filter((c) => named(nameOf(c), typed, [verdictWords[c.verdict]]) > 0).slice(0, 20);
  const run = (work: () => void) => () => {
    onClose();
    work();
  };
  const item = "cursor-pointer rounded px-2 py-1 data-[selected=true]:bg-plum-wash";
  return (
    <Sheet title="Find or do" onClose={onClose}>
      <Command label="Find or do" filter={named}>
        <Command.Input
          autoFocus
          className="entry mb-2"
          placeholder="A drive point, a stage, an action, a setting, a document, a check"
          value={typed}
          onValueChange={setTyped}
        />
        <Command.List className="max-h-[50vh] overflow-auto">
          <Command.Empty className="p-2 text-soft">Nothing of that name.</Command.Empty>
          <Command.Group heading="Do">
            {[...actions, { name: "Undo", run: undo }, { name: "Redo", run: redo }].map((a) => (
              <Command.Item key={a.name} className={item} onSelect={run(a.run)}>
                {a.name}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Stages">
            {stages.map((s) => (
              <Command.Item key={s.key} className={item} keywords={also[s.name] ?? []} onSelect={run(() => onStage(s))}>
                {s.name}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Cells">
            {project.specification.lineups
              .flatMap((l) => l.drivePoints)
              .flatMap((p) =>
                rows.map((row) => (
                  <Command.Item
                    key={`${p.id}-${row}`}
                    className={item}
                    onSelect={run(() => onCell({ point: p.id, row, columns: [p.id] }))}
                  >
                    {p.tag} {p.name}: {row}
                  </Command.Item>
                )),
              )}
          </Command.Group>
          <Settings typed={typed} item={item} onSetting={(name) => run(() => onSetting(name))()} />
          <Methods typed={typed} item={item} onMethod={(key) => run(() => onMethod(key))()} />
          <Documents item={item} onDone={onClose} />
          {checks.length > 0 && (
            <Command.Group heading="Checks">
              {checks.map((c) => (
                <Command.Item
                  key={checkKey(c)}
                  value={`${nameOf(c)} ${checkKey(c)}`}
                  keywords={[verdictWords[c.verdict]]}
                  className={item}
                  onSelect={run(() => onCheck(c))}
                >
                  <span className="mr-2 inline-block align-middle">
                    <VerdictMark verdict={c.verdict} size={10} labelled />
                  </span>
                  {nameOf(c)}
                </Command.Item>
              ))}
            </Command.Group>
          )}
        </Command.List>
      </Command>
    </Sheet>
  );
}
