import { expect, it } from "vitest";
import { once } from "./once";

it("works out once for each object, also what is nothing", () => {
  let made = 0;
  const of = once((key: { readonly n: number }) => {
    made++;
    return key.n > 1 ? key.n : undefined;
  });
  const [one, two] = [{ n: 1 }, { n: 2 }];
  expect([of(one), of(one), of(two), of(two), of({ n: 2 })]).toEqual([undefined, undefined, 2, 2, 2]);
  expect(made).toBe(3);
});
