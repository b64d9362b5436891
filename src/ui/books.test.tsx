import { fireEvent, screen, within, waitFor } from "@testing-library/react";
import { findRecipe } from "@/core/book";
import { batchContent } from "@/core/recipe/composition";
import type { BatchCost } from "@/core/money/batchCost";
import type { BatchPage } from "@/services/batch/readBatch";
import type { LedgerView } from "@/services/ledger/readLedger";
import { at, batchOf, FARM, PAGE_REST, fakeActions, NOW_MS, renderWith, storeOf } from "@/testing/views";
import { BatchScreen } from "./batch/BatchScreen";
import { Header } from "./frame/Header";
import { CostMeasure } from "./ledger/CostMeasure";
import { LedgerScreen } from "./ledger/LedgerScreen";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh: jest.fn() }), usePathname: () => "/shed" }));

const COST: BatchCost = {
  totalMinor: 1500,
  perLMinor: 10,
  breakdown: [
    { kind: "ingredient", label: "Molasses, lot of 2031-01-01", costMinor: 200 },
    { kind: "ingredient", label: "Molasses, lot of 2031-02-01", costMinor: 300 },
    { kind: "labour", label: "Work", costMinor: 1000 },
    { kind: "power", label: "Power", costMinor: 0 },
  ],
};

describe("a batch's cost, drawn", () => {
  it("lays one layer an ingredient, the dearest at the bottom, and leaves out what cost nothing", () => {
    const { container } = renderWith(fakeActions(), <CostMeasure cost={COST} currency="crowns" label="Cost" />);
    expect(screen.getByRole("img").getAttribute("aria-label")).toBe("Cost: Work 10.00 crowns, Molasses 5.00 crowns");
    const heights = [...container.querySelectorAll("svg rect")].map((layer) => Number(layer.getAttribute("height")));
    expect(heights[0]! / heights[1]!).toBeCloseTo(2, 6);
  });
});

const LEDGER: LedgerView = {
  farm: FARM,
  labourMinorPerH: 1500,
  powerMinorPerKWh: 30,
  nowMs: NOW_MS,
  batchCount: 80,
  where: {
    batchesMinor: 4000,
    labourMinor: 500,
    onPlotsMinor: 1250,
    onHandMinor: 250,
    runningMinor: 1500,
    lostMinor: 1500,
  },
  losses: [
    { batchId: 3, name: "Castings tea", cause: "failed", costMinor: 1400 },
    { batchId: 1, name: "Nettle extract", cause: "leaks", costMinor: 100 },
  ],
  batches: [
    {
      id: 3,
      name: "Plant extract",
      vesselName: "Drum",
      startedMs: at(-900),
      outcome: "strained",
      yieldL: 150,

      cost: COST,
    },
    {
      id: 2,
      name: "Castings tea",
      vesselName: "Air drum",
      startedMs: at(-950),
      outcome: "discarded",
      yieldL: null,
      cost: { ...COST, perLMinor: null },
    },
    {
      id: 1,
      name: "Plant juice",
      vesselName: "Jar",
      startedMs: at(-100),
      outcome: "running",
      yieldL: null,
      cost: { ...COST, perLMinor: null },
    },
  ],
  plots: [
    {
      id: 1,
      name: "Bed 1",
      crop: "carrots",
      areaM2: 10,
      costMinor: 250,
      applications: [
        {
          applicationId: 1,
          atMs: at(-50),
          storeLabel: "Nettle extract",
          useId: "drench-growing",
          partsWater: 250,
          concentrateL: 0.1,
          mixL: 20,
          costMinor: 250,
        },
      ],
    },
    { id: 2, name: "Bed 2", crop: "", areaM2: 10, costMinor: 0, applications: [] },
  ],
};

