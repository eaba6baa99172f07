import { describe, expect, it } from "vitest";
import { readRecording, toBase64 } from "./readRecording";

describe("a measurement that is chosen", () => {
  it("is one CSV, or both parts of a recording", async () => {
    expect(await readRecording([new File(["order;A\n1;10"], "m.csv")])).toEqual({
      name: "m.csv",
      text: "order;A\n1;10",
      dataBase64: "",
    });
    expect(
      await readRecording([new File([new Uint8Array([1, 2, 255])], "R.DAT"), new File(["station"], "R.CFG")]),
    ).toEqual({ name: "R.CFG", text: "station", dataBase64: "AQL/" });
  });

  it("says what is missing", async () => {
    expect(await readRecording([new File(["x"], "r.cfg")])).toContain("two parts");
    expect(await readRecording([])).toContain("No file");
  });

  it("writes long data in pieces", () => {
    const bytes = new Uint8Array(20_000).map((_, i) => i % 251);
    expect(atob(toBase64(bytes)).length).toBe(20_000);
    expect(atob(toBase64(bytes)).charCodeAt(19_999)).toBe(19_999 % 251);
  });
});
