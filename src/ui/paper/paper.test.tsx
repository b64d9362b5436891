import { fireEvent, screen } from "@testing-library/react";
import { paperNamed } from "@/core/paper/papers";
import type { LabelsView } from "@/services/papers/readLabels";
import { at, FARM, fakeActions, NOW_MS, renderWith, WATERS } from "@/testing/views";
import { findRecipe } from "@/core/book";
import { PLANTS } from "@/core/book/plants";
import { mixProgress } from "@/core/mixing/progress";
import { mixingSteps } from "@/core/mixing/steps";
import { scaleRecipe } from "@/core/recipe/scale";
import { LabelsPaper } from "./LabelsPaper";
import { MixingPaper } from "./MixingPaper";
import { PickingPaper } from "./PickingPaper";
import { ShoppingPaper } from "./ShoppingPaper";

const replace = jest.fn();
jest.mock("next/navigation", () => ({
  useRouter: () => ({ replace }),
  usePathname: () => "/paper/labels",
  useSearchParams: () => new URLSearchParams("batch=12"),
}));

const label = (number: string, change: Partial<LabelsView["labels"][number]> = {}): LabelsView["labels"][number] => ({
  name: "Nettle extract",
  number,
  madeMs: at(-500),
  expected: null,
  useByMs: at(900),
  byTheHour: false,
  contents: ["water", "molasses"],
  maker: "Ana",
  dilution: { partsWater: 250, use: "drench-growing" },
  cautions: ["gas-pressure", "manure"],
  litres: 20,
  place: "porch",
  ...change,
});
const VIEW: LabelsView = {
  farm: FARM,
  batchId: 12,
  labels: [label("12/2"), label("12/3")],
  code: { size: 2, dark: [true, false, false, true] },
  address: "http://farm.test/batches/12",
};
const open = (paper: string, copies = 1, hand = false) =>
  renderWith(
    fakeActions(),
    <LabelsPaper view={VIEW} paper={paperNamed(paper)} copies={copies} language="en" hand={hand} />,
  );

describe("labels", () => {
  it("say all that a drum has to, and are alike for every can", () => {
    open("a4", 3);
    const all = screen.getAllByRole("article", { name: "Label 12/2" });
    expect(all).toHaveLength(3);
    for (const words of [
      "Nettle extract",
      "No. 12/2",
      "use by",
      "water, molasses",
      "1:250 drench",
      "Ana",
      "DO NOT DRINK",
      "20 L, porch",
      "Gas can blow the lid",
      "Germs in raw dung",
    ])
      expect(all[0]).toHaveTextContent(words);
    expect(new Set(all.map(({ textContent }) => textContent)).size).toBe(1);
  });
  it("go four on a sheet, one on a piece of roll", () => {
    const { container, unmount } = open("a4", 3);
    expect(container.querySelectorAll("[data-paper=a4]")).toHaveLength(2);
    unmount();
    expect(open("roll-62x100", 3).container.querySelectorAll("[data-paper]")).toHaveLength(6);
  });
  it("leave out on a jar what has no room, never that it is not to drink", () => {
    open("roll-57x32");
    expect(screen.getByRole("article", { name: "Label 12/2" })).toHaveTextContent("DO NOT DRINK");
    expect(screen.getByRole("article", { name: "Label 12/2" })).not.toHaveTextContent("porch");
  });
  it("draw the code as squares with their quiet round them", () => {
    open("a4");
    const code = screen.getAllByRole("img", { name: "Opens batch 12" })[0]!;
    expect(code.getAttribute("viewBox")).toBe("0 0 10 10");
    expect(code.querySelector("path")!.getAttribute("d")).toBe("M4 4h1v1h-1zM5 5h1v1h-1z");
  });
  it("may be copied by marker", () => {
    open("a4", 1, true);
    expect(screen.getByRole("article", { name: "To copy by marker, No. 12/3" })).toHaveTextContent("DO NOT DRINK");
  });
  it("change paper by address", () => {
    open("a4");
    fireEvent.change(screen.getByLabelText("Paper"), { target: { value: "letter" } });
    expect(replace).toHaveBeenCalledWith("/paper/labels?batch=12&paper=letter", { scroll: false });
    fireEvent.change(screen.getByLabelText("Of each"), { target: { value: "5" } });
    expect(replace).toHaveBeenLastCalledWith("/paper/labels?batch=12&copies=5", { scroll: false });
    replace.mockClear();
    fireEvent.change(screen.getByLabelText("Of each"), { target: { value: "900" } });
    expect(replace).not.toHaveBeenCalled();
  });
});

