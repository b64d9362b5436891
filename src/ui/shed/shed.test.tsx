import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { bookDocument } from "@/core/recipe/document";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import type { ItemView } from "@/services/shed/readItem";
import type { ShedItem } from "@/services/shed/items";
import type { ShedView } from "@/services/shed/readShed";
import type { ShoppingView } from "@/services/shed/readShopping";
import { at, FARM, fakeActions, NOW_MS, refused, renderWith, storeOf, WATERS } from "@/testing/views";
import { MeasuresProvider } from "../measures/measuresContext";
import { CountScreen } from "./CountScreen";
import { ShedScreen } from "./ShedScreen";
import { ShoppingScreen } from "./ShoppingScreen";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh: jest.fn() }), usePathname: () => "/shed" }));
beforeEach(() => localStorage.clear());

const jar = (change: Partial<ShedItem> = {}): ShedItem => ({
  itemId: "molasses",
  ingredientId: "molasses",
  name: "Molasses",
  unit: "L",
  source: "bought",
  fresh: false,
  onHand: 7,
  cameIn: 11,
  lotCount: 2,
  layers: [
    { amount: 2, expired: false, held: false },
    { amount: 5, expired: false, held: false },
  ],
  places: ["cool corner"],
  expiresOn: "2031-03-25",
  heldAmount: 0,
  reserved: 0,
  short: 0,
  daysLeft: null,
  terms: null,
  reorder: false,
  collecting: null,
  ...change,
});
const SHED: ShedView = {
  farm: FARM,
  nowMs: NOW_MS,
  today: "2031-03-20",
  waters: WATERS,
  own: [],
  items: [jar()],
  stores: [
    { ...storeOf(), free: [], mayGoOut: true, alertH: null, takers: [] },
    {
      ...storeOf({ id: 2, label: "Old tea", recipe: bookDocument("aerated-tea"), expiresMs: at(-17) }),
      free: ["compost"],
      mayGoOut: true,
      alertH: null,
      takers: ["Bare bed"],
    },
    {
      ...storeOf({ id: 3, label: "Can", partNo: 2, expiresMs: at(20), container: "vented" }),
      free: [],
      mayGoOut: true,
      alertH: null,
      takers: ["Bed 1"],
    },
  ],
};
const lot = (id: number, change: Partial<ItemView["lots"][number]> = {}): ItemView["lots"][number] => ({
  id,
  ingredientId: "molasses",
  ownId: null,
  unit: "L",
  origin: "bought",
  receivedOn: "2031-01-01",
  received: 6,
  costMinor: 1800,
  expiresOn: "2031-03-25",
  note: "",
  place: "cool corner",
  provenance: {},
  fromBatchId: null,
  cameWithBatchId: null,
  onHand: 2,
  state: {
    place: "cool corner",
    openedOn: null,
    expiresOn: "2031-03-25",
    beans: { sownOn: null, result: null },
    vigour: null,
    hazards: [],
  },
  hold: null,
  ...change,
});
const line = (id: number, change: Partial<ItemView["ledger"][number]> = {}): ItemView["ledger"][number] => ({
  id,
  lotId: 1,
  changeBy: 6,
  kind: "received",
  batchId: null,
  correctsId: null,
  entryId: null,
  corrected: false,
  atMs: NOW_MS,
  note: "",
  actorName: "Ana",
  ...change,
});
const ITEM: ItemView = {
  itemId: "molasses",
  ingredientId: "molasses",
  own: null,
  name: "Molasses",
  unit: "L",
  densityKgPerL: 1.4,
  facts: INGREDIENT_FACTS.molasses,
  composition: null,
  lots: [lot(1), lot(2, { origin: "given", receivedOn: "2031-02-01", costMinor: 0, note: "from Ana" })],
  ledger: [
    line(9, { kind: "corrected", correctsId: 3, changeBy: -1 }),
    line(4, { kind: "used", changeBy: -4, batchId: 12 }),
    line(3, { corrected: true }),
  ],
  terms: null,
  measures: [],
  standsIn: [],
};

