import { fireEvent, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import type { WatersView } from "@/services/water/readWaters";
import { at, FARM, fakeActions, NOW_MS, renderWith, WATERS } from "@/testing/views";
import { NO_WATER, waterProblem, type WaterDraft } from "./waterDraft";
import { WaterPicker } from "./WaterPicker";
import { WaterPanel } from "./WaterPanel";

const start = (id: number, readyInH: number) => ({
  id,
  sourceId: 2,
  sourceName: "Tap",
  purpose: "brew" as const,
  volumeL: 100,
  leftL: 60,
  treatment: "stand" as const,
  place: "tank",
  ascorbicG: null,
  startedMs: at(-10),
  readyMs: at(readyInH),
});
const VIEW: WatersView = { ...WATERS, starts: [start(5, 3), start(6, -1)] };

const Picking = ({ onValue }: { readonly onValue: (value: WaterDraft) => void }) => {
  const [value, setValue] = useState(NO_WATER);
  return (
    <WaterPicker
      label="Water for the brew"
      view={VIEW}
      neededL={50}
      value={value}
      units="metric"
      fields={{}}
      onChange={(next) => {
        setValue(next);
        onValue(next);
      }}
    />
  );
};

describe("picking the water", () => {
  it("judges it by its source, its strip or its clock", () => {
    const draft = (sourceId: number, startId: number | null = null) => ({ sourceId, startId, reason: "" });
    expect(waterProblem(VIEW, draft(1), 50)).toBeNull();
    expect(waterProblem(VIEW, draft(2), 50)).toMatch(/0\.9 mg\/L of chlorine kills/);
    expect(waterProblem(VIEW, draft(2, 5), 50)).toBe("Ready in 3 h.");
    expect(waterProblem(VIEW, draft(2, 6), 50)).toBeNull();
    expect(waterProblem(VIEW, NO_WATER, 50)).toBeNull();
  });
  it("offers taps and what is set aside, and asks why where it is not fit", () => {
    const values: WaterDraft[] = [];
    renderWith(fakeActions(), <Picking onValue={(value) => values.push(value)} />);
    const select = screen.getByLabelText("Water for the brew, 50 L");
    expect(screen.getByRole("option", { name: "Tap: 0.9 mg/L total, 0.3 mg/L free" })).toBeInTheDocument();
    fireEvent.change(select, { target: { value: "start-6" } });
    expect(values.at(-1)).toMatchObject({ sourceId: 2, startId: 6 });
    expect(screen.queryByText("Not safe for the culture yet")).toBeNull();
    fireEvent.change(select, { target: { value: "source-2" } });
    fireEvent.change(screen.getByLabelText("Reason for using this water anyway"), { target: { value: "butt dry" } });
    expect(values.at(-1)).toEqual({ sourceId: 2, startId: null, reason: "butt dry" });
  });
});

describe("the farm's waters", () => {
  it("stand with their strips, and what is set aside with its clock", () => {
    renderWith(fakeActions(), <WaterPanel view={VIEW} farm={FARM} />);
    expect(screen.getByText(/tap water; 0\.9 mg\/L total, 0\.3 mg\/L free, read 24 h ago/)).toBeVisible();
    expect(screen.getByRole("img", { name: "77 % of its time" })).toBeInTheDocument();
    expect(screen.getByText(/standing, tank; ready$/)).toBeVisible();
  });
  it("say that standing does not clear chloramine, and how much acid does", async () => {
    const actions = fakeActions();
    renderWith(actions, <WaterPanel view={VIEW} farm={FARM} />);
    fireEvent.click(screen.getAllByRole("button", { name: "Treat water" })[1]!);
    expect(screen.getByText("This does not remove it")).toBeVisible();
    fireEvent.change(screen.getByLabelText("How"), { target: { value: "ascorbic" } });
    // 0.9 mg/L in 160 L, 2.5 to 1 and a fifth on top.
    expect(screen.getByText(/Stir in 0\.432 g of ascorbic acid/)).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Start treatment" }));
    await waitFor(() =>
      expect(actions.startWater).toHaveBeenCalledWith(
        expect.objectContaining({ sourceId: 2, treatment: "ascorbic", volumeL: 160, celsius: null }),
      ),
    );
  });
  it("go by the last strip, also where the panel was opened before it was kept", () => {
    const unread = { ...VIEW, waters: VIEW.waters.map((one) => ({ ...one, freeMgPerL: null, totalMgPerL: null })) };
    const { rerender } = renderWith(fakeActions(), <WaterPanel view={unread} farm={FARM} />);
    fireEvent.click(screen.getAllByRole("button", { name: "Treat water" })[1]!);
    expect(screen.queryByText(/does not leave/)).toBeNull();
    rerender(<WaterPanel view={VIEW} farm={FARM} />);
    expect(screen.getByText(/chloramine/i)).toBeVisible();
  });
  it.each([
    ["", null],
    ["21.5", 21.5],
  ])("take %p degrees as %p: what nobody read is kept as such", async (degrees, celsius) => {
    const actions = fakeActions();
    renderWith(actions, <WaterPanel view={VIEW} farm={FARM} />);
    fireEvent.click(screen.getAllByRole("button", { name: "Treat water" })[0]!);
    fireEvent.change(screen.getByLabelText("Water stands at (°C)"), { target: { value: degrees } });
    fireEvent.click(screen.getByRole("button", { name: "Start treatment" }));
    await waitFor(() => expect(actions.startWater).toHaveBeenCalledWith(expect.objectContaining({ celsius })));
  });
  it.each(["", "0", "-5", "1e9", "lots"])("refuse to set aside %p litres, at its field", async (volume) => {
    const actions = fakeActions();
    renderWith(actions, <WaterPanel view={VIEW} farm={FARM} />);
    fireEvent.click(screen.getAllByRole("button", { name: "Treat water" })[0]!);
    fireEvent.change(screen.getByLabelText("How much (L)"), { target: { value: volume } });
    fireEvent.click(screen.getByRole("button", { name: "Start treatment" }));
    await waitFor(() => expect(screen.getByLabelText("How much (L)")).toHaveAttribute("aria-invalid", "true"));
    expect(actions.startWater).not.toHaveBeenCalled();
  });
  it("begin with a word where there are none", () => {
    renderWith(fakeActions(), <WaterPanel view={{ nowMs: NOW_MS, waters: [], starts: [] }} farm={FARM} />);
    expect(screen.getByText(/No water yet/)).toBeVisible();
  });
});
