import { fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { clockTime, dayMonth, weekday } from "@/formats/times";
import type { Progress } from "@/services/ferment/readProgress";
import type { BatchView } from "@/services/batch/batchView";
import type { WhatIfAnswer } from "@/services/ferment/askWhatIf";
import { at, batchOf, FARM, fakeActions, NOW_MS, PAGE_REST, progressOf, refused, renderWith } from "@/testing/views";
import { FarmRecord } from "../book/FarmRecord";
import { RoundList } from "../yard/RoundList";
import { LogSheet } from "./LogSheet";
import { BatchPlate } from "../drawings/plate/BatchPlate";
import { OverTime } from "../drawings/plate/OverTime";
import { plateScale, timeTicks, nowShare } from "../drawings/plate/scale";
import { Tending } from "./Tending";
import { ReasonList } from "./ReasonList";
import { WhatIfSheet } from "./WhatIfSheet";
import { WindowTable } from "./WindowTable";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const mark = (p10: number, p50: number, p90: number) => ({ p10: at(p10), p50: at(p50), p90: at(p90) });
const WINDOW = { start: mark(10, 20, 40), peak: mark(20, 30, 50), end: mark(60, 90, 130) };
const batch = batchOf("cultured-extract", { startedMs: at(-100), window: WINDOW, phDecides: true });

describe("one axis for all of a batch", () => {
  it("goes from the start to a little after its window closes, within twelve days", () => {
    const { fromMs, toMs, nowMs } = plateScale({ batch, close: null, nowMs: NOW_MS });
    expect([fromMs, nowMs]).toEqual([at(-100), NOW_MS]);
    expect(toMs).toBe(at(90 + 19));
  });
  it("ends where the batch did", () => {
    const close = { atMs: at(-10) } as never;
    expect(plateScale({ batch, close, nowMs: NOW_MS }).toMs).toBe(at(-10));
  });
  it("has ticks where the farm's days begin", () => {
    const ticks = timeTicks({ fromMs: at(-100), toMs: at(90) }, FARM);
    expect(ticks.length).toBeGreaterThan(6);
    expect(ticks.length).toBeLessThanOrEqual(10);
    expect(ticks.map(({ atMs }) => clockTime(new Date(atMs), FARM))).toEqual(ticks.map(() => "00:00"));
    expect(ticks[0]!.text).toBe(dayMonth(new Date(ticks[0]!.atMs), FARM));
  });
  it("has ticks at the farm's hours where it is short, and the day's name at midnight", () => {
    const ticks = timeTicks({ fromMs: at(-10), toMs: at(20) }, FARM);
    const hours = ticks.map(({ atMs }) => clockTime(new Date(atMs), FARM));
    expect(new Set(hours)).toEqual(new Set(["00:00", "06:00", "12:00", "18:00"]));
    for (const { atMs, text, isDay } of ticks) {
      expect(isDay).toBe(clockTime(new Date(atMs), FARM) === "00:00");
      expect(text).toBe(isDay ? weekday(new Date(atMs), FARM) : clockTime(new Date(atMs), FARM));
    }
  });
});

it("gives five reasons, and the rest at a tap", () => {
  const reasons = ["one", "two", "three", "four", "five", "six", "seven"];
  const { rerender } = render(<ReasonList reasons={reasons}>{null}</ReasonList>);
  const rest = screen.getByText("2 more reasons").closest("details")!;
  expect(rest).not.toHaveAttribute("open");
  expect(
    within(rest)
      .getAllByRole("listitem", { hidden: true })
      .map(({ textContent }) => textContent),
  ).toEqual(["six", "seven"]);
  rerender(<ReasonList reasons={reasons.slice(0, 5)}>{null}</ReasonList>);
  expect(screen.getAllByRole("listitem")).toHaveLength(5);
  expect(screen.queryByText(/more reason/)).toBeNull();
});

const progress: Progress = progressOf({
  curve: {
    feature: "ph",
    points: [-100, -50, 0, 50].map((hour) => ({ atMs: at(hour), low: 4, mid: 4.5, high: 5 })),
    readings: [
      { atMs: at(-50), value: 4.6, counted: true, byProbe: false },
      { atMs: at(-40), value: 4.62, counted: true, byProbe: true },
      { atMs: at(-20), value: 3.4, counted: false, byProbe: false },
    ],
  },
  liquid: [-100, 0, 50].map((hour) => ({ atMs: at(hour), celsius: 21, airC: 15 })),
  temperatures: [{ atMs: at(-30), celsius: 22, byProbe: false }],
});

describe("the plate", () => {
  const page = { ...PAGE_REST, batch, progress, close: null, nowMs: NOW_MS, targetPh: 4, farm: FARM } as never;
  const ENTRY = {
    id: 1,
    atMs: at(-20),
    kind: "ph",
    numberValue: 3.4,
    instrument: "meter",
    spot: "film",
    settled: true,
    correctedById: null,
  };
  it("draws ribbon, course, warmth and what happened; a reading that does not count is hollow and says so", () => {
    render(<BatchPlate page={{ ...(page as object), log: [ENTRY] } as never} />);
    const plate = screen.getByRole("img", { name: /with 1 entries/ });
    expect(within(plate).getByText("3.4, not counted")).toBeInTheDocument();
    expect(within(plate).getByText("pH 3.4 by meter, in the film")).toBeInTheDocument();
    const radius = Number(within(plate).getByText("4.6").closest("circle")!.getAttribute("r"));
    const dots = [...plate.querySelectorAll("circle")].filter(
      (circle) => Number(circle.getAttribute("r")) < radius / 2,
    );
    expect(dots).toHaveLength(1);
  });
  it("opens on the present where it is wider than the screen", () => {
    const width = jest.spyOn(HTMLElement.prototype, "scrollWidth", "get").mockReturnValue(1000);
    render(<OverTime page={{ ...(page as object), log: [] } as never} />);
    const region = screen.getByRole("region", { name: "The batch over time" });
    expect(region.scrollLeft).toBeCloseTo(1000 * nowShare(page), 0);
    // What the strips show stays in sight, wherever it is pushed.
    expect(within(region).getByText("pH; the band is ready, 4 and under")).toBeInTheDocument();
    expect(within(region).getByText("Liquid °C; the thin line is the air")).toBeInTheDocument();
    width.mockRestore();
  });
});

describe("the window", () => {
  const none = { p10: null, p50: null, p90: null };
  const table = (window: BatchView["window"], state: BatchView["state"]) => (
    <WindowTable batch={{ window, state }} nowMs={NOW_MS} clock={FARM} />
  );
  it("is three spans with their likeliest moment", () => {
    render(table(WINDOW, "near"));
    expect(screen.getByText("tomorrow 08:00")).toBeVisible();
    expect(screen.getByText("today 22:00 to Sat 04:00")).toBeVisible();
  });
  it("says what keeps, what is behind, and where none is in sight", () => {
    const { rerender } = render(table({ ...WINDOW, start: mark(-9, -5, -1), end: none }, "near"));
    expect(screen.getByText("by its hours alone")).toBeVisible();
    expect(screen.getByText("keeps")).toBeVisible();
    rerender(table({ start: none, peak: none, end: none }, "near"));
    expect(screen.getByText("Ready date unknown.")).toBeVisible();
  });
  it("is open where its signs say so, sooner than reckoned, and also where nothing was in sight", () => {
    const { rerender } = render(table(WINDOW, "ready"));
    expect(screen.getByText("it is ready")).toBeVisible();
    expect(screen.getByText("by its signs, earlier than expected (tomorrow 08:00)")).toBeVisible();
    rerender(table({ start: none, peak: none, end: none }, "ready"));
    expect(screen.getByText("by its signs, earlier than expected")).toBeVisible();
    rerender(table({ ...WINDOW, start: mark(-9, -5, -1) }, "peak"));
    expect(screen.queryByText("it is ready")).toBeNull();
    expect(screen.getByText("already")).toBeVisible();
  });
});

describe("stages and tending", () => {
  const tended = progressOf({
    tending: [
      {
        text: "Vent it",
        act: "vented",
        once: false,
        everyH: 48,
        doneMs: [at(-60)],
        missedMs: [at(-90), at(-10)],
        ifMissed: "Gas builds up.",
      },
    ],
    stages: [
      {
        name: "Souring",
        note: "It works.",
        fromMs: at(-100),
        untilMs: at(-20),
        lid: "airlock",
        basis: "seen",
        isNow: false,
      },
      {
        name: "Finishing",
        note: "Quiet.",
        fromMs: at(-20),
        untilMs: null,
        lid: "airlock",
        basis: "reckoned",
        isNow: true,
      },
    ],
  });
  const people = [
    { id: 1, name: "Ana" },
    { id: 2, name: "Ben" },
  ];
  it("tell what was missed with what that means, and mark the stage that runs", () => {
    renderWith(
      fakeActions(),
      <Tending batch={batch} progress={tended} people={people} shares={[]} running clock={FARM} />,
    );
    expect(screen.getByText(/Missed 16 Mar, 20 Mar\. Gas builds up\./)).toBeVisible();
    expect(screen.getByText("every 2 days · done 1 · missed 2")).toBeVisible();
    expect(screen.getByText("Finishing").closest("li")).toHaveAttribute("aria-current", "step");
  });
  it("are given to a person and a part of the day", async () => {
    const actions = fakeActions();
    renderWith(actions, <Tending batch={batch} progress={tended} people={people} shares={[]} running clock={FARM} />);
    fireEvent.click(screen.getByRole("button", { name: "Who does it: Vent it" }));
    fireEvent.click(screen.getByRole("radio", { name: "Ben" }));
    fireEvent.click(screen.getByRole("radio", { name: "morning" }));
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.shareTask).toHaveBeenCalledWith(
        expect.objectContaining({ batchId: 4, act: "vented", personId: 2, slot: "morning" }),
      ),
    );
  });
});

