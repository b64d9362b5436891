import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { bookDocument } from "@/core/recipe/document";
import { leadTime } from "@/core/choose/leadTime";
import { findRecipe, METHODS } from "@/core/book";
import { findIngredient } from "@/core/book/ingredients";
import type { BookView } from "@/services/book/readBook";
import { FARM, fakeActions, makingOf, NOW_MS, refused, renderWith, vesselOf, NO_RECORD } from "@/testing/views";
import { BookScreen } from "./BookScreen";
import { documentFrom, draftOf } from "./editDraft";
import type { PeakStartView } from "@/services/ferment/peakStarts";
import { MethodScreen } from "./MethodScreen";
import { readMeasured } from "@/formats/measured";
import { workScale, type ScaleDraft } from "./scaleDraft";

const push = jest.fn();
const replace = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, replace, refresh: jest.fn() }) }));

const LEAD = Object.fromEntries(METHODS.map(({ id }) => [id, leadTime(findRecipe(id), 20)]));
const viewOf = (change: Partial<BookView> = {}): BookView => ({
  ...makingOf(),
  farm: FARM,
  nowMs: NOW_MS,
  vessels: [
    vesselOf("Drum", { id: 1, volumeL: 200, status: "free" }),
    vesselOf("Air drum", { id: 2, volumeL: 100, airW: 60, status: "running" }),
  ],
  priceMinor: { molasses: 300 },
  labourMinorPerH: 1200,
  airC: 14,
  lead: LEAD,
  leadIndoors: {},
  wanted: null,
  beds: [],
  canL: null,
  measures: [],
  ...change,
});
const method = (methodId: string, actions = fakeActions(), view = viewOf(), starts: readonly PeakStartView[] = []) => {
  renderWith(
    actions,
    <MethodScreen starts={starts} record={NO_RECORD} view={view} methodId={methodId} scaleFrom={null} />,
  );
  return actions;
};
const versionOf = (versionNo: number, change: object = {}) => ({
  methodId: "cultured-extract",
  schoolId: "equal-parts",
  versionNo,
  document: { ...bookDocument("cultured-extract"), name: `Ours ${versionNo}`, ...change },
  unconfirmed: [],
  actorName: "Ana",
  addedMs: NOW_MS,
});

describe("the field book", () => {
  it("shows every method, told from its likes by sugar, water, air and time", () => {
    renderWith(fakeActions(), <BookScreen view={viewOf()} startBy="all" />);
    for (const { name } of METHODS) expect(screen.getByRole("link", { name })).toBeVisible();
    expect(screen.getAllByText(/Sugar: .* Water: .* Air: .* Time:/).length).toBe(METHODS.length);
  });
  it("tells of a bloom when to start it to be best in fit hours, and of what keeps nothing", () => {
    const hour = (hours: number) => NOW_MS + hours * 3_600_000;
    const start = { startMs: hour(6), peakMs: hour(38), bandFromMs: hour(37), bandToMs: hour(40) };
    method("aerated-tea", fakeActions(), viewOf(), [start]);
    const part = screen.getByRole("heading", { name: "When to start, to be best at a good time" }).closest("section")!;
    expect(within(part).getAllByRole("listitem")).toHaveLength(1);
    expect(part).toHaveTextContent(/Start it .*best .*, fit \d\d:\d\d to \d\d:\d\d/);
    expect(part).toHaveTextContent("smell it before");
    cleanup();
    method("cultured-extract");
    expect(screen.queryByRole("heading", { name: /to be best in fit hours/ })).toBeNull();
  });
  it("says what can be made of the shed as it is", () => {
    const shelf = [
      {
        ingredientId: "milk",
        name: "Milk",
        unit: "L" as const,
        onHand: 3,
        lots: [],
        softHeld: 0,
        heldBecause: null,
        expiresOn: null,
        unitCostMinor: 0,
      },
    ];
    renderWith(fakeActions(), <BookScreen view={viewOf({ shelf })} startBy="hand" />);
    const fromShed = screen.getByRole("region", { name: "From the shed" });
    expect(within(fromShed).getByRole("link", { name: "Dilute milk or whey" }).closest("li")).toHaveTextContent(
      "can be made today",
    );
  });
  it("goes to the server for a day, and shows what it refused", () => {
    const wanted = {
      day: "2031-03-22",
      problem: null,
      starts: [
        {
          methodId: "cultured-extract",
          answer: { fits: false, because: "too-late", lead: LEAD["cultured-extract"]!, liquidC: 14 },
        },
      ],
    } as const;
    renderWith(fakeActions(), <BookScreen view={viewOf({ wanted })} startBy="day" />);
    expect(screen.getByText(/Too late for that day: 14 °C expected/)).toBeVisible();
    fireEvent.change(screen.getByLabelText("Ready by"), { target: { value: "2031-04-20" } });
    expect(replace).toHaveBeenCalledWith("/book?by=day&day=2031-04-20", { scroll: false });
  });
  it("weighs the farm's own handful", async () => {
    const actions = fakeActions();
    renderWith(
      actions,
      <BookScreen
        view={viewOf({
          measures: [
            { measure: "handful", ingredientId: "leaf-mould", mean: 0.09, least: 0.08, most: 0.1, weighings: 3 },
          ],
        })}
        startBy="all"
      />,
    );
    fireEvent.click(screen.getByRole("button", { name: "Weigh own measure" }));
    expect(screen.getByText("90 g, 80 g to 100 g in 3")).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Save weight" }));
    await waitFor(() => expect(screen.getByText("This must be a number.")).toBeVisible());
    expect(actions.weighMeasure).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText("It came to (kg)"), { target: { value: "0,085" } });
    fireEvent.click(screen.getByRole("button", { name: "Save weight" }));
    await waitFor(() =>
      expect(actions.weighMeasure).toHaveBeenCalledWith(
        expect.objectContaining({ measure: "handful", ingredientId: "leaf-mould", amount: 0.085 }),
      ),
    );
    fireEvent.click(screen.getByRole("button", { name: /^Take the last weighing back: handful of/ }));
    await waitFor(() =>
      expect(actions.takeBackWeighing).toHaveBeenCalledWith(
        expect.objectContaining({ measure: "handful", ingredientId: "leaf-mould" }),
      ),
    );
  });
});

