import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { JobStep } from "@/core/apply/job";
import { fakeActions, fieldOf, fieldStoreOf, NOW_MS, renderWith } from "@/testing/views";
import type { JobsView, JobView } from "@/services/field";
import { FieldScreen } from "../FieldScreen";
import { JobsScreen } from "./JobsScreen";
import { startOf } from "./startOf";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const castings: JobStep = { key: "a", does: "lay", what: "castings", depthCm: null, plotIds: [1], litresPerM2: 4 };
const brew: JobStep = {
  key: "b",
  does: "put-on",
  storeId: 7,
  use: "drench-growing",
  ratio: "1:250",
  priority: 1,
  plotIds: [1, 2],
  litresPerM2: 3,
};
const share = {
  key: "1 b",
  wantedL: 0.215,
  givenL: 0.1,
  plots: [
    { plotId: 1, concentrateL: 0.1, mixL: 25 },
    { plotId: 2, concentrateL: 0, mixL: 0 },
  ],
  without: [{ plotId: 2, reason: { code: "not-enough-left" as const, leastL: 0.05, leftL: 0.01 } }],
};
const jobOf = (change: Partial<JobView> = {}): JobView => ({
  id: 1,
  name: "Spring beds",
  forDay: "2031-03-18",
  faults: [],
  steps: [
    { step: castings, share: null, done: null },
    { step: brew, share, done: null },
  ],
  ...change,
});
const viewOf = (jobs: readonly JobView[] = [jobOf()]): JobsView => ({
  field: fieldOf({ stores: [fieldStoreOf({ id: 7 })] }),
  today: "2031-03-20",
  jobs,
});
const step = (nth: number) => screen.getAllByRole("listitem")[nth]!;

describe("jobs", () => {
  it("tell each step with what it gets, who goes without, and the way to do it", async () => {
    const actions = fakeActions();
    renderWith(actions, <JobsScreen view={viewOf()} />);
    expect(step(0)).toHaveTextContent("Worm castings on top");
    expect(step(0)).toHaveTextContent("4 L per m², 36 L in all");
    expect(step(1)).toHaveTextContent("100 mL of the 215 mL of concentrate that it wants");
    expect(step(1)).toHaveTextContent("Bed 2 goes without");
    expect(within(step(1)).getByRole("link", { name: "Put it on" })).toHaveAttribute("href", "/field?job=1&step=b");
    fireEvent.click(within(step(0)).getByRole("button", { name: "Done" }));
    await waitFor(() => expect(actions.doJobStep.mock.calls[0]?.[0]).toMatchObject({ jobId: 1, stepKey: "a" }));
  });
  it("fold away what is done, with a way back", async () => {
    const done = { id: 9, jobId: 1, stepKey: "a", applicationId: null, note: "", actorName: "Ben", atMs: NOW_MS };
    const actions = fakeActions();
    renderWith(actions, <JobsScreen view={viewOf([jobOf({ steps: [{ step: castings, share: null, done }] })])} />);
    fireEvent.click(screen.getByText("Done: 1"));
    fireEvent.click(screen.getByRole("button", { name: "Not done" }));
    await waitFor(() => expect(actions.takeBackJobStep).toHaveBeenCalled());
  });
  it("are typed in, put into the order of their layers, and sent as they stand", async () => {
    const actions = fakeActions();
    renderWith(actions, <JobsScreen view={viewOf([])} />);
    const editor = within(screen.getByRole("region", { name: "A new job" }));
    fireEvent.change(editor.getByLabelText("Name"), { target: { value: "Over castings" } });
    fireEvent.click(editor.getByRole("checkbox", { name: /Bed 2/ }));
    fireEvent.click(editor.getByRole("button", { name: "And lay something on" }));
    expect(editor.getAllByRole("checkbox", { name: /Bed 2/ })[1]).toBeChecked();
    fireEvent.click(editor.getByRole("button", { name: "Put the layers in order" }));
    expect(editor.getAllByRole("heading", { level: 2 }).map(({ textContent }) => textContent)).toEqual([
      "1. lay something on",
      "2. put a liquid on",
    ]);
    fireEvent.click(editor.getByRole("button", { name: "Save job" }));
    await waitFor(() =>
      expect(actions.setJob.mock.calls[0]?.[0]).toMatchObject({
        jobId: null,
        name: "Over castings",
        forDay: "2031-03-20",
        steps: [
          { does: "lay", what: "castings", depthCm: null, plotIds: [2], litresPerM2: 4 },
          { does: "put-on", storeId: 7, use: "drench-growing", ratio: "1:250", litresPerM2: 2, plotIds: [2] },
        ],
      }),
    );
  });
  it("say what is wrong with the order, and are put away", async () => {
    const actions = fakeActions();
    const faults = [{ code: "covered-too-soon" as const, stepKey: "b", beforeKey: "a" }];
    renderWith(actions, <JobsScreen view={viewOf([jobOf({ faults })])} />);
    expect(screen.getByText(/comes after “Worm castings on top”/)).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Change Spring beds" }));
    fireEvent.click(screen.getByRole("button", { name: "Put job away" }));
    await waitFor(() => expect(actions.setJob.mock.calls[0]?.[0]).toMatchObject({ jobId: 1, putAway: true }));
  });
});

describe("a step put on in the field", () => {
  it("begins with its beds, strength and rate, takes no more than the job leaves it, and says which step it is", async () => {
    const actions = fakeActions();
    const view = viewOf();
    renderWith(actions, <FieldScreen view={view.field} start={startOf(view, 1, "b")} />);
    expect(screen.getByText(/A step of/)).toBeVisible();
    expect(screen.getByLabelText("Mix (L per m²)")).toHaveValue("3");
    expect(screen.getByRole("region", { name: "Who drinks" })).toHaveTextContent("100 mL for this step");
    fireEvent.change(screen.getByLabelText(/^Water for dilution/), { target: { value: "source-1" } });
    fireEvent.click(screen.getByRole("button", { name: /^Log application|^It is on/ }));
    await waitFor(() =>
      expect(actions.applyStore.mock.calls[0]?.[0]).toMatchObject({
        storeId: 7,
        ratio: "1:250",
        jobStep: { jobId: 1, stepKey: "b" },
      }),
    );
  });
  it("begins with nothing where the step is done or there is none", () => {
    expect(startOf(viewOf(), 1, "z")).toEqual({ storeId: null, step: null });
    expect(startOf(viewOf(), 1, "a")).toEqual({ storeId: null, step: null });
  });
});