describe("the log", () => {
  const open = (
    change: Parameters<typeof batchOf>[1] = {},
    methodId = "cultured-extract",
    meter: object | null = null,
  ) => {
    const actions = fakeActions();
    renderWith(
      actions,
      <LogSheet
        batch={batchOf(methodId, change)}
        vesselName="Drum"
        focus="ph"
        clock={FARM}
        units="metric"
        nowMs={NOW_MS}
        meter={meter as never}
        onClose={() => undefined}
      />,
    );
    return actions;
  };
  const logged = (actions: ReturnType<typeof fakeActions>) =>
    actions.logEntry.mock.calls.map(([request]) => (request as { entry: object }).entry);
  it("asks whether the pH had come to rest, and says what a strip and a stale meter are worth", async () => {
    const actions = open({}, "cultured-extract", { name: "The meter", calibratedOn: "2031-01-05", isDue: true });
    expect(screen.getByText(/The meter was last calibrated 5 Jan 2031/)).toBeVisible();
    fireEvent.click(screen.getByRole("radio", { name: "still moving" }));
    expect(screen.getByText(/not taken as the batch’s pH until it stands still/)).toBeVisible();
    fireEvent.change(screen.getByRole("spinbutton", { name: "pH" }), { target: { value: "4,2" } });
    fireEvent.click(screen.getByRole("button", { name: "Log pH 4.2" }));
    await waitFor(() =>
      expect(logged(actions)).toMatchObject([{ kind: "ph", value: 4.2, instrument: "meter", settled: false }]),
    );
    fireEvent.click(screen.getByRole("radio", { name: "strip" }));
    expect(screen.getByText(/A strip is exact to 0.5/)).toBeVisible();
  });
  it("counts bubbles and measures what the method goes by", async () => {
    const actions = open({ measures: ["bubbles", "core"] });
    fireEvent.change(screen.getByRole("spinbutton", { name: /Bubbles \(a minute\)/ }), { target: { value: "14" } });
    fireEvent.click(screen.getAllByRole("button", { name: "Log it" })[0]!);
    await waitFor(() => expect(logged(actions)).toEqual([{ kind: "bubbles", value: 14 }]));
  });
  it("tells of a move, a heater and the power, and then of their ends", async () => {
    const actions = open();
    fireEvent.click(screen.getByText("Place, heat, power, lid"));
    fireEvent.change(screen.getByRole("spinbutton", { name: /Place or thermostat/ }), { target: { value: "25" } });
    fireEvent.click(screen.getByRole("button", { name: "Heater on at 25 °C" }));
    await waitFor(() => expect(logged(actions)).toEqual([{ kind: "act", act: "heater-on", celsius: 25 }]));
    const power = screen.getByRole("button", { name: "Power went off" });
    await waitFor(() => expect(power).toBeEnabled());
    fireEvent.click(power);
    await waitFor(() => expect(logged(actions)).toHaveLength(2));
  });
  it("offers the end of what is on", () => {
    open({ hasHeater: true, moved: true, wrapped: true, powerOff: true, seal: { atMs: at(-2), done: false } });
    fireEvent.click(screen.getByText("Place, heat, power, lid"));
    for (const name of ["Heater off", "Moved back out", "Unwrapped", "Power came back", "Closed with airlock"])
      expect(screen.getByRole("button", { name })).toBeVisible();
  });
});