describe("a method", () => {
  it.each(METHODS.map(({ id, name }) => [id, name] as const))(
    "%s: shows its making, signs, figures and cautions",
    (id, name) => {
      method(id);
      expect(screen.getByRole("heading", { name, level: 1 })).toBeVisible();
      expect(screen.getByRole("region", { name: "Making it" })).toBeVisible();
      expect(screen.getByRole("region", { name: "How to judge it" })).toHaveTextContent("Ready");
      expect(screen.getByRole("region", { name: "Safety" })).toHaveTextContent(/Follow local law/);
    },
  );
  it("stands its schools side by side, with the cautious one and the farm's", () => {
    method("shell-calcium");
    const head = screen.getByRole("columnheader", { name: /Four to one/ });
    expect(head).toHaveTextContent("◆ cautious, ● our choice");
    const schools = screen.getByRole("region", { name: "Recipes side by side" });
    expect(within(schools).getByRole("row", { name: /^Crushed eggshell/ })).toHaveTextContent(
      "250 g/L100 g/L× 2.5 apart",
    );
  });
  it("lets the farm pick another school, not a version that nobody confirmed", async () => {
    const held = {
      ...versionOf(1),
      unconfirmed: [{ weight: "unconfirmed" as const, path: "/x", text: "A slip, or meant?" }],
    };
    const actions = method("cultured-extract", fakeActions(), viewOf({ versions: [held] }));
    fireEvent.click(screen.getByRole("radio", { name: /own version 1/ }));
    expect(screen.getByText("Not confirmed: cannot be used yet")).toBeVisible();
    expect(screen.getByRole("button", { name: "Use this recipe" })).toBeDisabled();
    fireEvent.click(screen.getByRole("radio", { name: /^More plant/ }));
    fireEvent.click(screen.getByRole("button", { name: "Use this recipe" }));
    await waitFor(() =>
      expect(actions.chooseRecipe).toHaveBeenCalledWith(
        expect.objectContaining({ methodId: "cultured-extract", schoolId: "more-plant", versionNo: null }),
      ),
    );
  });
  it("shows the difference of the last two versions, and of any two", () => {
    method(
      "cultured-extract",
      fakeActions(),
      viewOf({ versions: [versionOf(1, { shelfH: 24 }), versionOf(2, { shelfH: 48 })] }),
    );
    const table = screen.getByRole("table", { name: "What differs" });
    expect(within(table).getByRole("row", { name: /^Keeps/ })).toHaveTextContent("1 d2 d");
    fireEvent.change(screen.getByLabelText("To"), { target: { value: "equal-parts/1" } });
    expect(screen.getByText("They are the same.")).toBeVisible();
  });
});

