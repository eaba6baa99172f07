import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Session } from "../../api/client";
import { signedOut } from "../../project/window";
import { Door } from "./Door";

const of = (name: string | null): Session => ({ hasAccounts: true, name, role: name === null ? null : "engineer" });

/** Answers wait until a test gives them, so that their order is the test's. */
const server = vi.hoisted(() => ({ asked: [] as ((answer: { data?: unknown; error?: unknown }) => void)[] }));
const wait = vi.hoisted(() => () => new Promise((give) => server.asked.push(give)));
vi.mock("../../api/client", () => ({ api: { GET: wait, POST: wait } }));

const give = (session: Session) =>
  act(() => {
    server.asked.shift()?.({ data: session });
    return Promise.resolve();
  });
const asked = (count: number) => waitFor(() => expect(server.asked).toHaveLength(count));
const refuse = () =>
  act(() => {
    window.dispatchEvent(new Event(signedOut));
    return Promise.resolve();
  });

/** Whose plants are seen; asked again for whoever comes next. */
let owner = "Chief";
function Plants() {
  const { data } = useQuery({ queryKey: ["plants"], queryFn: () => Promise.resolve(owner), staleTime: Infinity });
  return <p>{data ? `Plants of ${data}` : "none"}</p>;
}

function typePassword(name?: string) {
  if (name) {
    fireEvent.change(screen.getByLabelText("Name"), { target: { value: name } });
  }
  fireEvent.change(screen.getByLabelText("Password"), { target: { value: "seven grey herons" } });
  fireEvent.submit(screen.getByRole("form", { name: "Sign in" }));
}

describe("the door", () => {
  beforeEach(async () => {
    owner = "Chief";
    render(
      <QueryClientProvider client={new QueryClient()}>
        <Door>
          <Plants />
        </Door>
      </QueryClientProvider>,
    );
    await asked(1);
    await give(of("Chief"));
    await screen.findByText("Plants of Chief");
    await refuse();
    await asked(1);
    await give(of(null));
    await screen.findByRole("dialog", { name: "Signed out" });
  });
  afterEach(() => {
    cleanup();
    server.asked.length = 0;
  });

  it("stays open though an older answer, under way while one signed in, says that nobody is", async () => {
    await refuse();
    await asked(1);
    const late = server.asked.shift();
    typePassword();
    await asked(1);
    await give(of("Chief"));
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    late?.({ data: of(null) });
    await act(() => new Promise((done) => setTimeout(done, 20)));
    expect(screen.queryByRole("dialog")).toBeNull();
    expect(screen.getByText("Plants of Chief")).toBeDefined();
  });

  it("shows somebody else nothing of what the one before had open", async () => {
    owner = "Guest";
    typePassword("Guest");
    await asked(1);
    await give(of("Guest"));
    await screen.findByText("Plants of Guest");
    expect(screen.queryByRole("dialog")).toBeNull();
    expect(screen.queryByText("Plants of Chief")).toBeNull();
  });
});
