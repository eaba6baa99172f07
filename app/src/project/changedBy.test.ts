import { describe, expect, it } from "vitest";
import type { Assessment, AssessmentChanges, Check, Project } from "../api/client";
import { changedBy, changedList } from "./changedBy";
import { sharedProject } from "./sharedProject";

const check = (id: string, figure: number) =>
  ({ id, drivePointId: "a", elementId: "", scenario: "", row: "motor", figure }) as unknown as Check;

describe("an assessment that changed", () => {
  it("leaves out what has gone and puts what is new where it says", () => {
    const list = ["a", "b", "c", "d"];
    expect(changedList(list, { gone: [], at: [], put: [] })).toEqual(list);
    expect(changedList(list, { gone: [0, 2], at: [0, 2, 4], put: ["x", "y", "z"] })).toEqual(["x", "b", "y", "d", "z"]);
    expect(changedList([], { gone: [], at: [0], put: ["x"] })).toEqual(["x"]);
    expect(changedList(list, { gone: [0, 1, 2, 3], at: [], put: [] })).toEqual([]);
  });

  it("keeps what is not told of, and a supply that is no longer known is none", () => {
    const before = {
      catalogueVersion: "1",
      checks: [check("x", 1), check("y", 2)],
      drivePoints: [],
      supply: { buses: [] },
    } as unknown as Assessment;
    const after = changedBy(before, {
      counts: { holds: 1 },
      checks: { gone: [1], at: [0], put: [check("y", 3)] },
      drivePoints: { gone: [], at: [], put: [] },
      scenarios: [],
    } as unknown as AssessmentChanges);
    expect(after).toMatchObject({ catalogueVersion: "1", counts: { holds: 1 }, supply: null });
    expect(after.checks).toEqual([check("y", 3), check("x", 1)]);
    expect(after.checks[1]).toBe(before.checks[0]);
  });
});

describe("a newer project", () => {
  const project = (altitudeM: number, checks: readonly Check[]) =>
    ({
      edit: altitudeM,
      specification: { site: { altitudeM }, lineups: [{ id: "l1" }] },
      assessment: { checks, drivePoints: [{ drivePointId: "a" }] },
    }) as unknown as Project;

  it("is the same object wherever it is equal, in whatever order its checks stand", () => {
    const before = project(1, [check("x", 1), check("y", 2)]);
    const newer = project(2, [check("y", 3), check("x", 1)]);
    const after = sharedProject(before, newer) as Project;
    expect(after).toEqual(newer);
    expect(after.assessment.checks[1]).toBe(before.assessment.checks[0]);
    expect(after.assessment.drivePoints).toBe(before.assessment.drivePoints);
    expect(after.specification.lineups).toBe(before.specification.lineups);
  });
});
