import { describe, expect, it } from "vitest";
import type { Specification } from "../../api/client";
import { layout } from "./lineLayout";

const bus = (id: string, nominalVoltageV = 400) => ({ id, name: id, nominalVoltageV, withstandKa: null });
const lineup = (id: string, busId: string, count: number) => ({
  id,
  tag: id.toUpperCase(),
  name: "Body preparation",
  busId,
  drivePoints: Array.from({ length: count }, (_, i) => ({ id: `${id}-${i}` })),
});
const transformer = (id: string, toBusId: string) => ({ id, name: id, fromBusId: "mv", toBusId, ratedKva: 1000 });
const link = (id: string, fromBusId: string, toBusId: string, normallyClosed: boolean) => ({
  kind: "coupler",
  id,
  name: id,
  fromBusId,
  toBusId,
  normallyClosed,
});

const plant = (parts: object = {}) =>
  ({
    source: { busId: "mv" },
    distribution: {
      buses: [bus("mv", 20_000), bus("a"), bus("b"), bus("w")],
      transformers: [transformer("t1", "a"), transformer("t2", "b")],
      links: [link("tie", "a", "b", false), link("feed", "b", "w", true)],
      capacitorBanks: [{ id: "c", busId: "b" }],
      loads: [
        { id: "l1", busId: "a" },
        { id: "l2", busId: "w" },
      ],
      ...parts,
    },
    lineups: [lineup("x", "a", 5), lineup("y", "b", 6), lineup("z", "w", 0)],
  }) as unknown as Specification;

describe("single-line diagram", () => {
  it("puts every branch under its own bus, none above another", () => {
    const plan = layout(plant());
    for (const l of plan.lineups) {
      const bar = plan.buses.find((b) => b.bus.id === l.lineup.busId);
      expect(bar && l.fromX >= bar.fromX && l.toX <= bar.toX).toBe(true);
      expect(l.points.every((p) => p.x > l.fromX && p.x < l.toX)).toBe(true);
      expect(l.busY).toBe(bar?.y);
    }
    const xs = [...plan.lineups.flatMap((l) => l.points.map((p) => p.x)), ...plan.stubs.map((s) => s.x)];
    expect(new Set(xs).size).toBe(xs.length);
    expect(plan.buses.every((b) => b.toX <= plan.width)).toBe(true);
    for (const level of new Set(plan.buses.map((b) => b.y))) {
      const bars = plan.buses.filter((b) => b.y === level).sort((p, q) => p.fromX - q.fromX);
      bars.slice(1).forEach((b, i) => expect(b.fromX).toBeGreaterThan(bars[i]?.toX ?? 0));
    }
  });

  it("feeds each bus from above and ties the open coupler between bars", () => {
    const plan = layout(plant());
    expect(plan.feeders.map((f) => f.element.id).sort()).toEqual(["feed", "t1", "t2"]);
    expect(plan.feeders.every((f) => f.toY > f.fromY)).toBe(true);
    const tie = plan.ties.find((t) => t.link.id === "tie");
    expect(tie && tie.toX > tie.fromX && tie.fromY === tie.toY).toBe(true);
  });

  it("sets parallel transformers beside each other and keeps a bus without feed in the picture", () => {
    const plan = layout(
      plant({ transformers: [transformer("t1", "a"), transformer("t2", "a")], links: [link("tie", "a", "b", false)] }),
    );
    const [first, second] = plan.feeders;
    expect(first?.toY).toBe(second?.toY);
    expect(first?.x).not.toBe(second?.x);
    expect(plan.buses.map((b) => b.bus.id).sort()).toEqual(["a", "b", "mv", "w"]);
  });

  it("leads no line through what is written at a busbar, however few hang from it", () => {
    const letterPx = 6;
    const plan = layout({
      ...plant(),
      lineups: [lineup("x", "a", 1), lineup("y", "b", 2)],
    } as unknown as Specification);
    for (const l of plan.lineups) {
      expect(l.feedX).toBeGreaterThan(l.fromX + letterPx * `${l.lineup.tag} ${l.lineup.name}`.length);
      expect(l.toX).toBeGreaterThan(l.feedX);
    }
    const text = "a 400 V, faults 33.7 kA, least 22.2 kA · PCC";
    for (const feeder of plan.feeders) {
      const bar = plan.buses.find((b) => b.y === feeder.toY && b.fromX < feeder.x && feeder.x < b.toX);
      expect(bar && feeder.x - bar.fromX).toBeGreaterThan(5.5 * text.length);
    }
    const top = plan.buses.find((b) => b.bus.id === "mv");
    expect(plan.sourceX).toBeGreaterThan((top?.fromX ?? 0) + 5.5 * text.length);
    expect(plan.sourceX).toBeLessThan(top?.toX ?? 0);
  });

  it("stands for a plant without lineups too", () => {
    expect(layout({ ...plant(), lineups: [] }).height).toBeGreaterThan(0);
  });
});