describe("what if", () => {
  const course = (startH: number | null, endH = 220) => ({
    window: {
      start: startH === null ? { p10: null, p50: null, p90: null } : mark(startH - 5, startH, startH + 9),
      peak: mark(60, 70, 80),
      end: mark(endH - 20, endH, endH + 20),
    },
    ribbon: [0, 50, 100].map((hour) => ({ atMs: at(hour), ready: hour / 100, past: 0 })),
    never: startH === null ? 0.9 : 0,
    untilMs: at(endH * 1.1),
  });
  const answer = (change: Partial<WhatIfAnswer>): WhatIfAnswer => ({
    asIs: course(60),
    changed: course(20),
    warmthC: 24.5,
    warmthNeeded: "some",
    starts: [],
    of: "this",
    ...change,
  });
  let read: jest.Mock;
  const ask = async (given: Partial<WhatIfAnswer> | null) => {
    read = jest.fn(async () => (given ? { ok: true, value: answer(given) } : refused("No.")));
    renderWith(
      fakeActions(),
      <WhatIfSheet
        batch={batch}
        vesselName="Drum"
        nowMs={NOW_MS}
        units="metric"
        clock={FARM}
        onClose={() => undefined}
      />,
      read,
    );
    await waitFor(() => expect(read).toHaveBeenCalled());
  };
  it("lays both ways one above the other and says the difference", async () => {
    await ask({});
    await waitFor(() => expect(screen.getByText("It would open about 40 h sooner.")).toBeVisible());
    expect(screen.getByRole("img", { name: /^Now/ })).toBeVisible();
    expect(screen.getByRole("img", { name: /^With the change/ })).toBeVisible();
    expect(screen.getByText(/Keep it at 24.5 °C from now on/)).toBeVisible();
  });
  it.each([
    ["brings in what was lost", { asIs: course(null) }, "That would bring it in."],
    ["loses what was coming", { changed: course(null) }, "That would keep it from coming in at all."],
    ["makes no difference", { changed: course(60) }, "It would make no difference worth the trouble."],
    [
      "closes an open one sooner",
      { asIs: course(-3, 30), changed: course(-4, 26) },
      "It is open, and would close about 4 h sooner.",
    ],
    [
      "closes an open one later",
      { asIs: course(-3, 30), changed: course(-3, 36) },
      "It is open, and would close about 6 h later.",
    ],
    ["leaves an open one", { asIs: course(-3), changed: course(-4) }, "It is open, and would stay so as long."],
    ["helps neither", { asIs: course(null), changed: course(null) }, "Neither comes to anything that can be foreseen."],
  ])("says where it %s", async (_what, change, words) => {
    await ask(change);
    await waitFor(() => expect(screen.getByText(words)).toBeVisible());
  });
  it("says when the next should be started, and where no warmth helps", async () => {
    await ask({
      warmthNeeded: "beyond",
      warmthC: null,
      starts: [{ startMs: at(2), peakMs: at(50), bandFromMs: at(49), bandToMs: at(52) }],
    });
    await waitFor(() => expect(screen.getByText(/No warmth that its culture bears/)).toBeVisible());
    expect(screen.getByText(/Start it today 14:00/)).toBeVisible();
  });
  it("tells another of the same from this one, with the span that its opening lies in", async () => {
    await ask({ of: "next" });
    await waitFor(() =>
      expect(screen.getByRole("img", { name: /^The next one, made as this, begun now/ })).toBeVisible(),
    );
    expect(
      screen.getByRole("img", { name: /^The next one, changed: opens about .* \(.* to .*\), best about/ }),
    ).toBeVisible();
    expect(screen.queryByText("How warm to have it in by a day?")).toBeNull();
  });
  it("asks for what was changed", async () => {
    await ask({});
    fireEvent.click(screen.getByRole("radio", { name: "next one: more culture" }));
    await waitFor(() => expect(read.mock.calls.at(-1)![1]).toMatchObject({ inoculum: "2" }));
  });
  it("asks how warm only while it is not open, and tells of no window where none is in sight", async () => {
    await ask({ asIs: course(-3), changed: course(null) });
    await waitFor(() => expect(screen.getByText(/^likely open already/)).toBeVisible());
    expect(screen.getByText("no window in sight")).toBeVisible();
    expect(screen.queryByText("How warm to have it in by a day?")).toBeNull();
  });
  it("asks nothing while no number is typed, and says so", async () => {
    await ask({});
    await waitFor(() => expect(screen.getByText("It would open about 40 h sooner.")).toBeVisible());
    const asked = read.mock.calls.length;
    fireEvent.change(screen.getByLabelText("The place is (°C)"), { target: { value: "" } });
    expect(screen.getByText("A number is missing above.")).toBeVisible();
    expect(screen.queryByRole("img", { name: /^With the change/ })).toBeNull();
    fireEvent.change(screen.getByLabelText("The place is (°C)"), { target: { value: "27.5" } });
    await waitFor(() => expect(read.mock.calls).toHaveLength(asked + 1));
    expect(read.mock.calls.at(-1)![1]).toMatchObject({ placeC: "27.5" });
  });
  it("says so where it could not be worked out", async () => {
    await ask(null);
    await waitFor(() => expect(screen.getByText("This could not be worked out just now.")).toBeVisible());
  });
});