describe("the shelves", () => {
  const open = (change: Partial<ShedView> = {}) =>
    renderWith(fakeActions(), <ShedScreen view={{ ...SHED, ...change }} />);
  it("say what each store holds, how long it keeps, what could take it, and what is over", () => {
    open();
    expect(screen.getByText(/keeps 3 months more/)).toBeVisible();
    expect(screen.getByText(/expired 17 h: compost or bare soil/)).toBeVisible();
    expect(screen.getByText(/only 20 h left/)).toBeVisible();
    expect(screen.getByText(/Could take it: Bed 1/)).toBeVisible();
    // What is over is not offered to beds that grow.
    expect(screen.getAllByRole("link", { name: "Apply" }).map((link) => link.getAttribute("href"))).toEqual([
      "/field?store=1",
      "/field?store=3",
    ]);
  });
  it("say of each container what presses most", () => {
    open({
      items: [
        jar(),
        jar({ itemId: "a", name: "A", expiresOn: null, short: 2, reserved: 1 }),
        jar({ itemId: "b", name: "B", expiresOn: null, reorder: true, daysLeft: 4 }),
        jar({ itemId: "c", name: "C", expiresOn: null, heldAmount: 3 }),
        jar({
          itemId: "d",
          name: "D",
          expiresOn: null,
          collecting: { target: 9, outlook: { type: "on-day", inDays: 10, perDayMilli: 1 } },
        }),
        jar({
          itemId: "e",
          name: "E",
          expiresOn: null,
          collecting: { target: 9, outlook: { type: "standing-still" } },
        }),
        jar({ itemId: "f", name: "F", expiresOn: null, collecting: { target: 9, outlook: { type: "enough" } } }),
        jar({ itemId: "g", name: "G", expiresOn: "2031-03-01" }),
      ],
    });
    for (const words of [
      /5 days left/,
      /2 L missing for plans/,
      /1 L reserved/,
      /order again/,
      /lasts 4 days/,
      /3 L on hold/,
      /9 L by 30 Mar 2031/,
      /nothing added lately/,
      /enough for a batch/,
      /some expired/,
    ])
      expect(screen.getByText(words)).toBeVisible();
  });
  it("are searched by name where they are many", () => {
    open({
      items: Array.from({ length: 20 }, (_, index) =>
        jar({ itemId: `i${index}`, name: index === 7 ? "Honey" : `Thing ${index}` }),
      ),
    });
    fireEvent.change(screen.getByLabelText("Find"), { target: { value: "hon" } });
    expect(screen.getAllByRole("link", { name: /in 2 lots$/ })).toHaveLength(1);
    fireEvent.change(screen.getByLabelText("Find"), { target: { value: "zzz" } });
    expect(screen.getByText("Nothing has this name.")).toBeVisible();
    fireEvent.change(screen.getByLabelText("Find"), { target: { value: "vineg" } });
    expect(screen.getByRole("link", { name: "vinegar" })).toHaveAttribute("href", "/shed?item=vinegar");
  });
  it("say what comes next where they are empty", () => {
    open({ stores: [], items: [] });
    expect(screen.getByText(/No inputs yet/)).toBeVisible();
    expect(screen.getByText(/No stock yet/)).toBeVisible();
  });
});

describe("receiving", () => {
  function open(actions = fakeActions()) {
    renderWith(
      actions,
      <MeasuresProvider
        units="metric"
        own={[{ measure: "scoop", ingredientId: "castings", mean: 0.6, least: 0.5, most: 0.7, weighings: 3 }]}
      >
        <ShedScreen
          view={{
            ...SHED,
            own: [
              {
                id: 4,
                name: "Weir duckweed",
                countsAs: "greens",
                densityKgPerL: null,
                keepsD: 2,
                season: [],
                caution: "Rinse it.",
                keeping: "",
                retired: false,
              },
            ],
          }}
        />
      </MeasuresProvider>,
    );
    fireEvent.keyDown(window, { key: "n" });
    return actions;
  }
  const what = (value: string) => fireEvent.change(screen.getByLabelText("What"), { target: { value } });
  it("reads the farm's own measure, and keeps what was typed where it is refused", async () => {
    const actions = open(
      fakeActions({ receiveLot: refused("No.", { "/expiresOn": "The use-by date is before the date received." }) }),
    );
    what("castings");
    fireEvent.change(screen.getByLabelText("How much (kg)"), { target: { value: "5 scoops" } });
    expect(screen.getByText("= 3 kg, between 2.5 kg and 3.5 kg")).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Add to stock" }));
    expect(await screen.findByText("The use-by date is before the date received.")).toBeVisible();
    expect(actions.receiveLot.mock.calls[0]?.[0]).toMatchObject({
      ingredientId: "castings",
      ownId: null,
      amount: 3,
      origin: "home-made",
      receivedOn: "2031-03-20",
      expiresOn: null,
    });
    expect(screen.getByLabelText("How much (kg)")).toHaveValue("5 scoops");
  });
  it("asks of each kind what matters later, and of others nothing", async () => {
    const actions = open();
    what("urine");
    expect(screen.getByLabelText("The donor takes medicine")).toBeVisible();
    what("rice-wash");
    expect(screen.getByLabelText("First rinse (L)")).toBeVisible();
    what("char");
    expect(screen.getByLabelText("Burnt from")).toBeVisible();
    what("molasses");
    expect(screen.queryByText("Where it is from")).toBeNull();
    what("dung-aged");
    fireEvent.change(screen.getByLabelText("Animal"), { target: { value: "horse" } });
    fireEvent.click(screen.getByLabelText(/May contain weedkiller/));
    fireEvent.change(screen.getByLabelText("How much (kg)"), { target: { value: "40" } });
    fireEvent.click(screen.getByRole("button", { name: "Add to stock" }));
    await waitFor(() => expect(actions.receiveLot).toHaveBeenCalled());
    expect(actions.receiveLot.mock.calls[0]?.[0]).toMatchObject({
      provenance: { dung: { animal: "horse", age: "aged", heapedOn: null }, herbicideSuspected: true },
    });
  });
  it("knows the farm's own ingredient, its like and its caution", async () => {
    const actions = open();
    what("own-4");
    expect(screen.getByText("Rinse it.")).toBeVisible();
    fireEvent.change(screen.getByLabelText("How much (kg)"), { target: { value: "2" } });
    fireEvent.click(screen.getByRole("button", { name: "Add to stock" }));
    await waitFor(() =>
      expect(actions.receiveLot.mock.calls[0]?.[0]).toMatchObject({
        ingredientId: "greens",
        ownId: 4,
        origin: "foraged",
        amount: 2,
      }),
    );
  });
});

