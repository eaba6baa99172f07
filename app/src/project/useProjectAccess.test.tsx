import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import { act, cleanup, render, screen, waitFor } from "@testing-library/react";
import { useEffect } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Project, Specification, SpecificationChange } from "../api/client";
import type { ProjectAccess } from "./ProjectContext";
import { projectKey } from "./projectKey";
import { sharedProject } from "./sharedProject";
import { useProjectAccess } from "./useProjectAccess";

const project = (edit: number, altitudeM: number, undoLabel: string | null = null): Project =>
  ({
    id: "p",
    edit,
    label: "",
    undoLabel,
    redoLabel: null,
    specification: { site: { altitudeM } },
    assessment: { checks: [], edit },
  }) as unknown as Project;

interface Answer {
  readonly data?: Project;
  readonly error?: unknown;
  readonly response: { readonly status: number };
}
interface Call {
  readonly path: string;
  readonly body: { readonly basedOn: number; readonly changes?: readonly SpecificationChange[] };
}

const server = vi.hoisted(() => ({ answers: [] as unknown[], calls: [] as unknown[] }));
vi.mock("../api/client", () => ({
  api: {
    POST: (path: string, { body }: { body: unknown }) => {
      server.calls.push({ path, body });
      const answer = server.answers.shift();
      return answer ? Promise.resolve(answer) : Promise.reject(new TypeError("no connection"));
    },
  },
}));
const sent = server.calls as Call[];
const answer = (...list: Answer[]) => server.answers.push(...list);
const saved = (data: Project): Answer => ({ data, response: { status: 200 } });
const refused = (status: number, error: unknown): Answer => ({ error, response: { status } });

let client: QueryClient;
const holder: { access?: ProjectAccess } = {};

function Probe() {
  const { data } = useQuery({
    queryKey: projectKey("p"),
    queryFn: () => project(1, 640),
    initialData: project(1, 640),
    structuralSharing: sharedProject,
  });
  const { access, saving } = useProjectAccess(data);
  useEffect(() => {
    holder.access = access;
  });
  return <p>{`${access.project.edit} ${saving ? "saving" : "saved"} ${access.notice ?? ""}`}</p>;
}

const altitude = (value: number) => (s: Specification) => ({ ...s, site: { ...s.site, altitudeM: value } });
const now = () => {
  if (!holder.access) {
    throw new Error("The probe is not there.");
  }
  return holder.access;
};

beforeEach(() => {
  server.answers.length = 0;
  sent.length = 0;
  client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  render(
    <QueryClientProvider client={client}>
      <Probe />
    </QueryClientProvider>,
  );
});
afterEach(cleanup);

