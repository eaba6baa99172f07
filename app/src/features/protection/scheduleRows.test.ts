import { describe, expect, it } from "vitest";
import { arranged } from "./scheduleRows";

describe("a schedule", () => {
  const rows = [
    { tag: "DP-10-W1", a: 3, verdict: "holds" },
    { tag: "DP-2-W1", a: null, verdict: "fails" },
    { tag: "DP-1-W1", a: 12, verdict: "tight" },
  ];
  it("stays as it came until somebody sorts it", () => {
    expect(arranged(rows, undefined)).toBe(rows);
  });
  it("counts tags as people do, and puts what is open last either way", () => {
    expect(arranged(rows, { key: "tag", falling: false }).map((r) => r.tag)).toEqual([
      "DP-1-W1",
      "DP-2-W1",
      "DP-10-W1",
    ]);
    expect(arranged(rows, { key: "a", falling: false }).map((r) => r.a)).toEqual([3, 12, null]);
    expect(arranged(rows, { key: "a", falling: true }).map((r) => r.a)).toEqual([12, 3, null]);
  });
  it("puts what fails first", () => {
    expect(arranged(rows, { key: "verdict", falling: false }).map((r) => r.verdict)).toEqual([
      "fails",
      "tight",
      "holds",
    ]);
  });
});
