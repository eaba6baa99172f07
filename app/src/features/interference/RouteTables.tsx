import { useState } from "react";
import type { InterferencePlan, Routes, RouteRow } from "../../api/client";
import { CellChoice, CellText } from "../../components/CellFields";
import { useUnits } from "../../fields/useUnits";
import { fields } from "../../fields/table";
import { fieldColumns } from "../plant/columns";
import { ElementTable } from "../plant/ElementTable";
import { classLooks } from "./classes";
import { freeKeyIn, useRoutes } from "./useRoutes";

// More rows than this answer slowly, and nobody reads them one by one.
const MOST = 80;

type Segment = Routes["segments"][number];
type Signal = Routes["cables"][number] & { readonly name: string };

/** Places of the plan by key, for choices. */
export const placeNames = (routes: Routes, none?: string): Readonly<Record<string, string>> => ({
  ...(none === undefined ? {} : { "": none }),
  ...Object.fromEntries(routes.places.map((p) => [p.id, p.name])),
});

/** Places where cables begin, end or meet. */
export function PlaceTable() {
  const { routes, part, change, removePlace } = useRoutes();
  const units = useUnits();
  const inUse = (id: string) => routes.segments.some((s) => s.fromPlaceId === id || s.toPlaceId === id);
  return (
    <ElementTable
      title="Places"
      elements={routes.places}
      add={[
        {
          name: "Add place",
          run: () =>
            void change("Add place", (r) => {
              const right = Math.max(-8, ...r.places.map((p) => p.rightM));
              return {
                ...r,
                places: [
                  ...r.places,
                  {
                    id: freeKeyIn(r, "places", "place"),
                    name: `Place ${r.places.length + 1}`,
                    rightM: right + 8,
                    downM: 0,
                  },
                ],
              };
            }),
        },
      ]}
      onRemove={(p) =>
        inUse(p.id) ? Promise.resolve(`${p.name} stays: a tray ends there.`) : removePlace(p.id, p.name)
      }
      columns={fieldColumns<Routes["places"][number]>(
        () => fields.Place,
        (p, by) => part("places", p.id, p.name, by),
        [
          ["name", "name"],
          [`right, ${units.unit("m")}`, "rightM", "w-20"],
          [`down, ${units.unit("m")}`, "downM", "w-20"],
        ],
      )}
    />
  );
}

/** Pieces of tray between places. */
export function TrayTable({ plan }: { readonly plan: InterferencePlan }) {
  const { routes, part, change } = useRoutes();
  const units = useUnits();
  const places = placeNames(routes);
  const trays = Object.fromEntries(routes.segments.map((s) => [s.id, s.name]));
  const of = (s: Segment) => plan.trays.find((t) => t.segmentId === s.id);
  const by = (s: Segment, change: Partial<Segment>) => part("segments", s.id, s.name, change);
  const [first, second] = routes.places;
  return (
    <ElementTable
      title="Trays"
      note={first && second ? undefined : "A tray runs between two places: add those first."}
      elements={routes.segments}
      add={
        first && second
          ? [
              {
                name: "Add tray",
                run: () =>
                  void change("Add tray", (r) => ({
                    ...r,
                    segments: [
                      ...r.segments,
                      {
                        id: freeKeyIn(r, "segments", "tray"),
                        name: `Tray ${r.segments.length + 1}`,
                        fromPlaceId: first.id,
                        toPlaceId: second.id,
                        lengthM: null,
                        widthMm: null,
                        kind: "perforated",
                        use: "all",
                        divider: false,
                        heightMm: null,
                        besideId: "",
                        gapMm: null,
                      },
                    ],
                  })),
              },
            ]
          : []
      }
      onRemove={(s) =>
        change(`Remove ${s.name}`, (r) => ({
          ...r,
          segments: r.segments
            .filter((x) => x.id !== s.id)
            .map((x) => (x.besideId === s.id ? { ...x, besideId: "", gapMm: null } : x)),
          ways: r.ways.filter((w) => !w.segmentIds.includes(s.id)),
        }))
      }
      columns={[
        ...fieldColumns<Segment>(() => fields.TraySegment, by, [["name", "name"]]),
        ...(["fromPlaceId", "toPlaceId"] as const).map((end) => ({
          heading: end === "fromPlaceId" ? "from" : "to",
          cell: (s: Segment) => (
            <CellChoice
              label={`${end === "fromPlaceId" ? "From" : "To"} of ${s.name}`}
              value={s[end]}
              choices={places}
              onCommit={(id) => by(s, { [end]: id })}
            />
          ),
        })),
        ...fieldColumns<Segment>(() => fields.TraySegment, by, [[`length, ${units.unit("m")}`, "lengthM", "w-16"]]),
        {
          heading: "by the plan",
          cell: (s) => <span className="font-mono">{units.entered(of(s)?.lengthM ?? 0, "m")}</span>,
        },
        ...fieldColumns<Segment>(() => fields.TraySegment, by, [
          ["made of", "kind"],
          ["for", "use"],
          ["divider", "divider"],
          [`width, ${units.unit("mm")}`, "widthMm", "w-16"],
          [`height, ${units.unit("mm")}`, "heightMm", "w-16"],
        ]),
        {
          heading: "beside",
          cell: (s) => (
            <CellChoice
              label={`Beside of ${s.name}`}
              value={s.besideId}
              choices={{ "": "–", ...Object.fromEntries(Object.entries(trays).filter(([id]) => id !== s.id)) }}
              onCommit={(besideId) => by(s, { besideId })}
            />
          ),
        },
        ...fieldColumns<Segment>(() => fields.TraySegment, by, [[`gap, ${units.unit("mm")}`, "gapMm", "w-16"]]),
        {
          heading: "cables · loaded",
          cell: (s) => (
            <span className="font-mono whitespace-nowrap">
              {of(s)?.cables ?? 0} · {of(s)?.loadedCircuits ?? 0}
            </span>
          ),
        },
      ]}
    />
  );
}

