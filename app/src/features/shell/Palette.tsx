import { Command } from "cmdk";
import { Sheet } from "../../components/Sheet";
import { rows, type Selection } from "../board/selection";
import { useProject } from "../../project/ProjectContext";
import { stages, type Stage } from "./stages";

/** An entry of the palette. */
export interface Action {
  readonly name: string;
  readonly run: () => void;
}

/** Everything that can be found or done, by typing. */
export function Palette({
  onClose,
  onStage,
  onCell,
  actions,
}: {
  readonly onClose: () => void;
  readonly onStage: (stage: Stage) => void;
  readonly onCell: (selection: Selection) => void;
  readonly actions: readonly Action[];
}) {
  const { project, undo, redo } = useProject();
  const run = (work: () => void) => () => {
    onClose();
    work();
  };
  const item = "cursor-pointer rounded px-2 py-1 data-[selected=true]:bg-plum-wash";
  return (
    <Sheet title="Find or do" onClose={onClose}>
      <Command label="Find or do">
        <Command.Input autoFocus className="entry mb-2" placeholder="A drive point, a stage, an action" />
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
              <Command.Item key={s.key} className={item} onSelect={run(() => onStage(s))}>
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
        </Command.List>
      </Command>
    </Sheet>
  );
}
