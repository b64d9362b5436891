import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { findRecipe } from "@/core/book";
import { mixProgress, type MixEntry } from "@/core/mixing/progress";
import { mixingSteps } from "@/core/mixing/steps";
import { scaleRecipe } from "@/core/recipe/scale";
import type { MixingView } from "@/services/mixing/readMixing";
import { FARM, fakeActions, NOW_MS, refused, renderWith, WATERS } from "@/testing/views";
import { sayClock } from "../kit/Countdown";
import { MixScreen } from "./MixScreen";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }));

const recipe = findRecipe("aerated-tea");
const steps = mixingSteps(
  recipe,
  scaleRecipe({ recipe, vesselL: 120 }).lines.map(({ ingredient, part, unit, amount, role }) => ({
    ingredient,
    slot: ingredient,
    part,
    unit,
    amount,
    role,
  })),
  100,
);
const entry = (stepKey: string, minAgo: number, change: Partial<MixEntry> = {}): MixEntry => ({
  stepKey,
  kind: "done",
  atMs: NOW_MS - minAgo * 60_000,
  actorName: "Ana",
  amount: steps.find(({ key }) => key === stepKey)?.amount?.planned ?? null,
  answer: null,
  ...change,
});
const upTo = (key: string, minAgo = 60) =>
  steps
    .slice(
      0,
      steps.findIndex((step) => step.key === key),
    )
    .map((step) => entry(step.key, minAgo));

function open(entries: readonly MixEntry[], actions = fakeActions(), change: Partial<MixingView> = {}) {
  const view: MixingView = {
    farm: FARM,
    nowMs: NOW_MS,
    id: 7,
    vesselName: "Tote",
    recipeName: recipe.name,
    family: recipe.family,
    startedMs: NOW_MS - 3_600_000,
    startedBy: "Ana",
    progress: mixProgress(steps, entries, NOW_MS),
    measures: [],
    gaps: [{ kind: "stone", weight: "small", say: "1 of 2 stones." }],
    cautions: ["electricity-at-water"],
    lines: [],
    waters: WATERS,
    freeVessels: [],
    statedC: 21,
    end: null,
    ...change,
  };
  renderWith(actions, <MixScreen view={view} />);
  return actions;
}
const button = (name: string | RegExp) => screen.getByRole("button", { name });

