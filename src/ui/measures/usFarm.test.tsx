import { fireEvent, screen, waitFor } from "@testing-library/react";
import type { ReactElement } from "react";
import { fakeActions, FARM, fieldOf, renderWith, type ActName } from "@/testing/views";
import { AddPlotSheet } from "../field/AddPlotSheet";
import { FieldPanel } from "@/testing/fieldPanel";
import { AddBinSheet } from "../gather/AddSheets";
import { LabSheet } from "../content/LabSheet";
import { OwnIngredientSheet } from "../shed/OwnIngredientSheet";
import { ThingSheet } from "../farm/ThingSheet";
import { MeasuresProvider } from "./measuresContext";

const nothing = () => undefined;

/** A form as a farm in gallons, pounds and feet has it: what is typed by label, what button, and what is sent. */
async function sends(form: ReactElement, typed: Readonly<Record<string, string>>, act: string, name: ActName) {
  const actions = fakeActions();
  renderWith(
    actions,
    <MeasuresProvider own={[]} units="us">
      {form}
    </MeasuresProvider>,
  );
  for (const [label, value] of Object.entries(typed))
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
  fireEvent.click(screen.getByRole("button", { name: act }));
  await waitFor(() => expect(actions[name]).toHaveBeenCalled());
  return actions[name].mock.calls[0]?.[0] as Record<string, number>;
}

describe("a farm in gallons, pounds and feet", () => {
  it("draws a bed in feet", async () => {
    const sent = await sends(
      <AddPlotSheet onClose={nothing} />,
      { "Name": "Bed 1", "Crop": "beans", "Length (ft)": "100" },
      "Add bed",
      "addPlot",
    );
    expect(sent).toMatchObject({ widthM: 1.2192, lengthM: 30.48 });
  });
  it("has a can in gallons and spoons to measure with", async () => {
    const sent = await sends(
      <ThingSheet kind="tool" onClose={nothing} />,
      { "Name": "Can", "Full volume (US gal)": "2" },
      "Add can or sprayer",
      "addTool",
    );
    expect(sent.volumeL).toBeCloseTo(7.571, 3);
    expect(sent.stepMl).toBeCloseTo(10, 0);
  });
  it("stands a drum of 55 gallons, 22.5 inches wide, in the yard", async () => {
    const sent = await sends(
      <ThingSheet kind="vessel" onClose={nothing} />,
      { "Name": "Drum", "Full volume (US gal)": "55", "Inner width (in)": "22.5" },
      "Add vessel",
      "addVessel",
    );
    expect(sent.volumeL).toBeCloseTo(208.198, 3);
    expect(sent.diameterM).toBeCloseTo(0.5715, 4);
  });
  it("weighs a gallon of an ingredient of its own in pounds", async () => {
    const sent = await sends(
      <OwnIngredientSheet onClose={nothing} />,
      { "Name": "Beet syrup", "A US gal weighs (lb)": "11.27" },
      "Save",
      "addOwnIngredient",
    );
    expect(sent.densityKgPerL).toBeCloseTo(1.35, 2);
  });
  it("reads a laboratory's parts in a million", async () => {
    const sent = await sends(
      <LabSheet batchId={3} onClose={nothing} />,
      { "Found (ppm)": "850", "By whom, by which method": "a laboratory" },
      "Save",
      "addLabResult",
    );
    expect(sent.gPerL).toBeCloseTo(0.85, 6);
  });
  it("weighs worms in pounds", async () => {
    const sent = await sends(
      <AddBinSheet onClose={nothing} />,
      { "Name": "Bin", "Worms in it (lb)": "2 lb 4 oz" },
      "Save",
      "addWormBin",
    );
    expect(sent.wormsKg).toBeCloseTo(1.021, 3);
  });
  it("puts so many gallons on a hundred square feet", async () => {
    const view = fieldOf({ farm: { ...FARM, units: "us" } });
    const sent = await sends(
      <FieldPanel view={view} chosen={new Set([1])} onDone={nothing} />,
      {},
      "Log application",
      "applyStore",
    );
    expect(screen.getByLabelText("Mix (US gal per 100 ft²)")).toHaveValue("4.91");
    expect(screen.getByText(/0\.512 US fl oz per US gal of water/)).toBeVisible();
    expect(sent.mixRateL).toBeCloseTo(2, 2);
  });
});
