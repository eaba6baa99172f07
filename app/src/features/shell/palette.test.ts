import { describe, expect, it } from "vitest";
import { named } from "./named";

describe("palette", () => {
  it("finds by beginnings of words, never by scattered letters", () => {
    expect(named("Sheets", "sheets")).toBe(1);
    expect(named("Size the selected drive points", "sheets")).toBe(0);
    expect(named("Size the selected drive points", "drive si")).toBeGreaterThan(0);
    expect(named("Size all drive points", "size")).toBeGreaterThan(named("DP-02 Outsize fan: motor", "size"));
    expect(named("DP-02 Exhaust fan: motor", "dp-02 mot")).toBeGreaterThan(0);
    expect(named("Plant", "transf", ["supply", "transformer"])).toBeGreaterThan(0);
  });
});
