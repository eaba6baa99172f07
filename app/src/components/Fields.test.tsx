import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { quantityIn } from "../fields/units";
import type { Outcome } from "./draft";
import { QuantityField } from "./Fields";

afterEach(cleanup);

const field = (commit: (value: number | null) => Promise<Outcome>, optional = false) => {
  render(
    <QuantityField label="Flow" quantity={quantityIn("si", "m³/s")} value={41} optional={optional} onCommit={commit} />,
  );
  return screen.getByLabelText<HTMLInputElement>("Flow");
};

describe("a quantity entry", () => {
  it("commits by Enter in the kept unit", async () => {
    const commit = vi.fn(() => Promise.resolve(undefined));
    const input = field(commit);
    fireEvent.change(input, { target: { value: "7200 m3/h" } });
    fireEvent.keyDown(input, { key: "Enter" });
    await waitFor(() => expect(commit).toHaveBeenCalledWith(2));
  });

  it("keeps a refused entry and says why", async () => {
    const input = field(() => Promise.resolve("Rated flow is -1; allowed: above 0."));
    fireEvent.change(input, { target: { value: "-1" } });
    fireEvent.blur(input);
    expect((await screen.findByRole("alert")).textContent).toContain("allowed");
    expect(input.value).toBe("-1");
    expect(input.getAttribute("aria-invalid")).toBe("true");
  });

  it("takes typing back by Escape", () => {
    const input = field(() => Promise.resolve(undefined));
    fireEvent.change(input, { target: { value: "99" } });
    fireEvent.keyDown(input, { key: "Escape" });
    expect(input.value).toBe("41");
  });

  it("may be emptied only where a value may be unknown", async () => {
    const commit = vi.fn(() => Promise.resolve(undefined));
    const needed = field(commit);
    fireEvent.change(needed, { target: { value: "" } });
    fireEvent.blur(needed);
    expect((await screen.findByRole("alert")).textContent).toBe("A value is needed here.");
    cleanup();
    const open = field(commit, true);
    fireEvent.change(open, { target: { value: "" } });
    fireEvent.blur(open);
    await waitFor(() => expect(commit).toHaveBeenCalledWith(null));
  });
});
