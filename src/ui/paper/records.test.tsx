import { cleanup, screen, within } from "@testing-library/react";
import { paperNamed } from "@/core/paper/papers";
import type { BatchPage } from "@/services/batch";
import type { ApplicationRecordView } from "@/services/field";
import { at, batchOf, fakeActions, FARM, NOW_MS, renderWith } from "@/testing/views";
import { ApplicationsPaper } from "./ApplicationsPaper";
import { BatchPaper } from "./BatchPaper";

jest.mock("next/navigation", () => ({
  useRouter: () => ({ replace: jest.fn() }),
  usePathname: () => "/paper/batch",
  useSearchParams: () => new URLSearchParams(),
}));

const PAPER = paperNamed("a4");
type Line = ApplicationRecordView["lines"][number];

const line = (change: Partial<Line>): Line => ({
  applicationId: 1,
  plotId: 3,
  batchId: 7,
  storeLabel: "Nettle extract",
  useId: "leaves",
  useName: "On the leaves",
  partsWater: 250,
  mixL: 10,
  concentrateL: 0.04,
  applicationMixL: 10,
  labourMin: 5,
  day: "2031-01-10",
  plotName: "Bed 3",
  actorName: "Ana",
  methodId: "cultured-extract",
  carries: ["dung"],
  clearOn: "2031-04-20",
  batchName: "Cultured plant extract",
  note: "half of the bed",
  overrideReason: "overcast",
  weather: { airC: 14, rainMm: 0, windMPerS: 1, source: "measured" },
  blendedWith: "castings tea",
  depthCm: null,
  atMs: at(-12),
  ...change,
});

const recordOf = (lines: readonly Line[]): ApplicationRecordView => ({
  farm: FARM as ApplicationRecordView["farm"],
  nowMs: NOW_MS,
  from: "2031-01-01",
  to: null,
  lines,
});

const entry = (id: number, change: object) => ({
  id,
  kind: "ph",
  numberValue: 4.3,
  word: null,
  instrument: "meter",
  spot: "mid-depth",
  settled: true,
  note: "",
  actorName: "Ben",
  correctedById: null,
  atMs: at(-id),
  ...change,
});

const pageOf = (change: Partial<BatchPage>): BatchPage =>
  ({
    farm: FARM,
    nowMs: NOW_MS,
    batch: batchOf("cultured-extract", { id: 7 }),
    vesselName: "Blue drum",
    startedBy: "Ana",
    close: null,
    lines: [{ ingredientId: "molasses", part: "main", name: "Molasses", used: 2.1, planned: 2, unit: "L" }],
    log: [entry(2, { correctedById: 1 }), entry(5, { kind: "smell", word: "cidery" })],
    applications: [],
    madeFrom: [],
    water: { sourceName: "Rain butt", overrideReason: null },
    cost: { totalMinor: 1250, perLMinor: null, parts: [] },
    ...change,
  }) as never;

describe("the application record on paper", () => {
  afterEach(cleanup);
  it("has plot, batch, dilution, amounts, harvest day and all that goes with them", () => {
    renderWith(fakeActions(), <ApplicationsPaper view={recordOf([line({})])} paper={PAPER} />);
    const row = screen.getByRole("row", { name: /Bed 3/ });
    for (const words of ["Nettle extract, batch 7", "On the leaves", "10 L", "Ana"])
      expect(within(row).getByText(words)).toBeVisible();
    expect(row).toHaveTextContent(/1:250.*40 mL/);
    expect(row).toHaveTextContent(/20 Apr 2031/);
    expect(row).toHaveTextContent(/together with castings tea; air 14 °C; reason: overcast; half of the bed/);
    expect(screen.getByText(/^From 1 Jan 2031\. One entry|1 entry/)).toBeVisible();
  });
  it("says so where nothing was applied", () => {
    renderWith(fakeActions(), <ApplicationsPaper view={recordOf([])} paper={PAPER} />);
    expect(screen.getByText("Nothing was applied in these days.")).toBeVisible();
    expect(screen.queryByRole("table")).toBeNull();
  });
});

describe("a batch's record on paper", () => {
  afterEach(cleanup);
  it("has what went in beside the recipe, and the log from its first entry, what was crossed out among it", () => {
    renderWith(fakeActions(), <BatchPaper page={pageOf({})} paper={PAPER} />);
    expect(screen.getByRole("row", { name: /^Molasses 2\.1 L 2 L/ })).toBeVisible();
    const log = screen.getAllByRole("row", { name: /Ben/ });
    expect(log[0]).toHaveTextContent("Smell: cidery");
    expect(log[1]).toHaveTextContent("pH 4.3");
    expect(log[1]).toHaveClass("line-through");
    expect(screen.getByText(/Still running/)).toBeVisible();
    expect(screen.getByText(/^DO NOT DRINK/)).toBeVisible();
  });
  it("tells how it ended, and in kilograms where it is weighed", () => {
    const close = {
      kind: "strained",
      yieldL: 0,
      yieldKg: 12,
      verdict: "early",
      overrideReason: "frost",
      actorName: "Ben",
      atMs: at(-1),
    };
    renderWith(fakeActions(), <BatchPaper page={pageOf({ close: close as never })} paper={PAPER} />);
    expect(screen.getByText(/Strained, 12 kg, .* by Ben\. Its state was “too early”\. Reason: frost\./)).toBeVisible();
  });
});
