import { render, screen } from "@testing-library/react";
import { nextIsKept, told, toldBesides, toldOfTrouble } from "../kit/told";
import { Toasts } from "./Toasts";

describe("what is told in passing", () => {
  it("is shown though it was told before there was a place for it", async () => {
    told("Blue drum is free.");
    toldOfTrouble("This picture could not be read.");
    render(<Toasts />);
    expect(await screen.findByText("Blue drum is free.")).toBeVisible();
    expect(await screen.findByText("This picture could not be read.")).toBeVisible();
    told("Tote is free.");
    expect(await screen.findByText("Tote is free.")).toBeVisible();
  });
  it("says of what waits on this device that it waits, and notes what was said", async () => {
    const note = jest.fn();
    render(<Toasts />);
    nextIsKept(note);
    // What goes on beside the work is not what was just done.
    toldBesides("2 entries sent to the farm.");
    told("Vented.");
    expect(note.mock.calls).toEqual([["Vented."]]);
    expect(await screen.findByText("2 entries sent to the farm.")).toBeVisible();
    expect(await screen.findByText("Vented. Not sent yet: it waits on this device.")).toBeVisible();
    told("Smelt.");
    expect(await screen.findByText("Smelt.")).toBeVisible();
  });
});
