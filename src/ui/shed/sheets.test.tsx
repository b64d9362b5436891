import { fireEvent, screen, waitFor } from "@testing-library/react";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import type { ItemView } from "@/services/shed/readItem";
import type { ShedStore, ShedView } from "@/services/shed/readShed";
import { FARM, fakeActions, NOW_MS, refused, renderWith, storeOf, WATERS } from "@/testing/views";
import { PlanSheet } from "../fill/PlanSheet";
import { MeasuresProvider } from "../measures/measuresContext";
import { WeighSheet } from "../measures/WeighSheet";
import { LotSheet } from "./LotSheet";
import { OwnIngredientSheet } from "./OwnIngredientSheet";
import { StoreSheet } from "./store/StoreSheet";
import { SupplySheet } from "./SupplySheet";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));
const closed = jest.fn();
beforeEach(() => closed.mockClear());

describe("an ingredient of the farm's own", () => {
  it("is kept as a kind of one of the book's, with what is known of it", async () => {
    const actions = fakeActions();
    renderWith(actions, <OwnIngredientSheet onClose={closed} />);
    type("Name", "Beet syrup");
    type("Counts as", "molasses");
    expect(screen.getByText(/Recipes that want molasses draw on it, L for L/)).toBeVisible();
    type("A litre weighs (kg)", "1,35");
    type("Keeps (days)", "90");
    fireEvent.click(screen.getByLabelText("autumn"));
    type("Safety note", "Boils over.");
    click("Save");
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(actions.addOwnIngredient.mock.calls[0]?.[0]).toMatchObject({
      name: "Beet syrup",
      countsAs: "molasses",
      densityKgPerL: 1.35,
      keepsD: 90,
      season: ["autumn"],
      caution: "Boils over.",
    });
  });
  it("stays open with what was typed where the name is taken or a figure is none", async () => {
    const actions = fakeActions({
      addOwnIngredient: refused('There is a "Beet syrup" already.', { "/name": 'There is a "Beet syrup" already.' }),
    });
    renderWith(actions, <OwnIngredientSheet onClose={closed} />);
    type("Name", "Beet syrup");
    type("A litre weighs (kg)", "heavy");
    click("Save");
    expect(await screen.findByText("This must be a number.")).toBeVisible();
    expect(actions.addOwnIngredient).not.toHaveBeenCalled();
    type("A litre weighs (kg)", "");
    click("Save");
    expect((await screen.findAllByText('There is a "Beet syrup" already.')).length).toBeGreaterThan(0);
    expect(screen.getByLabelText("Name")).toHaveValue("Beet syrup");
    expect(closed).not.toHaveBeenCalled();
  });
});

const ITEM: ItemView = {
  itemId: "leaf-mould",
  ingredientId: "leaf-mould",
  own: null,
  name: "Live leaf mould",
  unit: "kg",
  densityKgPerL: 0.25,
  facts: INGREDIENT_FACTS["leaf-mould"],
  composition: null,
  lots: [],
  ledger: [],
  terms: null,
  measures: [],
  standsIn: [],
};
const LOT: ItemView["lots"][number] = {
  id: 3,
  ingredientId: "leaf-mould",
  ownId: null,
  unit: "kg",
  origin: "foraged",
  receivedOn: "2031-03-01",
  received: 4,
  costMinor: 0,
  expiresOn: null,
  note: "",
  place: "",
  provenance: {},
  fromBatchId: null,
  cameWithBatchId: null,
  onHand: 4,
  state: {
    place: "",
    openedOn: null,
    expiresOn: null,
    beans: { sownOn: null, result: null },
    vigour: null,
    hazards: [],
  },
  hold: null,
};

