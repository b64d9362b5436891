import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { DoorProvider } from "../acts/act";
import { doorTo, fakeActions } from "@/testing/views";
import { Find } from "./Find";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh: jest.fn() }), usePathname: () => "/" }));

const THINGS = [
  { type: "bed", id: "3", name: "Bed 3", note: "North", href: "/field/plots/3" },
  { type: "batch", id: "12", name: "Leaf soak 12", note: "Blue drum", href: "/batches/12" },
  { type: "ingredient", id: "molasses", name: "Molasses", note: "", href: "/shed?item=molasses" },
];
const open = async (
  key = "w",
  read: () => Promise<unknown> = async () => ({ ok: true, value: { things: THINGS } }),
) => {
  render(
    <DoorProvider door={{ ...doorTo(fakeActions()), read: read as never }}>
      <Find units="metric" />
    </DoorProvider>,
  );
  fireEvent.keyDown(window, { key });
  return screen.findByPlaceholderText(/^A name/);
};
const found = () => screen.queryAllByRole("option").map((row) => row.textContent);

describe("the line that finds and calculates", () => {
  it("opens by its keys, offers examples, and answers a figure as it is typed", async () => {
    const line = await open("/");
    fireEvent.click(screen.getByRole("button", { name: "0.4 ha at 120 L/ha" }));
    expect(screen.getByText("48 L")).toBeVisible();
    fireEvent.change(line, { target: { value: "18 L at 1:300" } });
    expect(screen.getByText("concentrate, if 18 L is the water")).toBeVisible();
    expect(screen.getByText(/18 L ÷ 301/)).toBeVisible();
  });
  it("finds things of the farm and pages by any of their words, and goes there", async () => {
    const line = await open();
    fireEvent.change(line, { target: { value: "blue" } });
    await waitFor(() => expect(found()).toEqual(["Leaf soak 12batch, Blue drum"]));
    fireEvent.change(line, { target: { value: "north bed" } });
    expect(found()).toEqual(["Bed 3bed, North"]);
    fireEvent.change(line, { target: { value: "inspector" } });
    expect(found()).toEqual(["Files of the fieldpage", "Print application recordpage"]);
    fireEvent.keyDown(line, { key: "Enter" });
    expect(push).toHaveBeenCalledWith("/field/files");
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  });
  it("says why neither a figure nor a name was understood, also where the farm can't be asked", async () => {
    const line = await open("w", async () => Promise.reject(new Error("no line")));
    fireEvent.change(line, { target: { value: "3 smoots" } });
    expect(screen.getByRole("status")).toHaveTextContent('"smoots" is not a unit');
    fireEvent.change(line, { target: { value: "shopping" } });
    expect(found()).toEqual(["Shopping listpage"]);
  });
  it("does not open while something else is typed", () => {
    render(
      <DoorProvider door={doorTo(fakeActions())}>
        <Find units="metric" />
      </DoorProvider>,
    );
    const field = document.createElement("input");
    document.body.append(field);
    fireEvent.keyDown(field, { key: "/", bubbles: true });
    expect(screen.queryByRole("dialog")).toBeNull();
    field.remove();
  });
});
