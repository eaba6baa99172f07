import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { AssumedContext, byField, fieldAt } from "./assumed";
import { Entry } from "./Entries";
import { fields } from "./table";

vi.mock("./useUnits", async (load) => {
  const all = await load<typeof import("./useUnits")>();
  return { ...all, useUnits: () => all.unitsOf("si") };
});

const taken = {
  key: "fan.efficiency",
  name: "efficiency",
  value: 0.75,
  unit: "",
  entry: "FluidMachine.ratedEfficiency",
};

afterEach(cleanup);

describe("assumed values", () => {
  it("are found by record and property, unknown ones nowhere", () => {
    expect(fieldAt("FluidMachine.ratedEfficiency")).toBe(fields.FluidMachine.ratedEfficiency);
    expect(fieldAt("LoadConveyorLoad.frictionFactor")).toBe(fields.LoadConveyorLoad.frictionFactor);
    expect(fieldAt("Nothing.here")).toBeUndefined();
    expect(byField([taken, { ...taken, entry: "Nothing.here" }]).size).toBe(1);
  });

  it("bear a mark until another value stands there, and are confirmed beside it", () => {
    const confirm = vi.fn();
    const form = (value: number) => (
      <AssumedContext value={{ of: byField([taken]), confirm }}>
        <Entry field={fields.FluidMachine.ratedEfficiency} value={value} onCommit={() => Promise.resolve(undefined)} />
        <Entry field={fields.FluidMachine.startTimeS} value={value} onCommit={() => Promise.resolve(undefined)} />
      </AssumedContext>
    );
    const shown = render(form(0.75));
    expect(screen.getAllByText("assumed")).toHaveLength(1);
    fireEvent.click(screen.getByRole("button", { name: `Confirm ${fields.FluidMachine.ratedEfficiency.name}` }));
    expect(confirm).toHaveBeenCalledWith("fan.efficiency");
    shown.rerender(form(0.8));
    expect(screen.queryByText("assumed")).toBeNull();
  });
});
