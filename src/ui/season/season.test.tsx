import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { planSeason } from "@/core/plan/planSeason";
import { verifyPlan } from "@/core/plan/verify";
import { fakeActions, renderWith } from "@/testing/views";
import { seasonNamed } from "@/testing/season/vectors";
import type { SeasonView } from "@/services/season";
import { SeasonScreen } from "./SeasonScreen";
import { plateModel } from "./plateModel";

const SEASON = seasonNamed("three-plots");
const PLAN = planSeason(SEASON, { iterations: 800, seed: 1 }, () => 0);
const NAMES = {
  inputs: { "compost-tea": "Compost tea", "lactic-serum": "Lactic serum" },
  vessels: { small: "Small drum", big: "Big drum" },
  plots: { "p-a": "Bed A", "p-b": "Bed B", "p-c": "Bed C" },
  ingredients: { compost: "Compost", milk: "Milk" },
  places: {},
};
const view = (change: Partial<SeasonView> = {}): SeasonView => ({
  farm: { name: "A field", timeZone: "UTC", units: "metric", currency: "EUR" },
  nowMs: Date.parse("2026-03-02T08:00:00Z"),
  today: "2026-03-02",
  terms: { hoursAWeek: 1.5, canL: 20, cans: 2, weeks: 4, closedWeekdays: [], hands: [], forbidden: [] },
  people: [{ id: 1, name: "Ana" }],
  since: [],
  proposal: null,
  feedSinceMs: null,
  season: SEASON,
  assumed: [],
  names: NAMES,
  plan: { ...PLAN, id: 1, byName: "Ana", takenMs: Date.parse("2026-03-01T08:00:00Z") },
  mayTake: true,
  ...change,
});

/** With a planner beside the page that hears what it is asked and says nothing. */
async function withSilentPlanner(work: (asked: readonly unknown[]) => Promise<void>): Promise<void> {
  const asked: unknown[] = [];
  class Silent extends EventTarget {
    postMessage(message: unknown): void {
      asked.push(message);
    }
    terminate(): void {}
  }
  const before = globalThis.Worker;
  globalThis.Worker = Silent as unknown as typeof Worker;
  try {
    await work(asked);
  } finally {
    globalThis.Worker = before;
  }
}

