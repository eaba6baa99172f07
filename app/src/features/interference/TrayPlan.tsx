import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { InterferencePlan } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { ink, onGround, plum, soft } from "../plant/LinePart";
import { classLooks, classOrder } from "./classes";
import { drawnTrays, extentOf, scaleBarM, zoomed, type Extent, type Spot } from "./trayPlan";
import { useRoutes } from "./useRoutes";

const fails = "#b0352b";
const width = 1000;

/** Plan of the trays, to scale: places are moved by dragging or with the arrow keys, what is on it is data and computes. */
export function TrayPlan({
  plan,
  chosen,
  onChoose,
}: {
  readonly plan: InterferencePlan;
  /** Place or tray that is looked at. */
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}) {
  const { routes, part, change } = useRoutes();
  const units = useUnits();
  const drawing = useRef<SVGSVGElement>(null);
  const [view, setView] = useState<Extent>();
  const [drag, setDrag] = useState<{ readonly ids: readonly string[]; readonly from: Spot; readonly to: Spot }>();
  const [pan, setPan] = useState<{ readonly from: Spot; readonly view: Extent }>();
  const extent = view ?? extentOf(routes.places);
  const height = Math.min(430, Math.max(240, (width * extent.height) / extent.width));
  const perM = Math.min(width / extent.width, height / extent.height);
  // In the middle of what is left beside it.
  const [leftPx, topPx] = [(width - extent.width * perM) / 2, (height - extent.height * perM) / 2];
  const x = (m: number) => leftPx + (m - extent.left) * perM;
  const y = (m: number) => topPx + (m - extent.top) * perM;
  const moved = drag
    ? routes.places.map((p) =>
        drag.ids.includes(p.id)
          ? {
              ...p,
              rightM: p.rightM + drag.to.rightM - drag.from.rightM,
              downM: p.downM + drag.to.downM - drag.from.downM,
            }
          : p,
      )
    : routes.places;
  const trays = new Map(drawnTrays({ ...routes, places: moved }, 18 / perM).map((t) => [t.id, t]));
  const at = (id: string) => {
    const t = trays.get(id);
    if (!t) {
      return undefined;
    }
    const [ax, ay, bx, by] = [x(t.from.rightM), y(t.from.downM), x(t.to.rightM), y(t.to.downM)];
    const length = Math.hypot(bx - ax, by - ay) || 1;
    const [nx, ny] = [-(by - ay) / length, (bx - ax) / length];
    const aside = (off: number) => `M${ax + nx * off} ${ay + ny * off}L${bx + nx * off} ${by + ny * off}`;
    // Outwards where others run beside it; a little before the middle, where a clash is marked.
    const out = 15 * t.side;
    return {
      path: aside(0),
      aside,
      length,
      middle: [(ax + bx) / 2, (ay + by) / 2] as const,
      label: [ax + (bx - ax) * 0.4 + nx * out, ay + (by - ay) * 0.4 + ny * out] as const,
    };
  };
  const loads = new Map(plan.trays.map((t) => [t.segmentId, t]));
  const clashing = new Set(plan.clashes.filter((c) => c.verdict !== "tight").flatMap((c) => c.segmentIds));
  const spot = (event: PointerEvent | WheelEvent): Spot => {
    const box = drawing.current?.getBoundingClientRect();
    const scale = box ? width / box.width : 1;
    return {
      rightM: extent.left + ((event.clientX - (box?.left ?? 0)) * scale - leftPx) / perM,
      downM: extent.top + ((event.clientY - (box?.top ?? 0)) * scale - topPx) / perM,
    };
  };
  const begin = (ids: readonly string[], id: string) => (event: PointerEvent) => {
    event.stopPropagation();
    drawing.current?.setPointerCapture(event.pointerId);
    onChoose(id);
    setDrag({ ids, from: spot(event), to: spot(event) });
  };
  const end = () => {
    if (
      drag &&
      (Math.abs(drag.to.rightM - drag.from.rightM) > 0.2 || Math.abs(drag.to.downM - drag.from.downM) > 0.2)
    ) {
      const at = new Map(moved.map((p) => [p.id, p]));
      const half = (m: number) => Math.round(m * 2) / 2;
      const names = moved.filter((p) => drag.ids.includes(p.id)).map((p) => p.name);
      void change(`Move ${names.join(", ")}`, (r) => ({
        ...r,
        places: r.places.map((p) =>
          drag.ids.includes(p.id)
            ? { ...p, rightM: half(at.get(p.id)?.rightM ?? p.rightM), downM: half(at.get(p.id)?.downM ?? p.downM) }
            : p,
        ),
      }));
    }
    setDrag(undefined);
    setPan(undefined);
  };
  const byKey = (id: string) => (event: KeyboardEvent) => {
    const place = routes.places.find((p) => p.id === id);
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      onChoose(id);
    } else if (place && step) {
      event.preventDefault();
      void part("places", id, `Move ${place.name}`, {
        rightM: place.rightM + (step[0] ?? 0),
        downM: place.downM + (step[1] ?? 0),
      });
    }
  };
  // Round in the unit shown.
  const perUnit = units.value(1, "m");
  const bar = scaleBarM(extent.width * perUnit) / perUnit;
  return (
    <section aria-label="Plan of the trays">
      <h3 className="section-title flex flex-wrap items-center gap-2">
        Plan
        <button type="button" className="button font-normal" onClick={() => setView(zoomed(extent, 1.4))}>
          Nearer
        </button>
        <button type="button" className="button font-normal" onClick={() => setView(zoomed(extent, 1 / 1.4))}>
          Farther
        </button>
        <button type="button" className="button font-normal" onClick={() => setView(undefined)}>
          Whole plan
        </button>
        {classOrder.map((c) => (
          <span key={c} className="flex items-center gap-1 text-[12px] font-normal text-soft">
            <svg width="26" height="8" aria-hidden>
              <path d="M0 4h26" stroke={classLooks[c].colour} strokeWidth="2.2" strokeDasharray={classLooks[c].dash} />
            </svg>
            {classLooks[c].words}
          </span>
        ))}
        <span className="flex items-center gap-1 text-[12px] font-normal text-soft">
          <svg width="14" height="14" aria-hidden>
            <path d="M2 2l10 10M12 2L2 12" stroke={fails} strokeWidth="2.5" />
          </svg>
          clash
        </span>
      </h3>
      <svg
        ref={drawing}
        viewBox={`0 0 ${width} ${height}`}
        className="mt-1 w-full touch-none border border-rule bg-card select-none"
        fontFamily="Atkinson Hyperlegible Next Variable, Atkinson Hyperlegible Next, sans-serif"
        fontSize="12"
        role="group"
        aria-label="Places and trays"
        onPointerDown={(e) => {
          drawing.current?.setPointerCapture(e.pointerId);
          setPan({ from: spot(e), view: extent });
        }}
        onPointerMove={(e) => {
          if (drag) {
            setDrag({ ...drag, to: spot(e) });
          } else if (pan) {
            const to = spot(e);
            setView({
              ...extent,
              left: extent.left + pan.from.rightM - to.rightM,
              top: extent.top + pan.from.downM - to.downM,
            });
          }
        }}
        onPointerUp={end}
        onPointerCancel={end}
      >
        {routes.segments.map((s) => {
          const ends = at(s.id);
          return (
            ends && (
              <path
                key={s.id}
                d={ends.path}
                stroke={chosen === s.id ? "#eadce7" : "#efebe3"}
                strokeWidth="15"
                strokeLinecap="round"
              />
            )
          );
        })}
        {routes.segments.map((s) => {
          const ends = at(s.id);
          if (!ends) {
            return null;
          }
          const load = loads.get(s.id);
          const classes = classOrder.filter((c) => load?.classes.includes(c));
          const words = `${s.name}, ${units.say(load?.lengthM ?? 0, "m")}, ${load?.cables ?? 0} cables${clashing.has(s.id) ? ", clash" : ""}`;
          return (
            <g
              key={s.id}
              role="button"
              tabIndex={0}
              aria-label={words}
              className="cursor-pointer outline-none focus-visible:[filter:drop-shadow(0_0_2px_#6b2e5f)]"
              onKeyDown={byKey(s.id)}
              onPointerDown={begin([s.fromPlaceId, s.toPlaceId], s.id)}
            >
              <title>{words}</title>
              <path d={ends.path} stroke="transparent" strokeWidth="15" />
              {classes.length === 0 && <path d={ends.path} stroke={soft} strokeWidth="0.8" strokeDasharray="2 5" />}
              {classes.map((c, i) => (
                <path
                  key={c}
                  d={ends.aside((i - (classes.length - 1) / 2) * 3.6)}
                  stroke={classLooks[c].colour}
                  strokeWidth="2"
                  strokeDasharray={classLooks[c].dash}
                />
              ))}
              {s.divider && <path d={ends.path} stroke={ink} strokeWidth="1" strokeDasharray="14 2" />}
            </g>
          );
        })}
        <g pointerEvents="none">
          {routes.segments.map((s) => {
            const ends = at(s.id);
            return (
              ends && (
                <g key={s.id}>
                  {ends.length > 46 && (
                    <text
                      x={ends.label[0]}
                      y={ends.label[1] + 4}
                      textAnchor="middle"
                      fill={chosen === s.id ? plum : soft}
                      {...onGround}
                      stroke="white"
                    >
                      {s.name.split(" ")[0]}
                    </text>
                  )}
                  {clashing.has(s.id) && (
                    <path
                      d={`M${ends.middle[0] - 6} ${ends.middle[1] - 6}l12 12M${ends.middle[0] + 6} ${ends.middle[1] - 6}l-12 12`}
                      stroke={fails}
                      strokeWidth="2.6"
                    />
                  )}
                </g>
              )
            );
          })}
        </g>
        {moved.map((p) => (
          <g
            key={p.id}
            role="button"
            tabIndex={0}
            aria-label={`${p.name}, ${units.say(p.rightM, "m")} right, ${units.say(p.downM, "m")} down; arrow keys move it`}
            className="cursor-move outline-none focus-visible:[filter:drop-shadow(0_0_2px_#6b2e5f)]"
            onKeyDown={byKey(p.id)}
            onPointerDown={begin([p.id], p.id)}
          >
            <rect
              x={x(p.rightM) - 7}
              y={y(p.downM) - 7}
              width="14"
              height="14"
              rx="2"
              fill={chosen === p.id ? plum : "white"}
              stroke={ink}
              strokeWidth="1.5"
            />
            <text x={x(p.rightM)} y={y(p.downM) - 12} textAnchor="middle" fontWeight="bold" {...onGround}>
              {p.name}
            </text>
          </g>
        ))}
        <g aria-label={`Scale: ${units.entered(bar, "m")}`}>
          <path d={`M20 ${height - 16}v6H${20 + bar * perM}v-6`} stroke={ink} strokeWidth="1.5" fill="none" />
          <text x={26 + bar * perM} y={height - 10}>
            {units.entered(bar, "m")}
          </text>
        </g>
      </svg>
    </section>
  );
}