describe("the ledger", () => {
  it("says where all is that was spent, and why what was lost was", () => {
    renderWith(fakeActions(), <LedgerScreen view={LEDGER} />);
    const where = within(screen.getByRole("region", { name: "Where it all is" }));
    expect(where.getByText("40.00 crowns for batches and 5.00 crowns for the work of applying.")).toBeVisible();
    expect(where.getByText("on beds").closest("li")).toHaveTextContent("12.50 crowns");
    expect(where.getByText("Nettle extract, batch 1").closest("li")).toHaveTextContent(/leaks.*1.00 crowns/);
    expect(where.getByText("Castings tea, batch 3").closest("li")).toHaveTextContent("thrown away, no yield");
  });
  it("prices a litre where there is one, and does not hide a drum that failed", () => {
    renderWith(fakeActions(), <LedgerScreen view={LEDGER} />);
    expect(screen.getByText("0.10 crowns per L")).toBeVisible();
    expect(screen.getByText(/thrown away, no yield: 15.00 crowns/)).toBeVisible();
    expect(screen.getByText(/still running: 15.00 crowns/)).toBeVisible();
    expect(screen.getByText("The newest 3 of 80 batches.")).toBeVisible();
  });
  it("says what each bed got, what it cost and what a square metre of it did", () => {
    renderWith(fakeActions(), <LedgerScreen view={LEDGER} />);
    expect(screen.getByText("0.25 crowns per m²")).toBeVisible();
    expect(screen.getByText(/20 L of nettle extract at 1:250, drench, growing plants/)).toBeInTheDocument();
    expect(screen.getByText("One bed got nothing so far.")).toBeVisible();
  });
});

const entry = {
  batchId: 4,
  instrument: null,
  spot: null,
  settled: null,
  note: "",
  numberValue: null,
  correctsId: null,
  correctedById: null,
  actorName: "Ana",
} as const;
const PAGE: BatchPage = {
  ...PAGE_REST,
  farm: FARM,
  nowMs: NOW_MS,
  batch: batchOf("cultured-extract"),
  targetPh: 4,
  water: { sourceName: "Butt", overrideReason: null },
  later: [],
  madeFrom: [],
  wentInto: [],
  inherited: [],
  content: batchContent(findRecipe("cultured-extract"), [{ ingredient: "molasses", amount: 1.6 }], 150),
  use: { name: "Drench, growing plants", partsWater: 250, mixLPerM2: 2 },
  lab: [],
  vesselName: "Drum",
  vesselKind: "drum",
  vesselId: 1,
  place: null,
  startedBy: "Ana",
  close: null,
  lines: [{ ingredientId: "molasses", name: "Molasses", part: "mix", unit: "L", planned: 1.6, used: 2 }],
  log: [
    { ...entry, id: 2, kind: "smell", word: "cidery", atMs: at(-2), correctsId: 1 },
    { ...entry, id: 1, kind: "smell", word: "putrid", atMs: at(-2), correctedById: 2 },
  ],
  cost: { ...COST, perLMinor: null },
  stores: [],
  applications: [],
  cautions: ["gas-pressure"],
  sureness: "The pH rule is firm.",
};

