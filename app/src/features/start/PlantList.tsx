import { useQueryClient } from "@tanstack/react-query";
import { DropdownMenu } from "radix-ui";
import { useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, type ProjectListItem } from "../../api/client";
import { when } from "../../lib/format";
import { may, useSession } from "../../project/session";
import { problemText, who } from "../../project/useProjectAccess";

type Answer = { data?: unknown; error?: unknown };

/** The plants of one state, with what can be done with each. */
export function PlantList({
  plants,
  state,
}: {
  readonly plants: readonly ProjectListItem[];
  readonly state: "open" | "archived" | "binned";
}) {
  const queries = useQueryClient();
  const [problem, setProblem] = useState<string>();
  const take = ({ data, error }: Answer) => {
    setProblem(data ? undefined : problemText(error));
    if (data) {
      queries.setQueryData(["projects"], data);
      // What was opened before is read anew: it may be closed now.
      queries.removeQueries({ queryKey: ["project"] });
    }
  };
  return (
    <>
      {problem && (
        <p role="alert" className="text-fails">
          {problem}
        </p>
      )}
      <table className="table">
        <thead>
          <tr>
            <th>plant</th>
            <th className="num">lineups</th>
            <th className="num">edit</th>
            <th>{state === "open" ? "last change" : state === "archived" ? "archived" : "put here"}</th>
            <th>
              <span className="sr-only">actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {plants.map((p) => (
            <Row key={p.id} plant={p} take={take} />
          ))}
        </tbody>
      </table>
    </>
  );
}

function Row({ plant, take }: { readonly plant: ProjectListItem; readonly take: (answer: Answer) => void }) {
  const [isDescribing, setDescribing] = useState(false);
  return (
    <tr>
      <td>
        <Link className="font-bold text-plum underline" to={`/plants/${plant.id}`}>
          {plant.name}
        </Link>
        {isDescribing ? (
          <Description
            plant={plant}
            onDone={(answer) => {
              setDescribing(false);
              if (answer) {
                take(answer);
              }
            }}
          />
        ) : (
          plant.description !== "" && <span className="block text-[12px] text-soft">{plant.description}</span>
        )}
      </td>
      <td className="num">{plant.lineupCount}</td>
      <td className="num">{plant.edit}</td>
      <td className="whitespace-nowrap">
        {when(plant.state === "open" ? plant.changedUtc : (plant.stateUtc ?? plant.changedUtc))}
        {plant.state !== "open" && <span className="block text-[12px] text-soft">by {plant.stateWho}</span>}
      </td>
      <td>
        <Choices plant={plant} take={take} onDescribe={() => setDescribing(true)} />
      </td>
    </tr>
  );
}

/** What may be done with a plant; nothing where that is nothing. */
function Choices({
  plant,
  take,
  onDescribe,
}: {
  readonly plant: ProjectListItem;
  readonly take: (answer: Answer) => void;
  readonly onDescribe: () => void;
}) {
  const session = useSession();
  const navigate = useNavigate();
  const [isSure, setSure] = useState(false);
  const chosen = useRef<() => void>(undefined);
  const path = { params: { path: { id: plant.id } } };
  const body = { body: { who: who() } };
  const duplicate = async () => {
    const { data, error } = await api.POST("/api/projects", {
      body: { who: who(), name: `${plant.name}, copy`.slice(0, 80), template: plant.id },
    });
    if (data) {
      await navigate(`/plants/${data.id}`);
    } else {
      take({ error });
    }
  };
  const choices = [
    { state: "open", least: "engineer", name: "Describe", run: onDescribe },
    { state: "open", least: "engineer", name: "Duplicate", run: () => void duplicate() },
    {
      state: "open",
      least: "reviewer",
      name: "Archive",
      run: () => void api.POST("/api/projects/{id}/archive", { ...path, ...body }).then(take),
    },
    {
      state: "open",
      least: "engineer",
      name: "Put into the bin",
      run: () => void api.POST("/api/projects/{id}/bin", { ...path, ...body }).then(take),
    },
    {
      state: "archived",
      least: "reviewer",
      name: "Open again",
      run: () => void api.POST("/api/projects/{id}/reopen", { ...path, ...body }).then(take),
    },
    {
      state: "binned",
      least: "engineer",
      name: "Take back",
      run: () => void api.POST("/api/projects/{id}/unbin", { ...path, ...body }).then(take),
    },
    { state: "binned", least: "reviewer", name: "Remove for ever …", run: () => setSure(true) },
  ] as const;
  const possible = choices.filter((c) => c.state === plant.state && may(session, c.least));
  if (possible.length === 0) {
    return null;
  }
  if (isSure) {
    return (
      <span className="flex flex-wrap items-center gap-1">
        <button
          type="button"
          autoFocus
          className="button text-fails"
          onClick={() => void api.DELETE("/api/projects/{id}", path).then(take)}
        >
          Remove it with {plant.edit === 1 ? "its edit" : `all ${plant.edit} edits`}
        </button>
        <button type="button" className="button" onClick={() => setSure(false)}>
          Keep it
        </button>
      </span>
    );
  }
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="button" aria-label={`Do with ${plant.name}`}>
        Do …
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-30 min-w-40 rounded border border-rule bg-panel p-1 shadow-lg"
          onCloseAutoFocus={(event) => {
            // Carried out when the menu is gone, so that it does not take the focus back from where work goes on.
            if (chosen.current) {
              event.preventDefault();
              chosen.current();
              chosen.current = undefined;
            }
          }}
        >
          {possible.map((c) => (
            <DropdownMenu.Item
              key={c.name}
              className="cursor-pointer rounded px-2 py-1 outline-none data-[highlighted]:bg-plum-wash"
              onSelect={() => {
                chosen.current = c.run;
              }}
            >
              {c.name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function Description({
  plant,
  onDone,
}: {
  readonly plant: ProjectListItem;
  readonly onDone: (answer?: Answer) => void;
}) {
  const [text, setText] = useState(plant.description);
  const save = async () =>
    onDone(
      await api.POST("/api/projects/{id}/description", {
        params: { path: { id: plant.id } },
        body: { description: text },
      }),
    );
  return (
    <input
      autoFocus
      className="entry mt-1"
      aria-label={`Description of ${plant.name}`}
      maxLength={500}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onKeyDown={(e) => {
        if (e.key === "Enter") {
          void save();
        } else if (e.key === "Escape") {
          onDone();
        }
      }}
      onBlur={() => void save()}
    />
  );
}
