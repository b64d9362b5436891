import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { ReportView } from "@/services/report";
import { fakeActions, FARM, renderWith } from "@/testing/views";
import { sayForecasts, sayInShort, ReportScreen } from "./ReportScreen";
import { cropRows, hourRows, litreRows, lossRows, moneyRows } from "./reportRows";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push }), usePathname: () => "/ledger/season" }));

const MONEY = { ingredientsMinor: 3000, makingMinor: 5000, powerMinor: 100, applyingMinor: 900, lossMinor: 1200 };
const ground = { times: 2, concentrateL: 3, mixL: 60, costMinor: 900, areaM2: 30, perM2Minor: 30 };
const input = {
  batches: 3,
  failed: 1,
  madeL: 200,
  usedL: 40,
  wastedL: 5,
  costMinor: 8000,
  onPlotsMinor: 900,
  treatedM2: 60,
};
const view = (change: Partial<ReportView> = {}): ReportView => ({
  ...{ farm: FARM, today: "2031-03-20", span: { from: "2030-03-21", to: "2031-03-20" }, plotNames: { "1": "Bed 1" } },
  report: {
    inputs: [
      { ...input, methodId: "aerated-tea", name: "Castings tea", perLMinor: 40 },
      { ...input, methodId: "plant-juice", name: "Plant juice", perLMinor: 900, failed: 0 },
      { ...input, methodId: "lactic-serum", name: "Serum", perLMinor: null, failed: 0, batches: 0, madeL: 0 },
    ],
    crops: [
      { key: "leeks", ...ground },
      { key: "", ...ground, areaM2: null, perM2Minor: null },
    ],
    plots: [{ key: "1", ...ground }],
    ...{ money: MONEY, hours: { making: 6, applying: 2 } },
    losses: [{ cause: "failed", month: "2030-11", costMinor: 1200 }],
  },
  before: { money: { ...MONEY, ingredientsMinor: 6000 }, hours: { making: 3, applying: 0 } },
  drivers: [
    {
      ...{ methodId: "aerated-tea", ingredientId: "molasses", costMinor: 2000, share: 0.8 },
      standIns: [
        { ingredientId: "brown-sugar", amount: 3, costMinor: 1400, savingMinor: 600, changes: "Some minerals." },
        { ingredientId: "honey", amount: 3, costMinor: 9000, savingMinor: -7000, changes: "Costs most." },
      ],
    },
    { methodId: "plant-juice", ingredientId: "brown-sugar", costMinor: 100, share: 1, standIns: [] },
  ],
  ...{ boughtMinor: 12_000, kept: [], budget: null, overrides: [], trials: [] },
  instead: [
    {
      ...{ methodId: "aerated-tea", inputName: "Castings tea", name: "Shop tea", wouldBuy: true },
      answer: { packs: 0.5, wholePacks: 1, costMinor: 1500, savingMinor: 600 },
    },
  ],
  forecasts: { hits: 6, judged: 7, offD: 1.2, ruleOffD: 3 },
  ...change,
});

describe("the season's report on the screen", () => {
  it("says the season in short, and each figure beside that before", () => {
    expect(sayInShort(view())).toBe("400 L made in 6 batches, 1 of them failed; 120 L put on; 12.00 crowns lost.");
    expect(moneyRows(view())[0]).toMatchObject({ value: 3000, before: 6000, saidBefore: "60.00 crowns" });
    expect(hourRows(view())[0]).toMatchObject({ value: 6, before: 3 });
    const nothing = {
      money: { ...MONEY, ...Object.fromEntries(Object.keys(MONEY).map((key) => [key, 0])) },
      hours: { making: 0, applying: 0 },
    };
    expect(moneyRows(view({ before: nothing }))[0]).not.toHaveProperty("before");
  });
  it("leaves out what has no area or no litre, and puts the dearest first", () => {
    expect(cropRows(view()).map(({ label }) => label)).toEqual(["leeks"]);
    expect(litreRows(view()).map(({ label }) => label)).toEqual(["Plant juice", "Castings tea"]);
    expect(lossRows(view())[0]!.label).toBe("2030-11 thrown away, no yield");
  });
  it("says how right forecasts were only where enough of them tell", () => {
    expect(sayForecasts(view())).toMatch(
      /6 of 7 times\. Eight in ten is right\..*1\.2 days off.*days by the book were 3 off\./,
    );
    expect(sayForecasts(view({ forecasts: { hits: 1, judged: 2, offD: 8, ruleOffD: 0 } }))).toMatch(
      /So few tell nothing yet\.$/,
    );
    expect(sayForecasts(view({ forecasts: { hits: 0, judged: 0, offD: null, ruleOffD: null } }))).toMatch(/^No batch/);
  });
  it("says saved only where it would have been bought, and where the shop is cheaper", () => {
    const { rerender } = renderWith(fakeActions(), <ReportScreen view={view()} />);
    expect(screen.getByText(/6\.00 crowns saved/)).toBeVisible();
    const [line] = view().instead;
    rerender(<ReportScreen view={view({ instead: [{ ...line!, wouldBuy: false }] })} />);
    expect(screen.getByText(/6\.00 crowns more than your own/)).toBeVisible();
    rerender(
      <ReportScreen view={view({ instead: [{ ...line!, answer: { ...line!.answer!, savingMinor: -200 } }] })} />,
    );
    expect(screen.getByText(/The shop’s is 2\.00 crowns cheaper/)).toBeVisible();
    rerender(<ReportScreen view={view({ instead: [{ ...line!, answer: null }] })} />);
    expect(screen.getByText(/can’t be compared/)).toBeVisible();
  });
  it("says what makes an input dear, and what would have cost less in its place", () => {
    renderWith(fakeActions(), <ReportScreen view={view()} />);
    const lines = within(screen.getByRole("list", { name: "What makes it dear" })).getAllByRole("listitem");
    expect(lines[0]).toHaveTextContent("Castings tea: molasses, 20.00 crowns, 80 % of its ingredients.");
    expect(lines[0]).toHaveTextContent("Brown sugar in its place: 6.00 crowns less. Some minerals.");
    expect(lines[1]).toHaveTextContent("Nothing that stands in for it has a price here.");
  });
  it("sets a budget, with what is left empty without a limit; the days lead to another report", async () => {
    const actions = fakeActions();
    renderWith(actions, <ReportScreen view={view()} />);
    fireEvent.click(screen.getByRole("button", { name: "Set the budget" }));
    const sheet = await screen.findByRole("dialog");
    fireEvent.change(within(sheet).getByLabelText(/^Work/), { target: { value: "60" } });
    fireEvent.click(within(sheet).getByRole("button", { name: "Set it" }));
    await waitFor(() => expect(actions.setBudget).toHaveBeenCalled());
    expect(actions.setBudget.mock.calls[0]![0]).toMatchObject({ year: 2031, bought: null, hours: 60, loss: null });
    fireEvent.click(screen.getByRole("button", { name: "A year earlier", hidden: true }));
    expect(push).toHaveBeenCalledWith("/ledger/season?from=2029-03-21&to=2030-03-20", { scroll: false });
  });
  it("has the rows behind each drawing as a table", () => {
    renderWith(fakeActions(), <ReportScreen view={view()} />);
    expect(screen.getAllByText("As a table").length).toBeGreaterThan(4);
  });
});
