import { ChoiceField, TextField } from "../../components/Fields";
import { Sheet } from "../../components/Sheet";
import { changeLineup, moveLineup } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";

/** Tag, name and bus of a lineup; its place among the others; its removal. */
export function LineupSheet({ id, onClose }: { readonly id: string; readonly onClose: () => void }) {
  const { project, edit, run } = useProject();
  const { lineups, distribution } = project.specification;
  const lineup = lineups.find((l) => l.id === id);
  if (!lineup) {
    return null;
  }
  const count = lineup.drivePoints.length;
  const change = (part: Parameters<typeof changeLineup>[2]) =>
    edit(`Lineup ${lineup.tag}`, (s) => changeLineup(s, id, part));
  const buses = Object.fromEntries(
    distribution.buses.filter((b) => b.nominalVoltageV <= 1000).map((b) => [b.id, `${b.name}, ${b.nominalVoltageV} V`]),
  );
  return (
    <Sheet title={`Lineup ${lineup.tag}`} onClose={onClose}>
      <TextField label="Tag" value={lineup.tag} onCommit={(tag) => change({ tag })} />
      <TextField label="Name" value={lineup.name} onCommit={(name) => change({ name })} />
      <ChoiceField label="Hangs from" value={lineup.busId} choices={buses} onCommit={(busId) => change({ busId })} />
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => void edit("Move lineup", (s) => moveLineup(s, id, -1))}>
          Move up
        </button>
        <button type="button" className="button" onClick={() => void edit("Move lineup", (s) => moveLineup(s, id, 1))}>
          Move down
        </button>
        <button
          type="button"
          className="button"
          onClick={() => {
            void run({ kind: "remove-lineup", lineupId: id });
            onClose();
          }}
        >
          Remove lineup{count > 0 ? ` and its ${count} drive point${count === 1 ? "" : "s"}` : ""}
        </button>
      </div>
    </Sheet>
  );
}