describe("what the farm's batches taught", () => {
  const said = (verdict: "hit" | "too-late") => ({ p10D: 8, p50D: 10, p90D: 14, score: { verdict, offH: 20 } });
  const record = {
    lines: [
      {
        batchId: 5,
        startedMs: at(-900),
        vesselName: "Drum",
        readyD: { notBefore: 9, by: 11 },
        atStart: said("hit"),
        halfWay: said("too-late"),
        ruleD: 14,
      },
    ],
    hits: 1,
    judged: 2,
    offD: 0.8,
    ruleOffD: 4,
    learned: {
      modelId: "B1_plant_ferment",
      pace: 1.18,
      sd: 0.2,
      bookSd: 0.25,
      taught: 3,
      finished: 4,
      resets: [{ atMs: at(-2000), reason: "new shed", by: "Ben" }],
    },
  } as const;
  it("is its pace, how often the windows held, and each batch beside what was said of it", () => {
    renderWith(fakeActions(), <FarmRecord record={record} clock={FARM} />);
    expect(
      screen.getByText(/about 18 % faster than usual here, by 3 of 4 finished ones; forecasts are 20 % narrower/),
    ).toBeVisible();
    expect(screen.getByText(/1 of 2 forecasts were right/)).toBeVisible();
    const row = screen.getAllByRole("row")[1]!;
    expect(row).toHaveTextContent("9 to 11");
    expect(row).toHaveTextContent("right");
    expect(row).toHaveTextContent("too late");
    expect(screen.getByText(/Forgotten on .* by Ben: new shed/)).toBeVisible();
  });
  it("is forgotten for a reason", async () => {
    const actions = fakeActions();
    renderWith(actions, <FarmRecord record={record} clock={FARM} />);
    fireEvent.click(screen.getByRole("button", { name: "Yes, reset it" }));
    fireEvent.change(screen.getByLabelText("What has changed here?"), { target: { value: "another well" } });
    fireEvent.click(screen.getByRole("button", { name: "Reset learning" }));
    await waitFor(() =>
      expect(actions.resetLearning).toHaveBeenCalledWith(
        expect.objectContaining({ modelId: "B1_plant_ferment", reason: "another well" }),
      ),
    );
  });
});

