import { fireEvent, screen, waitFor } from "@testing-library/react";
import { findRecipe } from "@/core/book";
import { batchContent } from "@/core/recipe/composition";
import type { BatchPage } from "@/services/batch/readBatch";
import { batchOf, FARM, PAGE_REST, fakeActions, NOW_MS, refused, renderWith, storeOf } from "@/testing/views";
import { ContentTable } from "../content/ContentTable";
import { BatchScreen } from "./BatchScreen";
import { CloseSheet } from "./CloseSheet";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const pageOf = (methodId: string, change: Partial<BatchPage> = {}): BatchPage => ({
  ...PAGE_REST,
  farm: FARM,
  nowMs: NOW_MS,
  batch: batchOf(methodId),
  vesselName: "Crock",
  vesselKind: "jar",
  vesselId: 1,
  place: null,
  startedBy: "Ana",
  close: null,
  lines: [{ ingredientId: "rice-wash", name: "Rice wash", part: "mix", unit: "L", planned: 10, used: 10 }],
  log: [],
  cost: { totalMinor: 500, perLMinor: null, breakdown: [] },
  stores: [],
  applications: [],
  cautions: ["sodium"],
  sureness: "Well agreed.",
  targetPh: null,
  water: { sourceName: "Tap", overrideReason: "butt dry" },
  later: [
    { ingredient: "brown-sugar", unit: "kg", amount: 0.275, onDay: 2, role: "feeds the second half", done: false },
  ],
  madeFrom: [{ batchId: 3, name: "Rice wash" }],
  wentInto: [{ batchId: 9, name: "Plant extract" }],
  inherited: ["Germs in raw dung."],
  content: batchContent(findRecipe(methodId), [{ ingredient: "sea-salt", amount: 0.165 }], 10),
  use: { name: "Drench, growing plants", partsWater: 100, mixLPerM2: 2 },
  lab: [{ nutrient: "na", gPerL: 5.9, note: "wet lab", actorName: "Ben" }],
  ...change,
});
const show = (page: BatchPage, actions = fakeActions()) => {
  renderWith(actions, <BatchScreen page={page} />);
  return actions;
};

describe("where a batch comes from", () => {
  it("tells its recipe, its water, its kin, what is still to go in, and what follows from them", () => {
    show(pageOf("lactic-serum"));
    const went = screen.getByRole("region", { name: "Ingredients" });
    expect(went).toHaveTextContent("Made by the standard recipe, salted rice wash; it stays with it.");
    expect(went).toHaveTextContent("Water: Tap, against the strip: butt dry.");
    expect(went).toHaveTextContent("Still to go in: 275 g of brown sugar on day 2");
    expect(screen.getByRole("link", { name: "Rice wash, batch 3" })).toHaveAttribute("href", "/batches/3");
    expect(screen.getByRole("link", { name: "Plant extract, batch 9" })).toHaveAttribute("href", "/batches/9");
    expect(screen.getByText("From what it was made with")).toBeVisible();
  });
  it("names the version it was made by", () => {
    show(pageOf("lactic-serum", { batch: batchOf("lactic-serum", { versionNo: 4, schoolName: "Ours" }) }));
    expect(screen.getByText(/Made by own version 4, ours/)).toBeVisible();
  });
});

describe("the log", () => {
  const entry = (id: number) => ({
    id,
    kind: "ph" as const,
    value: 4.2,
    words: [],
    atMs: NOW_MS - id * 60_000,
    actorName: "Ana",
    correctsId: null,
    correctedById: null,
    moved: false,
  });
  it("of a long one the newest are shown, and the rest on asking", () => {
    const log = Array.from({ length: 75 }, (_, nth) => entry(nth + 1)) as unknown as BatchPage["log"];
    const { unmount } = renderWith(fakeActions(), <BatchScreen page={pageOf("lactic-serum", { log })} />);
    expect(screen.getAllByText(/^ ?by Ana$/)).toHaveLength(60);
    expect(screen.getByRole("link", { name: "Show all 75 entries" })).toHaveAttribute(
      "href",
      expect.stringMatching(/^\/batches\/\d+\?log=all$/),
    );
    unmount();
    renderWith(fakeActions(), <BatchScreen page={pageOf("lactic-serum", { log })} isWholeLog />);
    expect(screen.getAllByText(/^ ?by Ana$/)).toHaveLength(75);
    expect(screen.queryByRole("link", { name: /^Show all/ })).not.toBeInTheDocument();
  });
});