describe("saving edits", () => {
  it("saves one after the other, each on the edit before it", async () => {
    answer(saved(project(2, 700, "a")), saved(project(3, 800, "b")));
    await act(() => Promise.all([now().edit("a", altitude(700)), now().edit("b", altitude(800))]));
    expect(sent.map((s) => s.body.basedOn)).toEqual([1, 2]);
    await screen.findByText(/^3 saved/);
    answer(saved(project(4, 900, "c")));
    await act(() => now().edit("c", altitude(900)));
    await screen.findByText(/^4 saved/);
    expect(now().before).toMatchObject({ edit: 3 });
  });

  it("sends only what differs and keeps what it sent where the server filled nothing in", async () => {
    answer(saved({ ...project(2, 0), specification: null } as unknown as Project));
    await act(() => now().edit("a", altitude(700)));
    expect(sent[0]).toMatchObject({
      path: "/api/projects/{id}/changes",
      body: { basedOn: 1, changes: [{ op: "replace", path: "/site/altitudeM", value: 700 }] },
    });
    await waitFor(() => expect(now().project.specification.site.altitudeM).toBe(700));
  });

  it("sends nothing when nothing changes", async () => {
    await act(() => now().edit("same", (s) => s));
    expect(sent).toEqual([]);
  });

  it("returns the server's reason and keeps the edit in force", async () => {
    answer(refused(400, { errors: [{ message: "Altitude is -5000; allowed: -400 to 5000 m." }] }));
    const outcome = await act(() => now().edit("bad", altitude(-5000)));
    expect(outcome).toContain("-400 to 5000");
    expect(now().project.edit).toBe(1);
  });

  it("says that nothing was saved when the server is gone", async () => {
    expect(await act(() => now().edit("lost", altitude(1)))).toContain("nothing was saved");
  });

  it("keeps a stale edit and saves its merged version on the newer one", async () => {
    answer(refused(409, { base: project(1, 640).specification, current: project(2, 900) }), saved(project(3, 700)));
    await act(() => now().edit("mine", altitude(700)));
    await waitFor(() => expect(now().conflict?.label).toBe("mine"));
    await act(() => now().settle(now().conflict?.mine));
    expect(sent[1]?.body.basedOn).toBe(2);
    await waitFor(() => expect(now().project.edit).toBe(3));
    expect(now().conflict).toBeUndefined();
  });

  it("says that an undo got no answer", async () => {
    answer(saved(project(2, 700, "a")));
    await act(() => now().edit("a", altitude(700)));
    act(() => now().undo());
    await screen.findByText(/does not answer; whether it could undo/);
    expect(now().project.edit).toBe(2);
  });

  it("joins what an undo changes to what it left as it was", async () => {
    const kept = { id: "kept" };
    answer(
      saved({
        ...project(2, 700, "a"),
        stamp: "two",
        assessment: { checks: [{ id: "old" }, kept], drivePoints: [] },
      } as never),
      saved({
        ...project(3, 640),
        assessment: null,
        changed: {
          checks: { gone: [0], at: [1], put: [{ id: "new" }] },
          drivePoints: { gone: [], at: [], put: [] },
          supply: null,
        },
      } as never),
    );
    await act(() => now().edit("a", altitude(700)));
    await screen.findByText(/^2 saved/);
    const before = now().project.assessment.checks[1];
    act(() => now().undo());
    await screen.findByText(/^3 saved/);
    expect(sent[1]?.body).toMatchObject({ basedOn: 2, knows: "two" });
    expect(now().project.specification.site.altitudeM).toBe(640);
    expect(now().project.assessment.checks).toEqual([kept, { id: "new" }]);
    expect(now().project.assessment.checks[0]).toBe(before);
  });

  it("undoes on the edit in force, and says so when there is nothing", async () => {
    act(() => now().undo());
    await screen.findByText(/nothing to undo/);
    answer(saved(project(2, 700, "a")), saved(project(3, 640)));
    await act(() => now().edit("a", altitude(700)));
    act(() => now().undo());
    await screen.findByText(/^3 saved/);
    expect(sent[1]?.path).toContain("/undo");
  });

  it("has commands carried out on the edit in force and gives the keys of what they made", async () => {
    const done = {
      data: { createdIds: ["dp-09"], notes: [], saved: project(2, 640, "Add DP-09") },
      response: { status: 200 },
    };
    server.answers.push(done);
    expect(await act(() => now().run({ kind: "add-drive-point", lineupId: "l1", afterId: "" }))).toEqual(["dp-09"]);
    expect(sent[0]).toMatchObject({ path: "/api/projects/{id}/commands", body: { basedOn: 1 } });
    await screen.findByText(/^2 saved/);
  });

  it("shows why a command is refused, takes a newer version, and says when there is no answer", async () => {
    answer(refused(400, { errors: [{ message: "They stand in different lineups." }] }));
    expect(await act(() => now().run({ kind: "join-shaft", pointIds: ["a", "b"] }))).toEqual([]);
    await screen.findByText(/^1 saved They stand in different lineups/);
    answer(refused(409, { current: project(5, 900) }));
    await act(() => now().run({ kind: "join-shaft", pointIds: ["a", "b"] }));
    await screen.findByText(/^5 saved Another window had saved/);
    await act(() => now().run({ kind: "join-shaft", pointIds: ["a", "b"] }));
    await screen.findByText(/nothing was changed/);
  });
});
