import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { RoundTask } from "@/services/yard/roundTask";
import { at, batchOf, FARM, fakeActions, NOW_MS, renderWith, vesselOf, yardOf } from "@/testing/views";
import { Toasts } from "../frame/Toasts";
import { RoundList } from "./RoundList";
import { AHEAD_H, PLATE_H, yOf } from "../drawings/timeScale";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { YardScreen } from "./YardScreen";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }));

const running = (name: string, change: Parameters<typeof batchOf>[1] = {}, methodId = "cultured-extract") =>
  vesselOf(name, { status: "running", batch: batchOf(methodId, change) });
const task = (change: Partial<RoundTask>): RoundTask => ({
  key: "4-vented",
  dueMs: at(-1),
  title: "Drum: vent",
  why: "Plant extract",
  urgency: "now",
  does: "let-gas-out",
  on: "Drum",
  touch: { type: "log-act", batchId: 4, act: "vented" },
  vesselOrder: 0,
  tomorrow: false,
  who: null,
  putOff: null,
  ...change,
});

describe("time on the plate", () => {
  it("has now at the foot, ten days at the top, and the first two days drawn larger", () => {
    expect(yOf(NOW_MS, NOW_MS)).toBe(PLATE_H);
    expect(yOf(at(AHEAD_H), NOW_MS)).toBe(0);
    const nearPerHour = (PLATE_H - yOf(at(48), NOW_MS)) / 48;
    const farPerHour = yOf(at(48), NOW_MS) / (AHEAD_H - 48);
    expect(nearPerHour).toBeGreaterThan(4 * farPerHour);
  });
  it("stays on the plate for what lies before and beyond", () =>
    expect([yOf(at(-9), NOW_MS), yOf(at(9999), NOW_MS)]).toEqual([PLATE_H, 0]));
});

