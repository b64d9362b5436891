import { fireEvent, screen, waitFor } from "@testing-library/react";
import type { EquipmentView } from "@/services/equipment/equipment";
import type { EquipmentPageView } from "@/services/equipment/readEquipmentPage";
import { FARM, fakeActions, NOW_MS, refused, renderWith } from "@/testing/views";
import { EquipmentScreen } from "./EquipmentScreen";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const piece = (id: number, change: Partial<EquipmentView>): EquipmentView => ({
  id,
  kind: "stone",
  name: `Piece ${id}`,
  count: 1,
  size: null,
  outlets: null,
  note: "",
  broken: false,
  dirtyFrom: null,
  calibratedOn: null,
  busy: false,
  washedBetween: true,
  calibrationDueOn: null,
  ...change,
});
function open(change: Partial<EquipmentPageView> = {}, actions = fakeActions()) {
  const view: EquipmentPageView = {
    farm: FARM,
    nowMs: NOW_MS,
    today: "2031-03-20",
    equipment: [
      piece(1, { dirtyFrom: "acid" }),
      piece(2, { kind: "ph-meter", washedBetween: false, calibratedOn: "2031-02-01", calibrationDueOn: "2031-03-03" }),
      piece(3, { kind: "pump", washedBetween: false, broken: true, size: 60, outlets: 4 }),
    ],
    carriers: [],
    dirtyVessels: ["Drum"],
    lacks: [
      {
        planId: 1,
        name: "Tea in Tote",
        forDay: "2031-03-25",
        gaps: [{ kind: "bag", weight: "missing", say: "No mesh bag." }],
      },
    ],
    running: [{ id: 12, name: "Extract in Drum" }],
    ...change,
  };
  renderWith(actions, <EquipmentScreen view={view} />);
  return actions;
}
const click = (name: string) => fireEvent.click(screen.getByRole("button", { name }));

describe("the wall with the equipment", () => {
  it("says what wants a wash, a calibration, mending; and what plans lack", () => {
    open();
    for (const words of [
      /wash it before another family/,
      /calibrated 1 Feb 2031: due again/,
      /broken$/,
      /60 L\/min; 4 outlets/,
      /No mesh bag/,
      /Drum\./,
    ])
      expect(screen.getByText(words)).toBeVisible();
  });
  it("notes what was done with one touch", async () => {
    const actions = open();
    click("Washed: Piece 1");
    await waitFor(() =>
      expect(actions.noteEquipment.mock.calls[0]?.[0]).toMatchObject({ equipmentId: 1, kind: "washed" }),
    );
    click("Calibrated: Piece 2");
    await waitFor(() =>
      expect(actions.noteEquipment.mock.calls[1]?.[0]).toMatchObject({ equipmentId: 2, kind: "calibrated" }),
    );
    click("Mended: Piece 3");
    await waitFor(() =>
      expect(actions.noteEquipment.mock.calls[2]?.[0]).toMatchObject({ equipmentId: 3, kind: "mended" }),
    );
  });
  it("hangs a piece into a batch", async () => {
    const actions = open();
    click("In a batch: Piece 1");
    click("It hangs in there");
    await waitFor(() =>
      expect(actions.noteEquipment.mock.calls[0]?.[0]).toMatchObject({ equipmentId: 1, kind: "used", batchId: 12 }),
    );
  });
  it("adds a piece, asking a pump for its air and its outlets", async () => {
    const actions = open(
      {},
      fakeActions({
        addEquipment: refused('There is a "Big pump" already.', { "/name": 'There is a "Big pump" already.' }),
      }),
    );
    click("Add equipment");
    fireEvent.change(screen.getByLabelText("Name"), { target: { value: "Big pump" } });
    fireEvent.change(screen.getByLabelText("Size (L/min)"), { target: { value: "60" } });
    fireEvent.change(screen.getByLabelText("Outlets"), { target: { value: "4" } });
    click("Add equipment");
    expect((await screen.findAllByText('There is a "Big pump" already.')).length).toBeGreaterThan(0);
    expect(actions.addEquipment.mock.calls[0]?.[0]).toMatchObject({
      kind: "pump",
      name: "Big pump",
      count: 1,
      size: 60,
      outlets: 4,
    });
    fireEvent.change(screen.getByLabelText("What"), { target: { value: "airlock" } });
    expect(screen.queryByLabelText(/^Size/)).toBeNull();
  });
  it("marks a size that is no number, and keeps it", async () => {
    const actions = open();
    click("Add equipment");
    fireEvent.change(screen.getByLabelText("Name"), { target: { value: "Pump" } });
    fireEvent.change(screen.getByLabelText("Size (L/min)"), { target: { value: "big" } });
    click("Add equipment");
    expect(await screen.findByText("This must be a number.")).toBeVisible();
    expect(actions.addEquipment).not.toHaveBeenCalled();
    expect(screen.getByLabelText("Size (L/min)")).toHaveValue("big");
  });
  it("says what an empty wall is good for", () => {
    open({ equipment: [], lacks: [], dirtyVessels: [] });
    expect(screen.getByText(/No equipment yet/)).toBeVisible();
  });
});
