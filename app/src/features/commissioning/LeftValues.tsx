import { useState } from "react";
import { api, type DrivePoint, type ParameterSheetAnswer } from "../../api/client";
import { useProject } from "../../project/ProjectContext";
import { who } from "../../project/useProjectAccess";
import { readTable } from "./commissioning";

interface Told {
  readonly text: string;
  readonly refused: readonly { row: number; why: string }[];
}

/** Values as left, pasted from the sheet that went to site: row by row taken, or refused with a reason. */
export function LeftValues({
  point,
  onTaken,
}: {
  readonly point: DrivePoint;
  readonly onTaken: (sheet: ParameterSheetAnswer) => void;
}) {
  const { project } = useProject();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState("");
  const [told, setTold] = useState<Told>();
  const take = async () => {
    const { data, error } = await api.POST("/api/projects/{id}/parameters/{point}/left", {
      params: { path: { id: project.id, point: point.id } },
      body: { who: who(), ...readTable(text) },
    });
    if (data) {
      onTaken(data.sheet);
      setText("");
      setTold({ text: `${data.taken} values taken.`, refused: data.refused });
    } else {
      setTold({ text: error.errors[0]?.message ?? error.detail, refused: [] });
    }
  };
  return (
    <div className="mt-1">
      <button type="button" className="text-plum underline" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        Values as left
      </button>
      {isOpen && (
        <div className="mt-1 max-w-3xl">
          <label className="block">
            <span className="text-soft">Rows of the exported sheet with their heads; “key” and “as left” are read</span>
            <textarea className="entry h-24 w-full font-mono" value={text} onChange={(e) => setText(e.target.value)} />
          </label>
          <button type="button" className="button mt-1" disabled={text.trim() === ""} onClick={() => void take()}>
            Take them
          </button>
          {told && (
            <div role="status" className="mt-1">
              {told.text}
              <ul className="list-disc pl-5">
                {told.refused.map((r) => (
                  <li key={r.row}>
                    row {r.row}: {r.why}
                  </li>
                ))}
              </ul>
            </div>
          )}
        </div>
      )}
    </div>
  );
}