describe("adding to a batch", () => {
  it("offers what the recipe has for a later day, and says at the amount what the shed lacks", async () => {
    const actions = fakeActions();
    actions.addToBatch.mockResolvedValueOnce(
      refused("The shed holds 100 g of brown sugar.", { "/amount": "The shed holds 100 g of brown sugar." }),
    );
    show(pageOf("lactic-serum"), actions);
    fireEvent.click(screen.getByRole("button", { name: "Add ingredient" }));
    expect(screen.getByText(/The recipe asks for 275 g of brown sugar on day 2/)).toBeVisible();
    expect(screen.getByLabelText("How much (kg)")).toHaveValue("0.275");
    fireEvent.click(screen.getByRole("button", { name: "Log addition" }));
    await waitFor(() => expect(screen.getAllByText("The shed holds 100 g of brown sugar.").length).toBeGreaterThan(0));
    expect(screen.getByLabelText("How much (kg)")).toHaveValue("0.275");
    await waitFor(() => expect(screen.getByRole("button", { name: "Log addition" })).toBeEnabled());
    fireEvent.click(screen.getByRole("button", { name: "Log addition" }));
    await waitFor(() => expect(actions.addToBatch).toHaveBeenCalledTimes(2));
    expect(actions.addToBatch).toHaveBeenCalledWith(
      expect.objectContaining({ batchId: 4, ingredientId: "brown-sugar", amount: 0.275 }),
    );
  });
  it("is dated back where it went in before", async () => {
    const actions = show(pageOf("lactic-serum"));
    fireEvent.click(screen.getByRole("button", { name: "Add ingredient" }));
    fireEvent.change(screen.getByLabelText("When"), { target: { value: "24" } });
    fireEvent.click(screen.getByRole("button", { name: "Log addition" }));
    await waitFor(() =>
      expect(actions.addToBatch).toHaveBeenCalledWith(
        expect.objectContaining({ at: new Date(NOW_MS - 24 * 3_600_000).toISOString() }),
      ),
    );
  });
  it.each(["", "0", "-1", "a cup"])("does not send %p", async (amount) => {
    const actions = show(pageOf("lactic-serum"));
    fireEvent.click(screen.getByRole("button", { name: "Add ingredient" }));
    fireEvent.change(screen.getByLabelText("How much (kg)"), { target: { value: amount } });
    fireEvent.click(screen.getByRole("button", { name: "Log addition" }));
    await waitFor(() => expect(screen.getByLabelText("How much (kg)")).toHaveAttribute("aria-invalid", "true"));
    expect(actions.addToBatch).not.toHaveBeenCalled();
  });
});

describe("taking some for other batches", () => {
  it("goes from a running batch, or from what was strained", async () => {
    const actions = show(pageOf("lactic-serum"));
    fireEvent.click(screen.getByRole("button", { name: "Move some to shed" }));
    fireEvent.change(screen.getByLabelText("Taken (L)"), { target: { value: "2,5" } });
    fireEvent.click(screen.getByRole("button", { name: "Add to stock" }));
    await waitFor(() =>
      expect(actions.takeFromBatch).toHaveBeenCalledWith(expect.objectContaining({ batchId: 4, litres: 2.5 })),
    );
  });
  it("goes from a store by its own name", async () => {
    const actions = show(pageOf("lactic-serum", { stores: [storeOf({ id: 8, onHandL: 6 })] }));
    fireEvent.click(screen.getByRole("button", { name: "To the shed" }));
    expect(screen.getByText(/serves other recipes as lactic culture. 6 L are there/)).toBeVisible();
    fireEvent.change(screen.getByLabelText("Taken (L)"), { target: { value: "2" } });
    fireEvent.click(screen.getByRole("button", { name: "Add to stock" }));
    await waitFor(() =>
      expect(actions.moveToShed).toHaveBeenCalledWith(expect.objectContaining({ storeId: 8, litres: 2 })),
    );
  });
  it("is not offered of what no recipe uses", () => {
    show(pageOf("cultured-extract"));
    expect(screen.queryByRole("button", { name: "Move some to shed" })).toBeNull();
  });
});

