import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { rectangle } from "@/core/land/ring";
import type { PlotPage } from "@/services/field";
import type { Trace } from "@/services/trace";
import type { PlantingRow } from "@/services/types";
import { fakeActions, FARM, fieldOf, NOW_MS, plotOf, renderWith } from "@/testing/views";
import { TraceScreen } from "../trace/TraceScreen";
import { LandScreen } from "./draw/LandScreen";
import { FieldScreen } from "./FieldScreen";
import { PlotScreen } from "./PlotScreen";

const DAY_MS = 86_400_000;
const leeks: PlantingRow = {
  id: 7,
  plotId: 1,
  crop: "leeks",
  part: null,
  perennial: false,
  plantedOn: "2031-02-01",
  sown: false,
  plants: 60,
  spacingCm: 15,
  harvestFrom: "2031-09-01",
  harvestTo: null,
  endedOn: null,
  seen: null,
};
const dose = (change: object = {}) => ({
  applicationId: 3,
  plotId: 1,
  batchId: 5,
  storeLabel: "Nettle extract",
  useId: "drench-growing",
  partsWater: 250,
  mixL: 18,
  concentrateL: 0.0717,
  applicationMixL: 18,
  labourMin: 10,
  actorName: "Maren",
  methodId: "cultured-extract",
  carries: [],
  clearOn: "2031-04-01",
  batchName: "Plant extract",
  note: "half done",
  overrideReason: null,
  weather: { airC: 14, rainMm: null, windMPerS: null, source: "measured" as const },
  blendedWith: null,
  depthCm: null,
  atMs: NOW_MS - 2 * DAY_MS,
  ...change,
});
const pageOf = (change: Partial<PlotPage> = {}): PlotPage => ({
  farm: FARM,
  nowMs: NOW_MS,
  today: "2031-03-20",
  plot: { ...plotOf(1), planting: leeks },
  treatableM2: 9,
  nearWater: [],
  plantings: [leeks],
  growth: "growing",
  isPerennial: false,
  lastByMethod: { "cultured-extract": 2 },
  filled: [],
  laid: [],
  due: [],
  looks: [],
  lookDue: null,
  readings: [],
  doses: [dose()],
  soakers: [{ methodId: "leaf-mould-brew", name: "Leaf-mould brew", brewD: 3.4 }],
  ...change,
});
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("one plot", () => {
  it("tells what adds up against the most that it should get, and where that figure is from", () => {
    const filled = [
      { what: "salt" as const, gPerM2: 36, ceilingGPerM2: 45, share: 0.8, source: "irrigation-water" as const },
      { what: "n" as const, gPerM2: 0.01, ceilingGPerM2: 17, share: 0.0006, source: "nitrates-directive" as const },
    ];
    renderWith(fakeActions(), <PlotScreen page={pageOf({ filled })} />);
    const adds = within(screen.getByRole("region", { name: "What adds up" }));
    expect(adds.getByRole("listitem")).toHaveTextContent("salt 36 g/m² of 45 g/m²");
    expect(adds.getByText(/Ayers and Westcot 1985/)).toBeVisible();
    expect(adds.getByText("Less than a hundredth of the most: nitrogen.")).toBeVisible();
  });
  it("says it in pounds and feet on a farm that does", () => {
    const filled = [
      { what: "salt" as const, gPerM2: 36, ceilingGPerM2: 45, share: 0.8, source: "irrigation-water" as const },
    ];
    renderWith(fakeActions(), <PlotScreen page={pageOf({ filled, farm: { ...FARM, units: "us" } })} />);
    expect(screen.getByRole("region", { name: "What adds up" })).toHaveTextContent(/salt 12 oz per 100 ft² of 15 oz/);
  });
  it("shows what was laid on it among what it got, the latest on top", () => {
    const laid = [
      { what: "mulch" as const, litres: 270, depthCm: null, jobName: "Layers", atMs: NOW_MS, actorName: "Ben" },
      {
        what: "char" as const,
        litres: 36,
        depthCm: 15,
        jobName: "Layers",
        atMs: NOW_MS - 9 * DAY_MS,
        actorName: "Ben",
      },
    ];
    renderWith(fakeActions(), <PlotScreen page={pageOf({ laid })} />);
    const ground = within(screen.getByRole("region", { name: "In the ground" }));
    expect(ground.getAllByRole("listitem").map(({ textContent }) => textContent?.slice(0, 12))).toEqual([
      expect.stringContaining("mulch"),
      expect.stringContaining("Nettle"),
      expect.stringContaining("charged char"),
    ]);
    expect(ground.getByText(/worked in down to 15 cm/)).toBeVisible();
  });
  it("tells what lies in its ground, with when it may be harvested", () => {
    renderWith(fakeActions(), <PlotScreen page={pageOf({ nearWater: ["Brook"], treatableM2: 6 })} />);
    expect(screen.getByText(/18 L of mix with 71.7 mL/)).toHaveTextContent(
      "(1:250), by Maren, at 14 °C. Not to be harvested before 1 Apr",
    );
    expect(screen.getByText(/6 m² of it far enough from Brook/)).toBeVisible();
    expect(screen.getByText(/set out 1 Feb 2031, 60 plants, harvest 1 Sept 2031/)).toHaveTextContent("leaf growth");
  });
  it("says what it wants by programme and by the book, and what to rule out of what is usual", () => {
    const due = {
      plotId: 1,
      programmeId: 1,
      step: 0,
      methodId: "shell-calcium",
      use: "foliar" as const,
      day: "2031-03-12",
      stage: "growing" as const,
    };
    renderWith(fakeActions(), <PlotScreen page={pageOf({ due: [due] })} />);
    expect(screen.getByRole("list", { name: "By your schedules" })).toHaveTextContent("late since 12 Mar 2031");
    expect(screen.getByText(/It grows leaf/)).toBeVisible();
    type("Something is wrong with it", "pale-leaves");
    expect(screen.getByText(/^Rule out first/)).toBeVisible();
    expect(screen.getByText(/sow beans in it/)).toBeVisible();
    expect(screen.getByText(/growers try/)).toBeVisible();
    type("Something is wrong with it", "wilting");
    expect(screen.queryByText(/growers try/)).toBeNull();
  });
  it("is looked at: what tells by this day first; what was seen is sent in the closed words", async () => {
    const actions = fakeActions();
    const lookDue = { applicationId: 5, afterD: 14, signs: ["leaf-colour", "stem"] as const, dueMs: NOW_MS };
    const looks = [
      {
        id: 2,
        plotId: 1,
        atMs: NOW_MS - DAY_MS,
        signs: { worms: "many" as const },
        note: "",
        by: "Odo",
        photo: "a".repeat(32),
      },
      { id: 1, plotId: 1, atMs: NOW_MS - 9 * DAY_MS, signs: {}, note: "before", by: "Odo", photo: "b".repeat(32) },
    ];
    const page = pageOf({ doses: [dose({ applicationId: 5 })], lookDue, looks });
    renderWith(actions, <PlotScreen page={page} />);
    expect(screen.getByText(/^2 weeks after .*look at colour of the leaves, stem/)).toBeVisible();
    expect(
      within(screen.getByRole("list", { name: /^Pictures/ }))
        .getAllByRole("listitem")
        .map(({ textContent }) => textContent),
    ).toEqual([expect.stringMatching(/^before, /), expect.stringMatching(/^1 day after, /)]);
    expect(screen.getByText(/earthworms in a spade’s depth: many/)).toBeVisible();
    click("Look at it");
    const [first, second] = within(screen.getByRole("dialog")).getAllByRole("combobox");
    expect([first, second].map((box) => box?.closest("label, div")?.textContent)).toEqual([
      expect.stringContaining("Colour of the leaves"),
      expect.stringContaining("Stem"),
    ]);
    type("Colour of the leaves", "pale");
    type("Pests", "many");
    type("Pests", "");
    click("Seen");
    await waitFor(() =>
      expect(actions.seePlot).toHaveBeenCalledWith(
        expect.objectContaining({ plotId: 1, signs: { "leaf-colour": "pale" }, note: "" }),
      ),
    );
  });
  it("says its tags, by which plots are chosen together", () => {
    renderWith(fakeActions(), <PlotScreen page={pageOf({ plot: { ...plotOf(1), tags: ["shade", "wet"] } })} />);
    expect(screen.getByText(/shade, wet/)).toBeVisible();
  });
  it("takes a slip back, by a reason", async () => {
    const actions = fakeActions();
    renderWith(actions, <PlotScreen page={pageOf()} />);
    click("Correct: Nettle extract");
    type("What happened?", "the wrong bed");
    click("It never went on");
    await waitFor(() =>
      expect(actions.takeBackApplication).toHaveBeenCalledWith(
        expect.objectContaining({ applicationId: 3, reason: "the wrong bed" }),
      ),
    );
  });
  it("puts another date to it, by a reason", async () => {
    const actions = fakeActions();
    renderWith(actions, <PlotScreen page={pageOf()} />);
    click("Correct: Nettle extract");
    fireEvent.click(screen.getByRole("radio", { name: "The date or time" }));
    fireEvent.change(screen.getByLabelText("When"), { target: { value: "on" } });
    fireEvent.change(screen.getByLabelText("Day"), { target: { value: "2031-03-01" } });
    fireEvent.change(screen.getByLabelText("Time"), { target: { value: "07:30" } });
    type("What happened?", "it was on Saturday");
    click("Change the date");
    await waitFor(() =>
      expect(actions.redateApplication).toHaveBeenCalledWith(
        expect.objectContaining({ applicationId: 3, reason: "it was on Saturday", at: "2031-03-01T07:30:00.000Z" }),
      ),
    );
  });
  it("changes what grows, and ends it", async () => {
    const actions = fakeActions();
    renderWith(actions, <PlotScreen page={pageOf()} />);
    click("Change leeks");
    type("Plants on each", "44");
    fireEvent.click(screen.getByLabelText("It is cleared"));
    type("Cleared on", "2031-03-19");
    click("Save");
    await waitFor(() =>
      expect(actions.changePlanting).toHaveBeenCalledWith(
        expect.objectContaining({
          plantingId: 7,
          crop: "leeks",
          plants: 44,
          endedOn: "2031-03-19",
          harvestFrom: "2031-09-01",
        }),
      ),
    );
  });
  it("works soakings back from what is planted next, and asks how far apart", () => {
    const next = { ...leeks, id: 8, plantedOn: "2031-05-31" };
    renderWith(
      fakeActions(),
      <PlotScreen page={pageOf({ plot: { ...plotOf(1), planting: null, stage: "bare", crop: "", next } })} />,
    );
    expect(screen.getByText("5th: 28 May 2031")).toBeVisible();
    type("Days between", "30");
    expect(screen.getByText("1st: 28 Jan 2031").closest("li")).toHaveTextContent("too late by now");
    type("Days between", "soon");
    expect(screen.getByRole("alert")).toHaveTextContent("A number in each field");
    type("Days between", "0");
    expect(screen.getByRole("alert")).toHaveTextContent(/days between two/);
  });
  it("says so where nothing grows and nothing was put on", () => {
    renderWith(fakeActions(), <PlotScreen page={pageOf({ plantings: [], doses: [] })} />);
    expect(screen.getByText("Nothing was put on it yet.")).toBeVisible();
  });
});