describe("one container, opened", () => {
  function open(change: Partial<ItemView> = {}, actions = fakeActions()) {
    renderWith(actions, <ShedScreen view={SHED} item={{ ...ITEM, ...change }} />);
    return actions;
  }
  it("lists its lots, oldest first, each at its own price", () => {
    open();
    const lots = within(screen.getByRole("region", { name: "Lots" })).getAllByRole("listitem");
    expect(lots[0]).toHaveTextContent("bought, 1 Jan 2031");
    expect(lots[0]).toHaveTextContent("3.00 crowns per L");
    expect(lots[1]).toHaveTextContent("from Ana");
  });
  it("writes waste with its reason, a count, and what else happened to a lot", async () => {
    const actions = open();
    // A sheet closes when its answer has come, not when it was sent.
    const act = async (word: string) =>
      fireEvent.click(await screen.findByRole("button", { name: `${word}: bought, 1 Jan 2031` }));
    await act("Went out");
    fireEvent.change(screen.getByLabelText("How much (L)"), { target: { value: "500 mL" } });
    fireEvent.change(screen.getByLabelText("Why"), { target: { value: "spilt" } });
    fireEvent.click(screen.getByRole("button", { name: "Remove from stock" }));
    await waitFor(() =>
      expect(actions.wasteLot.mock.calls[0]?.[0]).toMatchObject({ lotId: 1, amount: 0.5, reason: "spilt" }),
    );
    await act("Count");
    fireEvent.change(screen.getByLabelText("Found (L)"), { target: { value: "1,8" } });
    fireEvent.click(screen.getByRole("button", { name: "Save count" }));
    await waitFor(() =>
      expect(actions.countStock.mock.calls[0]?.[0]).toMatchObject({ lines: [{ lotId: 1, counted: 1.8, expected: 2 }] }),
    );
    await act("Opened");
    fireEvent.click(screen.getByRole("button", { name: "Opened" }));
    await waitFor(() =>
      expect(actions.noteLot.mock.calls[0]?.[0]).toMatchObject({ lotId: 1, kind: "opened", onDay: "2031-03-20" }),
    );
  });
  it("corrects a line by a later one, and leaves alone what was corrected", async () => {
    const actions = open();
    const ledger = screen.getByRole("region", { name: "In and out" });
    expect(within(ledger).getAllByRole("button", { name: /^Correct the line/ })).toHaveLength(1);
    fireEvent.click(within(ledger).getByRole("button", { name: /^Correct the line/ }));
    fireEvent.change(screen.getByLabelText("It should say (L)"), { target: { value: "3" } });
    fireEvent.change(screen.getByLabelText("Why"), { target: { value: "a slip" } });
    fireEvent.click(screen.getByRole("button", { name: "Save correction" }));
    await waitFor(() =>
      expect(actions.correctMovement.mock.calls[0]?.[0]).toMatchObject({ movementId: 4, amount: 3, reason: "a slip" }),
    );
  });
  it("shows what holds a lot back, and reads its bean test", async () => {
    const hazards = [
      {
        caution: "herbicide",
        because: { code: "beans-sown", sownOn: "2031-03-01" },
        notBefore: "2031-03-15",
        blocks: false,
        untested: true,
      },
    ] as const;
    const held = lot(1, {
      provenance: { herbicideSuspected: true, dung: { animal: "cow", age: "aged", heapedOn: null } },
      hold: { hard: false, because: hazards[0].because },
      state: { ...lot(1).state, beans: { sownOn: "2031-03-01", result: null }, hazards },
    });
    const actions = open({ lots: [held] });
    expect(screen.getByText(/on hold: bean test sown 1 Mar 2031/)).toBeVisible();
    expect(screen.getByText(/look on 15 Mar 2031/)).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: /^Read the beans/ }));
    fireEvent.click(screen.getByRole("radio", { name: /cupped, twisted/ }));
    fireEvent.click(screen.getByRole("button", { name: "Save result" }));
    await waitFor(() => expect(actions.noteLot.mock.calls[0]?.[0]).toMatchObject({ kind: "beans-damaged" }));
  });
  it("keeps how it is bought, in packs", async () => {
    const actions = open();
    fireEvent.click(screen.getByRole("button", { name: "Add how you buy it" }));
    fireEvent.change(screen.getByLabelText("It holds (L)"), { target: { value: "5" } });
    fireEvent.change(screen.getByLabelText("Delivery time (days)"), { target: { value: "4" } });
    fireEvent.change(screen.getByLabelText("Order when below (L)"), { target: { value: "6 kg" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.setSupply.mock.calls[0]?.[0]).toMatchObject({
        itemId: "molasses",
        packName: "jug",
        packAmount: 5,
        leadD: 4,
        reorderAt: 4.286,
        packCost: null,
      }),
    );
  });
});

