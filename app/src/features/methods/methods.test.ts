import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { allMethods, methodOf, readIndex, textOf } from "./methods";

const folder = new URL("../../../../docs/methods/", import.meta.url);

describe("pages on methods", () => {
  it("are all in the index, and each can be read", async () => {
    const files = readdirSync(folder).filter((f) => f !== "README.md");
    expect(allMethods.map((m) => `${m.key}.md`).sort()).toEqual(files.sort());
    for (const { key } of allMethods) {
      expect(await textOf(key)).toBe(readFileSync(new URL(`${key}.md`, folder), "utf8"));
    }
  });

  it("are found from checks and figures", () => {
    expect(methodOf("converter.overload")).toEqual({ key: "overload", name: "I²t with recovery" });
    expect(methodOf("thdi")?.key).toBe("front-ends");
    expect(methodOf("nothing.of-it")).toBeUndefined();
  });

  it("are read from a table", () => {
    const text =
      "| page | study | code | figure |\n|---|---|---|---|\n| [a](a.md) | one | `x.cs` | One (`a.b`, `a.c`) |";
    const { methods, ofCheck } = readIndex(text);
    expect(methods).toEqual([{ key: "a", name: "one" }]);
    expect([...ofCheck]).toEqual([
      ["a.b", "a"],
      ["a.c", "a"],
    ]);
  });
});