describe("the chosen plots", () => {
  const planted = fieldOf({ plots: [plotOf(1, { planting: leeks, block: "North" }), plotOf(2, { crop: "kale" })] });
  const choose = () => {
    const actions = fakeActions();
    renderWith(actions, <FieldScreen view={planted} start={{ storeId: null, step: null }} />);
    fireEvent.change(screen.getByLabelText("Choose by"), { target: { value: "0" } });
    return actions;
  };
  it("are chosen by group, and planted at once", async () => {
    const actions = choose();
    expect(screen.getByRole("button", { name: /^Bed 1,/ })).toHaveAttribute("aria-pressed", "true");
    click("Plant");
    type("Crop", "tomatoes");
    expect(screen.getByRole("option", { name: "its fruit, usual" })).toBeInTheDocument();
    type("From", "2031-04-01");
    fireEvent.click(screen.getAllByRole("button", { name: "Plant" }).at(-1)!);
    await waitFor(() =>
      expect(actions.plantPlots).toHaveBeenCalledWith(
        expect.objectContaining({
          plotIds: [1],
          crop: "tomatoes",
          plantedOn: "2031-04-01",
          sown: false,
          perennial: false,
        }),
      ),
    );
  });
  it("are seen to flower, and cleared", async () => {
    const actions = choose();
    click("How far it is");
    fireEvent.click(screen.getByRole("radio", { name: "turning to flower" }));
    click("Seen");
    await waitFor(() =>
      expect(actions.seeStage).toHaveBeenCalledWith(
        expect.objectContaining({ plantingIds: [7], stage: "flowering", on: "2031-03-20" }),
      ),
    );
    click("Cleared");
    click("It is off");
    await waitFor(() =>
      expect(actions.clearPlantings).toHaveBeenCalledWith(
        expect.objectContaining({ plantingIds: [7], on: "2031-03-20" }),
      ),
    );
  });
});

