import { act, renderHook } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { useDraft, type Outcome } from "./draft";

const enter = { key: "Enter" } as never;

const settle = (work: () => void) =>
  act(async () => {
    work();
    await Promise.resolve();
  });

describe("text being typed", () => {
  it("that is typed on while its start is being saved is not taken away", async () => {
    let answer: (outcome: Outcome) => void = () => undefined;
    const saved: string[] = [];
    const draft = renderHook(() =>
      useDraft("5", (text) => {
        saved.push(text);
        return new Promise<Outcome>((resolve) => (answer = resolve));
      }),
    );
    const input = () => draft.result.current.input;
    act(() => input().onChange({ target: { value: "12" } }));
    act(() => input().onKeyDown(enter));
    act(() => input().onChange({ target: { value: "125" } }));
    await settle(() => answer(undefined));
    expect(input().value).toBe("125");

    // It is committed in its turn, and only then what is saved is shown again.
    act(() => input().onKeyDown(enter));
    await settle(() => answer(undefined));
    expect(saved).toEqual(["12", "125"]);
    expect(input().value).toBe("5");
  });

  it("that is refused stays, with the reason", async () => {
    const draft = renderHook(() => useDraft("5", () => Promise.resolve("at most 10")));
    act(() => draft.result.current.input.onChange({ target: { value: "12" } }));
    await settle(() => draft.result.current.input.onKeyDown(enter));
    expect(draft.result.current.input.value).toBe("12");
    expect(draft.result.current.problem).toBe("at most 10");
  });
});