describe("a store", () => {
  const openStore = (name: string | RegExp, actions = fakeActions()) => {
    renderWith(actions, <ShedScreen view={SHED} />);
    fireEvent.click(screen.getByRole("button", { name }));
    return actions;
  };
  it("is poured into parts alike", async () => {
    const actions = openStore(
      "Check or pour: Nettle extract",
      fakeActions({ pourStore: { ok: true, value: { storeIds: [8, 9] } } }),
    );
    fireEvent.change(screen.getByLabelText("Each takes (L)"), { target: { value: "5" } });
    fireEvent.click(screen.getByRole("button", { name: "Pour" }));
    await waitFor(() => expect(actions.pourStore.mock.calls[0]?.[0]).toMatchObject({ storeId: 1 }));
    const [{ parts }] = actions.pourStore.mock.calls[0] as [{ parts: object[] }];
    expect(parts).toEqual([parts[0], parts[0]]);
    expect(parts[0]).toMatchObject({ litres: 5, label: "Nettle extract", container: "breathable" });
  });
  it("that is over is offered the heap and bare ground, with its reason", async () => {
    const actions = openStore("Where it goes: Old tea");
    expect(screen.getByText("It is expired")).toBeVisible();
    fireEvent.click(screen.getByRole("radio", { name: /on bare soil/ }));
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.emptyStore.mock.calls[0]?.[0]).toMatchObject({
        storeId: 2,
        litres: 20,
        to: "bare-ground",
        reason: "expired",
      }),
    );
  });
});

