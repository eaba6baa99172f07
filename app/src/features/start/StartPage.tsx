import { useQuery } from "@tanstack/react-query";
import { useId, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api } from "../../api/client";
import { Empty, Failed, Loading } from "../../components/States";
import { when } from "../../lib/format";
import { problemText, who } from "../../project/useProjectAccess";

const largestFile = 16 * 1024 * 1024;

/** The plants on this machine: open one, begin one, bring one in. */
export function StartPage() {
  const list = useQuery({
    queryKey: ["projects"],
    staleTime: 0,
    queryFn: async () => {
      const { data } = await api.GET("/api/projects");
      if (!data) {
        throw new Error("The server does not answer.");
      }
      return data;
    },
  });
  return (
    <main className="mx-auto max-w-3xl p-8">
      <h1 className="text-[22px] font-bold text-plum">Cuadrilla</h1>
      <p className="text-soft">Drive lineups for plants: choose, prove, document.</p>
      <h2 className="section-title">Plants</h2>
      {list.isPending && <Loading what="plants" />}
      {list.isError && (
        <Failed
          what="The list of plants could not be read."
          detail={list.error.message}
          retry={() => void list.refetch()}
        />
      )}
      {list.data?.length === 0 && <Empty>No plant yet. Begin one below, or import a project file.</Empty>}
      {list.data && list.data.length > 0 && (
        <table className="table">
          <thead>
            <tr>
              <th>plant</th>
              <th className="num">lineups</th>
              <th className="num">edit</th>
              <th>last change</th>
            </tr>
          </thead>
          <tbody>
            {list.data.map((p) => (
              <tr key={p.id}>
                <td>
                  <Link className="font-bold text-plum underline" to={`/plants/${p.id}`}>
                    {p.name}
                  </Link>
                </td>
                <td className="num">{p.lineupCount}</td>
                <td className="num">{p.edit}</td>
                <td>{when(p.changedUtc)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="mt-6 grid grid-cols-2 gap-6">
        <NewPlant />
        <ImportPlant />
      </div>
    </main>
  );
}

function NewPlant() {
  const navigate = useNavigate();
  const id = useId();
  const [name, setName] = useState("");
  const [problem, setProblem] = useState<string>();
  const create = async () => {
    const { data, error } = await api.POST("/api/projects", { body: { name: name.trim(), who: who() } });
    if (data) {
      await navigate(`/plants/${data.id}/plant`);
    } else {
      setProblem(problemText(error));
    }
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void create();
      }}
    >
      <h2 className="section-title">Begin a plant</h2>
      <label htmlFor={id} className="text-soft">
        Name of the plant
      </label>
      <div className="flex gap-2">
        <input
          id={id}
          className="entry"
          value={name}
          aria-invalid={problem !== undefined}
          onChange={(e) => setName(e.target.value)}
        />
        <button type="submit" className="button button-main">
          Begin
        </button>
      </div>
      {problem && (
        <p role="alert" className="text-fails">
          {problem}
        </p>
      )}
    </form>
  );
}

function ImportPlant() {
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