describe("a batch's page", () => {
  it("keeps a corrected entry readable, struck through, and offers no second correction of it", () => {
    renderWith(fakeActions(), <BatchScreen page={PAGE} />);
    expect(screen.getByText("Smell: putrid", { selector: "span" })).toHaveClass("line-through");
    expect(screen.getByText(/corrects an earlier entry/)).toBeVisible();
    expect(screen.queryByRole("button", { name: "Correct: Smell: putrid" })).toBeNull();
  });
  it("strikes an entry out by a later one", async () => {
    const actions = fakeActions();
    renderWith(actions, <BatchScreen page={PAGE} />);
    fireEvent.click(screen.getByRole("button", { name: "Cross out: Smell: cidery" }));
    await waitFor(() =>
      expect(actions.logEntry.mock.calls[0]?.[0]).toMatchObject({ correctsId: 2, entry: { kind: "withdrawn" } }),
    );
  });
  it("shows what really went in beside the recipe", () => {
    renderWith(fakeActions(), <BatchScreen page={PAGE} />);
    expect(screen.getByRole("region", { name: "Ingredients" })).toHaveTextContent("2 L (recipe 1.6 L)");
  });
  it("tells what came of one that has ended, and offers nothing to do to it", () => {
    const close = {
      kind: "strained",
      atMs: at(-5),
      yieldL: 150,
      yieldKg: null,
      residue: "compost",
      residueKg: 1.5,
      rinse: { litres: 4, to: "in" as const },
      labourMin: 20,
      verdict: "early",
      overrideReason: "frost tonight",
      actorName: "Ben",
    } as const;
    renderWith(fakeActions(), <BatchScreen page={{ ...PAGE, close, stores: [storeOf()] }} />);
    const outcome = screen.getByRole("region", { name: "Result" });
    expect(outcome).toHaveTextContent(
      "150 L strained of 170 L (as usual: 144 L to 160 L) today 07:00 by Ben; what was left: onto the compost, 1.5 kg; rinsed with 4 L, into the liquid, which it thins. Strained while “too early”: frost tonight",
    );
    expect(screen.queryByRole("button", { name: "Strain or throw away" })).toBeNull();
  });
  it("runs on, where its end was a slip", async () => {
    const actions = fakeActions();
    const close = {
      kind: "discarded",
      atMs: at(-5),
      yieldL: 0,
      yieldKg: null,
      residue: "hot-compost",
      residueKg: null,
    };
    const ended = { ...close, rinse: null, labourMin: 5, verdict: "early", overrideReason: null, actorName: "Ben" };
    renderWith(actions, <BatchScreen page={{ ...PAGE, close: ended as never }} />);
    fireEvent.click(screen.getByRole("button", { name: "It is not over: undo the end" }));
    await waitFor(() => expect(actions.takeBackEnd).toHaveBeenCalledWith(expect.objectContaining({ batchId: 4 })));
  });
});

describe("the frame", () => {
  beforeEach(() => push.mockClear());
  const header = (farmName: string | null = "Test field") =>
    renderWith(
      fakeActions(),
      <Header
        farmName={farmName}
        units="metric"
        measures={[]}
        person={{ id: 1, name: "Ana", role: "steward", isShared: false }}
      />,
    );
  it("marks the place one is in, and goes to another by its key", () => {
    header();
    expect(screen.getAllByRole("link", { name: "Shed" })[0]).toHaveAttribute("aria-current", "page");
    fireEvent.keyDown(window, { key: "4" });
    expect(push).toHaveBeenCalledWith("/field");
  });
  it("leaves keys alone that are typed into a field", () => {
    header();
    const field = document.createElement("input");
    document.body.append(field);
    fireEvent.keyDown(field, { key: "4", bubbles: true });
    expect(push).not.toHaveBeenCalled();
    field.remove();
  });
  it("offers no place before there is a farm", () => {
    header(null);
    expect(screen.queryByRole("link", { name: "Shed" })).toBeNull();
  });
  it("turns to dusk and back, to large letters and back, and remembers", async () => {
    header();
    fireEvent.click(screen.getByRole("button", { name: "Screen" }));
    const dark = await screen.findByRole("menuitemcheckbox", { name: "Dark screen" });
    fireEvent.click(dark);
    expect([document.documentElement.dataset.theme, localStorage.getItem("ruchka-light")]).toEqual(["dusk", "dusk"]);
    expect(dark).toBeChecked();
    fireEvent.click(dark);
    expect(document.documentElement.dataset.theme).toBe("day");
    fireEvent.click(screen.getByRole("menuitemcheckbox", { name: "Large letters" }));
    expect([document.documentElement.dataset.letters, localStorage.getItem("ruchka-letters")]).toEqual([
      "large",
      "large",
    ]);
    fireEvent.click(screen.getByRole("menuitemcheckbox", { name: "Large letters" }));
    expect(document.documentElement.dataset.letters).toBe("usual");
    fireEvent.click(screen.getByRole("menuitem", { name: "Keys" }));
    expect(await screen.findByRole("dialog", { name: "Keys" })).toBeVisible();
  });
});