describe("counting", () => {
  const view = {
    farm: FARM,
    lots: [
      {
        id: 1,
        itemId: "molasses",
        ingredientId: "molasses",
        name: "Molasses",
        unit: "L" as const,
        densityKgPerL: 1.4,
        receivedOn: "2031-01-01",
        onHand: 2,
        place: "cool corner",
      },
      {
        id: 2,
        itemId: "bran",
        ingredientId: "bran",
        name: "Bran",
        unit: "kg" as const,
        densityKgPerL: 0.25,
        receivedOn: "2031-01-01",
        onHand: 6,
        place: "",
      },
    ],
  };
  it("keeps what was counted while the phone sleeps, with what the books said then", async () => {
    const actions = fakeActions({ countStock: { ok: true, value: { changed: 1 } } });
    const first = renderWith(actions, <CountScreen view={view} />);
    fireEvent.change(screen.getByLabelText("Bran, 1 Jan 2031 (kg)"), { target: { value: "5" } });
    first.unmount();
    const moved = { ...view, lots: view.lots.map((one) => (one.id === 2 ? { ...one, onHand: 4 } : one)) };
    renderWith(actions, <CountScreen view={moved} />);
    expect(screen.getByLabelText("Bran, 1 Jan 2031 (kg)")).toHaveValue("5");
    fireEvent.click(screen.getByRole("button", { name: "Same as recorded: Molasses, 1 Jan 2031" }));
    fireEvent.click(screen.getByRole("button", { name: "Save count" }));
    await waitFor(() =>
      expect(actions.countStock.mock.calls[0]?.[0]).toMatchObject({
        lines: [
          { lotId: 1, counted: 2, expected: 2 },
          { lotId: 2, counted: 5, expected: 6 },
        ],
      }),
    );
    await waitFor(() => expect(screen.getByLabelText("Bran, 1 Jan 2031 (kg)")).toHaveValue(""));
  });
  it("marks the lot that could not be taken, and loses nothing", async () => {
    renderWith(
      fakeActions({
        countStock: refused("Count it again.", { "/lines/0/counted": "1 kg are left by now: count it again." }),
      }),
      <CountScreen view={view} />,
    );
    fireEvent.change(screen.getByLabelText("Bran, 1 Jan 2031 (kg)"), { target: { value: "5" } });
    fireEvent.click(screen.getByRole("button", { name: "Save count" }));
    expect(await screen.findByText("1 kg are left by now: count it again.")).toBeVisible();
    expect(screen.getByLabelText("Bran, 1 Jan 2031 (kg)")).toHaveValue("5");
  });
  it("says so where there is nothing", () => {
    renderWith(fakeActions(), <CountScreen view={{ farm: FARM, lots: [] }} />);
    expect(screen.getByText(/Nothing to count/)).toBeVisible();
  });
});

describe("shopping", () => {
  const LINE: ShoppingView["lines"][number] = {
    ingredient: "molasses",
    name: "Molasses",
    unit: "L",
    short: 6.5,
    firstDay: "2031-03-28",
    forWhat: ["Extract in Drum"],
    pack: { name: "jug", amount: 5, costMinor: 1500, leadD: 4 },
    packs: 2,
    costMinor: 3000,
    orderBy: "2031-03-24",
    lateD: 0,
    how: "buy",
    maker: null,
    least: null,
    standIns: [{ use: "white-sugar", amount: 5.6, inShed: true, costMinor: 250, changes: "Sugar alone." }],
    standInNames: ["White sugar"],
  };
  const view = (change: Partial<ShoppingView> = {}): ShoppingView => ({
    farm: FARM,
    nowMs: NOW_MS,
    today: "2031-03-20",
    plans: [],
    lines: [LINE],
    reorder: [],
    ...change,
  });
  const open = (change: Partial<ShoppingView> = {}) =>
    renderWith(fakeActions(), <ShoppingScreen view={view(change)} />);
  it("lists whole packs, by when, for what, at what price, and what the shed has in its place", () => {
    open();
    expect(screen.getByText("2 jugs of 5 L")).toBeVisible();
    expect(screen.getByText(/Order by 24 Mar 2031: it takes 4 days/)).toBeVisible();
    expect(screen.getAllByText(/30\.00 crowns/).length).toBeGreaterThan(0);
    fireEvent.click(screen.getByRole("button", { name: /The shed has something in its place/ }));
    expect(screen.getByText(/white sugar, in the shed, 2.50 crowns/)).toBeVisible();
  });
  it("says how late an order would come", () => {
    open({ lines: [{ ...LINE, lateD: 3 }] });
    expect(screen.getByText(/comes 3 days too late/)).toBeVisible();
  });
  it("tells an empty list from nothing planned", () => {
    open({ lines: [] });
    expect(screen.getByText(/No plans yet/)).toBeVisible();
  });
  it("gives a plan up", async () => {
    const actions = fakeActions();
    const plan = {
      id: 5,
      methodId: "cultured-extract",
      schoolId: "equal-parts",
      versionNo: null,
      vesselId: 3,
      vesselName: "Drum",
      name: "Extract in Drum",
      basisAmount: 80,
      choice: { include: [], stated: [], substitutes: [] },
      forDay: "2031-03-19",
      note: "",
      lines: [],
      seasonBatch: null,
    };
    renderWith(actions, <ShoppingScreen view={view({ lines: [], plans: [plan] })} />);
    expect(screen.getByText(/was meant for/)).toBeVisible();
    expect(screen.getByRole("link", { name: "Fill it" })).toHaveAttribute("href", "/?fill=3&plan=5");
    fireEvent.click(screen.getByRole("button", { name: "Cancel" }));
    await waitFor(() => expect(actions.dropPlan.mock.calls[0]?.[0]).toMatchObject({ planId: 5 }));
  });
});
