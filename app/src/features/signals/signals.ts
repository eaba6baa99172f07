import type { DrivePoint, SignalAnswer, SignalJob, Specification } from "../../api/client";
import { fields } from "../../fields/table";

export type Plan = NonNullable<DrivePoint["signals"]>;
export type Wanted = NonNullable<Plan["wanted"]>[number];
export type SignalFunction = Wanted["function"];
export type Controller = NonNullable<Specification["controller"]>;
export type Card = NonNullable<Controller["cards"]>[number];
export type PointAnswer = SignalAnswer["points"][number];
export type Placed = PointAnswer["signals"][number];

/** Kinds of job that have usual signals. */
export const jobs: Readonly<Record<SignalJob, string>> = {
  "by-drive-point": "by the drive point",
  fan: "fan",
  pump: "pump",
  hoist: "hoist",
  conveyor: "conveyor",
  machine: "other machine",
  "on-starter": "machine on a starter",
  follower: "follower",
  servo: "servo axis",
};

/** Settings of a drive point's signals; the resistor's where there is one. */
export const settingsOf = (point: DrivePoint): readonly (keyof typeof fields.SignalPlan & keyof Plan)[] => [
  "sense",
  "extension",
  "enableLinked",
  "stopCategory",
  "stopBy",
  ...(point.converter.kind === "catalogue" && point.converter.braking.kind === "resistor"
    ? (["resistorTrip"] as const)
    : []),
];

/** A plan with one signal changed. */
export const withWanted = (plan: Plan, id: string, part: Partial<Wanted>): Plan => ({
  ...plan,
  wanted: (plan.wanted ?? []).map((w) => (w.id === id ? { ...w, ...part } : w)),
});

/** A plan with one more signal, its other end where it usually is. */
export function withFunction(plan: Plan, wanted: SignalFunction, far: Wanted["far"]): Plan {
  const before = plan.wanted ?? [];
  const taken = new Set(before.map((w) => w.id));
  const id = [wanted, ...Array.from({ length: 99 }, (_, i) => `${wanted}-${i + 2}`)].find((key) => !taken.has(key));
  return { ...plan, wanted: [...before, { id: id ?? `${wanted}-${taken.size}`, function: wanted, far }] };
}

/** A plan with the settings of another: sense, enable, stop, resistor; its signals stay. */
export const withSettings = (plan: Plan, other: Plan): Plan => ({
  ...plan,
  ...Object.fromEntries(
    (["sense", "enableLinked", "stopCategory", "stopBy", "resistorTrip"] as const).flatMap((key) =>
      other[key] === undefined ? [] : [[key, other[key]]],
    ),
  ),
});

/** A plan without a signal. */
export const withoutWanted = (plan: Plan, id: string): Plan => ({
  ...plan,
  wanted: (plan.wanted ?? []).filter((w) => w.id !== id),
});

/** Channels of a controller by their keys. */
export const channelsOf = (controller: Controller | null | undefined): readonly { key: string; name: string }[] =>
  (controller?.cards ?? []).flatMap((c) =>
    Array.from({ length: c.channels }, (_, i) => ({ key: `${c.id}/${i + 1}`, name: `${c.name}.${i + 1}` })),
  );

/** What stands in a cell of the sheet of channels: tag, terminal and function of what is on it. */
export function channelText(answer: SignalAnswer, card: string, number: number): string {
  const on = answer.cards.find((c) => c.id === card)?.channels[number - 1]?.on ?? [];
  return on.map((s) => `${s.tag} ${s.name}`).join(" and ");
}

/** A signal that has a place on a channel, in the words of the sheet. */
export interface Named {
  readonly pointId: string;
  readonly signalId: string;
  readonly text: string;
}

/** Every signal by its words in the sheet; of two alike the first. */
export function namedSignals(answer: SignalAnswer, tagOf: (point: string) => string): ReadonlyMap<string, Named> {
  const found = new Map<string, Named>();
  for (const point of answer.points) {
    for (const signal of point.signals) {
      const text = `${tagOf(point.pointId)} ${signal.name}`;
      if (!found.has(text.toLowerCase())) {
        found.set(text.toLowerCase(), { pointId: point.pointId, signalId: signal.id, text });
      }
    }
  }
  return found;
}

/** A change of the sheet: signals that go to channels, and signals that are given back. */
export interface Moves {
  readonly to: readonly (Named & { readonly channel: string })[];
  readonly free: readonly { readonly pointId: string; readonly signalId: string }[];
}

/** What written cells ask for; a sentence where a cell can't be read. */
export function movesOf(
  answer: SignalAnswer,
  named: ReadonlyMap<string, Named>,
  cells: readonly { readonly card: string; readonly number: number; readonly text: string }[],
): Moves | string {
  const to: (Named & { channel: string })[] = [];
  const free: { pointId: string; signalId: string }[] = [];
  for (const { card, number, text } of cells) {
    const words = text.trim().toLowerCase();
    if (words === "") {
      const on = answer.cards.find((c) => c.id === card)?.channels[number - 1]?.on ?? [];
      free.push(...on.filter((s) => s.byHand));
      continue;
    }
    const signal = named.get(words);
    if (!signal) {
      return `There is no signal “${text.trim()}”: tag and function, for example “${[...named.values()][0]?.text ?? "DP-01 run"}”.`;
    }
    to.push({ ...signal, channel: `${card}/${number}` });
  }
  return { to, free };
}

/** A specification with signals moved to channels. */
export function withMoves(s: Specification, moves: Moves): Specification {
  const target = new Map(moves.free.map((f) => [`${f.pointId}:${f.signalId}`, ""]));
  for (const move of moves.to) {
    target.set(`${move.pointId}:${move.signalId}`, move.channel);
  }
  return {
    ...s,
    lineups: s.lineups.map((l) => ({
      ...l,
      drivePoints: l.drivePoints.map((p) =>
        p.signals
          ? {
              ...p,
              signals: {
                ...p.signals,
                wanted: (p.signals.wanted ?? []).map((w) => {
                  const channel = target.get(`${p.id}:${w.id}`);
                  return channel === undefined ? w : { ...w, channel, far: channel === "" ? w.far : "controller" };
                }),
              },
            }
          : p,
      ),
    })),
  };
}
