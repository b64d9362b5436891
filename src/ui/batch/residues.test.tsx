import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { leavesOf } from "@/core/recipe/residue";
import { findRecipe } from "@/core/book";
import type { BatchPage } from "@/services/batch";
import { batchOf, FARM, fakeActions, NOW_MS, PAGE_REST, renderWith } from "@/testing/views";
import { CloseSheet } from "./CloseSheet";
import { Residues } from "./Residues";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const dungTea = () => {
  const batch = batchOf("drum-manure-tea", { state: "ready", stateWords: "Ready" });
  const used = [{ ingredient: "dung-fresh" as const, amount: 20 }];
  return {
    ...batch,
    closing: { ...batch.closing, residues: leavesOf({ recipe: findRecipe("drum-manure-tea"), used }) },
  };
};

describe("what is left", () => {
  const page = (residues: BatchPage["residues"]) =>
    ({ ...PAGE_REST, farm: FARM, nowMs: NOW_MS, batch: dungTea(), residues }) as unknown as BatchPage;
  it("is written down with where it goes, and asks why where food grows", async () => {
    const actions = fakeActions();
    renderWith(actions, <Residues page={page([])} />);
    fireEvent.click(screen.getByRole("button", { name: "Something was left" }));
    const sheet = within(screen.getByRole("dialog"));
    expect(sheet.getByLabelText("Where it goes")).toHaveValue("trees");
    expect(sheet.getByText(/never on a bed/)).toBeVisible();
    expect(sheet.queryByLabelText(/where food grows/)).toBeNull();
    fireEvent.change(sheet.getByLabelText("Where it goes"), { target: { value: "dug-in" } });
    fireEvent.change(sheet.getByLabelText(/where food grows/), { target: { value: "fallow" } });
    fireEvent.change(sheet.getByLabelText(/^How much/), { target: { value: "12.5" } });
    fireEvent.click(sheet.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.logResidue.mock.calls[0]?.[0]).toMatchObject({
        what: "solids",
        to: "dug-in",
        amount: 12.5,
        unit: "kg",
        overrideReason: "fallow",
        isNone: false,
      }),
    );
  });
  it("is corrected, or taken back; what is a lot is corrected in the shed", async () => {
    const line = {
      id: 5,
      what: "liquor" as const,
      to: "trees" as const,
      amount: 12,
      unit: "L" as const,
      place: "the plums",
      lotId: null,
      overrideReason: null,
      actorName: "Ben",
      atMs: NOW_MS - 3_600_000,
    };
    const actions = fakeActions();
    renderWith(actions, <Residues page={page([line, { ...line, id: 6, what: "shell", lotId: 9 }])} />);
    expect(screen.getByText("in the shed")).toHaveAttribute("href", "/shed");
    fireEvent.click(screen.getByRole("button", { name: /^Change: liquor/ }));
    expect(screen.getByLabelText("Which heap, tree or bed")).toHaveValue("the plums");
    fireEvent.click(screen.getByRole("button", { name: "There was no such thing" }));
    await waitFor(() =>
      expect(actions.logResidue.mock.calls[0]?.[0]).toMatchObject({ replacesId: 5, isNone: true, amount: 12 }),
    );
  });
});

describe("straining", () => {
  it("tells when to squeeze and when to leave it alone", () => {
    renderWith(
      fakeActions(),
      <CloseSheet
        batch={batchOf("cultured-extract", { state: "ready", stateWords: "Ready" })}
        vesselName="Drum"
        units="metric"
        clock={FARM}
        nowMs={NOW_MS}
        onClose={jest.fn()}
      />,
    );
    const drains = within(screen.getByRole("region", { name: "How it drains" })).getAllByRole("listitem");
    expect(drains.map((item) => item.textContent)).toEqual([
      expect.stringContaining("Hang the sack up to drain"),
      expect.stringContaining("Squeeze it"),
      expect.stringContaining("Squeeze it"),
      expect.stringMatching(/once more, then stop.*152 L off/),
    ]);
  });
  it("asks why what holds dung goes where food grows, and sends the answer", async () => {
    const actions = fakeActions();
    renderWith(
      actions,
      <CloseSheet batch={dungTea()} vesselName="Drum" units="metric" clock={FARM} nowMs={NOW_MS} onClose={jest.fn()} />,
    );
    expect(screen.queryByLabelText(/where food grows/)).toBeNull();
    fireEvent.change(screen.getByLabelText("The solids of the sack go"), { target: { value: "hot-compost" } });
    fireEvent.click(screen.getByRole("button", { name: "Strain and store" }));
    await waitFor(() => expect(actions.closeBatch.mock.calls[0]?.[0]).toMatchObject({ residue: "hot-compost" }));
  });
});
