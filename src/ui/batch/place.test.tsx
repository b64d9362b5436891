import { fireEvent, screen, waitFor } from "@testing-library/react";
import type { Place } from "@/core/ferment/temperature/places";
import type { UnitSystem } from "@/formats/amounts";
import { fakeActions, renderWith } from "@/testing/views";
import { PlaceCard } from "./PlaceCard";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const show = (place: Place | null, units: UnitSystem = "metric") => {
  const actions = fakeActions();
  renderWith(actions, <PlaceCard vesselId={7} vesselName="Blue drum" place={place} units={units} />);
  return actions;
};
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole("button", { name }));

describe("where it stands", () => {
  it("is asked with six pictures while nobody said so, and said by one tap", async () => {
    const actions = show(null);
    expect(screen.getByRole("heading")).toHaveTextContent("Where does Blue drum stand?");
    press("Shed");
    await waitFor(() =>
      expect(actions.sayPlace).toHaveBeenCalledWith(expect.objectContaining({ vesselId: 7, kind: "shed" })),
    );
  });
  it("is a line once it is said, and can be changed or taken back", async () => {
    const actions = show({ kind: "cellar" });
    expect(screen.getByText("Stands: cellar.")).toBeVisible();
    press("Change the place");
    expect(screen.getByRole("button", { name: "Cellar" })).toHaveAttribute("aria-pressed", "true");
    press("I don’t know");
    await waitFor(() => expect(actions.sayPlace).toHaveBeenCalledWith(expect.objectContaining({ kind: "unsaid" })));
  });
  it("takes how warm it is there, in the farm's own degrees, only with both ends", async () => {
    const actions = show({ kind: "indoors" }, "us");
    press("Change the place");
    const keep = screen.getByRole("button", { name: "Save warmth" });
    expect(keep).toBeDisabled();
    fireEvent.change(screen.getByRole("spinbutton", { name: /At night about/ }), { target: { value: "64" } });
    expect(keep).toBeDisabled();
    fireEvent.change(screen.getByRole("spinbutton", { name: /By day about/ }), { target: { value: "72" } });
    press("Save warmth");
    await waitFor(() => expect(actions.sayPlace).toHaveBeenCalled());
    const [sent] = (actions.sayPlace as jest.Mock).mock.calls[0] as [{ lowC: number; highC: number }];
    expect(sent.lowC).toBeCloseTo(17.8, 1);
    expect(sent.highC).toBeCloseTo(22.2, 1);
  });
});
