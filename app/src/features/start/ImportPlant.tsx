import { useId, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import { problemText } from "../../project/useProjectAccess";

const largestFile = 16 * 1024 * 1024;

/** A project file from elsewhere. */
export function ImportPlant() {
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const [problem, setProblem] = useState<string>();
  const read = async (file: File) => {
    setProblem(undefined);
    if (file.size > largestFile) {
      setProblem(`The file has ${file.size} bytes; allowed: at most ${largestFile} bytes.`);
      return;
    }
    // The text goes as it is: the server reads files by the rules of the format, and says what is wrong where.
    const { data, error } = await api.POST("/api/projects/import", {
      body: (await file.text()) as never,
      bodySerializer: (body) => body as unknown as string,
      headers: { "Content-Type": "application/json" },
    });
    if (data) {
      await navigate(`/plants/${data.id}`);
    } else {
      setProblem(problemText(error));
    }
  };
  return (
    <div>
      <h2 className="section-title">Import a project file</h2>
      <label htmlFor={id} className="text-soft">
        A file *.cuadrilla.json
      </label>
      <input
        id={id}
        ref={input}
        type="file"
        accept=".json,application/json"
        className="block w-full"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) {
            void read(file);
            event.target.value = "";
          }
        }}
      />
      {problem && (
        <p role="alert" className="text-fails">
          {problem}
        </p>
      )}
    </div>
  );
}