describe("a shopping list on paper", () => {
  it("has a box to tick for each, and stand-ins beside it", () => {
    renderWith(
      fakeActions(),
      <ShoppingPaper
        paper={paperNamed("a4")}
        view={{
          farm: FARM,
          nowMs: NOW_MS,
          today: "2031-03-20",
          plans: [],
          reorder: [],
          lines: [
            {
              ingredient: "molasses",
              name: "Molasses",
              unit: "L",
              short: 6.5,
              firstDay: "2031-03-28",
              forWhat: ["Extract"],
              pack: { name: "jug", amount: 5, costMinor: null, leadD: 4 },
              packs: 2,
              costMinor: null,
              orderBy: "2031-03-24",
              lateD: 0,
              how: "buy",
              maker: null,
              least: null,
              standIns: [{ use: "white-sugar", amount: 5.6, inShed: true, costMinor: 250, changes: "" }],
              standInNames: ["White sugar"],
            },
          ],
        }}
      />,
    );
    expect(screen.getByRole("listitem")).toHaveTextContent("Molasses, 6.5 L: 2 jugs of 5 L. Order by 24 Mar 2031");
    expect(screen.getByRole("listitem")).toHaveTextContent("white sugar (in the shed)");
  });
});

describe("a mixing sheet", () => {
  const recipe = findRecipe("aerated-tea");
  const lines = scaleRecipe({ recipe, vesselL: 200 }).lines.map(({ ingredient, part, unit, amount, role }) => ({
    ingredient,
    slot: ingredient,
    part,
    unit,
    amount,
    role,
  }));
  const open = () =>
    renderWith(
      fakeActions(),
      <MixingPaper
        paper={paperNamed("letter")}
        view={{
          farm: FARM,
          nowMs: NOW_MS,
          id: 0,
          vesselName: "Air drum",
          recipeName: recipe.name,
          family: recipe.family,
          startedMs: NOW_MS,
          startedBy: "",
          progress: mixProgress(mixingSteps(recipe, lines, 160), [], NOW_MS),
          measures: [{ measure: "scoop", ingredientId: "castings", mean: 0.65, least: 0.6, most: 0.7, weighings: 3 }],
          gaps: [],
          cautions: ["electricity-at-water"],
          lines: [],
          waters: WATERS,
          freeVessels: [],
          statedC: null,
          end: null,
        }}
      />,
    );
  it("has a row a step, with room for what really went in and when", () => {
    open();
    expect(screen.getByRole("heading", { name: "Aerated castings tea in Air drum" })).toBeVisible();
    const rows = screen.getAllByRole("row");
    expect(rows).toHaveLength(1 + mixingSteps(recipe, lines, 160).length);
    for (const row of rows.slice(1)) expect(row.querySelectorAll("td")).toHaveLength(5);
  });
  it("says amounts in the farm's measures, checks as boxes, clocks and cautions in words", () => {
    open();
    const castings = screen.getByRole("row", { name: /Worm castings/ });
    expect(castings).toHaveTextContent(/about \d+(½)? scoops/);
    expect(castings).toHaveTextContent("(alive)");
    expect(screen.getByRole("row", { name: /Molasses/ })).toHaveTextContent("Then 15 min mixing.");
    expect(screen.getByRole("row", { name: /Before the power/ })).toHaveTextContent(
      "☐ Safety switch (RCD, GFCI) is on and tested",
    );
    expect(screen.getByText(/safety switch/)).toBeVisible();
    expect(screen.getByText(/Follow local law, your certifier/)).toBeVisible();
  });
});

describe("a picking list", () => {
  const open = (sunriseMs: number | null) =>
    renderWith(
      fakeActions(),
      <PickingPaper
        paper={paperNamed("a4")}
        view={{
          farm: FARM,
          nowMs: NOW_MS,
          today: "2031-03-20",
          season: "spring",
          sunriseMs,
          groups: [
            {
              kind: "leafy",
              good: "leaf growth",
              plants: PLANTS.filter(({ kind, refused }) => kind === "leafy" && refused === null),
            },
          ],
          refused: PLANTS.filter(({ refused }) => refused !== null),
          inSeason: [],
          wanted: [],
          crops: [],
          places: [],
          bins: [],
        }}
      />,
    );
  it("says when the sun is up, marks what wants care, and names every poisonous plant", () => {
    open(at(18));
    expect(screen.getByText(/Sun up 06:00, 21 Mar 2031/)).toBeVisible();
    expect(screen.getByText(/nettle ▲/)).toBeVisible();
    for (const { name } of PLANTS.filter(({ refused }) => refused !== null))
      expect(screen.getByText(/^By name:/).parentElement).toHaveTextContent(name);
  });
  it("has lines to write on, and does without a sunrise", () => {
    open(null);
    expect(screen.getAllByRole("row")).toHaveLength(9);
    expect(screen.queryByText(/Sun up/)).toBeNull();
  });
});
