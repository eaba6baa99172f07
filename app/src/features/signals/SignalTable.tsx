import { useState } from "react";
import type { Outcome } from "../../components/draft";
import { CellEntry } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { n } from "../../lib/format";
import { useProject } from "../../project/ProjectContext";
import {
  channelsOf,
  withFunction,
  withoutWanted,
  withWanted,
  type Placed,
  type Plan,
  type PointAnswer,
  type SignalFunction,
  type Wanted,
} from "./signals";

type Change = (what: string, next: (plan: Plan) => Plan) => Promise<Outcome>;
const functions = fields.WantedSignal.function.choices;

/** Signals of a drive point: terminal, other end, channel, and what an analogue one is worth. */
export function SignalTable({
  plan,
  found,
  tag,
  change,
}: {
  readonly plan: Plan;
  readonly found: PointAnswer | undefined;
  readonly tag: string;
  readonly change: Change;
}) {
  const [chosen, setChosen] = useState<string>();
  const wanted = plan.wanted ?? [];
  const picked = wanted.find((w) => w.id === chosen);
  return (
    <section aria-label="Signals of the drive point">
      {wanted.length > 0 && (
        <table className="table mt-2">
          <thead>
            <tr>
              <th>signal</th>
              <th>kind</th>
              <th>terminal</th>
              <th>other end</th>
              <th>channel</th>
              <th className="num">0 %</th>
              <th className="num">50 %</th>
              <th className="num">100 %</th>
              <th>
                <span className="sr-only">more</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {wanted.map((w) => (
              <Row
                key={w.id}
                wanted={w}
                placed={found?.signals.find((s) => s.id === w.id)}
                tag={tag}
                isChosen={w.id === chosen}
                onChoose={() => setChosen(w.id === chosen ? undefined : w.id)}
                change={change}
              />
            ))}
          </tbody>
        </table>
      )}
      {picked && (
        <More wanted={picked} placed={found?.signals.find((s) => s.id === picked.id)} tag={tag} change={change} />
      )}
      <label className="mt-2 flex items-center gap-2">
        <span className="whitespace-nowrap text-soft">Add a signal</span>
        <select
          className="entry w-64"
          value=""
          onChange={(e) => {
            const key = e.target.value as SignalFunction;
            void change(`signal ${functions[key]}`, (p) => withFunction(p, key, "controller"));
          }}
        >
          <option value="">choose a function …</option>
          {Object.entries(functions).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </label>
    </section>
  );
}

function Row({
  wanted,
  placed,
  tag,
  isChosen,
  onChoose,
  change,
}: {
  readonly wanted: Wanted;
  readonly placed: Placed | undefined;
  readonly tag: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly change: Change;
}) {
  const { project } = useProject();
  const name = functions[wanted.function];
  const whose = `${tag} ${name}`;
  const set = (part: Partial<Wanted>, what: string) =>
    change(`${name}: ${what}`, (p) => withWanted(p, wanted.id, part));
  const differs = placed && placed.differencePct !== null && placed.differencePct > 1e-6;
  return (
    <tr className={`[&>td]:align-middle ${isChosen ? "bg-plum-wash" : ""}`}>
      <td className="whitespace-nowrap">{name}</td>
      <td className="text-soft">{placed?.kind ?? ""}</td>
      <td>
        <select
          className={`entry w-32 ${placed?.lacksTerminal ? "border-fails" : ""}`}
          aria-label={`Terminal of ${whose}`}
          value={wanted.terminal ?? ""}
          onChange={(e) => void set({ terminal: e.target.value }, "terminal")}
        >
          <option value="">
            {placed?.lacksTerminal && !wanted.terminal
              ? "none left"
              : wanted.terminal
                ? "by itself"
                : (placed?.terminal ?? "")}
          </option>
          {[...new Set([...(placed?.fits ?? []), ...(wanted.terminal ? [wanted.terminal] : [])])].map((t) => (
            <option key={t} value={t}>
              {t}, by hand
            </option>
          ))}
        </select>
      </td>
      <td>
        <CellEntry
          field={fields.WantedSignal.far}
          value={wanted.far}
          whose={whose}
          onCommit={(far: Wanted["far"]) => set({ far }, "other end")}
        />
      </td>
      <td>
        {wanted.far === "controller" && wanted.function !== "bus" && (
          <select
            className={`entry w-36 ${placed?.lacksChannel ? "border-fails" : ""}`}
            aria-label={`Channel of ${whose}`}
            value={wanted.channel ?? ""}
            onChange={(e) => void set({ channel: e.target.value }, "channel")}
          >
            <option value="">
              {placed?.lacksChannel && !wanted.channel
                ? "none left"
                : wanted.channel
                  ? "by itself"
                  : (placed?.channel ?? "")}
            </option>
            {channelsOf(project.specification.controller).map((c) => (
              <option key={c.key} value={c.key}>
                {c.name}, by hand
              </option>
            ))}
          </select>
        )}
      </td>
      {[0, 1, 2].map((i) => (
        <td key={i} className={`num ${differs ? "text-fails" : ""}`}>
          {placed?.values[i] === undefined ? "" : `${n(placed.values[i])} ${placed.unit}`}
        </td>
      ))}
      <td className="whitespace-nowrap">
        {keysOf(wanted, placed).length > 0 && (
          <button
            type="button"
            className="button mr-1"
            aria-expanded={isChosen}
            aria-label={`Ends and load of ${whose}`}
            onClick={onChoose}
          >
            {isChosen ? "Less" : "More"}
          </button>
        )}
        <button
          type="button"
          className="button"
          aria-label={`Remove ${whose}`}
          onClick={() => void change(`no ${name}`, (p) => withoutWanted(p, wanted.id))}
        >
          Remove
        </button>
      </td>
    </tr>
  );
}

const ends = ["range", "zeroAt", "fullAt", "farZeroAt", "farFullAt"] as const;
const loads = ["loadA", "loadSupply", "suppression"] as const;
const keysOf = (wanted: Wanted, placed: Placed | undefined) =>
  placed?.isAnalogue ? ends : placed?.way === "out" && wanted.far !== "controller" ? loads : [];
const usual = { range: "as-far-end", loadSupply: "dc24", suppression: "not-stated" } as const;

/** Both ends of an analogue signal, or what an output switches. */
function More({
  wanted,
  placed,
  tag,
  change,
}: {
  readonly wanted: Wanted;
  readonly placed: Placed | undefined;
  readonly tag: string;
  readonly change: Change;
}) {
  const name = functions[wanted.function];
  const keys = keysOf(wanted, placed);
  return (
    <div role="group" aria-label={`Ends and load of ${tag} ${name}`} className="mt-1 border border-plum bg-card p-2">
      <div className="flex flex-wrap gap-x-6 gap-y-1">
        {keys.map((key) => (
          <label key={key} className="flex items-center gap-2" title={fields.WantedSignal[key].help}>
            <span className="text-soft">
              {fields.WantedSignal[key].name}
              {placed?.isAnalogue && key !== "range" ? `, ${placed.unit}` : ""}
            </span>
            <CellEntry
              field={fields.WantedSignal[key]}
              value={{ ...usual, ...wanted }[key] ?? null}
              whose={`${tag} ${name}`}
              onCommit={(value) =>
                change(`${name}: ${fields.WantedSignal[key].name}`, (p) => withWanted(p, wanted.id, { [key]: value }))
              }
            />
          </label>
        ))}
      </div>
      {placed?.cable && <p className="mt-1 text-[12px] text-soft">Runs in a cable of {placed.cable}.</p>}
    </div>
  );
}
