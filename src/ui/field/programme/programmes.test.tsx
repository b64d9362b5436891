import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { Due } from "@/core/programme/programme";
import type { PlotCalendar, ProgrammesView } from "@/services/field";
import { fakeActions, FARM, NOW_MS, refused, renderWith } from "@/testing/views";
import { ProgrammesScreen } from "./ProgrammesScreen";

const due = (day: string, methodId = "cultured-extract"): Due => ({
  plotId: 11,
  programmeId: 1,
  step: 0,
  methodId,
  use: "drench-growing",
  day,
  stage: "growing",
});
const plot = (change: Partial<PlotCalendar> = {}): PlotCalendar => ({
  id: 11,
  name: "Bed 11",
  crop: "tomatoes",
  stage: "growing",
  dues: [due("2031-03-10"), due("2031-04-04", "plant-juice")],
  clashes: [],
  ...change,
});
const viewOf = (change: Partial<ProgrammesView> = {}): ProgrammesView => ({
  farm: FARM,
  nowMs: NOW_MS,
  today: "2031-03-20",
  untilDay: "2031-09-18",
  programmes: [
    {
      id: 1,
      name: "Fruit",
      crops: ["tomatoes"],
      steps: [
        {
          methodId: "cultured-extract",
          use: "drench-growing",
          partsWater: null,
          mixLPerM2: null,
          everyD: 14,
          from: "growing",
          to: "fruiting",
        },
      ],
    },
  ],
  plots: [plot()],
  ...change,
});
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("programmes", () => {
  it("show the season a row a plot, what is late in the first week", () => {
    renderWith(fakeActions(), <ProgrammesScreen view={viewOf()} />);
    const row = screen.getByRole("row", { name: /^Bed 11 tomatoes/ });
    expect(
      within(row)
        .getAllByRole("cell")
        .slice(0, 3)
        .map(({ textContent }) => textContent),
    ).toEqual(["A", "", "B"]);
  });
  it("name each clash once with its days", () => {
    const clash = {
      code: "before-harvest" as const,
      plotId: 11,
      methodId: "plant-juice",
      ruleD: 7,
      daysToHarvest: 0,
    };
    const clashes = [
      { ...clash, day: "2031-04-04" },
      { ...clash, day: "2031-05-02" },
    ];
    renderWith(fakeActions(), <ProgrammesScreen view={viewOf({ plots: [plot({ clashes })] })} />);
    const said = within(screen.getByRole("region", { name: "What clashes" }));
    expect(said.getAllByRole("listitem").map(({ textContent }) => textContent)).toEqual([
      "Bed 11: plant juice while it is picked: it stops 7 days before. (4 Apr, 2 May)",
    ]);
    expect(screen.getByRole("row", { name: /^Bed 11 .*clash/ })).toBeVisible();
  });
  it("are typed in as a table, and kept as they stand", async () => {
    const actions = fakeActions();
    renderWith(actions, <ProgrammesScreen view={viewOf()} />);
    expect(screen.getByRole("button", { name: "Save" })).toBeDisabled();
    type("Every how many days, line 1", "10");
    type("Dilution, line 1", "1:400");
    type("For which crops", "tomatoes, peppers ,");
    fireEvent.click(screen.getByRole("button", { name: "A line" }));
    type("Input, line 2", "plant-juice");
    type("To, line 2", "flowering");
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() => expect(actions.setProgramme).toHaveBeenCalled());
    expect(actions.setProgramme.mock.calls[0]![0]).toMatchObject({
      programmeId: 1,
      name: "Fruit",
      crops: ["tomatoes", "peppers"],
      steps: [
        { methodId: "cultured-extract", partsWater: 400, everyD: 10 },
        { methodId: "plant-juice", partsWater: null, from: "growing", to: "flowering" },
      ],
    });
  });
  it("say at the line what is wrong with it, and keep what was typed", async () => {
    const actions = fakeActions();
    actions.setProgramme.mockResolvedValue(refused("Something is wrong.", { "/steps/0/use": "There is no such use." }));
    renderWith(actions, <ProgrammesScreen view={viewOf()} />);
    type("Every how many days, line 1", "often");
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() => expect(screen.getAllByRole("alert")[0]).toBeVisible());
    expect(actions.setProgramme).not.toHaveBeenCalled();
    type("Every how many days, line 1", "9");
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() => expect(screen.getByText("There is no such use.")).toBeVisible());
    expect(screen.getByLabelText("Every how many days, line 1")).toHaveValue("9");
  });
  it("are put away; a farm without one begins with what growers give over a season", async () => {
    const actions = fakeActions();
    const { unmount } = renderWith(actions, <ProgrammesScreen view={viewOf()} />);
    fireEvent.click(screen.getByRole("button", { name: "Put it away" }));
    await waitFor(() =>
      expect(actions.setProgramme.mock.calls[0]![0]).toMatchObject({ programmeId: 1, putAway: true }),
    );
    unmount();
    renderWith(fakeActions(), <ProgrammesScreen view={viewOf({ programmes: [], plots: [] })} />);
    expect(screen.getAllByLabelText(/^Input, line/).length).toBeGreaterThanOrEqual(3);
  });
});
