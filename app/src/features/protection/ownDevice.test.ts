import { describe, expect, it } from "vitest";
import { guessMapping } from "../../lib/columns";
import { readCsv } from "../../lib/csv";
import { deviceFields, deviceNameHeads, readDevices, type SharedDevice } from "./ownDevice";

const shared = (kind: SharedDevice["kind"]): SharedDevice => ({
  kind,
  trip: "class20",
  catalogue: "House list",
  version: "2026",
});

describe("devices from a list", () => {
  it("reads breakers and names what a row lacks", () => {
    const table = readCsv(
      "Type;Rated current A;Voltage;Setting from A;Magnetic;Icu kA;I2t\nB-160;160;440;64;10;50;\nB-250;250;440;;;50;",
    );
    const mapping = guessMapping(deviceFields, table.heads, deviceNameHeads);
    const rows = readDevices(table.rows, mapping, shared("circuit-breaker"), new Set(["own-device-1"]));
    expect(rows[0]).toMatchObject({
      ok: true,
      value: {
        id: "own-device-2",
        name: "B-160",
        ratedA: 160,
        voltageV: 440,
        settingFromA: 64,
        magneticPu: 10,
        breakingKa: 50,
        energyA2s: null,
      },
    });
    expect(rows[1]).toEqual({ ok: false, problem: "row 2: Short-circuit release is missing" });
  });

  it("tells the four currents of a fuse apart", () => {
    const table = readCsv(
      "Name;In;U;Breaking kA;carries 10 s;clears 5 s;carries 0.1 s;clears 0.1 s\nF-63;63;690;80;165;310;460;800",
    );
    const mapping = guessMapping(deviceFields, table.heads, deviceNameHeads);
    expect(readDevices(table.rows, mapping, shared("fuse"), new Set())[0]).toMatchObject({
      ok: true,
      value: { lasts10SA: 165, clears5SA: 310, lasts01SA: 460, clears01SA: 800, ratedA: 63, breakingKa: 80 },
    });
  });

  it("asks nothing but current and voltage of a contactor", () => {
    const table = readCsv("Name;AC-3 A;AC-1 A;Volt\nK-65;65;100;690");
    const mapping = guessMapping(deviceFields, table.heads, deviceNameHeads);
    expect(readDevices(table.rows, mapping, shared("contactor"), new Set())[0]).toMatchObject({
      ok: true,
      value: { ratedA: 65, ac1A: 100, voltageV: 690, breakingKa: null },
    });
  });
});