describe("the round", () => {
  const task = (key: string, change: object) =>
    ({
      key,
      dueMs: at(1),
      title: key,
      why: "",
      urgency: "later",
      does: "wash",
      on: "Drum",
      touch: { type: "go", href: "/" },
      vesselOrder: 0,
      tomorrow: false,
      who: null,
      ...change,
    }) as never;
  it("shows one person's with what is anybody's, and tomorrow's apart", () => {
    const tasks = [
      task("Ana's", { who: "Ana" }),
      task("Ben's", { who: "Ben" }),
      task("anybody's", {}),
      task("next day's", { tomorrow: true }),
    ];
    render(
      <RoundList
        tasks={tasks}
        done={[]}
        people={[
          { id: 1, name: "Ana" },
          { id: 2, name: "Ben" },
        ]}
        nowMs={NOW_MS}
        clock={FARM}
        busyKey={null}
        onTouch={() => undefined}
        onTouchAll={() => undefined}
        onArrange={() => undefined}
      />,
    );
    expect(screen.getByText("Tomorrow: 1 thing")).toBeVisible();
    fireEvent.change(screen.getByLabelText("Whose jobs"), { target: { value: "Ben" } });
    expect(screen.queryByRole("button", { name: /Ana's/ })).toBeNull();
    expect(screen.getByRole("button", { name: /Ben's/ })).toBeVisible();
    expect(screen.getByRole("button", { name: /anybody's/ })).toBeVisible();
  });
});
