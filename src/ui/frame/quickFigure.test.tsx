import { fireEvent, screen } from "@testing-library/react";
import { fakeActions, renderWith } from "@/testing/views";
import { QuickFigure } from "./QuickFigure";

const open = async () => {
  renderWith(fakeActions(), <QuickFigure units="metric" />);
  fireEvent.keyDown(window, { key: "w" });
  return screen.findByLabelText("A figure to work out");
};

describe("the quick figure", () => {
  it("opens by its key, offers examples, and answers as it is typed", async () => {
    const line = await open();
    fireEvent.click(screen.getByRole("button", { name: "0.4 ha at 120 L/ha" }));
    expect(screen.getByText("48 L")).toBeVisible();
    fireEvent.change(line, { target: { value: "18 L at 1:300" } });
    expect(screen.getByText("concentrate, if 18 L is the water")).toBeVisible();
    expect(screen.getByText(/18 L ÷ 301/)).toBeVisible();
  });
  it("hints rather than shrugs", async () => {
    fireEvent.change(await open(), { target: { value: "3 smoots" } });
    expect(screen.getByRole("status")).toHaveTextContent('"smoots" is not a unit');
  });
  it("does not open while something else is typed", () => {
    renderWith(fakeActions(), <QuickFigure units="metric" />);
    const field = document.createElement("input");
    document.body.append(field);
    fireEvent.keyDown(field, { key: "w", bubbles: true });
    expect(screen.queryByLabelText("A figure to work out")).toBeNull();
    field.remove();
  });
});
