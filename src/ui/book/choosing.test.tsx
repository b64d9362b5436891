import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { findRecipe, METHODS } from "@/core/book";
import { GOAL_IDS, GOALS } from "@/core/book/goals";
import { leadTime } from "@/core/choose/leadTime";
import { bookDocument } from "@/core/recipe/document";
import { scaleRecipe } from "@/core/recipe/scale";
import type { BookView } from "@/services/book/readBook";
import { FARM, fakeActions, makingOf, NOW_MS, refused, renderWith, vesselOf, NO_RECORD } from "@/testing/views";
import { BookScreen } from "./BookScreen";
import { drumCost, plannedCost } from "./drumCost";
import { MethodScreen } from "./MethodScreen";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, replace: jest.fn(), refresh: jest.fn() }) }));

const LEAD = Object.fromEntries(METHODS.map(({ id }) => [id, leadTime(findRecipe(id), 20)]));
const held = (ingredientId: string, onHand: number) => ({
  ingredientId,
  name: ingredientId,
  unit: "kg" as const,
  onHand,
  lots: [],
  softHeld: 0,
  heldBecause: null,
  expiresOn: null,
  unitCostMinor: 0,
});
const viewOf = (change: Partial<BookView> = {}): BookView => ({
  ...makingOf(),
  farm: FARM,
  nowMs: NOW_MS,
  vessels: [
    vesselOf("Drum", { id: 1, volumeL: 200, status: "free" }),
    vesselOf("Pail", { id: 5, volumeL: 20, status: "free" }),
    vesselOf("Air drum", { id: 2, volumeL: 100, airW: 60, status: "running" }),
  ],
  priceMinor: { molasses: 300, eggshell: 0 },
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
const open = (startBy: "goal" | "hand" | "all", change: Partial<BookView> = {}, actions = fakeActions()) => {
  renderWith(actions, <BookScreen view={viewOf(change)} startBy={startBy} />);
  return actions;
};
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const region = (name: string) => screen.getByRole("region", { name });

describe("by what is needed", () => {
  it.each(GOAL_IDS)("%s: every answer says why, how long, what of hands and money, and how strong", (goal) => {
    open("goal");
    fireEvent.click(screen.getByRole("radio", { name: GOALS[goal] }));
    const items = within(screen.getByRole("list", { name: GOALS[goal] })).getAllByRole("listitem");
    expect(items.length).toBeGreaterThan(0);
    for (const item of items) {
      expect(item).toHaveTextContent(/^.*(Made for it|Serves well|Helps)\./);
      expect(item).toHaveTextContent(/h of hands for a drum of 200 L/);
      expect(item).toHaveTextContent(/min to fill/);
    }
  });
  it("tells seedlings' own strength, and what has no price yet", () => {
    open("goal");
    fireEvent.click(screen.getByRole("radio", { name: "Settle in seedlings" }));
    expect(screen.getByRole("list", { name: "Settle in seedlings" })).toHaveTextContent(
      /Seedlings: 1:\d+.*never stronger than 1:/,
    );
    fireEvent.click(screen.getByRole("radio", { name: "Calcium" }));
    expect(screen.getByRole("list", { name: "Calcium" })).toHaveTextContent(/no price yet for vinegar/);
  });
  it("says where spreading compost would do as well", () => {
    open("goal");
    fireEvent.click(screen.getByRole("radio", { name: "Wake tired soil" }));
    expect(screen.getByText(/Ripe compost spread 1 cm thick/)).toBeVisible();
  });
});

describe("from what is at hand", () => {
  it("lists what it makes, what it takes with what is there, and hands the amount on to scaling", () => {
    open("hand", { shelf: [held("brown-sugar", 2), held("white-sugar", 40)] });
    type("What is at hand", "10 kg nettles");
    const juice = within(region("10 kg nettles"))
      .getAllByRole("listitem")
      .find((item) => item.textContent?.includes("plant juice"))!;
    expect(juice).toHaveTextContent(/10 kg of brown sugar \(white sugar can replace it\)/);
    expect(within(juice).getByRole("link")).toHaveAttribute("href", "/book/plant-juice?scale&limit=plant&amount=10");
  });
  it("caps what it makes at the largest vessel", () => {
    open("hand");
    type("What is at hand", "400 kg nettles");
    expect(region("400 kg nettles")).toHaveTextContent(/kg of it fill the largest/);
  });
  it.each([
    ["2 kg of mouldy apples", "Not into anything for crops"],
    ["5 kg ragwort", "Never"],
    ["1 kg xyzzy", "Unknown ingredient"],
  ])("%s: %s", (typed, said) => {
    open("hand");
    type("What is at hand", typed);
    expect(within(region(typed)).getByText(said)).toBeVisible();
    expect(within(region(typed)).queryByRole("link")).toBeNull();
  });
  it("keeps what was weighed when something else is typed after it", () => {
    open("hand");
    type("What is at hand", "a sack of clover");
    type("What does it weigh? (kg)", "4");
    type("What is at hand", "a sack of clover and 2 L milk");
    expect(screen.getByLabelText("What does it weigh? (kg)")).toHaveValue("4");
    expect(region("2 L milk")).toHaveTextContent("Dilute milk or whey");
  });
});

describe("reading a recipe in", () => {
  const openImport = (actions = fakeActions(), change: Partial<BookView> = {}) => {
    open("all", change, actions);
    fireEvent.click(screen.getByRole("button", { name: "Import a recipe" }));
    return actions;
  };
  const keep = () => screen.getByRole("button", { name: "Keep it as our own version" });
  it("keeps a whole one as the next version", async () => {
    const version = {
      methodId: "plant-juice",
      schoolId: "equal-weight",
      versionNo: 2,
      document: bookDocument("plant-juice"),
      unconfirmed: [],
      actorName: "Ana",
      addedMs: NOW_MS,
    };
    const actions = openImport(fakeActions(), { versions: [version] });
    type("Or its text", JSON.stringify(bookDocument("plant-juice"), null, 2));
    expect(region("What was read")).toHaveTextContent("Equal weight, of sugar-drawn plant juice");
    fireEvent.click(keep());
    await waitFor(() => expect(push).toHaveBeenCalledWith("/book/plant-juice"));
    expect(actions.saveRecipe).toHaveBeenCalledWith(expect.objectContaining({ basedOn: 2, confirmed: false }));
  });
  it("shows each line that is wrong with its text, and keeps nothing", () => {
    const actions = openImport();
    const text = JSON.stringify({ ...bookDocument("plant-juice"), lid: "jar", shelfH: -1 }, null, 2);
    type("Or its text", text);
    const wrong = region("What is wrong");
    const lineOf = (part: string) => text.split("\n").findIndex((line) => line.includes(part)) + 1;
    expect(within(wrong).getByText(`Line ${lineOf('"lid"')}`)).toBeVisible();
    expect(within(wrong).getByText(`Line ${lineOf('"shelfH"')}`)).toBeVisible();
    expect(keep()).toBeDisabled();
    expect(actions.saveRecipe).not.toHaveBeenCalled();
  });
  it("holds a strange figure until it is said to be meant", async () => {
    const document = bookDocument("cultured-extract");
    const strange = {
      ...document,
      ingredients: document.ingredients.map((line) =>
        line.ingredient === "molasses"
          ? { ...line, amount: { type: "per-basis", perBasis: { low: 0.2, default: 0.3, high: 0.4 }, unit: "L" } }
          : line,
      ),
    };
    const actions = openImport();
    type("Or its text", JSON.stringify(strange));
    expect(screen.getByText("Check these amounts")).toBeVisible();
    fireEvent.click(screen.getByRole("checkbox", { name: "Yes, these amounts are right" }));
    fireEvent.click(keep());
    await waitFor(() => expect(actions.saveRecipe).toHaveBeenCalledWith(expect.objectContaining({ confirmed: true })));
  });
  it("reads a file", async () => {
    openImport();
    const file = new File(["not json"], "recipe.json", { type: "application/json" });
    Object.defineProperty(file, "text", { value: async () => "not json" });
    fireEvent.change(screen.getByLabelText("A file"), { target: { files: [file] } });
    await waitFor(() => expect(screen.getByLabelText("Or its text")).toHaveValue("not json"));
    expect(region("What is wrong")).toHaveTextContent("Not JSON");
  });
  it("says what the server refused, and keeps the text", async () => {
    const actions = fakeActions();
    actions.saveRecipe.mockResolvedValue(refused("Someone kept version 3 meanwhile.", {}));
    openImport(actions);
    type("Or its text", JSON.stringify(bookDocument("plant-juice")));
    fireEvent.click(keep());
    await waitFor(() => expect(screen.getByText("Someone kept version 3 meanwhile.")).toBeVisible());
    expect(screen.getByLabelText("Or its text")).not.toHaveValue("");
  });
});

describe("the scale panel", () => {
  const scale = (
    methodId: string,
    limit: { ingredient: "plant" | "castings"; amount: number } | null = null,
    change: Partial<BookView> = {},
  ) =>
    renderWith(
      fakeActions(),
      <MethodScreen starts={[]} record={NO_RECORD} view={viewOf(change)} methodId={methodId} scaleFrom={{ limit }} />,
    );
  const table = () => screen.getByRole("table", { name: "What goes in" });
  it("starts with the free vessel, and leads to filling it by this recipe", () => {
    scale("cultured-extract");
    expect(screen.getByLabelText("Vessel")).toHaveValue("1");
    expect(screen.getByRole("link", { name: "Fill Drum" })).toHaveAttribute(
      "href",
      "/?fill=1&method=cultured-extract&school=equal-parts",
    );
    expect(screen.getByRole("img", { name: "filled to 85 %" })).toBeInTheDocument();
  });
  it("offers only vessels with air to what wants air, and none that is taken to fill", () => {
    scale("aerated-tea");
    expect(within(screen.getByLabelText("Vessel")).queryByRole("option", { name: /^Drum/ })).toBeNull();
    fireEvent.change(screen.getByLabelText("Vessel"), { target: { value: "2" } });
    expect(screen.getByText("Air drum is not free just now.")).toBeVisible();
    expect(screen.getByText(/L a minute/)).toBeVisible();
    expect(screen.getByText(/a heater of .* W holds 21 °C/)).toBeVisible();
    expect(screen.getByText(/some growers find that it does as well/)).toBeVisible();
  });
  it("takes a vessel that is not the farm's, and moves the level as it is typed", () => {
    scale("cultured-extract");
    fireEvent.change(screen.getByLabelText("Vessel"), { target: { value: "" } });
    type("It holds (L)", "50");
    expect(table()).toHaveTextContent(/Water.*41\.5 L/);
    type("It holds (L)", "-50");
    expect(screen.getAllByText(/No amount is below nothing/).length).toBeGreaterThan(0);
    expect(screen.queryByRole("table", { name: "What goes in" })).toBeNull();
    expect(screen.getByRole("img", { name: "empty" })).toBeInTheDocument();
  });
  it("goes as far as what the chooser found goes", () => {
    scale("plant-juice", { ingredient: "plant", amount: 3 });
    expect(screen.getByLabelText("Chopped plant (kg)")).toHaveValue("3");
    expect(screen.getByLabelText("What limits it")).toHaveTextContent(
      "chopped plant goes to 3 kg of chopped plant and governs",
    );
    expect(table()).toHaveTextContent("by the vessel’s width");
  });
  it("spreads over vessels, and says what found none", () => {
    scale("cultured-extract");
    fireEvent.click(screen.getByRole("radio", { name: "Over several vessels" }));
    type("Water (L)", "300");
    const parts = region("Over several vessels");
    expect(within(parts).getAllByRole("listitem")).toHaveLength(2);
    expect(within(parts).getByRole("alert")).toHaveTextContent(/find no vessel: tick another/);
  });
  it("puts a stand-in for what is short, and what nobody states, and says so", () => {
    scale("cultured-extract");
    type("Instead of molasses", "white-sugar");
    expect(screen.getByText("White sugar in place of molasses")).toBeVisible();
    expect(table()).toHaveTextContent("White sugar");
  });
  it("says all the water it asks for, beside what is set aside", () => {
    scale("cultured-extract");
    fireEvent.click(screen.getByRole("radio", { name: "So much water" }));
    type("Water (L)", "10");
    expect(screen.getByLabelText("Water in all")).toHaveTextContent(
      /Water in all: 2.390 L, 10 L to brew, 2.375 L to dilute it all at 1:250 \(drench, growing plants\), 5 L to rinse\. Set aside to stand: none\./,
    );
  });
  it("works out the land", () => {
    scale("cultured-extract");
    fireEvent.click(screen.getByRole("radio", { name: "Area to treat" }));
    type("Land (m²)", "1000");
    fireEvent.change(screen.getByLabelText("Used as"), { target: { value: "drench-growing" } });
    expect(screen.getByRole("status")).toHaveTextContent(/2.000 L of mix at 1:250 take 7\.97 L of it/);
    expect(screen.getByRole("status")).toHaveTextContent(/200 cans of 10 L, about 17 h and 2.000 kg carried/);
    expect(screen.getByText(/Compost made in place/)).toBeVisible();
    fireEvent.click(screen.getByRole("radio", { name: /times, until it is over/ }));
    expect(screen.getByRole("status")).toHaveTextContent(/every \d+ days/);
    type("Land (m²)", "10");
    fireEvent.click(screen.getByRole("radio", { name: "once" }));
    expect(screen.queryByText(/Compost made in place/)).toBeNull();
  });
});

describe("what a drum would cost", () => {
  const prices = { priceMinor: { "molasses": 300, "lactic-culture": 100 }, labourMinorPerH: 1200 };
  it("is its lots and hands, without what has no price, which is named", () => {
    const recipe = findRecipe("cultured-extract");
    const scaled = scaleRecipe({ recipe, vesselL: 200, targetBasis: 100 });
    const { totalMinor, perUnitMinor, unpriced } = plannedCost(recipe, scaled, prices, 14);
    // A litre each of molasses and serum, and hands at 12 an hour.
    const hands = ((recipe.work.fillMin + 14 * recipe.work.dayMin + recipe.work.closeMin) / 60) * 1200;
    expect(totalMinor).toBe(400 + Math.round(hands));
    expect(perUnitMinor).toBeCloseTo(totalMinor / 95, 9);
    expect(unpriced).toEqual([]);
    expect(plannedCost(recipe, scaled, { ...prices, priceMinor: {} }, 14).unpriced).toEqual([
      "molasses",
      "lactic culture",
    ]);
  });
  it("is worked out for every method without a hitch", () => {
    for (const { id } of METHODS) expect(drumCost(findRecipe(id), prices, 10).totalMinor).toBeGreaterThan(0);
  });
});