describe("drawing", () => {
  it("draws twelve beds at once, and keeps them", async () => {
    const actions = fakeActions();
    actions.drawLand.mockResolvedValue({ ok: true, value: { plotIds: [11, 12, 13] } });
    renderWith(actions, <LandScreen view={fieldOf({ plots: [] })} />);
    type("How many", "3");
    click("Draw them");
    expect(screen.getByText("108 m²")).toBeVisible();
    click("Turn 15°");
    click("Undo");
    click("Keep 3 changes");
    await waitFor(() => expect(actions.drawLand).toHaveBeenCalled());
    const { plots } = actions.drawLand.mock.calls[0]![0] as unknown as {
      plots: readonly { name: string; ring: unknown }[];
    };
    expect(plots.map(({ name }) => name)).toEqual(["Bed 1", "Bed 2", "Bed 3"]);
    expect(plots[1]!.ring).toEqual([...rectangle([1.7, 0], 1.2, 30)]);
    // What was new has its id now: it is moved, not drawn twice.
    await waitFor(() => expect(screen.getByRole("button", { name: "Nothing is changed" })).toBeDisabled());
    click("Turn 15°");
    click("Keep 3 changes");
    await waitFor(() => expect(actions.drawLand).toHaveBeenCalledTimes(2));
    expect(actions.drawLand.mock.calls[1]![0]).toMatchObject({
      plots: [{ plotId: 11 }, { plotId: 12 }, { plotId: 13 }],
    });
  });
  it("sets a well down, with the distance to keep", async () => {
    const actions = fakeActions();
    const marks = [
      { id: 9, kind: "well" as const, name: "Old well", line: [[4, 4]] as [number, number][], bufferM: 10 },
    ];
    renderWith(actions, <LandScreen view={fieldOf({ marks })} />);
    fireEvent.click(screen.getByRole("radio", { name: "waters and taps" }));
    type("Which", "9");
    type(/^Nothing put on within/, "20");
    click("Save");
    await waitFor(() =>
      expect(actions.setMark).toHaveBeenCalledWith(
        expect.objectContaining({ markId: 9, bufferM: 20, line: [[4, 4]], putAway: false }),
      ),
    );
  });
});

