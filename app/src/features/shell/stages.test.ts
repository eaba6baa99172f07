import { describe, expect, it } from "vitest";
import type { Check } from "../../api/client";
import { worst } from "../../lib/verdict";
import { openInAll, stages } from "./stages";

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
    const open = openInAll(checks);
    expect(open).toHaveLength(stages.length);
    expect(open[stages.indexOf(stage("Converters"))]).toEqual({ verdict: "fails", count: 2 });
    expect(open.filter((o) => o !== undefined)).toHaveLength(1);
  });

  it("tell each by the checks that it owns, whatever their order, and leave out what no stage owns", () => {
    const verdicts = ["holds", "tight", "needs-data", "fails", "not-applicable"] as const;
    const ids = ["motor.a", "supply.b", "cable.c", "protection.d", "io.e", "pv.f", "other.g"];
    const checks = Array.from({ length: 70 }, (_, i) =>
      check(ids[(i * 5) % ids.length] ?? "", verdicts[(i * i + 3) % verdicts.length] ?? "holds"),
    );
    for (const list of [checks, checks.toReversed()]) {
      expect(openInAll(list)).toEqual(
        stages.map((s) => {
          const own = list.filter(s.owns).map((c) => c.verdict);
          const verdict = worst(own);
          return verdict && { verdict, count: own.filter((v) => v === verdict).length };
        }),
      );
    }
  });
});