describe("closing what other recipes use", () => {
  const close = (methodId: string, actions = fakeActions()) => {
    renderWith(
      actions,
      <CloseSheet
        batch={batchOf(methodId, { state: "ready", basisAmount: 4 })}
        vesselName="Pot"
        units="metric"
        clock={FARM}
        nowMs={NOW_MS}
        onClose={() => undefined}
      />,
    );
    return actions;
  };
  it("is weighed where it is solid, and goes to the shed", async () => {
    const actions = close("boiled-potato");
    expect(screen.getByRole("radio", { name: /Add to stock/ })).toBeChecked();
    expect(screen.getByRole("radio", { name: /Store it/ })).toBeDisabled();
    fireEvent.change(screen.getByLabelText("Came off (kg)"), { target: { value: "3.9" } });
    fireEvent.click(screen.getByRole("button", { name: "Into the shed" }));
    await waitFor(() =>
      expect(actions.closeBatch).toHaveBeenCalledWith(
        expect.objectContaining({ kind: "strained", yieldL: 0, yieldKg: 3.9, intoShed: true }),
      ),
    );
  });
  it("may be stored or stocked where it is both", async () => {
    const actions = close("lactic-serum");
    fireEvent.click(screen.getByRole("radio", { name: /Add to stock/ }));
    fireEvent.click(screen.getByRole("button", { name: "Into the shed" }));
    await waitFor(() =>
      expect(actions.closeBatch).toHaveBeenCalledWith(expect.objectContaining({ intoShed: true, yieldKg: null })),
    );
  });
  it("is not offered of an extract", () => {
    close("cultured-extract");
    expect(screen.queryByRole("radio", { name: /Add to stock/ })).toBeNull();
  });
});

describe("what is in it", () => {
  it("stands as a span, what is measured marked, with what stays in the ground", () => {
    const content = batchContent(
      findRecipe("leaf-mould-brew"),
      [
        { ingredient: "sea-salt", amount: 0.09 },
        { ingredient: "lactic-culture", amount: 1 },
      ],
      100,
      { n: 0.04 },
    );
    renderWith(
      fakeActions(),
      <ContentTable content={content} partsWater={0} useName="Drench, bare soil" mixLPerM2={2} units="metric" />,
    );
    expect(screen.getByRole("row", { name: /^N measured/ })).toHaveTextContent("0.0440");
    expect(screen.getByRole("row", { name: /^Na/ })).toHaveTextContent("0.340.32 to 0.35342");
    expect(screen.getByText(/No figures for lactic culture: left out/)).toBeVisible();
    expect(screen.getByText(/^One round at/)).toHaveTextContent("1.7 g of salt");
  });
  it("takes a laboratory's figure, and refuses one that is none", async () => {
    const actions = show(pageOf("lactic-serum"));
    expect(screen.getByText(/Na 5\.9 g\/L measured, wet lab; entered by Ben/)).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Add lab result" }));
    fireEvent.change(screen.getByLabelText("Found (g/L)"), { target: { value: "much" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() => expect(screen.getByLabelText("Found (g/L)")).toHaveAttribute("aria-invalid", "true"));
    fireEvent.change(screen.getByLabelText("What"), { target: { value: "k2o" } });
    fireEvent.change(screen.getByLabelText("Found (g/L)"), { target: { value: "0.8" } });
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.addLabResult).toHaveBeenCalledWith(
        expect.objectContaining({ batchId: 4, nutrient: "k2o", gPerL: 0.8 }),
      ),
    );
  });
});
