import type { CheckKey, SignalAnswer } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { SheetGrid, type Written } from "../../components/SheetGrid";
import { CellEntry, Entry } from "../../fields/Entries";
import { fields } from "../../fields/table";
import { findPoint } from "../../lib/specification";
import { useProject } from "../../project/ProjectContext";
import { CheckList } from "../bench/CellChecks";
import { channelText, movesOf, namedSignals, withMoves, type Card, type Controller } from "./signals";

const usualCard = { sense: "to-plus", range: "milliampere4-to20", placeId: "" } as const;
type Kind = Card["kind"];

/** Cards of the controller, and the sheet of its channels. */
export function ControllerPart({
  answer,
  onReason,
}: {
  readonly answer: SignalAnswer;
  readonly onReason: (check: CheckKey) => void;
}) {
  const { project, edit, run } = useProject();
  const { controller } = project.specification;
  const change = (what: string, next: (c: Controller) => Controller) =>
    edit(`Controller: ${what}`, (s) => ({ ...s, controller: next(s.controller ?? { name: "controller", cards: [] }) }));
  const cards = controller?.cards ?? [];
  return (
    <div className="mt-3">
      <div className="flex flex-wrap items-end gap-3">
        {controller && (
          <div className="w-72">
            <Entry
              field={fields.PlantController.name}
              value={controller.name}
              onCommit={(name: string) => change("name", (c) => ({ ...c, name }))}
            />
          </div>
        )}
        <label className="flex items-center gap-2">
          <span className="whitespace-nowrap text-soft">Add a card of</span>
          <select
            className="entry"
            value=""
            onChange={(e) => {
              const kind = e.target.value as Kind;
              void change("card", (c) => withCard(c, kind));
            }}
          >
            <option value="">choose …</option>
            {Object.entries(fields.ControllerCard.kind.choices).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {cards.length > 0 && (
          <>
            <button type="button" className="button" onClick={() => void run({ kind: "keep-channels", free: false })}>
              Keep channels as they are
            </button>
            <button type="button" className="button" onClick={() => void run({ kind: "keep-channels", free: true })}>
              Give all out anew
            </button>
          </>
        )}
      </div>
      {cards.length === 0 ? (
        <p className="mt-2 text-soft">
          No card is entered: signals whose other end is the controller have no channel yet.
        </p>
      ) : (
        <>
          <CardTable cards={cards} answer={answer} change={change} />
          <ChannelSheet cards={cards} answer={answer} />
          <section aria-label="Checks of the controller">
            <h3 className="section-title">Checks</h3>
            <CheckList
              columns={2}
              checks={project.assessment.checks.filter((c) => c.id === "io.spare")}
              onReason={onReason}
            />
          </section>
        </>
      )}
    </div>
  );
}

const prefixes: Record<Kind, string> = {
  "digital-input": "DI",
  "digital-output": "DO",
  "relay-output": "RO",
  "analogue-input": "AI",
  "analogue-output": "AO",
  counter: "CT",
};

function withCard(controller: Controller, kind: Kind): Controller {
  const { cards } = controller;
  const number =
    [...Array(cards.length + 1).keys()].map((i) => i + 1).find((i) => !cards.some((c) => c.id === `${kind}-${i}`)) ?? 1;
  const channels = kind.startsWith("analogue") || kind === "counter" ? 8 : 16;
  return {
    ...controller,
    cards: [...cards, { id: `${kind}-${number}`, name: `${prefixes[kind]}-${number}`, kind, channels }],
  };
}

function CardTable({
  cards,
  answer,
  change,
}: {
  readonly cards: readonly Card[];
  readonly answer: SignalAnswer;
  readonly change: (what: string, next: (c: Controller) => Controller) => Promise<Outcome>;
}) {
  const { project } = useProject();
  const places = project.specification.routes?.places ?? [];
  const set = (card: Card, part: Partial<Card>, what: string) =>
    change(`${card.name}, ${what}`, (c) => ({
      ...c,
      cards: c.cards.map((k) => (k.id === card.id ? { ...k, ...part } : k)),
    }));
  return (
    <table className="table mt-2 w-auto" aria-label="Cards">
      <thead>
        <tr>
          <th>card</th>
          <th>channels are</th>
          <th className="num">number</th>
          <th className="num">used</th>
          <th>active at, range</th>
          <th className="num">bits</th>
          <th className="num">carries, A</th>
          {places.length > 0 && <th>place</th>}
          <th>
            <span className="sr-only">remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {cards.map((card) => {
          const isAnalogue = card.kind.startsWith("analogue");
          const isOutput = card.kind === "digital-output" || card.kind === "relay-output";
          const cell = (key: "name" | "channels" | "sense" | "range" | "bits" | "outputA") => (
            <CellEntry
              field={fields.ControllerCard[key]}
              value={{ ...usualCard, ...card }[key] ?? null}
              whose={card.name}
              onCommit={(value) => set(card, { [key]: value }, fields.ControllerCard[key].name)}
            />
          );
          return (
            <tr key={card.id}>
              <td>{cell("name")}</td>
              <td className="text-soft">{fields.ControllerCard.kind.choices[card.kind]}</td>
              <td className="num">{cell("channels")}</td>
              <td className="num">{answer.cards.find((c) => c.id === card.id)?.used ?? 0}</td>
              <td>
                {isAnalogue
                  ? cell("range")
                  : card.kind === "relay-output" || card.kind === "counter"
                    ? ""
                    : cell("sense")}
              </td>
              <td className="num">{isAnalogue && cell("bits")}</td>
              <td className="num">{isOutput && cell("outputA")}</td>
              {places.length > 0 && (
                <td>
                  <select
                    className="entry w-36"
                    aria-label={`Place of ${card.name}`}
                    value={card.placeId ?? ""}
                    onChange={(e) => void set(card, { placeId: e.target.value }, "place")}
                  >
                    <option value="">not stated</option>
                    {places.map((p) => (
                      <option key={p.id} value={p.id}>
                        {p.name}
                      </option>
                    ))}
                  </select>
                </td>
              )}
              <td>
                <button
                  type="button"
                  className="button"
                  aria-label={`Remove ${card.name}`}
                  onClick={() =>
                    void change(`no ${card.name}`, (c) => ({
                      ...c,
                      cards: c.cards.filter((k) => k.id !== card.id),
                    }))
                  }
                >
                  Remove
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Channels in a sheet: what is written or pasted into a cell goes to that channel. */
function ChannelSheet({ cards, answer }: { readonly cards: readonly Card[]; readonly answer: SignalAnswer }) {
  const { project, edit } = useProject();
  const tagOf = (id: string) => findPoint(project.specification, id)?.tag ?? id;
  const rows = Array.from({ length: Math.max(...cards.map((c) => c.channels)) }, (_, i) => ({
    id: String(i + 1),
    heading: String(i + 1),
    name: `channel ${i + 1}`,
  }));
  const write = async (cells: readonly Written[]): Promise<Outcome> => {
    const read = movesOf(
      answer,
      namedSignals(answer, tagOf),
      cells.flatMap(({ row, column, text }) => {
        const card = cards[column];
        return card && row < card.channels ? [{ card: card.id, number: row + 1, text }] : [];
      }),
    );
    if (typeof read === "string") {
      return read;
    }
    if (read.to.length === 0 && read.free.length === 0) {
      return "What is given out by itself comes back: move it to another channel instead.";
    }
    return edit(`Controller: ${read.to.length + read.free.length} channels`, (s) => withMoves(s, read));
  };
  return (
    <section aria-label="Channels">
      <h3 className="section-title">Channels</h3>
      <p className="text-soft">
        Move a signal by cutting or copying its cell and pasting it elsewhere, or by typing it; clearing gives it back.
        In bold: by hand.
      </p>
      <SheetGrid
        label="Channels of the controller"
        rows={rows}
        columns={cards.map((c) => ({ id: c.id, heading: c.name, name: c.name }))}
        textAt={({ row, column }) => channelText(answer, cards[column]?.id ?? "", row + 1)}
        strong={({ row, column }) =>
          (answer.cards.find((c) => c.id === cards[column]?.id)?.channels[row]?.on ?? []).some((s) => s.byHand)
        }
        onWrite={write}
        scrolls={420}
      />
    </section>
  );
}