/** Cables entered by hand: signals, buses, auxiliary supplies. */
export function SignalTable() {
  const { routes, part, change } = useRoutes();
  const rows: readonly Signal[] = routes.cables.map((c) => ({ ...c, name: c.tag }));
  const by = (c: Signal, { name, ...change }: Partial<Signal>) =>
    part("cables", c.id, c.tag, name === undefined ? change : { ...change, tag: name });
  const places = placeNames(routes, "–");
  return (
    <ElementTable
      title="Cables entered by hand"
      note="Feeders, motor, brake, encoder and thermistor cables follow from the drive points."
      elements={rows}
      add={[
        {
          name: "Add cable",
          run: () =>
            void change("Add cable", (r) => ({
              ...r,
              cables: [
                ...r.cables,
                {
                  id: freeKeyIn(r, "cables", "cable"),
                  tag: `W${r.cables.length + 1}`,
                  kind: "control24-v",
                  screen: "none",
                  fromPlaceId: "",
                  toPlaceId: "",
                },
              ],
            })),
        },
      ]}
      onRemove={(c) =>
        change(`Remove ${c.tag}`, (r) => ({
          ...r,
          cables: r.cables.filter((x) => x.id !== c.id),
          ways: r.ways.filter((w) => w.cableId !== c.id),
        }))
      }
      columns={[
        {
          heading: "cable",
          cell: (c) => (
            <CellText
              label={`Name of ${c.tag}`}
              value={c.tag}
              onCommit={(tag) => part("cables", c.id, c.tag, { tag })}
            />
          ),
        },
        ...fieldColumns<Signal>(() => fields.SignalCable, by, [
          ["carries", "kind"],
          ["screen", "screen"],
        ]),
        ...(["fromPlaceId", "toPlaceId"] as const).map((end) => ({
          heading: end === "fromPlaceId" ? "from" : "to",
          cell: (c: Signal) => (
            <CellChoice
              label={`${end === "fromPlaceId" ? "From" : "To"} of ${c.tag}`}
              value={c[end]}
              choices={places}
              onCommit={(id) => by(c, { [end]: id })}
            />
          ),
        })),
      ]}
    />
  );
}

