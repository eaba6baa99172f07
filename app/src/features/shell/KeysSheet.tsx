import { Sheet } from "../../components/Sheet";

const keys: readonly (readonly [string, string])[] = [
  ["↑ ↓ ← →", "walk the cells of the board; Home and End go to the ends"],
  ["Shift ← →", "select several columns; a choice then applies to all; Ctrl and a click adds or takes one"],
  ["+ −", "in the field: larger, smaller; Enter goes to the cell"],
  ["Enter", "open the cell on the bench; Escape comes back"],
  ["letters, digits", "in a motor or converter cell: search its candidates"],
  ["0 … 9", "go to a stage (with Alt from a motor or converter cell or an entry)"],
  ["Alt I, U, L, W, S, C, H", "signals, supplies, list, schedules, sheets, commissioning, history"],
  ["Ctrl Alt 1 … 6", "the pages of the bench; on its edge ← → make it wider or narrower"],
  ["Alt ← →", "move the drive point"],
  ["Insert / Delete", "add / remove a drive point"],
  ["Ctrl D", "copy the drive point"],
  ["Ctrl Z / Ctrl Shift Z", "undo / redo"],
  ["Ctrl K", "find or do"],
];

/** The keys. */
export function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <Sheet title="Keys" onClose={onClose}>
      <table className="table">
        <tbody>
          {keys.map(([key, what]) => (
            <tr key={key}>
              <td className="whitespace-nowrap font-mono">{key}</td>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Sheet>
  );
}
