import { describe, expect, it } from "vitest";
import type { Check } from "../../api/client";
import { openIn, openInAll, stages } from "./stages";

const check = (id: string, verdict: Check["verdict"]) => ({ id, verdict }) as Check;
const stage = (name: string) => {
  const found = stages.find((s) => s.name === name);
  if (!found) {
    throw new Error(`There is no stage ${name}.`);
  }
  return found;
};

describe("stages", () => {
  it("own every family of checks, each once", () => {
    const families = [
      "supply",
      "motor",
      "converter",
      "starter",
      "lineup",
      "group",
      "share",
      "brake",
      "follower",
      "parallel",
      "harmonics",
      "energy",
      "pv",
      "long-cable",
      "cabinet",
      "io",
    ];
    for (const family of families) {
      expect(stages.filter((s) => s.owns(check(`${family}.x`, "fails")))).toHaveLength(1);
    }
  });

  it("show the verdict that matters most, and how many share it", () => {
    const checks = [check("lineup.a", "fails"), check("starter.b", "fails"), check("converter.c", "tight")];
    expect(openIn(stage("Converters"), checks)).toEqual({ verdict: "fails", count: 2 });
    expect(openIn(stage("Loads"), checks)).toBeUndefined();
    expect(openInAll(checks)).toEqual(stages.map((s) => openIn(s, checks)));
  });
});