describe("the farm's own version", () => {
  const RECIPE = findRecipe("cultured-extract");
  it("is the book's until something is typed, and carries what is", () => {
    const draft = draftOf(RECIPE, "metric");
    expect(documentFrom(RECIPE, draft, "metric")).toEqual({
      ...bookDocument("cultured-extract"),
      source: "",
      note: "",
    });
    const changed = documentFrom(
      RECIPE,
      { ...draft, fillPercent: "80", dilutions: draft.dilutions.map(() => "600") },
      "metric",
    );
    expect(changed.fillShare).toEqual({ low: 0.8, default: 0.8, high: 0.9 });
    for (const { partsWater } of changed.uses) {
      expect(partsWater.default).toBe(600);
      expect(partsWater.weakest).toBeGreaterThanOrEqual(600);
    }
  });
  it.each(["metric", "us"] as const)("of every method leaves untouched figures alone, in %s units", (units) => {
    for (const { id } of METHODS) {
      const recipe = findRecipe(id);
      expect(documentFrom(recipe, draftOf(recipe, units), units).ingredients).toEqual(recipe.ingredients);
    }
  });
  it("is typed in gallons and pounds where the farm talks so", () => {
    const draft = draftOf(RECIPE, "us");
    const at = RECIPE.ingredients.findIndex(
      ({ ingredient, amount }) => amount.type === "per-basis" && findIngredient(ingredient).stockUnit === "kg",
    );
    const amounts = draft.amounts.map((one, index) => (index === at ? { low: "1", usual: "2", high: "3" } : one));
    const { amount } = documentFrom(RECIPE, { ...draft, amounts }, "us").ingredients[at]!;
    // Two pounds to the gallon: 2 × 0.45359237 kg ÷ 3.785411784 L.
    expect(amount.type === "per-basis" && amount.perBasis.default).toBeCloseTo(0.239653, 6);
  });
  it("sends the whole document on the newest version, and says what the server refused at its field", async () => {
    const actions = fakeActions();
    actions.saveRecipe.mockResolvedValue(
      refused("Someone kept version 2 meanwhile.", { "/basedOn": "There is a newer version." }),
    );
    method("cultured-extract", actions, viewOf({ versions: [versionOf(1)] }));
    fireEvent.click(screen.getByRole("button", { name: "Make own version" }));
    fireEvent.change(screen.getByLabelText("Molasses, usual"), { target: { value: "0.015" } });
    fireEvent.change(screen.getByLabelText("Molasses, highest"), { target: { value: "0.02" } });
    fireEvent.click(screen.getByRole("button", { name: "Save version 2" }));
    await waitFor(() => expect(screen.getByText("Someone kept version 2 meanwhile.")).toBeVisible());
    const sent = actions.saveRecipe.mock.calls[0]![0] as {
      basedOn: number;
      document: { ingredients: { amount: object }[] };
    };
    expect(sent.basedOn).toBe(1);
    expect(sent.document.ingredients[1]!.amount).toMatchObject({
      perBasis: { low: 0.015, default: 0.015, high: 0.02 },
    });
    expect(screen.getByLabelText("Molasses, usual")).toHaveValue("0.015");
  });
  it("adds and strikes out steps, and keeps the signs of failure", () => {
    method("cultured-extract");
    fireEvent.click(screen.getByRole("button", { name: "Make own version" }));
    const panel = screen.getByRole("dialog");
    const steps = () => within(panel).getAllByLabelText(/^Step \d/).length;
    const before = steps();
    fireEvent.click(within(panel).getByRole("button", { name: "Add a step" }));
    expect(steps()).toBe(before + 1);
    fireEvent.click(within(panel).getAllByRole("button", { name: "Cross out" }).at(-1)!);
    expect(steps()).toBe(before);
    expect(within(panel).getByLabelText(/^coloured mould/)).toBeDisabled();
  });
});

