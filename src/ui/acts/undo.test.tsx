import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { ComponentType } from "react";
import { doorTo, fakeActions, FARM, NOW_MS, refused, renderWith } from "@/testing/views";
import type { HistoryLineView } from "@/services/history";
import { HistoryScreen } from "../farm/HistoryScreen";
import { ThingSheet } from "../farm/ThingSheet";
import { Toasts } from "../frame/Toasts";
import { told } from "../kit/told";
import { useUndo, type UndoRow } from "./undo";

jest.mock("next/navigation", () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }),
  usePathname: () => "/farm",
}));

type Rows = readonly UndoRow[];

/** Says that something is done, with its undo. */
const Sayer = ({ rows, message }: { readonly rows: Rows; readonly message: string }) => {
  const undo = useUndo();
  return <button onClick={() => told(message, undo(...rows))}>Do it</button>;
};
function say(message: string, rows: Rows, actions = fakeActions()) {
  const Screen: ComponentType = () => (
    <>
      <Sayer rows={rows} message={message} />
      <Toasts />
    </>
  );
  renderWith(actions, <Screen />);
  fireEvent.click(screen.getByRole("button", { name: "Do it" }));
  return actions;
}
const toast = async (message: string) => (await screen.findByText(message)).closest("li")!;

describe("the undo of a message", () => {
  it("takes back all rows that the act wrote, in one request, and says so", async () => {
    const actions = say("Poured into two.", [
      { kind: "pour", id: 7 },
      { kind: "pour", id: 8 },
    ]);
    fireEvent.click(within(await toast("Poured into two.")).getByText("Undo"));
    await waitFor(() =>
      expect(actions.takeBack).toHaveBeenCalledWith(
        expect.objectContaining({
          rows: [
            { kind: "pour", id: 7 },
            { kind: "pour", id: 8 },
          ],
        }),
      ),
    );
    expect(await screen.findByText("Undone.")).toBeInTheDocument();
  });
  it("is not offered where nothing was written, or where it waits on this device", async () => {
    say("Kept for later.", [
      { kind: "lot", id: undefined },
      { kind: "container-move", id: null },
    ]);
    expect(within(await toast("Kept for later.")).queryByText("Undo")).toBeNull();
  });
  it("says why it cannot be, and not that it was", async () => {
    const actions = say("Waste of it.", [{ kind: "lot", id: 3 }], fakeActions({ takeBack: refused("Used already.") }));
    fireEvent.click(within(await toast("Waste of it.")).getByText("Undo"));
    expect(await screen.findByText("Used already.")).toBeInTheDocument();
    expect(actions.takeBack).toHaveBeenCalledTimes(1);
  });
});

describe("a thing that was changed by a slip", () => {
  it("has its former facts again, those that were changed alone", async () => {
    const actions = fakeActions();
    const facts = { name: "Butt", kind: "rain", state: "in-use" };
    renderWith(
      actions,
      <>
        <ThingSheet
          kind="water"
          thing={{ id: 3, name: "Butt", state: "in-use", facts, busy: false }}
          onClose={jest.fn()}
        />
        <Toasts />
      </>,
    );
    fireEvent.change(screen.getByLabelText("Name"), { target: { value: "Tank" } });
    fireEvent.click(screen.getByRole("button", { name: "Save changes" }));
    fireEvent.click(within(await toast("Tank saved.")).getByText("Undo"));
    await waitFor(() => expect(actions.changeWater).toHaveBeenCalledTimes(2));
    expect(actions.changeWater.mock.calls[1]![0]).toEqual({ id: 3, name: "Butt", requestKey: expect.any(String) });
  });
});

describe("the history", () => {
  const line = (change: Partial<HistoryLineView>): HistoryLineView => ({
    code: "looked-at-bed",
    part: "field",
    id: 5,
    addedMs: NOW_MS,
    atMs: NOW_MS,
    actorName: "Ana",
    subject: "Bed 1",
    word: null,
    amount: null,
    unit: null,
    extra: { note: "wilted" },
    batchId: null,
    plotId: 1,
    itemId: null,
    undo: "look",
    isUndone: false,
    ...change,
  });
  const open = (lines: readonly HistoryLineView[], actions = fakeActions()) => {
    renderWith(
      actions,
      <HistoryScreen
        view={{ farm: FARM, nowMs: NOW_MS, people: [], lines, older: null }}
        filter={{ part: "", person: "", day: "" }}
      />,
      doorTo(actions).read,
    );
    return actions;
  };
  it("undoes a line as what it is", async () => {
    const actions = open([line({})]);
    fireEvent.click(screen.getByRole("button", { name: "Undo: Bed 1: checked: wilted" }));
    await waitFor(() =>
      expect(actions.takeBack).toHaveBeenCalledWith(expect.objectContaining({ rows: [{ kind: "look", id: 5 }] })),
    );
  });
  it("strikes what was undone and offers it no more", () => {
    open([line({ undo: null, isUndone: true })]);
    expect(screen.queryByRole("button", { name: /^Undo/ })).toBeNull();
    expect(screen.getByText("undone")).toBeVisible();
    expect(screen.getByRole("link", { name: /checked/ })).toHaveClass("line-through");
  });
});
