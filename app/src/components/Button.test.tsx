// @vitest-environment jsdom
import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { Button } from "./Button";

it("does its work while nothing stands against it", () => {
  const work = vi.fn();
  render(
    <Button why="" onClick={work}>
      Join
    </Button>,
  );
  fireEvent.click(screen.getByRole("button"));
  expect(work).toHaveBeenCalledOnce();
  expect(screen.queryByRole("status")).toBeNull();
});

it("says why it can't, and does nothing", () => {
  const work = vi.fn();
  render(
    <Button why="They stand in different lineups." onClick={work}>
      Size
    </Button>,
  );
  const button = screen.getByRole("button", { name: "Size" });
  expect(button.getAttribute("aria-disabled")).toBe("true");
  expect(button.getAttribute("title")).toBe("They stand in different lineups.");
  fireEvent.click(button);
  expect(work).not.toHaveBeenCalled();
  expect(screen.getByRole("status").textContent).toBe("They stand in different lineups.");
  fireEvent.blur(button);
  expect(screen.queryByRole("status")).toBeNull();
});
