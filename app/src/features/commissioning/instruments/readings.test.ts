import { describe, expect, it } from "vitest";
import type { Reading, SiteStep } from "../../../api/client";
import { about, age, orderWord, takable } from "./readings";

const quantity = (id: string, reading: string | null) => ({ id, reading }) as SiteStep["quantities"][number];

describe("readings", () => {
  it("fill what is empty, and never two quantities with one reading", () => {
    const step = {
      quantities: [
        quantity("coldOhm", "winding.uv"),
        quantity("hotOhm", "winding.uv"),
        quantity("ambientC", "temperature.coolant"),
        quantity("note", null),
      ],
    } as SiteStep;
    expect(takable(step, () => false)).toEqual(["ambientC"]);
    expect(takable(step, (id) => id === "ambientC")).toEqual([]);
  });

  it("say their age, or why they can't be taken, and that they are simulated", () => {
    expect(age(0.4)).toBe("now");
    expect(age(12.2)).toBe("12 s ago");
    expect(age(300)).toBe("5 min ago");
    const reading = { good: true, why: "", ageS: 3, simulated: true } as Reading;
    expect(about(reading)).toBe("3 s ago, simulated");
    expect(about({ ...reading, good: false, why: "no value now", simulated: false })).toBe("no value now");
  });

  it("orders are words", () => {
    expect(orderWord("start", 8)).toBe("Start at 8 Hz");
    expect(orderWord("start", null)).toBe("Start");
    expect(orderWord("coast")).toBe("Output off");
  });
});
