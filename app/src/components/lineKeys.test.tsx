import { fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { lineKeys } from "./lineKeys";

describe("a column of buttons", () => {
  it("is walked by arrows, Home and End, and not left by them", () => {
    render(
      <nav onKeyDown={lineKeys}>
        {["a", "b", "c"].map((name) => (
          <button key={name} data-line tabIndex={name === "b" ? 0 : -1}>
            {name}
          </button>
        ))}
        <input aria-label="beside" />
      </nav>,
    );
    const press = (key: string) => fireEvent.keyDown(document.activeElement ?? document.body, { key });
    screen.getByText("b").focus();
    for (const [key, at] of [
      ["ArrowDown", "c"],
      ["ArrowDown", "c"],
      ["Home", "a"],
      ["ArrowUp", "a"],
      ["End", "c"],
      ["ArrowUp", "b"],
    ] as const) {
      press(key);
      expect(document.activeElement?.textContent).toBe(at);
    }
    const beside = screen.getByLabelText("beside");
    beside.focus();
    press("ArrowDown");
    expect(document.activeElement).toBe(beside);
  });
});