/** Every cable with its way; a way is chosen anew by the trays it is to take, in their order. */
export function WayTable({ plan, chosen }: { readonly plan: InterferencePlan; readonly chosen: string | undefined }) {
  const { routes, change } = useRoutes();
  const units = useUnits();
  const byName = new Map(routes.segments.map((s) => [s.name.toLowerCase(), s.id]));
  const byId = new Map(routes.segments.map((s) => [s.id, s.name]));
  const [wanted, setWanted] = useState("");
  const [all, setAll] = useState(false);
  const found = plan.cables.filter(
    (c) =>
      (chosen === undefined || c.segmentIds.includes(chosen)) &&
      `${c.tag} ${c.from} ${c.to}`.toLowerCase().includes(wanted.toLowerCase()),
  );
  const rows = all ? found : found.slice(0, MOST);
  const lay = (c: RouteRow, text: string) => {
    const names = text
      .split(",")
      .map((w) => w.trim())
      .filter((w) => w !== "");
    const ids = names.map(
      (name) =>
        byName.get(name.toLowerCase()) ??
        routes.segments.find((s) => s.name.split(" ")[0]?.toLowerCase() === name.toLowerCase())?.id,
    );
    const unknown = names.filter((_, i) => ids[i] === undefined);
    if (unknown.length > 0) {
      return Promise.resolve(`There is no tray ${unknown.join(", ")}.`);
    }
    return change(`Way of ${c.tag}`, (r) => ({
      ...r,
      ways: [
        ...r.ways.filter((w) => w.cableId !== c.id),
        ...(ids.length > 0 ? [{ cableId: c.id, segmentIds: ids.filter((id) => id !== undefined) }] : []),
      ],
    }));
  };
  if (routes.segments.length === 0) {
    return null;
  }
  return (
    <section aria-label="Ways of cables">
      <h3 className="section-title flex flex-wrap items-baseline gap-x-2">
        Ways of cables
        <input
          className="entry w-48 font-normal"
          aria-label="Filter the ways"
          placeholder="cable, place …"
          value={wanted}
          onChange={(e) => setWanted(e.target.value)}
        />
        <span className="text-[12px] font-normal text-soft">
          The shortest in the trays for their class; type trays with commas between for another, empty for the shortest.
        </span>
      </h3>
      <div className="max-h-[420px] overflow-auto" tabIndex={0} role="region" aria-label="Ways of cables, scrolls">
        <table className="table text-[12px]">
          <thead>
            <tr>
              <th>cable</th>
              <th>class</th>
              <th>from</th>
              <th>to</th>
              <th>way</th>
              <th className="num">length</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((c) => (
              <tr key={c.id}>
                <td className="font-bold whitespace-nowrap">{c.tag}</td>
                <td className="whitespace-nowrap">
                  {classLooks[c.class].words}
                  {c.isScreened ? ", screened" : ""}
                </td>
                <td>{c.from || <span className="text-soft">not stated</span>}</td>
                <td>{c.to || <span className="text-soft">not stated</span>}</td>
                <td>
                  <CellText
                    label={`Way of ${c.tag}`}
                    value={c.segmentIds.map((id) => byId.get(id)?.split(" ")[0] ?? id).join(", ")}
                    onCommit={(text) => lay(c, text)}
                  />
                  {c.isByHand && <span className="text-soft"> by hand</span>}
                  {c.missing && <span className="text-[11px] text-soft"> needs {c.missing}</span>}
                </td>
                <td className="num whitespace-nowrap">
                  {c.lengthM == null ? "–" : units.entered(c.lengthM, "m")}
                  {c.statedM != null && (
                    <span
                      className="block text-[11px] text-soft"
                      title="The stated length stands everywhere; empty the entry to take that of the way."
                    >
                      stated {units.entered(c.statedM, "m")}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {found.length > rows.length && (
        <button type="button" className="button mt-1" onClick={() => setAll(true)}>
          Show all {found.length}
        </button>
      )}
    </section>
  );
}

/** What listens near the plant. */
export function ReceiverTable() {
  const { routes, part, change } = useRoutes();
  const units = useUnits();
  const receivers = routes.receivers;
  return (
    <ElementTable
      title="Receivers nearby"
      note={
        receivers.length > 0
          ? undefined
          : "Radio, weighing cells, medical equipment and the like, as near as they stand."
      }
      elements={receivers}
      add={[
        {
          name: "Add receiver",
          run: () =>
            void change("Add receiver", (r) => ({
              ...r,
              receivers: [
                ...r.receivers,
                {
                  id: freeKeyIn(r, "receivers", "receiver"),
                  name: `Receiver ${r.receivers.length + 1}`,
                  kind: "radio",
                  distanceM: null,
                },
              ],
            })),
        },
      ]}
      onRemove={(x) =>
        change(`Remove ${x.name}`, (r) => ({ ...r, receivers: r.receivers.filter((o) => o.id !== x.id) }))
      }
      columns={fieldColumns<(typeof receivers)[number]>(
        () => fields.NearbyReceiver,
        (x, by) => part("receivers", x.id, x.name, by),
        [
          ["name", "name"],
          ["what it is", "kind"],
          [`distance, ${units.unit("m")}`, "distanceM", "w-20"],
        ],
      )}
    />
  );
}