describe("the yard", () => {
  beforeEach(() => push.mockClear());
  it("says at a glance how many work and how much is on the go", () => {
    renderWith(fakeActions(), <YardScreen yard={yardOf([running("Drum"), vesselOf("Pail", { id: 2 })])} />);
    expect(screen.getByRole("heading", { name: "The yard, Thursday 12:00" })).toBeVisible();
    expect(screen.getByText("1 of 2 vessels working · 170 L on the go")).toBeVisible();
    cleanup();
    renderWith(fakeActions(), <YardScreen yard={yardOf([vesselOf("Pail")])} />);
    expect(screen.getByText("Nothing on the go in 1 vessel")).toBeVisible();
  });
  it("says under each vessel what it is, how it stands, why, and what is next", () => {
    renderWith(fakeActions(), <YardScreen yard={yardOf([running("Drum")])} />);
    const drum = within(screen.getByRole("article", { name: "Drum" }));
    for (const words of [
      "170 L · day 8",
      "Plant extract",
      "Almost ready",
      "pH 4.3, falling 0.2 a day; it must reach 4.",
      "Measure pH",
    ])
      expect(drum.getByText(words)).toBeVisible();
    expect(drum.getByRole("img", { name: /^Drum: Likely ready about tomorrow 08:00/ })).toBeInTheDocument();
  });
  it("draws a torn edge where it goes past, hatching where nothing will come of it, a diamond at its best", () => {
    const { container, unmount } = renderWith(
      fakeActions(),
      <YardScreen
        yard={yardOf([
          running("Drum", {
            ribbon: [0, 10, 20, 30].map((hour) => ({ atMs: at(hour), ready: 0.5, past: hour > 15 ? 0.8 : 0 })),
          }),
        ])}
      />,
    );
    // The key below draws each sign once more.
    const drum = container.querySelector("article")!;
    expect(drum.querySelectorAll("path[fill='var(--marigold)']")).toHaveLength(1);
    expect(drum.querySelectorAll("path[stroke='var(--rust)']")).toHaveLength(1);
    unmount();
    const lost = renderWith(
      fakeActions(),
      <YardScreen yard={yardOf([running("Drum", { state: "stuck", stateWords: "Stuck" })])} />,
    );
    expect(lost.container.querySelector("article rect[fill^='url(#hatch']")).not.toBeNull();
    const lostDrum = lost.container.querySelector("article")!;
    expect(lostDrum.querySelectorAll("path[fill='var(--marigold)']")).toHaveLength(0);
  });
  it("says what its signs mean, unfolded while there is one batch only", () => {
    const one = renderWith(fakeActions(), <YardScreen yard={yardOf([running("Drum", {})])} />);
    expect(screen.getByText("What the signs mean").closest("details")).toHaveAttribute("open");
    const marks = screen.getByRole("list", { name: "Marks" });
    for (const words of [
      "Too early",
      "Almost ready",
      "Ready",
      "Best now",
      "Past its best",
      "Stuck",
      "On hold",
      "Failed",
    ])
      expect(within(marks).getByText(words)).toBeVisible();
    one.unmount();
    renderWith(fakeActions(), <YardScreen yard={yardOf([running("Drum", {}), { ...running("Pail", {}), id: 2 }])} />);
    expect(screen.getByText("What the signs mean").closest("details")).not.toHaveAttribute("open");
  });

  it("opens the right panel for what is next", () => {
    renderWith(
      fakeActions(),
      <YardScreen
        yard={yardOf([
          running("Drum", {
            next: { act: "strain", words: "Strain", atMs: NOW_MS },
            state: "ready",
            stateWords: "Ready",
          }),
          vesselOf("Pail", { id: 2 }),
        ])}
      />,
    );
    fireEvent.click(screen.getByRole("button", { name: "Fill Pail" }));
    expect(push).toHaveBeenCalledWith("/?fill=2", { scroll: false });
    fireEvent.click(screen.getByRole("button", { name: "Strain: Drum" }));
    expect(screen.getByRole("dialog", { name: "Strain Drum" })).toBeVisible();
  });
  it("washes with one touch, and takes it back with another", async () => {
    const actions = fakeActions();
    renderWith(
      actions,
      <>
        <YardScreen yard={yardOf([vesselOf("Pail", { id: 2, status: "dirty" })])} />
        <Toasts />
      </>,
    );
    fireEvent.click(screen.getByRole("button", { name: "Washed: Pail" }));
    await waitFor(() => expect(actions.cleanVessel.mock.calls[0]?.[0]).toMatchObject({ vesselId: 2 }));
    fireEvent.click(await screen.findByRole("button", { name: "Undo" }));
    await waitFor(() => expect(actions.takeBackWashing.mock.calls[0]?.[0]).toMatchObject({ vesselId: 2 }));
  });
  it("does a task of the round with one touch, and opens the log for what needs an eye", async () => {
    const actions = fakeActions();
    const look = task({
      key: "4-look",
      title: "Drum: smell it",
      touch: { type: "open-log", batchId: 4, focus: "smell" },
    });
    renderWith(actions, <YardScreen yard={yardOf([running("Drum")], { round: [task({}), look] })} />);
    fireEvent.click(screen.getByRole("button", { name: /Drum: vent/ }));
    await waitFor(() =>
      expect(actions.logEntry.mock.calls[0]?.[0]).toMatchObject({ batchId: 4, entry: { kind: "act", act: "vented" } }),
    );
    fireEvent.click(screen.getByRole("button", { name: /Drum: smell it/ }));
    expect(screen.getByRole("dialog", { name: "Drum: log" })).toBeVisible();
  });
  it("is walked by keys", () => {
    renderWith(fakeActions(), <YardScreen yard={yardOf([running("Drum"), vesselOf("Pail", { id: 2 })])} />);
    fireEvent.keyDown(window, { key: "v" });
    expect(screen.getByRole("article", { name: "Drum" })).toHaveFocus();
    fireEvent.keyDown(document.activeElement!, { key: "ArrowRight", bubbles: true });
    expect(screen.getByRole("article", { name: "Pail" })).toHaveFocus();
    fireEvent.keyDown(document.activeElement!, { key: "Enter", bubbles: true });
    expect(push).toHaveBeenCalledWith("/?fill=2", { scroll: false });
  });
  it("says that it goes by the sun and the usual air where nothing tells the weather", () => {
    const told = yardOf([running("Drum")]);
    const usual = told.air.map((hour) => ({ ...hour, usual: true }));
    const bands = told.bands.map((band) => ({ ...band, because: "unknown" as const, windMPerS: null }));
    const { unmount } = renderWith(fakeActions(), <YardScreen yard={told} />);
    expect(screen.queryByText(/No weather station is connected/)).toBeNull();
    unmount();
    renderWith(fakeActions(), <YardScreen yard={{ ...told, air: usual, bands }} />);
    expect(screen.getByText(/usual \d+ to \d+ °C/)).toBeInTheDocument();
    expect(screen.getByText(/No weather station is connected/)).toBeVisible();
    expect(screen.getAllByText("dusk: check rain and wind yourself").length).toBeGreaterThan(0);
    expect(screen.getByRole("link", { name: "Connect a weather station" })).toHaveAttribute("href", "/shed/probes");
  });
  it("says what comes first where nothing stands yet", () => {
    renderWith(fakeActions(), <YardScreen yard={yardOf([])} />);
    expect(screen.getByText(/No vessel is in use/)).toBeVisible();
    expect(screen.getByText("Nothing more to do today.")).toBeVisible();
  });
});