describe("a trace", () => {
  const trace: Trace = {
    farm: FARM,
    nowMs: NOW_MS,
    of: { type: "lot", id: 4, name: "Comfrey" },
    onHand: [{ type: "store", id: 9, name: "Nettle extract", amount: 12, unit: "L", place: "lean-to" }],
    batches: [
      {
        id: 5,
        name: "Plant extract",
        vesselName: "Drum",
        startedMs: NOW_MS - 20 * DAY_MS,
        startedBy: "Odo",
        close: { kind: "strained", atMs: NOW_MS - 3 * DAY_MS },
        lots: [
          {
            lotId: 4,
            ingredient: "Chopped plant",
            amount: 3,
            unit: "kg",
            origin: "foraged",
            receivedOn: "2031-02-20",
            picked: { species: "comfrey", place: "the bank" },
            note: "",
            cameWithBatchId: null,
          },
        ],
        madeFrom: [],
      },
    ],
    applications: [
      {
        applicationId: 3,
        plotId: 1,
        plotName: "Bed 1",
        crop: "lettuce",
        isOnPlan: true,
        batchId: 5,
        batchName: "Plant extract",
        useId: "foliar",
        partsWater: 500,
        concentrateL: 0.05,
        mixL: 25,
        atMs: NOW_MS - 2 * DAY_MS,
        by: "Maren",
        carries: ["unwashed-leaf"],
        clearOn: "2031-03-27",
        note: "",
        overrideReason: null,
        weather: null,
        blendedWith: null,
        harvestFrom: "2031-03-25",
      },
    ],
  };
  it("names plots, what must be waited for, batches, and the plant with its place", () => {
    renderWith(fakeActions(), <TraceScreen trace={trace} />);
    expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("Where lot 4, comfrey went");
    expect(screen.getByRole("row", { name: /Bed 1/ })).toHaveTextContent(
      "unwashed leavesnot before 27 Mar 2031; planned from 25 Mar 2031",
    );
    expect(screen.getByText(/comfrey, picked at the bank/)).toBeVisible();
    expect(screen.getByRole("link", { name: "Nettle extract" }).closest("li")).toHaveTextContent(
      "Nettle extract: 12 L, lean-to",
    );
    expect(screen.getByRole("link", { name: /CSV/ })).toHaveAttribute("href", "/api/trace?lot=4");
  });
});
