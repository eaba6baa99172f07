import { describe, expect, it } from "vitest";
import type { Candidate } from "../api/client";
import { findItems, readQuery } from "./itemQuery";

const of = (name: string, ratedKw: number, ratedCurrentA = 0) =>
  ({ itemId: name, name, ratedKw, ratedCurrentA }) as Candidate;
const motors = [
  of("IE4 cage 150 kW, 4-pole, 315 L", 150, 260),
  of("IE3 cage 15 kW, 4-pole, 160 L", 15, 28.6),
  of("IE3 cage 15 kW, 2-pole, 160 M", 15, 27.4),
  of("IE5 magnet 15 kW, 8-pole, 160 L", 15, 25),
  of("IE3 cage 18.5 kW, 4-pole, 180 M", 18.5, 35),
  of("IE3 cage 55 kW, 4-pole, 250 M", 55, 98),
];
const nema = [
  of("Premium cage 75 hp, 4-pole, NEMA 365T", 55.93, 85.6),
  of("Premium cage 100 hp, 4-pole, NEMA 405T", 74.57, 112),
];
const converters = [
  of("six-pulse, 4 % choke, 22 kW", 22, 46),
  of("six-pulse, 5 % choke, 22 kW", 22, 46),
  of("six-pulse, no choke, 22 kW", 22, 46),
  of("active front end, 22 kW", 22, 46),
];
const names = (all: readonly Candidate[], text: string) => findItems(all, readQuery(text)).exact.map((c) => c.name);

describe("search among candidates", () => {
  it("takes a figure with its unit for that figure", () => {
    expect(names(motors, "15 kW IE3 4-pole")).toEqual(["IE3 cage 15 kW, 4-pole, 160 L"]);
    expect(names(motors, "15kw ie3 4p")).toEqual(["IE3 cage 15 kW, 4-pole, 160 L"]);
    expect(names(motors, "18,5 kW")).toEqual(["IE3 cage 18.5 kW, 4-pole, 180 M"]);
    expect(names(converters, "22 kW choke 4 %")).toEqual(["six-pulse, 4 % choke, 22 kW"]);
    expect(names(motors, "35 A")).toEqual(["IE3 cage 18.5 kW, 4-pole, 180 M"]);
  });

  it("understands hp at motors in kW, kW at motors in hp", () => {
    expect(names(motors, "75 hp")).toEqual(["IE3 cage 55 kW, 4-pole, 250 M"]);
    expect(names(nema, "75 hp")).toEqual(["Premium cage 75 hp, 4-pole, NEMA 365T"]);
    expect(names(nema, "75")).toEqual(["Premium cage 75 hp, 4-pole, NEMA 365T"]);
    expect(names(nema, "55 kW")).toEqual(["Premium cage 75 hp, 4-pole, NEMA 365T"]);
  });

  it("takes a bare number for a whole size, never for the beginning of another", () => {
    expect(names(motors, "15")).toHaveLength(3);
    const found = findItems(motors, readQuery("16 kW"));
    expect(found.exact).toEqual([]);
    expect(found.near.map((c) => c.ratedKw)).toEqual([15, 15, 15, 18.5]);
    expect(found.why).toContain("no size of 16 kW");
  });

  it("says which word it does not know", () => {
    expect(findItems(motors, readQuery("15 kW turbo")).why).toBe("Nothing here is called “turbo”.");
    expect(findItems(motors, readQuery("magnet 2-pole")).why).toContain("magnet");
    expect(names(motors, "pm")).toEqual(["IE5 magnet 15 kW, 8-pole, 160 L"]);
    expect(names(converters, "afe")).toEqual(["active front end, 22 kW"]);
  });
});