describe("what happens to a lot", () => {
  const open = (act: Parameters<typeof LotSheet>[0]["act"], actions = fakeActions()) => {
    renderWith(
      actions,
      <MeasuresProvider
        units="metric"
        own={[{ measure: "handful", ingredientId: "leaf-mould", mean: 0.1, least: 0.08, most: 0.12, weighings: 4 }]}
      >
        <LotSheet act={act} lot={LOT} item={ITEM} farm={FARM} today="2031-03-20" onClose={closed} />
      </MeasuresProvider>,
    );
    return actions;
  };
  it("is weighed in handfuls as well as in kilograms, and told from what was used", async () => {
    const actions = open("waste");
    type("How much (kg)", "6 handfuls");
    expect(screen.getByText("= 600 g, between 480 g and 720 g")).toBeVisible();
    type("Why", "round the young apples");
    fireEvent.click(screen.getByLabelText(/used, for something that is no batch/));
    click("Remove from stock");
    await waitFor(() =>
      expect(actions.wasteLot.mock.calls[0]?.[0]).toMatchObject({ lotId: 3, amount: 0.6, usedElsewhere: true }),
    );
  });
  it("wants a reason for waste, at its field", async () => {
    const actions = open("waste");
    type("How much (kg)", "1");
    click("Remove from stock");
    expect((await screen.findAllByText("Check this field.")).length).toBeGreaterThan(0);
    expect(actions.wasteLot).not.toHaveBeenCalled();
    expect(screen.getByLabelText("How much (kg)")).toHaveValue("1");
  });
  it.each([
    ["place", "Place now", "cellar", "Save place", { kind: "place", word: "cellar" }],
    ["expiry", "Use by", "2031-05-01", "Save date", { kind: "expiry", word: "2031-05-01" }],
  ] as const)("%s is kept", async (act, label, word, button, sent) => {
    const actions = open(act);
    type(label, word);
    click(button);
    await waitFor(() => expect(actions.noteLot.mock.calls[0]?.[0]).toMatchObject({ lotId: 3, ...sent }));
  });
  it("says of each finding whether it passes, and keeps what was found, and when beans were sown in it", async () => {
    const actions = open("vigour");
    fireEvent.click(screen.getByRole("radio", { name: /few threads/ }));
    click("Save");
    await waitFor(() =>
      expect(actions.noteLot.mock.calls[0]?.[0]).toMatchObject({
        kind: "vigour",
        word: "few threads, dry at the edges",
      }),
    );
  });
  it("says how the beans are sown, and on which day", async () => {
    const actions = open("beans-sown");
    expect(screen.getByText(/three beans in each/)).toBeVisible();
    type("On", "2031-03-18");
    click("Sown");
    await waitFor(() =>
      expect(actions.noteLot.mock.calls[0]?.[0]).toMatchObject({ kind: "beans-sown", onDay: "2031-03-18" }),
    );
  });
  it("does not take the beans for read before one of two is said", async () => {
    const actions = open("beans");
    click("Save result");
    expect(await screen.findByText("Which is it?")).toBeVisible();
    expect(actions.noteLot).not.toHaveBeenCalled();
  });
});

describe("how an ingredient is got", () => {
  it("is shown as it was kept, and a pack of nothing is refused", async () => {
    const actions = fakeActions();
    const terms = {
      itemId: "leaf-mould",
      packName: "sack",
      packAmount: 8,
      packCostMinor: 450,
      leadD: 3,
      reorderAt: 2,
      target: 10,
      note: "",
    };
    renderWith(actions, <SupplySheet item={{ ...ITEM, terms }} farm={FARM} onClose={closed} />);
    expect(screen.getByLabelText("Price (crowns)")).toHaveValue("4.5");
    type("It holds (kg)", "0");
    click("Save");
    expect(await screen.findByText("At least 0.001.")).toBeVisible();
    type("It holds (kg)", "500 g");
    click("Save");
    await waitFor(() =>
      expect(actions.setSupply.mock.calls[0]?.[0]).toMatchObject({
        packAmount: 0.5,
        packCost: 4.5,
        leadD: 3,
        reorderAt: 2,
        target: 10,
      }),
    );
  });
});