describe("mixing in the yard", () => {
  it("shows one step, what lacks, the cautions, and where it stands", () => {
    open([]);
    expect(screen.getByRole("heading", { name: "Place" })).toBeVisible();
    expect(screen.getByText("1 of 2 stones.")).toBeVisible();
    expect(screen.getByText(/safety switch/)).toBeVisible();
    expect(screen.getByRole("img", { name: `0 of ${steps.length} steps done` })).toBeInTheDocument();
  });
  it("is not done before every check is ticked", async () => {
    const actions = open([]);
    expect(button("Done")).toBeDisabled();
    const checks = within(screen.getByRole("region", { name: "Place" })).getAllByRole("checkbox");
    checks.forEach((check) => fireEvent.click(check));
    fireEvent.click(checks[0]!);
    expect(button("Done")).toBeDisabled();
    fireEvent.click(checks[0]!);
    fireEvent.click(button("Done"));
    await waitFor(() =>
      expect(actions.tickMixing.mock.calls[0]?.[0]).toMatchObject({
        mixingId: 7,
        stepKey: "site",
        kind: "done",
        amount: null,
      }),
    );
    expect((actions.tickMixing.mock.calls[0] as [{ checks: string[] }])[0].checks).toHaveLength(checks.length);
  });
  it("takes the real amount, says how far it is off, and refuses none", async () => {
    const actions = open(upTo("add-mix-molasses"));
    const amount = screen.getByLabelText("What really went in (L)");
    fireEvent.change(amount, { target: { value: "a splash" } });
    expect(button("Mark as added")).toBeDisabled();
    fireEvent.change(amount, { target: { value: "200 mL" } });
    expect(screen.getByText(/\+\d\d % beside the recipe/)).toBeVisible();
    fireEvent.click(button("Mark as added"));
    await waitFor(() =>
      expect(actions.tickMixing.mock.calls[0]?.[0]).toMatchObject({ stepKey: "add-mix-molasses", amount: 0.2 }),
    );
  });
  it("holds at an answer that does not fit, and says what to do", () => {
    open(upTo("bubbles"));
    fireEvent.click(screen.getByRole("radio", { name: "violent" }));
    expect(screen.getByRole("status")).toHaveTextContent("Turn it down");
    expect(button("Done")).toBeDisabled();
    fireEvent.click(screen.getByRole("radio", { name: "mild" }));
    expect(button("Done")).toBeEnabled();
  });
  it("runs the clock from the tick, whoever looks, and lets who must go on", () => {
    open([...upTo("add-mix-molasses"), entry("add-mix-molasses", 5)]);
    expect(screen.getByRole("timer")).toHaveTextContent("10:00");
    expect(screen.getByText("It is mixing")).toBeVisible();
    fireEvent.click(button("Skip the wait"));
    expect(screen.getByRole("heading", { name: "Worm castings" })).toBeVisible();
  });
  it("takes the last tick back", async () => {
    const actions = open([entry("site", 9)]);
    fireEvent.click(button("Undo: place"));
    await waitFor(() =>
      expect(actions.tickMixing.mock.calls[0]?.[0]).toMatchObject({ stepKey: "site", kind: "undone" }),
    );
  });
  it("shows what was done by whom, and when time nought was", () => {
    open([...upTo("add-mix-castings"), entry("add-mix-castings", 30, { actorName: "Ben", amount: 5 })]);
    const log = screen.getByRole("region", { name: "Done so far" });
    expect(log).toHaveTextContent(/11:30 Worm castings, Ben5 kg of [34]\.?\d* kg \(\+\d+ %\)/);
    expect(log).toHaveTextContent("Start: 11:30");
  });
  it("starts the clock once all is in, and keeps what was typed where the shed is short", async () => {
    const actions = open(
      steps.map((step, index) => entry(step.key, 60 - index)),
      fakeActions({
        finishMixing: refused("The shed holds 1 kg of worm castings.", {
          "/lines/2/used": "The shed holds 1 kg of worm castings.",
        }),
      }),
    );
    fireEvent.change(screen.getByLabelText("Work time (min)"), { target: { value: "77" } });
    fireEvent.click(button("Start batch"));
    expect((await screen.findAllByText("The shed holds 1 kg of worm castings.")).length).toBeGreaterThan(0);
    expect(screen.getByLabelText("Work time (min)")).toHaveValue("77");
    expect(actions.finishMixing.mock.calls[0]?.[0]).toMatchObject({ mixingId: 7, labourMin: 77, statedC: 21 });
    expect(push).not.toHaveBeenCalled();
  });
  it("marks a temperature that is none, and does not drop it", async () => {
    const actions = open(steps.map((step, index) => entry(step.key, 60 - index)));
    fireEvent.change(screen.getByLabelText("Liquid stands at (°C)"), { target: { value: "warm" } });
    fireEvent.click(button("Start batch"));
    expect((await screen.findAllByText("This must be a number.")).length).toBeGreaterThan(0);
    expect(actions.finishMixing).not.toHaveBeenCalled();
    expect(screen.getByLabelText("Liquid stands at (°C)")).toHaveValue("warm");
  });
  it("is given up only on a second word", async () => {
    const actions = open([]);
    fireEvent.click(button("Cancel"));
    expect(actions.dropMixing).not.toHaveBeenCalled();
    fireEvent.click(button("Cancel filling"));
    await waitFor(() => expect(actions.dropMixing).toHaveBeenCalled());
  });
  it("says so where it has ended meanwhile", () => {
    open([], fakeActions(), { end: { batchId: 12 } });
    expect(screen.getByRole("link", { name: "To the batch" })).toHaveAttribute("href", "/batches/12");
  });
});

describe("a clock's face", () => {
  it.each([
    [0, "00:00"],
    [61_000, "01:01"],
    [3_661_000, "1 h 01:01"],
    [-5, "00:00"],
  ])("%s ms: %s", (left, face) => expect(sayClock(left)).toBe(face));
});
