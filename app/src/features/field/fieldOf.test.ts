import { describe, expect, it } from "vitest";
import type { Check, DrivePointFigures } from "../../api/client";
import { assumedOf, fieldOf } from "./fieldOf";

const check = (drivePointId: string, row: Check["row"], verdict: Check["verdict"], title = "t"): Check => ({
  id: "motor.continuous",
  drivePointId,
  elementId: "",
  row,
  title,
  verdict,
  figure: null,
  limit: null,
  unit: "",
  sense: "at-most",
  marginPct: null,
  scenario: "",
  relief: "",
  reason: null,
});

describe("the field", () => {
  it("shows the worst of each band and leads to what matters most", () => {
    const field = fieldOf([
      check("a", "motor", "fails", "burns"),
      check("a", "motor", "holds"),
      check("a", "supply", "tight"),
      check("a", "cable", "not-applicable"),
      check("b", "load", "holds"),
      check("", "plant", "fails"),
    ]);
    expect([...field.keys()]).toEqual(["a", "b"]);
    expect(field.get("a")).toEqual({
      bands: { motor: "fails", supply: "tight" },
      worst: "fails",
      row: "motor",
      title: "burns",
    });
    expect(field.get("b")?.worst).toBe("holds");
  });

  it("knows which drive points stand on values that nobody has confirmed", () => {
    const figures = [
      { drivePointId: "a", assumedEntries: 2 },
      { drivePointId: "b", assumedEntries: 0 },
    ] as DrivePointFigures[];
    expect([...assumedOf(figures)]).toEqual([["a", 2]]);
  });
});
