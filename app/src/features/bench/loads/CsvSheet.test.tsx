import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { CsvSheet } from "./CsvSheet";

afterEach(cleanup);

const columns = [
  { key: "time", name: "time, s" },
  { key: "torque", name: "torque, Nm" },
];

describe("reading a CSV", () => {
  it("previews, and takes nothing while a row can't be read", () => {
    render(<CsvSheet title="Profile" columns={columns} onTake={vi.fn()} onClose={vi.fn()} />);
    fireEvent.change(screen.getByLabelText("Rows"), { target: { value: "t;T\n0;5\n1;many" } });
    expect(screen.getByRole("alert").textContent).toContain("row 2: torque, Nm is “many”");
    expect(screen.getByRole("button", { name: "Take 2 rows" }).getAttribute("aria-disabled")).toBe("true");
  });

  it("hands over the rows by the columns that were chosen, and closes", async () => {
    const take = vi.fn(() => Promise.resolve(undefined));
    const close = vi.fn();
    render(<CsvSheet title="Profile" columns={columns} onTake={take} onClose={close} />);
    fireEvent.change(screen.getByLabelText("Rows"), { target: { value: "T;t\n5;0\n7,5;1" } });
    fireEvent.change(screen.getByLabelText("time, s"), { target: { value: "1" } });
    fireEvent.change(screen.getByLabelText("torque, Nm"), { target: { value: "0" } });
    fireEvent.click(screen.getByRole("button", { name: "Take 2 rows" }));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(take).toHaveBeenCalledWith([
      { time: 0, torque: 5 },
      { time: 1, torque: 7.5 },
    ]);
  });

  it("stays open and says why when the server refuses", async () => {
    const close = vi.fn();
    render(
      <CsvSheet
        title="Profile"
        columns={columns}
        onTake={() => Promise.resolve("Time is 0 s; allowed: above 1 s: time must not go back.")}
        onClose={close}
      />,
    );
    fireEvent.change(screen.getByLabelText("Rows"), { target: { value: "1;5\n0;5" } });
    fireEvent.click(screen.getByRole("button", { name: "Take 2 rows" }));
    await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("time must not go back"));
    expect(close).not.toHaveBeenCalled();
  });
});
