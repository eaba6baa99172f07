import { describe, expect, it } from "vitest";
import { readTaps } from "./longCable";

describe("taps as they are typed", () => {
  it("are sorted, each once, whatever stands between them", () =>
    expect(readTaps("460, 420;440  420")).toEqual([420, 440, 460]));

  it("may be none", () => expect(readTaps(" ")).toEqual([]));

  it("name the word that is none", () => {
    expect(readTaps("420, high")).toContain("high");
    expect(readTaps("42")).toContain("100 to 10000");
    expect(readTaps(Array.from({ length: 41 }, (_, i) => 400 + i).join(" "))).toContain("41 taps");
  });
});