describe("the round", () => {
  it("says late, now or the hour, and what was done by whom", () => {
    const tasks = [
      task({ key: "a", urgency: "late", why: "Late. Gas builds up." }),
      task({ key: "b" }),
      task({ key: "c", urgency: "later", dueMs: at(6) }),
    ];
    renderWith(
      fakeActions(),
      <RoundList
        people={[]}
        tasks={tasks}
        done={[{ entryId: 1, batchId: 4, title: "Drum: Stirred", atMs: at(-3), by: "Ana" }]}
        nowMs={NOW_MS}
        clock={FARM}
        busyKey="b"
        onTouch={() => undefined}
        onTouchAll={() => undefined}
        onArrange={() => undefined}
      />,
    );
    const buttons = [...document.querySelectorAll("[data-round]")];
    expect(buttons.map((button) => button.textContent?.slice(0, 5))).toEqual(["lateD", "nowDr", "18:00"]);
    expect(buttons[1]).toBeDisabled();
    expect(screen.getByText("Drum: Stirred")).toHaveTextContent("by Ana");
  });
});

describe("several tasks at once", () => {
  it("are picked, done one after the other, and taken back together", async () => {
    const actions = fakeActions();
    const touch = { type: "log-act", batchId: 4, act: "stirred" } as const;
    const round = [
      task({ key: "a", title: "Drum: stir", touch }),
      task({ key: "b", title: "Pail: stir", touch: { ...touch, batchId: 5 } }),
    ];
    renderWith(actions, <YardScreen yard={yardOf([vesselOf("Drum")], { round })} />);
    fireEvent.click(screen.getByRole("button", { name: "Several at once" }));
    for (const button of document.querySelectorAll("[data-round]")) fireEvent.click(button);
    expect(actions.logEntry).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole("button", { name: "Mark 2 as done" }));
    await waitFor(() => expect(actions.logEntry.mock.calls.map(([request]) => request.batchId)).toEqual([4, 5]));
  });
  it("is given to a person or put off with a reason, from its own line", async () => {
    const actions = fakeActions();
    renderWith(
      actions,
      <YardScreen
        yard={yardOf([vesselOf("Drum")], {
          round: [task({ key: "4-stirred", title: "Drum: stir" })],
          people: [{ id: 2, name: "Ben" }],
        })}
      />,
    );
    fireEvent.click(screen.getByRole("button", { name: "Give or put off" }));
    fireEvent.change(screen.getByLabelText("Who does it"), { target: { value: "2" } });
    fireEvent.click(screen.getByRole("radio", { name: "In 3 h" }));
    fireEvent.change(screen.getByLabelText("Reason it can wait"), { target: { value: "rain" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.arrangeTask.mock.calls[0]?.[0]).toMatchObject({
        taskKey: "4-stirred",
        personId: 2,
        until: new Date(at(3)).toISOString(),
        reason: "rain",
      }),
    );
  });
});

describe("a vessel's drawing", () => {
  const level = (filledL: number) => {
    const contents = {
      filledL,
      methodId: "aerated-tea",
      lid: "open" as const,
      aerated: true,
      airOn: true,
      surface: null,
      film: null,
      floatingSolids: false,
    };
    const { container, unmount } = renderWith(
      fakeActions(),
      <VesselDrawing kind="drum" volumeL={200} diameterM={null} pxPerM={100} contents={contents} label="drum" />,
    );
    const top = Number(container.querySelector("g rect")!.getAttribute("y"));
    unmount();
    return top;
  };
  it("rises with its level and never over its brim", () => {
    expect(level(150)).toBeLessThan(level(50));
    expect(level(400)).toBe(level(200));
  });
  it("is drawn to scale", () => {
    const heightOf = (volumeL: number) => {
      const { container, unmount } = renderWith(
        fakeActions(),
        <VesselDrawing kind="drum" volumeL={volumeL} diameterM={null} pxPerM={100} contents={null} label="drum" />,
      );
      const height = Number(container.querySelector("svg")!.getAttribute("height")) - 16;
      unmount();
      return height;
    };
    expect(heightOf(1000) / heightOf(125)).toBeCloseTo(2, 6);
  });
});

describe("two people in one yard", () => {
  it("keeps an open panel and what was typed when the batch is ended elsewhere meanwhile", () => {
    const actions = fakeActions();
    const ready = running("Drum", {
      state: "ready",
      stateWords: "Ready",
      next: { act: "strain", words: "Strain", atMs: NOW_MS },
    });
    const { rerender } = renderWith(actions, <YardScreen yard={yardOf([ready])} />);
    fireEvent.click(screen.getByRole("button", { name: "Strain: Drum" }));
    fireEvent.change(screen.getByLabelText("Label"), { target: { value: "Bean extract" } });
    rerender(<YardScreen yard={yardOf([vesselOf("Drum", { status: "dirty" })])} />);
    expect(screen.getByLabelText("Label")).toHaveValue("Bean extract");
  });
});
