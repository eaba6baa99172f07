import { describe, expect, it } from "vitest";
import { deviceText, noDevices } from "./devices";

describe("a protective device in a cell", () => {
  it("says kind and rating, and nothing while none is chosen", () => {
    expect(deviceText(noDevices.device)).toBe("");
    expect(deviceText(undefined)).toBe("");
    expect(deviceText({ kind: "fuse", ratedA: 63, breakingKa: 100, reason: "" })).toBe("gG 63 A");
    expect(
      deviceText({
        kind: "circuit-breaker",
        ratedA: 160,
        overloadA: 140,
        magneticPu: 10,
        breakingKa: 50,
        letThroughA2s: null,
        reason: "",
      }),
    ).toBe("breaker 160 A");
  });
});