describe("the season's screen", () => {
  it("says what the plan comes to, and the week day by day", () => {
    renderWith(fakeActions(), <SeasonScreen view={view()} />);
    expect(screen.getByText(/5 of 6 applications planned/)).toBeVisible();
    expect(screen.getByText(/In use since/)).toHaveTextContent("by Ana");
    const week = within(screen.getByRole("region", { name: "This week" }));
    expect(week.getByText("Order milk")).toBeVisible();
    expect(week.getByText(/^Start lactic serum/)).toBeVisible();
    fireEvent.click(week.getByRole("button", { name: "Later" }));
    expect(screen.getByRole("heading", { name: "Week of 9 Mar" })).toBeVisible();
  });

  it("tells what a move would break, and puts it back", () => {
    renderWith(fakeActions(), <SeasonScreen view={view()} />);
    fireEvent.click(screen.getByRole("button", { name: /^Start lactic serum/ }));
    const panel = within(screen.getByRole("region", { name: "Chosen batch" }));
    fireEvent.click(panel.getByRole("button", { name: "A week later" }));
    expect(panel.getByRole("status")).toHaveTextContent(/Breaks \d things/);
    expect(panel.getByRole("status")).toHaveTextContent("2 more applications go unmet.");
    fireEvent.click(panel.getByRole("button", { name: "Put it back" }));
    expect(panel.queryByRole("status")).not.toBeInTheDocument();
    fireEvent.change(panel.getByLabelText("Vessel"), { target: { value: "small" } });
    expect(panel.getByRole("heading")).toHaveTextContent("Small drum");
  });

  it("is moved by the keys as by the hand", () => {
    renderWith(fakeActions(), <SeasonScreen view={view()} />);
    const pod = screen.getByRole("button", { name: /Lactic serum in Big drum.*start/ });
    fireEvent.keyDown(pod, { key: "Enter" });
    fireEvent.keyDown(pod, { key: "PageUp" });
    const panel = within(screen.getByRole("region", { name: "Chosen batch" }));
    expect(panel.getByRole("status")).toHaveTextContent(/Breaks/);
  });

  it("plans beside the page, says what goes unmet, and takes the plan with all that it has", async () => {
    /** A planner that has the answer at once. */
    class Answering extends EventTarget {
      postMessage({ id, type }: { id: number; type: "plan" | "explain" }): void {
        const found = {
          unmet: PLAN.unmet.map((one) => ({
            ...one,
            facts: [{ reason: "cold" as const, wantedDay: 5 }],
            mend: { kind: "cans" as const, more: 1 },
          })),
          fullDrum: { unmetNeeds: 4, cost: 90, starts: 2 },
          reorder: { unmetNeeds: 1, cost: 95, starts: 3 },
        };
        const data = type === "explain" ? { type: "found", id, found } : { type: "ended", id, plan: PLAN };
        this.dispatchEvent(new MessageEvent("message", { data }));
      }
      terminate(): void {}
    }
    const before = globalThis.Worker;
    globalThis.Worker = Answering as unknown as typeof Worker;
    try {
      const actions = fakeActions();
      renderWith(actions, <SeasonScreen view={view({ plan: null })} />);
      fireEvent.click(screen.getByRole("button", { name: "Plan the season" }));
      fireEvent.click(await screen.findByRole("button", { name: "Use this plan" }));
      expect(screen.getByText(/run out would meet 2 of 6, with 2 batches/)).toHaveTextContent(
        /in time, drum by drum, would meet 5 of 6, with 3 batches/,
      );
      expect(screen.getByText(/one more can\./)).toBeVisible();
      await waitFor(() =>
        expect(actions.takeSeasonPlan.mock.calls[0]?.[0]).toMatchObject({
          firstDay: SEASON.firstDay,
          applications: PLAN.applications.map(({ need, day }) => ({ need, day })),
          purchases: PLAN.purchases,
        }),
      );
    } finally {
      globalThis.Worker = before;
    }
  });

  it("asks for schedules where nothing is wanted, and lets nobody take a plan who may not", () => {
    renderWith(
      fakeActions(),
      <SeasonScreen view={view({ season: { ...SEASON, needs: [] }, plan: null, mayTake: false })} />,
    );
    expect(screen.getByRole("link", { name: "schedules" })).toHaveAttribute("href", "/field/programmes");
    expect(screen.queryByRole("button", { name: "Hours and cans" })).not.toBeInTheDocument();
  });

  it("says what has changed, and plans anew by itself for whoever may take it", async () => {
    const shorter = { ...SEASON, labour: { ...SEASON.labour, weekMin: [10, 10, 10, 10] } };
    const since = [{ code: "new-needs" as const, count: 2 }];
    const { unmount } = renderWith(
      fakeActions(),
      <SeasonScreen view={view({ season: shorter, since, mayTake: false })} />,
    );
    expect(screen.getByText("The farm has changed since this plan was taken")).toBeVisible();
    expect(screen.getByText(/More work that week than there are hours/)).toBeVisible();
    expect(screen.getByText("2 more applications are wanted.")).toBeVisible();
    unmount();
    await withSilentPlanner(async (asked) => {
      renderWith(fakeActions(), <SeasonScreen view={view({ season: shorter, since })} />);
      await waitFor(() => expect(asked).toHaveLength(1));
      expect(asked[0]).toMatchObject({ type: "plan", season: { needs: SEASON.needs } });
    });
  });

  it("lays before whoever may take it what was planned anew at night; undo goes back to the plan in use", () => {
    const proposal = { ...PLAN, batches: [], applications: [], purchases: [], forage: [], discards: [], madeMs: 1 };
    renderWith(fakeActions(), <SeasonScreen view={view({ proposal })} />);
    expect(screen.getByText(/The rest was planned anew/)).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Undo" }));
    expect(screen.getByText(/In use since/)).toBeVisible();
  });

  it("a batch is ruled out for its week, beside what was ruled out before, and planned anew", async () => {
    await withSilentPlanner(async (asked) => {
      const actions = fakeActions();
      renderWith(actions, <SeasonScreen view={view()} />);
      const batch = PLAN.batches.find(({ running }) => !running)!;
      fireEvent.click(screen.getAllByRole("button", { name: /^Start / })[0]!);
      fireEvent.click(await screen.findByRole("button", { name: "Not started that week" }));
      await waitFor(() => expect(actions.setSeasonTerms.mock.calls).toHaveLength(1));
      expect(actions.setSeasonTerms.mock.calls[0]![0]).toMatchObject({
        hoursAWeek: 1.5,
        forbidden: [{ methodId: batch.input, vesselId: null, fromOn: expect.stringMatching(/^2026-/) as string }],
      });
      await waitFor(() =>
        expect(asked).toMatchObject([{ type: "plan", season: { forbidden: [{ input: batch.input }] } }]),
      );
    });
  });
});

describe("the drawing", () => {
  it("the drawing has a lane for all, a thread for each dose, a gap for what is missing, and no level below nothing", () => {
    const model = plateModel(SEASON, PLAN, NAMES, 1000);
    expect(model.vessels.map(({ name }) => name)).toEqual(["Small drum", "Big drum"]);
    expect(model.threads.reduce((sum, { count }) => sum + count, 0)).toBe(PLAN.applications.length);
    expect(model.gaps.flatMap(({ needs }) => needs)).toEqual(PLAN.unmet.map(({ need }) => need));
    for (const level of Object.values(model.levels)) expect(Math.min(...level)).toBeGreaterThanOrEqual(-1e-3);
    expect(verifyPlan(SEASON, PLAN).broken).toEqual([]);
  });
});
