import { describe, expect, it } from "vitest";
import type { SignalAnswer, Specification } from "../../api/client";
import { channelText, movesOf, namedSignals, withFunction, withMoves, withoutWanted, withSettings } from "./signals";

const on = (signalId: string, name: string, byHand: boolean) => ({
  pointId: "p1",
  signalId,
  tag: "HS-1",
  name,
  terminal: "DI1",
  byHand,
});

const answer = {
  points: [
    {
      pointId: "p1",
      signals: [
        { id: "run", name: "run" },
        { id: "reset", name: "fault reset" },
      ],
    },
  ],
  cards: [
    {
      id: "do",
      used: 2,
      channels: [
        { number: 1, on: [on("run", "run", false)] },
        { number: 2, on: [on("reset", "fault reset", true)] },
      ],
    },
  ],
} as unknown as SignalAnswer;
const named = namedSignals(answer, () => "HS-1");

describe("the sheet of channels", () => {
  it("says tag and function", () => {
    expect(channelText(answer, "do", 1)).toBe("HS-1 run");
    expect(channelText(answer, "none", 1)).toBe("");
  });

  it("moves what is written to its new channel and gives back what is cleared", () => {
    expect(
      movesOf(answer, named, [
        { card: "do", number: 2, text: "hs-1 RUN " },
        { card: "do", number: 1, text: "" },
      ]),
    ).toEqual({ to: [{ pointId: "p1", signalId: "run", text: "HS-1 run", channel: "do/2" }], free: [] });
    expect(movesOf(answer, named, [{ card: "do", number: 2, text: "" }])).toMatchObject({
      free: [{ signalId: "reset" }],
    });
  });

  it("names what it can't read", () => {
    expect(movesOf(answer, named, [{ card: "do", number: 1, text: "HS-9 run" }])).toMatch(/no signal “HS-9 run”/);
  });

  it("writes the channels into the specification", () => {
    const before = {
      lineups: [
        {
          id: "l",
          drivePoints: [
            {
              id: "p1",
              signals: {
                wanted: [
                  { id: "run", far: "local-station" },
                  { id: "reset", channel: "do/2" },
                ],
              },
            },
            { id: "p2" },
          ],
        },
      ],
    } as unknown as Specification;
    const after = withMoves(before, {
      to: [{ pointId: "p1", signalId: "run", text: "", channel: "do/5" }],
      free: [{ pointId: "p1", signalId: "reset" }],
    });
    expect(after.lineups[0]?.drivePoints[0]?.signals?.wanted).toEqual([
      { id: "run", far: "controller", channel: "do/5" },
      { id: "reset", channel: "", far: undefined },
    ]);
    expect(after.lineups[0]?.drivePoints[1]).toEqual({ id: "p2" });
  });
});

describe("settings", () => {
  it("go to others, whose signals stay", () => {
    const after = withSettings(
      { wanted: [{ id: "run", function: "run", far: "controller" }] },
      { stopBy: "torque-off", presets: [] },
    );
    expect(after).toEqual({ stopBy: "torque-off", wanted: [{ id: "run", function: "run", far: "controller" }] });
  });
});

describe("wanted signals", () => {
  it("get keys of their own", () => {
    const twice = withFunction(withFunction({}, "jog", "controller"), "jog", "local-station");
    expect(twice.wanted?.map((w) => w.id)).toEqual(["jog", "jog-2"]);
    expect(withoutWanted(twice, "jog").wanted?.map((w) => w.far)).toEqual(["local-station"]);
  });
});