describe("scaling while it is typed", () => {
  const draft = (change: Partial<ScaleDraft> = {}): ScaleDraft => ({
    recipe: findRecipe("cultured-extract"),
    vessel: "200",
    diameterM: null,
    by: "vessel",
    wanted: "",
    depth: "",
    land: "",
    bedsM2: 0,
    often: "once",
    units: "metric",
    read: (text, of) => readMeasured(text, of, [], change.units ?? "metric"),
    useId: "drench-growing",
    limits: {},
    stated: {},
    include: [],
    swaps: {},
    splitVessels: [],
    ...change,
  });
  it("goes by the vessel, an amount, a depth, the land", () => {
    expect(workScale(draft()).scaled!.limitedBy).toBe("vessel");
    expect(workScale(draft({ by: "amount", wanted: "50" })).scaled!.basisAmount).toBe(50);
    const half = workScale(draft({ by: "depth", depth: "39" })).scaled!;
    expect(half.basisAmount).toBeGreaterThan(90);
    expect(half.basisAmount).toBeLessThan(130);
    // 500 m² at 2 L/m² and 1:250 take 3.98 L of it, so 4.19 L of water at 95 % yield.
    const land = workScale(draft({ by: "land", land: "500" }));
    expect(land.land).toMatchObject({ mixL: 1000, partsWater: 250, rounds: 1 });
    expect(land.scaled!.basisAmount).toBeCloseTo(4.19, 2);
    // Beds count as land typed does, in whatever unit that is.
    expect(workScale(draft({ by: "land", land: "5380 sq ft" })).scaled!.basisAmount).toBeCloseTo(4.19, 1);
    expect(workScale(draft({ by: "land", land: "5380", units: "us" })).scaled!.basisAmount).toBeCloseTo(4.19, 1);
    expect(workScale(draft({ by: "land", land: "100", bedsM2: 400 })).scaled!.basisAmount).toBeCloseTo(4.19, 2);
  });
  it("goes as far as the tightest of several limits", () => {
    const { scaled } = workScale(draft({ limits: { "molasses": "1", "lactic-culture": "0.5" } }));
    expect(scaled!.limitedBy).toBe("lactic-culture");
    expect(scaled!.bounds.map(({ by }) => by)).toEqual(["lactic-culture", "molasses", "vessel"]);
  });
  it.each([
    ["a vessel in words", { vessel: "big" }, "vessel", "A number, please"],
    ["no vessel", { vessel: "" }, "vessel", "How large is the vessel?"],
    ["an absurd vessel", { vessel: "5000000" }, "vessel", "must lie between"],
    ["a vessel below nothing", { vessel: "-4" }, "vessel", "No amount is below nothing."],
    ["no amount", { by: "amount" }, "wanted", "How much?"],
    ["nothing wanted", { by: "amount", wanted: "0" }, "wanted", "must be above 0, not 0 mL"],
    ["more than fits", { by: "amount", wanted: "190" }, "wanted", "up to its fill line"],
    ["a depth above the rim", { by: "depth", depth: "900" }, "depth", "The depth must lie between"],
    ["a depth in words", { by: "depth", depth: "knee-high" }, "depth", "A number, please"],
    ["no land", { by: "land", land: "0" }, "land", "Which beds, or how much land?"],
    ["land with no use", { by: "land", land: "10", useId: null }, "land", "For which use?"],
    ["land in words", { by: "land", land: "a field" }, "land", "A number, please"],
    ["a limit of nothing", { limits: { molasses: "0" } }, "limits/molasses", "must be above 0, not 0 mL"],
    ["a limit in words", { limits: { molasses: "some" } }, "limits/molasses", "A number, please"],
    ["no vessel to split over", { by: "split", wanted: "100" }, "split", "The number of vessels"],
  ] as const)("says at its field what is wrong with %s", (_what, change, field, text) => {
    const { scaled, problem } = workScale(draft(change as Partial<ScaleDraft>));
    expect(scaled).toBeNull();
    expect(problem).toMatchObject({ field });
    expect(problem!.text).toContain(text);
  });
  it("asks for what nobody states, and refuses nonsense there", () => {
    const tea = draft({ recipe: findRecipe("feeding-tea") });
    expect(workScale(tea).scaled!.asks.map(({ ingredient }) => ingredient)).toEqual(["guano"]);
    const with_ = workScale({ ...tea, stated: { guano: "0.5" } }).scaled!;
    expect(with_.lines.find(({ ingredient }) => ingredient === "guano")).toMatchObject({
      amount: 0.5,
      follows: "nothing",
    });
    expect(workScale({ ...tea, stated: { guano: "-1" } }).problem).toMatchObject({ field: "stated/guano" });
  });
});
