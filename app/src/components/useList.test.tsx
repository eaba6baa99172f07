import { act, renderHook } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Outcome } from "./draft";
import { useList } from "./useList";

it("builds each change on the one before, though neither is saved yet", async () => {
  const sent: number[][] = [];
  const answers: ((outcome: Outcome) => void)[] = [];
  const { result, rerender } = renderHook(
    ({ list }: { list: number[] }) =>
      useList(list, (next) => {
        sent.push(next);
        return new Promise<Outcome>((resolve) => answers.push(resolve));
      }),
    { initialProps: { list: [1, 2] } },
  );
  const change = result.current;
  const first = change((l) => [10, l[1] ?? 0]);
  const second = change((l) => [l[0] ?? 0, 20]);
  expect(sent).toEqual([
    [10, 2],
    [10, 20],
  ]);

  // The first is saved and shown while the second is under way.
  rerender({ list: [10, 2] });
  const third = change((l) => [...l, 30]);
  expect(sent.at(-1)).toEqual([10, 20, 30]);
  await act(async () => {
    answers.forEach((answer) => answer(undefined));
    await Promise.all([first, second, third]);
  });
});

it("takes back what is refused", async () => {
  const sent: number[][] = [];
  const { result } = renderHook(() =>
    useList([1], (next) => {
      sent.push(next);
      return Promise.resolve(next[0] === 99 ? "99; allowed 0 to 10." : undefined);
    }),
  );
  await act(async () => {
    expect(await result.current(() => [99])).toBe("99; allowed 0 to 10.");
    await result.current((l) => [...l, 2]);
  });
  expect(sent).toEqual([[99], [1, 2]]);
});