describe("a store", () => {
  const VIEW: ShedView = {
    farm: FARM,
    nowMs: NOW_MS,
    today: "2031-03-20",
    items: [],
    stores: [],
    own: [],
    waters: WATERS,
  };
  const STORE: ShedStore = { ...storeOf(), free: [], mayGoOut: true, alertH: null, takers: [] };
  const open = (actions = fakeActions()) => {
    renderWith(actions, <StoreSheet store={STORE} view={VIEW} onClose={closed} />);
    return actions;
  };
  it("is measured, and gets another use-by date by a reason", async () => {
    const actions = open();
    fireEvent.click(screen.getByRole("radio", { name: "measured" }));
    type("It holds (L)", "18,5");
    click("Save amount");
    await waitFor(() => expect(actions.countStore.mock.calls[0]?.[0]).toMatchObject({ storeId: 1, litres: 18.5 }));
    fireEvent.click(screen.getByRole("radio", { name: "change use-by date" }));
    type("Use by", "2031-04-10");
    click("Save date");
    expect((await screen.findAllByText("Check this field.")).length).toBeGreaterThan(0);
    type("Why", "opened");
    click("Save date");
    await waitFor(() =>
      expect(actions.keepStore.mock.calls[0]?.[0]).toMatchObject({ storeId: 1, until: "2031-04-10", reason: "opened" }),
    );
  });
  it("is opened and smelt, its pH kept; one found off is only emptied", async () => {
    const actions = fakeActions();
    const due: ShedStore = { ...STORE, recheck: { because: "age", dueMs: NOW_MS } };
    const { unmount } = renderWith(actions, <StoreSheet store={due} view={VIEW} onClose={closed} />);
    fireEvent.click(screen.getByRole("radio", { name: /smells good/ }));
    type("pH, if read", "3,7");
    click("Save check");
    await waitFor(() =>
      expect(actions.checkStore.mock.calls[0]?.[0]).toMatchObject({ storeId: 1, kind: "smelt-good", ph: 3.7 }),
    );
    unmount();
    renderWith(fakeActions(), <StoreSheet store={{ ...STORE, smelt: "off" }} view={VIEW} onClose={closed} />);
    expect(screen.getByText("It smells bad")).toBeVisible();
    expect(screen.getByRole("button", { name: "Save" })).toBeVisible();
  });
  it("drops nothing that was typed wrong: a pH and a count are marked at their fields, and nothing is sent", async () => {
    const actions = fakeActions();
    renderWith(actions, <StoreSheet store={STORE} view={VIEW} onClose={jest.fn()} />);
    fireEvent.click(screen.getByRole("radio", { name: "check" }));
    type("pH, if read", "sour");
    click("Save check");
    expect(await screen.findByText("This must be a number.")).toBeVisible();
    expect(screen.getByLabelText("pH, if read")).toHaveValue("sour");
    fireEvent.click(screen.getByRole("radio", { name: "pour" }));
    for (const wrong of ["a few", "2.5", "0", "41"]) {
      type("Into how many", wrong);
      type("Each takes (L)", "5");
      click("Pour");
      expect(await screen.findByText("A whole number from 1 to 40.")).toBeVisible();
      expect(screen.getByLabelText("Into how many")).toHaveValue(wrong);
    }
    expect(actions.checkStore).not.toHaveBeenCalled();
    expect(actions.pourStore).not.toHaveBeenCalled();
  });
  it("marks the lid that would burst, and keeps what was typed", async () => {
    open(
      fakeActions({
        pourStore: refused("Gas can blow the lid.", {
          "/parts/0/container": "Gas can blow the lid: breathable or vented.",
        }),
      }),
    );
    type("Into how many", "4");
    type("Each takes (L)", "5");
    type("What it stands in", "sealed");
    click("Pour");
    expect(await screen.findByText("Gas can blow the lid: breathable or vented.")).toBeVisible();
    expect(screen.getByLabelText("Into how many")).toHaveValue("4");
    expect(screen.getByRole("link", { name: "Labels" })).toHaveAttribute("href", "/paper/labels?batch=1");
  });
  it("is emptied only with a reason", async () => {
    const actions = open();
    fireEvent.click(screen.getByRole("radio", { name: "emptied" }));
    click("Save");
    expect((await screen.findAllByText("Check this field.")).length).toBeGreaterThan(0);
    type("Why", "leaked");
    fireEvent.click(screen.getByRole("radio", { name: /thrown away/ }));
    click("Save");
    await waitFor(() =>
      expect(actions.emptyStore.mock.calls[0]?.[0]).toMatchObject({ to: "wasted", litres: 20, reason: "leaked" }),
    );
  });
});

describe("weighing and planning", () => {
  it("weighs a measure again and again for its spread", async () => {
    const actions = fakeActions();
    renderWith(
      actions,
      <WeighSheet
        measures={[{ measure: "scoop", ingredientId: "castings", mean: 0.6, least: 0.5, most: 0.7, weighings: 3 }]}
        of="castings"
        onClose={closed}
      />,
    );
    type("Measure", "scoop");
    type("It came to (kg)", "0,66");
    click("Save weight");
    await waitFor(() =>
      expect(actions.weighMeasure.mock.calls[0]?.[0]).toMatchObject({
        measure: "scoop",
        ingredientId: "castings",
        amount: 0.66,
      }),
    );
    await waitFor(() => expect(screen.getByLabelText("It came to (kg)")).toHaveValue(""));
    expect(screen.getByText(/600 g, 500 g to 700 g in 3/)).toBeVisible();
  });
  it("does not plan for a day that is over, and says so at the day", async () => {
    const actions = fakeActions({
      planBatch: refused("This date is in the past. Choose today or later.", {
        "/forDay": "This date is in the past. Choose today or later.",
      }),
    });
    const ask = { methodId: "cultured-extract", schoolId: "equal-parts", basisAmount: 80 };
    renderWith(
      actions,
      <PlanSheet ask={ask} name="Extract in Drum" today="2031-03-20" onClose={closed} onDone={closed} />,
    );
    type("For the day", "2031-03-01");
    click("Plan it");
    expect((await screen.findAllByText("This date is in the past. Choose today or later.")).length).toBeGreaterThan(0);
    expect(screen.getByLabelText("For the day")).toHaveValue("2031-03-01");
    expect(closed).not.toHaveBeenCalled();
  });
});
